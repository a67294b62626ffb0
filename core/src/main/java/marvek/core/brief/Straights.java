package marvek.core.brief;

import marvek.core.circuit.Road;

/** The straights of a road, for what belongs to them: the wind, the borders of sectors. */
final class Straights {
  /** A road that bends less than this is straight: a radius of 600 m (own assumption). */
  private static final double STRAIGHT_PER_M = 1.0 / 600;

  private Straights() {}

  /** Whether the road is straight at a sample. */
  static boolean at(Road road, int i) {
    return Math.abs(road.curvatureAt(i)) < STRAIGHT_PER_M;
  }

  /** Direction of the middle of the longest straight [°], clockwise from north. */
  static double longestHeadingDeg(Road road) {
    int longest = 0;
    int end = 0;
    int run = 0;
    int samples = road.closed() ? 2 * road.size() : road.size();
    for (int k = 0; k < samples && run < road.size(); k++) {
      run = at(road, k % road.size()) ? run + 1 : 0;
      if (run > longest) {
        longest = run;
        end = k;
      }
    }
    int middle = (end - longest / 2 + road.size()) % road.size();
    // The normal points to the left of travel: travel is the normal turned to the right.
    double heading = Math.toDegrees(Math.atan2(road.normalYAt(middle), -road.normalXAt(middle)));
    return (heading + 360) % 360;
  }
}
