package marvek.core.vehicle;

import marvek.core.Require;

/**
 * Where the driver's eyes are.
 *
 * @param heightM above the road
 * @param behindFrontAxleM along the vehicle
 * @param sideM from its middle, positive to the left
 */
public record Eye(double heightM, double behindFrontAxleM, double sideM) {
  /** 3.5 ft, AASHTO, <i>Policy on Geometric Design</i>, ch. 3 (from memory); places assumed. */
  private static final Eye IN_A_CAR = new Eye(1.08, 1.5, 0);

  /** Over the screen of a road racer (own assumption). */
  private static final Eye ON_A_MOTORCYCLE = new Eye(1.2, 0.8, 0);

  public Eye {
    Require.within("eye/height_m", heightM, 0.3, 4);
    Require.within("eye/behindFrontAxle_m", behindFrontAxleM, -2, 8);
    Require.within("eye/side_m", sideM, -1.5, 1.5);
  }

  /** Where eyes usually are, if the file does not say. */
  public static Eye usual(Vehicle.Kind kind) {
    return kind == Vehicle.Kind.MOTORCYCLE ? ON_A_MOTORCYCLE : IN_A_CAR;
  }
}
