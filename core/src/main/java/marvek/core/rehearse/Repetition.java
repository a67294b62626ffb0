package marvek.core.rehearse;

import java.time.LocalDate;
import marvek.core.Require;

/**
 * When something is asked again: spaced repetition by the algorithm SM-2 of P. A. Wozniak
 * (<i>Optimization of learning</i>, 1990; the constants from memory). An answer is graded 0
 * (nothing came) to 5 (at once and right); below 3 it begins anew.
 *
 * @param easiness by which intervals grow, at least 1.3
 * @param inARow right answers since the last wrong one
 * @param intervalDays days from the last answer to the next
 * @param due day from which it is asked again
 */
public record Repetition(double easiness, int inARow, int intervalDays, LocalDate due) {
  /** Below this the intervals would hardly grow. */
  public static final double LEAST_EASINESS = 1.3;

  /** Values of the published algorithm, see above. */
  private static final double FIRST_EASINESS = 2.5;

  private static final int FIRST_DAYS = 1;
  private static final int SECOND_DAYS = 6;
  private static final int RIGHT = 3;
  private static final int BEST = 5;

  /** Ten years. */
  private static final int LONGEST_DAYS = 3650;

  public Repetition {
    Require.within("easiness", easiness, LEAST_EASINESS, 10);
    Require.within("inARow", inARow, 0, 10_000);
    Require.within("interval_days", intervalDays, 0, LONGEST_DAYS);
    Require.present("due", due);
  }

  /** Never asked: due at once. */
  public static Repetition fresh(LocalDate today) {
    return new Repetition(FIRST_EASINESS, 0, 0, today);
  }

  /**
   * After an answer.
   *
   * @param quality 0 to 5
   */
  public Repetition after(int quality, LocalDate today) {
    Require.within("quality", quality, 0, BEST);
    // EF' = EF + (0.1 − (5 − q)(0.08 + (5 − q) 0.02))
    int off = BEST - quality;
    double then = Math.max(LEAST_EASINESS, easiness + 0.1 - off * (0.08 + off * 0.02));
    if (quality < RIGHT) {
      return new Repetition(then, 0, FIRST_DAYS, today.plusDays(FIRST_DAYS));
    }
    int days = Math.min(LONGEST_DAYS, next(then));
    return new Repetition(then, inARow + 1, days, today.plusDays(days));
  }

  /** I(1) = 1, I(2) = 6, I(n) = I(n − 1) · EF, a fraction rounded up. */
  private int next(double then) {
    return switch (inARow) {
      case 0 -> FIRST_DAYS;
      case 1 -> SECOND_DAYS;
      default -> (int) Math.ceil(intervalDays * then - 1e-9);
    };
  }

  /** Whether it is to be asked on a day. */
  public boolean isDue(LocalDate today) {
    return !due.isAfter(today);
  }
}
