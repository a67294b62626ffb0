package marvek.core.line;

import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * The samples of a lap as far as another line along a stretch is felt: from the slowest place of
 * the corner before, where the car comes from whatever it does later, to that of the corner after,
 * where what was gained at the exit has been spent. Of a whole road it is the whole road.
 */
final class Reach {
  /** A speed that falls and rises again by less is a change of gear and no corner [m/s]. */
  private static final double CORNER_MPS = 2;

  /** A slowest place nearer to the stretch may change with it [m]. */
  private static final double APART_M = 100;

  private final Road road;
  private final int first;
  private final int size;

  private Reach(Road road, int first, int size) {
    this.road = road;
    this.first = first;
    this.size = size;
  }

  /** As far as a lap feels another line along a stretch. */
  static Reach of(Lap lap, Stretch stretch) {
    Road road = lap.path().road();
    if (stretch.whole()) {
      return whole(road);
    }
    int apart = road.samples(APART_M);
    int before = slowest(lap, stretch.at(0), -1, apart);
    int after = slowest(lap, stretch.at(stretch.size() - 1), 1, apart);
    int size = before + stretch.size() + after;
    return size < road.size() ? new Reach(road, stretch.at(0) - before, size) : whole(road);
  }

  static Reach whole(Road road) {
    return new Reach(road, 0, road.size());
  }

  /** Samples from one on to the next slowest place of a corner, or to the end of the road. */
  private static int slowest(Lap lap, int from, int step, int atLeast) {
    Road road = lap.path().road();
    int most = road.closed() ? road.size() : step > 0 ? road.size() - 1 - from : from;
    double fastest = 0;
    double lowest = Double.POSITIVE_INFINITY;
    int at = 0;
    for (int k = Math.min(atLeast, most); k < most; k++) {
      double speed = lap.speedAt(road.wrap(from + step * k));
      fastest = Math.max(fastest, speed);
      if (fastest - speed > CORNER_MPS && speed < lowest) {
        lowest = speed;
        at = k;
      } else if (speed > lowest + CORNER_MPS) {
        return at;
      }
    }
    return most;
  }

  /** Number of samples. */
  int size() {
    return size;
  }

  /** Whether its end joins its beginning. */
  boolean closed() {
    return road.closed() && whole();
  }

  /** Whether it is all of the road. */
  boolean whole() {
    return size == road.size();
  }

  /** Sample of the road at a position, 0 to {@link #size()}. */
  int at(int position) {
    return road.wrap(first + position);
  }

  /** The same, counted on beyond the end of the road. */
  int on(int position) {
    return first + position;
  }
}
