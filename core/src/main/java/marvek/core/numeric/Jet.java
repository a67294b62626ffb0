package marvek.core.numeric;

/**
 * A value with its exact first and second derivatives in {@value #VARIABLES} variables: what is
 * computed with jets is differentiated along with it. Immutable.
 *
 * <p>Method: forward-mode differentiation by the chain rule (Nocedal &amp; Wright, <i>Numerical
 * Optimization</i>, 2nd ed., 8.2, from memory).
 */
public final class Jet {
  /** Number of variables. */
  public static final int VARIABLES = 5;

  private static final int SECOND = 1 + VARIABLES;
  private static final int LENGTH = SECOND + VARIABLES * (VARIABLES + 1) / 2;

  /** By which two variables each second derivative is. */
  private static final int[] ROW = new int[LENGTH];

  private static final int[] COLUMN = new int[LENGTH];

  static {
    int k = SECOND;
    for (int a = 1; a < SECOND; a++) {
      for (int b = a; b < SECOND; b++) {
        ROW[k] = a;
        COLUMN[k] = b;
        k++;
      }
    }
  }

  /** Value, gradient, upper triangle of the second derivatives row by row. */
  private final double[] d;

  private Jet(double[] d) {
    this.d = d;
  }

  /** A number that depends on no variable. */
  public static Jet constant(double value) {
    double[] d = new double[LENGTH];
    d[0] = value;
    return new Jet(d);
  }

  /** A variable itself. */
  public static Jet variable(int index, double value) {
    double[] d = new double[LENGTH];
    d[0] = value;
    d[1 + index] = 1;
    return new Jet(d);
  }

  public double value() {
    return d[0];
  }

  /** First derivative by a variable. */
  public double by(int a) {
    return d[1 + a];
  }

  /** Second derivative by two variables. */
  public double by(int a, int b) {
    return d[SECOND + place(Math.min(a, b), Math.max(a, b))];
  }

  private static int place(int a, int b) {
    return a * VARIABLES - a * (a - 1) / 2 + (b - a);
  }

  /**
   * A function of four jets, by its derivatives by them.
   *
   * @param f with x, y, z and u the four
   */
  public static Jet of(Jet4 f, Jet x, Jet y, Jet z, Jet u) {
    double[] r = new double[LENGTH];
    r[0] = f.v();
    for (int i = 1; i < SECOND; i++) {
      r[i] = f.x() * x.d[i] + f.y() * y.d[i] + f.z() * z.d[i] + f.u() * u.d[i];
    }
    for (int k = SECOND; k < LENGTH; k++) {
      int i = ROW[k];
      int j = COLUMN[k];
      double xi = x.d[i];
      double yi = y.d[i];
      double zi = z.d[i];
      double ui = u.d[i];
      r[k] =
          f.x() * x.d[k]
              + f.y() * y.d[k]
              + f.z() * z.d[k]
              + f.u() * u.d[k]
              + (f.xx() * xi + f.xy() * yi + f.xz() * zi + f.xu() * ui) * x.d[j]
              + (f.xy() * xi + f.yy() * yi + f.yz() * zi + f.yu() * ui) * y.d[j]
              + (f.xz() * xi + f.yz() * yi + f.zz() * zi + f.zu() * ui) * z.d[j]
              + (f.xu() * xi + f.yu() * yi + f.zu() * zi + f.uu() * ui) * u.d[j];
    }
    return new Jet(r);
  }

  public Jet plus(Jet other) {
    double[] sum = new double[LENGTH];
    for (int k = 0; k < LENGTH; k++) {
      sum[k] = d[k] + other.d[k];
    }
    return new Jet(sum);
  }

  public Jet minus(Jet other) {
    double[] difference = new double[LENGTH];
    for (int k = 0; k < LENGTH; k++) {
      difference[k] = d[k] - other.d[k];
    }
    return new Jet(difference);
  }

  public Jet plus(double number) {
    double[] sum = d.clone();
    sum[0] += number;
    return new Jet(sum);
  }

  public Jet times(double factor) {
    double[] product = new double[LENGTH];
    for (int k = 0; k < LENGTH; k++) {
      product[k] = factor * d[k];
    }
    return new Jet(product);
  }

  public Jet times(Jet other) {
    double a = d[0];
    double b = other.d[0];
    double[] p = new double[LENGTH];
    p[0] = a * b;
    for (int i = 1; i < SECOND; i++) {
      p[i] = a * other.d[i] + b * d[i];
    }
    for (int k = SECOND; k < LENGTH; k++) {
      int i = ROW[k];
      int j = COLUMN[k];
      p[k] = a * other.d[k] + b * d[k] + d[i] * other.d[j] + d[j] * other.d[i];
    }
    return new Jet(p);
  }

  public Jet over(Jet other) {
    return times(other.inverse());
  }

  /** One over it. */
  public Jet inverse() {
    double r = 1 / d[0];
    return of(r, -r * r, 2 * r * r * r);
  }

  public Jet square() {
    return of(d[0] * d[0], 2 * d[0], 2);
  }

  public Jet sqrt() {
    double root = Math.sqrt(d[0]);
    return of(root, 0.5 / root, -0.25 / (root * d[0]));
  }

  public Jet atan() {
    double r = 1 / (1 + d[0] * d[0]);
    return of(Math.atan(d[0]), r, -2 * d[0] * r * r);
  }

  /**
   * A function of it.
   *
   * @param value of the function there
   * @param first its derivative
   * @param second its second derivative
   */
  public Jet of(double value, double first, double second) {
    double[] f = new double[LENGTH];
    f[0] = value;
    for (int i = 1; i < SECOND; i++) {
      f[i] = first * d[i];
    }
    for (int k = SECOND; k < LENGTH; k++) {
      f[k] = first * d[k] + second * d[ROW[k]] * d[COLUMN[k]];
    }
    return new Jet(f);
  }
}
