package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import marvek.core.numeric.Median;

/** What a recording tells of the gears: turns of the engine for a speed, gear by gear. */
public final class GearRatios {
  private static final double SLOWEST_MPS = 8;

  /** A gear counts that has been in for so long before and behind. */
  private static final double SETTLED_S = 0.3;

  private static final double CLUTCH_IN_PCT = 5;
  private static final double SIGMA_OF_MAD = 1.4826;

  /** Samples nearer to each other say the same twice. */
  private static final double APART_S = 0.5;

  private GearRatios() {}

  /**
   * One gear.
   *
   * @param rpmPerMps turns a minute for a metre a second
   * @param error standard error of that
   * @param samples that tell it, half a second apart
   */
  public record Ratio(int gear, double rpmPerMps, double error, int samples) {}

  /** The gears that a recording tells, from the lowest; none without gear or engine speed. */
  public static List<Ratio> of(Recording recording) {
    if (!recording.has(Channel.GEAR) || !recording.has(Channel.RPM)) {
      return List.of();
    }
    TreeMap<Integer, List<Double>> byGear = new TreeMap<>();
    double last = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < recording.size(); i++) {
      boolean apart = recording.timeAt(i) - last >= APART_S;
      if (apart && isSettled(recording, i)) {
        double v = recording.at(Channel.SPEED, i);
        double ratio = recording.at(Channel.RPM, i) / v;
        int gear = (int) Math.round(recording.at(Channel.GEAR, i));
        if (v >= SLOWEST_MPS && ratio > 0) {
          byGear.computeIfAbsent(gear, g -> new ArrayList<>()).add(ratio);
          last = recording.timeAt(i);
        }
      }
    }
    List<Ratio> ratios = new ArrayList<>();
    byGear.forEach((gear, values) -> ratios.add(ratio(gear, values)));
    return ratios;
  }

  private static Ratio ratio(int gear, List<Double> values) {
    double[] all = values.stream().mapToDouble(Double::doubleValue).toArray();
    double sigma = SIGMA_OF_MAD * Median.of(Median.deviations(all));
    return new Ratio(gear, Median.of(all), sigma / Math.sqrt(all.length), all.length);
  }

  /** In one gear, the clutch in, for a while before and behind. */
  private static boolean isSettled(Recording recording, int i) {
    double gear = recording.at(Channel.GEAR, i);
    if (!(gear >= 1)) {
      return false;
    }
    for (int step : new int[] {-1, 1}) {
      for (int k = i;
          k >= 0
              && k < recording.size()
              && Math.abs(recording.timeAt(k) - recording.timeAt(i)) <= SETTLED_S;
          k += step) {
        boolean slips =
            recording.has(Channel.CLUTCH) && recording.at(Channel.CLUTCH, k) > CLUTCH_IN_PCT;
        if (recording.at(Channel.GEAR, k) != gear || slips) {
          return false;
        }
      }
    }
    return true;
  }
}
