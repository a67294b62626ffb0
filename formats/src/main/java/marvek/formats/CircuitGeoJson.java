package marvek.formats;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;

/** Reads a circuit GeoJSON (RFC 7946) with the project's own members. */
public final class CircuitGeoJson {
  /** A thing farther than this from the road belongs to another place. */
  private static final double FARTHEST_M = 250;

  private static final double HINT_REACH_M = 12;

  /** Zones are told by their clocks of this day. */
  private static final Instant MODERN = Instant.parse("2020-01-01T00:00:00Z");

  /**
   * Some zones keep clocks that are this far from their sun, e.g. in the west of large countries.
   */
  private static final double FARTHEST_FROM_ZONE_H = 3.1;

  private final List<Sentence> warnings = new ArrayList<>();
  private final CircuitFeatures things = new CircuitFeatures();
  private LocalPlane plane;
  private GeoPoint origin;
  private Road road;
  private double smoothing;

  private CircuitGeoJson() {}

  /**
   * Reads a parsed file.
   *
   * @throws BadFileException with the JSON pointer
   */
  public static Imported<Circuit> read(JsonNode tree) {
    return new CircuitGeoJson().readTree(JsonPlace.top(tree));
  }

  /** Whether a parsed file claims to be a circuit. */
  public static boolean looksLikeOne(JsonNode tree) {
    return "FeatureCollection".equals(tree.path("type").asString());
  }

  private Imported<Circuit> readTree(JsonPlace top) {
    if (!looksLikeOne(top.node())) {
      throw top.at("type").error(Sentence.of("file.feature-collection"));
    }
    JsonPlace own = top.object("marvek");
    if (!"circuit".equals(own.text("format"))) {
      throw own.at("format").error(Sentence.of("file.circuit-member"));
    }
    if (own.integer("version") != 1) {
      throw own.at("version").error(Sentence.of("file.version-1"));
    }
    List<JsonPlace> features = top.array("features");
    JsonPlace centreline = theCentreline(top, features);
    boolean closed = closed(own);
    Survey survey = survey(centreline, closed);
    smoothing = own.number("smoothing", 1);
    road = road(own, survey);
    for (JsonPlace feature : features) {
      readFeature(feature);
    }
    Circuit circuit = circuit(own, survey);
    warnAboutPlace(circuit);
    return new Imported<>(circuit, warnings);
  }

  private Road road(JsonPlace own, Survey survey) {
    try {
      return Circuit.bare("road", survey).smoothed(smoothing).road();
    } catch (InvalidValueException e) {
      throw own.at("smoothing").error(e);
    }
  }

  private boolean closed(JsonPlace own) {
    if (!own.has("closed")) {
      warnings.add(Sentence.of("circuit.closed-assumed"));
    }
    return own.bool("closed", true);
  }

  private static JsonPlace theCentreline(JsonPlace top, List<JsonPlace> features) {
    JsonPlace found = null;
    for (JsonPlace feature : features) {
      if ("centreline".equals(kind(feature))) {
        if (found != null) {
          throw feature.error(Sentence.of("file.centrelines"));
        }
        found = feature;
      }
    }
    if (found == null) {
      throw top.at("features").error(Sentence.of("file.no-centreline"));
    }
    return found;
  }

  private static String kind(JsonPlace feature) {
    return feature.at("properties").node().path("kind").asString("");
  }

  private Survey survey(JsonPlace feature, boolean closed) {
    List<double[]> points = lineString(feature, true);
    int n = points.size();
    JsonPlace properties = feature.object("properties");
    double[] left = numbers(properties, "widthLeft_m", n, null);
    double[] right = numbers(properties, "widthRight_m", n, null);
    double[] banking = numbers(properties, "banking_deg", n, 0.0);
    if (closed && n > 4 && same(points.get(0), points.get(n - 1))) {
      warnings.add(Sentence.of("circuit.last-repeats"));
      n--;
    }
    double[][] column = new double[6][n];
    for (int i = 0; i < n; i++) {
      for (int c = 0; c < 3; c++) {
        column[c][i] = points.get(i)[c];
      }
      column[3][i] = left[i];
      column[4][i] = right[i];
      column[5][i] = Math.toRadians(banking[i]);
    }
    try {
      return new Survey(column[0], column[1], column[2], column[3], column[4], column[5], closed);
    } catch (InvalidValueException e) {
      JsonPlace place = feature.at("geometry").at("coordinates");
      if (e.field().startsWith("width_left")) {
        place = properties.at("widthLeft_m");
      } else if (e.field().startsWith("width_right")) {
        place = properties.at("widthRight_m");
      } else if (e.field().startsWith("banking")) {
        place = properties.at("banking_deg");
      }
      throw (e.index() >= 0 ? place.at(e.index()) : place).error(e);
    }
  }

