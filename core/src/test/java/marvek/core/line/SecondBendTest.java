package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.analysis.differentiation.DSFactory;
import org.hipparchus.analysis.differentiation.DerivativeStructure;
import org.junit.jupiter.api.Test;

/** The circle through three points that move, against a library's derivatives (Hipparchus). */
class SecondBendTest {
  @Test
  void curvatureAndItsDerivatives() {
    Random random = new Random(5);
    for (int trial = 0; trial < 50; trial++) {
      double[] px = new double[3];
      double[] py = new double[3];
      double[] nx = new double[3];
      double[] ny = new double[3];
      for (int k = 0; k < 3; k++) {
        px[k] = k + 0.3 * random.nextDouble();
        py[k] = 0.5 * random.nextDouble();
        double angle = 2 * Math.PI * random.nextDouble();
        nx[k] = Math.cos(angle);
        ny[k] = Math.sin(angle);
      }
      SecondBend bend = new SecondBend(px, py, nx, ny, 0);
      DerivativeStructure expected = curvature(px, py, nx, ny);
      assertThat(bend.curvature).isCloseTo(expected.getValue(), within(1e-12));
      for (int a = 0; a < 3; a++) {
        int[] first = new int[3];
        first[a] = 1;
        assertThat(bend.first[a]).isCloseTo(expected.getPartialDerivative(first), within(1e-9));
        for (int b = 0; b < 3; b++) {
          int[] second = new int[3];
          second[a]++;
          second[b]++;
          assertThat(bend.second[a][b])
              .isCloseTo(expected.getPartialDerivative(second), within(1e-8));
        }
      }
    }
  }

  /** Twice the sine of the angle at the middle over the chord: four times the area over sides. */
  private static DerivativeStructure curvature(double[] px, double[] py, double[] nx, double[] ny) {
    DSFactory factory = new DSFactory(3, 2);
    DerivativeStructure[] x = new DerivativeStructure[3];
    DerivativeStructure[] y = new DerivativeStructure[3];
    for (int k = 0; k < 3; k++) {
      DerivativeStructure d = factory.variable(k, 0);
      x[k] = d.multiply(nx[k]).add(px[k]);
      y[k] = d.multiply(ny[k]).add(py[k]);
    }
    DerivativeStructure twiceArea =
        x[0].multiply(y[1].subtract(y[2]))
            .add(x[1].multiply(y[2].subtract(y[0])))
            .add(x[2].multiply(y[0].subtract(y[1])));
    DerivativeStructure sides =
        side(x, y, 0, 1).multiply(side(x, y, 1, 2)).multiply(side(x, y, 0, 2));
    return twiceArea.multiply(2).divide(sides);
  }

  private static DerivativeStructure side(
      DerivativeStructure[] x, DerivativeStructure[] y, int a, int b) {
    DerivativeStructure dx = x[a].subtract(x[b]);
    DerivativeStructure dy = y[a].subtract(y[b]);
    return dx.multiply(dx).add(dy.multiply(dy)).sqrt();
  }
}
