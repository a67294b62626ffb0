package marvek.core.numeric;

/**
 * What is to be made least under constraints, as a sum over elements, each of which sees a few
 * unknowns only: {@code min ∑ f_e(x)} with {@code c_e(x) ≥ 0}.
 */
public interface ElementProgramme {
  /** Number of unknowns. */
  int unknowns();

  /** Number of elements. */
  int elements();

  /** Number of unknowns that an element sees. */
  int width();

  /** Number of constraints of an element. */
  int constraints();

  /** Half bandwidth of the matrix of second derivatives. */
  int halfBandwidth();

  /** Whether the last elements see the first unknowns too. */
  boolean cyclic();

  /** Unknown that stands at a place of an element. */
  int unknown(int element, int place);

  /**
   * Values and derivatives of an element; called for many elements at once, from several threads.
   *
   * @param x all unknowns
   * @param z multipliers of the element's constraints
   * @param into receives f, c, their derivatives, and the second derivatives of f − ∑ z·c
   * @return whether it is defined there
   */
  boolean derive(int element, double[] x, double[] z, Derivatives into);

  /**
   * Where an element's values and derivatives go.
   *
   * @param f one value
   * @param c a value for each constraint
   * @param gradient of f by each place
   * @param jacobian of the constraints: place after place, constraint after constraint
   * @param hessian of f − ∑ z·c: both triangles, row by row
   */
  record Derivatives(
      double[] f, double[] c, double[] gradient, double[] jacobian, double[] hessian) {
    /** Empty ones for an element of so many unknowns and constraints. */
    public static Derivatives of(int width, int constraints) {
      return new Derivatives(
          new double[1],
          new double[constraints],
          new double[width],
          new double[constraints * width],
          new double[width * width]);
    }
  }
}
