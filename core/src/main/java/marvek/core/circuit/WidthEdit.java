package marvek.core.circuit;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * Widths measured anew over a stretch: set at every surveyed point in it, linear to its neighbours.
 *
 * @param toM before {@code fromM} where the stretch lies across the start line
 * @param leftM distance from the centreline to the left white line, or null to leave it
 * @param rightM the same on the right
 */
public record WidthEdit(double fromM, double toM, Double leftM, Double rightM) {
  private static final double WIDEST_M = 60;

  public WidthEdit {
    Require.notNegative("width station", fromM);
    Require.notNegative("width station", toM);
    if (leftM == null && rightM == null) {
      throw new InvalidValueException("width", Sentence.of("refused.no-width"));
    }
    if (leftM != null) {
      Require.within("width_left_m", leftM, 0.5, WIDEST_M);
    }
    if (rightM != null) {
      Require.within("width_right_m", rightM, 0.5, WIDEST_M);
    }
  }

  boolean covers(double stationM, double lengthM, boolean closed) {
    if (toM >= fromM) {
      return stationM >= fromM && stationM <= toM;
    }
    return closed && (stationM >= fromM || stationM <= toM) && stationM <= lengthM;
  }
}
