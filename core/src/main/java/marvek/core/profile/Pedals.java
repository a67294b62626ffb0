package marvek.core.profile;

/**
 * What a driver's feet do along a part of a lap, told by the metres since its beginning. There is
 * nothing in it that looks at the speed: a foot that presses too much, or too long, does so.
 */
public interface Pedals {
  /** Brake pressure there as a share of full, built up as far as it is; 0 off the brake. */
  double brakeShare(double metres);

  /** Throttle there, 0 to 1. */
  double throttleShare(double metres);
}
