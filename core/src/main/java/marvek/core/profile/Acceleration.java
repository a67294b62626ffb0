package marvek.core.profile;

/**
 * Longitudinal acceleration that a sweep follows: full braking, or full drive in the best gear or
 * in those of a plan. One class for all three, so that the sweep's inner loop calls a single method
 * that can be compiled into it.
 */
final class Acceleration {
  private enum Kind {
    BRAKING,
    BEST_GEAR,
    GEARS_OF_PLAN
  }

  private final Kind kind;
  private final ForceModel forces;
  private final Driveline driveline;
  private final ProfileOptions options;
  private final GearPlan plan;
  private final ClosedThrottle closed;
  private final Launch launch;
  private final double perMass;

  private Acceleration(
      Kind kind,
      ForceModel forces,
      Driveline driveline,
      ProfileOptions options,
      GearPlan plan,
      ClosedThrottle closed,
      Launch launch) {
    this.kind = kind;
    this.forces = forces;
    this.driveline = driveline;
    this.options = options;
    this.plan = plan;
    this.closed = closed;
    this.launch = launch;
    this.perMass = 1 / forces.massKg();
  }

  /** Full braking, positive as it gains speed backward along the path. */
  static Acceleration braking(ForceModel forces, ClosedThrottle closed) {
    return new Acceleration(Kind.BRAKING, forces, null, null, null, closed, Launch.NONE);
  }

  /** Full drive in the gear with the largest wheel force. */
  static Acceleration bestGear(
      ForceModel forces, Driveline driveline, ProfileOptions options, Launch launch) {
    return new Acceleration(Kind.BEST_GEAR, forces, driveline, options, null, null, launch);
  }

  /** Full drive in the gears of a plan, its changes without drive. */
  static Acceleration inGears(
      ForceModel forces,
      Driveline driveline,
      ProfileOptions options,
      GearPlan plan,
      Launch launch) {
    return new Acceleration(Kind.GEARS_OF_PLAN, forces, driveline, options, plan, null, launch);
  }

  /** Acceleration at a sample for the square of the speed [m/s²]. */
  double at(int i, double w) {
    if (kind == Kind.BRAKING) {
      return forces.netBrakeN(i, w, closed.at(i, w)) * perMass;
    }
    return forces.netDriveN(i, w, options.noDriveAt(i) ? 0 : engineN(i, Math.sqrt(w))) * perMass;
  }

  private double engineN(int i, double speedMps) {
    double shut =
        kind == Kind.BEST_GEAR
            ? driveline.bestForceN(speedMps)
            : driveline.forceN(plan.gearAt(i), speedMps) * plan.driveShareAt(i);
    return launch.engineN(i, shut);
  }
}
