package marvek.core.laps;

/**
 * From when on a pedal counts as used. Defaults are own assumptions of the method, the guide lists
 * them.
 *
 * @param brakeOnPct brake on above it, after the sensor's zero is taken out
 * @param brakeHeldS a touch shorter than this is none
 * @param throttleOnPct throttle open above it
 * @param fullThrottlePct flat above it
 * @param fullThrottleM flat for so far
 * @param brakingG without a brake sensor: deceleration beyond drag that is braking
 */
public record Thresholds(
    double brakeOnPct,
    double brakeHeldS,
    double throttleOnPct,
    double fullThrottlePct,
    double fullThrottleM,
    double brakingG) {
  /** 3 % held for 0.1 s, 5 %, 95 % for 10 m, 0.15 g. */
  public static final Thresholds DEFAULT = new Thresholds(3, 0.1, 5, 95, 10, 0.15);
}
