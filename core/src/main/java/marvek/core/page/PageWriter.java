package marvek.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.RunOff;
import marvek.core.event.BrakingZone;
import marvek.core.event.CornerEvents;
import marvek.core.event.LapEvents;
import marvek.core.line.Corridor;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;
import marvek.core.mark.TimeCount;
import marvek.core.page.CornerPage.Apex;
import marvek.core.page.CornerPage.ApexKind;
import marvek.core.page.CornerPage.BrakeStyle;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/** Writes the pages of a solved lap, one a corner, in driving order. */
public final class PageWriter {
  /** The first pressure is looked for this far into the braking zone. */
  private static final double INITIAL_M = 30;

  /** Bounds between styles of braking, in per cent of full (common practice). */
  private static final double HARD_PCT = 60;

  /** A dab: light (common practice: 5 to 25 %), or short; below half a second is an own bound. */
  private static final double DAB_PCT = 25;

  private static final double DAB_S = 0.5;

  /** Track limits are looked at up to here behind a track-out, where a car still runs wide. */
  private static final double NOTICED_BEHIND_M = 30;

  /** "Near the apex" is this share of the way from turn-in. */
  public static final double NEAR_APEX_SHARE = 0.85;

  /** A target and two more to choose from. */
  public static final int MARKS_OFFERED = 3;

  /** Uses of a kerb that reach equally far but for this are the same: the fuller one is told. */
  private static final double SAME_REACH_M = 0.05;

  /**
   * Share of the turn at which an apex is called early or late (common practice: late at 60 to 75
   * %).
   */
  private static final double EARLY_SHARE = 0.42;

  private static final double LATE_SHARE = 0.60;

  private final Circuit circuit;
  private final Vehicle vehicle;
  private final Conditions conditions;
  private final Lap lap;
  private final Path path;
  private final Road road;
  private final MarkChooser marks;

  private PageWriter(
      Circuit circuit, Vehicle vehicle, Conditions conditions, Lap lap, MarkChooser marks) {
    this.circuit = circuit;
    this.vehicle = vehicle;
    this.conditions = conditions;
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.marks = marks;
  }

  /** The pages for corners of the lap's road. */
  public static List<CornerPage> write(
      Circuit circuit,
      Vehicle vehicle,
      Conditions conditions,
      Lap lap,
      List<Corner> corners,
      MarkChooser marks) {
    return new PageWriter(circuit, vehicle, conditions, lap, marks).write(corners);
  }

  private List<CornerPage> write(List<Corner> corners) {
    List<CornerEvents> events = LapEvents.of(lap, corners);
    List<CornerPage> pages = new ArrayList<>();
    for (int c = 0; c < events.size(); c++) {
      pages.add(page(events.get(c), nextBegin(events, c), feltBefore(events, c)));
    }
    return pages;
  }

  private int nextBegin(List<CornerEvents> corners, int c) {
    if (!road.closed() && c + 1 == corners.size()) {
      return road.size() - 1;
    }
    return corners.get((c + 1) % corners.size()).begin();
  }

  /** The corner before: the last thing that was felt where nothing else is. */
  private List<TimeCount.Event> feltBefore(List<CornerEvents> corners, int c) {
    if (corners.size() < 2 || !road.closed() && c == 0) {
      return List.of();
    }
    CornerEvents before = corners.get(Math.floorMod(c - 1, corners.size()));
    String corner = (before.corner().number() + " " + before.corner().name()).strip();
    return List.of(
        new TimeCount.Event(road.stationAt(before.lastApex()), "after the apex of " + corner),
        new TimeCount.Event(road.stationAt(before.trackOut()), "after the exit of " + corner));
  }

  private CornerPage page(CornerEvents at, int nextBegin, List<TimeCount.Event> events) {
    Corner corner = at.corner();
    int begin = at.begin();
    double time = lap.timeBetween(begin, nextBegin);
    return new CornerPage(
        corner.number(),
        corner.name(),
        corner.direction(),
        corner.fromM(),
        corner.toM(),
        new CornerPage.Approach(path.offsetAt(begin), lap.speedAt(begin)),
        brake(at, events),
        gears(at, nextBegin),
        turnIn(at, events),
        trailBrake(at),
        apexes(at),
        kerbs(at),
        limits(at),
        throttle(at),
        PedalWork.NONE,
        lap.footwork(),
        null,
        new CornerPage.Exit(
            road.stationAt(at.trackOut()),
            path.offsetAt(at.trackOut()),
            lap.speedAt(at.trackOut())),
        time > 0 ? time : lap.timeS(),
        lap.speedAt(at.slowest()),
        road.stationAt(at.slowest()),
        Map.of(),
        null,
        "",
        wayOut(at),
        Map.of(),
        Annotations.NONE);
  }

  private static Side outside(Corner corner) {
    return corner.direction().mirrored();
  }

