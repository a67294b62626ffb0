package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.circuit.Road;

/**
 * A drive of which everything is known, by a point that follows the road's bends within a circle of
 * its own: no model of the core has a part in it. A thousand states a second.
 */
final class DrivenTruth {
  static final double STEP_S = 0.001;
  private static final double SIDE_MPS2 = 9.5;
  private static final double BRAKES_MPS2 = 8.5;
  private static final double PULLS_MPS2 = 4.2;
  private static final double POWER_PER_KG = 170;
  private static final double DRAG_PER_M = 0.0009;
  private static final double FASTEST_MPS = 66;

  /** A foot is at full pressure so long after it is at none. */
  private static final double PRESS_S = 0.12;

  /** Where the brake came above 3 % for a real braking. */
  record BrakeOn(int lap, double stationM, double peakPct) {}

  private final Road road;
  private final java.util.function.IntToDoubleFunction line;
  final List<double[]> states = new ArrayList<>();
  final List<Double> crossingsS = new ArrayList<>();
  final List<BrakeOn> brakes = new ArrayList<>();

  /**
   * Drives laps, from before the line to behind it.
   *
   * @param line offset from the centreline by sample of the road, left positive
   * @param slow factor on a lap's grip, by lap; 1 for as fast as it goes
   */
  DrivenTruth(Road road, java.util.function.IntToDoubleFunction line, double[] slow, long seed) {
    this.road = road;
    this.line = line;
    Random random = new Random(seed);
    double s = -500;
    double t = 0;
    double brake = 0;
    double throttle = 1;
    double v = Double.NaN;
    int laps = slow.length;
    double[][] profiles = new double[laps][];
    for (int k = 0; k < laps; k++) {
      profiles[k] = profile(slow[k] * (1 - 0.015 * random.nextDouble()));
    }
    double phase = random.nextDouble();
    double end = laps * road.lengthM() + 300;
    boolean on = false;
    double onAt = 0;
    double peak = 0;
    while (s < end) {
      int lap = (int) Math.max(0, Math.min(laps - 1, Math.floor(s / road.lengthM())));
      int at = road.indexOf(road.wrapStation(s));
      double target = profiles[lap][at];
      double ahead = profiles[lap][road.wrap(at + 1)];
      v = Double.isNaN(v) ? target : v;
      double wanted = (ahead * ahead - target * target) / (2 * road.stepM()) + 8 * (target - v);
      double drag = DRAG_PER_M * v * v + 0.15;
      double most = Math.min(PULLS_MPS2, POWER_PER_KG / Math.max(10, v));
      double brakeWanted = Math.max(0, Math.min(1, (-wanted - drag - 0.6) / BRAKES_MPS2));
      double throttleWanted =
          brakeWanted > 0 ? 0 : Math.max(0, Math.min(1, (wanted + drag) / most));
      double step = STEP_S / PRESS_S;
      brake += Math.max(-step, Math.min(step, brakeWanted - brake));
      throttle += Math.max(-step, Math.min(step, throttleWanted - throttle));
      double a = throttle * most - drag - brake * BRAKES_MPS2 - (throttle < 0.02 ? 0.6 : 0);
      double offset = offset(at, s, phase);
      states.add(
          new double[] {
            t,
            s,
            offset,
            v,
            100 * brake,
            100 * throttle,
            gear(v),
            road.curvatureAt(at) * v * v / 9.80665,
            a / 9.80665
          });
      double moved = v * STEP_S / Math.max(0.5, 1 - offset * road.curvatureAt(at));
      double line1 = Math.floor((s + moved) / road.lengthM()) * road.lengthM();
      if (line1 > s) {
        crossingsS.add(t + STEP_S * (line1 - s) / moved);
      }
      if (!on && brake > 0.03) {
        on = true;
        onAt = s;
        peak = 0;
      }
      peak = Math.max(peak, brake);
      if (on && brake < 0.03) {
        on = false;
        int of = (int) Math.floor(onAt / road.lengthM());
        if (onAt > 0 && of < laps) {
          brakes.add(new BrakeOn(of, onAt - of * road.lengthM(), 100 * peak));
        }
      }
      s += moved;
      v = Math.max(1, v + a * STEP_S);
      t += STEP_S;
    }
  }

  private double offset(int at, double s, double phase) {
    return line.applyAsDouble(at) + 0.35 * Math.sin(2 * Math.PI * (s / 400 + phase));
  }

  private static int gear(double v) {
    return (int) Math.max(2, Math.min(6, 1 + v / 12));
  }

  private double[] profile(double grip) {
    int n = road.size();
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      double bend =
          Math.abs(road.curvatureAt(i) / (1 - line.applyAsDouble(i) * road.curvatureAt(i)));
      v[i] =
          Math.min(
              FASTEST_MPS * Math.sqrt(grip), Math.sqrt(grip * SIDE_MPS2 / Math.max(1e-4, bend)));
    }
    for (int round = 0; round < 2; round++) {
      for (int k = n - 1; k >= 0; k--) {
        double next = v[(k + 1) % n];
        v[k] = Math.min(v[k], Math.sqrt(next * next + 2 * grip * 0.9 * BRAKES_MPS2 * road.stepM()));
      }
      for (int k = 0; k < n; k++) {
        int j = (k + 1) % n;
        double a =
            Math.min(PULLS_MPS2, POWER_PER_KG / Math.max(10, v[k])) - DRAG_PER_M * v[k] * v[k];
        v[j] = Math.min(v[j], Math.sqrt(Math.max(1, v[k] * v[k] + 2 * a * road.stepM())));
      }
    }
    return v;
  }

  /** Lap times from line to line [s]. */
  double[] lapTimes() {
    double[] times = new double[crossingsS.size() - 1];
    for (int k = 0; k < times.length; k++) {
      times[k] = crossingsS.get(k + 1) - crossingsS.get(k);
    }
    return times;
  }

  double seconds() {
    return states.size() * STEP_S;
  }

  double[] stateAt(double t) {
    return states.get((int) Math.max(0, Math.min(states.size() - 1, Math.round(t / STEP_S))));
  }

  /** Position of a state in the plane of the road. */
  double[] place(double[] state) {
    double s = road.wrapStation(state[1]);
    int i = road.indexOf(s);
    double along = s - road.stationAt(i);
    if (along > road.lengthM() / 2) {
      along -= road.lengthM();
    }
    double nx = road.normalXAt(i);
    double ny = road.normalYAt(i);
    // The normal points left: the tangent is it turned to the right. A bend leaves its tangent.
    double off = state[2] + along * along * road.curvatureAt(i) / 2;
    return new double[] {
      road.xAt(i) + off * nx + along * (1 - off * road.curvatureAt(i)) * ny,
      road.yAt(i) + off * ny - along * (1 - off * road.curvatureAt(i)) * nx
    };
  }
}
