package marvek.core.profile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The zero of what axles have to spare, of the shapes that it has. */
class AxleLimitTest {
  private static double root(double a) {
    return Math.signum(a) * Math.sqrt(Math.abs(a));
  }

  /** Found near the zero, on the side that holds, with no more looks than that. */
  private static void finds(DoubleUnaryOperator spare, double zero, double high, int most) {
    finds(spare, zero, high, high, most);
  }

  private static void finds(
      DoubleUnaryOperator spare, double zero, double high, double near, int most) {
    AtomicInteger looks = new AtomicInteger();
    double found =
        new AxleLimit(
                w -> {
                  looks.incrementAndGet();
                  return spare.applyAsDouble(w);
                })
            .below(high, false, near);
    assertThat(found).isCloseTo(zero, within(3e-5 * zero));
    assertThat(spare.applyAsDouble(found)).isGreaterThanOrEqualTo(0);
    assertThat(looks.get()).isLessThanOrEqualTo(most);
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.0001, 1.05, 1.3, 2.5})
  void oneAxlesForcesMeetLikeARoot(double above) {
    finds(w -> 900 * root(640 - w), 640, above * 640, 28);
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.0001, 1.05, 1.3, 2.5})
  void twoAxlesForcesMeetInACorner(double above) {
    finds(w -> 70 * (640 - w), 640, above * 640, 16);
    finds(w -> w < 640 ? 70 * (640 - w) : 2000 * (640 - w), 640, above * 640, 30);
  }

  /** A guess from the place before: a few looks where it is good, no harm where it is bad. */
  @ParameterizedTest
  @CsvSource({"639, 4", "641, 4", "640.01, 4", "600, 9", "790, 9", "64, 33", "1, 76"})
  void aGuessSavesLooks(double near, int most) {
    finds(w -> 70 * (640 - w) * (1 + w / 2000), 640, 800, near, most);
  }

  /** Where another gear's engine braking takes over the spare jumps. */
  @ParameterizedTest
  @ValueSource(doubles = {1.05, 1.3})
  void aJumpIsFoundToo(double above) {
    finds(w -> w < 640 ? 2000 - w : -500 - w, 640, above * 640, 62);
  }

  @Test
  void whatComesAfterTheHighestIsNotTheLimit() {
    assertThat(new AxleLimit(w -> 801 - w).below(800, false, 790)).isEqualTo(800);
    assertThat(new AxleLimit(w -> 801 - w).below(800, true, 790)).isInfinite();
  }

  @ParameterizedTest
  @ValueSource(doubles = {10, 500})
  void withoutAZeroThereIsNoLimit(double high) {
    AxleLimit holds = new AxleLimit(w -> 100);
    for (double near : new double[] {high, 0.7 * high, 3, 0, Double.NaN}) {
      assertThat(holds.below(high, true, near)).isInfinite();
      assertThat(holds.below(high, false, near)).isEqualTo(high);
      assertThat(new AxleLimit(w -> -100).below(high, false, near)).isLessThan(0.3);
    }
  }
}
