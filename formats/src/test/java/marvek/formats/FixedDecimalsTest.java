package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FixedDecimalsTest {
  @ParameterizedTest
  @CsvSource({
    "0, 3, 0.000",
    "-0.0004, 3, 0.000",
    "-0.0006, 3, -0.001",
    "0.05, 1, 0.1",
    "7.25, 0, 7",
    "-12.5, 0, -13",
    "52.123456785, 8, 52.12345679",
    "9.99996, 4, 10.0000",
    "1e18, 2, 1000000000000000000.00"
  })
  void aNumberIsWrittenWithItsDecimals(double value, int decimals, String written) {
    assertThat(FixedDecimals.of(value, decimals)).isEqualTo(written);
  }

  /** The language's own exact decimal numbers; a tie may go either way by a bit of a double. */
  @Test
  void itIsTheNearestOfExactDecimals() {
    Random random = new Random(5);
    for (int k = 0; k < 20_000; k++) {
      int decimals = random.nextInt(10);
      double value = Math.pow(10, 7 * random.nextDouble() - 3) * random.nextGaussian();
      BigDecimal exact = new BigDecimal(value);
      BigDecimal away = new BigDecimal(FixedDecimals.of(value, decimals)).subtract(exact).abs();
      BigDecimal nearest = exact.setScale(decimals, RoundingMode.HALF_UP).subtract(exact).abs();
      assertThat(away.subtract(nearest).doubleValue())
          .as("%s with %d decimals", exact, decimals)
          .isLessThanOrEqualTo(Math.ulp(value));
    }
  }
}
