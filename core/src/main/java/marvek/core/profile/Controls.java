package marvek.core.profile;

/**
 * What a driver does along a part of a lap, told by the metres since its beginning.
 *
 * <p>Pressures and throttle come from the lap that is driven, stretched between the points that the
 * driver has moved: its shape is the page's shape.
 */
public interface Controls {
  /** Metres at which the foot leaves the throttle for the brake; infinite if it never does. */
  double actAtM();

  /**
   * Metres at which the lap itself brakes for this corner, infinite if it does not; what it brakes
   * before is for another one.
   */
  double lapBrakesM();

  /** Brake pressure that is wanted there, as a share of full, before any building up. */
  double brakeShare(double metres);

  /** Throttle that is wanted there, 0 to 1. */
  double throttleShare(double metres);

  /** From here on the throttle is used [m]. */
  double firstThrottleM();

  /** From here on it is all used that the engine gives [m]. */
  double fullThrottleM();

  /** The driver does not brake below this speed and holds it until the throttle [m/s]. */
  double lowestMps();
}
