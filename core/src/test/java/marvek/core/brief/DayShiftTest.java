package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DayShiftTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));

  /** The club car with the downforce of a single-seater. */
  private static final Vehicle WINGS = TestVehicles.clubCar().withAero(new Aero(0.95, 2.8, 0.45));

  private static List<DayShift> shifts(Vehicle vehicle, Day day) {
    return DayShift.between(
        on(vehicle, Conditions.DEFAULT),
        on(vehicle, day.of(Conditions.DEFAULT, VARIED, VARIED.road(), vehicle)));
  }

  private static Reference on(Vehicle vehicle, Conditions conditions) {
    Reference.Basis basis = Reference.basis(VARIED, vehicle, conditions, ChosenLine.SMOOTH);
    return Reference.on(basis, conditions, List.of());
  }

  @Test
  void theSameDayShiftsNothing() {
    assertThat(
            Day.DRY.differsFrom(Conditions.DEFAULT, VARIED, VARIED.road(), TestVehicles.clubCar()))
        .isFalse();
    for (DayShift shift : shifts(TestVehicles.clubCar(), Day.DRY)) {
      assertThat(shift.lostS()).isCloseTo(0, within(1e-9));
      assertThat(shift.gearsLower()).isZero();
      assertThat(shift.apexKerb()).isNull();
    }
  }

  /** Less grip never brakes later, is never faster at the slowest place and loses time. */
  @ParameterizedTest
  @EnumSource(names = {"DAMP", "WET", "COLD_FIRST_LAP", "COLD_SECOND_LAP", "WORN_TYRES"})
  void lessGripNeverBrakesLater(Day day) {
    Reference base = on(TestVehicles.clubCar(), Conditions.DEFAULT);
    Reference other =
        on(
            TestVehicles.clubCar(),
            day.of(Conditions.DEFAULT, VARIED, VARIED.road(), TestVehicles.clubCar()));
    // The model itself and not only the advice, which holds a brake point where it is.
    for (int p = 0; p < base.modelPages().size(); p++) {
      Double atM = base.modelPages().get(p).brake().atM();
      Double thenM = other.modelPages().get(p).brake().atM();
      if (atM != null && thenM != null) {
        assertThat(base.path().road().offsetBetween(atM, thenM)).as("%s", p + 1).isLessThan(1.0);
      }
    }
    for (DayShift shift : shifts(TestVehicles.clubCar(), day)) {
      assertThat(shift.lowestSlowerMps()).as("%s", shift).isGreaterThan(-0.05);
      if (shift.brakeEarlierM() != null) {
        assertThat(shift.brakeEarlierM()).as("%s", shift).isGreaterThanOrEqualTo(0);
      }
    }
    assertThat(shifts(TestVehicles.clubCar(), day).stream().mapToDouble(DayShift::lostS).sum())
        .isGreaterThan(0.5);
  }

  /** v² = μgR: at 0.7 of the grip the slowest place is driven at √0.7 of its speed. */
  @Test
  void theWetApexIsSlowerByTheRootOfTheGrip() {
    Reference dry = on(TestVehicles.pointMass(1.2), Conditions.DEFAULT);
    DayShift shift = shifts(TestVehicles.pointMass(1.2), Day.WET).get(2);
    double lowest = dry.modelPages().get(2).lowestSpeedMps();
    assertThat(shift.lowestSlowerMps())
        .isCloseTo(lowest * (1 - Math.sqrt(0.7)), within(0.01 * lowest));
  }

  /**
   * Common practice: in the wet a car with much downforce brakes 5 to 10 m earlier at most corners,
   * more where it comes from high speed; on cold tyres a car length or two (4.5 to 9 m).
   */
  @Test
  void theShiftsAreOfTheSizeThatTheTradeKnows() {
    List<Double> wet = brakes(shifts(WINGS, Day.WET));
    List<Double> cold = brakes(shifts(WINGS, Day.COLD_FIRST_LAP));
    assertThat(median(wet)).isBetween(4.0, 25.0);
    assertThat(median(cold)).isBetween(1.0, 9.0);
    assertThat(median(cold)).isLessThan(median(wet));
  }

  private static List<Double> brakes(List<DayShift> shifts) {
    return shifts.stream().map(DayShift::brakeEarlierM).filter(m -> m != null).sorted().toList();
  }

  private static double median(List<Double> sorted) {
    assertThat(sorted).isNotEmpty();
    return sorted.get(sorted.size() / 2);
  }
}
