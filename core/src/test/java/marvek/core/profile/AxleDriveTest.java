package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Driving by hand with the axles told apart, up to the grip and beyond it. */
class AxleDriveTest {
  private static final Conditions AXLES = Conditions.OF_NEW_BOOKS;
  private static final Path OVAL =
      Path.centreline(
          Circuit.bare(
                  "oval",
                  TestRoads.pointSymmetric(5, r -> r.straight(700).corner(60, 180, 20).straight(0)))
              .road(),
          List.of());

  /** Middle of the first bend, to the left. */
  private static final int BEND = OVAL.road().indexOf(790);

  private static final int ELEMENTS = 12;

  private static Vehicle car(Vehicle.Drive drive) {
    return TestVehicles.car(drive, 0.46, 0.85, 1.1, 0.6);
  }

  /** A lap through the bend at a share of the speed that it allows, in second gear. */
  private static Lap slowed(Vehicle car, double share) {
    int[] gears = new int[OVAL.size()];
    Arrays.fill(gears, 2);
    Lap lap = SpeedProfile.solve(OVAL, car, AXLES, ProfileOptions.NONE.withHeldGear(gears));
    double[] speeds = new double[lap.size()];
    Arrays.fill(speeds, share * lap.speedAt(BEND));
    return lap.withSpeeds(speeds);
  }

  private static Drive.Result driven(Lap lap, Pedals feet, int elements) {
    return Drive.of(lap, UsedGrip.of(lap), feet, new Drive.Part(BEND, elements, 0, 1e9));
  }

  /** Mean acceleration over the first elements [m/s²]. */
  private static double gained(Drive.Result drive, int elements) {
    double v0 = drive.speedsMps()[0];
    double v1 = drive.speedsMps()[elements];
    return (v1 * v1 - v0 * v0) / (2 * elements * OVAL.road().stepM());
  }

  /** A lap's own feet drive the lap, whichever wheels drive. */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void theLapsOwnFeetDriveTheLap(Vehicle.Drive drive) {
    Path path = Path.centreline(Circuit.bare("varied", TestRoads.varied(5)).road(), List.of());
    Lap lap = SpeedProfile.solve(path, car(drive), AXLES);
    Road road = path.road();
    Pedals own =
        new Pedals() {
          @Override
          public double brakeShare(double metres) {
            return lap.elementBrakeShareAt(road.wrap((int) (metres / road.stepM())));
          }

          @Override
          public double throttleShare(double metres) {
            return lap.elementThrottleShareAt(road.wrap((int) (metres / road.stepM())));
          }
        };
    Drive.Result result =
        Drive.of(lap, UsedGrip.of(lap), own, new Drive.Part(0, path.size() - 1, 0, 1e9));
    for (int k = 0; k < path.size(); k++) {
      assertThat(result.speedsMps()[k])
          .as("%d", k)
          .isCloseTo(lap.speedAt(k), within(0.03 * lap.speedAt(k)));
    }
    assertThat(result.widestM()).isLessThan(0.05);
    assertThat(result.hardest()).isBetween(0.99, 1.02);
  }

  /** Throttle at which the driving force is a multiple of what the tyres hold. */
  private static double throttleFor(Lap lap, double multiple) {
    double v = lap.speedAt(BEND);
    double wanted = multiple * lap.mostTyreForceAt(BEND);
    double open = lap.engineN(BEND, v, 1);
    double shut = lap.engineN(BEND, v, 0);
    return (wanted - shut) / (open - shut);
  }

