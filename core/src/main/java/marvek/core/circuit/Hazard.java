package marvek.core.circuit;

import marvek.core.Require;

/**
 * What a car hits or lands in when it leaves the road.
 *
 * @param distanceM distance from the white line
 */
public record Hazard(
    Type type, Side side, double fromM, double toM, double distanceM, String note) {
  /** What it is. */
  public enum Type {
    WALL,
    TYRE_WALL,
    GRAVEL,
    GRASS,
    NO_RUN_OFF,
    POLE
  }

  public Hazard {
    Require.present("type", type);
    Require.present("side", side);
    Require.notNegative("hazard station", fromM);
    Require.notNegative("hazard station", toM);
    Require.within("distance_m", distanceM, 0, 500);
    note = note == null ? "" : note;
  }
}
