package marvek.core.page;

import java.util.Locale;
import java.util.Optional;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * Where no mark is seen: the time at speed from the last thing that the driver feels. Computed from
 * the lap, and always weak.
 */
final class TimeCount {
  /** Longer than this nobody counts at speed (assumed). */
  private static final double LONGEST_S = 5;

  /** Shorter than this there is nothing to count. */
  private static final double SHORTEST_S = 0.3;

  private static final double AT_LIMITER = 0.997;

  private TimeCount() {}

  /** Time from the limiter or the last change of gear to a point; empty without either in reach. */
  static Optional<MarkReference> before(Lap lap, double pointM) {
    Road road = lap.path().road();
    int point = road.indexOf(pointM);
    int limiter = onLimiterSince(lap, point);
    if (limiter != point) {
      return said(lap.timeBetween(limiter, point), "on the limiter");
    }
    int i = point;
    while (lap.timeBetween(i, point) < LONGEST_S && road.wrap(i - 1) != i) {
      int before = road.wrap(i - 1);
      if (lap.gearAt(before) < lap.gearAt(i)) {
        String change = "after the change into " + lap.gearAt(i);
        return said(lap.timeBetween(i, point), change);
      }
      i = before;
      if (i == point) {
        break;
      }
    }
    return Optional.empty();
  }

  private static int onLimiterSince(Lap lap, int point) {
    Road road = lap.path().road();
    int i = point;
    while (atLimiter(lap, i) && lap.timeBetween(i, point) < LONGEST_S && road.wrap(i - 1) != i) {
      i = road.wrap(i - 1);
    }
    return i;
  }

  private static boolean atLimiter(Lap lap, int i) {
    return lap.speedAt(i) >= AT_LIMITER * lap.driveline().limiterSpeedMps(lap.gearAt(i));
  }

  /** Time from one point of the page to the next, e.g. from the brake to the turn-in. */
  static Optional<MarkReference> from(Lap lap, double eventM, String event, double pointM) {
    Road road = lap.path().road();
    int from = road.indexOf(eventM);
    int to = road.indexOf(pointM);
    if (road.offsetBetween(eventM, pointM) <= 0) {
      return Optional.empty();
    }
    return said(lap.timeBetween(from, to), event);
  }

  private static Optional<MarkReference> said(double seconds, String event) {
    if (seconds < SHORTEST_S || seconds > LONGEST_S) {
      return Optional.empty();
    }
    String words = String.format(Locale.ROOT, "%.1f s %s", seconds, event);
    return Optional.of(MarkReference.count(words));
  }
}
