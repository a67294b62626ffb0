package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Zeros of a brake sensor, from samples written by hand. */
class BrakeZeroTest {
  private static final double EXACT = 1e-12;

  /** Speed, throttle and brake of each sample, ten a second. */
  private final List<double[]> samples = new ArrayList<>();

  private BrakeZeroTest flat(int count, double speedMps, double... shown) {
    return with(count, speedMps, 100, shown);
  }

  private BrakeZeroTest with(int count, double speedMps, double throttle, double... shown) {
    for (int k = 0; k < count; k++) {
      samples.add(new double[] {speedMps, throttle, shown[k % shown.length]});
    }
    return this;
  }

  private Recording recording() {
    double[] time = new double[samples.size()];
    Arrays.setAll(time, i -> i / 10.0);
    return new Recording(
        time,
        Map.of(Channel.SPEED, column(0), Channel.THROTTLE, column(1), Channel.BRAKE, column(2)));
  }

  private double[] column(int c) {
    return samples.stream().mapToDouble(sample -> sample[c]).toArray();
  }

  private BrakeZero zeros() {
    return BrakeZero.of(recording(), Thresholds.DEFAULT);
  }

  @Test
  void thereIsOneForEachTenMetresASecond() {
    BrakeZero zeros = flat(30, 15, 2).flat(30, 39.9, 6).flat(30, 40, 3).flat(30, 125, 4).zeros();
    assertThat(zeros.at(10)).isEqualTo(2);
    assertThat(zeros.at(30)).isEqualTo(6);
    assertThat(zeros.at(49.9)).isEqualTo(3);
    assertThat(zeros.at(500)).as("beyond the last").isEqualTo(4);
    assertThat(zeros.largestPct()).isEqualTo(6);
  }

  @Test
  void whereTheThrottleWasNeverOpenTheNearestSlowerOneHolds() {
    BrakeZero zeros = flat(30, 25, 2).flat(30, 55, 5).zeros();
    assertThat(zeros.at(0)).as("slower than all").isEqualTo(2);
    assertThat(zeros.at(-1)).isEqualTo(2);
    assertThat(zeros.at(Double.NaN)).as("an unknown speed is none").isEqualTo(2);
    assertThat(zeros.at(45)).isEqualTo(2);
    assertThat(zeros.at(95)).isEqualTo(5);
  }

  @Test
  void fewerThanTwentySamplesAreChance() {
    assertThat(flat(30, 25, 2).flat(19, 35, 5).zeros().at(35)).isEqualTo(2);
    assertThat(flat(1, 35, 5).zeros().at(35)).isEqualTo(5);
  }

  @Test
  void aMedianAndNoMeanOfWhatIsShown() {
    assertThat(flat(31, 25, 1, 2, 60).zeros().at(25)).isEqualTo(2);
  }

  /** Beyond 8 % only what stands still to 1.5 % is a zero and no foot. */
  @ParameterizedTest
  @CsvSource({"8, 3, 8", "8.1, 3, 0", "20, 1.4, 20", "20, 1.6, 0", "-9, 3, 0", "-9, 1, -9"})
  void aFootWaversAndAZeroDoesNot(double middle, double waver, double zero) {
    BrakeZero found = flat(30, 25, middle - waver, middle, middle + waver).zeros();
    assertThat(found.at(25)).isCloseTo(zero, within(EXACT));
  }

  @Test
  void onlyTheOpenThrottleAndKnownPressuresCount() {
    with(40, 25, 95, 7).flat(40, 25, Double.NaN).flat(20, 25, 3);
    assertThat(zeros().at(25)).isEqualTo(3);
  }

  @Test
  void withoutAThrottleItIsWhereTheCarGainsSpeed() {
    for (int k = 0; k < 60; k++) {
      // A metre a second squared, then half of it, over half a second each time.
      double speed = k < 30 ? 20 + 0.1 * k : 23 + 0.05 * (k - 30);
      with(1, speed, 0, k < 30 ? 2 : 5);
    }
    Recording recording = recording().without(Channel.THROTTLE);
    assertThat(BrakeZero.of(recording, Thresholds.DEFAULT).at(20)).isEqualTo(2);
  }

  @Test
  void withoutABrakeOrWithoutAnOpenThrottleThereIsNone() {
    Recording flat = flat(30, 25, 4).recording();
    BrakeZero none = BrakeZero.of(flat.without(Channel.BRAKE), Thresholds.DEFAULT);
    assertThat(none.at(25)).isZero();
    assertThat(none.largestPct()).isZero();
    samples.clear();
    assertThat(with(30, 25, 50, 4).zeros().at(25)).isZero();
  }
}
