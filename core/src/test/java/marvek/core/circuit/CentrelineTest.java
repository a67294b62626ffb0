package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CentrelineTest {
  /** Circle of radius R: κ = 1/R and length 2πR (geometry). */
  @ParameterizedTest
  @CsvSource({"20, 2", "20, 5", "80, 7", "300, 25"})
  void aCircleHasOneCurvature(double radius, double spacing) {
    Road road = Road.through(TestRoads.circle(radius, spacing));
    assertThat(road.lengthM()).isCloseTo(2 * Math.PI * radius, within(0.002 * radius));
    for (int i = 0; i < road.size(); i++) {
      assertThat(road.curvatureAt(i)).isCloseTo(1 / radius, within(0.01 / radius));
    }
  }

  @Test
  void aRightHandedCircleHasNegativeCurvature() {
    Road road = Road.through(TestRoads.mirrored(TestRoads.circle(60, 5)));
    assertThat(road.curvatureAt(17)).isCloseTo(-1 / 60.0, within(2e-4));
  }

  /**
   * Clothoid: κ grows linearly along the length, and its point at length l is given by the Fresnel
   * integrals C and S (Abramowitz &amp; Stegun, ch. 7, 7.3.11 and 7.3.13: the power series).
   */
  @Test
  void aClothoidHasLinearCurvature() {
    double length = 120;
    double endCurvature = 1 / 50.0;
    int n = 41;
    double[] x = new double[n];
    double[] y = new double[n];
    double scale = Math.sqrt(Math.PI * length / endCurvature);
    for (int i = 0; i < n; i++) {
      double t = length * i / (n - 1) / scale;
      x[i] = scale * fresnelC(t);
      y[i] = scale * fresnelS(t);
    }
    double[] half = new double[n];
    java.util.Arrays.fill(half, 5);
    Survey survey = new Survey(x, y, new double[n], half, half, new double[n], false);

    Road road = Road.through(survey);

    assertThat(road.lengthM()).isCloseTo(length, within(0.05));
    for (int i = 8; i < road.size() - 8; i++) {
      double expected = endCurvature * road.stationAt(i) / length;
      assertThat(road.curvatureAt(i)).isCloseTo(expected, within(0.03 * endCurvature));
    }
  }

  private static double fresnelC(double z) {
    return fresnel(z, 0);
  }

  private static double fresnelS(double z) {
    return fresnel(z, 1);
  }

  /** Power series 7.3.11 (odd = 0) and 7.3.13 (odd = 1). */
  private static double fresnel(double z, int odd) {
    double half = Math.PI / 2;
    double sum = 0;
    double term = odd == 0 ? z : half * z * z * z;
    for (int k = 0; k < 40; k++) {
      int m = 2 * k + odd;
      sum += term / (2 * m + 1);
      term *= -(half * half) * Math.pow(z, 4) / ((m + 1.0) * (m + 2.0));
    }
    return sum;
  }

  /** Fresnel integrals at 1, A&amp;S table 7.7: C(1) = 0.7798934, S(1) = 0.4382591. */
  @Test
  void theFresnelSeriesGivesTheTabulatedValues() {
    assertThat(fresnelC(1)).isCloseTo(0.7798934, within(1e-7));
    assertThat(fresnelS(1)).isCloseTo(0.4382591, within(1e-7));
  }

  @Test
  void aCleanSurveyIsMovedByLessThanFiveCentimetres() {
    Road road = Road.through(TestRoads.varied(5));
    assertThat(road.largestMoveM()).isLessThan(0.05);
    assertThat(road.surveyNoiseM()).isLessThan(0.02);
  }

  /** An interpolating cubic spline rings by about 14 % where a straight meets an arc. */
  @Test
  void curvatureDoesNotRingWhereAStraightMeetsAnArc() {
    TestRoads half = TestRoads.every(5);
    Survey survey =
        TestRoads.pointSymmetric(5, r -> r.straight(200).bend(Math.PI * 40, 1 / 40.0, 1 / 40.0));
    assertThat(half.length()).isZero();
    Road road = Road.through(survey);
    double most = 0;
    for (int i = 0; i < road.size(); i++) {
      most = Math.max(most, road.curvatureAt(i));
    }
    assertThat(most).isBetween(1 / 40.0, 1.07 / 40);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void noiseIsTakenForNoise(long seed) {
    Survey clean = TestRoads.varied(6);
    Road truth = Road.through(clean);
    Road road = Road.through(TestRoads.noisy(clean, 0.3, seed));
    assertThat(road.surveyNoiseM()).isBetween(0.2, 0.4);
    assertThat(road.largestMoveM()).isBetween(0.3, 2.0);
    assertThat(absoluteTurn(road))
        .isCloseTo(absoluteTurn(truth), within(0.12 * absoluteTurn(truth)));
  }

  /** ∫|κ| ds: ripple makes it grow. */
  private static double absoluteTurn(Road road) {
    double sum = 0;
    for (int i = 0; i < road.size(); i++) {
      sum += Math.abs(road.curvatureAt(i)) * road.stepM();
    }
    return sum;
  }

  @Test
  void strongerSmoothingMovesPointsFarther() {
    Survey noisy = TestRoads.noisy(TestRoads.varied(6), 0.3, 5);
    Road normal = Road.through(noisy, 1);
    Road strong = Road.through(noisy, 50);
    assertThat(strong.largestMoveM()).isGreaterThan(normal.largestMoveM());
    assertThat(absoluteTurn(strong)).isLessThanOrEqualTo(absoluteTurn(normal) + 1e-6);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2})
  void refusesARoadOfAPointOrTwo(int n) {
    double[] some = new double[n];
    double[] x = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = 10 * i;
      some[i] = 5;
    }
    assertThatThrownBy(
            () -> new Survey(x, new double[n], new double[n], some, some, new double[n], true))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("point");
  }

  @Test
  void namesThePointThatIsNotANumber() {
    Survey good = TestRoads.circle(50, 5);
    assertThatThrownBy(
            () ->
                TestRoads.changed(
                    good, (p, i) -> i == 7 ? new double[] {Double.NaN, p[1], p[2]} : p))
        .isInstanceOfSatisfying(
            InvalidValueException.class, e -> assertThat(e.index()).isEqualTo(7));
  }

  @Test
  void refusesPointsThatAreTooFarApart() {
    Survey good = TestRoads.circle(500, 20);
    assertThatThrownBy(
            () -> TestRoads.changed(good, (p, i) -> new double[] {50 * p[0], 50 * p[1], p[2]}))
        .isInstanceOf(InvalidValueException.class);
  }
}
