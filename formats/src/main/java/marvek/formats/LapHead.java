package marvek.formats;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import marvek.core.laps.Channel;

/**
 * What the beginning of a lap file says: how its columns are parted, and what each of them holds.
 *
 * @param columns null where a column means nothing
 */
record LapHead(List<String> header, LapColumn[] columns) {
  private static final int MOST_COLUMNS = 400;
  private static final int HEAD_BYTES = 64 * 1024;

  /** What a column is mapped to that is not to be taken. */
  private static final String NOTHING = "";

  private static final int LONGEST_HEADER = 200;

  /** How a file parts its columns and its decimals. */
  record Dialect(char separator, boolean decimalComma) {
    static Dialect of(byte[] bytes) {
      int seen = Math.min(bytes.length, HEAD_BYTES);
      String head = new String(bytes, 0, seen, StandardCharsets.UTF_8);
      String first = head.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
      char best = ',';
      for (char candidate : new char[] {';', '\t'}) {
        if (count(first, candidate) > count(first, best)) {
          best = candidate;
        }
      }
      boolean comma =
          best != ',' && head.lines().skip(1).limit(5).anyMatch(l -> l.matches(".*\\d,\\d.*"));
      return new Dialect(best, comma);
    }

    private static long count(String text, char c) {
      return text.chars().filter(x -> x == c).count();
    }
  }

  /** Refuses what is no text. */
  static void refuseBinary(byte[] bytes) {
    if (bytes.length == 0) {
      throw BadFileException.whole("The file is empty: a header and samples are expected.");
    }
    for (int i = 0; i < Math.min(bytes.length, HEAD_BYTES); i++) {
      if (bytes[i] == 0) {
        throw BadFileException.whole(
            "This is a binary file, not text. Export the laps as CSV and bring that in.");
      }
    }
  }

  /** Names of a header row, cleaned of what is not seen. */
  static List<String> names(List<String> fields, long line) {
    if (fields.size() > MOST_COLUMNS) {
      throw BadFileException.atLine(
          line,
          null,
          fields.size()
              + " columns; at most "
              + MOST_COLUMNS
              + " are read. Export only the channels that are needed.");
    }
    return fields.stream().map(f -> named(f.replace("\uFEFF", "").strip(), line)).toList();
  }

  private static String named(String header, long line) {
    if (header.length() > LONGEST_HEADER) {
      throw BadFileException.atLine(
          line,
          null,
          "a header of "
              + header.length()
              + " characters; at most "
              + LONGEST_HEADER
              + " are read. Is this the row of headers?");
    }
    return header;
  }

  /** Whether a row is one of units. */
  static boolean isUnits(List<String> fields) {
    return fields.stream().allMatch(LapColumn::isUnit);
  }

  /**
   * What the columns hold: as they are mapped, or else as their names say.
   *
   * @param units a row of units, or empty
   * @param mapping column of the lap format by header; an empty text leaves a column out
   * @throws BadFileException if a header is mapped to what is no column of the format
   */
  static LapHead of(List<String> header, List<String> units, Map<String, String> mapping) {
    LapColumn[] columns = new LapColumn[header.size()];
    for (int c = 0; c < columns.length; c++) {
      String name = header.get(c);
      if (!mapping.containsKey(name)) {
        continue;
      }
      String to = mapping.get(name);
      if (!NOTHING.equals(to)) {
        columns[c] =
            LapColumn.canonical(to)
                .orElseThrow(
                    () ->
                        BadFileException.atLine(
                            1, name, "is mapped to " + to + ", which is no column of laps."));
      }
    }
    for (int c = 0; c < columns.length; c++) {
      String unit = c < units.size() ? units.get(c).replaceAll("[\\[\\]()]", "") : "";
      LapColumn known = LapColumn.of(header.get(c), unit).orElse(null);
      if (columns[c] == null && !mapping.containsKey(header.get(c)) && !has(columns, known)) {
        columns[c] = known;
      }
    }
    return new LapHead(header, columns);
  }

  private static boolean has(LapColumn[] columns, LapColumn wanted) {
    return wanted != null
        && Arrays.stream(columns).anyMatch(c -> c != null && c.channel() == wanted.channel());
  }

  private boolean has(Channel channel) {
    return has(columns, new LapColumn(channel, 1, false));
  }

  /** What a file needs and does not have, in words; empty where it can be read. */
  List<String> missing() {
    List<String> missing = new ArrayList<>();
    if (!has((Channel) null)) {
      missing.add("no column of times is known");
    }
    if (!has(Channel.SPEED)) {
      missing.add("no column of speeds is known");
    }
    boolean placed =
        has(Channel.DISTANCE)
            || has(Channel.LATITUDE) && has(Channel.LONGITUDE)
            || has(Channel.X) && has(Channel.Y);
    if (!placed) {
      missing.add(
          "neither a position (lat_deg and lon_deg, or x_m and y_m) nor a distance_m is known");
    }
    return missing;
  }

  /** Refuses a file that lacks what is needed. */
  LapHead checked() {
    for (String words : missing()) {
      throw BadFileException.atLine(
          1, null, words + "; found " + String.join(", ", header) + ". Say which column it is.");
    }
    return this;
  }

  List<String> used() {
    return named(true);
  }

  List<String> unknown() {
    return named(false);
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
}
