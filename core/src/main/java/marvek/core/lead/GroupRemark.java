package marvek.core.lead;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * Something that is said to a driver of the group, or that a driver says of himself.
 *
 * @param driver key of the driver
 * @param corner number of the corner; 0 for the lap as a whole
 * @param lap on which it was seen
 * @param good whether it praises; such a remark asks for nothing
 * @param closedOnLap on which it was seen whether it was taken; null while it is open
 * @param by who says it
 */
public record GroupRemark(
    String driver,
    int corner,
    int lap,
    String words,
    boolean good,
    State state,
    Integer closedOnLap,
    By by) {
  /** A remark is said in a breath. */
  private static final int LONGEST = 200;

  /** Who says a remark. */
  public enum By {
    INSTRUCTOR,
    DRIVER
  }

  /** What came of it. */
  public enum State {
    OPEN,
    TAKEN,
    NOT_TAKEN
  }

  public GroupRemark {
    Require.text("words", words, LONGEST);
    Require.text("driver", driver, LONGEST);
    Require.present("by", by);
    if (corner < 0 || lap < 1) {
      throw new InvalidValueException(
          "remark", Sentence.of("refused.remark-place", "corner", corner, "lap", lap));
    }
    if (good && state != State.TAKEN || (state == State.OPEN) != (closedOnLap == null) && !good) {
      throw new InvalidValueException(
          "remark", Sentence.of("refused.remark-state", "state", state));
    }
  }

  /** A new one: praise is closed from the first, all else is open. */
  public static GroupRemark said(String driver, int corner, int lap, String words, boolean good) {
    State state = good ? State.TAKEN : State.OPEN;
    return new GroupRemark(driver, corner, lap, words.strip(), good, state, null, By.INSTRUCTOR);
  }

  /** The same, said by the driver himself. */
  public GroupRemark own() {
    return new GroupRemark(driver, corner, lap, words, good, state, closedOnLap, By.DRIVER);
  }

  /** Closed, or opened again, on a lap. */
  public GroupRemark seen(State now, int onLap) {
    if (good) {
      throw new InvalidValueException("state", Sentence.of("refused.praise-stays"));
    }
    return new GroupRemark(
        driver, corner, lap, words, false, now, now == State.OPEN ? null : onLap, by);
  }

  /** Whether it is for the driver to do something about. */
  public boolean isOpen() {
    return state == State.OPEN;
  }
}
