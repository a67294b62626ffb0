package marvek.core.page;

import org.jspecify.annotations.Nullable;

/**
 * Where the car is to be at a place between the points.
 *
 * @param atM station
 * @param offsetM of the car's middle, positive to the left; of {@link Kind#STRAIGHT} null if only
 *     the direction counts
 * @param words the driver's own, null for the computed ones
 */
public record Gate(double atM, Kind kind, @Nullable Double offsetM, @Nullable String words) {
  /** What of the place counts. */
  public enum Kind {
    /** To be there. */
    HERE,
    /** No farther to the left. */
    NO_FARTHER_LEFT,
    /** No farther to the right. */
    NO_FARTHER_RIGHT,
    /** The car stands straight. */
    STRAIGHT
  }
}
