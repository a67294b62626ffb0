package marvek.core.laps;

import java.util.Arrays;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;

/** Where on a road each position of a recording lies, sample by sample, with all of its noise. */
final class RoadMatch {
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

  /** Of laps the right way round next to nothing goes back, whatever the noise. */
  private static final double MOST_BACK = 0.7;

  /** Steps that are told from noise [m]. */
  private static final double STEP_M = 20;

  private final Recording recording;
  private final Road road;
  private final double[] stationM;
  private final float[] offsetM;

  private RoadMatch(Recording recording, Road road) {
    this.recording = recording;
    this.road = road;
    this.stationM = new double[recording.size()];
    this.offsetM = new float[recording.size()];
    Arrays.fill(stationM, Double.NaN);
    Arrays.fill(offsetM, Float.NaN);
  }

  /**
   * Follows a road.
   *
   * @throws InvalidValueException of field x_m if most of it lies elsewhere, or it runs the other
   *     way round
   */
  static RoadMatch of(Recording recording, Road road) {
    RoadMatch match = new RoadMatch(recording, road);
    match.follow();
    match.checkDirection();
    return match;
  }

  /** Metres since the line that the recording begins behind, growing over laps; NaN if unknown. */
  double stationAt(int i) {
    return stationM[i];
  }

  /** Offset from the centreline, left positive; NaN if unknown. */
  double offsetAt(int i) {
    return offsetM[i];
  }

  int size() {
    return stationM.length;
  }

  boolean isKnown(int i) {
    return !Double.isNaN(stationM[i]);
  }

  /** Sample of the road at a sample of the recording that is known. */
  int roadAt(int i) {
    return road.indexOf(road.wrapStation(stationM[i]));
  }

  /** How much shorter the road is than the way beside it: way on the road = way / this. */
  double stretchAt(int i) {
    return Math.max(0.5, 1 - offsetM[i] * road.curvatureAt(roadAt(i)));
  }

  private void follow() {
    int last = -1;
    int lastSample = 0;
    double turns = 0;
    int lost = 0;
    int known = 0;
    for (int i = 0; i < recording.size(); i++) {
      double x = recording.at(Channel.X, i);
      double y = recording.at(Channel.Y, i);
      if (Double.isNaN(x) || Double.isNaN(y)) {
        continue;
      }
      known++;
      double gone = STILL_MPS * (recording.timeAt(i) - recording.timeAt(lastSample)) + AHEAD_M;
      int near = last < 0 ? -1 : nearest(x, y, last, gone);
      if (near < 0) {
        near = nearest(x, y, 0, 0, road.size() - 1);
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
    if (lost > known / 2 || known == 0) {
      throw new InvalidValueException(
          "x_m", Sentence.of("refused.off-road-mostly", "far_m", Math.round(LOST_M)));
    }
  }

  private void checkDirection() {
    double last = Double.NaN;
    int ahead = 0;
    int back = 0;
    for (double station : stationM) {
      if (Double.isNaN(station)) {
        continue;
      }
      if (Double.isNaN(last)) {
        last = station;
      } else if (Math.abs(station - last) > STEP_M) {
        ahead += station > last ? 1 : 0;
        back += station < last ? 1 : 0;
        last = station;
      }
    }
    if (back > MOST_BACK * (ahead + back) && back > 1) {
      throw new InvalidValueException("x_m", Sentence.of("refused.laps-against"));
    }
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
    offsetM[sample] = (float) offset;
    return road.stationAt(near) + along / Math.max(0.2, stretched);
  }
}
