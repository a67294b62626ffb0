package marvek.core.drive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.Knot;
import marvek.core.page.PageWriter;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;

/**
 * Where a lap's feet are at work in a corner, and their work written down by knots at given places.
 * Places are metres from the beginning of the part that is driven.
 */
final class WorkTrace {
  /** So much of the greatest pressure is hard; light for so long first is a stage of its own. */
  private static final double HARD_SHARE = 0.9;

  private static final double LIGHT_M = 15;
  private static final double HALF_WAY = 0.5;

  /** A shorter touch of the brake after the first press is none of its own. */
  private static final double LEAST_PRESS_M = 8;

  /** Throttle above this is flat, below it a lift: what is missing is rounding of the solver. */
  private static final double FLAT = 0.97;

  /** A throttle that closes by less than this, as a share of full, is held. */
  private static final double LEAST_LIFT = 0.1;

  /** A lift begins where the throttle has closed by so much. */
  private static final double CLOSES = 0.03;

  /** Throttle below this is none. */
  private static final double SHUT = 0.03;

  private final Lap lap;
  private final Road road;
  private final Drive.Part part;
  private final Pedals feet;
  private final CornerPoints points;
  private final CornerPage page;

  /** From the first pressure to the release; null without braking. */
  private final Span brakes;

  /** From where the throttle opens, or begins to close for a lift, to where it is flat; or null. */
  private final Span opens;

  /** Braking after the first press, before the throttle is flat. */
  private final List<Span> later;

  private final Span mayKnot;

  WorkTrace(Lap lap, Drive.Part part, Pedals feet, CornerPoints points, CornerPage page) {
    this.lap = lap;
    this.road = lap.path().road();
    this.part = part;
    this.feet = feet;
    this.points = points;
    this.page = page;
    this.brakes = points.brakes() ? new Span(peakM(), points.releaseM()) : null;
    this.opens = opening();
    this.later = brakingAgain();
    this.mayKnot = brakes == null ? null : new Span(soonestM() - Span.APART_M, brakes.toM());
  }

  Span brakes() {
    return brakes;
  }

  /** Where knots of the brake may lie; null without braking. */
  Span mayKnot() {
    return mayKnot;
  }

  /** Where the pressure is greatest, soon after it has built up. */
  private double peakM() {
    double begin = points.actM() + points.approachMps() * lap.conditions().pedalChangeS();
    double built = begin + points.approachMps() * lap.conditions().brakeBuildUpS();
    return Math.min(built, (begin + points.releaseM()) / 2);
  }

  /** As much pressure as the tyres hold where it has built up, as a share of full. */
  double mostPeakShare() {
    int i = road.wrap(part.start() + road.samples(brakes.fromM()));
    double mostN = -lap.leastTyreForceAt(i) - lap.closedThrottleNAt(i);
    return Math.max(0, Math.min(1, mostN / lap.vehicle().brakes().maxForceN()));
  }

  /** The first knot lies no sooner: the lap's speed is met again there, as by its feet. */
  private double soonestM() {
    double wayM = PedalTrace.FITTED_SHARE * (points.releaseM() - points.brakeM());
    double soonM = points.brakeM() + Math.min(PedalTrace.FITTED_S * points.approachMps(), wayM);
    return lightFirst() ? Math.min(soonM, hardM() - Span.APART_M) : soonM;
  }

  private boolean lightFirst() {
    return hardM() > brakes.fromM() + LIGHT_M;
  }

  /** Where the lap presses hard at last: it may be light first, while it still turns. */
  private double hardM() {
    double most = 0;
    for (double m = brakes.fromM(); m < brakes.toM(); m += road.stepM()) {
      most = Math.max(most, pressed(m));
    }
    double at = brakes.fromM();
    while (at < brakes.toM() && pressed(at) < HARD_SHARE * most) {
      at += road.stepM();
    }
    return at;
  }

  /** From where the throttle opens, or begins to close for a lift, to where it is flat. */
  private Span opening() {
    if (page.throttle().firstM() == null) {
      return null;
    }
    double last = Math.min(end(), points.fullM());
    if (points.brakes()) {
      double from = points.releaseM();
      while (from < last && feet.throttleShare(from + road.stepM() / 2) < SHUT) {
        from += road.stepM();
      }
      return new Span(from, last);
    }
    double flat = lastFlatM(last);
    return new Span(flat > 0 ? flat : mostOpenM(last), last);
  }

