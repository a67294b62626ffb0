package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import marvek.core.numeric.Median;
import org.jspecify.annotations.Nullable;

/**
 * Brings channels that come more slowly than the rows of a file to every row: a gear is held,
 * pedals and speeds are laid between, and nothing is laid over a gap. A channel's own rate shows in
 * the rows in which it is there, or in those in which it changes.
 */
final class ChannelRates {
  /** A gap is longer than so many of a channel's own samples. */
  private static final double GAP_SAMPLES = 2.5;

  /** And than this: one missing cell is no gap at any rate. */
  private static final double LEAST_GAP_S = 0.25;

  /** Of so many changes a rate can be told. */
  private static final int LEAST_CHANGES = 100;

  private static final int LEAST_VALUES = 5;
  private static final int STEPS = 5_000;

  /** Slower than this a constant stretch is a pedal that is held, not a sample that is. */
  private static final int MOST_ROWS_HELD = 100;

  /** So many of the changes lie on the grid of a slower rate. */
  private static final double ON_GRID = 0.7;

  /** One sample that leaves its neighbours by more, and comes back, is a slip [%]. */
  private static final double SLIP_PCT = 20;

  /** Of slower pedals a single sample is all that is known. */
  private static final double SLIP_S = 0.045;

  /** A gear that is shown for less was none: 0 while a change goes on. */
  private static final double SHORTEST_GEAR_S = 0.15;

  private final Recording recording;
  private final double interval;
  private final List<String> slower = new ArrayList<>();
  private int slips;

  private ChannelRates(Recording recording) {
    this.recording = recording;
    this.interval = recording.intervalS();
  }

  /** Every channel at every row; what was done is added to the corrections. */
  static Recording evened(Recording recording, Corrections corrections) {
    return new ChannelRates(recording).evened(corrections);
  }

  private Recording evened(Corrections corrections) {
    Recording now = recording;
    for (Channel channel : Channel.values()) {
      boolean candidate = recording.has(channel) && !channel.isPlace();
      // What stays as it is stays where it is: a day's recording is there once.
      double[] evened = candidate ? evened(channel) : null;
      now = evened == null ? now : now.with(channel, evened);
    }
    if (!slower.isEmpty()) {
      corrections.add("laps.rates", "rows", 1 / interval, "channels", String.join(", ", slower));
    }
    if (slips > 0) {
      corrections.add("laps.pedal-slips", "count", slips);
    }
    return now;
  }

  /** A channel at every row; null where it is so already. */
  private double @Nullable [] evened(Channel channel) {
    Samples samples = recording.samples(channel);
    int known = known(samples);
    boolean everywhere = known == samples.size();
    int rows = everywhere && !channel.isHeld() ? rowsHeld(samples) : 1;
    boolean slips = channel.isPedal() || channel == Channel.GEAR;
    if (known < 2 || everywhere && rows == 1 && !slips) {
      return null;
    }
    double[] v = samples.copy();
    boolean[] fresh = new boolean[v.length];
    for (int i = 0; i < v.length; i++) {
      fresh[i] = !Double.isNaN(v[i]);
    }
    double own = everywhere ? interval : ownInterval(fresh);
    if (channel.isHeld()) {
      return held(channel, v, fresh, own);
    }
    if (channel.isPedal() && own < SLIP_S) {
      withoutSlips(v, fresh);
    }
    if (rows > 1) {
      onlyChanges(v, fresh, rows);
      own = rows * interval;
    }
    if (!everywhere || rows > 1) {
      tell(channel, own);
      between(v, fresh, own);
    }
    return v;
  }

  private static int known(Samples samples) {
    int known = 0;
    for (int i = 0; i < samples.size(); i++) {
      known += Double.isNaN(samples.at(i)) ? 0 : 1;
    }
    return known;
  }

  private void tell(Channel channel, double own) {
    if (own > 1.5 * interval) {
      slower.add(String.format(Locale.ROOT, "%s %.0f", channel.word(), 1 / own));
    }
  }

  /** Median time between two of a channel's own samples, of its first ones. */
  private double ownInterval(boolean[] fresh) {
    double[] steps = new double[STEPS];
    int count = 0;
    int last = -1;
    for (int i = 0; i < fresh.length && count < STEPS; i++) {
      if (fresh[i]) {
        if (last >= 0) {
          steps[count++] = recording.timeAt(i) - recording.timeAt(last);
        }
        last = i;
      }
    }
    return Median.of(Arrays.copyOf(steps, count));
  }

