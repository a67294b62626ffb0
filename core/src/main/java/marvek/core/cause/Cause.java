package marvek.core.cause;

/**
 * What costs time in a corner, with the least amount that is worth a word; the guide lists them.
 * All are own assumptions of the method, but for the apex's 0.6 m, the coasting's 0.15 s and the
 * release's 20 m, which the method's description has.
 */
public enum Cause {
  /** Metres before the page's brake point, beyond what a lower speed asks for. */
  BRAKED_EARLY(4),
  /** Seconds on neither pedal between throttle and brake, beyond the page's and 0.15 s. */
  COASTED(0.05),
  /** Per cent of the page's hardest braking that are missing; told beside an early brake alone. */
  PRESSED_LITTLE(8),
  /** Share of an early brake by which it was also off early [%]; told beside it alone. */
  RELEASED_SOON(70),
  /** Metres on the brake behind where its end could still be the page's. */
  HELD_TOO_LONG(5),
  /** Slower than the page where the brake is off [m/s]. */
  OVER_SLOWED(0.3),
  /** Farther from the inside edge than the page [m]. */
  MISSED_APEX(0.6),
  /** Farther from the inside edge than a page that uses its kerb [m]. */
  MISSED_KERB(0.3),
  /** Metres before the page's turn-in; told beside an early apex alone. */
  TURNED_IN_EARLY(8),
  /**
   * Metres before the page's place at the inside, and out of road or off the throttle behind it.
   */
  EARLY_APEX(5),
  /** Metres behind the page's first throttle. */
  LATE_THROTTLE(5),
  /** Metres of full throttle that are missing behind a first throttle in time. */
  SLOW_TO_FULL(5),
  /** Per cent of the throttle that were taken back after it was opened before the page's place. */
  EARLY_THROTTLE_LIFTED(20),
  /** Per cent of the throttle that were taken back after it was opened. */
  THROTTLE_TWICE(20),
  /** Metres of full throttle that are missing where the page stays flat. */
  LIFTED(8),
  /** Wheel beyond what the turn needs [°]. */
  MORE_STEERING(5),
  /** Wheel that was taken back to catch a slide on the way in [°]. */
  SLID_IN(12),
  /** The same under power. */
  SLID_OUT(12),
  /** The same on a kerb. */
  SLID_ON_KERB(12),
  /** Gears away from the page's on the way out. */
  OTHER_GEAR(1),
  /** Changes up more than the page makes before the next corner. */
  SHORT_SHIFT(1),
  /** Brake points scatter: half of the laps lie farther from the middle [m]. */
  INCONSISTENT(4);

  private final double least;

  Cause(double least) {
    this.least = least;
  }

  /** Amount from which on it is told, in its own unit. */
  public double least() {
    return least;
  }
}
