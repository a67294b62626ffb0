package marvek.core.profile;

import java.util.function.Function;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;

/**
 * A second look at the gears that drive out of a bend, each driven in another way and the quicker
 * of the two kept: a change up that comes well before the limiter is made where the lower gear
 * ends, and where the gear below pulls harder and was not taken, it is.
 *
 * <p>The gear search prices lost speed to first order, and forgives what a limit further on would
 * have taken. Where so much is lost that this limit is not reached any more, nothing is forgiven.
 *
 * <p>Single-use worker. A trial changes its copies of gears and speeds from its first sample on, as
 * far as it matters, and only there they are copied back or taken over.
 */
final class SecondLook {
  /** A change below this share of the lower gear's limiter is early (own assumption). */
  private static final double EARLY_SHARE = 0.95;

  /** Speeds whose squares agree to this share are the same again. */
  private static final double SAME = 1e-7;

  /** Part of a square of the speed that is all of it but for rounding. */
  private static final double WHOLE = 1 - 1e-9;

  private final Road road;
  private final Path path;
  private final Driveline driveline;
  private final ProfileOptions options;
  private final GearSearch search;
  private final GearPlan first;
  private final double[] braking;
  private final GearPlan tried;
  private final Sweep forward;
  private final double[] w;
  private final int[] gears;
  private final double[] share;
  private final double[] triedW;
  private final int[] triedGears;
  private final double[] triedShare;
  private boolean changed;

  /**
   * A look at the plan that a search has chosen.
   *
   * @param braking highest square of the speed at each sample
   * @param forward drives in the gears of a plan
   * @param w squares of the speed in the gears of the plan; is changed
   */
  SecondLook(
      Path path,
      Driveline driveline,
      ProfileOptions options,
      GearSearch search,
      GearPlan first,
      double[] braking,
      Function<GearPlan, Sweep> forward,
      double[] w) {
    this.path = path;
    this.road = path.road();
    this.driveline = driveline;
    this.options = options;
    this.search = search;
    this.first = first;
    this.braking = braking;
    this.w = w;
    this.gears = first.gears();
    this.share = first.driveShares();
    this.triedW = w.clone();
    this.triedGears = gears.clone();
    this.triedShare = share.clone();
    this.tried = first.tried(triedGears, triedShare);
    this.forward = forward.apply(tried);
  }

  /** The plan with what is quicker otherwise; the same object where nothing is. */
  GearPlan plan() {
    for (GearPlan.Change change : first.changes()) {
      if (stands(change) && isEarly(change)) {
        holdLower(road.wrap(change.sample() - 1), change.sample(), change.sample(), change.from());
      }
    }
    boolean limited = false;
    int i = search.first();
    for (int left = path.elements(); left > 0; left--) {
      boolean driven = isDriven(i);
      if (driven && limited && pullsHarderBelow(i)) {
        takeTheGearBelow(i);
      }
      limited = !driven;
      i = road.wrap(i + 1);
    }
    return changed ? search.planOf(gears) : first;
  }

  /** Whether a change up is still in the plan. */
  private boolean stands(GearPlan.Change change) {
    int i = change.sample();
    return change.to() > change.from()
        && gears[road.wrap(i - 1)] == change.from()
        && gears[i] == change.to();
  }

  private boolean isEarly(GearPlan.Change change) {
    return w[change.sample()] < EARLY_SHARE * EARLY_SHARE * limiterW(change.from());
  }

  private double limiterW(int gear) {
    double v = driveline.limiterSpeedMps(gear);
    return v * v;
  }

  /** Whether neither brakes nor a limit hold the car. */
  private boolean isDriven(int i) {
    return !first.brakingAt(i) && w[i] < WHOLE * Math.min(braking[i], limiterW(gears[i]));
  }

  /** The one of two samples that a run comes to first. */
  private int earlier(int a, int b) {
    return search.elementsFrom(a) > search.elementsFrom(b) ? a : b;
  }

  /** Whether the gear below the one in use drives more at a sample and some way on. */
  private boolean pullsHarderBelow(int i) {
    int below = gears[i] - 1;
    double v = Math.sqrt(w[i]);
    return below >= 1
        && v < EARLY_SHARE * driveline.limiterSpeedMps(below)
        && driveline.forceN(below, v) > driveline.forceN(below + 1, v);
  }

