package marvek.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.LongStream;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import marvek.core.circuit.GeoPoint;

/**
 * Writes a drive as some logger would. A kind of file is one of these with some of its fields set
 * otherwise; the simulated logger of the server is another program and shares no code with it.
 */
final class LoggerFile {
  private static final long[] TENS = LongStream.iterate(1, ten -> 10 * ten).limit(12).toArray();
  private static final Pattern DECIMAL = Pattern.compile("-?\\d+\\.\\d+");

  double hz = 50;
  double positionHz = 100;
  double noiseM = 0.3;
  double lagS;
  double eastM;
  double northM;
  double speedFactor = 1;
  double pedalHz = 100;
  boolean emptyBetween;
  double brakeZero;
  double idle;
  double top = 100;
  double brakeScale = 1;
  double throttleScale = 1;
  String separator = ",";
  boolean decimalComma;
  String newline = "\r\n";
  List<String> preamble = List.of();
  List<String> below = List.of();
  DoubleFunction<String> clock = t -> fixed(t, 3);
  UnaryOperator<Double> time = t -> t + 12.5;
  Charset charset = StandardCharsets.UTF_8;
  byte[] mark = {};
  String pack = "";
  boolean repeatHeader;
  boolean quoted;
  String missing = "";
  double missingShare;
  boolean zeroCells;
  boolean reversed;
  double beaconM;
  boolean frozen;

  /** Header by what is in it; the order is that of the columns. */
  final Map<String, String> headers = new LinkedHashMap<>();

  /** How latitude and longitude are written. */
  DoubleFunction<String> latitude = v -> fixed(v, 8);

  DoubleFunction<String> longitude = v -> fixed(v, 8);
  DoubleFunction<String> speed = v -> fixed(3.6 * v, 2);
  DoubleFunction<String> gear = v -> fixed(v, 0);
  double sideSign = 1;
  double sideScale = 1;

  LoggerFile() {
    headers.put("time", "time_s");
    headers.put("lat", "lat_deg");
    headers.put("lon", "lon_deg");
    headers.put("speed", "speed_kmh");
    headers.put("brake", "brake_pct");
    headers.put("throttle", "throttle_pct");
    headers.put("gear", "gear");
    headers.put("side", "lat_g");
  }

  /** A number with so many decimals; formatters of the language would take most of the time. */
  static String fixed(double value, int decimals) {
    long units = Math.round(Math.abs(value) * TENS[decimals]);
    char[] digits = new char[24];
    int from = digits.length;
    for (int k = 0; k <= decimals || units > 0; k++) {
      if (k == decimals && decimals > 0) {
        digits[--from] = '.';
      }
      digits[--from] = (char) ('0' + units % 10);
      units /= 10;
    }
    if (value < 0 && Math.round(-value * TENS[decimals]) > 0) {
      digits[--from] = '-';
    }
    return new String(digits, from, digits.length - from);
  }

  LoggerFile without(String... channels) {
    Arrays.asList(channels).forEach(headers::remove);
    return this;
  }

  LoggerFile named(String... pairs) {
    for (int i = 0; i < pairs.length; i += 2) {
      headers.put(pairs[i], pairs[i + 1]);
    }
    return this;
  }

  /** Distance in the place of a position. */
  LoggerFile byDistance() {
    Map<String, String> old = new LinkedHashMap<>(headers);
    headers.clear();
    headers.put("time", old.get("time"));
    headers.put("distance", "distance_m");
    old.forEach(
        (channel, header) -> {
          if (!channel.equals("lat") && !channel.equals("lon")) {
            headers.put(channel, header);
          }
        });
    return this;
  }

  byte[] write(DrivenTruth truth, GeoPoint origin, double lapM) {
    List<String[]> rows = rows(truth, new LocalPlane(origin), lapM);
    StringBuilder text = new StringBuilder(64 * rows.size());
    preamble.forEach(line -> text.append(line).append(newline));
    String[] header = headers.values().toArray(String[]::new);
    add(header, text);
    below.forEach(line -> text.append(line).append(newline));
    for (int r = 0; r < rows.size(); r++) {
      if (repeatHeader && r > 0 && r % 5000 == 0) {
        add(header, text);
      }
      add(rows.get(r), text);
    }
    return packed(text.toString());
  }

  private void add(String[] cells, StringBuilder text) {
    for (int c = 0; c < cells.length; c++) {
      boolean comma = decimalComma && DECIMAL.matcher(cells[c]).matches();
      String shown = comma ? cells[c].replace('.', ',') : cells[c];
      String quote = quoted || shown.contains(separator) ? "\"" : "";
      text.append(c > 0 ? separator : "").append(quote).append(shown).append(quote);
    }
    text.append(newline);
  }

