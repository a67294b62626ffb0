package marvek.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.circuit.Survey;

/** Roads of known shape, for tests: strung together from straights, arcs and clothoids. */
public final class TestRoads {
  private final List<double[]> points = new ArrayList<>();
  private double x;
  private double y;
  private double heading;
  private double station;
  private final double spacing;
  private double toNext;

  private TestRoads(double spacing) {
    this.spacing = spacing;
  }

  /** Starts at the origin, heading east, one point every {@code spacing} metres. */
  public static TestRoads every(double spacing) {
    return new TestRoads(spacing);
  }

  /** A stretch whose curvature goes evenly from k0 to k1 [1/m]. */
  public TestRoads bend(double length, double k0, double k1) {
    int steps = (int) Math.ceil(length / 0.01);
    double h = length / steps;
    for (int i = 0; i < steps; i++) {
      if (toNext <= h / 2) {
        points.add(new double[] {x, y, station, k0 + (k1 - k0) * i / steps});
        toNext += spacing;
      }
      double middle = heading + h / 2 * (k0 + (k1 - k0) * (i + 0.25) / steps);
      x += h * Math.cos(middle);
      y += h * Math.sin(middle);
      heading += h * (k0 + (k1 - k0) * (i + 0.5) / steps);
      station += h;
      toNext -= h;
    }
    return this;
  }

  public TestRoads straight(double length) {
    return bend(length, 0, 0);
  }

  /** Corner of an angle [deg, left positive] wound on and off over clothoids of one length. */
  public TestRoads corner(double radius, double angleDeg, double clothoid) {
    double k = Math.signum(angleDeg) / radius;
    double arc = Math.abs(Math.toRadians(angleDeg)) * radius - clothoid;
    if (clothoid > 0) {
      bend(clothoid, 0, k);
    }
    bend(arc, k, k);
    if (clothoid > 0) {
      bend(clothoid, k, 0);
    }
    return this;
  }

  /** Half of a lap that is closed by the same half again, turned by 180°. */
  public static Survey pointSymmetric(double spacing, java.util.function.Consumer<TestRoads> half) {
    TestRoads road = every(spacing);
    half.accept(road);
    half.accept(road);
    return road.survey(true, 6, 0, 0);
  }

  /**
   * A lap of corners of very different radii: 3.1 km, two halves that mirror each other in a point.
   */
  public static Survey varied(double spacing) {
    return pointSymmetric(
        spacing,
        r ->
            r.straight(400)
                .corner(35, 110, 30)
                .straight(120)
                .corner(60, -80, 40)
                .straight(60)
                .corner(25, 150, 20)
                .straight(250)
                .corner(140, -60, 60)
                .straight(80)
                .corner(50, 60, 40)
                .straight(150));
  }

  public static Survey circle(double radius, double spacing) {
    return every(spacing).bend(2 * Math.PI * radius, 1 / radius, 1 / radius).survey(true, 6, 0, 0);
  }

  /** Flat survey with equal half widths and normal noise in the plane. */
  public Survey survey(boolean closed, double halfWidth, double noise, long seed) {
    Random random = new Random(seed);
    int n = points.size();
    double[] px = new double[n];
    double[] py = new double[n];
    double[] half = new double[n];
    java.util.Arrays.fill(half, halfWidth);
    for (int i = 0; i < n; i++) {
      px[i] = points.get(i)[0] + noise * random.nextGaussian();
      py[i] = points.get(i)[1] + noise * random.nextGaussian();
    }
    return new Survey(px, py, new double[n], half, half, new double[n], closed);
  }

  /** The same survey with normal noise added in the plane. */
  public static Survey noisy(Survey survey, double sigma, long seed) {
    Random random = new Random(seed);
    return changed(
        survey,
        (p, i) ->
            new double[] {
              p[0] + sigma * random.nextGaussian(), p[1] + sigma * random.nextGaussian(), p[2]
            });
  }

  /** Maps the points of a survey; widths and banking stay. */
  public static Survey changed(
      Survey s, java.util.function.BiFunction<double[], Integer, double[]> map) {
    int n = s.size();
    double[][] column = new double[6][n];
    for (int i = 0; i < n; i++) {
      double[] p = map.apply(new double[] {s.xAt(i), s.yAt(i), s.zAt(i)}, i);
      for (int c = 0; c < 3; c++) {
        column[c][i] = p[c];
      }
      column[3][i] = s.widthLeftAt(i);
      column[4][i] = s.widthRightAt(i);
      column[5][i] = s.bankingAt(i);
    }
    return new Survey(column[0], column[1], column[2], column[3], column[4], column[5], s.closed());
  }

  /** The survey mirrored at its x axis: left becomes right. */
  public static Survey mirrored(Survey s) {
    int n = s.size();
    double[][] column = new double[6][n];
    for (int i = 0; i < n; i++) {
      column[0][i] = s.xAt(i);
      column[1][i] = -s.yAt(i);
      column[2][i] = s.zAt(i);
      column[3][i] = s.widthRightAt(i);
      column[4][i] = s.widthLeftAt(i);
      column[5][i] = -s.bankingAt(i);
    }
    return new Survey(column[0], column[1], column[2], column[3], column[4], column[5], s.closed());
  }

  /** The survey from its other end: left becomes right. */
  public static Survey reversed(Survey s) {
    int n = s.size();
    double[][] column = new double[6][n];
    for (int i = 0; i < n; i++) {
      int j = n - 1 - i;
      column[0][i] = s.xAt(j);
      column[1][i] = s.yAt(j);
      column[2][i] = s.zAt(j);
      column[3][i] = s.widthRightAt(j);
      column[4][i] = s.widthLeftAt(j);
      column[5][i] = -s.bankingAt(j);
    }
    return new Survey(column[0], column[1], column[2], column[3], column[4], column[5], s.closed());
  }

  /** Curvature that the road was drawn with at each of its points [1/m]. */
  public double[] drawnCurvature() {
    return points.stream().mapToDouble(p -> p[3]).toArray();
  }

  public double length() {
    return station;
  }
}
