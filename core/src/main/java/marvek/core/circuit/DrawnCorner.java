package marvek.core.circuit;

import marvek.core.Require;
import org.jspecify.annotations.Nullable;

/**
 * A corner as somebody drew it; overrides what is found from the curvature.
 *
 * @param name may be empty
 * @param side direction of the bend, or null to take it from the road
 * @param rule track-limits rule there, or null for the layout's
 */
public record DrawnCorner(
    int number,
    String name,
    @Nullable Side side,
    double fromM,
    double toM,
    boolean linkWithNext,
    @Nullable TrackLimits rule) {
  public DrawnCorner {
    Require.within("number", number, 1, 999);
    Require.notNegative("corner station", fromM);
    Require.notNegative("corner station", toM);
    name = name == null ? "" : name;
  }
}
