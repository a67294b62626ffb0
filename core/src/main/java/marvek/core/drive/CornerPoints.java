package marvek.core.drive;

import marvek.core.profile.Lap;

/**
 * The points of a corner in metres from the beginning of the part that is driven.
 *
 * @param actM where the foot leaves the throttle; infinite without braking, as the two after it
 * @param brakeM where the brakes are half built up
 * @param releaseM first metre off the brake
 * @param firstM first throttle
 * @param fullM full throttle
 * @param approachMps speed at the brake point
 */
record CornerPoints(
    double actM,
    double brakeM,
    double turnInM,
    double releaseM,
    double firstM,
    double fullM,
    double approachMps) {

  /** Where the throttle is shut: who covers the brake has it shut before he acts. */
  double shutM(Lap lap) {
    return actM - approachMps * lap.footwork().offBeforeS();
  }

  boolean brakes() {
    return brakeM < Double.POSITIVE_INFINITY;
  }
}
