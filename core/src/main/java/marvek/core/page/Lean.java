package marvek.core.page;

import java.util.Optional;
import marvek.core.circuit.Road;
import marvek.core.profile.Constants;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/**
 * Lean of a motorcycle at the slowest place of a corner: {@code atan(v²κ/g)} against the vertical,
 * rider and tyres without width (common practice; Cossalter, <i>Motorcycle Dynamics</i>, ch. 4,
 * from memory).
 */
public final class Lean {
  private Lean() {}

  /** Largest lean from turn-in to track-out [°]; empty for four wheels. */
  public static Optional<Double> deg(Lap lap, CornerPage page) {
    if (lap.vehicle().kind() != Vehicle.Kind.MOTORCYCLE) {
      return Optional.empty();
    }
    Road road = lap.path().road();
    int from = road.indexOf(page.turnIn().atM());
    int to = road.indexOf(page.exit().trackOutM());
    double most = 0;
    for (int i = from; i != to; i = road.wrap(i + 1)) {
      most = Math.max(most, Math.abs(lap.lateralAccelerationAt(i)));
      if (!road.closed() && i == road.size() - 1) {
        break;
      }
    }
    return Optional.of(Math.toDegrees(Math.atan(most / Constants.G0)));
  }
}
