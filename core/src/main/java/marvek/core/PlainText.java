package marvek.core;

/**
 * Text that every reader, database and printer can take: no control characters but tab and line
 * ends, no noncharacters, no halves of a surrogate pair (The Unicode Standard, sections 23.1, 23.6
 * and 23.7).
 */
public final class PlainText {
  private PlainText() {}

  /** Index of the first character that is no text, or -1. */
  public static int firstOther(String text) {
    for (int i = 0; i < text.length(); i += Character.charCount(text.codePointAt(i))) {
      if (!isText(text.codePointAt(i))) {
        return i;
      }
    }
    return -1;
  }

  /** The text without what is none. */
  public static String of(String text) {
    if (firstOther(text) < 0) {
      return text;
    }
    return text.codePoints()
        .filter(PlainText::isText)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }

  private static boolean isText(int c) {
    boolean lineOrTab = c == '\t' || c == '\n' || c == '\r';
    boolean control = c < 0x20 || c == 0x7F;
    boolean half = c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE;
    boolean noncharacter = (c & 0xFFFE) == 0xFFFE || (c >= 0xFDD0 && c <= 0xFDEF);
    return lineOrTab || !(control || half || noncharacter);
  }
}
