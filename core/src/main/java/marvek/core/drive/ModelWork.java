package marvek.core.drive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
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
import marvek.core.profile.UsedGrip;

/**
 * What the model's feet do in a corner, as a driver would write it down: the fewest knots that
 * drive the corner in its time.
 */
final class ModelWork {
  /** Knots are added until the corner is driven within so much of its time. */
  private static final double SAME_TIME_S = 0.03;

  /** A knot that is worth less than this is none. */
  private static final double LITTLE_S = 0.005;

  /** ... and its slowest place within so much of its speed: 1 km/h. */
  private static final double SAME_SPEED_MPS = 0.28;

  /** So much of the greatest pressure is hard; light for so long first is a stage of its own. */
  private static final double HARD_SHARE = 0.9;

  private static final double LIGHT_M = 15;

  /** ... and no wider than so much more. */
  private static final double SAME_PLACE_M = 0.2;

  /** ... and asks for no more of the tyres than so much. */
  private static final double SAME_GRIP = 0.03;

  /** More of them on one pedal no driver has in his head. */
  private static final int MOST_KNOTS = 6;

  /** Least first pressure, and halvings down to a fifth of a per cent. */
  private static final double LEAST_PEAK = 0.01;

  private static final int HALVINGS = 9;
  private static final double HALF_WAY = 0.5;

  /** Nearer to each other than this knots are one. */
  private static final double APART_M = 2;

  /** A shorter touch of the brake after the first press is none of its own. */
  private static final double LEAST_PRESS_M = 8;

  /**
   * Throttle above this is flat, and below it a lift; what is missing is rounding of the solver.
   */
  private static final double FLAT = 0.97;

  /** Throttle below this is none. */
  private static final double SHUT = 0.03;

  /** Of the pedals the brake counts so much more: it changes the speed so much faster. */
  private static final double BRAKE_WEIGHT = 3;

  private final Lap lap;
  private final UsedGrip used;
  private final Road road;
  private final Drive.Part part;
  private final Pedals feet;
  private final CornerPoints points;
  private final CornerPage page;
  private final int slowest;

  /** Places at which the pedals were looked at, in metres of the part. */
  private final List<Double> brakeKnots = new ArrayList<>();

  private final List<Double> throttleKnots = new ArrayList<>();
  private final Span brakes;
  private final Span opens;

  /** Braking after the first press, before the throttle is flat. */
  private final List<Span> later;

  /** Where knots of the brake may lie. */
  private final Span mayKnot;

  /** Metres over which a pedal is at work; null for none. */
  private record Span(double fromM, double toM) {}

  ModelWork(
      Lap lap,
      UsedGrip used,
      Drive.Part part,
      Pedals feet,
      CornerPoints points,
      CornerPage page,
      int slowest) {
    this.lap = lap;
    this.used = used;
    this.road = lap.path().road();
    this.part = part;
    this.feet = feet;
    this.points = points;
    this.page = page;
    this.slowest = slowest;
    this.brakes = points.brakes() ? new Span(peakM(), points.releaseM()) : null;
    this.opens = opening();
    this.later = brakingAgain();
    this.mayKnot = brakes == null ? null : new Span(soonestM() - APART_M, brakes.toM);
  }

  /** Where the lap presses hard at last: it may be light first, while it still turns. */
  private double hardM() {
    double most = 0;
    for (double m = brakes.fromM; m < brakes.toM; m += road.stepM()) {
      most = Math.max(most, pressed(m));
    }
    double at = brakes.fromM;
    while (at < brakes.toM && pressed(at) < HARD_SHARE * most) {
      at += road.stepM();
    }
    return at;
  }

  /** The first knot lies no sooner: the lap's speed is met again there, as by its feet. */
  private double soonestM() {
    double wayM = PedalTrace.FITTED_SHARE * (points.releaseM() - points.brakeM());
    double soonM = points.brakeM() + Math.min(PedalTrace.FITTED_S * points.approachMps(), wayM);
    return lightFirst() ? Math.min(soonM, hardM() - APART_M) : soonM;
  }

