package marvek.core.car;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class SheetComparisonTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Lap LAP =
      SpeedProfile.solve(Path.centreline(ROAD, List.of()), CAR, Conditions.DEFAULT);

  private static SetupSheet sheet(Double brakes, Double downforce, Double fuel, Double bar) {
    return new SetupSheet(
        "Sheet", null, brakes, null, null, downforce, null, null, null, fuel, null, null, bar, null,
        null, null, null, null, null);
  }

  @Test
  void theCarIsSetUpByWhatTheModelKnows() {
    Vehicle set = sheet(0.55, 2.0, 30.0, 4.0).onto(CAR);
    assertThat(set.brakes().frontShare()).isEqualTo(0.55);
    assertThat(set.aero().clAM2()).isEqualTo(2.0);
    assertThat(set.aero().cdAM2()).isEqualTo(CAR.aero().cdAM2());
    assertThat(set.gearbox().finalDrive()).isEqualTo(CAR.gearbox().finalDrive());
    assertThat(sheet(null, null, null, null).onto(CAR)).isEqualTo(CAR);
  }

  @Test
  void theSameSheetCostsNothingAndDiffersInNothing() {
    SheetComparison.Result same =
        SheetComparison.of(CAR, LAP, sheet(0.6, null, 20.0, 2.0), sheet(0.6, null, 20.0, 2.0));
    assertThat(same.lostS()).isZero();
    assertThat(same.differences()).isEmpty();
  }

  @Test
  void whatTheModelComputesCarriesItsTimeAndTheRestSaysWhyNot() {
    SheetComparison.Result compared =
        SheetComparison.of(CAR, LAP, sheet(0.6, null, 0.0, 2.0), sheet(0.6, 2.0, 60.0, 3.0));
    assertThat(compared.differences())
        .extracting(SheetComparison.Difference::field)
        .containsExactly("clA_m2", "fuel_kg", "barFront");
    SheetComparison.Difference wing = compared.differences().get(0);
    SheetComparison.Difference fuel = compared.differences().get(1);
    SheetComparison.Difference bar = compared.differences().get(2);
    assertThat(wing.lostS()).isNegative();
    assertThat(fuel.lostS()).isPositive();
    assertThat(bar.lostS()).isNull();
    assertThat(bar.words().words()).contains("does not depend on it");
    // Small changes nearly add up: what they do to each other is of the second order.
    assertThat(compared.lostS()).isCloseTo(wing.lostS() + fuel.lostS(), within(0.1));
  }

  @Test
  void refusesWhatNoCarHas() {
    assertThatThrownBy(() -> sheet(1.4, null, null, null))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("brakeFrontShare");
    assertThatThrownBy(() -> sheet(null, null, -3.0, null))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("fuel_kg");
  }
}
