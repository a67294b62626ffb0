package marvek.core.profile;

import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Vehicle;

/**
 * A start from rest: up to the speed at which first gear turns the engine at its greatest torque
 * the clutch slips and the engine stays there (common practice), as far as the tyres hold it.
 *
 * @param last sample up to which that is so; −1 where nothing starts from rest
 * @param forceN at the wheels meanwhile
 */
record Launch(int last, double forceN) {
  /** No start. */
  static final Launch NONE = new Launch(-1, 0);

  /** The start of a run along a path, or none where it is flying or leads round. */
  static Launch of(Path path, ForceModel forces, Vehicle vehicle, Conditions conditions) {
    if (path.road().closed() || conditions.start() != Conditions.Start.STANDING) {
      return NONE;
    }
    Engine engine = vehicle.engine();
    double rpm = engine.rpmAt(0);
    for (int k = 1; k < engine.points(); k++) {
      rpm = engine.torqueAt(k) > engine.curveTorqueNm(rpm) ? engine.rpmAt(k) : rpm;
    }
    double perTorque =
        vehicle.gearbox().overallRatio(1)
            * vehicle.gearbox().efficiency()
            / vehicle.tyre().radiusM();
    double force = engine.curveTorqueNm(rpm) * perTorque;
    double shut = rpm * Math.PI / 30 * vehicle.tyre().radiusM() / vehicle.gearbox().overallRatio(1);
    return new Launch(reached(path, forces, force, shut * shut), force);
  }

  /** Sample at which a square of the speed is reached, or the last one. */
  private static int reached(Path path, ForceModel forces, double force, double wanted) {
    double w = 0;
    for (int i = 0; i < path.elements(); i++) {
      if (w >= wanted) {
        return i;
      }
      double gained = forces.netDriveN(i, w, force) / forces.massKg();
      w += 2 * path.elementAt(i) * Math.max(0, gained);
    }
    return path.elements();
  }

  /** Force of the engine at a sample that would be so much with the clutch shut [N]. */
  double engineN(int i, double shutN) {
    return i <= last ? Math.max(shutN, forceN) : shutN;
  }
}
