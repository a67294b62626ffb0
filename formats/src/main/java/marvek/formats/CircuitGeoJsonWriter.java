package marvek.formats;

import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.Zone;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes a circuit as circuit GeoJSON. Beside the geometry, which is what other programs read,
 * every thing along the road carries its stations: what stands by one part of the road and nearer
 * to another is found again where it belongs.
 */
public final class CircuitGeoJsonWriter {
  /**
   * Where a plane without a place on earth is laid: distances stay true, the place means nothing.
   */
  private static final GeoPoint NOWHERE = new GeoPoint(0, 0);

  /** Vertices of a line along the road lie no farther apart. */
  private static final double VERTEX_M = 20;

  private final Circuit circuit;
  private final Road road;
  private final LocalPlane plane;
  private final double x0;
  private final double y0;
  private ArrayNode features;

  private CircuitGeoJsonWriter(Circuit circuit) {
    this.circuit = circuit;
    this.road = circuit.road();
    boolean placed = circuit.origin() != null;
    plane = new LocalPlane(placed ? circuit.origin() : NOWHERE);
    // The reader lays its plane at the first point.
    x0 = placed ? 0 : circuit.survey().xAt(0);
    y0 = placed ? 0 : circuit.survey().yAt(0);
  }

  /** The whole circuit; positions to a tenth of a millimetre. */
  public static ObjectNode write(Circuit circuit) {
    return new CircuitGeoJsonWriter(circuit).collection();
  }

  private ObjectNode collection() {
    ObjectNode top = JsonFiles.MAPPER.createObjectNode();
    top.put("type", "FeatureCollection");
    ObjectNode own = top.putObject("marvek");
    own.put("format", "circuit").put("version", 1).put("name", circuit.name());
    own.put("layout", circuit.layout()).put("layoutVersion", circuit.layoutVersion());
    if (circuit.validFrom() != null) {
      own.put("validFrom", circuit.validFrom().toString());
    }
    own.put("closed", circuit.survey().closed()).put("timeZone", circuit.timeZone());
    ObjectNode limits = own.putObject("trackLimits");
    limits.put("rule", Spelled.of(circuit.trackLimits()));
    if (!circuit.stretches().isEmpty()) {
      limits.set("stretches", LimitStretchJson.write(circuit.stretches()));
    }
    if (circuit.origin() == null) {
      own.put("placed", false);
    }
    if (circuit.smoothing() != 1) {
      own.put("smoothing", circuit.smoothing());
    }
    features = top.putArray("features");
    centreline();
    circuit.corners().forEach(this::corner);
    circuit.marks().forEach(this::mark);
    circuit.kerbs().forEach(this::kerb);
    circuit.zones().forEach(this::zone);
    circuit.hazards().forEach(this::hazard);
    return top;
  }

  private ObjectNode feature(String kind) {
    ObjectNode feature = features.addObject();
    feature.put("type", "Feature");
    feature.putObject("properties").put("kind", kind);
    return feature;
  }

  private static ObjectNode properties(ObjectNode feature) {
    return (ObjectNode) feature.get("properties");
  }

  private void centreline() {
    Survey survey = circuit.survey();
    ObjectNode feature = feature("centreline");
    ArrayNode left = properties(feature).putArray("widthLeft_m");
    ArrayNode right = properties(feature).putArray("widthRight_m");
    ArrayNode banking = properties(feature).putArray("banking_deg");
    ArrayNode coordinates =
        feature.putObject("geometry").put("type", "LineString").putArray("coordinates");
    for (int i = 0; i < survey.size(); i++) {
      position(coordinates.addArray(), survey.xAt(i), survey.yAt(i)).add(survey.zAt(i));
      left.add(survey.widthLeftAt(i));
      right.add(survey.widthRightAt(i));
      banking.add(round(Math.toDegrees(survey.bankingAt(i)), 1e9));
    }
  }

  private ArrayNode position(ArrayNode coordinates, double x, double y) {
    GeoPoint p = plane.toEarth(x - x0, y - y0);
    return coordinates.add(round(p.lonDeg(), 1e9)).add(round(p.latDeg(), 1e9));
  }

