package marvek.core.beside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.core.InvalidValueException;
import marvek.core.TestLaps;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Channel;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/** Two laps beside each other, against closed forms: two steady speeds. */
class LapsBesideTest {
  private static final Road VARIED = Circuit.bare("varied", TestRoads.varied(5)).road();

  private static final Road ROAD =
      Circuit.bare(
              "oval",
              TestRoads.every(5)
                  .straight(700)
                  .corner(50, 180, 20)
                  .straight(700)
                  .corner(50, 180, 20)
                  .survey(true, 6, 0, 0))
          .road();

  private static AlongLap steady(double speedMps, double stepM) {
    return TestLaps.along(driven(speedMps, 3.2), ROAD, stepM);
  }

  /** So many laps at a steady speed, begun before the line. */
  private static Recording driven(double speedMps, double laps) {
    double hz = 50;
    int count = (int) (laps * ROAD.lengthM() / speedMps * hz);
    double[] time = new double[count];
    double[] x = new double[count];
    double[] y = new double[count];
    double[] speed = new double[count];
    for (int k = 0; k < count; k++) {
      time[k] = k / hz;
      double s = ROAD.wrapStation(speedMps * time[k] - 0.6 * ROAD.lengthM());
      int i = ROAD.indexOf(s);
      double ahead = s - ROAD.stationAt(i);
      x[k] = ROAD.xAt(i) + ahead * ROAD.normalYAt(i);
      y[k] = ROAD.yAt(i) - ahead * ROAD.normalXAt(i);
      speed[k] = speedMps;
    }
    return new Recording(time, Map.of(Channel.X, x, Channel.Y, y, Channel.SPEED, speed));
  }

  @Test
  void aSlowerLapFallsBackEvenly() {
    // The last step to the line is nearly a whole one.
    LapsBeside beside = new LapsBeside(steady(38, 5), steady(40, 5), ROAD.lengthM());
    for (double s = 0; s <= ROAD.lengthM(); s += 100) {
      assertThat(beside.behindAtM(s)).isCloseTo(s / 38 - s / 40, within(0.005));
    }
    double lap = ROAD.lengthM() / 38 - ROAD.lengthM() / 40;
    assertThat(beside.behindAtM(ROAD.lengthM())).isCloseTo(lap, within(0.001));
  }

  @Test
  void partsAddUpToTheLap() {
    LapsBeside beside = new LapsBeside(steady(38, 2), steady(40, 2), ROAD.lengthM());
    double sum =
        beside.parted(List.of(300.0, 900.0, 1201.3)).stream()
            .mapToDouble(LapsBeside.Stretch::behindS)
            .sum();
    assertThat(sum).isCloseTo(beside.behindAtM(ROAD.lengthM()), within(1e-9));
  }

  /** Two cars of the model, whose times at every station are known without any reading. */
  @Test
  void modelLapsStandApartAsTheyWereSolved() {
    Vehicle car = TestVehicles.clubCar();
    Vehicle weak = car.withEngine(car.engine().scaled(0.85));
    Path path = Path.centreline(VARIED, List.of());
    Lap quick = SpeedProfile.solve(path, car, Conditions.OF_NEW_BOOKS);
    Lap slow = SpeedProfile.solve(path, weak, Conditions.OF_NEW_BOOKS);
    LapsBeside beside = new LapsBeside(logged(slow), logged(quick), VARIED.lengthM());
    for (int i = 0; i < VARIED.size(); i += 20) {
      assertThat(beside.behindAtM(VARIED.stationAt(i)))
          .as("at %.0f m", VARIED.stationAt(i))
          .isCloseTo(slow.timeAt(i) - quick.timeAt(i), within(0.005));
    }
    assertThat(slow.timeS() - quick.timeS()).isGreaterThan(1);
    assertThat(beside.behindAtM(VARIED.lengthM()))
        .isCloseTo(slow.timeS() - quick.timeS(), within(0.001));
    assertThat(beside.notShared()).isEmpty();
  }

  private static AlongLap logged(Lap lap) {
    Recording recording = new ModelRecording(100, 0, true, 1).of(List.of(lap, lap));
    return TestLaps.along(recording, VARIED, 2);
  }

