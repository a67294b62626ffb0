package marvek.core.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.numeric.Median;

/**
 * One line of several laps of the same road: at each point of one of them, the median of where all
 * of them pass across it. A lap that went wide, or a receiver that wandered once, does not move it;
 * noise falls about with the root of the number of laps.
 */
final class MedianLap {
  /** A lap that passes farther away than this is somewhere else: a pit lane, another layout. */
  private static final double FARTHEST_M = 14;

  /** The same place of another lap is looked for within this of the same share of its length. */
  private static final double REACH_M = 80;

  private final List<TrackPoint> base;
  private final List<Measured> others = new ArrayList<>();

  /** A lap with its stations, the closing piece included. */
  private record Measured(List<TrackPoint> points, double[] station) {
    static Measured of(List<TrackPoint> lap) {
      List<TrackPoint> closed = new ArrayList<>(lap);
      closed.add(lap.get(0));
      double[] station = new double[closed.size()];
      for (int i = 1; i < station.length; i++) {
        station[i] = station[i - 1] + RecordedTrack.distance(closed.get(i - 1), closed.get(i));
      }
      return new Measured(closed, station);
    }

    double lengthM() {
      return station[station.length - 1];
    }

    private int indexAt(double s) {
      int found = Arrays.binarySearch(station, s);
      return found >= 0 ? found : Math.min(-found - 1, station.length - 1);
    }
  }

  /** Where a lap passes a point: across it, to the left positive, and at which height [m]. */
  private record Passing(double acrossM, double zM) {}

  private MedianLap(List<TrackPoint> base) {
    this.base = base;
  }

  /**
   * The median of laps of one road, each from the same place on in the same direction; as many
   * points as the lap whose length is the median one, the shorter of two.
   *
   * @param laps closed, without their first point again; at least one
   */
  static List<TrackPoint> of(List<List<TrackPoint>> laps) {
    List<List<TrackPoint>> byLength = new ArrayList<>(laps);
    byLength.sort(java.util.Comparator.comparingDouble(RecordedTrack::length));
    List<TrackPoint> base = byLength.get((byLength.size() - 1) / 2);
    MedianLap worker = new MedianLap(base);
    laps.stream().filter(lap -> lap != base).map(Measured::of).forEach(worker.others::add);
    return worker.line();
  }

  private List<TrackPoint> line() {
    Measured own = Measured.of(base);
    List<TrackPoint> line = new ArrayList<>();
    for (int i = 0; i < base.size(); i++) {
      List<Passing> passings = new ArrayList<>();
      passings.add(new Passing(0, base.get(i).zM()));
      double[] heading = heading(i);
      for (Measured other : others) {
        Passing passing = passing(other, own.station[i] / own.lengthM(), base.get(i), heading);
        if (passing != null) {
          passings.add(passing);
        }
      }
      double across = Median.of(passings.stream().mapToDouble(Passing::acrossM).toArray());
      double z = Median.of(passings.stream().mapToDouble(Passing::zM).toArray());
      TrackPoint p = base.get(i);
      line.add(new TrackPoint(p.xM() - across * heading[1], p.yM() + across * heading[0], z));
    }
    return line;
  }

  /** Unit vector along the road at a point. */
  private double[] heading(int i) {
    int n = base.size();
    TrackPoint a = base.get((i + n - 1) % n);
    TrackPoint b = base.get((i + 1) % n);
    double length = Math.max(1e-9, RecordedTrack.distance(a, b));
    return new double[] {(b.xM() - a.xM()) / length, (b.yM() - a.yM()) / length};
  }

  /** The nearest crossing of the normal through a point; null where the lap does not come by. */
  private static Passing passing(Measured lap, double share, TrackPoint at, double[] heading) {
    int from = lap.indexAt(Math.max(0, share * lap.lengthM() - REACH_M));
    int to = lap.indexAt(share * lap.lengthM() + REACH_M);
    Passing best = null;
    for (int j = from; j < to; j++) {
      TrackPoint a = lap.points.get(j);
      TrackPoint b = lap.points.get(j + 1);
      double before = along(a, at, heading);
      double after = along(b, at, heading);
      if (before > 0 || after <= 0) {
        continue;
      }
      double t = -before / (after - before);
      double across = (1 - t) * across(a, at, heading) + t * across(b, at, heading);
      if (Math.abs(across) < (best == null ? FARTHEST_M : Math.abs(best.acrossM))) {
        best = new Passing(across, (1 - t) * a.zM() + t * b.zM());
      }
    }
    return best;
  }

  private static double along(TrackPoint p, TrackPoint from, double[] heading) {
    return (p.xM() - from.xM()) * heading[0] + (p.yM() - from.yM()) * heading[1];
  }

  private static double across(TrackPoint p, TrackPoint from, double[] heading) {
    return (p.yM() - from.yM()) * heading[0] - (p.xM() - from.xM()) * heading[1];
  }
}
