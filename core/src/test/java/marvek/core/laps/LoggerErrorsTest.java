package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What a made logger writes, against its traits one by one. */
class LoggerErrorsTest {
  private static final int N = 1000;
  private static final double HZ = 100;

  /** Straight on at 40 m/s; a gear every two seconds, pedals and a bend that grow. */
  private static Recording exact() {
    double[] time = column(i -> i / HZ);
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.X, column(i -> 0.4 * i));
    channels.put(Channel.Y, column(i -> 0.1 * i));
    channels.put(Channel.SPEED, column(i -> 40));
    channels.put(Channel.BRAKE, column(i -> i / 10.0));
    channels.put(Channel.THROTTLE, column(i -> 100 - i / 10.0));
    channels.put(Channel.GEAR, column(i -> 1 + i / 200));
    channels.put(Channel.LATERAL_G, column(i -> i / 1000.0));
    return new Recording(time, channels);
  }

  private static double[] column(java.util.function.IntToDoubleFunction of) {
    double[] values = new double[N];
    Arrays.setAll(values, of);
    return values;
  }

  private static long written(Recording recording, Channel channel) {
    return Arrays.stream(recording.channel(channel)).filter(v -> !Double.isNaN(v)).count();
  }

  @Test
  void eachKindOfChannelComesAtItsRate() {
    LoggerTraits traits = new LoggerTraits(10, 50, 20, 0, 0, 0, 0, 0, 0);
    Recording file = LoggerErrors.of(exact(), traits, 1);
    assertThat(written(file, Channel.SPEED)).isEqualTo(N);
    assertThat(written(file, Channel.BRAKE)).isEqualTo(N / 2);
    assertThat(written(file, Channel.GEAR)).isEqualTo(N / 5);
    assertThat(written(file, Channel.X)).isEqualTo(N / 10);
    assertThat(written(file, Channel.Y)).isEqualTo(N / 10);
    for (int i = 0; i < N; i += 10) {
      assertThat(file.at(Channel.X, i)).isCloseTo(0.4 * i, within(1e-9));
      assertThat(file.at(Channel.BRAKE, i)).isCloseTo(i / 10.0, within(1e-9));
    }
  }

  @Test
  void sensorsStandAtTheirZeros() {
    LoggerTraits traits = new LoggerTraits(HZ, HZ, HZ, 0, 0, 0, 0, 5, 8);
    Recording file = LoggerErrors.of(exact(), traits, 1);
    assertThat(file.at(Channel.BRAKE, 0)).isCloseTo(5, within(1e-9));
    assertThat(file.at(Channel.BRAKE, 500)).isCloseTo(5 + 0.95 * 50, within(1e-9));
    assertThat(file.at(Channel.THROTTLE, 500)).isCloseTo(8 + 0.92 * 50, within(1e-9));
    assertThat(file.at(Channel.GEAR, 500)).isEqualTo(3);
  }

  @Test
  void positionsComeLateAndLieOff() {
    LoggerTraits traits = new LoggerTraits(HZ, HZ, HZ, 0.2, 3, -2, 0, 0, 0);
    Recording file = LoggerErrors.of(exact(), traits, 1);
    assertThat(file.at(Channel.X, 500)).isCloseTo(0.4 * 480 + 3, within(1e-9));
    assertThat(file.at(Channel.Y, 500)).isCloseTo(0.1 * 480 - 2, within(1e-9));
    assertThat(file.at(Channel.X, 5)).as("before it moved").isCloseTo(3, within(1e-9));
  }

  /** Deviation of a thousand draws: known to a tenth at three standard errors and more. */
  @Test
  void positionsScatterAsTold() {
    LoggerTraits traits = new LoggerTraits(HZ, HZ, HZ, 0, 0, 0, 1.5, 0, 0);
    Recording file = LoggerErrors.of(exact(), traits, 7);
    for (Channel channel : new Channel[] {Channel.X, Channel.Y}) {
      double sum = 0;
      double squares = 0;
      for (int i = 0; i < N; i++) {
        double off = file.at(channel, i) - exact().at(channel, i);
        sum += off;
        squares += off * off;
      }
      assertThat(sum / N).isCloseTo(0, within(0.2));
      assertThat(Math.sqrt(squares / N)).isCloseTo(1.5, within(0.15));
    }
  }

  /** Wheelbase 2.5 m and 14 to one: κ·l·i; the clutch just before a gear changes. */
  @Test
  void theWheelTurnsWithTheBendAndTheClutchBeforeAGear() {
    Recording file = LoggerErrors.of(exact(), LoggerTraits.good(HZ, 0), 1);
    double bend = 0.5 * 9.80665 / (40 * 40);
    assertThat(file.at(Channel.STEER, 500))
        .isCloseTo(Math.toDegrees(bend * 2.5 * 14), within(1e-9));
    for (int i = 1; i < N - 10; i++) {
      boolean before = i % 200 >= 192 && i < 800;
      assertThat(file.at(Channel.CLUTCH, i)).as("%d", i).isEqualTo(before ? 100 : 0);
    }
  }

  /** Standing for three seconds: the same place, no speed, no throttle; then on as before. */
  @Test
  void aCarThatStandsGoesOnAfterwards() {
    Recording file = LoggerErrors.standing(exact(), 400, 3);
    assertThat(file.size()).isEqualTo(N + 300);
    assertThat(file.timeAt(400)).isEqualTo(4);
    assertThat(file.timeAt(550)).isCloseTo(5.5, within(1e-9));
    assertThat(file.timeAt(800)).isCloseTo(8, within(1e-9));
    assertThat(file.at(Channel.SPEED, 400)).isEqualTo(40);
    for (int i = 401; i <= 700; i += 13) {
      assertThat(file.at(Channel.SPEED, i)).isZero();
      assertThat(file.at(Channel.THROTTLE, i)).isZero();
      assertThat(file.at(Channel.X, i)).isEqualTo(160);
      assertThat(file.at(Channel.GEAR, i)).isEqualTo(3);
    }
    assertThat(file.at(Channel.SPEED, 701)).isEqualTo(40);
    assertThat(file.at(Channel.X, 750)).isCloseTo(180, within(1e-9));
  }
}
