package marvek.formats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import marvek.core.numeric.Median;
import marvek.core.say.Sentence;

/**
 * Makes one clock of what stands in a column of times: in whatever unit, running on over midnight
 * or starting again each lap, rounded, jumping back.
 */
final class LapClock {
  /** Samples come no slower and no faster than this [s]: what lies outside is another unit. */
  private static final double SLOWEST_S = 2.1;

  private static final double FASTEST_S = 0.0009;

  private static final double DAY_S = 86400;
  private static final double MIDNIGHT_S = 1800;

  /** Rows whose time does not go on are left out, if they are few. */
  private static final double MOST_DROPPED = 0.05;

  /** A clock that begins again begins as near to its first value as this [s]. */
  private static final double BEGINS_S = 2;

  /** Nobody is round again sooner. */
  private static final double SHORTEST_LAP_S = 8;

  /** Steps are only looked at as far as they tell the unit. */
  private static final int STEPS = 20_000;

  private record Unit(String name, double seconds) {}

  /** In the order of how often loggers and tables use them. */
  private static final List<Unit> UNITS =
      List.of(
          new Unit("seconds", 1),
          new Unit("milliseconds", 1e-3),
          new Unit("microseconds", 1e-6),
          new Unit("nanoseconds", 1e-9),
          new Unit("minutes", 60),
          new Unit("days", DAY_S),
          new Unit("hours", 3600));

  private final double[] raw;
  private final boolean unitKnown;
  private final BitSet kept = new BitSet();
  private final BitSet breaks = new BitSet();
  private final List<Sentence> told = new ArrayList<>();
  private int dropped;
  private int firstDropped = -1;

  private LapClock(double[] raw, boolean unitKnown) {
    this.raw = raw;
    this.unitKnown = unitKnown;
  }

  /**
   * A clock that goes on.
   *
   * @param timeS strictly increasing, one value a row that is kept
   * @param kept rows whose time can be used
   * @param breaks rows of those kept, counted among them, before which the clock jumped
   * @param firstDropped first row that is left out, −1 without any
   * @param told what was put right
   */
  record Running(
      double[] timeS,
      BitSet kept,
      BitSet breaks,
      int dropped,
      int firstDropped,
      List<Sentence> told) {
    /** Whether so many rows are left out that the column is no clock. */
    boolean isHopeless() {
      return dropped > MOST_DROPPED * (timeS.length + dropped) || timeS.length < 2;
    }
  }

  /**
   * Makes a clock.
   *
   * @param raw as the file has them, NaN where a row has none; changed
   * @param unitKnown whether they are seconds for certain, as of times with colons
   */
  static Running of(double[] raw, boolean unitKnown) {
    return new LapClock(raw, unitKnown).running();
  }

  private Running running() {
    toSeconds();
    int n = raw.length;
    double step = medianStep();
    if (!(step > 0)) {
      return new Running(new double[0], kept, breaks, n, 0, told);
    }
    boolean rounded = equalSteps() > MOST_DROPPED * n;
    double[] time = new double[n];
    int count = 0;
    int last = -1;
    double offset = 0;
    int restarts = 0;
    int midnights = 0;
    double begun = Double.NEGATIVE_INFINITY;
    double first = firstOf();
    for (int i = 0; i < n; i++) {
      if (Double.isNaN(raw[i])) {
        drop(i);
        continue;
      }
      double now = raw[i] + offset;
      if (last >= 0 && now < time[count - 1]) {
        double back = raw[last] - raw[i];
        boolean lone = i + 1 < n && raw[i + 1] + offset > time[count - 1] && back < MIDNIGHT_S;
        if (back > DAY_S - 2 * MIDNIGHT_S && raw[i] < MIDNIGHT_S) {
          offset += DAY_S;
          midnights++;
        } else if (lone) {
          drop(i);
          continue;
        } else if (raw[i] <= first + BEGINS_S && time[count - 1] - begun > SHORTEST_LAP_S) {
          offset = time[count - 1] + step - raw[i];
          begun = time[count - 1];
          restarts++;
        } else {
          offset = time[count - 1] + step - raw[i];
          breaks.set(count);
          told.add(Sentence.of("laps.clock-jumps-back", "by_s", back, "at_s", time[count - 1]));
        }
        now = raw[i] + offset;
      } else if (last >= 0 && now == time[count - 1] && !rounded) {
        drop(i);
        continue;
      }
      time[count++] = now;
      kept.set(i);
      last = i;
    }
    time = Arrays.copyOf(time, count);
    if (restarts > 0) {
      told.add(Sentence.of("laps.time-restarts", "times", restarts, "ms", 1000 * step));
    }
    if (midnights > 0) {
      told.add(Sentence.of("laps.over-midnight"));
    }
    if (rounded) {
      spread(time, step);
    }
    return new Running(time, kept, breaks, dropped, firstDropped, told);
  }

  private void drop(int i) {
    dropped++;
    firstDropped = firstDropped < 0 ? i : firstDropped;
  }

  private double firstOf() {
    return Arrays.stream(raw).filter(t -> !Double.isNaN(t)).findFirst().orElse(0);
  }

  private void toSeconds() {
    double step = medianStep();
    if (unitKnown || !(step > 0) || step >= FASTEST_S && step <= SLOWEST_S) {
      return;
    }
    for (Unit unit : UNITS) {
      double seconds = step * unit.seconds();
      if (seconds >= FASTEST_S && seconds <= SLOWEST_S) {
        for (int i = 0; i < raw.length; i++) {
          raw[i] *= unit.seconds();
        }
        told.add(Sentence.of("laps.time-unit", "unit", unit.name()));
        return;
      }
    }
  }

  private double medianStep() {
    double[] steps = new double[Math.min(STEPS, raw.length)];
    int count = 0;
    for (int i = 1; i < raw.length && count < steps.length; i++) {
      double step = raw[i] - raw[i - 1];
      if (step > 0) {
        steps[count++] = step;
      }
    }
    return count == 0 ? Double.NaN : Median.of(Arrays.copyOf(steps, count));
  }

  private int equalSteps() {
    int equal = 0;
    for (int i = 1; i < raw.length; i++) {
      equal += raw[i] == raw[i - 1] ? 1 : 0;
    }
    return equal;
  }

  /** Rows with the same rounded time lie evenly between it and the next. */
  private void spread(double[] time, double step) {
    int begun = 0;
    for (int i = 1; i <= time.length; i++) {
      if (i < time.length && time[i] == time[begun]) {
        continue;
      }
      double next = i < time.length ? time[i] : time[begun] + step;
      double whole = Math.min(next - time[begun], step);
      double from = time[begun];
      for (int k = begun; k < i; k++) {
        time[k] = from + whole * (k - begun) / (i - begun);
      }
      begun = i;
    }
    told.add(Sentence.of("laps.time-rounded", "step", step));
  }

  private static String text(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
