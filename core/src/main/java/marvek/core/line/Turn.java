package marvek.core.line;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.event.BrakingZone;
import marvek.core.profile.Lap;

/**
 * One corner as a stretch of road to draw lines on: from before its braking to well after it, but
 * not into the turns beside it. Positions count along the stretch.
 */
final class Turn {
  /** A line may begin to differ this far before the corner, or before braking for it. */
  private static final double BEFORE_M = 120;

  /** Longer than any braking zone of a road car and its approach. */
  private static final double LONGEST_APPROACH_M = 320;

  /** ... and is the same again so far after it. */
  private static final double AFTER_M = 150;

  /** Of the corners beside it a line takes in this share. */
  private static final double NEIGHBOUR_SHARE = 0.25;

  private final Corner corner;
  private final Stretch stretch;
  private final int from;
  private final int to;
  private final double[] turned;

  private Turn(Corner corner, Stretch stretch, int from, int to) {
    this.corner = corner;
    this.stretch = stretch;
    this.from = from;
    this.to = to;
    this.turned = turnedShares();
  }

  /** The corner at an index of a circuit's corners, on the road of a lap. */
  static Turn of(List<Corner> corners, int index, Lap lap) {
    Corner corner = corners.get(index);
    Road road = lap.path().road();
    double approach = Math.min(LONGEST_APPROACH_M, BEFORE_M + brakingWay(lap, corner));
    double before = Math.min(approach, roomBefore(road, corners, index));
    double after = Math.min(AFTER_M, roomAfter(road, corners, index));
    int first = road.indexOf(corner.fromM());
    int reachBefore = road.samples(before);
    int length = road.samples(road.distance(corner.fromM(), corner.toM()));
    int reachAfter = road.samples(after);
    Stretch stretch = Stretch.between(road, first - reachBefore, first + length + reachAfter);
    int from = Math.min(reachBefore, road.closed() ? reachBefore : first);
    return new Turn(corner, stretch, from, Math.min(from + length, stretch.size() - 1));
  }

  /** How far before the corner the brakes go on. */
  private static double brakingWay(Lap lap, Corner corner) {
    Road road = lap.path().road();
    int i = road.indexOf(corner.fromM());
    int most = road.samples(LONGEST_APPROACH_M);
    int k = 0;
    int last = 0;
    while (k < most && (road.closed() || i - k > 0)) {
      if (lap.brakeGAt(road.wrap(i - k)) > BrakingZone.LEAST_G) {
        last = k;
      } else if (k - last > road.samples(15)) {
        break;
      }
      k++;
    }
    return last * road.stepM();
  }

  private static double roomBefore(Road road, List<Corner> corners, int index) {
    if (corners.size() < 2 || !road.closed() && index == 0) {
      return LONGEST_APPROACH_M;
    }
    Corner last = corners.get(Math.floorMod(index - 1, corners.size()));
    double straight = Math.max(0, road.distance(last.toM(), corners.get(index).fromM()));
    return straight + NEIGHBOUR_SHARE * last.lengthM();
  }

  private static double roomAfter(Road road, List<Corner> corners, int index) {
    if (corners.size() < 2 || !road.closed() && index == corners.size() - 1) {
      return AFTER_M;
    }
    Corner next = corners.get((index + 1) % corners.size());
    double straight = Math.max(0, road.distance(corners.get(index).toM(), next.fromM()));
    return straight + NEIGHBOUR_SHARE * next.lengthM();
  }

  /** Share of the corner's turning done at each position: 0 before it, 1 after it. */
  private double[] turnedShares() {
    double[] share = new double[stretch.size()];
    double sum = 0;
    for (int k = 0; k < share.length; k++) {
      if (k >= from && k <= to) {
        sum += Math.max(0, corner.sign() * stretch.road().curvatureAt(stretch.at(k)));
      }
      share[k] = sum;
    }
    for (int k = 0; k < share.length; k++) {
      share[k] = sum > 0 ? share[k] / sum : k < from ? 0 : 1;
    }
    return share;
  }

  /** The same turn on a section of the lap. */
  Turn on(Section section) {
    return new Turn(corner, section.here(stretch), from, to);
  }

  Corner corner() {
    return corner;
  }

  Stretch stretch() {
    return stretch;
  }

  /** Side of the inside: 1 left, −1 right. */
  int inside() {
    return corner.sign();
  }

  double turnedAt(int k) {
    return turned[k];
  }

  boolean withinCorner(int k) {
    return k >= from && k <= to;
  }

  /** Position of the corner's first metre. */
  int from() {
    return from;
  }

  /** Position of its last metre. */
  int to() {
    return to;
  }

  boolean before(int k) {
    return k < from;
  }

  /** Share of the way from the stretch's first sample to the corner: 0 to 1. */
  double approachShare(int k) {
    return from == 0 ? 1 : Math.min(1, k / (double) from);
  }

  /** Share of the way from the stretch's last sample back to the corner: 1 within it. */
  double runOutShare(int k) {
    int after = stretch.size() - 1 - to;
    return k <= to || after == 0 ? 1 : 1 - (k - to) / (double) after;
  }
}
