package marvek.core.circuit;

import marvek.core.Require;

/**
 * A point of a line that was driven or walked, in the local plane.
 *
 * @param zM height, NaN where it was not recorded
 */
public record TrackPoint(double xM, double yM, double zM) {
  public TrackPoint {
    Require.finite("x_m", xM);
    Require.finite("y_m", yM);
  }
}
