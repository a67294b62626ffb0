package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.RecordedHeights;
import marvek.core.circuit.RecordedTrack;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.circuit.TrackPoint;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;

/** Circuits from lines that were driven or walked: GPX, a logger's table, a GeoJSON LineString. */
public final class RecordedLine {
  /** Points nearer than this to the one before are not even projected: 10^6 of them may come. */
  private static final double SKIPPED_M = 0.5;

  private static final double METRES_PER_DEGREE = 111_320;

  /** A waypoint farther from the road than this is of another place. */
  private static final double FARTHEST_MARK_M = 120;

  private static final Pattern BOARD = Pattern.compile("(?i)\\b(\\d{2,3})\\s*(m\\b|board)");

  private final ImportSettings settings;
  private final List<Sentence> warnings = new ArrayList<>();

  private RecordedLine(ImportSettings settings) {
    this.settings = settings;
  }

  /** What can be said of a recording, see {@link RecordedTrack.Result}. */
  public record Facts(
      int points,
      int used,
      double spacingM,
      double laps,
      double closureGapM,
      List<RecordedTrack.Crossing> crossings,
      Heights heights) {}

  /**
   * What can be said of recorded heights, see {@link RecordedHeights}.
   *
   * @param doubtful whether the driver is to be asked before they are taken
   */
  public record Heights(
      double noiseM,
      double overM,
      double gapM,
      double steepestUp,
      double steepestDown,
      double riseM,
      boolean doubtful) {
    /** Of what was recorded; null where nothing was. */
    private static Heights of(RecordedHeights h) {
      return h == null
          ? null
          : new Heights(
              h.noiseM(),
              h.overM(),
              h.gapM(),
              h.steepestUp(),
              h.steepestDown(),
              h.riseM(),
              h.doubtful());
    }
  }

  record Read(Circuit circuit, Facts facts) {}

  static Imported<Read> ofGpx(byte[] bytes, ImportSettings settings, String name) {
    return new RecordedLine(settings).gpx(GpxReader.read(bytes), name);
  }

  static Imported<Read> ofTable(RoadTable table, ImportSettings settings, String name) {
    return new RecordedLine(settings).table(table, name);
  }

  static Imported<Read> ofGeoJson(JsonNode tree, ImportSettings settings, String name) {
    return new RecordedLine(settings).geoJson(JsonPlace.top(tree), name);
  }

  private Imported<Read> gpx(GpxFile file, String fileName) {
    if (file.size() == 0) {
      throw BadFileException.whole(
          Sentence.of(file.waypoints().isEmpty() ? "file.no-track" : "file.waypoints-alone"));
    }
    if (file.segments() > 1) {
      warnings.add(Sentence.of("circuit.segments", "segments", file.segments()));
    }
    Projected line = new Projected(new GeoPoint(file.latDegAt(0), file.lonDegAt(0)));
    for (int i = 0; i < file.size(); i++) {
      line.add(file.latDegAt(i), file.lonDegAt(i), file.eleMAt(i), file.lineAt(i));
    }
    RecordedTrack.Result result = trace(line.points, line.lines::get);
    String own = file.name().isBlank() ? fileName : file.name();
    Circuit bare = bare(own, line.origin, result);
    Circuit circuit =
        file.waypoints().isEmpty() ? bare : withMarks(bare, line.plane, file.waypoints());
    return done(circuit, result, file.size());
  }

  /** Points of the earth in a plane, each with its line of the file. */
  private static final class Projected {
    private final GeoPoint origin;
    private final LocalPlane plane;
    private final double perLon;
    private final List<TrackPoint> points = new ArrayList<>();
    private final List<Integer> lines = new ArrayList<>();
    private double lastLat;
    private double lastLon;

    Projected(GeoPoint origin) {
      this.origin = origin;
      this.plane = new LocalPlane(origin);
      this.perLon = METRES_PER_DEGREE * Math.cos(Math.toRadians(origin.latDeg()));
    }

    void add(double lat, double lon, double z, int line) {
      double dx = (lon - lastLon) * perLon;
      double dy = (lat - lastLat) * METRES_PER_DEGREE;
      if (points.isEmpty() || Math.hypot(dx, dy) >= SKIPPED_M) {
        double[] xy = plane.toPlane(lat, lon);
        points.add(new TrackPoint(xy[0], xy[1], z));
        lines.add(line);
        lastLat = lat;
        lastLon = lon;
      }
    }
  }

