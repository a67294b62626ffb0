package marvek.core.measured;

import java.util.List;
import marvek.core.numeric.Median;

/**
 * The median of several measurements with its standard error, by the scatter about it.
 *
 * @param from so many
 */
record Measured(double value, double error, int from) {
  private static final double SIGMA_OF_MAD = 1.4826;

  /** The median is this much less sure than the mean of normal errors ({@code √(π/2)}). */
  private static final double OF_MEDIAN = 1.2533;

  static Measured of(List<Double> values) {
    double[] all = values.stream().mapToDouble(Double::doubleValue).toArray();
    double sigma = SIGMA_OF_MAD * Median.of(Median.deviations(all));
    return new Measured(Median.of(all), OF_MEDIAN * sigma / Math.sqrt(all.length), all.length);
  }
}
