package marvek.core.conditions;

import marvek.core.Require;
import marvek.core.conditions.Conditions.Surface;

/**
 * A part of the lap whose surface is another than the rest's.
 *
 * @param fromM station where it begins
 * @param toM station where it ends; before {@code fromM} it leads across the start line
 */
public record SurfacePart(double fromM, double toM, Surface surface) {
  public SurfacePart {
    Require.notNegative("parts.from_m", fromM);
    Require.notNegative("parts.to_m", toM);
    Require.present("parts.surface", surface);
  }

  /** Whether a station lies in it. */
  public boolean contains(double stationM) {
    return fromM <= toM
        ? stationM >= fromM && stationM <= toM
        : stationM >= fromM || stationM <= toM;
  }
}
