package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.corner.CornerFinder;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The line of least time, on roads that a seed lays out. */
class FastestLineTest {
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Vehicle WINGS = TestVehicles.car(Vehicle.Drive.REAR, 0.3, 1.1, 2.8, 0.6);
  private static final Vehicle MOTORCYCLE = TestVehicles.motorcycle();

  private static Corridor corridor(Road road, Vehicle vehicle) {
    return Corridor.of(Circuit.bare("any", straight()), road, vehicle, Conditions.DEFAULT, 0.15);
  }

  private static Survey straight() {
    return TestRoads.circle(60, 4);
  }

  private static Lap driven(Path path, Vehicle vehicle) {
    return SpeedProfile.solve(path, vehicle, Conditions.OF_NEW_BOOKS);
  }

  private static Lap smooth(Road road, Vehicle vehicle) {
    return driven(SmoothLine.find(road, corridor(road, vehicle), List.of()).path(), vehicle);
  }

  private static FastestLine.Result from(Lap start) {
    return FastestLine.find(start, corridor(start.path().road(), start.vehicle()), share -> {});
  }

  private static FastestLine.Result fastest(Road road, Vehicle vehicle) {
    return from(smooth(road, vehicle));
  }

  /** A smooth line and the fastest one that was found from it. */
  private record Found(Lap smooth, FastestLine.Result fastest) {}

  private static final List<Found> FOUND = new ArrayList<>();

  /** Roads of three kinds of vehicle: tight, of a circuit's size, open and uphill. */
  @BeforeAll
  static void find() {
    for (Vehicle vehicle : List.of(CAR, WINGS, MOTORCYCLE)) {
      for (Circuit circuit :
          List.of(MadeRoads.of(12, 0.35), MadeRoads.of(11, 1), MadeRoads.open())) {
        Lap smooth = smooth(circuit.road(), vehicle);
        FOUND.add(new Found(smooth, from(smooth)));
      }
    }
  }

  @Test
  void itConvergesIsQuickerThanTheSmoothLineAndStaysOnTheRoad() {
    for (Found found : FOUND) {
      FastestLine.Result fastest = found.fastest();
      Corridor corridor = corridor(fastest.path().road(), found.smooth().vehicle());
      assertThat(fastest.converged()).isTrue();
      assertThat(fastest.lap().timeS()).isLessThan(found.smooth().timeS());
      assertThat(fastest.gainedS())
          .isCloseTo(found.smooth().timeS() - fastest.lap().timeS(), within(1e-9));
      for (int i = 0; i < corridor.size(); i++) {
        assertThat(fastest.path().offsetAt(i))
            .isBetween(corridor.rightAt(i) - 0.002, corridor.leftAt(i) + 0.002);
      }
    }
  }

  @Test
  void fromTheMiddleOfTheRoadItIsTheSameLine() {
    for (Found found : FOUND) {
      Path one = found.fastest().path();
      Path middle = Path.centreline(one.road(), List.of());
      FastestLine.Result other = from(driven(middle, found.smooth().vehicle()));
      assertThat(other.lap().timeS()).isCloseTo(found.fastest().lap().timeS(), within(0.001));
      int[] bent =
          IntStream.range(0, one.size())
              .filter(i -> Math.abs(one.curvatureAt(i)) > 1 / 200.0)
              .toArray();
      for (int i = 0; i < one.size(); i++) {
        boolean bends = Math.abs(one.curvatureAt(i)) > 1 / 200.0;
        // Where on the road a run begins and ends is next to nothing in time: 0.2 ms for 0.4 m.
        boolean outside = i < bent[0] || i > bent[bent.length - 1];
        boolean free = outside && !one.road().closed();
        assertThat(other.path().offsetAt(i))
            .as("%d", i)
            .isCloseTo(one.offsetAt(i), within(free ? 0.5 : bends ? 0.01 : 0.05));
      }
    }
  }

