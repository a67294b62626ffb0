package marvek.core;

import marvek.core.say.Sentence;

/**
 * A value that the model cannot work with. Carries the name of the field so that a reader of a file
 * can point to the place, and says the value, the bound and the remedy.
 */
public final class InvalidValueException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String field;
  private final int index;
  private final transient Sentence said;

  /**
   * @param field name of the offending field as the open formats spell it, e.g. {@code
   *     gearbox.ratios}
   * @param said what is wrong and what to do, with the value and the bound
   */
  public InvalidValueException(String field, Sentence said) {
    this(field, -1, said);
  }

  /**
   * @param index position of the offending element where the field is a list, else -1
   */
  public InvalidValueException(String field, int index, Sentence said) {
    super(place(field, index) + " " + said.words());
    this.field = field;
    this.index = index;
    this.said = said;
  }

  /** A field, or an element of it where the index is not -1. */
  public static String place(String field, int index) {
    return field + (index >= 0 ? "[" + index + "]" : "");
  }

  /** What is wrong, as a sentence with its facts. */
  public Sentence said() {
    return said;
  }

  public String field() {
    return field;
  }

  /** Position in the list, or -1 where the field is not one. */
  public int index() {
    return index;
  }
}
