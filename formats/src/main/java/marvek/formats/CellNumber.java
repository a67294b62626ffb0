package marvek.formats;

import java.util.Locale;
import java.util.Set;
import tools.jackson.core.io.NumberInput;

/**
 * Numbers in cells of a table. Nearly all are a few digits with a point; an hour has six million of
 * them, so those are read in one pass and the rest is left to the library.
 */
final class CellNumber {
  /** Integers up to here are exact in a double, and so are the powers of ten below. */
  private static final int MOST_DIGITS = 15;

  private static final double[] POWERS_OF_TEN = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };

  /** How loggers and tables write that a sample has no value. */
  private static final Set<String> MISSING =
      Set.of(
          "", "nan", "-", "--", "---", "n/a", "na", "#n/a", "null", "none", "nil", "inf", "-inf",
          "?", "*", "missing", "invalid");

  private CellNumber() {}

  /**
   * The number that a cell holds; NaN for an empty cell and for the words that stand for none.
   *
   * @param point what parts the decimals, a point or a comma
   * @throws NumberFormatException if it is no number
   */
  static double of(String cell, char point) {
    int length = cell.length();
    boolean minus = length > 0 && cell.charAt(0) == '-';
    int begin = minus ? 1 : 0;
    long digits = 0;
    int decimals = -1;
    int i = begin;
    for (; i < length; i++) {
      char c = cell.charAt(i);
      if (c >= '0' && c <= '9') {
        digits = 10 * digits + (c - '0');
        decimals += decimals < 0 ? 0 : 1;
      } else if (c == point && decimals < 0) {
        decimals = 0;
      } else {
        return other(cell, point);
      }
    }
    int count = length - begin - (decimals < 0 ? 0 : 1);
    if (count < 1 || count > MOST_DIGITS) {
      return other(cell, point);
    }
    // Both are exact, so that their quotient is the nearest double, as it has to be.
    double value = decimals <= 0 ? digits : digits / POWERS_OF_TEN[decimals];
    return minus ? -value : value;
  }

  private static double other(String cell, char point) {
    String text = cell.strip();
    if (MISSING.contains(text.toLowerCase(Locale.ROOT))) {
      return Double.NaN;
    }
    return NumberInput.parseDouble(point == ',' ? text.replace(',', '.') : text, true);
  }
}