  private List<String[]> rows(DrivenTruth truth, LocalPlane plane, double lapM) {
    Random random = new Random(4);
    List<String[]> rows = new ArrayList<>();
    int n = (int) (truth.seconds() * hz);
    double[] heldPlace = {0, 0};
    GeoPoint earth = plane.toEarth(0, 0);
    double heldPlaceAt = -1;
    String[] heldPedals = {"", "", ""};
    double heldPedalsAt = -1;
    for (int k = 0; k < n; k++) {
      double t = k / hz;
      double of = reversed ? truth.seconds() - t : t;
      double[] state = truth.stateAt(of);
      boolean newPlace = heldPlaceAt < 0 || t - heldPlaceAt > 1 / positionHz - 1e-6;
      if (newPlace && !(frozen && t > 200 && t < 203)) {
        double[] at = truth.place(truth.stateAt(of - lagS));
        heldPlace =
            new double[] {
              at[0] + eastM + noiseM * random.nextGaussian(),
              at[1] + northM + noiseM * random.nextGaussian()
            };
        earth = plane.toEarth(heldPlace[0], heldPlace[1]);
      }
      heldPlaceAt = newPlace ? t : heldPlaceAt;
      boolean newPedals = heldPedalsAt < 0 || t - heldPedalsAt > 1 / pedalHz - 1e-6;
      if (newPedals) {
        heldPedals = pedals(state);
        heldPedalsAt = t;
      }
      List<String> row = new ArrayList<>();
      for (String channel : headers.keySet()) {
        row.add(cell(channel, t, state, earth, newPlace, newPedals, heldPedals, lapM, heldPlace));
      }
      if (missingShare > 0 && random.nextDouble() < missingShare) {
        int c = 1 + random.nextInt(row.size() - 1);
        row.set(c, missing);
      }
      if (zeroCells && k % 37 == 0) {
        int c = new ArrayList<>(headers.keySet()).indexOf("brake");
        row.set(c, "0");
      }
      rows.add(row.toArray(String[]::new));
    }
    return rows;
  }

  private String[] pedals(double[] state) {
    double brake = (brakeZero + state[4] * (100 - brakeZero) / 100) * brakeScale;
    double throttle = (idle + state[5] * (top - idle) / 100) * throttleScale;
    return new String[] {fixed(brake, 2), fixed(throttle, 2), gear.apply(state[6])};
  }

  private String cell(
      String channel,
      double t,
      double[] state,
      GeoPoint earth,
      boolean newPlace,
      boolean newPedals,
      String[] pedals,
      double lapM,
      double[] plane) {
    boolean place = newPlace || !emptyBetween;
    boolean pedal = newPedals || !emptyBetween;
    return switch (channel) {
      case "time" -> clock.apply(time.apply(t));
      case "lat" -> place ? latitude.apply(earth.latDeg()) : "";
      case "lon" -> place ? longitude.apply(earth.lonDeg()) : "";
      case "x" -> fixed(plane[0], 3);
      case "y" -> fixed(plane[1], 3);
      case "speed" -> speed.apply(speedFactor * state[3]);
      case "brake" -> pedal ? pedals[0] : "";
      case "throttle" -> pedal ? pedals[1] : "";
      case "gear" -> pedal ? pedals[2] : "";
      case "side" -> fixed(sideSign * sideScale * state[7], 3);
      case "lap" -> fixed(Math.floor((state[1] - beaconM) / lapM) + 2, 0);
      case "distance" ->
          fixed((state[1] - beaconM) - lapM * Math.floor((state[1] - beaconM) / lapM), 2);
      case "odometer" -> fixed(state[1] + 700, 2);
      case "nothing" -> "";
      default -> "17.3";
    };
  }

  private byte[] packed(String text) {
    byte[] plain = text.getBytes(charset);
    byte[] all = Arrays.copyOf(mark, mark.length + plain.length);
    System.arraycopy(plain, 0, all, mark.length, plain.length);
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      if (pack.equals("gzip")) {
        try (GZIPOutputStream gzip = new GZIPOutputStream(out)) {
          gzip.write(all);
        }
        return out.toByteArray();
      }
      if (pack.startsWith("zip")) {
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
          zip.putNextEntry(new ZipEntry("session.csv"));
          zip.write(all);
          if (pack.equals("zip of two")) {
            zip.putNextEntry(new ZipEntry("other.csv"));
            zip.write(all);
          }
        }
        return out.toByteArray();
      }
      return all;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