  private CornerPage.Brake brake(CornerEvents at, List<TimeCount.Event> events) {
    BrakingZone zone = at.braking();
    if (zone == null) {
      BrakeStyle style = at.throttle().flat() ? BrakeStyle.NONE : BrakeStyle.LIFT;
      return new CornerPage.Brake(null, null, style, null, null, List.of());
    }
    double initial = initialPct(at, zone);
    double atM = at.span().notBeforeM(zone.actingM(lap), zone.actingWayM(lap), road);
    Side outside = outside(at.corner());
    List<MarkReference> found = marks.choices(atM, outside, MARKS_OFFERED);
    return new CornerPage.Brake(
        atM,
        initial,
        style(initial, lap.timeBetween(zone.begin(), zone.end())),
        first(found, TimeCount.before(lap, atM, events).orElse(null)),
        marks.safe(atM, outside).orElse(null),
        others(found));
  }

  /** The best of what was found, else what is counted. */
  public static MarkReference first(List<MarkReference> found, MarkReference otherwise) {
    return found.isEmpty() ? otherwise : found.get(0);
  }

  public static List<MarkReference> others(List<MarkReference> found) {
    return found.size() < 2 ? List.of() : found.subList(1, found.size());
  }

  /** A count of time holds only for the point that it was made for. */
  public static MarkReference stillCounted(
      MarkReference reference, Double countedForM, double atM) {
    boolean same = countedForM != null && Math.abs(countedForM - atM) < 1;
    return reference != null && reference.weak() && same ? reference : null;
  }

  private double initialPct(CornerEvents at, BrakingZone zone) {
    double most = 0;
    int count = Math.min(road.ahead(zone.begin(), zone.end()), road.samples(INITIAL_M));
    for (int k = 0; k <= count; k++) {
      most = Math.max(most, lap.brakeShareAt(road.wrap(zone.begin() + k)));
    }
    return 100 * most;
  }

  /**
   * What a press is called.
   *
   * @param seconds that it lasts
   */
  public static BrakeStyle style(double initialPct, double seconds) {
    if (initialPct < DAB_PCT || seconds < DAB_S && initialPct < HARD_PCT) {
      return BrakeStyle.DAB;
    }
    return initialPct >= HARD_PCT ? BrakeStyle.HARD : BrakeStyle.SQUEEZE;
  }

  private CornerPage.Gears gears(CornerEvents at, int nextBegin) {
    GearPlaces places =
        GearPlaces.of(
            road,
            road.stationAt(at.turnIn()),
            road.stationAt(at.slowest()),
            throttle(at),
            road.stationAt(at.trackOut()),
            nextBegin);
    return GearReader.of(lap, at.begin(), at.slowest(), nextBegin, places);
  }

  private CornerPage.TurnIn turnIn(CornerEvents at, List<TimeCount.Event> events) {
    double atM = road.stationAt(at.turnIn());
    List<MarkReference> found = marks.choices(atM, outside(at.corner()), MARKS_OFFERED);
    List<TimeCount.Event> felt = new ArrayList<>(events);
    if (at.braking() != null) {
      felt.add(new TimeCount.Event(at.braking().actingM(lap), "after the brake"));
    }
    MarkReference counted = TimeCount.before(lap, atM, felt).orElse(null);
    return new CornerPage.TurnIn(
        atM, lap.speedAt(at.turnIn()), first(found, counted), others(found));
  }

  private CornerPage.TrailBrake trailBrake(CornerEvents at) {
    BrakingZone zone = at.braking();
    if (zone == null || at.brakesOn() || !endsAfter(zone, at.turnIn())) {
      return null;
    }
    int way = road.ahead(at.turnIn(), at.firstApex());
    return new CornerPage.TrailBrake(
        100 * lap.brakeShareAt(at.turnIn()),
        100 * lap.brakeShareAt(road.wrap(at.turnIn() + way / 2)),
        100 * lap.brakeShareAt(road.wrap(at.turnIn() + (int) (way * NEAR_APEX_SHARE))),
        road.stationAt(zone.end()));
  }

  /** Whether braking goes on beyond a sample; it may also begin after it. */
  private boolean endsAfter(BrakingZone zone, int sample) {
    return road.offsetBetween(road.stationAt(sample), road.stationAt(zone.end())) > 0;
  }

  private List<Apex> apexes(CornerEvents at) {
    List<Apex> result = new ArrayList<>();
    double whole = turned(at, at.turnIn(), at.trackOut());
    for (int apex : at.apexes()) {
      double share = whole > 0 ? turned(at, at.turnIn(), apex) / whole : 0.5;
      ApexKind kind =
          share < EARLY_SHARE ? ApexKind.EARLY : share > LATE_SHARE ? ApexKind.LATE : ApexKind.MID;
      result.add(new Apex(road.stationAt(apex), path.offsetAt(apex), kind, lap.speedAt(apex)));
    }
    return result;
  }

  /** How far the path turns in the corner's sense between two samples [rad]. */
  private double turned(CornerEvents at, int from, int to) {
    double sum = 0;
    int count = road.ahead(from, to);
    for (int k = 0; k < count; k++) {
      int i = road.wrap(from + k);
      sum += Math.max(0, at.corner().sign() * path.curvatureAt(i)) * path.elementAt(i);
    }
    return sum;
  }

