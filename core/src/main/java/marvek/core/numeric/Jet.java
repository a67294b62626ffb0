package marvek.core.numeric;

/**
 * A value with its exact first and second derivatives in a few variables, put together term by
 * term; mutable, for inner loops.
 *
 * <p>Method: forward-mode differentiation by the chain rule (Nocedal &amp; Wright, <i>Numerical
 * Optimization</i>, 2nd ed., 8.2, from memory).
 */
public final class Jet {
  private final int variables;
  private double value;
  private final double[] first;

  /** Upper triangle of the second derivatives, row by row. */
  private final double[] second;

  /** Zero, whatever the variables are. */
  public Jet(int variables) {
    this.variables = variables;
    first = new double[variables];
    second = new double[variables * (variables + 1) / 2];
  }

  public double value() {
    return value;
  }

  /** First derivative by a variable. */
  public double by(int a) {
    return first[a];
  }

  /** Second derivative by two variables. */
  public double by(int a, int b) {
    return second[place(Math.min(a, b), Math.max(a, b))];
  }

  private int place(int a, int b) {
    return a * variables - a * (a - 1) / 2 + (b - a);
  }

  /** Adds a number. */
  public Jet plus(double number) {
    value += number;
    return this;
  }

  /** Adds to the first derivative by a variable. */
  public Jet slope(int a, double slope) {
    first[a] += slope;
    return this;
  }

  /** Adds to the second derivative by two variables, in either order. */
  public Jet bend(int a, int b, double bend) {
    second[place(Math.min(a, b), Math.max(a, b))] += bend;
    return this;
  }

  /** Adds {@code factor·a·bᵀ}, and the same turned over, to the second derivatives. */
  public void outer(double factor, double[] a, double[] b) {
    int k = 0;
    for (int i = 0; i < variables; i++) {
      for (int j = i; j < variables; j++) {
        second[k++] += factor * (a[i] * b[j] + b[i] * a[j]);
      }
    }
  }

  /** Adds {@code factor·a·aᵀ} to the second derivatives. */
  public void square(double factor, double[] a) {
    int k = 0;
    for (int i = 0; i < variables; i++) {
      double weighed = factor * a[i];
      for (int j = i; j < variables; j++) {
        second[k++] += weighed * a[j];
      }
    }
  }

  /** Adds another so many times. */
  public void add(double factor, Jet other) {
    value += factor * other.value;
    for (int i = 0; i < first.length; i++) {
      first[i] += factor * other.first[i];
    }
    for (int k = 0; k < second.length; k++) {
      second[k] += factor * other.second[k];
    }
  }

  /** The product of two. */
  public static Jet product(Jet a, Jet b) {
    Jet product = new Jet(a.variables);
    product.value = a.value * b.value;
    for (int i = 0; i < product.first.length; i++) {
      product.first[i] = a.value * b.first[i] + b.value * a.first[i];
    }
    for (int k = 0; k < product.second.length; k++) {
      product.second[k] = a.value * b.second[k] + b.value * a.second[k];
    }
    product.outer(1, a.first, b.first);
    return product;
  }

  /**
   * A function of one.
   *
   * @param value of the function there
   * @param slope its derivative
   * @param bend its second derivative
   */
  public static Jet function(double value, double slope, double bend, Jet of) {
    Jet function = new Jet(of.variables);
    function.value = value;
    for (int i = 0; i < function.first.length; i++) {
      function.first[i] = slope * of.first[i];
    }
    for (int k = 0; k < function.second.length; k++) {
      function.second[k] = slope * of.second[k];
    }
    function.square(bend, of.first);
    return function;
  }

  /** Adds another so many times, whose variables are these of this one. */
  public void add(double factor, Jet other, int... places) {
    value += factor * other.value;
    int k = 0;
    for (int i = 0; i < places.length; i++) {
      first[places[i]] += factor * other.first[i];
      for (int j = i; j < places.length; j++) {
        bend(places[i], places[j], factor * other.second[k++]);
      }
    }
  }

  /**
   * The function of the first variables that this one becomes when the last ones are functions of
   * them.
   *
   * @param last the values of the last variables as functions of the first
   */
  public Jet substituted(Jet... last) {
    int kept = variables - last.length;
    Jet sum = new Jet(kept);
    sum.value = value;
    System.arraycopy(first, 0, sum.first, 0, kept);
    for (int i = 0; i < kept; i++) {
      System.arraycopy(second, place(i, i), sum.second, sum.place(i, i), kept - i);
    }
    double[] beside = new double[kept];
    for (int u = 0; u < last.length; u++) {
      double slope = first[kept + u];
      for (int i = 0; i < kept; i++) {
        sum.first[i] += slope * last[u].first[i];
        beside[i] = second[place(i, kept + u)];
      }
      for (int k = 0; k < sum.second.length; k++) {
        sum.second[k] += slope * last[u].second[k];
      }
      for (int o = u; o < last.length; o++) {
        double weight = (o == u ? 0.5 : 1) * second[place(kept + u, kept + o)];
        for (int i = 0; i < kept; i++) {
          beside[i] += weight * last[o].first[i];
        }
      }
      sum.outer(1, last[u].first, beside);
    }
    return sum;
  }
}
