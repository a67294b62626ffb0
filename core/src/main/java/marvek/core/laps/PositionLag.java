package marvek.core.laps;

import java.util.Arrays;

/**
 * How long the positions of a recording come behind its other channels, and how much farther they
 * go than the speed: the steps of the station over two seconds against those of the way by the
 * speed, for every lag of a range. The lag is where their squared differences are least, which is
 * where their correlation is highest.
 */
final class PositionLag {
  /** Steps are taken over so long: noise of positions is spread over it. */
  private static final double STEP_S = 2;

  private static final double LEAST_S = -0.3;
  private static final double MOST_S = 0.78;
  private static final double COARSE_S = 0.12;
  private static final double FINE_S = 0.04;

  /** More pairs of samples tell no more. */
  private static final int MOST_PAIRS = 6_000;

  private static final int LEAST_PAIRS = 200;

  /** A step that is off by more has lost its place. */
  private static final double LARGEST_OFF_M = 40;

  /** F of one more parameter from which on the lag is none by chance (5 standard errors). */
  private static final double SURE = 25;

  private final Recording recording;
  private final RoadMatch match;
  private final double[] way;

  private PositionLag(Recording recording, RoadMatch match) {
    this.recording = recording;
    this.match = match;
    this.way = Way.of(recording, match);
  }

  /**
   * What was found.
   *
   * @param seconds by which positions come late; negative early; 0 where none is sure
   * @param factor metres by the positions for a metre by the speed; 1 where nothing is sure
   * @param pairs steps that were compared
   */
  record Found(double seconds, double factor, int pairs) {}

  static Found of(Recording recording, RoadMatch match) {
    return new PositionLag(recording, match).found();
  }

  /**
   * Samples that are a step apart, and the station's step between them: those whose way is known
   * for every lag of the range.
   */
  private record Pairs(int[] from, int[] to, double[] stepM, int count) {}

  private Pairs pairs() {
    int every = Math.max(1, match.size() / MOST_PAIRS);
    int[] from = new int[match.size() / every + 1];
    int[] to = new int[from.length];
    double[] step = new double[from.length];
    int count = 0;
    int b = 0;
    int behind = 0;
    double begins = recording.timeAt(0) + MOST_S;
    double ends = recording.timeAt(recording.size() - 1) + LEAST_S;
    for (int a = 0; a < match.size(); a++) {
      if (recording.timeAt(a) < begins || !match.isKnown(a) || behind++ % every != 0) {
        continue;
      }
      b = Math.max(b, a);
      while (b < match.size()
          && (recording.timeAt(b) - recording.timeAt(a) < STEP_S || !match.isKnown(b))) {
        b++;
      }
      if (b >= match.size() || recording.timeAt(b) > ends) {
        break;
      }
      double stepM = match.stationAt(b) - match.stationAt(a);
      boolean near = recording.timeAt(b) - recording.timeAt(a) < 1.5 * STEP_S;
      if (near
          && count < from.length
          && !recording.isBroken(a + 1, b + 1)
          && Math.abs(stepM - (way[b] - way[a])) < LARGEST_OFF_M) {
        from[count] = a;
        to[count] = b;
        step[count++] = stepM;
      }
    }
    return new Pairs(from, to, step, count);
  }

  /** Squared differences for a lag, with the factor that makes them least. */
  private record Fit(double lagS, double squares, double factor) {}

  private Found found() {
    Pairs pairs = pairs();
    if (pairs.count() < LEAST_PAIRS) {
      return new Found(0, 1, pairs.count());
    }
    Fit[] coarse = fits(pairs, LEAST_S, MOST_S, COARSE_S);
    int near = least(coarse);
    boolean inside = near > 0 && near < coarse.length - 1;
    double around = coarse[near].lagS();
    Fit[] fine = fits(pairs, around - COARSE_S, around + COARSE_S, FINE_S);
    int best = Math.max(1, Math.min(fine.length - 2, least(fine)));
    Fit none = fit(pairs, 0);
    double lag = vertex(fine, best);
    Fit at = fit(pairs, lag);
    // Steps overlap: so many of them are independent as the recording has of their length.
    double span = recording.timeAt(recording.size() - 1) - recording.timeAt(0);
    double better = (none.squares() - at.squares()) / at.squares() * span / STEP_S;
    boolean sure = better > SURE;
    return sure && inside
        ? new Found(lag, at.factor(), pairs.count())
        : new Found(0, none.factor(), pairs.count());
  }

  private Fit[] fits(Pairs pairs, double from, double to, double step) {
    Fit[] fits = new Fit[(int) Math.round((to - from) / step) + 1];
    Arrays.setAll(fits, k -> fit(pairs, from + k * step));
    return fits;
  }

  private static int least(Fit[] fits) {
    int best = 0;
    for (int k = 1; k < fits.length; k++) {
      best = fits[k].squares() < fits[best].squares() ? k : best;
    }
    return best;
  }

  private static double vertex(Fit[] fits, int k) {
    double a = fits[k - 1].squares();
    double b = fits[k].squares();
    double c = fits[k + 1].squares();
    double bend = a - 2 * b + c;
    return fits[k].lagS() + (bend > 0 ? FINE_S * (a - c) / (2 * bend) : 0);
  }

  private Fit fit(Pairs pairs, double lagS) {
    double cross = 0;
    double speedSquared = 0;
    double stepSquared = 0;
    Cursor begin = new Cursor();
    Cursor end = new Cursor();
    for (int p = 0; p < pairs.count(); p++) {
      double byWay =
          end.wayAt(recording.timeAt(pairs.to()[p]) - lagS)
              - begin.wayAt(recording.timeAt(pairs.from()[p]) - lagS);
      double step = pairs.stepM()[p];
      cross += byWay * step;
      speedSquared += byWay * byWay;
      stepSquared += step * step;
    }
    double factor = speedSquared > 0 ? cross / speedSquared : 1;
    return new Fit(lagS, stepSquared - factor * cross, factor);
  }

  /** The way at times that grow. */
  private final class Cursor {
    private int at = 1;

    double wayAt(double time) {
      while (at + 1 < way.length && recording.timeAt(at) < time) {
        at++;
      }
      while (at > 1 && recording.timeAt(at - 1) > time) {
        at--;
      }
      double t0 = recording.timeAt(at - 1);
      double t1 = recording.timeAt(at);
      double share = Math.max(0, Math.min(1, (time - t0) / (t1 - t0)));
      return way[at - 1] + share * (way[at] - way[at - 1]);
    }
  }
}
