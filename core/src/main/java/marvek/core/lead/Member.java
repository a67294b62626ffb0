package marvek.core.lead;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * A driver of a group.
 *
 * @param key by which remarks and files are his; stays when the name is put right
 * @param fromLap first lap that he is on the road, 1 from the beginning
 * @param goneFromLap first lap that he is not there any more; null while he is
 */
public record Member(String key, String name, String vehicle, int fromLap, Integer goneFromLap) {
  /** A name fits a line. */
  private static final int LONGEST = 80;

  public Member {
    Require.text("driver.key", key, LONGEST);
    Require.text("driver.name", name, LONGEST);
    if (vehicle == null || vehicle.length() > LONGEST) {
      throw new InvalidValueException("driver.vehicle", Sentence.of("refused.vehicle-length"));
    }
    if (fromLap < 1) {
      throw new InvalidValueException(
          "driver.fromLap", Sentence.of("refused.lap-from-one", "given", fromLap));
    }
    if (goneFromLap != null && goneFromLap < fromLap) {
      throw new InvalidValueException(
          "driver.goneFromLap",
          Sentence.of("refused.gone-before-joined", "given", goneFromLap, "who", name));
    }
  }

  boolean isThere(int lap) {
    return lap >= fromLap && (goneFromLap == null || lap < goneFromLap);
  }
}
