package marvek.core.laps;

import java.util.Arrays;

/** Zero of a brake sensor: what it shows while the throttle is wide open. */
public final class BrakeZero {
  /** More than this is no zero but a foot on both pedals. */
  private static final double LARGEST_PCT = 8;

  private static final int LEAST_SAMPLES = 20;

  private BrakeZero() {}

  /** Reading of the sensor without braking [%]: the median at full throttle, 0 without one. */
  public static double of(Recording recording, Thresholds thresholds) {
    if (!recording.has(Channel.BRAKE) || !recording.has(Channel.THROTTLE)) {
      return 0;
    }
    double[] shown = new double[recording.size()];
    int count = 0;
    for (int i = 0; i < recording.size(); i++) {
      if (recording.at(Channel.THROTTLE, i) > thresholds.fullThrottlePct()) {
        shown[count++] = recording.at(Channel.BRAKE, i);
      }
    }
    if (count < LEAST_SAMPLES) {
      return 0;
    }
    Arrays.sort(shown, 0, count);
    double zero = shown[count / 2];
    return Math.abs(zero) <= LARGEST_PCT ? zero : 0;
  }
}
