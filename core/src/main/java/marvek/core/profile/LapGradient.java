package marvek.core.profile;

import marvek.core.circuit.Path;

/**
 * What a little more bend or length at each sample of a lap costs, from one solved lap: the adjoint
 * of the sweeps. Backward along what was driven and forward along what was braked, it carries what
 * a unit of the speed's square is worth to the place that decides it, the apex.
 *
 * <p>Gears stay those of the lap; grade and the sides of zones do not move with the line.
 */
public final class LapGradient {
  /** Nearer to the limit than this share the speed is the limit's. */
  private static final double AT_LIMIT = 1 - 1e-4;

  /** Steps of the difference quotients; toward less load, where the ellipse has a slope. */
  private static final double LESS_BEND = 1e-4;

  /** As small for the speed's square: half of the digits are left. */
  private static final double LESS_SPEED = 1e-4;

  private enum Decided {
    BY_LIMIT,
    BY_DRIVE,
    BY_BRAKES
  }

  private final Lap lap;
  private final Path path;
  private final ForceModel forces;
  private final ForceModel eased;
  private final Acceleration drive;
  private final Acceleration driveEased;
  private final Acceleration brakes;
  private final Acceleration brakesEased;
  private final int n;
  private final double[] w;
  private final boolean[] brakedElement;
  private final Decided[] decided;
  private final double[] adjoint;
  private final double[] perCurvature;
  private final double[] perMetre;

  private LapGradient(Lap lap) {
    this.lap = lap;
    path = lap.path();
    forces = lap.forces();
    eased = forces.bentLess(path, LESS_BEND);
    ProfileOptions none = ProfileOptions.NONE;
    drive = Acceleration.inGears(forces, lap.driveline(), none, lap.plan());
    driveEased = Acceleration.inGears(eased, lap.driveline(), none, lap.plan());
    brakes = Acceleration.braking(forces);
    brakesEased = Acceleration.braking(eased);
    n = lap.size();
    w = new double[n];
    brakedElement = new boolean[n];
    decided = new Decided[n];
    adjoint = new double[n];
    perCurvature = new double[n];
    perMetre = new double[n];
  }

  /** Works it out for a lap without limits of a driver's own. */
  public static LapGradient of(Lap lap) {
    LapGradient worker = new LapGradient(lap);
    worker.run();
    return worker;
  }

  /** Seconds for a unit of curvature in its own sense at a sample: not negative as a rule [s·m]. */
  public double secondsPerCurvatureAt(int i) {
    return perCurvature[i];
  }

  /** Seconds for a metre more between a sample and the next [s/m]. */
  public double secondsPerMetreAt(int i) {
    return perMetre[i];
  }

  private void run() {
    for (int i = 0; i < n; i++) {
      w[i] = lap.speedAt(i) * lap.speedAt(i);
    }
    findBrakedElements();
    findWhatDecides();
    for (int i = 0; i < n; i++) {
      adjoint[i] = ownAdjoint(i);
    }
    solveAdjoint();
    chargeLimits();
    chargeElements();
  }

  private int next(int i) {
    return path.road().wrap(i + 1);
  }

  private int before(int i) {
    return path.road().wrap(i - 1);
  }

  private void findBrakedElements() {
    double mass = forces.massKg();
    for (int i = 0; i < path.elements(); i++) {
      double a = (w[next(i)] - w[i]) / (2 * path.elementAt(i));
      double tyre = mass * a + forces.resistanceN(i, w[i]);
      brakedElement[i] = tyre < -GearPlan.BRAKING_SHARE * mass * Constants.G0;
    }
  }

  private void findWhatDecides() {
    for (int i = 0; i < n; i++) {
      double limit = lap.limitSpeedAt(i) * lap.limitSpeedAt(i);
      boolean valley = before(i) != i && brakedElement[before(i)] && !brakedElement[i];
      boolean first = before(i) == i || next(i) == i;
      double gearTop = lap.driveline().limiterSpeedMps(lap.gearAt(i));
      boolean onLimiter = w[i] >= AT_LIMIT * gearTop * gearTop;
      if (valley || first || onLimiter || w[i] >= AT_LIMIT * limit) {
        decided[i] = Decided.BY_LIMIT;
      } else {
        decided[i] = brakedElement[i] ? Decided.BY_BRAKES : Decided.BY_DRIVE;
      }
    }
  }

