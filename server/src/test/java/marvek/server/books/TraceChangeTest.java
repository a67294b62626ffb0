package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What two traces differ by, laid over the first, is the second. */
class TraceChangeTest {
  private static final int N = 3000;

  private static double[] ramp(double per) {
    double[] values = new double[N];
    for (int i = 0; i < N; i++) {
      values[i] = Math.round(i * per * 1000) / 1000.0;
    }
    return values;
  }

  private static Trace trace(double[] speed, double[] time) {
    double[] same = ramp(1);
    return new Trace(
        2, 2 * N, true, same, same, same, same, same, same, same, speed, same, same, same, time,
        same, same, same, same, same, same, 4.5, 1.2, 1.1, List.of(), List.of(), List.of(),
        List.of(), List.of(), List.of(), null);
  }

  private static double[] laidOver(TraceChange change, String column, double[] before) {
    double[] result = before.clone();
    for (TraceChange.Run run : change.runs()) {
      for (int k = 0; run.column().equals(column) && k < run.count(); k++) {
        int i = run.from() + k;
        result[i] = run.plus() == null ? run.values()[k] : before[i] + run.plus();
      }
    }
    return result;
  }

  @Test
  void theSameHasNoChange() {
    Trace trace = trace(ramp(0.01), ramp(0.05));
    assertThat(TraceChange.between(trace, trace(ramp(0.01), ramp(0.05))))
        .isEqualTo(
            new TraceChange(
                null, List.of(), Map.of(), null, null, null, null, null, null, null, false));
  }

  /** Changed here and there, and later from somewhere on: only that, to the last figure shown. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void aChangeLaidOverGivesTheOther(long seed) {
    Random random = new Random(seed);
    double[] speed = ramp(0.01);
    double[] time = ramp(0.05);
    double later = 0;
    int from = random.nextInt(N - 200);
    int to = from + 50 + random.nextInt(100);
    for (int i = from; i < N; i++) {
      later += i < to ? 0.003 * random.nextDouble() : 0;
      time[i] = Math.round((time[i] + later) * 1000) / 1000.0;
      if (i < to && random.nextInt(4) > 0) {
        speed[i] = Math.round((speed[i] - random.nextDouble()) * 100) / 100.0;
      }
    }
    Trace before = trace(ramp(0.01), ramp(0.05));
    TraceChange change = TraceChange.between(before, trace(speed, time));
    assertThat(laidOver(change, "speed_mps", ramp(0.01))).isEqualTo(speed);
    double[] again = laidOver(change, "time_s", ramp(0.05));
    for (int i = 0; i < N; i++) {
      assertThat(again[i]).isCloseTo(time[i], within(0.0011));
    }
    int told = change.runs().stream().mapToInt(run -> run.values().length).sum();
    assertThat(told).isLessThan(2 * (to - from) + 20);
  }

  @Test
  void anotherRoadIsTheWholeTrace() {
    Trace before = trace(ramp(0.01), ramp(0.05));
    Trace other =
        new Trace(
            1, N, true, ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1),
            ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1),
            ramp(1), 4.5, 1.2, 1.1, List.of(), List.of(), List.of(), List.of(), List.of(),
            List.of(), null);
    assertThat(TraceChange.between(before, other).whole()).isSameAs(other);
  }

  @Test
  void figuresAndTheSkyAreToldWhereTheyDiffer() {
    Trace.Sky low = new Trace.Sky(100, 5, List.of(2));
    Trace before = trace(ramp(1), ramp(1));
    Trace now =
        new Trace(
            2, 2 * N, true, ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1),
            ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1), ramp(1),
            ramp(1), 4.5, 1.3, 1.0, List.of(), List.of(), List.of(), List.of(), List.of(),
            List.of(), low);
    TraceChange change = TraceChange.between(before, now);
    assertThat(change.figures()).isEqualTo(Map.of("topLateral_g", 1.3, "topBraking_g", 1.0));
    assertThat(change.sky()).isEqualTo(low);
    assertThat(change.noSky()).isFalse();
    TraceChange back = TraceChange.between(now, before);
    assertThat(back.sky()).isNull();
    assertThat(back.noSky()).isTrue();
  }
}