  private double[] held(Channel channel, double[] v, boolean[] fresh, double own) {
    tell(channel, own);
    int last = -1;
    for (int i = 0; i < v.length; i++) {
      boolean none = channel == Channel.GEAR && v[i] == 0;
      if (fresh[i] && !none) {
        last = i;
      } else if (last >= 0 && reaches(last, i, Math.max(own, SHORTEST_GEAR_S))) {
        v[i] = v[last];
      }
    }
    return v;
  }

  private boolean reaches(int a, int b, double own) {
    return recording.timeAt(b) - recording.timeAt(a) <= Math.max(LEAST_GAP_S, GAP_SAMPLES * own);
  }

  /** A sample of a pedal that no foot can have made: off both its neighbours and back at once. */
  private void withoutSlips(double[] v, boolean[] fresh) {
    int before = -1;
    for (int i = 0; i < v.length; i++) {
      if (!fresh[i]) {
        continue;
      }
      int behind = i + 1;
      while (behind < v.length && !fresh[behind]) {
        behind++;
      }
      if (before >= 0 && behind < v.length && reaches(before, behind, SLIP_S)) {
        double low = Math.min(v[before], v[behind]) - SLIP_PCT;
        double high = Math.max(v[before], v[behind]) + SLIP_PCT;
        boolean alike = high - low < 3 * SLIP_PCT;
        if (alike && (v[i] < low || v[i] > high)) {
          v[i] = (v[before] + v[behind]) / 2;
          slips++;
        }
      }
      before = i;
    }
  }

  /** Rows for which each sample is written again, 1 where every row is a sample of its own. */
  private static int rowsHeld(Samples v) {
    int[] counts = new int[MOST_ROWS_HELD + 1];
    int changes = 0;
    int last = 0;
    for (int i = 1; i < v.size(); i++) {
      if (v.at(i) != v.at(i - 1)) {
        if (i - last <= MOST_ROWS_HELD) {
          counts[i - last]++;
          changes++;
        }
        last = i;
      }
    }
    if (changes < LEAST_CHANGES || isSwitch(v)) {
      return 1;
    }
    int rows = 1;
    for (int k = 2; k <= MOST_ROWS_HELD; k++) {
      rows = counts[k] > counts[rows] ? k : rows;
    }
    double onGrid = 0;
    for (int k = rows; k <= MOST_ROWS_HELD; k += rows) {
      // A rate that does not divide the rows' comes a row sooner or later.
      onGrid +=
          counts[k] + (rows > 2 ? counts[k - 1] + counts[Math.min(k + 1, MOST_ROWS_HELD)] : 0);
    }
    return rows > 1 && onGrid > ON_GRID * changes ? rows : 1;
  }

  /** Of a channel that only goes on and off no rate can be told. */
  private static boolean isSwitch(Samples v) {
    double[] seen = new double[LEAST_VALUES];
    int count = 0;
    for (int i = 0; i < v.size() && count < LEAST_VALUES; i++) {
      double value = v.at(i);
      boolean known = i > 0 && value == v.at(i - 1);
      for (int k = 0; k < count && !known; k++) {
        known = seen[k] == value;
      }
      if (!known) {
        seen[count++] = value;
      }
    }
    return count < LEAST_VALUES;
  }

  /** Of samples that are written again and again those count that are new. */
  private static void onlyChanges(double[] v, boolean[] fresh, int rows) {
    int since = 0;
    for (int i = 1; i < v.length; i++) {
      boolean change = v[i] != v[i - 1];
      if (change) {
        // What stood until here was measured a sample before, too.
        int measured = Math.max(since, i - rows);
        fresh[measured] = true;
        since = i;
      }
      fresh[i] = change || i == v.length - 1;
    }
  }

  private void between(double[] v, boolean[] fresh, double own) {
    int last = -1;
    for (int i = 0; i < v.length; i++) {
      if (!fresh[i]) {
        continue;
      }
      boolean constant = last >= 0 && v[last] == v[i];
      if (last >= 0 && (constant && !Double.isNaN(v[last + 1]) || reaches(last, i, own))) {
        double span = recording.timeAt(i) - recording.timeAt(last);
        for (int k = last + 1; k < i; k++) {
          double share = (recording.timeAt(k) - recording.timeAt(last)) / span;
          v[k] = v[last] + share * (v[i] - v[last]);
        }
      }
      last = i;
    }
  }
}
