package marvek.core.circuit;

import java.util.Arrays;

/**
 * Estimates the standard deviation of a survey's coordinates from the survey itself.
 *
 * <p>Over each window of five consecutive points the fourth divided difference kills every cubic;
 * what is left is noise, scaled to unit gain. The median of the absolute values, divided by 0.6745,
 * is the standard deviation of normal noise (MAD; Hampel 1974, from memory) and is not moved by the
 * few windows that straddle the start of a corner. The idea for even spacing is that of Gasser,
 * Sroka and Jennen-Steinmetz, <i>Biometrika</i> 73 (1986), from memory.
 */
final class SurveyNoise {
  /** Points of a window. */
  private static final int WINDOW = 5;

  /** MAD of a standard normal deviate: its third quartile. */
  private static final double MAD_TO_SIGMA = 0.6745;

  private SurveyNoise() {}

  /**
   * Noise across the direction of travel: what lies along it only shifts a point on its own road.
   *
   * @param u strictly increasing parameter of the points [m]; one more than the columns' length,
   *     where the road is closed the last being its total
   * @return standard deviation [m]; 0 for fewer than six points
   */
  static double across(double[] u, boolean closed, double[] x, double[] y) {
    return sigma(
        u,
        closed,
        x.length,
        (i, weight) -> {
          int end = (i + WINDOW - 1) % x.length;
          double tx = x[end] - x[i];
          double ty = y[end] - y[i];
          double chord = Math.hypot(tx, ty);
          return chord > 0 ? (tx * sum(weight, y, i) - ty * sum(weight, x, i)) / chord : 0;
        });
  }

  /** Noise of a single column, e.g. the height. */
  static double of(double[] u, boolean closed, double[] column) {
    return sigma(u, closed, column.length, (i, weight) -> sum(weight, column, i));
  }

  private interface Residual {
    double of(int first, double[] weight);
  }

  private static double sigma(double[] u, boolean closed, int n, Residual residual) {
    if (n < WINDOW + 1) {
      return 0;
    }
    double[] residuals = new double[closed ? n : n - WINDOW + 1];
    double[] weight = new double[WINDOW];
    for (int i = 0; i < residuals.length; i++) {
      double gain = differenceWeights(u, n, i, weight);
      residuals[i] = Math.abs(residual.of(i, weight)) / gain;
    }
    Arrays.sort(residuals);
    return residuals[residuals.length / 2] / MAD_TO_SIGMA;
  }

  private static double sum(double[] weight, double[] column, int first) {
    double sum = 0;
    for (int k = 0; k < WINDOW; k++) {
      sum += weight[k] * column[(first + k) % column.length];
    }
    return sum;
  }

  private static double differenceWeights(double[] u, int n, int first, double[] weight) {
    double squares = 0;
    for (int k = 0; k < WINDOW; k++) {
      double product = 1;
      for (int j = 0; j < WINDOW; j++) {
        if (j != k) {
          product *= parameter(u, n, first + k) - parameter(u, n, first + j);
        }
      }
      weight[k] = 1 / product;
      squares += weight[k] * weight[k];
    }
    return Math.sqrt(squares);
  }

  private static double parameter(double[] u, int n, int index) {
    return index < n ? u[index] : u[index - n] + u[n];
  }
}
