package marvek.formats;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.stream.LongStream;

/**
 * Numbers of a table, each with the same number of decimals. A file of laps has a million of them:
 * the language's own formatter takes ten to twenty-five times as long.
 */
final class FixedDecimals {
  private static final long[] TENS = LongStream.iterate(1, ten -> 10 * ten).limit(10).toArray();

  /** Beyond it not every whole number is a double [units of the last decimal]. */
  private static final double EXACT = 1L << 53;

  private FixedDecimals() {}

  /**
   * A finite number in digits; half a unit of the last decimal goes away from nought.
   *
   * @param decimals 0 to 9
   */
  static String of(double value, int decimals) {
    long scale = TENS[decimals];
    double units = Math.abs(value) * scale;
    if (!(units < EXACT)) {
      return new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
    }
    long rounded = Math.round(units);
    String whole = (value < 0 && rounded > 0 ? "-" : "") + rounded / scale;
    return decimals == 0
        ? whole
        : whole + "." + Long.toString(scale + rounded % scale).substring(1);
  }
}
