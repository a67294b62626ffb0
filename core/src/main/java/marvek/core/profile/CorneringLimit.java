package marvek.core.profile;

/**
 * Speed at which the side force that a place asks for is all that its tyres can give; in squares of
 * the speed, of which load and demand are linear functions.
 *
 * @param mu side friction there
 * @param normal0 normal load at rest [N]
 * @param normal1 normal load gained with each unit of the speed's square
 * @param lateral1 side force asked for with each unit of it, positive to the left
 * @param across side force of the weight on the bank [N], against it
 */
record CorneringLimit(double mu, double normal0, double normal1, double lateral1, double across) {
  /** Load sensitivity never takes more than nine tenths of the grip. */
  static final double LEAST_LOAD_FACTOR = 0.1;

  /** |w·c − b| ≤ μ(N0 + w·n) is linear in w: the smallest upper bound of the two signs. */
  double w(double loadFactor) {
    double friction = mu * loadFactor;
    double limit = Double.POSITIVE_INFINITY;
    double left = lateral1 - friction * normal1;
    if (left > 0) {
      limit = Math.max(0, (friction * normal0 + across) / left);
    }
    double right = -lateral1 - friction * normal1;
    if (right > 0) {
      limit = Math.min(limit, Math.max(0, (friction * normal0 - across) / right));
    }
    return limit;
  }

  /**
   * With load sensitivity the grip is μ((1 + k)N − kN²/N_ref), so that the bound is the smallest
   * positive root of a quadratic in w for each sign of the demand.
   */
  double loadSensitiveW(double sensitivity, double referenceLoad) {
    double gain = mu * (1 + sensitivity);
    double loss = mu * sensitivity / referenceLoad;
    double limit = Double.POSITIVE_INFINITY;
    for (int sign = -1; sign <= 1; sign += 2) {
      double a = loss * normal1 * normal1;
      double b = sign * lateral1 - gain * normal1 + 2 * loss * normal0 * normal1;
      double c = -sign * across - gain * normal0 + loss * normal0 * normal0;
      limit = Math.min(limit, smallestPositiveRoot(a, b, c));
    }
    double load = normal0 + limit * normal1;
    boolean atFloor =
        limit < Double.POSITIVE_INFINITY
            && 1 - sensitivity * (load / referenceLoad - 1) <= LEAST_LOAD_FACTOR;
    return atFloor ? w(LEAST_LOAD_FACTOR) : limit;
  }

  /** Of a·w² + b·w + c, negative at 0; infinite where it stays negative. */
  private static double smallestPositiveRoot(double a, double b, double c) {
    double discriminant = b * b - 4 * a * c;
    if (discriminant < 0 || a == 0 && b <= 0) {
      return Double.POSITIVE_INFINITY;
    }
    // The form without cancellation for the root nearest to zero.
    double root =
        b >= 0 ? -2 * c / (b + Math.sqrt(discriminant)) : (-b + Math.sqrt(discriminant)) / (2 * a);
    return root > 0 ? root : 0;
  }
}
