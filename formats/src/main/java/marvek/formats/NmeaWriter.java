package marvek.formats;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;

/** Writes positions and speeds as the sentences RMC of NMEA 0183. */
public final class NmeaWriter {
  private static final double KNOT_MPS = 1852 / 3600.0;

  private NmeaWriter() {}

  /**
   * The log's bytes; samples without a position are left out.
   *
   * @param recording with latitude, longitude and speed
   * @param begun when its time was nought
   */
  public static byte[] write(Recording recording, Instant begun) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < recording.size(); i++) {
      if (!Double.isNaN(recording.at(Channel.LATITUDE, i))) {
        String sentence = sentence(recording, i, begun);
        text.append('$')
            .append(sentence)
            .append(String.format("*%02X\r\n", NmeaLog.checksum(sentence)));
      }
    }
    return text.toString().getBytes(StandardCharsets.US_ASCII);
  }

  private static String sentence(Recording recording, int i, Instant begun) {
    LocalDateTime at =
        LocalDateTime.ofInstant(
            begun.plusMillis(Math.round(1000 * recording.timeAt(i))), ZoneOffset.UTC);
    double lat = recording.at(Channel.LATITUDE, i);
    double lon = recording.at(Channel.LONGITUDE, i);
    return String.format(
        Locale.ROOT,
        "GPRMC,%02d%02d%02d.%02d,A,%s,%s,%s,%s,%.2f,,%02d%02d%02d,,",
        at.getHour(),
        at.getMinute(),
        at.getSecond(),
        at.getNano() / 10_000_000,
        minutes(lat, 2),
        lat < 0 ? "S" : "N",
        minutes(lon, 3),
        lon < 0 ? "W" : "E",
        recording.at(Channel.SPEED, i) / KNOT_MPS,
        at.getDayOfMonth(),
        at.getMonthValue(),
        at.getYear() % 100);
  }

  /** ddmm.mmmm. */
  private static String minutes(double degrees, int digits) {
    double all = Math.abs(degrees);
    int whole = (int) all;
    return String.format(Locale.ROOT, "%0" + digits + "d%08.5f", whole, 60 * (all - whole));
  }
}
