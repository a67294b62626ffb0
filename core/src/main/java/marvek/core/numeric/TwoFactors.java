package marvek.core.numeric;

import java.util.Optional;

/**
 * Least squares of {@code y = first·a + second·b}, by the normal equations of two unknowns, with
 * the standard errors of both (textbook formulas; checked against a registry library).
 */
public record TwoFactors(double first, double second, double firstError, double secondError) {
  /** Columns whose squares of the cosine come nearer to 1 go together. */
  private static final double LEAST_APART = 1e-6;

  /**
   * The two factors; all arrays of one length.
   *
   * @return empty of fewer than three rows, or where the columns go together
   */
  public static Optional<TwoFactors> of(double[] y, double[] a, double[] b) {
    double aa = dot(a, a);
    double ab = dot(a, b);
    double bb = dot(b, b);
    double determinant = aa * bb - ab * ab;
    if (y.length < 3 || !(determinant > LEAST_APART * aa * bb)) {
      return Optional.empty();
    }
    double ay = dot(a, y);
    double by = dot(b, y);
    double first = (ay * bb - by * ab) / determinant;
    double second = (by * aa - ay * ab) / determinant;
    double squares = 0;
    for (int k = 0; k < y.length; k++) {
      double rest = y[k] - first * a[k] - second * b[k];
      squares += rest * rest;
    }
    double variance = squares / (y.length - 2);
    return Optional.of(
        new TwoFactors(
            first,
            second,
            Math.sqrt(variance * bb / determinant),
            Math.sqrt(variance * aa / determinant)));
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int k = 0; k < a.length; k++) {
      sum += a[k] * b[k];
    }
    return sum;
  }
}
