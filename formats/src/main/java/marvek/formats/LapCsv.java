package marvek.formats;

import com.fasterxml.jackson.core.io.NumberInput;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;

/**
 * Reads a lap CSV (RFC 4180): a header, an optional row of units, then a row a sample. Separators
 * may be commas, semicolons or tabs, decimals points or commas; a byte order mark is passed over.
 */
public final class LapCsv {
  private static final int MOST_COLUMNS = 400;
  private static final int LEAST_ROWS = 10;
  private static final int HEAD_BYTES = 64 * 1024;

  /** Rows with a time that does not go on are dropped, if they are few. */
  private static final double MOST_DROPPED = 0.05;

  private final byte[] bytes;
  private final char separator;
  private final boolean decimalComma;
  private final List<String> corrections = new ArrayList<>();
  private final List<String> used = new ArrayList<>();
  private final List<String> unknown = new ArrayList<>();
  private LapColumn[] columns;
  private double[][] values;
  private int rows;
  private int dropped;
  private long firstDropped;

  private LapCsv(byte[] bytes) {
    this.bytes = bytes;
    String head = new String(bytes, 0, Math.min(bytes.length, HEAD_BYTES), StandardCharsets.UTF_8);
    String first = head.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    this.separator = separatorOf(first);
    this.decimalComma = separator != ',' && head.lines().skip(1).limit(5).anyMatch(LapCsv::comma);
  }

  private static boolean comma(String line) {
    return line.matches(".*\\d,\\d.*");
  }

  private static char separatorOf(String header) {
    char best = ',';
    for (char candidate : new char[] {';', '\t'}) {
      if (count(header, candidate) > count(header, best)) {
        best = candidate;
      }
    }
    return best;
  }

  private static long count(String text, char c) {
    return text.chars().filter(x -> x == c).count();
  }

  /**
   * Reads a file.
   *
   * @throws BadFileException with line and column
   */
  public static LapFile read(byte[] bytes) {
    return new LapCsv(bytes).read();
  }

