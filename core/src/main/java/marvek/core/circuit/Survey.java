package marvek.core.circuit;

import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * A centreline as it was surveyed: points in order of travel with the widths to the white lines and
 * the banking. Immutable; arrays are copied in.
 *
 * <p>Coordinates in metres in a local plane, x east, y north, z up; widths in metres seen in the
 * direction of travel; banking in radians. A closed survey does not repeat its first point.
 */
public final class Survey {
  /** Two points nearer than this are one point entered twice. */
  public static final double MIN_SPACING_M = 0.05;

  /** Beyond this the shape of a corner between two points is anybody's guess. */
  public static final double MAX_SPACING_M = 60;

  /** Roads beyond this are a slip of the unit. */
  private static final double MAX_WIDTH_M = 60;

  private final double[] x;
  private final double[] y;
  private final double[] z;
  private final double[] widthLeft;
  private final double[] widthRight;
  private final double[] banking;
  private final boolean closed;

  /** The road through it, once somebody asked for it: the costly part of reading a circuit. */
  private volatile @Nullable Fitted fitted;

  /** A road with the smoothing that it was fitted with; one value, so that nobody sees half. */
  private record Fitted(double smoothing, Road road) {}

  /**
   * @throws InvalidValueException naming the field and the index of the point, if a value is not
   *     finite, widths are not positive, points coincide or lie too far apart, or there are fewer
   *     than four
   */
  public Survey(
      double[] xM,
      double[] yM,
      double[] zM,
      double[] widthLeftM,
      double[] widthRightM,
      double[] bankingRad,
      boolean closed) {
    this.x = xM.clone();
    this.y = yM.clone();
    this.z = zM.clone();
    this.widthLeft = widthLeftM.clone();
    this.widthRight = widthRightM.clone();
    this.banking = bankingRad.clone();
    this.closed = closed;
    checkSizes();
    for (int i = 0; i < x.length; i++) {
      checkPoint(i);
    }
    checkSpacing();
  }

  private void checkSizes() {
    int n = x.length;
    if (n < 4) {
      throw new InvalidValueException(
          "centreline", Sentence.of("refused.few-surveyed", "given", n));
    }
    for (double[] column : new double[][] {y, z, widthLeft, widthRight, banking}) {
      if (column.length != n) {
        throw new InvalidValueException(
            "centreline",
            Sentence.of("refused.unequal-columns", "first", n, "second", column.length));
      }
    }
  }

  private void checkPoint(int i) {
    finite("x_m", i, x[i]);
    finite("y_m", i, y[i]);
    finite("z_m", i, z[i]);
    width("width_left_m", i, widthLeft[i]);
    width("width_right_m", i, widthRight[i]);
    if (!(Math.abs(banking[i]) <= Math.toRadians(45))) {
      throw new InvalidValueException(
          "banking_deg", i, Sentence.of("refused.banking", "given", Math.toDegrees(banking[i])));
    }
  }

  private static void finite(String field, int i, double value) {
    if (!Double.isFinite(value)) {
      throw new InvalidValueException(field, i, Sentence.of("refused.not-finite", "value", value));
    }
  }

  private static void width(String field, int i, double value) {
    if (!(value > 0 && value <= MAX_WIDTH_M)) {
      throw new InvalidValueException(
          field, i, Sentence.of("refused.width", "given", value, "most_m", MAX_WIDTH_M));
    }
  }

  private void checkSpacing() {
    int last = closed ? x.length : x.length - 1;
    for (int i = 0; i < last; i++) {
      double chord = chord(i);
      int next = (i + 1) % x.length;
      if (!(chord >= MIN_SPACING_M)) {
        throw new InvalidValueException(
            "centreline",
            next,
            Sentence.of(
                next == 0 ? "refused.first-repeated" : "refused.point-repeated", "apart_m", chord));
      }
      if (chord > MAX_SPACING_M) {
        throw new InvalidValueException(
            "centreline",
            next,
            Sentence.of(
                next == 0 ? "refused.lap-open" : "refused.points-far",
                "apart_m",
                chord,
                "most_m",
                MAX_SPACING_M));
      }
    }
  }

  /** The road through the points at the default step; computed once for a smoothing. */
  Road road(double smoothing) {
    Fitted known = fitted;
    if (known == null || known.smoothing != smoothing) {
      known = new Fitted(smoothing, Road.through(this, smoothing));
      fitted = known;
    }
    return known.road;
  }

  /** Plan distance from point i to the next one [m]; wraps on a closed survey. */
  public double chord(int i) {
    int next = (i + 1) % x.length;
    return Math.hypot(x[next] - x[i], y[next] - y[i]);
  }

  public int size() {
    return x.length;
  }

  public boolean closed() {
    return closed;
  }

  public double xAt(int i) {
    return x[i];
  }

  public double yAt(int i) {
    return y[i];
  }

  public double zAt(int i) {
    return z[i];
  }

  public double widthLeftAt(int i) {
    return widthLeft[i];
  }

  public double widthRightAt(int i) {
    return widthRight[i];
  }

  /** Banking [rad], positive where the right edge is the higher one. */
  public double bankingAt(int i) {
    return banking[i];
  }

  /**
   * The same survey with another width over a stretch.
   *
   * @param parameters place of each point in the terms of the stretch, see {@link WidthEdit}
   */
  Survey withWidths(double[] parameters, double lengthM, WidthEdit edit) {
    double[] left = widthLeft.clone();
    double[] right = widthRight.clone();
    for (int i = 0; i < left.length; i++) {
      if (edit.covers(parameters[i], lengthM, closed)) {
        left[i] = edit.leftM() == null ? left[i] : edit.leftM();
        right[i] = edit.rightM() == null ? right[i] : edit.rightM();
      }
    }
    return new Survey(x, y, z, left, right, banking, closed);
  }
}
