package marvek.core.line;

import marvek.core.numeric.Jet4;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/** Tyres of which the bend takes the same share each; see {@link LineTyres}. */
final class WholeLineTyres implements LineTyres {
  private final LineLoads loads;
  private final Vehicle.Drive drive;
  private final boolean motorcycle;
  private final double brakeShare;

  WholeLineTyres(Lap lap) {
    loads = new LineLoads(lap);
    drive = lap.vehicle().drive();
    motorcycle = lap.vehicle().kind() == Vehicle.Kind.MOTORCYCLE;
    brakeShare = lap.vehicle().brakes().frontShare();
  }

  @Override
  public int constraints() {
    return motorcycle || drive == Vehicle.Drive.ALL ? 3 : 2;
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
    Jet4 sideUse = loads.across(p, bend, speed2).times(normal.inverse()).times(1 / loads.muY);
    Jet4 frontBrake = braking.times(brakeShare);
    Jet4 rearBrake = braking.times(1 - brakeShare);
    return switch (drive) {
      case FRONT ->
          new Jet4[] {
            ellipse(driving.plus(frontBrake), sideUse, front, friction),
            ellipse(rearBrake, sideUse, rear, friction)
          };
      case REAR ->
          motorcycle
              ? new Jet4[] {
                ellipse(magnitude, sideUse, normal, friction),
                front,
                ellipse(driving, sideUse, rear, friction)
              }
              : new Jet4[] {
                ellipse(frontBrake, sideUse, front, friction),
                ellipse(driving.plus(rearBrake), sideUse, rear, friction)
              };
      case ALL ->
          new Jet4[] {
            ellipse(magnitude, sideUse, normal, friction),
            ellipse(frontBrake, sideUse, front, friction),
            ellipse(rearBrake, sideUse, rear, friction)
          };
    };
  }

  private Jet4 ellipse(Jet4 along, Jet4 sideUse, Jet4 load, Jet4 friction) {
    return LineTyres.ellipse(along.times(1 / loads.muX), sideUse.times(load), load, friction);
  }
}
