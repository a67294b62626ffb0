package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.BinaryOperator;
import java.util.function.UnaryOperator;
import org.hipparchus.analysis.differentiation.DSFactory;
import org.hipparchus.analysis.differentiation.DerivativeStructure;
import org.junit.jupiter.api.Test;

/** Derivatives against a library that differentiates in another way (Hipparchus). */
class JetTest {
  private static final int N = Jet.VARIABLES;
  private final Random random = new Random(3);

  /** The same function of five variables in both. */
  private void check(UnaryOperator<Jet> ours, UnaryOperator<DerivativeStructure> theirs) {
    for (int trial = 0; trial < 20; trial++) {
      double[] x = random.doubles(N, 0.2, 1.5).toArray();
      Jet jet = Jet.constant(0.3);
      DSFactory factory = new DSFactory(N, 2);
      DerivativeStructure structure = factory.constant(0.3);
      // ∑ xₐ·xₐ₊₁ gives every kind of second derivative.
      for (int a = 0; a < N; a++) {
        int b = (a + 1) % N;
        jet = jet.plus(Jet.variable(a, x[a]).times(Jet.variable(b, x[b])));
        structure = structure.add(factory.variable(a, x[a]).multiply(factory.variable(b, x[b])));
      }
      same(ours.apply(jet), theirs.apply(structure));
    }
  }

  private static void same(Jet jet, DerivativeStructure structure) {
    assertThat(jet.value()).isCloseTo(structure.getValue(), within(1e-12));
    for (int a = 0; a < N; a++) {
      int[] first = new int[N];
      first[a] = 1;
      assertThat(jet.by(a)).isCloseTo(structure.getPartialDerivative(first), within(1e-10));
      for (int b = 0; b < N; b++) {
        int[] second = new int[N];
        second[a]++;
        second[b]++;
        assertThat(jet.by(a, b)).isCloseTo(structure.getPartialDerivative(second), within(1e-9));
      }
    }
  }

  @Test
  void sumsProductsAndQuotients() {
    check(
        j -> j.times(j).plus(j.times(2)).minus(j.inverse()).plus(1),
        d -> d.multiply(d).add(d.multiply(2)).subtract(d.reciprocal()).add(1));
    BinaryOperator<Jet> over = Jet::over;
    check(j -> over.apply(j.plus(1), j.square()), d -> d.add(1).divide(d.multiply(d)));
  }

  @Test
  void rootsAndAngles() {
    check(Jet::sqrt, DerivativeStructure::sqrt);
    check(Jet::atan, DerivativeStructure::atan);
  }

  @Test
  void aFunctionGivenByItsDerivatives() {
    check(
        j -> j.of(Math.exp(j.value()), Math.exp(j.value()), Math.exp(j.value())),
        DerivativeStructure::exp);
  }
}
