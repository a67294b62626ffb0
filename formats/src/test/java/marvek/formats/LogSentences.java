package marvek.formats;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Random;
import marvek.core.circuit.GeoPoint;

/** A drive as a receiver's sentences or a telephone's track. */
final class LogSentences {
  private LogSentences() {}

  /**
   * NMEA 0183.
   *
   * @param damaged every so many sentences one letter is another; 0 for none
   */
  static byte[] nmea(
      DrivenTruth truth, GeoPoint origin, double hz, double noiseM, boolean gga, int damaged) {
    LocalPlane plane = new LocalPlane(origin);
    Random random = new Random(3);
    StringBuilder text = new StringBuilder();
    for (int k = 0; k < truth.seconds() * hz; k++) {
      double t = k / hz;
      GeoPoint at = place(truth, plane, t, noiseM, random);
      double ofDay = 36_000 + t;
      String clock =
          String.format(
              Locale.ROOT,
              "%02d%02d%05.2f",
              (int) (ofDay / 3600),
              (int) (ofDay / 60) % 60,
              ofDay % 60);
      String where = packed(at.latDeg(), 2, "N", "S") + "," + packed(at.lonDeg(), 3, "E", "W");
      String body =
          String.format(
              Locale.ROOT,
              "GPRMC,%s,A,%s,%.2f,10.0,090531,,",
              clock,
              where,
              truth.stateAt(t)[3] * 3600 / 1852);
      sentence(text, body, damaged > 0 && k % damaged == damaged - 1);
      if (gga) {
        sentence(text, "GPGGA," + clock + "," + where + ",1,09,0.9,45.2,M,46.9,M,,", false);
      }
    }
    return text.toString().getBytes(StandardCharsets.US_ASCII);
  }

  private static void sentence(StringBuilder text, String body, boolean damaged) {
    int sum = 0;
    for (char c : body.toCharArray()) {
      sum ^= c;
    }
    String shown = damaged ? body.replace(",A,", ",A,9") : body;
    text.append(String.format("$%s*%02X\r\n", shown, sum));
  }

  private static String packed(double degrees, int digits, String plus, String minus) {
    double all = Math.abs(degrees);
    int whole = (int) all;
    return String.format(Locale.ROOT, "%0" + digits + "d%010.7f", whole, (all - whole) * 60)
        + ","
        + (degrees < 0 ? minus : plus);
  }

  private static GeoPoint place(
      DrivenTruth truth, LocalPlane plane, double t, double noiseM, Random random) {
    double[] at = truth.place(truth.stateAt(t));
    return plane.toEarth(
        at[0] + noiseM * random.nextGaussian(), at[1] + noiseM * random.nextGaussian());
  }

  static byte[] gpx(DrivenTruth truth, GeoPoint origin, double hz, boolean times) {
    LocalPlane plane = new LocalPlane(origin);
    Random random = new Random(5);
    StringBuilder text =
        new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\"><trk><trkseg>\n");
    for (int k = 0; k < truth.seconds() * hz; k++) {
      double t = k / hz;
      GeoPoint at = place(truth, plane, t, 0.5, random);
      text.append(
          String.format(
              Locale.ROOT,
              "<trkpt lat=\"%.8f\" lon=\"%.8f\"><ele>40</ele>",
              at.latDeg(),
              at.lonDeg()));
      if (times) {
        text.append("<time>")
            .append(java.time.Instant.ofEpochMilli(1_936_000_000_000L + Math.round(1000 * t)))
            .append("</time>");
      }
      text.append("</trkpt>\n");
    }
    return text.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
  }
}
