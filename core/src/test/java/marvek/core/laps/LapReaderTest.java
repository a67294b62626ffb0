package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Laps from closed formulas, for which every event is known exactly; then laps of the model. */
class LapReaderTest {
  private static final Reference BOOK = OvalBook.LEFT;
  private static final Road ROAD = OvalBook.ROAD;

  /** Brakes 40 m earlier than the corner needs: 400 m behind the line, at 8 m/s² to 20 m/s. */
  private static final double BRAKE_M = 400;

  private static HandWrittenLap lap(double brakeM) {
    double half = ROAD.lengthM() / 2;
    HandWrittenLap lap = HandWrittenLap.at(50);
    for (int corner = 0; corner < 2; corner++) {
      double braking = (50 * 50 - 20 * 20) / (2 * 8.0);
      double power = (50 * 50 - 20 * 20) / (2 * 4.0);
      double slow = half - brakeM - braking - 150;
      lap.steady(brakeM, 0, 100, 5)
          .to(20, -8, 60, 0, 3)
          .steady(slow, 0, 0, 2)
          .to(Math.sqrt(20 * 20 + 2 * 4 * 150), 4, 0, 100, 3);
      // What is still missing to 50 m/s is found on the line.
      assertThat(power).isGreaterThan(150);
      lap.to(50, 400, 0, 100, 5);
    }
    return lap;
  }

