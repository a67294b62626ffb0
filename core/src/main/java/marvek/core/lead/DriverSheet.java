package marvek.core.lead;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A driver's day on one page: what was good, three things to work on, how each corner went.
 *
 * @param good praise, and what was taken, in the order of the laps
 * @param workOn at most three, the one said most often first
 * @param corners those of which anything is known, in the order of their numbers
 */
public record DriverSheet(List<GroupRemark> good, List<Work> workOn, List<CornerDay> corners) {
  private static final int MOST_TO_WORK_ON = 3;

  /** Laps at either end of the day that are taken together. */
  private static final int LAPS_AT_AN_END = 2;

  public DriverSheet {
    good = List.copyOf(good);
    workOn = List.copyOf(workOn);
    corners = List.copyOf(corners);
  }

  /**
   * Something to work on.
   *
   * @param times how often it was said
   * @param lastLap on which it was said last
   */
  public record Work(int corner, String words, int times, int lastLap) {}

  /**
   * A corner over the day.
   *
   * @param said remarks that asked for something
   * @param firstLostS against the page on the first laps that were read in [s]; null without
   * @param lastLostS on the last ones
   */
  public record CornerDay(int corner, int said, int taken, Double firstLostS, Double lastLostS) {}

  /**
   * The sheet of a driver.
   *
   * @param remarks of the whole group
   * @param lostS by corner the seconds that each of his laps lost there, in the order of the laps
   */
  public static DriverSheet of(
      String driver, List<GroupRemark> remarks, Map<Integer, List<Double>> lostS) {
    List<GroupRemark> his = remarks.stream().filter(r -> r.driver().equals(driver)).toList();
    List<GroupRemark> good =
        his.stream()
            .filter(r -> r.state() == GroupRemark.State.TAKEN)
            .sorted(Comparator.comparingInt(GroupRemark::lap))
            .toList();
    return new DriverSheet(good, workOn(his), corners(his, lostS));
  }

  /** What was not taken, or is open still; the same words in the same corner are one thing. */
  private static List<Work> workOn(List<GroupRemark> his) {
    Map<String, Work> things = new LinkedHashMap<>();
    for (GroupRemark r : his) {
      if (r.state() != GroupRemark.State.TAKEN) {
        things.merge(
            r.corner() + " " + r.words().toLowerCase(java.util.Locale.ROOT),
            new Work(r.corner(), r.words(), 1, r.lap()),
            (a, b) ->
                new Work(a.corner(), a.words(), a.times() + 1, Math.max(a.lastLap(), b.lastLap())));
      }
    }
    return things.values().stream()
        .sorted(Comparator.comparingInt((Work w) -> -w.times()).thenComparingInt(w -> -w.lastLap()))
        .limit(MOST_TO_WORK_ON)
        .toList();
  }

  private static List<CornerDay> corners(List<GroupRemark> his, Map<Integer, List<Double>> lostS) {
    Map<Integer, List<GroupRemark>> byCorner = new TreeMap<>();
    lostS.keySet().forEach(corner -> byCorner.put(corner, new ArrayList<>()));
    his.stream()
        .filter(r -> r.corner() > 0 && !r.good())
        .forEach(r -> byCorner.computeIfAbsent(r.corner(), c -> new ArrayList<>()).add(r));
    return byCorner.entrySet().stream()
        .map(
            e -> {
              List<Double> lost = lostS.getOrDefault(e.getKey(), List.of());
              int taken =
                  (int)
                      e.getValue().stream()
                          .filter(r -> r.state() == GroupRemark.State.TAKEN)
                          .count();
              return new CornerDay(
                  e.getKey(), e.getValue().size(), taken, mean(lost, true), mean(lost, false));
            })
        .toList();
  }

  /** Of laps that overlap at both ends nothing can be said. */
  private static Double mean(List<Double> lost, boolean first) {
    if (lost.size() < 2 * LAPS_AT_AN_END) {
      return null;
    }
    List<Double> part =
        first
            ? lost.subList(0, LAPS_AT_AN_END)
            : lost.subList(lost.size() - LAPS_AT_AN_END, lost.size());
    return part.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
  }
}
