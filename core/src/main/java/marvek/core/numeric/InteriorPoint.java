package marvek.core.numeric;

import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;

/**
 * Primal-dual interior point method for programmes whose elements stand in a row or a ring: each
 * step costs time in proportion to their number.
 *
 * <p>Constraints get slacks, {@code c(x) = s, s > 0}; slacks and bounds are kept inside by a
 * logarithmic barrier whose weight falls to almost nothing, and a filter says how much of each step
 * is taken (Nocedal &amp; Wright, <i>Numerical Optimization</i>, 2nd ed., ch. 19; Wächter &amp;
 * Biegler, <i>Mathematical Programming</i> 106, 2006; from memory).
 */
public final class InteriorPoint {
  /** Barrier's weight to begin with, for elements of the order of one. */
  private static final double FIRST_BARRIER = 0.1;

  /** The barrier falls when the conditions hold to so many times its weight; by trial. */
  private static final double BARRIER_TOLERANCE = 100;

  /** ... to this share of it, or to this power once it is small; by trial. */
  private static final double BARRIER_FACTOR = 0.3;

  private static final double BARRIER_POWER = 1.2;

  /** The last barrier, as a share of the tolerance. */
  private static final double LAST_BARRIER = 0.1;

  /** Steps go at most this far of the way to a bound. */
  private static final double TO_BOUND = 0.995;

  /** Steps shorter than this share are not tried. */
  private static final double LEAST_SHARE = 1e-6;

  /** Slacks begin no smaller, where the constraints hold by less or fail; by trial. */
  private static final double LEAST_SLACK = 0.05;

  /** Multipliers stay within this factor of what the barrier says of them. */
  private static final double MULTIPLIER_RANGE = 1e10;

  private final ElementProgramme programme;
  private final Bounded bounds;
  private final double tolerance;
  private final NewtonStep newton;
  private final Filter filter = new Filter();
  private final int m;
  private final int width;

  /** Unknowns that the elements see, element after element. */
  private final int[] places;

  private Iterate at;
  private Derived derived;
  private Derived spare;
  private double barrier = FIRST_BARRIER;

  /** Largest slope of the Lagrangian where it stands. */
  private double slopeLeft;

  /**
   * How it ended.
   *
   * @param x the unknowns found
   * @param value of the sum there
   * @param violation by how much the constraint that fails most fails
   * @param error largest residual of the conditions of a least value
   * @param converged whether they hold to the tolerance
   */
  public record Result(
      double[] x, double value, double violation, int steps, double error, boolean converged) {}

  private InteriorPoint(ElementProgramme programme, Bounded bounds, double tolerance) {
    this.programme = programme;
    this.bounds = bounds;
    this.tolerance = tolerance;
    m = programme.constraints();
    width = programme.width();
    places = new int[programme.elements() * width];
    for (int k = 0; k < places.length; k++) {
      places[k] = programme.unknown(k / width, k % width);
    }
    newton = new NewtonStep(programme, bounds, places);
    derived = new Derived(programme);
    spare = new Derived(programme);
  }

  /**
   * Makes the sum least.
   *
   * @param start unknowns to begin from; the constraints need not hold there
   * @param low lower bounds, −∞ for none; an unknown whose bounds are equal stays there
   * @param tolerance of the conditions of a least value
   * @param mostSteps after which it ends unconverged
   * @param progress told the share done, 0 to 1
   * @throws IllegalArgumentException if the programme is not defined where it begins
   * @throws CancellationException if the thread is interrupted
   */
  public static Result minimise(
      ElementProgramme programme,
      double[] start,
      double[] low,
      double[] high,
      double tolerance,
      int mostSteps,
      DoubleConsumer progress) {
    InteriorPoint method = new InteriorPoint(programme, new Bounded(low, high), tolerance);
    method.begin(start);
    return method.run(mostSteps, progress);
  }

