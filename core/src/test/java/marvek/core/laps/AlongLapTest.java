package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.TestLaps;
import marvek.core.TestRoads;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackPoint;
import org.junit.jupiter.api.Test;

/** A car round a circle at a steady speed, with channels that are straight lines over the way. */
class AlongLapTest {
  private static final double RADIUS_M = 100;
  private static final Road ROAD = Road.through(TestRoads.circle(RADIUS_M, 5));
  private static final double SPEED_MPS = 30;

  /** Left of the middle: the car's own circle is the smaller. */
  private static final double OFFSET_M = 1.5;

  private static final double PER_LAP = 200;

  private final Recording recording = recording();
  private final AlongLap lap = TestLaps.along(recording, ROAD, 2);

  /** Two laps and a half from a fifth of a lap before the line. */
  private static Recording recording() {
    double lapS = ROAD.lengthM() / SPEED_MPS;
    int n = (int) (2.5 * lapS * 50);
    double[] time = new double[n];
    Arrays.setAll(time, i -> i / 50.0);
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    double x0 = ROAD.xAt(0);
    double y0 = ROAD.yAt(0);
    double cx = middle(ROAD::xAt);
    double cy = middle(ROAD::yAt);
    double[] way = new double[n];
    Arrays.setAll(way, i -> time[i] * SPEED_MPS - 0.2 * ROAD.lengthM());
    double begin = Math.atan2(y0 - cy, x0 - cx);
    double own = RADIUS_M - OFFSET_M;
    channels.put(Channel.X, column(way, s -> cx + own * Math.cos(begin + turned(s))));
    channels.put(Channel.Y, column(way, s -> cy + own * Math.sin(begin + turned(s))));
    channels.put(Channel.SPEED, column(way, s -> SPEED_MPS * own / RADIUS_M));
    channels.put(Channel.BRAKE, column(way, s -> 20 + 10 * ofLap(s)));
    channels.put(Channel.THROTTLE, column(way, s -> 60 - 20 * ofLap(s)));
    channels.put(Channel.STEER, column(way, s -> 30 * ofLap(s) - 5));
    channels.put(Channel.RPM, column(way, s -> 4000 + 1000 * ofLap(s)));
    channels.put(Channel.GEAR, column(way, s -> ofLap(s) < 0.5 ? 3 : 4));
    return new Recording(time, channels);
  }

  private static double middle(IntToDoubleFunction of) {
    return IntStream.range(0, ROAD.size()).mapToDouble(of).average().orElseThrow();
  }

  private static double[] column(double[] way, DoubleUnaryOperator of) {
    return Arrays.stream(way).map(of).toArray();
  }

  private static double turned(double s) {
    return 2 * Math.PI * s / ROAD.lengthM();
  }

  private static double ofLap(double s) {
    double share = s / ROAD.lengthM();
    return share - Math.floor(share);
  }

  @Test
  void everyChannelIsLaidOverTheStations() {
    assertThat(lap.size()).isEqualTo((int) Math.floor(ROAD.lengthM() / 2) + 1);
    assertThat(lap.stepM()).isEqualTo(2);
    for (int k = 5; k < lap.size() - 5; k += 9) {
      double share = 2 * k / ROAD.lengthM();
      assertThat(lap.stationAt(k)).isEqualTo(2 * k);
      assertThat(lap.timeAt(k)).isCloseTo(2 * k / SPEED_MPS, within(0.01));
      assertThat(lap.speedAt(k)).isCloseTo(SPEED_MPS * 0.985, within(1e-6));
      assertThat(lap.brakeAt(k)).isCloseTo(20 + 10 * share, within(0.02));
      assertThat(lap.throttleAt(k)).isCloseTo(60 - 20 * share, within(0.04));
      assertThat(lap.steerAt(k)).isCloseTo(30 * share - 5, within(0.06));
      assertThat(lap.rpmAt(k)).isCloseTo(4000 + 1000 * share, within(2.0));
      assertThat(lap.offsetAt(k)).isCloseTo(OFFSET_M, within(0.05));
      if (Math.abs(share - 0.5) > 0.02) {
        assertThat(lap.gearAt(k)).isEqualTo(share < 0.5 ? 3 : 4);
      }
    }
    assertThat(lap.column(lap::rpmAt)[40]).isEqualTo(lap.rpmAt(40));
    assertThat(lap.hasThrottle()).isTrue();
  }

