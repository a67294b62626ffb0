package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Apexes of lines drawn by hand across a straight of 600 m, of which the metres from 200 to 400 are
 * called a corner: peaks towards its inside at one, two or three places, read by eye.
 */
class ApexesTest {
  private static final Road ROAD =
      Circuit.bare("straight", TestRoads.every(5).straight(600).survey(false, 6, 0, 0)).road();

  /** Offset far on the outside. */
  private static final double WIDE_M = -4;

  /** A peak whose sides fall by a metre in ten. */
  private static DoubleUnaryOperator peak(double atM, double height) {
    return s -> height - Math.abs(s - atM) / 10;
  }

  private static DoubleUnaryOperator highest(DoubleUnaryOperator... peaks) {
    return s ->
        Math.max(
            WIDE_M, Arrays.stream(peaks).mapToDouble(p -> p.applyAsDouble(s)).max().orElseThrow());
  }

  private static List<Double> apexes(Side side, DoubleUnaryOperator inside) {
    double[] offsets = new double[ROAD.size()];
    int sign = side == Side.LEFT ? 1 : -1;
    Arrays.setAll(offsets, i -> sign * inside.applyAsDouble(ROAD.stationAt(i)));
    Path path = Path.at(ROAD, offsets, List.of());
    Lap lap = SpeedProfile.solve(path, TestVehicles.clubCar(), Conditions.DEFAULT);
    return of(lap, side);
  }

  private static List<Double> of(Lap lap, Side side) {
    Corner corner =
        new Corner(1, "", side, 200, 400, 200, 60, 40, 300, 0, 0, 0, false, Corner.Kind.MEDIUM);
    return Apexes.of(corner, lap, CornerSpan.of(corner, ROAD)).stream()
        .map(i -> (double) Math.round(ROAD.stationAt(i)))
        .toList();
  }

  static Stream<Arguments> lines() {
    return Stream.of(
        Arguments.of("one", peak(300, 4), List.of(300.0)),
        Arguments.of("two", highest(peak(250, 4), peak(340, 3.5)), List.of(250.0, 340.0)),
        Arguments.of(
            "the better behind", highest(peak(250, 3), peak(340, 4)), List.of(250.0, 340.0)),
        Arguments.of("too near", highest(peak(280, 4), peak(324, 4)), List.of(280.0)),
        Arguments.of("just apart", highest(peak(280, 4), peak(326, 4)), List.of(280.0, 326.0)),
        Arguments.of("too far out", highest(peak(240, 4), peak(350, 1.4)), List.of(240.0)),
        Arguments.of("just in", highest(peak(240, 4), peak(350, 1.6)), List.of(240.0, 350.0)),
        Arguments.of("shallow", bowl(0.55), List.of(250.0)),
        Arguments.of("deep enough", bowl(0.65), List.of(250.0, 350.0)),
        Arguments.of(
            "the better of two more",
            highest(peak(230, 4), peak(300, 2), peak(370, 3)),
            List.of(230.0, 370.0)),
        Arguments.of(
            "the better of two more, before",
            highest(peak(230, 3), peak(300, 2), peak(370, 4)),
            List.of(230.0, 370.0)),
        Arguments.of("before the corner", peak(180, 4), List.of(180.0)),
        Arguments.of("behind it", peak(420, 4), List.of(420.0)),
        Arguments.of("a second one before it", highest(peak(190, 3), peak(300, 4)), List.of(300.0)),
        Arguments.of("a second one behind", highest(peak(300, 4), peak(410, 3)), List.of(300.0)),
        Arguments.of("too far before it", peak(150, 4), List.of(175.0)),
        Arguments.of(
            "one, and the neighbour's behind", highest(peak(300, 1), peak(440, 4)), List.of(300.0)),
        Arguments.of(
            "one, and the neighbour's before", highest(peak(320, 0), peak(160, 4)), List.of(320.0)),
        Arguments.of(
            "the better of two, and the neighbour's",
            highest(peak(260, 2), peak(340, -0.9), peak(460, 6)),
            List.of(260.0)),
        Arguments.of("wide, and the neighbour's", highest(peak(440, 4)), List.of(425.0)),
        Arguments.of(
            "hardly one", highest(peak(395, 2.2), peak(435, 5.8), s -> 2.1), List.of(425.0)),
        Arguments.of("a flat top", flatTop(240, 260), List.of(250.0)),
        Arguments.of("one to the end of all", flatTop(415, 500), List.of(420.0)));
  }

  /** Two tops of 4 m at 250 and 350 m with so much less between them. */
  private static DoubleUnaryOperator bowl(double depth) {
    return s ->
        s < 250 || s > 350
            ? Math.max(WIDE_M, 4 - Math.max(250 - s, s - 350) / 10)
            : 4 - depth * Math.sin(Math.PI * (s - 250) / 100);
  }

  private static DoubleUnaryOperator flatTop(double from, double to) {
    return s -> Math.max(WIDE_M, 4 - Math.max(0, Math.max(from - s, s - to)));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("lines")
  void theyAreWhereTheCarComesNearestToTheInside(
      String what, DoubleUnaryOperator inside, List<Double> expected) {
    assertThat(apexes(Side.LEFT, inside)).isEqualTo(expected);
    assertThat(apexes(Side.RIGHT, inside)).isEqualTo(expected);
  }

  /** A line that moves across by less than 0.3 m has none: there it is the slowest place. */
  @Test
  void whereTheLineKeepsItsPlaceTheSlowestIsTheApex() {
    double[] cap = new double[ROAD.size()];
    Arrays.setAll(cap, i -> 20 + Math.abs(ROAD.stationAt(i) - 277) / 10);
    for (double swing : new double[] {0.28, 0.32}) {
      double[] offsets = new double[ROAD.size()];
      Arrays.setAll(offsets, i -> swing * Math.exp(-Math.pow((ROAD.stationAt(i) - 320) / 40, 2)));
      Path path = Path.at(ROAD, offsets, List.of());
      Lap lap =
          SpeedProfile.solve(
              path,
              TestVehicles.clubCar(),
              Conditions.DEFAULT,
              ProfileOptions.NONE.withSpeedCap(cap));
      double expected = swing < 0.3 ? 277 : 320;
      assertThat(of(lap, Side.LEFT)).hasSize(1).allMatch(s -> Math.abs(s - expected) <= 2);
    }
  }
}
