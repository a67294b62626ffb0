package marvek.core.numeric;

/**
 * A value with its exact first and second derivatives in four variables x, y, z and u, as {@link
 * Jet} has them in more; a record of numbers, so that inner loops need no memory for it.
 *
 * @param v the value
 */
public record Jet4(
    double v,
    double x,
    double y,
    double z,
    double u,
    double xx,
    double xy,
    double xz,
    double xu,
    double yy,
    double yz,
    double yu,
    double zz,
    double zu,
    double uu) {
  /** The first variable itself. */
  public static Jet4 ofX(double value) {
    return new Jet4(value, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
  }

  /** The second variable itself. */
  public static Jet4 ofY(double value) {
    return new Jet4(value, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
  }

  /** The third variable itself. */
  public static Jet4 ofZ(double value) {
    return new Jet4(value, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
  }

  /** The fourth variable itself. */
  public static Jet4 ofU(double value) {
    return new Jet4(value, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
  }

  public Jet4 plus(Jet4 o) {
    return new Jet4(
        v + o.v, x + o.x, y + o.y, z + o.z, u + o.u, xx + o.xx, xy + o.xy, xz + o.xz, xu + o.xu,
        yy + o.yy, yz + o.yz, yu + o.yu, zz + o.zz, zu + o.zu, uu + o.uu);
  }

  public Jet4 minus(Jet4 o) {
    return new Jet4(
        v - o.v, x - o.x, y - o.y, z - o.z, u - o.u, xx - o.xx, xy - o.xy, xz - o.xz, xu - o.xu,
        yy - o.yy, yz - o.yz, yu - o.yu, zz - o.zz, zu - o.zu, uu - o.uu);
  }

  public Jet4 plus(double number) {
    return new Jet4(v + number, x, y, z, u, xx, xy, xz, xu, yy, yz, yu, zz, zu, uu);
  }

  public Jet4 times(double f) {
    return new Jet4(
        f * v, f * x, f * y, f * z, f * u, f * xx, f * xy, f * xz, f * xu, f * yy, f * yz, f * yu,
        f * zz, f * zu, f * uu);
  }

  public Jet4 times(Jet4 o) {
    return new Jet4(
        v * o.v,
        v * o.x + x * o.v,
        v * o.y + y * o.v,
        v * o.z + z * o.v,
        v * o.u + u * o.v,
        v * o.xx + 2 * x * o.x + xx * o.v,
        v * o.xy + x * o.y + y * o.x + xy * o.v,
        v * o.xz + x * o.z + z * o.x + xz * o.v,
        v * o.xu + x * o.u + u * o.x + xu * o.v,
        v * o.yy + 2 * y * o.y + yy * o.v,
        v * o.yz + y * o.z + z * o.y + yz * o.v,
        v * o.yu + y * o.u + u * o.y + yu * o.v,
        v * o.zz + 2 * z * o.z + zz * o.v,
        v * o.zu + z * o.u + u * o.z + zu * o.v,
        v * o.uu + 2 * u * o.u + uu * o.v);
  }

  public Jet4 square() {
    return times(this);
  }

  public Jet4 sqrt() {
    double root = Math.sqrt(v);
    return of(root, 0.5 / root, -0.25 / (root * v));
  }

  /** One over it. */
  public Jet4 inverse() {
    double r = 1 / v;
    return of(r, -r * r, 2 * r * r * r);
  }

  /**
   * A function of it.
   *
   * @param value of the function there
   * @param f its derivative
   * @param s its second derivative
   */
  public Jet4 of(double value, double f, double s) {
    return new Jet4(
        value,
        f * x,
        f * y,
        f * z,
        f * u,
        f * xx + s * x * x,
        f * xy + s * x * y,
        f * xz + s * x * z,
        f * xu + s * x * u,
        f * yy + s * y * y,
        f * yz + s * y * z,
        f * yu + s * y * u,
        f * zz + s * z * z,
        f * zu + s * z * u,
        f * uu + s * u * u);
  }
}