  private static double round(double value, double scale) {
    return Math.round(value * scale) / scale;
  }

  /** Offset of a line along the road at a station. */
  private interface OffsetAt {
    double of(double station);
  }

  /** A point where the thing has no length, else a line of at least three vertices. */
  private void geometry(ObjectNode feature, double fromM, double toM, OffsetAt offset) {
    properties(feature).put("station_m", round(fromM, 1e3));
    ObjectNode geometry = feature.putObject("geometry");
    if (fromM == toM) {
      geometry.put("type", "Point");
      place(geometry.putArray("coordinates"), fromM, offset);
      return;
    }
    properties(feature).put("toStation_m", round(toM, 1e3));
    double length = road.distance(fromM, toM);
    int count = Math.max(2, (int) Math.ceil(length / VERTEX_M));
    ArrayNode line = geometry.put("type", "LineString").putArray("coordinates");
    for (int k = 0; k <= count; k++) {
      place(line.addArray(), road.wrapStation(fromM + k * length / count), offset);
    }
  }

  private void place(ArrayNode coordinates, double station, OffsetAt offset) {
    double[] xy = new RoadPosition(station, offset.of(station)).toPlane(road);
    position(coordinates, xy[0], xy[1]);
  }

  private double edge(Side side, double station) {
    int i = road.indexOf(station);
    return side == Side.LEFT ? road.widthLeftAt(i) : -road.widthRightAt(i);
  }

  private void corner(DrawnCorner c) {
    ObjectNode feature = feature("corner");
    ObjectNode p = properties(feature);
    p.put("number", c.number()).put("name", c.name());
    if (c.side() != null) {
      p.put("side", Spelled.of(c.side()));
    }
    p.put("linkWithNext", c.linkWithNext());
    if (c.rule() != null) {
      p.putObject("trackLimits").put("rule", Spelled.of(c.rule()));
    }
    geometry(feature, c.fromM(), c.toM(), s -> 0);
  }

  private void mark(Mark m) {
    ObjectNode feature = feature("mark");
    ObjectNode p = properties(feature);
    p.put("label", m.label()).put("side", Spelled.of(m.side()));
    p.put("type", Spelled.of(m.type()));
    if (m.valueM() != null) {
      p.put("value_m", m.valueM());
    }
    if (m.heightM() != null) {
      p.put("height_m", m.heightM());
    }
    note(p, m.note());
    if (m.notedAt() != null) {
      p.put("notedAt", m.notedAt().toString());
    }
    geometry(feature, m.fromM(), m.toM(), s -> m.offsetM());
  }

  private static void note(ObjectNode properties, String note) {
    if (!note.isEmpty()) {
      properties.put("note", note);
    }
  }

  private void kerb(Kerb k) {
    ObjectNode feature = feature("kerb");
    ObjectNode p = properties(feature);
    p.put("side", Spelled.of(k.side())).put("profile", Spelled.of(k.profile()));
    p.put("height_mm", k.heightMm()).put("width_m", k.widthM());
    p.put("use", Spelled.of(k.use())).put("useWet", Spelled.of(k.useWet()));
    note(p, k.note());
    geometry(feature, k.fromM(), k.toM(), s -> edge(k.side(), s));
  }

  private void zone(Zone z) {
    ObjectNode feature = feature("zone");
    ObjectNode p = properties(feature);
    p.put("type", Spelled.of(z.type())).put("side", Spelled.of(z.side()));
    p.put("gripFactor", z.gripFactor());
    note(p, z.note());
    geometry(feature, z.fromM(), z.toM(), s -> 0);
  }

  private void hazard(Hazard h) {
    ObjectNode feature = feature("hazard");
    ObjectNode p = properties(feature);
    p.put("type", Spelled.of(h.type())).put("side", Spelled.of(h.side()));
    p.put("distance_m", h.distanceM());
    note(p, h.note());
    int sign = h.side() == Side.LEFT ? 1 : -1;
    geometry(feature, h.fromM(), h.toM(), s -> edge(h.side(), s) + sign * h.distanceM());
  }
}
