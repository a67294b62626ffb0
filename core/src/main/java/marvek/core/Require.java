package marvek.core;

/**
 * NaN-safe argument checks: a comparison is written so that NaN fails it. Bounds of what is typed
 * or read are wide: they refuse a slip of the unit or of the finger, not an unusual vehicle or day.
 */
public final class Require {
  private Require() {}

  /** Finite and greater than zero. */
  public static double positive(String field, double value) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new InvalidValueException(field, "(" + value + ") must be a number greater than 0");
    }
    return value;
  }

  /** Finite and not below zero. */
  public static double notNegative(String field, double value) {
    if (!(value >= 0) || Double.isInfinite(value)) {
      throw new InvalidValueException(field, "(" + value + ") must be 0 or more");
    }
    return value;
  }

  /** Within the closed range. */
  public static double within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new InvalidValueException(
          field, "(" + value + ") must lie between " + low + " and " + high);
    }
    return value;
  }

  /** Neither NaN nor infinite. */
  public static double finite(String field, double value) {
    if (!Double.isFinite(value)) {
      throw new InvalidValueException(field, "(" + value + ") must be a finite number");
    }
    return value;
  }

  /** Not null, not blank, at most {@code maxLength} characters, all of which are text. */
  public static String text(String field, String value, int maxLength) {
    if (value == null || value.isBlank()) {
      throw new InvalidValueException(field, "is missing: give it a text");
    }
    if (value.length() > maxLength) {
      throw new InvalidValueException(
          field, "has " + value.length() + " characters; at most " + maxLength + " are kept");
    }
    int bad = PlainText.firstOther(value);
    if (bad >= 0) {
      throw new InvalidValueException(
          field,
          String.format("holds U+%04X, which is no text: take it out", value.codePointAt(bad)));
    }
    return value;
  }

  /** Not null. */
  public static <T> T present(String field, T value) {
    if (value == null) {
      throw new InvalidValueException(field, "is missing: choose one");
    }
    return value;
  }
}
