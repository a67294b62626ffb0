package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.LineChoice;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Roads that lead somewhere: their ends, and long ones with next to nothing on them. */
class OpenRoadTest {
  private static final Conditions STANDING =
      Conditions.OF_NEW_BOOKS.but().start(Conditions.Start.STANDING).build();

  private static Circuit circuit(TestRoads road) {
    return Circuit.bare("open", road.survey(false, 5, 0, 0));
  }

  private static Reference driven(Circuit circuit, Vehicle vehicle, LineChoice line) {
    return Reference.on(
        Reference.basis(circuit, vehicle, STANDING, new ChosenLine(line, null)),
        STANDING,
        List.of());
  }

  /** The road ends in the middle of a bend, and begins in one. */
  @ParameterizedTest
  @EnumSource(
      value = LineChoice.class,
      names = {"SMOOTH", "FASTEST", "CENTRELINE"})
  void aBendAtAnEndIsKept(LineChoice line) {
    Circuit circuit =
        circuit(
            TestRoads.every(5)
                .bend(60, 1 / 50.0, 1 / 50.0)
                .straight(300)
                .corner(30, 90, 10)
                .straight(200)
                .bend(70, 1 / 40.0, 1 / 40.0));
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Reference reference = driven(circuit, vehicle, line);
      assertThat(reference.pages()).hasSize(3);
      CornerPage last = reference.pages().get(2);
      assertThat(last.brake().atM()).isNotNull();
      Lap lap = reference.lap();
      int slowest = circuit.road().indexOf(last.lowestSpeedAtM());
      assertThat(lap.speedAt(slowest)).isGreaterThan(0.85 * lap.limitSpeedAt(slowest));
      assertThat(last.exit().trackOutM()).isLessThanOrEqualTo(circuit.road().lengthM() + 1e-6);
      new PageProperties(
              Reference.basis(circuit, vehicle, STANDING, new ChosenLine(line, null)), STANDING)
          .pointsAreInTheirOwnCornerAndInOrder();
    }
  }

  /** The end is driven flat, where no bend is there. */
  @ParameterizedTest
  @EnumSource(Conditions.Model.class)
  void theEndIsDrivenFlat(Conditions.Model model) {
    Circuit circuit = circuit(TestRoads.every(5).straight(200).corner(40, 80, 20).straight(300));
    Conditions day = STANDING.but().model(model).build();
    Lap lap =
        Reference.on(
                Reference.basis(circuit, TestVehicles.clubCar(), day, ChosenLine.FASTEST),
                day,
                List.of())
            .lap();
    for (int i = lap.size() - 100; i < lap.size() - 1; i++) {
      if (!lap.shiftingAt(i)) {
        assertThat(lap.speedAt(i + 1)).isGreaterThan(lap.speedAt(i));
      }
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = LineChoice.class,
      names = {"SMOOTH", "FASTEST"})
  void twentyKilometresWithOneCornerAreOnePage(LineChoice line) {
    Circuit circuit =
        circuit(TestRoads.every(20).straight(12_000).corner(120, 50, 60).straight(8_000));
    Reference reference = driven(circuit, TestVehicles.motorcycle(), line);
    assertThat(reference.pages()).hasSize(1);
    assertThat(reference.lap().timeS()).isBetween(250.0, 500.0);
  }
}
