package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerTime;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A run along a hill climb, as a logger brings it: waiting at the start, and rolling out. */
class OpenRunTest {
  private static final Circuit HILL = MadeRoads.open();
  private static final Conditions STANDING =
      Conditions.OF_NEW_BOOKS.but().start(Conditions.Start.STANDING).build();

  private static Reference driven(Conditions day) {
    return Reference.on(
        Reference.basis(HILL, TestVehicles.clubCar(), day, ChosenLine.SMOOTH), day, List.of());
  }

  /** The lap at a rate, after some seconds of waiting, and on past the end for some more. */
  private static Recording recorded(Lap lap, double hz, double waitS, double outS, double noiseM) {
    Random random = new Random(5);
    List<double[]> rows = new ArrayList<>();
    int last = lap.size() - 1;
    for (double t = -waitS; t < lap.timeS() + outS; t += 1 / hz) {
      int i = 0;
      while (i < last && lap.timeAt(i + 1) < t) {
        i++;
      }
      double[] at = at(lap, i, t);
      rows.add(
          new double[] {
            t + waitS,
            at[0] + noiseM * random.nextGaussian(),
            at[1] + noiseM * random.nextGaussian(),
            at[2]
          });
    }
    return new Recording(
        column(rows, 0),
        Map.of(
            Channel.X,
            column(rows, 1),
            Channel.Y,
            column(rows, 2),
            Channel.SPEED,
            column(rows, 3)));
  }

  private static double[] at(Lap lap, int i, double t) {
    int last = lap.size() - 1;
    if (t <= 0) {
      return new double[] {lap.path().xAt(0), lap.path().yAt(0), t < 0 ? 0 : lap.speedAt(0)};
    }
    int from = Math.min(i, last - 1);
    double share = (t - lap.timeAt(from)) / (lap.timeAt(from + 1) - lap.timeAt(from));
    double speed = lap.speedAt(from) + share * (lap.speedAt(from + 1) - lap.speedAt(from));
    double x = lap.path().xAt(from) + share * (lap.path().xAt(from + 1) - lap.path().xAt(from));
    double y = lap.path().yAt(from) + share * (lap.path().yAt(from + 1) - lap.path().yAt(from));
    return new double[] {x, y, Math.max(0, speed)};
  }

  private static double[] column(List<double[]> rows, int c) {
    return rows.stream().mapToDouble(row -> row[c]).toArray();
  }

  private static List<RecordedLap> cut(Recording recording) {
    Road road = HILL.road();
    return LapCutter.cut(recording, Stations.of(recording, road), road);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 4, 60})
  void aRunFromRestIsTimedFromWhenItMoves(double waitS) {
    Lap lap = driven(STANDING).lap();
    assertThat(lap.speedAt(0)).isZero();
    List<RecordedLap> runs =
        cut(recorded(lap, 50, waitS, 2, 0.3)).stream()
            .filter(run -> run.kind() == RecordedLap.Kind.FLYING)
            .toList();
    assertThat(runs).hasSize(1);
    assertThat(runs.get(0).timeS()).isCloseTo(lap.timeS(), within(0.1));
  }

  @Test
  void aFlyingRunIsTimedFromTheLine() {
    Lap lap = driven(Conditions.OF_NEW_BOOKS).lap();
    List<RecordedLap> runs =
        cut(recorded(lap, 50, 0, 2, 0)).stream()
            .filter(run -> run.kind() == RecordedLap.Kind.FLYING)
            .toList();
    assertThat(runs).hasSize(1);
    assertThat(runs.get(0).timeS()).isCloseTo(lap.timeS(), within(0.05));
  }

  /**
   * Corner by corner it is read as it was driven, the last one to the end of the road; also where
   * the logger stops there.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0, 2})
  void theLastCornerLastsToTheEnd(double outS) {
    Reference reference = driven(STANDING);
    Recording recording = recorded(reference.lap(), 50, 3, outS, 0);
    Stations stations = Stations.of(recording, HILL.road());
    RecordedLap run =
        LapCutter.cut(recording, stations, HILL.road()).stream()
            .filter(r -> r.kind() == RecordedLap.Kind.FLYING)
            .findFirst()
            .orElseThrow();
    LapReader reader = new LapReader(HILL.road(), reference.pages(), Thresholds.DEFAULT, v -> 0);
    List<CornerReading> readings = reader.read(recording, stations, run);
    assertThat(readings).hasSize(3);
    double whole = readings.stream().mapToDouble(CornerReading::timeS).sum();
    double begins =
        reference
            .lap()
            .timeAt(
                HILL.road().indexOf(CornerTime.beginsAtM(reference.pages().get(0), HILL.road())));
    assertThat(begins + whole).isCloseTo(reference.lap().timeS(), within(0.1));
  }
}
