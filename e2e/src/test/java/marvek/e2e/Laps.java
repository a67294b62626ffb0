package marvek.e2e;

import java.util.Locale;
import marvek.formats.JsonFiles;
import marvek.server.Scripts;
import tools.jackson.databind.JsonNode;

/** Files that a driver brings along, made of the demo circuit. */
final class Laps {
  private Laps() {}

  /** The circuit driven so many times round with a logger, two waypoints with it. */
  static String gpx(double laps) {
    JsonNode coordinates =
        JsonFiles.parse(Scripts.demo("harrowfen-park.circuit.geojson"))
            .at("/features/0/geometry/coordinates");
    StringBuilder text =
        new StringBuilder(
            "<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"logger\""
                + " xmlns=\"http://www.topografix.com/GPX/1/1\">"
                + "<trk><name>Evening lap</name><trkseg>\n");
    int n = coordinates.size();
    for (int k = 0; k < n * laps; k++) {
      JsonNode p = coordinates.get(k % n);
      // Position noise of a good receiver: a few decimetres, different each time round.
      double noise = 3e-6 * Math.sin(1.7 * k) * Math.cos(0.31 * k + k / n);
      text.append(
          String.format(
              Locale.ROOT,
              "<trkpt lat=\"%.8f\" lon=\"%.8f\"><ele>%.2f</ele></trkpt>%n",
              p.get(1).asDouble(0) + noise,
              p.get(0).asDouble(0) - noise,
              p.get(2).asDouble(0)));
    }
    return text.append("</trkseg></trk></gpx>").toString();
  }
}
