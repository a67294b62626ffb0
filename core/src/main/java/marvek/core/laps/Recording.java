package marvek.core.laps;

import java.util.EnumMap;
import java.util.Map;
import marvek.core.InvalidValueException;

/**
 * Samples of a logger in the order of time, as many of each channel as of the time; SI units but
 * where a channel's name says otherwise. Immutable.
 */
public final class Recording {
  private final double[] timeS;
  private final Map<Channel, double[]> channels;

  /**
   * Takes columns as they are; the caller does not change them any more.
   *
   * @param timeS strictly increasing [s]
   * @param channels one value a sample; NaN where a sample has none
   * @throws InvalidValueException if there are fewer than two samples, time does not increase, or a
   *     channel has another length
   */
  public Recording(double[] timeS, Map<Channel, double[]> channels) {
    if (timeS.length < 2) {
      throw new InvalidValueException(
          "time_s", "has " + timeS.length + " samples; a recording needs at least two");
    }
    for (int i = 1; i < timeS.length; i++) {
      if (!(timeS[i] > timeS[i - 1])) {
        throw new InvalidValueException(
            "time_s", i, "(" + timeS[i] + ") must come after " + timeS[i - 1]);
      }
    }
    channels.forEach(
        (channel, values) -> {
          if (values.length != timeS.length) {
            throw new InvalidValueException(
                channel.column(),
                "has " + values.length + " values for " + timeS.length + " samples");
          }
        });
    this.timeS = timeS;
    this.channels = new EnumMap<>(Channel.class);
    this.channels.putAll(channels);
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
    double[] values = channels.get(channel);
    return values == null ? Double.NaN : values[i];
  }

  /** A copy of a channel's values; null where it was not recorded. */
  public double[] channel(Channel channel) {
    double[] values = channels.get(channel);
    return values == null ? null : values.clone();
  }

  /** The same with one channel more, or another in its place. */
  public Recording with(Channel channel, double[] values) {
    Map<Channel, double[]> more = new EnumMap<>(Channel.class);
    more.putAll(channels);
    more.put(channel, values);
    return new Recording(timeS, more);
  }

  /** Whether it says where the car was. */
  public boolean hasPosition() {
    return has(Channel.X) && has(Channel.Y);
  }
}
