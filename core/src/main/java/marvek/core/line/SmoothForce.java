package marvek.core.line;

import java.util.function.DoubleUnaryOperator;
import marvek.core.profile.Driveline;

/**
 * A force at the wheels as a smooth function of the speed: a cubic B-spline over values a metre a
 * second apart, so that where one gear takes over from another there is no kink.
 */
final class SmoothForce {
  private static final double CELL_MPS = 1;

  private final double[] force;
  private final double top;

  private SmoothForce(Driveline driveline, DoubleUnaryOperator at) {
    top = driveline.limiterSpeedMps(driveline.gears());
    int cells = (int) Math.ceil(top / CELL_MPS) + 4;
    force = new double[cells];
    for (int c = 0; c < cells; c++) {
      force[c] = at.applyAsDouble(Math.min(Math.max(0, c - 1) * CELL_MPS, 0.9999 * top));
    }
  }

  /** What the engine drives with at full throttle in the best gear. */
  static SmoothForce drive(Driveline driveline) {
    return new SmoothForce(driveline, driveline::bestForceN);
  }

  /** What it brakes with at a shut throttle in that gear. */
  static SmoothForce closed(Driveline driveline) {
    return new SmoothForce(driveline, v -> driveline.closedThrottleN(driveline.bestGear(v)));
  }

  double topSpeedMps() {
    return top;
  }

  /** A force [N] with its first and second derivative by the speed. */
  record Value(double force, double slope, double bend) {}

  /** Force at a speed. */
  Value at(double speedMps) {
    double t = Math.max(0, speedMps / CELL_MPS);
    int c = Math.min((int) t, force.length - 4);
    double u = t - c;
    double a = force[c];
    double b = force[c + 1];
    double d = force[c + 2];
    double e = force[c + 3];
    double value =
        (cube(1 - u) * a
                + (3 * cube(u) - 6 * u * u + 4) * b
                + (-3 * cube(u) + 3 * u * u + 3 * u + 1) * d
                + cube(u) * e)
            / 6;
    double first =
        (-(1 - u) * (1 - u) * a
                + (3 * u * u - 4 * u) * b
                + (-3 * u * u + 2 * u + 1) * d
                + u * u * e)
            / 2;
    double second = (1 - u) * a + (3 * u - 2) * b + (1 - 3 * u) * d + u * e;
    return new Value(value, first / CELL_MPS, second / (CELL_MPS * CELL_MPS));
  }

  private static double cube(double a) {
    return a * a * a;
  }
}
