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
  /** Slower than the page where the brake is off [m/s]. */
  OVER_SLOWED(0.3),
  /** Farther from the inside edge than the page [m]. */
  MISSED_APEX(0.6),
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
