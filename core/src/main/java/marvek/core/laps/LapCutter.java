package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;

/** Cuts a recording at the start/finish line, with times between samples. */
public final class LapCutter {
  /** A first or last sample so near to the line has crossed it, in times of a sample's way. */
  private static final double NEARLY = 1.6;

  private static final double STANDING_MPS = 3;

  /** Off the road: so far beyond its edge, for so long. */
  private static final double OFF_M = 2;

  private static final double OFF_S = 1.0;

  private final Recording recording;
  private final Stations stations;
  private final Road road;

  private LapCutter(Recording recording, Stations stations, Road road) {
    this.recording = recording;
    this.stations = stations;
    this.road = road;
  }

  /** The laps of a recording in the order they were driven. */
  public static List<RecordedLap> cut(Recording recording, Stations stations, Road road) {
    return new LapCutter(recording, stations, road).cut();
  }

  /** A crossing of the line: the first sample behind it, when, and the station there. */
  private record Crossing(int sample, double atS, double lineM) {}

  private List<RecordedLap> cut() {
    List<Crossing> crossings = crossings();
    List<RecordedLap> laps = new ArrayList<>();
    int last = recording.size();
    double lastS = recording.timeAt(last - 1);
    if (crossings.isEmpty()) {
      laps.add(
          new RecordedLap(
              1, RecordedLap.Kind.OUT, 0, last, recording.timeAt(0), lastS, firstLine()));
      return laps;
    }
    Crossing first = crossings.get(0);
    if (first.sample() > 0) {
      laps.add(
          new RecordedLap(
              1,
              RecordedLap.Kind.OUT,
              0,
              first.sample(),
              recording.timeAt(0),
              first.atS(),
              first.lineM() - road.lengthM()));
    }
    for (int c = 0; c + 1 < crossings.size(); c++) {
      Crossing a = crossings.get(c);
      Crossing b = crossings.get(c + 1);
      RecordedLap.Kind kind =
          disturbed(a.sample(), b.sample()) ? RecordedLap.Kind.OFF : RecordedLap.Kind.FLYING;
      laps.add(
          new RecordedLap(
              laps.size() + 1, kind, a.sample(), b.sample(), a.atS(), b.atS(), a.lineM()));
    }
    Crossing end = crossings.get(crossings.size() - 1);
    if (end.sample() < last) {
      laps.add(
          new RecordedLap(
              laps.size() + 1,
              RecordedLap.Kind.IN,
              end.sample(),
              last,
              end.atS(),
              lastS,
              end.lineM()));
    }
    return laps;
  }

  private double firstLine() {
    double first = firstKnown();
    return Math.floor(first / road.lengthM()) * road.lengthM();
  }

  private double firstKnown() {
    for (int i = 0; i < stations.size(); i++) {
      if (!Double.isNaN(stations.stationAt(i))) {
        return stations.stationAt(i);
      }
    }
    return 0;
  }

  private List<Crossing> crossings() {
    List<Crossing> crossings = new ArrayList<>();
    double lap = road.lengthM();
    double farthest = Double.NaN;
    int before = -1;
    for (int i = 0; i < stations.size(); i++) {
      double s = stations.stationAt(i);
      if (Double.isNaN(s)) {
        continue;
      }
      if (before < 0) {
        begin(crossings, i, s);
      } else if (s > farthest) {
        double line = Math.floor(s / lap) * lap;
        if (line > farthest) {
          double share = (line - farthest) / (s - farthest);
          double t0 = recording.timeAt(before);
          crossings.add(new Crossing(i, t0 + share * (recording.timeAt(i) - t0), line));
        }
      }
      if (before < 0 || s > farthest) {
        farthest = s;
        before = i;
      }
    }
    end(crossings, before, farthest);
    return crossings;
  }

  /** A recording that begins on the line has crossed it a moment before its first sample. */
  private void begin(List<Crossing> crossings, int i, double s) {
    double line = Math.floor(s / road.lengthM()) * road.lengthM();
    double speed = recording.at(Channel.SPEED, i);
    if (i + 1 < recording.size() && speed > STANDING_MPS) {
      double way = speed * (recording.timeAt(i + 1) - recording.timeAt(i));
      if (s - line <= NEARLY * way) {
        crossings.add(new Crossing(i, recording.timeAt(i) - (s - line) / speed, line));
      }
    }
  }

  private void end(List<Crossing> crossings, int i, double s) {
    if (i < 1) {
      return;
    }
    double line = (Math.floor(s / road.lengthM()) + 1) * road.lengthM();
    double speed = recording.at(Channel.SPEED, i);
    double way = speed * (recording.timeAt(i) - recording.timeAt(i - 1));
    if (speed > STANDING_MPS && line - s <= NEARLY * way) {
      crossings.add(new Crossing(recording.size(), recording.timeAt(i) + (line - s) / speed, line));
    }
  }

  private boolean disturbed(int from, int to) {
    double off = 0;
    for (int i = from + 1; i < to; i++) {
      double dt = recording.timeAt(i) - recording.timeAt(i - 1);
      if (recording.at(Channel.SPEED, i) < STANDING_MPS) {
        return true;
      }
      off = isOff(i) ? off + dt : 0;
      if (off > OFF_S) {
        return true;
      }
    }
    return false;
  }

  private boolean isOff(int i) {
    double offset = stations.offsetAt(i);
    if (Double.isNaN(offset)) {
      return false;
    }
    int at = road.indexOf(road.wrapStation(stations.stationAt(i)));
    return offset > road.widthLeftAt(at) + OFF_M || -offset > road.widthRightAt(at) + OFF_M;
  }
}
