package marvek.core.laps;

import static marvek.core.profile.Constants.G0;

import java.util.ArrayList;
import java.util.List;

/** Finds where a lap was braked, by its pressure or else by its deceleration. */
final class BrakingReader {
  /** Deceleration is taken over so long, or the noise of a speed would brake. */
  private static final double SLOPE_S = 0.25;

  /** A wheel that spins up by so much under pressure had stood or nearly so. */
  private static final double SPUN_UP_MPS = 1.5;

  /** Below so much pressure no wheel stands still (own assumption). */
  private static final double PRESSED_PCT = 15;

  private final LapTrace trace;
  private final Thresholds thresholds;
  private final LapReader.DragG drag;
  private final boolean sensor;
  private final double limit;

  BrakingReader(LapTrace trace, Thresholds thresholds, LapReader.DragG drag) {
    this.trace = trace;
    this.thresholds = thresholds;
    this.drag = drag;
    this.sensor = trace.has(Channel.BRAKE);
    this.limit = sensor ? thresholds.brakeOnPct() : thresholds.brakingG();
  }

  /** A stretch on the brakes; {@code work} tells which of several is the corner's. */
  record Phase(int from, int to, double onM, double offM, Double peakPct, double work) {}

  /**
   * The phase between two samples that did most.
   *
   * @param begunBy phases that begin after it are not meant
   * @return null without any
   */
  Phase strongest(int since, int until, int begunBy) {
    Phase best = null;
    for (Phase phase : phases(since, until)) {
      if (phase.from() <= begunBy && (best == null || phase.work() > best.work())) {
        best = phase;
      }
    }
    return best;
  }

  /** A let-go that is shorter than a touch has to be ends no phase. */
  private List<Phase> phases(int since, int until) {
    List<Phase> phases = new ArrayList<>();
    int begun = -1;
    int lastOn = -1;
    for (int i = Math.max(since, trace.from + 1); i < until; i++) {
      if (value(i) > limit) {
        begun = begun < 0 ? i : begun;
        lastOn = i;
      }
      boolean over =
          begun >= 0 && trace.timeAt(i) - trace.timeAt(lastOn) >= thresholds.brakeHeldS();
      if (over || begun >= 0 && i == until - 1) {
        Phase phase = phase(begun, lastOn + 1);
        if (trace.timeAt(phase.to() - 1) - trace.timeAt(begun) >= thresholds.brakeHeldS()) {
          phases.add(phase);
        }
        begun = -1;
      }
    }
    return phases;
  }

  private Phase phase(int from, int to) {
    double peak = 0;
    double work = 0;
    for (int i = from; i < to; i++) {
      peak = Math.max(peak, value(i));
      work += value(i) * (trace.timeAt(i) - trace.timeAt(i - 1));
    }
    double on = trace.crossing(value(from - 1), value(from), limit, from);
    int last = Math.min(to, trace.to - 1);
    double off = trace.crossing(value(last - 1), value(last), limit, last);
    if (!sensor) {
      on += smearedM(from, peak);
      off -= smearedM(last, peak);
    }
    return new Phase(from, to, on, off, sensor ? peak : null, work);
  }

  /** Brake pressure [%], or deceleration beyond drag [g] where no sensor told it. */
  private double value(int i) {
    if (sensor) {
      return trace.at(Channel.BRAKE, i);
    }
    int a = before(i);
    int b = behind(i);
    double slope =
        (trace.at(Channel.SPEED, b) - trace.at(Channel.SPEED, a))
            / (trace.timeAt(b) - trace.timeAt(a));
    return -slope / G0 - drag.at(trace.at(Channel.SPEED, i));
  }

  /**
   * First sample of the time over which the slope at a sample is taken: at least the one before.
   */
  private int before(int i) {
    int a = Math.max(trace.from, i - 1);
    while (a > trace.from && trace.timeAt(i) - trace.timeAt(a - 1) <= SLOPE_S / 2) {
      a--;
    }
    return a;
  }

  private int behind(int i) {
    int b = Math.min(trace.to - 1, i + 1);
    while (b < trace.to - 1 && trace.timeAt(b + 1) - trace.timeAt(i) <= SLOPE_S / 2) {
      b++;
    }
    return b;
  }

  /**
   * How far a slope over some time sees a sudden deceleration too soon. Over a time S it grows from
   * nothing to D while the window slides over the begin, and is at the limit S/2 − S·limit/D
   * before.
   */
  private double smearedM(int i, double peakG) {
    double span = trace.timeAt(behind(i)) - trace.timeAt(before(i));
    double seconds = Math.max(0, span / 2 - span * limit / Math.max(peakG, 2 * limit));
    return seconds * trace.at(Channel.SPEED, i);
  }

  /** Whether the speed rose under pressure: that of a wheel that stood; null without a sensor. */
  Boolean locked(Phase phase) {
    if (!sensor) {
      return null;
    }
    double least = Double.POSITIVE_INFINITY;
    for (int i = phase.from(); i < phase.to(); i++) {
      if (trace.at(Channel.BRAKE, i) < PRESSED_PCT) {
        least = Double.POSITIVE_INFINITY;
      } else {
        least = Math.min(least, trace.at(Channel.SPEED, i));
        if (trace.at(Channel.SPEED, i) - least > SPUN_UP_MPS) {
          return true;
        }
      }
    }
    return false;
  }
}
