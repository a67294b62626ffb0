package marvek.core.circuit;

import java.util.Arrays;

/**
 * Heights of a recording, made into a road's. A telephone's heights jump by metres from point to
 * point, come in whole metres and wander while it goes round; taken as they are, the jumps are
 * hills of 9 % and crests of more than a g. They are smoothed by locally weighted regression over a
 * length that the noise asks for (lines through neighbours under Gaussian weights, once more with
 * bisquare weights against single wild points: Cleveland, <i>Journal of the American Statistical
 * Association</i> 74 (1979), from memory). What wanders slower than that cannot be told from a
 * hill; the height by which a lap does not close says how much of it there is.
 */
final class HeightSmoothing {
  /**
   * Vertical curvature that noise may leave: a fortieth of a g at 50 m/s [1/m]. Own assumption; a
   * crest that lifts a car is a hundred times as much.
   */
  private static final double CURVATURE_LEFT_PER_M = 1e-4;

  /** However clean they are, heights are smoothed over the length of a car ... */
  private static final double LEAST_M = 5;

  /** ... and however rough, a hill of 300 m from foot to foot stays one. */
  private static final double MOST_M = 75;

  /** Weights beyond this many standard deviations count nothing. */
  private static final double REACH = 3;

  /** Residuals beyond this many times their median do not count (Cleveland) ... */
  private static final double WILD = 6;

  /** ... but no crest stands out of the line through its neighbours by so much: it is no slip. */
  private static final double LEAST_WILD_M = 1;

  private final double[] z;
  private final RecordedHeights facts;

  private HeightSmoothing(double[] z, RecordedHeights facts) {
    this.z = z;
    this.facts = facts;
  }

  /** Smoothed heights, one a point [m]. */
  double[] heightsM() {
    return z.clone();
  }

  RecordedHeights facts() {
    return facts;
  }

  /**
   * Smooths heights.
   *
   * @param stationM strictly increasing stations of the points [m]; on a closed lap one more than
   *     heights, the last being the lap's length
   * @param heightM recorded heights [m], all finite
   * @param gapM height by which the lap did not close, already spread over it [m]
   */
  static HeightSmoothing of(double[] stationM, boolean closed, double[] heightM, double gapM) {
    double noise = noise(stationM, closed, heightM);
    double over = length(noise, stationM[stationM.length - 1] / heightM.length);
    Smoother smoother = new Smoother(stationM, closed, over);
    double[] wild = new double[heightM.length];
    Arrays.fill(wild, 1);
    double[] z = smoother.smooth(heightM, wild);
    z = smoother.smooth(heightM, notWild(heightM, z));
    return new HeightSmoothing(z, facts(stationM, closed, z, noise, over, gapM));
  }

  /**
   * Noise from point to point, or the step of what is written in whole metres where that is more.
   */
  private static double noise(double[] stationM, boolean closed, double[] heightM) {
    double step = Double.POSITIVE_INFINITY;
    for (int i = 1; i < heightM.length; i++) {
      double change = Math.abs(heightM[i] - heightM[i - 1]);
      step = change > 1e-6 ? Math.min(step, change) : step;
    }
    double scatter = SurveyNoise.of(stationM, closed, heightM);
    return Double.isFinite(step) && isGridOf(step, heightM) ? Math.max(scatter, step) : scatter;
  }

  /** Whether all heights are whole steps, but for a fiftieth: rounded in the file, not measured. */
  private static boolean isGridOf(double step, double[] heightM) {
    for (double z : heightM) {
      double steps = (z - heightM[0]) / step;
      if (Math.abs(steps - Math.rint(steps)) > 0.02) {
        return false;
      }
    }
    return true;
  }

  /**
   * The curvature of a local line fit under Gaussian weights of deviation h over points Δ apart has
   * the deviation σ·√(3Δ/(8√π))/h^2.5.
   */
  private static double length(double noiseM, double spacingM) {
    double left = noiseM * Math.sqrt(3 * spacingM / (8 * Math.sqrt(Math.PI)));
    double h = Math.pow(left / CURVATURE_LEFT_PER_M, 0.4);
    return Math.max(LEAST_M, Math.min(MOST_M, h));
  }

  /** Bisquare weights of the residuals. */
  private static double[] notWild(double[] recorded, double[] smooth) {
    double[] residual = new double[recorded.length];
    for (int i = 0; i < residual.length; i++) {
      residual[i] = Math.abs(recorded[i] - smooth[i]);
    }
    double[] sorted = residual.clone();
    Arrays.sort(sorted);
    double bound = Math.max(LEAST_WILD_M, WILD * sorted[sorted.length / 2]);
    double[] weight = new double[residual.length];
    for (int i = 0; i < weight.length; i++) {
      double r = residual[i] / bound;
      weight[i] = r < 1 ? (1 - r * r) * (1 - r * r) : 0;
    }
    return weight;
  }

  private static RecordedHeights facts(
      double[] stationM, boolean closed, double[] z, double noise, double over, double gapM) {
    double up = 0;
    double down = 0;
    int last = closed ? z.length : z.length - 1;
    for (int i = 0; i < last; i++) {
      double rise = z[(i + 1) % z.length] - z[i];
      double grade = rise / (stationM[i + 1] - stationM[i]);
      up = Math.max(up, grade);
      down = Math.max(down, -grade);
    }
    double rise = Arrays.stream(z).max().orElse(0) - Arrays.stream(z).min().orElse(0);
    return new RecordedHeights(noise, over, gapM, up, down, rise);
  }

  /** Lines through neighbours; wraps on a closed lap, has one-sided neighbours at open ends. */
  private record Smoother(double[] stationM, boolean closed, double overM) {
    double[] smooth(double[] value, double[] given) {
      double[] result = new double[value.length];
      for (int i = 0; i < result.length; i++) {
        result[i] = at(i, value, given);
      }
      return result;
    }

    private double at(int i, double[] value, double[] given) {
      double w = 0;
      double wx = 0;
      double wy = 0;
      double wxx = 0;
      double wxy = 0;
      for (int side = -1; side <= 1; side += 2) {
        for (int k = side < 0 ? 0 : 1; k < value.length / 2 && isThere(i + side * k); k++) {
          double x = away(i, i + side * k);
          if (Math.abs(x) > REACH * overM) {
            break;
          }
          int at = Math.floorMod(i + side * k, value.length);
          double weight = given[at] * Math.exp(-0.5 * x * x / (overM * overM));
          w += weight;
          wx += weight * x;
          wy += weight * value[at];
          wxx += weight * x * x;
          wxy += weight * x * value[at];
        }
      }
      double spread = w * wxx - wx * wx;
      if (spread > 1e-9 * w * w) {
        return (wxx * wy - wx * wxy) / spread;
      }
      return w > 0 ? wy / w : value[i];
    }

    private boolean isThere(int j) {
      return closed || j >= 0 && j < stationM.length;
    }

    /** Way from point i to point j [m], j counted on round a closed lap. */
    private double away(int i, int j) {
      int n = closed ? stationM.length - 1 : stationM.length;
      int rounds = Math.floorDiv(j, n);
      return stationM[Math.floorMod(j, n)] + (closed ? rounds * stationM[n] : 0) - stationM[i];
    }
  }
}
