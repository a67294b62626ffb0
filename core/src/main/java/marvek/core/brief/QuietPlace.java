package marvek.core.brief;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.GearChange;
import marvek.core.page.PagePoint;
import marvek.core.profile.Lap;

/**
 * A stretch of the lap on which nothing is to be done: time to read a gauge or a board.
 *
 * @param afterCorner whose last point lies before it
 */
public record QuietPlace(int afterCorner, double fromM, double toM, double seconds) {
  /** Shorter ones are no time to look away. */
  public static final double LEAST_S = 2;

  /** So many are told. */
  private static final int MOST = 5;

  /** The longest of a lap, one behind a corner, the longest first. */
  public static List<QuietPlace> of(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    double[] points = points(pages).stream().mapToDouble(each -> each).toArray();
    int pairs = road.closed() ? points.length : points.length - 1;
    Set<Integer> told = new HashSet<>();
    return IntStream.range(0, Math.max(0, pairs))
        .mapToObj(k -> between(lap, pages, points[k], points[(k + 1) % points.length]))
        .filter(place -> place.seconds > LEAST_S)
        .sorted(Comparator.comparingDouble((QuietPlace place) -> -place.seconds))
        .filter(place -> told.add(place.afterCorner))
        .limit(MOST)
        .toList();
  }

  /** Places at which something is done, in the order of their stations. */
  private static TreeSet<Double> points(List<CornerPage> pages) {
    TreeSet<Double> points = new TreeSet<>();
    for (CornerPage page : pages) {
      PagePoint.of(page).forEach(point -> points.add(point.atM(page)));
      page.gears().changes().stream().map(GearChange::atM).forEach(points::add);
    }
    return points;
  }

  private static QuietPlace between(Lap lap, List<CornerPage> pages, double fromM, double toM) {
    Road road = lap.path().road();
    double seconds = lap.timeBetween(road.indexOf(fromM), road.indexOf(toM));
    int corner =
        pages.stream()
            .min(Comparator.comparingDouble(page -> behind(road, page, fromM)))
            .orElseThrow()
            .corner();
    return new QuietPlace(corner, fromM, toM, seconds);
  }

  /** Way from a corner's apex to a place behind it. */
  private static double behind(Road road, CornerPage page, double stationM) {
    double way = road.distance(page.apexes().get(0).atM(), stationM);
    return way < 0 ? Double.MAX_VALUE : way;
  }
}
