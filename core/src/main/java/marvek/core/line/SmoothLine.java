package marvek.core.line;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Zone;

/**
 * The line of least ∫κ² over its length within a corridor. Each round takes the residuals κ·√σ of
 * the present line, linearised in the offsets with everything that they move (direction, curvature,
 * length), and solves the quadratic programme that follows; rounds end when the line stands still.
 *
 * <p>Method: Heilmeier et al., "Minimum curvature trajectory planning and control for an autonomous
 * race car", <i>Vehicle System Dynamics</i> 58 (2020), with the full derivative in place of a fixed
 * heading.
 */
public final class SmoothLine {
  /** Bound of the iteration; the result tells how many it took. */
  private static final int MAX_ROUNDS = 25;

  /** The line stands still when no offset moves by more than this. */
  private static final double STILL_M = 0.005;

  /** Keeps the programme strictly convex; far below the weight of any bend. */
  private static final double REGULARISATION = 1e-12;

  /** The first round moves the line by about a thousand times what counts as still. */
  private static final double FIRST_MOVE_SHARE = 1000;

  private final Stretch stretch;
  private final Bounds bounds;
  private final double[] weight;
  private final int n;
  private int rounds;
  private double lastMoveM = Double.POSITIVE_INFINITY;

  private SmoothLine(Stretch stretch, Bounds bounds, double[] weight) {
    this.stretch = stretch;
    this.bounds = bounds;
    this.weight = weight;
    this.n = stretch.size();
  }

  /**
   * How the search ended.
   *
   * @param curvatureSquaredPerM ∫κ² dσ of the path [1/m]
   * @param lastMoveM largest change of an offset in the last round [m]
   * @param stoodStill whether that was small enough; else the best line found is given
   */
  public record Result(
      Path path, double curvatureSquaredPerM, int rounds, double lastMoveM, boolean stoodStill) {}

  /** Finds the line; bounded in rounds, and cancelled by interrupting the thread. */
  public static Result find(Road road, Corridor corridor, List<Zone> zones) {
    return find(road, corridor, zones, share -> {});
  }

  /**
   * As {@link #find(Road, Corridor, List)}, telling how far it is.
   *
   * @param progress told the share done after each round, 0 to 1
   */
  public static Result find(
      Road road, Corridor corridor, List<Zone> zones, DoubleConsumer progress) {
    Stretch whole = Stretch.whole(road);
    double[] none = new double[road.size()];
    SmoothLine search = new SmoothLine(whole, Bounds.of(whole, corridor, none), null);
    double[] d = search.run(none, progress);
    Path path = Path.at(road, d, zones);
    return new Result(
        path,
        path.curvatureSquaredPerM(),
        search.rounds,
        search.lastMoveM,
        search.lastMoveM <= STILL_M);
  }

  /**
   * Offsets along a stretch that bend least within bounds.
   *
   * @param weight what a bend counts at each position; null where all count the same
   * @param start offsets to begin from
   */
  static double[] along(Stretch stretch, Bounds bounds, double[] weight, double[] start) {
    return new SmoothLine(stretch, bounds, weight).run(start, share -> {});
  }

  private double[] run(double[] start, DoubleConsumer progress) {
    // Brought within the bounds point by point a line gets kinks, and out of those no round leads.
    double[] d = bounds.hold(start) ? bounds.within(start) : programme(start, objective(start));
    double value = objective(d);
    while (rounds < MAX_ROUNDS && lastMoveM > STILL_M) {
      if (Thread.currentThread().isInterrupted()) {
        throw new CancellationException("line search cancelled");
      }
      rounds++;
      double[] wanted = programme(d, value);
      double share = 1;
      double[] next = between(d, wanted, share);
      double nextValue = objective(next);
      while (nextValue > value * (1 + 1e-9) && share > 1e-3) {
        share *= 0.5;
        next = between(d, wanted, share);
        nextValue = objective(next);
      }
      lastMoveM = 0;
      for (int k = 0; k < n; k++) {
        lastMoveM = Math.max(lastMoveM, Math.abs(next[k] - d[k]));
      }
      d = next;
      value = nextValue;
      // Moves shrink about tenfold a round, from metres to millimetres.
      progress.accept(Math.min(1, Math.max(rounds / (double) MAX_ROUNDS, share(lastMoveM))));
    }
    return d;
  }

  private static double share(double move) {
    return Math.max(
        0, 1 - Math.log(Math.max(move, STILL_M) / STILL_M) / Math.log(FIRST_MOVE_SHARE));
  }

  static double[] between(double[] a, double[] b, double share) {
    double[] mixed = new double[a.length];
    for (int i = 0; i < a.length; i++) {
      mixed[i] = a[i] + share * (b[i] - a[i]);
    }
    return mixed;
  }

  /** The bend of a line at a position of a stretch. */
  static Bend bend(Stretch stretch, double[] d, int k) {
    int before = stretch.position(k - 1);
    int after = stretch.position(k + 1);
    return new Bend(
        stretch.road(),
        stretch.at(before),
        stretch.at(k),
        stretch.at(after),
        d[before],
        d[k],
        d[after]);
  }

  private double weightAt(int k) {
    return weight == null ? 1 : weight[k];
  }

  private double objective(double[] d) {
    double sum = 0;
    for (int k = stretch.edge(); k < n - stretch.edge(); k++) {
      double r = bend(stretch, d, k).residual();
      sum += weightAt(k) * r * r;
    }
    return sum;
  }

  /** Gauss-Newton model of the objective at d, minimised within the bounds. */
  private double[] programme(double[] d, double value) {
    double[] h0 = new double[n];
    double[] h1 = new double[n];
    double[] h2 = new double[n];
    double[] g = new double[n];
    Arrays.fill(h0, REGULARISATION);
    double[] j = new double[3];
    for (int k = stretch.edge(); k < n - stretch.edge(); k++) {
      Bend bend = bend(stretch, d, k);
      bend.residualDerivatives(j);
      int a = stretch.position(k - 1);
      int b = stretch.position(k + 1);
      double weighed = 2 * weightAt(k);
      // Residual of the model at offsets x: r + J(x − d), so its constant part is r − J·d.
      double constant = bend.residual() - j[0] * d[a] - j[1] * d[k] - j[2] * d[b];
      h0[a] += weighed * j[0] * j[0];
      h0[k] += weighed * j[1] * j[1];
      h0[b] += weighed * j[2] * j[2];
      h1[a] += weighed * j[0] * j[1];
      h1[k] += weighed * j[1] * j[2];
      h2[a] += weighed * j[0] * j[2];
      g[a] += weighed * j[0] * constant;
      g[k] += weighed * j[1] * constant;
      g[b] += weighed * j[2] * constant;
    }
    stretch.hold(h0, g, d);
    double tolerance = 1e-8 * Math.max(value, 1e-9) / n;
    return new BoxedQuadraticProgramme(h0, h1, h2, stretch.closed())
        .minimise(g, bounds.low(), bounds.high(), d, tolerance);
  }
}
