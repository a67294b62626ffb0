package marvek.core.laps;

import marvek.core.Require;

/**
 * What a logger does to what happened: how often it writes each kind of channel, and what is wrong
 * with its receiver and sensors.
 *
 * @param positionHz positions a second
 * @param pedalHz pedals, steering and forces a second
 * @param gearHz gears a second
 * @param lagS by which positions come behind the other channels, 0 to 1 s
 * @param eastM by which all positions lie off
 * @param northM likewise
 * @param noiseM standard deviation of each position
 * @param brakeZeroPct what the brake sensor shows with the foot off
 * @param idlePct what the throttle shows with the foot off
 */
public record LoggerTraits(
    double positionHz,
    double pedalHz,
    double gearHz,
    double lagS,
    double eastM,
    double northM,
    double noiseM,
    double brakeZeroPct,
    double idlePct) {
  public LoggerTraits {
    Require.within("positionHz", positionHz, 0.5, 1000);
    Require.within("pedalHz", pedalHz, 1, 1000);
    Require.within("gearHz", gearHz, 1, 1000);
    Require.within("lag_s", lagS, 0, 1);
    Require.within("noise_m", noiseM, 0, 20);
    Require.within("brakeZero_pct", brakeZeroPct, 0, 40);
    Require.within("idle_pct", idlePct, 0, 40);
  }

  /** A good logger at one rate for all. */
  public static LoggerTraits good(double hz, double noiseM) {
    return new LoggerTraits(hz, hz, hz, 0, 0, 0, noiseM, 0, 0);
  }
}
