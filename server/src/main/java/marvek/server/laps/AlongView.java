package marvek.server.laps;

import java.util.function.IntToDoubleFunction;
import marvek.core.laps.AlongLap;

/**
 * A lap at even stations of a stretch; null where a channel is missing.
 *
 * @param from_m station of the first value
 */
record AlongView(
    double from_m,
    double step_m,
    Double[] time_s,
    Double[] speed_mps,
    Double[] brake_pct,
    Double[] throttle_pct,
    Double[] gear,
    Double[] offset_m,
    Double[] steer_deg,
    Double[] rpm) {
  static AlongView of(AlongLap lap, double fromM, double toM) {
    int from = lap.indexOf(fromM);
    int to = lap.indexOf(toM);
    return new AlongView(
        lap.stationAt(from),
        lap.stepM(),
        part(lap::timeAt, from, to, 3),
        part(lap::speedAt, from, to, 2),
        part(lap::brakeAt, from, to, 0),
        part(lap::throttleAt, from, to, 0),
        part(lap::gearAt, from, to, 0),
        part(lap::offsetAt, from, to, 2),
        part(lap::steerAt, from, to, 1),
        part(lap::rpmAt, from, to, 0));
  }

  static Double[] part(IntToDoubleFunction at, int from, int to, int decimals) {
    Double[] values = new Double[Math.max(0, to - from + 1)];
    for (int k = 0; k < values.length; k++) {
      values[k] = LapViews.rounded(at.applyAsDouble(from + k), decimals);
    }
    return values;
  }
}