  /** By the two elements that end at the sample [s³/m²]. */
  private double ownAdjoint(int i) {
    double v = lap.speedAt(i);
    double sum = 0;
    if (next(i) != i) {
      double both = v + lap.speedAt(next(i));
      sum -= path.elementAt(i) / (both * both);
    }
    if (before(i) != i) {
      double both = v + lap.speedAt(before(i));
      sum -= path.elementAt(before(i)) / (both * both);
    }
    return sum / v;
  }

  /** Twice round, so that a chain across the start line is whole. */
  private void solveAdjoint() {
    int rounds = path.road().closed() ? 2 : 1;
    for (int k = rounds * n - 1; k > 0; k--) {
      int i = (k - 1) % n;
      int to = next(i);
      if (to != i && decided[to] == Decided.BY_DRIVE && decided[i] != Decided.BY_BRAKES) {
        adjoint[i] = ownAdjoint(i) + passed(drive, i, i, to) * adjoint[to];
      }
    }
    double[] ahead = adjoint.clone();
    for (int k = 1; k < rounds * n; k++) {
      int i = k % n;
      int from = before(i);
      if (from != i && decided[from] == Decided.BY_BRAKES && decided[i] != Decided.BY_DRIVE) {
        double own = decided[i] == Decided.BY_BRAKES ? ownAdjoint(i) : ahead[i];
        adjoint[i] = own + passed(brakes, from, i, from) * adjoint[from];
      }
    }
  }

  /** How much of a change of the speed's square at one end of an element comes to the other. */
  private double passed(Acceleration a, int element, int from, int to) {
    double ds = path.elementAt(element);
    double passed = (1 + ds * slope(a, from)) / (1 - ds * slope(a, to));
    return Math.max(0, Math.min(2, passed));
  }

  /** Derivative of the acceleration by the speed's square; falls as the speed rises. */
  private double slope(Acceleration a, int i) {
    double dw = LESS_SPEED * w[i];
    return Math.min(0, (a.at(i, w[i]) - a.at(i, w[i] - dw)) / dw);
  }

  private void chargeLimits() {
    for (int i = 0; i < n; i++) {
      double kappa = Math.abs(path.curvatureAt(i));
      double limit = forces.limitW(i);
      boolean gripDecides = decided[i] == Decided.BY_LIMIT && limit < 1.02 * w[i];
      if (gripDecides && kappa > 1e-6) {
        perCurvature[i] += adjoint[i] * (limit - eased.limitW(i)) / (LESS_BEND * kappa);
      }
    }
  }

  private void chargeElements() {
    for (int i = 0; i < path.elements(); i++) {
      int to = next(i);
      perMetre[i] += 2 / (lap.speedAt(i) + lap.speedAt(to));
      if (brakedElement[i] && decided[i] == Decided.BY_BRAKES) {
        charge(brakes, brakesEased, i, to, i);
      } else if (!brakedElement[i] && decided[to] == Decided.BY_DRIVE) {
        charge(drive, driveEased, i, i, to);
      }
    }
  }

  /** What bend and length of an element do to the speed at its end, times what that is worth. */
  private void charge(Acceleration a, Acceleration easedA, int element, int from, int to) {
    double ds = path.elementAt(element);
    double aFrom = a.at(from, w[from]);
    double aTo = a.at(to, w[to]);
    double held = adjoint[to] / (1 - ds * slope(a, to));
    perMetre[element] += held * (aFrom + aTo);
    chargeBend(from, held * ds * (aFrom - easedA.at(from, w[from])));
    chargeBend(to, held * ds * (aTo - easedA.at(to, w[to])));
  }

  private void chargeBend(int i, double secondsForTheLess) {
    double kappa = Math.abs(path.curvatureAt(i));
    if (kappa > 1e-6) {
      perCurvature[i] += secondsForTheLess / (LESS_BEND * kappa);
    }
  }
}
