package marvek.formats;

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
  private static final int LEAST_ROWS = 10;

  /** Rows with a time that does not go on are dropped, if they are few. */
  private static final double MOST_DROPPED = 0.05;

  private final byte[] bytes;
  private final LapHead.Dialect dialect;
  private final Map<String, String> mapping;
  private final List<String> corrections = new ArrayList<>();
  private LapHead head;
  private LapColumn[] columns;
  private double[][] values;
  private int rows;
  private int dropped;
  private long firstDropped;

  private LapCsv(byte[] bytes, Map<String, String> mapping) {
    this.bytes = bytes;
    this.mapping = mapping;
    this.dialect = LapHead.Dialect.of(bytes);
  }

  /**
   * Reads a file whose header says what its columns are.
   *
   * @throws BadFileException with line and column
   */
  public static LapFile read(byte[] bytes) {
    return read(bytes, Map.of());
  }

  /**
   * Reads a file.
   *
   * @param mapping column of the lap format by header, for those whose names do not say it; an
   *     empty text leaves a column out
   * @throws BadFileException with line and column
   */
  public static LapFile read(byte[] bytes, Map<String, String> mapping) {
    LapHead.refuseBinary(bytes);
    return new LapCsv(bytes, mapping).read();
  }

  static CsvReader<CsvRecord> reader(byte[] bytes, LapHead.Dialect dialect) {
    return CsvReader.builder()
        .fieldSeparator(dialect.separator())
        .detectBomHeader(true)
        .skipEmptyLines(true)
        .allowMissingFields(true)
        .allowExtraFields(true)
        .build(
            CsvBounds.records(),
            new InputStreamReader(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8));
  }

  private LapFile read() {
    try (CsvReader<CsvRecord> reader = reader(bytes, dialect)) {
      List<String> header = null;
      for (CsvRecord record : reader) {
        if (header == null) {
          header = LapHead.names(record.getFields(), record.getStartingLineNumber());
        } else if (columns == null) {
          boolean units = LapHead.isUnits(record.getFields());
          head = LapHead.of(header, units ? record.getFields() : List.of(), mapping).checked();
          columns = head.columns();
          values = new double[columns.length][1024];
          if (!units) {
            row(record);
          }
        } else {
          row(record);
        }
      }
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return file();
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
    try {
      return LapNumber.of(raw, dialect.decimalComma() ? ',' : '.');
    } catch (NumberFormatException e) {
      String text = raw.strip();
      String shown = text.length() > 40 ? text.substring(0, 40) + "…" : text;
      throw BadFileException.atLine(
          record.getStartingLineNumber(), columns[c].name(), "\"" + shown + "\" is no number.");
    }
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
          LapPedals.check(columns[c], column, corrections);
        }
      }
    }
    LapSpeeds.check(time, channels, corrections);
    return new LapFile(new Recording(time, channels), head.used(), head.unknown(), corrections);
  }
}
