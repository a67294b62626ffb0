package marvek.core.circuit;

import java.util.Arrays;
import java.util.List;

/**
 * What zones do to the grip of a road, sampled on it once: the whole width, and each side of the
 * centreline. Immutable; a part of the road has the same part of it.
 */
public final class RoadSurface {
  private final Column grip;
  private final Column damp;

  private RoadSurface(Column grip, Column damp) {
    this.grip = grip;
    this.damp = damp;
  }

  /** The surface of a road on which zones lie. */
  public static RoadSurface of(Road road, List<Zone> zones) {
    RoadSurface surface = new RoadSurface(Column.of(road.size()), Column.of(road.size()));
    for (Zone zone : zones) {
      Column column = staysDamp(zone) ? surface.damp : surface.grip;
      double[] factor = column.on(zone.side());
      int from = road.indexOf(zone.fromM());
      int count = road.samples(road.distance(zone.fromM(), zone.toM()));
      for (int k = 0; k <= count; k++) {
        int i = road.wrap(from + k);
        factor[i] = Math.min(factor[i], zone.gripFactor());
      }
    }
    return surface;
  }

  /** Water and not the road makes the grip there: rain elsewhere does not make it less again. */
  private static boolean staysDamp(Zone zone) {
    return zone.type() == Zone.Type.DAMP_SHADE;
  }

  /** That of a part of the road, see {@link Road#part}. */
  public RoadSurface part(int first, int count) {
    return new RoadSurface(grip.part(first, count), damp.part(first, count));
  }

  /** Factor on the grip of the day at a sample and an offset. */
  double gripAt(int i, double offsetM) {
    return grip.at(i, offsetM);
  }

  /** Factor on the grip of a dry road where it stays damp; 1 where it does not. */
  double dampAt(int i, double offsetM) {
    return damp.at(i, offsetM);
  }

  private record Column(double[] whole, double[] left, double[] right) {
    static Column of(int size) {
      double[][] ones = new double[3][size];
      for (double[] factors : ones) {
        Arrays.fill(factors, 1);
      }
      return new Column(ones[0], ones[1], ones[2]);
    }

    double[] on(Side side) {
      return switch (side) {
        case LEFT -> left;
        case RIGHT -> right;
        default -> whole;
      };
    }

    double at(int i, double offsetM) {
      double beside = offsetM > 0 ? left[i] : offsetM < 0 ? right[i] : 1;
      return Math.min(whole[i], beside);
    }

    Column part(int first, int count) {
      return new Column(
          cut(whole, first, count), cut(left, first, count), cut(right, first, count));
    }

    private static double[] cut(double[] values, int first, int count) {
      double[] cut = new double[count];
      for (int k = 0; k < count; k++) {
        cut[k] = values[(first + k) % values.length];
      }
      return cut;
    }
  }
}
