package marvek.core.brief;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * The tyres of a session.
 *
 * @param name as they are told apart in the paddock
 * @param laps run before the session
 * @param goodLaps laps that such a set stays good for
 * @param inUseSince first day of use, or null where it is not known
 */
public record TyreSet(String name, int laps, int goodLaps, LocalDate inUseSince) {
  private static final int LONGEST_NAME = 120;

  /** More than any set is driven. */
  private static final int MOST_LAPS = 2000;

  private static final double SECONDS_A_DAY = 86_400;

  public TyreSet {
    Require.text("tyres.name", name, LONGEST_NAME);
    Require.within("tyres.laps", laps, 0, MOST_LAPS);
    Require.within("tyres.goodLaps", goodLaps, 1, MOST_LAPS);
  }

  /** Share of the good laps that is used up. */
  public double wear() {
    return (double) laps / goodLaps;
  }

  /** The same after some laps more. */
  public TyreSet after(int lapsMore) {
    return new TyreSet(name, Math.min(MOST_LAPS, laps + lapsMore), goodLaps, inUseSince);
  }

  /**
   * Checks that their age and their laps can be, on a day at a circuit.
   *
   * @throws InvalidValueException if they are used before they are in use, or more than day and
   *     night without a stop
   */
  void checkOn(LocalDate day, double lapS) {
    if (inUseSince == null) {
      return;
    }
    long days = ChronoUnit.DAYS.between(inUseSince, day) + 1;
    if (days < 1) {
      throw new InvalidValueException(
          "tyres.inUseSince",
          Sentence.of("refused.after-session", "given", inUseSince, "day", day));
    }
    if (laps * lapS > days * SECONDS_A_DAY) {
      throw new InvalidValueException(
          "tyres.laps",
          Sentence.of(
              "refused.laps-in-use",
              "given",
              laps,
              "since",
              inUseSince,
              "lap_s",
              lapS,
              "days",
              laps * lapS / SECONDS_A_DAY));
    }
  }
}
