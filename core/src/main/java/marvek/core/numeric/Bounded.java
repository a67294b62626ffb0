package marvek.core.numeric;

/** Bounds of unknowns; one whose bounds are equal is held. */
final class Bounded {
  /** Starts keep this share of the room, or so much, from a bound. */
  private static final double MARGIN = 1e-2;

  private final double[] low;
  private final double[] high;
  private final boolean[] held;
  private final boolean[] below;
  private final boolean[] above;

  /**
   * @param low lower bounds, −∞ for none
   * @param high upper bounds, +∞ for none
   */
  Bounded(double[] low, double[] high) {
    this.low = low;
    this.high = high;
    held = new boolean[low.length];
    below = new boolean[low.length];
    above = new boolean[low.length];
    for (int i = 0; i < low.length; i++) {
      held[i] = !(high[i] > low[i]);
      below[i] = !held[i] && low[i] > Double.NEGATIVE_INFINITY;
      above[i] = !held[i] && high[i] < Double.POSITIVE_INFINITY;
    }
  }

  boolean held(int i) {
    return held[i];
  }

  boolean below(int i) {
    return below[i];
  }

  boolean above(int i) {
    return above[i];
  }

  /** Lower bounds themselves, for the method's inner loops, which do not write to them. */
  double[] low() {
    return low;
  }

  double[] high() {
    return high;
  }

  /** A start brought well inside. */
  double[] inside(double[] start) {
    double[] inner = start.clone();
    for (int i = 0; i < inner.length; i++) {
      double margin = held[i] ? 0 : MARGIN * Math.min(1, high[i] - low[i]);
      inner[i] = Math.max(low[i] + margin, Math.min(high[i] - margin, inner[i]));
    }
    return inner;
  }
}
