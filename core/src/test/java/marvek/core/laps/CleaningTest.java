package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

/** A car that goes straight on at 40 m/s, ten samples a second, and what a logger can spoil. */
class CleaningTest {
  private static final int N = 600;

  private final double[] time = new double[N];
  private final double[] x = new double[N];
  private final double[] y = new double[N];
  private final double[] speed = new double[N];

  CleaningTest() {
    Arrays.setAll(time, i -> i / 10.0);
    Arrays.setAll(x, i -> 4.0 * i);
    Arrays.setAll(speed, i -> 40);
  }

  private Cleaning.Cleaned cleaned() {
    return Cleaning.of(
        new Recording(time, Map.of(Channel.X, x, Channel.Y, y, Channel.SPEED, speed)));
  }

  @Test
  void whatIsCleanStaysAsItIs() {
    Cleaning.Cleaned cleaned = cleaned();
    assertThat(cleaned.corrections()).isEmpty();
    assertThat(cleaned.recording().channel(Channel.SPEED)).containsExactly(speed);
    assertThat(cleaned.recording().channel(Channel.X)).containsExactly(x);
  }

  @Test
  void aSpikeOfTheSpeedIsLaidBetweenItsNeighbours() {
    speed[200] = 75;
    Cleaning.Cleaned cleaned = cleaned();
    assertThat(cleaned.recording().at(Channel.SPEED, 200)).isCloseTo(40, within(1e-9));
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .containsExactly("Spikes of the speed were taken out, 1 of them: 20.0 s.");
  }

  /** Hard braking is no spike: 40 to 20 m/s in two seconds. */
  @Test
  void brakingIsNoSpike() {
    for (int i = 200; i < N; i++) {
      speed[i] = Math.max(20, 40 - 10 * (time[i] - 20));
    }
    double way = 0;
    for (int i = 1; i < N; i++) {
      way += (speed[i] + speed[i - 1]) / 20;
      x[i] = way;
    }
    assertThat(cleaned().corrections()).isEmpty();
  }

  @Test
  void gapsAreNamed() {
    for (int i = 300; i < N; i++) {
      time[i] += 1.5;
      x[i] += 60;
    }
    assertThat(cleaned().corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("29.9–31.5 s");
  }

  @Test
  void positionsThatStandStillWhileTheCarMovesAreLeftOut() {
    Arrays.fill(x, 101, 131, x[100]);
    Cleaning.Cleaned cleaned = cleaned();
    assertThat(cleaned.recording().at(Channel.X, 115)).isNaN();
    assertThat(cleaned.recording().at(Channel.X, 100)).isEqualTo(400);
    assertThat(cleaned.recording().at(Channel.X, 131)).isEqualTo(524);
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("10.0–13.0 s");
  }

  @Test
  void positionsThatStandStillForMostOfTheTimeAreRefused() {
    Arrays.fill(x, 50, N, x[50]);
    assertThatThrownBy(this::cleaned)
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("stand still for 5")
        .hasMessageContaining("distance instead");
  }

  @Test
  void aPositionThatJumpsOffIsLeftOut() {
    y[250] = 300;
    y[251] = 310;
    Cleaning.Cleaned cleaned = cleaned();
    assertThat(cleaned.recording().at(Channel.Y, 250)).isNaN();
    assertThat(cleaned.recording().at(Channel.Y, 251)).isNaN();
    assertThat(cleaned.recording().at(Channel.Y, 252)).isZero();
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("jumped off");
  }

  /** A receiver at 5 Hz in a file of 10 Hz: every other row says nothing new. */
  @Test
  void repeatedPositionsCountOnce() {
    for (int i = 1; i < N; i += 2) {
      x[i] = x[i - 1];
    }
    Cleaning.Cleaned cleaned = cleaned();
    assertThat(cleaned.recording().at(Channel.X, 100)).isEqualTo(400);
    assertThat(cleaned.recording().at(Channel.X, 101)).isNaN();
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("about 5 times");
  }
}
