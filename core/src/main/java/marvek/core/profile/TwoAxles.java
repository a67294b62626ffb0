package marvek.core.profile;

import marvek.core.vehicle.Vehicle;

/**
 * The two axles of a car, each with its own friction ellipse: its load moves with the force along,
 * in the bend as on the straight, and its side force is its share of the bend's, more or less what
 * turns the car. Brakes by their fixed share, drive and the shut throttle by the driven axle; four
 * driven wheels share the drive as suits them best, a shut throttle as the brakes do.
 *
 * <p>At a given speed each axle's limit is a quadratic in the force along: {@code (X/μx)² + (Y/μy)²
 * ≤ N²} with X, Y and N linear in it.
 *
 * <p>Sources: Milliken &amp; Milliken, <i>Race Car Vehicle Dynamics</i>, ch. 5 and 8; Guiggiani,
 * <i>The Science of Vehicle Dynamics</i>, ch. 3 (both from memory).
 */
final class TwoAxles implements GripLimits {
  /** Halvings that find the drive of four wheels to a millionth of the bracket. */
  private static final int HALVINGS = 24;

  /** A share of the grip beyond any that is told apart. */
  private static final double MOST_ASKED = 3;

  private final double frontShare;
  private final double heightRatio;
  private final double brakeShare;
  private final double maxBrakeN;
  private final Vehicle.Drive drive;

  /** Part of a shut throttle, and of the drive, at the front. */
  private final double closedAtFront;

  TwoAxles(Vehicle vehicle) {
    frontShare = vehicle.frontWeightShare();
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    brakeShare = vehicle.brakes().frontShare();
    maxBrakeN = vehicle.brakes().maxForceN();
    drive = vehicle.drive();
    closedAtFront =
        switch (drive) {
          case FRONT -> 1;
          case REAR -> 0;
          case ALL -> brakeShare;
        };
  }

  @Override
  public double leastN(Place p) {
    double braking = Math.max(lowerUnderBrakes(p), -maxBrakeN - p.closedN());
    return braking <= -p.closedN() ? braking : Math.max(lowerOffBrakes(p), -p.closedN());
  }

  @Override
  public double mostN(Place p) {
    double most = upperOffBrakes(p);
    return most >= -p.closedN() ? most : upperUnderBrakes(p);
  }

  @Override
  public double spareN(Place p) {
    return p.frontN() > 0 && p.rearN() > 0 ? mostN(p) - leastN(p) : Double.NEGATIVE_INFINITY;
  }

  private double lowerUnderBrakes(Place p) {
    return Math.max(
        front(p, brakesFrontAtZero(p), brakeShare, false),
        rear(p, -brakesFrontAtZero(p), 1 - brakeShare, false));
  }

  private double upperUnderBrakes(Place p) {
    return Math.min(
        front(p, brakesFrontAtZero(p), brakeShare, true),
        rear(p, -brakesFrontAtZero(p), 1 - brakeShare, true));
  }

  /** Under brakes an axle's force is its share of them and its part of the shut throttle. */
  private double brakesFrontAtZero(Place p) {
    return (brakeShare - closedAtFront) * p.closedN();
  }

  private double lowerOffBrakes(Place p) {
    return switch (drive) {
      case FRONT -> Math.max(front(p, 0, 1, false), rear(p, 0, 0, false));
      case REAR -> Math.max(front(p, 0, 0, false), rear(p, 0, 1, false));
      case ALL -> Math.max(front(p, 0, 0, false), rear(p, 0, 0, false));
    };
  }

  private double upperOffBrakes(Place p) {
    return switch (drive) {
      case FRONT -> Math.min(front(p, 0, 1, true), rear(p, 0, 0, true));
      case REAR -> Math.min(front(p, 0, 0, true), rear(p, 0, 1, true));
      case ALL -> upperOfFourWheels(p);
    };
  }

  /** As much as both axles hold beside their side forces. */
  private double upperOfFourWheels(Place p) {
    double low = Math.max(0, lowerOffBrakes(p));
    double high =
        Math.min(p.muX() * p.normalN(), Math.min(front(p, 0, 0, true), rear(p, 0, 0, true)));
    return low > high || heldN(p, low) < low ? upperUnderBrakes(p) : fourWheelsHoldN(p, low, high);
  }

