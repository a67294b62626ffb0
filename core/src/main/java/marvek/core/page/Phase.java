package marvek.core.page;

/**
 * Something the foot does on the throttle; between two of them it goes straight from one opening to
 * the next.
 *
 * @param atM where it begins; of {@link Kind#FLAT} where the throttle is full
 * @param toPct opening that it leads to, in per cent of full
 * @param untilM where a lift has come down, or to where an opening is held; else null
 */
public record Phase(Kind kind, double atM, double toPct, Double untilM) {
  /** What is done. */
  public enum Kind {
    /** The throttle closes, in part or wholly, and no brake is pressed. */
    LIFT,
    /** It stays as it is: maintenance throttle. */
    HOLD,
    /** It opens for the first time after brakes. */
    FIRST,
    /** It opens farther. */
    STEP,
    /** It is full. */
    FLAT
  }

  /** Whether it says to where. */
  public boolean lasts() {
    return kind == Kind.LIFT || kind == Kind.HOLD;
  }

  /** Where it has come to its opening. */
  public double reachedM() {
    return lasts() && untilM != null ? untilM : atM;
  }
}
