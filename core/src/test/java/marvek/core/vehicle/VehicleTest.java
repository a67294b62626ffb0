package marvek.core.vehicle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import marvek.core.InvalidValueException;
import marvek.core.TestVehicles;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Driveline;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class VehicleTest {
  private final Engine engine = TestVehicles.engine();

  @Test
  void torqueIsLinearBetweenPointsAndHeldBeyondThem() {
    assertThat(engine.curveTorqueNm(1000)).isEqualTo(210);
    assertThat(engine.curveTorqueNm(2250)).isCloseTo(255, within(1e-9));
    assertThat(engine.curveTorqueNm(7200)).isEqualTo(300);
    assertThat(engine.curveTorqueNm(7390)).isEqualTo(300);
  }

  @Test
  void noTorqueBeyondTheLimiter() {
    assertThat(engine.torqueNm(7399)).isEqualTo(300);
    assertThat(engine.torqueNm(7401)).isZero();
  }

  /** Textbook relation F = T·i·η/r, v = ω·r/i (Gillespie, ch. 2; from memory). */
  @Test
  void wheelForceAndSpeedFollowTheRatios() {
    Driveline driveline = Driveline.of(TestVehicles.clubCar(), Conditions.Model.PLAIN);
    double ratio = 1.6 * 3.9;
    double speed = 5200 * Math.PI / 30 * 0.33 / ratio;
    assertThat(driveline.speedMps(3, 5200)).isCloseTo(speed, within(1e-9));
    assertThat(driveline.rpm(3, speed)).isCloseTo(5200, within(1e-6));
    assertThat(driveline.forceN(3, speed)).isCloseTo(340 * ratio * 0.92 / 0.33, within(2.0));
    assertThat(driveline.forceN(3, driveline.limiterSpeedMps(3) + 0.01)).isZero();
  }

  /** Tables are kept for a car, and not taken for another that has the same engine. */
  @Test
  void anotherGearboxOrTyreHasAnotherDriveline() {
    Vehicle car = TestVehicles.clubCar();
    Driveline driveline = Driveline.of(car, Conditions.Model.AXLES);
    assertThat(Driveline.of(car.heavierBy(40), Conditions.Model.AXLES)).isSameAs(driveline);
    Gearbox gears = car.gearbox();
    Gearbox shorter =
        new Gearbox(
            new double[] {3, 2, 1.5, 1.2, 1},
            4.5,
            gears.efficiency(),
            gears.upshiftS(),
            gears.downshiftS());
    assertThat(Driveline.of(car.withGearbox(shorter), Conditions.Model.AXLES).rpm(1, 10))
        .isCloseTo(10 / 0.33 * 3 * 4.5 * 30 / Math.PI, within(1e-9));
    assertThat(Driveline.of(car, Conditions.Model.PLAIN).brakes()).isFalse();
    assertThat(Driveline.of(car, Conditions.Model.AXLES).brakes()).isTrue();
    Tyre tyre = car.tyre();
    Tyre smaller =
        new Tyre(
            tyre.muLateral(),
            tyre.muLongitudinal(),
            0.3,
            tyre.referenceLoadN(),
            tyre.loadSensitivity());
    assertThat(Driveline.of(car.withTyre(smaller), Conditions.Model.AXLES).rpm(3, 10))
        .isCloseTo(driveline.rpm(3, 10) * 0.33 / 0.3, within(1e-9));
  }

  @Test
  void theBestGearHasTheLargestForce() {
    Driveline driveline = Driveline.of(TestVehicles.clubCar(), Conditions.Model.PLAIN);
    DoubleStream everywhere = DoubleStream.iterate(5, v -> v < 66, v -> v + 0.37);
    DoubleStream aroundLimiters =
        IntStream.rangeClosed(1, driveline.gears())
            .mapToDouble(driveline::limiterSpeedMps)
            .flatMap(v -> DoubleStream.of(v - 0.03, v, v + 1e-6, v + 0.03, v + 0.08));
    DoubleStream.concat(everywhere, aroundLimiters)
        .forEach(
            v -> {
              double most =
                  IntStream.rangeClosed(1, driveline.gears())
                      .mapToDouble(g -> driveline.forceN(g, v))
                      .max()
                      .orElseThrow();
              // Where two gears cross, the table has the one that is better at the cell's end.
              assertThat(driveline.bestForceN(v)).as("%.3f m/s", v).isCloseTo(most, within(3.0));
              int best = driveline.bestGear(v);
              assertThat(driveline.forceN(best, v)).isCloseTo(most, within(3.0));
            });
  }

  @Test
  void refusesATorqueCurveThatRunsBack() {
    assertThatThrownBy(
            () -> new Engine(new double[] {3000, 2000}, new double[] {100, 120}, 900, 6000, 20))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("torqueCurve");
  }

  @Test
  void refusesALimiterBelowTheIdle() {
    assertThatThrownBy(
            () -> new Engine(new double[] {1000, 2000}, new double[] {100, 120}, 900, 800, 20))
        .isInstanceOf(InvalidValueException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, 0, -1, Double.POSITIVE_INFINITY})
  void refusesATyreWithoutGrip(double mu) {
    assertThatThrownBy(() -> new Tyre(mu, 1.2, 0.3, 3000, 0))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("muLateral");
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, -0.1, 1.1})
  void refusesABrakeShareOutOfRange(double share) {
    assertThatThrownBy(() -> new Brakes(20000, share))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("frontShare");
  }

  @Test
  void refusesAGearboxWithoutGears() {
    assertThatThrownBy(() -> new Gearbox(new double[0], 4, 0.9, 0.1, 0.1))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("ratios");
  }

  @Test
  void arraysAreCopiedIn() {
    double[] ratios = {3, 2, 1};
    Gearbox gearbox = new Gearbox(ratios, 4, 0.9, 0.1, 0.1);
    ratios[0] = 99;
    assertThat(gearbox.ratio(1)).isEqualTo(3);
    assertThat(gearbox.overallRatio(1)).isEqualTo(12);
  }
}
