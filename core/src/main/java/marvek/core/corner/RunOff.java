package marvek.core.corner;

import java.util.Comparator;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;

/** What waits outside a corner, as far as the circuit's file says. */
public final class RunOff {
  /** A car that misses a corner leaves the road up to here after its end (own assumption). */
  private static final double BEYOND_CORNER_M = 120;

  private RunOff() {}

  /** The hazard outside a corner that is nearest to the line; empty where none is known. */
  public static Optional<Hazard> outside(Circuit circuit, Road road, Corner corner) {
    Side outside = corner.direction() == Side.LEFT ? Side.RIGHT : Side.LEFT;
    return circuit.hazards().stream()
        .filter(hazard -> hazard.side() == outside && liesAlong(road, hazard, corner))
        .min(Comparator.comparingDouble(Hazard::distanceM));
  }

  /**
   * Whether a hazard begins or lasts anywhere from the corner's first metre to a little after it.
   */
  private static boolean liesAlong(Road road, Hazard hazard, Corner corner) {
    double toBegin = road.distance(corner.fromM(), hazard.fromM());
    double since = road.distance(hazard.fromM(), corner.fromM());
    boolean begins = toBegin >= 0 && toBegin < corner.lengthM() + BEYOND_CORNER_M;
    boolean lasts = since >= 0 && since <= road.distance(hazard.fromM(), hazard.toM());
    return begins || lasts;
  }
}
