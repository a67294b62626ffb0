package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import java.util.Arrays;
import marvek.core.numeric.Jet;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;
import org.jspecify.annotations.Nullable;

/**
 * What the tyres have to spare at one end of an element of a line, in weights of the vehicle, with
 * derivatives and without kinks; a lifted axle has none to give. Both ends of an element are asked:
 * at the middle alone a bend that alternates from sample to sample is not seen.
 *
 * <p>The same as the profile's {@code TwoAxles}, where a car's axles are told apart, or its {@code
 * WholeVehicle}. Four driven wheels are asked as a whole what they drive with, and each axle for
 * its side force and its brakes.
 *
 * <p>A shut throttle counts as brakes of the same share: where the engine's braking at one axle
 * ends and the brakes at both begin, less than all of either holds more than some of each, and a
 * line would go to and fro between the two from sample to sample. The profile that drives the line
 * tells them apart.
 */
final class LineTyres {
  /** Rounds the corner between drive and brakes, and the tip of the friction ellipse [weights]. */
  private static final double ROUNDED = 0.003;

  /**
   * The road and the air over an element.
   *
   * @param cosCos part of the weight that rests on the road
   * @param cosSin part of it that a bank pulls across
   * @param cosPhi part of a level force that lies across the road
   * @param sinPhi part of it that presses on the road
   * @param crest load that is gained with the square of the speed, air and crest together
   * @param grip factor on friction
   * @param inSpace curvature in space over that in plan
   */
  record Place(
      double cosCos,
      double cosSin,
      double cosPhi,
      double sinPhi,
      double crest,
      double grip,
      double inSpace) {}

  /** What an end of an element is given by. */
  static final int ALONG = 0;

  static final int TURNING = 1;
  static final int BEND = 2;
  static final int SPEED_SQUARED = 3;
  static final int GIVEN = 4;

  /** What the tyres see beside: the load that rests on them, and the side force asked for. */
  private static final int NORMAL = 4;

  private static final int ACROSS = 5;
  private static final int SEEN = 6;

  /**
   * An axle, or all of them.
   *
   * @param load by each that the tyres see
   * @param side its side force likewise; null where it is shared as the load is
   * @param ofMagnitude share of the force's magnitude along that it gives
   * @param ofAlong share of the force along that it gives beside
   */
  private record Axle(
      double[] load, double @Nullable [] side, double ofMagnitude, double ofAlong) {}

  private final boolean motorcycle;
  private final double muX;
  private final double muY;
  private final double sensitivity;
  private final double weightOverReference;
  private final double[] frontLoad;
  private final Axle[] axles;

  LineTyres(Lap lap) {
    Vehicle vehicle = lap.vehicle();
    ForceModel forces = lap.forces();
    double weight = forces.massKg() * G0;
    double gripFactor = lap.conditions().gripFactor();
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    muX = vehicle.tyre().muLongitudinal() * gripFactor;
    muY = vehicle.tyre().muLateral() * gripFactor;
    sensitivity = vehicle.tyre().loadSensitivity();
    weightOverReference = weight / (vehicle.tyre().referenceLoadN() * vehicle.wheels());
    double heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    double frontShare = vehicle.frontWeightShare();
    double ofAir =
        forces.downforcePerSquaredSpeed() / weight * (vehicle.aero().frontShare() - frontShare);
    frontLoad = seen(-heightRatio, 0, ofAir, frontShare, 0);
    double[] rearLoad = seen(heightRatio, 0, -ofAir, 1 - frontShare, 0);
    double[] frontSide = null;
    double[] rearSide = null;
    if (ForceModel.toldApart(vehicle, lap.conditions())) {
      // Its share of the bend, and what turns the car.
      double yaw = ForceModel.yawKgM(vehicle, forces.massKg()) / weight;
      frontSide = seen(0, yaw, 0, 0, frontShare);
      rearSide = seen(0, -yaw, 0, 0, 1 - frontShare);
    }
    Axle whole = new Axle(seen(0, 0, 0, 1, 0), seen(0, 0, 0, 0, 1), 1, 0);
    Vehicle.Drive drive = vehicle.drive();
    double brakes = motorcycle ? 0 : vehicle.brakes().frontShare();
    double rearBrakes = motorcycle ? 0 : 1 - brakes;
    Axle front = axle(frontLoad, frontSide, drive == Vehicle.Drive.FRONT, brakes);
    Axle rear = axle(rearLoad, rearSide, motorcycle || drive == Vehicle.Drive.REAR, rearBrakes);
    if (motorcycle) {
      axles = new Axle[] {whole, rear};
    } else {
      axles =
          drive == Vehicle.Drive.ALL ? new Axle[] {whole, front, rear} : new Axle[] {front, rear};
    }
  }