  private Imported<Read> table(RoadTable table, String name) {
    if (!table.onEarth()) {
      List<TrackPoint> points = new ArrayList<>();
      for (int i = 0; i < table.size(); i++) {
        points.add(
            new TrackPoint(
                table.at(RoadColumn.Quantity.X, i),
                table.at(RoadColumn.Quantity.Y, i),
                table.at(RoadColumn.Quantity.HEIGHT, i)));
      }
      RecordedTrack.Result result = trace(points, table::lineAt);
      return done(bare(name, null, result), result, table.size());
    }
    double lat = table.at(RoadColumn.Quantity.LATITUDE, 0);
    double lon = table.at(RoadColumn.Quantity.LONGITUDE, 0);
    Projected line = new Projected(new GeoPoint(lat, lon));
    for (int i = 0; i < table.size(); i++) {
      line.add(
          table.at(RoadColumn.Quantity.LATITUDE, i),
          table.at(RoadColumn.Quantity.LONGITUDE, i),
          table.at(RoadColumn.Quantity.HEIGHT, i),
          table.lineAt(i));
    }
    RecordedTrack.Result result = trace(line.points, line.lines::get);
    return done(bare(name, line.origin, result), result, table.size());
  }

  private RecordedTrack.Result trace(
      List<TrackPoint> points, java.util.function.IntUnaryOperator line) {
    try {
      return RecordedTrack.trace(points, settings.track());
    } catch (InvalidValueException e) {
      throw CircuitImport.atPoint(e, line);
    }
  }

