package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import marvek.core.numeric.Median;
import marvek.core.page.CornerPage;

/**
 * Tells laps that were not raced from those that were, by the laps themselves: slow in more than a
 * third of the corners, by more than the others scatter; of these a run that holds the throttle as
 * the others do but goes slower round the corners had other grip.
 */
public final class LapKinds {
  /** Of fewer laps nobody knows which is the odd one. */
  private static final int LEAST_LAPS = 4;

  /** Beyond the median in times of the median of deviations. */
  private static final double DEVIATIONS = 3;

  /** Drivers who scatter less than this are not slow for a thousandth more. */
  private static final double LEAST_SHARE = 0.03;

  private static final double CORNERS = 1 / 3.0;

  /** Speed squared in corners, as grip goes, of what it is on the other laps. */
  private static final double OTHER_GRIP = 0.88;

  /** On the straights as fast as on the other laps, but for what corners cost. */
  private static final double SAME_STRAIGHTS = 0.85;

  private static final int LEAST_RUN = 2;

  private LapKinds() {}

  /** A lap with what it did in each corner. */
  public record Read(RecordedLap lap, List<CornerReading> corners) {}

  /**
   * The laps of one driver in one vehicle with their kinds, in the order they were driven.
   *
   * @param laps as they were cut; those that are not flying stay what they are
   */
  public static List<RecordedLap> of(List<Read> laps) {
    List<Read> flying =
        laps.stream().filter(read -> read.lap().kind() == RecordedLap.Kind.FLYING).toList();
    List<RecordedLap> kinds = new ArrayList<>();
    for (Read read : laps) {
      boolean slow = flying.size() >= LEAST_LAPS && flying.contains(read) && isSlow(read, flying);
      kinds.add(slow ? read.lap().as(RecordedLap.Kind.SLOW) : read.lap());
    }
    markRuns(laps, flying, kinds);
    return kinds;
  }

  private static boolean isSlow(Read lap, List<Read> flying) {
    int slow = 0;
    int told = 0;
    for (int c = 0; c < lap.corners().size(); c++) {
      double[] times = values(flying, c, CornerReading::timeS);
      Double own = lap.corners().get(c).timeS();
      if (own == null || times.length < LEAST_LAPS) {
        continue;
      }
      double median = Median.of(times);
      double scatter = Median.of(Median.deviations(times));
      told++;
      slow += own > median + Math.max(DEVIATIONS * scatter, LEAST_SHARE * median) ? 1 : 0;
    }
    return slow > CORNERS * told;
  }

  /** Slow laps one after another that had other grip and no other haste. */
  private static void markRuns(List<Read> laps, List<Read> flying, List<RecordedLap> kinds) {
    int begun = 0;
    for (int i = 0; i <= laps.size(); i++) {
      boolean slow = i < laps.size() && kinds.get(i).kind() == RecordedLap.Kind.SLOW;
      boolean other = slow && hasOtherGrip(laps.get(i), flying);
      if (!other) {
        for (int k = begun; k < i && i - begun >= LEAST_RUN; k++) {
          kinds.set(k, kinds.get(k).as(RecordedLap.Kind.OTHER_SURFACE));
        }
        begun = i + 1;
      }
    }
  }

  private static boolean hasOtherGrip(Read lap, List<Read> flying) {
    double corners = ratio(lap, flying, corner -> corner.slowest().speedMps());
    double straights = ratio(lap, flying, CornerReading::entryMps);
    return corners * corners < OTHER_GRIP && straights > SAME_STRAIGHTS;
  }

  /** Median over corners of a lap's value by the median of all laps. */
  private static double ratio(Read lap, List<Read> flying, Function<CornerReading, Double> of) {
    List<Double> ratios = new ArrayList<>();
    for (int c = 0; c < lap.corners().size(); c++) {
      Double own = of.apply(lap.corners().get(c));
      double[] all = values(flying, c, of);
      if (own != null && all.length > 0) {
        ratios.add(own / Median.of(all));
      }
    }
    return median(ratios);
  }

  /** A value of every lap in a corner, where it could be read. */
  private static double[] values(List<Read> laps, int corner, Function<CornerReading, Double> of) {
    return laps.stream()
        .map(lap -> of.apply(lap.corners().get(corner)))
        .filter(Objects::nonNull)
        .mapToDouble(Double::doubleValue)
        .toArray();
  }

  private static double median(List<Double> values) {
    return Median.of(values.stream().mapToDouble(Double::doubleValue).toArray());
  }

  /**
   * How the grip of laps stands to that of the pages they are read against: speed squared at the
   * slowest places, median over corners and laps. NaN without any.
   */
  public static double gripAgainst(List<CornerPage> pages, List<List<CornerReading>> laps) {
    List<Double> ratios = new ArrayList<>();
    for (List<CornerReading> lap : laps) {
      for (int c = 0; c < lap.size(); c++) {
        Double speed = lap.get(c).slowest().speedMps();
        if (speed != null) {
          double share = speed / pages.get(c).lowestSpeedMps();
          ratios.add(share * share);
        }
      }
    }
    return median(ratios);
  }
}
