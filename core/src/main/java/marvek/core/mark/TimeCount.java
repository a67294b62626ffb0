package marvek.core.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * Where no mark is seen: the time at speed from the last thing that the driver feels. Computed from
 * the lap, and always weak.
 */
public final class TimeCount {
  /** Longer than this nobody counts at speed (assumed). */
  private static final double LONGEST_S = 4;

  /** Shorter than this there is nothing to count. */
  private static final double SHORTEST_S = 0.3;

  private final Lap lap;
  private final Road road;
  private final int point;
  private final List<Counted> found = new ArrayList<>();

  /** Something that a driver feels or does before the point. */
  public record Event(double stationM, String words) {}

  private record Counted(double seconds, String words) {}

  private TimeCount(Lap lap, double pointM) {
    this.lap = lap;
    this.road = lap.path().road();
    this.point = road.indexOf(pointM);
  }

  /**
   * Time to a point from the latest of: reaching the limiter, the last change up, and events of the
   * page.
   *
   * @return empty where none of them lies between {@value #SHORTEST_S} and {@value #LONGEST_S} s
   */
  public static Optional<MarkReference> before(Lap lap, double pointM, List<Event> events) {
    TimeCount count = new TimeCount(lap, pointM);
    count.limiter();
    count.lastChange();
    for (Event event : events) {
      if (count.road.offsetBetween(event.stationM(), pointM) > 0) {
        count.add(count.road.indexOf(event.stationM()), event.words());
      }
    }
    return count.found.stream()
        .min(Comparator.comparingDouble(Counted::seconds))
        .map(c -> String.format(Locale.ROOT, "%.1f s %s", c.seconds(), c.words()))
        .map(MarkReference::count);
  }

  private void add(int from, String words) {
    double seconds = lap.timeBetween(from, point);
    if (seconds >= SHORTEST_S && seconds <= LONGEST_S) {
      found.add(new Counted(seconds, words));
    }
  }

  private void limiter() {
    int i = point;
    while (lap.onLimiterAt(i) && withinReach(i)) {
      i = road.wrap(i - 1);
    }
    add(i, "on the limiter");
  }

  private void lastChange() {
    int i = point;
    while (withinReach(i)) {
      int before = road.wrap(i - 1);
      if (lap.gearAt(before) < lap.gearAt(i)) {
        add(i, "after the change into " + lap.gearAt(i));
        return;
      }
      i = before;
    }
  }

  private boolean withinReach(int i) {
    return lap.timeBetween(i, point) <= LONGEST_S && road.wrap(i - 1) != i;
  }
}
