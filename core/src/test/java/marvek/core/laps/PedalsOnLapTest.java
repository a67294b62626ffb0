package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Presses and lifts of a lap written by hand: which of them count, and where they are. */
class PedalsOnLapTest {
  private static final Road ROAD = OvalBook.ROAD;

  /** Half a sample's way at a hundred a second and 50 m/s, and what stations scatter. */
  private static final double NEAR_M = 0.6;

  /** On along the back straight, and to 50 m/s again at the line. */
  private static CornerReading first(HandWrittenLap lap, double speedMps, Channel... shown) {
    double up = (50 * 50 - speedMps * speedMps) / 8;
    lap.steady(ROAD.lengthM() - lap.metres() - up, 0, 50, 4).to(50, 4, 0, 100, 5);
    Recording recording = lap.recorded(100, 2, shown);
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap second = LapCutter.cut(recording, stations, ROAD).get(1);
    return new LapReader(ROAD, OvalBook.LEFT.pages(), Thresholds.DEFAULT, v -> 0)
        .read(recording, stations, second)
        .get(0);
  }

  private static CornerReading first(HandWrittenLap lap) {
    return first(lap, 20, Channel.BRAKE, Channel.THROTTLE, Channel.GEAR);
  }

  /** At 20 m/s until it is let go, then on with neither pedal to the middle of the corner. */
  private static HandWrittenLap through(HandWrittenLap braked) {
    return braked.steady(790 - braked.metres(), 0, 0, 2);
  }

  private static HandWrittenLap toTheCorner(double brakeM) {
    return HandWrittenLap.at(50).steady(brakeM, 0, 100, 5);
  }

  /** Of two presses the one that does more is the corner's, wherever it comes. */
  @Test
  void theBrakingIsThePressThatDoesMost() {
    HandWrittenLap lap = toTheCorner(400).to(48, -8, 30, 0, 5).steady(30, 0, 0, 5);
    double on = lap.metres();
    lap.to(20, -8, 60, 0, 3);
    double off = lap.metres();
    CornerReading.Braking late = first(through(lap)).braking();
    assertThat(late.onM()).isCloseTo(on, within(NEAR_M));
    assertThat(late.releaseM()).isCloseTo(off, within(NEAR_M));
    assertThat(late.peakPct()).isCloseTo(60, within(0.01));

    HandWrittenLap other = toTheCorner(400).to(24, -8, 60, 0, 4);
    double let = other.metres();
    other.steady(40, 0, 0, 3).to(20, -8, 30, 0, 2);
    CornerReading.Braking early = first(through(other)).braking();
    assertThat(early.onM()).isCloseTo(400, within(NEAR_M));
    assertThat(early.releaseM()).isCloseTo(let, within(NEAR_M));
  }

  /** Let go for less than a touch has to last the press goes on; for longer it is another. */
  @Test
  void aShortLetGoEndsNoPress() {
    HandWrittenLap lap = toTheCorner(420).to(35, -8, 60, 0, 4).steady(35 * 0.06, 0, 0, 4);
    lap.to(20, -8, 50, 0, 3);
    double off = lap.metres();
    CornerReading.Braking one = first(through(lap)).braking();
    assertThat(one.onM()).isCloseTo(420, within(NEAR_M));
    assertThat(one.releaseM()).isCloseTo(off, within(NEAR_M));

    HandWrittenLap longer = toTheCorner(420).to(35, -8, 60, 0, 4);
    double first = longer.metres();
    longer.steady(35 * 0.25, 0, 0, 4).to(20, -8, 50, 0, 3);
    CornerReading.Braking two = first(through(longer)).braking();
    assertThat(two.onM()).isCloseTo(420, within(NEAR_M));
    assertThat(two.releaseM()).isCloseTo(first, within(NEAR_M));
  }

  /** A touch shorter than a tenth of a second is none. */
  @Test
  void aTouchIsNoPress() {
    HandWrittenLap lap = toTheCorner(500).to(49.5, -8, 30, 0, 5).to(20, -6, 0, 0, 3);
    assertThat(first(through(lap)).braking().onM()).isNull();
  }