  /** Where the throttle was full for the last time before the corner; 0 where it was not. */
  private double lastFlatM(double last) {
    double at = Math.min(points.firstM(), last);
    while (at > 0 && feet.throttleShare(at - road.stepM() / 2) < FLAT) {
      at -= road.stepM();
    }
    return Math.max(0, at);
  }

  /** Where it is open most before it closes: up to there it opens for the corner before. */
  private double mostOpenM(double last) {
    double deepest = Math.min(points.firstM(), last);
    double at = 0;
    for (double m = 0; m < deepest; m += road.stepM()) {
      at = feet.throttleShare(m) > feet.throttleShare(at) ? m : at;
    }
    return at;
  }

  /** Whether the throttle was full before it closed; behind a linked corner it was not. */
  private boolean flatBefore() {
    return lastFlatM(opens.toM()) > 0;
  }

  private double deepest() {
    double at = opens.fromM();
    for (double m = opens.fromM(); m < opens.toM(); m += road.stepM()) {
      at = feet.throttleShare(m) < feet.throttleShare(at) ? m : at;
    }
    return at;
  }

  private List<Span> brakingAgain() {
    List<Span> found = new ArrayList<>();
    if (brakes == null || opens == null) {
      return found;
    }
    double from = Double.NaN;
    for (double m = brakes.toM() + LEAST_PRESS_M; m < opens.toM(); m += road.stepM()) {
      boolean on = pressed(m) > SHUT;
      if (on && Double.isNaN(from)) {
        from = m;
      } else if (!on && !Double.isNaN(from)) {
        if (m - from > LEAST_PRESS_M) {
          found.add(new Span(from, m));
        }
        from = Double.NaN;
      }
    }
    return found;
  }

  private boolean brakedAgain(double metres) {
    return later.stream()
        .anyMatch(span -> metres > span.fromM() - LEAST_PRESS_M && metres < span.toM());
  }

  /** A driver knows his pressure at the turn-in, half-way to the apex and near it. */
  List<Double> namedBrakeKnots() {
    List<Double> knots = new ArrayList<>();
    if (brakes == null) {
      return knots;
    }
    if (lightFirst() && mayKnot.isFree(hardM(), knots)) {
      knots.add(hardM());
    }
    double turnInM = points.turnInM();
    double wayM = metres(page.apexes().get(0).atM()) - turnInM;
    for (double share : new double[] {0, HALF_WAY, PageWriter.NEAR_APEX_SHARE}) {
      double at = turnInM + share * wayM;
      if (mayKnot.isFree(at, knots)) {
        knots.add(at);
      }
    }
    knots.sort(Comparator.naturalOrder());
    return knots;
  }

  /** Of a lift its depth. */
  List<Double> namedThrottleKnots() {
    return isLift() ? new ArrayList<>(List.of(deepest())) : new ArrayList<>();
  }

  /** Whether the throttle closes without a brake, from full or from what it had. */
  private boolean isLift() {
    return opens != null && brakes == null && (flatBefore() || closes() > LEAST_LIFT);
  }

  /** How far the throttle closes from what it has where the part begins. */
  private double closes() {
    return feet.throttleShare(opens.fromM()) - feet.throttleShare(deepest());
  }

  /** Where the throttle begins to close. */
  private double liftM(double deepest) {
    if (flatBefore()) {
      return opens.fromM();
    }
    double at = opens.fromM() + 1;
    double before = feet.throttleShare(opens.fromM()) - CLOSES;
    while (at < deepest - 1 && feet.throttleShare(at + road.stepM()) > before) {
      at += road.stepM();
    }
    return at;
  }

  /** Where knots of the throttle may lie: on the way down a lift goes straight. */
  Span mayOpen() {
    return isLift() ? new Span(deepest(), opens.toM()) : opens;
  }

  PedalWork written(double peakShare, List<Double> brakeKnots, List<Double> throttleKnots) {
    return new PedalWork(presses(peakShare, brakeKnots), phases(throttleKnots));
  }

