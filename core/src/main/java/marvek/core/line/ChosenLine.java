package marvek.core.line;

import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * The line of a reference as somebody wants it.
 *
 * @param offsets of a line of the driver's own; null for the others
 */
public record ChosenLine(LineChoice choice, @Nullable LineOffsets offsets) {
  public static final ChosenLine SMOOTH = new ChosenLine(LineChoice.SMOOTH, null);
  public static final ChosenLine FASTEST = new ChosenLine(LineChoice.FASTEST, null);
  public static final ChosenLine CENTRELINE = new ChosenLine(LineChoice.CENTRELINE, null);

  /**
   * @throws InvalidValueException if a line of the driver's own has no offsets
   */
  public ChosenLine {
    if (choice == LineChoice.OWN && offsets == null) {
      throw new InvalidValueException("lineOffsets_m", Sentence.of("refused.no-offsets"));
    }
    if (choice != LineChoice.OWN) {
      offsets = null;
    }
  }

  /** Whether it is the line of least time. */
  public boolean isFastest() {
    return choice == LineChoice.FASTEST;
  }

  /** A line of the driver's own. */
  public static ChosenLine own(LineOffsets offsets) {
    return new ChosenLine(LineChoice.OWN, offsets);
  }
}
