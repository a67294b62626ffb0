package marvek.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import marvek.core.say.Sentence;

/**
 * A text of rows and columns: how its columns are parted, found from many lines, because the first
 * ones are often no table yet.
 *
 * @param decimalComma whether a comma parts the decimals of its numbers
 */
record CsvText(FileText text, char separator, boolean decimalComma) {
  private static final int LINES = 200;
  private static final int RECORDS = 60;
  private static final int MOST_COLUMNS = 400;
  private static final int LONGEST_HEADER = 200;
  private static final Pattern COMMA_NUMBER = Pattern.compile("[-+]?\\d+,\\d+");

  static CsvText of(FileText text) {
    char separator = separator(text.head());
    CsvText plain = new CsvText(text, separator, false);
    return new CsvText(text, separator, plain.hasDecimalCommas());
  }

  /** Semicolons, tabs and bars part columns wherever most lines have them; else commas do. */
  private static char separator(String head) {
    List<String> lines = head.lines().filter(line -> !line.isBlank()).limit(LINES).toList();
    char best = ',';
    double most = 0;
    for (char candidate : new char[] {'\t', ';', '|'}) {
      double share =
          lines.stream().filter(line -> count(line, candidate) > 0).count()
              / (double) Math.max(1, lines.size());
      if (share > 0.5 && share > most) {
        most = share;
        best = candidate;
      }
    }
    return best;
  }

  private static int count(String line, char c) {
    boolean quoted = false;
    int count = 0;
    for (int i = 0; i < line.length(); i++) {
      quoted ^= line.charAt(i) == '"';
      count += !quoted && line.charAt(i) == c ? 1 : 0;
    }
    return count;
  }

  private boolean hasDecimalCommas() {
    return first(RECORDS).stream()
        .flatMap(record -> record.getFields().stream())
        .anyMatch(field -> COMMA_NUMBER.matcher(field.strip()).matches());
  }

  char point() {
    return decimalComma ? ',' : '.';
  }

  /** Its first rows that are not empty. */
  List<CsvRecord> first(int count) {
    List<CsvRecord> records = new ArrayList<>();
    try (CsvReader<CsvRecord> reader = reader()) {
      for (CsvRecord record : reader) {
        records.add(record);
        if (records.size() >= count) {
          break;
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return records;
  }

  /** All of its rows that are not empty; the caller closes it. */
  CsvReader<CsvRecord> reader() {
    return CsvReader.builder()
        .fieldSeparator(separator)
        .skipEmptyLines(true)
        .allowMissingFields(true)
        .allowExtraFields(true)
        .build(CsvBounds.records(), text.reader());
  }

  /**
   * Names of a header row, cleaned of what is not seen.
   *
   * @throws BadFileException if they are too many, or one is too long
   */
  static List<String> names(CsvRecord record) {
    long line = record.getStartingLineNumber();
    List<String> fields = record.getFields();
    if (fields.size() > MOST_COLUMNS) {
      throw BadFileException.atLine(
          line,
          null,
          Sentence.of("file.columns-count", "columns", fields.size(), "most", MOST_COLUMNS));
    }
    return fields.stream().map(field -> named(field, line)).toList();
  }

  private static String named(String field, long line) {
    String header = field.replace("\uFEFF", "").strip();
    if (header.length() > LONGEST_HEADER) {
      throw BadFileException.atLine(
          line,
          null,
          Sentence.of("file.header-length", "length", header.length(), "most", LONGEST_HEADER));
    }
    return header;
  }

  /** A cell's text; empty where the row is shorter. */
  static String cell(CsvRecord record, int column) {
    return column < record.getFieldCount() ? record.getField(column) : "";
  }

  /** A text as it can be shown: no more of it than tells which it is. */
  static String shown(String text, int letters) {
    String plain = text.strip();
    return plain.length() > letters ? plain.substring(0, letters) + "…" : plain;
  }
}
