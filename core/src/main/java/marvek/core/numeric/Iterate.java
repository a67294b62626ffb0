package marvek.core.numeric;

/**
 * Where an interior point method stands.
 *
 * @param x the unknowns
 * @param s slacks of the constraints, element after element; positive
 * @param z their multipliers, positive
 * @param low multipliers of the lower bounds; 0 where there is none
 * @param high those of the upper bounds
 */
record Iterate(double[] x, double[] s, double[] z, double[] low, double[] high) {
  /**
   * The same moved along a step: unknowns and slacks by one share of it, multipliers by another.
   */
  Iterate moved(Iterate step, double primal, double dual) {
    return new Iterate(
        sum(x, step.x, primal),
        sum(s, step.s, primal),
        sum(z, step.z, dual),
        sum(low, step.low, dual),
        sum(high, step.high, dual));
  }

  private static double[] sum(double[] from, double[] by, double share) {
    double[] to = new double[from.length];
    for (int k = 0; k < to.length; k++) {
      to[k] = from[k] + share * by[k];
    }
    return to;
  }
}
