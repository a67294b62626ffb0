package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.profile.Limiting;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Which axle a page names, against what its car is made to do. */
class PhaseLimitsTest {
  private static final Circuit CIRCUIT = MadeRoads.of(1, 1);

  private static Reference driven(Vehicle vehicle, Conditions day) {
    return Reference.on(Reference.basis(CIRCUIT, vehicle, day, ChosenLine.SMOOTH), day, List.of());
  }

  private static Vehicle braked(double frontShare) {
    return TestVehicles.clubCar().withBrakes(new Brakes(22_000, frontShare));
  }

  /** Pages on which an axle is named for the braking, in the straight or into the bend. */
  private static long named(Vehicle car, Limiting axle) {
    Reference reference = driven(car, Conditions.OF_NEW_BOOKS);
    return reference.pages().stream()
        .map(page -> PhaseLimits.of(reference.lap(), page).orElseThrow())
        .filter(limits -> limits.braking() == axle)
        .count();
  }

  /** β* of the car is 0.47 + 1.36·0.18 = 0.71: below it the rear locks first, above the front. */
  @Test
  void theAxleWithTooMuchOfTheBrakesIsNamed() {
    assertThat(named(braked(0.55), Limiting.REAR)).isPositive();
    assertThat(named(braked(0.55), Limiting.FRONT)).isZero();
    assertThat(named(braked(0.9), Limiting.FRONT)).isPositive();
    // In the bends the engine has the rear at its limit still.
    assertThat(named(braked(0.9), Limiting.REAR)).isLessThan(named(braked(0.55), Limiting.REAR));
  }

  @Test
  void anAxleIsNamedForSevenTenthsOfWhatIsLimited() {
    assertThat(PhaseLimits.named(Map.of(Limiting.FRONT, 0.72, Limiting.REAR, 0.28), 1))
        .isEqualTo(Limiting.FRONT);
    assertThat(PhaseLimits.named(Map.of(Limiting.FRONT, 0.32, Limiting.REAR, 0.68), 1))
        .isEqualTo(Limiting.BOTH);
    assertThat(PhaseLimits.named(Map.of(Limiting.REAR, 0.45, Limiting.BOTH, 0.1), 1))
        .isEqualTo(Limiting.REAR);
    assertThat(PhaseLimits.named(Map.of(Limiting.REAR, 0.4, Limiting.ENGINE, 0.6), 1))
        .isEqualTo(Limiting.ENGINE);
    assertThat(PhaseLimits.named(Map.of(Limiting.REAR, 0.4, Limiting.NONE, 0.6), 1)).isNull();
  }

  @Test
  void whatIsNotToldApartIsNotNamed() {
    Reference plain = driven(TestVehicles.clubCar(), Conditions.DEFAULT);
    Reference motorcycle = driven(TestVehicles.motorcycle(), Conditions.OF_NEW_BOOKS);
    for (Reference reference : List.of(plain, motorcycle)) {
      assertThat(PhaseLimits.of(reference.lap(), reference.pages().get(0))).isEmpty();
    }
  }

  /** A weak engine on a straight; a strong motorcycle whose front wheel lifts out of a corner. */
  @Test
  void theEngineOrALiftingWheelIsToldToo() {
    Lap lap = driven(TestVehicles.clubCar(), Conditions.OF_NEW_BOOKS).lap();
    int fastest = 0;
    for (int i = 0; i < lap.size(); i++) {
      fastest = lap.speedAt(i) > lap.speedAt(fastest) ? i : fastest;
    }
    assertThat(lap.limitingAt(lap.path().road().wrap(fastest - 30))).isEqualTo(Limiting.ENGINE);
    Lap strong =
        driven(
                TestVehicles.motorcycle().withEngine(TestVehicles.motorcycle().engine().scaled(2)),
                Conditions.OF_NEW_BOOKS)
            .lap();
    long lifting =
        java.util.stream.IntStream.range(0, strong.size())
            .filter(i -> strong.limitingAt(i) == Limiting.WHEEL_LIFTS)
            .filter(i -> strong.tyreForceAt(i) > 0)
            .count();
    assertThat(lifting).isPositive();
  }
}
