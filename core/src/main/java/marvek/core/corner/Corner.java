package marvek.core.corner;

import marvek.core.circuit.Side;

/**
 * One corner of a road.
 *
 * @param name may be empty
 * @param direction {@link Side#LEFT} or {@link Side#RIGHT}
 * @param fromM station of its first metre
 * @param toM station of its last metre; before {@code fromM} where it lies across the start line
 * @param angleDeg how far the road turns in it, without sign
 * @param tightestRadiusM smallest radius of the centreline
 * @param tightestM station of it
 * @param gradePct mean grade, uphill positive
 * @param bankingDeg mean banking in the corner's own sense: positive helps, negative is off-camber
 * @param vertical strongest vertical curvature [1/m] from 60 m before it to its end, crest negative
 * @param linkWithNext whether its exit is the next one's entry
 */
public record Corner(
    int number,
    String name,
    Side direction,
    double fromM,
    double toM,
    double lengthM,
    double angleDeg,
    double tightestRadiusM,
    double tightestM,
    double gradePct,
    double bankingDeg,
    double vertical,
    boolean linkWithNext,
    Kind kind) {
  /** What sort of corner it is. */
  public enum Kind {
    HAIRPIN,
    SLOW,
    MEDIUM,
    FAST,
    KINK,
    CHICANE_PART,
    LONG
  }

  /** +1 for a left-hander, −1 for a right-hander. */
  public int sign() {
    return direction == Side.LEFT ? 1 : -1;
  }
}
