package marvek.core.event;

import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * The throttle in a corner.
 *
 * @param first first sample where the tyres drive after the brakes, or where a lift is deepest; −1
 *     if flat, or not reached before the next corner
 * @param full first sample from which the engine, not grip, is the limit for ten metres; −1 if none
 * @param flat whether it stays open from before the turn-in to the track-out
 */
public record ThrottlePhase(int first, int full, boolean flat) {
  /** More than this share of full is drive. */
  private static final double DRIVE_SHARE = 0.02;

  /** Throttle above this share stays open: what is missing is rounding of the solver. */
  private static final double OPEN_SHARE = 0.97;

  /** Flat is full throttle but for rounding of the solver, for 10 m as where laps are read. */
  private static final double FLAT_SHARE = 0.985;

  private static final double FLAT_FOR_M = 10;

  /** So many samples before a brake the foot is between the pedals. */
  private static final int HALF_OF_EITHER = 3;

  /** A brake is not looked for beyond this where the throttle has closed. */
  private static final double FARTHEST_BRAKE_M = 100;

  /** First throttle and full throttle are not looked for beyond these. */
  private static final double FARTHEST_FIRST_M = 600;

  /** A heavy car uphill may take a long straight to be flat in its traction. */
  private static final double FARTHEST_FULL_M = 1500;

  static ThrottlePhase of(CornerSearch corner) {
    return new Finder(corner).find();
  }

  private record Finder(CornerSearch corner, Lap lap, Road road) {
    Finder(CornerSearch corner) {
      this(corner, corner.lap, corner.road);
    }

    ThrottlePhase find() {
      boolean flat = isFlat();
      int first = flat ? -1 : firstThrottle();
      return new ThrottlePhase(first, first < 0 ? -1 : fullThrottle(first), flat);
    }

    private int firstThrottle() {
      if (corner.braking == null) {
        return leastThrottle();
      }
      if (corner.brakesOn) {
        return -1;
      }
      int begin = corner.braking.end();
      int most = corner.span.left(begin, road.samples(FARTHEST_FIRST_M), road);
      for (int k = 0; k <= most; k++) {
        int i = road.wrap(begin + k);
        if (lap.pullShareAt(i) > DRIVE_SHARE) {
          return i;
        }
      }
      return -1;
    }

    private int leastThrottle() {
      int best = -1;
      int count = untilNextBraking();
      for (int k = 0; k <= count; k++) {
        int i = road.wrap(corner.turnIn + k);
        boolean less = best < 0 || lap.throttleShareAt(i) < lap.throttleShareAt(best);
        best = less && !lap.shiftingAt(i) ? i : best;
      }
      return best < 0 ? corner.turnIn : best;
    }

    private int fullThrottle(int first) {
      int run = 0;
      int most = corner.span.left(first, road.samples(FARTHEST_FULL_M), road);
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

    private boolean isFlat() {
      if (corner.braking != null || !isOpen(corner.turnIn)) {
        return false;
      }
      int count = untilNextBraking();
      for (int k = 0; k <= count; k++) {
        if (!isOpen(road.wrap(corner.turnIn + k))) {
          return closesForABrake(corner.turnIn + k);
        }
      }
      return true;
    }

    private boolean isOpen(int i) {
      return lap.throttleShareAt(i) >= OPEN_SHARE || lap.shiftingAt(i) || lap.onLimiterAt(i);
    }

    /** What closes and opens no more before the next brake is the way to that. */
    private boolean closesForABrake(int from) {
      int most = road.samples(FARTHEST_BRAKE_M);
      for (int k = 0; k <= most; k++) {
        if (corner.brakesAt(road.wrap(from + k))) {
          return true;
        }
        if (isOpen(road.wrap(from + k))) {
          return false;
        }
      }
      return false;
    }

    /**
     * Samples from turn-in to track-out, or to where braking for the next corner begins before it:
     * the last ones before that are half of either.
     */
    private int untilNextBraking() {
      int count = road.ahead(corner.turnIn, corner.trackOut);
      for (int k = 0; k <= count + HALF_OF_EITHER; k++) {
        if (corner.brakesAt(road.wrap(corner.turnIn + k))) {
          return Math.max(0, Math.min(count, k - HALF_OF_EITHER));
        }
      }
      return count;
    }
  }
}
