package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoxedQuadraticProgrammeTest {
  /**
   * The solution meets the conditions of Karush, Kuhn and Tucker for a box (Nocedal &amp; Wright,
   * <i>Numerical Optimization</i>, ch. 16; from memory): inside the gradient vanishes, at a bound
   * it points out of the box.
   */
  @ParameterizedTest
  @CsvSource({"1, true", "2, true", "3, false", "4, false"})
  void theSolutionMeetsTheOptimalityConditions(long seed, boolean cyclic) {
    int n = 60;
    Random random = new Random(seed);
    double[] h0 = random.doubles(n, 6, 8).toArray();
    double[] h1 = random.doubles(n, -2, -1).toArray();
    double[] h2 = random.doubles(n, 0, 0.5).toArray();
    double[] g = random.doubles(n, -3, 3).toArray();
    double[] low = new double[n];
    double[] high = new double[n];
    Arrays.fill(low, -0.4);
    Arrays.fill(high, 0.3);

    double[] x =
        new BoxedQuadraticProgramme(h0, h1, h2, cyclic)
            .minimise(g, low, high, new double[n], 1e-10);

    double[] gradient = g.clone();
    for (int i = 0; i < n; i++) {
      gradient[i] += h0[i] * x[i];
      couple(gradient, x, i, i + 1, h1[i], cyclic);
      couple(gradient, x, i, i + 2, h2[i], cyclic);
    }
    int bound = 0;
    for (int i = 0; i < n; i++) {
      assertThat(x[i]).isBetween(low[i], high[i]);
      if (x[i] < low[i] + 1e-4) {
        assertThat(gradient[i]).isGreaterThan(-1e-4);
        bound++;
      } else if (x[i] > high[i] - 1e-4) {
        assertThat(gradient[i]).isLessThan(1e-4);
        bound++;
      } else {
        assertThat(Math.abs(gradient[i])).isLessThan(1e-4);
      }
    }
    assertThat(bound).isBetween(5, n - 5);
  }

  private static void couple(
      double[] gradient, double[] x, int i, int j, double h, boolean cyclic) {
    if (j >= x.length && !cyclic) {
      return;
    }
    int to = j % x.length;
    gradient[i] += h * x[to];
    gradient[to] += h * x[i];
  }
}
