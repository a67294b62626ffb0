package marvek.core.circuit;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;

/**
 * A path driven along a road: its offset at each of the road's samples and what the force model
 * needs to know there. Immutable. Element i leads from sample i to the next; a closed path has as
 * many elements as samples, an open one one less.
 */
public final class Path {
  private final Road road;
  private final int size;
  private final double[] offset;
  private final double[] x;
  private final double[] y;
  private final double[] element;
  private final double[] distance;
  private final double[] curvature;
  private final double[] gradeFraction;
  private final double[] verticalCurvature;
  private final RoadSurface surface;
  private final double[] grip;
  private final double[] damp;

  private Path(Road road, double[] offsets, RoadSurface surface) {
    this.surface = surface;
    this.road = road;
    size = road.size();
    offset = offsets.clone();
    x = new double[size];
    y = new double[size];
    element = new double[size];
    distance = new double[size + 1];
    curvature = new double[size];
    gradeFraction = new double[size];
    verticalCurvature = new double[size];
    grip = new double[size];
    damp = new double[size];
    for (int i = 0; i < size; i++) {
      grip[i] = surface.gripAt(i, offset[i]);
      damp[i] = surface.dampAt(i, offset[i]);
      x[i] = road.xAt(i) + offset[i] * road.normalXAt(i);
      y[i] = road.yAt(i) + offset[i] * road.normalYAt(i);
    }
    measureCurvature();
    measureElements();
    bendInSpace();
  }

  /** The centreline itself. */
  public static Path centreline(Road road, List<Zone> zones) {
    return at(road, new double[road.size()], zones);
  }

  /**
   * A path at given offsets.
   *
   * @param offsetsM one per sample of the road, positive to the left [m]
   * @throws InvalidValueException if the lengths differ or an offset lies beyond the centre of the
   *     bend
   */
  public static Path at(Road road, double[] offsetsM, List<Zone> zones) {
    return at(road, offsetsM, RoadSurface.of(road, zones));
  }

  /** The same on a surface that is sampled already. */
  public static Path at(Road road, double[] offsetsM, RoadSurface surface) {
    if (offsetsM.length != road.size()) {
      throw new InvalidValueException(
          "offsets",
          Sentence.of("refused.offsets-count", "given", offsetsM.length, "wanted", road.size()));
    }
    for (int i = 0; i < offsetsM.length; i++) {
      if (!(offsetsM[i] * road.curvatureAt(i) < 1)) {
        throw new InvalidValueException(
            "offsets", i, Sentence.of("refused.beyond-bend-centre", "offset_m", offsetsM[i]));
      }
    }
    return new Path(road, offsetsM, surface);
  }

  /** The surface that it leads over, for another path on the same road. */
  public RoadSurface surface() {
    return surface;
  }

  /** Of the plan, by the circle through three neighbours: exact on arcs at any spacing. */
  private void measureCurvature() {
    for (int i = 0; i < size; i++) {
      int a = road.wrap(i - 1);
      int b = road.wrap(i + 1);
      if (a == i || b == i) {
        continue;
      }
      double ux = x[i] - x[a];
      double uy = y[i] - y[a];
      double vx = x[b] - x[i];
      double vy = y[b] - y[i];
      double product =
          Math.sqrt((ux * ux + uy * uy) * (vx * vx + vy * vy))
              * Math.sqrt((ux + vx) * (ux + vx) + (uy + vy) * (uy + vy));
      curvature[i] = 2 * (ux * vy - uy * vx) / product;
    }
    if (!road.closed()) {
      curvature[0] = curvature[1];
      curvature[size - 1] = curvature[size - 2];
    }
  }

  private void measureElements() {
    int elements = elements();
    for (int i = 0; i < elements; i++) {
      int next = road.wrap(i + 1);
      double chord = Math.hypot(x[next] - x[i], y[next] - y[i]);
      double bend = 0.5 * (curvature[i] + curvature[next]) * chord;
      double plan = chord * (1 + bend * bend / 24);
      // Height belongs to the station, so the same climb is spread over the path's own length.
      double ratio = road.stepM() / plan;
      double slope = Math.tan(0.5 * (road.gradeAt(i) + road.gradeAt(next))) * ratio;
      element[i] = plan * Math.sqrt(1 + slope * slope);
      distance[i + 1] = distance[i] + element[i];
      gradeFraction[i] = Math.tan(road.gradeAt(i)) * ratio;
      verticalCurvature[i] = road.verticalCurvatureAt(i) * ratio * ratio;
    }
    if (!road.closed()) {
      gradeFraction[size - 1] = Math.tan(road.gradeAt(size - 1));
      verticalCurvature[size - 1] = road.verticalCurvatureAt(size - 1);
    }
  }

  /**
   * On a grade a path is longer than its plan and bends less: a helix of radius r and grade θ by
   * cos²θ/r (any geometry of curves, e.g. do Carmo, <i>Differential Geometry of Curves and
   * Surfaces</i>, 1-5, from memory). The normal of the bend stays level.
   */
  private void bendInSpace() {
    for (int i = 0; i < size; i++) {
      curvature[i] /= 1 + gradeFraction[i] * gradeFraction[i];
    }
  }

  public Road road() {
    return road;
  }

  public int size() {
    return size;
  }

  /** Number of elements: samples on a closed road, one less on an open one. */
  public int elements() {
    return road.closed() ? size : size - 1;
  }

  /** Offset from the centreline [m], positive to the left. */
  public double offsetAt(int i) {
    return offset[i];
  }

  public double[] offsets() {
    return offset.clone();
  }

  public double xAt(int i) {
    return x[i];
  }

  public double yAt(int i) {
    return y[i];
  }

  /** Length in space of element i [m]. */
  public double elementAt(int i) {
    return element[i];
  }

  /**
   * Length in space from the first sample to sample i [m]; index size() gives a closed lap's
   * length.
   */
  public double distanceAt(int i) {
    return distance[i];
  }

  /** Level part of the curvature of the path in space [1/m], positive in a left-hander. */
  public double curvatureAt(int i) {
    return curvature[i];
  }

  /** Angle of the path's grade [rad], uphill positive. */
  public double gradeAt(int i) {
    return Math.atan(gradeFraction[i]);
  }

  /** Tangent of the path's grade, uphill positive. */
  public double gradeFractionAt(int i) {
    return gradeFraction[i];
  }

  /** Curvature of the path's profile in height [1/m], crest negative. */
  public double verticalCurvatureAt(int i) {
    return verticalCurvature[i];
  }

  /** Factor on grip from the road's own zones there. */
  public double gripFactorAt(int i) {
    return grip[i];
  }

  /** Factor on grip where it stays damp when the rest is dry; 1 elsewhere. */
  public double dampFactorAt(int i) {
    return damp[i];
  }

  /** ∫κ² dσ over the whole path [1/m]. */
  public double curvatureSquaredPerM() {
    double sum = 0;
    for (int i = 0; i < elements(); i++) {
      int next = road.wrap(i + 1);
      double k0 = curvature[i];
      double k1 = curvature[next];
      sum += element[i] * (k0 * k0 + k1 * k1) / 2;
    }
    return sum;
  }
}
