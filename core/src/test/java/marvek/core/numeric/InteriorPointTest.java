package marvek.core.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/**
 * Problems whose least values are published: Hock &amp; Schittkowski, <i>Test Examples for
 * Nonlinear Programming Codes</i>, 1981, by their numbers there (from memory; each is checked here
 * to hold the conditions of a least value).
 */
class InteriorPointTest {
  private static final double ANY = Double.POSITIVE_INFINITY;

  private static InteriorPoint.Result solved(
      Textbook problem, double[] start, double low, double high) {
    double[] lows = new double[problem.unknowns()];
    double[] highs = new double[problem.unknowns()];
    Arrays.fill(lows, low);
    Arrays.fill(highs, high);
    return InteriorPoint.minimise(problem, start, lows, highs, 1e-8, 100, share -> {});
  }

  /** Number 12: a quadratic within an ellipse, −30 at (2, 3). */
  @Test
  void quadraticWithinAnEllipse() {
    Textbook problem =
        new Textbook(
            2,
            x ->
                x[0].multiply(x[0])
                    .multiply(0.5)
                    .add(x[1].multiply(x[1]))
                    .subtract(x[0].multiply(x[1]))
                    .subtract(x[0].multiply(7))
                    .subtract(x[1].multiply(7)),
            List.of(x -> x[0].multiply(x[0]).multiply(-4).subtract(x[1].multiply(x[1])).add(25)));
    InteriorPoint.Result found = solved(problem, new double[] {0, 0}, -ANY, ANY);
    assertThat(found.converged()).isTrue();
    assertThat(found.value()).isCloseTo(-30, within(1e-6));
    assertThat(found.x()).containsExactly(new double[] {2, 3}, within(1e-5));
  }

  /** Number 35 (Beale): ⅑ at (4/3, 7/9, 4/9), with bounds. */
  @Test
  void quadraticWithBounds() {
    Textbook problem =
        new Textbook(
            3,
            x ->
                x[0].multiply(-8)
                    .subtract(x[1].multiply(6))
                    .subtract(x[2].multiply(4))
                    .add(9)
                    .add(x[0].multiply(x[0]).multiply(2))
                    .add(x[1].multiply(x[1]).multiply(2))
                    .add(x[2].multiply(x[2]))
                    .add(x[0].multiply(x[1]).multiply(2))
                    .add(x[0].multiply(x[2]).multiply(2)),
            List.of(x -> x[0].add(x[1]).add(x[2].multiply(2)).multiply(-1).add(3)));
    InteriorPoint.Result found = solved(problem, new double[] {0.5, 0.5, 0.5}, 0, ANY);
    assertThat(found.converged()).isTrue();
    assertThat(found.value()).isCloseTo(1 / 9.0, within(1e-7));
    assertThat(found.x()).containsExactly(new double[] {4 / 3.0, 7 / 9.0, 4 / 9.0}, within(1e-4));
  }

  /** Number 43 (Rosen and Suzuki): −44 at (0, 1, 2, −1), two of three constraints active. */
  @Test
  void threeQuadraticConstraints() {
    Textbook problem =
        new Textbook(
            4,
            x ->
                x[0].multiply(x[0])
                    .add(x[1].multiply(x[1]))
                    .add(x[2].multiply(x[2]).multiply(2))
                    .add(x[3].multiply(x[3]))
                    .subtract(x[0].multiply(5))
                    .subtract(x[1].multiply(5))
                    .subtract(x[2].multiply(21))
                    .add(x[3].multiply(7)),
            List.of(
                x ->
                    x[0].multiply(x[0])
                        .add(x[1].multiply(x[1]))
                        .add(x[2].multiply(x[2]))
                        .add(x[3].multiply(x[3]))
                        .add(x[0])
                        .subtract(x[1])
                        .add(x[2])
                        .subtract(x[3])
                        .multiply(-1)
                        .add(8),
                x ->
                    x[0].multiply(x[0])
                        .add(x[1].multiply(x[1]).multiply(2))
                        .add(x[2].multiply(x[2]))
                        .add(x[3].multiply(x[3]).multiply(2))
                        .subtract(x[0])
                        .subtract(x[3])
                        .multiply(-1)
                        .add(10),
                x ->
                    x[0].multiply(x[0])
                        .multiply(2)
                        .add(x[1].multiply(x[1]))
                        .add(x[2].multiply(x[2]))
                        .add(x[0].multiply(2))
                        .subtract(x[1])
                        .subtract(x[3])
                        .multiply(-1)
                        .add(5)));
    InteriorPoint.Result found = solved(problem, new double[4], -ANY, ANY);
    assertThat(found.converged()).isTrue();
    assertThat(found.value()).isCloseTo(-44, within(1e-6));
    assertThat(found.x()).containsExactly(new double[] {0, 1, 2, -1}, within(1e-4));
    assertThat(found.violation()).isLessThan(1e-8);
  }

  /** Number 1 (Rosenbrock's valley) begins where the matrix is not convex. */
  @Test
  void throughAValleyThatIsNotConvex() {
    Textbook problem =
        new Textbook(
            2,
            x -> {
              var bend = x[1].subtract(x[0].multiply(x[0]));
              var left = x[0].multiply(-1).add(1);
              return bend.multiply(bend).multiply(100).add(left.multiply(left));
            },
            List.of(x -> x[1].add(1.5)));
    InteriorPoint.Result found = solved(problem, new double[] {-2, 1}, -ANY, ANY);
    assertThat(found.converged()).isTrue();
    assertThat(found.x()).containsExactly(new double[] {1, 1}, within(1e-3));
  }

  @Test
  void anUnknownWhoseBoundsMeetStays() {
    Textbook problem =
        new Textbook(
            2, x -> x[0].subtract(x[1]).multiply(x[0].subtract(x[1])), List.of(x -> x[0].add(10)));
    InteriorPoint.Result found =
        InteriorPoint.minimise(
            problem,
            new double[] {3, 7},
            new double[] {-5, 2},
            new double[] {5, 2},
            1e-8,
            100,
            share -> {});
    assertThat(found.x()[1]).isEqualTo(2);
    assertThat(found.x()[0]).isCloseTo(2, within(1e-4));
  }

  /** No x has x ≥ 1 and x ≤ 0. */
  @Test
  void whatCannotBeHeldIsSaidNotToConverge() {
    Textbook problem =
        new Textbook(
            1, x -> x[0].multiply(x[0]), List.of(x -> x[0].subtract(1), x -> x[0].multiply(-1)));
    InteriorPoint.Result found = solved(problem, new double[] {0.5}, -ANY, ANY);
    assertThat(found.converged()).isFalse();
    assertThat(found.violation()).isGreaterThan(0.4);
  }

  @Test
  void itIsCancelledByInterrupting() {
    Textbook problem = new Textbook(1, x -> x[0].multiply(x[0]), List.of(x -> x[0].subtract(1)));
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> solved(problem, new double[] {5}, -ANY, ANY))
          .isInstanceOf(CancellationException.class);
    } finally {
      Thread.interrupted();
    }
  }
}
