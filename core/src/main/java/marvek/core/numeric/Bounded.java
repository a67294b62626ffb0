package marvek.core.numeric;

/**
 * Bounds of unknowns; one whose bounds are equal is held.
 *
 * @param low lower bounds, −∞ for none
 * @param high upper bounds, +∞ for none
 */
record Bounded(double[] low, double[] high) {
  /** Starts keep this share of the room, or so much, from a bound. */
  private static final double MARGIN = 1e-2;

  boolean held(int i) {
    return !(high[i] > low[i]);
  }

  boolean below(int i) {
    return !held(i) && low[i] > Double.NEGATIVE_INFINITY;
  }

  boolean above(int i) {
    return !held(i) && high[i] < Double.POSITIVE_INFINITY;
  }

  /** A start brought well inside. */
  double[] inside(double[] start) {
    double[] inner = start.clone();
    for (int i = 0; i < inner.length; i++) {
      double margin = held(i) ? 0 : MARGIN * Math.min(1, high[i] - low[i]);
      inner[i] = Math.max(low[i] + margin, Math.min(high[i] - margin, inner[i]));
    }
    return inner;
  }
}
