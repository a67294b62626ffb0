package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What positions have of their own is found with its size, and taken out; what is the driver's
 * stays.
 */
class PlacingTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference BOOK =
      Reference.on(
          Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH),
          Conditions.DEFAULT,
          List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final Recording EXACT =
      new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap(), BOOK.lap()));

  private static Recording logged(
      double hz, double lagS, double eastM, double northM, double noiseM) {
    return LoggerErrors.of(
        EXACT, new LoggerTraits(hz, 100, 100, lagS, eastM, northM, noiseM, 0, 0), 7);
  }

  private static Placing.Placed placed(Recording recording) {
    return Placing.of(Cleaning.of(recording).recording(), ROAD, BOOK.lap());
  }

  /**
   * Check: the lag that was put in, and plain correlation of the speed with that of the positions,
   * moved against each other sample by sample.
   */
  @ParameterizedTest
  @CsvSource({
    "0, 100, 0.3",
    "0.05, 100, 0.3",
    "0.1, 100, 1",
    "0.2, 20, 0.5",
    "0.3, 10, 0.5",
    "0.3, 10, 1.5",
    "0.4, 100, 0.3",
    "0.4, 10, 1"
  })
  void theLagOfPositionsIsFound(double lagS, double hz, double noiseM) {
    Recording recording = logged(hz, lagS, 0, 0, noiseM);
    Placing.Placed placed = placed(recording);
    assertThat(placed.lagS()).isCloseTo(lagS, within(0.02));
    if (hz == 100 && noiseM < 0.5) {
      assertThat(correlated(recording)).isCloseTo(lagS, within(0.021));
    }
    assertThat(placed.corrections().stream().anyMatch(said -> said.words().contains("behind")))
        .isEqualTo(lagS > 0);
  }

  /** Lag at which the speed by the positions goes best with the speed, by plain correlation. */
  private static double correlated(Recording recording) {
    int n = recording.size();
    int half = 40;
    double[] byPosition = new double[n];
    for (int i = half; i < n - half; i++) {
      byPosition[i] =
          Math.hypot(
                  recording.at(Channel.X, i + half) - recording.at(Channel.X, i - half),
                  recording.at(Channel.Y, i + half) - recording.at(Channel.Y, i - half))
              / (0.02 * half);
    }
    double best = Double.NEGATIVE_INFINITY;
    double lag = Double.NaN;
    for (int shift = -20; shift <= 60; shift++) {
      double cross = 0;
      double a = 0;
      double b = 0;
      double mean = 35;
      for (int i = 200; i < n - 200; i++) {
        double v = recording.at(Channel.SPEED, i - shift) - mean;
        double w = byPosition[i] - mean;
        cross += v * w;
        a += v * v;
        b += w * w;
      }
      double alike = cross / Math.sqrt(a * b);
      if (alike > best) {
        best = alike;
        lag = shift / 100.0;
      }
    }
    return lag;
  }

  @ParameterizedTest
  @CsvSource({"4, 0", "0, -4", "-2.5, 2.5", "9, 7"})
  void aShiftOfAllPositionsIsFoundAndTakenOut(double eastM, double northM) {
    Placing.Placed placed = placed(logged(10, 0, eastM, northM, 0.5));
    assertThat(placed.shiftEastM()).isCloseTo(eastM, within(0.3));
    assertThat(placed.shiftNorthM()).isCloseTo(northM, within(0.3));
  }

  @Test
  void aShiftAndALagAreToldApart() {
    Placing.Placed placed = placed(logged(20, 0.3, 3, -3, 0.5));
    assertThat(placed.lagS()).isCloseTo(0.3, within(0.02));
    assertThat(Math.hypot(placed.shiftEastM() - 3, placed.shiftNorthM() + 3)).isLessThan(0.4);
  }

  /** A driver a metre and a half off the page's line, now left and now right, is not shifted. */
  @Test
  void anotherLineIsNoShift() {
    double[] x = EXACT.channel(Channel.X);
    double[] y = EXACT.channel(Channel.Y);
    RoadMatch match = RoadMatch.of(EXACT, ROAD);
    for (int i = 0; i < x.length; i++) {
      double off = 1.5 * Math.sin(2 * Math.PI * match.stationAt(i) / 130);
      x[i] += off * ROAD.normalXAt(match.roadAt(i));
      y[i] += off * ROAD.normalYAt(match.roadAt(i));
    }
    Placing.Placed placed = placed(EXACT.with(Channel.X, x).with(Channel.Y, y));
    assertThat(Math.hypot(placed.shiftEastM(), placed.shiftNorthM())).isZero();
    assertThat(placed.lagS()).isZero();
  }

  /** Somebody all over the road: a shift that takes next to nothing of that away is chance. */
  @Test
  void aShiftThatExplainsNothingIsNone() {
    double[] x = EXACT.channel(Channel.X);
    double[] y = EXACT.channel(Channel.Y);
    RoadMatch match = RoadMatch.of(EXACT, ROAD);
    for (int i = 0; i < x.length; i++) {
      double off = 4.5 * Math.sin(2 * Math.PI * match.stationAt(i) / 90);
      x[i] += 1.3 + off * ROAD.normalXAt(match.roadAt(i));
      y[i] += off * ROAD.normalYAt(match.roadAt(i));
    }
    Placing.Placed placed = placed(EXACT.with(Channel.X, x).with(Channel.Y, y));
    assertThat(Math.hypot(placed.shiftEastM(), placed.shiftNorthM())).isZero();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.3, 1, 2.5, 5})
  void noiseIsMeasuredAndMovesNeitherSpeedNorLag(double noiseM) {
    Placing.Placed placed = placed(logged(10, 0, 0, 0, noiseM));
    assertThat(placed.noiseM()).isCloseTo(noiseM, within(0.12 * noiseM));
    assertThat(placed.speedFactor()).isEqualTo(1);
    assertThat(placed.lagS()).isZero();
  }

  /** Where positions scatter by more than an apex is missed by, nothing is said of it. */
  @ParameterizedTest
  @CsvSource({"0.5, true", "1.5, true", "5, false"})
  void ofScatteredPositionsNoApexIsTold(double noiseM, boolean told) {
    Placing.Placed placed = placed(logged(10, 0, 0, 0, noiseM));
    RecordedLap lap =
        LapCutter.cut(placed.recording(), placed.stations(), ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    assertThat(lap.kind()).isEqualTo(RecordedLap.Kind.FLYING);
    LapReader reader = new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);
    CornerReading corner = reader.read(placed.recording(), placed.stations(), lap).get(0);
    assertThat(corner.way().insideM() != null).isEqualTo(told);
    assertThat(corner.slowest().speedMps()).isNotNull();
  }

  @Test
  void aSpeedThatDoesNotGoWithThePositionsIsPutRight() {
    double[] slow = Arrays.stream(EXACT.channel(Channel.SPEED)).map(v -> 0.95 * v).toArray();
    Placing.Placed placed = placed(EXACT.with(Channel.SPEED, slow));
    // The line crosses the road and climbs: along the road it is up to half a per cent shorter.
    assertThat(placed.speedFactor()).isCloseTo(1 / 0.95, within(0.005));
    assertThat(placed.corrections())
        .anyMatch(said -> said.words().contains("less than the positions"));
  }

  /**
   * Check: the mean of chords between noisy positions is too long by σ²/chord, from E|c + n| with n
   * normal in two directions, 2σ² each, of which the one across counts (closed form, own). A speed
   * from stations has none of it.
   */
  @Test
  void chordsAreTooLongByTheirClosedFormAndStationsAreNot() {
    double noise = 1.5;
    double chord = 10;
    Random random = new Random(11);
    double sum = 0;
    int n = 400_000;
    for (int k = 0; k < n; k++) {
      double dx = chord + noise * (random.nextGaussian() - random.nextGaussian());
      double dy = noise * (random.nextGaussian() - random.nextGaussian());
      sum += Math.hypot(dx, dy);
    }
    assertThat(sum / n - chord).isCloseTo(noise * noise / chord, within(0.02));
    Recording noisy =
        LoggerErrors.of(EXACT, new LoggerTraits(10, 100, 100, 0, 0, 0, noise, 0, 0), 5);
    Placing.Placed placed =
        Placing.of(Cleaning.of(noisy.without(Channel.SPEED)).recording(), ROAD, BOOK.lap());
    double driven = 0;
    double read = 0;
    for (int i = 500; i < EXACT.size() - 500; i++) {
      driven += EXACT.at(Channel.SPEED, i);
      read += placed.recording().at(Channel.SPEED, i);
    }
    // Chords of a tenth of a second at 35 m/s would be 0.64 m too long, which is 18 %; what is
    // left is the line across the road and up its hills, which the road is shorter than.
    assertThat(read / driven).isCloseTo(1, within(0.005));
  }

  @Test
  void lapsTheOtherWayRoundAreRefused() {
    int n = EXACT.size();
    double[] x = new double[n];
    double[] y = new double[n];
    Arrays.setAll(x, i -> EXACT.at(Channel.X, n - 1 - i));
    Arrays.setAll(y, i -> EXACT.at(Channel.Y, n - 1 - i));
    Recording back = EXACT.with(Channel.X, x).with(Channel.Y, y);
    assertThatThrownBy(() -> placed(back))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("the other way");
  }

  /** Of a file with a distance alone, whose laps begin where a beacon stands. */
  @ParameterizedTest
  @ValueSource(doubles = {-400, 0, 250, 700})
  void anotherBeaconIsFoundByTheSpeeds(double behindM) {
    RoadMatch match = RoadMatch.of(EXACT, ROAD);
    double[] distance = new double[EXACT.size()];
    double[] time = new double[EXACT.size()];
    double lap = ROAD.lengthM();
    for (int i = 0; i < distance.length; i++) {
      double since = match.stationAt(i) - behindM;
      distance[i] = since - lap * Math.floor(since / lap);
      time[i] = EXACT.timeAt(i);
    }
    Recording byDistance =
        new Recording(
            time, Map.of(Channel.DISTANCE, distance, Channel.SPEED, EXACT.channel(Channel.SPEED)));
    Placing.Placed placed = placed(byDistance);
    RecordedLap whole =
        LapCutter.cut(placed.recording(), placed.stations(), ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    assertThat(whole.timeS()).isCloseTo(BOOK.lap().timeS(), within(0.05));
    double lineAt = match.stationAt(whole.from());
    assertThat(Math.IEEEremainder(lineAt, lap)).isCloseTo(0, within(6.0));
    String said = behindM > 0 ? "laps.begin-behind" : "laps.begin-before";
    assertThat(placed.corrections())
        .extracting(Sentence::code)
        .filteredOn(code -> code.startsWith("laps.begin-"))
        .isEqualTo(behindM == 0 ? List.of() : List.of(said));
  }

  /** Forces and steering the other way round, or in other units, are turned and told. */
  @Test
  void signsOfSensorsFollowTheRoad() {
    double[] turned =
        Arrays.stream(EXACT.channel(Channel.LATERAL_G)).map(g -> -9.80665 * g).toArray();
    Recording right = placed(EXACT).recording();
    Placing.Placed placed = placed(EXACT.with(Channel.LATERAL_G, turned));
    for (int i = 1000; i < EXACT.size(); i += 997) {
      assertThat(placed.recording().at(Channel.LATERAL_G, i))
          .isCloseTo(right.at(Channel.LATERAL_G, i), within(1e-6));
    }
    assertThat(placed.corrections().stream().map(Sentence::words).toList().toString())
        .contains("m/s²")
        .contains("turned");
    assertThat(placed(EXACT).corrections()).isEmpty();
  }
}
