package marvek.core.car;

import marvek.core.profile.Lap;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Vehicle;

/**
 * What a vehicle is, in a few figures, ready to drive in the conditions of a lap.
 *
 * @param massKg with driver and fuel
 * @param powerW largest at the crank
 * @param powerRpm where that is
 * @param wheelieG acceleration at which the front wheel leaves the level road
 * @param stoppieG deceleration at which the rear wheel does
 * @param leanLimitDeg lean that the tyres' grip in these conditions allows; 0 for four wheels
 */
public record Figures(
    double massKg,
    double frontWeightShare,
    double wheelbaseM,
    double cgHeightM,
    double powerW,
    double powerRpm,
    double gripLateral,
    double cdAM2,
    double clAM2,
    double wheelieG,
    double stoppieG,
    double leanLimitDeg) {
  /** Torque is given every few hundred revolutions; finer does not move the peak. */
  private static final double STEP_RPM = 50;

  /** The figures of a lap's vehicle; wheelie and stoppie without downforce: b/h and a/h. */
  public static Figures of(Lap lap) {
    Vehicle car = lap.vehicle();
    double best = car.engine().idleRpm();
    for (double rpm = best; rpm <= car.engine().limiterRpm(); rpm += STEP_RPM) {
      best = power(car.engine(), rpm) > power(car.engine(), best) ? rpm : best;
    }
    double height = Math.max(1e-3, car.cgHeightM());
    double grip = car.tyre().muLateral() * lap.conditions().gripFactor();
    boolean leans = car.kind() == Vehicle.Kind.MOTORCYCLE;
    return new Figures(
        lap.forces().massKg(),
        car.frontWeightShare(),
        car.wheelbaseM(),
        car.cgHeightM(),
        power(car.engine(), best),
        best,
        grip,
        car.aero().cdAM2(),
        car.aero().clAM2(),
        car.cgToRearAxleM() / height,
        car.cgToFrontAxleM() / height,
        leans ? Math.toDegrees(Math.atan(grip)) : 0);
  }

  private static double power(Engine engine, double rpm) {
    return engine.torqueNm(rpm) * rpm * Math.PI / 30;
  }
}