  /** The speed of a wheel that stood rises again under pressure. */
  @ParameterizedTest
  @CsvSource({"2.5, 60, true", "1.2, 60, false", "2.5, 12, false"})
  void aWheelThatStoodIsTold(double risesMps, double pressurePct, boolean locked) {
    HandWrittenLap lap =
        toTheCorner(420)
            .to(32, -8, pressurePct, 0, 4)
            .to(32 - risesMps, -60, pressurePct, 0, 4)
            .to(32, 60, pressurePct, 0, 4)
            .to(20, -8, pressurePct, 0, 3);
    assertThat(first(through(lap)).braking().locked()).isEqualTo(locked);
  }

  /** Without a sensor, by the deceleration: as near as its slope over a quarter second tells. */
  @Test
  void withoutASensorTheDecelerationTells() {
    HandWrittenLap lap = toTheCorner(420).to(20, -8, 60, 0, 3);
    double off = lap.metres();
    CornerReading.Braking braking = first(through(lap), 20).braking();
    assertThat(braking.onM()).isCloseTo(420, within(1.2));
    assertThat(braking.releaseM()).isCloseTo(off, within(1.2));
    assertThat(braking.peakPct()).isNull();
    assertThat(braking.locked()).isNull();
  }

  /** On the way out: from the corner's middle, stretch by stretch. */
  private static HandWrittenLap middle() {
    return through(toTheCorner(450).to(20, -8, 60, 0, 3));
  }

  /** Three presses with lifts of 30 and 25 %, two shifts up; a lift of 15 % is none. */
  @Test
  void liftsAndShiftsOfTheWayOutAreCounted() {
    HandWrittenLap lap = middle();
    double on = lap.metres();
    lap.to(22, 4, 0, 60, 2).to(24, 4, 0, 30, 3).to(26, 4, 0, 70, 3).to(28, 4, 0, 45, 3);
    lap.to(30, 4, 0, 80, 3).to(31, 4, 0, 66, 4);
    double flat = lap.metres();
    CornerReading.Throttle out =
        first(lap.to(36, 4, 0, 100, 4), 36, Channel.BRAKE, Channel.THROTTLE, Channel.GEAR)
            .throttle();
    assertThat(out.firstM()).isCloseTo(on, within(NEAR_M));
    assertThat(out.fullM()).isCloseTo(flat, within(NEAR_M));
    assertThat(out.pickUps()).isEqualTo(3);
    assertThat(out.liftPct()).isCloseTo(30, within(0.01));
    assertThat(out.upshifts()).isEqualTo(2);
    double braked = 450 + (50 * 50 - 20 * 20) / 16.0;
    assertThat(out.coastingS()).isCloseTo((790 - braked) / 20, within(0.03));
  }

  /** Flat for less than ten metres is not flat yet; a blip is no pick-up. */
  @Test
  void whatDoesNotLastDoesNotCount() {
    HandWrittenLap lap = middle();
    lap.steady(20 * 0.06, 0, 50, 2).steady(10, 0, 0, 2);
    double on = lap.metres();
    lap.to(22, 4, 0, 60, 2).steady(6, 0, 100, 2).to(26, 4, 0, 85, 3);
    double flat = lap.metres();
    CornerReading.Throttle out =
        first(lap.to(36, 4, 0, 100, 4), 36, Channel.BRAKE, Channel.THROTTLE).throttle();
    assertThat(out.firstM()).isCloseTo(on, within(NEAR_M));
    assertThat(out.fullM()).isCloseTo(flat, within(NEAR_M));
    assertThat(out.upshifts()).isNull();
    CornerReading.Throttle blind = first(middle(), 20, Channel.THROTTLE).throttle();
    assertThat(blind.coastingS()).isNull();
  }

  /** Who never opens it has no pick-up, and who never is flat no place where he is. */
  @Test
  void whatIsNotDoneHasNoPlace() {
    HandWrittenLap half = middle();
    half.to(36, 4, 0, 60, 3);
    CornerReading.Throttle out = first(half, 36, Channel.BRAKE, Channel.THROTTLE).throttle();
    assertThat(out.firstM()).isNotNull();
    assertThat(out.fullM()).isNull();
    assertThat(out.pickUps()).isEqualTo(1);
    assertThat(out.liftPct()).isZero();
  }
}
