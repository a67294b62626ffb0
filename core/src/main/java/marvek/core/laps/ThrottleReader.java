package marvek.core.laps;

/** How the throttle was opened after a corner's braking. */
final class ThrottleReader {
  private final LapTrace trace;
  private final Thresholds thresholds;

  ThrottleReader(LapTrace trace, Thresholds thresholds) {
    this.trace = trace;
    this.thresholds = thresholds;
  }

  /**
   * Reads a corner.
   *
   * @param afterBraking first sample behind the braking
   * @param lowest sample of the slowest place
   * @param end first sample of the next corner
   */
  CornerReading.Throttle read(int afterBraking, int lowest, int end) {
    Integer upshifts = upshifts(lowest, end);
    if (!trace.has(Channel.THROTTLE)) {
      return new CornerReading.Throttle(null, null, null, null, null, upshifts);
    }
    int begin = first(lowest, end);
    if (begin < 0) {
      return new CornerReading.Throttle(null, null, null, null, null, upshifts);
    }
    double firstM = trace.crossing(Channel.THROTTLE, begin, thresholds.throttleOnPct());
    Double fullM = full(begin, end);
    int until = fullM == null ? end : trace.indexAt(fullM);
    Presses presses = presses(begin, until);
    return new CornerReading.Throttle(
        firstM,
        fullM,
        presses.count(),
        presses.largestLiftPct(),
        coasting(afterBraking, begin),
        upshifts);
  }

  /**
   * The pick-up at or after the slowest place: a little throttle on the way to it holds the car
   * against its engine's braking and drives nothing yet; −1 without one.
   */
  private int first(int lowest, int end) {
    double limit = thresholds.throttleOnPct();
    for (int i = Math.max(trace.from + 1, lowest); i < end; i++) {
      if (trace.at(Channel.THROTTLE, i) >= limit && isHeld(i, end)) {
        return i;
      }
    }
    return -1;
  }

  /** Whether the throttle stays open for as long as any pedal has to be used to count. */
  private boolean isHeld(int from, int end) {
    for (int i = from; i < end; i++) {
      if (trace.timeAt(i) - trace.timeAt(from) >= thresholds.brakeHeldS()) {
        return true;
      }
      if (trace.at(Channel.THROTTLE, i) < thresholds.throttleOnPct()) {
        return false;
      }
    }
    return true;
  }

  private Double full(int begin, int end) {
    double limit = thresholds.fullThrottlePct();
    double since = Double.NaN;
    for (int i = begin; i < end; i++) {
      boolean flat = trace.at(Channel.THROTTLE, i) > limit;
      if (!flat) {
        since = Double.NaN;
      } else if (Double.isNaN(since)) {
        since = i > trace.from ? trace.crossing(Channel.THROTTLE, i, limit) : trace.stationAt(i);
      }
      if (flat && trace.stationAt(i) - since >= thresholds.fullThrottleM()) {
        return since;
      }
    }
    return null;
  }

  private record Presses(int count, double largestLiftPct) {}

  /** Presses until flat: a fall by the lift's threshold and a rise by as much begin another one. */
  private Presses presses(int begin, int until) {
    int count = 1;
    double largest = 0;
    double high = 0;
    double low = Double.POSITIVE_INFINITY;
    boolean lifted = false;
    for (int i = begin; i < until; i++) {
      double now = trace.at(Channel.THROTTLE, i);
      if (Double.isNaN(now)) {
        continue;
      }
      if (!lifted) {
        high = Math.max(high, now);
        if (high - now >= thresholds.liftPct()) {
          lifted = true;
          low = now;
        }
      } else {
        low = Math.min(low, now);
        largest = Math.max(largest, high - low);
        if (now - low >= thresholds.liftPct()) {
          lifted = false;
          count++;
          high = now;
        }
      }
    }
    return new Presses(count, largest);
  }

  private Double coasting(int afterBraking, int first) {
    if (!trace.has(Channel.BRAKE)) {
      return null;
    }
    double seconds = 0;
    for (int i = Math.max(trace.from + 1, afterBraking); i < first; i++) {
      boolean neither =
          trace.at(Channel.BRAKE, i) < thresholds.brakeOnPct()
              && trace.at(Channel.THROTTLE, i) < thresholds.throttleOnPct();
      if (neither) {
        seconds += trace.timeAt(i) - trace.timeAt(i - 1);
      }
    }
    return seconds;
  }

  private Integer upshifts(int lowest, int end) {
    if (!trace.has(Channel.GEAR)) {
      return null;
    }
    int changes = 0;
    int held = 0;
    for (int i = lowest; i < end; i++) {
      int gear = (int) Math.round(trace.at(Channel.GEAR, i));
      if (gear > 0) {
        changes += held > 0 && gear > held ? 1 : 0;
        held = gear;
      }
    }
    return changes;
  }
}
