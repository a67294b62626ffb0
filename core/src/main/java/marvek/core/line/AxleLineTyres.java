package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.numeric.Jet4;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/**
 * The two axles of a car, each with its own load and its share of the bend and of what turns the
 * car; see {@link LineTyres}, and {@code TwoAxles} of the profile. Four driven wheels are asked as
 * a whole what they drive with, and each axle for its side force and its brakes.
 *
 * <p>A shut throttle counts as brakes of the same share: where the engine's braking at one axle
 * ends and the brakes at both begin, less than all of either holds more than some of each, and a
 * line would go to and fro between the two from sample to sample. The profile that drives the line
 * tells them apart.
 */
final class AxleLineTyres implements LineTyres {
  private final LineLoads loads;
  private final Vehicle.Drive drive;
  private final double brakeShare;
  private final double frontShare;

  /** Side force that a growth of the turning asks for at the front [weights/(rad/s²)]. */
  private final double yaw;

  AxleLineTyres(Lap lap) {
    loads = new LineLoads(lap);
    double mass = lap.forces().massKg();
    drive = lap.vehicle().drive();
    brakeShare = lap.vehicle().brakes().frontShare();
    frontShare = lap.vehicle().frontWeightShare();
    yaw = ForceModel.yawKgM(lap.vehicle(), mass) / (mass * G0);
  }

  @Override
  public int constraints() {
    return drive == Vehicle.Drive.ALL ? 3 : 2;
  }

  @Override
  public Jet4[] spare(Place p, Jet4 along, Jet4 bend, Jet4 speed2, Jet4 turning) {
    Jet4 magnitude = along.square().plus(ROUNDED * ROUNDED).sqrt();
    Jet4 driving = magnitude.plus(along).times(0.5);
    Jet4 braking = magnitude.minus(along).times(0.5);
    Jet4 normal = loads.normal(p, bend, speed2);
    Jet4 front = loads.front(normal, along, speed2);
    Jet4 rear = normal.minus(front);
    Jet4 friction = loads.friction(p, normal);
    Jet4 across = loads.across(p, bend, speed2);
    Jet4 turns = turning.times(yaw);
    Jet4 frontSide = across.times(frontShare).plus(turns);
    Jet4 rearSide = across.minus(frontSide);
    Jet4 frontBrake = braking.times(brakeShare);
    Jet4 rearBrake = braking.times(1 - brakeShare);
    return switch (drive) {
      case FRONT ->
          new Jet4[] {
            ellipse(driving.plus(frontBrake), frontSide, front, friction),
            ellipse(rearBrake, rearSide, rear, friction)
          };
      case REAR ->
          new Jet4[] {
            ellipse(frontBrake, frontSide, front, friction),
            ellipse(driving.plus(rearBrake), rearSide, rear, friction)
          };
      case ALL ->
          new Jet4[] {
            ellipse(along, across, normal, friction),
            ellipse(frontBrake, frontSide, front, friction),
            ellipse(rearBrake, rearSide, rear, friction)
          };
    };
  }

  private Jet4 ellipse(Jet4 along, Jet4 side, Jet4 load, Jet4 friction) {
    return LineTyres.ellipse(along.times(1 / loads.muX), side.times(1 / loads.muY), load, friction);
  }
}
