package marvek.core.line;

import java.util.Arrays;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;

/**
 * A line as it is kept: offsets from the centreline, left positive, one every 5 m of the road
 * (adjusted so that it divides the road's length), and a cubic spline through the points that they
 * give. The first lies on the start line; on an open road the last lies on its end. Immutable.
 */
public final class LineOffsets {
  /** Wanted distance of two offsets [m]: a car's path has no shorter waves. */
  private static final double STEP_M = 5;

  /** No road is wider. */
  private static final double MOST_M = 60;

  private final double[] offsets;

  private LineOffsets(double[] offsets) {
    this.offsets = offsets;
  }

  /**
   * @param offsetsM copied
   * @throws InvalidValueException with the index of the offset that is no offset
   */
  public static LineOffsets of(double[] offsetsM) {
    for (int i = 0; i < offsetsM.length; i++) {
      if (!(Math.abs(offsetsM[i]) <= MOST_M)) {
        throw new InvalidValueException(
            "lineOffsets_m",
            i,
            Sentence.of(
                "refused.offset-bounds", "given", offsetsM[i], "least", -MOST_M, "most", MOST_M));
      }
    }
    return new LineOffsets(offsetsM.clone());
  }

  /** How many a road has. */
  public static int countOn(Road road) {
    int steps = Math.max(4, (int) Math.round(road.lengthM() / STEP_M));
    return road.closed() ? steps : steps + 1;
  }

  /** Distance of two of them on a road [m]. */
  static double stepOn(Road road) {
    int count = countOn(road);
    return road.lengthM() / (road.closed() ? count : count - 1);
  }

  /**
   * The offset at every sample of the road.
   *
   * @throws InvalidValueException if they are of a road of another length
   */
  public double[] along(Road road) {
    int count = countOn(road);
    if (offsets.length != count) {
      throw new InvalidValueException(
          "lineOffsets_m",
          Sentence.of(
              "refused.line-of-another-road",
              "given",
              offsets.length,
              "wanted",
              count,
              "road_m",
              road.lengthM()));
    }
    NormalCrossings crossings = new NormalCrossings(road);
    NormalCrossings.Curve path = crossings.curve(offsets, stepOn(road), road.closed());
    double[] along = crossings.offsets(path, road.size(), road.stepM(), 0);
    if (along == null) {
      throw new InvalidValueException("lineOffsets_m", Sentence.of("refused.offsets-jump"));
    }
    return along;
  }

  /** A copy of them [m]. */
  public double[] offsetsM() {
    return offsets.clone();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof LineOffsets line && Arrays.equals(line.offsets, offsets);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(offsets);
  }
}
