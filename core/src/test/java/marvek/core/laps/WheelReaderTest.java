package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.laps.CornerReading.Correction;
import marvek.core.laps.CornerReading.Correction.When;
import marvek.core.laps.CornerReading.Wheel;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A wheel drawn by hand, a sample of a hundredth at a time at 20 m/s: every amount from which on it
 * tells something is seen from both sides.
 */
class WheelReaderTest {
  private static final double MPS = 20;

  /** First sample of the corner, and its slowest one, from there. */
  private static final int BEGIN = 5000;

  private static final int LOWEST = 200;
  private static final int LENGTH = 400;

  /** Ten degrees for 1 g of side force. */
  private static final SteerNeeded NEEDED = new SteerNeeded(0, 10);

  private static final Recording STEADY =
      HandWrittenLap.at(MPS)
          .steady(OvalBook.ROAD.lengthM(), 0, 0, 3)
          .recorded(100, 2, Channel.BRAKE, Channel.THROTTLE);

  /** A channel over the samples of the corner, nought elsewhere. */
  private static Recording with(Recording of, Channel channel, IntToDoubleFunction value) {
    return of.with(
        channel,
        IntStream.range(0, of.size())
            .mapToDouble(i -> i < BEGIN ? 0 : value.applyAsDouble(i - BEGIN))
            .toArray());
  }

  private static Wheel read(Recording recording, SteerNeeded needed) {
    return read(recording, OvalBook.LEFT, needed);
  }

  private static Wheel read(Recording recording, Reference book, SteerNeeded needed) {
    Stations stations = Stations.of(recording, OvalBook.ROAD);
    RecordedLap lap = LapCutter.cut(recording, stations, OvalBook.ROAD).get(1);
    LapTrace trace =
        new LapTrace(
            recording, stations, lap, OvalBook.ROAD, BrakeZero.of(recording, Thresholds.DEFAULT));
    CornerPage page = book.pages().get(0);
    return new WheelReader(trace, OvalBook.ROAD, Thresholds.DEFAULT, needed)
        .read(page, BEGIN, BEGIN + LOWEST, BEGIN + LENGTH);
  }

  private static List<Correction> corrections(IntToDoubleFunction wheel) {
    return read(
            with(with(STEADY, Channel.LATERAL_G, k -> 0), Channel.STEER, wheel),
            OvalBook.LEFT,
            NEEDED)
        .corrections();
  }

  /** Turned to 60°, back by so much and in again by so much, in even steps. */
  private static IntToDoubleFunction dip(double byDeg, double inDeg, int back, int in) {
    return k -> {
      int since = k - 100;
      double least = 60 - byDeg;
      if (since <= 0) {
        return 60;
      }
      return since <= back
          ? 60 - byDeg * since / back
          : least + inDeg * Math.min(1, (double) (since - back) / in);
    };
  }

  /** Twelve degrees count. */
  @ParameterizedTest
  @CsvSource({"11.9, 0", "12.1, 1"})
  void aWheelThatGoesBackFarEnoughAndInAgainIsACorrection(double byDeg, int found) {
    assertThat(corrections(dip(byDeg, byDeg, 10, 10))).hasSize(found);
  }

  /** Six tenths of it come back. */
  @ParameterizedTest
  @CsvSource({"17.9, 0", "18.1, 1"})
  void mostOfItHasToComeBack(double inDeg, int found) {
    assertThat(corrections(dip(30, inDeg, 10, 10))).hasSize(found);
  }

  /** From the farthest until six tenths are back: 0.4 s and six tenths of 0.98 or 1.04. */
  @ParameterizedTest
  @CsvSource({"98, 1", "104, 0"})
  void withinASecond(int in, int found) {
    assertThat(corrections(dip(30, 30, 40, in))).hasSize(found);
  }

  /** It begins where 15 % are gone, 0.03 s behind the farthest, and is over when 60 % are back. */
  @Test
  void whereItBeganAndHowFarItWent() {
    List<Correction> found = corrections(dip(30, 30, 20, 20));
    assertThat(found).hasSize(1);
    double begin = stationM(100 + 3);
    assertThat(found.get(0).atM()).isCloseTo(begin, within(0.01));
    assertThat(found.get(0).byDeg()).isCloseTo(30, within(0.01));
    assertThat(found.get(0).overM()).isCloseTo(MPS * (0.20 + 0.12 - 0.03), within(0.01));
  }

  private static double stationM(int k) {
    Stations stations = Stations.of(STEADY, OvalBook.ROAD);
    return stations.stationAt(BEGIN + k)
        - LapCutter.cut(STEADY, stations, OvalBook.ROAD).get(1).lineM();
  }

