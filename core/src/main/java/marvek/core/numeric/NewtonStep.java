package marvek.core.numeric;

import java.util.stream.IntStream;

/**
 * Newton's step of the conditions of a least value, the barrier weighing so much: reduced to the
 * unknowns, whose matrix is banded, and made more convex until it is convex.
 */
final class NewtonStep {
  private static final double FIRST_SHIFT = 1e-4;
  private static final double SHIFT_FACTOR = 8;
  private static final double LARGEST_SHIFT = 1e12;

  private final ElementProgramme programme;
  private final Bounded bounds;
  private final CyclicBandedSolver matrix;
  private final int n;
  private final int width;
  private final int m;

  /** Second derivatives of an element with its constraints'. */
  private final double[] element;

  /** Multiplier over slack of an element's constraints, and the same times a slope. */
  private final double[] weight;

  private final double[] weighed;

  /** Unknowns that the elements see, element after element. */
  private final int[] places;

  /** Of each element, the places whose unknowns are not held. */
  private final int[][] free;

  NewtonStep(ElementProgramme programme, Bounded bounds, int[] places) {
    this.programme = programme;
    this.bounds = bounds;
    n = programme.unknowns();
    width = programme.width();
    m = programme.constraints();
    element = new double[width * width];
    weight = new double[m];
    weighed = new double[m];
    this.places = places;
    free = new int[programme.elements()][];
    for (int e = 0; e < free.length; e++) {
      int first = e * width;
      free[e] = IntStream.range(0, width).filter(a -> !bounds.held(places[first + a])).toArray();
    }
    matrix = new CyclicBandedSolver(n, programme.halfBandwidth(), programme.cyclic());
  }

  /** The step; null where no shift makes the matrix convex. */
  Iterate from(Iterate at, Derived derived, double barrier) {
    assemble(at, derived);
    matrix.keep();
    double shift = 0;
    while (shift < LARGEST_SHIFT) {
      try {
        matrix.factor();
        double[] dx = right(at, derived, barrier);
        matrix.solve(dx);
        return completed(dx, at, derived, barrier);
      } catch (ArithmeticException notConvex) {
        shift = shift == 0 ? FIRST_SHIFT : SHIFT_FACTOR * shift;
        // Those held have a row of their own in which nothing else stands: they stay where they
        // are.
        matrix.restore(shift);
      }
    }
    return null;
  }

  private void assemble(Iterate at, Derived derived) {
    matrix.clear();
    for (int e = 0; e < programme.elements(); e++) {
      addElement(e, at, derived.of[e]);
    }
    for (int i = 0; i < n; i++) {
      double own = bounds.below(i) ? at.low()[i] / (at.x()[i] - bounds.low()[i]) : 0;
      own += bounds.above(i) ? at.high()[i] / (bounds.high()[i] - at.x()[i]) : 0;
      matrix.add(i, i, bounds.held(i) ? 1 : own);
    }
  }

  private void addElement(int e, Iterate at, ElementProgramme.Derivatives d) {
    double[] hessian = d.hessian();
    double[] jacobian = d.jacobian();
    for (int j = 0; j < m; j++) {
      weight[j] = at.z()[e * m + j] / at.s()[e * m + j];
    }
    for (int a = 0; a < width; a++) {
      for (int j = 0; j < m; j++) {
        weighed[j] = weight[j] * jacobian[j * width + a];
      }
      for (int b = a; b < width; b++) {
        double sum = hessian[a * width + b];
        for (int j = 0; j < m; j++) {
          sum += weighed[j] * jacobian[j * width + b];
        }
        element[a * width + b] = sum;
      }
    }
    int[] open = free[e];
    for (int p = 0; p < open.length; p++) {
      int row = places[e * width + open[p]];
      for (int q = p; q < open.length; q++) {
        int column = places[e * width + open[q]];
        // Two places of one unknown: the pair counts in both orders.
        double sum = element[open[p] * width + open[q]];
        matrix.add(row, column, row == column && p != q ? 2 * sum : sum);
      }
    }
  }

  private double[] right(Iterate at, Derived derived, double barrier) {
    double[] right = new double[n];
    double[] own = new double[width];
    for (int e = 0; e < programme.elements(); e++) {
      ElementProgramme.Derivatives d = derived.of[e];
      double[] jacobian = d.jacobian();
      for (int a = 0; a < width; a++) {
        own[a] = -d.gradient()[a];
      }
      for (int j = 0; j < m; j++) {
        int k = e * m + j;
        double pull = (barrier - at.z()[k] * (d.c()[j] - at.s()[k])) / at.s()[k];
        for (int a = 0; a < width; a++) {
          own[a] += jacobian[j * width + a] * pull;
        }
      }
      for (int a = 0; a < width; a++) {
        right[places[e * width + a]] += own[a];
      }
    }
    for (int i = 0; i < n; i++) {
      right[i] += bounds.below(i) ? barrier / (at.x()[i] - bounds.low()[i]) : 0;
      right[i] -= bounds.above(i) ? barrier / (bounds.high()[i] - at.x()[i]) : 0;
      right[i] = bounds.held(i) ? 0 : right[i];
    }
    return right;
  }

  /** What follows for slacks and multipliers from the step of the unknowns. */
  private Iterate completed(double[] dx, Iterate at, Derived derived, double barrier) {
    double[] ds = new double[at.s().length];
    double[] dz = new double[at.s().length];
    for (int e = 0; e < programme.elements(); e++) {
      ElementProgramme.Derivatives d = derived.of[e];
      for (int j = 0; j < m; j++) {
        int k = e * m + j;
        double along = 0;
        for (int a = 0; a < width; a++) {
          along += d.jacobian()[j * width + a] * dx[places[e * width + a]];
        }
        ds[k] = along + d.c()[j] - at.s()[k];
        dz[k] = multiplierStep(barrier, at.s()[k], at.z()[k], ds[k]);
      }
    }
    double[] low = new double[n];
    double[] high = new double[n];
    for (int i = 0; i < n; i++) {
      if (bounds.below(i)) {
        low[i] = multiplierStep(barrier, at.x()[i] - bounds.low()[i], at.low()[i], dx[i]);
      }
      if (bounds.above(i)) {
        high[i] = multiplierStep(barrier, bounds.high()[i] - at.x()[i], at.high()[i], -dx[i]);
      }
    }
    return new Iterate(dx, ds, dz, low, high);
  }

  private static double multiplierStep(double barrier, double room, double z, double roomStep) {
    return (barrier - z * roomStep) / room - z;
  }
}
