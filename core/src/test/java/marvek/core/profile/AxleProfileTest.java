package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.Corridor;
import marvek.core.line.SmoothLine;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Laps with the axles told apart. */
class AxleProfileTest {
  private static final Conditions AXLES = Conditions.OF_NEW_BOOKS;

  private static Path smooth(long seed) {
    return smooth(seed, 1);
  }

  private static Path smooth(long seed, double scale) {
    Circuit circuit = MadeRoads.of(seed, scale);
    Road road = circuit.road();
    Corridor corridor =
        Corridor.of(circuit, road, TestVehicles.clubCar(), Conditions.DEFAULT, 0.15);
    return SmoothLine.find(road, corridor, List.of()).path();
  }

  private static Vehicle withoutEngineBraking(Vehicle car) {
    return car.withEngine(car.engine().withEngineBrakingNm(0));
  }

  /** Nothing turns slowly, no load moves, air rests on the axles as the weight does. */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void thePlainModelIsASpecialCase(Vehicle.Drive drive) {
    Vehicle car =
        withoutEngineBraking(TestVehicles.car(drive, 0, 0.85, 1.1, 0.6))
            .withTurning(new Turning(0, 100, 60))
            .withAero(new Aero(0.85, 1.1, 0.47));
    Path path = smooth(2);
    double plain = SpeedProfile.solve(path, car, Conditions.DEFAULT).timeS();
    assertThat(SpeedProfile.solve(path, car, AXLES).timeS())
        .isCloseTo(plain, within(0.0002 * plain));
  }

  @Test
  void aMotorcyclesForcesAreThoseOfThePlainModelButForItsEngine() {
    Path path = smooth(2);
    Vehicle motorcycle = withoutEngineBraking(TestVehicles.motorcycle());
    Lap lap = SpeedProfile.solve(path, motorcycle, AXLES);
    assertThat(lap.timeS())
        .isEqualTo(SpeedProfile.solve(path, motorcycle, Conditions.DEFAULT).timeS());
    assertThat(lap.forces().axleUse(0, 100, 0, 0)).isEmpty();
  }

  /**
   * Against a plain loop that judges each step once at its middle and finds every force by trial:
   * the speeds are the same but for the two ways to take a step.
   */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void aLapIsThatOfALoopThatTriesEveryForce(Vehicle.Drive drive) {
    Vehicle car = withQuickGearbox(TestVehicles.car(drive, 0.46, 0.85, 1.1, 0.66));
    Path path = smooth(1, 0.5);
    Lap lap = SpeedProfile.solve(path, car, AXLES);
    assertThat(lap.converged()).isTrue();
    double byTrial = new TriedProfile(path, car, AXLES).timeS();
    assertThat(lap.timeS()).isCloseTo(byTrial, within(0.0006 * byTrial));
  }

  /** A gearbox that changes in no time, so that the best gear is always in. */
  private static Vehicle withQuickGearbox(Vehicle car) {
    Gearbox box = car.gearbox();
    double[] ratios = new double[box.gears()];
    for (int g = 0; g < ratios.length; g++) {
      ratios[g] = box.ratio(g + 1);
    }
    return car.withGearbox(new Gearbox(ratios, box.finalDrive(), box.efficiency(), 0, 0));
  }

  /** No axle is asked for more than it has, but for the steps of the lap. */
  @Test
  void noAxleIsAskedForMoreThanItHas() {
    for (long seed = 1; seed <= 3; seed++) {
      Path path = smooth(seed);
      for (Vehicle.Drive drive : Vehicle.Drive.values()) {
        Lap lap = SpeedProfile.solve(path, TestVehicles.car(drive, 0.46, 0.85, 1.1, 0.6), AXLES);
        double most = 0;
        for (int i = 0; i < lap.size(); i++) {
          double w = lap.speedAt(i) * lap.speedAt(i);
          double brake = lap.brakeForceAt(i);
          most = Math.max(most, lap.forces().gripNeeded(i, w, brake, lap.tyreForceAt(i) + brake));
        }
        assertThat(most).isBetween(0.999, 1.015);
      }
    }
  }

  /**
   * Steps halved twice: what the second halving changes is a fraction of what the first did (second
   * order would leave a quarter; where the lap leaves its limit the order is less).
   */
  @Test
  void halvedStepsComeNearer() {
    Vehicle car = withQuickGearbox(TestVehicles.clubCar());
    double coarse = onCentreline(2, car);
    double middle = onCentreline(1, car);
    double fine = onCentreline(0.5, car);
    assertThat(Math.abs(fine - middle)).isLessThan(0.0005 * fine);
    assertThat(Math.abs(fine - middle)).isLessThan(0.6 * Math.abs(middle - coarse));
  }

  private static double onCentreline(double stepM, Vehicle car) {
    Road road = Road.through(MadeRoads.of(1, 1).survey(), 1, stepM);
    return SpeedProfile.solve(Path.centreline(road, List.of()), car, AXLES).timeS();
  }

  /** Common practice: a lap loses a little to what the plain model leaves out, not a lot. */
  @Test
  void whatThePlainModelLeavesOutCostsALittle() {
    Path path = smooth(1);
    double plain = SpeedProfile.solve(path, TestVehicles.clubCar(), Conditions.DEFAULT).timeS();
    double axles = SpeedProfile.solve(path, TestVehicles.clubCar(), AXLES).timeS();
    assertThat(axles / plain - 1).isBetween(0.003, 0.03);
  }
}