  private boolean lightFirst() {
    return hardM() > brakes.fromM + LIGHT_M;
  }

  /** Where the pressure is greatest, soon after it has built up. */
  private double peakM() {
    double begin = points.actM() + points.approachMps() * lap.conditions().pedalChangeS();
    double built = begin + points.approachMps() * lap.conditions().brakeBuildUpS();
    return Math.min(built, (begin + points.releaseM()) / 2);
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
    double from = Math.min(points.firstM(), last);
    while (from > 0 && feet.throttleShare(from - road.stepM() / 2) < FLAT) {
      from -= road.stepM();
    }
    return new Span(from, last);
  }

  private double end() {
    return part.count() * road.stepM();
  }

  /** The knots. */
  PedalWork found() {
    Drive.Result wanted = Drive.of(lap, used, feet, part);
    if (opens != null && !points.brakes() && flatBefore()) {
      throttleKnots.add(deepest());
    }
    if (points.brakes()) {
      named();
    }
    PedalWork work = fitted();
    double off = offS(work, wanted);
    while (off > SAME_TIME_S && addWorst(work)) {
      work = fitted();
      off = offS(work, wanted);
    }
    return fewer(work, wanted, Math.max(SAME_TIME_S, off + LITTLE_S));
  }

  /** Without the knots that make next to no difference. */
  private PedalWork fewer(PedalWork all, Drive.Result wanted, double mostS) {
    PedalWork work = all;
    for (List<Double> knots : List.of(brakeKnots, throttleKnots)) {
      for (int k = knots.size() - 1; k >= 0; k--) {
        double knot = knots.remove(k);
        PedalWork without = fitted();
        if (offS(without, wanted) <= mostS) {
          work = without;
        } else {
          knots.add(k, knot);
        }
      }
    }
    return work;
  }

  /** A driver knows his pressure at the turn-in, half-way to the apex and near it. */
  private void named() {
    if (lightFirst() && isFree(hardM(), mayKnot, brakeKnots)) {
      brakeKnots.add(hardM());
    }
    double turnInM = points.turnInM();
    double wayM = metres(page.apexes().get(0).atM()) - turnInM;
    for (double share : new double[] {0, HALF_WAY, PageWriter.NEAR_APEX_SHARE}) {
      double at = turnInM + share * wayM;
      if (isFree(at, mayKnot, brakeKnots)) {
        brakeKnots.add(at);
      }
    }
    brakeKnots.sort(Comparator.naturalOrder());
  }

  /** With the first pressure that meets the lap's speed at the next knot. */
  private PedalWork fitted() {
    if (!points.brakes()) {
      return written(0);
    }
    double meetsM = brakeKnots.isEmpty() ? brakes.toM : brakeKnots.get(0);
    int meets = Math.max(1, Math.min(part.count(), (int) Math.round(meetsM / road.stepM())));
    double wantedMps = lap.speedAt(road.wrap(part.start() + meets));
    Drive.Part upTo = new Drive.Part(part.start(), meets, part.fromM(), part.toM());
    double low = LEAST_PEAK;
    double high = 1;
    for (int h = 0; h < HALVINGS; h++) {
      double peak = (low + high) / 2;
      KnotPedals pedals = new KnotPedals(lap, part, feet, points, written(peak));
      boolean tooFast = Drive.of(lap, used, pedals, upTo).speedsMps()[meets] > wantedMps;
      low = tooFast ? peak : low;
      high = tooFast ? high : peak;
    }
    return written(high);
  }

  /** How far the work as written is from the feet [s]; speed, place and grip count as time. */
  private double offS(PedalWork work, Drive.Result wanted) {
    Drive.Result drive = driven(work);
    double slower = drive.speedsMps()[slowest] - wanted.speedsMps()[slowest];
    double inTime =
        Math.abs(timeS(lap, part.start(), drive) - timeS(lap, part.start(), wanted)) / SAME_TIME_S;
    double inSpeed = Math.abs(slower) / SAME_SPEED_MPS;
    double inPlace = (widestM(drive) - widestM(wanted)) / SAME_PLACE_M;
    double inGrip = (hardest(drive) - hardest(wanted)) / SAME_GRIP;
    return SAME_TIME_S * Math.max(Math.max(inTime, inSpeed), Math.max(inPlace, inGrip));
  }

