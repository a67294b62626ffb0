package marvek.core.profile;

import marvek.core.vehicle.Vehicle;

/**
 * A vehicle whose bend takes the same share of the grip of every tyre: what is left along by the
 * friction ellipse holds on the driven axle, on the one that locks first, and on a wheel that
 * lifts. A motorcycle, whose rider works both brakes freely; and a car in the plain model.
 *
 * <p>Sources: friction ellipse and load transfer, Milliken &amp; Milliken, <i>Race Car Vehicle
 * Dynamics</i>; traction and braking limits of an axle, Gillespie, <i>Fundamentals of Vehicle
 * Dynamics</i>, ch. 2 and 3, and Wong, <i>Theory of Ground Vehicles</i>, ch. 3 (from memory).
 */
final class WholeVehicle implements GripLimits {
  /** More than this above what cornering takes is not told apart. */
  private static final double MOST_NEEDED = 2;

  /** Less of the grip than this is none. */
  private static final double LEAST_NEEDED = 1e-3;

  /** Of what a lifting wheel leaves all but so much is had for an amount of friction. */
  private static final double ALL_BUT = 0.999;

  private final double heightRatio;
  private final double brakeShare;
  private final double maxBrakeN;
  private final boolean motorcycle;
  private final Vehicle.Drive drive;

  WholeVehicle(Vehicle vehicle) {
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    brakeShare = vehicle.brakes().frontShare();
    maxBrakeN = vehicle.brakes().maxForceN();
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    drive = vehicle.drive();
  }

  @Override
  public double leastN(Place p) {
    return -brakeN(p, muLeft(p), brakeShare);
  }

  @Override
  public double mostN(Place p) {
    return tractionN(p, muLeft(p));
  }

  @Override
  public double spareN(Place p) {
    return mostN(p) - leastN(p);
  }

  /** Share of the side grip that cornering takes; infinite where the vehicle is lifted. */
  double across(Place p) {
    double normal = p.normalN();
    return normal > 0 ? Math.abs(p.sideN()) / (p.muY() * normal) : Double.POSITIVE_INFINITY;
  }

  private double muLeft(Place p) {
    double use = across(p);
    return use >= 1 ? 0 : p.muX() * Math.sqrt(1 - use * use);
  }

  private double tractionN(Place p, double mu) {
    double front = p.frontN();
    double all = mu * p.normalN();
    double limit =
        switch (drive) {
          case ALL -> all;
          case FRONT -> mu * front / (1 + mu * heightRatio);
          case REAR ->
              mu * heightRatio < 1 ? least(all, mu * p.rearN() / (1 - mu * heightRatio)) : all;
        };
    if (drive != Vehicle.Drive.FRONT && limit * heightRatio > front) {
      limit = front / heightRatio;
    }
    return limit > 0 ? limit : 0;
  }

  /** Largest braking force at a friction and with a front share of the brakes [N]. */
  double brakeN(Place p, double mu, double share) {
    double front = p.frontN();
    double rear = p.rearN();
    double limit = least(mu * p.normalN(), maxBrakeN + p.closedN());
    if (limit * heightRatio > rear) {
      limit = rear / heightRatio;
    }
    if (!motorcycle) {
      double frontGain = share - mu * heightRatio;
      double rearGain = 1 - share + mu * heightRatio;
      // Multiplied out: a division only for the axle that does limit.
      if (frontGain > 0 && mu * front < limit * frontGain) {
        limit = mu * front / frontGain;
      }
      if (rearGain > 0 && mu * rear < limit * rearGain) {
        limit = mu * rear / rearGain;
      }
    }
    return limit > 0 ? limit : 0;
  }

  /**
   * The smaller of two numbers; in these loops Math.min's care for NaN and −0 takes half the time.
   */
  private static double least(double a, double b) {
    return a < b ? a : b;
  }

  /** Cornering and braking or driving together by the ellipse, each against what it has alone. */
  @Override
  public Use use(Place p, double brakeN, double driveN) {
    double across = across(p);
    boolean brakes = brakeN > driveN;
    double asked = brakes ? brakeN - Math.min(0, driveN) : Math.abs(driveN);
    brakes |= driveN < 0;
    if (!(p.normalN() > 0) || asked == 0) {
      return new Use(across, across);
    }
    double highest = Math.max(LEAST_NEEDED, across) + MOST_NEEDED;
    // Where a lifting wheel or the brake system is the limit, more friction would give no more.
    double most = alongN(p, highest, across, brakes);
    double possible = Math.min(asked, ALL_BUT * most);
    double muAlong = brakes ? muForBraking(p, possible) : muForTraction(p, possible);
    double x = muAlong / p.muX();
    double needed = Math.min(highest, Math.sqrt(across * across + x * x));
    // More than a lifting wheel leaves is too much, however much friction there is.
    return new Use(Math.max(needed, asked > most ? asked / most : 0), across);
  }

  /** Least friction that gives a braking force: that of the axle that locks first. */
  private double muForBraking(Place p, double brakeN) {
    double whole = brakeN / p.normalN();
    if (motorcycle) {
      return whole;
    }
    double ofFront = brakeN * brakeShare / (p.frontN() + brakeN * heightRatio);
    double ofRear = brakeN * (1 - brakeShare) / (p.rearN() - brakeN * heightRatio);
    return Math.max(whole, Math.max(ofFront, ofRear));
  }

  /** Least friction that gives a driving force: that of the axle that spins. */
  private double muForTraction(Place p, double driveN) {
    return switch (drive) {
      case ALL -> driveN / p.normalN();
      case FRONT -> driveN / (p.frontN() - driveN * heightRatio);
      case REAR -> Math.max(driveN / p.normalN(), driveN / (p.rearN() + driveN * heightRatio));
    };
  }

  /** What is left along on tyres with another share of the grip. */
  private double alongN(Place p, double share, double across, boolean brakes) {
    double use = across / share;
    double mu = use >= 1 ? 0 : share * p.muX() * Math.sqrt(1 - use * use);
    return brakes ? brakeN(p, mu, brakeShare) : tractionN(p, mu);
  }
}
