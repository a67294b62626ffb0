package marvek.core.car;

import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Driveline;
import marvek.core.profile.ForceModel;
import marvek.core.vehicle.Vehicle;

/**
 * A vehicle on a straight, level road in still air, at full throttle: how fast it gets, and how
 * long that takes from standing. The forces are those of a lap.
 */
public final class StraightRun {
  /** All of the grip, and else an ordinary day. */
  private static final Conditions DAY = Conditions.DEFAULT.withGripUsed(1);

  private static final Path ROAD = Path.centreline(Road.through(level()), List.of());

  /** Heun steps of this length leave less than a thousandth of the time of any car. */
  private static final double STEP_S = 0.005;

  /** What takes longer is never reached. */
  private static final double LONGEST_S = 120;

  /** Halved so often a speed is found to a millimetre a second. */
  private static final int HALVINGS = 20;

  private final Driveline driveline;
  private final ForceModel forces;
  private final double upshiftS;

  /** Prepares a vehicle for the road. */
  public StraightRun(Vehicle vehicle) {
    driveline = Driveline.of(vehicle, DAY.model());
    forces = new ForceModel(ROAD, vehicle, DAY);
    upshiftS = vehicle.gearbox().upshiftS();
  }

  private static Survey level() {
    int points = 9;
    double[] along = new double[points];
    double[] width = new double[points];
    for (int i = 0; i < points; i++) {
      along[i] = 20.0 * i;
      width[i] = 5;
    }
    double[] nothing = new double[points];
    return new Survey(along, nothing, nothing, width, width, nothing, false);
  }

  /** Density of the air on that day [kg/m³]. */
  static double airDensityKgM3() {
    return DAY.airDensityKgM3();
  }

  /**
   * The speed at which nothing is left to accelerate with, or the limiter in the last gear [m/s].
   */
  public double topSpeedMps() {
    double low = 0;
    double high = driveline.limiterSpeedMps(driveline.gears());
    if (accelerates(high)) {
      return high;
    }
    for (int k = 0; k < HALVINGS; k++) {
      double middle = (low + high) / 2;
      if (accelerates(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private boolean accelerates(double v) {
    double most = 0;
    for (int gear = 1; gear <= driveline.gears(); gear++) {
      most = Math.max(most, driveline.forceN(gear, v));
    }
    return netN(v, most) > 0;
  }

  /**
   * Time from standing to a speed [s]; NaN where it is never reached. The next gear is taken where
   * it pulls as much, and pulls after the time of a change.
   */
  public double secondsTo(double speedMps) {
    double v = 0;
    double time = 0;
    int gear = 1;
    double shifting = 0;
    while (v < speedMps) {
      if (shifting <= 0 && wantsNext(gear, v)) {
        gear++;
        shifting = upshiftS;
      }
      boolean pulls = shifting <= 0;
      double a0 = accelerationMps2(v, gear, pulls);
      double guess = Math.max(0, v + a0 * STEP_S);
      double a = (a0 + accelerationMps2(guess, gear, pulls)) / 2;
      double next = v + a * STEP_S;
      if (next >= speedMps) {
        return time + (speedMps - v) / a;
      }
      v = Math.max(0, next);
      shifting -= STEP_S;
      time += STEP_S;
      if (time > LONGEST_S) {
        return Double.NaN;
      }
    }
    return time;
  }

  private boolean wantsNext(int gear, double v) {
    return gear < driveline.gears()
        && (v >= driveline.limiterSpeedMps(gear)
            || driveline.forceN(gear + 1, v) >= driveline.forceN(gear, v));
  }

  private double accelerationMps2(double v, int gear, boolean pulls) {
    return netN(v, pulls ? driveline.forceN(gear, v) : 0) / forces.massKg();
  }

  private double netN(double v, double engineN) {
    return forces.netDriveN(ROAD.size() / 2, v * v, engineN);
  }
}
