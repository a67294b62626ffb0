package marvek.core.circuit;

import marvek.core.numeric.CyclicBandedSolver;

/**
 * Cubic B-spline on uniform knots, fitted to scattered values by least squares with a penalty on
 * the integral of its squared third derivative (P-spline; Eilers &amp; Marx, <i>Statistical
 * Science</i> 11, 1996). For the coordinates of a road that third derivative is the change of
 * curvature. Periodic, or natural-ended on an open road.
 */
final class PenalisedSpline {
  private final double[] coefficients;
  private final double knot;
  private final int intervals;
  private final boolean closed;

  private PenalisedSpline(double[] coefficients, double knot, int intervals, boolean closed) {
    this.coefficients = coefficients;
    this.knot = knot;
    this.intervals = intervals;
    this.closed = closed;
  }

  /** The normal equations of a fit; several columns of values share one factorisation. */
  static final class Fitter {
    private final double[] u;
    private final double length;
    private final int intervals;
    private final boolean closed;
    private final CyclicBandedSolver solver;

    /**
     * @param u parameters of the data, in [0, length)
     * @param length length of the parameter's range [m]
     * @param knotSpacing wanted distance of knots [m]; rounded so that it divides the length
     * @param lambda weight of ∫(p''')² against the sum of squared residuals, above zero [m^5]
     * @param weights factor on the penalty in each knot interval, or null for one
     */
    Fitter(
        double[] u,
        double length,
        double knotSpacing,
        double lambda,
        double[] weights,
        boolean closed) {
      this.u = u;
      this.length = length;
      this.closed = closed;
      this.intervals = Math.max(10, (int) Math.round(length / knotSpacing));
      this.solver = new CyclicBandedSolver(size(), 3, closed);
      addData();
      addPenalty(lambda, weights);
      solver.factor();
    }

    private int size() {
      return closed ? intervals : intervals + 3;
    }

    private double knot() {
      return length / intervals;
    }

    private void addData() {
      double[] b = new double[4];
      for (double parameter : u) {
        int first = basis(parameter, b);
        for (int j = 0; j < 4; j++) {
          for (int k = 0; k <= j; k++) {
            solver.add(index(first + j), index(first + k), b[j] * b[k]);
          }
        }
      }
    }

    private void addPenalty(double lambda, double[] weights) {
      // The third derivative of a cubic B-spline is constant on a knot interval: Δ³c/h³.
      double whole = lambda / Math.pow(knot(), 5);
      double[] difference = {-1, 3, -3, 1};
      for (int i = 0; i < intervals; i++) {
        double weight = weights == null ? whole : whole * weights[i];
        for (int j = 0; j < 4; j++) {
          for (int k = 0; k <= j; k++) {
            solver.add(index(i + j), index(i + k), weight * difference[j] * difference[k]);
          }
        }
      }
    }

    /** Fits one column of values, one per parameter. */
    PenalisedSpline fit(double[] values) {
      double[] rhs = new double[size()];
      double[] b = new double[4];
      for (int i = 0; i < u.length; i++) {
        int first = basis(u[i], b);
        for (int j = 0; j < 4; j++) {
          rhs[index(first + j)] += b[j] * values[i];
        }
      }
      solver.solve(rhs);
      return new PenalisedSpline(rhs, knot(), intervals, closed);
    }

    private int basis(double parameter, double[] b) {
      double t = parameter / knot();
      int first = Math.max(0, Math.min(intervals - 1, (int) Math.floor(t)));
      basisValues(t - first, b);
      return first;
    }

    private int index(int i) {
      return closed ? i % intervals : i;
    }
  }

  double value(double u) {
    return combine(u, 0);
  }

  double first(double u) {
    return combine(u, 1) / knot;
  }

  double second(double u) {
    return combine(u, 2) / (knot * knot);
  }

  /** Third derivative on a knot interval, where it is constant. */
  double third(int interval) {
    double sum = 0;
    double[] difference = {-1, 3, -3, 1};
    for (int j = 0; j < 4; j++) {
      int index = closed ? (interval + j) % intervals : interval + j;
      sum += difference[j] * coefficients[index];
    }
    return sum / (knot * knot * knot);
  }

  int intervals() {
    return intervals;
  }

  private double combine(double u, int derivative) {
    double t = u / knot;
    if (closed) {
      t -= intervals * Math.floor(t / intervals);
    }
    int first = Math.max(0, Math.min(intervals - 1, (int) Math.floor(t)));
    double f = t - first;
    double sum = 0;
    for (int j = 0; j < 4; j++) {
      int index = closed ? (first + j) % intervals : first + j;
      sum += weight(j, f, derivative) * coefficients[index];
    }
    return sum;
  }

  private static double weight(int j, double f, int derivative) {
    return switch (derivative) {
      case 0 ->
          switch (j) {
            case 0 -> (1 - f) * (1 - f) * (1 - f) / 6;
            case 1 -> (3 * f * f * f - 6 * f * f + 4) / 6;
            case 2 -> (-3 * f * f * f + 3 * f * f + 3 * f + 1) / 6;
            default -> f * f * f / 6;
          };
      case 1 ->
          switch (j) {
            case 0 -> -(1 - f) * (1 - f) / 2;
            case 1 -> (3 * f * f - 4 * f) / 2;
            case 2 -> (-3 * f * f + 2 * f + 1) / 2;
            default -> f * f / 2;
          };
      default ->
          switch (j) {
            case 0 -> 1 - f;
            case 1 -> 3 * f - 2;
            case 2 -> -3 * f + 1;
            default -> f;
          };
    };
  }

  private static void basisValues(double f, double[] b) {
    for (int j = 0; j < 4; j++) {
      b[j] = weight(j, f, 0);
    }
  }
}
