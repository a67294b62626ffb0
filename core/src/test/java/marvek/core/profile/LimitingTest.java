package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** What is said to hold a lap back, on cars that are made so that one thing does. */
class LimitingTest {
  private static final Conditions AXLES = Conditions.OF_NEW_BOOKS;
  private static final Path OVAL =
      Path.centreline(
          Circuit.bare(
                  "oval",
                  TestRoads.pointSymmetric(5, r -> r.straight(900).corner(45, 180, 20).straight(0)))
              .road(),
          List.of());

  private static Lap lap(Vehicle vehicle, Conditions day) {
    return SpeedProfile.solve(OVAL, vehicle, day);
  }

  private static Vehicle braked(double maxForceN, double frontShare) {
    return TestVehicles.clubCar().withBrakes(new Brakes(maxForceN, frontShare));
  }

  /** Where something is greatest. */
  private static int most(Lap lap, IntPredicate where, IntToDoubleFunction what) {
    return IntStream.range(0, lap.size())
        .filter(where)
        .boxed()
        .max(java.util.Comparator.comparingDouble(what::applyAsDouble))
        .orElseThrow();
  }

  private static boolean isStraight(int i) {
    return Math.abs(OVAL.curvatureAt(i)) < 1e-4;
  }

  /** In the middle of the straight's braking, where the car goes straight on. */
  private static int hardestBraking(Lap lap) {
    return most(lap, i -> isStraight(i), lap::brakeForceAt);
  }

  private static int slowest(Lap lap) {
    return most(lap, i -> true, i -> -lap.speedAt(i));
  }

  /** β* is the load's share under brakes: below it the rear locks first, above it the front. */
  @Test
  void underBrakesTheAxleThatLocksFirst() {
    Lap rear = lap(braked(22_000, 0.55), AXLES);
    assertThat(rear.limitingAt(hardestBraking(rear))).isEqualTo(Limiting.REAR);
    Lap front = lap(braked(22_000, 0.9), AXLES);
    assertThat(front.limitingAt(hardestBraking(front))).isEqualTo(Limiting.FRONT);

    // Without the engine, which brakes the rear alone, the brakes can suit both.
    double ideal = 0.7;
    Lap both = free(ideal);
    for (int round = 0; round < 12; round++) {
      int k = hardestBraking(both);
      double w = both.speedAt(k) * both.speedAt(k);
      ideal = both.forces().frontLoadShare(k, w, -both.tyreForceAt(k));
      both = free(ideal);
    }
    assertThat(both.limitingAt(hardestBraking(both))).isEqualTo(Limiting.BOTH);
  }

  private static Lap free(double frontShare) {
    Vehicle car = braked(22_000, frontShare);
    return lap(car.withEngine(car.engine().withEngineBrakingNm(0)), AXLES);
  }

  @Test
  void weakBrakesBeforeTheTyres() {
    Lap weak = lap(braked(6_000, 0.6), AXLES);
    assertThat(weak.limitingAt(hardestBraking(weak))).isEqualTo(Limiting.BRAKES);
    Lap plain = lap(braked(6_000, 0.6), Conditions.DEFAULT);
    assertThat(plain.limitingAt(hardestBraking(plain))).isEqualTo(Limiting.BRAKES);
  }

  /** Toward the end of a straight the engine; where a cap or a limiter holds, nothing. */
  @Test
  void onTheStraightTheEngineUnlessTheSpeedIsHeld() {
    Lap lap = lap(TestVehicles.clubCar(), AXLES);
    int fast = most(lap, i -> lap.brakeForceAt(i) == 0 && !lap.shiftingAt(i), lap::speedAt);
    assertThat(lap.limitingAt(OVAL.road().wrap(fast - 20))).isEqualTo(Limiting.ENGINE);

    double[] cap = new double[OVAL.size()];
    Arrays.fill(cap, 18);
    Lap held =
        SpeedProfile.solve(
            OVAL, TestVehicles.clubCar(), AXLES, ProfileOptions.NONE.withSpeedCap(cap));
    assertThat(held.limitingAt(OVAL.road().indexOf(450))).isEqualTo(Limiting.NONE);

    Vehicle shortGears =
        TestVehicles.clubCar()
            .withGearbox(new Gearbox(new double[] {2.9, 2.1}, 3.9, 0.92, 0.06, 0.12));
    Lap limiter = lap(shortGears, AXLES);
    int i = OVAL.road().indexOf(500);
    assertThat(limiter.onLimiterAt(i)).isTrue();
    assertThat(limiter.limitingAt(i)).isEqualTo(Limiting.NONE);
  }

  /** In the bend the axle that is asked for more; where axles are not told apart, the tyres. */
  @Test
  void inTheBendTheAxleThatIsAskedForMore() {
    Lap lap = lap(TestVehicles.clubCar(), AXLES);
    int i = slowest(lap);
    double w = lap.speedAt(i) * lap.speedAt(i);
    double brake = lap.brakeForceAt(i);
    ForceModel.AxleUse use =
        lap.forces().axleUse(i, w, brake, lap.tyreForceAt(i) + brake).orElseThrow();
    assertThat(Math.abs(use.front() - use.rear())).isGreaterThan(0.012);
    assertThat(lap.limitingAt(i))
        .isEqualTo(use.front() > use.rear() ? Limiting.FRONT : Limiting.REAR);

    Lap plain = lap(TestVehicles.clubCar(), Conditions.DEFAULT);
    assertThat(plain.limitingAt(slowest(plain))).isEqualTo(Limiting.TYRES);
  }

  /**
   * 1.3 g of friction are more than b/h = 1.15: the rear lifts; with twice the engine the front.
   */
  @Test
  void aMotorcyclesWheelsLift() {
    Vehicle bike = TestVehicles.motorcycle();
    Conditions day = AXLES.withGripUsed(1);
    Lap braking = lap(bike.withBrakes(new Brakes(8000, 0.9)), day);
    assertThat(braking.limitingAt(hardestBraking(braking))).isEqualTo(Limiting.WHEEL_LIFTS);
    Lap strong = lap(bike.withEngine(bike.engine().scaled(2.5)), day);
    int i = most(strong, k -> isStraight(k), strong::tyreForceAt);
    assertThat(strong.limitingAt(i)).isEqualTo(Limiting.WHEEL_LIFTS);
    Lap weak = lap(bike.withEngine(bike.engine().scaled(0.3)), day);
    int k = most(weak, j -> isStraight(j), weak::tyreForceAt);
    assertThat(weak.limitingAt(k)).isEqualTo(Limiting.ENGINE);
  }
}
