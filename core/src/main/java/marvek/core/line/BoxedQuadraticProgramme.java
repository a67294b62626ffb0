package marvek.core.line;

import marvek.core.numeric.CyclicBandedSolver;

/**
 * Minimises ½·xᵀHx + gᵀx within bounds, H a cyclic pentadiagonal matrix, by a primal-dual interior
 * point method with predictor and corrector (Mehrotra, <i>SIAM J. Optim.</i> 2, 1992; Nocedal &amp;
 * Wright, <i>Numerical Optimization</i>, 2nd ed., ch. 16.6, from memory).
 */
final class BoxedQuadraticProgramme {
  /** Interior points usually need 10 to 30 (Nocedal &amp; Wright, as above). */
  private static final int MAX_ITERATIONS = 60;

  /** Fraction to the boundary, the book's usual value. */
  private static final double TO_THE_BOUNDARY = 0.995;

  /** Diagonals of H: main, first and second above; entry i couples i with i, i+1, i+2. */
  private final double[] h0;

  private final double[] h1;
  private final double[] h2;
  private final boolean cyclic;
  private final int n;
  private final CyclicBandedSolver solver;

  BoxedQuadraticProgramme(double[] h0, double[] h1, double[] h2, boolean cyclic) {
    this.h0 = h0;
    this.h1 = h1;
    this.h2 = h2;
    this.cyclic = cyclic;
    this.n = h0.length;
    this.solver = new CyclicBandedSolver(n, 2, cyclic);
  }

  /**
   * Solves from a starting point.
   *
   * @param low lower bounds, strictly below the upper ones
   * @param tolerance largest mean complementarity accepted, in units of the objective
   * @return the minimiser, strictly within the bounds
   */
  double[] minimise(double[] g, double[] low, double[] high, double[] start, double tolerance) {
    double[] x = new double[n];
    double[] zl = new double[n];
    double[] zu = new double[n];
    double scale = 0;
    for (int i = 0; i < n; i++) {
      double room = high[i] - low[i];
      x[i] = Math.max(low[i] + 0.01 * room, Math.min(high[i] - 0.01 * room, start[i]));
      scale = Math.max(scale, Math.abs(g[i]));
    }
    double mu0 = Math.max(tolerance, 0.1 * scale);
    for (int i = 0; i < n; i++) {
      zl[i] = mu0 / (x[i] - low[i]);
      zu[i] = mu0 / (high[i] - x[i]);
    }
    double[] gradient = new double[n];
    double[] dx = new double[n];
    double[] dzl = new double[n];
    double[] dzu = new double[n];
    for (int iteration = 0; iteration < MAX_ITERATIONS; iteration++) {
      gradient(x, g, gradient);
      double mu = complementarity(x, zl, zu, low, high);
      double dual = 0;
      for (int i = 0; i < n; i++) {
        dual = Math.max(dual, Math.abs(gradient[i] - zl[i] + zu[i]));
      }
      if (mu < tolerance && dual < 1e-6 * (1e-12 + scale)) {
        break;
      }
      factor(x, zl, zu, low, high);
      direction(x, zl, zu, low, high, gradient, 0, null, null, null, dx, dzl, dzu);
      double step = largestStep(x, zl, zu, low, high, dx, dzl, dzu);
      double muAffine = 0;
      for (int i = 0; i < n; i++) {
        muAffine += (x[i] + step * dx[i] - low[i]) * (zl[i] + step * dzl[i]);
        muAffine += (high[i] - x[i] - step * dx[i]) * (zu[i] + step * dzu[i]);
      }
      muAffine /= 2 * n;
      double centring = Math.pow(muAffine / mu, 3);
      direction(
          x,
          zl,
          zu,
          low,
          high,
          gradient,
          centring * mu,
          dx.clone(),
          dzl.clone(),
          dzu.clone(),
          dx,
          dzl,
          dzu);
      step = Math.min(1, TO_THE_BOUNDARY * largestStep(x, zl, zu, low, high, dx, dzl, dzu));
      for (int i = 0; i < n; i++) {
        x[i] += step * dx[i];
        zl[i] += step * dzl[i];
        zu[i] += step * dzu[i];
      }
    }
    return x;
  }

  private void gradient(double[] x, double[] g, double[] result) {
    System.arraycopy(g, 0, result, 0, n);
    for (int i = 0; i < n; i++) {
      result[i] += h0[i] * x[i];
      int j = i + 1 < n ? i + 1 : i + 1 - n;
      if (cyclic || i + 1 < n) {
        result[i] += h1[i] * x[j];
        result[j] += h1[i] * x[i];
      }
      int k = i + 2 < n ? i + 2 : i + 2 - n;
      if (cyclic || i + 2 < n) {
        result[i] += h2[i] * x[k];
        result[k] += h2[i] * x[i];
      }
    }
  }

  private double complementarity(
      double[] x, double[] zl, double[] zu, double[] low, double[] high) {
    double sum = 0;
    for (int i = 0; i < n; i++) {
      sum += (x[i] - low[i]) * zl[i] + (high[i] - x[i]) * zu[i];
    }
    return sum / (2 * n);
  }

  private void factor(double[] x, double[] zl, double[] zu, double[] low, double[] high) {
    solver.clear();
    for (int i = 0; i < n; i++) {
      solver.add(i, i, h0[i] + zl[i] / (x[i] - low[i]) + zu[i] / (high[i] - x[i]));
      if (cyclic || i + 1 < n) {
        solver.add(i, (i + 1) % n, h1[i]);
      }
      if (cyclic || i + 2 < n) {
        solver.add(i, (i + 2) % n, h2[i]);
      }
    }
    solver.factor();
  }

  /**
   * Newton direction towards complementarity {@code target}; the affine step corrects it if given.
   */
  private void direction(
      double[] x,
      double[] zl,
      double[] zu,
      double[] low,
      double[] high,
      double[] gradient,
      double target,
      double[] affineX,
      double[] affineZl,
      double[] affineZu,
      double[] dx,
      double[] dzl,
      double[] dzu) {
    for (int i = 0; i < n; i++) {
      double cl = target - (affineX == null ? 0 : affineX[i] * affineZl[i]);
      double cu = target + (affineX == null ? 0 : affineX[i] * affineZu[i]);
      dzl[i] = cl / (x[i] - low[i]);
      dzu[i] = cu / (high[i] - x[i]);
      dx[i] = -gradient[i] + dzl[i] - dzu[i];
    }
    solver.solve(dx);
    for (int i = 0; i < n; i++) {
      dzl[i] += -zl[i] - zl[i] * dx[i] / (x[i] - low[i]);
      dzu[i] += -zu[i] + zu[i] * dx[i] / (high[i] - x[i]);
    }
  }

  private double largestStep(
      double[] x,
      double[] zl,
      double[] zu,
      double[] low,
      double[] high,
      double[] dx,
      double[] dzl,
      double[] dzu) {
    double step = 1;
    for (int i = 0; i < n; i++) {
      if (dx[i] < 0) {
        step = Math.min(step, (x[i] - low[i]) / -dx[i]);
      } else if (dx[i] > 0) {
        step = Math.min(step, (high[i] - x[i]) / dx[i]);
      }
      if (dzl[i] < 0) {
        step = Math.min(step, zl[i] / -dzl[i]);
      }
      if (dzu[i] < 0) {
        step = Math.min(step, zu[i] / -dzu[i]);
      }
    }
    return step;
  }
}
