package marvek.core.profile;

/**
 * Force with which the engine brakes at a shut throttle: in the gear that would drive best, or in
 * those of a plan, and none while it changes up. In the plain model there is none.
 */
final class ClosedThrottle {
  private final Driveline driveline;
  private final GearPlan plan;

  private ClosedThrottle(Driveline driveline, GearPlan plan) {
    this.driveline = driveline;
    this.plan = plan;
  }

  /** In the gear with the largest wheel force. */
  static ClosedThrottle bestGear(Driveline driveline) {
    return new ClosedThrottle(driveline, null);
  }

  /** In the gears of a plan. */
  static ClosedThrottle inGears(Driveline driveline, GearPlan plan) {
    return new ClosedThrottle(driveline, plan);
  }

  /** Force at a sample for the square of the speed [N], not negative. */
  double at(int i, double w) {
    if (!driveline.brakes()) {
      return 0;
    }
    return plan == null
        ? driveline.closedThrottleN(driveline.bestGear(Math.sqrt(w)))
        : driveline.closedThrottleN(plan.gearAt(i)) * plan.driveShareAt(i);
  }
}
