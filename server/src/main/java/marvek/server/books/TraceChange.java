package marvek.server.books;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Zone;
import marvek.core.corner.Corner;
import marvek.core.page.Remark;
import org.jspecify.annotations.Nullable;

/**
 * What of a trace is not as it was in another one; what is left out is the same.
 *
 * @param whole the trace itself, where the two have not the same samples; then nothing else is
 *     there
 * @param runs stretches of columns that differ, in their order
 * @param figures single numbers that differ, by their names
 * @param sky null in both or the same where it is left out; see {@code noSky}
 * @param noSky whether it has none any more
 */
record TraceChange(
    @Nullable Trace whole,
    List<Run> runs,
    Map<String, Double> figures,
    @Nullable List<Corner> corners,
    @Nullable List<Mark> marks,
    @Nullable List<Kerb> kerbs,
    @Nullable List<Zone> zones,
    @Nullable List<Hazard> hazards,
    @Nullable List<Remark> remarks,
    Trace.@Nullable Sky sky,
    boolean noSky) {

  /**
   * A stretch of a column.
   *
   * @param from its first sample
   * @param values what stands there now; empty where {@code plus} says it
   * @param count number of samples
   * @param plus added to each of what was there; null where the values are given
   */
  record Run(String column, int from, double[] values, int count, @Nullable Double plus) {}

  /** Equal values between two that differ: a new run costs more than these. */
  private static final int BRIDGED = 6;

  /** Times are rounded to so much: shifted by a constant they are the same but for that. */
  private static final double TIME_STEP_S = 0.001;

  /** A shift is worth a run of its own from so many samples on. */
  private static final int LEAST_SHIFTED = 40;

  private static final Map<String, Function<Trace, double[]>> COLUMNS = columns();

  private static Map<String, Function<Trace, double[]>> columns() {
    Map<String, Function<Trace, double[]>> all = new LinkedHashMap<>();
    all.put("x_m", Trace::x_m);
    all.put("y_m", Trace::y_m);
    all.put("z_m", Trace::z_m);
    all.put("curvature_perM", Trace::curvature_perM);
    all.put("left_m", Trace::left_m);
    all.put("right_m", Trace::right_m);
    all.put("offset_m", Trace::offset_m);
    all.put("speed_mps", Trace::speed_mps);
    all.put("brake_pct", Trace::brake_pct);
    all.put("throttle_pct", Trace::throttle_pct);
    all.put("gear", Trace::gear);
    all.put("time_s", Trace::time_s);
    all.put("grade_pct", Trace::grade_pct);
    all.put("banking_deg", Trace::banking_deg);
    all.put("grip_pct", Trace::grip_pct);
    all.put("limit", Trace::limit);
    all.put("allowedLeft_m", Trace::allowedLeft_m);
    all.put("allowedRight_m", Trace::allowedRight_m);
    return all;
  }

  /** What is not in {@code before} as it is {@code now}. */
  static TraceChange between(Trace before, Trace now) {
    boolean same =
        before.step_m() == now.step_m()
            && before.length_m() == now.length_m()
            && before.closed() == now.closed()
            && before.x_m().length == now.x_m().length;
    if (!same) {
      return whole(now);
    }
    return new TraceChange(
        null,
        runs(before, now),
        figures(before, now),
        unless(before.corners(), now.corners()),
        unless(before.marks(), now.marks()),
        unless(before.kerbs(), now.kerbs()),
        unless(before.zones(), now.zones()),
        unless(before.hazards(), now.hazards()),
        unless(before.remarks(), now.remarks()),
        unless(before.sky(), now.sky()),
        before.sky() != null && now.sky() == null);
  }

  /** Of a trace that is another one altogether. */
  static TraceChange whole(Trace now) {
    return new TraceChange(
        now, List.of(), Map.of(), null, null, null, null, null, null, null, false);
  }

  private static <T> T unless(T before, T now) {
    return Objects.equals(before, now) ? null : now;
  }

  private static Map<String, Double> figures(Trace before, Trace now) {
    Map<String, Double> changed = new LinkedHashMap<>();
    if (before.carLength_m() != now.carLength_m()) {
      changed.put("carLength_m", now.carLength_m());
    }
    if (before.topLateral_g() != now.topLateral_g()) {
      changed.put("topLateral_g", now.topLateral_g());
    }
    if (before.topBraking_g() != now.topBraking_g()) {
      changed.put("topBraking_g", now.topBraking_g());
    }
    return changed;
  }

  private static List<Run> runs(Trace before, Trace now) {
    List<Run> runs = new ArrayList<>();
    COLUMNS.forEach(
        (name, column) -> {
          double[] was = column.apply(before);
          double[] is = column.apply(now);
          int k = 0;
          while (k < is.length) {
            if (was[k] == is[k]) {
              k++;
              continue;
            }
            int shifted = name.equals("time_s") ? shiftedTo(was, is, k) : k;
            int end = shifted - k >= LEAST_SHIFTED ? shifted : endOf(was, is, k, name);
            runs.add(
                shifted == end
                    ? new Run(name, k, new double[0], end - k, middle(was, is, k, end))
                    : new Run(name, k, java.util.Arrays.copyOfRange(is, k, end), end - k, null));
            k = end;
          }
        });
    return runs;
  }

  /** End of the samples that differ, with short stretches of equal ones among them. */
  private static int endOf(double[] was, double[] is, int from, String name) {
    int end = from + 1;
    for (int k = from + 1; k < is.length && k - end < BRIDGED; k++) {
      if (was[k] != is[k]) {
        boolean shifts = name.equals("time_s") && shiftedTo(was, is, k) - k >= LEAST_SHIFTED;
        if (shifts) {
          return k;
        }
        end = k + 1;
      }
    }
    return end;
  }

  /** End of the samples that are all later, or earlier, by the same time. */
  private static int shiftedTo(double[] was, double[] is, int from) {
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    int k = from;
    for (; k < is.length; k++) {
      least = Math.min(least, is[k] - was[k]);
      most = Math.max(most, is[k] - was[k]);
      if (most - least > 1.5 * TIME_STEP_S) {
        break;
      }
    }
    return k;
  }

  private static double middle(double[] was, double[] is, int from, int to) {
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int k = from; k < to; k++) {
      least = Math.min(least, is[k] - was[k]);
      most = Math.max(most, is[k] - was[k]);
    }
    return Math.round((least + most) / 2 * 1e4) / 1e4;
  }
}
