package marvek.core;

import marvek.core.say.Sentence;

/**
 * NaN-safe argument checks: a comparison is written so that NaN fails it. Bounds of what is typed
 * or read are wide: they refuse a slip of the unit or of the finger, not an unusual vehicle or day.
 */
public final class Require {
  private Require() {}

  /** Finite and greater than zero. */
  public static double positive(String field, double value) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new InvalidValueException(field, Sentence.of("refused.not-positive", "value", value));
    }
    return value;
  }

  /** Finite and not below zero. */
  public static double notNegative(String field, double value) {
    if (!(value >= 0) || Double.isInfinite(value)) {
      throw new InvalidValueException(field, Sentence.of("refused.negative", "value", value));
    }
    return value;
  }

  /** Within the closed range. */
  public static double within(String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new InvalidValueException(
          field, Sentence.of("refused.out-of-bounds", "value", value, "least", low, "most", high));
    }
    return value;
  }

  /** Neither NaN nor infinite. */
  public static double finite(String field, double value) {
    if (!Double.isFinite(value)) {
      throw new InvalidValueException(field, Sentence.of("refused.not-finite", "value", value));
    }
    return value;
  }

  /** Not null, not blank, at most {@code maxLength} characters, all of which are text. */
  public static String text(String field, String value, int maxLength) {
    if (value == null || value.isBlank()) {
      throw new InvalidValueException(field, Sentence.of("refused.no-text"));
    }
    if (value.length() > maxLength) {
      throw new InvalidValueException(
          field, Sentence.of("refused.too-long", "given", value.length(), "most", maxLength));
    }
    int bad = PlainText.firstOther(value);
    if (bad >= 0) {
      throw new InvalidValueException(
          field,
          Sentence.of(
              "refused.no-character",
              "character",
              String.format("U+%04X", value.codePointAt(bad))));
    }
    return value;
  }

  /** Not null. */
  public static <T> T present(String field, T value) {
    if (value == null) {
      throw new InvalidValueException(field, Sentence.of("refused.not-chosen"));
    }
    return value;
  }
}
