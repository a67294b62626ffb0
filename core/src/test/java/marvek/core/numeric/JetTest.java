package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.assertj.core.data.Offset;
import org.hipparchus.analysis.differentiation.DSFactory;
import org.hipparchus.analysis.differentiation.DerivativeStructure;
import org.junit.jupiter.api.Test;

/** Derivatives against a library that differentiates in another way (Hipparchus). */
class JetTest {
  private static final int N = 5;
  private final Random random = new Random(3);

  /** The same quadratic function of five variables in both, with every second derivative. */
  private record Both(Jet jet, DerivativeStructure structure) {}

  private Both quadratic() {
    Jet jet = new Jet(N).plus(0.3);
    DSFactory factory = new DSFactory(N, 2);
    DerivativeStructure structure = factory.constant(0.3);
    double[] x = random.doubles(N, 0.2, 1.5).toArray();
    for (int a = 0; a < N; a++) {
      for (int b = a; b < N; b++) {
        double times = random.nextDouble(0.2, 1.5);
        jet.plus(times * x[a] * x[b]).slope(a, times * x[b]).slope(b, times * x[a]);
        jet.bend(b, a, (a == b ? 2 : 1) * times);
        DerivativeStructure product = factory.variable(a, x[a]).multiply(factory.variable(b, x[b]));
        structure = structure.add(product.multiply(times));
      }
    }
    return new Both(jet, structure);
  }

  private static void same(Jet jet, DerivativeStructure structure) {
    assertThat(jet.value()).isCloseTo(structure.getValue(), near(structure.getValue(), 1e-12));
    for (int a = 0; a < N; a++) {
      int[] first = new int[N];
      first[a] = 1;
      double slope = structure.getPartialDerivative(first);
      assertThat(jet.by(a)).isCloseTo(slope, near(slope, 1e-10));
      for (int b = 0; b < N; b++) {
        int[] second = new int[N];
        second[a]++;
        second[b]++;
        double bend = structure.getPartialDerivative(second);
        assertThat(jet.by(a, b)).isCloseTo(bend, near(bend, 1e-9));
      }
    }
  }

  private static Offset<Double> near(double expected, double share) {
    return within(share * Math.max(1, Math.abs(expected)));
  }

  @Test
  void sumsAndProducts() {
    for (int trial = 0; trial < 20; trial++) {
      Both a = quadratic();
      Both b = quadratic();
      same(Jet.product(a.jet, b.jet), a.structure.multiply(b.structure));
      Jet sum = Jet.product(a.jet, a.jet);
      sum.add(-1.3, b.jet);
      same(sum, a.structure.multiply(a.structure).subtract(b.structure.multiply(1.3)));
    }
  }

  @Test
  void aFunctionGivenByItsDerivatives() {
    for (int trial = 0; trial < 20; trial++) {
      Both a = quadratic();
      double root = Math.sqrt(a.jet.value());
      double bend = -0.25 / (root * a.jet.value());
      same(Jet.function(root, 0.5 / root, bend, a.jet), a.structure.sqrt());
    }
  }

  /** By the second-order Taylor series of the outer function about where it is. */
  private static DerivativeStructure series(Jet f, DerivativeStructure[] of) {
    DerivativeStructure sum = of[0].getFactory().constant(f.value());
    for (int u = 0; u < of.length; u++) {
      DerivativeStructure moved = of[u].subtract(of[u].getValue());
      sum = sum.add(moved.multiply(f.by(u)));
      for (int v = 0; v < of.length; v++) {
        DerivativeStructure other = of[v].subtract(of[v].getValue());
        sum = sum.add(moved.multiply(other).multiply(0.5 * f.by(u, v)));
      }
    }
    return sum;
  }

  @Test
  void someVariablesAreFunctionsOfTheOthers() {
    DSFactory factory = new DSFactory(N, 2);
    for (int trial = 0; trial < 20; trial++) {
      Both g = quadratic();
      Both h = quadratic();
      Jet f = new Jet(N + 2);
      f.add(1, quadratic().jet, 3, 0, 6, 5, 1);
      f.add(-0.7, quadratic().jet, 2, 4, 5, 6, 0);
      DerivativeStructure[] of = new DerivativeStructure[N + 2];
      for (int a = 0; a < N; a++) {
        of[a] = factory.variable(a, 0.4);
      }
      of[N] = g.structure;
      of[N + 1] = h.structure;
      same(f.substituted(g.jet, h.jet), series(f, of));
    }
  }
}
