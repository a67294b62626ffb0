package marvek.core;

import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

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
   * @param problem what is wrong and what to do, with the value and the bound
   */
  public InvalidValueException(String field, String problem) {
    this(field, -1, problem);
  }

  /**
   * @param index position of the offending element where the field is a list, else -1
   */
  public InvalidValueException(String field, int index, String problem) {
    this(field, index, problem, null);
  }

  /** With figures that a driver may want in other units. */
  public InvalidValueException(String field, Sentence said) {
    this(field, -1, said);
  }

  /** The same of an element of a list. */
  public InvalidValueException(String field, int index, Sentence said) {
    this(field, index, said.words(), said);
  }

  private InvalidValueException(String field, int index, String problem, Sentence said) {
    super(field + (index >= 0 ? "[" + index + "]" : "") + " " + problem);
    this.field = field;
    this.index = index;
    this.said = said;
  }

  /** What is wrong, as a sentence with its facts; null where it has no figures with a unit. */
  public @Nullable Sentence said() {
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
