package marvek.core.laps;

import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.numeric.Median;
import marvek.core.say.Sentence;

/**
 * Samples of a logger in the order of time, as many of each channel as of the time; SI units but
 * where a channel's name says otherwise. Immutable.
 */
public final class Recording {
  private static final int STEPS = 20_000;

  private final double[] timeS;
  private final Map<Channel, Samples> channels;
  private final BitSet breaks;

  /**
   * Takes columns as they are; the caller does not change them any more.
   *
   * @param timeS strictly increasing [s]
   * @param channels one value a sample; NaN where a sample has none
   * @throws InvalidValueException if there are fewer than two samples, time does not increase, or a
   *     channel has another length
   */
  public Recording(double[] timeS, Map<Channel, double[]> channels) {
    this(timeS, samples(channels), new BitSet());
  }

  /**
   * The same of a logger whose clock has jumped.
   *
   * @param breaks samples before which it did: how long they are behind the ones before them is not
   *     known
   */
  public Recording(double[] timeS, Map<Channel, Samples> channels, BitSet breaks) {
    if (timeS.length < 2) {
      throw new InvalidValueException(
          "time_s", Sentence.of("refused.few-samples", "given", timeS.length));
    }
    for (int i = 1; i < timeS.length; i++) {
      if (!(timeS[i] > timeS[i - 1])) {
        throw new InvalidValueException(
            "time_s",
            i,
            Sentence.of("refused.time-order", "given", timeS[i], "before", timeS[i - 1]));
      }
    }
    channels.forEach(
        (channel, values) -> {
          if (values.size() != timeS.length) {
            throw new InvalidValueException(
                channel.column(),
                Sentence.of(
                    "refused.samples-count", "given", values.size(), "samples", timeS.length));
          }
        });
    this.timeS = timeS;
    this.channels = new EnumMap<>(Channel.class);
    this.channels.putAll(channels);
    this.breaks = (BitSet) breaks.clone();
  }

  private static Map<Channel, Samples> samples(Map<Channel, double[]> channels) {
    Map<Channel, Samples> all = new EnumMap<>(Channel.class);
    channels.forEach((channel, values) -> all.put(channel, Samples.of(channel, values)));
    return all;
  }

  /** Whether the clock jumped before one of the samples {@code from} to {@code to} − 1. */
  public boolean isBroken(int from, int to) {
    int next = breaks.nextSetBit(from);
    return next >= 0 && next < to;
  }

  /** The same with more places at which the clock jumped. */
  public Recording brokenAt(BitSet more) {
    BitSet all = (BitSet) breaks.clone();
    all.or(more);
    return new Recording(timeS, channels, all);
  }

  public int size() {
    return timeS.length;
  }

  public double timeAt(int i) {
    return timeS[i];
  }

  public boolean has(Channel channel) {
    return channels.containsKey(channel);
  }

  /**
   * Value of a sample; NaN where the channel was not recorded.
   *
   * @param i 0 to size − 1
   */
  public double at(Channel channel, int i) {
    Samples values = channels.get(channel);
    return values == null ? Double.NaN : values.at(i);
  }

  /** A channel's values; null where it was not recorded. */
  Samples samples(Channel channel) {
    return channels.get(channel);
  }

  /** A copy of a channel's values; null where it was not recorded. */
  public double[] channel(Channel channel) {
    Samples values = channels.get(channel);
    return values == null ? null : values.copy();
  }

  /** The same with one channel more, or another in its place. */
  public Recording with(Channel channel, double[] values) {
    Map<Channel, Samples> more = new EnumMap<>(channels);
    more.put(channel, Samples.of(channel, values));
    return new Recording(timeS, more, breaks);
  }

  /** The same without a channel. */
  public Recording without(Channel channel) {
    Map<Channel, Samples> less = new EnumMap<>(channels);
    less.remove(channel);
    return new Recording(timeS, less, breaks);
  }

  /** Median time between two samples [s], of some of them where there are many. */
  public double intervalS() {
    int every = Math.max(1, (timeS.length - 1) / STEPS);
    double[] steps = new double[(timeS.length - 1) / every];
    Arrays.setAll(steps, k -> timeS[k * every + 1] - timeS[k * every]);
    return Median.of(steps);
  }

  /** Whether it says where the car was. */
  public boolean hasPosition() {
    return has(Channel.X) && has(Channel.Y);
  }
}
