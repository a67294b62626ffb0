package marvek.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.api.Test;

/** The least squares against a library's, with its errors. */
class MeasuredCarTest {
  @Test
  void leastSquaresAndTheirErrorsAreTheLibrarys() {
    Random random = new Random(4);
    int n = 200;
    double[] gained = new double[n];
    double[] pull = new double[n];
    double[] held = new double[n];
    double[][] x = new double[n][];
    for (int k = 0; k < n; k++) {
      double speed = 20 + 40 * random.nextDouble();
      pull[k] = 150 / speed;
      held[k] = 0.0004 * speed * speed;
      gained[k] = 0.93 * pull[k] - 1.07 * held[k] + 0.05 * random.nextGaussian();
      x[k] = new double[] {pull[k], -held[k]};
    }
    // Hipparchus, OLSMultipleLinearRegression, without an intercept.
    OLSMultipleLinearRegression library = new OLSMultipleLinearRegression();
    library.setNoIntercept(true);
    library.newSampleData(gained, x);
    double[] factors = library.estimateRegressionParameters();
    double[] errors = library.estimateRegressionParametersStandardErrors();
    MeasuredCar found = MeasuredCar.fitted(gained, pull, held).orElseThrow();
    assertThat(found.power().value()).isCloseTo(factors[0], within(1e-9));
    assertThat(found.drag().value()).isCloseTo(factors[1], within(1e-9));
    assertThat(found.power().error()).isCloseTo(errors[0], within(1e-9));
    assertThat(found.drag().error()).isCloseTo(errors[1], within(1e-9));
  }

  /** At one speed alone pull and hold cannot be told apart. */
  @Test
  void oneSpeedSaysNothing() {
    double[] same = {2, 2, 2, 2};
    assertThat(MeasuredCar.fitted(same, same, new double[] {1, 1, 1, 1})).isEmpty();
  }

  @Test
  void aFactorDiffersBeyondItsErrorOnly() {
    assertThat(new MeasuredCar.Factor(0.92, 0.01).differs(0.015)).isTrue();
    assertThat(new MeasuredCar.Factor(0.92, 0.05).differs(0.015)).isFalse();
    assertThat(new MeasuredCar.Factor(1.01, 0.001).differs(0.015)).isFalse();
  }
}
