package marvek.core.laps;

import java.util.Arrays;

/**
 * The speed of a recording that has none, from how its station goes on: the slope of a parabola
 * through the stations around each sample. Along the road noise has no sign, where chords between
 * noisy positions are too long by σ²/chord.
 */
final class SpeedFromPosition {
  /** Half of the time that is looked at, at least and at most. */
  private static final double LEAST_S = 0.4;

  private static final double MOST_S = 1.5;

  /** Wanted of the slope [m/s]. */
  private static final double WANTED_MPS = 0.5;

  private SpeedFromPosition() {}

  /**
   * Speeds at every sample [m/s]; NaN where no positions are near.
   *
   * @param noiseM by which each position scatters
   */
  static double[] of(Recording recording, RoadMatch match, double noiseM) {
    int[] known =
        java.util.stream.IntStream.range(0, match.size()).filter(match::isKnown).toArray();
    double span = recording.timeAt(recording.size() - 1) - recording.timeAt(0);
    double interval = span / Math.max(1, known.length);
    double half = Math.max(1.6 * interval, halfS(noiseM, interval));
    double[] speed = new double[recording.size()];
    Arrays.fill(speed, Double.NaN);
    int from = 0;
    int to = 0;
    for (int i = 0; i < speed.length; i++) {
      double t = recording.timeAt(i);
      while (to < known.length && recording.timeAt(known[to]) <= t + half) {
        to++;
      }
      while (from < to && recording.timeAt(known[from]) < t - half) {
        from++;
      }
      if (to - from >= 3) {
        speed[i] = Math.max(0, slope(recording, match, known, from, to, t));
      }
    }
    return speed;
  }

  /** Slope of n points over ±T scatters by σ / √(2/3 T³ f). */
  private static double halfS(double noiseM, double interval) {
    double cubed = 1.5 * noiseM * noiseM * interval / (WANTED_MPS * WANTED_MPS);
    return Math.max(LEAST_S, Math.min(MOST_S, Math.cbrt(cubed)));
  }

  /** Of a parabola by least squares, at a time, times what the way beside the road is longer. */
  private static double slope(
      Recording recording, RoadMatch match, int[] known, int from, int to, double t) {
    double[] s = new double[5];
    double[] r = new double[3];
    double stretch = 0;
    double base = match.stationAt(known[from]);
    for (int k = from; k < to; k++) {
      double u = recording.timeAt(known[k]) - t;
      double y = match.stationAt(known[k]) - base;
      double power = 1;
      for (int p = 0; p < 5; p++) {
        s[p] += power;
        if (p < 3) {
          r[p] += power * y;
        }
        power *= u;
      }
      stretch += match.stretchAt(known[k]);
    }
    double determinant =
        s[0] * (s[2] * s[4] - s[3] * s[3])
            - s[1] * (s[1] * s[4] - s[3] * s[2])
            + s[2] * (s[1] * s[3] - s[2] * s[2]);
    double linear =
        s[0] * (r[1] * s[4] - r[2] * s[3])
            - r[0] * (s[1] * s[4] - s[3] * s[2])
            + s[2] * (s[1] * r[2] - r[1] * s[2]);
    return linear / determinant * stretch / (to - from);
  }
}