  /** Just beyond the limit there is the force that was there; far beyond it the less. */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void aSpinBeginsWithTheForceThatWasThere(Vehicle.Drive drive) {
    Vehicle strong = car(drive);
    strong = strong.withEngine(strong.engine().scaled(4));
    Lap lap = slowed(strong, 0.93);
    double most =
        (lap.mostTyreForceAt(BEND) - lap.forces().resistanceN(BEND, square(lap.speedAt(BEND))))
            / lap.forces().massKg();
    Drive.Result below = driven(lap, new SteadyFeet(0, throttleFor(lap, 0.98)), 1);
    assertThat(gained(below, 1)).isBetween(0.95 * most, most);
    assertThat(below.spunM()).isZero();
    Drive.Result beyond = driven(lap, new SteadyFeet(0, throttleFor(lap, 1.02)), 1);
    assertThat(gained(beyond, 1)).isCloseTo(most, within(0.04 * most));
    Drive.Result far = driven(lap, new SteadyFeet(0, throttleFor(lap, 2.6)), 1);
    assertThat(far.gripNeeded()[0]).isGreaterThan(1.15);
    assertThat(gained(far, 1)).isLessThan(0.98 * most);
    assertThat(far.spunM()).isCloseTo(OVAL.road().stepM(), within(0.2));
  }

  /**
   * However far the throttle is open, wheels that spin drive with what sliding leaves them beside
   * the bend, and move no more load than that.
   */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void whoFloorsItInABendStillDrives(Vehicle.Drive drive) {
    Vehicle strong = car(drive);
    strong = strong.withEngine(strong.engine().scaled(6));
    Lap lap = slowed(strong, 0.8);
    double resistanceN = lap.forces().resistanceN(BEND, square(lap.speedAt(BEND)));
    double most = lap.mostTyreForceAt(BEND);
    Drive.Result floored = driven(lap, new SteadyFeet(0, 1), 1);
    assertThat(floored.gripNeeded()[0]).isGreaterThan(1.5);
    double forceN = gained(floored, 1) * lap.forces().massKg() + resistanceN;
    // Sliding tyres give 0.88 of their grip, shared with the bend as at the limit.
    assertThat(forceN / most).isBetween(0.84, 0.88);
  }

  private static double square(double a) {
    return a * a;
  }

  /** The same of the brakes. */
  @ParameterizedTest
  @EnumSource(Vehicle.Drive.class)
  void aLockedWheelBeginsWithTheForceThatWasThere(Vehicle.Drive drive) {
    Lap lap = slowed(car(drive), 0.8);
    double w = square(lap.speedAt(BEND));
    double resistance = lap.forces().resistanceN(BEND, w);
    double mass = lap.forces().massKg();
    double shut = lap.engineN(BEND, lap.speedAt(BEND), 0);
    double limit = -lap.leastTyreForceAt(BEND) + shut;
    double most = (-lap.leastTyreForceAt(BEND) + resistance) / mass;
    Drive.Result below = driven(lap, new SteadyFeet(0.98 * limit / 22_000, 0), 1);
    assertThat(-gained(below, 1)).isBetween(0.97 * most, most);
    Drive.Result beyond = driven(lap, new SteadyFeet(1.001 * limit / 22_000, 0), 1);
    assertThat(-gained(beyond, 1)).isCloseTo(most, within(0.03 * most));
    Drive.Result locked = driven(lap, new SteadyFeet(1, 0), ELEMENTS);
    assertThat(locked.lockedM()).isGreaterThan(5);
    assertThat(locked.besideM()[ELEMENTS]).as("to the outside").isLessThan(-0.05);
  }

  /** Who pushes a little holds the speed with the throttle, and shuts it only when he drifts on. */
  @Test
  void whoPushesALittleHoldsTheSpeed() {
    Vehicle strong = car(Vehicle.Drive.REAR);
    strong = strong.withEngine(strong.engine().scaled(3));
    Lap lap = slowed(strong, 0.93);
    Drive.Result little = driven(lap, new SteadyFeet(0, throttleFor(lap, 1.06)), ELEMENTS);
    assertThat(little.besideM()[ELEMENTS]).isBetween(-0.3, -0.001);
    double v0 = little.speedsMps()[0];
    for (double v : little.speedsMps()) {
      assertThat(v).isBetween(0.995 * v0, 1.05 * v0);
    }
  }
}
