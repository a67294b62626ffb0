package marvek.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Survey;

/**
 * Writes a bare circuit (a centreline without anything along it) as circuit GeoJSON, so that a road
 * from a CSV can be kept and exported like any other. A circuit that came as GeoJSON is kept as it
 * came.
 */
public final class CircuitGeoJsonWriter {
  /**
   * Where a plane without a place on earth is laid: distances stay true, the place means nothing.
   */
  private static final GeoPoint NOWHERE = new GeoPoint(0, 0);

  private CircuitGeoJsonWriter() {}

  /** The circuit's centreline; positions to a tenth of a millimetre. */
  public static ObjectNode writeCentreline(Circuit circuit) {
    LocalPlane plane = new LocalPlane(circuit.origin() == null ? NOWHERE : circuit.origin());
    ObjectNode top = JsonFiles.MAPPER.createObjectNode();
    top.put("type", "FeatureCollection");
    ObjectNode own = top.putObject("marvek");
    own.put("format", "circuit").put("version", 1).put("name", circuit.name());
    own.put("layout", circuit.layout()).put("layoutVersion", circuit.layoutVersion());
    own.put("closed", circuit.survey().closed()).put("timeZone", circuit.timeZone());
    own.putObject("trackLimits").put("rule", JsonPlace.spelled(circuit.trackLimits()));
    ObjectNode feature = top.putArray("features").addObject();
    feature.put("type", "Feature");
    ObjectNode properties = feature.putObject("properties");
    properties.put("kind", "centreline");
    ObjectNode geometry = feature.putObject("geometry");
    geometry.put("type", "LineString");
    writePoints(circuit.survey(), plane, properties, geometry.putArray("coordinates"));
    return top;
  }

  private static void writePoints(
      Survey survey, LocalPlane plane, ObjectNode properties, ArrayNode coordinates) {
    ArrayNode left = properties.putArray("widthLeft_m");
    ArrayNode right = properties.putArray("widthRight_m");
    ArrayNode banking = properties.putArray("banking_deg");
    // The reader lays its plane at the first point.
    double x0 = survey.xAt(0);
    double y0 = survey.yAt(0);
    for (int i = 0; i < survey.size(); i++) {
      GeoPoint p = plane.toEarth(survey.xAt(i) - x0, survey.yAt(i) - y0);
      coordinates
          .addArray()
          .add(round(p.lonDeg(), 1e9))
          .add(round(p.latDeg(), 1e9))
          .add(survey.zAt(i));
      left.add(survey.widthLeftAt(i));
      right.add(survey.widthRightAt(i));
      banking.add(round(Math.toDegrees(survey.bankingAt(i)), 1e9));
    }
  }

  private static double round(double value, double scale) {
    return Math.round(value * scale) / scale;
  }
}
