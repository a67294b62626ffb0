package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.NullSource;

/** Values that are collected come back: all of them or some, few or the most of a day. */
class SamplesTest {
  /** More than a day's file needs, and no whole number of anything. */
  private static final int MANY = Samples.LONG + 70_001;

  private static double value(int i) {
    return 1.0 / 3 + i * 0.001;
  }

  private static SamplesBuilder filled(Channel channel, int count) {
    SamplesBuilder builder = new SamplesBuilder(channel);
    for (int i = 0; i < count; i++) {
      builder.add(value(i));
    }
    return builder;
  }

  private static BitSet all(int count) {
    BitSet all = new BitSet();
    all.set(0, count);
    return all;
  }

  @ParameterizedTest
  @NullSource
  @EnumSource(
      value = Channel.class,
      names = {"X", "LATITUDE"})
  void timesAndPlacesKeepEveryDigit(Channel exact) {
    SamplesBuilder builder = filled(exact, MANY);
    assertThat(builder.size()).isEqualTo(MANY);
    Samples samples = builder.build(all(MANY));
    assertThat(samples.size()).isEqualTo(MANY);
    double[] copy = samples.copy();
    for (int i = 0; i < MANY; i += 977) {
      assertThat(builder.at(i)).isEqualTo(value(i));
      assertThat(samples.at(i)).isEqualTo(value(i));
      assertThat(copy[i]).isEqualTo(value(i));
    }
    assertThat(samples.at(MANY - 1)).isEqualTo(value(MANY - 1));
  }

  @Test
  void otherValuesOfALongRecordingKeepSevenDigits() {
    SamplesBuilder builder = filled(Channel.SPEED, MANY);
    Samples samples = builder.build(all(MANY));
    Samples given = Samples.of(Channel.SPEED, plain(MANY));
    double[] copy = samples.copy();
    for (int i = 0; i < MANY; i += 977) {
      assertThat(samples.at(i)).isEqualTo((float) value(i));
      assertThat(given.at(i)).isEqualTo((float) value(i));
      assertThat(copy[i]).isEqualTo((float) value(i));
    }
    assertThat(samples.size()).isEqualTo(MANY);
    assertThat(given.size()).isEqualTo(MANY);
    assertThat(builder.at(MANY - 1)).isEqualTo(value(MANY - 1));
  }

  private static double[] plain(int count) {
    double[] all = new double[count];
    java.util.Arrays.setAll(all, SamplesTest::value);
    return all;
  }

  /** Those that are kept, in their order, of a short recording and of a long one. */
  @Test
  void someOfThemComeInTheirOrder() {
    SamplesBuilder builder = filled(Channel.SPEED, 200_000);
    BitSet kept = new BitSet();
    for (int i = 5; i < 200_000; i += 3) {
      kept.set(i);
    }
    Samples some = builder.build(kept);
    assertThat(some.size()).isEqualTo(kept.cardinality());
    for (int k = 0; k < some.size(); k += 131) {
      assertThat(some.at(k)).isEqualTo(builder.at(5 + 3 * k));
    }

    SamplesBuilder longer = filled(Channel.SPEED, MANY + 100);
    BitSet most = all(MANY + 100);
    most.clear(0, 50);
    Samples rounded = longer.build(most);
    assertThat(rounded.size()).isEqualTo(MANY + 50);
    for (int k = 0; k < rounded.size(); k += 977) {
      assertThat(rounded.at(k)).isEqualTo((float) value(50 + k));
    }
    SamplesBuilder places = filled(Channel.X, MANY + 100);
    assertThat(places.build(most).at(1000)).isEqualTo(value(1050));
  }

  @Test
  void aShortRecordingKeepsEveryDigitOfEverything() {
    Samples samples = filled(Channel.SPEED, 1000).build(all(1000));
    assertThat(samples.at(500)).isEqualTo(value(500));
    assertThat(Samples.of(Channel.SPEED, plain(1000)).at(500)).isEqualTo(value(500));
  }
}
