package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.OwnValues;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.LinearInterpolator;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.junit.jupiter.api.Test;

/** Laps of known truth: what the model drives is read back within the accuracy that is promised. */
class ModelRecordingTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();

  private static List<CornerReading> read(Recording recording, int number) {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap = LapCutter.cut(recording, stations, ROAD).get(number);
    return new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, ModelRecordingTest::dragG)
        .read(recording, stations, lap);
  }

  /** About the club car's: ½ρ·CdA·v² over its weight, with rolling. */
  private static double dragG(double v) {
    return 0.5 * 1.2 * 0.7 * v * v / (1100 * 9.81) + 0.015;
  }

  /** Where the model's own brake goes through 3 % on the way to a corner. */
  private static double brakeOnM(Lap lap, double actM) {
    int i = ROAD.indexOf(actM);
    while (lap.brakeShareAt(i) < 0.03) {
      i = ROAD.wrap(i + 1);
    }
    return ROAD.stationAt(i);
  }

  @Test
  void atAHundredHertzEventsAreWithinTwoMetresAndTheLapWithinAHundredth() {
    Recording recording = new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap()));
    List<RecordedLap> laps = LapCutter.cut(recording, Stations.of(recording, ROAD), ROAD);
    assertThat(laps.get(1).timeS()).isCloseTo(BOOK.lap().timeS(), within(0.01));
    List<CornerReading> readings = read(recording, 1);
    int braked = 0;
    for (int p = 0; p < readings.size(); p++) {
      CornerReading reading = readings.get(p);
      assertThat(reading.slowest().speedMps())
          .as("%s", reading)
          .isCloseTo(BOOK.pages().get(p).lowestSpeedMps(), within(0.5 / 3.6));
      Double act = BOOK.pages().get(p).brake().atM();
      if (act != null && reading.braking().onM() != null) {
        double on = ROAD.wrapStation(reading.braking().onM());
        assertThat(Math.abs(ROAD.offsetBetween(brakeOnM(BOOK.lap(), act), on)))
            .as("%s", reading)
            .isLessThan(2);
        braked++;
      }
    }
    assertThat(braked).isGreaterThan(3);
  }

  /** Where the model's drive comes in, in per cent of what there is, behind a place. */
  private static double throttleOnM(Lap lap, double slowestM) {
    int i = ROAD.indexOf(slowestM);
    while (lap.throttleShareAt(i) < 0.05) {
      i = ROAD.wrap(i + 1);
    }
    return ROAD.stationAt(i);
  }

  @Test
  void theSlowestPlaceAndTheThrottleAreWhereTheModelHasThem() {
    Recording recording = new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap()));
    List<CornerReading> readings = read(recording, 1);
    for (int p = 0; p < readings.size(); p++) {
      CornerReading reading = readings.get(p);
      double lowestM = ROAD.wrapStation(reading.slowest().atM());
      double away = ROAD.offsetBetween(BOOK.pages().get(p).lowestSpeedAtM(), lowestM);
      assertThat(Math.abs(away)).as("%s", reading).isLessThan(5);
      if (reading.braking().onM() != null) {
        double on = ROAD.wrapStation(reading.throttle().firstM());
        double truth = throttleOnM(BOOK.lap(), ROAD.wrapStation(reading.braking().releaseM()));
        assertThat(Math.abs(ROAD.offsetBetween(truth, on))).as("%s", reading).isLessThan(2);
      }
    }
  }

  @Test
  void atTenHertzWithNoiseBrakeOnIsWithinSixMetresAndTheLapWithinFiveHundredths() {
    int braked = 0;
    for (int seed = 1; seed <= 6; seed++) {
      Recording recording =
          new ModelRecording(10, 1.5, false, seed).of(List.of(BOOK.lap(), BOOK.lap()));
      List<RecordedLap> laps = LapCutter.cut(recording, Stations.of(recording, ROAD), ROAD);
      assertThat(laps.get(1).timeS()).isCloseTo(BOOK.lap().timeS(), within(0.05));
      List<CornerReading> readings = read(recording, 1);
      for (int p = 0; p < readings.size(); p++) {
        Double act = BOOK.pages().get(p).brake().atM();
        Double pct = BOOK.pages().get(p).brake().initialPct();
        if (act != null && pct > 30) {
          double on = ROAD.wrapStation(readings.get(p).braking().onM());
          double truth = brakeOnM(BOOK.lap(), act);
          assertThat(Math.abs(ROAD.offsetBetween(truth, on)))
              .as("seed %d, %s, truth %.1f", seed, readings.get(p), truth)
              .isLessThan(6);
          braked++;
        }
      }
    }
    assertThat(braked).isGreaterThan(12);
  }

  /** Property: less speed carried and later throttle show up in their corner and nowhere else. */
  @Test
  void aBrakePointThatIsMovedEarlierIsReadEarlier() {
    double act = BOOK.pages().get(2).brake().atM();
    Reference early =
        Reference.on(
            BASIS,
            Conditions.DEFAULT,
            List.of(OwnValues.in(BOOK.pages().get(2).corner()).brakeAtM(act - 12).build()));
    Recording there = new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap()));
    Recording moved = new ModelRecording(100, 0, true, 1).of(List.of(early.lap(), early.lap()));
    double by = read(there, 1).get(2).braking().onM() - read(moved, 1).get(2).braking().onM();
    assertThat(by).isCloseTo(12, within(2.5));
    assertThat(read(moved, 1).get(0).braking().onM())
        .isCloseTo(read(there, 1).get(0).braking().onM(), within(0.5));
    assertThat(read(moved, 1).get(2).timeS()).isGreaterThan(read(there, 1).get(2).timeS());
  }

  /** Cutting a file in two does not change what is read of a lap that is whole in one of them. */
  @Test
  void splittingARecordingChangesNoReading() {
    Recording whole =
        new ModelRecording(100, 0.5, true, 3).of(List.of(BOOK.lap(), BOOK.lap(), BOOK.lap()));
    int half = whole.size() / 2;
    double[] time = new double[half];
    java.util.Map<Channel, double[]> channels = new java.util.EnumMap<>(Channel.class);
    for (int i = 0; i < half; i++) {
      time[i] = whole.timeAt(i);
    }
    for (Channel channel : Channel.values()) {
      if (whole.has(channel)) {
        double[] part = new double[half];
        for (int i = 0; i < half; i++) {
          part[i] = whole.at(channel, i);
        }
        channels.put(channel, part);
      }
    }
    List<CornerReading> of = read(whole, 1);
    List<CornerReading> ofPart = read(new Recording(time, channels), 1);
    // Of the last corner the way to the next lap's first may lie in the other half.
    assertThat(ofPart.subList(0, ofPart.size() - 1)).isEqualTo(of.subList(0, of.size() - 1));
    assertThat(of).allMatch(r -> r.timeS() != null && r.throttle().firstM() != null);
  }

  @Test
  void theDrivenLineIsThePathAgain() {
    Recording recording = new ModelRecording(100, 0.3, true, 5).of(List.of(BOOK.lap(), BOOK.lap()));
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap = LapCutter.cut(recording, stations, ROAD).get(1);
    double[] line = DrivenLine.of(stations, lap, ROAD, 4);
    double squares = 0;
    for (int k = 0; k < line.length; k++) {
      int at = ROAD.indexOf(Math.min(ROAD.lengthM() - 1, 4 * k + 2));
      double off = line[k] - BOOK.path().offsetAt(at);
      squares += off * off / line.length;
    }
    assertThat(Math.sqrt(squares)).isLessThan(0.3);
  }

  @Test
  void withoutAPositionThereIsNoLine() {
    Recording distances = HandWrittenLap.at(40).steady(ROAD.lengthM(), 0, 100, 4).recorded(50, 2);
    Stations stations = Stations.of(distances, ROAD);
    RecordedLap lap = LapCutter.cut(distances, stations, ROAD).get(1);
    assertThat(DrivenLine.of(stations, lap, ROAD, 4)).isEmpty();
  }

  /** The lap over its time, closed, as Hipparchus' {@code LinearInterpolator} lays it. */
  private static UnivariateFunction overTime(IntToDoubleFunction at) {
    Lap lap = BOOK.lap();
    int n = lap.size();
    return new LinearInterpolator()
        .interpolate(
            IntStream.rangeClosed(0, n)
                .mapToDouble(i -> i == n ? lap.timeS() : lap.timeAt(i))
                .toArray(),
            IntStream.rangeClosed(0, n).mapToDouble(i -> at.applyAsDouble(i % n)).toArray());
  }

  /**
   * Check: what has a between (all but gear and engine speed) at every sample against the
   * library's. Times are kept to 1 µs.
   */
  @Test
  void channelsAreTheLapBetweenItsSamples() {
    Lap lap = BOOK.lap();
    Road road = lap.path().road();
    Map<Channel, UnivariateFunction> expected =
        Map.of(
            Channel.X,
            overTime(i -> road.xAt(i) + lap.path().offsetAt(i) * road.normalXAt(i)),
            Channel.Y,
            overTime(i -> road.yAt(i) + lap.path().offsetAt(i) * road.normalYAt(i)),
            Channel.SPEED,
            overTime(lap::speedAt),
            Channel.BRAKE,
            overTime(i -> 100 * lap.brakeShareAt(i)),
            Channel.THROTTLE,
            overTime(i -> lap.shiftingAt(i) ? 100 : 100 * lap.throttleShareAt(i)),
            Channel.LATERAL_G,
            overTime(i -> lap.lateralAccelerationAt(i) / 9.80665),
            Channel.LONGITUDINAL_G,
            overTime(i -> lap.longitudinalAccelerationAt(i) / 9.80665));
    double before = ModelRecording.RUN_IN * lap.timeS();
    for (double hz : new double[] {10, 100}) {
      Recording recording = new ModelRecording(hz, 0, true, 1).of(List.of(lap, lap));
      double whole = 2 * (before + lap.timeS());
      assertThat(recording.size()).isBetween((int) (whole * hz), (int) (whole * hz) + 2);
      for (int k = 0; k < recording.size(); k++) {
        assertThat(recording.timeAt(k)).isCloseTo(k / hz, within(1e-9));
        double t = (k / hz - before + lap.timeS()) % lap.timeS();
        for (Map.Entry<Channel, UnivariateFunction> channel : expected.entrySet()) {
          assertThat(recording.at(channel.getKey(), k))
              .as("%s at %s", channel.getKey(), t)
              .isCloseTo(channel.getValue().value(t), within(0.01));
        }
      }
    }
  }

  /** Noise of positions has the deviation that is asked for, and nothing else has any. */
  @Test
  void onlyPositionsScatterAndByWhatIsAskedFor() {
    Recording clean = new ModelRecording(50, 0, true, 3).of(List.of(BOOK.lap()));
    Recording noisy = new ModelRecording(50, 0.8, true, 3).of(List.of(BOOK.lap()));
    StandardDeviation off = new StandardDeviation();
    for (int k = 0; k < clean.size(); k++) {
      off.increment(noisy.at(Channel.X, k) - clean.at(Channel.X, k));
      off.increment(noisy.at(Channel.Y, k) - clean.at(Channel.Y, k));
      assertThat(noisy.at(Channel.SPEED, k)).isEqualTo(clean.at(Channel.SPEED, k));
    }
    // Of 5,000 draws a deviation is known to 1 %; three of these.
    assertThat(off.getResult()).isCloseTo(0.8, withinPercentage(3));
    assertThat(clean.size()).isGreaterThan(2000);
  }
}
