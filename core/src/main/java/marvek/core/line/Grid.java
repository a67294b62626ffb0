package marvek.core.line;

import java.util.Arrays;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * The places of a reach at which offsets and speeds are sought: every sample where the line is
 * free, and as far apart as the car goes in a moment where it is held and only driven.
 */
final class Grid {
  /** Between two places where the line is held: a brake point between them is hit as well [s]. */
  private static final double APART_S = 0.08;

  private static final int MOST_SAMPLES = 6;

  /** Where a line joins what is held its bend is looked at from sample to sample, so far. */
  private static final int JOIN = 4;

  private final Road road;
  private final boolean closed;

  /** Samples of the places, counted on beyond the end of the road. */
  private final int[] samples;

  private Grid(Road road, boolean closed, int[] samples) {
    this.road = road;
    this.closed = closed;
    this.samples = samples;
  }

  /** Every sample of a reach. */
  static Grid every(Reach reach, Road road) {
    return new Grid(
        road, reach.closed(), IntStream.range(0, reach.size()).map(reach::on).toArray());
  }

  /**
   * As many samples of a reach as a search needs.
   *
   * @param lap whose speeds tell how far apart they may lie
   * @param held samples of the road at which the line stays
   */
  static Grid of(Reach reach, Lap lap, boolean[] held) {
    Road road = lap.path().road();
    boolean[] every = nearFree(reach, held);
    int[] samples = new int[reach.size()];
    int count = 0;
    int position = 0;
    int last = reach.size() - 1;
    while (position < last) {
      samples[count++] = reach.on(position);
      double farthest = lap.speedAt(reach.at(position)) * APART_S / road.stepM();
      int to = Math.min(last, position + (int) Math.min(MOST_SAMPLES, farthest));
      int next = position + 1;
      while (next < to && !every[next - 1] && !every[next]) {
        next++;
      }
      position = next;
    }
    samples[count++] = reach.on(last);
    return new Grid(road, reach.closed(), Arrays.copyOf(samples, count));
  }

  /** Whether the line is free at, or near, each position. */
  private static boolean[] nearFree(Reach reach, boolean[] held) {
    boolean[] near = new boolean[reach.size()];
    for (int p = 0; p < near.length; p++) {
      if (!held[reach.at(p)]) {
        for (int beside = p - JOIN; beside <= p + JOIN; beside++) {
          near[reach.closed() ? Math.floorMod(beside, near.length) : clamped(beside, near)] = true;
        }
      }
    }
    return near;
  }

  private static int clamped(int position, boolean[] all) {
    return Math.max(0, Math.min(all.length - 1, position));
  }

  /** Number of places. */
  int size() {
    return samples.length;
  }

  /** Number of pieces between two places. */
  int elements() {
    return closed ? samples.length : samples.length - 1;
  }

  /** Whether its end joins its beginning. */
  boolean closed() {
    return closed;
  }

  /** Sample of the road at a place; the one after the last is the first where it is closed. */
  int at(int place) {
    return road.wrap(samples[place % samples.length]);
  }

  /** Samples from a place to the next. */
  int gap(int place) {
    int next = place + 1 < samples.length ? samples[place + 1] : samples[0] + road.size();
    return next - samples[place];
  }
}