  private static List<CornerReading> read(Recording recording, int number) {
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap = LapCutter.cut(recording, stations, ROAD).get(number);
    LapReader reader = new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);
    return reader.read(recording, stations, lap);
  }

  /**
   * Out of the corner before and faster into this one: its slowest place is its own, and the
   * throttle that holds the car on the way there is not its pick-up.
   */
  @Test
  void theSlowestPlaceIsNotTheExitOfTheCornerBefore() {
    double turnInM = BOOK.pages().get(0).turnIn().atM();
    HandWrittenLap lap =
        HandWrittenLap.at(18)
            .steady(turnInM - 12, 0, 30, 3)
            .to(25, 5, 0, 60, 3)
            .to(22, -2, 0, 10, 3);
    double slowestM = lap.metres();
    lap.steady(10, 0, 10, 3).to(30, 4, 0, 100, 3);
    double slowing = (30 * 30 - 18 * 18) / (2 * 2.0);
    lap.steady(ROAD.lengthM() - lap.metres() - slowing, 0, 50, 3).to(18, -2, 0, 0, 3);
    CornerReading corner =
        read(lap.recorded(100, 2, Channel.BRAKE, Channel.THROTTLE, Channel.GEAR), 1).get(0);
    assertThat(corner.slowest().speedMps()).isCloseTo(22, within(0.05));
    assertThat(corner.slowest().atM()).isBetween(slowestM - 1, slowestM + 11);
    assertThat(corner.throttle().firstM()).isBetween(slowestM - 1, slowestM + 11);
  }

  @Test
  void theBookHasTwoCorners() {
    assertThat(BOOK.pages()).extracting(CornerPage::corner).containsExactly(1, 2);
    assertThat(lap(BRAKE_M).metres()).isCloseTo(ROAD.lengthM(), within(12.0));
  }

  @Test
  void lapsAreCutAtTheLineBetweenSamples() {
    HandWrittenLap written = lap(BRAKE_M);
    Recording recording = written.recorded(100, 3, Channel.BRAKE);
    Stations stations = Stations.of(recording, ROAD);
    List<RecordedLap> laps = LapCutter.cut(recording, stations, ROAD);
    assertThat(laps)
        .extracting(RecordedLap::kind)
        .containsExactly(
            RecordedLap.Kind.OUT,
            RecordedLap.Kind.FLYING,
            RecordedLap.Kind.FLYING,
            RecordedLap.Kind.FLYING,
            RecordedLap.Kind.IN);
    for (RecordedLap lap : laps.subList(1, 4)) {
      assertThat(lap.timeS()).isCloseTo(written.seconds(), within(0.01));
    }
  }

  @Test
  void everyEventIsWhereTheFormulaHasIt() {
    HandWrittenLap written = lap(BRAKE_M);
    double scale = ROAD.lengthM() / written.metres();
    Recording recording = written.recorded(100, 2, Channel.BRAKE, Channel.THROTTLE, Channel.GEAR);
    CornerReading first = read(recording, 1).get(0);
    double braking = (2500 - 400) / 16.0;
    // A pedal that jumps between two samples is known to half a sample's way: 0.25 m at 50 m/s.
    assertThat(first.braking().onM()).isCloseTo(BRAKE_M * scale, within(0.6));
    assertThat(first.braking().releaseM()).isCloseTo((BRAKE_M + braking) * scale, within(0.6));
    assertThat(first.braking().peakPct()).isCloseTo(60, within(0.01));
    assertThat(first.slowest().speedMps()).isCloseTo(20, within(0.14));
    assertThat(first.slowest().gear()).isEqualTo(2);
    double on = (ROAD.lengthM() / 2 - 150) * scale;
    assertThat(first.throttle().firstM()).isCloseTo(on, within(0.6));
    assertThat(first.throttle().fullM()).isCloseTo(first.throttle().firstM(), within(0.5));
    double slow = ROAD.lengthM() / 2 - BRAKE_M - braking - 150;
    assertThat(first.throttle().coastingS()).isCloseTo(slow / 20, within(0.03));
    CornerReading second = read(recording, 1).get(1);
    assertThat(second.braking().onM() - first.braking().onM())
        .isCloseTo(ROAD.lengthM() / 2, within(0.6));
    assertThat(first.timeS() + second.timeS()).isCloseTo(written.seconds(), within(0.02));
  }

  /** Property: a brake point that is moved moves the reading as far. */
  @ParameterizedTest
  @ValueSource(doubles = {-60, -25, -11, -3, 4, 15})
  void aMovedBrakePointMovesTheReading(double by) {
    HandWrittenLap there = lap(BRAKE_M);
    HandWrittenLap moved = lap(BRAKE_M + by);
    double base =
        read(there.recorded(100, 2, Channel.BRAKE, Channel.THROTTLE), 1).get(0).braking().onM();
    double reading =
        read(moved.recorded(100, 2, Channel.BRAKE, Channel.THROTTLE), 1).get(0).braking().onM();
    assertThat(reading - base).isCloseTo(by, within(1.2));
  }

  @Test
  void withoutASensorBrakingIsDeceleration() {
    Recording recording = lap(BRAKE_M).recorded(100, 2);
    CornerReading first = read(recording, 1).get(0);
    assertThat(first.braking().onM()).isCloseTo(BRAKE_M, within(6.0));
    assertThat(first.braking().peakPct()).isNull();
    assertThat(first.slowest().gear()).isNull();
    assertThat(first.throttle().firstM()).isNull();
  }

  /** A sensor that shows a few per cent without braking does not move the brake point. */
  @Test
  void theZeroOfASensorIsTakenOut() {
    Recording clean = lap(BRAKE_M).recorded(100, 2, Channel.BRAKE, Channel.THROTTLE);
    double[] shifted = new double[clean.size()];
    for (int i = 0; i < shifted.length; i++) {
      shifted[i] = clean.at(Channel.BRAKE, i) + 4;
    }
    Recording offset = clean.with(Channel.BRAKE, shifted);
    assertThat(BrakeZero.of(offset, Thresholds.DEFAULT).at(40)).isCloseTo(4, within(1e-9));
    assertThat(read(offset, 1).get(0).braking().onM())
        .isCloseTo(read(clean, 1).get(0).braking().onM(), within(1e-6));
  }

  @Test
  void lapsOfAnotherCircuitAreRefused() {
    HandWrittenLap shorter = HandWrittenLap.at(40).steady(ROAD.lengthM() * 0.8, 0, 100, 4);
    assertThatThrownBy(() -> Stations.of(shorter.recorded(50, 3), ROAD))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("another circuit");
    Recording bare = new Recording(new double[] {0, 1}, java.util.Map.of());
    assertThatThrownBy(() -> Stations.of(bare, ROAD))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("position");
  }
}
