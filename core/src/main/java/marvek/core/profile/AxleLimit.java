package marvek.core.profile;

import java.util.function.DoubleUnaryOperator;

/**
 * The highest speed at which both axles hold some force along: the zero of what they have to spare,
 * by false position (Illinois).
 *
 * @param spareN what the axles have to spare over the square of the speed, see {@link
 *     GripLimits#spareN}
 */
record AxleLimit(DoubleUnaryOperator spareN) {
  /** Share of the square of the speed to which it is found. */
  private static final double TOLERANCE = 1e-7;

  /** Share of the limit of the whole vehicle by which the bracket begins below it. */
  private static final double FIRST_WIDTH = 0.1;

  /** The same about a guess: from place to place the limit's share changes by less, as a rule. */
  private static final double NEAR_WIDTH = 0.004;

  /** Where it changed by more the bracket grows so many times, up to the first width. */
  private static final double WIDER = 4;

  /** Axles that have but so much to spare are at their limit. */
  private static final double NEGLIGIBLE_N = 1;

  private static final int ITERATIONS = 60;

  /** Below this square of the speed the car is as good as standing. */
  private static final double STANDING = Sweep.LEAST_W / 4;

  /**
   * The limit below a square of the speed.
   *
   * @param high at which axles hold at most what they hold just below it
   * @param open whether there is no limit if they hold there
   * @param near guess of the limit, any number; nought or no less than high where there is none
   */
  double below(double high, boolean open, double near) {
    boolean guessed = near > STANDING && near < high;
    double from = guessed ? near : high;
    double width = guessed ? NEAR_WIDTH : FIRST_WIDTH;
    double spare = spareN.applyAsDouble(from);
    return spare < 0 ? under(from, spare, width) : over(from, spare, width, high, open);
  }

  private double under(double from, double spare, double firstWidth) {
    double width = firstWidth;
    double high = from;
    double fHigh = spare;
    while (high > STANDING) {
      double low = high * (1 - width);
      double fLow = spareN.applyAsDouble(low);
      if (fLow >= 0) {
        return between(low, fLow, high, fHigh);
      }
      high = low;
      fHigh = fLow;
      width = Math.min(FIRST_WIDTH, WIDER * width);
    }
    return high;
  }

  private double over(double from, double spare, double firstWidth, double most, boolean open) {
    double width = firstWidth;
    double low = from;
    double fLow = spare;
    while (low < most) {
      double high = Math.min(most, low * (1 + width));
      double fHigh = spareN.applyAsDouble(high);
      if (fHigh < 0) {
        return between(low, fLow, high, fHigh);
      }
      low = high;
      fLow = fHigh;
      width = Math.min(FIRST_WIDTH, WIDER * width);
    }
    return open ? Double.POSITIVE_INFINITY : most;
  }

  /** Within the bracket, on the side that holds. */
  private double between(double low, double fLow, double high, double fHigh) {
    int kept = 0;
    for (int k = 0; k < ITERATIONS && high - low > TOLERANCE * high; k++) {
      double w = (low * fHigh - high * fLow) / (fHigh - fLow);
      w = w > low && w < high ? w : (low + high) / 2;
      double f = spareN.applyAsDouble(w);
      if (f >= 0 && f < NEGLIGIBLE_N) {
        return w;
      }
      if (f >= 0) {
        low = w;
        fLow = f;
        fHigh *= kept > 0 ? 0.5 : 1;
        kept = 1;
      } else {
        high = w;
        fHigh = f;
        fLow *= kept < 0 ? 0.5 : 1;
        kept = -1;
      }
    }
    return low;
  }
}