  private Circuit bare(String name, GeoPoint origin, RecordedTrack.Result result) {
    String given = settings.name() != null ? settings.name() : name;
    return new Circuit(
        given.substring(0, Math.min(120, given.length())),
        "",
        1,
        null,
        origin == null ? "UTC" : PlaceZone.nearest(origin).getId(),
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        origin,
        result.survey(),
        settings.smoothing(),
        List.of(),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  private Imported<Read> done(Circuit circuit, RecordedTrack.Result result, int read) {
    warn(circuit, result);
    Facts facts =
        new Facts(
            read,
            result.used(),
            result.spacingM(),
            result.laps(),
            result.closureGapM(),
            result.crossings(),
            Heights.of(result.heights()));
    return new Imported<>(new Read(circuit, facts), warnings);
  }

  private void warn(Circuit circuit, RecordedTrack.Result result) {
    int whole = (int) Math.floor(result.laps() + 0.02);
    int lap = settings.track().lap();
    if (lap == 0 && whole > 1) {
      warnings.add(Sentence.of("circuit.rounds-median", "rounds", result.laps(), "whole", whole));
    } else if (result.laps() > 1.05) {
      warnings.add(
          Sentence.of(
              "circuit.rounds",
              "rounds",
              result.laps(),
              "lap",
              Math.max(1, lap),
              "whole",
              Math.max(1, whole)));
    }
    if (!circuit.survey().closed()) {
      warnings.add(Sentence.of("circuit.open"));
    }
    if (result.closureGapM() > 1) {
      warnings.add(Sentence.of("circuit.gap", "gap_m", result.closureGapM()));
    }
    for (RecordedTrack.Crossing crossing : result.crossings()) {
      warnings.add(
          Sentence.of(
              "circuit.crosses", "first_m", crossing.firstM(), "second_m", crossing.secondM()));
    }
    warnOfHeights(result.heights());
    if (circuit.origin() != null) {
      warnings.add(Sentence.of("circuit.zone-by-place", "zone", circuit.timeZone()));
    }
    if (!settings.widthSaid()) {
      warnings.add(Sentence.of("circuit.widths-assumed", "width_m", settings.track().widthLeftM()));
    }
  }

  private void warnOfHeights(RecordedHeights heights) {
    if (heights == null) {
      warnings.add(Sentence.of("circuit.no-heights"));
      return;
    }
    if (!heights.doubtful()) {
      return;
    }
    warnings.add(
        Math.abs(heights.gapM()) > RecordedHeights.WANDERING_GAP_M
            ? Sentence.of(
                "circuit.heights-jump-and-wander",
                "noise_m",
                heights.noiseM(),
                "gap_m",
                Math.abs(heights.gapM()))
            : Sentence.of("circuit.heights-jump", "noise_m", heights.noiseM()));
    warnings.add(
        settings.track().level()
            ? Sentence.of("circuit.level")
            : Sentence.of(
                "circuit.grades",
                "over_m",
                heights.overM(),
                "up",
                100 * heights.steepestUp(),
                "down",
                100 * heights.steepestDown()));
  }

  private Circuit withMarks(Circuit bare, LocalPlane plane, List<GpxFile.Waypoint> waypoints) {
    Road road = bare.road();
    List<Mark> marks = new ArrayList<>();
    for (GpxFile.Waypoint waypoint : waypoints) {
      Mark mark = mark(waypoint, plane, road);
      if (mark != null) {
        marks.add(mark);
      } else {
        warnings.add(
            Sentence.of("circuit.waypoint-far", "name", waypoint.name(), "line", waypoint.line()));
      }
    }
    return new Circuit(
        bare.name(),
        bare.layout(),
        bare.layoutVersion(),
        bare.validFrom(),
        bare.timeZone(),
        bare.trackLimits(),
        bare.origin(),
        bare.survey(),
        bare.smoothing(),
        marks,
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  /** A waypoint as a mark at the nearer side of the road; null where it is too far from it. */
  public static Mark mark(GpxFile.Waypoint waypoint, LocalPlane plane, Road road) {
    double[] xy = plane.toPlane(waypoint.place().latDeg(), waypoint.place().lonDeg());
    RoadPosition position = RoadPosition.nearest(road, xy[0], xy[1]);
    if (Math.abs(position.offsetM()) > FARTHEST_MARK_M) {
      return null;
    }
    String label = waypoint.name().isBlank() ? "waypoint" : waypoint.name();
    label = label.substring(0, Math.min(80, label.length()));
    MarkType type = typeOf(label);
    boolean left = position.offsetM() > 0;
    int i = road.indexOf(position.stationM());
    double edge = left ? road.widthLeftAt(i) : road.widthRightAt(i);
    double out = Math.max(Math.abs(position.offsetM()), edge + 1);
    Side side = type == MarkType.BRIDGE ? Side.OVER : left ? Side.LEFT : Side.RIGHT;
    Matcher board = BOARD.matcher(label);
    Double value =
        type == MarkType.DISTANCE_BOARD && board.find() ? Double.valueOf(board.group(1)) : null;
    return new Mark(
        label,
        type,
        side,
        position.stationM(),
        position.stationM(),
        side == Side.OVER ? 0 : left ? out : -out,
        value,
        null,
        waypoint.comment());
  }

  /** What a name says of a thing; "other" where it says nothing. */
  private static MarkType typeOf(String label) {
    String lower = label.substring(0, Math.min(label.length(), 200)).toLowerCase(Locale.ROOT);
    if (BOARD.matcher(lower).find()) {
      return MarkType.DISTANCE_BOARD;
    }
    for (MarkType type : MarkType.values()) {
      String word = Spelled.of(type).replace('-', ' ');
      String last = word.substring(word.lastIndexOf(' ') + 1);
      if (type != MarkType.OTHER
          && (lower.contains(word) || lower.matches(".*\\b" + last + "\\b.*"))) {
        return type;
      }
    }
    return MarkType.OTHER;
  }

  private Imported<Read> geoJson(JsonPlace top, String name) {
    JsonPlace line = lineString(top);
    List<JsonPlace> positions = line.array("coordinates");
    List<TrackPoint> points = new ArrayList<>();
    GeoPoint origin = null;
    LocalPlane plane = null;
    for (JsonPlace position : positions) {
      double lon = CircuitGeoJson.range(position.at(0), 180, "longitude");
      double lat = CircuitGeoJson.range(position.at(1), 90, "latitude");
      if (plane == null) {
        origin = new GeoPoint(lat, lon);
        plane = new LocalPlane(origin);
      }
      double[] xy = plane.toPlane(lat, lon);
      boolean height = position.node().size() > 2;
      points.add(new TrackPoint(xy[0], xy[1], height ? position.at(2).number() : Double.NaN));
    }
    try {
      RecordedTrack.Result result = RecordedTrack.trace(points, settings.track());
      return done(bare(name, origin, result), result, points.size());
    } catch (InvalidValueException e) {
      JsonPlace place = line.at("coordinates");
      throw (e.index() >= 0 ? place.at(e.index()) : place).error(e);
    }
  }

  private static JsonPlace lineString(JsonPlace place) {
    return switch (place.node().path("type").asString()) {
      case "LineString" -> place;
      case "Feature" -> lineString(place.object("geometry"));
      case "FeatureCollection" -> {
        for (JsonPlace feature : place.array("features")) {
          if ("LineString".equals(feature.node().path("geometry").path("type").asString())) {
            yield feature.object("geometry");
          }
        }
        throw place.at("features").error(Sentence.of("file.no-line"));
      }
      default -> throw place.at("type").error(Sentence.of("file.geojson-line"));
    };
  }
}
