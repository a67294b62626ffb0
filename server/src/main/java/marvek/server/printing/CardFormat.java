package marvek.server.printing;

import java.util.Locale;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/** What a card is printed as. */
enum CardFormat {
  /** The session on one page, to be read at arm's length. */
  A5,
  /** The whole lap with the strips of its corners. */
  A4,
  /** Numbers alone, for the wrist or the dash: 105 by 74 mm. */
  DASH,
  /** Large, for the tank of a motorcycle: 105 by 148 mm. */
  TANK;

  /**
   * The format of a name.
   *
   * @throws InvalidValueException if there is none
   */
  static CardFormat named(String name) {
    for (CardFormat format : values()) {
      if (format.name().toLowerCase(Locale.ROOT).equals(name)) {
        return format;
      }
    }
    throw new InvalidValueException("format", Sentence.of("refused.card-format", "given", name));
  }
}
