package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.Corridor;
import marvek.core.line.FastestLine;
import marvek.core.line.SmoothLine;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Runs along open roads from rest. */
class LaunchTest {
  private static final Conditions FROM_REST =
      TestVehicles.FULL_GRIP.but().start(Conditions.Start.STANDING).build();

  private static Path straight(double metres) {
    return Path.centreline(
        Road.through(TestRoads.every(5).straight(metres).survey(false, 5, 0, 0)), List.of());
  }

  /** On the tyres' limit from rest: s = a·t²/2 with a = μg (any mechanics textbook). */
  @Test
  void whereTheTyresLimitItIsUniformAcceleration() {
    Lap lap = SpeedProfile.solve(straight(40), TestVehicles.pointMass(0.4), FROM_REST);
    double a = 0.4 * Constants.G0;
    assertThat(lap.speedAt(0)).isZero();
    for (int metres : new int[] {1, 5, 20, 39}) {
      int i = lap.path().road().indexOf(metres);
      double s = lap.path().distanceAt(i);
      assertThat(lap.timeAt(i)).isCloseTo(Math.sqrt(2 * s / a), within(0.01));
      assertThat(lap.speedAt(i)).isCloseTo(Math.sqrt(2 * a * s), within(0.05));
    }
  }

  /** The clutch slips at the engine's greatest torque: v = F·t/m up to where it is shut. */
  @Test
  void whereTheClutchLimitsItTheForceIsThatOfTheGreatestTorque() {
    Vehicle mass = TestVehicles.pointMass(3);
    Lap lap = SpeedProfile.solve(straight(40), mass, FROM_REST);
    double force = 340 * 2.9 * 3.9 * 0.92 / 0.33;
    double shut = 5200 * Math.PI / 30 * 0.33 / (2.9 * 3.9);
    int i = 1;
    while (lap.speedAt(i) < 0.95 * shut) {
      double s = lap.path().distanceAt(i);
      assertThat(lap.speedAt(i)).isCloseTo(Math.sqrt(2 * force / 1000 * s), within(0.02));
      i++;
    }
    assertThat(i).isGreaterThan(8);
    assertThat(lap.gearAt(1)).isEqualTo(1);
  }

  @Test
  void aFlyingRunIsQuickerAndBothAreTheSameFarOn() {
    Path path = Path.centreline(MadeRoads.open().road(), List.of());
    Vehicle car = TestVehicles.clubCar();
    Lap standing = SpeedProfile.solve(path, car, FROM_REST);
    Lap flying = SpeedProfile.solve(path, car, TestVehicles.FULL_GRIP);
    assertThat(flying.speedAt(0)).isGreaterThan(50);
    assertThat(standing.timeS() - flying.timeS()).isBetween(2.0, 12.0);
    for (int i = path.size() / 2; i < path.size(); i++) {
      assertThat(standing.speedAt(i)).isCloseTo(flying.speedAt(i), within(1e-6));
    }
  }

  @Test
  void aLapIsFlyingWhateverIsWished() {
    Path path = Path.centreline(MadeRoads.of(1, 1).road(), List.of());
    Vehicle car = TestVehicles.clubCar();
    assertThat(SpeedProfile.solve(path, car, FROM_REST).timeS())
        .isEqualTo(SpeedProfile.solve(path, car, TestVehicles.FULL_GRIP).timeS());
  }

  @ParameterizedTest
  @EnumSource(Conditions.Model.class)
  void theFastestLineFromRestIsQuickerToo(Conditions.Model model) {
    Circuit circuit = MadeRoads.open();
    Conditions day = FROM_REST.but().model(model).build();
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Road road = circuit.road();
      Corridor corridor = Corridor.of(circuit, road, vehicle, day, 0.15);
      Lap smooth =
          SpeedProfile.solve(SmoothLine.find(road, corridor, List.of()).path(), vehicle, day);
      FastestLine.Result found = FastestLine.find(smooth, corridor, share -> {});
      assertThat(found.converged()).isTrue();
      assertThat(found.lap().timeS()).isLessThan(smooth.timeS());
      assertThat(found.lap().speedAt(0)).isZero();
    }
  }
}
