package marvek.core.circuit;

import java.util.ArrayList;
import java.util.List;

/**
 * Whether a thing beside the road can be seen from a place on it: not hidden by a crest, by what
 * stands on the inside of a bend, or by a building. The ground at either side is taken as high as
 * the road at the same station.
 *
 * <p>Straight lines of sight, as road designers use them: crest and horizontal sight-line offset,
 * AASHTO, <i>A Policy on Geometric Design of Highways and Streets</i>, ch. 3 (from memory).
 */
public final class Sight {
  /** Eyes of a seated driver above the road: 3.5 ft, AASHTO (from memory) [m]. */
  public static final double EYE_HEIGHT_M = 1.08;

  /** So far beyond the white line nothing hides the view where nothing else is known (assumed). */
  static final double OPEN_VERGE_M = 12;

  /** What stands beyond the open verge: hedges, banks, people (assumed) [m]. */
  private static final double BEYOND_HEIGHT_M = 3;

  /** A thing hides what lies behind it only if the line passes it by more than this. */
  private static final double SKIN_M = 1;

  /** The road surface is not hit by a line that passes it by less than this. */
  private static final double GRAZING_M = 0.03;

  private static final double STEP_M = 4;

  private final Road road;
  private final List<Barrier> barriers;
  private final double eyeHeightM;

  /** A stretch along one side that hides what is behind it, from an offset outward. */
  private record Barrier(Side side, double fromM, double toM, double beyondLineM, double heightM) {}

  /** Sight along a circuit's road, with its walls and buildings in the way. */
  public Sight(Circuit circuit, Road road) {
    this(circuit, road, EYE_HEIGHT_M);
  }

  /**
   * The same from another seat.
   *
   * @param eyeHeightM of the driver's eyes above the road
   */
  public Sight(Circuit circuit, Road road, double eyeHeightM) {
    this.road = road;
    this.eyeHeightM = eyeHeightM;
    this.barriers = barriers(circuit, road);
  }

  private static List<Barrier> barriers(Circuit circuit, Road road) {
    List<Barrier> found = new ArrayList<>();
    for (Hazard hazard : circuit.hazards()) {
      if (hazard.type() == Hazard.Type.WALL) {
        // A wall beside a circuit is waist-high with a fence above: one sees over it, not through.
        found.add(
            new Barrier(
                hazard.side(), hazard.fromM(), hazard.toM(), hazard.distanceM(), WALL_HEIGHT_M));
      }
    }
    for (Mark mark : circuit.marks()) {
      boolean stands = mark.side() == Side.LEFT || mark.side() == Side.RIGHT;
      if (mark.type() == MarkType.BUILDING && stands && mark.hasLength()) {
        int i = road.indexOf(mark.fromM());
        double line = mark.side() == Side.LEFT ? road.widthLeftAt(i) : road.widthRightAt(i);
        double height = mark.heightM() == null ? BEYOND_HEIGHT_M : mark.heightM();
        found.add(
            new Barrier(
                mark.side(), mark.fromM(), mark.toM(), Math.abs(mark.offsetM()) - line, height));
      }
    }
    return found;
  }

  private static final double WALL_HEIGHT_M = 1.0;

  /**
   * Height of the part of a mark that is looked for [m]; what is usual where nobody measured it.
   */
  public static double topM(Mark mark) {
    return mark.heightM() == null ? usualHeightM(mark.type()) : mark.heightM();
  }

  /** Heights that such things usually have (assumed, on the low side). */
  private static double usualHeightM(MarkType type) {
    return switch (type) {
      case DISTANCE_BOARD, SIGN, MARSHAL_POST, ACCESS_ROAD, PARKED_VEHICLE -> 1.5;
      case BRIDGE, BUILDING, TREE, LAMP, SIGNAL_LIGHT -> 5;
      case BANNER, FENCE_END, WALL_END, TYRE_WALL_END, BUSH, OTHER -> 1;
      case CONE -> 0.5;
      case PAINT_LINE, KERB_START, KERB_END, GRASS_EDGE, SURFACE_CHANGE, PATCH, CREST, DRAIN ->
          0.05;
      case SHADOW, RUBBER -> 0.05;
    };
  }

  /**
   * Whether the top of a thing is seen.
   *
   * @param eye where the driver is on the road
   * @param thing where it stands
   * @param topM its height above the ground
   */
  public boolean sees(RoadPosition eye, RoadPosition thing, double topM) {
    double way = road.offsetBetween(eye.stationM(), thing.stationM());
    if (way <= 0) {
      return false;
    }
    double[] from = eye.toPlane(road);
    double[] to = thing.toPlane(road);
    double eyeZ = heightAt(eye.stationM()) + eyeHeightM;
    double topZ = heightAt(thing.stationM()) + topM;
    Line line = new Line(from[0], from[1], eyeZ, to[0] - from[0], to[1] - from[1], topZ - eyeZ);
    int steps = (int) (way / STEP_M);
    for (int k = 1; k < steps; k++) {
      double station = road.wrapStation(eye.stationM() + k * way / steps);
      if (hides(line, station, thing)) {
        return false;
      }
    }
    return true;
  }

  private record Line(double x, double y, double z, double dx, double dy, double dz) {}

  private double heightAt(double stationM) {
    return road.zAt(road.indexOf(stationM));
  }

  /**
   * Where the line of sight crosses the road's normal at a station, and what is in its way there.
   */
  private boolean hides(Line line, double station, RoadPosition thing) {
    int i = road.indexOf(station);
    double cx = road.xAt(i) - line.x();
    double cy = road.yAt(i) - line.y();
    double across = line.dx() * road.normalYAt(i) - line.dy() * road.normalXAt(i);
    double square = line.dx() * line.dx() + line.dy() * line.dy();
    if (across * across < 1e-4 * square) {
      return false;
    }
    double offset = (line.dy() * cx - line.dx() * cy) / across;
    double px = cx + offset * road.normalXAt(i);
    double py = cy + offset * road.normalYAt(i);
    double share = (px * line.dx() + py * line.dy()) / square;
    if (!(share > 0 && share < 1)) {
      return false;
    }
    double above = line.z() + share * line.dz() - road.zAt(i);
    if (above < -GRAZING_M) {
      return true;
    }
    return hiddenBesideTheRoad(i, station, offset, above, thing);
  }

  private boolean hiddenBesideTheRoad(
      int i, double station, double offset, double above, RoadPosition thing) {
    Side side = offset > 0 ? Side.LEFT : Side.RIGHT;
    double line = offset > 0 ? road.widthLeftAt(i) : road.widthRightAt(i);
    double beyond = Math.abs(offset) - line;
    boolean thingThere = thing.offsetM() > 0 == offset > 0;
    double standing = thingThere ? Math.abs(thing.offsetM()) - line + SKIN_M : 0;
    if (beyond > Math.max(OPEN_VERGE_M, standing) && above < BEYOND_HEIGHT_M) {
      return true;
    }
    for (Barrier barrier : barriers) {
      double way = road.distance(barrier.fromM(), station);
      boolean along = way >= 0 && way <= road.distance(barrier.fromM(), barrier.toM());
      // Of two things in one row neither hides the other.
      boolean behind = beyond > barrier.beyondLineM() + SKIN_M && beyond > 0;
      if (along && barrier.side() == side && behind && above < barrier.heightM()) {
        return true;
      }
    }
    return false;
  }
}
