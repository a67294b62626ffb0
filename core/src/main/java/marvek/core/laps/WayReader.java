package marvek.core.laps;

import static marvek.core.profile.Constants.G0;

import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.page.CornerPage;

/** Where a lap turned in, and how near to the edges it came. */
final class WayReader {
  /** A heading is taken over so long on each side: less is the noise of positions. */
  private static final double HEADING_S = 0.4;

  /** Before the page's turn-in the lap's is looked for so far. */
  private static final double BEFORE_TURN_IN_M = 60;

  private final LapTrace trace;
  private final Road road;
  private final Thresholds thresholds;

  WayReader(LapTrace trace, Road road, Thresholds thresholds) {
    this.trace = trace;
    this.road = road;
    this.thresholds = thresholds;
  }

  /**
   * Reads a corner.
   *
   * @param since first sample behind the corner before
   * @param begin first sample at its turn-in
   * @param end sample at the end of its track-out
   */
  CornerReading.Way read(CornerPage page, int since, int begin, int end) {
    int turn = page.direction() == Side.LEFT ? 1 : -1;
    int inside = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int i = begin; i < end && trace.tellsLine(); i++) {
      double room = room(i, turn);
      if (room < least) {
        least = room;
        inside = i;
      }
    }
    Double turnIn = turnIn(page, since, end, turn);
    if (inside < 0) {
      return new CornerReading.Way(turnIn, null, null, null);
    }
    return new CornerReading.Way(
        turnIn, least, trace.stationAt(inside), outside(inside, end, turn));
  }

  /** Room between the car's middle and the edge on a side; NaN without a position. */
  private double room(int i, int side) {
    double offset = trace.offsetAt(i);
    if (Double.isNaN(offset)) {
      return Double.NaN;
    }
    int at = road.indexOf(road.wrapStation(trace.stationAt(i)));
    return side > 0 ? road.widthLeftAt(at) - offset : road.widthRightAt(at) + offset;
  }

  private Double outside(int inside, int end, int turn) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = inside; i < end; i++) {
      double room = room(i, -turn);
      least = room < least ? room : least;
    }
    return Double.isInfinite(least) ? null : least;
  }

  /** Back from the strongest side force to where it went through a share of that. */
  private Double turnIn(CornerPage page, int since, int end, int turn) {
    int from = Math.max(since, trace.indexAt(page.turnIn().atM() - BEFORE_TURN_IN_M));
    int peak = -1;
    double strongest = 0;
    for (int i = Math.max(from, trace.from + 1); i < end; i++) {
      double side = turn * sideG(i);
      if (side > strongest) {
        strongest = side;
        peak = i;
      }
    }
    if (peak < 0) {
      return null;
    }
    double limit = thresholds.turnInShare() * strongest;
    for (int i = peak; i > from; i--) {
      double before = turn * sideG(i - 1);
      if (before < limit) {
        return trace.crossing(before, turn * sideG(i), limit, i);
      }
    }
    return null;
  }

  private double sideG(int i) {
    if (trace.has(Channel.LATERAL_G)) {
      return trace.at(Channel.LATERAL_G, i);
    }
    double speed = trace.at(Channel.SPEED, i);
    if (trace.has(Channel.YAW_RATE)) {
      return Math.toRadians(trace.at(Channel.YAW_RATE, i)) * speed / G0;
    }
    return trace.has(Channel.X) ? turnRate(i) * speed / G0 : Double.NaN;
  }

  /** How fast the heading of the positions turns [rad/s]. */
  private double turnRate(int i) {
    int a = i;
    int b = i;
    while (a > trace.from && trace.timeAt(i) - trace.timeAt(a) < HEADING_S) {
      a--;
    }
    while (b < trace.to - 1 && trace.timeAt(b) - trace.timeAt(i) < HEADING_S) {
      b++;
    }
    double before = heading(a, i);
    double turned = Math.IEEEremainder(heading(i, b) - before, 2 * Math.PI);
    return turned / ((trace.timeAt(b) - trace.timeAt(a)) / 2);
  }

  private double heading(int a, int b) {
    return Math.atan2(
        trace.at(Channel.Y, b) - trace.at(Channel.Y, a),
        trace.at(Channel.X, b) - trace.at(Channel.X, a));
  }
}
