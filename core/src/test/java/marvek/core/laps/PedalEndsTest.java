package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A car that gains speed flat out, brakes hard, and does so again; sensors that lie. */
class PedalEndsTest {
  private static final int N = 4000;
  private final double[] time = new double[N];
  private final double[] speed = new double[N];
  private final double[] throttle = new double[N];
  private final double[] brake = new double[N];

  PedalEndsTest() {
    Arrays.setAll(time, i -> i / 100.0);
    for (int i = 0; i < N; i++) {
      double phase = time[i] % 10;
      boolean braking = phase >= 7;
      speed[i] = braking ? 48 - 8 * (phase - 7) : 24 + 24 * phase / 7;
      throttle[i] = braking ? 0 : 100;
      brake[i] = braking ? 70 : 0;
    }
  }

  private Recording recording() {
    return new Recording(
        time, Map.of(Channel.SPEED, speed, Channel.THROTTLE, throttle, Channel.BRAKE, brake));
  }

  @Test
  void aSensorThatIsRightStaysAsItIs() {
    Corrections corrections = new Corrections();
    assertThat(PedalEnds.calibrated(recording(), corrections).channel(Channel.THROTTLE))
        .containsExactly(throttle);
    assertThat(corrections.said()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"9, 100", "0, 87", "12, 92", "3, 100"})
  void aThrottleIsBroughtToItsEnds(double idle, double top) {
    double[] right = throttle.clone();
    Arrays.setAll(throttle, i -> idle + right[i] * (top - idle) / 100);
    Corrections corrections = new Corrections();
    double[] ends = PedalEnds.calibrated(recording(), corrections).channel(Channel.THROTTLE);
    for (int i = 100; i < N; i++) {
      assertThat(ends[i]).isCloseTo(right[i], within(0.01));
    }
    assertThat(corrections.said()).hasSize((idle > 0 ? 1 : 0) + (top < 100 ? 1 : 0));
  }

  /** A foot that trails the throttle into the corner is no idle: it stands still nowhere. */
  @Test
  void aTrailedThrottleIsNoIdle() {
    Arrays.setAll(throttle, i -> throttle[i] > 0 ? 100 : 4 + 10 * (time[i] % 10 - 7));
    assertThat(PedalEnds.calibrated(recording(), new Corrections()).channel(Channel.THROTTLE))
        .containsExactly(throttle);
  }

  /** The zero of the brake, also beyond 8 % where it stands still, also without a throttle. */
  @ParameterizedTest
  @ValueSource(doubles = {2, 8, 14, 25})
  void theBrakesZeroIsFoundWhereNobodyBrakes(double zero) {
    Arrays.setAll(brake, i -> zero + brake[i] * (100 - zero) / 100);
    assertThat(BrakeZero.of(recording(), Thresholds.DEFAULT).at(40)).isCloseTo(zero, within(1e-9));
    Recording without = recording().without(Channel.THROTTLE);
    assertThat(BrakeZero.of(without, Thresholds.DEFAULT).at(40)).isCloseTo(zero, within(1e-9));
  }

  /** A foot on both pedals wavers: it is no zero. */
  @Test
  void aFootOnBothPedalsIsNoZero() {
    Arrays.setAll(brake, i -> brake[i] > 0 ? brake[i] : 14 + 6 * Math.sin(i / 9.0));
    assertThat(BrakeZero.of(recording(), Thresholds.DEFAULT).at(40)).isZero();
  }
}
