package marvek.core.laps;

import java.util.List;
import marvek.core.laps.CornerReading.Feet;

/**
 * What both feet did at once in a corner: brake and throttle together for longer than a blip, and
 * whether the engine turned as fast as the lower gear asks for when the clutch came in. Amounts are
 * own assumptions.
 */
final class FeetReader {
  /** A throttle that is open on the brake for less is a blip for a gear. */
  private static final double BLIP_S = 0.45;

  /** The clutch comes in within so long of the gear. */
  private static final double CLUTCH_S = 0.6;

  private static final double HALF_PCT = 50;

  /** An engine that turns so nearly as fast as asked for is matched. */
  private static final double MATCHED = 0.08;

  private final LapTrace trace;
  private final Thresholds thresholds;
  private final List<GearRatios.Ratio> ratios;

  FeetReader(LapTrace trace, Thresholds thresholds, List<GearRatios.Ratio> ratios) {
    this.trace = trace;
    this.thresholds = thresholds;
    this.ratios = ratios;
  }

  /**
   * Reads a corner.
   *
   * @param since first sample behind the corner before
   * @param end sample at the end of its track-out
   */
  Feet read(int since, int end) {
    Double overlap =
        trace.has(Channel.BRAKE) && trace.has(Channel.THROTTLE) ? overlapS(since, end) : null;
    boolean tells = trace.has(Channel.RPM) && trace.has(Channel.GEAR) && trace.has(Channel.CLUTCH);
    return tells ? changesDown(overlap, since, end) : new Feet(overlap, null, null, null);
  }

  private double overlapS(int since, int end) {
    double seconds = 0;
    int begun = -1;
    for (int i = since; i <= end && i < trace.to; i++) {
      boolean both =
          i < end
              && trace.at(Channel.BRAKE, i) >= thresholds.brakeOnPct()
              && trace.at(Channel.THROTTLE, i) >= thresholds.throttleOnPct();
      if (both) {
        begun = begun < 0 ? i : begun;
      } else if (begun >= 0) {
        double held = trace.timeAt(i) - trace.timeAt(begun);
        seconds += held >= BLIP_S ? held : 0;
        begun = -1;
      }
    }
    return seconds;
  }

  private Feet changesDown(Double overlap, int since, int end) {
    int changes = 0;
    int matched = 0;
    double shortest = 0;
    for (int i = Math.max(since, trace.from) + 1; i < end; i++) {
      double gear = trace.at(Channel.GEAR, i);
      boolean down = gear >= 1 && gear < trace.at(Channel.GEAR, i - 1);
      int in = down ? clutchIn(i) : -1;
      double wanted = in < 0 ? Double.NaN : wantedRpm(gear, in);
      if (!Double.isNaN(wanted)) {
        double beside = trace.at(Channel.RPM, in) / wanted - 1;
        changes++;
        matched += Math.abs(beside) <= MATCHED ? 1 : 0;
        shortest = Math.min(shortest, beside);
      }
    }
    return new Feet(overlap, changes, matched, 100 * -shortest);
  }

  /** Where the clutch comes in about a change; −1 where it was not used. */
  private int clutchIn(int change) {
    boolean out = false;
    int begin = change;
    while (begin > trace.from && trace.timeAt(change) - trace.timeAt(begin) < CLUTCH_S / 2) {
      begin--;
    }
    for (int k = begin; k < trace.to; k++) {
      if (trace.timeAt(k) - trace.timeAt(change) > CLUTCH_S) {
        return -1;
      }
      double clutch = trace.at(Channel.CLUTCH, k);
      if (out && clutch < HALF_PCT && k >= change) {
        return k;
      }
      out = out || clutch >= HALF_PCT;
    }
    return -1;
  }

  private double wantedRpm(double gear, int i) {
    return ratios.stream()
        .filter(r -> r.gear() == Math.round(gear))
        .findFirst()
        .map(r -> r.rpmPerMps() * trace.at(Channel.SPEED, i))
        .orElse(Double.NaN);
  }
}
