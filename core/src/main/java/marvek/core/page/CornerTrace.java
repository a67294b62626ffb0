package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/**
 * The samples of a lap at which something happens in one corner. Package-private worker of {@link
 * PageWriter}: finds places, gives no units or words.
 */
final class CornerTrace {
  /** The car turns where its path bends more than this share of the corner's tightest. */
  private static final double TURNING_SHARE = 0.3;

  /** The inside edge is searched this far before and after the corner. */
  private static final double MARGIN_M = 25;

  /** A second apex lies at least so far from the first ... */
  private static final double APEX_APART_M = 45;

  /** ... and the car goes out by at least so much between them. */
  private static final double APEX_RISE_M = 0.6;

  /** Offsets within this are the same place across the road. */
  private static final double SAME_OFFSET_M = 0.03;

  private static final double TURN_IN_SEARCH_M = 180;
  private static final double TRACK_OUT_SEARCH_M = 140;
  private static final double TRACK_OUT_NEAR_M = 0.3;
  private static final double FLAT_SHARE = 0.985;
  private static final double FLAT_FOR_M = 10;

  final Corner corner;
  final Lap lap;
  final Path path;
  final Road road;
  final int slowest;
  final List<Integer> apexes;
  final int turnIn;
  BrakingZone braking;
  int trackOut;

  CornerTrace(Corner corner, Lap lap) {
    this.corner = corner;
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.slowest = findSlowest();
    this.apexes = findApexes();
    this.turnIn = findTurnIn();
  }

  int from() {
    return road.indexOf(corner.fromM());
  }

  int to() {
    return road.indexOf(corner.toM());
  }

  int samples(double metres) {
    return (int) Math.round(metres / road.stepM());
  }

  /** Samples from one index to another in the direction of travel. */
  int ahead(int from, int to) {
    return road.closed() ? Math.floorMod(to - from, road.size()) : to - from;
  }

