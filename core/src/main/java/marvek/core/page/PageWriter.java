package marvek.core.page;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.RunOff;
import marvek.core.line.Corridor;
import marvek.core.page.CornerPage.Apex;
import marvek.core.page.CornerPage.ApexKind;
import marvek.core.page.CornerPage.BrakeStyle;
import marvek.core.profile.GearPlan;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/** Writes the pages of a solved lap, one a corner, in driving order. */
public final class PageWriter {
  /** Braking may end a little after the slowest place before it counts for the next corner. */
  private static final double END_TOLERANCE_M = 15;

  /** The first pressure is looked for this far into the braking zone. */
  private static final double INITIAL_M = 30;

  /** Bounds between styles of braking, in per cent of full (common practice). */
  private static final double HARD_PCT = 60;

  private static final double DAB_PCT = 25;
  private static final double DAB_S = 0.5;

  /** "Near the apex" is this share of the way from turn-in. */
  private static final double NEAR_APEX_SHARE = 0.85;

  /** A target and two more to choose from. */
  static final int MARKS_OFFERED = 3;

  /** Uses of a kerb that reach equally far but for this are the same: the fuller one is told. */
  private static final double SAME_REACH_M = 0.05;

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
    List<CornerTrace> traces = new ArrayList<>();
    for (Corner corner : corners) {
      traces.add(new CornerTrace(corner, lap));
    }
    for (int c = 0; c < traces.size(); c++) {
      boolean alone = traces.size() == 1;
      boolean first = alone || !road.closed() && c == 0;
      boolean last = alone || !road.closed() && c + 1 == traces.size();
      traces
          .get(c)
          .within(
              first ? -1 : traces.get(Math.floorMod(c - 1, traces.size())).lastApex(),
              last ? null : traces.get((c + 1) % traces.size()));
    }
    giveZones(traces);
    for (int c = 0; c < traces.size(); c++) {
      boolean last = traces.size() == 1 || !road.closed() && c + 1 == traces.size();
      traces.get(c).endBefore(last ? -1 : traces.get((c + 1) % traces.size()).begin());
    }
    List<CornerPage> pages = new ArrayList<>();
    for (int c = 0; c < traces.size(); c++) {
      pages.add(page(traces.get(c), nextBegin(traces, c), feltBefore(traces, c)));
    }
    return pages;
  }

  /**
   * Each braking zone belongs to the corner whose slowest place lies nearest to its end, at it or
   * beyond it, or passed by a little.
   */
  private void giveZones(List<CornerTrace> traces) {
    for (BrakingZone zone : BrakingZone.of(lap)) {
      int owner = -1;
      double nearest = Double.POSITIVE_INFINITY;
      for (int c = 0; c < traces.size(); c++) {
        double way = beyondEndM(zone, traces.get(c));
        if (way >= -END_TOLERANCE_M && Math.abs(way) < nearest) {
          nearest = Math.abs(way);
          owner = c;
        }
      }
      if (owner >= 0) {
        give(traces, owner, zone);
      }
    }
  }

  /**
   * Metres from a zone's end to a corner's slowest place; all the way round where that is passed.
   */
  private double beyondEndM(BrakingZone zone, CornerTrace trace) {
    double end = road.stationAt(zone.end());
    double slowest = road.stationAt(trace.slowest);
    double way = road.offsetBetween(end, slowest);
    return way >= -END_TOLERANCE_M ? way : road.distance(end, slowest);
  }

  /** A zone that begins before the corner before has its apex is that one's up to there. */
  private void give(List<CornerTrace> traces, int owner, BrakingZone zone) {
    CornerTrace trace = traces.get(owner);
    if (trace.endsBefore(zone)) {
      // A second press before a further apex of the corner before.
      give(traces, Math.floorMod(owner - 1, traces.size()), zone);
      return;
    }
    if (trace.braking != null && zone.speedLossMps() <= trace.braking.speedLossMps()) {
      return;
    }
    trace.brakeIn(zone);
    CornerTrace before = traces.get(Math.floorMod(owner - 1, traces.size()));
    if (trace.startsBefore(zone) && before.braking == null) {
      before.brakeIn(zone.upTo(before.lastApex(), lap));
      before.brakesOn = true;
    }
  }

  private int nextBegin(List<CornerTrace> traces, int c) {
    if (!road.closed() && c + 1 == traces.size()) {
      return road.size() - 1;
    }
    return traces.get((c + 1) % traces.size()).begin();
  }

  /** The corner before: the last thing that was felt where nothing else is. */
  private List<TimeCount.Event> feltBefore(List<CornerTrace> traces, int c) {
    if (traces.size() < 2 || !road.closed() && c == 0) {
      return List.of();
    }
    CornerTrace before = traces.get(Math.floorMod(c - 1, traces.size()));
    String corner = (before.corner.number() + " " + before.corner.name()).strip();
    return List.of(
        new TimeCount.Event(road.stationAt(before.lastApex()), "after the apex of " + corner),
        new TimeCount.Event(road.stationAt(before.trackOut), "after the exit of " + corner));
  }

  private CornerPage page(CornerTrace trace, int nextBegin, List<TimeCount.Event> events) {
    Corner corner = trace.corner;
    int begin = trace.begin();
    double time = lap.timeBetween(begin, nextBegin);
    return new CornerPage(
        corner.number(),
        corner.name(),
        corner.direction(),
        corner.fromM(),
        corner.toM(),
        new CornerPage.Approach(path.offsetAt(begin), lap.speedAt(begin)),
        brake(trace, events),
        gears(trace),
        turnIn(trace, events),
        trailBrake(trace),
        apexes(trace),
        kerbs(trace),
        limits(trace),
        throttle(trace),
        new CornerPage.Exit(
            road.stationAt(trace.trackOut),
            path.offsetAt(trace.trackOut),
            lap.speedAt(trace.trackOut)),
        time > 0 ? time : lap.timeS(),
        lap.speedAt(trace.slowest),
        road.stationAt(trace.slowest),
        Map.of(),
        null,
        "",
        wayOut(trace));
  }

  private static Side outside(Corner corner) {
    return corner.direction().mirrored();
  }

  private CornerPage.Brake brake(CornerTrace trace, List<TimeCount.Event> events) {
    BrakingZone zone = trace.braking;
    if (zone == null) {
      BrakeStyle style = trace.isFlat() ? BrakeStyle.NONE : BrakeStyle.LIFT;
      return new CornerPage.Brake(null, null, style, null, null, List.of());
    }
    double initial = initialPct(trace, zone);
    double atM = trace.notBeforeM(actingPoint(zone.begin()));
    Side outside = outside(trace.corner);
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
  static MarkReference first(List<MarkReference> found, MarkReference otherwise) {
    return found.isEmpty() ? otherwise : found.get(0);
  }

  static List<MarkReference> others(List<MarkReference> found) {
    return found.size() < 2 ? List.of() : found.subList(1, found.size());
  }

  /** A count of time holds only for the point that it was made for. */
  static MarkReference stillCounted(MarkReference reference, Double countedForM, double atM) {
    boolean same = countedForM != null && Math.abs(countedForM - atM) < 1;
    return reference != null && reference.weak() && same ? reference : null;
  }

  /** Brake point less the way covered while the foot moves and the pressure builds up by half. */
  private double actingPoint(int modelBrake) {
    double seconds = conditions.pedalChangeS() + conditions.brakeBuildUpS() / 2;
    return road.wrapStation(road.stationAt(modelBrake) - lap.speedAt(modelBrake) * seconds);
  }

  private double initialPct(CornerTrace trace, BrakingZone zone) {
    double most = 0;
    int count = Math.min(trace.ahead(zone.begin(), zone.end()), trace.samples(INITIAL_M));
    for (int k = 0; k <= count; k++) {
      most = Math.max(most, lap.brakeShareAt(road.wrap(zone.begin() + k)));
    }
    return 100 * most;
  }

  private static BrakeStyle style(double initialPct, double seconds) {
    if (initialPct < DAB_PCT || seconds < DAB_S && initialPct < HARD_PCT) {
      return BrakeStyle.DAB;
    }
    return initialPct >= HARD_PCT ? BrakeStyle.HARD : BrakeStyle.SQUEEZE;
  }

  private CornerPage.Gears gears(CornerTrace trace) {
    int begin = trace.begin();
    int span = trace.ahead(begin, trace.slowest) + trace.samples(5);
    List<Double> downshifts = new ArrayList<>();
    for (GearPlan.Change change : lap.gearChanges()) {
      boolean passed = !road.closed() && change.sample() < begin;
      if (change.to() < change.from() && !passed && trace.ahead(begin, change.sample()) <= span) {
        downshifts.add(road.stationAt(change.sample()));
      }
    }
    double start = road.stationAt(begin);
    downshifts.sort(Comparator.comparingDouble(s -> road.distance(start, s)));
    int before = road.wrap(begin - 1);
    return new CornerPage.Gears(lap.gearAt(before), lap.gearAt(trace.slowest), downshifts);
  }

  private CornerPage.TurnIn turnIn(CornerTrace trace, List<TimeCount.Event> events) {
    double atM = road.stationAt(trace.turnIn);
    List<MarkReference> found = marks.choices(atM, outside(trace.corner), MARKS_OFFERED);
    List<TimeCount.Event> felt = new ArrayList<>(events);
    if (trace.braking != null) {
      felt.add(new TimeCount.Event(actingPoint(trace.braking.begin()), "after the brake"));
    }
    MarkReference counted = TimeCount.before(lap, atM, felt).orElse(null);
    return new CornerPage.TurnIn(
        atM, lap.speedAt(trace.turnIn), first(found, counted), others(found));
  }

  private CornerPage.TrailBrake trailBrake(CornerTrace trace) {
    BrakingZone zone = trace.braking;
    if (zone == null || trace.brakesOn || !endsAfter(zone, trace.turnIn)) {
      return null;
    }
    int way = trace.ahead(trace.turnIn, trace.apexes.get(0));
    return new CornerPage.TrailBrake(
        100 * lap.brakeShareAt(trace.turnIn),
        100 * lap.brakeShareAt(road.wrap(trace.turnIn + way / 2)),
        100 * lap.brakeShareAt(road.wrap(trace.turnIn + (int) (way * NEAR_APEX_SHARE))),
        road.stationAt(zone.end()));
  }

  /** Whether braking goes on beyond a sample; it may also begin after it. */
  private boolean endsAfter(BrakingZone zone, int sample) {
    return road.offsetBetween(road.stationAt(sample), road.stationAt(zone.end())) > 0;
  }

  private List<Apex> apexes(CornerTrace trace) {
    List<Apex> result = new ArrayList<>();
    double whole = turned(trace, trace.turnIn, trace.trackOut);
    for (int apex : trace.apexes) {
      double share = whole > 0 ? turned(trace, trace.turnIn, apex) / whole : 0.5;
      ApexKind kind =
          share < EARLY_SHARE ? ApexKind.EARLY : share > LATE_SHARE ? ApexKind.LATE : ApexKind.MID;
      result.add(new Apex(road.stationAt(apex), path.offsetAt(apex), kind, lap.speedAt(apex)));
    }
    return result;
  }

  /** How far the path turns in the corner's sense between two samples [rad]. */
  private double turned(CornerTrace trace, int from, int to) {
    double sum = 0;
    int count = trace.ahead(from, to);
    for (int k = 0; k < count; k++) {
      int i = road.wrap(from + k);
      sum += Math.max(0, trace.corner.sign() * path.curvatureAt(i)) * path.elementAt(i);
    }
    return sum;
  }

  private CornerPage.Kerbs kerbs(CornerTrace trace) {
    int inside = trace.corner.sign();
    int apex = trace.apexes.get(0);
    return new CornerPage.Kerbs(
        contact(-inside, trace.turnIn, trace.samples(30), trace.samples(15), 30),
        contact(inside, apex, trace.samples(15), trace.samples(15), 15),
        contact(-inside, trace.trackOut, trace.samples(20), trace.samples(30), 30));
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
  private CornerPage.Limits limits(CornerTrace trace) {
    int inside = trace.corner.sign();
    int apex = trace.apexes.get(0);
    return new CornerPage.Limits(
        circuit.ruleAt(road, road.stationAt(apex)),
        edge(-inside, trace.turnIn, 30),
        edge(inside, apex, 15),
        edge(-inside, trace.trackOut, 30));
  }

  private CornerPage.Edge edge(int side, int at, double reachM) {
    double station = road.stationAt(at);
    Kerb there = kerbAt(side, at, reachM).orElse(null);
    double kerbWidth = there == null ? 0 : there.widthM();
    double allowed =
        Corridor.allowedM(circuit.ruleAt(road, station), vehicle.bodyWidthM(), kerbWidth);
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

  private CornerPage.Throttle throttle(CornerTrace trace) {
    int first = trace.firstThrottle();
    if (first < 0) {
      return new CornerPage.Throttle(null, null, null);
    }
    int full = trace.fullThrottle(first);
    double share = 0;
    int count = Math.max(1, Math.min(trace.samples(15), full < 0 ? 999 : trace.ahead(first, full)));
    for (int k = 0; k < count; k++) {
      share += lap.throttleShareAt(road.wrap(first + k)) / count;
    }
    return new CornerPage.Throttle(
        road.stationAt(first), 100 * share, full < 0 ? null : road.stationAt(full));
  }

  /** What waits outside, as far as the circuit's file says. */
  private String wayOut(CornerTrace trace) {
    return RunOff.outside(circuit, road, trace.corner)
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
