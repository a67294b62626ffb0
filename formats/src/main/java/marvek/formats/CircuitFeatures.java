package marvek.formats;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;
import marvek.core.circuit.TrackLimits;
import marvek.core.circuit.Zone;
import marvek.core.say.Sentence;

/** What stands and lies along a circuit, collected feature by feature from its GeoJSON. */
final class CircuitFeatures {
  private final List<Mark> marks = new ArrayList<>();
  private final List<Kerb> kerbs = new ArrayList<>();
  private final List<Zone> zones = new ArrayList<>();
  private final List<Hazard> hazards = new ArrayList<>();
  private final List<DrawnCorner> corners = new ArrayList<>();

  /** From where to where along the road, and how far to the side. */
  record Extent(double fromM, double toM, double offsetM) {}

  /** Whether a kind of feature is known. */
  static boolean knows(String kind) {
    return List.of("mark", "kerb", "zone", "hazard", "corner").contains(kind);
  }

  /**
   * Reads one feature.
   *
   * @param p its properties
   */
  void read(String kind, JsonPlace p, Extent extent) {
    switch (kind) {
      case "mark" -> readMark(p, extent);
      case "kerb" -> readKerb(p, extent);
      case "zone" -> readZone(p, extent);
      case "hazard" -> readHazard(p, extent);
      default -> readCorner(p, extent);
    }
  }

  List<Mark> marks() {
    return marks;
  }

  List<Kerb> kerbs() {
    return kerbs;
  }

  List<Zone> zones() {
    return zones;
  }

  List<Hazard> hazards() {
    return hazards;
  }

  /** Corners in driving order. */
  List<DrawnCorner> corners() {
    corners.sort(Comparator.comparingDouble(DrawnCorner::fromM));
    return corners;
  }

  private void readMark(JsonPlace p, Extent extent) {
    marks.add(
        new Mark(
            p.text("label"),
            p.oneOf("type", MarkType.class),
            p.oneOf("side", Side.class),
            extent.fromM(),
            extent.toM(),
            extent.offsetM(),
            p.optionalNumber("value_m"),
            p.optionalNumber("height_m"),
            p.text("note", ""),
            notedAt(p)));
  }

  private static Instant notedAt(JsonPlace p) {
    OffsetDateTime at = p.moment("notedAt");
    return at == null ? null : at.toInstant();
  }

  private void readKerb(JsonPlace p, Extent extent) {
    kerbs.add(
        new Kerb(
            leftOrRight(p),
            extent.fromM(),
            extent.toM(),
            p.oneOf("profile", Kerb.Profile.class),
            p.number("height_mm"),
            p.number("width_m"),
            p.oneOf("use", Kerb.Use.class, Kerb.Use.NONE),
            p.oneOf("useWet", Kerb.Use.class, Kerb.Use.NONE),
            p.text("note", "")));
  }

  private static Side leftOrRight(JsonPlace p) {
    Side side = p.oneOf("side", Side.class);
    if (side != Side.LEFT && side != Side.RIGHT) {
      throw p.at("side").error(Sentence.of("file.left-or-right"));
    }
    return side;
  }

  private void readZone(JsonPlace p, Extent extent) {
    zones.add(
        new Zone(
            p.oneOf("type", Zone.Type.class),
            p.oneOf("side", Side.class, Side.ROAD),
            extent.fromM(),
            extent.toM(),
            p.number("gripFactor", 1),
            p.text("note", "")));
  }

  private void readHazard(JsonPlace p, Extent extent) {
    hazards.add(
        new Hazard(
            p.oneOf("type", Hazard.Type.class),
            leftOrRight(p),
            extent.fromM(),
            extent.toM(),
            p.number("distance_m", 0),
            p.text("note", "")));
  }

  private void readCorner(JsonPlace p, Extent extent) {
    corners.add(
        new DrawnCorner(
            p.integer("number"),
            p.text("name", ""),
            p.has("side") ? leftOrRight(p) : null,
            extent.fromM(),
            extent.toM(),
            p.bool("linkWithNext", false),
            p.has("trackLimits") ? rule(p.object("trackLimits")) : null));
  }

  /** The rule of a {@code trackLimits} member. */
  static TrackLimits rule(JsonPlace place) {
    return place.oneOf("rule", TrackLimits.class);
  }
}
