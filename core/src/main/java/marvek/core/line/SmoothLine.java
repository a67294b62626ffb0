package marvek.core.line;

import java.util.List;
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
  private static final int MAX_ROUNDS = 25;

  /** The line stands still when no offset moves by more than this. */
  private static final double STILL_M = 0.005;

  /** Keeps the programme strictly convex; far below the weight of any bend. */
  private static final double REGULARISATION = 1e-12;

  /** Room given to bounds that meet, so that the interior is not empty. */
  private static final double LEAST_ROOM_M = 0.002;

  private final Road road;
  private final int n;
  private final double[] low;
  private final double[] high;

  private SmoothLine(Road road, Corridor corridor) {
    this.road = road;
    this.n = road.size();
    low = new double[n];
    high = new double[n];
    for (int i = 0; i < n; i++) {
      double pinch = Math.max(0, LEAST_ROOM_M - (corridor.leftAt(i) - corridor.rightAt(i)));
      low[i] = corridor.rightAt(i) - pinch / 2;
      high[i] = corridor.leftAt(i) + pinch / 2;
    }
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
    return new SmoothLine(road, corridor).find(zones, progress);
  }

  private Result find(List<Zone> zones, DoubleConsumer progress) {
    double[] d = new double[n];
    for (int i = 0; i < n; i++) {
      d[i] = Math.max(low[i], Math.min(high[i], 0));
    }
    double value = objective(d);
    double move = Double.POSITIVE_INFINITY;
    int round = 0;
    while (round < MAX_ROUNDS && move > STILL_M) {
      if (Thread.currentThread().isInterrupted()) {
        throw new java.util.concurrent.CancellationException("line search cancelled");
      }
      round++;
      double[] wanted = programme(d, value);
      double share = 1;
      double[] next = between(d, wanted, share);
      double nextValue = objective(next);
      while (nextValue > value * (1 + 1e-9) && share > 1e-3) {
        share *= 0.5;
        next = between(d, wanted, share);
        nextValue = objective(next);
      }
      move = 0;
      for (int i = 0; i < n; i++) {
        move = Math.max(move, Math.abs(next[i] - d[i]));
      }
      d = next;
      value = nextValue;
      // Moves shrink about tenfold a round, from metres to millimetres.
      progress.accept(Math.min(1, Math.max(round / (double) MAX_ROUNDS, share(move))));
    }
    Path path = Path.at(road, d, zones);
    return new Result(path, path.curvatureSquaredPerM(), round, move, move <= STILL_M);
  }

  private static double share(double move) {
    return Math.max(
        0, 1 - Math.log(Math.max(move, STILL_M) / STILL_M) / Math.log(FIRST_MOVE_SHARE));
  }

  /** The first round moves the line by about a thousand times what counts as still. */
  private static final double FIRST_MOVE_SHARE = 1000;

  private static double[] between(double[] a, double[] b, double share) {
    double[] mixed = new double[a.length];
    for (int i = 0; i < a.length; i++) {
      mixed[i] = a[i] + share * (b[i] - a[i]);
    }
    return mixed;
  }

  private double px(double[] d, int i) {
    return road.xAt(i) + d[i] * road.normalXAt(i);
  }

  private double py(double[] d, int i) {
    return road.yAt(i) + d[i] * road.normalYAt(i);
  }

  private double objective(double[] d) {
    double sum = 0;
    int first = road.closed() ? 0 : 1;
    for (int i = first; i < n - first; i++) {
      double r = new Bend(d, i).residual();
      sum += r * r;
    }
    return sum;
  }

  /** Gauss-Newton model of the objective at d, minimised within the corridor. */
  private double[] programme(double[] d, double value) {
    double[] h0 = new double[n];
    double[] h1 = new double[n];
    double[] h2 = new double[n];
    double[] g = new double[n];
    java.util.Arrays.fill(h0, REGULARISATION);
    int edge = road.closed() ? 0 : 1;
    double[] j = new double[3];
    for (int i = edge; i < n - edge; i++) {
      Bend bend = new Bend(d, i);
      bend.derivatives(j);
      int a = road.wrap(i - 1);
      int b = road.wrap(i + 1);
      // Residual of the model at offsets x: r + J(x − d), so its constant part is r − J·d.
      double constant = bend.residual() - j[0] * d[a] - j[1] * d[i] - j[2] * d[b];
      h0[a] += 2 * j[0] * j[0];
      h0[i] += 2 * j[1] * j[1];
      h0[b] += 2 * j[2] * j[2];
      h1[a] += 2 * j[0] * j[1];
      h1[i] += 2 * j[1] * j[2];
      h2[a] += 2 * j[0] * j[2];
      g[a] += 2 * j[0] * constant;
      g[i] += 2 * j[1] * constant;
      g[b] += 2 * j[2] * constant;
    }
    double tolerance = 1e-8 * Math.max(value, 1e-9) / n;
    return new BoxedQuadraticProgramme(h0, h1, h2, road.closed())
        .minimise(g, low, high, d, tolerance);
  }

  /** Curvature at sample i from three neighbouring points, weighed by its share of the length. */
  private final class Bend {
    private final int a;
    private final int i;
    private final int b;
    private final double ux;
    private final double uy;
    private final double vx;
    private final double vy;
    private final double u;
    private final double v;
    private final double c;
    private final double kappa;
    private final double root;

    Bend(double[] d, int i) {
      this.i = i;
      a = road.wrap(i - 1);
      b = road.wrap(i + 1);
      double x = px(d, i);
      double y = py(d, i);
      ux = x - px(d, a);
      uy = y - py(d, a);
      vx = px(d, b) - x;
      vy = py(d, b) - y;
      u = Math.sqrt(ux * ux + uy * uy);
      v = Math.sqrt(vx * vx + vy * vy);
      c = Math.sqrt((ux + vx) * (ux + vx) + (uy + vy) * (uy + vy));
      kappa = 2 * (ux * vy - uy * vx) / (u * v * c);
      root = Math.sqrt(0.5 * (u + v));
    }

    double residual() {
      return kappa * root;
    }

    /** Derivatives of the residual by the offsets at i−1, i and i+1. */
    void derivatives(double[] j) {
      double ax = -road.normalXAt(a);
      double ay = -road.normalYAt(a);
      j[0] = derivative(ax, ay, 0, 0);
      double nx = road.normalXAt(i);
      double ny = road.normalYAt(i);
      j[1] = derivative(nx, ny, -nx, -ny);
      j[2] = derivative(0, 0, road.normalXAt(b), road.normalYAt(b));
    }

    private double derivative(double dux, double duy, double dvx, double dvy) {
      double cross = dux * vy - duy * vx + ux * dvy - uy * dvx;
      double du = (ux * dux + uy * duy) / u;
      double dv = (vx * dvx + vy * dvy) / v;
      double dc = ((ux + vx) * (dux + dvx) + (uy + vy) * (duy + dvy)) / c;
      double dKappa = 2 * cross / (u * v * c) - kappa * (du / u + dv / v + dc / c);
      return dKappa * root + kappa * 0.25 * (du + dv) / root;
    }
  }
}
