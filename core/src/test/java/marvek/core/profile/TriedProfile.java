package marvek.core.profile;

import java.util.Arrays;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;

/**
 * A slow speed profile of a car on two axles, on a flat closed road in still air: one force a step,
 * judged once at its middle, the largest speed back and forth found by trying forces in steps. For
 * checks only; the formulas are written from the free body and share nothing with the model's.
 */
final class TriedProfile {
  private static final double FORCE_STEP_N = 20;
  private static final double MOST_N = 16_000;
  private static final double LEAST_N = -24_000;
  private static final double G = 9.80665;

  private final Path path;
  private final Vehicle car;
  private final Driveline driveline;
  private final int n;
  private final double mass;
  private final double air;
  private final double muAlong;
  private final double muAcross;
  private final double[] bend;
  private final double[] growth;
  private final double[] crest;
  private final double[] slope;

  TriedProfile(Path path, Vehicle car, Conditions day) {
    this.path = path;
    this.car = car;
    driveline = Driveline.of(car, day.model());
    n = path.size();
    mass = car.massKg() + car.driverKg() + day.fuelKg();
    air = 0.5 * day.airDensityKgM3();
    muAlong = car.tyre().muLongitudinal() * day.gripFactor();
    muAcross = car.tyre().muLateral() * day.gripFactor();
    bend = new double[n];
    growth = new double[n];
    crest = new double[n];
    slope = new double[n];
    for (int i = 0; i < n; i++) {
      int next = at(i + 1);
      bend[i] = (path.curvatureAt(i) + path.curvatureAt(next)) / 2;
      crest[i] = (path.verticalCurvatureAt(i) + path.verticalCurvatureAt(next)) / 2;
      slope[i] = (path.gradeFractionAt(i) + path.gradeFractionAt(next)) / 2;
      // Five metres about the middle of a step of one.
      growth[i] = (path.curvatureAt(at(i + 3)) - path.curvatureAt(at(i - 2))) / 5;
    }
  }

  private int at(int i) {
    return Math.floorMod(i, n);
  }

  private double normal(int i, double w) {
    double still = G / Math.sqrt(1 + slope[i] * slope[i]);
    return mass * (still + w * crest[i]) + air * car.aero().clAM2() * w;
  }

  private double resistance(int i, double w) {
    double grade = mass * G * slope[i] / Math.sqrt(1 + slope[i] * slope[i]);
    return air * car.aero().cdAM2() * w + car.rollingResistance() * normal(i, w) + grade;
  }

  private boolean taken(int i, double w, double force) {
    double downforce = air * car.aero().clAM2() * w;
    double still = normal(i, w) - downforce;
    double moved = force * car.cgHeightM() / car.wheelbaseM();
    double share = car.frontWeightShare();
    double front = still * share + downforce * car.aero().frontShare() - moved;
    double rear = normal(i, w) - front;
    double gains = (force - resistance(i, w)) / mass;
    double turns = growth[i] * w + bend[i] * gains;
    double a = car.cgToFrontAxleM();
    double b = car.cgToRearAxleM();
    double yaw = car.turning().dynamicIndex() * mass * a * b * turns / car.wheelbaseM();
    double side = mass * w * bend[i];
    int gear = driveline.bestGear(Math.sqrt(w));
    double ratio = car.gearbox().overallRatio(gear);
    double shut = car.engine().engineBrakingNm() * ratio / car.tyre().radiusM();
    double brakes = Math.max(0, -force - shut);
    double engine = force + brakes;
    double atFront = car.brakes().frontShare();
    if (brakes > car.brakes().maxForceN() || front < 0 || rear < 0) {
      return false;
    }
    double most = muAlong * grip(front, side * share + yaw);
    double mostRear = muAlong * grip(rear, side * (1 - share) - yaw);
    return switch (car.drive()) {
      case FRONT ->
          Math.abs(engine - atFront * brakes) <= most && (1 - atFront) * brakes <= mostRear;
      case REAR ->
          atFront * brakes <= most && Math.abs(engine - (1 - atFront) * brakes) <= mostRear;
      case ALL ->
          force > 0
              ? most >= 0 && mostRear >= 0 && force <= most + mostRear
              : -atFront * force <= most && -(1 - atFront) * force <= mostRear;
    };
  }

  /** What a side force leaves of a load, over the friction along; negative where it is too much. */
  private double grip(double load, double side) {
    double across = side / muAcross;
    double left = load * load - across * across;
    return left >= 0 ? Math.sqrt(left) : -1;
  }

  /** Square of the speed at the middle of a step that begins with w, under a force. */
  private double middle(int i, double w, double force) {
    double ds = path.elementAt(i);
    double guess = w + ds * (force - resistance(i, w)) / mass;
    return w + ds * (force - resistance(i, Math.max(1, guess))) / mass;
  }

  private boolean leadsDown(int i, double w, double next) {
    double ds = path.elementAt(i);
    for (double force = LEAST_N; force <= MOST_N; force += FORCE_STEP_N) {
      double middle = middle(i, w, force);
      double end = 2 * middle - w;
      if (end > next) {
        return false;
      }
      if (middle > ds && taken(i, middle, force)) {
        return true;
      }
    }
    return false;
  }

  private double[] backward() {
    double top = Math.pow(driveline.limiterSpeedMps(driveline.gears()), 2) * 0.9999;
    double[] w = new double[n];
    Arrays.fill(w, top);
    for (int k = 2 * n - 1; k >= 0; k--) {
      int i = at(k);
      double next = w[at(i + 1)];
      double low = 1;
      double high = w[i];
      if (leadsDown(i, high, next)) {
        continue;
      }
      while (high - low > 1e-3) {
        double middle = (low + high) / 2;
        if (leadsDown(i, middle, next)) {
          low = middle;
        } else {
          high = middle;
        }
      }
      w[i] = low;
    }
    return w;
  }

  double timeS() {
    double[] cap = backward();
    double[] w = cap.clone();
    int start = 0;
    for (int i = 1; i < n; i++) {
      start = cap[i] < cap[start] ? i : start;
    }
    for (int k = 0; k < n; k++) {
      int i = at(start + k);
      w[at(i + 1)] = Math.min(cap[at(i + 1)], forward(i, w[i]));
    }
    double time = 0;
    for (int i = 0; i < n; i++) {
      time += 2 * path.elementAt(i) / (Math.sqrt(w[i]) + Math.sqrt(w[at(i + 1)]));
    }
    return time;
  }

  private double forward(int i, double w) {
    for (double force = MOST_N; force >= LEAST_N; force -= FORCE_STEP_N) {
      double middle = middle(i, w, force);
      if (middle > 1
          && force <= driveline.bestForceN(Math.sqrt(middle))
          && taken(i, middle, force)) {
        return 2 * middle - w;
      }
    }
    throw new IllegalStateException("nothing leads on from sample " + i);
  }
}
