package marvek.core.laps;

import java.util.Arrays;

/**
 * Zero of a brake sensor: what it shows while the throttle is wide open. A lever or pedal can show
 * more the faster the car goes; the zero is therefore one for each range of speeds.
 */
public final class BrakeZero {
  /** More than this is no zero but a foot on both pedals, unless it stands still. */
  private static final double LARGEST_PCT = 8;

  /** A sensor's own zero wavers by no more; a foot does [%]. */
  private static final double STANDS_STILL_PCT = 1.5;

  /** Nobody brakes while the car gains so much [m/s²]. */
  private static final double GAINS_MPS2 = 0.7;

  private static final double SLOPE_S = 0.5;

  /** Of a long recording not every sample is needed to know where a sensor stands. */
  private static final int SOME = 40_000;

  /** Of fewer samples a median is chance. */
  private static final int LEAST_SAMPLES = 20;

  /** Told apart in ranges of 10 m/s, to 470 km/h: pressure at speed is more than at rest. */
  private static final double RANGE_MPS = 10;

  private static final int RANGES = 13;

  private final double[] zeroPct;

  private BrakeZero(double[] zeroPct) {
    this.zeroPct = zeroPct;
  }

  /** The zeros of a recording: medians at full throttle, 0 where it was never open so far. */
  public static BrakeZero of(Recording recording, Thresholds thresholds) {
    double[] zeros = new double[RANGES];
    if (!recording.has(Channel.BRAKE)) {
      return new BrakeZero(zeros);
    }
    boolean[] unbraked = unbraked(recording, thresholds);
    int[] counts = new int[RANGES];
    for (int i = 0; i < recording.size(); i++) {
      counts[range(recording.at(Channel.SPEED, i))] += unbraked[i] ? 1 : 0;
    }
    double[][] shown = new double[RANGES][];
    Arrays.setAll(shown, r -> new double[counts[r]]);
    for (int i = 0; i < recording.size(); i++) {
      if (unbraked[i]) {
        int range = range(recording.at(Channel.SPEED, i));
        shown[range][--counts[range]] = recording.at(Channel.BRAKE, i);
      }
    }
    for (int r = 0; r < RANGES; r++) {
      zeros[r] = shown[r].length < LEAST_SAMPLES ? Double.NaN : zero(shown[r]);
    }
    return new BrakeZero(filled(zeros));
  }

  /** Where nobody brakes: at full throttle, or without one while the car gains speed. */
  private static boolean[] unbraked(Recording recording, Thresholds thresholds) {
    boolean[] unbraked = new boolean[recording.size()];
    boolean pedal = recording.has(Channel.THROTTLE);
    int every = Math.max(1, unbraked.length / SOME);
    int before = 0;
    for (int i = 0; i < unbraked.length; i++) {
      while (recording.timeAt(i) - recording.timeAt(before) > SLOPE_S) {
        before++;
      }
      double gain = recording.at(Channel.SPEED, i) - recording.at(Channel.SPEED, before);
      double span = recording.timeAt(i) - recording.timeAt(before);
      boolean free =
          pedal
              ? recording.at(Channel.THROTTLE, i) > thresholds.fullThrottlePct()
              : span > 0 && gain / span > GAINS_MPS2;
      unbraked[i] = i % every == 0 && free && !Double.isNaN(recording.at(Channel.BRAKE, i));
    }
    return unbraked;
  }

  private static double zero(double[] shown) {
    double median = median(shown);
    double[] away = Arrays.stream(shown).map(v -> Math.abs(v - median)).toArray();
    boolean still = median(away) <= STANDS_STILL_PCT;
    return Math.abs(median) <= LARGEST_PCT || still ? median : 0;
  }

  /** What the sensor shows without braking at a speed [%]. */
  public double at(double speedMps) {
    return zeroPct[range(speedMps)];
  }

  /** Largest of them. */
  public double largestPct() {
    return Arrays.stream(zeroPct).max().orElse(0);
  }

  private static int range(double speedMps) {
    return Double.isNaN(speedMps)
        ? 0
        : Math.max(0, Math.min(RANGES - 1, (int) (speedMps / RANGE_MPS)));
  }

  private static double median(double[] values) {
    Arrays.sort(values);
    return values[values.length / 2];
  }

  /** A range in which the throttle was never open has the zero of the nearest slower one. */
  private static double[] filled(double[] zeros) {
    double[] all = zeros.clone();
    double slowest = Arrays.stream(zeros).filter(z -> !Double.isNaN(z)).findFirst().orElse(0);
    for (int r = 0; r < RANGES; r++) {
      if (Double.isNaN(all[r])) {
        all[r] = r == 0 ? slowest : all[r - 1];
      }
    }
    return all;
  }
}
