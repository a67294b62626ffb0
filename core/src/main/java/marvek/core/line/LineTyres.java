package marvek.core.line;

import static marvek.core.profile.Constants.G0;

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

  /**
   * A force as so much of each: of the force along, of the turning, of the speed's square, of the
   * load that rests on the tyres and of the side force that is asked of them.
   */
  private record Mixed(
      double ofAlong, double ofTurning, double ofSquare, double ofNormal, double ofAcross) {
    Jet at(double[] given, Jet normal, Jet across) {
      double own =
          ofAlong * given[ALONG] + ofTurning * given[TURNING] + ofSquare * given[SPEED_SQUARED];
      Jet mixed = new Jet(GIVEN).plus(own);
      mixed.slope(ALONG, ofAlong).slope(TURNING, ofTurning).slope(SPEED_SQUARED, ofSquare);
      mixed.add(ofNormal, normal);
      mixed.add(ofAcross, across);
      return mixed;
    }
  }

  /**
   * An axle, or all of them.
   *
   * @param side its side force; null where it is shared as the load is
   * @param ofMagnitude share of the force's magnitude along that it gives
   * @param ofAlong share of the force along that it gives beside
   */
  private record Axle(Mixed load, @Nullable Mixed side, double ofMagnitude, double ofAlong) {}

  private final boolean motorcycle;
  private final double muX;
  private final double muY;
  private final double sensitivity;
  private final double weightOverReference;
  private final Mixed frontLoad;
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
    frontLoad = new Mixed(-heightRatio, 0, ofAir, frontShare, 0);
    Mixed rearLoad = new Mixed(heightRatio, 0, -ofAir, 1 - frontShare, 0);
    Mixed frontSide = null;
    Mixed rearSide = null;
    if (ForceModel.toldApart(vehicle, lap.conditions())) {
      // Its share of the bend, and what turns the car.
      double yaw = ForceModel.yawKgM(vehicle, forces.massKg()) / weight;
      frontSide = new Mixed(0, yaw, 0, 0, frontShare);
      rearSide = new Mixed(0, -yaw, 0, 0, 1 - frontShare);
    }
    Axle whole = new Axle(new Mixed(0, 0, 0, 1, 0), new Mixed(0, 0, 0, 0, 1), 1, 0);
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

  /** Drive is what of a force along is positive, brakes what is negative. */
  private static Axle axle(Mixed load, @Nullable Mixed side, boolean drives, double brakes) {
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
   * @return the constraints as functions of what is given
   */
  Jet[] spare(Place p, double[] given) {
    Jet normal = pressed(p, given, p.sinPhi / G0, p.crest, p.cosCos);
    Jet across = pressed(p, given, p.cosPhi / G0, 0, -p.cosSin);
    double perLoad = -sensitivity * weightOverReference * p.grip;
    Jet friction = new Jet(GIVEN).plus((1 + sensitivity) * p.grip);
    friction.add(perLoad, normal);
    Jet[] spare = new Jet[constraints()];
    for (int c = 0; c < axles.length; c++) {
      Jet load = axles[c].load.at(given, normal, across);
      Jet side =
          axles[c].side == null
              ? asLoad(load, normal, across)
              : axles[c].side.at(given, normal, across);
      spare[c] = Jet.product(friction, load);
      takeAsked(spare[c], axles[c], given[ALONG], side);
    }
    if (motorcycle) {
      // The front wheel stays down.
      spare[axles.length] = frontLoad.at(given, normal, across);
    }
    return spare;
  }

  /** The side force that is asked of all, as much of it as an axle carries of the load. */
  private static Jet asLoad(Jet load, Jet normal, Jet across) {
    double n = normal.value();
    Jet perNormal = Jet.function(1 / n, -1 / (n * n), 2 / (n * n * n), normal);
    return Jet.product(Jet.product(across, perNormal), load);
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

  /** Takes from what an axle holds what is asked of it: √(X² + Y²), X and Y over their μ. */
  private void takeAsked(Jet spare, Axle axle, double along, Jet side) {
    double magnitude = Math.sqrt(along * along + ROUNDED * ROUNDED);
    double x = (axle.ofMagnitude * magnitude + axle.ofAlong * along) / muX;
    double xSlope = (axle.ofMagnitude * along / magnitude + axle.ofAlong) / muX;
    double xBend = axle.ofMagnitude * ROUNDED * ROUNDED / (magnitude * magnitude * magnitude) / muX;
    double y = side.value() / muY;
    double asked = Math.sqrt(x * x + y * y + ROUNDED * ROUNDED);
    double[] ySlope = new double[GIVEN];
    double[] askedSlope = new double[GIVEN];
    for (int v = 0; v < GIVEN; v++) {
      ySlope[v] = side.by(v) / muY;
      askedSlope[v] = y * ySlope[v] / asked;
    }
    askedSlope[ALONG] += x * xSlope / asked;
    // The side's own derivatives, then what the root's second ones are made of beside.
    double ofSide = y / (muY * asked);
    spare.add(-ofSide, side);
    spare.plus(ofSide * side.value() - asked).slope(ALONG, -x * xSlope / asked);
    spare.bend(ALONG, ALONG, -(xSlope * xSlope + x * xBend) / asked);
    spare.square(-1 / asked, ySlope);
    spare.square(1 / asked, askedSlope);
  }
}