  @Test
  void anIndexIsAtOrBeforeItsStation() {
    assertThat(lap.indexOf(101.9)).isEqualTo(50);
    assertThat(lap.indexOf(102)).isEqualTo(51);
    assertThat(lap.indexOf(-3)).isZero();
    assertThat(lap.indexOf(1e6)).isEqualTo(lap.size() - 1);
  }

  @Test
  void otherPedalsLeaveTheRestAsItIs() {
    double[] brake = new double[lap.size()];
    double[] throttle = new double[lap.size()];
    Arrays.fill(throttle, Double.NaN);
    brake[7] = 44;
    AlongLap other = lap.withPedals(brake, throttle);
    assertThat(other.brakeAt(7)).isEqualTo(44);
    assertThat(other.throttleAt(7)).isNaN();
    assertThat(other.hasThrottle()).isFalse();
    assertThat(other.timeAt(60)).isEqualTo(lap.timeAt(60));
    assertThat(other.speedAt(60)).isEqualTo(lap.speedAt(60));
    assertThat(other.gearAt(60)).isEqualTo(lap.gearAt(60));
    assertThat(other.offsetAt(60)).isEqualTo(lap.offsetAt(60));
    assertThat(other.steerAt(60)).isEqualTo(lap.steerAt(60));
    assertThat(other.rpmAt(60)).isEqualTo(lap.rpmAt(60));
    assertThat(other.stationAt(60)).isEqualTo(120);
  }

  /** The line it was driven on, and its points; where positions are missing it lies between. */
  @Test
  void theDrivenLineIsTheCarsOwnCircle() {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap whole = TestLaps.whole(recording, stations, ROAD);
    double[] line = DrivenLine.of(stations, whole, ROAD, 0.25);
    assertThat(line).hasSize((int) Math.ceil(ROAD.lengthM() / 0.25));
    assertThat(Arrays.stream(line)).allSatisfy(o -> assertThat(o).isCloseTo(1.5, within(0.05)));
    List<TrackPoint> points = DrivenLine.points(recording, whole);
    assertThat(points).hasSize(whole.to() - whole.from());
    for (TrackPoint point : points) {
      double off = ROAD.lengthM() / (2 * Math.PI) - OFFSET_M;
      assertThat(Math.hypot(point.xM() - middle(ROAD::xAt), point.yM() - middle(ROAD::yAt)))
          .isCloseTo(off, within(0.2));
    }
  }

  /** A line that swings by its sine, of which a stretch was lost, is straight over the stretch. */
  @Test
  void whatIsMissingOfALineLiesBetweenItsNeighbours() {
    double[] x = recording.channel(Channel.X);
    double[] y = recording.channel(Channel.Y);
    Stations all = Stations.of(recording, ROAD);
    RecordedLap whole = TestLaps.whole(recording, all, ROAD);
    int from = whole.from() + 200;
    Arrays.fill(x, from, from + 60, Double.NaN);
    Arrays.fill(y, from, from + 60, Double.NaN);
    Recording lost = recording.with(Channel.X, x).with(Channel.Y, y);
    double[] line = DrivenLine.of(Stations.of(lost, ROAD), whole, ROAD, 1);
    assertThat(Arrays.stream(line)).allSatisfy(o -> assertThat(o).isCloseTo(1.5, within(0.05)));
    assertThat(DrivenLine.points(lost, whole)).hasSize(whole.to() - whole.from() - 60);
    Recording blind = recording.without(Channel.X).without(Channel.Y);
    assertThat(blind.hasPosition()).isFalse();
  }
}
