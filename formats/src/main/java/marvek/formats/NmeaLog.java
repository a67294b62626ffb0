package marvek.formats;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.laps.Samples;
import marvek.core.say.Sentence;

/**
 * Reads a receiver's log of NMEA 0183 sentences: RMC (time, position, speed, date) and GGA
 * (position, height), of any talker. A sentence whose checksum does not hold is left out.
 *
 * <p>Source: NMEA 0183, sentences RMC and GGA; checksum: exclusive or of all between $ and *.
 */
final class NmeaLog {
  private static final double KNOT_MPS = 1852 / 3600.0;
  private static final double DAY_S = 86400;
  private static final int LEAST_FIXES = 10;

  /** More sentences than this share that do not hold: the log was damaged on its way. */
  private static final double MOST_WRONG = 0.1;

  /** Longer than any sentence of the standard, which has 82 letters. */
  private static final int LONGEST = 400;

  /** What a receiver said of one moment. */
  private static final class Fix {
    private double ofDayS = Double.NaN;
    private double latDeg = Double.NaN;
    private double lonDeg = Double.NaN;
    private double altM = Double.NaN;
    private double speedMps = Double.NaN;
    private long day = Long.MIN_VALUE;
  }

  private final FileText text;
  private final List<Fix> fixes = new ArrayList<>();
  private Fix now = new Fix();
  private int sentences;
  private int wrong;
  private long firstWrong;
  private int withoutFix;

  private NmeaLog(FileText text) {
    this.text = text;
  }

  /** Whether a text begins like a log of sentences. */
  static boolean is(FileText text) {
    return text.head()
        .lines()
        .limit(40)
        .anyMatch(line -> line.strip().matches("\\$[A-Z]{2}(RMC|GGA|GSA|GSV|GLL|VTG),.*"));
  }

  /**
   * Reads a log.
   *
   * @throws BadFileException if it has too few positions, or too many of its sentences are damaged
   */
  static LapFile read(FileText text) {
    return new NmeaLog(text).read();
  }

  /** The checksum of a sentence: exclusive or of what stands between $ and *. */
  static int checksum(String between) {
    int sum = 0;
    for (int i = 0; i < between.length(); i++) {
      sum ^= between.charAt(i);
    }
    return sum;
  }