  private static double hardest(Drive.Result drive) {
    double most = 1;
    for (double asked : drive.gripNeeded()) {
      most = Math.max(most, asked);
    }
    return most;
  }

  private static double widestM(Drive.Result drive) {
    double most = 0;
    for (double beside : drive.besideM()) {
      most = Math.max(most, Math.abs(beside));
    }
    return most;
  }

  Drive.Result driven(PedalWork work) {
    return Drive.of(lap, used, new KnotPedals(lap, part, feet, points, work), part);
  }

  /** Time of a drive that begins at a sample [s]. */
  static double timeS(Lap lap, int start, Drive.Result drive) {
    Road road = lap.path().road();
    double time = 0;
    double[] v = drive.speedsMps();
    for (int k = 0; k + 1 < v.length; k++) {
      time += 2 * lap.path().elementAt(road.wrap(start + k)) / (v[k] + v[k + 1]);
    }
    return time;
  }

  private double deepest() {
    double at = opens.fromM;
    for (double m = opens.fromM; m < opens.toM; m += road.stepM()) {
      at = feet.throttleShare(m) < feet.throttleShare(at) ? m : at;
    }
    return at;
  }

  /**
   * Adds a knot to the stretch between two on which the pedal as written is farthest from the foot,
   * all of the stretch taken together; false if there is no room for one.
   */
  private boolean addWorst(PedalWork work) {
    KnotPedals pedals = new KnotPedals(lap, part, feet, points, work);
    Worst brake = worst(brakes, mayKnot, brakeKnots, m -> pedals.brakeShare(m) - pressed(m));
    // On the way down a lift goes straight.
    Span free =
        opens == null || points.brakes() || !flatBefore() ? opens : new Span(deepest(), opens.toM);
    Worst throttle =
        worst(free, free, throttleKnots, m -> pedals.throttleShare(m) - feet.throttleShare(m));
    double onBrakes = brakeKnots.size() < MOST_KNOTS ? BRAKE_WEIGHT * brake.sumM : 0;
    double onThrottle = throttleKnots.size() < MOST_KNOTS ? throttle.sumM : 0;
    if (onBrakes == 0 && onThrottle == 0) {
      return false;
    }
    boolean onBrake = onBrakes >= onThrottle;
    Worst chosen = onBrake ? brake : throttle;
    List<Double> knots = onBrake ? brakeKnots : throttleKnots;
    knots.add(chosen.atM);
    knots.sort(Comparator.naturalOrder());
    return true;
  }

  /**
   * Where a knot helps most.
   *
   * @param sumM by how much the pedal is off, summed up over the metres of its stretch
   */
  private record Worst(double sumM, double atM) {}

  private Worst worst(Span span, Span free, List<Double> knots, DoubleUnaryOperator off) {
    Worst worst = new Worst(0, 0);
    if (span == null) {
      return worst;
    }
    double from = span.fromM;
    for (int k = 0; k <= knots.size(); k++) {
      double to = k < knots.size() ? knots.get(k) : span.toM;
      double sum = 0;
      double most = 0;
      double at = Double.NaN;
      for (double m = from + road.stepM() / 2; m < to; m += road.stepM()) {
        double here = Math.abs(off.applyAsDouble(m));
        sum += here * road.stepM();
        if (here > most && isFree(m, free, knots)) {
          most = here;
          at = m;
        }
      }
      worst = sum > worst.sumM && !Double.isNaN(at) ? new Worst(sum, at) : worst;
      from = to;
    }
    return worst;
  }

  private static boolean isFree(double metres, Span span, List<Double> knots) {
    return span != null
        && metres > span.fromM + APART_M
        && metres < span.toM - APART_M
        && knots.stream().noneMatch(knot -> Math.abs(knot - metres) < APART_M);
  }

  private double station(double metres) {
    return road.wrapStation(road.stationAt(part.start()) + metres);
  }

  private PedalWork written(double peakShare) {
    return new PedalWork(presses(peakShare), phases());
  }

