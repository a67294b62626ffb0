package marvek.core.numeric;

import java.util.Arrays;

/** Median and scatter of values of several laps: a single odd lap moves neither. */
public final class Median {
  private Median() {}

  /** The median; of an even number the mean of the two in the middle. NaN without values. */
  public static double of(double[] values) {
    if (values.length == 0) {
      return Double.NaN;
    }
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }

  /** Absolute deviations from the median; the median of these is the scatter (MAD). */
  public static double[] deviations(double[] values) {
    double median = of(values);
    return Arrays.stream(values).map(v -> Math.abs(v - median)).toArray();
  }
}