  /** Tries the gear below where the drive begins, changed down to under the brakes before. */
  private void takeTheGearBelow(int begins) {
    int gear = gears[begins];
    double highest = EARLY_SHARE * EARLY_SHARE * limiterW(gear - 1);
    int from = begins;
    int i = road.wrap(begins - 1);
    for (int left = path.elements(); left > 0; left--) {
      if (gears[i] != gear || w[i] > highest || options.heldGearAt(i) != 0) {
        break;
      }
      triedGears[i] = gear - 1;
      from = earlier(i, from);
      i = road.wrap(i - 1);
    }
    // Nobody changes down in the middle of a bend.
    if (first.brakingAt(i)) {
      holdLower(i, from, begins, gear - 1);
    } else {
      forget(i, begins);
    }
  }

  /**
   * Tries a lower gear from a sample to where it ends, or to the brakes.
   *
   * @param before sample before the first that is tried in it; those up to {@code at} are set
   * @param from sample to drive from
   */
  private void holdLower(int before, int from, int at, int lower) {
    int i = at;
    int count = 0;
    boolean own = false;
    for (; gears[i] == lower + 1 && count < search.elementsFrom(at); count++) {
      own |= options.heldGearAt(i) != 0;
      triedGears[i] = lower;
      i = road.wrap(i + 1);
    }
    int held = own ? count : untilItEnds(lower, at, count);
    double nextS = 0;
    for (int k = held; k < count; k++) {
      int back = road.wrap(at + k);
      triedGears[back] = lower + 1;
      nextS += path.elementAt(back) / Math.sqrt(w[back]);
    }
    boolean upAgain = gears[i] > lower + 1;
    boolean tooSoon = held == count || nextS < options.minGearTimeS();
    if (own || upAgain && tooSoon) {
      forget(before, i);
    } else {
      take(before, from, i);
    }
  }

  /** Number of elements after a sample for which a gear lasts. */
  private int untilItEnds(int gear, int from, int most) {
    double ends = WHOLE * limiterW(gear);
    triedW[from] = w[from];
    int i = from;
    for (int k = 0; k < most; k++) {
      triedShare[i] = 1;
      if (triedW[i] >= ends && search.mayChange(i)) {
        return k;
      }
      drive(i);
      i = road.wrap(i + 1);
    }
    return most;
  }

  private void drive(int i) {
    int to = road.wrap(i + 1);
    triedW[to] = forward.element(i, triedW[i], tried.capW(to, braking[to], driveline));
  }

  /**
   * Drives in the gears tried and keeps them where they are quicker.
   *
   * @param before sample before the first with another gear
   * @param from sample to drive from
   * @param end sample after the last with another gear
   */
  private void take(int before, int from, int end) {
    int settled = search.cuts().along(triedGears, triedShare, before, end);
    double gained = 0;
    boolean done = false;
    int i = from;
    triedW[i] = w[i];
    for (int left = search.elementsFrom(from); left > 0 && !done; left--) {
      drive(i);
      int to = road.wrap(i + 1);
      double way = 2 * path.elementAt(i);
      gained += way / (Math.sqrt(w[i]) + Math.sqrt(w[to]));
      gained -= way / (Math.sqrt(triedW[i]) + Math.sqrt(triedW[to]));
      boolean alike = triedGears[to] == gears[to] && triedShare[to] == share[to];
      boolean same = Math.abs(triedW[to] - w[to]) <= SAME * w[to];
      // Who is slower in the same gears gains nothing more.
      boolean hopeless = triedW[to] < w[to] && gained <= GearSearch.LEAST_GAIN_S;
      done = alike && (same || hopeless);
      i = to;
    }
    if (gained <= GearSearch.LEAST_GAIN_S) {
      forget(before, settled);
      return;
    }
    changed = true;
    for (int k = from; k != i; k = road.wrap(k + 1)) {
      w[k] = triedW[k];
    }
    w[i] = triedW[i];
    for (int k = before; k != settled; k = road.wrap(k + 1)) {
      gears[k] = triedGears[k];
      share[k] = triedShare[k];
    }
  }

  /** Back to the gears kept, from a sample to one before another. */
  private void forget(int from, int to) {
    for (int k = from; k != to; k = road.wrap(k + 1)) {
      triedGears[k] = gears[k];
      triedShare[k] = share[k];
    }
  }
}
