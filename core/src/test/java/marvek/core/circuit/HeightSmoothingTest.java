package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** A hill of known shape, recorded as telephones do. */
class HeightSmoothingTest {
  private static final double LENGTH_M = 3000;
  private static final double SPACING_M = 3;
  private static final double G = 9.80665;

  /**
   * Two and three hills round the lap, 8 m high together: 4.19 % at the steepest, where it starts.
   */
  private static double hill(double s) {
    return 60 + 4 * Math.sin(4 * Math.PI * s / LENGTH_M) + 4 * Math.sin(6 * Math.PI * s / LENGTH_M);
  }

  private static HeightSmoothing smoothed(DoubleUnaryOperator error, boolean closed) {
    int n = (int) (LENGTH_M / SPACING_M);
    double[] station = new double[closed ? n + 1 : n];
    double[] z = new double[n];
    for (int i = 0; i < station.length; i++) {
      station[i] = SPACING_M * i;
    }
    for (int i = 0; i < n; i++) {
      z[i] = error.applyAsDouble(hill(station[i]));
    }
    return HeightSmoothing.of(station, closed, z, 0);
  }

  private static double largestMove(HeightSmoothing heights) {
    double[] z = heights.heightsM();
    double most = 0;
    for (int i = 0; i < z.length; i++) {
      most = Math.max(most, Math.abs(z[i] - hill(SPACING_M * i)));
    }
    return most;
  }

  /** What a car at 50 m/s would feel of the heights beside the hill's own, in g. */
  private static double feltG(HeightSmoothing heights) {
    double[] z = heights.heightsM();
    int n = z.length;
    int over = 8;
    double most = 0;
    for (int i = over; i < n - over; i++) {
      double curvature = difference(z[i - over], z[i], z[i + over], over);
      double s = SPACING_M * i;
      double d = SPACING_M * over;
      double own = difference(hill(s - d), hill(s), hill(s + d), over);
      most = Math.max(most, Math.abs(curvature - own) * 50 * 50 / G);
    }
    return most;
  }

  private static double difference(double before, double here, double after, int over) {
    return (before - 2 * here + after) / Math.pow(SPACING_M * over, 2);
  }

  @Test
  void heightsThatJumpByMetresBecomeTheHill() {
    Random random = new Random(7);
    HeightSmoothing heights = smoothed(z -> z + 2 * random.nextGaussian(), true);
    assertThat(heights.facts().noiseM()).isCloseTo(2, within(0.3));
    assertThat(heights.facts().doubtful()).isTrue();
    // Four deviations of what the length lets through, see HeightSmoothing: 0.025 g each.
    assertThat(feltG(heights)).isLessThan(0.1);
    assertThat(heights.facts().steepestUp()).isCloseTo(0.0419, within(0.008));
    assertThat(largestMove(heights)).isLessThan(1.2);
  }

  @Test
  void wholeMetresAreNoSteps() {
    HeightSmoothing heights = smoothed(Math::rint, true);
    assertThat(heights.facts().noiseM()).isCloseTo(1, within(1e-9));
    assertThat(heights.facts().steepestUp()).isCloseTo(0.0419, within(0.003));
    assertThat(feltG(heights)).isLessThan(0.1);
  }

  @Test
  void oneWildPointIsNoHill() {
    int[] count = {0};
    Random random = new Random(8);
    HeightSmoothing heights =
        smoothed(z -> z + 0.5 * random.nextGaussian() + (count[0]++ == 400 ? 80 : 0), true);
    assertThat(largestMove(heights)).isLessThan(0.6);
  }

  @Test
  void cleanHeightsStayWhereTheyAre() {
    Random random = new Random(9);
    HeightSmoothing heights = smoothed(z -> z + 0.02 * random.nextGaussian(), true);
    assertThat(heights.facts().doubtful()).isFalse();
    assertThat(largestMove(heights)).isLessThan(0.05);
  }

  /**
   * A crest of 400 m radius between two even grades: what is rare among clean heights is no slip.
   */
  @Test
  void aCrestStaysACrest() {
    double radius = 400;
    int n = 200;
    double[] station = new double[n];
    double[] z = new double[n];
    for (int i = 0; i < n; i++) {
      station[i] = 4.3 * i;
      double from = Math.abs(station[i] - 401);
      z[i] = from < 20 ? -from * from / (2 * radius) : -20 * 20 / (2 * radius) - (from - 20) * 0.05;
    }
    double[] smooth = HeightSmoothing.of(station, false, z, 0).heightsM();
    for (int i = 0; i < n; i++) {
      // Half the crest's curvature times the square of the least length, see HeightSmoothing.
      assertThat(smooth[i]).as("%s m", station[i]).isCloseTo(z[i], within(0.5 * 25 / radius));
    }
  }

  @Test
  void anOpenRoadKeepsTheGradeOfItsEnds() {
    Random random = new Random(10);
    HeightSmoothing heights = smoothed(z -> z + 2 * random.nextGaussian(), false);
    double[] z = heights.heightsM();
    double grade = (z[5] - z[0]) / (5 * SPACING_M);
    assertThat(grade).isCloseTo((hill(15) - hill(0)) / 15, within(0.03));
  }

  @Test
  void aLapThatDoesNotCloseInHeightIsDoubted() {
    double[] station = {0, 5, 10, 15, 20, 25, 30, 35, 40};
    double[] level = new double[8];
    assertThat(HeightSmoothing.of(station, true, level, -2.1).facts().doubtful()).isTrue();
    assertThat(HeightSmoothing.of(station, true, level, 1.9).facts().doubtful()).isFalse();
  }
}