  private CornerPage.Kerbs kerbs(CornerEvents at) {
    int inside = at.corner().sign();
    int apex = at.firstApex();
    return new CornerPage.Kerbs(
        contact(-inside, at.turnIn(), road.samples(30), road.samples(15), 30),
        contact(inside, apex, road.samples(15), road.samples(15), 15),
        contact(-inside, at.trackOut(), road.samples(20), road.samples(30), 30));
  }

  /**
   * How the kerb on one side of a place is used, by how far the body goes beyond the white line.
   */
  private Kerb.Use contact(int side, int at, int before, int after, double reachM) {
    double most = Double.NEGATIVE_INFINITY;
    for (int k = -before; k <= after; k++) {
      int i = road.wrap(at + k);
      double edge = side > 0 ? road.widthLeftAt(i) : road.widthRightAt(i);
      most = Math.max(most, side * path.offsetAt(i) + vehicle.bodyWidthM() / 2 - edge);
    }
    Kerb there = kerbAt(side, at, reachM).orElse(null);
    double width = there == null ? vehicle.bodyWidthM() : there.widthM();
    Kerb.Use used = Kerb.Use.NONE;
    for (Kerb.Use use : Kerb.Use.values()) {
      if (use != Kerb.Use.NONE
          && most >= Corridor.reachM(use, vehicle.bodyWidthM(), width) - SAME_REACH_M) {
        used = use;
      }
    }
    return used;
  }

  /** What the rule allows outside at turn-in and track-out, and inside at the first apex. */
  private CornerPage.Limits limits(CornerEvents at) {
    int inside = at.corner().sign();
    int apex = at.firstApex();
    return new CornerPage.Limits(
        circuit.ruleAt(road, road.stationAt(apex)),
        edge(-inside, at.turnIn(), 30),
        edge(inside, apex, 15),
        edge(-inside, at.trackOut(), 30),
        notices(at));
  }

  /** Notices on the corner's own part of the road, in the order they are driven past. */
  private List<LimitStretch> notices(CornerEvents at) {
    double beginM = road.stationAt(at.begin());
    double wayM = road.distance(beginM, road.stationAt(at.trackOut())) + NOTICED_BEHIND_M;
    return circuit.stretches().stream()
        .filter(
            notice -> {
              double from = road.offsetBetween(beginM, notice.fromM());
              double to = from + road.distance(notice.fromM(), notice.toM());
              return from <= wayM && to >= 0;
            })
        .sorted(Comparator.comparingDouble(n -> road.offsetBetween(beginM, n.fromM())))
        .toList();
  }

  private CornerPage.Edge edge(int side, int at, double reachM) {
    double station = road.stationAt(at);
    Kerb there = kerbAt(side, at, reachM).orElse(null);
    Side where = side > 0 ? Side.LEFT : Side.RIGHT;
    double allowed = Corridor.allowedM(circuit, road, station, where, vehicle, there);
    return new CornerPage.Edge(Double.isInfinite(allowed) ? null : allowed, there);
  }

  /** The nearest kerb on a side of a place, not farther along the road than a reach. */
  private Optional<Kerb> kerbAt(int side, int at, double reachM) {
    Side where = side > 0 ? Side.LEFT : Side.RIGHT;
    double station = road.stationAt(at);
    return circuit.kerbs().stream()
        .filter(kerb -> kerb.side() == where && awayFrom(kerb, station) <= reachM)
        .min(Comparator.comparingDouble(kerb -> awayFrom(kerb, station)));
  }

  /** Metres from a station to the nearest part of a kerb; 0 along it. */
  private double awayFrom(Kerb kerb, double station) {
    double in = road.distance(kerb.fromM(), station);
    if (in >= 0 && in <= road.distance(kerb.fromM(), kerb.toM())) {
      return 0;
    }
    return Math.min(
        Math.abs(road.offsetBetween(kerb.fromM(), station)),
        Math.abs(road.offsetBetween(kerb.toM(), station)));
  }

  private CornerPage.Throttle throttle(CornerEvents at) {
    int first = at.throttle().first();
    if (first < 0) {
      return new CornerPage.Throttle(null, null, null);
    }
    int full = at.throttle().full();
    double share = 0;
    int count = Math.max(1, Math.min(road.samples(15), full < 0 ? 999 : road.ahead(first, full)));
    for (int k = 0; k < count; k++) {
      share += lap.throttleShareAt(road.wrap(first + k)) / count;
    }
    return new CornerPage.Throttle(
        road.stationAt(first), 100 * share, full < 0 ? null : road.stationAt(full));
  }

  /** What waits outside, as far as the circuit's file says. */
  private String wayOut(CornerEvents at) {
    return RunOff.outside(circuit, road, at.corner())
        .map(
            hazard ->
                String.format(
                    Locale.ROOT,
                    "Outside, %s: %s %.0f m beyond the line.",
                    hazard.side() == Side.LEFT ? "left" : "right",
                    hazard.type().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    hazard.distanceM()))
        .orElse("");
  }
}
