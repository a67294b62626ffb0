package marvek.core.numeric;

import java.util.List;
import java.util.function.Function;
import org.hipparchus.analysis.differentiation.DSFactory;
import org.hipparchus.analysis.differentiation.DerivativeStructure;

/**
 * A programme of one element as textbooks write it; its derivatives are a library's (Hipparchus).
 */
record Textbook(
    int unknowns,
    Function<DerivativeStructure[], DerivativeStructure> least,
    List<Function<DerivativeStructure[], DerivativeStructure>> notNegative)
    implements ElementProgramme {
  @Override
  public int elements() {
    return 1;
  }

  @Override
  public int width() {
    return unknowns;
  }

  @Override
  public int constraints() {
    return notNegative.size();
  }

  @Override
  public int halfBandwidth() {
    return unknowns - 1;
  }

  @Override
  public boolean cyclic() {
    return false;
  }

  @Override
  public int unknown(int element, int place) {
    return place;
  }

  @Override
  public boolean derive(int element, double[] x, double[] z, Derivatives into) {
    DSFactory factory = new DSFactory(unknowns, 2);
    DerivativeStructure[] v = new DerivativeStructure[unknowns];
    for (int a = 0; a < unknowns; a++) {
      v[a] = factory.variable(a, x[a]);
    }
    DerivativeStructure f = least.apply(v);
    into.f()[0] = f.getValue();
    DerivativeStructure lagrangian = f;
    for (int a = 0; a < unknowns; a++) {
      into.gradient()[a] = first(f, a);
    }
    for (int j = 0; j < constraints(); j++) {
      DerivativeStructure c = notNegative.get(j).apply(v);
      into.c()[j] = c.getValue();
      lagrangian = lagrangian.subtract(c.multiply(z[j]));
      for (int a = 0; a < unknowns; a++) {
        into.jacobian()[j * unknowns + a] = first(c, a);
      }
    }
    for (int a = 0; a < unknowns; a++) {
      for (int b = 0; b < unknowns; b++) {
        into.hessian()[a * unknowns + b] = second(lagrangian, a, b);
      }
    }
    return true;
  }

  private double first(DerivativeStructure of, int a) {
    int[] orders = new int[unknowns];
    orders[a] = 1;
    return of.getPartialDerivative(orders);
  }

  private double second(DerivativeStructure of, int a, int b) {
    int[] orders = new int[unknowns];
    orders[a]++;
    orders[b]++;
    return of.getPartialDerivative(orders);
  }
}
