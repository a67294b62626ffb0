package marvek.bench;

import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Constants;
import marvek.core.vehicle.Vehicle;

/**
 * A speed profile as a plain loop, as quick as it can be written: a rear-driven car as a whole, in
 * still air, on a flat closed road, the best gear's force from a table, Heun's step both ways, no
 * gears chosen. What a lap solve is measured against.
 */
final class PlainLoop {
  private static final double CELLS_PER_MPS = 20;

  private final int n;
  private final double[] ds;
  private final double[] bend;
  private final double[] limit;
  private final double[] braking;
  private final double[] w;
  private final double[] force;
  private final double mass;
  private final double weight;
  private final double drag;
  private final double lift;
  private final double rolling;
  private final double muX;
  private final double muY;
  private final double ratio;
  private final double front;
  private final double aeroFront;
  private final double share;
  private final double top;

  PlainLoop(Path path, Vehicle car, Conditions day) {
    n = path.size();
    ds = new double[n];
    bend = new double[n];
    limit = new double[n];
    braking = new double[n];
    w = new double[n];
    for (int i = 0; i < n; i++) {
      ds[i] = path.elementAt(i);
      bend[i] = Math.abs(path.curvatureAt(i));
    }
    mass = car.massKg() + car.driverKg();
    weight = mass * Constants.G0;
    drag = 0.5 * day.airDensityKgM3() * car.aero().cdAM2();
    lift = 0.5 * day.airDensityKgM3() * car.aero().clAM2();
    rolling = car.rollingResistance();
    muX = car.tyre().muLongitudinal() * day.gripFactor();
    muY = car.tyre().muLateral() * day.gripFactor();
    ratio = car.cgHeightM() / car.wheelbaseM();
    front = car.frontWeightShare();
    aeroFront = car.aero().frontShare();
    share = car.brakes().frontShare();
    double perTorque = car.gearbox().efficiency() / car.tyre().radiusM();
    double perSpeed = 30 / Math.PI / car.tyre().radiusM();
    int gears = car.gearbox().gears();
    top = car.engine().limiterRpm() / (perSpeed * car.gearbox().overallRatio(gears));
    force = new double[(int) (top * CELLS_PER_MPS) + 3];
    for (int c = 0; c < force.length; c++) {
      for (int g = 1; g <= gears; g++) {
        double overall = car.gearbox().overallRatio(g);
        double torque = car.engine().torqueNm(c / CELLS_PER_MPS * perSpeed * overall);
        force[c] = Math.max(force[c], torque * overall * perTorque);
      }
    }
  }

  /** Time of a lap [s]. */
  double timeS() {
    for (int i = 0; i < n; i++) {
      double most = bend[i] * mass - muY * lift;
      limit[i] = Math.min(top * top, most > 0 ? muY * weight / most : Double.POSITIVE_INFINITY);
    }
    round(false, limit, braking);
    round(true, braking, w);
    double time = 0;
    for (int i = 0; i < n; i++) {
      time += 2 * ds[i] / (Math.sqrt(w[i]) + Math.sqrt(w[i + 1 == n ? 0 : i + 1]));
    }
    return time;
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
      double guess = Math.max(0.25, Math.min(cap[to], result[at] + 2 * step * here));
      double next = result[at] + step * (here + gain(drives, to, guess));
      result[to] = Math.max(0.25, Math.min(cap[to], next));
      at = to;
    }
  }

  private double gain(boolean drives, int i, double w2) {
    double normal = weight + lift * w2;
    double use = bend[i] * mass * w2 / (muY * normal);
    double mu = use < 1 ? muX * Math.sqrt(1 - use * use) : 0;
    double onFront = weight * front + lift * w2 * aeroFront;
    double slows = drag * w2 + rolling * normal;
    if (drives) {
      double t = Math.sqrt(w2) * CELLS_PER_MPS;
      int c = Math.min((int) t, force.length - 2);
      double engine = force[c] + (t - c) * (force[c + 1] - force[c]);
      double tyres = mu * (normal - onFront) / (1 - mu * ratio);
      return (Math.min(engine, tyres) - slows) / mass;
    }
    double ofFront = mu * onFront / Math.max(1e-3, share - mu * ratio);
    double ofRear = mu * (normal - onFront) / (1 - share + mu * ratio);
    return (Math.min(mu * normal, Math.min(ofFront, ofRear)) + slows) / mass;
  }
}
