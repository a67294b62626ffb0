package marvek.formats;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import marvek.core.circuit.GeoPoint;
import net.sf.geographiclib.Geodesic;

/**
 * The time zone of a place where nobody said one: that of the nearest place in the table of the
 * time zone database (IANA, {@code zone.tab}, in the public domain; ISO 6709 positions). Near a
 * border it may be the neighbour's, so that it is told as assumed.
 */
final class PlaceZone {
  /** {@code ±DDMM±DDDMM} or {@code ±DDMMSS±DDDMMSS}. */
  private static final Pattern PLACE =
      Pattern.compile("([+-])(\\d{2})(\\d{2})(\\d{2})?([+-])(\\d{3})(\\d{2})(\\d{2})?");

  private static final List<PlaceZone> TABLE = table();

  private final GeoPoint place;
  private final ZoneId zone;

  private PlaceZone(GeoPoint place, ZoneId zone) {
    this.place = place;
    this.zone = zone;
  }

  /** The zone of the table's nearest place. */
  static ZoneId nearest(GeoPoint to) {
    return TABLE.stream().min(Comparator.comparingDouble(row -> row.distanceM(to))).get().zone;
  }

  private double distanceM(GeoPoint to) {
    return Geodesic.WGS84.Inverse(place.latDeg(), place.lonDeg(), to.latDeg(), to.lonDeg()).s12;
  }

  private static List<PlaceZone> table() {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                PlaceZone.class.getResourceAsStream("zone.tab"), StandardCharsets.US_ASCII))) {
      return lines
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split("\t"))
          .filter(cells -> ZoneId.getAvailableZoneIds().contains(cells[2]))
          .map(cells -> new PlaceZone(place(cells[1]), ZoneId.of(cells[2])))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static GeoPoint place(String text) {
    Matcher m = PLACE.matcher(text);
    if (!m.matches()) {
      throw new IllegalStateException("zone.tab has a place " + text);
    }
    return new GeoPoint(degrees(m, 1), degrees(m, 5));
  }

  private static double degrees(Matcher m, int sign) {
    double seconds = m.group(sign + 3) == null ? 0 : Integer.parseInt(m.group(sign + 3));
    double degrees =
        Integer.parseInt(m.group(sign + 1))
            + Integer.parseInt(m.group(sign + 2)) / 60.0
            + seconds / 3600;
    return m.group(sign).equals("-") ? -degrees : degrees;
  }
}