  private static double[] seen(
      double along, double turning, double speedSquared, double normal, double across) {
    return new double[] {along, turning, 0, speedSquared, normal, across};
  }

  /** Drive is what of a force along is positive, brakes what is negative. */
  private static Axle axle(double[] load, double @Nullable [] side, boolean drives, double brakes) {
    double drive = drives ? 1 : 0;
    return new Axle(load, side, (drive + brakes) / 2, (drive - brakes) / 2);
  }

  /** Number of constraints. */
  int constraints() {
    return axles.length + (motorcycle ? 1 : 0);
  }

  /**
   * What is to spare, each must not be negative.
   *
   * @param given force of the tyres along [weights], growth of the turning [rad/s²], of no matter
   *     where axles are not told apart, bend in plan [1/m], square of the speed [m²/s²]
   * @param z multipliers, from a place on
   */
  Spare spare(Place p, double[] given, double[] z, int from) {
    Jet normal = pressed(p, given, p.sinPhi / G0, p.crest, p.cosCos);
    Jet across = pressed(p, given, p.cosPhi / G0, 0, -p.cosSin);
    double[] seen = Arrays.copyOf(given, SEEN);
    seen[NORMAL] = normal.value();
    seen[ACROSS] = across.value();
    double[] spare = new double[constraints()];
    double[][] slopes = new double[constraints()][SEEN];
    Jet weighed = new Jet(SEEN);
    for (int c = 0; c < axles.length; c++) {
      spare[c] = new Asked(p, seen, axles[c]).spare(slopes[c], weighed, z[from + c]);
    }
    if (motorcycle) {
      // The front wheel stays down.
      int c = axles.length;
      spare[c] = dot(frontLoad, seen);
      for (int v = 0; v < SEEN; v++) {
        slopes[c][v] = frontLoad[v];
        weighed.slope(v, z[from + c] * frontLoad[v]);
      }
    }
    for (double[] slope : slopes) {
      for (int v = BEND; v <= SPEED_SQUARED; v++) {
        slope[v] += slope[NORMAL] * normal.by(v) + slope[ACROSS] * across.by(v);
      }
    }
    return new Spare(spare, slopes, weighed.substituted(normal, across));
  }

  /** A force that grows with the bend and the square of the speed. */
  private static Jet pressed(
      Place p, double[] given, double ofBend, double ofSquare, double weight) {
    double square = given[SPEED_SQUARED];
    double inSpace = p.inSpace * ofBend;
    double perSquare = inSpace * given[BEND] + ofSquare;
    return new Jet(GIVEN)
        .plus(square * perSquare + weight)
        .slope(SPEED_SQUARED, perSquare)
        .slope(BEND, inSpace * square)
        .bend(BEND, SPEED_SQUARED, inSpace);
  }