  /** Turned to the left and to the right no more often than the smooth line, and twice a corner. */
  @Test
  void itDoesNotRipple() {
    int corners = CornerFinder.find(MadeRoads.of(11, 1), MadeRoads.of(11, 1).road()).size();
    for (Found found : FOUND) {
      Path smooth = found.smooth().path();
      if (smooth.road().closed() && smooth.road().lengthM() > 2000) {
        assertThat(changesOfTurning(found.fastest().path()))
            .isLessThanOrEqualTo(changesOfTurning(smooth) + 2 * corners);
      }
    }
  }

  /** Changes of sign of κ', where it is more than one per cent of its greatest. */
  private static int changesOfTurning(Path path) {
    int n = path.size();
    double[] turning = new double[n];
    double most = 0;
    for (int i = 0; i < n; i++) {
      turning[i] = path.curvatureAt((i + 1) % n) - path.curvatureAt(i);
      most = Math.max(most, Math.abs(turning[i]));
    }
    int changes = 0;
    double last = 0;
    for (double t : turning) {
      if (Math.abs(t) > 0.01 * most) {
        changes += t * last < 0 ? 1 : 0;
        last = t;
      }
    }
    return changes;
  }

  /** What is found is a line, not a chain of samples: it is timed the same between them. */
  @Test
  void theLapAtHalfTheStepIsTheSame() {
    Survey survey = MadeRoads.of(11, 1).survey();
    Road road = Road.through(survey, 1, 1);
    Road finer = Road.through(survey, 1, 0.5);
    for (Vehicle vehicle : List.of(CAR, MOTORCYCLE)) {
      FastestLine.Result found = fastest(road, vehicle);
      Lap same = driven(Path.at(finer, between(found.path(), finer), List.of()), vehicle);
      assertThat(same.timeS()).isCloseTo(found.lap().timeS(), within(0.001 * found.lap().timeS()));
    }
  }

  /**
   * Offsets of a line at the samples of another step: where splines through its points (Hipparchus)
   * meet the finer road's normals.
   */
  private static double[] between(Path path, Road finer) {
    Road road = path.road();
    int n = road.size();
    int around = 10;
    double[] at = new double[n + 2 * around];
    double[] x = new double[at.length];
    double[] y = new double[at.length];
    for (int k = 0; k < at.length; k++) {
      at[k] = (k - around) * road.stepM();
      x[k] = path.xAt(road.wrap(k - around));
      y[k] = path.yAt(road.wrap(k - around));
    }
    PolynomialSplineFunction alongX = new SplineInterpolator().interpolate(at, x);
    PolynomialSplineFunction alongY = new SplineInterpolator().interpolate(at, y);
    double[] offsets = new double[finer.size()];
    for (int i = 0; i < offsets.length; i++) {
      double nx = finer.normalXAt(i);
      double ny = finer.normalYAt(i);
      double s = i * finer.stepM();
      for (int round = 0; round < 5; round++) {
        double ahead =
            (alongX.value(s) - finer.xAt(i)) * ny - (alongY.value(s) - finer.yAt(i)) * nx;
        s -= ahead;
      }
      offsets[i] = (alongX.value(s) - finer.xAt(i)) * nx + (alongY.value(s) - finer.yAt(i)) * ny;
    }
    return offsets;
  }

  /** But for a kart lap, whose bends are too short for steps of two metres. */
  @Test
  void itTakesTheSameTimeAtAnyStep() {
    Survey survey = MadeRoads.of(11, 0.6).survey();
    double reference = fastest(Road.through(survey, 1, 1), CAR).lap().timeS();
    for (double step : new double[] {0.5, 0.7, 1.5, 2}) {
      assertThat(fastest(Road.through(survey, 1, step), CAR).lap().timeS())
          .as("step " + step)
          .isCloseTo(reference, within(0.001 * reference));
    }
  }

  @Test
  void aTenthOfAMillimetreInTheSurveyChangesNothing() {
    Survey survey = MadeRoads.of(12, 1).survey();
    Lap one = fastest(Road.through(survey, 1, 1), CAR).lap();
    Lap other = fastest(Road.through(TestRoads.noisy(survey, 1e-4, 7), 1, 1), CAR).lap();
    assertThat(other.timeS()).isCloseTo(one.timeS(), within(0.001 * one.timeS()));
  }

