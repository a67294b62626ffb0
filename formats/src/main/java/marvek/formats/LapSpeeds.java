package marvek.formats;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import marvek.core.laps.Channel;

/** Fills gaps of a speed and puts its unit right by the way that was covered. */
final class LapSpeeds {
  /** Units that a speed may be in instead, as factors on the value. */
  private static final Map<String, Double> MISTAKEN =
      Map.of(
          "in m/s and not km/h", 3.6,
          "in km/h and not m/s", 1 / 3.6,
          "in mph and not km/h", 1.609344,
          "in km/h and not mph", 1 / 1.609344,
          "a tenth of what it should be", 10.0,
          "ten times what it should be", 0.1);

  private static final double NEAR = 0.08;

  /** Nothing on wheels goes faster round a circuit. */
  private static final double FASTEST_MPS = 130;

  private LapSpeeds() {}

  /**
   * @throws BadFileException if the speed cannot be that of a lap
   */
  static void check(double[] time, Map<Channel, double[]> channels, List<String> corrections) {
    double[] speed = channels.get(Channel.SPEED);
    fillGaps(speed, corrections);
    double covered = covered(time, channels);
    double byTheSpeed = integral(time, speed);
    if (byTheSpeed <= 0) {
      throw BadFileException.atLine(
          2, Channel.SPEED.column(), "the speed is 0 all through: this is no driven lap.");
    }
    if (covered > 0) {
      double ratio = covered / byTheSpeed;
      MISTAKEN.forEach(
          (words, factor) -> {
            if (Math.abs(ratio / factor - 1) < NEAR) {
              for (int i = 0; i < speed.length; i++) {
                speed[i] *= factor;
              }
              corrections.add(
                  "The speed is " + words + ", by the way that was covered: put right.");
            }
          });
    }
    for (int i = 0; i < speed.length; i++) {
      if (speed[i] > FASTEST_MPS || speed[i] < -1) {
        throw BadFileException.atLine(
            i + 2L,
            Channel.SPEED.column(),
            String.format(
                Locale.ROOT,
                "a speed of %.0f km/h cannot be: is its unit the one that the header says?",
                3.6 * speed[i]));
      }
    }
  }

  private static void fillGaps(double[] speed, List<String> corrections) {
    int filled = 0;
    for (int i = 0; i < speed.length; i++) {
      if (Double.isNaN(speed[i])) {
        int next = i;
        while (next < speed.length && Double.isNaN(speed[next])) {
          next++;
        }
        double before = i > 0 ? speed[i - 1] : next < speed.length ? speed[next] : 0;
        double after = next < speed.length ? speed[next] : before;
        for (int k = i; k < next; k++) {
          speed[k] = before + (after - before) * (k - i + 1) / (next - i + 1);
          filled++;
        }
      }
    }
    if (filled > 0) {
      corrections.add(filled + " missing speeds were filled from their neighbours.");
    }
  }

  private static double integral(double[] time, double[] speed) {
    double sum = 0;
    for (int i = 1; i < time.length; i++) {
      sum += (time[i] - time[i - 1]) * (speed[i] + speed[i - 1]) / 2;
    }
    return sum;
  }

  /** Way by distances or positions [m]; 0 where neither tells. */
  private static double covered(double[] time, Map<Channel, double[]> channels) {
    double[] distance = channels.get(Channel.DISTANCE);
    if (distance != null) {
      double sum = 0;
      for (int i = 1; i < distance.length; i++) {
        double step = distance[i] - distance[i - 1];
        sum += step > 0 ? step : 0;
      }
      return sum;
    }
    double[] x = channels.get(Channel.X);
    double[] y = channels.get(Channel.Y);
    double scaleX = 1;
    double scaleY = 1;
    if (x == null || y == null) {
      x = channels.get(Channel.LONGITUDE);
      y = channels.get(Channel.LATITUDE);
      if (x == null || y == null) {
        return 0;
      }
      scaleY = 111_200;
      scaleX = scaleY * Math.cos(Math.toRadians(y[0]));
    }
    return way(time, x, y, scaleX, scaleY);
  }

  /** Once a second, so that the noise of positions adds no way and no bend is cut off. */
  private static double way(double[] time, double[] x, double[] y, double scaleX, double scaleY) {
    double sum = 0;
    int last = 0;
    for (int i = 1; i < x.length; i++) {
      if (time[i] - time[last] >= 1) {
        double step = Math.hypot((x[i] - x[last]) * scaleX, (y[i] - y[last]) * scaleY);
        sum += Double.isNaN(step) ? 0 : step;
        last = i;
      }
    }
    return sum;
  }
}