  /**
   * Constraints with their derivatives by what an end is given by.
   *
   * @param slopes of each constraint; what stands beyond those given is of no meaning
   * @param weighed sum of the constraints, each times its multiplier
   */
  record Spare(double[] spare, double[][] slopes, Jet weighed) {}

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int v = 0; v < SEEN; v++) {
      sum += a[v] * b[v];
    }
    return sum;
  }

  /** An axle at work, or all of them: {@code μ(N)·load − √(X² + Y²)}, X and Y over their μ. */
  private final class Asked {
    private final double[] load;
    private final double loadValue;
    private final double friction;
    private final double frictionSlope;

    /** Force along, and its derivatives by itself. */
    private final double x;

    private final double xSlope;
    private final double xBend;
    private final double y;
    private final double[] ySlope = new double[SEEN];

    /** Side force over load: what the second derivatives of a side force by load are made of. */
    private final double perLoad;

    private final double normal;
    private final boolean asLoad;

    Asked(Place p, double[] seen, Axle axle) {
      load = axle.load;
      loadValue = dot(load, seen);
      normal = seen[NORMAL];
      frictionSlope = -sensitivity * weightOverReference * p.grip;
      friction = (1 + sensitivity) * p.grip + frictionSlope * normal;
      double along = seen[ALONG];
      double magnitude = Math.sqrt(along * along + ROUNDED * ROUNDED);
      x = (axle.ofMagnitude * magnitude + axle.ofAlong * along) / muX;
      xSlope = (axle.ofMagnitude * along / magnitude + axle.ofAlong) / muX;
      xBend = axle.ofMagnitude * ROUNDED * ROUNDED / (magnitude * magnitude * magnitude) / muX;
      asLoad = axle.side == null;
      perLoad = seen[ACROSS] / normal;
      if (asLoad) {
        y = perLoad * loadValue / muY;
        for (int v = 0; v < SEEN; v++) {
          ySlope[v] = perLoad * load[v] / muY;
        }
        ySlope[ACROSS] += loadValue / normal / muY;
        ySlope[NORMAL] -= loadValue * perLoad / normal / muY;
      } else {
        y = dot(axle.side, seen) / muY;
        for (int v = 0; v < SEEN; v++) {
          ySlope[v] = axle.side[v] / muY;
        }
      }
    }

    /** What it has to spare; its derivatives go to the slope and, weighed, to the sum. */
    double spare(double[] slope, Jet weighed, double z) {
      double asked = Math.sqrt(x * x + y * y + ROUNDED * ROUNDED);
      double[] askedSlope = new double[SEEN];
      for (int v = 0; v < SEEN; v++) {
        askedSlope[v] = y * ySlope[v] / asked;
      }
      askedSlope[ALONG] += x * xSlope / asked;
      for (int v = 0; v < SEEN; v++) {
        slope[v] = friction * load[v] - askedSlope[v];
      }
      slope[NORMAL] += frictionSlope * loadValue;
      double spare = friction * loadValue - asked;
      weighed.plus(z * spare);
      for (int v = 0; v < SEEN; v++) {
        weighed.slope(v, z * slope[v]);
        weighed.bend(NORMAL, v, (v == NORMAL ? 2 : 1) * z * frictionSlope * load[v]);
      }
      weighed.bend(ALONG, ALONG, -z * (xSlope * xSlope + x * xBend) / asked);
      weighed.outer(-0.5 * z / asked, ySlope, ySlope);
      weighed.outer(0.5 * z / asked, askedSlope, askedSlope);
      if (asLoad) {
        addSecondOfSide(weighed, -z * y / asked / muY);
      }
      return spare;
    }

    /** Second derivatives of {@code side·load/normal}. */
    private void addSecondOfSide(Jet to, double weight) {
      for (int v = 0; v < SEEN; v++) {
        to.bend(ACROSS, v, weight * load[v] / normal);
        to.bend(NORMAL, v, -(v == NORMAL ? 2 : 1) * weight * load[v] * perLoad / normal);
      }
      to.bend(ACROSS, NORMAL, -weight * loadValue / (normal * normal));
      to.bend(NORMAL, NORMAL, 2 * weight * loadValue * perLoad / (normal * normal));
    }
  }
}
