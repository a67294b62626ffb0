package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.core.TestRoads;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A car round and round a circle at 25 m/s, ten samples a second: which laps there are. */
class LapCutterTest {
  private static final double RADIUS_M = 100;
  private static final Road ROAD = Road.through(TestRoads.circle(RADIUS_M, 5));
  private static final double SPEED_MPS = 25;
  private static final double HZ = 10;
  private static final double LAP_S = ROAD.lengthM() / SPEED_MPS;

  /** From so many metres behind the line to so many; by distance alone or by position. */
  private static final class Run {
    private final double[] time;
    private final double[] way;
    private final double[] offset;
    private final double[] speed;

    Run(double fromM, double toM) {
      int n = (int) Math.round((toM - fromM) / SPEED_MPS * HZ) + 1;
      time = new double[n];
      way = new double[n];
      offset = new double[n];
      speed = new double[n];
      Arrays.setAll(way, i -> fromM + (toM - fromM) * i / (n - 1));
      Arrays.setAll(time, i -> (way[i] - fromM) / SPEED_MPS);
      Arrays.fill(speed, SPEED_MPS);
    }

    int at(double metres) {
      return IntStream.range(0, way.length).filter(i -> way[i] >= metres).findFirst().orElseThrow();
    }

    List<RecordedLap> cut() {
      Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
      double cx = middle(true);
      double cy = middle(false);
      double begin = Math.atan2(ROAD.yAt(0) - cy, ROAD.xAt(0) - cx);
      double[] x = new double[way.length];
      double[] y = new double[way.length];
      for (int i = 0; i < x.length; i++) {
        double angle = begin + 2 * Math.PI * way[i] / ROAD.lengthM();
        x[i] = cx + (RADIUS_M - offset[i]) * Math.cos(angle);
        y[i] = cy + (RADIUS_M - offset[i]) * Math.sin(angle);
      }
      channels.put(Channel.X, x);
      channels.put(Channel.Y, y);
      channels.put(Channel.SPEED, speed);
      Recording recording = new Recording(time, channels);
      return LapCutter.cut(recording, Stations.of(recording, ROAD), ROAD);
    }

    private static double middle(boolean x) {
      return IntStream.range(0, ROAD.size())
          .mapToDouble(i -> x ? ROAD.xAt(i) : ROAD.yAt(i))
          .average()
          .orElseThrow();
    }
  }

  private static List<RecordedLap.Kind> kinds(List<RecordedLap> laps) {
    List<RecordedLap.Kind> kinds = new ArrayList<>();
    laps.forEach(lap -> kinds.add(lap.kind()));
    return kinds;
  }

  @Test
  void wholeLapsLieBetweenTheLines() {
    List<RecordedLap> laps = new Run(-100, 2 * ROAD.lengthM() + 90).cut();
    assertThat(kinds(laps))
        .containsExactly(
            RecordedLap.Kind.OUT,
            RecordedLap.Kind.FLYING,
            RecordedLap.Kind.FLYING,
            RecordedLap.Kind.IN);
    assertThat(laps).extracting(RecordedLap::number).containsExactly(1, 2, 3, 4);
    assertThat(laps.get(0).timeS()).isCloseTo(100 / SPEED_MPS, within(0.02));
    assertThat(laps.get(1).timeS()).isCloseTo(LAP_S, within(0.02));
    assertThat(laps.get(2).timeS()).isCloseTo(LAP_S, within(0.02));
    assertThat(laps.get(3).timeS()).isCloseTo(90 / SPEED_MPS, within(0.02));
    for (int k = 0; k + 1 < laps.size(); k++) {
      assertThat(laps.get(k + 1).from()).isEqualTo(laps.get(k).to());
      assertThat(laps.get(k + 1).lineM() - laps.get(k).lineM())
          .isCloseTo(ROAD.lengthM(), within(1e-9));
    }
  }

