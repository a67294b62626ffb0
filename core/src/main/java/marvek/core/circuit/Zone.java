package marvek.core.circuit;

import marvek.core.Require;

/**
 * A stretch of road that is not like the rest.
 *
 * @param side part of the road it lies on; {@link Side#ROAD} for its whole width
 * @param gripFactor factor on grip there, 0.2 to 1.2
 */
public record Zone(Type type, Side side, double fromM, double toM, double gripFactor, String note) {
  /** What is the matter with it. */
  public enum Type {
    BUMP,
    DIP,
    CREST,
    DAMP_SHADE,
    PATCH,
    OFF_CAMBER,
    SLIPPERY_PAINT,
    DRAIN,
    DUST
  }

  public Zone {
    Require.present("type", type);
    side = side == null ? Side.ROAD : side;
    Require.notNegative("zone station", fromM);
    Require.notNegative("zone station", toM);
    Require.within("gripFactor", gripFactor, 0.2, 1.2);
    note = note == null ? "" : note;
  }
}
