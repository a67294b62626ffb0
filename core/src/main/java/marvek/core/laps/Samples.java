package marvek.core.laps;

import java.util.Arrays;

/**
 * Values of one channel, one a sample. Recordings of hours keep what is no time and no place to
 * seven digits, or a day of a hundred samples a second would not fit. Immutable.
 */
public final class Samples {
  /** From so many samples on, an hour and a half of a hundred a second. */
  static final int LONG = 500_000;

  private final double[] exact;
  private final float[] rounded;

  private Samples(double[] exact, float[] rounded) {
    this.exact = exact;
    this.rounded = rounded;
  }

  /**
   * Takes values as they are; the caller does not change them any more.
   *
   * @param channel that they are of; null for times
   */
  public static Samples of(Channel channel, double[] values) {
    return values.length < LONG || isExact(channel)
        ? new Samples(values, null)
        : new Samples(null, rounded(values));
  }

  static boolean isExact(Channel channel) {
    return channel == null || channel.isPlace();
  }

  static Samples exact(double[] values) {
    return new Samples(values, null);
  }

  static Samples rounded(float[] values) {
    return new Samples(null, values);
  }

  private static float[] rounded(double[] values) {
    float[] all = new float[values.length];
    for (int i = 0; i < all.length; i++) {
      all[i] = (float) values[i];
    }
    return all;
  }

  public int size() {
    return exact == null ? rounded.length : exact.length;
  }

  /**
   * A value; NaN where a sample has none.
   *
   * @param i 0 to size − 1
   */
  public double at(int i) {
    return exact == null ? rounded[i] : exact[i];
  }

  /** A copy of all of them. */
  public double[] copy() {
    if (exact != null) {
      return exact.clone();
    }
    double[] all = new double[rounded.length];
    Arrays.setAll(all, i -> rounded[i]);
    return all;
  }
}
