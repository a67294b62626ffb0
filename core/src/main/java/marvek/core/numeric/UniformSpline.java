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
    double inside = inside(at);
    int i = piece(inside);
    int j = (i + 1) % values.length;
    double b = inside - i;
    double a = 1 - b;
    double value =
        a * values[i]
            + b * values[j]
            + ((a * a * a - a) * bends[i] + (b * b * b - b) * bends[j]) / 6;
    return value + beyond(at) * slopeAt(at);
  }

  /** First derivative at a place; wraps where periodic. */
  public double slopeAt(double at) {
    double inside = inside(at);
    int i = piece(inside);
    int j = (i + 1) % values.length;
    double b = inside - i;
    double a = 1 - b;
    double change = (1 - 3 * a * a) * bends[i] + (3 * b * b - 1) * bends[j];
    return (values[j] - values[i] + change / 6) / distance;
  }

  /** The place in distances, wrapped or brought to the nearer end. */
  private double inside(double at) {
    int n = values.length;
    double place = at / distance;
    return periodic ? place - n * Math.floor(place / n) : Math.max(0, Math.min(n - 1, place));
  }

  /** The piece that a place lies in; rounding can put one that is wrapped at the very end. */
  private int piece(double inside) {
    return Math.min((int) inside, periodic ? values.length - 1 : values.length - 2);
  }

  /** How far a place lies beyond an end. */
  private double beyond(double at) {
    return periodic ? 0 : at - distance * inside(at);
  }
}
