package marvek.core.car;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Against closed forms: constant force, constant power, and drag that uses the power up. */
class StraightRunTest {
  private static final double MASS_KG = 1000;
  private static final double HUNDRED_MPS = 100 / 3.6;

  /** Without driver, rolling resistance or load transfer; all wheels driven, tyres that hold. */
  private static Vehicle vehicle(Engine engine, Gearbox gearbox, double dragAreaM2) {
    return new Vehicle(
        "made",
        Vehicle.Kind.CAR,
        MASS_KG,
        0,
        2.5,
        0,
        0.5,
        1.5,
        1.8,
        4,
        Vehicle.Drive.ALL,
        0.5,
        engine,
        gearbox,
        new Tyre(5, 5, 0.3, 3000, 0),
        new Brakes(20_000, 0.6),
        new Aero(dragAreaM2, 0, 0.5),
        0,
        Turning.USUAL);
  }

  private static Engine flat(double torqueNm) {
    return new Engine(new double[] {1000}, new double[] {torqueNm}, 500, 9000, 0);
  }

  @Test
  void aConstantForceGivesSpeedOverAcceleration() {
    // One gear that reaches 100 km/h: the force is torque · ratio / radius all the way.
    Vehicle v = vehicle(flat(300), new Gearbox(new double[] {4}, 1, 1, 0, 0), 0);
    double force = 300 * 4 / 0.3;
    assertThat(new StraightRun(v).secondsTo(HUNDRED_MPS))
        .isCloseTo(HUNDRED_MPS * MASS_KG / force, within(1e-6));
  }

  @Test
  void theTimeOfAChangeIsAddedWholeWithoutResistance() {
    double[] ratios = {4, 3.9};
    Vehicle quick = vehicle(flat(300), new Gearbox(ratios, 1, 1, 0, 0), 0);
    Vehicle slow = vehicle(flat(300), new Gearbox(ratios, 1, 1, 0.4, 0), 0);
    double limiter = 9000 * Math.PI / 30 * 0.3 / 4;
    assertThat(limiter).isGreaterThan(HUNDRED_MPS);
    assertThat(new StraightRun(slow).secondsTo(limiter * 1.01))
        .isCloseTo(new StraightRun(quick).secondsTo(limiter * 1.01) + 0.4, within(0.006));
  }

  @Test
  void theTyresHoldWhatTheEngineGives() {
    Vehicle v = vehicle(flat(9000), new Gearbox(new double[] {4}, 1, 1, 0, 0), 0);
    // Friction 5: the force is at most 5 · m · g.
    assertThat(new StraightRun(v).secondsTo(HUNDRED_MPS))
        .isCloseTo(HUNDRED_MPS / (5 * 9.80665), within(0.02));
  }

  @Test
  void thePowerIsUsedUpByTheDragAtTheTopSpeed() {
    // Torque that falls as 1/n between close points is constant power: v = (2P / (ρ·c_d·A))^(1/3).
    double power = 100_000;
    double[] rpm = new double[81];
    double[] torque = new double[81];
    for (int i = 0; i < rpm.length; i++) {
      rpm[i] = 1000 + 100 * i;
      torque[i] = power / (rpm[i] * Math.PI / 30);
    }
    Vehicle v =
        vehicle(
            new Engine(rpm, torque, 500, 9000, 0), new Gearbox(new double[] {3}, 1, 1, 0, 0), 0.8);
    double top = Math.cbrt(2 * power / (StraightRun.airDensityKgM3() * 0.8));
    assertThat(new StraightRun(v).topSpeedMps()).isCloseTo(top, within(0.02));
    assertThat(new StraightRun(v).secondsTo(top * 1.01)).isNaN();
  }

  @Test
  void withoutDragTheLimiterIsTheTopSpeed() {
    Vehicle v = vehicle(flat(300), new Gearbox(new double[] {4}, 1, 1, 0, 0), 0);
    assertThat(new StraightRun(v).topSpeedMps())
        .isCloseTo(9000 * Math.PI / 30 * 0.3 / 4, within(1e-6));
  }
}