  private void begin(double[] start) {
    double[] x = bounds.inside(start);
    int count = programme.elements() * m;
    at =
        new Iterate(
            x, new double[count], new double[count], new double[x.length], new double[x.length]);
    if (!derived.at(at)) {
      throw new IllegalArgumentException("the programme is not defined where it begins");
    }
    for (int k = 0; k < count; k++) {
      at.s()[k] = Math.max(LEAST_SLACK, derived.constraint[k]);
      at.z()[k] = barrier / at.s()[k];
    }
    for (int i = 0; i < x.length; i++) {
      at.low()[i] = bounds.below(i) ? barrier / (x[i] - bounds.low()[i]) : 0;
      at.high()[i] = bounds.above(i) ? barrier / (bounds.high()[i] - x[i]) : 0;
    }
    derived.at(at);
    slopeLeft = largestSlope();
  }

  private Result run(int mostSteps, DoubleConsumer progress) {
    double last = LAST_BARRIER * tolerance;
    double whole = Math.log(FIRST_BARRIER / last);
    int steps = 0;
    while (steps < mostSteps && error(0) > tolerance) {
      if (Thread.currentThread().isInterrupted()) {
        throw new CancellationException("search cancelled");
      }
      if (barrier > last && error(barrier) <= BARRIER_TOLERANCE * barrier) {
        barrier =
            Math.max(last, Math.min(BARRIER_FACTOR * barrier, Math.pow(barrier, BARRIER_POWER)));
        filter.clear();
      }
      if (!step() && !(slacksAreReset() && step())) {
        break;
      }
      steps++;
      progress.accept(Math.log(FIRST_BARRIER / barrier) / whole);
    }
    progress.accept(1);
    double error = error(0);
    return new Result(
        at.x(), derived.value(), derived.violation(), steps, error, error <= tolerance);
  }

  /** Largest residual of the conditions of a least value, the barrier weighing so much. */
  private double error(double weight) {
    double most = 0;
    for (int k = 0; k < at.s().length; k++) {
      most = Math.max(most, Math.abs(derived.constraint[k] - at.s()[k]));
      most = Math.max(most, Math.abs(at.s()[k] * at.z()[k] - weight));
    }
    for (int i = 0; i < at.x().length; i++) {
      if (bounds.below(i)) {
        double room = at.x()[i] - bounds.low()[i];
        most = Math.max(most, Math.abs(room * at.low()[i] - weight));
      }
      if (bounds.above(i)) {
        double room = bounds.high()[i] - at.x()[i];
        most = Math.max(most, Math.abs(room * at.high()[i] - weight));
      }
    }
    return Math.max(most, slopeLeft);
  }

  /** Largest slope of the Lagrangian; it is what large terms leave, and is measured by these. */
  private double largestSlope() {
    int n = at.x().length;
    double terms = 0;
    double[] slope = new double[n];
    double[] own = new double[width];
    for (int e = 0; e < programme.elements(); e++) {
      ElementProgramme.Derivatives d = derived.of[e];
      double[] jacobian = d.jacobian();
      System.arraycopy(d.gradient(), 0, own, 0, width);
      for (int j = 0; j < m; j++) {
        double z = at.z()[e * m + j];
        for (int a = 0; a < width; a++) {
          double term = z * jacobian[j * width + a];
          own[a] -= term;
          terms += Math.abs(term);
        }
      }
      for (int a = 0; a < width; a++) {
        slope[places[e * width + a]] += own[a];
      }
    }
    double most = 0;
    for (int i = 0; i < n; i++) {
      double left = bounds.held(i) ? 0 : slope[i] - at.low()[i] + at.high()[i];
      most = Math.max(most, Math.abs(left));
    }
    return most / Math.max(1, terms / n);
  }

  /** One step, as much of it as the filter takes; false if it takes nothing. */
  private boolean step() {
    Iterate step = newton.from(at, derived, barrier);
    if (step == null) {
      return false;
    }
    double gap = derived.gap(at.s());
    double before = barrierValue(derived, at);
    double fall = fall(step);
    double dual = dualShare(step);
    double longest = primalShare(step);
    for (double share = longest; share > LEAST_SHARE * longest; share *= 0.5) {
      Iterate tried = at.moved(step, share, dual);
      if (spare.at(tried)
          && filter.takes(
              gap, before, share * fall, spare.gap(tried.s()), barrierValue(spare, tried))) {
        accept(tried);
        return true;
      }
    }
    return false;
  }

