package marvek.formats;

import java.util.OptionalLong;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/** A file that cannot be read, with the place where that shows and what to do. */
public final class BadFileException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private static final int NONE = -1;

  private final long line;
  private final String column;
  private final String pointer;
  private final String field;
  private final int index;
  private final transient Sentence said;

  private BadFileException(
      long line, String column, String pointer, String field, int index, Sentence said) {
    super(place(line, column, pointer) + value(field, index) + said.sentence());
    this.line = line;
    this.column = column;
    this.pointer = pointer;
    this.field = field;
    this.index = index;
    this.said = said;
  }

  private static String place(long line, String column, String pointer) {
    if (pointer != null) {
      return pointer.isEmpty()
          ? Sentence.of("place.top").words() + " "
          : Sentence.of("place.pointer", "pointer", pointer).words() + " ";
    }
    if (line == 0) {
      return "";
    }
    return (column == null
                ? Sentence.of("place.line", "line", line)
                : Sentence.of("place.column", "line", line, "column", column))
            .words()
        + " ";
  }

  private static String value(String field, int index) {
    return field == null ? "" : InvalidValueException.place(field, index) + " ";
  }

  /** Something about the file as a whole. */
  public static BadFileException whole(Sentence said) {
    return new BadFileException(0, null, null, null, NONE, said);
  }

  /** A value that comes of the file as a whole. */
  public static BadFileException whole(InvalidValueException e) {
    return new BadFileException(0, null, null, e.field(), e.index(), e.said());
  }

  /** At a line of a text file, counted from 1; the column's name or number may be null. */
  public static BadFileException atLine(long line, @Nullable String column, Sentence said) {
    return new BadFileException(line, column, null, null, NONE, said);
  }

  /** A value at a line; the line says which of a list it is. */
  public static BadFileException atLine(
      long line, @Nullable String column, InvalidValueException e) {
    return new BadFileException(line, column, null, e.field(), NONE, e.said());
  }

  /** At a JSON pointer (RFC 6901). */
  public static BadFileException atPointer(String pointer, Sentence said) {
    return new BadFileException(0, null, pointer, null, NONE, said);
  }

  /** A value at a JSON pointer. */
  public static BadFileException atPointer(String pointer, InvalidValueException e) {
    return new BadFileException(0, null, pointer, e.field(), e.index(), e.said());
  }

  /** The same within a larger file, in which what was read stands at a pointer. */
  BadFileException within(String outer) {
    return new BadFileException(
        0, null, outer + (pointer == null ? "" : pointer), field, index, said);
  }

  public OptionalLong line() {
    return line > 0 ? OptionalLong.of(line) : OptionalLong.empty();
  }

  /** Name or number of the column, or null. */
  public @Nullable String column() {
    return column;
  }

  /** JSON pointer, or null. */
  public @Nullable String pointer() {
    return pointer;
  }

  /** Name of a value that was refused, or null. */
  public @Nullable String field() {
    return field;
  }

  /** Position in the value's list, or -1. */
  public int index() {
    return index;
  }

  /** What is wrong there, and what to do. */
  public Sentence said() {
    return said;
  }
}