  @Test
  void theMirroredRoadHasTheMirroredLine() {
    Survey survey = MadeRoads.of(12, 0.35).survey();
    for (Vehicle vehicle : List.of(CAR, MOTORCYCLE)) {
      FastestLine.Result one = fastest(Road.through(survey, 1, 1), vehicle);
      FastestLine.Result other = fastest(Road.through(TestRoads.mirrored(survey), 1, 1), vehicle);
      assertThat(other.lap().timeS()).isCloseTo(one.lap().timeS(), within(0.001));
      for (int i = 0; i < one.path().size(); i++) {
        assertThat(other.path().offsetAt(i)).isCloseTo(-one.path().offsetAt(i), within(0.01));
      }
    }
  }

  /** Common practice: time refinement is worth one to three per cent of the smoothest line. */
  @Test
  void whatItGainsIsOfTheSizeThatTheTradeKnows() {
    Lap smooth = smooth(Circuit.bare("varied", TestRoads.varied(5)).road(), CAR);
    double share = from(smooth).gainedS() / smooth.timeS();
    assertThat(share).isBetween(0.01, 0.04);
  }

  /**
   * On a circle a lap takes 2π·√(R/μg): the smoothest line is the outermost, the quickest the
   * innermost, by the root of their radii.
   */
  @Test
  void onACircleItGoesInwardAsTheFormulaSays() {
    Vehicle mass = TestVehicles.pointMass(1.1);
    Road road = Circuit.bare("circle", TestRoads.circle(60, 4)).road();
    Lap smooth = smooth(road, mass);
    Corridor corridor = corridor(road, mass);
    double outer = 60 - corridor.rightAt(0);
    double inner = 60 - corridor.leftAt(0);
    double byFormula = smooth.timeS() * (1 - Math.sqrt(inner / outer));
    assertThat(from(smooth).gainedS()).isBetween(0.99 * byFormula, 1.01 * byFormula);
  }

  /**
   * Where nothing but grip limits a mass, the arc of the highest speed through a turn of angle α on
   * an inner radius r and a road of width w has the radius r + w/(1 − cos(α/2)). The quickest line
   * brakes into the bend and drives out of it, which is grip too: it stays some tenth below.
   */
  @Test
  void whereGripAloneDecidesItComesNearTheWidestArc() {
    Vehicle mass = TestVehicles.pointMass(1.1);
    Road road =
        Circuit.bare(
                "right angles",
                TestRoads.pointSymmetric(
                    2,
                    half -> half.straight(150).corner(30, 90, 4).straight(150).corner(30, 90, 4)))
            .road();
    Corridor corridor = corridor(road, mass);
    double width = corridor.leftAt(0) - corridor.rightAt(0);
    double inner = 30 - corridor.leftAt(0);
    double arc = inner + width / (1 - Math.cos(Math.PI / 4));
    Lap lap = fastest(road, mass).lap();
    double lowest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < lap.size(); i++) {
      lowest = Math.min(lowest, lap.speedAt(i));
    }
    double ofArc = Math.sqrt(1.1 * 9.80665 * Conditions.DEFAULT.gripFactor() * arc);
    assertThat(lowest).isBetween(0.86 * ofArc, 0.95 * ofArc);
  }

  @Test
  void aLapOfAFewHundredMetresAndARoadThatIsTooNarrowHaveALine() {
    Lap kart = smooth(MadeRoads.kart().road(), CAR);
    assertThat(from(kart).lap().timeS()).isLessThan(kart.timeS());
    Road narrow = Circuit.bare("varied", TestRoads.varied(5)).road();
    Corridor none =
        Corridor.of(
            Circuit.bare("varied", TestRoads.varied(5)), narrow, CAR, Conditions.DEFAULT, 2);
    Lap middle = driven(Path.centreline(narrow, List.of()), CAR);
    assertThat(FastestLine.find(middle, none, share -> {}).lap().timeS())
        .isLessThanOrEqualTo(middle.timeS());
  }

  @Test
  void anInterruptedSearchIsCancelled() {
    Lap smooth = smooth(MadeRoads.kart().road(), CAR);
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> from(smooth)).isInstanceOf(CancellationException.class);
    } finally {
      Thread.interrupted();
    }
  }
}
