package marvek.core.drive;

import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.event.BrakingZone;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;

/** Parts of a lap in which its pages are driven, each from before its first point on. */
final class CornerTasks {
  /** The drive begins so far before the corner's first point. */
  static final double RUN_UP_M = 40;

  /** The same where the brake point is looked for. */
  static final double LONG_RUN_UP_M = 150;

  /** Braking that ends up to here after the slowest place still belongs to the corner. */
  private static final double END_TOLERANCE_M = 15;

  /** A zone of the lap farther away than this is another corner's. */
  private static final double FARTHEST_ZONE_M = 120;

  /** The first throttle is looked for so far behind the brakes. */
  private static final double LONGEST_COAST_M = 600;

  private final Lap lap;
  private final Road road;
  private final List<CornerPage> pages;
  private final List<BrakingZone> zones;

  CornerTasks(Lap lap, List<CornerPage> pages) {
    this.lap = lap;
    this.road = lap.path().road();
    this.pages = pages;
    this.zones = BrakingZone.of(lap);
  }

  CornerTask task(int number, double runUpM) {
    CornerPage page = pages.get(number);
    int slowest = road.indexOf(page.lowestSpeedAtM());
    BrakingZone zone = brakingZone(page);
    int begin = zone == null ? road.indexOf(page.turnIn().atM()) : zone.begin();
    boolean slowBefore = road.offsetBetween(road.stationAt(begin), page.lowestSpeedAtM()) < 0;
    double actingWayM = zone == null ? 0 : zone.actingWayM(lap);
    int start = begin(slowBefore ? slowest : begin, actingWayM + runUpM);
    double nextM = nextBeginM(number, start);
    CornerPoints points = points(page, zone, start, nextM);
    int count = countTo(number, start);
    Drive.Part part = new Drive.Part(start, count, points.brakeM(), points.fullM());
    return new CornerTask(
        page, part, points, road.ahead(start, slowest), reach(page, start, count, nextM));
  }

  private int begin(int sample, double metresBefore) {
    int back = road.samples(metresBefore);
    return road.closed() ? road.wrap(sample - back) : Math.max(0, sample - back);
  }

  /**
   * First sample on the brakes for a corner and first one off them, of the zone whose release or
   * else brake point is the page's; null without braking.
   */
  private BrakingZone brakingZone(CornerPage page) {
    if (page.brake().atM() == null) {
      // What brakes there are before it belong to the corner before.
      return null;
    }
    Double release = page.trailBrake() == null ? null : page.trailBrake().releaseM();
    return zones.stream()
        .filter(zone -> awayM(zone, page, release) < FARTHEST_ZONE_M)
        .min(Comparator.comparingDouble(zone -> awayM(zone, page, release)))
        .orElse(null);
  }

  private double awayM(BrakingZone zone, CornerPage page, Double releaseM) {
    return releaseM == null
        ? Math.abs(road.offsetBetween(page.brake().atM(), road.stationAt(zone.begin())))
        : Math.abs(road.offsetBetween(releaseM, road.stationAt(zone.end())));
  }

  private CornerPoints points(CornerPage page, BrakingZone zone, int start, double nextM) {
    double step = road.stepM();
    double brake = zone == null ? Double.POSITIVE_INFINITY : step * road.ahead(start, zone.begin());
    double release = zone == null ? Double.POSITIVE_INFINITY : step * road.ahead(start, zone.end());
    double firstM = firstThrottleM(page, zone, start);
    double fullM =
        page.throttle().fullM() == null ? firstM + 1 : metres(start, page.throttle().fullM());
    return new CornerPoints(
        brake - (zone == null ? 0 : zone.actingWayM(lap)),
        brake,
        metres(start, page.turnIn().atM()),
        release,
        firstM,
        Math.max(firstM + 1, Math.min(fullM, nextM)),
        zone == null ? 0 : lap.speedAt(zone.begin()));
  }

  private double firstThrottleM(CornerPage page, BrakingZone zone, int start) {
    if (zone != null) {
      return road.stepM() * road.ahead(start, firstThrottle(zone.end()));
    }
    Double firstM = page.throttle().firstM();
    return firstM == null ? Double.POSITIVE_INFINITY : metres(start, firstM);
  }

  private double metres(int start, double stationM) {
    return road.offsetBetween(road.stationAt(start), stationM);
  }

  private int firstThrottle(int released) {
    int most = road.samples(LONGEST_COAST_M);
    for (int k = 0; k < most; k++) {
      int i = road.wrap(released + k);
      if (lap.throttleShareAt(i) > 0.02) {
        return i;
      }
    }
    return released;
  }

  /** Metres from a drive's beginning to the first point of the next corner; its work is its own. */
  private double nextBeginM(int number, int start) {
    boolean last = number + 1 == pages.size();
    if (pages.size() == 1 || last && !road.closed()) {
      return Double.POSITIVE_INFINITY;
    }
    double beginM = CornerTime.beginsAtM(pages.get((number + 1) % pages.size()), road);
    return road.distance(road.stationAt(start), beginM);
  }

  /** To the slowest place of the next corner: what is lost at the exit is lost down to there. */
  private int countTo(int number, int start) {
    boolean last = number + 1 == pages.size();
    if (last && !road.closed()) {
      return road.size() - 1 - start;
    }
    CornerPage next = pages.get((number + 1) % pages.size());
    int count = road.ahead(start, road.indexOf(next.lowestSpeedAtM()));
    return pages.size() == 1 ? road.size() - 1 : count;
  }

  /** The corner itself ends where the throttle is full and the car is out at the edge. */
  private int reach(CornerPage page, int start, int count, double nextM) {
    double out = metres(start, page.exit().trackOutM());
    double full = page.throttle().fullM() == null ? out : metres(start, page.throttle().fullM());
    double end = Math.min(Math.max(out, full) + END_TOLERANCE_M, Math.max(nextM, 0));
    return Math.min(count, road.samples(end));
  }
}
