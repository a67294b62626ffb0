package marvek.core.profile;

import marvek.core.circuit.Path;

/**
 * What speed is worth along a best-gear profile: the derivative of the time to the next place where
 * brakes or grip decide the speed, carried backward (adjoint of the forward pass). Single-use
 * worker.
 */
final class SpeedWorth {
  /** Step of a difference quotient, as a share of the speed's square. */
  private static final double LESS_SPEED = 1e-3;

  private final Path path;
  private final ForceModel forces;
  private final Driveline driveline;
  private final double[] v;
  private final boolean[] capped;
  private final boolean[] engineLimited;

  /**
   * @param v speed at each sample [m/s]
   * @param capped where brakes or grip decide it
   * @param engineLimited where the engine decides the drive, not the tyres
   */
  SpeedWorth(
      Path path,
      ForceModel forces,
      Driveline driveline,
      double[] v,
      boolean[] capped,
      boolean[] engineLimited) {
    this.path = path;
    this.forces = forces;
    this.driveline = driveline;
    this.v = v;
    this.capped = capped;
    this.engineLimited = engineLimited;
  }

  /**
   * Seconds gained for a unit more of the speed's square at each sample [s/(m²/s²)].
   *
   * @param start sample at which the profile begins
   */
  double[] along(int start) {
    int n = path.size();
    double[] worth = new double[n];
    int rounds = path.road().closed() && !capped[start] ? 2 : 1;
    double downstream = 0;
    for (int k = rounds * n - 1; k >= 0; k--) {
      int i = (start + k) % n;
      int to = path.road().wrap(i + 1);
      if (capped[i] || to == i) {
        worth[i] = 0;
        downstream = 0;
        continue;
      }
      double ds = path.elementAt(i);
      int before = path.road().wrap(i - 1);
      double own = ds / square(v[i] + v[to]) + path.elementAt(before) / square(v[before] + v[i]);
      worth[i] = own / v[i] + passed(i, to, ds) * downstream;
      downstream = worth[i];
    }
    return worth;
  }

  /**
   * How much of a change of the speed's square at one end of an element comes to the other. Where
   * the best gear changes within it at the limiter, the drive falls at once: what comes earlier to
   * that place passes on in the ratio of the two (saltation matrix of a piecewise smooth system; di
   * Bernardo et al., <i>Piecewise-smooth Dynamical Systems</i>, ch. 2, from memory).
   */
  private double passed(int i, int to, double ds) {
    int gear = driveline.bestGear(v[i]);
    double here = square(v[i]);
    double less = LESS_SPEED * here;
    double slope = (drive(i, here, gear) - drive(i, here - less, gear)) / less;
    double smooth = Math.max(0, 1 + 2 * ds * slope / forces.massKg());
    int next = driveline.bestGear(v[to]);
    if (next == gear) {
      return smooth;
    }
    double ends = square(Math.min(v[to], driveline.limiterSpeedMps(gear)));
    double before = drive(i, ends, gear);
    return before > 0 ? smooth * Math.max(0, drive(i, ends, next)) / before : smooth;
  }

  private double drive(int i, double w2, int gear) {
    double engine = driveline.forceN(gear, Math.sqrt(w2));
    return engineLimited[i] ? engine - forces.resistanceN(i, w2) : forces.netDriveN(i, w2, engine);
  }

  private static double square(double a) {
    return a * a;
  }
}
