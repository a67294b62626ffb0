package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.numeric.Median;

/**
 * Takes out of a recording what no car can have done, and says so: spikes of speed and
 * acceleration, positions that stand still or jump, a speed that does not go with the positions.
 * Gaps are named only. Nothing is put right silently.
 */
public final class Cleaning {
  /** A speed changes no faster than this, brakes and walls included [m/s²]. */
  private static final double FASTEST_CHANGE = 60;

  /** A spike is no longer than this. */
  private static final double SPIKE_S = 0.12;

  /** No vehicle brakes or is driven so hard. */
  private static final double LARGEST_G = 8;

  /** A gap is longer than so many samples, and than {@link #GAP_S}. */
  private static final double GAP_SAMPLES = 5;

  /** Within a third of a second a car covers no event. */
  private static final double GAP_S = 0.3;

  /** A speed that is off by less is as good as the positions. */
  private static final double LEAST_OFF = 0.015;

  /** Off by more it is not the calibration of the sensor but another thing. */
  private static final double MOST_OFF = 0.12;

  private final Recording before;
  private final Corrections corrections = new Corrections();

  private Cleaning(Recording before) {
    this.before = before;
  }

  /**
   * A recording with what was put right in words.
   *
   * @param corrections empty where nothing was
   */
  public record Cleaned(Recording recording, List<String> corrections) {
    public Cleaned {
      corrections = List.copyOf(corrections);
    }
  }

  /**
   * Cleans a recording.
   *
   * @throws InvalidValueException if its positions stand still for most of the time
   */
  public static Cleaned of(Recording recording) {
    return new Cleaning(recording).cleaned();
  }

  private Cleaned cleaned() {
    gaps();
    Recording now = before.with(Channel.SPEED, withoutSpikes());
    for (Channel g : List.of(Channel.LATERAL_G, Channel.LONGITUDINAL_G)) {
      if (now.has(g)) {
        now = now.with(g, within(now, g));
      }
    }
    if (now.hasPosition()) {
      now = new PositionCleaning(now, corrections).cleaned();
      now = now.with(Channel.SPEED, byPosition(now));
    }
    return new Cleaned(now, corrections.words());
  }

  private double interval() {
    double[] steps = new double[before.size() - 1];
    Arrays.setAll(steps, i -> before.timeAt(i + 1) - before.timeAt(i));
    return Median.of(steps);
  }

  private void gaps() {
    double least = Math.max(GAP_S, GAP_SAMPLES * interval());
    List<String> found = new ArrayList<>();
    for (int i = 1; i < before.size(); i++) {
      double gap = before.timeAt(i) - before.timeAt(i - 1);
      if (gap > least) {
        found.add(Corrections.text("%.1f s at %.1f s", gap, before.timeAt(i - 1)));
      }
    }
    corrections.addPlaces(found, "Samples are missing: ", ". Events in a gap are not seen.");
  }

  /** A speed that leaves and comes back within a moment is laid between its neighbours. */
  private double[] withoutSpikes() {
    double[] v = before.channel(Channel.SPEED);
    List<String> found = new ArrayList<>();
    for (int i = 1; i + 1 < v.length; i++) {
      if (!jumps(v, i - 1, i)) {
        continue;
      }
      int back = i + 1;
      while (back < v.length
          && before.timeAt(back) - before.timeAt(i - 1) <= SPIKE_S + 2 * interval0(i)
          && jumps(v, i - 1, back)) {
        back++;
      }
      boolean returns =
          back < v.length
              && before.timeAt(back) - before.timeAt(i - 1) <= SPIKE_S + 2 * interval0(i);
      if (returns) {
        found.add(Corrections.text("%.0f km/h at %.2f s", 3.6 * v[i], before.timeAt(i)));
        for (int k = i; k < back; k++) {
          double share =
              (before.timeAt(k) - before.timeAt(i - 1))
                  / (before.timeAt(back) - before.timeAt(i - 1));
          v[k] = v[i - 1] + share * (v[back] - v[i - 1]);
        }
      }
    }
    corrections.addPlaces(found, "Spikes of the speed were taken out: ", ".");
    return v;
  }

  private double interval0(int i) {
    return before.timeAt(i) - before.timeAt(i - 1);
  }

  private boolean jumps(double[] v, int a, int b) {
    return Math.abs(v[b] - v[a]) > FASTEST_CHANGE * (before.timeAt(b) - before.timeAt(a)) + 1;
  }

  private double[] within(Recording now, Channel g) {
    double[] values = now.channel(g);
    int out = 0;
    for (int i = 0; i < values.length; i++) {
      if (Math.abs(values[i]) > LARGEST_G) {
        values[i] = Double.NaN;
        out++;
      }
    }
    if (out > 0) {
      corrections.add("%d samples of %s beyond %.0f g were left out.", out, g.column(), LARGEST_G);
    }
    return values;
  }

  /** The speed against the way that the positions cover, second by second. */
  private double[] byPosition(Recording now) {
    double[] v = now.channel(Channel.SPEED);
    List<Double> ratios = new ArrayList<>();
    int last = -1;
    double way = 0;
    for (int i = 0; i < v.length; i++) {
      if (i > 0) {
        way += (v[i] + v[i - 1]) / 2 * (now.timeAt(i) - now.timeAt(i - 1));
      }
      if (Double.isNaN(now.at(Channel.X, i))) {
        continue;
      }
      if (last < 0) {
        last = i;
        way = 0;
      } else if (now.timeAt(i) - now.timeAt(last) >= 1) {
        double covered =
            Math.hypot(
                now.at(Channel.X, i) - now.at(Channel.X, last),
                now.at(Channel.Y, i) - now.at(Channel.Y, last));
        boolean steady = now.timeAt(i) - now.timeAt(last) < 1.5 && way > 15;
        if (steady) {
          ratios.add(covered / way);
        }
        last = i;
        way = 0;
      }
    }
    if (ratios.size() < 10) {
      return v;
    }
    // A chord is shorter than the bend it cuts: the straights, where it is not, are the upper part.
    double[] sorted = ratios.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    double ratio = sorted[(int) (0.6 * (sorted.length - 1))];
    double off = ratio - 1;
    if (Math.abs(off) < LEAST_OFF || Math.abs(off) > MOST_OFF) {
      return v;
    }
    for (int i = 0; i < v.length; i++) {
      v[i] *= ratio;
    }
    corrections.add(
        "The speed is %.1f %% %s than the positions say: put right by them.",
        100 * Math.abs(1 / ratio - 1), off < 0 ? "more" : "less");
    return v;
  }
}
