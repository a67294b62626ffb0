package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;

class RoadTest {
  private final Road circle = Road.through(TestRoads.circle(100, 5));

  @Test
  void stationsWrapOnAClosedRoad() {
    double length = circle.lengthM();
    assertThat(circle.wrap(-1)).isEqualTo(circle.size() - 1);
    assertThat(circle.wrap(circle.size())).isZero();
    assertThat(circle.wrapStation(-3)).isCloseTo(length - 3, within(1e-9));
    assertThat(circle.distance(length - 10, 5)).isCloseTo(15, within(1e-9));
    assertThat(circle.offsetBetween(5, length - 10)).isCloseTo(-15, within(1e-9));
    assertThat(circle.indexOf(length - 0.1)).isZero();
  }

  @Test
  void stationsClampOnAnOpenRoad() {
    Road open = Road.through(TestRoads.every(5).straight(300).survey(false, 5, 0, 0));
    assertThat(open.closed()).isFalse();
    assertThat(open.wrap(-1)).isZero();
    assertThat(open.wrap(open.size() + 4)).isEqualTo(open.size() - 1);
    assertThat(open.indexOf(10_000)).isEqualTo(open.size() - 1);
  }

  @Test
  void normalsPointToTheLeftAndHaveUnitLength() {
    for (int i = 0; i < circle.size(); i += 13) {
      // On a left-handed circle about (0, R) the left is the centre.
      double toCentreX = -circle.xAt(i);
      double toCentreY = 100 - circle.yAt(i);
      double dot = circle.normalXAt(i) * toCentreX + circle.normalYAt(i) * toCentreY;
      assertThat(dot).isCloseTo(100, within(0.1));
      assertThat(Math.hypot(circle.normalXAt(i), circle.normalYAt(i))).isCloseTo(1, within(1e-9));
    }
  }

  /**
   * Sine-shaped hill z = a·sin(2πs/λ): slope a·2π/λ at most, vertical curvature −a·(2π/λ)² on the
   * crest by κv = z″/(1 + z′²)^1.5 (differential geometry; z′ = 0 there).
   */
  @Test
  void aCrestHasNegativeVerticalCurvature() {
    Survey flat = TestRoads.circle(200, 5);
    double length = 2 * Math.PI * 200;
    double wave = 2 * Math.PI / (length / 4);
    Survey hilly =
        TestRoads.changed(flat, (p, i) -> new double[] {p[0], p[1], 6 * Math.sin(wave * 5.0 * i)});
    Road road = Road.through(hilly);
    int crest = road.indexOf(length / 16);
    assertThat(road.verticalCurvatureAt(crest))
        .isCloseTo(-6 * wave * wave, within(0.08 * 6 * wave * wave));
    assertThat(road.gradeAt(0)).isCloseTo(Math.atan(6 * wave), within(0.01));
    assertThat(road.gradeAt(crest)).isCloseTo(0, within(0.01));
  }

  @Test
  void widthsAndBankingAreLinearBetweenPoints() {
    int n = 61;
    double[] x = new double[n];
    double[] left = new double[n];
    double[] right = new double[n];
    double[] banking = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = 10 * i;
      left[i] = 4 + 0.05 * i;
      right[i] = 6;
      banking[i] = Math.toRadians(0.1 * i);
    }
    Road road =
        Road.through(new Survey(x, new double[n], new double[n], left, right, banking, false));
    int i = road.indexOf(255);
    assertThat(road.widthLeftAt(i)).isCloseTo(4 + 0.05 * 25.5, within(0.01));
    assertThat(road.widthRightAt(i)).isEqualTo(6);
    assertThat(Math.toDegrees(road.bankingAt(i))).isCloseTo(2.55, within(0.02));
  }

  /** A parallel to a circle of radius R at d to the left has radius R − d and its length. */
  @Test
  void aPathBesideACircleHasItsOwnCurvatureAndLength() {
    double[] offset = new double[circle.size()];
    Arrays.fill(offset, 4);
    Path path = Path.at(circle, offset, List.of());
    assertThat(path.curvatureAt(11)).isCloseTo(1 / 96.0, within(1e-4));
    assertThat(path.distanceAt(path.size())).isCloseTo(2 * Math.PI * 96, within(0.3));
    assertThat(path.curvatureSquaredPerM()).isCloseTo(2 * Math.PI / 96, within(1e-3));
  }

  @Test
  void refusesOffsetsBeyondTheCentreOfTheBend() {
    Road tight = Road.through(TestRoads.circle(15, 2));
    double[] offset = new double[tight.size()];
    offset[20] = 16;
    assertThatThrownBy(() -> Path.at(tight, offset, List.of()))
        .isInstanceOfSatisfying(
            InvalidValueException.class, e -> assertThat(e.index()).isEqualTo(20));
    assertThatThrownBy(() -> Path.at(tight, new double[3], List.of()))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void aZoneTakesGripOnItsSideOnly() {
    Zone zone = new Zone(Zone.Type.PATCH, Side.LEFT, 100, 150, 0.8, "");
    double[] left = new double[circle.size()];
    Arrays.fill(left, 1);
    double[] right = new double[circle.size()];
    Arrays.fill(right, -1);
    int inside = circle.indexOf(120);
    int outside = circle.indexOf(180);
    assertThat(Path.at(circle, left, List.of(zone)).gripFactorAt(inside)).isEqualTo(0.8);
    assertThat(Path.at(circle, left, List.of(zone)).gripFactorAt(outside)).isEqualTo(1);
    assertThat(Path.at(circle, right, List.of(zone)).gripFactorAt(inside)).isEqualTo(1);
  }

  /** A place on either side of any bend is found again where it was put. */
  @Test
  void aPlaceBesideTheRoadIsFoundAgain() {
    Road road = Road.through(TestRoads.varied(5));
    for (double station = 0.3; station < road.lengthM(); station += 7.37) {
      for (double offset : new double[] {-9, -3, 0, 4, 9}) {
        double[] xy = new RoadPosition(station, offset).toPlane(road);
        RoadPosition back = RoadPosition.near(road, xy[0], xy[1], station, 15);
        assertThat(road.offsetBetween(station, back.stationM())).isCloseTo(0, within(0.02));
        assertThat(back.offsetM()).isCloseTo(offset, within(0.02));
      }
    }
  }
}
