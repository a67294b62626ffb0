package marvek.core.vehicle;

import marvek.core.Require;

/**
 * How fast a vehicle turns into a bend.
 *
 * @param dynamicIndex yaw inertia over mass and the distances of both axles from the centre of
 *     gravity, i = I/(m·a·b), 0 to 3; of a car only
 * @param yawAccelerationDps2 rate at which a driver lets a car's turning grow on the line [°/s²]
 * @param leanRateDps rate at which a rider leans a motorcycle on the line [°/s]
 */
public record Turning(double dynamicIndex, double yawAccelerationDps2, double leanRateDps) {
  /**
   * An index of 0.9 (common practice: 0.8 to 1.0); a driver's 100°/s², of the six to eleven times
   * as much that the axles could give, and a rider's 60°/s, of the 50 to 90 that are seen in fast
   * changes of direction (own assumptions).
   */
  public static final Turning USUAL = new Turning(0.9, 100, 60);

  public Turning {
    Require.within("dynamicIndex", dynamicIndex, 0, 3);
    Require.within("yawAcceleration_dps2", yawAccelerationDps2, 10, 2000);
    Require.within("leanRate_dps", leanRateDps, 5, 500);
  }
}
