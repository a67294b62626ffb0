package marvek.core.page;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * The time of a corner: from its first point to the next corner's, so that the straight after it
 * counts. Two laps are compared between the same two places, never between points that moved.
 */
public final class CornerTime {
  private CornerTime() {}

  /** Where a corner's time begins: its brake point or its turn-in, whichever comes first [m]. */
  public static double beginsAtM(CornerPage page, Road road) {
    Double brake = page.brake().atM();
    double turnIn = page.turnIn().atM();
    return brake != null && road.offsetBetween(brake, turnIn) >= 0 ? brake : turnIn;
  }

  /**
   * Time that a lap takes between the first points of a page and the next [s].
   *
   * @param pages whose places count
   * @param number index of the corner among them
   * @param lap on the same road, of whatever day, line or vehicle
   */
  public static double between(List<CornerPage> pages, int number, Lap lap) {
    Road road = lap.path().road();
    int from = road.indexOf(beginsAtM(pages.get(number), road));
    boolean last = !road.closed() && number + 1 == pages.size();
    int to =
        last
            ? road.size() - 1
            : road.indexOf(beginsAtM(pages.get((number + 1) % pages.size()), road));
    double seconds = lap.timeBetween(from, to);
    return seconds > 0 ? seconds : lap.timeS();
  }
}
