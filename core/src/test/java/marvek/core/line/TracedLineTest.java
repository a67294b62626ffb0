package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackPoint;
import marvek.core.conditions.Conditions;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TracedLineTest {
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Circuit CIRCUIT = MadeRoads.of(2, 1);
  private static final Road ROAD = CIRCUIT.road();
  private static final Path FASTEST = fastest(CIRCUIT);

  private static Path fastest(Circuit circuit) {
    return Reference.basis(circuit, CAR, Conditions.DEFAULT, ChosenLine.FASTEST).path();
  }

  /** Rounds of a line, a point every {@code stepM}, each off by noise of its own. */
  private static List<TrackPoint> driven(
      Path path, double stepM, double noiseM, int rounds, double begunAtM) {
    Random random = new Random(5);
    List<TrackPoint> points = new ArrayList<>();
    Road road = path.road();
    int step = road.samples(stepM);
    int first = road.indexOf(begunAtM);
    int last = first + (road.closed() ? rounds * road.size() + 2 * step : road.size() - 1 - first);
    for (int k = first; k <= last; k += step) {
      int i = road.wrap(k);
      points.add(
          new TrackPoint(
              path.xAt(i) + noiseM * random.nextGaussian(),
              path.yAt(i) + noiseM * random.nextGaussian(),
              Double.NaN));
    }
    return points;
  }

  private static double lapS(Circuit circuit, double[] offsets) {
    Path path = Path.at(circuit.road(), offsets, circuit.zones());
    return SpeedProfile.solve(path, CAR, Conditions.DEFAULT).timeS();
  }

  /** What a line of five metres a point keeps of hairpins costs 0.6 % of this lap. */
  @Test
  void aLineThatWasDrivenComesBack() {
    for (Circuit circuit : List.of(CIRCUIT, MadeRoads.open())) {
      Path path = circuit == CIRCUIT ? FASTEST : fastest(circuit);
      TracedLine.Result traced = TracedLine.of(circuit, CAR, driven(path, 4, 0, 1, 0));
      double[] along = traced.offsets().along(circuit.road());
      for (int i = 0; i < along.length; i++) {
        assertThat(along[i]).isCloseTo(path.offsetAt(i), within(0.02));
      }
      double lap = lapS(circuit, path.offsets());
      assertThat(lapS(circuit, along)).isCloseTo(lap, withinPercentage(0.7));
      assertThat(traced.beyondM()).isLessThan(0.02);
    }
  }

  /**
   * Positions of a good receiver and of a plain one; over rounds the median takes more of it out.
   */
  @ParameterizedTest
  @CsvSource({"0.05, 1, 0.03, 0.9", "0.3, 1, 0.13, 0.9", "0.3, 5, 0.08, 0.8", "1, 5, 0.2, 1.0"})
  void noiseIsTakenOut(double noiseM, int rounds, double mostRmsM, double mostPercent) {
    TracedLine.Result traced = TracedLine.of(CIRCUIT, CAR, driven(FASTEST, 4, noiseM, rounds, 100));
    assertThat(traced.rounds()).isCloseTo(rounds, within(0.02));
    double[] along = traced.offsets().along(ROAD);
    double squares = 0;
    for (int i = 0; i < along.length; i++) {
      squares += Math.pow(along[i] - FASTEST.offsetAt(i), 2) / along.length;
    }
    assertThat(Math.sqrt(squares)).isLessThan(mostRmsM);
    double lap = lapS(CIRCUIT, FASTEST.offsets());
    assertThat(lapS(CIRCUIT, along)).isCloseTo(lap, withinPercentage(mostPercent));
    double left = rounds == 1 ? noiseM : noiseM / Math.sqrt(rounds);
    assertThat(traced.noiseM()).isBetween(0.8 * left, 1.6 * left);
  }

  /** A stretch beside the road comes onto its edge, with its surroundings and without a corner. */
  @Test
  void whatLiesBesideTheRoadIsLaidOntoItsEdge() {
    double[] offsets = FASTEST.offsets();
    int middle = ROAD.size() / 3;
    for (int k = -60; k <= 60; k++) {
      offsets[middle + k] += 9 * Math.pow(Math.cos(Math.PI * k / 120), 2);
    }
    Path wide = Path.at(ROAD, offsets, List.of());
    TracedLine.Result traced = TracedLine.of(CIRCUIT, CAR, driven(wide, 4, 0, 1, 0));
    double[] along = traced.offsets().along(ROAD);
    double most = 0;
    for (int i = 0; i < along.length; i++) {
      double room = ROAD.widthLeftAt(i) - CAR.bodyWidthM() / 2;
      most = Math.max(most, offsets[i] - room);
      assertThat(along[i]).isLessThan(room + 0.05);
    }
    assertThat(traced.beyondM()).isCloseTo(most, within(0.05));
    assertThat(traced.beyondAtM()).isCloseTo(ROAD.stationAt(middle), within(30.0));
    Path kept = Path.at(ROAD, along, List.of());
    for (int i = middle - 100; i <= middle + 100; i++) {
      assertThat(Math.abs(kept.curvatureAt(i))).isLessThan(0.025);
    }
  }

  /** A book's file may be of another road, or be changed by hand. */
  @Test
  void offsetsOfAnotherRoadAreRefused() {
    LineOffsets line = LineOffsets.of(new double[100]);
    assertThatThrownBy(() -> line.along(ROAD)).hasMessageContaining("(100 of them)");
    double[] thrown = new double[LineOffsets.countOn(ROAD)];
    for (int k = 0; k < thrown.length; k++) {
      thrown[k] = k % 2 == 0 ? 50 : -50;
    }
    assertThatThrownBy(() -> LineOffsets.of(thrown).along(ROAD))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("jump");
    assertThatThrownBy(() -> LineOffsets.of(new double[] {0, Double.NaN}))
        .hasMessageContaining("lineOffsets_m[1]");
  }

  @Test
  void whatIsNoLapOfTheRoadIsRefused() {
    List<TrackPoint> lap = driven(FASTEST, 4, 0, 1, 0);
    List<TrackPoint> back = new ArrayList<>(lap);
    java.util.Collections.reverse(back);
    refused(back, "refused.line-against");
    refused(lap.subList(0, lap.size() / 2), "refused.line-gap");
    refused(
        lap.stream().map(p -> new TrackPoint(p.xM() + 5000, p.yM() - 30, p.zM())).toList(),
        "refused.line-elsewhere");
  }

  private static void refused(List<TrackPoint> points, String code) {
    assertThatThrownBy(() -> TracedLine.of(CIRCUIT, CAR, points))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            e -> {
              assertThat(e.field()).isEqualTo("track");
              assertThat(e.said().code()).isEqualTo(code);
            });
  }
}
