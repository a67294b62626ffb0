package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The table of the cost to go against closed forms, and what any such table has to be like. */
class CostToGoTest {
  private static final double POWER_W = 100_000;
  private static final double MASS_KG = 1000;
  private static final double STRAIGHT_M = 2000;

  /** One gear whose wheel force is the same power at every speed that is driven here. */
  private static Vehicle constantPower(double cdA) {
    int points = 240;
    double[] rpm = new double[points];
    double[] torque = new double[points];
    for (int i = 0; i < points; i++) {
      rpm[i] = 300 * Math.pow(1.018, i);
      torque[i] = POWER_W / (rpm[i] * Math.PI / 30);
    }
    Engine engine = new Engine(rpm, torque, 250, rpm[points - 1] + 50, 0);
    Gearbox gearbox = new Gearbox(new double[] {1}, 3, 1, 0, 0);
    return TestVehicles.bare(
        Vehicle.Drive.ALL, 0, 0.5, 5, new Brakes(90_000, 0.5), engine, gearbox, cdA);
  }

  private static Lap alongStraight(Vehicle car) {
    Road road = Road.through(TestRoads.every(5).straight(STRAIGHT_M).survey(false, 6, 0, 0));
    double[] cap = new double[road.size()];
    Arrays.fill(cap, 1000);
    cap[0] = 60;
    return SpeedProfile.solve(
        Path.centreline(road, List.of()),
        car,
        TestVehicles.FULL_GRIP,
        ProfileOptions.NONE.withSpeedCap(cap));
  }

  /**
   * Constant power without drag: {@code v³ = v₀³ + 3Ps/m}, and the time is that of the gain of
   * energy, {@code t = m(v² − v₀²)/2P} (textbook mechanics; power-limited acceleration as in
   * Gillespie, ch. 2, from memory).
   */
  @ParameterizedTest
  @ValueSource(doubles = {20, 31.7, 44.25, 58})
  void constantPowerWithoutDragTakesTheTimeOfItsEnergy(double speed) {
    Lap lap = alongStraight(constantPower(0));
    CostToGo table = CostToGo.of(lap);
    double length = lap.path().road().lengthM();
    for (double from : new double[] {0, 401, 1200, 1800}) {
      double end = Math.cbrt(Math.pow(speed, 3) + 3 * POWER_W * (length - from) / MASS_KG);
      double seconds = MASS_KG * (end * end - speed * speed) / (2 * POWER_W);
      // The torque curve is straight between its points, 1.8 % apart: that leaves 4e-5 of power.
      assertThat(table.toEndS(from, speed)).isCloseTo(seconds, within(0.002));
    }
  }

  /** At the terminal speed {@code (2P/(ρCdA))^⅓} the road is driven at that speed for ever. */
  @Test
  void terminalSpeedStays() {
    double cdA = 1.4;
    double density = TestVehicles.FULL_GRIP.airDensityKgM3();
    double terminal = Math.cbrt(2 * POWER_W / (density * cdA));
    Lap lap = alongStraight(constantPower(cdA));
    CostToGo table = CostToGo.of(lap);
    double length = lap.path().road().lengthM();
    assertThat(table.toEndS(0, terminal)).isCloseTo(length / terminal, within(0.002));
    assertThat(table.toEndS(900, terminal)).isCloseTo((length - 900) / terminal, within(0.002));
  }

  private static final Reference BOOK =
      Reference.on(
          Reference.basis(
              marvek.core.circuit.Circuit.bare("varied", TestRoads.varied(5)),
              TestVehicles.clubCar(),
              Conditions.OF_NEW_BOOKS,
              marvek.core.line.ChosenLine.SMOOTH),
          Conditions.OF_NEW_BOOKS,
          List.of());

  private static final CostToGo TABLE = CostToGo.of(BOOK.lap());

  @Test
  void alongThePageNothingIsBehindIt() {
    Road road = BOOK.path().road();
    for (double s = 0; s < road.lengthM(); s += 7) {
      double own = BOOK.lap().speedAt(road.indexOf(s));
      // Between two stations of the table the page's speed is another than the straight line has
      // it: 0.0357 s at most.
      assertThat(TABLE.behindS(s, own)).as("at %.0f m", s).isCloseTo(0, within(0.036));
    }
  }

  /** A faster car is never behind a slower one, and missing speed is paid for on the way. */
  @Test
  void fasterIsNeverLater() {
    Road road = BOOK.path().road();
    for (double s = 3; s < road.lengthM(); s += 41) {
      double before = Double.POSITIVE_INFINITY;
      for (double v = 4; v < 66; v += 1.3) {
        double behind = TABLE.behindS(s, v);
        assertThat(behind).as("at %.0f m and %.1f m/s", s, v).isLessThanOrEqualTo(before + 1e-3);
        before = behind;
      }
    }
  }

  /** Over the line of a closed road goes on what was lost before it. */
  @Test
  void theLineOfAClosedRoadIsNoEndOfWhatIsMissing() {
    Road road = BOOK.path().road();
    double own = BOOK.lap().speedAt(0);
    double before = TABLE.behindS(road.lengthM() - 1, own - 4);
    double behind = TABLE.behindS(1, own - 4);
    assertThat(behind).isGreaterThan(0.05).isCloseTo(before, within(0.03));
  }
}
