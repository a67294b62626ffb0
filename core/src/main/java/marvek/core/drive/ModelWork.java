package marvek.core.drive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import marvek.core.circuit.Road;
import marvek.core.page.PedalWork;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;
import marvek.core.profile.UsedGrip;

/**
 * What the model's feet do in a corner, as a driver would write it down: his pressures at the
 * turn-in, half-way and near the apex, and as few knots beside them as drive the corner as the
 * model does.
 */
final class ModelWork {
  /** Knots are added until the corner is driven within so much of its time. */
  private static final double SAME_TIME_S = 0.03;

  /** ... and its slowest place within so much of its speed: 1 km/h. */
  private static final double SAME_SPEED_MPS = 0.28;

  /** ... and no wider than so much more. */
  private static final double SAME_PLACE_M = 0.2;

  /** ... and asks for no more of the tyres than so much. */
  private static final double SAME_GRIP = 0.03;

  /** A knot that is worth less than this is none. */
  private static final double LITTLE_S = 0.005;

  /** More of them on one pedal no driver has in his head. */
  private static final int MOST_KNOTS = 6;

  /** Least first pressure, and halvings down to a fifth of a per cent. */
  private static final double LEAST_PEAK = 0.01;

  private static final int HALVINGS = 9;

  /** Of the pedals the brake counts so much more: it changes the speed so much faster. */
  private static final double BRAKE_WEIGHT = 3;

  private final Lap lap;
  private final UsedGrip used;
  private final Road road;
  private final CornerTask task;
  private final Pedals feet;
  private final WorkTrace trace;
  private final Drive.Result wanted;
  private final double wantedS;
  private final List<Double> brakeKnots;
  private final List<Double> throttleKnots;

  /** First pressures that were found, by the place of the knot after them. */
  private final Map<Double, Double> peaks = new HashMap<>();

  ModelWork(Lap lap, UsedGrip used, CornerTask task, Pedals feet) {
    this.lap = lap;
    this.used = used;
    this.road = lap.path().road();
    this.task = task;
    this.feet = feet;
    trace = new WorkTrace(lap, task.part(), feet, task.points(), task.page());
    wanted = Drive.of(lap, used, feet, task.part());
    wantedS = timeS(lap, task.part().start(), wanted);
    brakeKnots = trace.namedBrakeKnots();
    throttleKnots = trace.namedThrottleKnots();
  }

  /** The knots. */
  PedalWork found() {
    List<Double> named = new ArrayList<>(brakeKnots);
    named.addAll(throttleKnots);
    PedalWork work = fitted();
    double off = offS(work);
    while (off > SAME_TIME_S && addWorst(work)) {
      work = fitted();
      off = offS(work);
    }
    return fewer(work, named, Math.max(SAME_TIME_S, off + LITTLE_S));
  }

  /** Without those of the added knots that make next to no difference. */
  private PedalWork fewer(PedalWork all, List<Double> named, double mostS) {
    PedalWork work = all;
    for (List<Double> knots : List.of(brakeKnots, throttleKnots)) {
      for (int k = knots.size() - 1; k >= 0; k--) {
        if (named.contains(knots.get(k))) {
          continue;
        }
        double knot = knots.remove(k);
        PedalWork without = fitted();
        if (offS(without) <= mostS) {
          work = without;
        } else {
          knots.add(k, knot);
        }
      }
    }
    return work;
  }

  private PedalWork written(double peakShare) {
    return trace.written(peakShare, brakeKnots, throttleKnots);
  }

  /** With the first pressure that meets the lap's speed at the next knot. */
  private PedalWork fitted() {
    if (trace.brakes() == null) {
      return written(0);
    }
    double meetsM = brakeKnots.isEmpty() ? trace.brakes().toM() : brakeKnots.get(0);
    return written(peaks.computeIfAbsent(meetsM, this::peakThatMeets));
  }

