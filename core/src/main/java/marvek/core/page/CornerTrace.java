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

  /** The slowest place may lie a little behind a corner. */
  private static final double SLOWEST_AFTER_M = 10;

  /** The inside edge is searched this far before and after the corner. */
  private static final double MARGIN_M = 25;

  /** A second apex lies at least so far from the first ... */
  private static final double APEX_APART_M = 45;

  /** ... and the car goes out by at least so much between them. */
  private static final double APEX_RISE_M = 0.6;

  /** A line that moves across the road by less than this has no apex. */
  private static final double KEEPS_PLACE_M = 0.3;

  /** Offsets within this are the same place across the road. */
  private static final double SAME_OFFSET_M = 0.03;

  private static final double LONGEST_CORNER_M = 1000;
  private static final double TURN_IN_SEARCH_M = 180;
  private static final double TRACK_OUT_SEARCH_M = 140;
  private static final double TRACK_OUT_NEAR_M = 0.3;
  private static final double FLAT_SHARE = 0.985;
  private static final double FLAT_FOR_M = 10;

  final Corner corner;
  final Lap lap;
  final Path path;
  final Road road;
  int slowest;
  final List<Integer> apexes;

  /** Last apex of the corner before and first one of the next, or -1: nothing lies beyond them. */
  private int previousEnd = -1;

  private int nextApex = -1;

  /** Where the next corner's own work begins, after this one's last apex; -1 without one. */
  private int nextBegin = -1;

  int turnIn;
  BrakingZone braking;

  /** Whether the brakes go on into the next corner, whose zone it is. */
  boolean brakesOn;

  int trackOut;

  CornerTrace(Corner corner, Lap lap) {
    this.corner = corner;
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.slowest = findSlowest(samples(SLOWEST_AFTER_M));
    this.apexes = findApexes();
  }

  /**
   * Sets the corner between its neighbours and finds its turn-in.
   *
   * @param previous last apex of the corner before, -1 without one
   * @param next the corner after it, null without one
   */
  void within(int previous, CornerTrace next) {
    previousEnd = previous;
    nextApex = next == null ? -1 : next.apexes.get(0);
    if (next != null) {
      double apart = road.offsetBetween(corner.toM(), next.corner.fromM());
      slowest = findSlowest(Math.min(samples(SLOWEST_AFTER_M), Math.max(0, samples(apart / 2))));
    }
    turnIn = findTurnIn();
  }

  /** Gives the corner a zone on the brakes, as far as it does not reach into the one before. */
  void brakeIn(BrakingZone zone) {
    BrakingZone own = startsBefore(zone) ? zone.from(road.wrap(previousEnd + 1), lap) : zone;
    boolean endsBeyond =
        nextApex >= 0
            && road.offsetBetween(road.stationAt(nextApex), road.stationAt(own.end())) >= 0;
    braking = endsBeyond ? own.upTo(road.wrap(nextApex - 1), lap) : own;
  }

  /** Whether a zone begins before the corner's own part of the lap. */
  boolean startsBefore(BrakingZone zone) {
    return previousEnd >= 0
        && road.offsetBetween(road.stationAt(previousEnd), road.stationAt(zone.begin())) <= 0;
  }

  /** Whether a zone ends before the corner's own part of the lap, by not too much to be meant. */
  boolean endsBefore(BrakingZone zone) {
    if (previousEnd < 0) {
      return false;
    }
    double way = road.offsetBetween(road.stationAt(zone.end()), road.stationAt(previousEnd));
    return way >= 0 && way < LONGEST_CORNER_M;
  }

  /** Station not before the corner's own part of the lap. */
  double notBeforeM(double stationM) {
    boolean before =
        previousEnd >= 0 && road.offsetBetween(road.stationAt(previousEnd), stationM) <= 0;
    return before ? road.stationAt(road.wrap(previousEnd + 1)) : stationM;
  }

  /**
   * Samples from one of the corner's places to the end of its own part of the lap, at most;
   * negative where it lies beyond.
   */
  private int left(int from, int most) {
    if (nextBegin >= 0) {
      boolean beyond = road.offsetBetween(road.stationAt(from), road.stationAt(nextBegin)) <= 0;
      return beyond ? -1 : Math.min(most, ahead(from, nextBegin) - 1);
    }
    return road.closed() ? most : Math.min(most, road.size() - 1 - from);
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

  private int findSlowest(int after) {
    int count = ahead(from(), to()) + after;
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
   * Where the car comes nearest to the inside; a line that keeps its place across the road has no
   * such place: there it is the slowest of the corner.
   */
  private List<Integer> findApexes() {
    int margin = Math.min(samples(MARGIN_M), road.size() / 8);
    int begin = from() - margin;
    int count = ahead(from(), to()) + 2 * margin;
    double[] gap = new double[count + 1];
    double least = Double.POSITIVE_INFINITY;
    double[] across = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(begin + k);
      gap[k] = insideGap(i);
      least = Math.min(least, gap[k]);
      across[0] = Math.min(across[0], path.offsetAt(i));
      across[1] = Math.max(across[1], path.offsetAt(i));
    }
    if (across[1] - across[0] < KEEPS_PLACE_M) {
      return List.of(slowestInside());
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

  private int slowestInside() {
    int count = ahead(from(), to());
    int best = from();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(from() + k);
      best = lap.speedAt(i) < lap.speedAt(best) ? i : best;
    }
    return best;
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
    int most = samples(TURN_IN_SEARCH_M);
    if (previousEnd >= 0) {
      most = Math.min(most, ahead(previousEnd, apex) - 1);
    } else if (!road.closed()) {
      most = Math.min(most, apex);
    }
    int k = 1;
    // The apex itself may lie where the path is straight again: go back to where it bends first.
    while (k < most && bend(road.wrap(apex - k)) < threshold) {
      k++;
    }
    while (k < most && bend(road.wrap(apex - k)) >= threshold) {
      k++;
    }
    return road.wrap(apex - (k < most ? k : straightest(apex, most)));
  }

  /** Where the path never comes out of the bend before: the place where it bends least. */
  private int straightest(int apex, int most) {
    int best = Math.min(1, Math.max(most, 0));
    for (int k = best; k <= most; k++) {
      best = bend(road.wrap(apex - k)) < bend(road.wrap(apex - best)) ? k : best;
    }
    return best;
  }

  /**
   * Ends the corner's own part of the lap and finds its track-out: the first place after the last
   * apex where the car is as far out as it gets.
   *
   * @param next sample where the next corner's work begins, or -1 without a next corner
   */
  void endBefore(int next) {
    int apex = lastApex();
    boolean behind =
        next >= 0 && road.offsetBetween(road.stationAt(apex), road.stationAt(next)) > 0;
    // A next corner that begins before this one's apex has the way between the two apexes.
    nextBegin = next < 0 || behind ? next : nextApex;
    int reach =
        Math.max(1, left(apex, Math.max(1, samples(TRACK_OUT_SEARCH_M + corner.lengthM() / 3))));
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

  /** Where the corner's time begins: its brake point or its turn-in, whichever comes first. */
  int begin() {
    boolean brakesFirst =
        braking != null
            && road.offsetBetween(road.stationAt(braking.begin()), road.stationAt(turnIn)) >= 0;
    return brakesFirst ? braking.begin() : turnIn;
  }

  /**
   * First sample with drive after the brakes, or where a lift is deepest; -1 if flat, or not
   * reached before the next corner.
   */
  int firstThrottle() {
    if (isFlat()) {
      return -1;
    }
    if (braking == null) {
      return leastThrottle();
    }
    if (brakesOn) {
      return -1;
    }
    int begin = braking.end();
    int most = left(begin, samples(600));
    for (int k = 0; k <= most; k++) {
      int i = road.wrap(begin + k);
      if (lap.throttleShareAt(i) > 0.02) {
        return i;
      }
    }
    return -1;
  }

  private int leastThrottle() {
    int best = -1;
    int count = untilNextBraking();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(turnIn + k);
      boolean less = best < 0 || lap.throttleShareAt(i) < lap.throttleShareAt(best);
      best = less && !lap.shiftingAt(i) ? i : best;
    }
    return best < 0 ? turnIn : best;
  }

  /** First sample from which the engine, not grip, is the limit for ten metres; -1 if none. */
  int fullThrottle(int first) {
    int run = 0;
    int most = left(first, samples(1500));
    for (int k = 0; k <= most; k++) {
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
