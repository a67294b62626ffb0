package marvek.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The beginning of a lap file as it would be read, for somebody to say what its columns are.
 *
 * @param columns in the order of the file
 * @param missing what is still needed, in words; empty where the file can be read
 */
public record LapPreview(List<Column> columns, List<String> missing) {
  private static final int ROWS = 400;
  private static final int SHOWN = 5;

  public LapPreview {
    columns = List.copyOf(columns);
    missing = List.copyOf(missing);
  }

  /**
   * A column.
   *
   * @param is the column of the lap format that it is taken for; null where it is left out
   * @param first its first values as they stand in the file
   * @param least smallest of the first numbers; null without any
   * @param most largest of them
   */
  public record Column(
      String header, @Nullable String is, List<String> first, Double least, Double most) {}

  /**
   * Looks at a file's first rows.
   *
   * @param mapping column of the lap format by header
   * @throws BadFileException if it is no text with columns
   */
  public static LapPreview of(byte[] bytes, Map<String, String> mapping) {
    LapHead.refuseBinary(bytes);
    LapHead.Dialect dialect = LapHead.Dialect.of(bytes);
    List<CsvRecord> rows = new ArrayList<>();
    try (CsvReader<CsvRecord> reader = LapCsv.reader(bytes, dialect)) {
      for (CsvRecord row : reader) {
        rows.add(row);
        if (rows.size() > ROWS) {
          break;
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (rows.isEmpty()) {
      throw BadFileException.whole("The file has no rows: a header and samples are expected.");
    }
    List<String> header = LapHead.names(rows.get(0).getFields(), 1);
    boolean units = rows.size() > 1 && LapHead.isUnits(rows.get(1).getFields());
    List<CsvRecord> samples = rows.subList(units ? 2 : 1, rows.size());
    LapHead head = LapHead.of(header, units ? rows.get(1).getFields() : List.of(), mapping);
    List<Column> columns = new ArrayList<>();
    for (int c = 0; c < header.size(); c++) {
      columns.add(column(head, c, samples, dialect.decimalComma()));
    }
    return new LapPreview(columns, head.missing());
  }

  /** Columns of the lap format that a header can be mapped to. */
  public static List<String> choices() {
    return LapColumn.CANONICAL;
  }

  private static Column column(LapHead head, int c, List<CsvRecord> samples, boolean decimalComma) {
    List<String> first = new ArrayList<>();
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (CsvRecord row : samples) {
      String text = c < row.getFieldCount() ? row.getField(c).strip() : "";
      if (first.size() < SHOWN) {
        first.add(text.length() > 24 ? text.substring(0, 24) + "…" : text);
      }
      Double value = number(decimalComma ? text.replace(',', '.') : text);
      if (value != null) {
        least = Math.min(least, value);
        most = Math.max(most, value);
      }
    }
    LapColumn is = head.columns()[c];
    boolean any = least <= most;
    return new Column(
        head.header().get(c),
        is == null ? null : is.name(),
        first,
        any ? least : null,
        any ? most : null);
  }

  private static Double number(String text) {
    try {
      double value = Double.parseDouble(text);
      return Double.isFinite(value) ? value : null;
    } catch (NumberFormatException e) {
      return null;
    }
  }
}
