package marvek.core.circuit;

/** How much of the car may leave the road between the white lines. */
public enum TrackLimits {
  /**
   * All four wheels may not be beyond the line (FIA International Sporting Code, Appendix L,
   * chapter IV, from memory).
   */
  ONE_WHEEL_INSIDE_LINE,
  TWO_WHEELS_INSIDE_LINE,
  KERB_COUNTS_AS_TRACK,
  FREE
}
