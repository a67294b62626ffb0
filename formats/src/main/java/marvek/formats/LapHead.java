package marvek.formats;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import marvek.core.laps.Channel;
import marvek.core.say.Sentence;

/**
 * What the beginning of a lap file says: where its row of headers stands below whatever stands
 * above it, and what each of its columns holds.
 *
 * @param line of the row of headers, counted from 1
 * @param samplesFrom line of the first row of samples
 * @param columns null where a column means nothing
 */
record LapHead(List<String> header, LapColumn[] columns, long line, long samplesFrom) {
  /** So many rows are looked at for the headers: what loggers write above them is shorter. */
  private static final int ROWS = 120;

  /** Rows of units or of sources between headers and samples. */
  private static final int MOST_BETWEEN = 4;

  /** What a column is mapped to that is not to be taken. */
  private static final String NOTHING = "";

  /**
   * Finds the row of headers.
   *
   * @param mapping column of the lap format by header; an empty text leaves a column out
   * @param headerLine where somebody points at; 0 to find it
   * @throws BadFileException if there is none at that line, or a header is mapped to nothing known
   */
  static LapHead of(CsvText text, Map<String, String> mapping, long headerLine) {
    List<CsvRecord> rows = text.first(ROWS);
    if (rows.isEmpty()) {
      throw BadFileException.whole(Sentence.of("file.no-samples"));
    }
    int at = headerLine > 0 ? pointed(rows, headerLine) : found(rows, mapping, text.point());
    List<String> header = CsvText.names(rows.get(at));
    int next = at + 1;
    List<String> units = List.of();
    while (next < rows.size()
        && next - at <= MOST_BETWEEN
        && numbers(rows.get(next), text.point()) == 0
        && isAside(rows.get(next))) {
      units =
          units.isEmpty() && rows.get(next).getFields().stream().anyMatch(Units::isKnown)
              ? rows.get(next).getFields()
              : units;
      next++;
    }
    long line = rows.get(at).getStartingLineNumber();
    long samples = next < rows.size() ? rows.get(next).getStartingLineNumber() : Long.MAX_VALUE;
    return new LapHead(header, columns(header, units, mapping, line), line, samples);
  }

  private static int pointed(List<CsvRecord> rows, long line) {
    for (int r = 0; r < rows.size(); r++) {
      if (rows.get(r).getStartingLineNumber() == line) {
        return r;
      }
    }
    throw BadFileException.atLine(line, null, Sentence.of("file.no-header-here"));
  }

  /** The row with the most names that are known; without one the last before the numbers begin. */
  private static int found(List<CsvRecord> rows, Map<String, String> mapping, char point) {
    int best = -1;
    long most = 1;
    for (int r = 0; r < rows.size(); r++) {
      List<String> fields = rows.get(r).getFields();
      boolean words = numbers(rows.get(r), point) * 3 < fields.size();
      long known =
          fields.stream()
              .map(String::strip)
              .filter(f -> mapping.containsKey(f) || LapColumn.of(clean(f), "").isPresent())
              .count();
      if (words && fields.size() > 1 && known > most) {
        most = known;
        best = r;
      }
    }
    if (best >= 0) {
      return best;
    }
    for (int r = 0; r + 1 < rows.size(); r++) {
      int fields = rows.get(r + 1).getFieldCount();
      boolean samples = fields > 1 && numbers(rows.get(r + 1), point) * 2 > fields;
      boolean alike = rows.get(r).getFieldCount() == fields;
      if (samples && alike && numbers(rows.get(r), point) == 0) {
        return r;
      }
    }
    if (numbers(rows.get(0), point) * 2 > rows.get(0).getFieldCount()) {
      throw BadFileException.atLine(1, null, Sentence.of("file.no-header"));
    }
    return 0;
  }

  private static String clean(String field) {
    return field.length() > 200 ? "" : field.replace("\uFEFF", "").replaceFirst("^#\\s*", "");
  }

  /** Whether a row below the headers says something about the columns and is no sample. */
  private static boolean isAside(CsvRecord row) {
    return row.getFields().stream().anyMatch(f -> !f.isBlank() && !ClockCell.isTime(f));
  }

