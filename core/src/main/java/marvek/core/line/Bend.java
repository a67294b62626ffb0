package marvek.core.line;

import marvek.core.circuit.Road;

/**
 * The bend of a line at one sample, from three neighbouring points: curvature of the circle through
 * them, its share of the length, and how both answer to the three offsets.
 */
final class Bend {
  private final Road road;
  private final int a;
  private final int i;
  private final int b;
  private final double ux;
  private final double uy;
  private final double vx;
  private final double vy;
  private final double u;
  private final double v;
  private final double c;
  private final double kappa;
  private final double root;

  /**
   * @param a sample before, at offset da; i the sample itself; b the one after
   */
  Bend(Road road, int a, int i, int b, double da, double di, double db) {
    this.road = road;
    this.a = a;
    this.i = i;
    this.b = b;
    double x = x(i, di);
    double y = y(i, di);
    ux = x - x(a, da);
    uy = y - y(a, da);
    vx = x(b, db) - x;
    vy = y(b, db) - y;
    u = Math.sqrt(ux * ux + uy * uy);
    v = Math.sqrt(vx * vx + vy * vy);
    c = Math.sqrt((ux + vx) * (ux + vx) + (uy + vy) * (uy + vy));
    kappa = 2 * (ux * vy - uy * vx) / (u * v * c);
    root = Math.sqrt(0.5 * (u + v));
  }

  private double x(int k, double d) {
    return road.xAt(k) + d * road.normalXAt(k);
  }

  private double y(int k, double d) {
    return road.yAt(k) + d * road.normalYAt(k);
  }

  /** Curvature [1/m], positive to the left. */
  double curvature() {
    return kappa;
  }

  /** Curvature times the root of the sample's share of the length: its square sums to ∫κ² dσ. */
  double residual() {
    return kappa * root;
  }

  /** Derivatives of the residual by the offsets before, at and after the sample. */
  void residualDerivatives(double[] j) {
    for (int k = 0; k < 3; k++) {
      Shift s = shift(k);
      j[k] = s.dKappa * root + kappa * 0.25 * (s.du + s.dv) / root;
    }
  }

  private record Shift(double du, double dv, double dKappa) {}

  private Shift shift(int k) {
    return switch (k) {
      case 0 -> shift(-road.normalXAt(a), -road.normalYAt(a), 0, 0);
      case 1 -> {
        double nx = road.normalXAt(i);
        double ny = road.normalYAt(i);
        yield shift(nx, ny, -nx, -ny);
      }
      default -> shift(0, 0, road.normalXAt(b), road.normalYAt(b));
    };
  }

  private Shift shift(double dux, double duy, double dvx, double dvy) {
    double cross = dux * vy - duy * vx + ux * dvy - uy * dvx;
    double du = (ux * dux + uy * duy) / u;
    double dv = (vx * dvx + vy * dvy) / v;
    double dc = ((ux + vx) * (dux + dvx) + (uy + vy) * (duy + dvy)) / c;
    return new Shift(du, dv, 2 * cross / (u * v * c) - kappa * (du / u + dv / v + dc / c));
  }
}