  /** Greatest force between two that four driven wheels hold. */
  private double fourWheelsHoldN(Place p, double heldN, double mostN) {
    double low = heldN;
    double high = mostN;
    for (int k = 0; k < HALVINGS; k++) {
      double middle = (low + high) / 2;
      if (heldN(p, middle) >= middle) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private double heldN(Place p, double alongN) {
    return alongHeldN(p, frontLoadN(p, alongN), frontSideN(p, alongN))
        + alongHeldN(p, rearLoadN(p, alongN), rearSideN(p, alongN));
  }

  private static double alongHeldN(Place p, double loadN, double sideN) {
    double side = sideN / p.muY();
    return loadN > 0 ? p.muX() * Math.sqrt(Math.max(0, loadN * loadN - side * side)) : 0;
  }

  private double frontLoadN(Place p, double alongN) {
    return p.frontN() - heightRatio * alongN;
  }

  private double rearLoadN(Place p, double alongN) {
    return p.rearN() + heightRatio * alongN;
  }

  private double frontSideN(Place p, double alongN) {
    return p.sideN() * frontShare + p.yawN() + p.yawPerN() * alongN;
  }

  private double rearSideN(Place p, double alongN) {
    return p.sideN() * (1 - frontShare) - p.yawN() - p.yawPerN() * alongN;
  }

  /**
   * Whether both axles hold a force along that is drive or a shut throttle: then it lies between
   * the least and the greatest.
   */
  boolean holds(Place p, double alongN) {
    boolean shared = drive == Vehicle.Drive.ALL && alongN > 0;
    double frontN = shared ? 0 : closedAtFront * alongN;
    double rearN = shared ? 0 : alongN - frontN;
    return holds(p, frontN, frontSideN(p, alongN), frontLoadN(p, alongN))
        && holds(p, rearN, rearSideN(p, alongN), rearLoadN(p, alongN))
        && (!shared || heldN(p, alongN) >= alongN);
  }

  /** The axle's ellipse, both sides times its frictions. */
  private static boolean holds(Place p, double alongN, double sideN, double loadN) {
    double x = alongN * p.muY();
    double y = sideN * p.muX();
    double n = loadN * p.muX() * p.muY();
    return n > 0 && x * x + y * y <= n * n;
  }

  /** End of the forces along that the front axle holds whose own force is x0 + x1 times them. */
  private double front(Place p, double x0, double x1, boolean upper) {
    double grip = p.muX() * p.muY();
    return end(
        x0 * p.muY(),
        x1 * p.muY(),
        frontSideN(p, 0) * p.muX(),
        p.yawPerN() * p.muX(),
        p.frontN() * grip,
        -heightRatio * grip,
        upper);
  }

  private double rear(Place p, double x0, double x1, boolean upper) {
    double grip = p.muX() * p.muY();
    return end(
        x0 * p.muY(),
        x1 * p.muY(),
        rearSideN(p, 0) * p.muX(),
        -p.yawPerN() * p.muX(),
        p.rearN() * grip,
        heightRatio * grip,
        upper);
  }

  /**
   * Lower or upper end of the F for which (x0 + x1·F)² + (y0 + y1·F)² ≤ (n0 + n1·F)². Where there
   * is none the two ends change places, and lie the farther apart the more is missing.
   */
  private static double end(
      double x0, double x1, double y0, double y1, double n0, double n1, boolean upper) {
    double a = x1 * x1 + y1 * y1 - n1 * n1;
    if (a <= 0 && n1 > 0 == upper) {
      return upper ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }
    double b = x0 * x1 + y0 * y1 - n0 * n1;
    double c = x0 * x0 + y0 * y0 - n0 * n0;
    if (a == 0 && b == 0) {
      return upper == c <= 0 ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    }
    double square = b * b - a * c;
    double root = square >= 0 ? Math.sqrt(square) : -Math.sqrt(-square);
    double signed = upper ? root : -root;
    // The form without cancellation, which holds for a straight line too.
    boolean cancels = square >= 0 && b * signed > 0;
    return cancels ? -c / (b + signed) : (signed - b) / a;
  }

  /**
   * What an axle asks for, however much that is.
   *
   * @param alongN its force along [N], drive positive
   * @param sideN its side force [N], positive to the left
   */
  record Axle(Use use, double alongN, double sideN) {}

  /** What each of them asks for. */
  record Axles(Axle front, Axle rear) {}

  @Override
  public Use use(Place p, double brakeN, double driveN) {
    Axles axles = axles(p, brakeN, driveN);
    Use front = axles.front.use;
    Use rear = axles.rear.use;
    Use most = front.asked() >= rear.asked() ? front : rear;
    return new Use(Math.min(MOST_ASKED, most.asked()), Math.min(MOST_ASKED, most.across()));
  }

  /** What each of the axles asks for; see {@link #use}. */
  Axles axles(Place p, double brakeN, double driveN) {
    double along = movesLoadN(p, driveN - brakeN);
    double atFront = driveN < 0 ? closedAtFront : drivenAtFront(p, along);
    double frontN = atFront * driveN - brakeShare * brakeN;
    double rearN = (1 - atFront) * driveN - (1 - brakeShare) * brakeN;
    return new Axles(
        axle(p, frontLoadN(p, along), frontN, frontSideN(p, along)),
        axle(p, rearLoadN(p, along), rearN, rearSideN(p, along)));
  }

  /**
   * Part of a force along that is there and moves load: wheels that spin move no more than the
   * driven axle holds, wheels that lock no more than all would straight on.
   */
  private double movesLoadN(Place p, double alongN) {
    double most = p.muX() * p.normalN();
    double there = alongN < most ? alongN : most;
    if (there <= 0) {
      return Math.max(-most, there);
    }
    return holds(p, there) ? there : Math.min(there, Math.max(0, drivenHoldsN(p, there)));
  }

  /** Greatest force that the driven axle holds, or of four wheels no more than is asked for. */
  private double drivenHoldsN(Place p, double askedN) {
    return switch (drive) {
      case FRONT -> front(p, 0, 1, true);
      case REAR -> rear(p, 0, 1, true);
      case ALL -> heldN(p, askedN) >= askedN ? askedN : fourWheelsHoldN(p, 0, askedN);
    };
  }

  private double drivenAtFront(Place p, double along) {
    if (drive != Vehicle.Drive.ALL) {
      return drive == Vehicle.Drive.FRONT ? 1 : 0;
    }
    double front = alongHeldN(p, frontLoadN(p, along), frontSideN(p, along));
    double rear = alongHeldN(p, rearLoadN(p, along), rearSideN(p, along));
    return front + rear > 0 ? front / (front + rear) : frontShare;
  }

  private static Axle axle(Place p, double loadN, double alongN, double sideN) {
    double x = alongN / p.muX();
    double y = sideN / p.muY();
    double load = Math.max(loadN, 1e-9);
    Use use = new Use(Math.sqrt(x * x + y * y) / load, Math.abs(y) / load);
    return new Axle(use, alongN, sideN);
  }
}