  private LapFile read() {
    try (BufferedReader lines = new BufferedReader(text.reader())) {
      long number = 0;
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        number++;
        line(line.strip(), number);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    keep();
    return file();
  }

  private void line(String line, long number) {
    // A telephone's log may write its own clock before the sentence.
    int begin = line.indexOf('$');
    if (begin < 0 || line.length() > LONGEST) {
      return;
    }
    int end = line.lastIndexOf('*');
    String between = line.substring(begin + 1, end < begin ? line.length() : end);
    String kind = between.length() < 5 ? "" : between.substring(2, 5);
    if (!kind.equals("RMC") && !kind.equals("GGA")) {
      return;
    }
    sentences++;
    if (end < begin || !holds(between, line.substring(end + 1))) {
      wrong++;
      firstWrong = firstWrong == 0 ? number : firstWrong;
      return;
    }
    String[] fields = between.split(",", -1);
    if (kind.equals("RMC")) {
      rmc(fields);
    } else {
      gga(fields);
    }
  }

  private static boolean holds(String between, String sum) {
    try {
      return Integer.parseInt(sum.strip(), 16) == checksum(between);
    } catch (NumberFormatException e) {
      return false;
    }
  }

  private void rmc(String[] f) {
    if (f.length < 10 || !f[2].equals("A")) {
      withoutFix++;
      return;
    }
    at(ofDay(f[1]));
    now.latDeg = degrees(f[3], f[4]);
    now.lonDeg = degrees(f[5], f[6]);
    now.speedMps = number(f[7]) * KNOT_MPS;
    now.day = day(f[9]);
  }

  private void gga(String[] f) {
    if (f.length < 10 || f[6].isEmpty() || f[6].equals("0")) {
      withoutFix++;
      return;
    }
    at(ofDay(f[1]));
    now.latDeg = degrees(f[2], f[3]);
    now.lonDeg = degrees(f[4], f[5]);
    now.altM = number(f[9]);
  }

  /** Sentences of one moment belong together. */
  private void at(double ofDayS) {
    if (ofDayS != now.ofDayS) {
      keep();
      now = new Fix();
      now.ofDayS = ofDayS;
    }
  }

  private void keep() {
    boolean placed = !Double.isNaN(now.latDeg) && !Double.isNaN(now.lonDeg);
    if (placed && !Double.isNaN(now.ofDayS)) {
      fixes.add(now);
    }
  }

  /** hhmmss.ss as seconds of the day. */
  private static double ofDay(String hhmmss) {
    double all = number(hhmmss);
    double hours = Math.floor(all / 10_000);
    double minutes = Math.floor(all / 100) % 100;
    return 3600 * hours + 60 * minutes + all % 100;
  }

  /** ddmm.mmmm with its letter. */
  private static double degrees(String packed, String letter) {
    double all = number(packed);
    double whole = Math.floor(all / 100);
    double degrees = whole + (all - 100 * whole) / 60;
    return letter.equals("S") || letter.equals("W") ? -degrees : degrees;
  }

  private static long day(String ddmmyy) {
    try {
      int all = Integer.parseInt(ddmmyy);
      return LocalDate.of(2000 + all % 100, all / 100 % 100, all / 10_000).toEpochDay();
    } catch (NumberFormatException | DateTimeException e) {
      return Long.MIN_VALUE;
    }
  }

  private static double number(String field) {
    try {
      return Double.parseDouble(field);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  private LapFile file() {
    if (wrong > MOST_WRONG * sentences) {
      throw BadFileException.atLine(
          firstWrong, null, Sentence.of("file.checksums", "wrong", wrong, "sentences", sentences));
    }
    if (fixes.size() < LEAST_FIXES) {
      throw BadFileException.whole(
          Sentence.of("file.few-fixes", "fixes", fixes.size(), "least", LEAST_FIXES));
    }
    List<Sentence> told = new ArrayList<>(text.told());
    if (wrong > 0) {
      told.add(Sentence.of("laps.checksums-out", "count", wrong, "line", firstWrong));
    }
    if (withoutFix > 0) {
      told.add(Sentence.of("laps.without-fix", "count", withoutFix));
    }
    LapClock.Running clock = LapClock.of(clock(), true);
    told.addAll(clock.told());
    Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.LATITUDE, Samples.of(Channel.LATITUDE, column(clock, f -> f.latDeg)));
    channels.put(Channel.LONGITUDE, Samples.of(Channel.LONGITUDE, column(clock, f -> f.lonDeg)));
    if (fixes.stream().anyMatch(f -> !Double.isNaN(f.altM))) {
      channels.put(Channel.ALTITUDE, Samples.of(Channel.ALTITUDE, column(clock, f -> f.altM)));
    }
    if (fixes.stream().anyMatch(f -> !Double.isNaN(f.speedMps))) {
      channels.put(Channel.SPEED, Samples.of(Channel.SPEED, column(clock, f -> f.speedMps)));
    }
    return new LapFile(
        new Recording(clock.timeS(), channels, clock.breaks()),
        List.of("sentences RMC and GGA"),
        List.of(),
        told);
  }

  /** Seconds since 1970 where a date is known; one without a date is of the day before it. */
  private double[] clock() {
    double[] clock = new double[fixes.size()];
    long day =
        fixes.stream().mapToLong(f -> f.day).filter(d -> d != Long.MIN_VALUE).findFirst().orElse(0);
    for (int i = 0; i < clock.length; i++) {
      Fix fix = fixes.get(i);
      boolean overMidnight = i > 0 && fix.ofDayS < fixes.get(i - 1).ofDayS - DAY_S / 2;
      day = fix.day != Long.MIN_VALUE ? fix.day : overMidnight ? day + 1 : day;
      clock[i] = fix.ofDayS + DAY_S * day;
    }
    return clock;
  }

  private interface Value {
    double of(Fix fix);
  }

  private double[] column(LapClock.Running clock, Value value) {
    return clock.kept().stream().mapToDouble(i -> value.of(fixes.get(i))).toArray();
  }
}
