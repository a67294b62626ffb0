package marvek.core.lead;

import marvek.core.InvalidValueException;
import marvek.core.Require;

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
      throw new InvalidValueException("driver.vehicle", "must have at most 80 characters");
    }
    if (fromLap < 1) {
      throw new InvalidValueException("driver.fromLap", "(" + fromLap + ") must be 1 or more");
    }
    if (goneFromLap != null && goneFromLap < fromLap) {
      throw new InvalidValueException(
          "driver.goneFromLap",
          "(" + goneFromLap + ") must not be before the lap that " + name + " joined on");
    }
  }

  boolean isThere(int lap) {
    return lap >= fromLap && (goneFromLap == null || lap < goneFromLap);
  }
}
