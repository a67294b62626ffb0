package marvek.server.editions;

import java.util.function.Supplier;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/**
 * The edition that a change was made from, as If-Match says it: {@code "3"}; {@code *} for any that
 * there is.
 *
 * @param number null for any
 */
public record Edition(Long number) {
  /** For changes that Marvek makes by itself. */
  public static final Edition ANY = new Edition(null);

  /** What was never stored has this edition. */
  public static final long NONE = -1;

  /**
   * Reads the header.
   *
   * @throws InvalidValueException if it is no edition
   */
  public static Edition parse(String header) {
    String text = header.strip();
    if (text.equals("*")) {
      return ANY;
    }
    String plain = text.startsWith("W/") ? text.substring(2) : text;
    if (!plain.matches("\"-?\\d{1,18}\"")) {
      throw new InvalidValueException("If-Match", Sentence.of("refused.no-etag", "given", header));
    }
    return new Edition(Long.parseLong(plain.substring(1, plain.length() - 1)));
  }

  /**
   * Lets a change go on; to be asked in the transaction that stores it.
   *
   * @param now the edition that is stored
   * @param theirs what is stored, to be shown beside what was to be stored
   * @throws StaleException if it is another one
   */
  public void check(long now, Supplier<?> theirs) {
    if (number != null && number != now) {
      throw new StaleException(theirs.get());
    }
  }

  /** As it stands in an ETag. */
  public static String tag(long number) {
    return "\"" + number + "\"";
  }
}