  private LapFile read() {
    if (bytes.length == 0) {
      throw BadFileException.whole("The file is empty: a header and samples are expected.");
    }
    refuseBinary();
    try (CsvReader<CsvRecord> reader =
        CsvReader.builder()
            .fieldSeparator(separator)
            .detectBomHeader(true)
            .skipEmptyLines(true)
            .allowMissingFields(true)
            .allowExtraFields(true)
            .ofCsvRecord(
                new InputStreamReader(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8))) {
      List<String> header = null;
      for (CsvRecord record : reader) {
        if (header == null) {
          header = header(record);
        } else if (columns == null) {
          boolean units = record.getFields().stream().allMatch(LapColumn::isUnit);
          recognise(header, units ? record.getFields() : List.of());
          if (!units) {
            row(record);
          }
        } else {
          row(record);
        }
      }
    } catch (CsvParseException e) {
      throw BadFileException.whole("This is not a CSV file: " + e.getMessage());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return file();
  }

  private void refuseBinary() {
    int seen = Math.min(bytes.length, HEAD_BYTES);
    for (int i = 0; i < seen; i++) {
      if (bytes[i] == 0) {
        throw BadFileException.whole(
            "This is a binary file, not text. Export the laps as CSV and bring that in.");
      }
    }
  }

  private List<String> header(CsvRecord record) {
    if (record.getFieldCount() > MOST_COLUMNS) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          null,
          record.getFieldCount()
              + " columns; at most "
              + MOST_COLUMNS
              + " are read. Export only the channels that are needed.");
    }
    return record.getFields().stream().map(f -> f.replace("\uFEFF", "").strip()).toList();
  }

  private void recognise(List<String> header, List<String> units) {
    columns = new LapColumn[header.size()];
    for (int c = 0; c < header.size(); c++) {
      String unit = c < units.size() ? units.get(c).replaceAll("[\\[\\]()]", "") : "";
      LapColumn column = LapColumn.of(header.get(c), unit).orElse(null);
      if (column == null || taken(column, c)) {
        unknown.add(header.get(c));
      } else {
        columns[c] = column;
        used.add(header.get(c));
      }
    }
    if (Arrays.stream(columns).noneMatch(c -> c != null && c.isTime())) {
      throw BadFileException.atLine(
          1, "time_s", "no column of times is known; found " + String.join(", ", header) + ".");
    }
    if (!has(Channel.SPEED)) {
      throw BadFileException.atLine(
          1, "speed_kmh", "no column of speeds is known; found " + String.join(", ", header) + ".");
    }
    boolean placed =
        has(Channel.DISTANCE)
            || has(Channel.LATITUDE) && has(Channel.LONGITUDE)
            || has(Channel.X) && has(Channel.Y);
    if (!placed) {
      throw BadFileException.atLine(
          1,
          null,
          "neither a position (lat_deg and lon_deg, or x_m and y_m) nor a distance_m is known;"
              + " found "
              + String.join(", ", header)
              + ".");
    }
    values = new double[columns.length][1024];
  }

  private boolean taken(LapColumn column, int before) {
    return Arrays.stream(columns, 0, before)
        .anyMatch(c -> c != null && c.channel() == column.channel());
  }

  private boolean has(Channel channel) {
    return Arrays.stream(columns).anyMatch(c -> c != null && c.channel() == channel);
  }

  private void row(CsvRecord record) {
    if (rows == values[0].length) {
      for (int c = 0; c < values.length; c++) {
        values[c] = Arrays.copyOf(values[c], rows * 2);
      }
    }
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null) {
        String text = c < record.getFieldCount() ? record.getField(c) : "";
        double value = number(text, record, c);
        values[c][rows] = value * columns[c].factor();
        if (columns[c].isTime() && !goesOn(value * columns[c].factor(), c)) {
          dropped++;
          firstDropped = firstDropped == 0 ? record.getStartingLineNumber() : firstDropped;
          return;
        }
      }
    }
    rows++;
  }

  private boolean goesOn(double time, int c) {
    return !Double.isNaN(time) && (rows == 0 || time > values[c][rows - 1]);
  }

  private double number(String raw, CsvRecord record, int c) {
    String text = raw.strip();
    if (text.isEmpty() || text.equalsIgnoreCase("nan") || text.equals("-")) {
      return Double.NaN;
    }
    try {
      return NumberInput.parseDouble(decimalComma ? text.replace(',', '.') : text, true);
    } catch (NumberFormatException e) {
      String shown = text.length() > 40 ? text.substring(0, 40) + "…" : text;
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          used.isEmpty() ? null : nameOf(c),
          "\"" + shown + "\" is no number.");
    }
  }

  private String nameOf(int c) {
    return columns[c].isTime() ? "time" : columns[c].channel().column();
  }

  private LapFile file() {
    if (columns == null || rows < LEAST_ROWS) {
      throw BadFileException.whole(
          "The file has "
              + rows
              + " samples; at least "
              + LEAST_ROWS
              + " are needed. Was the header alone exported?");
    }
    if (dropped > MOST_DROPPED * (rows + dropped)) {
      throw BadFileException.atLine(
          firstDropped,
          "time",
          "the time does not go on here, nor in "
              + (dropped - 1)
              + " other rows: export the laps in the order they were driven.");
    }
    if (dropped > 0) {
      corrections.add(
          dropped
              + " rows whose time does not go on were left out, the first in line "
              + firstDropped
              + ".");
    }
    double[] time = null;
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null) {
        double[] column = Arrays.copyOf(values[c], rows);
        if (columns[c].isTime()) {
          time = column;
        } else {
          channels.put(columns[c].channel(), column);
        }
      }
    }
    LapSpeeds.check(time, channels, corrections);
    return new LapFile(new Recording(time, channels), used, unknown, corrections);
  }
}
