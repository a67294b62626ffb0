package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/**
 * Takes out of a recording what no car can have done, and says so: channels that come more slowly
 * than the rows, spikes of speed and acceleration, positions that stand still or jump, pedals that
 * do not come to their ends. Gaps and jumps of the clock are named. Nothing is put right silently.
 */
public final class Cleaning {
  /** A speed changes no faster than this, brakes and walls included [m/s²]. */
  private static final double FASTEST_CHANGE = 60;

  /** A spike is no longer than this. */
  private static final double SPIKE_S = 0.12;

  /** No vehicle brakes or is driven so hard. */
  private static final double LARGEST_G = 8;

  private static final double MOST_SLIPS = 0.01;

  /** A gap is longer than so many samples, and than {@link #GAP_S}. */
  private static final double GAP_SAMPLES = 5;

  /** Within a third of a second a car covers no event. */
  private static final double GAP_S = 0.3;

  /** Slower than this nobody knows whether a clock or a car stood still. */
  private static final double MOVING_MPS = 5;

  /** A clock that says so many metres more than were covered has jumped. */
  private static final double JUMP_M = 15;

  private Recording before;
  private final Corrections corrections = new Corrections();

  private Cleaning(Recording before) {
    this.before = before;
  }

  /**
   * A recording with what was put right in words.
   *
   * @param corrections empty where nothing was
   */
  public record Cleaned(Recording recording, List<Sentence> corrections) {
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
    before = ChannelRates.evened(before, corrections);
    boolean speedGiven = before.has(Channel.SPEED);
    if (!speedGiven) {
      before = before.with(Channel.SPEED, chords());
    }
    gaps();
    Recording now = before.with(Channel.SPEED, speedGiven ? withoutSpikes() : chords());
    for (Channel g : List.of(Channel.LATERAL_G, Channel.LONGITUDINAL_G)) {
      if (now.has(g)) {
        now = now.with(g, within(now, g));
      }
    }
    if (now.hasPosition()) {
      now = new PositionCleaning(now, corrections).cleaned();
    }
    now = PedalEnds.calibrated(now, corrections);
    return new Cleaned(speedGiven ? now : now.without(Channel.SPEED), corrections.said());
  }

  /** Speeds of chords between positions, good enough to tell a jump from a car. */
  private double[] chords() {
    double[] v = new double[before.size()];
    int last = -1;
    for (int i = 0; i < v.length; i++) {
      if (Double.isNaN(before.at(Channel.X, i))) {
        continue;
      }
      if (last >= 0) {
        double chord =
            Math.hypot(
                before.at(Channel.X, i) - before.at(Channel.X, last),
                before.at(Channel.Y, i) - before.at(Channel.Y, last));
        Arrays.fill(v, last, i + 1, chord / (before.timeAt(i) - before.timeAt(last)));
      }
      last = i;
    }
    return v;
  }

  /** Where samples are missing, and where the clock went on while the car did not. */
  private void gaps() {
    double least = Math.max(GAP_S, GAP_SAMPLES * before.intervalS());
    List<String> missing = new ArrayList<>();
    List<String> jumps = new ArrayList<>();
    BitSet breaks = new BitSet();
    for (int i = 1; i < before.size(); i++) {
      double gap = before.timeAt(i) - before.timeAt(i - 1);
      if (gap > least) {
        String place = Corrections.stretch(before.timeAt(i - 1), before.timeAt(i));
        if (hasJumped(i, gap)) {
          breaks.set(i);
          jumps.add(place);
        } else {
          missing.add(place);
        }
      }
    }
    before = before.brokenAt(breaks);
    corrections.addPlaces("laps.samples-missing", missing);
    corrections.addPlaces("laps.clock-jumps-on", jumps);
  }

  private boolean hasJumped(int i, double gap) {
    double slower = Math.min(before.at(Channel.SPEED, i - 1), before.at(Channel.SPEED, i));
    double covered =
        before.hasPosition()
            ? Math.hypot(
                before.at(Channel.X, i) - before.at(Channel.X, i - 1),
                before.at(Channel.Y, i) - before.at(Channel.Y, i - 1))
            : before.at(Channel.DISTANCE, i) - before.at(Channel.DISTANCE, i - 1);
    return slower > MOVING_MPS && covered >= 0 && slower * gap - covered > JUMP_M;
  }

  /** A speed that leaves and comes back within a moment is laid between its neighbours. */
  private double[] withoutSpikes() {
    double[] v = filled(before.channel(Channel.SPEED));
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
        found.add(Corrections.moment(before.timeAt(i)));
        for (int k = i; k < back; k++) {
          double share =
              (before.timeAt(k) - before.timeAt(i - 1))
                  / (before.timeAt(back) - before.timeAt(i - 1));
          v[k] = v[i - 1] + share * (v[back] - v[i - 1]);
        }
      }
    }
    corrections.addPlaces("laps.speed-spikes", found);
    return v;
  }

  /** A speed that is missing for a while is laid between what stands before and behind it. */
  private double[] filled(double[] v) {
    List<String> found = new ArrayList<>();
    int last = -1;
    for (int i = 0; i < v.length; i++) {
      if (Double.isNaN(v[i])) {
        continue;
      }
      if (i - last > 1) {
        double from = last < 0 ? v[i] : v[last];
        double begun = before.timeAt(Math.max(0, last));
        double span = before.timeAt(i) - begun;
        for (int k = last + 1; k < i; k++) {
          v[k] = last < 0 ? from : from + (v[i] - from) * (before.timeAt(k) - begun) / span;
        }
        found.add(Corrections.stretch(begun, begun + span));
      }
      last = i;
    }
    if (last >= 0) {
      Arrays.fill(v, last + 1, v.length, v[last]);
    }
    corrections.addPlaces("laps.speed-missing", found);
    return v;
  }

  private double interval0(int i) {
    return before.timeAt(i) - before.timeAt(i - 1);
  }

  private boolean jumps(double[] v, int a, int b) {
    return Math.abs(v[b] - v[a]) > FASTEST_CHANGE * (before.timeAt(b) - before.timeAt(a)) + 1;
  }

  /** A few samples beyond what can be are slips; many are another unit, which is told later. */
  private double[] within(Recording now, Channel g) {
    double[] values = now.channel(g);
    int out = 0;
    for (double value : values) {
      out += Math.abs(value) > LARGEST_G ? 1 : 0;
    }
    if (out == 0 || out > MOST_SLIPS * values.length) {
      return values;
    }
    corrections.add("laps.beyond-g", "count", out, "column", g.column(), "most", LARGEST_G);
    return Arrays.stream(values).map(v -> Math.abs(v) > LARGEST_G ? Double.NaN : v).toArray();
  }
}
