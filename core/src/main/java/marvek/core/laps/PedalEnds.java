package marvek.core.laps;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Brings a throttle sensor to its ends: what it shows with the foot off is nothing, what it stands
 * at with the foot down is everything. A throttle that idles is open a little all the time.
 */
final class PedalEnds {
  /** An idle of less hides no pick-up: it is below where a throttle counts as open [%]. */
  private static final double LEAST_IDLE_PCT = 1.5;

  /** More open than this with the foot off is a foot that is on [%]. */
  private static final double MOST_IDLE_PCT = 35;

  /** A sensor's own ends waver by no more [%]. */
  private static final double STANDS_STILL_PCT = 1.5;

  /** A pedal that goes so far goes all the way [%]. */
  private static final double NEARLY_ALL_PCT = 97;

  private static final double LEAST_TOP_PCT = 40;

  /** With the foot down a lap is driven for so much of the time, at least. */
  private static final double SHARE_FLAT = 0.08;

  /** Somebody who slows so hard is off the throttle [m/s²]. */
  private static final double SLOWS_MPS2 = 4;

  private static final double SLOPE_S = 0.4;
  private static final double MOVING_MPS = 8;
  private static final int LEAST_SAMPLES = 20;
  private static final int SOME = 20_000;

  private PedalEnds() {}

  /** The recording with a throttle from 0 to 100; as it is where there is none or it is so. */
  static Recording calibrated(Recording recording, Corrections corrections) {
    if (!recording.has(Channel.THROTTLE)) {
      return recording;
    }
    double[] v = recording.channel(Channel.THROTTLE);
    double idle = idle(recording, v);
    double top = top(v);
    boolean idles = idle >= LEAST_IDLE_PCT && idle < MOST_IDLE_PCT;
    boolean shortOfAll = top < NEARLY_ALL_PCT || top > 103;
    if (!idles && !shortOfAll) {
      return recording;
    }
    double from = idles ? idle : 0;
    double to = shortOfAll ? top : 100;
    if (idles) {
      corrections.add("laps.throttle-open", "pct", idle);
    }
    if (shortOfAll) {
      corrections.add("laps.throttle-short", "pct", top);
    }
    for (int i = 0; i < v.length; i++) {
      v[i] = Math.max(0, Math.min(100, 100 * (v[i] - from) / (to - from)));
    }
    return recording.with(Channel.THROTTLE, v);
  }

  /** Of a long recording not every sample is needed to know where a sensor stands. */
  private static int every(int samples) {
    return Math.max(1, samples / SOME);
  }

  /** What stands there while the car slows hard; 0 where that is nothing that stands still. */
  private static double idle(Recording recording, double[] v) {
    int every = every(v.length);
    double[] shown = new double[v.length / every + 1];
    int count = 0;
    int before = 0;
    for (int i = 0; i < v.length; i++) {
      while (recording.timeAt(i) - recording.timeAt(before) > SLOPE_S) {
        before++;
      }
      double span = recording.timeAt(i) - recording.timeAt(before);
      double gain = recording.at(Channel.SPEED, i) - recording.at(Channel.SPEED, before);
      boolean slows = span > 0 && gain / span < -SLOWS_MPS2;
      boolean counts = slows && i % every == 0 && !Double.isNaN(v[i]);
      if (counts && recording.at(Channel.SPEED, i) > MOVING_MPS) {
        shown[count++] = v[i];
      }
    }
    if (count < LEAST_SAMPLES) {
      return 0;
    }
    double[] sorted = Arrays.copyOf(shown, count);
    Arrays.sort(sorted);
    double low = sorted[count / 10];
    double middle = sorted[count * 4 / 10];
    return middle - low <= STANDS_STILL_PCT ? low : 0;
  }

  /** What the sensor stands at for long at its upper end; 100 where it does not stand there. */
  private static double top(double[] v) {
    int every = every(v.length);
    double[] sorted =
        IntStream.range(0, v.length / every)
            .mapToDouble(k -> v[k * every])
            .filter(x -> !Double.isNaN(x))
            .sorted()
            .toArray();
    if (sorted.length < LEAST_SAMPLES) {
      return 100;
    }
    double high = sorted[(int) (0.995 * (sorted.length - 1))];
    double flat = sorted[(int) ((1 - SHARE_FLAT) * (sorted.length - 1))];
    boolean stands = high - flat <= STANDS_STILL_PCT && high > LEAST_TOP_PCT;
    return stands ? (high + flat) / 2 : 100;
  }
}
