package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CyclicBandedSolverTest {
  /** Source of the expected value: LU decomposition of the full matrix by Hipparchus. */
  @ParameterizedTest
  @CsvSource({"12, 2, true", "12, 2, false", "40, 3, true", "41, 4, true", "41, 4, false"})
  void solvesWhatAGeneralSolverSolves(int n, int band, boolean cyclic) {
    Random random = new Random(7L * n + band);
    double[][] full = new double[n][n];
    CyclicBandedSolver solver = new CyclicBandedSolver(n, band, cyclic);
    solver.clear();
    for (int i = 0; i < n; i++) {
      for (int d = 0; d <= band; d++) {
        int j = i + d;
        if (j >= n && !cyclic) {
          continue;
        }
        double value = d == 0 ? 10 + random.nextDouble() : random.nextDouble() - 0.5;
        full[i][j % n] += value;
        if (d > 0) {
          full[j % n][i] += value;
        }
        solver.add(i, j % n, value);
      }
    }
    double[] right = random.doubles(n, -1, 1).toArray();
    solver.keep();
    assertSolves(solver, full, right);

    for (int i = 0; i < n; i++) {
      full[i][i] += 2.5;
    }
    solver.restore(2.5);
    assertSolves(solver, full, right);
  }

  private static void assertSolves(CyclicBandedSolver solver, double[][] full, double[] right) {
    double[] expected =
        new LUDecomposition(new Array2DRowRealMatrix(full))
            .getSolver()
            .solve(new ArrayRealVector(right))
            .toArray();
    solver.factor();
    double[] x = right.clone();
    solver.solve(x);
    for (int i = 0; i < right.length; i++) {
      assertThat(x[i]).isCloseTo(expected[i], within(1e-10));
    }
  }
}
