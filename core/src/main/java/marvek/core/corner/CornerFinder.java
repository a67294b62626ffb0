package marvek.core.corner;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;

/**
 * Finds the corners of a road from the curvature of its centreline, with hysteresis; corners drawn
 * by hand replace what is found. All bounds are common practice or own assumptions, in one place.
 */
public final class CornerFinder {
  /** A bend counts from this curvature on: 300 m of radius. */
  static final double ENTER_PER_M = 1 / 300.0;

  /** ... until it falls below this one: 500 m. */
  static final double LEAVE_PER_M = 1 / 500.0;

  /** Bends of less than this are part of a straight. */
  static final double LEAST_ANGLE_DEG = 9;

  /** Neighbours of the same sense nearer than this are one corner with two apexes. */
  static final double JOIN_M = 35;

  /** Neighbours of opposite sense nearer than this are linked. */
  static final double LINK_M = 45;

  private static final double LOOK_AHEAD_M = 60;

  private CornerFinder() {}

  /** Corners in driving order, numbered from 1; empty for a road without any. */
  public static List<Corner> find(Circuit circuit, Road road) {
    if (circuit.corners().isEmpty()) {
      return fromCurvature(road);
    }
    List<Corner> corners = new ArrayList<>();
    for (DrawnCorner drawn : circuit.corners()) {
      Stretch stretch = new Stretch(road.wrapStation(drawn.fromM()), road.wrapStation(drawn.toM()));
      corners.add(
          describe(
              road,
              stretch,
              drawn.number(),
              drawn.name(),
              drawn.side() == null ? sense(road, stretch) : drawn.side(),
              drawn.linkWithNext()));
    }
    corners.sort(java.util.Comparator.comparingDouble(Corner::fromM));
    return classed(road, corners);
  }

  /** The same circuit with the corners that were found as drawn ones, where none are drawn yet. */
  public static Circuit withCornersDrawn(Circuit circuit) {
    if (!circuit.corners().isEmpty()) {
      return circuit;
    }
    List<DrawnCorner> drawn = new ArrayList<>();
    for (Corner c : fromCurvature(circuit.road())) {
      drawn.add(
          new DrawnCorner(
              c.number(), c.name(), c.direction(), c.fromM(), c.toM(), c.linkWithNext(), null));
    }
    return circuit.withCorners(drawn);
  }

  private record Stretch(double fromM, double toM) {}

  private static List<Corner> fromCurvature(Road road) {
    List<Stretch> stretches = join(road, bends(road));
    List<Corner> corners = new ArrayList<>();
    for (Stretch stretch : stretches) {
      if (angleDeg(road, stretch) >= LEAST_ANGLE_DEG) {
        corners.add(describe(road, stretch, corners.size() + 1, "", sense(road, stretch), false));
      }
    }
    return classed(road, linked(road, corners));
  }

  /** Stretches of one sense above the threshold; the scan of a closed road begins on a straight. */
  private static List<Stretch> bends(Road road) {
    int begin = road.closed() ? straightest(road) : 0;
    List<Stretch> found = new ArrayList<>();
    int first = -1;
    int sign = 0;
    for (int k = 0; k < road.size(); k++) {
      int i = road.wrap(begin + k);
      double kappa = road.curvatureAt(i);
      if (first >= 0 && kappa * sign < LEAVE_PER_M) {
        found.add(new Stretch(road.stationAt(first), road.stationAt(i)));
        first = -1;
      }
      if (first < 0 && Math.abs(kappa) > ENTER_PER_M) {
        sign = kappa > 0 ? 1 : -1;
        first = i;
        while (first != begin && road.curvatureAt(road.wrap(first - 1)) * sign > LEAVE_PER_M) {
          first = road.wrap(first - 1);
        }
      }
    }
    if (first >= 0) {
      int last = road.closed() ? road.wrap(begin - 1) : road.size() - 1;
      found.add(new Stretch(road.stationAt(first), road.stationAt(last)));
    }
    found.sort(java.util.Comparator.comparingDouble(Stretch::fromM));
    return found;
  }

  private static int straightest(Road road) {
    int best = 0;
    for (int i = 1; i < road.size(); i++) {
      if (Math.abs(road.curvatureAt(i)) < Math.abs(road.curvatureAt(best))) {
        best = i;
      }
    }
    return best;
  }

  private static List<Stretch> join(Road road, List<Stretch> stretches) {
    List<Stretch> joined = new ArrayList<>();
    for (Stretch next : stretches) {
      Stretch last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
      if (last != null && areOne(road, last, next)) {
        joined.set(joined.size() - 1, new Stretch(last.fromM(), next.toM()));
      } else {
        joined.add(next);
      }
    }
    return acrossTheLine(road, joined);
  }

  private static boolean areOne(Road road, Stretch last, Stretch next) {
    return sense(road, last) == sense(road, next)
        && road.distance(last.toM(), next.fromM()) < JOIN_M;
  }

  /** On a closed road the last bend and the first may be one, with the line between its apexes. */
  private static List<Stretch> acrossTheLine(Road road, List<Stretch> joined) {
    int last = joined.size() - 1;
    if (!road.closed() || last < 1 || !areOne(road, joined.get(last), joined.get(0))) {
      return joined;
    }
    List<Stretch> result = new ArrayList<>(joined.subList(1, last));
    result.add(new Stretch(joined.get(last).fromM(), joined.get(0).toM()));
    return result;
  }

