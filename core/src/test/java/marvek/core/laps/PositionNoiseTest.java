package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Scatter that is put on a drive round a ring, told again from the positions alone. */
class PositionNoiseTest {
  private static final double RADIUS_M = 100;
  private static final double SPEED_MPS = 25;

  private static Recording drive(double hz, int samples, double sigmaM) {
    Random random = new Random(3);
    double[] time = new double[samples];
    double[] x = new double[samples];
    double[] y = new double[samples];
    Arrays.setAll(time, i -> i / hz);
    Arrays.setAll(x, i -> at(Math.cos(angle(time[i])), sigmaM, random));
    Arrays.setAll(y, i -> at(Math.sin(angle(time[i])), sigmaM, random));
    return new Recording(time, Map.of(Channel.X, x, Channel.Y, y));
  }

  private static double angle(double seconds) {
    return SPEED_MPS * seconds / RADIUS_M;
  }

  private static double at(double share, double sigmaM, Random random) {
    return RADIUS_M * share + sigmaM * random.nextGaussian();
  }

  /** The deviation of a median of 4000 such differences is some 2 %. */
  @ParameterizedTest
  @CsvSource({"25, 0.02", "10, 0.3", "10, 1.5", "100, 0.5"})
  void scatterIsToldByItsStandardDeviation(double hz, double sigmaM) {
    assertThat(PositionNoise.of(drive(hz, 4000, sigmaM))).isCloseTo(sigmaM, within(0.06 * sigmaM));
  }

  /** The way itself leaves v³/R²·dt³: 2 mm at ten a second. */
  @Test
  void theWayOfTheCarIsNoScatter() {
    assertThat(PositionNoise.of(drive(10, 4000, 0))).isLessThan(0.001);
  }

  @Test
  void ofPositionsThatComeTooSlowlyNothingIsTold() {
    assertThat(PositionNoise.of(drive(4, 400, 0.5))).isPositive();
    assertThat(PositionNoise.of(drive(3, 400, 0.5))).isZero();
    assertThat(PositionNoise.of(drive(10, 12, 0.5))).isZero();
    assertThat(PositionNoise.of(drive(10, 14, 0.5))).isPositive();
  }

  @Test
  void samplesWithoutAPositionArePassedOver() {
    Recording whole = drive(10, 2000, 0.4);
    double[] x = new double[4000];
    double[] y = new double[4000];
    double[] time = new double[4000];
    Arrays.setAll(time, i -> i / 20.0);
    Arrays.setAll(x, i -> i % 2 == 0 ? whole.at(Channel.X, i / 2) : Double.NaN);
    Arrays.setAll(y, i -> i % 2 == 0 ? whole.at(Channel.Y, i / 2) : Double.NaN);
    Recording between = new Recording(time, Map.of(Channel.X, x, Channel.Y, y));
    assertThat(PositionNoise.of(between)).isEqualTo(PositionNoise.of(whole));
  }
}