  private static long numbers(CsvRecord row, char point) {
    return row.getFields().stream().filter(f -> isNumber(f, point)).count();
  }

  private static boolean isNumber(String field, char point) {
    try {
      return !Double.isNaN(CellNumber.of(field, point)) || ClockCell.isTime(field);
    } catch (NumberFormatException e) {
      return ClockCell.isTime(field) || AngleCell.isAngle(field);
    }
  }

  private static LapColumn[] columns(
      List<String> header, List<String> units, Map<String, String> mapping, long line) {
    LapColumn[] columns = new LapColumn[header.size()];
    for (int c = 0; c < columns.length; c++) {
      String name = header.get(c);
      String to = mapping.getOrDefault(name, NOTHING);
      if (!NOTHING.equals(to)) {
        columns[c] =
            LapColumn.canonical(to)
                .orElseThrow(
                    () ->
                        BadFileException.atLine(
                            line,
                            name,
                            Sentence.of("file.mapped-to-nothing-of-laps", "given", to)));
      }
    }
    for (int c = 0; c < columns.length; c++) {
      String unit = c < units.size() ? units.get(c) : "";
      LapColumn known = LapColumn.of(clean(header.get(c)), unit).orElse(null);
      if (known == null || columns[c] != null || mapping.containsKey(header.get(c))) {
        continue;
      }
      int other = indexOf(columns, known.channel());
      boolean better =
          other >= 0
              && !mapping.containsKey(header.get(other))
              && known.rank() < columns[other].rank();
      if (better) {
        columns[other] = null;
      }
      if (better || other < 0) {
        columns[c] = known;
      }
    }
    return columns;
  }

  private static int indexOf(LapColumn[] columns, Channel channel) {
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null && columns[c].channel() == channel) {
        return c;
      }
    }
    return -1;
  }

  private boolean has(Channel channel) {
    return indexOf(columns, channel) >= 0;
  }

  /** What a recording needs to be laps. */
  private enum Need {
    TIMES("laps.without-times", "file.without-times"),
    SPEEDS("laps.without-speeds", "file.without-speeds"),
    WAY("laps.without-way", "file.without-way");

    private final String said;
    private final String refused;

    Need(String said, String refused) {
      this.said = said;
      this.refused = refused;
    }
  }

  /** What the file does not have; empty where it can be read. */
  private List<Need> lacking() {
    List<Need> lacking = new ArrayList<>();
    if (!has(null)) {
      lacking.add(Need.TIMES);
    }
    boolean position =
        has(Channel.LATITUDE) && has(Channel.LONGITUDE) || has(Channel.X) && has(Channel.Y);
    if (!has(Channel.SPEED) && !position) {
      lacking.add(Need.SPEEDS);
    }
    if (!has(Channel.DISTANCE) && !position) {
      lacking.add(Need.WAY);
    }
    return lacking;
  }

  /** The same in sentences. */
  List<Sentence> missing() {
    return lacking().stream().map(need -> Sentence.of(need.said)).toList();
  }

  /** Refuses a file that lacks what is needed. */
  LapHead checked() {
    for (Need need : lacking()) {
      throw BadFileException.atLine(
          line, null, Sentence.of(need.refused, "found", String.join(", ", header)));
    }
    return this;
  }

  List<String> used() {
    return named(true);
  }

  List<String> unknown() {
    return named(false);
  }

  /** Whether a row is that of the headers once more, as files that were joined have it. */
  boolean isRepeatedBy(CsvRecord record) {
    String first = header.get(0);
    return record.getFieldCount() == header.size()
        && !first.isEmpty()
        && record.getField(0).length() >= first.length()
        && record.getField(0).strip().equals(first)
        && record.getFields().stream().map(String::strip).toList().equals(header);
  }

  private List<String> named(boolean taken) {
    List<String> names = new ArrayList<>();
    for (int c = 0; c < columns.length; c++) {
      if ((columns[c] != null) == taken) {
        names.add(header.get(c));
      }
    }
    return names;
  }

  @Override
  public String toString() {
    return "headers in line " + line + ": " + Arrays.toString(columns);
  }
}
