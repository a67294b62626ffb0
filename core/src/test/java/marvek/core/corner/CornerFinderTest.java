package marvek.core.corner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import org.junit.jupiter.api.Test;

/** Corners of roads drawn with known ones. */
class CornerFinderTest {
  private static List<Corner> find(Survey survey) {
    Circuit circuit = Circuit.bare("Drawn", survey);
    return CornerFinder.find(circuit, circuit.road());
  }

  @Test
  void findsEveryDrawnCornerWithItsAngleAndRadius() {
    List<Corner> corners = find(TestRoads.varied(5));
    double[] angles = {110, 80, 150, 60, 60, 110, 80, 150, 60, 60};
    double[] radii = {35, 60, 25, 140, 50, 35, 60, 25, 140, 50};
    boolean[] left = {true, false, true, false, true, true, false, true, false, true};
    assertThat(corners).hasSize(10);
    for (int c = 0; c < 10; c++) {
      Corner corner = corners.get(c);
      assertThat(corner.number()).isEqualTo(c + 1);
      assertThat(corner.angleDeg()).as("corner %d", c + 1).isCloseTo(angles[c], within(6.0));
      assertThat(corner.tightestRadiusM()).isCloseTo(radii[c], within(0.06 * radii[c]));
      assertThat(corner.direction()).isEqualTo(left[c] ? Side.LEFT : Side.RIGHT);
    }
  }

  @Test
  void aHairpinIsCalledOne() {
    assertThat(find(TestRoads.varied(5)).get(2).kind()).isEqualTo(Corner.Kind.HAIRPIN);
  }

  @Test
  void twoArcsCloseTogetherAreOneCornerTheOppositeIsLinked() {
    Survey survey =
        TestRoads.every(4)
            .straight(300)
            .corner(60, 50, 20)
            .straight(12)
            .corner(60, 50, 20)
            .straight(15)
            .corner(40, -70, 15)
            .straight(300)
            .survey(false, 6, 0, 0);
    List<Corner> corners = find(survey);
    assertThat(corners).hasSize(2);
    assertThat(corners.get(0).angleDeg()).isCloseTo(100, within(6.0));
    assertThat(corners.get(0).linkWithNext()).isTrue();
    assertThat(corners.get(1).linkWithNext()).isFalse();
  }

  @Test
  void aStraightHasNoCorners() {
    assertThat(find(TestRoads.every(5).straight(500).survey(false, 6, 0, 0))).isEmpty();
  }

  @Test
  void aCircleIsOneCorner() {
    List<Corner> corners = find(TestRoads.circle(80, 5));
    assertThat(corners).hasSize(1);
    assertThat(corners.get(0).angleDeg()).isCloseTo(360, within(8.0));
  }

  @Test
  void gradeAndBankingAreThoseOfTheRoadInTheCornersOwnSense() {
    Survey flat =
        TestRoads.every(5).straight(200).corner(50, -90, 20).straight(200).survey(false, 6, 0, 0);
    int n = flat.size();
    double[][] c = new double[6][n];
    for (int i = 0; i < n; i++) {
      c[0][i] = flat.xAt(i);
      c[1][i] = flat.yAt(i);
      c[2][i] = -0.04 * 5 * i;
      c[3][i] = 6;
      c[4][i] = 6;
      c[5][i] = Math.toRadians(-3);
    }
    List<Corner> corners = find(new Survey(c[0], c[1], c[2], c[3], c[4], c[5], false));
    assertThat(corners).hasSize(1);
    assertThat(corners.get(0).gradePct()).isCloseTo(-4, within(0.2));
    // Left edge higher helps a right-hander.
    assertThat(corners.get(0).bankingDeg()).isCloseTo(3, within(0.05));
  }

  @Test
  void drawnCornersOverrideWhatIsFound() {
    Survey survey = TestRoads.varied(5);
    Circuit circuit =
        new Circuit(
            "Drawn",
            "",
            1,
            null,
            "UTC",
            TrackLimits.FREE,
            null,
            survey,
            1,
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(
                new DrawnCorner(7, "Mill", null, 395, 470, true, null),
                new DrawnCorner(8, "Gate", Side.LEFT, 560, 640, false, null)));
    List<Corner> corners = CornerFinder.find(circuit, circuit.road());
    assertThat(corners).extracting(Corner::number).containsExactly(7, 8);
    assertThat(corners).extracting(Corner::name).containsExactly("Mill", "Gate");
    assertThat(corners.get(0).direction()).isEqualTo(Side.LEFT);
    assertThat(corners.get(0).linkWithNext()).isTrue();
    assertThat(corners.get(1).fromM()).isCloseTo(560, within(1.0));
  }

  /** Two arcs of one bend with the start line between them: one corner, with the line inside it. */
  @Test
  void aBendWithTheStartLineBetweenItsApexesIsOneCorner() {
    Survey survey =
        TestRoads.pointSymmetric(
            4,
            half ->
                half.straight(6).corner(60, 60, 20).straight(300).corner(60, 120, 20).straight(6));
    List<Corner> corners = find(survey);
    assertThat(corners).hasSize(2);
    assertThat(corners).allSatisfy(c -> assertThat(c.angleDeg()).isCloseTo(180, within(8.0)));
    Corner last = corners.get(1);
    assertThat(last.fromM()).isGreaterThan(last.toM());
    assertThat(last.number()).isEqualTo(2);
  }
}
