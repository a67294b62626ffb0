package marvek.core;

/**
 * A value that the model cannot work with. Carries the name of the field so that a reader of a file
 * can point to the place, and says the value, the bound and the remedy.
 */
public final class InvalidValueException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String field;
  private final int index;

  /**
   * @param field name of the offending field as the open formats spell it, e.g. {@code
   *     gearbox.ratios}
   * @param problem what is wrong and what to do, with the value and the bound
   */
  public InvalidValueException(String field, String problem) {
    this(field, -1, problem);
  }

  /**
   * @param index position of the offending element where the field is a list, else -1
   */
  public InvalidValueException(String field, int index, String problem) {
    super(field + (index >= 0 ? "[" + index + "]" : "") + " " + problem);
    this.field = field;
    this.index = index;
  }

  public String field() {
    return field;
  }

  /** Position in the list, or -1 where the field is not one. */
  public int index() {
    return index;
  }
}
