package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;

class SightTest {
  private static final double EYE_M = Sight.EYE_HEIGHT_M;

  private static Sight sight(Survey survey, List<Mark> marks, List<Hazard> hazards) {
    Circuit bare = Circuit.bare("road", survey);
    Circuit circuit =
        new Circuit(
            "road",
            "",
            1,
            null,
            "UTC",
            TrackLimits.FREE,
            null,
            survey,
            1,
            marks,
            List.of(),
            List.of(),
            hazards,
            List.of());
    return new Sight(circuit, bare.road());
  }

  private static boolean sees(Sight sight, double from, double to, double offset, double topM) {
    return sight.sees(new RoadPosition(from, 0), new RoadPosition(to, offset), topM);
  }

  private static Survey straight() {
    return TestRoads.every(5).straight(800).survey(false, 6, 0, 0);
  }

  /** A crest of constant vertical curvature, 2000 m of radius, its top at 400 m. */
  private static Survey crest() {
    return TestRoads.changed(
        straight(), (p, i) -> new double[] {p[0], p[1], -(p[0] - 400) * (p[0] - 400) / (2 * 2000)});
  }

  @Test
  void onALevelStraightEverythingAheadIsSeenAndNothingBehind() {
    Sight sight = sight(straight(), List.of(), List.of());
    assertThat(sees(sight, 100, 700, 8, 1)).isTrue();
    assertThat(sees(sight, 100, 700, 8, 0.05)).isTrue();
    assertThat(sees(sight, 700, 100, 8, 1)).isFalse();
  }

  /**
   * Crest sight distance, AASHTO Green Book ch. 3 (from memory): L = A·S²/(2(√h₁ + √h₂)²) where S
   * is shorter than the curve; with the radius R = L/A that is S = √(2R)·(√h₁ + √h₂). Its object of
   * 0.6 m is the tail lamp of a car.
   */
  @Test
  void aCrestHidesWhatLiesBeyondTheDesignersSightDistance() {
    Sight sight = sight(crest(), List.of(), List.of());
    double objectM = 0.6;
    double distance = Math.sqrt(2 * 2000) * (Math.sqrt(EYE_M) + Math.sqrt(objectM));
    assertThat(distance).isBetween(114.0, 116.0);
    double eye = 350;
    assertThat(sees(sight, eye, eye + distance - 5, 8, objectM)).isTrue();
    assertThat(sees(sight, eye, eye + distance + 5, 8, objectM)).isFalse();
  }

  @Test
  void whatIsTallIsSeenOverTheCrest() {
    Sight sight = sight(crest(), List.of(), List.of());
    assertThat(sees(sight, 300, 480, 8, 0.6)).isFalse();
    assertThat(sees(sight, 300, 480, 8, 8)).isTrue();
  }

  /**
   * Horizontal sight-line offset, AASHTO Green Book ch. 3 (from memory): M = R(1 − cos(28.65·S/R)),
   * the angle in degrees, S along the road. M is here the half width and the open verge.
   */
  @Test
  void theInsideOfABendHidesWhatLiesBeyondTheDesignersSightDistance() {
    double radius = 200;
    Sight sight = sight(TestRoads.circle(radius, 5), List.of(), List.of());
    double offset = 6 + Sight.OPEN_VERGE_M;
    double distance = radius / 28.65 * Math.toDegrees(Math.acos(1 - offset / radius));
    assertThat(distance).isBetween(168.0, 174.0);
    assertThat(sees(sight, 100, 100 + distance - 8, 0, 0.5)).isTrue();
    assertThat(sees(sight, 100, 100 + distance + 8, 0, 0.5)).isFalse();
  }

  @Test
  void aWallOnTheInsideHidesEarlier() {
    double radius = 200;
    // The circle turns left: the wall stands on the left, one metre beyond the line.
    Hazard wall = new Hazard(Hazard.Type.WALL, Side.LEFT, 60, 300, 1, "");
    Sight sight = sight(TestRoads.circle(radius, 5), List.of(), List.of(wall));
    double offset = 6 + 1 + 1;
    double distance = radius / 28.65 * Math.toDegrees(Math.acos(1 - offset / radius));
    assertThat(sees(sight, 100, 100 + distance - 8, 0, 0.5)).isTrue();
    assertThat(sees(sight, 100, 100 + distance + 10, 0, 0.5)).isFalse();
    // A gantry is seen over it.
    assertThat(sees(sight, 100, 100 + distance + 10, 0, 6)).isTrue();
  }

  @Test
  void aBuildingHidesWhatStandsBehindItButNotItself() {
    Mark house = new Mark("mill", MarkType.BUILDING, Side.RIGHT, 400, 430, -9, null, 7.0, "");
    Sight sight = sight(straight(), List.of(house), List.of());
    assertThat(sees(sight, 380, 600, -80, 2)).isFalse();
    assertThat(sees(sight, 300, 400, -9, 7)).isTrue();
    assertThat(sees(sight, 380, 600, 8, 2)).isTrue();
  }
}
