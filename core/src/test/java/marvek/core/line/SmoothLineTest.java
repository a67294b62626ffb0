package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.concurrent.CancellationException;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SmoothLineTest {
  private static final double BODY = 1.95;
  private final Survey survey = TestRoads.varied(5);
  private final Circuit circuit = Circuit.bare("Varied", survey);
  private final Road road = circuit.road();

  private Corridor corridor(double margin) {
    return Corridor.of(circuit, road, TestVehicles.clubCar(), Conditions.DEFAULT, margin);
  }

  @Test
  void theCorridorIsTheRoadLessHalfTheBodyAndTheMargin() {
    Corridor corridor = corridor(0.2);
    assertThat(corridor.leftAt(100)).isCloseTo(6 - BODY / 2 - 0.2, within(1e-9));
    assertThat(corridor.rightAt(100)).isCloseTo(-(6 - BODY / 2 - 0.2), within(1e-9));
  }

  @Test
  void theLineStaysInTheCorridorAndStandsStill() {
    Corridor corridor = corridor(0.15);
    SmoothLine.Result result = SmoothLine.find(road, corridor, List.of());
    assertThat(result.stoodStill()).isTrue();
    for (int i = 0; i < road.size(); i++) {
      assertThat(result.path().offsetAt(i))
          .isBetween(corridor.rightAt(i) - 2e-3, corridor.leftAt(i) + 2e-3);
    }
  }

  @Test
  void itsCurvatureIsBelowThatOfTheCentreline() {
    double smooth = SmoothLine.find(road, corridor(0.15), List.of()).curvatureSquaredPerM();
    double centre = Path.centreline(road, List.of()).curvatureSquaredPerM();
    assertThat(smooth).isLessThan(0.75 * centre);
  }

  @Test
  void noLineNearbyIsSmoother() {
    Corridor corridor = corridor(0.15);
    SmoothLine.Result result = SmoothLine.find(road, corridor, List.of());
    double[] best = result.path().offsets();
    for (int bump = 0; bump < 12; bump++) {
      double[] other = best.clone();
      int middle = bump * road.size() / 12;
      int reach = 40;
      for (int k = -reach; k <= reach; k++) {
        int i = road.wrap(middle + k);
        double shape = Math.pow(Math.cos(Math.PI * k / (2.0 * reach)), 2);
        double size = bump % 2 == 0 ? 0.3 : -0.3;
        other[i] =
            Math.max(corridor.rightAt(i), Math.min(corridor.leftAt(i), other[i] + size * shape));
      }
      double value = Path.at(road, other, List.of()).curvatureSquaredPerM();
      assertThat(value).isGreaterThan(result.curvatureSquaredPerM() * (1 - 1e-6));
    }
  }

  /** Begun from a line that passes metres beside the place, and from one that leads there. */
  @ParameterizedTest
  @ValueSource(ints = {100, 300, 500, 700})
  void ledThroughAPlaceItIsTheSameLineWithoutAKink(int place) {
    Stretch whole = Stretch.whole(road);
    Bounds bounds = Bounds.of(whole, corridor(0.15), new double[whole.size()]);
    double[] free = SmoothLine.along(whole, bounds, null, new double[whole.size()]);
    double offset = free[place] > 0 ? bounds.lowAt(place) : bounds.highAt(place);
    double[] leading = free.clone();
    for (int k = -80; k <= 80; k++) {
      leading[road.wrap(place + k)] +=
          (offset - free[place]) * Math.pow(Math.cos(Math.PI * k / 160), 2);
    }
    Bounds through = bounds.through(place, offset);
    double[] begunBeside = SmoothLine.along(whole, through, null, free);
    assertThat(begunBeside)
        .containsExactly(SmoothLine.along(whole, through, null, leading), within(0.01));
  }

  /**
   * Widest arc through a turn of angle α on a road of inner radius r and width w: R = r + w/(1 −
   * cos(α/2)) (plane geometry). It is the line of smallest peak curvature; the line of least ∫κ²
   * has a smaller integral and a sharper peak.
   */
  @ParameterizedTest
  @CsvSource({"90, 20", "120, 30", "60, 40"})
  void itBeatsTheWidestArcInTheIntegralButNotInThePeak(double angleDeg, double centreRadius) {
    double half = 6;
    TestRoads built =
        TestRoads.every(2).straight(160).corner(centreRadius, angleDeg, 0).straight(160);
    Survey turn = built.survey(false, half, 0, 0);
    Road road = Road.through(turn, 1, 0.5);
    Circuit bare = Circuit.bare("Turn", turn);
    Corridor corridor = Corridor.of(bare, road, TestVehicles.clubCar(), Conditions.DEFAULT, 0);
    double width = corridor.leftAt(10) - corridor.rightAt(10);
    double inner = centreRadius - width / 2;
    double alpha = Math.toRadians(angleDeg);
    double widest = inner + width / (1 - Math.cos(alpha / 2));

    Path smooth = SmoothLine.find(road, corridor, List.of()).path();

    // A circular arc of radius R through the angle α has ∫κ² = α/R; the straights add nothing.
    assertThat(smooth.curvatureSquaredPerM()).isLessThan(alpha / widest);
    double peak = 0;
    for (int i = 0; i < smooth.size(); i++) {
      peak = Math.max(peak, smooth.curvatureAt(i));
    }
    assertThat(peak).isGreaterThan(1 / widest);
  }

  @ParameterizedTest
  @CsvSource({"NONE, 0", "TOUCH, 0.10", "TYRE, 0.25", "HALF_CAR, 0.975", "FULL, 1.2"})
  void aKerbsUseOpensTheCorridor(Kerb.Use use, double reach) {
    Kerb kerb = new Kerb(Side.LEFT, 300, 340, Kerb.Profile.FLAT, 40, 1.2, use, Kerb.Use.NONE, "");
    Circuit with = withKerb(kerb, TrackLimits.KERB_COUNTS_AS_TRACK);
    Corridor dry = Corridor.of(with, road, TestVehicles.clubCar(), Conditions.DEFAULT, 0.15);
    Corridor wet =
        Corridor.of(
            with,
            road,
            TestVehicles.clubCar(),
            Conditions.DEFAULT.withSurface(Conditions.Surface.WET),
            0.15);
    int i = road.indexOf(320);
    double line = 6 - BODY / 2;
    double expected = reach == 0 ? line - 0.15 : line + reach;
    assertThat(dry.leftAt(i)).isCloseTo(expected, within(1e-6));
    assertThat(wet.leftAt(i)).isCloseTo(line - 0.15, within(1e-6));
    assertThat(dry.leftAt(road.indexOf(360))).isCloseTo(line - 0.15, within(1e-6));
  }

  /**
   * FIA International Sporting Code, Appendix L, ch. IV, art. 2 c (from memory): a car has left the
   * track when no part of it remains in contact with it. With one wheel's width kept inside, the
   * body may go out by its width less a tyre.
   */
  @Test
  void theRuleHoldsBackWhatTheKerbWouldAllow() {
    assertThat(Corridor.allowedM(TrackLimits.ONE_WHEEL_INSIDE_LINE, 1.95, 3))
        .isCloseTo(1.70, within(1e-9));
    assertThat(Corridor.allowedM(TrackLimits.TWO_WHEELS_INSIDE_LINE, 1.95, 3))
        .isCloseTo(0.975, within(1e-9));
    Kerb wide = new Kerb(Side.LEFT, 300, 340, Kerb.Profile.FLAT, 40, 3, Kerb.Use.FULL, null, "");
    Circuit with = withKerb(wide, TrackLimits.TWO_WHEELS_INSIDE_LINE);
    Corridor corridor = Corridor.of(with, road, TestVehicles.clubCar(), Conditions.DEFAULT, 0);
    assertThat(corridor.leftAt(road.indexOf(320))).isCloseTo(6, within(1e-6));
  }

  private Circuit withKerb(Kerb kerb, TrackLimits rule) {
    return new Circuit(
        "Varied",
        "",
        1,
        null,
        "UTC",
        rule,
        null,
        survey,
        1,
        List.of(),
        List.of(kerb),
        List.of(),
        List.of(),
        List.of());
  }

  @Test
  void aRoadNarrowerThanTheCarIsStillSolved() {
    double[] half = new double[survey.size()];
    java.util.Arrays.fill(half, 0.8);
    Survey narrow = resized(half);
    Road lane = Road.through(narrow);
    Corridor corridor =
        Corridor.of(
            Circuit.bare("Lane", narrow), lane, TestVehicles.clubCar(), Conditions.DEFAULT, 0.15);
    SmoothLine.Result result = SmoothLine.find(lane, corridor, List.of());
    assertThat(result.path().offsetAt(50)).isCloseTo(0, within(0.2));
  }

  private Survey resized(double[] half) {
    int n = survey.size();
    double[] x = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = survey.xAt(i);
      y[i] = survey.yAt(i);
    }
    return new Survey(x, y, new double[n], half, half, new double[n], true);
  }

  @Test
  void anInterruptedSearchIsCancelled() {
    Corridor corridor = corridor(0.15);
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> SmoothLine.find(road, corridor, List.of()))
          .isInstanceOf(CancellationException.class);
    } finally {
      Thread.interrupted();
    }
  }

  @Test
  void refusesAMarginThatIsNoDistance() {
    assertThatThrownBy(() -> corridor(Double.NaN)).isInstanceOf(InvalidValueException.class);
  }
}
