package marvek.formats;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import marvek.core.laps.Channel;
import marvek.core.laps.Samples;
import marvek.core.say.Sentence;

/** Brings pedals to per cent: from a pressure, from shares of one, from counts of a sensor. */
final class LapPedals {
  /** A single knock on the sensor is not its full scale. */
  private static final double HARDEST_SHARE = 0.999;

  /** Of a long recording not every sample is needed to know its hardest braking. */
  private static final int SOME = 20_000;

  private static final double LEAST_BAR = 2;

  /** More than this is no per cent, a sensor a little out of scale allowed for. */
  private static final double MOST_PCT = 130;

  private LapPedals() {}

  /** The values of a column, in per cent if it is a pedal's. */
  static Samples checked(LapColumn column, Samples samples, List<Sentence> corrections) {
    if (column.channel() != Channel.BRAKE && column.channel() != Channel.THROTTLE) {
      return samples;
    }
    double[] values = samples.copy();
    check(column, values, corrections);
    return Samples.of(column.channel(), values);
  }

  private static void check(LapColumn column, double[] values, List<Sentence> corrections) {
    double most = hardest(values);
    String name = column.channel().column();
    if (column.pressure()) {
      if (most < LEAST_BAR) {
        throw BadFileException.atLine(
            2, name, Sentence.of("file.pressure-low", "least", LEAST_BAR));
      }
      scale(values, 100 / most);
      corrections.add(Sentence.of("laps.brake-pressure", "bar", most));
    } else if (most > 0 && most <= 1.001) {
      scale(values, 100);
      corrections.add(Sentence.of("laps.pedal-of-one", "column", name));
      if (column.channel() == Channel.BRAKE && isSwitch(values)) {
        corrections.add(Sentence.of("laps.brake-switch"));
      }
    } else if (most > MOST_PCT) {
      scale(values, 100 / most);
      corrections.add(Sentence.of("laps.no-share", "column", name, "most", most));
    }
  }

  private static boolean isSwitch(double[] values) {
    return Arrays.stream(values).allMatch(v -> Double.isNaN(v) || v == 0 || v == 100);
  }

  private static double hardest(double[] values) {
    int every = Math.max(1, values.length / SOME);
    double[] sorted =
        IntStream.range(0, values.length / every)
            .mapToDouble(k -> values[k * every])
            .filter(v -> !Double.isNaN(v))
            .sorted()
            .toArray();
    return sorted.length == 0 ? 0 : sorted[(int) ((sorted.length - 1) * HARDEST_SHARE)];
  }

  private static void scale(double[] values, double factor) {
    for (int i = 0; i < values.length; i++) {
      values[i] *= factor;
    }
  }
}
