package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;

/**
 * Cuts a recording at the start/finish line, with times between samples; a run along an open road
 * from its begin, or from when the car moves away there, to its end.
 */
public final class LapCutter {
  /** A first or last sample so near to the line has crossed it, in times of a sample's way. */
  private static final double NEARLY = 1.6;

  private static final double STANDING_MPS = 3;

  /** A car that stands so near to the begin of an open road starts there, once it moves. */
  private static final double START_M = 25;

  private static final double MOVING_MPS = 0.5;

  /** Off the road: so far beyond its edge, for so long. */
  private static final double OFF_M = 2;

  private static final double OFF_S = 1.0;

  /** And beyond what positions scatter by, in times of their deviation. */
  private static final double SCATTER = 3;

  /** In a gap of more seconds, and of more samples, there can be a whole corner. */
  private static final double GAP_S = 2;

  private static final double GAP_SAMPLES = 5;

  private final Recording recording;
  private final Stations stations;
  private final Road road;
  private final double longestGapS;

  private LapCutter(Recording recording, Stations stations, Road road) {
    this.recording = recording;
    this.stations = stations;
    this.road = road;
    this.longestGapS = Math.max(GAP_S, GAP_SAMPLES * recording.intervalS());
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
      laps.add(
          new RecordedLap(
              laps.size() + 1,
              kind(a.sample(), b.sample()),
              a.sample(),
              b.sample(),
              a.atS(),
              b.atS(),
              a.lineM()));
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

  private RecordedLap.Kind kind(int from, int to) {
    if (isBroken(from, to)) {
      return RecordedLap.Kind.BROKEN;
    }
    return disturbed(from, to) ? RecordedLap.Kind.OFF : RecordedLap.Kind.FLYING;
  }

  /** Whether its time or much of its way is not known. */
  private boolean isBroken(int from, int to) {
    if (recording.isBroken(from, Math.min(to + 1, recording.size()))) {
      return true;
    }
    for (int i = Math.max(1, from); i < to; i++) {
      double gap = recording.timeAt(i) - recording.timeAt(i - 1);
      if (gap > longestGapS && recording.at(Channel.SPEED, i) > STANDING_MPS) {
        return true;
      }
    }
    return false;
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
        if (line > farthest && !begun(crossings, line)) {
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

  /** An open road is begun once: positions about its begin waver while the car waits. */
  private boolean begun(List<Crossing> crossings, double line) {
    return !road.closed() && !crossings.isEmpty() && line <= crossings.get(0).lineM();
  }

  /** A recording that begins on the line has crossed it a moment before its first sample. */
  private void begin(List<Crossing> crossings, int i, double s) {
    if (!road.closed() && Math.abs(s) < START_M && recording.at(Channel.SPEED, i) < STANDING_MPS) {
      crossings.add(fromRest(i));
      return;
    }
    double line = Math.floor(s / road.lengthM()) * road.lengthM();
    double speed = recording.at(Channel.SPEED, i);
    if (i + 1 < recording.size() && speed > STANDING_MPS) {
      double way = speed * (recording.timeAt(i + 1) - recording.timeAt(i));
      if (s - line <= NEARLY * way) {
        crossings.add(new Crossing(i, recording.timeAt(i) - (s - line) / speed, line));
      }
    }
  }

  /** The clock runs from when the car moves away for good. */
  private Crossing fromRest(int from) {
    int stood = from;
    for (int k = from; k < recording.size() && !(stations.stationAt(k) > START_M); k++) {
      stood = recording.at(Channel.SPEED, k) < MOVING_MPS ? k : stood;
    }
    return new Crossing(Math.min(stood + 1, recording.size() - 1), recording.timeAt(stood), 0);
  }

  private void end(List<Crossing> crossings, int i, double s) {
    if (i < 1) {
      return;
    }
    double line = (Math.floor(s / road.lengthM()) + 1) * road.lengthM();
    double speed = recording.at(Channel.SPEED, i);
    double way = speed * (recording.timeAt(i) - recording.timeAt(i - 1));
    if (speed > STANDING_MPS && line - s <= NEARLY * way) {
      // Behind the end of an open road the recording goes on without a place.
      int behind = road.closed() ? recording.size() : i + 1;
      crossings.add(new Crossing(behind, recording.timeAt(i) + (line - s) / speed, line));
    }
  }

  private boolean disturbed(int from, int to) {
    double off = 0;
    int begin = from;
    while (!road.closed() && begin < to && recording.at(Channel.SPEED, begin) < STANDING_MPS) {
      begin++;
    }
    for (int i = begin + 1; i < to; i++) {
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
    double beyond = OFF_M + SCATTER * stations.offsetErrorM();
    return offset > road.widthLeftAt(at) + beyond || -offset > road.widthRightAt(at) + beyond;
  }
}
