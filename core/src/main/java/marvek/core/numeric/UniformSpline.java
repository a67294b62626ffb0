package marvek.core.numeric;

import marvek.core.Require;

/**
 * Cubic spline through values at even distances: twice continuously differentiable, periodic or
 * with natural ends beyond which it goes on straight (de Boor, <i>A Practical Guide to Splines</i>,
 * ch. IV, from memory). Immutable.
 */
public final class UniformSpline {
  private final double[] values;

  /** Second derivatives at the values, times the square of their distance. */
  private final double[] bends;

  private final double distance;
  private final boolean periodic;

  /**
   * @param values at 0, distance, 2·distance ...; where periodic the first one follows the last
   * @param distance between two values, above zero
   * @throws marvek.core.InvalidValueException if there are fewer than four values or one of them is
   *     not finite
   */
  public UniformSpline(double[] values, double distance, boolean periodic) {
    Require.within("values of a spline", values.length, 4, Integer.MAX_VALUE);
    Require.positive("distance", distance);
    this.values = values.clone();
    for (double value : values) {
      Require.finite("value", value);
    }
    this.distance = distance;
    this.periodic = periodic;
    this.bends = bends();
  }

  /** From M[i-1] + 4·M[i] + M[i+1] = 6·(y[i-1] − 2·y[i] + y[i+1]); no bend at natural ends. */
  private double[] bends() {
    int n = values.length;
    CyclicBandedSolver solver = new CyclicBandedSolver(n, 1, periodic);
    double[] right = new double[n];
    for (int i = 0; i < n; i++) {
      boolean end = !periodic && (i == 0 || i == n - 1);
      solver.add(i, i, end ? 1 : 4);
      boolean coupled = periodic || i > 0 && i < n - 2;
      if (coupled) {
        solver.add(i, (i + 1) % n, 1);
      }
      if (!end) {
        right[i] = 6 * (values[(i + n - 1) % n] - 2 * values[i] + values[(i + 1) % n]);
      }
    }
    solver.factor();
    solver.solve(right);
    return right;
  }

  /** Value at a place; wraps where periodic. */
  public double valueAt(double at) {
    Piece p = new Piece(inside(at));
    double bent = (cube(p.a) - p.a) * bends[p.from] + (cube(p.b) - p.b) * bends[p.to];
    return p.a * values[p.from] + p.b * values[p.to] + bent / 6 + beyond(at) * slopeAt(at);
  }

  /** First derivative at a place; wraps where periodic. */
  public double slopeAt(double at) {
    Piece p = new Piece(inside(at));
    double bent = (1 - 3 * p.a * p.a) * bends[p.from] + (3 * p.b * p.b - 1) * bends[p.to];
    return (values[p.to] - values[p.from] + bent / 6) / distance;
  }

  private static double cube(double x) {
    return x * x * x;
  }

  /** The piece that a place lies in, and the shares of its two ends there. */
  private final class Piece {
    final int from;
    final int to;
    final double a;
    final double b;

    /** Rounding can put a place that is wrapped at the very end. */
    Piece(double inside) {
      from = Math.min((int) inside, periodic ? values.length - 1 : values.length - 2);
      to = (from + 1) % values.length;
      b = inside - from;
      a = 1 - b;
    }
  }

  /** The place in distances, wrapped or brought to the nearer end. */
  private double inside(double at) {
    int n = values.length;
    double place = at / distance;
    return periodic ? place - n * Math.floor(place / n) : Math.max(0, Math.min(n - 1, place));
  }

  /** How far a place lies beyond an end. */
  private double beyond(double at) {
    return periodic ? 0 : at - distance * inside(at);
  }
}
