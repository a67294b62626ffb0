package marvek.core.laps;

import static marvek.core.profile.Constants.G0;

import java.util.Arrays;
import java.util.Optional;
import marvek.core.numeric.TwoFactors;

/**
 * The wheel that a turn needs: for its bend and, where the front gives more than the rear, for the
 * side force. The two are found by least squares in the gentle bends of the same recording, where
 * the tyres are far from their limit; the linear single-track model (textbook: {@code δ = L·κ +
 * K·a_y}), times a steering ratio that nobody has to know.
 *
 * @param perBend wheel for a bend [° m]
 * @param perSideG wheel for a side force beyond that [°/g]
 */
record SteerNeeded(double perBend, double perSideG) {
  /** Less side force is a straight [g]. */
  private static final double LEAST_G = 0.12;

  /** Up to this share of the strongest side force tyres answer in proportion. */
  private static final double GENTLE = 0.6;

  private static final double STRONGEST = 0.98;
  private static final double SLOWEST_MPS = 9;

  /** So many samples tell two numbers. */
  private static final int MOST_SAMPLES = 4000;

  private static final int LEAST_SAMPLES = 100;

  /** Of a recording; empty without wheel or side force, or where it has no gentle bends. */
  static Optional<SteerNeeded> of(Recording recording) {
    if (!recording.has(Channel.STEER) || !recording.has(Channel.LATERAL_G)) {
      return Optional.empty();
    }
    int every = Math.max(1, recording.size() / MOST_SAMPLES);
    double strongest = strongest(recording, every);
    double[] wheel = new double[recording.size() / every + 1];
    double[] bend = new double[wheel.length];
    double[] side = new double[wheel.length];
    int count = 0;
    for (int i = 0; i < recording.size(); i += every) {
      double v = recording.at(Channel.SPEED, i);
      double g = recording.at(Channel.LATERAL_G, i);
      double steer = recording.at(Channel.STEER, i);
      boolean gentle = Math.abs(g) >= LEAST_G && Math.abs(g) <= GENTLE * strongest;
      if (gentle && v >= SLOWEST_MPS && !Double.isNaN(steer)) {
        wheel[count] = steer;
        bend[count] = g * G0 / (v * v);
        side[count++] = g;
      }
    }
    if (count < LEAST_SAMPLES) {
      return Optional.empty();
    }
    return TwoFactors.of(
            Arrays.copyOf(wheel, count), Arrays.copyOf(bend, count), Arrays.copyOf(side, count))
        .filter(fit -> fit.first() > 0)
        .map(fit -> new SteerNeeded(fit.first(), fit.second()));
  }

  private static double strongest(Recording recording, int every) {
    double[] all = new double[recording.size() / every + 1];
    int count = 0;
    for (int i = 0; i < recording.size(); i += every) {
      double g = Math.abs(recording.at(Channel.LATERAL_G, i));
      if (!Double.isNaN(g)) {
        all[count++] = g;
      }
    }
    Arrays.sort(all, 0, count);
    return count == 0 ? 0 : all[(int) (STRONGEST * (count - 1))];
  }

  /** Wheel that a side force at a speed needs [°]. */
  double at(double speedMps, double sideG) {
    return perBend * sideG * G0 / (speedMps * speedMps) + perSideG * sideG;
  }
}
