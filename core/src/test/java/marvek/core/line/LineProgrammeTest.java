package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.numeric.ElementProgramme;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Derivatives of the programme of a line against differences of its values. */
class LineProgrammeTest {
  private static final int WIDTH = 6;

  /** Moves of a place: an offset of 3 µm, or a square of the speed by as much of its unit. */
  private static final double STEP = 3e-6;

  /** What differences of such a step leave. */
  private static final double LEFT = 1e-5;

  private static final int[] MOVES = {-2, -1, 1, 2};
  private static final double[] WEIGHTS = {1 / 12.0, -2 / 3.0, 2 / 3.0, -1 / 12.0};

  static List<Vehicle> vehicles() {
    return List.of(
        TestVehicles.clubCar(),
        TestVehicles.car(Vehicle.Drive.FRONT, 0.5, 0.7, 0, 0.7),
        TestVehicles.car(Vehicle.Drive.ALL, 0.5, 0.7, 0.3, 0.65),
        TestVehicles.car(Vehicle.Drive.REAR, 0.3, 1.1, 2.8, 0.6),
        TestVehicles.motorcycle());
  }

  /** A banked road over hills, in wind from the side. */
  private static Lap lap(Vehicle vehicle, Conditions day) {
    Survey plan =
        TestRoads.every(4)
            .straight(60)
            .corner(40, 80, 15)
            .straight(40)
            .corner(30, -70, 12)
            .straight(60)
            .survey(false, 6, 0, 0);
    int n = plan.size();
    double[][] column = new double[5][n];
    for (int i = 0; i < n; i++) {
      column[0][i] = plan.xAt(i);
      column[1][i] = plan.yAt(i);
      column[2][i] = 2 * Math.sin(i / 6.0);
      column[3][i] = 6;
      column[4][i] = 0.06 * Math.cos(i / 4.0);
    }
    Road hilly =
        Road.through(
            new Survey(column[0], column[1], column[2], column[3], column[3], column[4], false));
    return SpeedProfile.solve(Path.centreline(hilly, List.of()), vehicle, day);
  }

  private static Conditions windy(Conditions day) {
    return day.but().windSpeedMps(6).windFromDeg(40).build();
  }

  private record At(LineProgramme programme, double[] x, double[] z) {
    ElementProgramme.Derivatives at(int element, double[] moved) {
      ElementProgramme.Derivatives into =
          ElementProgramme.Derivatives.of(WIDTH, programme.constraints());
      assertThat(programme.derive(element, moved, z, into)).isTrue();
      return into;
    }

    /** The slopes of f − ∑ z·c by the places. */
    double[] slopes(ElementProgramme.Derivatives d) {
      double[] slopes = d.gradient().clone();
      for (int j = 0; j < z.length; j++) {
        for (int a = 0; a < WIDTH; a++) {
          slopes[a] -= z[j] * d.jacobian()[j * WIDTH + a];
        }
      }
      return slopes;
    }
  }

  /** All along at one speed: there the tyres push with next to nothing. */
  private static At steady(Lap lap, Random random) {
    At near = near(lap, random);
    for (int k = 1; k < near.x.length; k += 2) {
      near.x[k] = 1;
    }
    return near;
  }

  private static At near(Lap lap, Random random) {
    boolean[] held = new boolean[lap.size()];
    double[] bend = new double[lap.size()];
    Arrays.fill(bend, 0.05);
    Grid whole = Grid.every(Reach.whole(lap.path().road()), lap.path().road());
    LineForces forces = new LineForces(lap, whole, lap.path(), held, bend);
    LineProgramme programme =
        new LineProgramme(lap.path().road(), whole, forces, lap.timeS() / lap.size());
    double[] x = new double[programme.unknowns()];
    for (int k = 0; k < whole.size(); k++) {
      x[2 * k] = 0.02 * random.nextGaussian();
      double square = lap.speedAt(k) * lap.speedAt(k) / LineProgramme.SPEED_SQUARED_UNIT;
      x[2 * k + 1] = square * random.nextDouble(0.7, 1.1);
    }
    double[] z = random.doubles(programme.constraints(), 0.1, 3).toArray();
    return new At(programme, x, z);
  }

  @ParameterizedTest
  @MethodSource("vehicles")
  void derivativesAreWhatDifferencesSay(Vehicle vehicle) {
    Random random = new Random(11);
    for (Conditions day : List.of(Conditions.DEFAULT, Conditions.OF_NEW_BOOKS)) {
      At here = near(lap(vehicle, windy(day)), random);
      // The ends, where a line bends as beside them, and some in between.
      int last = here.programme.elements() - 1;
      for (int element : new int[] {0, 17, 30, 44, last}) {
        ElementProgramme.Derivatives own = here.at(element, here.x);
        for (int place = 0; place < WIDTH; place++) {
          checkBy(here, element, place, own);
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("vehicles")
  void derivativesAreWhatDifferencesSayBetweenDriveAndBrakes(Vehicle vehicle) {
    At here = steady(lap(vehicle, Conditions.OF_NEW_BOOKS), new Random(12));
    for (int element = 0; element < here.programme.elements(); element++) {
      ElementProgramme.Derivatives own = here.at(element, here.x);
      for (int place = 0; place < WIDTH; place++) {
        checkBy(here, element, place, own);
      }
    }
  }

  /** Differences of the fourth order (textbook formula). */
  private static void checkBy(At here, int element, int place, ElementProgramme.Derivatives own) {
    int unknown = here.programme.unknown(element, place);
    ElementProgramme.Derivatives[] at = new ElementProgramme.Derivatives[MOVES.length];
    for (int m = 0; m < MOVES.length; m++) {
      double[] moved = here.x.clone();
      moved[unknown] += MOVES[m] * STEP;
      at[m] = here.at(element, moved);
    }
    String what = "element " + element + ", place " + place;
    check(what, both(here, element, unknown, own.gradient(), 0), m -> at[m].f()[0]);
    for (int j = 0; j < here.z.length; j++) {
      int constraint = j;
      double slope = both(here, element, unknown, own.jacobian(), j * WIDTH);
      check(what + ", constraint " + j, slope, m -> at[m].c()[constraint]);
    }
    for (int other = 0; other < WIDTH; other++) {
      int by = other;
      double bend = both(here, element, unknown, own.hessian(), other * WIDTH);
      check(what + " and " + other, bend, m -> here.slopes(at[m])[by]);
    }
  }

  private static void check(String what, double own, IntToDoubleFunction at) {
    double difference = 0;
    for (int m = 0; m < MOVES.length; m++) {
      difference += WEIGHTS[m] * at.applyAsDouble(m) / STEP;
    }
    assertThat(own)
        .as(what)
        .isCloseTo(difference, within(LEFT * Math.max(1, Math.abs(difference))));
  }

  /** At an end two places are one unknown. */
  private static double both(At here, int element, int unknown, double[] row, int from) {
    double sum = 0;
    for (int place = 0; place < WIDTH; place++) {
      sum += here.programme.unknown(element, place) == unknown ? row[from + place] : 0;
    }
    return sum;
  }
}
