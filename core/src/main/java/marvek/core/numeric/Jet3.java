package marvek.core.numeric;

/**
 * A value with its exact first and second derivatives in three variables x, y and z, as {@link Jet}
 * has them in more; a record of numbers, so that inner loops need no memory for it.
 *
 * @param v the value
 */
public record Jet3(
    double v,
    double x,
    double y,
    double z,
    double xx,
    double xy,
    double xz,
    double yy,
    double yz,
    double zz) {
  /** The first variable itself. */
  public static Jet3 ofX(double value) {
    return new Jet3(value, 1, 0, 0, 0, 0, 0, 0, 0, 0);
  }

  /** The second variable itself. */
  public static Jet3 ofY(double value) {
    return new Jet3(value, 0, 1, 0, 0, 0, 0, 0, 0, 0);
  }

  /** The third variable itself. */
  public static Jet3 ofZ(double value) {
    return new Jet3(value, 0, 0, 1, 0, 0, 0, 0, 0, 0);
  }

  public Jet3 plus(Jet3 o) {
    return new Jet3(
        v + o.v, x + o.x, y + o.y, z + o.z, xx + o.xx, xy + o.xy, xz + o.xz, yy + o.yy, yz + o.yz,
        zz + o.zz);
  }

  public Jet3 minus(Jet3 o) {
    return new Jet3(
        v - o.v, x - o.x, y - o.y, z - o.z, xx - o.xx, xy - o.xy, xz - o.xz, yy - o.yy, yz - o.yz,
        zz - o.zz);
  }

  public Jet3 plus(double number) {
    return new Jet3(v + number, x, y, z, xx, xy, xz, yy, yz, zz);
  }

  public Jet3 times(double f) {
    return new Jet3(f * v, f * x, f * y, f * z, f * xx, f * xy, f * xz, f * yy, f * yz, f * zz);
  }

  public Jet3 times(Jet3 o) {
    return new Jet3(
        v * o.v,
        v * o.x + x * o.v,
        v * o.y + y * o.v,
        v * o.z + z * o.v,
        v * o.xx + 2 * x * o.x + xx * o.v,
        v * o.xy + x * o.y + y * o.x + xy * o.v,
        v * o.xz + x * o.z + z * o.x + xz * o.v,
        v * o.yy + 2 * y * o.y + yy * o.v,
        v * o.yz + y * o.z + z * o.y + yz * o.v,
        v * o.zz + 2 * z * o.z + zz * o.v);
  }

  public Jet3 square() {
    return times(this);
  }

  public Jet3 sqrt() {
    double root = Math.sqrt(v);
    return of(root, 0.5 / root, -0.25 / (root * v));
  }

  /** One over it. */
  public Jet3 inverse() {
    double r = 1 / v;
    return of(r, -r * r, 2 * r * r * r);
  }

  /** A function of it by its value and derivatives there. */
  private Jet3 of(double value, double f, double s) {
    return new Jet3(
        value,
        f * x,
        f * y,
        f * z,
        f * xx + s * x * x,
        f * xy + s * x * y,
        f * xz + s * x * z,
        f * yy + s * y * y,
        f * yz + s * y * z,
        f * zz + s * z * z);
  }
}