  /**
   * Where no step is taken, slacks that say more than their constraints have are given what these
   * have, and the filter begins anew; false if there are none.
   */
  private boolean slacksAreReset() {
    boolean changed = false;
    for (int k = 0; k < at.s().length; k++) {
      double constraint = derived.constraint[k];
      if (constraint > 0 && at.s()[k] > constraint) {
        at.s()[k] = constraint;
        at.z()[k] = within(at.z()[k], constraint);
        changed = true;
      }
    }
    filter.clear();
    return changed;
  }

  private double primalShare(Iterate step) {
    double share = 1;
    for (int k = 0; k < at.s().length; k++) {
      share = shortened(share, at.s()[k], step.s()[k]);
    }
    for (int i = 0; i < at.x().length; i++) {
      double dx = step.x()[i];
      share = bounds.below(i) ? shortened(share, at.x()[i] - bounds.low()[i], dx) : share;
      share = bounds.above(i) ? shortened(share, bounds.high()[i] - at.x()[i], -dx) : share;
    }
    return share;
  }

  private double dualShare(Iterate step) {
    double share = 1;
    for (int k = 0; k < at.z().length; k++) {
      share = shortened(share, at.z()[k], step.z()[k]);
    }
    for (int i = 0; i < at.x().length; i++) {
      share = bounds.below(i) ? shortened(share, at.low()[i], step.low()[i]) : share;
      share = bounds.above(i) ? shortened(share, at.high()[i], step.high()[i]) : share;
    }
    return share;
  }

  private static double shortened(double share, double value, double change) {
    return change < 0 ? Math.min(share, TO_BOUND * value / -change) : share;
  }

  /** What the derivative of the barrier's value promises for the whole step. */
  private double fall(Iterate step) {
    double slope = 0;
    for (int e = 0; e < programme.elements(); e++) {
      for (int a = 0; a < width; a++) {
        slope += derived.of[e].gradient()[a] * step.x()[places[e * width + a]];
      }
    }
    for (int k = 0; k < at.s().length; k++) {
      slope -= barrier / at.s()[k] * step.s()[k];
    }
    for (int i = 0; i < at.x().length; i++) {
      double dx = step.x()[i];
      slope -= bounds.below(i) ? barrier / (at.x()[i] - bounds.low()[i]) * dx : 0;
      slope += bounds.above(i) ? barrier / (bounds.high()[i] - at.x()[i]) * dx : 0;
    }
    return slope;
  }

  private double barrierValue(Derived of, Iterate where) {
    double logs = 0;
    for (double slack : where.s()) {
      logs += Math.log(slack);
    }
    for (int i = 0; i < where.x().length; i++) {
      logs += bounds.below(i) ? Math.log(where.x()[i] - bounds.low()[i]) : 0;
      logs += bounds.above(i) ? Math.log(bounds.high()[i] - where.x()[i]) : 0;
    }
    return of.value() - barrier * logs;
  }

  private void accept(Iterate tried) {
    at = tried;
    Derived before = derived;
    derived = spare;
    spare = before;
    for (int k = 0; k < at.s().length; k++) {
      // More room than the slack says is room all the same.
      at.s()[k] = Math.max(at.s()[k], derived.constraint[k]);
      at.z()[k] = within(at.z()[k], at.s()[k]);
    }
    for (int i = 0; i < at.x().length; i++) {
      if (bounds.below(i)) {
        at.low()[i] = within(at.low()[i], at.x()[i] - bounds.low()[i]);
      }
      if (bounds.above(i)) {
        at.high()[i] = within(at.high()[i], bounds.high()[i] - at.x()[i]);
      }
    }
    slopeLeft = largestSlope();
  }

  private double within(double multiplier, double room) {
    double wanted = barrier / room;
    return Math.max(wanted / MULTIPLIER_RANGE, Math.min(MULTIPLIER_RANGE * wanted, multiplier));
  }
}
