package marvek.core.cause;

import marvek.core.Require;
import marvek.core.circuit.Road;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * The time from a place at a speed to the end of the lap, full throttle up to the page's envelope
 * and then along it: {@code V(s, v)} of the method, kept as what it is beyond the page's own time
 * to go. The envelope is the page's speed wherever the page is not flat; where it is, its braking
 * drawn backwards to higher speeds. A table by backward recursion along the road, stations from the
 * start line in metres, speeds in m/s. On a closed road the next lap goes on like the page's, so
 * that speed missing over the line is paid for on the straight behind it. Immutable.
 */
public final class CostToGo {
  /** A station of the table; half of it changes no cost by a millisecond. */
  private static final double STATION_M = 2;

  /** A speed of the table. */
  private static final double CELL_MPS = 0.5;

  /** Whoever is slower stands; what that costs is not a matter of a corner. */
  private static final double SLOWEST_MPS = 3;

  /** Above the page's top speed by so much nothing is gained any more. */
  private static final double BEYOND_TOP = 1.15;

  /** Flat is more than this of the throttle. */
  private static final double FLAT = 0.95;

  /** The first metres of a braking build its pressure up; behind them it is as hard as it gets. */
  private static final double BUILT_UP_M = 60;

  /** Without brakes the envelope falls by no less than this towards where the page lifts. */
  private static final double LEAST_SLOWING_MPS2 = 0.5;

  /** The engine's force changes little over a station: after so many rounds nothing is left. */
  private static final int REST_ROUNDS = 3;

  private final Lap page;
  private final Road road;
  private final ForceModel forces;
  private final int stride;
  private final int stations;
  private final int cells;
  private final double[] toGo;
  private final double[] envelope;
  private final double[] atEnvelope;
  private final double[][] behind;

  private CostToGo(Lap page) {
    this.page = page;
    this.road = page.path().road();
    this.forces = page.forces();
    this.stride = (int) Math.max(1, Math.round(STATION_M / road.stepM()));
    int elements = page.path().elements();
    this.stations = (elements + stride - 1) / stride;
    this.cells = (int) Math.ceil(page.topSpeedMps() * BEYOND_TOP / CELL_MPS) + 1;
    this.toGo = new double[stations + 1];
    this.envelope = new double[stations + 1];
    this.atEnvelope = new double[stations + 1];
    this.behind = new double[stations + 1][cells];
  }

  /** The table of a page's lap. */
  public static CostToGo of(Lap page) {
    CostToGo table = new CostToGo(page);
    table.drawEnvelope();
    table.fill();
    if (table.road.closed()) {
      // What is paid behind the line is what the begin of a lap has to pay.
      table.behind[table.stations] = table.behind[0].clone();
      table.atEnvelope[table.stations] = table.atEnvelope[0];
      table.fill();
    }
    return table;
  }

  /** Sample of the road at a station of the table; the road's end is its first one if closed. */
  private int sample(int j) {
    int i = Math.min(j * stride, page.path().elements());
    return i < road.size() ? i : road.wrap(i);
  }

  private double lengthM(int j) {
    double metres = 0;
    for (int i = j * stride; i < Math.min((j + 1) * stride, page.path().elements()); i++) {
      metres += page.path().elementAt(i);
    }
    return metres;
  }

  private double pageS(int j) {
    int i = Math.min(j * stride, page.path().elements());
    return i < page.path().elements() ? page.timeAt(i) : page.timeS();
  }

  private boolean flat(int j) {
    int i = sample(j);
    return page.elementThrottleShareAt(road.wrap(i)) >= FLAT && page.brakeShareAt(i) == 0;
  }

  private void drawEnvelope() {
    boolean[] flat = new boolean[stations + 1];
    for (int j = 0; j <= stations; j++) {
      flat[j] = j < stations ? flat(j) : road.closed() ? flat[0] : true;
      toGo[j] = page.timeS() - pageS(j);
    }
    double fastest = (cells - 1) * CELL_MPS;
    int rounds = road.closed() ? 2 : 1;
    double next = fastest;
    double slowing = LEAST_SLOWING_MPS2;
    for (int k = rounds * (stations + 1) - 1; k >= 0; k--) {
      int j = k % (stations + 1);
      double own = page.speedAt(sample(j));
      if (!flat[j]) {
        envelope[j] = own;
        slowing = slowingFrom(j);
      } else {
        double ahead = j < stations ? lengthM(j) : 0;
        double drawn = Math.sqrt(next * next + 2 * slowing * ahead);
        envelope[j] = Math.max(own, Math.min(fastest, drawn));
      }
      next = envelope[j];
    }
  }

  /** How hard the page slows soon behind a station. */
  private double slowingFrom(int j) {
    double hardest = LEAST_SLOWING_MPS2;
    for (int i = 0; i * road.stepM() < BUILT_UP_M; i++) {
      int at = sample(j) + i;
      if (!road.closed() && at >= road.size()) {
        break;
      }
      hardest = Math.max(hardest, -page.longitudinalAccelerationAt(road.wrap(at)));
    }
    return hardest;
  }

