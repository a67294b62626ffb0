package marvek.core.event;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/** Finds where a lap comes nearest to the inside of a corner. */
final class Apexes {
  /** The inside edge is searched this far before and after the corner. */
  private static final double MARGIN_M = 25;

  /** A second apex lies at least so far from the first ... */
  private static final double APEX_APART_M = 45;

  /** ... and the car goes out by at least so much between them ... */
  private static final double APEX_RISE_M = 0.6;

  /** ... and comes as near to the inside as the first but for this. */
  private static final double SECOND_GAP_M = 2.5;

  /** A line that moves across the road by less than this has no apex. */
  private static final double KEEPS_PLACE_M = 0.3;

  /** Offsets within this are the same place across the road. */
  private static final double SAME_OFFSET_M = 0.03;

  private final Corner corner;
  private final Lap lap;
  private final Path path;
  private final Road road;
  private final CornerSpan span;

  private Apexes(Corner corner, Lap lap, CornerSpan span) {
    this.corner = corner;
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.span = span;
  }

  /** Samples of them in driving order, one or two. */
  static List<Integer> of(Corner corner, Lap lap, CornerSpan span) {
    return new Apexes(corner, lap, span).find();
  }

  private double insideGap(int i) {
    return corner.sign() > 0
        ? road.widthLeftAt(i) - path.offsetAt(i)
        : road.widthRightAt(i) + path.offsetAt(i);
  }

  /**
   * Where the car comes nearest to the inside; a line that keeps its place across the road has no
   * such place: there it is the slowest of the corner.
   */
  private List<Integer> find() {
    int margin = Math.min(road.samples(MARGIN_M), road.size() / 8);
    int begin = span.from() - margin;
    int count = road.ahead(span.from(), span.to()) + 2 * margin;
    double[] gap = new double[count + 1];
    double least = Double.POSITIVE_INFINITY;
    double[] across = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(begin + k);
      gap[k] = insideGap(i);
      least = Math.min(least, gap[k]);
      across[0] = Math.min(across[0], path.offsetAt(i));
      across[1] = Math.max(across[1], path.offsetAt(i));
    }
    if (across[1] - across[0] < KEEPS_PLACE_M) {
      return List.of(slowestInside());
    }
    List<Integer> found = new ArrayList<>();
    int first = ownOf(gap, plateauMiddle(gap, least), margin);
    found.add(first);
    addSecondApex(gap, first, found, margin);
    found.sort(Integer::compare);
    return found.stream().map(k -> road.wrap(begin + k)).toList();
  }

  private static int plateauMiddle(double[] gap, double least) {
    int begin = -1;
    for (int k = 0; k < gap.length; k++) {
      boolean low = gap[k] <= least + SAME_OFFSET_M;
      if (low && begin < 0) {
        begin = k;
      }
      if (begin >= 0 && (!low || k == gap.length - 1)) {
        return (begin + (low ? k : k - 1)) / 2;
      }
    }
    return 0;
  }

  /**
   * The apex of this corner where the car is nearest to the inside at an end of what is searched:
   * there it comes from a neighbour's apex or goes to it, and has been farther out between. Where
   * the corner has no such place of its own it is that end.
   */
  private static int ownOf(double[] gap, int nearest, int margin) {
    if (nearest > 0 && nearest < gap.length - 1) {
      return nearest;
    }
    int own = nearest;
    for (int k = Math.max(1, margin); k < gap.length - Math.max(1, margin); k++) {
      boolean apart = isLowest(gap, k) && farthestOut(gap, k, nearest) >= gap[k] + KEEPS_PLACE_M;
      if (apart && (own == nearest || gap[k] < gap[own])) {
        own = k;
      }
    }
    return own;
  }

  private static boolean isLowest(double[] gap, int k) {
    return gap[k] <= gap[k - 1] && gap[k] <= gap[k + 1];
  }

  /** Largest distance from the inside between two places. */
  private static double farthestOut(double[] gap, int a, int b) {
    return Arrays.stream(gap, Math.min(a, b), Math.max(a, b) + 1).max().orElseThrow();
  }

  private void addSecondApex(double[] gap, int first, List<Integer> found, int margin) {
    int apart = road.samples(APEX_APART_M);
    int best = -1;
    for (int k = margin; k < gap.length - margin; k++) {
      if (!isLowest(gap, k) || Math.abs(k - first) < apart || gap[k] > gap[first] + SECOND_GAP_M) {
        continue;
      }
      if (farthestOut(gap, k, first) - Math.max(gap[k], gap[first]) >= APEX_RISE_M
          && (best < 0 || gap[k] < gap[best])) {
        best = k;
      }
    }
    if (best >= 0) {
      found.add(best);
    }
  }

  private int slowestInside() {
    int count = road.ahead(span.from(), span.to());
    int best = span.from();
    for (int k = 0; k <= count; k++) {
      int i = road.wrap(span.from() + k);
      best = lap.speedAt(i) < lap.speedAt(best) ? i : best;
    }
    return best;
  }
}