  private List<Press> presses(double peakShare) {
    if (brakes == null) {
      return List.of();
    }
    List<Knot> knots = brakeKnots.stream().map(m -> new Knot(station(m), pct(pressed(m)))).toList();
    List<Press> presses = new ArrayList<>();
    presses.add(new Press(station(points.actM()), pct(peakShare), knots, station(brakes.toM)));
    later.forEach(span -> presses.add(again(span)));
    return presses;
  }

  /** Braking once more before the throttle is flat, its pressure built up when it is needed. */
  private Press again(Span span) {
    double most = span.fromM;
    for (double m = span.fromM; m < span.toM; m += road.stepM()) {
      most = pressed(m) > pressed(most) ? m : most;
    }
    double speed = lap.speedAt(road.wrap(part.start() + (int) (span.fromM / road.stepM())));
    double on = span.fromM - speed * lap.conditions().pedalChangeS();
    double halfWay = (most + span.toM) / 2;
    return new Press(
        station(on),
        Math.max(1, pct(pressed(most))),
        List.of(new Knot(station(halfWay), pct(pressed(halfWay)))),
        station(span.toM));
  }

  private List<Span> brakingAgain() {
    List<Span> found = new ArrayList<>();
    if (brakes == null || opens == null) {
      return found;
    }
    double from = Double.NaN;
    for (double m = brakes.toM + LEAST_PRESS_M; m < opens.toM; m += road.stepM()) {
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
        .anyMatch(span -> metres > span.fromM - LEAST_PRESS_M && metres < span.toM);
  }

  /** Pressure of the lap itself at a place. */
  private double pressed(double metres) {
    int k = Math.max(0, Math.min(part.count() - 1, (int) (metres / road.stepM())));
    return lap.elementBrakeShareAt(road.wrap(part.start() + k));
  }

  /** To a whole per cent: no foot is finer. */
  private static double pct(double share) {
    return Math.round(100 * share);
  }

  private List<Phase> phases() {
    if (opens == null) {
      return List.of();
    }
    List<Phase> phases = new ArrayList<>();
    if (points.brakes() || !flatBefore()) {
      opened(phases);
    } else {
      lifted(phases);
    }
    if (page.throttle().fullM() != null) {
      phases.add(new Phase(Phase.Kind.FLAT, station(opens.toM), 100, null));
    }
    return phases;
  }

  /** Whether the throttle was full before it closed; behind a linked corner it was not. */
  private boolean flatBefore() {
    return opens.fromM > 0;
  }

  /** What is held against the engine's braking, then what drives. */
  private void opened(List<Phase> phases) {
    double first = Math.max(opens.fromM, metres(page.throttle().firstM()));
    if (first - opens.fromM > APART_M) {
      double held = feet.throttleShare((opens.fromM + first) / 2);
      if (held > SHUT) {
        phases.add(new Phase(Phase.Kind.HOLD, station(opens.fromM), pct(held), station(first - 1)));
      }
    }
    double share = feet.throttleShare(first + road.stepM());
    phases.add(new Phase(Phase.Kind.FIRST, station(first), pct(share), null));
    for (double m : throttleKnots) {
      if (m > first + APART_M && !brakedAgain(m)) {
        phases.add(new Phase(Phase.Kind.STEP, station(m), pct(feet.throttleShare(m)), null));
      }
    }
  }

  private double metres(double stationM) {
    return road.offsetBetween(road.stationAt(part.start()), stationM);
  }

  /** Down to where the throttle is shut most, and up again. */
  private void lifted(List<Phase> phases) {
    double deepest = deepest();
    phases.add(
        new Phase(
            Phase.Kind.LIFT,
            station(opens.fromM),
            pct(feet.throttleShare(deepest)),
            station(deepest)));
    for (double m : throttleKnots) {
      if (Math.abs(m - deepest) >= APART_M) {
        phases.add(new Phase(Phase.Kind.STEP, station(m), pct(feet.throttleShare(m)), null));
      }
    }
    phases.sort(Comparator.comparingDouble(phase -> metres(phase.atM())));
  }
}
