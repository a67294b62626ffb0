package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;

/**
 * Where on the road each sample was: stations that go on from lap to lap, and offsets from the
 * centreline where there is a position.
 */
public final class Stations {
  /** Farther from the road than this a sample belongs to no place on it. */
  private static final double LOST_M = 60;

  /** As far back as positions may jump by their noise. */
  private static final double BACK_M = 25;

  /** Beside what the speed allows, so far ahead a sample is looked for. */
  private static final double AHEAD_M = 40;

  /** A sample that lies so near to the road, next to the one before, is looked for no farther. */
  private static final double CLOSE_M = 5;

  /** Wider than a road with its run-off: farther off the whole stretch ahead is searched. */
  private static final double CLOSE_BY_M = 15;

  /** No car is faster; positions may not run ahead of it. */
  private static final double STILL_MPS = 90;

  /** Half of the time over which positions are taken together. */
  private static final double AROUND_S = 0.5;

  /** Half of the time over which offsets are taken together: a car's way across is slow. */
  private static final double OFFSET_S = 0.2;

  /** Distances that miss the road's length by more are of another circuit. */
  private static final double LARGEST_STRETCH = 0.08;

  private final double[] stationM;
  private final double[] offsetM;

  private Stations(double[] stationM, double[] offsetM) {
    this.stationM = stationM;
    this.offsetM = offsetM;
  }

  /**
   * Stations by position, or else by the distance since the start of the lap.
   *
   * @throws InvalidValueException if the recording has neither or lies elsewhere
   */
  public static Stations of(Recording recording, Road road) {
    if (recording.hasPosition()) {
      return new ByPosition(recording, road).match();
    }
    if (recording.has(Channel.DISTANCE)) {
      return new Stations(byDistance(recording, road), null);
    }
    throw new InvalidValueException(
        "distance_m", "is missing, and so is a position: one of them is needed");
  }

  /** Metres since the line that the recording begins behind, growing over laps; NaN if unknown. */
  public double stationAt(int i) {
    return stationM[i];
  }

  /** Offset from the centreline, left positive; NaN without a position. */
  public double offsetAt(int i) {
    return offsetM == null ? Double.NaN : offsetM[i];
  }

  public int size() {
    return stationM.length;
  }

  private static double[] byDistance(Recording r, Road road) {
    double scale = stretch(r, road);
    double[] stations = new double[r.size()];
    int lap = 0;
    for (int i = 0; i < r.size(); i++) {
      if (i > 0 && isNextLap(r, road, i)) {
        lap++;
      }
      stations[i] = lap * road.lengthM() + r.at(Channel.DISTANCE, i) * scale;
    }
    return stations;
  }

  private static boolean isNextLap(Recording r, Road road, int i) {
    return r.at(Channel.DISTANCE, i) < r.at(Channel.DISTANCE, i - 1) - road.lengthM() / 2;
  }

  /** How the logger's metres stretch to the road's: the middle of the laps that are whole. */
  private static double stretch(Recording r, Road road) {
    List<Double> lengths = new ArrayList<>();
    int begun = -1;
    for (int i = 1; i < r.size(); i++) {
      if (isNextLap(r, road, i)) {
        // The last sample's way to the line belongs to the lap.
        double rest = r.at(Channel.DISTANCE, i - 1) - r.at(Channel.DISTANCE, i - 2 < 0 ? 0 : i - 2);
        double share = rest > 0 ? Math.min(rest, Math.max(0, rest - r.at(Channel.DISTANCE, i))) : 0;
        if (begun >= 0) {
          lengths.add(r.at(Channel.DISTANCE, i - 1) + share);
        }
        begun = i;
      }
    }
    if (lengths.isEmpty()) {
      return 1;
    }
    Collections.sort(lengths);
    double length = lengths.get(lengths.size() / 2);
    double scale = road.lengthM() / length;
    if (Math.abs(scale - 1) > LARGEST_STRETCH) {
      throw new InvalidValueException(
          "distance_m",
          String.format(
              Locale.ROOT,
              "(%.0f m at the end of a lap) does not fit this circuit's lap of %.0f m: is it a lap"
                  + " of another circuit?",
              length,
              road.lengthM()));
    }
    return scale;
  }

  /** Follows the road sample by sample. */
  private static final class ByPosition {
    private final Recording recording;
    private final Road road;
    private final double[] stationM;
    private final double[] offsetM;

    ByPosition(Recording recording, Road road) {
      this.recording = recording;
      this.road = road;
      this.stationM = new double[recording.size()];
      this.offsetM = new double[recording.size()];
      Arrays.fill(stationM, Double.NaN);
      Arrays.fill(offsetM, Double.NaN);
    }

    Stations match() {
      int last = -1;
      int lastSample = 0;
      double turns = 0;
      int lost = 0;
      for (int i = 0; i < recording.size(); i++) {
        double x = recording.at(Channel.X, i);
        double y = recording.at(Channel.Y, i);
        if (Double.isNaN(x) || Double.isNaN(y)) {
          continue;
        }
        double gone = STILL_MPS * (recording.timeAt(i) - recording.timeAt(lastSample)) + AHEAD_M;
        int near = last < 0 ? -1 : nearest(x, y, last, gone);
        if (near < 0) {
          near = nearestOfAll(x, y);
        }
        if (near < 0) {
          lost++;
          continue;
        }
        double station = project(x, y, near, i);
        if (last >= 0 && road.closed()) {
          double before = road.stationAt(last);
          if (station - before < -road.lengthM() / 2) {
            turns++;
          } else if (station - before > road.lengthM() / 2) {
            turns--;
          }
        }
        stationM[i] = turns * road.lengthM() + station;
        last = road.indexOf(road.wrapStation(station));
        lastSample = i;
      }
      if (lost > recording.size() / 2) {
        throw new InvalidValueException(
            "x_m",
            "and y_m lie more than "
                + Math.round(LOST_M)
                + " m off this circuit's road for most of the time: is it a lap of another"
                + " circuit?");
      }
      return new Stations(steadied(), mean(offsetM, OFFSET_S));
    }

