package marvek.core.review;

import static marvek.core.profile.Constants.G0;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import marvek.core.Require;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.numeric.Median;
import marvek.core.profile.Lap;
import org.jspecify.annotations.Nullable;

/**
 * The model held against laps: how much grip was used, by a high percentile of the combined
 * acceleration, and how much power and drag there is, by what the car gains with the throttle open.
 *
 * @param gripUsed share of the limit that the driver used
 * @param gripFactor grip of the tyres over that of the car as it was computed with; 1 unless the
 *     laps show more than the whole of it
 * @param peakG the percentile in the laps
 * @param peakPageG the same on the page's lap
 * @param topMps highest speed, in the middle of the laps
 * @param topPageMps the same on the page's lap
 * @param car power and drag over the mass with their errors; null where no throttle tells them
 * @param powerFactor of the engine at the book's mass; null where it says nothing new
 * @param cdAM2 drag area at the book's mass; null where it says nothing new
 */
public record Calibration(
    double gripUsed,
    double gripFactor,
    double peakG,
    double peakPageG,
    double topMps,
    double topPageMps,
    @Nullable MeasuredCar car,
    @Nullable Double powerFactor,
    @Nullable Double cdAM2) {
  /** A knock of a sensor is not a tyre's peak; the percentile is an own assumption. */
  private static final double PERCENTILE = 0.95;

  /** A speed's slope is taken over so far on each side. */
  private static final double SLOPE_M = 12;

  /** Differences of less are not worth another book. */
  private static final double LEAST_CHANGE = 0.012;

  /** Who uses less than half is not at the limit anywhere: no measure of it. */
  private static final double LEAST_GRIP_USED = 0.5;

  /** No driver uses all of it; more than this is the car's (expert: 0.97, common practice). */
  private static final double MOST_GRIP_USED = 0.97;

  /** A median of fewer is chance. */
  private static final int LEAST_LAPS = 3;

  /** Power and drag that differ by less are not worth another car. */
  private static final double LEAST_POWER = 0.015;

  private static final double LEAST_DRAG = 0.025;

  /**
   * What laps say of the model.
   *
   * @param lap the page's, as it was solved
   * @param page the same, read as the laps are
   * @param laps that count
   * @return empty where the model is as good as the laps, or too few laps speak
   */
  public static Optional<Calibration> of(Lap lap, AlongLap page, List<AlongLap> laps) {
    if (laps.size() < LEAST_LAPS) {
      return Optional.empty();
    }
    Conditions conditions = lap.conditions();
    double peakPage = peakG(lap.path(), page);
    double peak = Median.of(laps.stream().mapToDouble(l -> peakG(lap.path(), l)).toArray());
    double ratio = peak / peakPage;
    double shared = conditions.gripUsed() * ratio;
    double used =
        Math.max(
            LEAST_GRIP_USED, Math.min(Math.max(MOST_GRIP_USED, conditions.gripUsed()), shared));
    double factor = Math.max(1, shared / used);
    MeasuredCar car = MeasuredCar.of(lap, laps).orElse(null);
    Double power = car != null && car.power().differs(LEAST_POWER) ? car.power().value() : null;
    Double drag =
        car != null && car.drag().differs(LEAST_DRAG)
            ? car.drag().value() * lap.vehicle().aero().cdAM2()
            : null;
    boolean sameGrip = Math.abs(ratio - 1) < LEAST_CHANGE;
    if (sameGrip && drag == null && power == null) {
      return Optional.empty();
    }
    return Optional.of(
        new Calibration(
            sameGrip ? conditions.gripUsed() : used,
            sameGrip ? 1 : factor,
            peak,
            peakPage,
            Median.of(laps.stream().mapToDouble(Calibration::top).toArray()),
            top(page),
            car,
            power,
            drag));
  }

  private static double top(AlongLap lap) {
    return Arrays.stream(lap.column(lap::speedAt)).filter(v -> !Double.isNaN(v)).max().orElse(0);
  }

  /** Sideways by the bends of the path and the speed, along by the slope of the speed. */
  private static double peakG(Path path, AlongLap lap) {
    int reach = Math.max(1, (int) Math.round(SLOPE_M / lap.stepM()));
    double[] combined = new double[lap.size()];
    int known = 0;
    for (int k = reach; k + reach < lap.size(); k++) {
      double v = lap.speedAt(k);
      double along =
          v * (lap.speedAt(k + reach) - lap.speedAt(k - reach)) / (2 * reach * lap.stepM());
      int at = path.road().indexOf(Math.min(path.road().lengthM() - 0.01, lap.stationAt(k)));
      double across = v * v * path.curvatureAt(at);
      double g = Math.hypot(along, across) / G0;
      if (!Double.isNaN(g)) {
        combined[known++] = g;
      }
    }
    Require.within("samples of a lap", known, 2, Integer.MAX_VALUE);
    double[] sorted = Arrays.copyOf(combined, known);
    Arrays.sort(sorted);
    return sorted[(int) (PERCENTILE * (known - 1))];
  }
}
