package marvek.server.circuits;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.GeoPoint;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.mark.MarkChooser;
import marvek.server.contract.Holds;
import marvek.server.editions.Edited;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A layout version as the circuit screen needs it.
 *
 * @param edition of the version with its draft
 * @param inUse whether a book uses it, so that edits become a new version
 * @param edits what is kept by hand, see {@link marvek.core.circuit.CircuitEdits}
 * @param draft edits that are not kept yet, or null
 * @param origin place on the earth, or null
 */
record CircuitView(
    UUID id,
    long edition,
    String name,
    String layout,
    int version,
    UUID newestId,
    boolean inUse,
    List<VersionLine> versions,
    @Holds(CircuitEdits.class) JsonNode edits,
    @Holds(CircuitEdits.class) @Nullable JsonNode draft,
    List<LayoutChange> draftChanges,
    @Nullable GeoPoint origin,
    double surveyNoise_m,
    double largestMove_m,
    List<Corner> corners,
    List<MarkChooser.Board> untrueBoards,
    RoadColumns road)
    implements Edited {

  /** A line of a circuit's history. */
  record VersionLine(
      UUID id,
      int version,
      @Nullable LocalDate validFrom,
      Instant createdAt,
      String reason,
      @Holds(value = LayoutChange.class, list = true) JsonNode changes) {}

  /** The road, one value every {@code step_m}; rounded to what a screen can show. */
  record RoadColumns(
      double step_m,
      double length_m,
      boolean closed,
      double[] x_m,
      double[] y_m,
      double[] z_m,
      double[] curvature_perM,
      double[] left_m,
      double[] right_m,
      double[] grade_pct,
      double[] banking_deg) {
    /** No screen shows more than this many samples of a lap. */
    private static final int MOST = 10_000;

    private static final double SHOWN_STEP_M = 2;

    static RoadColumns of(Circuit circuit) {
      Road road = circuit.road();
      double step = Math.max(SHOWN_STEP_M, road.lengthM() / MOST);
      int stride = Math.max(1, (int) Math.round(step / road.stepM()));
      return new RoadColumns(
          road.stepM() * stride,
          road.lengthM(),
          road.closed(),
          take(road, stride, 2, road::xAt),
          take(road, stride, 2, road::yAt),
          take(road, stride, 2, road::zAt),
          take(road, stride, 5, road::curvatureAt),
          take(road, stride, 2, road::widthLeftAt),
          take(road, stride, 2, road::widthRightAt),
          take(road, stride, 2, i -> 100 * Math.tan(road.gradeAt(i))),
          take(road, stride, 2, i -> Math.toDegrees(road.bankingAt(i))));
    }

    private static double[] take(Road road, int stride, int decimals, IntToDoubleFunction value) {
      double scale = Math.pow(10, decimals);
      double[] taken = new double[(road.size() + stride - 1) / stride];
      for (int k = 0; k < taken.length; k++) {
        taken[k] = Math.round(value.applyAsDouble(k * stride) * scale) / scale;
      }
      return taken;
    }
  }
}
