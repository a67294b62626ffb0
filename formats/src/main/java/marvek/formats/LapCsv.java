package marvek.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.laps.Samples;
import marvek.core.laps.SamplesBuilder;
import marvek.core.say.Sentence;

/**
 * Reads a lap CSV (RFC 4180): rows of any kind, a header, rows of units, then a row a sample.
 * Separators may be commas, semicolons, tabs or bars, decimals points or commas.
 */
public final class LapCsv {
  private static final int LEAST_ROWS = 10;

  /** Eleven hours at a hundred samples a second. */
  private static final int MOST_ROWS = 4_000_000;

  /** So few cells that are no numbers are slips of a logger; more of them are another thing. */
  private static final double MOST_WORDS = 0.005;

  private final CsvText text;
  private final Map<String, String> mapping;
  private final long headerLine;
  private final List<Sentence> corrections = new ArrayList<>();
  private LapHead head;
  private LapColumn[] columns;
  private int[] taken;
  private double[] factors;
  private SamplesBuilder[] values;
  private Words[] words;
  private boolean clockOfColons;
  private int rows;

  /** Cells of a column that are no numbers. */
  private static final class Words {
    private int count;
    private long firstLine;
    private String first = "";
  }

  private LapCsv(FileText text, Map<String, String> mapping, long headerLine) {
    this.text = CsvText.of(text);
    this.mapping = mapping;
    this.headerLine = headerLine;
    corrections.addAll(text.told());
  }

  /**
   * Reads a file whose header says what its columns are.
   *
   * @throws BadFileException with line and column
   */
  public static LapFile read(byte[] bytes) {
    return read(bytes, Map.of());
  }

  /** Reads bytes in memory; see {@link #read(FileText, Map, long)}. */
  public static LapFile read(byte[] bytes, Map<String, String> mapping) {
    return read(FileText.of(bytes), mapping, 0);
  }

  /**
   * Reads a file.
   *
   * @param mapping column of the lap format by header, for those whose names do not say it; an
   *     empty text leaves a column out
   * @param headerLine line of the row of headers; 0 to find it
   * @throws BadFileException with line and column
   */
  public static LapFile read(FileText text, Map<String, String> mapping, long headerLine) {
    return new LapCsv(text, mapping, headerLine).read();
  }

  private LapFile read() {
    head = LapHead.of(text, mapping, headerLine).checked();
    columns = head.columns();
    values = new SamplesBuilder[columns.length];
    words = new Words[columns.length];
    taken = IntStream.range(0, columns.length).filter(c -> columns[c] != null).toArray();
    factors = new double[columns.length];
    for (int c = 0; c < columns.length; c++) {
      values[c] = columns[c] == null ? null : new SamplesBuilder(columns[c].channel());
      factors[c] = columns[c] == null ? 1 : columns[c].factor();
      words[c] = new Words();
    }
    if (head.line() > 1) {
      corrections.add(Sentence.of("laps.header-line", "line", head.line()));
    }
    try {
      RowsAhead.each(text, this::sample);
    } catch (CsvParseException e) {
      throw CsvBounds.notCsv(e);
    }
    return file();
  }

  private void sample(CsvRecord record) {
    boolean below = rows > 0 || record.getStartingLineNumber() >= head.samplesFrom();
    if (!below || head.isRepeatedBy(record)) {
      return;
    }
    if (rows == MOST_ROWS) {
      throw BadFileException.atLine(
          record.getStartingLineNumber(),
          null,
          Sentence.of("file.samples-most", "most", MOST_ROWS));
    }
    for (int c : taken) {
      values[c].add(number(CsvText.cell(record, c), record, c) * factors[c]);
    }
    rows++;
  }

  private double number(String cell, CsvRecord record, int c) {
    try {
      return CellNumber.of(cell, text.point());
    } catch (NumberFormatException e) {
      double other = otherForm(cell, columns[c]);
      if (Double.isNaN(other)) {
        Words no = words[c];
        no.count++;
        if (no.count == 1) {
          no.firstLine = record.getStartingLineNumber();
          no.first = CsvText.shown(cell, 40);
        }
      }
      return other;
    }
  }

  /** A cell that is a time, an angle or a gear, in the unit that the column's factor is for. */
  private double otherForm(String cell, LapColumn column) {
    if (column.isTime()) {
      double time = ClockCell.of(cell);
      clockOfColons |= !Double.isNaN(time);
      return time / column.factor();
    }
    return switch (column.channel()) {
      case LATITUDE, LONGITUDE -> AngleCell.of(cell);
      case GEAR -> gear(cell.strip().toUpperCase(Locale.ROOT));
      default -> Double.NaN;
    };
  }

  private static double gear(String cell) {
    return switch (cell) {
      case "N" -> 0;
      case "R" -> -1;
      default ->
          cell.matches("\\d(ST|ND|RD|TH)|[GD]\\d")
              ? cell.replaceAll("\\D", "").charAt(0) - '0'
              : Double.NaN;
    };
  }

  private LapFile file() {
    if (rows < LEAST_ROWS) {
      throw BadFileException.whole(
          Sentence.of("file.samples-few", "given", rows, "least", LEAST_ROWS));
    }
    for (int c = 0; c < columns.length; c++) {
      checkWords(c);
    }
    LapClock.Running clock = clock();
    Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null && !columns[c].isTime()) {
        Samples samples = values[c].build(clock.kept());
        channels.put(columns[c].channel(), LapPedals.checked(columns[c], samples, corrections));
      }
      values[c] = null;
    }
    Recording recording = new Recording(clock.timeS(), channels, clock.breaks());
    if (recording.has(Channel.SPEED)) {
      recording = LapSpeeds.checked(recording, head.samplesFrom(), corrections);
    }
    return new LapFile(recording, head.used(), head.unknown(), corrections);
  }

  private LapClock.Running clock() {
    int at = 0;
    while (columns[at] == null || !columns[at].isTime()) {
      at++;
    }
    BitSet all = new BitSet();
    all.set(0, rows);
    double[] raw = values[at].build(all).copy();
    values[at] = null;
    LapClock.Running clock = LapClock.of(raw, clockOfColons);
    if (clock.isHopeless()) {
      throw BadFileException.atLine(
          head.samplesFrom() + Math.max(0, clock.firstDropped()),
          head.header().get(at),
          Sentence.of("file.time-order-rows", "others", clock.dropped() - 1));
    }
    corrections.addAll(clock.told());
    if (clock.dropped() > 0) {
      corrections.add(
          Sentence.of(
              "laps.rows-out",
              "count",
              clock.dropped(),
              "line",
              head.samplesFrom() + clock.firstDropped()));
    }
    return clock;
  }

  /** A column of words is none of numbers: refused where the lap needs it, else left out. */
  private void checkWords(int c) {
    Words no = words[c];
    if (columns[c] == null || no.count == 0) {
      return;
    }
    boolean few = no.count <= MOST_WORDS * rows;
    boolean needed =
        columns[c].isTime()
            || switch (columns[c].channel()) {
              case SPEED, LATITUDE, LONGITUDE, X, Y, DISTANCE -> true;
              default -> false;
            };
    if (!few && needed) {
      throw BadFileException.atLine(
          no.firstLine, columns[c].name(), Sentence.of("file.no-number", "given", no.first));
    }
    corrections.add(
        Sentence.of(
            few ? "laps.cells-out" : "laps.column-out",
            "count",
            no.count,
            "column",
            head.header().get(c),
            "line",
            no.firstLine,
            "cell",
            no.first));
    if (!few) {
      columns[c] = null;
      values[c] = null;
    }
  }
}
