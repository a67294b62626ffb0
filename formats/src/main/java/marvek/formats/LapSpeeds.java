package marvek.formats;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;

/** Puts the unit of a speed right by the way that was covered. */
final class LapSpeeds {
  /** Units that a speed may be in instead, as factors on the value. */
  private static final Map<String, Double> MISTAKEN =
      Map.of(
          "in m/s and not km/h",
          3.6,
          "in km/h and not m/s",
          1 / 3.6,
          "in mph and not km/h",
          1.609344,
          "in km/h and not mph",
          1 / 1.609344,
          "in knots and not km/h",
          1.852,
          "in km/h and not knots",
          1 / 1.852,
          "in mph and not m/s",
          1.609344 / 3.6,
          "in knots and not m/s",
          1.852 / 3.6,
          "a tenth of what it should be",
          10.0,
          "ten times what it should be",
          0.1);

  private static final double NEAR = 0.06;

  /** Nothing on wheels goes faster round a circuit. */
  private static final double FASTEST_MPS = 130;

  /** A few are slips of a sensor; more of them are another unit. */
  private static final double MOST_IMPOSSIBLE = 0.005;

  private LapSpeeds() {}

  /**
   * @throws BadFileException if the speed cannot be that of a lap
   */
  static Recording checked(Recording recording, long firstLine, List<String> corrections) {
    double[] speed = recording.channel(Channel.SPEED);
    if (Arrays.stream(speed).allMatch(Double::isNaN)) {
      throw BadFileException.atLine(
          firstLine, Channel.SPEED.column(), "the column is empty: leave it out, or take another.");
    }
    double covered = covered(recording);
    double byTheSpeed = integral(recording, speed);
    if (byTheSpeed <= 0) {
      throw BadFileException.atLine(
          firstLine, Channel.SPEED.column(), "the speed is 0 all through: this is no driven lap.");
    }
    if (covered > 0) {
      otherUnit(covered / byTheSpeed)
          .ifPresent(
              unit -> {
                for (int i = 0; i < speed.length; i++) {
                  speed[i] *= unit.getValue();
                }
                corrections.add(
                    "The speed is " + unit.getKey() + ", by the way that was covered: put right.");
              });
    }
    withoutImpossible(speed, firstLine, corrections);
    return recording.with(Channel.SPEED, speed);
  }

  private static Optional<Map.Entry<String, Double>> otherUnit(double ratio) {
    return MISTAKEN.entrySet().stream()
        .filter(unit -> Math.abs(ratio / unit.getValue() - 1) < NEAR)
        .min(Comparator.comparingDouble(unit -> Math.abs(ratio / unit.getValue() - 1)));
  }

  private static void withoutImpossible(double[] speed, long firstLine, List<String> corrections) {
    int count = 0;
    int first = -1;
    for (int i = 0; i < speed.length; i++) {
      if (speed[i] > FASTEST_MPS || speed[i] < -1) {
        first = first < 0 ? i : first;
        count++;
      }
    }
    if (count > MOST_IMPOSSIBLE * speed.length) {
      throw BadFileException.atLine(
          firstLine + first,
          Channel.SPEED.column(),
          String.format(
              Locale.ROOT,
              "a speed of %.0f km/h cannot be: is its unit the one that the header says?",
              3.6 * speed[first]));
    }
    if (count > 0) {
      corrections.add(
          String.format(
              Locale.ROOT,
              "%d speeds that cannot be were left out, the first (%.0f km/h) in line %d.",
              count,
              3.6 * speed[first],
              firstLine + first));
      for (int i = first; i < speed.length; i++) {
        speed[i] = speed[i] > FASTEST_MPS || speed[i] < -1 ? Double.NaN : speed[i];
      }
    }
  }

  private static double integral(Recording recording, double[] speed) {
    double sum = 0;
    int last = -1;
    for (int i = 0; i < speed.length; i++) {
      if (!Double.isNaN(speed[i])) {
        sum +=
            last < 0
                ? 0
                : (recording.timeAt(i) - recording.timeAt(last)) * (speed[i] + speed[last]) / 2;
        last = i;
      }
    }
    return sum;
  }

  /** Way by distances or positions [m]; 0 where neither tells. */
  private static double covered(Recording recording) {
    if (recording.has(Channel.DISTANCE)) {
      double sum = 0;
      double last = Double.NaN;
      for (int i = 0; i < recording.size(); i++) {
        double now = recording.at(Channel.DISTANCE, i);
        sum += now > last ? now - last : 0;
        last = Double.isNaN(now) ? last : now;
      }
      return sum;
    }
    if (recording.hasPosition()) {
      return way(recording, new Channel[] {Channel.X, Channel.Y}, 1, 1);
    }
    double latitude = firstLatitude(recording);
    if (!recording.has(Channel.LONGITUDE) || !(Math.abs(latitude) <= 90)) {
      // Degrees and minutes in one number: how far apart they are is not known yet.
      return 0;
    }
    double scale = 111_200;
    return way(
        recording,
        new Channel[] {Channel.LONGITUDE, Channel.LATITUDE},
        scale * Math.cos(Math.toRadians(latitude)),
        scale);
  }

  /** NaN without one. */
  private static double firstLatitude(Recording recording) {
    for (int i = 0; i < recording.size(); i++) {
      double latitude = recording.at(Channel.LATITUDE, i);
      if (latitude != 0 && !Double.isNaN(latitude)) {
        return latitude;
      }
    }
    return Double.NaN;
  }

  /** Once a second, so that the noise of positions adds no way and no bend is cut off. */
  private static double way(Recording r, Channel[] places, double scaleX, double scaleY) {
    double sum = 0;
    int last = -1;
    for (int i = 0; i < r.size(); i++) {
      double x = r.at(places[0], i);
      double y = r.at(places[1], i);
      boolean known = !Double.isNaN(x) && !Double.isNaN(y);
      if (known && (last < 0 || r.timeAt(i) - r.timeAt(last) >= 1)) {
        sum +=
            last < 0
                ? 0
                : Math.hypot(
                    (x - r.at(places[0], last)) * scaleX, (y - r.at(places[1], last)) * scaleY);
        last = i;
      }
    }
    return sum;
  }
}
