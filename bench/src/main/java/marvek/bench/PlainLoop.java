package marvek.bench;

import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Driveline;
import marvek.core.profile.ForceModel;
import marvek.core.vehicle.Vehicle;

/**
 * The same speed profile as a plain loop, as quick as it can be written: a rear-driven car, its
 * axles told apart, in still air on a closed road; what the tyres hold at each place, braking
 * backward from there and driving forward below it by Heun's step, in the best gear from tables. No
 * gears are chosen, nothing is done again in them, no step is implicit, and what a place and a gear
 * give is tabulated before the clock runs. What a lap solve is measured against.
 */
final class PlainLoop {
  private static final double CELLS_PER_MPS = 20;
  private static final double LEAST_W = 0.25;

  private final int n;
  private final double[] ds;
  private final double[] normal0;
  private final double[] normal1;
  private final double[] side0;
  private final double[] side1;
  private final double[] along;
  private final double[] grip;
  private final double[] yaw0;
  private final double[] yaw1;
  private final double[] whole;
  private final double[] limit;
  private final double[] braking;
  private final double[] w;
  private final double[] force;
  private final double[] closed;
  private final double mass;
  private final double drag;
  private final double lift;
  private final double rolling;
  private final double muX;
  private final double muY;
  private final double sensitivity;
  private final double reference;
  private final double height;
  private final double front;
  private final double aeroFront;
  private final double share;
  private final double mostBrakes;
  private final double top;

  PlainLoop(Path path, Vehicle car, Conditions day) {
    n = path.size();
    ds = new double[n];
    normal0 = new double[n];
    normal1 = new double[n];
    side0 = new double[n];
    side1 = new double[n];
    along = new double[n];
    grip = new double[n];
    yaw0 = new double[n];
    yaw1 = new double[n];
    whole = new double[n];
    limit = new double[n];
    braking = new double[n];
    w = new double[n];
    ForceModel forces = new ForceModel(path, car, day);
    mass = forces.massKg();
    double yaw = ForceModel.yawKgM(car, mass);
    for (int i = 0; i < n; i++) {
      ds[i] = path.elementAt(i);
      normal0[i] = forces.normalN(i, 0);
      normal1[i] = forces.normalN(i, 1) - normal0[i];
      side0[i] = forces.lateralDemandN(i, 0);
      side1[i] = forces.lateralDemandN(i, 1) - side0[i];
      along[i] = forces.gradeN(i);
      grip[i] = forces.gripAt(i);
      whole[i] = forces.limitW(i);
      yaw0[i] = yaw * path.curvatureAt(i) / mass;
      int before = path.road().wrap(i - 2);
      yaw1[i] = yaw * (path.curvatureAt(path.road().wrap(i + 3)) - path.curvatureAt(before)) / 5;
    }
    drag = forces.dragPerSquaredSpeed();
    lift = forces.downforcePerSquaredSpeed();
    rolling = car.rollingResistance();
    muX = car.tyre().muLongitudinal() * day.gripFactor();
    muY = car.tyre().muLateral() * day.gripFactor();
    sensitivity = car.tyre().loadSensitivity();
    reference = car.tyre().referenceLoadN() * car.wheels();
    height = car.cgHeightM() / car.wheelbaseM();
    front = car.frontWeightShare();
    aeroFront = car.aero().frontShare();
    share = car.brakes().frontShare();
    mostBrakes = car.brakes().maxForceN();
    Driveline driveline = Driveline.of(car, day.model());
    double fastest = driveline.limiterSpeedMps(driveline.gears());
    top = fastest * fastest;
    force = new double[(int) (fastest * CELLS_PER_MPS) + 3];
    closed = new double[force.length];
    for (int c = 0; c < force.length; c++) {
      double v = c / CELLS_PER_MPS;
      force[c] = driveline.bestForceN(v);
      closed[c] = driveline.closedThrottleN(driveline.bestGear(v));
    }
  }

  /** Time of a lap [s]. */
  double timeS() {
    for (int i = 0; i < n; i++) {
      limit[i] = held(i);
    }
    round(false, limit, braking);
    round(true, braking, w);
    double time = 0;
    for (int i = 0; i < n; i++) {
      time += 2 * ds[i] / (Math.sqrt(w[i]) + Math.sqrt(w[i + 1 == n ? 0 : i + 1]));
    }
    return time;
  }

