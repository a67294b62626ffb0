package marvek.core.line;

/**
 * Curvature of the circle through three points that move along given directions, with its exact
 * first and second derivatives by the three distances moved.
 */
final class SecondBend {
  /** Curvature [1/m], positive to the left. */
  final double curvature;

  /** By the distances moved before, at and after the middle point. */
  final double[] first = new double[3];

  /** By two of them each. */
  final double[][] second = new double[3][3];

  /**
   * @param px points' abscissae
   * @param py points' ordinates
   * @param nx directions in which they move, unit vectors
   * @param from first of the three points
   */
  SecondBend(double[] px, double[] py, double[] nx, double[] ny, int from) {
    double ux = px[from + 1] - px[from];
    double uy = py[from + 1] - py[from];
    double vx = px[from + 2] - px[from + 1];
    double vy = py[from + 2] - py[from + 1];
    double cross = ux * vy - uy * vx;
    double[] dux = {-nx[from], nx[from + 1], 0};
    double[] duy = {-ny[from], ny[from + 1], 0};
    double[] dvx = {0, -nx[from + 1], nx[from + 2]};
    double[] dvy = {0, -ny[from + 1], ny[from + 2]};
    double uu = ux * ux + uy * uy;
    double vv = vx * vx + vy * vy;
    double cx = ux + vx;
    double cy = uy + vy;
    double cc = cx * cx + cy * cy;
    double inverse = 1 / Math.sqrt(uu * vv * cc);
    curvature = 2 * cross * inverse;
    double[] dCross = new double[3];
    double[] dLog = new double[3];
    for (int a = 0; a < 3; a++) {
      dCross[a] = dux[a] * vy + ux * dvy[a] - duy[a] * vx - uy * dvx[a];
      dLog[a] =
          -(ux * dux[a] + uy * duy[a]) / uu
              - (vx * dvx[a] + vy * dvy[a]) / vv
              - (cx * (dux[a] + dvx[a]) + cy * (duy[a] + dvy[a])) / cc;
    }
    for (int a = 0; a < 3; a++) {
      first[a] = 2 * inverse * (dCross[a] + cross * dLog[a]);
      for (int b = a; b < 3; b++) {
        double crossAb = dux[a] * dvy[b] + dux[b] * dvy[a] - duy[a] * dvx[b] - duy[b] * dvx[a];
        double logAb =
            half(ux, uy, dux[a], duy[a], dux[b], duy[b], uu)
                + half(vx, vy, dvx[a], dvy[a], dvx[b], dvy[b], vv)
                + half(
                    cx, cy, dux[a] + dvx[a], duy[a] + dvy[a], dux[b] + dvx[b], duy[b] + dvy[b], cc);
        second[a][b] =
            2
                * inverse
                * (crossAb
                    + dCross[a] * dLog[b]
                    + dCross[b] * dLog[a]
                    + cross * (dLog[a] * dLog[b] + logAb));
        second[b][a] = second[a][b];
      }
    }
  }

  /** Second derivative of −½·ln of a squared length. */
  private static double half(
      double x, double y, double xa, double ya, double xb, double yb, double squared) {
    double alongA = x * xa + y * ya;
    double alongB = x * xb + y * yb;
    return -(xa * xb + ya * yb) / squared + 2 * alongA * alongB / (squared * squared);
  }
}
