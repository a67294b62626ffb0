package marvek.core.page;

import java.util.List;
import marvek.core.circuit.Road;

/**
 * Where a corner's gears are asked for, as samples of its road: on the way in from the turn-in to
 * shortly before the slowest place, at the apex round it, on the way out from there or the first
 * throttle to where it is flat or the car out at the edge.
 *
 * @param inFrom the same as {@code apexFrom} where there is no way in
 */
public record GearPlaces(int inFrom, int apexFrom, int apexTo, int outFrom, int outTo) {
  /** A gear of the apex is held so far before the slowest place and behind it (own assumption). */
  private static final double BEFORE_M = 8;

  private static final double BEHIND_M = 16;

  /** The gear out is held at least so far. */
  private static final double LEAST_OUT_M = 8;

  /**
   * The places of a page.
   *
   * @param turnInM station [m]
   * @param slowestM station of the lowest speed [m]
   * @param throttle where it opens and is flat; members may be null
   * @param trackOutM station [m]
   * @param next sample of the next corner's first point, where this corner's gears end
   */
  public static GearPlaces of(
      Road road,
      double turnInM,
      double slowestM,
      CornerPage.Throttle throttle,
      double trackOutM,
      int next) {
    int slowest = road.indexOf(slowestM);
    int apexFrom = road.wrap(slowest - road.samples(BEFORE_M));
    int apexTo = road.wrap(slowest + road.samples(BEHIND_M));
    boolean wayIn = road.offsetBetween(turnInM, road.stationAt(apexFrom)) > 0;
    Double firstM = throttle.firstM();
    double endM = earlier(road, throttle.fullM(), trackOutM);
    double outM = road.stationAt(road.wrap(apexTo + 1));
    int outFrom = road.indexOf(firstM == null ? outM : later(road, outM, firstM));
    int least = road.wrap(outFrom + road.samples(LEAST_OUT_M));
    int outTo = road.indexOf(later(road, road.stationAt(least), endM));
    int most = Math.max(0, road.ahead(slowest, next) - 1);
    return new GearPlaces(
        wayIn ? road.indexOf(turnInM) : apexFrom,
        apexFrom,
        apexTo,
        road.wrap(slowest + Math.min(most, road.ahead(slowest, outFrom))),
        road.wrap(slowest + Math.min(most, road.ahead(slowest, outTo))));
  }

  /** The places of one of the model's pages. */
  public static GearPlaces of(Road road, List<CornerPage> pages, int number) {
    CornerPage page = pages.get(number);
    return of(
        road,
        page.turnIn().atM(),
        page.lowestSpeedAtM(),
        page.throttle(),
        page.exit().trackOutM(),
        GearReader.nextBegin(road, pages, number));
  }

  private static double earlier(Road road, Double a, double b) {
    return a == null || road.offsetBetween(a, b) < 0 ? b : a;
  }

  private static double later(Road road, double a, double b) {
    return road.offsetBetween(a, b) < 0 ? a : b;
  }
}