  private static List<Corner> linked(Road road, List<Corner> corners) {
    List<Corner> result = new ArrayList<>();
    for (int i = 0; i < corners.size(); i++) {
      Corner corner = corners.get(i);
      Corner next = corners.get((i + 1) % corners.size());
      boolean link =
          corners.size() > 1
              && (road.closed() || i + 1 < corners.size())
              && corner.direction() != next.direction()
              && road.distance(corner.toM(), next.fromM()) < LINK_M;
      result.add(withLink(corner, link));
    }
    return result;
  }

  private static Corner withLink(Corner c, boolean link) {
    return new Corner(
        c.number(),
        c.name(),
        c.direction(),
        c.fromM(),
        c.toM(),
        c.lengthM(),
        c.angleDeg(),
        c.tightestRadiusM(),
        c.tightestM(),
        c.gradePct(),
        c.bankingDeg(),
        c.vertical(),
        link,
        c.kind());
  }

  private static Side sense(Road road, Stretch stretch) {
    return turn(road, stretch) >= 0 ? Side.LEFT : Side.RIGHT;
  }

  private static double angleDeg(Road road, Stretch stretch) {
    return Math.toDegrees(Math.abs(turn(road, stretch)));
  }

  /** Signed turn of the road over a stretch [rad]. */
  private static double turn(Road road, Stretch stretch) {
    double sum = 0;
    int from = road.indexOf(stretch.fromM());
    int count = samples(road, stretch);
    for (int k = 0; k < count; k++) {
      double k0 = road.curvatureAt(road.wrap(from + k));
      double k1 = road.curvatureAt(road.wrap(from + k + 1));
      sum += 0.5 * (k0 + k1) * road.stepM();
    }
    return sum;
  }

  private static int samples(Road road, Stretch stretch) {
    return road.samples(road.distance(stretch.fromM(), stretch.toM()));
  }

  private static Corner describe(
      Road road, Stretch stretch, int number, String name, Side side, boolean link) {
    int sign = side == Side.LEFT ? 1 : -1;
    int from = road.indexOf(stretch.fromM());
    int count = Math.max(1, samples(road, stretch));
    int tightest = from;
    double grade = 0;
    double banking = 0;
    for (int k = 0; k < count; k++) {
      int i = road.wrap(from + k);
      grade += Math.tan(road.gradeAt(i)) / count;
      banking += sign * road.bankingAt(i) / count;
      if (road.curvatureAt(i) * sign > road.curvatureAt(tightest) * sign) {
        tightest = i;
      }
    }
    double vertical = 0;
    for (int k = -(int) (LOOK_AHEAD_M / road.stepM()); k < count; k++) {
      double value = road.verticalCurvatureAt(road.wrap(from + k));
      vertical = Math.abs(value) > Math.abs(vertical) ? value : vertical;
    }
    double kappa = Math.max(1e-6, road.curvatureAt(tightest) * sign);
    return new Corner(
        number,
        name,
        side,
        stretch.fromM(),
        stretch.toM(),
        road.distance(stretch.fromM(), stretch.toM()),
        angleDeg(road, stretch),
        1 / kappa,
        road.stationAt(tightest),
        100 * grade,
        Math.toDegrees(banking),
        vertical,
        link,
        Corner.Kind.MEDIUM);
  }

  private static List<Corner> classed(Road road, List<Corner> corners) {
    List<Corner> result = new ArrayList<>();
    for (int i = 0; i < corners.size(); i++) {
      Corner c = corners.get(i);
      Corner before = corners.get(Math.floorMod(i - 1, corners.size()));
      boolean inChicane = partOfChicane(c, before) || partOfChicane(c, corners, i);
      result.add(
          new Corner(
              c.number(),
              c.name(),
              c.direction(),
              c.fromM(),
              c.toM(),
              c.lengthM(),
              c.angleDeg(),
              c.tightestRadiusM(),
              c.tightestM(),
              c.gradePct(),
              c.bankingDeg(),
              c.vertical(),
              c.linkWithNext(),
              kind(c, inChicane)));
    }
    return List.copyOf(result);
  }

  /** Left and right in one move: neither turns far or takes long (own choice). */
  private static boolean partOfChicane(Corner c, List<Corner> corners, int i) {
    Corner next = corners.get((i + 1) % corners.size());
    return c.linkWithNext() && partOfChicane(next, c);
  }

  private static boolean partOfChicane(Corner c, Corner before) {
    return before != c
        && before.linkWithNext()
        && before.direction() != c.direction()
        && before.angleDeg() < 100
        && c.angleDeg() < 100
        && Math.max(before.lengthM(), c.lengthM()) < 90;
  }

  /** What drivers call such corners; the bounds between the words are own choices. */
  private static Corner.Kind kind(Corner c, boolean inChicane) {
    if (c.angleDeg() > 135 && c.tightestRadiusM() < 35) {
      return Corner.Kind.HAIRPIN;
    }
    if (inChicane) {
      return Corner.Kind.CHICANE_PART;
    }
    if (c.lengthM() > 190 && c.angleDeg() > 70) {
      return Corner.Kind.LONG;
    }
    if (c.angleDeg() < 32 && c.tightestRadiusM() > 70) {
      return Corner.Kind.KINK;
    }
    if (c.tightestRadiusM() < 40) {
      return Corner.Kind.SLOW;
    }
    return c.tightestRadiusM() < 95 ? Corner.Kind.MEDIUM : Corner.Kind.FAST;
  }
}
