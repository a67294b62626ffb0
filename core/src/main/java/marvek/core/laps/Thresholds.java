package marvek.core.laps;

/**
 * From when on a pedal counts as used and a bend as begun. Defaults are the method's own
 * assumptions; the guide lists them.
 *
 * @param brakeOnPct brake on above it, after the sensor's zero is taken out
 * @param brakeHeldS a touch shorter than this is none, and a let-go shorter than this no end of one
 * @param throttleOnPct throttle open above it
 * @param fullThrottlePct flat above it
 * @param fullThrottleM flat for so far
 * @param brakingG without a brake sensor: deceleration beyond drag that is braking
 * @param turnInShare turned in where the side acceleration goes through this share of its peak
 * @param liftPct a throttle that falls by so much was lifted
 * @param correctionDeg a wheel that goes back by so much and in again was corrected
 */
public record Thresholds(
    double brakeOnPct,
    double brakeHeldS,
    double throttleOnPct,
    double fullThrottlePct,
    double fullThrottleM,
    double brakingG,
    double turnInShare,
    double liftPct,
    double correctionDeg) {
  /** 3 % held for 0.1 s, 5 %, 95 % for 10 m, 0.15 g, 0.3, 20 %, 12°. */
  public static final Thresholds DEFAULT = new Thresholds(3, 0.1, 5, 95, 10, 0.15, 0.3, 20, 12);
}
