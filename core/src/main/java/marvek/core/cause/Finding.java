package marvek.core.cause;

import java.util.List;

/**
 * A cause that laps show in a corner, with what it is worth. Seconds a lap.
 *
 * @param with a second part of the same slip, as braking early behind coasting; null without
 * @param atM where it shows, on the road
 * @param amount in the cause's own unit, in the middle of the laps that show it
 * @param laps indices of the laps that show it, among those that count
 * @param of so many laps that count
 * @param costS against the page, in the middle of the laps that show it; null where it has no size
 * @param spreadS half of those laps lie within so much of it
 * @param ownS what the corner costs in the middle beyond one's own best through it; null of one lap
 * @param shareOfLoss of all that the laps lost to the page, 0 to 1
 * @param laterS part of it that is paid for behind the next corner's lift
 */
public record Finding(
    int corner,
    Cause cause,
    Cause with,
    double atM,
    double amount,
    List<Integer> laps,
    int of,
    Double costS,
    double spreadS,
    Double ownS,
    double shareOfLoss,
    double laterS) {
  /** Of fewer laps nothing is said to be a habit. */
  public static final int LEAST_LAPS = 3;

  public Finding {
    laps = List.copyOf(laps);
  }

  /** How often it was done. */
  public enum Often {
    /** In one lap. */
    ONCE,
    /** In several, but not in most. */
    SOMETIMES,
    /** In three laps or more, and in half of them. */
    HABIT
  }

  public Often often() {
    if (laps.size() >= LEAST_LAPS && 2 * laps.size() >= of) {
      return Often.HABIT;
    }
    return laps.size() == 1 ? Often.ONCE : Often.SOMETIMES;
  }

  /** What it costs over the laps that count, by lap; 0 without a size. */
  public double perLapS() {
    return costS == null ? 0 : costS * laps.size() / of;
  }
}