    /**
     * The noise of positions taken out: the way by the speed tells how far the car went, positions
     * over a second around tell from where.
     */
    private double[] steadied() {
      double[] way = way();
      double[] begun = stationM.clone();
      for (int i = 0; i < begun.length; i++) {
        begun[i] -= way[i];
      }
      double[] steady = mean(begun, AROUND_S);
      double farthest = Double.NEGATIVE_INFINITY;
      for (int i = 0; i < steady.length; i++) {
        steady[i] += way[i];
        if (steady[i] < farthest && steady[i] > farthest - BACK_M) {
          steady[i] = farthest;
        }
        farthest = Double.isNaN(steady[i]) ? farthest : steady[i];
      }
      return steady;
    }

    /** Mean of what is known within a time around each sample; NaN where nothing is. */
    private double[] mean(double[] values, double aroundS) {
      int n = values.length;
      double[] sums = new double[n + 1];
      int[] counts = new int[n + 1];
      for (int i = 0; i < n; i++) {
        boolean known = !Double.isNaN(values[i]);
        sums[i + 1] = sums[i] + (known ? values[i] : 0);
        counts[i + 1] = counts[i] + (known ? 1 : 0);
      }
      double[] means = new double[n];
      int from = 0;
      int to = 0;
      for (int i = 0; i < n; i++) {
        while (recording.timeAt(i) - recording.timeAt(from) > aroundS) {
          from++;
        }
        while (to < n && recording.timeAt(to) - recording.timeAt(i) <= aroundS) {
          to++;
        }
        int count = counts[to] - counts[from];
        means[i] = count == 0 ? Double.NaN : (sums[to] - sums[from]) / count;
      }
      return means;
    }

    /** Metres of the road that the speed has covered since the first sample. */
    private double[] way() {
      double[] way = new double[recording.size()];
      for (int i = 1; i < way.length; i++) {
        double v = recording.at(Channel.SPEED, i);
        double stretched = 1;
        if (!Double.isNaN(stationM[i])) {
          int at = road.indexOf(road.wrapStation(stationM[i]));
          stretched = Math.max(0.5, 1 - offsetM[i] * road.curvatureAt(at));
        }
        double dt = recording.timeAt(i) - recording.timeAt(i - 1);
        double before = recording.at(Channel.SPEED, i - 1);
        double speed = Double.isNaN(v) ? 0 : Double.isNaN(before) ? v : (v + before) / 2;
        way[i] = way[i - 1] + speed * dt / stretched;
      }
      return way;
    }

    /** Nearest to where the car was: close by nearly always, else wherever it can have gone. */
    private int nearest(double x, double y, int around, double aheadM) {
      int close = (int) Math.ceil(CLOSE_M / road.stepM());
      int best = nearest(x, y, around, -close, close);
      boolean settled =
          best >= 0 && best != road.wrap(around - close) && best != road.wrap(around + close);
      if (settled && squared(x, y, best) < CLOSE_BY_M * CLOSE_BY_M) {
        return best;
      }
      int back = (int) (BACK_M / road.stepM());
      int ahead = (int) Math.min(road.size() / 3.0, aheadM / road.stepM());
      return nearest(x, y, around, -back, ahead);
    }

    private int nearest(double x, double y, int around, int from, int to) {
      int best = -1;
      double least = LOST_M * LOST_M;
      for (int k = from; k <= to; k++) {
        int i = around + k;
        if (!road.closed() && (i < 0 || i >= road.size())) {
          continue;
        }
        double d = squared(x, y, road.wrap(i));
        if (d < least) {
          least = d;
          best = road.wrap(i);
        }
      }
      return best;
    }

    private int nearestOfAll(double x, double y) {
      int best = -1;
      double least = LOST_M * LOST_M;
      for (int i = 0; i < road.size(); i++) {
        double d = squared(x, y, i);
        if (d < least) {
          least = d;
          best = i;
        }
      }
      return best;
    }

    private double squared(double x, double y, int i) {
      double dx = x - road.xAt(i);
      double dy = y - road.yAt(i);
      return dx * dx + dy * dy;
    }

    /** Station between samples of the road: the way along it from the nearest one. */
    private double project(double x, double y, int near, int sample) {
      double dx = x - road.xAt(near);
      double dy = y - road.yAt(near);
      double nx = road.normalXAt(near);
      double ny = road.normalYAt(near);
      double offset = dx * nx + dy * ny;
      // The tangent is the normal, which points left, turned to the right.
      double along = dx * ny - dy * nx;
      double stretched = 1 - offset * road.curvatureAt(near);
      offsetM[sample] = offset;
      return road.stationAt(near) + along / Math.max(0.2, stretched);
    }
  }
}
