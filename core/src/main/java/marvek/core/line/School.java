package marvek.core.line;

/** The ways through a corner that drivers argue about. */
public enum School {
  /** Carries speed on the widest bend. */
  ROUNDED,
  /** Waits outside and meets the inside in the second half of the turn. */
  LATE_APEX,
  /** Goes in deep, turns once and straightens. */
  V,
  /** The shortest way round. */
  TIGHT,
  /** Meets the inside twice; of long corners. */
  DOUBLE_APEX,
  /** Inside on the way in, so that nobody comes past there. */
  DEFEND,
  /** The least time over the corner and what follows it. */
  FASTEST
}
