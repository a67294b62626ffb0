package marvek.core.laps;

import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.say.Sentence;

/** Metres since the start of the lap, also of a logger whose metres run on over the laps. */
final class LapDistance {
  /** Metres that run on so many laps' length do not begin again at the line. */
  private static final double RUNS_ON_LAPS = 1.5;

  private LapDistance() {}

  /**
   * Metres since the start of the lap.
   *
   * @throws InvalidValueException of field distance_m if they run on and nothing tells the laps
   */
  static double[] of(Recording recording, Road road) {
    double[] distance = recording.channel(Channel.DISTANCE);
    double most = Double.NEGATIVE_INFINITY;
    for (double metres : distance) {
      most = metres > most ? metres : most;
    }
    if (most == Double.NEGATIVE_INFINITY) {
      throw new InvalidValueException("distance_m", Sentence.of("refused.distance-empty"));
    }
    if (most < RUNS_ON_LAPS * road.lengthM() || !road.closed()) {
      return distance;
    }
    if (!recording.has(Channel.LAP)) {
      throw new InvalidValueException("distance_m", Sentence.of("refused.distance-runs-on"));
    }
    double[] raw = distance.clone();
    double begun = Double.NaN;
    double lap = Double.NaN;
    for (int i = 0; i < distance.length; i++) {
      double now = recording.at(Channel.LAP, i);
      if (now != lap && !Double.isNaN(now)) {
        // The first lap of a recording begins somewhere: only a change of the number is the line.
        begun = Double.isNaN(lap) ? Double.NaN : (raw[i - 1] + raw[i]) / 2;
        lap = now;
      }
      distance[i] = raw[i] - begun;
    }
    return distance;
  }
}
