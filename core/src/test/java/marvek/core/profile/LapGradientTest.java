package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** The adjoint against the same lap solved again with a little changed: two paths to one number. */
class LapGradientTest {
  private static final Road ROAD = Circuit.bare("varied", TestRoads.varied(5)).road();

  /** One gear, so that the lap solved again changes in nothing but the line. */
  private static final Vehicle ONE_GEAR =
      TestVehicles.bare(
          Vehicle.Drive.REAR,
          0.4,
          0.48,
          1.1,
          new Brakes(900_000, 0.6),
          new Engine(new double[] {1000}, new double[] {450}, 0, 30_000, 0),
          new Gearbox(new double[] {1.0}, 3.3, 1.0, 0, 0),
          0.6);

  private static Lap lap(double[] offsets) {
    return SpeedProfile.solve(Path.at(ROAD, offsets, List.of()), ONE_GEAR, Conditions.DEFAULT);
  }

  @Test
  void aBumpOfTheLineCostsWhatTheGradientSays() {
    double[] base = new double[ROAD.size()];
    Lap lap = lap(base);
    LapGradient gradient = LapGradient.of(lap);
    int compared = 0;
    double largest = 0;
    for (int centre = 40; centre < ROAD.size(); centre += 173) {
      double[] more = base.clone();
      double[] less = base.clone();
      for (int k = -40; k <= 40; k++) {
        double bump = 0.005 * (1 + Math.cos(Math.PI * k / 40));
        more[ROAD.wrap(centre + k)] += bump;
        less[ROAD.wrap(centre + k)] -= bump;
      }
      double solved = (lap(more).timeS() - lap(less).timeS()) / 2;
      double told = told(gradient, lap.path(), Path.at(ROAD, more, List.of()));
      assertThat(told)
          .as("bump at %d", centre)
          .isCloseTo(solved, within(0.2e-3 + 0.1 * Math.abs(solved)));
      largest = Math.max(largest, Math.abs(solved));
      compared++;
    }
    assertThat(compared).isGreaterThan(10);
    assertThat(largest).as("the check sees something").isGreaterThan(1e-3);
  }

  private static double told(LapGradient gradient, Path before, Path after) {
    double sum = 0;
    for (int i = 0; i < before.size(); i++) {
      double sense = Math.signum(before.curvatureAt(i));
      double bend = sense * (after.curvatureAt(i) - before.curvatureAt(i));
      sum += gradient.secondsPerCurvatureAt(i) * bend;
      sum += gradient.secondsPerMetreAt(i) * (after.elementAt(i) - before.elementAt(i));
    }
    return sum;
  }

  /**
   * On a circle every metre takes 1/v, and v² = μgR: one per cent more bend, half one more time.
   */
  @Test
  void onACircleBendAndLengthCostWhatTheFormulaSays() {
    Road circle = Circuit.bare("circle", TestRoads.circle(60, 4)).road();
    Lap lap =
        SpeedProfile.solve(
            Path.centreline(circle, List.of()),
            TestVehicles.pointMass(1.2),
            TestVehicles.FULL_GRIP);
    LapGradient gradient = LapGradient.of(lap);
    double perBend = 0;
    double perLength = 0;
    for (int i = 0; i < lap.size(); i++) {
      perBend += gradient.secondsPerCurvatureAt(i) / 60;
      perLength += gradient.secondsPerMetreAt(i) * lap.path().elementAt(i);
    }
    assertThat(perLength).isCloseTo(lap.timeS(), within(0.01 * lap.timeS()));
    assertThat(perBend).isCloseTo(lap.timeS() / 2, within(0.02 * lap.timeS()));
  }
}
