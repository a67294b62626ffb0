package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Collectors;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Channels at rates of their own, from a curve whose value is known between its samples. */
class ChannelRatesTest {
  private static final int N = 6000;
  private final Corrections corrections = new Corrections();

  private static double brake(int i) {
    double phase = (i / 100.0) % 8;
    return phase < 5 ? 0 : 40 * (1 - Math.cos(2 * Math.PI * (phase - 5) / 3));
  }

  private static Recording recording(Channel channel, double[] values) {
    double[] time = new double[N];
    double[] speed = new double[N];
    Arrays.setAll(time, i -> i / 100.0);
    Arrays.setAll(speed, i -> 30 + 10 * Math.sin(i / 400.0));
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.SPEED, speed);
    channels.put(channel, values);
    return new Recording(time, channels);
  }

  private double[] evened(Channel channel, double[] values) {
    return ChannelRates.evened(recording(channel, values), corrections).channel(channel);
  }

  /** A pedal is laid between its samples: a cosine of 3 s is off by its bend, π²/2·(h/3 s)²·80. */
  @ParameterizedTest
  @CsvSource({"2, true", "5, true", "10, true", "2, false", "5, false", "10, false"})
  void aPedalIsLaidBetween(int rows, boolean empty) {
    double[] values = new double[N];
    Arrays.setAll(values, i -> i % rows == 0 ? brake(i) : empty ? Double.NaN : brake(i - i % rows));
    double[] evened = evened(Channel.BRAKE, values);
    double bend = 80 * Math.PI * Math.PI / 2 * Math.pow(rows / 300.0, 2) / 2;
    for (int i = rows; i < N - rows; i++) {
      assertThat(evened[i]).as("row %d", i).isCloseTo(brake(i), within(bend + 0.02));
    }
    assertThat(corrections.said())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("brake " + 100 / rows);
  }

  @Test
  void whatComesEveryRowStaysAsItIs() {
    double[] values = new double[N];
    Arrays.setAll(values, ChannelRatesTest::brake);
    assertThat(evened(Channel.BRAKE, values.clone())).containsExactly(values);
    assertThat(corrections.said()).isEmpty();
  }

  @Test
  void aGearIsHeldAndNeutralWhileItChangesIsNone() {
    double[] values = new double[N];
    Arrays.fill(values, Double.NaN);
    for (int i = 0; i < N; i += 10) {
      values[i] = i < 3000 ? 3 : 4;
    }
    values[2990] = 0;
    double[] held = evened(Channel.GEAR, values);
    assertThat(held[2987]).isEqualTo(3);
    assertThat(held[2995]).isEqualTo(3);
    assertThat(held[3005]).isEqualTo(4);
    assertThat(said()).isEqualTo("gear 10");
  }

  /** Thirty a second in rows of a hundred: each stands for three rows or four. */
  @Test
  void aRateThatDoesNotDivideTheRowsIsToldToo() {
    double[] values = new double[N];
    Arrays.setAll(values, i -> brake((int) Math.round(i * 3 / 10 * 10 / 3.0)));
    double[] evened = evened(Channel.BRAKE, values);
    for (int i = 10; i < N - 10; i++) {
      assertThat(evened[i]).as("row %d", i).isCloseTo(brake(i), within(1.0));
    }
    assertThat(said()).contains("brake 33");
  }

  /** Four values are a switch's, which goes on and off at once; five a sensor's. */
  @ParameterizedTest
  @CsvSource({"4, false", "5, true"})
  void aSwitchHasNoRate(int steps, boolean laid) {
    double[] values = new double[N];
    Arrays.setAll(values, i -> 20.0 * (i / 10 % steps));
    double[] evened = evened(Channel.THROTTLE, values.clone());
    assertThat(Arrays.equals(evened, values)).isNotEqualTo(laid);
    assertThat(said()).isEqualTo(laid ? "throttle 10" : "");
  }

  private String said() {
    return corrections.said().stream()
        .map(sentence -> String.valueOf(sentence.facts().get("channels")))
        .collect(Collectors.joining());
  }

  @Test
  void nothingIsLaidOverAGap() {
    double[] values = new double[N];
    Arrays.setAll(values, i -> i >= 2000 && i < 2100 ? Double.NaN : brake(i));
    double[] evened = evened(Channel.BRAKE, values);
    assertThat(evened[2050]).isNaN();
    assertThat(evened[1999]).isEqualTo(brake(1999));
  }

  /** One cell of nought or none moves nothing. */
  @ParameterizedTest
  @ValueSource(doubles = {0, Double.NaN})
  void oneCellMovesNothing(double cell) {
    double[] values = new double[N];
    Arrays.setAll(values, i -> i % 37 == 0 ? cell : brake(i));
    double[] evened = evened(Channel.BRAKE, values);
    for (int i = 1; i < N - 1; i++) {
      double away = Math.abs(evened[i] - brake(i));
      // Below the size of a slip, and of what two samples change, a nought stays: it ends no
      // braking.
      assertThat(away).as("row %d", i).isLessThan(Double.isNaN(cell) ? 0.1 : 20.8);
    }
  }

  /** A pedal that is pressed for two samples was pressed. */
  @Test
  void aRealTouchStays() {
    double[] values = new double[N];
    values[500] = 45;
    values[501] = 46;
    double[] evened = evened(Channel.THROTTLE, values);
    assertThat(evened[500]).isEqualTo(45);
    assertThat(evened[501]).isEqualTo(46);
  }
}