  private int findSlowest() {
    int count = ahead(from(), to()) + samples(10);
    int best = from();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(from() + k);
      if (lap.speedAt(i) < lap.speedAt(best)) {
        best = i;
      }
    }
    return best;
  }

  double insideGap(int i) {
    return corner.sign() > 0
        ? road.widthLeftAt(i) - path.offsetAt(i)
        : road.widthRightAt(i) + path.offsetAt(i);
  }

  double outsideGap(int i) {
    return corner.sign() > 0
        ? road.widthRightAt(i) + path.offsetAt(i)
        : road.widthLeftAt(i) - path.offsetAt(i);
  }

  /**
   * Where the car comes nearest to the inside; on a line that keeps its distance, where it bends
   * most.
   */
  private List<Integer> findApexes() {
    int margin = Math.min(samples(MARGIN_M), road.size() / 8);
    int begin = from() - margin;
    int count = ahead(from(), to()) + 2 * margin;
    double[] gap = new double[count + 1];
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    for (int k = 0; k <= count; k++) {
      gap[k] = insideGap(road.wrap(begin + k));
      least = Math.min(least, gap[k]);
      most = Math.max(most, gap[k]);
    }
    if (most - least < 0.3) {
      return List.of(tightestOfPath());
    }
    List<Integer> found = new ArrayList<>();
    int first = plateauMiddle(gap, least);
    found.add(first);
    addSecondApex(gap, first, found, margin);
    found.sort(Integer::compare);
    return found.stream().map(k -> road.wrap(begin + k)).toList();
  }

  private static int plateauMiddle(double[] gap, double least) {
    int begin = -1;
    for (int k = 0; k < gap.length; k++) {
      boolean low = gap[k] <= least + SAME_OFFSET_M;
      if (low && begin < 0) {
        begin = k;
      }
      if (begin >= 0 && (!low || k == gap.length - 1)) {
        return (begin + (low ? k : k - 1)) / 2;
      }
    }
    return 0;
  }

  private void addSecondApex(double[] gap, int first, List<Integer> found, int margin) {
    int apart = samples(APEX_APART_M);
    int best = -1;
    for (int k = margin; k < gap.length - margin; k++) {
      boolean lowest = gap[k] <= gap[k - 1] && gap[k] <= gap[k + 1];
      if (!lowest || Math.abs(k - first) < apart || gap[k] > gap[first] + 2.5) {
        continue;
      }
      double rise = 0;
      for (int j = Math.min(k, first); j <= Math.max(k, first); j++) {
        rise = Math.max(rise, gap[j]);
      }
      if (rise - Math.max(gap[k], gap[first]) >= APEX_RISE_M && (best < 0 || gap[k] < gap[best])) {
        best = k;
      }
    }
    if (best >= 0) {
      found.add(best);
    }
  }

  private int tightestOfPath() {
    int count = ahead(from(), to());
    double most = 0;
    for (int k = 0; k <= count; k++) {
      most = Math.max(most, bend(road.wrap(from() + k)));
    }
    double sum = 0;
    int members = 0;
    for (int k = 0; k <= count; k++) {
      if (bend(road.wrap(from() + k)) >= 0.97 * most) {
        sum += k;
        members++;
      }
    }
    return road.wrap(from() + (members == 0 ? count / 2 : (int) Math.round(sum / members)));
  }

  /** Curvature of the path in the corner's own sense. */
  private double bend(int i) {
    return corner.sign() * path.curvatureAt(i);
  }

  double tightestBend() {
    double most = 1e-9;
    int count = ahead(from(), to());
    for (int k = 0; k <= count; k++) {
      most = Math.max(most, bend(road.wrap(from() + k)));
    }
    return most;
  }

  private int findTurnIn() {
    double threshold = TURNING_SHARE * tightestBend();
    int apex = apexes.get(0);
    int k = 0;
    // The apex itself may lie where the path is straight again: go back to where it bends first.
    while (k < samples(TURN_IN_SEARCH_M) && bend(road.wrap(apex - k)) < threshold) {
      k++;
    }
    while (k < samples(TURN_IN_SEARCH_M) && bend(road.wrap(apex - k)) >= threshold) {
      k++;
    }
    return k >= samples(TURN_IN_SEARCH_M) ? from() : road.wrap(apex - k);
  }

  /**
   * Track-out: first place after the last apex where the car is as far out as it gets.
   *
   * @param nextBegin sample where the next corner's work begins, or -1 without a next corner
   */
  void findTrackOut(int nextBegin) {
    int apex = lastApex();
    int reach = Math.max(1, samples(TRACK_OUT_SEARCH_M + corner.lengthM() / 3));
    int room = nextBegin < 0 ? reach : ahead(apex, nextBegin);
    // A next corner that begins before this apex leaves no room to run out.
    reach = room > 0 && room < road.size() / 2 ? Math.min(reach, room) : 1;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 1; k <= reach; k++) {
      least = Math.min(least, outsideGap(road.wrap(apex + k)));
    }
    int k = 1;
    while (k < reach
        && (outsideGap(road.wrap(apex + k)) > least + TRACK_OUT_NEAR_M
            || bend(road.wrap(apex + k)) > 0.5 * tightestBend())) {
      k++;
    }
    trackOut = road.wrap(apex + k);
  }

  int lastApex() {
    return apexes.get(apexes.size() - 1);
  }

  /** Where the corner's time begins: its brake point, without one its turn-in. */
  int begin() {
    return braking == null ? turnIn : braking.begin();
  }

  /** First sample with drive after the brakes, or where a lift is deepest; -1 if flat. */
  int firstThrottle() {
    if (isFlat()) {
      return -1;
    }
    if (braking == null) {
      return leastThrottle();
    }
    int begin = braking.end();
    for (int k = 0; k < samples(600); k++) {
      int i = road.wrap(begin + k);
      if (lap.throttleShareAt(i) > 0.02) {
        return i;
      }
    }
    return begin;
  }

  private int leastThrottle() {
    int best = turnIn;
    int count = untilNextBraking();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(turnIn + k);
      if (!lap.shiftingAt(i) && lap.throttleShareAt(i) < lap.throttleShareAt(best)) {
        best = i;
      }
    }
    return best;
  }

  /** First sample from which the engine, not grip, is the limit for ten metres; -1 if none. */
  int fullThrottle(int first) {
    int run = 0;
    for (int k = 0; k < samples(1500); k++) {
      int i = road.wrap(first + k);
      boolean flat = lap.throttleShareAt(i) >= FLAT_SHARE || lap.shiftingAt(i);
      run = flat ? run + 1 : 0;
      if (run * road.stepM() >= FLAT_FOR_M) {
        return road.wrap(first + k - run + 1);
      }
    }
    return -1;
  }

  /** Whether the throttle stays open from before the turn-in to the track-out. */
  boolean isFlat() {
    if (braking != null) {
      return false;
    }
    int count = untilNextBraking();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(turnIn + k);
      if (lap.throttleShareAt(i) < 0.97 && !lap.shiftingAt(i) && !atTopSpeed(i)) {
        return false;
      }
    }
    return true;
  }

  /**
   * Samples from turn-in to track-out, or to where braking for the next corner begins before it.
   */
  private int untilNextBraking() {
    int count = ahead(turnIn, trackOut);
    for (int k = 0; k <= count; k++) {
      if (lap.brakeGAt(road.wrap(turnIn + k)) > BrakingZone.LEAST_G) {
        return Math.max(0, k - 2);
      }
    }
    return count;
  }

  private boolean atTopSpeed(int i) {
    int gear = lap.gearAt(i);
    return lap.speedAt(i) >= 0.995 * lap.driveline().limiterSpeedMps(gear);
  }
}
