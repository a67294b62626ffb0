package marvek.formats;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * The beginning of a lap file as it would be read, for somebody to say what its columns are.
 *
 * @param kind of the file; columns are those of a CSV, and empty of the others
 * @param headerLine line of the row of headers, from 1
 * @param lines the file's first rows, as they stand in it
 * @param columns in the order of the file
 * @param missing what is still needed, in words; empty where the file can be read
 */
public record LapPreview(
    LapFiles.Kind kind,
    long headerLine,
    List<Line> lines,
    List<Column> columns,
    List<Sentence> missing) {
  private static final int ROWS = 400;
  private static final int SHOWN = 5;
  private static final int LINES = 24;
  private static final int LETTERS = 120;

  public LapPreview {
    lines = List.copyOf(lines);
    columns = List.copyOf(columns);
    missing = List.copyOf(missing);
  }

  /**
   * A row of the file's beginning.
   *
   * @param number of the line, from 1
   * @param text its beginning
   */
  public record Line(long number, String text) {}

  /**
   * A column.
   *
   * @param is the column of the lap format that it is taken for; null where it is left out
   * @param unit that the file gives; empty where it gives none
   * @param first its first values as they stand in the file
   * @param least smallest of the first numbers; null without any
   * @param most largest of them
   */
  public record Column(
      String header,
      @Nullable String is,
      String unit,
      List<String> first,
      @Nullable Double least,
      @Nullable Double most) {}

  /** Looks at bytes in memory; see {@link #of(FileText, Map, long)}. */
  public static LapPreview of(byte[] bytes, Map<String, String> mapping) {
    return of(FileText.of(bytes), mapping, 0);
  }

  /**
   * Looks at a file's first rows.
   *
   * @param mapping column of the lap format by header
   * @param headerLine line of the row of headers; 0 to find it
   * @throws BadFileException if it is no text with columns
   */
  public static LapPreview of(FileText file, Map<String, String> mapping, long headerLine) {
    LapFiles.Kind kind = LapFiles.kind(file);
    if (kind != LapFiles.Kind.CSV) {
      return new LapPreview(kind, 0, List.of(), List.of(), List.of());
    }
    CsvText text = CsvText.of(file);
    LapHead head = LapHead.of(text, mapping, headerLine);
    List<CsvRecord> samples =
        text.first(ROWS).stream()
            .filter(row -> row.getStartingLineNumber() >= head.samplesFrom())
            .toList();
    List<Column> columns = new ArrayList<>();
    for (int c = 0; c < head.header().size(); c++) {
      columns.add(column(head, c, samples, text.point()));
    }
    return new LapPreview(kind, head.line(), lines(file), columns, head.missing());
  }

  /** Columns of the lap format that a header can be mapped to. */
  public static List<String> choices() {
    return LapColumn.CANONICAL;
  }

  private static List<Line> lines(FileText file) {
    List<Line> lines = new ArrayList<>();
    List<String> all = file.head().lines().limit(LINES).toList();
    for (int i = 0; i < all.size(); i++) {
      lines.add(new Line(i + 1L, CsvText.shown(all.get(i), LETTERS)));
    }
    return lines;
  }

  private static Column column(LapHead head, int c, List<CsvRecord> samples, char point) {
    List<String> first = new ArrayList<>();
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (CsvRecord row : samples) {
      String cell = CsvText.cell(row, c);
      if (first.size() < SHOWN) {
        first.add(CsvText.shown(cell, 24));
      }
      double value = number(cell, point);
      if (Double.isFinite(value)) {
        least = Math.min(least, value);
        most = Math.max(most, value);
      }
    }
    LapColumn is = head.columns()[c];
    boolean any = least <= most;
    return new Column(
        head.header().get(c),
        is == null ? null : is.name(),
        is == null ? "" : is.unit(),
        first,
        any ? least : null,
        any ? most : null);
  }

  private static double number(String cell, char point) {
    try {
      return CellNumber.of(cell, point);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }
}
