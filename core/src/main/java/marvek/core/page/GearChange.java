package marvek.core.page;

/**
 * A change of gear where it is written or made.
 *
 * @param atM station [m]
 * @param to the gear after it
 * @param kind what it is for; null where only the place is written
 */
public record GearChange(double atM, int to, Kind kind) {
  /** What a change is for. */
  public enum Kind {
    /** Down, on the way in. */
    DOWN,
    /** Down to a gear that turns the car, out of which it is changed up again at the apex. */
    ROTATION,
    /** Up at the limiter. */
    UP,
    /** Up well before the limiter. */
    SHORT,
    /** Up after the engine was held on its limiter. */
    LIMITER
  }
}
