package marvek.core.car;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.car.Sensitivities.Change;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SensitivitiesTest {
  private static final double START_MPS = 20;

  /** One gear and all the grip there is, so that a straight is engine, mass and air alone. */
  private static final Vehicle SPRINTER =
      TestVehicles.bare(
          Vehicle.Drive.ALL,
          0.3,
          0.5,
          3,
          new Brakes(900_000, 0.5),
          new Engine(new double[] {1000, 4000, 7000}, new double[] {300, 420, 350}, 0, 12_000, 0),
          new Gearbox(new double[] {1.0}, 3.3, 0.95, 0.05, 0),
          0.8);

  private static final Road STRAIGHT =
      Road.through(TestRoads.every(10).straight(900).survey(false, 6, 0, 0));

  /** The model's time down the straight from a given speed. */
  private static double modelled(Vehicle car) {
    double[] cap = new double[STRAIGHT.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[0] = START_MPS;
    return SpeedProfile.solve(
            Path.centreline(STRAIGHT, List.of()),
            car,
            TestVehicles.FULL_GRIP,
            ProfileOptions.NONE.withSpeedCap(cap))
        .timeS();
  }

  /**
   * The same straight by an ODE integrator of another library (Hipparchus, Dormand-Prince 8(5,3)):
   * v' = (F(v) − ½ρ·CdA·v²)/m over the metres, t' = 1/v. Nothing of the model's code is in it but
   * the car's own numbers.
   */
  private static double integrated(Vehicle car) {
    double mass = car.massKg() + car.driverKg();
    double rho = TestVehicles.FULL_GRIP.airDensityKgM3();
    OrdinaryDifferentialEquation run =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double s, double[] y) {
            double v = y[0];
            double rpm = v / 0.33 * 3.3 * 30 / Math.PI;
            double force = car.engine().torqueNm(rpm) * 3.3 * 0.95 / 0.33;
            double drag = 0.5 * rho * car.aero().cdAM2() * v * v;
            return new double[] {(force - drag) / mass / v, 1 / v};
          }
        };
    ODEStateAndDerivative end =
        new DormandPrince853Integrator(1e-3, 10, 1e-9, 1e-9)
            .integrate(run, new ODEState(0, new double[] {START_MPS, 0}), STRAIGHT.lengthM());
    return end.getPrimaryState()[1];
  }

  @ParameterizedTest
  @EnumSource(names = {"MASS_50_KG_MORE", "POWER_5_PCT_LESS", "DRAG_10_PCT_MORE"})
  void whatAChangeCostsOnAStraightIsWhatAnOdeIntegratorSays(Change change) {
    Vehicle changed = Sensitivities.changed(SPRINTER, change);
    double model = modelled(changed) - modelled(SPRINTER);
    double ode = integrated(changed) - integrated(SPRINTER);
    assertThat(ode).isGreaterThan(0.005);
    assertThat(model).isCloseTo(ode, within(0.02 * ode + 5e-4));
    assertThat(modelled(SPRINTER)).isCloseTo(integrated(SPRINTER), within(0.01));
  }

  /** v² = μgR: on a circle 5 % less grip takes 1/√0.95 of the time. */
  @Test
  void lessGripOnACircleTakesTheTimeOfTheFormula() {
    Road circle = Circuit.bare("circle", TestRoads.circle(60, 4)).road();
    Lap lap =
        SpeedProfile.solve(
            Path.centreline(circle, List.of()),
            TestVehicles.pointMass(1.1),
            TestVehicles.FULL_GRIP);
    double lost =
        Sensitivities.of(lap).stream()
            .filter(e -> e.change() == Change.GRIP_5_PCT_LESS)
            .findFirst()
            .orElseThrow()
            .lostS();
    assertThat(lost).isCloseTo(lap.timeS() * (1 / Math.sqrt(0.95) - 1), within(2e-3));
  }

  @Test
  void aHeavierWeakerCarWithLessGripIsSlower() {
    Lap lap = lap(TestVehicles.clubCar());
    List<Sensitivities.Effect> effects = Sensitivities.of(lap);
    for (Sensitivities.Effect effect : effects) {
      switch (effect.change()) {
        case DOWNFORCE_10_PCT_MORE, BRAKE_FORCE_10_PCT_MORE ->
            assertThat(effect.lostS()).isLessThanOrEqualTo(1e-6);
        default -> assertThat(effect.lostS()).as("%s", effect.change()).isPositive();
      }
    }
    assertThat(Sensitivities.of(lap(TestVehicles.motorcycle())))
        .extracting(Sensitivities.Effect::change)
        .doesNotContain(Change.DOWNFORCE_10_PCT_MORE);
  }

  private static Lap lap(Vehicle car) {
    Road road = Circuit.bare("varied", TestRoads.varied(5)).road();
    return SpeedProfile.solve(Path.centreline(road, List.of()), car, Conditions.DEFAULT);
  }
}