  private static boolean same(double[] a, double[] b) {
    return Math.hypot(a[0] - b[0], a[1] - b[1]) < Survey.MIN_SPACING_M;
  }

  private double[] numbers(JsonPlace properties, String name, int n, Double otherwise) {
    double[] values = new double[n];
    if (!properties.has(name) && otherwise != null) {
      warnings.add(
          Sentence.of(
              "circuit.member-missing", "member", name, "taken", String.valueOf(otherwise)));
      java.util.Arrays.fill(values, otherwise);
      return values;
    }
    List<JsonPlace> list = properties.array(name);
    if (list.size() != n) {
      throw properties
          .at(name)
          .error(Sentence.of("file.points-count", "values", list.size(), "points", n));
    }
    for (int i = 0; i < n; i++) {
      values[i] = list.get(i).number();
    }
    return values;
  }

  /** Points in the local plane with their heights; the first one read sets the plane's origin. */
  private List<double[]> lineString(JsonPlace feature, boolean setsOrigin) {
    JsonPlace geometry = feature.object("geometry");
    List<double[]> points = new ArrayList<>();
    List<JsonPlace> positions;
    switch (geometry.text("type")) {
      case "Point" -> positions = List.of(geometry.at("coordinates"));
      case "LineString" -> positions = geometry.array("coordinates");
      default -> throw geometry.at("type").error(Sentence.of("file.point-or-line"));
    }
    for (JsonPlace position : positions) {
      if (!position.node().isArray() || position.node().size() < 2) {
        throw position.error(Sentence.of("file.position"));
      }
      double lon = range(position.at(0), 180, "longitude");
      double lat = range(position.at(1), 90, "latitude");
      if (plane == null && setsOrigin) {
        origin = new GeoPoint(lat, lon);
        plane = new LocalPlane(origin);
      }
      double[] xy = plane.toPlane(lat, lon);
      double z = position.node().size() > 2 ? position.at(2).number() : 0;
      points.add(new double[] {xy[0], xy[1], z});
    }
    if (points.isEmpty()) {
      throw geometry.at("coordinates").error(Sentence.of("file.no-positions"));
    }
    return points;
  }

  static double range(JsonPlace place, double bound, String what) {
    double value = place.number();
    if (!(Math.abs(value) <= bound)) {
      throw place.error(Sentence.of("file.not-a-coordinate", "value", value, "what", what));
    }
    return value;
  }

  private void readFeature(JsonPlace feature) {
    String kind = kind(feature);
    if (kind.equals("centreline")) {
      return;
    }
    if (!CircuitFeatures.knows(kind)) {
      warnings.add(
          Sentence.of("circuit.feature-unknown", "pointer", feature.pointer(), "kind", kind));
      return;
    }
    try {
      CircuitFeatures.Extent extent = extent(feature);
      things.read(kind, feature.object("properties"), extent);
    } catch (InvalidValueException e) {
      throw feature.at("properties").error(e);
    }
  }

  private CircuitFeatures.Extent extent(JsonPlace feature) {
    List<double[]> points = lineString(feature, false);
    JsonPlace properties = feature.at("properties");
    RoadPosition first = position(feature, points.get(0), properties.optionalNumber("station_m"));
    if (points.size() == 1) {
      return new CircuitFeatures.Extent(first.stationM(), first.stationM(), first.offsetM());
    }
    Double hint = properties.optionalNumber("toStation_m");
    RoadPosition last = position(feature, points.get(points.size() - 1), hint);
    double from = first.stationM();
    double to = last.stationM();
    if (hint == null && against(feature, points, from, to)) {
      warnings.add(Sentence.of("circuit.feature-turned", "pointer", feature.pointer()));
      return new CircuitFeatures.Extent(to, from, first.offsetM());
    }
    return new CircuitFeatures.Extent(from, to, first.offsetM());
  }

