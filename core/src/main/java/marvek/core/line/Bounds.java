package marvek.core.line;

import java.util.function.IntToDoubleFunction;

/**
 * How far to each side a line may go at each position of a stretch [m]; the lower bound always
 * clearly below the upper one. What a school asks for is put in by closing parts of the road.
 */
final class Bounds {
  /** Room given to bounds that meet, so that the interior is not empty. */
  static final double LEAST_ROOM_M = 0.002;

  /** Bounds stay out of the way of what is held. */
  private static final double HELD_ROOM_M = 1;

  private final double[] low;
  private final double[] high;

  private Bounds(double[] low, double[] high) {
    this.low = low;
    this.high = high;
  }

  /**
   * The corridor along a stretch.
   *
   * @param present offsets of a whole road, around which the stretch holds its ends
   */
  static Bounds of(Stretch stretch, Corridor corridor, double[] present) {
    double[] low = new double[stretch.size()];
    double[] high = new double[stretch.size()];
    for (int k = 0; k < low.length; k++) {
      int i = stretch.at(k);
      // What is held is held by the programme itself, not by bounds that nearly meet.
      low[k] = stretch.held(k) ? present[i] - HELD_ROOM_M : corridor.rightAt(i);
      high[k] = stretch.held(k) ? present[i] + HELD_ROOM_M : corridor.leftAt(i);
    }
    return new Bounds(low, high).opened();
  }

  private Bounds opened() {
    for (int k = 0; k < low.length; k++) {
      double pinch = Math.max(0, LEAST_ROOM_M - (high[k] - low[k]));
      low[k] -= pinch / 2;
      high[k] += pinch / 2;
    }
    return this;
  }

  /**
   * The same with a share of the road closed from one side.
   *
   * @param sign side that is closed: 1 left, −1 right
   * @param shareAt share of the width that is closed at each position, 0 to 1
   */
  Bounds closed(int sign, IntToDoubleFunction shareAt) {
    double[] newLow = low.clone();
    double[] newHigh = high.clone();
    for (int k = 0; k < low.length; k++) {
      double room = shareAt.applyAsDouble(k) * (high[k] - low[k]);
      newHigh[k] -= sign > 0 ? room : 0;
      newLow[k] += sign > 0 ? 0 : room;
    }
    return new Bounds(newLow, newHigh).opened();
  }

  /** The same with the line led through one offset at a position. */
  Bounds through(int position, double offsetM) {
    double[] newLow = low.clone();
    double[] newHigh = high.clone();
    newLow[position] = offsetM;
    newHigh[position] = offsetM;
    return new Bounds(newLow, newHigh).opened();
  }

  /**
   * The same with one edge put elsewhere.
   *
   * @param sign edge that moves: 1 left, −1 right
   * @param edgeAt offset of it at each position, NaN where it stays
   */
  Bounds edge(int sign, IntToDoubleFunction edgeAt) {
    double[] newLow = low.clone();
    double[] newHigh = high.clone();
    for (int k = 0; k < low.length; k++) {
      double edge = edgeAt.applyAsDouble(k);
      if (!Double.isNaN(edge) && sign > 0) {
        newHigh[k] = edge;
        newLow[k] = Math.min(newLow[k], edge);
      } else if (!Double.isNaN(edge)) {
        newLow[k] = edge;
        newHigh[k] = Math.max(newHigh[k], edge);
      }
    }
    return new Bounds(newLow, newHigh).opened();
  }

  /**
   * The same with a share of the road closed from both sides alike.
   *
   * @param share of the width that stays, 0 to 1
   */
  Bounds narrowed(double share) {
    double[] newLow = low.clone();
    double[] newHigh = high.clone();
    for (int k = 0; k < low.length; k++) {
      double closed = (1 - share) / 2 * (high[k] - low[k]);
      newLow[k] += closed;
      newHigh[k] -= closed;
    }
    return new Bounds(newLow, newHigh).opened();
  }

  /** Offsets brought within the bounds. */
  double[] within(double[] offsets) {
    double[] d = new double[low.length];
    for (int k = 0; k < d.length; k++) {
      d[k] = Math.max(low[k], Math.min(high[k], offsets[k]));
    }
    return d;
  }

  /** Whether a line lies within the bounds. */
  boolean hold(double[] offsets) {
    for (int k = 0; k < low.length; k++) {
      if (offsets[k] < low[k] - LEAST_ROOM_M || offsets[k] > high[k] + LEAST_ROOM_M) {
        return false;
      }
    }
    return true;
  }

  double lowAt(int k) {
    return low[k];
  }

  double highAt(int k) {
    return high[k];
  }

  /** Lower bounds themselves, for the solver of this package, which does not write to them. */
  double[] low() {
    return low;
  }

  double[] high() {
    return high;
  }
}
