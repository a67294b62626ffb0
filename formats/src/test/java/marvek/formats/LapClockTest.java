package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Clocks of every kind give the seconds that passed. */
class LapClockTest {
  private static final int N = 3000;

  private static LapClock.Running running(DoubleUnaryOperator written) {
    double[] raw = new double[N];
    Arrays.setAll(raw, i -> written.applyAsDouble(i / 20.0));
    return LapClock.of(raw, false);
  }

  private static void assertSeconds(LapClock.Running clock) {
    assertThat(clock.timeS()).hasSize(N);
    for (int i = 1; i < N; i++) {
      assertThat(clock.timeS()[i] - clock.timeS()[0]).isCloseTo(i / 20.0, within(0.001));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "1, seconds",
    "1e3, milliseconds",
    "1e6, microseconds",
    "1e9, nanoseconds",
    "1.1574074074074074e-5, days",
    "0.016666666666666666, minutes"
  })
  void unitsAreFoundByHowOftenSamplesCome(double factor, String unit) {
    LapClock.Running clock = running(t -> factor * (1000 + t));
    assertSeconds(clock);
    assertThat(clock.told().isEmpty()).isEqualTo(unit.equals("seconds"));
    assertThat(clock.told().stream().map(Sentence::words).toList().toString())
        .contains(unit.equals("seconds") ? "" : unit);
  }

  @Test
  void aClockThatBeginsAgainEachLapRunsOn() {
    LapClock.Running clock = running(t -> t % 40);
    assertSeconds(clock);
    assertThat(clock.told())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("begins again 3 times");
    assertThat(clock.breaks().isEmpty()).isTrue();
  }

  @Test
  void midnightIsCountedOn() {
    assertSeconds(running(t -> (86_400 - 60 + t) % 86_400));
  }

  @Test
  void aClockThatJumpsBackIsABreak() {
    LapClock.Running clock = running(t -> t < 70 ? t + 100 : t + 95);
    assertThat(clock.breaks().stream()).containsExactly(1400);
    assertThat(clock.told())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("jumps back by 4.9 s");
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.1, 1})
  void aRoundedClockIsSpread(double to) {
    LapClock.Running clock = running(t -> to * Math.floor(t / to + 1e-9));
    assertSeconds(clock);
    assertThat(clock.told())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("rounded");
  }

  @Test
  void aRowOutOfOrderIsLeftOut() {
    LapClock.Running clock = running(t -> t == 50 ? 20 : t);
    assertThat(clock.timeS()).hasSize(N - 1);
    assertThat(clock.firstDropped()).isEqualTo(1000);
    assertThat(clock.isHopeless()).isFalse();
  }

  @Test
  void aClockThatStandsStillIsNone() {
    assertThat(running(t -> 7).isHopeless()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "1:23.456, 83.456",
    "00:01:23.456, 83.456",
    "14:05:31:200, 50731.2",
    "2:05:31 pm, 50731",
    "1'45.678, 105.678",
    "2031-05-09T00:00:01.5Z, 1936051201.5",
    "2031-05-09 00:00:01.5+02:00, 1936051201.5",
    "09.05.2031 14:05:31, 50731",
    "12:61:00, NaN",
    "1:75.0, NaN",
    "seven, NaN",
    "2031-13-41T00:00:00Z, NaN"
  })
  void timesOfAllFormsAreRead(String cell, double seconds) {
    double read = ClockCell.of(cell);
    if (Double.isNaN(seconds)) {
      assertThat(read).isNaN();
    } else {
      assertThat(read).isCloseTo(seconds, within(1e-6));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "51.5, 51.5",
    "51°30'00\"N, 51.5",
    "51 30 N, 51.5",
    "S 51 30.0, -51.5",
    "1°30'36\"W, -1.51",
    "-1.25, -1.25",
    "5130.000 N, 5130",
    "00130.5 W, -130.5",
    "nowhere, NaN"
  })
  void anglesOfAllFormsAreRead(String cell, double degrees) {
    double read = AngleCell.of(cell);
    if (Double.isNaN(degrees)) {
      assertThat(read).isNaN();
    } else {
      assertThat(read).isCloseTo(degrees, within(1e-9));
    }
  }
}
