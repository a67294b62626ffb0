package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import marvek.core.InvalidValueException;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.junit.jupiter.api.Test;

class UniformSplineTest {
  private static final double DISTANCE = 2.5;

  private static double[] places(int n, double from) {
    double[] places = new double[n];
    for (int i = 0; i < n; i++) {
      places[i] = from + i * DISTANCE;
    }
    return places;
  }

  /** Source of the expected values: the natural cubic spline of Hipparchus. */
  @Test
  void withEndsItIsTheNaturalSpline() {
    double[] values = new Random(3).doubles(24, -2, 2).toArray();
    UniformSpline spline = new UniformSpline(values, DISTANCE, false);
    PolynomialSplineFunction expected = new SplineInterpolator().interpolate(places(24, 0), values);
    for (double at = 0; at <= 23 * DISTANCE; at += 0.3) {
      assertThat(spline.valueAt(at)).isCloseTo(expected.value(at), within(1e-12));
    }
    double slope = expected.polynomialSplineDerivative().value(0);
    assertThat(spline.slopeAt(0)).isCloseTo(slope, within(1e-12));
    assertThat(spline.valueAt(-7)).isCloseTo(values[0] - 7 * slope, within(1e-12));
  }

  /**
   * Source of the expected values: Hipparchus' natural spline through five rounds of the same
   * values; its ends are forgotten by a factor of 2 − √3 a value, so 24 of them leave nothing.
   */
  @Test
  void roundItIsTheSplineThatNeverEnds() {
    double[] values = new Random(4).doubles(24, -2, 2).toArray();
    double[] rounds = new double[5 * 24];
    for (int i = 0; i < rounds.length; i++) {
      rounds[i] = values[i % 24];
    }
    UniformSpline spline = new UniformSpline(values, DISTANCE, true);
    PolynomialSplineFunction expected =
        new SplineInterpolator().interpolate(places(rounds.length, -48 * DISTANCE), rounds);
    for (double at = -20; at <= 24 * DISTANCE + 20; at += 0.3) {
      assertThat(spline.valueAt(at)).isCloseTo(expected.value(at), within(1e-12));
      double slope = expected.polynomialSplineDerivative().value(at);
      assertThat(spline.slopeAt(at)).isCloseTo(slope, within(1e-12));
    }
  }

  @Test
  void whatIsNoNumberIsRefused() {
    assertThatThrownBy(() -> new UniformSpline(new double[] {1, 2, Double.NaN, 4}, 1, true))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> new UniformSpline(new double[] {1, 2, 3}, 1, true))
        .isInstanceOf(InvalidValueException.class);
  }
}