  private List<Press> presses(double peakShare, List<Double> brakeKnots) {
    if (brakes == null) {
      return List.of();
    }
    List<Knot> knots = brakeKnots.stream().map(m -> new Knot(station(m), pct(pressed(m)))).toList();
    List<Press> presses = new ArrayList<>();
    presses.add(new Press(station(points.actM()), pct(peakShare), knots, station(brakes.toM())));
    later.forEach(span -> presses.add(again(span)));
    return presses;
  }

  /** Braking once more before the throttle is flat, its pressure built up when it is needed. */
  private Press again(Span span) {
    double most = span.fromM();
    for (double m = span.fromM(); m < span.toM(); m += road.stepM()) {
      most = pressed(m) > pressed(most) ? m : most;
    }
    double speed = lap.speedAt(road.wrap(part.start() + (int) (span.fromM() / road.stepM())));
    double on = span.fromM() - speed * lap.conditions().pedalChangeS();
    double halfWay = (most + span.toM()) / 2;
    return new Press(
        station(on),
        Math.max(1, pct(pressed(most))),
        List.of(new Knot(station(halfWay), pct(pressed(halfWay)))),
        station(span.toM()));
  }

  private List<Phase> phases(List<Double> throttleKnots) {
    if (opens == null) {
      return List.of();
    }
    List<Phase> phases = new ArrayList<>();
    if (!isLift()) {
      opened(phases, throttleKnots);
    } else {
      lifted(phases, throttleKnots);
    }
    if (page.throttle().fullM() != null) {
      phases.add(new Phase(Phase.Kind.FLAT, station(opens.toM()), 100, null));
    }
    return phases;
  }

  /** What is held against the engine's braking, then what drives. */
  private void opened(List<Phase> phases, List<Double> throttleKnots) {
    double first = Math.max(opens.fromM(), metres(page.throttle().firstM()));
    if (first - opens.fromM() > Span.APART_M) {
      double held = feet.throttleShare((opens.fromM() + first) / 2);
      if (held > SHUT) {
        phases.add(
            new Phase(Phase.Kind.HOLD, station(opens.fromM()), pct(held), station(first - 1)));
      }
    }
    double share = feet.throttleShare(first + road.stepM());
    phases.add(new Phase(Phase.Kind.FIRST, station(first), pct(share), null));
    for (double m : throttleKnots) {
      if (m > first + Span.APART_M && !brakedAgain(m)) {
        phases.add(new Phase(Phase.Kind.STEP, station(m), pct(feet.throttleShare(m)), null));
      }
    }
  }

  /** What the throttle has from the beginning of the part to a metre before a lift. */
  private Phase heldTo(double liftM) {
    double from = opens.fromM();
    Double until = liftM - from > Span.APART_M ? station(liftM - 1) : null;
    return new Phase(Phase.Kind.HOLD, station(from), pct(feet.throttleShare(from)), until);
  }

  /** Down to where the throttle is shut most, and up again. */
  private void lifted(List<Phase> phases, List<Double> throttleKnots) {
    double deepest = deepest();
    double lift = liftM(deepest);
    if (!flatBefore()) {
      phases.add(heldTo(lift));
    }
    phases.add(
        new Phase(
            Phase.Kind.LIFT, station(lift), pct(feet.throttleShare(deepest)), station(deepest)));
    for (double m : throttleKnots) {
      if (Math.abs(m - deepest) >= Span.APART_M) {
        phases.add(new Phase(Phase.Kind.STEP, station(m), pct(feet.throttleShare(m)), null));
      }
    }
    phases.sort(Comparator.comparingDouble(phase -> metres(phase.atM())));
  }

  /** Pressure of the lap itself at a place. */
  double pressed(double metres) {
    int k = Math.max(0, Math.min(part.count() - 1, (int) (metres / road.stepM())));
    return lap.elementBrakeShareAt(road.wrap(part.start() + k));
  }

  /** To a whole per cent: no foot is finer. */
  private static double pct(double share) {
    return Math.round(100 * share);
  }

  private double metres(double stationM) {
    return road.offsetBetween(road.stationAt(part.start()), stationM);
  }

  private double station(double metres) {
    return road.wrapStation(road.stationAt(part.start()) + metres);
  }

  private double end() {
    return part.count() * road.stepM();
  }
}