  private boolean against(JsonPlace feature, List<double[]> points, double from, double to) {
    if (points.size() == 2) {
      return road.distance(from, to) > road.lengthM() / 2;
    }
    double middle = position(feature, points.get(points.size() / 2), null).stationM();
    return road.distance(from, middle) > road.distance(from, to);
  }

  /**
   * Where a point lies along the road.
   *
   * @param hint station that the file gives beside the geometry, or null; it only says by which
   *     part of the road the point stands, and is left aside where the geometry does not fit it
   */
  private RoadPosition position(JsonPlace feature, double[] xy, Double hint) {
    if (hint != null) {
      RoadPosition near = RoadPosition.near(road, xy[0], xy[1], hint, HINT_REACH_M);
      boolean fits = Math.abs(road.offsetBetween(hint, near.stationM())) < HINT_REACH_M / 2;
      if (fits && Math.abs(near.offsetM()) <= FARTHEST_M) {
        return near;
      }
    }
    RoadPosition position = RoadPosition.nearest(road, xy[0], xy[1]);
    if (Math.abs(position.offsetM()) > FARTHEST_M) {
      throw feature
          .at("geometry")
          .error(Sentence.of("file.off-centreline", "away_m", Math.abs(position.offsetM())));
    }
    return position;
  }

  private Circuit circuit(JsonPlace own, Survey survey) {
    TrackLimits rule = TrackLimits.ONE_WHEEL_INSIDE_LINE;
    List<LimitStretch> stretches = List.of();
    if (own.has("trackLimits")) {
      rule = CircuitFeatures.rule(own.object("trackLimits"));
      stretches = LimitStretchJson.read(own.object("trackLimits"), road);
    } else {
      warnings.add(Sentence.of("circuit.limits-assumed"));
    }
    try {
      return new Circuit(
          own.text("name"),
          own.text("layout", ""),
          own.has("layoutVersion") ? own.integer("layoutVersion") : 1,
          date(own),
          timeZone(own),
          rule,
          own.bool("placed", true) ? origin : null,
          survey,
          smoothing,
          things.marks(),
          things.kerbs(),
          things.zones(),
          things.hazards(),
          things.corners(),
          stretches);
    } catch (InvalidValueException e) {
      throw own.at(e.field()).error(e);
    }
  }

  /** Clocks that do not fit the longitude: as a rule latitude and longitude are swapped. */
  private void warnAboutPlace(Circuit circuit) {
    ZoneId zone = ZoneId.of(circuit.timeZone());
    if (circuit.origin() == null || zone.getRules().isFixedOffset()) {
      return;
    }
    int seconds = zone.getRules().getStandardOffset(MODERN).getTotalSeconds();
    double hours = circuit.origin().lonDeg() / 15 - seconds / 3600.0;
    if (Math.abs(Math.IEEEremainder(hours, 24)) > FARTHEST_FROM_ZONE_H) {
      warnings.add(
          Sentence.of(
              "circuit.place-and-zone",
              "lat",
              circuit.origin().latDeg(),
              "lon",
              circuit.origin().lonDeg(),
              "zone",
              circuit.timeZone()));
    }
  }

  private static LocalDate date(JsonPlace own) {
    return own.day("validFrom");
  }

  private String timeZone(JsonPlace own) {
    if (!own.has("timeZone")) {
      String zone =
          own.bool("placed", true) && origin != null ? PlaceZone.nearest(origin).getId() : "UTC";
      warnings.add(Sentence.of("circuit.no-zone", "zone", zone));
      return zone;
    }
    try {
      return ZoneId.of(own.text("timeZone")).getId();
    } catch (DateTimeException e) {
      throw own.at("timeZone").error(Sentence.of("file.time-zone"));
    }
  }
}