  /** A sample and a half from the line is on it, four samples are not. */
  @ParameterizedTest
  @CsvSource({"3, FLYING", "10, OUT"})
  void whoBeginsAtTheLineHasCrossedIt(double behindM, RecordedLap.Kind first) {
    List<RecordedLap> laps = new Run(behindM, 2 * ROAD.lengthM() + 50).cut();
    assertThat(laps.get(0).kind()).isEqualTo(first);
    double whole = first == RecordedLap.Kind.FLYING ? 0 : behindM / SPEED_MPS;
    assertThat(laps.get(0).timeS()).isCloseTo(LAP_S - whole, within(0.02));
    assertThat(laps.get(1).timeS()).isCloseTo(LAP_S, within(0.02));
  }

  @ParameterizedTest
  @CsvSource({"3, FLYING", "10, IN"})
  void whoEndsAtTheLineHasCrossedIt(double beforeM, RecordedLap.Kind last) {
    List<RecordedLap> laps = new Run(-50, 2 * ROAD.lengthM() - beforeM).cut();
    assertThat(laps).hasSize(3);
    assertThat(laps.get(2).kind()).isEqualTo(last);
    double whole = last == RecordedLap.Kind.FLYING ? 0 : beforeM / SPEED_MPS;
    assertThat(laps.get(2).timeS()).isCloseTo(LAP_S - whole, within(0.02));
  }

  @Test
  void halfALapIsOneOnTheWayOut() {
    List<RecordedLap> laps = new Run(100, 400).cut();
    assertThat(kinds(laps)).containsExactly(RecordedLap.Kind.OUT);
    assertThat(laps.get(0).timeS()).isCloseTo(300 / SPEED_MPS, within(1e-9));
    assertThat(laps.get(0).lineM()).isZero();
  }

  /** Beyond the edge by more than two metres and what positions scatter by, for a second. */
  @ParameterizedTest
  @CsvSource({"12, 1.4, OFF", "-12, 1.4, OFF", "12, 0.7, FLYING", "6.5, 3, FLYING"})
  void whoLeavesTheRoadForLongHasNoLap(double offsetM, double seconds, RecordedLap.Kind kind) {
    Run run = new Run(-50, 2 * ROAD.lengthM() + 50);
    int from = run.at(200);
    Arrays.fill(run.offset, from, from + (int) (seconds * HZ), offsetM);
    List<RecordedLap> laps = run.cut();
    assertThat(laps.get(1).kind()).isEqualTo(kind);
    assertThat(laps.get(2).kind()).isEqualTo(RecordedLap.Kind.FLYING);
  }

  @Test
  void whoStandsHasNoLap() {
    Run run = new Run(-50, 2 * ROAD.lengthM() + 50);
    run.speed[run.at(200)] = 2;
    assertThat(run.cut().get(1).kind()).isEqualTo(RecordedLap.Kind.OFF);
  }

  /** In a gap of two seconds there can be a whole corner. */
  @ParameterizedTest
  @CsvSource({"15, FLYING", "25, BROKEN"})
  void aLapWithALongGapIsBroken(int samples, RecordedLap.Kind kind) {
    Run whole = new Run(-50, 2 * ROAD.lengthM() + 50);
    int from = whole.at(200);
    Run gapped = new Run(-50, 2 * ROAD.lengthM() + 50 - samples * SPEED_MPS / HZ);
    for (int i = 0; i < gapped.time.length; i++) {
      int of = i < from ? i : i + samples;
      gapped.time[i] = whole.time[Math.min(of, whole.time.length - 1)];
      gapped.way[i] = whole.way[Math.min(of, whole.way.length - 1)];
    }
    List<RecordedLap> laps = gapped.cut();
    assertThat(laps.get(1).kind()).isEqualTo(kind);
    assertThat(laps.get(1).timeS()).isCloseTo(LAP_S, within(0.02));
    assertThat(laps.get(2).kind()).isEqualTo(RecordedLap.Kind.FLYING);
  }
}
