package marvek.core.car;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import marvek.core.InvalidValueException;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A car from ten facts: what was entered is met, by closed forms and by driving it. */
class CarSketchTest {
  private static CarFacts facts(
      Vehicle.Kind kind, double massKg, double kw, double rpm, double topKmh, Double to100) {
    return new CarFacts(
        "Mine",
        kind,
        massKg,
        1000 * kw,
        rpm,
        1.08 * rpm,
        Vehicle.Drive.REAR,
        6,
        topKmh / 3.6,
        to100,
        CarFacts.Tyres.ROAD,
        false);
  }

  /** Common practice of the trade: what such cars do on the road, from memory. */
  @ParameterizedTest
  @CsvSource({
    "CAR, 1000, 96, 6800, 204, 8.0",
    "CAR, 1230, 170, 7000, 240, 6.2",
    "CAR, 1450, 310, 8400, 300, 4.4",
    "CAR, 1800, 110, 4000, 205, 10.5",
    "MOTORCYCLE, 190, 78, 9500, 225, 3.6",
    "MOTORCYCLE, 198, 150, 13000, 290, 3.4"
  })
  void whatWasEnteredIsMet(
      Vehicle.Kind kind, double massKg, double kw, double rpm, double topKmh, double to100) {
    SketchedCar made = CarSketch.of(facts(kind, massKg, kw, rpm, topKmh, to100));
    assertThat(3.6 * made.topSpeedMps()).isCloseTo(topKmh, within(0.5));
    assertThat(made.unmet()).isEmpty();
    assertThat(made.zeroTo100S()).isCloseTo(to100, within(0.05));
  }

  @Test
  void theDragAreaUsesThePowerUpAtTheTopSpeed() {
    Vehicle v = CarSketch.of(facts(Vehicle.Kind.CAR, 1230, 170, 7000, 240, null)).vehicle();
    double top = 240 / 3.6;
    double drag = StraightRun.airDensityKgM3() / 2 * v.aero().cdAM2() * top * top;
    double rolling = v.rollingResistance() * (v.massKg() + v.driverKg()) * 9.80665;
    assertThat((drag + rolling) * top).isCloseTo(170_000 * v.gearbox().efficiency(), within(1.0));
  }

  @Test
  void theEngineGivesItsPowerAtItsSpeedAndNowhereMore() {
    Vehicle v = CarSketch.of(facts(Vehicle.Kind.CAR, 1230, 170, 7000, 240, null)).vehicle();
    double most = 0;
    for (double rpm = 800; rpm <= 7560; rpm += 10) {
      most = Math.max(most, v.engine().curveTorqueNm(rpm) * rpm * Math.PI / 30);
    }
    assertThat(v.engine().curveTorqueNm(7000) * 7000 * Math.PI / 30)
        .isCloseTo(170_000, within(1.0));
    assertThat(most).isCloseTo(170_000, within(200.0));
  }

  @Test
  void aTopSpeedFarBelowThePowerIsHeldByTheLimiter() {
    SketchedCar made = CarSketch.of(facts(Vehicle.Kind.CAR, 700, 160, 9000, 190, null));
    assertThat(3.6 * made.topSpeedMps()).isCloseTo(190, within(0.01));
    assertThat(made.vehicle().aero().cdAM2()).isEqualTo(0.7);
    assertThat(made.assumed())
        .anyMatch(a -> a.why().words().contains("the limiter holds the top speed"));
  }

  @Test
  void whatNoGearingMeetsIsSaidWithTheNearest() {
    SketchedCar made = CarSketch.of(facts(Vehicle.Kind.CAR, 1600, 60, 5500, 160, 3.0));
    assertThat(made.unmet()).hasSize(1);
    assertThat(made.unmet().get(0).fact()).isEqualTo("zeroTo100_s");
    assertThat(made.unmet().get(0).nearest()).isGreaterThan(8).isEqualTo(made.zeroTo100S());
  }

  @Test
  void whatCannotBeIsRefusedAtItsFact() {
    assertThatThrownBy(() -> CarSketch.of(facts(Vehicle.Kind.CAR, 1200, 60, 5500, 300, null)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("topSpeed_kmh (300 km/h) is more than 60 kW can reach");
    for (double mass : new double[] {0, -1, Double.NaN, Double.POSITIVE_INFINITY}) {
      assertThatThrownBy(() -> facts(Vehicle.Kind.CAR, mass, 60, 5500, 160, null))
          .hasMessageContaining("mass_kg");
    }
    assertThatThrownBy(
            () ->
                new CarFacts(
                    "x",
                    Vehicle.Kind.CAR,
                    1000,
                    100_000,
                    7000,
                    6900,
                    Vehicle.Drive.REAR,
                    5,
                    60,
                    null,
                    CarFacts.Tyres.SLICK,
                    true))
        .hasMessageContaining("limiter_rpm");
  }

  @Test
  void everyValueThatNobodyGaveIsListed() {
    SketchedCar made = CarSketch.of(facts(Vehicle.Kind.CAR, 1230, 170, 7000, 240, 6.2));
    assertThat(made.assumed())
        .extracting(SketchedCar.Assumed::pointer)
        .contains("/tyre/muLateral", "/aero/cdA_m2", "/gearbox/ratios", "/engine/torqueCurve")
        .doesNotHaveDuplicates();
    assertThat(made.assumed()).allSatisfy(a -> assertThat(a.why().words()).isNotBlank());
  }
}
