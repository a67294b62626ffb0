package marvek.core.line;

import static marvek.core.profile.Constants.G0;

import marvek.core.numeric.Jet4;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/** Loads on the tyres of a vehicle and their friction, in weights; see {@link LineTyres}. */
final class LineLoads {
  final double muX;
  final double muY;
  private final double heightRatio;
  private final double frontShare;
  private final double ofAir;
  private final double sensitivity;
  private final double weightOverReference;

  LineLoads(Lap lap) {
    Vehicle vehicle = lap.vehicle();
    ForceModel forces = lap.forces();
    double weight = forces.massKg() * G0;
    double gripFactor = lap.conditions().gripFactor();
    muX = vehicle.tyre().muLongitudinal() * gripFactor;
    muY = vehicle.tyre().muLateral() * gripFactor;
    heightRatio = vehicle.cgHeightM() / vehicle.wheelbaseM();
    frontShare = vehicle.frontWeightShare();
    ofAir = forces.downforcePerSquaredSpeed() / weight * (vehicle.aero().frontShare() - frontShare);
    sensitivity = vehicle.tyre().loadSensitivity();
    weightOverReference = weight / (vehicle.tyre().referenceLoadN() * vehicle.wheels());
  }

  Jet4 normal(LineTyres.Place p, Jet4 bend, Jet4 speed2) {
    return speed2.times(bend.times(p.sinPhi() / G0).plus(p.crest())).plus(p.cosCos());
  }

  Jet4 front(Jet4 normal, Jet4 along, Jet4 speed2) {
    return normal.times(frontShare).plus(speed2.times(ofAir)).minus(along.times(heightRatio));
  }

  Jet4 across(LineTyres.Place p, Jet4 bend, Jet4 speed2) {
    return speed2.times(bend).times(p.cosPhi() / G0).plus(-p.cosSin());
  }

  /** Factor on the friction of a place and of the load. */
  Jet4 friction(LineTyres.Place p, Jet4 normal) {
    return normal.times(-sensitivity * weightOverReference).plus(1 + sensitivity).times(p.grip());
  }
}
