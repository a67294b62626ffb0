package marvek.core.numeric;

import java.util.ArrayList;
import java.util.List;

/**
 * Decides whether a step towards feasible and lower values is taken: it must improve one of the two
 * against where it comes from and against all that was left before.
 *
 * <p>Source: Wächter &amp; Biegler, <i>Mathematical Programming</i> 106, 2006, section 2.3, with
 * their constants (from memory).
 */
final class Filter {
  private static final double MARGIN = 1e-5;
  private static final double ARMIJO = 1e-4;
  private static final double SWITCH = 1;
  private static final double POWER_OF_GAP = 1.1;
  private static final double POWER_OF_FALL = 2.3;
  private static final double MOST_GAP = 1e4;
  private static final double LEAST_GAP = 1e-4;

  /** Values are not told apart more finely than this. */
  private static final double ROUNDING = 1e-13;

  private final List<double[]> left = new ArrayList<>();
  private double mostGap = Double.NaN;
  private double leastGap;

  /** Forgets what was left: the value is another one from now on. */
  void clear() {
    left.clear();
  }

  /**
   * Whether a step is taken; if it is, what it leaves is remembered where needed.
   *
   * @param gap sum of what the constraints miss, where the step begins
   * @param value of the barrier function there
   * @param fall of the value that the derivative promises for the step, negative
   */
  boolean takes(double gap, double value, double fall, double gapTried, double valueTried) {
    if (Double.isNaN(mostGap)) {
      mostGap = MOST_GAP * Math.max(1, gap);
      leastGap = LEAST_GAP * Math.max(1, gap);
    }
    if (!(gapTried <= mostGap) || Double.isNaN(valueTried) || isBehind(gapTried, valueTried)) {
      return false;
    }
    double rounding = ROUNDING * Math.abs(value);
    boolean forValue =
        fall < 0
            && gap <= leastGap
            && Math.pow(-fall, POWER_OF_FALL) > SWITCH * Math.pow(gap, POWER_OF_GAP);
    if (forValue) {
      return valueTried <= value + ARMIJO * fall + rounding;
    }
    if (gapTried <= (1 - MARGIN) * gap || valueTried <= value - MARGIN * gap + rounding) {
      left.add(new double[] {(1 - MARGIN) * gap, value - MARGIN * gap});
      return true;
    }
    return false;
  }

  private boolean isBehind(double gap, double value) {
    double rounding = ROUNDING * Math.abs(value);
    return left.stream().anyMatch(p -> gap >= p[0] && value >= p[1] + rounding);
  }
}
