package marvek.core.reference;

import java.util.List;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What must not happen, on roads that nobody laid out. */
class MadeRoadPagesTest {
  private static PageProperties on(Circuit circuit, Vehicle vehicle, ChosenLine line) {
    return new PageProperties(
        Reference.basis(circuit, vehicle, Conditions.OF_NEW_BOOKS, line), Conditions.OF_NEW_BOOKS);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.35, 1, 3})
  void pointsAreInTheirOwnCornerAndInOrder(double scale) {
    for (long seed = 1; seed <= 6; seed++) {
      Circuit road = MadeRoads.of(seed, scale);
      for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
        for (ChosenLine line : List.of(ChosenLine.SMOOTH, ChosenLine.CENTRELINE)) {
          PageProperties pages = on(road, vehicle, line);
          pages.pointsAreInTheirOwnCornerAndInOrder();
          if (line == ChosenLine.CENTRELINE) {
            pages.withoutAnApexItIsTheSlowestPlace();
          }
        }
      }
    }
  }

  /** On a lap shorter than the longest search, too. */
  @Test
  void aKartLapHasItsPointsInOrder() {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      on(MadeRoads.kart(), vehicle, ChosenLine.SMOOTH).pointsAreInTheirOwnCornerAndInOrder();
    }
  }

  @ParameterizedTest
  @CsvSource({"1, 1", "3, 1", "4, 3"})
  void overdrivingGainsNothingAndLessCosts(long seed, double scale) {
    Circuit road = MadeRoads.of(seed, scale);
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      PageProperties pages = on(road, vehicle, ChosenLine.SMOOTH);
      pages.drivingTheModelsPagesIsTheModel(0.05, 1.02);
      pages.overdrivingGainsNothing();
      pages.driftingOffCosts();
    }
  }

  /** Where nothing leads round, the first corner has none before it and the last none after. */
  @Test
  void anOpenRoadIsDrivenFromItsBeginningToItsEnd() {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      PageProperties pages = on(MadeRoads.open(), vehicle, ChosenLine.SMOOTH);
      pages.pointsAreInTheirOwnCornerAndInOrder();
      pages.drivingTheModelsPagesIsTheModel(0.05, 1.02);
      pages.overdrivingGainsNothing();
      pages.driftingOffCosts();
      pages.stakesAreInProportion();
    }
  }
}
