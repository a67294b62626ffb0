package marvek.formats;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Latitudes and longitudes that are no plain number: {@code 51°23'45.6"N}, {@code W 1 2.345}. */
final class AngleCell {
  private static final int LONGEST = 40;

  private static final Pattern ANGLE =
      Pattern.compile(
          "([NSEWnsew])?\\s*([-+]?)(\\d{1,3}(?:[.,]\\d+)?)\\s*[°d:\\s]?\\s*"
              + "(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*['′m:]?\\s*)?"
              + "(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*(?:\"|″|''|s)?\\s*)?([NSEWnsew])?");

  private static final Pattern PACKED =
      Pattern.compile("([NSEWnsew])?\\s*(\\d{3,5}\\.\\d+)\\s*([NSEWnsew])?");

  private AngleCell() {}

  static boolean isAngle(String cell) {
    return !Double.isNaN(of(cell));
  }

  /**
   * Degrees, north and east positive; NaN where it is no angle. Degrees and minutes written
   * together, as {@code 5123.456 N}, stay as they are: which they are shows where they lie.
   */
  static double of(String cell) {
    String text = cell.strip();
    if (text.isEmpty() || text.length() > LONGEST) {
      return Double.NaN;
    }
    Matcher packed = PACKED.matcher(text);
    if (packed.matches()) {
      return sign(packed.group(1), packed.group(3)) * Double.parseDouble(packed.group(2));
    }
    Matcher angle = ANGLE.matcher(text);
    if (!angle.matches()) {
      return Double.NaN;
    }
    double degrees = part(angle.group(3)) + part(angle.group(4)) / 60 + part(angle.group(5)) / 3600;
    double sign = angle.group(2).equals("-") ? -1 : 1;
    return sign * sign(angle.group(1), angle.group(6)) * degrees;
  }

  private static double part(String digits) {
    return digits == null ? 0 : Double.parseDouble(digits.replace(',', '.'));
  }

  private static int sign(String before, String behind) {
    String letter = before != null ? before : behind == null ? "" : behind;
    return "SWsw".contains(letter) && !letter.isEmpty() ? -1 : 1;
  }
}
