package marvek.core.line;

import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.numeric.UniformSpline;
import org.jspecify.annotations.Nullable;

/**
 * Where a path crosses the normals of a road. Paths are told by their points and not by splines of
 * their offsets: where a road begins to bend its offsets do not, and a path that goes on smoothly
 * has a jump in theirs.
 */
final class NormalCrossings {
  /** Newton's method on a path that nearly runs along the road needs three or four. */
  private static final int MOST_STEPS = 20;

  /** A crossing is found when it is that near [m]. */
  private static final double NEAR_M = 1e-7;

  private final UniformSpline roadX;
  private final UniformSpline roadY;

  NormalCrossings(Road road) {
    roadX = through(road, road.closed(), true);
    roadY = through(road, road.closed(), false);
  }

  /** A path by its points at even distances along it, or along the road. */
  record Curve(UniformSpline x, UniformSpline y) {
    static Curve of(Road path) {
      return new Curve(through(path, path.closed(), true), through(path, path.closed(), false));
    }
  }

  private static UniformSpline through(Road road, boolean closed, boolean east) {
    double[] values =
        IntStream.range(0, road.size())
            .mapToDouble(i -> east ? road.xAt(i) : road.yAt(i))
            .toArray();
    return new UniformSpline(values, road.stepM(), closed);
  }

  /** The path through offsets at even stations. */
  Curve curve(double[] offsets, double stepM, boolean closed) {
    double[] x = new double[offsets.length];
    double[] y = new double[offsets.length];
    for (int k = 0; k < offsets.length; k++) {
      Place at = place(k * stepM);
      x[k] = at.x - offsets[k] * at.ty;
      y[k] = at.y + offsets[k] * at.tx;
    }
    return new Curve(new UniformSpline(x, stepM, closed), new UniformSpline(y, stepM, closed));
  }

  /**
   * Offsets of a path, left positive.
   *
   * @param count of stations, the first one at 0
   * @param begin parameter of the path near the start line
   * @return null where the path does not run along the road
   */
  double @Nullable [] offsets(Curve path, int count, double stepM, double begin) {
    double[] offsets = new double[count];
    double at = begin;
    for (int k = 0; k < count; k++) {
      Place place = place(k * stepM);
      at = crossing(path, place, at);
      if (Double.isNaN(at)) {
        return null;
      }
      double dx = path.x.valueAt(at) - place.x;
      double dy = path.y.valueAt(at) - place.y;
      offsets[k] = dy * place.tx - dx * place.ty;
      at += stepM * (place.tx * path.x.slopeAt(at) + place.ty * path.y.slopeAt(at));
    }
    return offsets;
  }

  private double crossing(Curve path, Place place, double begin) {
    double at = begin;
    for (int step = 0; step < MOST_STEPS; step++) {
      double ahead =
          (path.x.valueAt(at) - place.x) * place.tx + (path.y.valueAt(at) - place.y) * place.ty;
      if (Math.abs(ahead) < NEAR_M) {
        return at;
      }
      double slope = path.x.slopeAt(at) * place.tx + path.y.slopeAt(at) * place.ty;
      if (!(slope > 0)) {
        return Double.NaN;
      }
      at -= ahead / slope;
    }
    return Double.NaN;
  }

  /** A place of the centreline with its direction. */
  private record Place(double x, double y, double tx, double ty) {}

  private Place place(double stationM) {
    double dx = roadX.slopeAt(stationM);
    double dy = roadY.slopeAt(stationM);
    double length = Math.hypot(dx, dy);
    return new Place(roadX.valueAt(stationM), roadY.valueAt(stationM), dx / length, dy / length);
  }
}
