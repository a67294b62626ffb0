package marvek.core.line;

import java.util.Arrays;
import marvek.core.circuit.Road;

/**
 * The samples that a line search moves: a whole road, or a stretch of it whose first and last two
 * samples stay where they are, so that direction and curvature go on without a break.
 */
final class Stretch {
  /** Two held samples fix place and direction at each end. */
  private static final int HELD = 2;

  /** Stiff against any bend, small enough for double precision. */
  private static final double TIE = 1e6;

  private final Road road;
  private final int first;
  private final int size;
  private final boolean whole;

  private Stretch(Road road, int first, int size, boolean whole) {
    this.road = road;
    this.first = first;
    this.size = size;
    this.whole = whole;
  }

  static Stretch whole(Road road) {
    return new Stretch(road, 0, road.size(), true);
  }

  /**
   * A stretch of a road, cut to the road's ends where it is open and to less than a lap where it is
   * closed.
   *
   * @param first sample, may be negative or beyond the last on a closed road
   * @param last sample, not before the first
   */
  static Stretch between(Road road, int first, int last) {
    if (road.closed()) {
      int size = Math.min(last - first + 1, road.size() - 1);
      return new Stretch(road, road.wrap(first), size, false);
    }
    int from = Math.max(0, first);
    int to = Math.min(road.size() - 1, last);
    return new Stretch(road, from, to - from + 1, false);
  }

  Road road() {
    return road;
  }

  int size() {
    return size;
  }

  /** Whether it is the whole road. */
  boolean whole() {
    return whole;
  }

  /** Whether its end joins its beginning. */
  boolean closed() {
    return whole && road.closed();
  }

  /**
   * Sample of the road at position k; the neighbours just outside a stretch are never asked for.
   */
  int at(int k) {
    return road.wrap(first + k);
  }

  /** Position of a sample of the road; −1 of one that is not on the stretch. */
  int positionOf(int sample) {
    int k = road.closed() ? Math.floorMod(sample - first, road.size()) : sample - first;
    return k >= 0 && k < size ? k : -1;
  }

  /** Position before the first or after the last leads round on a closed lap only. */
  int position(int k) {
    return closed() ? Math.floorMod(k, size) : k;
  }

  boolean held(int k) {
    return !whole && (k < HELD || k >= size - HELD);
  }

  /**
   * Ties held positions of a quadratic programme to where they are, far more strongly than anything
   * else pulls.
   */
  void hold(double[] h0, double[] g, double[] d) {
    if (whole) {
      return;
    }
    double tie = TIE * Arrays.stream(h0).max().orElse(1);
    for (int k = 0; k < size; k++) {
      if (held(k)) {
        h0[k] += tie;
        g[k] -= tie * d[k];
      }
    }
  }

  /** First position with a neighbour on both sides; the last one is as far from the end. */
  int edge() {
    return closed() ? 0 : 1;
  }

  /** Values of a whole road at the stretch's samples. */
  double[] taken(double[] all) {
    double[] part = new double[size];
    for (int k = 0; k < size; k++) {
      part[k] = all[at(k)];
    }
    return part;
  }

  /** A copy of a whole road's values with the stretch's own in their places. */
  double[] put(double[] all, double[] part) {
    double[] result = all.clone();
    for (int k = 0; k < size; k++) {
      result[at(k)] = part[k];
    }
    return result;
  }
}
