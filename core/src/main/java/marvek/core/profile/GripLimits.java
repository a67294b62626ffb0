package marvek.core.profile;

/**
 * What the tyres of a vehicle can do along the road beside what a bend asks of them. Forces along
 * the road are those of all tyres together [N], forward positive.
 */
interface GripLimits {
  /**
   * What rests on the axles at a place and a speed, and what is asked of them across.
   *
   * @param frontN load of the front axle without force along, not all of it positive on a crest
   * @param rearN the same of the rear axle
   * @param sideN side force, positive to the left
   * @param yawN part of it that turns the car: so much more at the front, and less at the rear
   * @param yawPerN how much more that is for each newton along
   * @param muX friction along, of place and load
   * @param muY friction across
   * @param closedN braking force of the engine at a shut throttle, not negative
   */
  record Place(
      double frontN,
      double rearN,
      double sideN,
      double yawN,
      double yawPerN,
      double muX,
      double muY,
      double closedN) {
    /** Load of all wheels [N]. */
    double normalN() {
      return frontN + rearN;
    }

    /** The same straight on, with a share of the friction along. */
    Place straight(double share) {
      return new Place(frontN, rearN, 0, 0, 0, share * muX, muY, closedN);
    }
  }

  /** Shares of the grip that a use of the tyres asks for where it asks most; 1 at the limit. */
  record Use(double asked, double across) {}

  /** Least force along that the tyres hold: as a rule the hardest braking. */
  double leastN(Place place);

  /** Greatest force along that the tyres hold, at no side force that cannot be held; see spare. */
  double mostN(Place place);

  /**
   * The greatest less the least: negative by how far a bend asks for more than there is; it grows
   * like a root from where it is nought.
   */
  double spareN(Place place);

  /**
   * What brakes and drive ask for together with the bend.
   *
   * @param brakeN force of the brakes, not negative
   * @param driveN force of the engine, negative where it brakes
   */
  Use use(Place place, double brakeN, double driveN);
}
