package marvek.formats;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Survey;
import marvek.core.say.Sentence;

/**
 * Reads a centreline CSV: a circuit as points with widths, closed unless a comment before the
 * header says {@code # closed: false}.
 */
public final class CentrelineCsv {
  private static final List<String> NEEDED = List.of("x_m", "y_m", "width_left_m", "width_right_m");
  private static final List<String> OPTIONAL = List.of("z_m", "banking_deg");

  /** Format's own range of spacing; outside of it the reader warns. */
  private static final double LEAST_SPACING_M = 0.5;

  private static final double LARGEST_SPACING_M = 25;

  private final List<Sentence> warnings = new ArrayList<>();
  private final List<Long> lines = new ArrayList<>();
  private final List<double[]> rows = new ArrayList<>();
  private List<String> header;
  private boolean closed = true;

  private static final Pattern CLOSED =
      Pattern.compile("#\\s*closed\\s*[:=]\\s*(\\S+)", Pattern.CASE_INSENSITIVE);

  private CentrelineCsv() {}

  /**
   * Reads a file.
   *
   * @param name what to call the circuit
   * @throws BadFileException with line and column
   */
  public static Imported<Circuit> read(byte[] bytes, String name) {
    return new CentrelineCsv().readFile(bytes, name);
  }

  /** Whether the header of a file is that of a centreline CSV. */
  static boolean isOne(byte[] bytes) {
    String header =
        JsonFiles.text(bytes)
            .lines()
            .map(String::strip)
            .filter(line -> !line.isEmpty() && !line.startsWith("#"))
            .findFirst()
            .orElse("");
    List<String> names = Arrays.stream(header.split(",")).map(String::strip).toList();
    return names.containsAll(NEEDED);
  }

  private Imported<Circuit> readFile(byte[] bytes, String name) {
    readClosed(JsonFiles.text(bytes));
    parse(JsonFiles.text(bytes));
    if (closed) {
      dropRepeatedFirstPoint();
    }
    Survey survey = survey();
    checkSpacing(survey);
    return new Imported<>(Circuit.bare(name, survey), warnings);
  }

  /** What the comments before the header say. */
  private void readClosed(String text) {
    int number = 0;
    for (String line : text.lines().map(String::strip).toList()) {
      number++;
      if (!line.isEmpty() && !line.startsWith("#")) {
        return;
      }
      Matcher said = CLOSED.matcher(line);
      if (said.matches()) {
        closed = yes(said.group(1), number);
      }
    }
  }

  private static boolean yes(String word, int line) {
    return switch (word.toLowerCase(Locale.ROOT)) {
      case "true", "yes" -> true;
      case "false", "no" -> false;
      default ->
          throw BadFileException.atLine(line, null, Sentence.of("file.closed-word", "given", word));
    };
  }

  private void parse(String text) {
    try (CsvReader<CsvRecord> reader =
        CsvReader.builder()
            .commentStrategy(CommentStrategy.SKIP)
            .commentCharacter('#')
            .skipEmptyLines(true)
            .allowMissingFields(true)
            .allowExtraFields(true)
            .build(CsvBounds.records(), text)) {
      for (CsvRecord record : reader) {
        if (header == null) {
          readHeader(record);
        } else {
          readRow(record);
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    if (header == null) {
      throw BadFileException.whole(Sentence.of("file.no-points-at-all"));
    }
  }

  private void readHeader(CsvRecord record) {
    header = record.getFields().stream().map(String::strip).toList();
    for (String column : NEEDED) {
      if (!header.contains(column)) {
        throw BadFileException.atLine(
            record.getStartingLineNumber(),
            column,
            Sentence.of("file.column-missing", "found", String.join(", ", header)));
      }
    }
    for (String column : header) {
      if (header.indexOf(column) != header.lastIndexOf(column)) {
        throw BadFileException.atLine(
            record.getStartingLineNumber(), column, Sentence.of("file.column-twice"));
      }
      if (!NEEDED.contains(column) && !OPTIONAL.contains(column)) {
        warnings.add(Sentence.of("circuit.column-unknown", "column", column));
      }
    }
    for (String column : OPTIONAL) {
      if (!header.contains(column)) {
        warnings.add(Sentence.of("circuit.column-missing", "column", column));
      }
    }
  }

  private void readRow(CsvRecord record) {
    if (record.getFieldCount() != header.size()) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          null,
          Sentence.of(
              "file.values-count", "values", record.getFieldCount(), "columns", header.size()));
    }
    double[] row = new double[6];
    for (int c = 0; c < 6; c++) {
      row[c] = value(record, columnName(c));
    }
    lines.add(record.getStartingLineNumber());
    rows.add(row);
  }

  private static String columnName(int c) {
    return switch (c) {
      case 0 -> "x_m";
      case 1 -> "y_m";
      case 2 -> "z_m";
      case 3 -> "width_left_m";
      case 4 -> "width_right_m";
      default -> "banking_deg";
    };
  }

  private double value(CsvRecord record, String column) {
    int at = header.indexOf(column);
    if (at < 0) {
      return 0;
    }
    String field = record.getField(at).strip();
    try {
      return Double.parseDouble(field);
    } catch (NumberFormatException e) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          column,
          Sentence.of(
              field.contains(",") ? "file.decimal-comma" : "file.no-number", "given", field));
    }
  }

  private void dropRepeatedFirstPoint() {
    int n = rows.size();
    if (n > 4) {
      double[] first = rows.get(0);
      double[] last = rows.get(n - 1);
      if (Math.hypot(first[0] - last[0], first[1] - last[1]) < Survey.MIN_SPACING_M) {
        rows.remove(n - 1);
        warnings.add(Sentence.of("circuit.last-repeats"));
      }
    }
  }

  private Survey survey() {
    try {
      double[] banking = column(5);
      for (int i = 0; i < banking.length; i++) {
        banking[i] = Math.toRadians(banking[i]);
      }
      return new Survey(column(0), column(1), column(2), column(3), column(4), banking, closed);
    } catch (InvalidValueException e) {
      if (e.index() >= 0) {
        String column = header.contains(e.field()) ? e.field() : null;
        throw BadFileException.atLine(lines.get(e.index()), column, e);
      }
      throw BadFileException.whole(e);
    }
  }

  private double[] column(int c) {
    return rows.stream().mapToDouble(row -> row[c]).toArray();
  }

  private void checkSpacing(Survey survey) {
    double[] chords = new double[closed ? survey.size() : survey.size() - 1];
    for (int i = 0; i < chords.length; i++) {
      chords[i] = survey.chord(i);
    }
    Arrays.sort(chords);
    if (chords[0] < LEAST_SPACING_M || chords[chords.length - 1] > LARGEST_SPACING_M) {
      warnings.add(
          Sentence.of(
              "circuit.spacing", "least_m", chords[0], "most_m", chords[chords.length - 1]));
    }
  }
}
