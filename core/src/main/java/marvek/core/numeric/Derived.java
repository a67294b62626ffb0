package marvek.core.numeric;

import java.util.Arrays;
import java.util.stream.IntStream;

/** Values and derivatives of all elements of a programme at one place. */
final class Derived {
  private final ElementProgramme programme;
  private final int constraints;
  final ElementProgramme.Derivatives[] of;

  /** Constraints of all elements, one after the other. */
  final double[] constraint;

  Derived(ElementProgramme programme) {
    this.programme = programme;
    this.constraints = programme.constraints();
    constraint = new double[programme.elements() * constraints];
    of = new ElementProgramme.Derivatives[programme.elements()];
    Arrays.setAll(
        of, e -> ElementProgramme.Derivatives.of(programme.width(), programme.constraints()));
  }

  /** Computes them; false where the programme is not defined. */
  boolean at(Iterate where) {
    boolean defined =
        IntStream.range(0, of.length)
            .parallel()
            .mapToObj(e -> programme.derive(e, where.x(), multipliers(where, e), of[e]))
            .reduce(true, Boolean::logicalAnd);
    for (int e = 0; e < of.length; e++) {
      System.arraycopy(of[e].c(), 0, constraint, e * constraints, constraints);
    }
    return defined;
  }

  private double[] multipliers(Iterate where, int e) {
    return Arrays.copyOfRange(where.z(), e * constraints, (e + 1) * constraints);
  }

  /** The sum that is to be least. */
  double value() {
    double sum = 0;
    for (ElementProgramme.Derivatives d : of) {
      sum += d.f()[0];
    }
    return sum;
  }

  /** By how much the constraint that fails most fails. */
  double violation() {
    double most = 0;
    for (double c : constraint) {
      most = Math.max(most, -c);
    }
    return most;
  }

  /** Sum of what constraints and slacks differ by. */
  double gap(double[] slacks) {
    double sum = 0;
    for (int k = 0; k < slacks.length; k++) {
      sum += Math.abs(constraint[k] - slacks[k]);
    }
    return sum;
  }
}
