package marvek.core.profile;

/** What holds a lap back at a place. */
public enum Limiting {
  /** The front axle is at its grip: more of anything and the car pushes wide. */
  FRONT,
  /** The rear axle is at its grip: more of anything and the car comes round. */
  REAR,
  /** Both axles are. */
  BOTH,
  /** A wheel is about to leave the ground. */
  WHEEL_LIFTS,
  /** The engine gives all it has. */
  ENGINE,
  /** The brakes give all they have. */
  BRAKES,
  /** The tyres of a vehicle whose axles are not told apart. */
  TYRES,
  /** Nothing of the vehicle: a change of gear, a limiter, a wish of the driver's. */
  NONE;

  /** From this share of its grip on an axle is at its limit, but for the steps of a lap. */
  private static final double AT_LIMIT = 0.985;

  /** Axles whose shares are nearer than this are at their limit together. */
  private static final double TOGETHER = 0.01;

  /** Less of the load than this is none. */
  private static final double LIFTED = 0.01;

  /** What holds a lap back at a sample. */
  static Limiting of(Lap lap, int i) {
    double w = lap.speedAt(i) * lap.speedAt(i);
    double brakeN = lap.brakeForceAt(i);
    double driveN = lap.tyreForceAt(i) + brakeN;
    ForceModel forces = lap.forces();
    double front = forces.frontLoadShare(i, w, brakeN - driveN);
    if (Math.min(front, 1 - front) < LIFTED) {
      return WHEEL_LIFTS;
    }
    ForceModel.AxleUse use = forces.axleUse(i, w, brakeN, driveN).orElse(null);
    if (use != null && Math.max(use.front(), use.rear()) >= AT_LIMIT) {
      double more = use.front() - use.rear();
      return Math.abs(more) < TOGETHER ? BOTH : more > 0 ? FRONT : REAR;
    }
    if (lap.brakeShareAt(i) >= AT_LIMIT) {
      return BRAKES;
    }
    if (use == null && forces.gripNeeded(i, w, brakeN, driveN) >= AT_LIMIT) {
      return TYRES;
    }
    return lap.throttleShareAt(i) >= AT_LIMIT && !lap.onLimiterAt(i) ? ENGINE : NONE;
  }
}
