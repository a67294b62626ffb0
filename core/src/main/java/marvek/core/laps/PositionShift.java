package marvek.core.laps;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Road;
import marvek.core.numeric.Median;

/**
 * How far all positions of a recording lie beside the road as one, east and north: a receiver's
 * datum, or an aerial map that was drawn elsewhere. Least squares of what the offsets are beyond a
 * line, each a share of the shift by the road's own direction; far ones count less (Huber).
 */
final class PositionShift {
  /** Less than this is the driver's own line and not the receiver [m]. */
  private static final double LEAST_M = 1.0;

  /** Farther off the line than this it is no lap of it [m]. */
  private static final double MOST_OFF_M = 30;

  /** The shift has to take so much of the scatter away to be one. */
  private static final double MOST_LEFT = 0.8;

  private static final int ROUNDS = 8;
  private static final int MOST = 20_000;
  private static final int LEAST = 100;

  private PositionShift() {}

  /**
   * What was found.
   *
   * @param eastM by which positions lie off; 0 where they do not, or not as one
   */
  record Found(double eastM, double northM) {
    static final Found NONE = new Found(0, 0);

    double metres() {
      return Math.hypot(eastM, northM);
    }
  }

  /**
   * Finds a shift.
   *
   * @param line offset by sample of the road that the laps are expected near
   */
  static Found of(RoadMatch match, Road road, IntToDoubleFunction line) {
    int every = Math.max(1, match.size() / MOST);
    double[] nx = new double[match.size() / every + 1];
    double[] ny = new double[nx.length];
    double[] off = new double[nx.length];
    int n = 0;
    int seen = 0;
    for (int i = 0; i < match.size() && n < nx.length; i++) {
      if (!match.isKnown(i) || seen++ % every != 0) {
        continue;
      }
      int at = match.roadAt(i);
      double beyond = match.offsetAt(i) - line.applyAsDouble(at);
      if (Math.abs(beyond) < MOST_OFF_M) {
        nx[n] = road.normalXAt(at);
        ny[n] = road.normalYAt(at);
        off[n++] = beyond;
      }
    }
    return n < LEAST ? Found.NONE : fitted(nx, ny, Arrays.copyOf(off, n));
  }

  private static Found fitted(double[] nx, double[] ny, double[] off) {
    double east = 0;
    double north = 0;
    double[] left = new double[off.length];
    for (int round = 0; round < ROUNDS; round++) {
      for (int i = 0; i < off.length; i++) {
        left[i] = Math.abs(off[i] - nx[i] * east - ny[i] * north);
      }
      double scale = Math.max(0.3, 1.5 * Median.of(left));
      double xx = 0;
      double xy = 0;
      double yy = 0;
      double xo = 0;
      double yo = 0;
      for (int i = 0; i < off.length; i++) {
        double weight = left[i] <= scale ? 1 : scale / left[i];
        xx += weight * nx[i] * nx[i];
        xy += weight * nx[i] * ny[i];
        yy += weight * ny[i] * ny[i];
        xo += weight * nx[i] * off[i];
        yo += weight * ny[i] * off[i];
      }
      double determinant = xx * yy - xy * xy;
      if (determinant < 1e-3 * xx * yy) {
        // A road of one direction does not tell how far along it positions lie off.
        return Found.NONE;
      }
      east = (yy * xo - xy * yo) / determinant;
      north = (xx * yo - xy * xo) / determinant;
    }
    double[] before = Arrays.stream(off).map(Math::abs).toArray();
    boolean explains = Median.of(left) < MOST_LEFT * Median.of(before);
    return Math.hypot(east, north) > LEAST_M && explains ? new Found(east, north) : Found.NONE;
  }
}
