package marvek.formats;

import java.util.OptionalLong;

/** A file that cannot be read, with the place where that shows and what to do. */
public final class BadFileException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final long line;
  private final String column;
  private final String pointer;

  private BadFileException(String detail, long line, String column, String pointer) {
    super(detail);
    this.line = line;
    this.column = column;
    this.pointer = pointer;
  }

  /** Something about the file as a whole. */
  public static BadFileException whole(String detail) {
    return new BadFileException(detail, 0, null, null);
  }

  /** At a line of a text file, counted from 1; the column's name or number may be null. */
  public static BadFileException atLine(long line, String column, String detail) {
    String where = "Line " + line + (column == null ? "" : ", " + column) + ": ";
    return new BadFileException(where + detail, line, column, null);
  }

  /** At a JSON pointer (RFC 6901). */
  public static BadFileException atPointer(String pointer, String detail) {
    String where = pointer.isEmpty() ? "At the top: " : "At " + pointer + ": ";
    return new BadFileException(where + detail, 0, null, pointer);
  }

  public OptionalLong line() {
    return line > 0 ? OptionalLong.of(line) : OptionalLong.empty();
  }

  /** Name or number of the column, or null. */
  public String column() {
    return column;
  }

  /** JSON pointer, or null. */
  public String pointer() {
    return pointer;
  }
}
