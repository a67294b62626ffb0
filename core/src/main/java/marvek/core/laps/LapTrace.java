package marvek.core.laps;

import marvek.core.circuit.Road;

/**
 * One lap with its channels over stations from its own line: 0 at the line, growing. A few samples
 * before and after it belong to it, so that what lies near the line can be read.
 */
final class LapTrace {
  /** Share of the lap before and behind it that belongs to it too. */
  private static final double REACH = 0.6;

  /** So far behind the last place on an open road its end was reached as well. */
  private static final double NEAR_END_M = 30;

  private final Recording recording;
  private final Stations stations;
  private final double lineM;
  final int from;
  final int to;
  private final BrakeZero brakeZero;

  LapTrace(
      Recording recording, Stations stations, RecordedLap lap, Road road, BrakeZero brakeZero) {
    this.recording = recording;
    this.stations = stations;
    this.lineM = lap.lineM();
    this.brakeZero = brakeZero;
    this.from = back(lap.from(), REACH * road.lengthM());
    this.to = ahead(lap.to(), REACH * road.lengthM());
  }

  private int back(int sample, double metres) {
    int i = sample;
    while (i > 0 && !(stations.stationAt(i - 1) < lineM - metres)) {
      i--;
    }
    return i;
  }

  private int ahead(int sample, double metres) {
    double begin = sample < stations.size() ? stations.stationAt(sample) : Double.NaN;
    int i = sample;
    while (i < stations.size() && !(stations.stationAt(i) > begin + metres)) {
      i++;
    }
    return i;
  }

  double stationAt(int i) {
    return stations.stationAt(i) - lineM;
  }

  boolean tellsLine() {
    return stations.tellLine();
  }

  double offsetAt(int i) {
    return stations.offsetAt(i);
  }

  double timeAt(int i) {
    return recording.timeAt(i);
  }

  boolean has(Channel channel) {
    return recording.has(channel);
  }

  double at(Channel channel, int i) {
    double value = recording.at(channel, i);
    return channel == Channel.BRAKE
        ? Math.max(0, value - brakeZero.at(recording.at(Channel.SPEED, i)))
        : value;
  }

  /** First sample at or behind a station; {@link #to} where the recording ends before it. */
  int indexAt(double stationM) {
    int low = from;
    int high = to;
    while (low < high) {
      int middle = (low + high) >>> 1;
      // A sample without a place is put with those before it.
      if (!(stationAt(middle) >= stationM)) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** Time at a station, between samples; NaN beyond the recording. */
  double timeAtStation(double stationM) {
    return between(stationM, recording::timeAt);
  }

  /** The same a few metres behind the last place that is known, at the speed there; else NaN. */
  double timeAtOrBehind(double stationM) {
    double time = timeAtStation(stationM);
    int last = to - 1;
    while (last > from && Double.isNaN(stationAt(last))) {
      last--;
    }
    double rest = stationM - stationAt(last);
    double speed = at(Channel.SPEED, last);
    boolean behind = Double.isNaN(time) && rest >= 0 && rest < NEAR_END_M && speed > 0;
    return behind ? timeAt(last) + rest / speed : time;
  }

  double valueAtStation(Channel channel, double stationM) {
    return between(stationM, i -> at(channel, i));
  }

  double offsetAtStation(double stationM) {
    return between(stationM, this::offsetAt);
  }

  /** A value that has no between, as a gear. */
  double nearestAtStation(Channel channel, double stationM) {
    int i = indexAt(stationM);
    return i < to ? at(channel, i) : Double.NaN;
  }

  private double between(double stationM, java.util.function.IntToDoubleFunction value) {
    int i = indexAt(stationM);
    if (i >= to) {
      return Double.NaN;
    }
    if (i == from) {
      return stationAt(i) - stationM < 1 ? value.applyAsDouble(i) : Double.NaN;
    }
    double s0 = stationAt(i - 1);
    double share = stationAt(i) > s0 ? (stationM - s0) / (stationAt(i) - s0) : 0;
    double v0 = value.applyAsDouble(i - 1);
    return v0 + share * (value.applyAsDouble(i) - v0);
  }

  /** Station at which a channel goes through a value between two neighbouring samples. */
  double crossing(Channel channel, int i, double value) {
    return crossing(at(channel, i - 1), at(channel, i), value, i);
  }

  double crossing(double before, double after, double value, int i) {
    double share = after == before ? 1 : (value - before) / (after - before);
    double s0 = stationAt(i - 1);
    return s0 + Math.max(0, Math.min(1, share)) * (stationAt(i) - s0);
  }
}
