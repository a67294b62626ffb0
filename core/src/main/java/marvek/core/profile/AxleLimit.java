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

  /** First guess of how far below the limit of the whole vehicle the bracket begins. */
  private static final double FIRST_SHARE = 0.9;

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
   */
  double below(double high, boolean open) {
    double fHigh = spareN.applyAsDouble(high);
    if (fHigh >= 0) {
      return open ? Double.POSITIVE_INFINITY : high;
    }
    double low = high;
    double fLow = fHigh;
    while (fLow < 0 && low > STANDING) {
      low *= FIRST_SHARE;
      fLow = spareN.applyAsDouble(low);
    }
    return fLow < 0 ? low : between(low, fLow, high, fHigh);
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
