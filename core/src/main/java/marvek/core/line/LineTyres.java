package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.numeric.Jet4;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

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
   */
  record Place(
      double cosCos, double cosSin, double cosPhi, double sinPhi, double crest, double grip) {}

  private final Vehicle.Drive drive;
  private final boolean motorcycle;
  private final boolean toldApart;
  private final double muX;
  private final double muY;
  private final double heightRatio;
  private final double frontShare;
  private final double brakeShare;
  private final double ofAir;
  private final double sensitivity;
  private final double weightOverReference;

  /** Side force that a growth of the turning asks for at the front [weights/(rad/s²)]. */
  private final double yaw;

  LineTyres(Lap lap) {
    Vehicle vehicle = lap.vehicle();
    ForceModel forces = lap.forces();
    double weight = forces.massKg() * G0;
    double gripFactor = lap.conditions().gripFactor();
    drive = vehicle.drive();
    motorcycle = vehicle.kind() == Vehicle.Kind.MOTORCYCLE;
    toldApart = ForceModel.toldApart(vehicle, lap.conditions());
    muX = vehicle.tyre().muLongitudinal() * gripFactor;
    muY = vehicle.tyre().muLateral() * gripFactor;
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    frontShare = vehicle.frontWeightShare();
    brakeShare = vehicle.brakes().frontShare();
    ofAir = forces.downforcePerSquaredSpeed() / weight * (vehicle.aero().frontShare() - frontShare);
    sensitivity = vehicle.tyre().loadSensitivity();
    weightOverReference = weight / (vehicle.tyre().referenceLoadN() * vehicle.wheels());
    yaw = ForceModel.yawKgM(vehicle, forces.massKg()) / weight;
  }

  /** Number of constraints. */
  int constraints() {
    return motorcycle || drive == Vehicle.Drive.ALL ? 3 : 2;
  }

  /**
   * What is to spare, each must not be negative.
   *
   * @param along force of the tyres along [weights]
   * @param bend in space [1/m]
   * @param speed2 square of the speed [m²/s²]
   * @param turning growth of the turning [rad/s²]; of no matter where axles are not told apart
   */
  Jet4[] spare(Place p, Jet4 along, Jet4 bend, Jet4 speed2, Jet4 turning) {
    Jet4 magnitude = along.square().plus(ROUNDED * ROUNDED).sqrt();
    Jet4 driving = magnitude.plus(along).times(0.5);
    Jet4 braking = magnitude.minus(along).times(0.5);
    Jet4 normal = speed2.times(bend.times(p.sinPhi / G0).plus(p.crest)).plus(p.cosCos);
    Jet4 across = speed2.times(bend).times(p.cosPhi / G0).plus(-p.cosSin);
    Jet4 friction =
        normal.times(-sensitivity * weightOverReference).plus(1 + sensitivity).times(p.grip);
    Jet4 front = normal.times(frontShare).plus(speed2.times(ofAir)).minus(along.times(heightRatio));
    Axle ofFront = new Axle(front, frontSide(across, normal, front, turning), friction);
    Axle ofRear = new Axle(normal.minus(front), across.minus(ofFront.side), friction);
    Jet4 frontBrake = braking.times(brakeShare);
    Jet4 rearBrake = braking.times(1 - brakeShare);
    if (motorcycle) {
      return new Jet4[] {
        new Axle(normal, across, friction).spare(magnitude), front, ofRear.spare(driving)
      };
    }
    return switch (drive) {
      case FRONT -> new Jet4[] {ofFront.spare(driving.plus(frontBrake)), ofRear.spare(rearBrake)};
      case REAR -> new Jet4[] {ofFront.spare(frontBrake), ofRear.spare(driving.plus(rearBrake))};
      case ALL ->
          new Jet4[] {
            new Axle(normal, across, friction).spare(magnitude),
            ofFront.spare(frontBrake),
            ofRear.spare(rearBrake)
          };
    };
  }

  /** Its share of the bend and what turns the car; or as its load, where that is not asked. */
  private Jet4 frontSide(Jet4 across, Jet4 normal, Jet4 front, Jet4 turning) {
    return toldApart
        ? across.times(frontShare).plus(turning.times(yaw))
        : across.times(front).times(normal.inverse());
  }

  /** An axle, or all of them: its load, side force and friction. */
  private final class Axle {
    private final Jet4 load;
    private final Jet4 side;
    private final Jet4 friction;

    Axle(Jet4 load, Jet4 side, Jet4 friction) {
      this.load = load;
      this.side = side;
      this.friction = friction;
    }

    /** What the load gives beyond what is asked along and across. */
    Jet4 spare(Jet4 along) {
      Jet4 x = along.times(1 / muX);
      Jet4 y = side.times(1 / muY);
      Jet4 asked = x.square().plus(y.square()).plus(ROUNDED * ROUNDED).sqrt();
      return friction.times(load).minus(asked);
    }
  }
}
