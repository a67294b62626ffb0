package marvek.core.laps;

import java.util.Arrays;
import marvek.core.numeric.Median;

/**
 * How far each position scatters on its own: from third differences, in which the way of a car
 * leaves nearly nothing and independent noise leaves √20 of its deviation (1, −3, 3, −1).
 */
final class PositionNoise {
  /** Positions that come more slowly have the way of the car in their differences. */
  private static final double SLOWEST_S = 0.3;

  /** Deviation of a normal scatter over its median of deviations. */
  private static final double NORMAL = 1.4826;

  private static final int MOST = 20_000;

  private PositionNoise() {}

  /** Standard deviation of x and of y [m]; 0 where positions come too slowly to tell. */
  static double of(Recording recording) {
    double[] x = new double[MOST];
    double[] y = new double[MOST];
    double[] t = new double[MOST];
    int n = 0;
    for (int i = 0; i < recording.size() && n < MOST; i++) {
      if (!Double.isNaN(recording.at(Channel.X, i))) {
        x[n] = recording.at(Channel.X, i);
        y[n] = recording.at(Channel.Y, i);
        t[n++] = recording.timeAt(i);
      }
    }
    double[] differences = new double[2 * Math.max(0, n - 3)];
    int count = 0;
    for (int k = 3; k < n; k++) {
      if (t[k] - t[k - 3] < 3 * SLOWEST_S) {
        differences[count++] = Math.abs(x[k] - 3 * x[k - 1] + 3 * x[k - 2] - x[k - 3]);
        differences[count++] = Math.abs(y[k] - 3 * y[k - 1] + 3 * y[k - 2] - y[k - 3]);
      }
    }
    return count < 20 ? 0 : NORMAL * Median.of(Arrays.copyOf(differences, count)) / Math.sqrt(20);
  }
}
