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
    DUST,
    /** Where a led group closes up again; nothing of the road. */
    REGROUP,
    /** Where faster cars are let by; nothing of the road. */
    LET_BY;

    /** Whether it is about the group that is led and not about the road. */
    public boolean isForGroups() {
      return this == REGROUP || this == LET_BY;
    }
  }

  public Zone {
    Require.present("type", type);
    side = side == null ? Side.ROAD : side;
    Require.notNegative("zone station", fromM);
    Require.notNegative("zone station", toM);
    gripFactor = type.isForGroups() ? 1 : Require.within("gripFactor", gripFactor, 0.2, 1.2);
    note = note == null ? "" : note;
  }
}
