package marvek.core.event;

import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/**
 * Finds the points of one corner, step by step, as its neighbours become known. Worker of {@link
 * LapEvents}.
 */
final class CornerSearch {
  /** The car turns where its path bends more than this share of the corner's tightest. */
  private static final double TURNING_SHARE = 0.3;

  /** The slowest place may lie a little behind a corner. */
  private static final double SLOWEST_AFTER_M = 10;

  /**
   * Bounds of searches on open ground; the spans of the neighbours bound them first (own choices).
   */
  private static final double TURN_IN_SEARCH_M = 180;

  private static final double TRACK_OUT_SEARCH_M = 140;

  /** As far out as it gets, but for this. */
  private static final double TRACK_OUT_NEAR_M = 0.3;

  /** At the track-out the path bends less than this share of the corner's tightest. */
  private static final double OPENED_SHARE = 0.5;

  final Corner corner;
  final Lap lap;
  private final List<BrakingZone> zones;
  private final Path path;
  final Road road;
  CornerSpan span;
  int slowest;
  final List<Integer> apexes;
  int turnIn;
  BrakingZone braking;
  boolean brakesOn;
  int trackOut;

  CornerSearch(Corner corner, Lap lap, List<BrakingZone> zones) {
    this.corner = corner;
    this.lap = lap;
    this.zones = zones;
    this.path = lap.path();
    this.road = path.road();
    this.span = CornerSpan.of(corner, road);
    this.slowest = findSlowest(road.samples(SLOWEST_AFTER_M));
    this.apexes = Apexes.of(corner, lap, span);
  }

  /**
   * Sets the corner between its neighbours and finds its turn-in.
   *
   * @param previous last apex of the corner before, −1 without one
   * @param next the corner after it, null without one
   */
  void within(int previous, CornerSearch next) {
    span = span.between(previous, next == null ? -1 : next.apexes.get(0));
    if (next != null) {
      double apart = road.offsetBetween(corner.toM(), next.corner.fromM());
      slowest =
          findSlowest(
              Math.min(road.samples(SLOWEST_AFTER_M), Math.max(0, road.samples(apart / 2))));
    }
    turnIn = findTurnIn();
  }

  /** Gives the corner a zone on the brakes, as far as it does not reach into the one before. */
  void brakeIn(BrakingZone zone) {
    BrakingZone own = startsBefore(zone) ? zone.from(road.wrap(span.previousEnd() + 1), lap) : zone;
    boolean endsBeyond =
        span.nextApex() >= 0 && road.isOnWay(span.nextApex(), own.begin(), own.end());
    braking = endsBeyond ? own.upTo(road.wrap(span.nextApex() - 1), lap) : own;
  }

  /** Whether a zone begins before the corner's own part of the lap. */
  boolean startsBefore(BrakingZone zone) {
    return span.beginsOnWay(zone.begin(), zone.end(), road);
  }

  /** So many samples behind the slowest place, or the first apex where that comes later. */
  int slowestOrApex(int behind) {
    int slow = road.wrap(slowest + behind);
    int apex = apexes.get(0);
    return road.offsetBetween(road.stationAt(slow), road.stationAt(apex)) > 0 ? apex : slow;
  }

  /** Whether a sample lies in one of the lap's zones, this corner's or another's. */
  boolean brakesAt(int sample) {
    return zones.stream()
        .anyMatch(zone -> road.ahead(zone.begin(), sample) < road.ahead(zone.begin(), zone.end()));
  }

  private int findSlowest(int after) {
    int count = road.ahead(span.from(), span.to()) + after;
    int best = span.from();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(span.from() + k);
      if (lap.speedAt(i) < lap.speedAt(best)) {
        best = i;
      }
    }
    return best;
  }

  private double outsideGap(int i) {
    return corner.sign() > 0
        ? road.widthRightAt(i) + path.offsetAt(i)
        : road.widthLeftAt(i) - path.offsetAt(i);
  }

  /** Curvature of the path in the corner's own sense. */
  private double bend(int i) {
    return corner.sign() * path.curvatureAt(i);
  }

  private double tightestBend() {
    double most = 1e-9;
    int count = road.ahead(span.from(), span.to());
    for (int k = 0; k <= count; k++) {
      most = Math.max(most, bend(road.wrap(span.from() + k)));
    }
    return most;
  }

  private int findTurnIn() {
    double threshold = TURNING_SHARE * tightestBend();
    int apex = apexes.get(0);
    int most = road.samples(TURN_IN_SEARCH_M);
    if (span.previousEnd() >= 0) {
      most = Math.min(most, road.ahead(span.previousEnd(), apex) - 1);
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
    boolean behind = next >= 0 && !span.isReached(next, apex, road);
    // A next corner that begins before this one's apex has the way between the two apexes.
    span = span.endingAt(next < 0 || behind ? next : span.nextApex());
    int reach =
        Math.max(
            1,
            span.left(
                apex, Math.max(1, road.samples(TRACK_OUT_SEARCH_M + corner.lengthM() / 3)), road));
    trackOut = road.wrap(apex + outermost(apex, reach));
  }

  /**
   * How far behind an apex the car is as far out as it gets: where the path has opened there, or
   * else, on a line that bends all the way to the edge and back from it, where it is farthest out.
   */
  private int outermost(int apex, int reach) {
    int farthest = 1;
    for (int k = 2; k <= reach; k++) {
      boolean farther = outsideGap(road.wrap(apex + k)) < outsideGap(road.wrap(apex + farthest));
      farthest = farther ? k : farthest;
    }
    double near = outsideGap(road.wrap(apex + farthest)) + TRACK_OUT_NEAR_M;
    double open = OPENED_SHARE * tightestBend();
    for (int k = 1; k < reach; k++) {
      int i = road.wrap(apex + k);
      if (outsideGap(i) <= near && bend(i) <= open) {
        return k;
      }
    }
    return farthest;
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

  CornerEvents events() {
    return new CornerEvents(
        corner,
        span,
        begin(),
        slowest,
        apexes,
        turnIn,
        braking,
        brakesOn,
        trackOut,
        ThrottlePhase.of(this));
  }
}