  /** A run that stops half-way is laid beside the other as far as it goes. */
  @Test
  void aLapThatEndsEarlyIsLaidAsFarAsItGoes() {
    AlongLap early =
        TestLaps.along(driven(38, 1.1), ROAD, 2, lap -> lap.kind() == RecordedLap.Kind.IN);
    LapsBeside beside = new LapsBeside(early, steady(40, 2), ROAD.lengthM());
    double ends = 0.5 * ROAD.lengthM();
    double lost = ends / 38 - ends / 40;
    double before = ends - 10;
    assertThat(beside.behindAtM(before)).isCloseTo(before / 38 - before / 40, within(0.005));
    assertThat(beside.behindAtM(ROAD.lengthM())).isCloseTo(lost, within(0.01));
    assertThat(beside.notShared())
        .singleElement()
        .satisfies(
            apart -> {
              assertThat(apart.fromM()).isCloseTo(ends, within(6.0));
              assertThat(apart.toM()).isEqualTo(ROAD.lengthM());
            });
  }

  /** One that began on the way is counted from where it did. */
  @Test
  void aLapThatBeginsOnTheWayIsCountedFromThere() {
    AlongLap out =
        TestLaps.along(driven(38, 1.1), ROAD, 2, lap -> lap.kind() == RecordedLap.Kind.OUT);
    LapsBeside beside = new LapsBeside(out, steady(40, 2), ROAD.lengthM());
    double driven = 0.6 * ROAD.lengthM();
    assertThat(beside.behindAtM(0.4 * ROAD.lengthM() - 10)).isZero();
    assertThat(beside.behindAtM(ROAD.lengthM())).isCloseTo(driven / 38 - driven / 40, within(0.01));
  }

  /** The other layout leaves out the second straight: what both drove is laid together. */
  @Test
  void aShorterLayoutIsLaidWhereBothGo() {
    Recording whole = driven(38, 3.2);
    double leaves = 1000;
    double joins = 1500;
    boolean[] kept = new boolean[whole.size()];
    Stations stations = Stations.of(whole, ROAD);
    for (int i = 0; i < kept.length; i++) {
      double s = ROAD.wrapStation(stations.stationAt(i));
      kept[i] = s < leaves || s > joins;
    }
    Recording cut = closedUp(whole, kept, 3);
    LapsBeside beside = new LapsBeside(TestLaps.along(cut, ROAD, 2), steady(40, 2), ROAD.lengthM());
    double shared = ROAD.lengthM() - (joins - leaves);
    assertThat(beside.notShared())
        .singleElement()
        .satisfies(
            apart -> {
              assertThat(apart.fromM()).isCloseTo(leaves, within(30.0));
              assertThat(apart.toM()).isCloseTo(joins, within(30.0));
            });
    assertThat(beside.behindAtM(ROAD.lengthM())).isCloseTo(shared / 38 - shared / 40, within(0.1));
    assertThat(beside.between(0, leaves - 50).behindS())
        .isCloseTo((leaves - 50) / 38 - (leaves - 50) / 40, within(0.01));
  }

  /** Samples left out, with so many seconds for the way that was taken in their place. */
  private static Recording closedUp(Recording of, boolean[] kept, double seconds) {
    List<Integer> left = IntStream.range(0, kept.length).filter(i -> kept[i]).boxed().toList();
    double[] time = new double[left.size()];
    for (int k = 1; k < time.length; k++) {
      boolean next = left.get(k) == left.get(k - 1) + 1;
      time[k] = time[k - 1] + (next ? 0.02 : seconds);
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (Channel channel : List.of(Channel.X, Channel.Y, Channel.SPEED)) {
      channels.put(channel, left.stream().mapToDouble(i -> of.at(channel, i)).toArray());
    }
    return new Recording(time, channels);
  }

  @Test
  void aStretchOverTheLineIsOne() {
    LapsBeside beside = new LapsBeside(steady(38, 2), steady(40, 2), ROAD.lengthM());
    double over = 300 + ROAD.lengthM() - 1500;
    assertThat(beside.between(1500, 300).behindS()).isCloseTo(over / 38 - over / 40, within(0.005));
  }

  @Test
  void lapsOfTwoRoadsAreNotLaidTogether() {
    AlongLap coarse = steady(40, 5);
    AlongLap fine = steady(40, 2);
    assertThatThrownBy(() -> new LapsBeside(fine, coarse, ROAD.lengthM()))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("one road");
  }
}
