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

  /** A speed that is lost for a while goes straight from what stands before to what is behind. */
  @Test
  void aMissingSpeedIsLaidBetween() {
    Arrays.setAll(speed, i -> 40 + 0.002 * i);
    for (int i : new int[] {0, 1, 300, 301, 302, 303, N - 2, N - 1}) {
      speed[i] = Double.NaN;
    }
    Cleaning.Cleaned cleaned = cleaned();
    double[] v = cleaned.recording().channel(Channel.SPEED);
    assertThat(v[0]).isEqualTo(40.004);
    assertThat(v[1]).isEqualTo(40.004);
    for (int i = 299; i <= 304; i++) {
      assertThat(v[i]).isCloseTo(40 + 0.002 * i, within(1e-9));
    }
    assertThat(v[N - 2]).isEqualTo(40 + 0.002 * (N - 3));
    assertThat(v[N - 1]).isEqualTo(40 + 0.002 * (N - 3));
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .containsExactly(
            "The speed is missing, 2 times: 0.0–0.2 s, 29.9–30.4 s. It is laid between.");
  }

  /** Two samples of a spike lie on the straight line through those beside them. */
  @Test
  void aSpikeOfTwoSamplesIsLaidOnAStraightLine() {
    Arrays.setAll(speed, i -> 40 + 0.1 * i);
    speed[200] = 95;
    speed[201] = 12;
    double[] v = cleaned().recording().channel(Channel.SPEED);
    assertThat(v[200]).isCloseTo(60, within(1e-9));
    assertThat(v[201]).isCloseTo(60.1, within(1e-9));
  }

  /** What lasts is no spike, however quickly it came. */
  @Test
  void aSpeedThatStaysIsNoSpike() {
    Arrays.fill(speed, 200, 206, 70);
    assertThat(cleaned().recording().channel(Channel.SPEED)[202]).isEqualTo(70);
  }

  /** A clock that goes on for three seconds in which the car covers the way of a tenth. */
  @Test
  void aClockThatJumpsOnIsTold() {
    for (int i = 300; i < N; i++) {
      time[i] += 3;
    }
    Cleaning.Cleaned byPosition = cleaned();
    assertThat(byPosition.corrections())
        .extracting(Sentence::words)
        .anySatisfy(
            words -> assertThat(words).startsWith("The clock jumps on").contains("29.9–33.0"));
    assertThat(byPosition.recording().isBroken(300, 301)).isTrue();
    assertThat(byPosition.recording().isBroken(0, 300)).isFalse();
    Cleaning.Cleaned byDistance =
        Cleaning.of(new Recording(time, Map.of(Channel.DISTANCE, x, Channel.SPEED, speed)));
    assertThat(byDistance.recording().isBroken(300, 301)).isTrue();
    Arrays.fill(speed, 4);
    Cleaning.Cleaned slow =
        Cleaning.of(new Recording(time, Map.of(Channel.DISTANCE, x, Channel.SPEED, speed)));
    assertThat(slow.recording().isBroken(0, N)).as("who stands may stand").isFalse();
  }

  /** Without a speed the chords of the positions tell a jump from a gap. */
  @Test
  void withoutASpeedTheChordsTellAJump() {
    for (int i = 300; i < N; i++) {
      time[i] += 3;
    }
    // The two chords about the jump are those of a car that stood.
    Recording given = new Recording(time, Map.of(Channel.X, x, Channel.Y, y));
    Cleaning.Cleaned cleaned = Cleaning.of(given);
    assertThat(cleaned.recording().has(Channel.SPEED)).isFalse();
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .anySatisfy(words -> assertThat(words).contains("29.9–33.0 s"));
  }

  /** A slip beyond eight standard gravities is left out; many are another unit. */
  @Test
  void aFewSlipsOfAnAccelerationAreLeftOut() {
    double[] g = new double[N];
    g[100] = 9;
    g[101] = -8.5;
    g[102] = 7.9;
    Recording slips =
        new Recording(
            time, Map.of(Channel.X, x, Channel.Y, y, Channel.SPEED, speed, Channel.LATERAL_G, g));
    Cleaning.Cleaned cleaned = Cleaning.of(slips);
    assertThat(cleaned.recording().at(Channel.LATERAL_G, 100)).isNaN();
    assertThat(cleaned.recording().at(Channel.LATERAL_G, 101)).isNaN();
    assertThat(cleaned.recording().at(Channel.LATERAL_G, 102)).isEqualTo(7.9);
    assertThat(cleaned.recording().at(Channel.LATERAL_G, 99)).isZero();
    assertThat(cleaned.corrections())
        .extracting(Sentence::words)
        .containsExactly("2 samples of lat_g beyond 8 g were left out.");
    Arrays.fill(g, 0, 10, 9.81);
    Cleaning.Cleaned another = Cleaning.of(slips.with(Channel.LATERAL_G, g));
    assertThat(another.recording().at(Channel.LATERAL_G, 5)).isEqualTo(9.81);
  }
}