  private double peakThatMeets(double metres) {
    Drive.Part part = task.part();
    int meets = Math.max(1, Math.min(part.count(), (int) Math.round(metres / road.stepM())));
    double wantedMps = lap.speedAt(road.wrap(part.start() + meets));
    Drive.Part upTo = new Drive.Part(part.start(), meets, part.fromM(), part.toM());
    double low = LEAST_PEAK;
    double high = trace.mostPeakShare();
    for (int h = 0; h < HALVINGS; h++) {
      double peak = (low + high) / 2;
      boolean tooFast =
          Drive.of(lap, used, pedals(written(peak)), upTo).speedsMps()[meets] > wantedMps;
      low = tooFast ? peak : low;
      high = tooFast ? high : peak;
    }
    return high;
  }

  private KnotPedals pedals(PedalWork work) {
    return new KnotPedals(lap, task.part(), feet, task.points(), work);
  }

  /** How far the work as written is from the feet [s]; speed, place and grip count as time. */
  private double offS(PedalWork work) {
    Drive.Result drive = Drive.of(lap, used, pedals(work), task.part());
    int slowest = task.slowest();
    double inTime = Math.abs(timeS(lap, task.part().start(), drive) - wantedS) / SAME_TIME_S;
    double inSpeed =
        Math.abs(drive.speedsMps()[slowest] - wanted.speedsMps()[slowest]) / SAME_SPEED_MPS;
    double inPlace = (drive.widestM() - wanted.widestM()) / SAME_PLACE_M;
    double inGrip = (Math.max(1, drive.hardest()) - Math.max(1, wanted.hardest())) / SAME_GRIP;
    return SAME_TIME_S * Math.max(Math.max(inTime, inSpeed), Math.max(inPlace, inGrip));
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

  /**
   * Adds a knot to the stretch between two on which the pedal as written is farthest from the foot,
   * all of the stretch taken together; false if there is no room for one.
   */
  private boolean addWorst(PedalWork work) {
    KnotPedals pedals = pedals(work);
    Worst brake = worst(trace.mayKnot(), brakeKnots, m -> pedals.brakeShare(m) - trace.pressed(m));
    Worst throttle =
        worst(trace.mayOpen(), throttleKnots, m -> pedals.throttleShare(m) - feet.throttleShare(m));
    double onBrakes = BRAKE_WEIGHT * brake.sumM;
    if (onBrakes == 0 && throttle.sumM == 0) {
      return false;
    }
    boolean onBrake = onBrakes >= throttle.sumM;
    List<Double> knots = onBrake ? brakeKnots : throttleKnots;
    knots.add(onBrake ? brake.atM : throttle.atM);
    knots.sort(Comparator.naturalOrder());
    return true;
  }

  /**
   * Where a knot helps most.
   *
   * @param sumM by how much the pedal is off, summed up over the metres of its stretch; 0 without
   *     room
   */
  private record Worst(double sumM, double atM) {}

  private Worst worst(Span free, List<Double> knots, DoubleUnaryOperator off) {
    Worst worst = new Worst(0, 0);
    if (free == null || knots.size() >= MOST_KNOTS) {
      return worst;
    }
    double from = free.fromM();
    for (int k = 0; k <= knots.size(); k++) {
      double to = k < knots.size() ? knots.get(k) : free.toM();
      Worst here = worstBetween(from, to, free, knots, off);
      worst = here.sumM > worst.sumM ? here : worst;
      from = to;
    }
    return worst;
  }

  private Worst worstBetween(
      double from, double to, Span free, List<Double> knots, DoubleUnaryOperator off) {
    double sum = 0;
    double most = 0;
    double at = Double.NaN;
    for (double m = from + road.stepM() / 2; m < to; m += road.stepM()) {
      double here = Math.abs(off.applyAsDouble(m));
      sum += here * road.stepM();
      if (here > most && free.isFree(m, knots)) {
        most = here;
        at = m;
      }
    }
    return new Worst(Double.isNaN(at) ? 0 : sum, at);
  }
}
