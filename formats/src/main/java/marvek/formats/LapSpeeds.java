package marvek.formats;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.say.Sentence;

/** Puts the unit of a speed right by the way that was covered. */
final class LapSpeeds {
  /**
   * A speed in another unit than its header says, or a wrong power of ten.
   *
   * @param factor on the value
   */
  private record Mistaken(double factor, Sentence said) {
    static Mistaken unit(String is, String header, double factor) {
      return new Mistaken(factor, Sentence.of("laps.speed-unit", "is", is, "said", header));
    }
  }

  private static final double KM_H_OF_MPH = 1.609344;
  private static final double KM_H_OF_KNOTS = 1.852;

  private static final List<Mistaken> MISTAKEN =
      List.of(
          Mistaken.unit("m/s", "km/h", 3.6),
          Mistaken.unit("km/h", "m/s", 1 / 3.6),
          Mistaken.unit("mph", "km/h", KM_H_OF_MPH),
          Mistaken.unit("km/h", "mph", 1 / KM_H_OF_MPH),
          Mistaken.unit("knots", "km/h", KM_H_OF_KNOTS),
          Mistaken.unit("km/h", "knots", 1 / KM_H_OF_KNOTS),
          Mistaken.unit("mph", "m/s", KM_H_OF_MPH / 3.6),
          Mistaken.unit("knots", "m/s", KM_H_OF_KNOTS / 3.6),
          new Mistaken(10, Sentence.of("laps.speed-tenth")),
          new Mistaken(0.1, Sentence.of("laps.speed-tenfold")));

  private static final double NEAR = 0.06;

  /** Nothing on wheels goes faster round a circuit. */
  private static final double FASTEST_MPS = 130;

  /** A few are slips of a sensor; more of them are another unit. */
  private static final double MOST_IMPOSSIBLE = 0.005;

  private LapSpeeds() {}

  /**
   * @throws BadFileException if the speed cannot be that of a lap
   */
  static Recording checked(Recording recording, long firstLine, List<Sentence> corrections) {
    double[] speed = recording.channel(Channel.SPEED);
    if (Arrays.stream(speed).allMatch(Double::isNaN)) {
      throw BadFileException.atLine(
          firstLine, Channel.SPEED.column(), Sentence.of("file.column-empty"));
    }
    double covered = covered(recording);
    double byTheSpeed = integral(recording, speed);
    if (byTheSpeed <= 0) {
      throw BadFileException.atLine(
          firstLine, Channel.SPEED.column(), Sentence.of("file.speed-zero"));
    }
    if (covered > 0) {
      otherUnit(covered / byTheSpeed)
          .ifPresent(
              unit -> {
                for (int i = 0; i < speed.length; i++) {
                  speed[i] *= unit.factor();
                }
                corrections.add(unit.said());
              });
    }
    withoutImpossible(speed, firstLine, corrections);
    return recording.with(Channel.SPEED, speed);
  }

  private static Optional<Mistaken> otherUnit(double ratio) {
    return MISTAKEN.stream()
        .filter(unit -> Math.abs(ratio / unit.factor() - 1) < NEAR)
        .min(Comparator.comparingDouble(unit -> Math.abs(ratio / unit.factor() - 1)));
  }

  private static void withoutImpossible(
      double[] speed, long firstLine, List<Sentence> corrections) {
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
          Sentence.of("file.speed-high", "speed_mps", speed[first]));
    }
    if (count > 0) {
      corrections.add(
          Sentence.of(
              "laps.speeds-out",
              "count",
              count,
              "first_mps",
              speed[first],
              "line",
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
