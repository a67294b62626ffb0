package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.numeric.Median;
import marvek.core.reference.Reference;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;

/** Where samples lie on the road, against linear referencing of a library; and with noise. */
class StationsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference BOOK =
      Reference.on(
          Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH),
          Conditions.DEFAULT,
          List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final LapReader READER =
      new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);

  /** Check: positions beside the road against JTS, {@code LengthIndexedLine.project}. */
  @Test
  void positionsAreProjectedAsTheLibraryDoes() {
    Coordinate[] points = new Coordinate[ROAD.size() + 1];
    for (int i = 0; i < points.length; i++) {
      int at = i % ROAD.size();
      points[i] = new Coordinate(ROAD.xAt(at), ROAD.yAt(at));
    }
    LineString line = new GeometryFactory().createLineString(points);
    LengthIndexedLine index = new LengthIndexedLine(line);
    double scale = ROAD.lengthM() / line.getLength();
    Random random = new Random(8);
    int n = 1500;
    double[] time = new double[n];
    double[] x = new double[n];
    double[] y = new double[n];
    double[] speed = new double[n];
    double[] expected = new double[n];
    for (int i = 0; i < n; i++) {
      int at = (int) (i * (ROAD.size() * 0.95) / n);
      double offset = 3.5 * Math.sin(i / 40.0) + 0.2 * random.nextDouble();
      time[i] = i / 20.0;
      x[i] = ROAD.xAt(at) + offset * ROAD.normalXAt(at);
      y[i] = ROAD.yAt(at) + offset * ROAD.normalYAt(at);
      expected[i] = index.project(new Coordinate(x[i], y[i])) * scale;
    }
    for (int i = 1; i < n; i++) {
      speed[i] = Math.hypot(x[i] - x[i - 1], y[i] - y[i - 1]) / (time[i] - time[i - 1]);
    }
    speed[0] = speed[1];
    Stations stations =
        Stations.of(
            new Recording(time, Map.of(Channel.X, x, Channel.Y, y, Channel.SPEED, speed)), ROAD);
    double[] away = new double[n];
    Arrays.setAll(away, i -> Math.abs(stations.stationAt(i) - expected[i]));
    // A polyline of 1 m steps is no curve: the library's own answer is good to some decimetres.
    assertThat(Median.of(away)).isLessThan(0.3);
    assertThat(Arrays.stream(away).max().orElseThrow()).isLessThan(2.0);
  }

  private static Recording recording(double noiseM, long seed) {
    return new ModelRecording(100, noiseM, true, seed).of(List.of(BOOK.lap(), BOOK.lap()));
  }

  private static List<CornerReading> read(Recording recording) {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap =
        LapCutter.cut(recording, stations, ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    return READER.read(recording, stations, lap);
  }

  private static final List<CornerReading> CLEAN = read(recording(0, 1));

  /** Property: noise of positions within bounds moves readings within bounds. */
  @Property(tries = 12)
  void noiseMovesReadingsWithinBounds(
      @ForAll @DoubleRange(min = 0, max = 1) double noiseM, @ForAll @IntRange(max = 99) int seed) {
    List<CornerReading> noisy = read(recording(noiseM, seed));
    for (int p = 0; p < CLEAN.size(); p++) {
      CornerReading clean = CLEAN.get(p);
      CornerReading lap = noisy.get(p);
      assertThat(lap.slowest().speedMps()).isCloseTo(clean.slowest().speedMps(), within(0.5 / 3.6));
      if (clean.braking().onM() != null) {
        assertThat(lap.braking().onM()).isCloseTo(clean.braking().onM(), within(2.0));
      }
      assertThat(lap.timeS()).isCloseTo(clean.timeS(), within(0.05));
    }
  }

  /** Property: where the logger's clock begins changes nothing. */
  @Property(tries = 10)
  void theClocksBeginDoesNotMatter(@ForAll @DoubleRange(min = -5000, max = 5e6) double begin) {
    Recording there = recording(0, 1);
    double[] time = new double[there.size()];
    Arrays.setAll(time, i -> there.timeAt(i) + begin);
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (Channel channel : Channel.values()) {
      if (there.has(channel)) {
        channels.put(channel, there.channel(channel));
      }
    }
    List<CornerReading> moved = read(new Recording(time, channels));
    for (int p = 0; p < CLEAN.size(); p++) {
      assertThat(moved.get(p).timeS()).isCloseTo(CLEAN.get(p).timeS(), within(1e-4));
    }
  }

  /** Without a position the speed tells the way, also one that shows a tenth too much. */
  @Test
  void aLossOfThePositionIsLaidOverByTheSpeed() {
    Recording clean = recording(0, 1);
    Stations known = Stations.of(clean, ROAD);
    Stations over = Stations.of(lost(clean, 1500, 1950), ROAD);
    // A tenth of the way is 19 m. It is spread evenly over the time, the car is not as fast all the
    // time, and how far it drives beside the middle of the road is not known: that leaves 3.5 m.
    for (int i = 1000; i < 2500; i++) {
      double most = i >= 1450 && i < 2000 ? 4 : 0.05;
      assertThat(over.stationAt(i)).as("at %d", i).isCloseTo(known.stationAt(i), within(most));
    }
    assertThat(over.offsetAt(1725)).as("how far beside the road is not known").isNaN();
    Stations longer = Stations.of(lost(clean, 1500, 2500), ROAD);
    assertThat(longer.stationAt(2000)).as("longer than eight seconds").isNaN();
    Stations begun = Stations.of(lost(clean, 0, 300), ROAD);
    assertThat(begun.stationAt(100)).as("before the first position").isNaN();
  }

  private static Recording lost(Recording clean, int from, int to) {
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    double[] time = new double[clean.size()];
    Arrays.setAll(time, clean::timeAt);
    for (Channel channel : List.of(Channel.X, Channel.Y, Channel.SPEED)) {
      double[] values = clean.channel(channel).clone();
      if (channel == Channel.SPEED) {
        Arrays.setAll(values, i -> 1.1 * clean.at(Channel.SPEED, i));
      } else {
        Arrays.fill(values, from, to, Double.NaN);
      }
      channels.put(channel, values);
    }
    return new Recording(time, channels);
  }

  /** Positions alone, ten times a second: speed, braking and the way are read, no pedals. */
  @Test
  void positionsAloneGiveWhatTheyCan() {
    Recording plain = new ModelRecording(10, 0.3, false, 3).of(List.of(BOOK.lap(), BOOK.lap()));
    List<CornerReading> readings = read(plain);
    for (int p = 0; p < CLEAN.size(); p++) {
      CornerReading reading = readings.get(p);
      assertThat(reading.throttle().firstM()).isNull();
      assertThat(reading.braking().peakPct()).isNull();
      assertThat(reading.slowest().speedMps())
          .isCloseTo(CLEAN.get(p).slowest().speedMps(), within(0.6));
      assertThat(reading.way().insideM()).isCloseTo(CLEAN.get(p).way().insideM(), within(0.6));
    }
  }
}