  private void fill() {
    double[] gained = new double[cells];
    for (int j = stations - 1; j >= 0; j--) {
      double metres = lengthM(j);
      double seconds = pageS(j + 1) - pageS(j);
      double page0 = page.speedAt(sample(j));
      double page1 = page.speedAt(sample(j + 1));
      boolean flat = flat(j);
      // What the model leaves out of the page's own way (a change of gear) slows others likewise.
      double own = left(j, page0, page1, metres);
      // Elsewhere the page holds back; what it cannot do by the model it does all the same.
      double rest = flat ? own : Math.max(0, own);
      for (int c = 0; c < cells; c++) {
        double v = Math.max(SLOWEST_MPS, c * CELL_MPS);
        gained[c] = v < envelope[j] ? step(j, v, metres, rest) - seconds : Double.NaN;
      }
      atEnvelope[j] = step(j, envelope[j], metres, rest) - seconds;
      for (int c = 0; c < cells; c++) {
        behind[j][c] = Double.isNaN(gained[c]) ? atEnvelope[j] : gained[c];
      }
    }
  }

  private double net(int j, double v) {
    double engine = page.driveline().bestForceN(v);
    return forces.netDriveN(sample(j), v * v, engine) / forces.massKg();
  }

  /** Over one station: its time, and what is behind its end. */
  private double step(int j, double v, double metres, double rest) {
    // Heun: the force at the end of the step counts as much as that at its begin.
    double begun = net(j, v) + rest;
    double predicted = gained(v, metres, begun);
    double mean = (begun + net(j, predicted) + rest) / 2;
    double end = Math.min(envelope[j + 1], gained(v, metres, mean));
    return 2 * metres / (v + end) + at(j + 1, end);
  }

  /** What the page has beyond the model over a station, so that its own step leads to its speed. */
  private double left(int j, double page0, double page1, double metres) {
    double needed = (page1 * page1 - page0 * page0) / (2 * metres);
    double rest = needed - net(j, page0);
    for (int round = 0; round < REST_ROUNDS; round++) {
      double predicted = gained(page0, metres, net(j, page0) + rest);
      rest = needed - (net(j, page0) + net(j, predicted)) / 2;
    }
    return rest;
  }

  private static double gained(double v, double metres, double acceleration) {
    double w = v * v + 2 * metres * acceleration;
    return Math.sqrt(Math.max(SLOWEST_MPS * SLOWEST_MPS, w));
  }

  /** By cubic interpolation between speeds, one-sided beside the envelope, where it has a kink. */
  private double at(int j, double v) {
    if (v >= envelope[j]) {
      return atEnvelope[j];
    }
    int c = Math.min(cells - 2, (int) (v / CELL_MPS));
    double right = (c + 1) * CELL_MPS;
    if (right > envelope[j]) {
      double left = c * CELL_MPS;
      double share = (v - left) / (envelope[j] - left);
      return behind[j][c] + share * (atEnvelope[j] - behind[j][c]);
    }
    double t = v / CELL_MPS - c;
    boolean inside = c > 0 && c + 2 < cells && (c + 2) * CELL_MPS <= envelope[j];
    double[] row = behind[j];
    return inside
        ? cubic(row[c - 1], row[c], row[c + 1], row[c + 2], t)
        : row[c] + t * (row[c + 1] - row[c]);
  }

  /** Through four neighbours, at {@code t} between the second and the third (Lagrange). */
  private static double cubic(double a, double b, double c, double d, double t) {
    double p = t + 1;
    double q = t - 1;
    double r = t - 2;
    return -a * t * q * r / 6 + b * p * q * r / 2 - c * p * t * r / 2 + d * p * t * q / 6;
  }

  /**
   * Seconds beyond the page's own time to go, from a station at a speed; negative for who is faster
   * than the page there.
   *
   * @param stationM 0 to the road's length
   * @param speedMps what is below 3 m/s counts as that
   */
  public double behindS(double stationM, double speedMps) {
    Require.within("station_m", stationM, 0, road.lengthM() + road.stepM());
    double v = Math.max(SLOWEST_MPS, Require.finite("speed_mps", speedMps));
    double at = Math.min(stations, stationM / (stride * road.stepM()));
    int j = Math.min(stations - 1, (int) at);
    double share = at - j;
    return (1 - share) * at(j, v) + share * at(j + 1, v);
  }

  /** {@code V(s, v)}: seconds from a station at a speed to the end of the lap. */
  public double toEndS(double stationM, double speedMps) {
    double at = Math.min(stations, stationM / (stride * road.stepM()));
    int j = Math.min(stations - 1, (int) at);
    double share = at - j;
    return (1 - share) * toGo[j] + share * toGo[j + 1] + behindS(stationM, speedMps);
  }
}