  /** One after the other, each from where the one before is over. */
  @Test
  void twoAreTwo() {
    IntToDoubleFunction first = dip(30, 30, 10, 10);
    IntToDoubleFunction second = dip(20, 20, 10, 10);
    List<Correction> found =
        corrections(k -> first.applyAsDouble(k) + second.applyAsDouble(k - 60) - 60);
    assertThat(found)
        .extracting(Correction::byDeg)
        .usingComparatorForType(
            (a, b) -> Math.abs(a - b) < 0.01 ? 0 : Double.compare(a, b), Double.class)
        .containsExactly(30.0, 20.0);
  }

  /** By the pedals where they are known: 5 % of throttle and no 3 % of the brakes is power. */
  @ParameterizedTest
  @CsvSource({"5, 0, POWER", "4.9, 0, ENTRY", "40, 3.5, ENTRY", "40, 2.5, POWER"})
  void aSlideIsOfTheThrottleOrOfTheWayIn(double throttle, double brake, When when) {
    Recording pedals =
        with(
            with(STEADY, Channel.THROTTLE, k -> throttle),
            Channel.BRAKE,
            k -> k > 60 && k < 160 ? brake : 0);
    assertThat(slid(pedals, 100)).containsExactly(when);
  }

  /** Without pedals by the slowest place. */
  @ParameterizedTest
  @CsvSource({"90, ENTRY", "110, POWER"})
  void withoutPedalsTheSlowestPlaceParts(int later, When when) {
    assertThat(slid(STEADY.without(Channel.BRAKE), 100 + later)).containsExactly(when);
  }

  private static List<When> slid(Recording recording, int at) {
    IntToDoubleFunction dip = dip(30, 30, 10, 10);
    Recording slid = with(recording, Channel.STEER, k -> dip.applyAsDouble(k + 100 - at));
    return read(with(slid, Channel.LATERAL_G, k -> 0), NEEDED).corrections().stream()
        .map(Correction::when)
        .toList();
  }

  private static Recording pushing(int turn, double beyondDeg, double sideG, int samples) {
    // One g elsewhere in the corner, where ten degrees are needed and had.
    Recording side =
        with(STEADY, Channel.LATERAL_G, k -> turn * (k > 50 && k <= 50 + samples ? sideG : 1));
    return with(
        side,
        Channel.STEER,
        k -> turn * (k > 50 && k <= 50 + samples ? 10 * sideG + beyondDeg : 10));
  }

  /**
   * Five degrees and a quarter of what is needed, for 0.3 s, in the strongest seven tenths of the
   * bend.
   */
  @ParameterizedTest
  @CsvSource({
    "5.1, 1, 40, 5.1",
    "4.9, 1, 40, 0",
    "5.1, 3, 40, 0",
    "7.6, 3, 40, 7.6",
    "9, 0.71, 40, 9",
    "9, 0.69, 40, 0",
    "9, 1, 32, 9",
    "9, 1, 29, 0"
  })
  void aFrontSlidesWhereTheWheelIsBeyondWhatIsNeeded(
      double beyondDeg, double sideG, int samples, double found) {
    for (int turn : new int[] {1, -1}) {
      Wheel wheel = read(pushing(turn, beyondDeg, sideG, samples), OvalBook.of(turn), NEEDED);
      assertThat(wheel.beyondDeg()).isCloseTo(found, within(1e-9));
      if (found > 0) {
        assertThat(wheel.beyondAtM()).isCloseTo(stationM(51), within(0.01));
        assertThat(wheel.beyondM()).isCloseTo(MPS * (samples - 1) / 100, within(0.01));
      }
    }
  }

  /** Of two stretches the longer one, and its median. */
  @Test
  void theLongestStretchIsTold() {
    Recording side = with(STEADY, Channel.LATERAL_G, k -> 1);
    Wheel wheel =
        read(
            with(
                side,
                Channel.STEER,
                k -> 10 + (k >= 50 && k < 90 ? 30 : k >= 200 && k < 241 ? k - 190 : 0)),
            NEEDED);
    assertThat(wheel.beyondDeg()).isEqualTo(30);
    assertThat(wheel.beyondAtM()).isCloseTo(stationM(200), within(0.01));
  }

  /** Without what is needed the wheel is read until it is turned in the farthest, at 2 s. */
  @ParameterizedTest
  @ValueSource(ints = {1, -1})
  void behindItsFarthestAWheelThatNothingIsKnownOfIsOpened(int turn) {
    IntToDoubleFunction opened = k -> k < 200 ? 0.4 * k : 80 - 0.4 * (k - 200);
    IntToDoubleFunction dip = dip(30, 30, 10, 10);
    for (int at : new int[] {100, 250}) {
      Recording slid =
          with(
              STEADY,
              Channel.STEER,
              k -> turn * (opened.applyAsDouble(k) + dip.applyAsDouble(k + 100 - at) - 60));
      Wheel wheel = read(slid, OvalBook.of(turn), null);
      assertThat(wheel.corrections()).as("at %d", at).hasSize(at < 200 ? 1 : 0);
      assertThat(wheel.beyondDeg()).isNull();
    }
  }
}
