package marvek.core.laps;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;

/**
 * Where on the road each sample was: stations that go on from lap to lap, and offsets from the
 * centreline where there is a position.
 */
public final class Stations {
  /** As far back as positions may jump by their noise. */
  private static final double BACK_M = 25;

  /** Half of the time over which positions are taken together: longer the more they scatter. */
  private static final double AROUND_S = 0.5;

  private static final double LONGEST_AROUND_S = 4;
  private static final double STATION_M = 0.25;

  /** Without positions for longer than this the way by the speed is off by more than a car. */
  private static final double LONGEST_LOSS_S = 8;

  /** Half of the time over which offsets are taken together: a car's way across is slow. */
  private static final double OFFSET_S = 0.2;

  private static final double LONGEST_OFFSET_S = 1;
  private static final double OFFSET_M = 0.4;

  /** Distances that miss the road's length by more are of another circuit. */
  private static final double LARGEST_STRETCH = 0.08;

  /** Half of the offset that makes an apex a missed one. */
  private static final double MOST_OFFSET_ERROR_M = 0.5;

  private final double[] stationM;
  private final double[] offsetM;
  private final double offsetErrorM;

  private Stations(double[] stationM, double[] offsetM, double offsetErrorM) {
    this.stationM = stationM;
    this.offsetM = offsetM;
    this.offsetErrorM = offsetErrorM;
  }

  /**
   * Stations by position, or else by the distance since the start of the lap.
   *
   * @throws InvalidValueException if the recording has neither or lies elsewhere
   */
  public static Stations of(Recording recording, Road road) {
    if (recording.hasPosition()) {
      RoadMatch match = RoadMatch.of(recording, road);
      return of(recording, match, PositionNoise.of(recording));
    }
    if (recording.has(Channel.DISTANCE)) {
      return new Stations(byDistance(recording, road), null, 0);
    }
    throw new InvalidValueException("distance_m", Sentence.of("refused.distance-missing"));
  }

  /**
   * Stations of positions that lie on a road already.
   *
   * @param noiseM by which each position scatters on its own
   */
  static Stations of(Recording recording, RoadMatch match, double noiseM) {
    return new ByPosition(recording, match, noiseM).placed();
  }

  /** The same with the line so many metres farther on: of a beacon that stands behind it. */
  Stations shifted(double metres) {
    double[] shifted = stationM.clone();
    for (int i = 0; i < shifted.length; i++) {
      shifted[i] += metres;
    }
    return new Stations(shifted, offsetM, offsetErrorM);
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

  /** Whether offsets are good enough to tell a line, an apex and the room to an edge. */
  public boolean tellLine() {
    return offsetM != null && offsetErrorM <= MOST_OFFSET_ERROR_M;
  }

  /** By which an offset still scatters when the noise of positions is taken out [m]. */
  public double offsetErrorM() {
    return offsetErrorM;
  }

  private static double[] byDistance(Recording r, Road road) {
    double[] distance = LapDistance.of(r, road);
    double scale = stretch(r, distance, road);
    double[] stations = new double[r.size()];
    int lap = 0;
    double last = Double.NaN;
    for (int i = 0; i < r.size(); i++) {
      if (isNextLap(last, distance[i], road)) {
        lap++;
      }
      stations[i] = lap * road.lengthM() + distance[i] * scale;
      last = Double.isNaN(distance[i]) ? last : distance[i];
    }
    return stations;
  }

  private static boolean isNextLap(double last, double now, Road road) {
    return now < last - road.lengthM() / 2;
  }

  /** How the logger's metres stretch to the road's: the middle of the laps that are whole. */
  private static double stretch(Recording r, double[] distance, Road road) {
    List<Double> lengths = new ArrayList<>();
    int begun = -1;
    double last = Double.NaN;
    double step = 0;
    for (int i = 0; i < r.size(); i++) {
      double now = distance[i];
      if (isNextLap(last, now, road)) {
        // The last sample's way to the line belongs to the lap.
        if (begun >= 0) {
          lengths.add(last + Math.min(step, Math.max(0, step - now)));
        }
        begun = i;
      }
      step = now > last ? now - last : step;
      last = Double.isNaN(now) ? last : now;
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
          Sentence.of("refused.distance-of-another", "length_m", length, "lap_m", road.lengthM()));
    }
    return scale;
  }

  /** Stations by position, with the noise of the positions taken out. */
  private static final class ByPosition {
    private final Recording recording;
    private final RoadMatch match;
    private final double noiseM;
    private final double perSecond;

    ByPosition(Recording recording, RoadMatch match, double noiseM) {
      this.recording = recording;
      this.match = match;
      this.noiseM = noiseM;
      int known = 0;
      for (int i = 0; i < match.size(); i++) {
        known += match.isKnown(i) ? 1 : 0;
      }
      double span = recording.timeAt(recording.size() - 1) - recording.timeAt(0);
      this.perSecond = Math.max(0.2, known / span);
    }

    Stations placed() {
      double[] stations = steadied();
      double around = halfTime(OFFSET_M, OFFSET_S, LONGEST_OFFSET_S);
      double left = noiseM / Math.sqrt(Math.max(1, 2 * around * perSecond));
      return new Stations(stations, mean(match::offsetAt, around), left);
    }

    /** Half of the time over which a mean of noisy positions is as good as is wanted. */
    private double halfTime(double wantedM, double least, double most) {
      double needed = noiseM * noiseM / (2 * perSecond * wantedM * wantedM);
      return Math.max(least, Math.min(most, needed));
    }

    /**
     * The noise of positions taken out: the way by the speed tells how far the car went, positions
     * around tell from where.
     */
    private double[] steadied() {
      double[] way = Way.of(recording, match);
      double[] steady =
          mean(i -> match.stationAt(i) - way[i], halfTime(STATION_M, AROUND_S, LONGEST_AROUND_S));
      laidOverLosses(steady);
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

    /** While the receiver has lost its position for a while the speed alone tells the way. */
    private void laidOverLosses(double[] begun) {
      int last = -1;
      for (int i = 0; i < begun.length; i++) {
        if (Double.isNaN(begun[i])) {
          continue;
        }
        double span = last < 0 ? 0 : recording.timeAt(i) - recording.timeAt(last);
        if (last >= 0 && i - last > 1 && span <= LONGEST_LOSS_S) {
          for (int k = last + 1; k < i; k++) {
            double share = (recording.timeAt(k) - recording.timeAt(last)) / span;
            begun[k] = begun[last] + share * (begun[i] - begun[last]);
          }
        }
        last = i;
      }
    }

    /** Mean of what is known within a time around each sample; NaN where nothing is. */
    private double[] mean(IntToDoubleFunction value, double aroundS) {
      int n = match.size();
      double reach = Math.max(aroundS, 0.6 / perSecond);
      double[] means = new double[n];
      double sum = 0;
      int count = 0;
      int from = 0;
      int to = 0;
      for (int i = 0; i < n; i++) {
        for (; to < n && recording.timeAt(to) - recording.timeAt(i) <= reach; to++) {
          double entering = value.applyAsDouble(to);
          if (!Double.isNaN(entering)) {
            sum += entering;
            count++;
          }
        }
        for (; recording.timeAt(i) - recording.timeAt(from) > reach; from++) {
          double leaving = value.applyAsDouble(from);
          if (!Double.isNaN(leaving)) {
            sum -= leaving;
            count--;
          }
        }
        // What was added and taken away again leaves its rounding: with nothing left, nothing is.
        sum = count == 0 ? 0 : sum;
        means[i] = count == 0 ? Double.NaN : sum / count;
      }
      return means;
    }
  }
}
