package marvek.core.profile;

import marvek.core.circuit.Path;

/**
 * Integrates the square of the speed along the elements of a path in one direction, at the most
 * that the tyres or the engine give, below a cap. One code for both passes: backward it brakes,
 * forward it drives.
 */
final class Sweep {
  /** Below this square of the speed the car is as good as standing. */
  static final double LEAST_W = 0.25;

  /** Nearer than this to the grip limit the ellipse is too steep for an explicit step. */
  private static final double STIFF_SHARE = 0.97;

  /**
   * Where the speed freely reached is above the cap by more than the acceleration could fall in one
   * step away from the grip limit [m/s²], the second stage of the step changes nothing.
   */
  private static final double CLEARLY_ABOVE_MPS2 = 3;

  /** Bound of the regula falsi (Illinois); from a bracket it meets the tolerance in a few. */
  private static final int IMPLICIT_ITERATIONS = 40;

  /** Residual of the implicit step that is small enough, as a share of the speed's square. */
  private static final double IMPLICIT_TOLERANCE = 1e-7;

  private final Path path;
  private final double[] gripLimit;
  private final Acceleration acceleration;
  private final boolean forward;

  /**
   * @param gripLimit square of the speed at which cornering takes all grip, at each sample
   */
  Sweep(Path path, double[] gripLimit, Acceleration acceleration, boolean forward) {
    this.path = path;
    this.gripLimit = gripLimit;
    this.acceleration = acceleration;
    this.forward = forward;
  }

  /**
   * Runs once along the path from a sample.
   *
   * @param start sample to start from
   * @param startW square of the speed there
   * @param cap highest square of the speed at each sample
   * @param w receives the result
   * @return square of the speed on coming round to the start, equal to startW on an open road
   */
  double run(int start, double startW, double[] cap, double[] w) {
    w[start] = Math.min(startW, cap[start]);
    int i = start;
    for (int k = 0; k < path.elements(); k++) {
      int to = neighbour(i);
      double next = stepTo(i, to, w[i], cap[to]);
      if (to == start) {
        return next;
      }
      w[to] = next;
      i = to;
    }
    return w[start];
  }

  /**
   * Runs once more after a run whose result {@code w} holds, from where limits or forces changed
   * until the speed is the same again.
   *
   * @return as of a run
   */
  double runChanged(int start, double startW, double[] cap, boolean[] changed, double[] w) {
    double first = Math.min(startW, cap[start]);
    boolean moved = first != w[start];
    w[start] = first;
    int i = start;
    for (int k = 0; k < path.elements(); k++) {
      int to = neighbour(i);
      boolean again = moved || changed[i] || changed[to] || to == start;
      double next = again ? stepTo(i, to, w[i], cap[to]) : w[to];
      if (to == start) {
        return next;
      }
      moved = next != w[to];
      w[to] = next;
      i = to;
    }
    return w[start];
  }

  /**
   * Runs along a part of the path from a sample whose speed is given.
   *
   * @param count number of elements, fewer than the path has
   * @param w holds the square of the speed at the start, receives those of the samples after it
   */
  void runPart(int start, int count, double[] cap, double[] w) {
    int i = start;
    for (int k = 0; k < count; k++) {
      int to = neighbour(i);
      w[to] = stepTo(i, to, w[i], cap[to]);
      i = to;
    }
  }

  /** Square of the speed at the end of the one element that begins at a sample. */
  double element(int from, double w0, double cap) {
    return stepTo(from, neighbour(from), w0, cap);
  }

  private int neighbour(int i) {
    int n = path.size();
    return forward ? (i + 1 == n ? 0 : i + 1) : (i == 0 ? n - 1 : i - 1);
  }

  private double stepTo(int from, int to, double w0, double cap) {
    return step(from, to, path.elementAt(forward ? from : to), w0, cap);
  }

  /** Heun's method, second order; implicit where the ellipse is steep. */
  private double step(int from, int to, double ds, double w0, double cap) {
    double a0 = acceleration.at(from, w0);
    double free = w0 + 2 * ds * a0;
    if (free > cap + 2 * ds * CLEARLY_ABOVE_MPS2 && cap < STIFF_SHARE * gripLimit[to]) {
      return cap;
    }
    double guess = within(free, cap);
    double a1 = acceleration.at(to, guess);
    double next = w0 + ds * (a0 + a1);
    double highest = next > guess ? next : guess;
    if ((highest < cap ? highest : cap) > STIFF_SHARE * gripLimit[to]) {
      next = implicit(to, ds, w0 + ds * a0, cap, guess, a1);
    }
    return within(next, cap);
  }

  /** Between the least speed that is computed with and the cap. */
  private static double within(double w, double cap) {
    double capped = w < cap ? w : cap;
    return capped > LEAST_W ? capped : LEAST_W;
  }

  /**
   * Trapezoidal rule w = known + ds·a(w) by false position (Illinois); the acceleration falls as
   * the speed rises, so that what is sought lies between the two sides of any trial.
   *
   * @param guess a trial whose acceleration is known already
   */
  private double implicit(
      int to, double ds, double known, double cap, double guess, double aGuess) {
    double low = guess;
    double fLow = guess - known - ds * aGuess;
    double high = guess;
    double fHigh = fLow;
    if (fLow < 0) {
      high = cap;
      fHigh = high - known - ds * acceleration.at(to, high);
      if (fHigh <= 0) {
        return cap;
      }
    } else {
      low = within(known + ds * aGuess, high);
      fLow = low - known - ds * acceleration.at(to, low);
      if (fLow >= 0) {
        return low;
      }
    }
    double w = low;
    for (int k = 0; k < IMPLICIT_ITERATIONS; k++) {
      w = (low * fHigh - high * fLow) / (fHigh - fLow);
      double f = w - known - ds * acceleration.at(to, w);
      if (Math.abs(f) < IMPLICIT_TOLERANCE * w) {
        break;
      }
      if (f > 0) {
        high = w;
        fHigh = f;
        fLow *= 0.5;
      } else {
        low = w;
        fLow = f;
        fHigh *= 0.5;
      }
    }
    return w;
  }
}
