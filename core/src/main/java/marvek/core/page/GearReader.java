package marvek.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.profile.GearPlan;
import marvek.core.profile.Lap;

/** Reads off a lap in which gears a corner is driven, and where they are changed. */
public final class GearReader {
  /** Below this share of the limiter a change up is a short one. */
  public static final double SHORT_SHIFT = 0.95;

  /** So long on the limiter before a change it was held there. */
  private static final double HELD_S = 0.3;

  /** A change down belongs to the way in up to so far behind the slowest place. */
  private static final double BEHIND_M = 5;

  /** A written change is made within this way of its place, which is the road's step. */
  private static final double SAME_STEPS = 1.5;

  private final Lap lap;
  private final Road road;
  private final int begin;
  private final int slowest;
  private final int next;
  private final GearPlaces places;

  private GearReader(Lap lap, int begin, int slowest, int next, GearPlaces places) {
    this.lap = lap;
    this.road = lap.path().road();
    this.begin = begin;
    this.slowest = slowest;
    this.next = next;
    this.places = places;
  }

  /**
   * The gears of a corner.
   *
   * @param begin sample of the corner's first point
   * @param slowest sample of its lowest speed
   * @param next sample of the next corner's first point, or the end of an open road
   */
  static CornerPage.Gears of(Lap lap, int begin, int slowest, int next, GearPlaces places) {
    GearReader reader = new GearReader(lap, begin, slowest, next, places);
    Road road = lap.path().road();
    return new CornerPage.Gears(
        lap.gearAt(road.wrap(begin - 1)),
        lap.gearAt(
            places.inFrom() == places.apexFrom() ? slowest : road.wrap(places.apexFrom() - 1)),
        lap.gearAt(slowest),
        lap.gearAt(places.outTo()),
        reader.downshiftsM(),
        reader.changes());
  }

  /**
   * The gears of one of a lap's pages as another lap of the same road has them.
   *
   * @param own changes that are written: told at the places where they are
   */
  public static CornerPage.Gears on(
      Lap lap, List<CornerPage> pages, int number, List<GearChange> own) {
    Road road = lap.path().road();
    CornerPage page = pages.get(number);
    int begin = road.indexOf(CornerTime.beginsAtM(page, road));
    CornerPage.Gears gears =
        of(
            lap,
            begin,
            road.indexOf(page.lowestSpeedAtM()),
            nextBegin(road, pages, number),
            GearPlaces.of(road, pages, number));
    List<GearChange> told =
        gears.changes().stream().map(made -> asWritten(road, made, own)).toList();
    return gears.changed(new GearChanges(told));
  }

  /** Sample of the next page's first point, or the end of an open road. */
  public static int nextBegin(Road road, List<CornerPage> pages, int number) {
    boolean last = number + 1 == pages.size();
    return last && !road.closed()
        ? road.size() - 1
        : road.indexOf(CornerTime.beginsAtM(pages.get((number + 1) % pages.size()), road));
  }

  private static GearChange asWritten(Road road, GearChange made, List<GearChange> own) {
    return own.stream()
        .filter(
            o ->
                o.to() == made.to()
                    && Math.abs(road.offsetBetween(o.atM(), made.atM()))
                        < SAME_STEPS * road.stepM())
        .findFirst()
        .map(o -> new GearChange(o.atM(), made.to(), made.kind()))
        .orElse(made);
  }

  private List<Double> downshiftsM() {
    int span = road.ahead(begin, slowest) + road.samples(BEHIND_M);
    return made().stream()
        .filter(change -> change.to() < change.from())
        .filter(change -> road.ahead(begin, change.sample()) <= span)
        .map(change -> road.stationAt(change.sample()))
        .toList();
  }

  private List<GearChange> changes() {
    int span = road.ahead(begin, next);
    return made().stream()
        .filter(change -> road.ahead(begin, change.sample()) < span)
        .map(change -> new GearChange(road.stationAt(change.sample()), change.to(), kind(change)))
        .toList();
  }

  /** The lap's changes from the corner's first point on, in driving order. */
  private List<GearPlan.Change> made() {
    List<GearPlan.Change> made = new ArrayList<>();
    for (GearPlan.Change change : lap.gearChanges()) {
      if (road.closed() || change.sample() >= begin) {
        made.add(change);
      }
    }
    made.sort(Comparator.comparingInt(change -> road.ahead(begin, change.sample())));
    return made;
  }

  private GearChange.Kind kind(GearPlan.Change change) {
    if (change.to() < change.from()) {
      boolean before = road.ahead(begin, change.sample()) <= road.ahead(begin, slowest);
      boolean upAgain = lap.gearAt(places.apexTo()) > change.to();
      return before && upAgain ? GearChange.Kind.ROTATION : GearChange.Kind.DOWN;
    }
    int before = road.wrap(change.sample() - 1);
    double rpm = lap.driveline().rpm(change.from(), lap.speedAt(before));
    if (rpm < SHORT_SHIFT * lap.vehicle().engine().limiterRpm()) {
      return GearChange.Kind.SHORT;
    }
    int since = before;
    while (lap.onLimiterAt(since) && lap.timeBetween(since, before) < HELD_S) {
      since = road.wrap(since - 1);
    }
    return lap.timeBetween(since, before) >= HELD_S ? GearChange.Kind.LIMITER : GearChange.Kind.UP;
  }
}
