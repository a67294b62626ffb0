package marvek.core.profile;

import static marvek.core.TestVehicles.FULL_GRIP;
import static marvek.core.profile.Constants.G0;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SpeedProfileTest {
  /** Constant power between 10 and 1000 rad/s of the one gear there is: P = T·ω held by a table. */
  private static Vehicle constantPower(double watts, double cdA) {
    int n = 400;
    double[] rpm = new double[n];
    double[] torque = new double[n];
    for (int i = 0; i < n; i++) {
      rpm[i] = 100 * Math.pow(200, i / (n - 1.0));
      torque[i] = watts / (rpm[i] * Math.PI / 30);
    }
    return TestVehicles.bare(
        Vehicle.Drive.ALL,
        0,
        0.5,
        5,
        new Brakes(900_000, 0.5),
        new Engine(rpm, torque, 50, 20000, 0),
        new Gearbox(new double[] {1}, 6, 1, 0, 0),
        cdA);
  }

  private static Path straight(double length, double grade) {
    Survey flat = TestRoads.every(10).straight(length).survey(false, 6, 0, 0);
    Survey sloped = TestRoads.changed(flat, (p, i) -> new double[] {p[0], p[1], grade * p[0]});
    return Path.centreline(Road.through(sloped), List.of());
  }

  /** A run that may be no faster than a speed at a place, else free. */
  private static ProfileOptions cappedAt(Path path, double stationM, double speedMps) {
    double[] cap = new double[path.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[path.road().indexOf(stationM)] = speedMps;
    return ProfileOptions.NONE.withSpeedCap(cap);
  }

  /** Steady circle: v = √(μgR). */
  @ParameterizedTest
  @CsvSource({"30, 0.8", "75, 1.2", "200, 1.0"})
  void aSteadyCircleIsDrivenAtTheGripLimit(double radius, double mu) {
    Path path = Path.centreline(Road.through(TestRoads.circle(radius, 5)), List.of());
    Lap lap = SpeedProfile.solve(path, TestVehicles.pointMass(mu), FULL_GRIP);
    double expected = Math.sqrt(mu * G0 * radius);
    assertThat(lap.timeS()).isCloseTo(2 * Math.PI * radius / expected, within(0.004 * lap.timeS()));
    assertThat(lap.topSpeedMps()).isCloseTo(expected, within(0.01 * expected));
    assertThat(lap.converged()).isTrue();
  }

  /** Braking from v to a stand on the level: d = v²/(2μg); here down to a crawl of 1 m/s. */
  @ParameterizedTest
  @ValueSource(doubles = {20, 40, 55})
  void brakingTakesTheDistanceOfTheTextbook(double speed) {
    Path path = straight(600, 0);
    Lap lap =
        SpeedProfile.solve(path, TestVehicles.pointMass(1), FULL_GRIP, cappedAt(path, 400, 1));
    double distance = (speed * speed - 1) / (2 * G0);
    int at = path.road().indexOf(400 - distance);
    assertThat(lap.speedAt(at)).isCloseTo(speed, within(0.015 * speed));
  }

  /**
   * Stopping distance on a grade d = V²/(254(f ± G)), V in km/h (AASHTO Green Book, stopping sight
   * distance, braking part; from memory): 90 km/h, f = 0.35: 91 m level, 107 m at 5.2 % down.
   */
  @ParameterizedTest
  @CsvSource({"0.0", "0.05", "-0.05"})
  void brakingOnAGradeTakesTheRoadDesignersDistance(double grade) {
    double friction = 0.35;
    double distance = 90 * 90 / (254 * (friction + grade));
    Path path = straight(900, grade);
    Lap lap =
        SpeedProfile.solve(
            path, TestVehicles.pointMass(friction), FULL_GRIP, cappedAt(path, 700, 0.6));
    int at = path.road().indexOf(700 - distance);
    assertThat(3.6 * lap.speedAt(at)).isCloseTo(90, within(0.9));
  }

  /** Constant power without drag: v³ = v₀³ + 3Ps/m (energy; textbook). */
  @Test
  void constantPowerGainsTheCubeOfTheSpeed() {
    double power = 150_000;
    Path path = straight(900, 0);
    Lap lap = SpeedProfile.solve(path, constantPower(power, 0), FULL_GRIP, cappedAt(path, 100, 15));
    double v0 = lap.speedAt(path.road().indexOf(100));
    for (double s : new double[] {200, 400, 800}) {
      double expected = Math.cbrt(v0 * v0 * v0 + 3 * power * (s - 100) / 1000);
      assertThat(lap.speedAt(path.road().indexOf(s))).isCloseTo(expected, within(0.01 * expected));
    }
  }

  /** Terminal speed (2P/(ρ·CdA))^⅓. */
  @Test
  void dragEndsTheAcceleration() {
    double power = 60_000;
    double cdA = 1.4;
    Path path = straight(9000, 0);
    Lap lap = SpeedProfile.solve(path, constantPower(power, cdA), FULL_GRIP);
    double terminal = Math.cbrt(2 * power / (FULL_GRIP.airDensityKgM3() * cdA));
    assertThat(lap.speedAt(path.size() - 1)).isCloseTo(terminal, within(0.01 * terminal));
  }

  /**
   * Acceleration with drag, rolling and traction limit against Dormand–Prince 8(5,3) of Hipparchus.
   */
  @Test
  void aRunUpAgreesWithAnOdeSolver() {
    double power = 120_000;
    Path path = straight(800, 0.03);
    Vehicle vehicle = constantPower(power, 0.9);
    Lap lap = SpeedProfile.solve(path, vehicle, FULL_GRIP, cappedAt(path, 50, 12));
    double rho = FULL_GRIP.airDensityKgM3();
    double sin = 0.03 / Math.sqrt(1 + 0.03 * 0.03);
    double perPlanMetre = Math.sqrt(1 + 0.03 * 0.03);
    OrdinaryDifferentialEquation motion =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 1;
          }

          @Override
          public double[] computeDerivatives(double s, double[] w) {
            double v = Math.sqrt(w[0]);
            double force = power / v - 0.5 * rho * 0.9 * w[0] - 1000 * G0 * sin;
            return new double[] {2 * force / 1000 * perPlanMetre};
          }
        };
    int from = path.road().indexOf(50);
    int to = path.road().indexOf(750);
    double[] start = {lap.speedAt(from) * lap.speedAt(from)};
    double w =
        new DormandPrince853Integrator(1e-6, 10, 1e-10, 1e-10)
            .integrate(
                motion, new ODEState(path.road().stationAt(from), start), path.road().stationAt(to))
            .getPrimaryState()[0];
    assertThat(lap.speedAt(to)).isCloseTo(Math.sqrt(w), within(0.003 * Math.sqrt(w)));
  }

  /** Halving the step quarters the error against the exact v³ = v₀³ + 3Ps/m: second order. */
  @Test
  void aHalfStepLeavesAQuarterOfTheError() {
    double power = 150_000;
    double[] error = new double[3];
    double[] steps = {5, 2.5, 1.25};
    for (int k = 0; k < steps.length; k++) {
      Survey flat = TestRoads.every(10).straight(960).survey(false, 6, 0, 0);
      Path path = Path.centreline(Road.through(flat, 1, steps[k]), List.of());
      Road road = path.road();
      int from = road.indexOf(160);
      int to = road.indexOf(800);
      Lap lap =
          SpeedProfile.solve(path, constantPower(power, 0), FULL_GRIP, cappedAt(path, 160, 10));
      double way = road.stationAt(to) - road.stationAt(from);
      double v0 = lap.speedAt(from);
      error[k] = Math.abs(lap.speedAt(to) - Math.cbrt(v0 * v0 * v0 + 3 * power * way / 1000));
    }
    assertThat(error[0] / error[1]).isGreaterThan(3);
    assertThat(error[1] / error[2]).isGreaterThan(2);
  }

  /** A whole lap: each halving changes the time by less than the one before. */
  @Test
  void halvingTheStepConverges() {
    Survey survey = TestRoads.varied(5);
    double[] time = new double[4];
    double[] steps = {4, 2, 1, 0.5};
    for (int k = 0; k < steps.length; k++) {
      Path path = Path.centreline(Road.through(survey, 1, steps[k]), List.of());
      time[k] = SpeedProfile.solve(path, TestVehicles.pointMass(1.1), FULL_GRIP).timeS();
    }
    double coarse = Math.abs(time[0] - time[1]);
    double middle = Math.abs(time[1] - time[2]);
    double fine = Math.abs(time[2] - time[3]);
    assertThat(middle).isLessThan(coarse / 1.8);
    assertThat(fine).isLessThan(middle / 1.8);
    assertThat(fine).isLessThan(0.02);
  }

  /** Uphill, with too little power: the speed falls below the limit, it is not held there. */
  @Test
  void gradeCanWinOverTheEngine() {
    Path path = straight(3000, 0.25);
    Lap lap = SpeedProfile.solve(path, constantPower(40_000, 0.6), FULL_GRIP);
    double steady = 40_000 / (1000 * G0 * 0.25 / Math.sqrt(1 + 0.0625));
    assertThat(lap.speedAt(path.size() - 1)).isBetween(0.9 * steady, 1.02 * steady);
  }

  @Test
  void theEndOfAClosedLapMeetsItsBegin() {
    Path path = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
    Lap lap = SpeedProfile.solve(path, TestVehicles.clubCar(), FULL_GRIP);
    assertThat(lap.converged()).isTrue();
    double jump = 0;
    for (int i = 0; i < lap.size(); i++) {
      double next = lap.speedAt(path.road().wrap(i + 1));
      jump = Math.max(jump, Math.abs(next - lap.speedAt(i)));
    }
    // 20 m/s² over a metre at 10 m/s is 2 m/s: nothing may be steeper.
    assertThat(jump).isLessThan(2);
  }

  @Test
  void neverUsesMoreGripThanThereIs() {
    Path path = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
    Lap lap = SpeedProfile.solve(path, TestVehicles.clubCar(), FULL_GRIP);
    for (int i = 0; i < lap.size(); i++) {
      assertThat(lap.lateralUseAt(i)).isLessThanOrEqualTo(1 + 1e-6);
      assertThat(lap.speedAt(i)).isLessThanOrEqualTo(lap.limitSpeedAt(i) * (1 + 1e-9));
      assertThat(lap.brakeGAt(i)).isLessThan(2.2);
    }
  }

  @Test
  void refusesOptionsOfAnotherPath() {
    Path path = Path.centreline(Road.through(TestRoads.circle(50, 5)), List.of());
    assertThatThrownBy(
            () ->
                SpeedProfile.solve(
                    path,
                    TestVehicles.clubCar(),
                    FULL_GRIP,
                    ProfileOptions.NONE.withSpeedCap(new double[4])))
        .isInstanceOf(InvalidValueException.class);
  }
}
