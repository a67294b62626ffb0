package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.BinaryOperator;
import java.util.function.UnaryOperator;
import org.assertj.core.data.Offset;
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
    assertThat(jet.value())
        .isCloseTo(structure.getValue(), within(1e-12 * Math.max(1, structure.getValue())));
    for (int a = 0; a < N; a++) {
      int[] first = new int[N];
      first[a] = 1;
      assertThat(jet.by(a))
          .isCloseTo(
              structure.getPartialDerivative(first),
              near(structure.getPartialDerivative(first), 1e-10));
      for (int b = 0; b < N; b++) {
        int[] second = new int[N];
        second[a]++;
        second[b]++;
        assertThat(jet.by(a, b))
            .isCloseTo(
                structure.getPartialDerivative(second),
                near(structure.getPartialDerivative(second), 1e-9));
      }
    }
  }

  private static Offset<Double> near(double expected, double share) {
    return within(share * Math.max(1, Math.abs(expected)));
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

  /** The same function in jets of four variables, put together with four functions of five. */
  @Test
  void ofFourVariablesPutTogether() {
    for (int trial = 0; trial < 20; trial++) {
      double[] v = random.doubles(N, 0.2, 1.5).toArray();
      DSFactory factory = new DSFactory(N, 2);
      Jet x = Jet.variable(0, v[0]).times(Jet.variable(1, v[1]));
      Jet y = Jet.variable(2, v[2]).plus(Jet.variable(3, v[3]).square());
      Jet z = Jet.variable(4, v[4]).sqrt();
      Jet u = Jet.variable(0, v[0]).times(Jet.variable(4, v[4])).plus(0.4);
      DerivativeStructure dx = factory.variable(0, v[0]).multiply(factory.variable(1, v[1]));
      DerivativeStructure d3 = factory.variable(3, v[3]);
      DerivativeStructure dy = factory.variable(2, v[2]).add(d3.multiply(d3));
      DerivativeStructure dz = factory.variable(4, v[4]).sqrt();
      DerivativeStructure du =
          factory.variable(0, v[0]).multiply(factory.variable(4, v[4])).add(0.4);
      Jet4 a = Jet4.ofX(x.value());
      Jet4 b = Jet4.ofY(y.value());
      Jet4 c = Jet4.ofZ(z.value());
      Jet4 e = Jet4.ofU(u.value());
      Jet4 f =
          a.times(b)
              .plus(c.square())
              .sqrt()
              .minus(b.times(c).plus(0.7).inverse())
              .times(1.3)
              .plus(e.times(a).plus(e.times(b)).times(e).times(c));
      Jet4 exponential = f.of(Math.exp(f.v()), Math.exp(f.v()), Math.exp(f.v()));
      same(
          Jet.of(exponential, x, y, z, u),
          dx.multiply(dy)
              .add(dz.multiply(dz))
              .sqrt()
              .subtract(dy.multiply(dz).add(0.7).reciprocal())
              .multiply(1.3)
              .add(du.multiply(dx).add(du.multiply(dy)).multiply(du).multiply(dz))
              .exp());
    }
  }
}
