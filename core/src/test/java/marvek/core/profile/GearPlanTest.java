package marvek.core.profile;

import static marvek.core.TestVehicles.FULL_GRIP;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GearPlanTest {
  private final Path path = Path.centreline(Road.through(TestRoads.varied(5)), List.of());
  private final Lap lap = SpeedProfile.solve(path, TestVehicles.clubCar(), FULL_GRIP);

  private static Path twoStops(double between) {
    return Path.centreline(
        Road.through(TestRoads.every(5).straight(between + 400).survey(false, 6, 0, 0)), List.of());
  }

  private static Lap runBetween(Path path, double from, double to, double speed) {
    double[] cap = new double[path.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[path.road().indexOf(from)] = speed;
    cap[path.road().indexOf(to)] = speed;
    return SpeedProfile.solve(
        path, TestVehicles.clubCar(), FULL_GRIP, ProfileOptions.NONE.withSpeedCap(cap));
  }

  @Test
  void upshiftsGoOneGearAtATime() {
    for (GearPlan.Change change : lap.gearChanges()) {
      if (change.to() > change.from()) {
        assertThat(change.to()).isEqualTo(change.from() + 1);
        assertThat(change.costS()).isNotNegative();
      }
    }
    assertThat(lap.gearChanges()).isNotEmpty();
  }

  /**
   * Brakes slow the car by more than 2 % of its weight beyond what air and road do. The gears cost
   * a little speed, so that zones begin a few metres later than they were found.
   */
  @Test
  void itIsBrakingWhereTheTyresSlowTheCar() {
    int near = 4;
    int braked = 0;
    for (int i = near; i < lap.size() - near; i++) {
      double least = Double.POSITIVE_INFINITY;
      double most = Double.NEGATIVE_INFINITY;
      for (int k = i - near; k <= i + near; k++) {
        least = Math.min(least, slowing(k));
        most = Math.max(most, slowing(k));
      }
      if (least > 0.025 || most < 0.015) {
        assertThat(lap.plan().brakingAt(i)).as("%d", i).isEqualTo(least > 0.02);
        braked += least > 0.02 ? 1 : 0;
      }
    }
    assertThat(braked).isGreaterThan(50);
  }

  /** By the tyres, as a share of the weight. */
  private double slowing(int i) {
    double mass = lap.forces().massKg();
    double w = lap.speedAt(i) * lap.speedAt(i);
    double next = lap.speedAt(path.road().wrap(i + 1));
    double a = (next * next - w) / (2 * path.elementAt(i));
    return -(mass * a + lap.forces().resistanceN(i, w)) / (mass * Constants.G0);
  }

  @Test
  void nobodyChangesUpToBrake() {
    for (int i = 1; i < lap.size(); i++) {
      if (lap.brakeGAt(i) > 0.1 && lap.brakeGAt(i - 1) > 0.1) {
        assertThat(lap.gearAt(i)).isLessThanOrEqualTo(lap.gearAt(i - 1));
      }
    }
  }

  /** Neither driven nor where the brakes come on later than they would in the best gears. */
  @Test
  void theLimiterIsNowhereExceeded() {
    Vehicle car = TestVehicles.clubCar();
    double limiter = car.engine().limiterRpm();
    double most = 0;
    for (long seed = 1; seed <= 6; seed++) {
      Path line = Path.centreline(MadeRoads.of(seed, 1).road(), List.of());
      Lap made = SpeedProfile.solve(line, car, Conditions.OF_NEW_BOOKS);
      for (int i = 0; i < made.size(); i++) {
        assertThat(made.rpmAt(i)).as("%d: %d", seed, i).isLessThanOrEqualTo(limiter + 1e-6);
        most = Math.max(most, made.rpmAt(i));
      }
    }
    assertThat(most).as("somewhere it is held on the limiter").isGreaterThan(limiter - 1e-3);
  }

  /**
   * Hold on the limiter or change up? Every single change is cut out of a run of its own: the plan
   * may not be slower than any hand-made one (source of the expected value: brute force).
   */
  @ParameterizedTest
  @ValueSource(doubles = {60, 110, 180, 300})
  void noSingleGearIsQuickerThanThePlan(double between) {
    Path road = twoStops(between);
    Lap planned = runBetween(road, 100, 100 + between, 18);
    double[] cap = new double[road.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    int from = road.road().indexOf(100);
    int to = road.road().indexOf(100 + between);
    cap[from] = 18;
    cap[to] = 18;
    for (int gear = 2; gear <= 5; gear++) {
      int[] held = new int[road.size()];
      Arrays.fill(held, from, to, gear);
      Lap byHand =
          SpeedProfile.solve(
              road,
              TestVehicles.clubCar(),
              FULL_GRIP,
              ProfileOptions.NONE.withSpeedCap(cap).withHeldGear(held));
      assertThat(planned.timeBetween(from, to))
          .isLessThanOrEqualTo(byHand.timeBetween(from, to) + 0.01);
    }
  }

  @Test
  void aShortBurstIsHeldInOneGearALongOneIsNot() {
    assertThat(gearsUsed(40)).hasSizeLessThanOrEqualTo(2);
    assertThat(gearsUsed(600)).hasSizeGreaterThan(2);
  }

  private static List<Integer> gearsUsed(double between) {
    Path road = twoStops(between);
    Lap run = runBetween(road, 100, 100 + between, 26);
    List<Integer> gears = new ArrayList<>();
    for (int i = road.road().indexOf(110); i < road.road().indexOf(90 + between); i++) {
      if (!gears.contains(run.gearAt(i))) {
        gears.add(run.gearAt(i));
      }
    }
    return gears;
  }

  @Test
  void changesKeepTheirLeastTimeApart() {
    Lap slowHand =
        SpeedProfile.solve(
            path,
            TestVehicles.clubCar(),
            FULL_GRIP,
            ProfileOptions.NONE.withGearHabits(1.0, Double.POSITIVE_INFINITY));
    List<GearPlan.Change> ups =
        slowHand.gearChanges().stream().filter(c -> c.to() > c.from()).toList();
    for (int k = 1; k < ups.size(); k++) {
      double t = slowHand.timeBetween(ups.get(k - 1).sample(), ups.get(k).sample());
      assertThat(t).isGreaterThan(0.85);
    }
    assertThat(slowHand.timeS()).isGreaterThanOrEqualTo(lap.timeS() - 0.02);
  }

  @Test
  void noChangeWhileCorneringIfTheDriverSaysSo() {
    Lap calm =
        SpeedProfile.solve(
            path, TestVehicles.clubCar(), FULL_GRIP, ProfileOptions.NONE.withGearHabits(0.25, 0.5));
    for (GearPlan.Change change : calm.gearChanges()) {
      if (change.to() > change.from()) {
        int before = path.road().wrap(change.sample() - 1);
        assertThat(Math.abs(calm.lateralAccelerationAt(before))).isLessThan(0.62 * 9.81);
      }
    }
  }

  @Test
  void aHeldGearIsHeld() {
    int[] held = new int[path.size()];
    int slow = slowest();
    for (int k = -10; k <= 20; k++) {
      held[path.road().wrap(slow + k)] = 3;
    }
    Lap inThird =
        SpeedProfile.solve(
            path, TestVehicles.clubCar(), FULL_GRIP, ProfileOptions.NONE.withHeldGear(held));
    assertThat(inThird.gearAt(path.road().wrap(slow + 8))).isEqualTo(3);
    assertThat(inThird.timeS()).isGreaterThanOrEqualTo(lap.timeS() - 0.01);
  }

  private int slowest() {
    int slow = 0;
    for (int i = 0; i < lap.size(); i++) {
      if (lap.speedAt(i) < lap.speedAt(slow)) {
        slow = i;
      }
    }
    return slow;
  }

  @Test
  void timesAddUp() {
    assertThat(lap.timeBetween(10, 500) + lap.timeBetween(500, 10))
        .isCloseTo(lap.timeS(), within(1e-9));
  }
}
