package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CancellationException;
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

class FastestLineTest {
  private static Corridor corridor(Circuit circuit, Road road, Vehicle vehicle) {
    return Corridor.of(circuit, road, vehicle, Conditions.DEFAULT, 0.15);
  }

  private static Lap smooth(Circuit circuit, Vehicle vehicle) {
    Road road = circuit.road();
    Path path = SmoothLine.find(road, corridor(circuit, road, vehicle), List.of()).path();
    return SpeedProfile.solve(path, vehicle, Conditions.DEFAULT);
  }

  private static FastestLine.Result fastest(Circuit circuit, Lap smooth) {
    Road road = smooth.path().road();
    return FastestLine.find(smooth, corridor(circuit, road, smooth.vehicle()), share -> {});
  }

  @Test
  void itIsQuickerThanTheSmoothLineAndStaysOnTheRoad() {
    Circuit circuit = Circuit.bare("varied", TestRoads.varied(5));
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Lap smooth = smooth(circuit, vehicle);
      FastestLine.Result found = fastest(circuit, smooth);
      Corridor corridor = corridor(circuit, smooth.path().road(), vehicle);
      assertThat(found.gainedS()).isPositive();
      assertThat(found.lap().timeS()).isLessThan(smooth.timeS());
      for (int i = 0; i < corridor.size(); i++) {
        assertThat(found.path().offsetAt(i))
            .isBetween(corridor.rightAt(i) - 0.002, corridor.leftAt(i) + 0.002);
      }
    }
  }

  /** Common practice: time refinement is worth about one per cent against the smoothest line. */
  @Test
  void whatItGainsIsOfTheSizeThatTheTradeKnows() {
    Circuit circuit = Circuit.bare("varied", TestRoads.varied(5));
    Lap smooth = smooth(circuit, TestVehicles.clubCar());
    double share = fastest(circuit, smooth).gainedS() / smooth.timeS();
    assertThat(share).isBetween(0.002, 0.04);
  }

  /**
   * On a circle a lap takes 2π·√(R/μg): the smoothest line is the outermost, the quickest the
   * innermost, by the root of their radii.
   */
  @Test
  void onACircleItGoesInwardAsTheFormulaSays() {
    Circuit circle = Circuit.bare("circle", TestRoads.circle(60, 4));
    Vehicle mass = TestVehicles.pointMass(1.1);
    Lap smooth = smooth(circle, mass);
    Corridor corridor = corridor(circle, smooth.path().road(), mass);
    double outer = 60 - corridor.rightAt(0);
    double inner = 60 - corridor.leftAt(0);
    double byFormula = smooth.timeS() * (1 - Math.sqrt(inner / outer));
    assertThat(fastest(circle, smooth).gainedS()).isBetween(0.8 * byFormula, 1.01 * byFormula);
  }

  @Test
  void anInterruptedSearchIsCancelled() {
    Circuit circuit = Circuit.bare("varied", TestRoads.varied(5));
    Lap smooth = smooth(circuit, TestVehicles.clubCar());
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> fastest(circuit, smooth)).isInstanceOf(CancellationException.class);
    } finally {
      Thread.interrupted();
    }
  }
}
