package marvek.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * Points of a road from a table whose columns have any names: a logger's laps, or a survey. Which
 * column is what, the names say, or else whoever brings the file in.
 */
public final class RoadTable {
  private static final int MOST_POINTS = 1_000_000;

  private final List<String> header;
  private final RoadColumn[] columns;

  /** In the order of the file; NaN where a cell is empty. */
  private final Map<RoadColumn.Quantity, List<Double>> values =
      new EnumMap<>(RoadColumn.Quantity.class);

  private final List<Integer> lines = new ArrayList<>();

  private RoadTable(List<String> header, RoadColumn[] columns) {
    this.header = header;
    this.columns = columns;
    for (RoadColumn column : columns) {
      if (column != null) {
        values.put(column.quantity(), new ArrayList<>());
      }
    }
  }

  /**
   * The beginning of such a file, for somebody to say what its columns are.
   *
   * @param columns in the order of the file
   * @param missing what is still needed, by the names of columns; empty where it can be read
   */
  public record Preview(List<Column> columns, List<String> missing) {}

  /**
   * A column.
   *
   * @param is what it is taken for; null where it is left out
   * @param first its first values as they stand in the file
   */
  public record Column(String header, @Nullable String is, List<String> first) {}

  /**
   * Reads a file.
   *
   * @param mapping column of {@link RoadColumn#ALL} by header; an empty text leaves a column out
   * @throws BadFileException with line and column
   */
  static RoadTable read(byte[] bytes, Map<String, String> mapping) {
    CsvText text = CsvText.of(FileText.of(bytes));
    RoadTable table = null;
    try (CsvReader<CsvRecord> reader = text.reader()) {
      for (CsvRecord record : reader) {
        if (table == null) {
          table = headed(record, mapping);
          table.checkWhole();
        } else if (!table.lines.isEmpty() || !Units.isRow(record.getFields())) {
          table.row(record, text.point());
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (table == null || table.lines.isEmpty()) {
      throw BadFileException.whole(Sentence.of("file.no-points"));
    }
    return table;
  }

  static Preview preview(byte[] bytes, Map<String, String> mapping, int shown) {
    RoadTable table = null;
    List<CsvRecord> first = new ArrayList<>();
    try (CsvReader<CsvRecord> reader = CsvText.of(FileText.of(bytes)).reader()) {
      for (CsvRecord record : reader) {
        if (table == null) {
          table = headed(record, mapping);
        } else if (first.size() < shown) {
          first.add(record);
        } else {
          break;
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (table == null) {
      throw BadFileException.whole(Sentence.of("file.no-points-at-all"));
    }
    List<Column> columns = new ArrayList<>();
    for (int c = 0; c < table.columns.length; c++) {
      columns.add(table.column(c, first));
    }
    return new Preview(columns, table.missing());
  }

  private Column column(int c, List<CsvRecord> rows) {
    List<String> first = rows.stream().map(row -> CsvText.shown(CsvText.cell(row, c), 24)).toList();
    return new Column(header.get(c), columns[c] == null ? null : columns[c].name(), first);
  }

  private static RoadTable headed(CsvRecord record, Map<String, String> mapping) {
    List<String> header = CsvText.names(record);
    RoadColumn[] columns = new RoadColumn[header.size()];
    Set<RoadColumn.Quantity> taken = new HashSet<>();
    for (int c = 0; c < columns.length; c++) {
      String to = mapping.get(header.get(c));
      if (to != null && !to.isEmpty()) {
        String name = header.get(c);
        columns[c] =
            RoadColumn.canonical(to)
                .orElseThrow(
                    () ->
                        BadFileException.atLine(
                            1, name, Sentence.of("file.mapped-to-nothing-of-roads", "given", to)));
        if (!taken.add(columns[c].quantity())) {
          throw BadFileException.atLine(1, name, Sentence.of("file.second-column", "given", to));
        }
      }
    }
    for (int c = 0; c < columns.length; c++) {
      RoadColumn known = RoadColumn.of(header.get(c)).orElse(null);
      if (columns[c] == null
          && !mapping.containsKey(header.get(c))
          && known != null
          && taken.add(known.quantity())) {
        columns[c] = known;
      }
    }
    return new RoadTable(header, columns);
  }

  boolean has(RoadColumn.Quantity quantity) {
    return values.containsKey(quantity);
  }

  /** Whether the points are latitudes and longitudes and not metres. */
  boolean onEarth() {
    return has(RoadColumn.Quantity.LATITUDE) && has(RoadColumn.Quantity.LONGITUDE);
  }

  /** Whether each point says how wide the road is. */
  boolean hasWidths() {
    return has(RoadColumn.Quantity.WIDTH)
        || has(RoadColumn.Quantity.WIDTH_LEFT) && has(RoadColumn.Quantity.WIDTH_RIGHT);
  }

  private List<String> missing() {
    boolean plane = has(RoadColumn.Quantity.X) && has(RoadColumn.Quantity.Y);
    return plane || onEarth() ? List.of() : List.of("x_m", "y_m", "lat_deg", "lon_deg");
  }

  private void checkWhole() {
    if (!missing().isEmpty()) {
      throw BadFileException.atLine(
          1, null, Sentence.of("file.no-position-columns", "found", String.join(", ", header)));
    }
  }

  private void row(CsvRecord record, char point) {
    if (lines.size() == MOST_POINTS) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          null,
          Sentence.of("file.points-most", "most", MOST_POINTS));
    }
    double[] row = new double[columns.length];
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null) {
        row[c] = number(record, c, point) * columns[c].factor();
        if (Double.isNaN(row[c])) {
          switch (columns[c].quantity()) {
            // A logger writes a row for each of its channels: those without a position are not
            // ours.
            case X, Y, LATITUDE, LONGITUDE -> {
              return;
            }
            case WIDTH, WIDTH_LEFT, WIDTH_RIGHT ->
                throw BadFileException.atLine(
                    record.getStartingLineNumber(), header.get(c), Sentence.of("file.width-empty"));
            default -> {
              // Without a height or a banking a point is one all the same.
            }
          }
        }
      }
    }
    if (noFix(row)) {
      return;
    }
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null) {
        values.get(columns[c].quantity()).add(row[c]);
      }
    }
    lines.add((int) record.getStartingLineNumber());
  }

  /** Before a receiver knows where it is, it often writes 0, 0: a place in the sea. */
  private boolean noFix(double[] row) {
    if (!onEarth()) {
      return false;
    }
    for (int c = 0; c < columns.length; c++) {
      RoadColumn.Quantity of = columns[c] == null ? null : columns[c].quantity();
      boolean degrees = of == RoadColumn.Quantity.LATITUDE || of == RoadColumn.Quantity.LONGITUDE;
      if (degrees && row[c] != 0) {
        return false;
      }
    }
    return true;
  }

  private double number(CsvRecord record, int c, char point) {
    String text = CsvText.cell(record, c);
    try {
      return CellNumber.of(text, point);
    } catch (NumberFormatException e) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          header.get(c),
          Sentence.of("file.no-number", "given", CsvText.shown(text, 40)));
    }
  }

  int size() {
    return lines.size();
  }

  /** Line of the file that a point stands in. */
  int lineAt(int point) {
    return lines.get(point);
  }

  /** A value of a point, in metres or degrees; NaN where the table has no such column. */
  double at(RoadColumn.Quantity quantity, int point) {
    return has(quantity) ? values.get(quantity).get(point) : Double.NaN;
  }
}