  /** The highest speed at which both axles hold some force along, by false position (Illinois). */
  private double held(int i) {
    double high = whole[i] < top ? whole[i] : top;
    double above = spare(i, high);
    if (above >= 0) {
      return high;
    }
    double low = 0.9 * high;
    double below = spare(i, low);
    while (below < 0 && low > LEAST_W) {
      low *= 0.9;
      below = spare(i, low);
    }
    for (int k = 0; k < 60 && high - low > 1e-7 * high; k++) {
      double middle = (low * above - high * below) / (above - below);
      double f = spare(i, middle);
      if (f >= 0 && f < 1) {
        return middle;
      }
      if (f >= 0) {
        low = middle;
        below = f;
        above *= 0.5;
      } else {
        high = middle;
        above = f;
        below *= 0.5;
      }
    }
    return low;
  }

  private double spare(int i, double w2) {
    return driven(i, w2) - braked(i, w2);
  }

  private void round(boolean drives, double[] cap, double[] result) {
    int at = 0;
    for (int i = 1; i < n; i++) {
      at = cap[i] < cap[at] ? i : at;
    }
    result[at] = cap[at];
    for (int k = 1; k < n; k++) {
      int to = drives ? (at + 1 == n ? 0 : at + 1) : (at == 0 ? n - 1 : at - 1);
      double step = ds[drives ? at : to];
      double here = gain(drives, at, result[at]);
      double guess = Math.max(LEAST_W, Math.min(cap[to], result[at] + 2 * step * here));
      double next = result[at] + step * (here + gain(drives, to, guess));
      result[to] = Math.max(LEAST_W, Math.min(cap[to], next));
      at = to;
    }
  }

  private double gain(boolean drives, int i, double w2) {
    double slows = drag * w2 + rolling * (normal0[i] + w2 * normal1[i]) + along[i];
    return drives
        ? (Math.min(table(force, w2), driven(i, w2)) - slows) / mass
        : (slows - braked(i, w2)) / mass;
  }

  private static double table(double[] of, double w2) {
    double t = Math.sqrt(w2) * CELLS_PER_MPS;
    int c = Math.min((int) t, of.length - 2);
    return of[c] + (t - c) * (of[c + 1] - of[c]);
  }

  /** Greatest force along: the driven rear's, or what the front leaves. */
  private double driven(int i, double w2) {
    return axles(i, w2, 0, 0, 0, 1, true);
  }

  /** Least force along: brakes by their share, the shut throttle at the rear. */
  private double braked(int i, double w2) {
    double shut = table(closed, w2);
    double least = axles(i, w2, share * shut, share, -share * shut, 1 - share, false);
    return Math.max(least, -mostBrakes - shut);
  }

  /** End of the forces that both axles hold, theirs being f0 + f1·F and r0 + r1·F. */
  private double axles(
      int i, double w2, double f0, double f1, double r0, double r1, boolean upper) {
    double normal = normal0[i] + w2 * normal1[i];
    double down = lift * w2;
    double onFront = (normal - down) * front + aeroFront * down;
    double local = grip[i] * Math.max(0.1, 1 - sensitivity * (normal / reference - 1));
    double x = muX * local;
    double y = muY * local;
    double slows = drag * w2 + rolling * normal + along[i];
    double side = side0[i] + w2 * side1[i];
    double turns = yaw1[i] * w2 - yaw0[i] * slows;
    double atFront = side * front + turns;
    double one =
        end(f0 * y, f1 * y, atFront * x, yaw0[i] * x, onFront * x * y, -height * x * y, upper);
    double two =
        end(
            r0 * y,
            r1 * y,
            (side - atFront) * x,
            -yaw0[i] * x,
            (normal - onFront) * x * y,
            height * x * y,
            upper);
    return upper ? Math.min(one, two) : Math.max(one, two);
  }

  /** Upper or lower F with (x0 + x1·F)² + (y0 + y1·F)² = (n0 + n1·F)². */
  private static double end(
      double x0, double x1, double y0, double y1, double n0, double n1, boolean upper) {
    double a = x1 * x1 + y1 * y1 - n1 * n1;
    if (a <= 0 && n1 > 0 == upper) {
      return upper ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }
    double b = x0 * x1 + y0 * y1 - n0 * n1;
    double square = b * b - a * (x0 * x0 + y0 * y0 - n0 * n0);
    double root = square >= 0 ? Math.sqrt(square) : -Math.sqrt(-square);
    return ((upper ? root : -root) - b) / a;
  }
}
