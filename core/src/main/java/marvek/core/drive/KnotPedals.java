package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.Knot;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;

/**
 * Feet that follow what is written: presses of the brake and phases of the throttle, straight from
 * one knot to the next. Before the corner's work and after it they do what the lap's feet do.
 */
final class KnotPedals implements Feet {
  /** Two knots of a press lie at least so far apart. */
  private static final double APART_M = 1;

  private final Lap lap;
  private final Drive.Part part;
  private final Pedals outside;
  private final CornerPoints of;
  private final PedalWork work;

  /** Metres of the brake's knots from the beginning of the part, and shares of full there. */
  private final Trace brake = new Trace();

  private final Trace throttle = new Trace();
  private final double fromM;
  private final double toM;

  /** A pedal over the metres, straight between its knots; two knots at a place are a step. */
  private static final class Trace {
    private final List<double[]> knots = new ArrayList<>();

    void to(double metres, double share) {
      double last = knots.isEmpty() ? Double.NEGATIVE_INFINITY : knots.get(knots.size() - 1)[0];
      knots.add(new double[] {Math.max(last, metres), share});
    }

    double lastShare(double otherwise) {
      return knots.isEmpty() ? otherwise : knots.get(knots.size() - 1)[1];
    }

    double at(double metres, double otherwise) {
      if (knots.isEmpty() || metres < knots.get(0)[0]) {
        return otherwise;
      }
      int k = knots.size() - 1;
      while (knots.get(k)[0] > metres) {
        k--;
      }
      if (k == knots.size() - 1) {
        return knots.get(k)[1];
      }
      double[] a = knots.get(k);
      double[] b = knots.get(k + 1);
      return a[1] + (metres - a[0]) / (b[0] - a[0]) * (b[1] - a[1]);
    }
  }

  /**
   * Feet over a part of a lap.
   *
   * @param outside the lap's own feet
   * @param of the corner's points as the lap's feet have them
   */
  KnotPedals(Lap lap, Drive.Part part, Pedals outside, CornerPoints of, PedalWork work) {
    this.lap = lap;
    this.part = part;
    this.outside = outside;
    this.of = of;
    this.work = work;
    work.presses().forEach(this::press);
    throttle();
    double first = Double.POSITIVE_INFINITY;
    double last = Double.NEGATIVE_INFINITY;
    for (Press press : work.presses()) {
      first = Math.min(first, shutM(press));
      last = Math.max(last, metres(press.offM()));
    }
    for (Phase phase : work.phases()) {
      first = Math.min(first, metres(phase.atM()));
      last = Math.max(last, metres(phase.reachedM()));
    }
    fromM = first;
    toM = last;
  }

  private double metres(double stationM) {
    Road road = lap.path().road();
    return road.offsetBetween(road.stationAt(part.start()), stationM);
  }

  /** Pressure builds up after the foot's way, and then goes from knot to knot. */
  private void press(Press press) {
    double on = metres(press.onM());
    double speed = lap.speedAt(lap.path().road().indexOf(press.onM()));
    double begin = on + speed * lap.conditions().pedalChangeS();
    double peak = begin + speed * lap.conditions().brakeBuildUpS();
    double off = metres(press.offM());
    brake.to(begin, 0);
    if (peak < off) {
      brake.to(peak, press.peakPct() / 100);
    }
    for (Knot knot : press.knots()) {
      double at = metres(knot.atM());
      if (at > peak + APART_M && at < off) {
        brake.to(at, knot.pct() / 100);
      }
    }
    brake.to(off, press.knots().isEmpty() && peak >= off ? press.peakPct() / 100 : 0);
    brake.to(off, 0);
  }

  private void throttle() {
    int next = 0;
    for (Press press : work.presses()) {
      double on = metres(press.onM());
      while (next < work.phases().size() && metres(work.phases().get(next).atM()) < on) {
        phase(work.phases().get(next++));
      }
      double shut = shutM(press);
      throttle.to(shut, throttle.lastShare(1));
      throttle.to(shut, 0);
      if (!lap.footwork().hasBothPedals()) {
        throttle.to(metres(press.offM()), 0);
      }
    }
    while (next < work.phases().size()) {
      phase(work.phases().get(next++));
    }
  }

  /** Where the throttle is shut for a press: who covers the brake has it shut before. */
  private double shutM(Press press) {
    double speed = lap.speedAt(lap.path().road().indexOf(press.onM()));
    return metres(press.onM()) - speed * lap.footwork().offBeforeS();
  }

  private void phase(Phase phase) {
    double at = metres(phase.atM());
    double share = phase.toPct() / 100;
    switch (phase.kind()) {
      case LIFT -> {
        throttle.to(at, throttle.lastShare(1));
        throttle.to(metres(phase.reachedM()), share);
      }
      case HOLD -> {
        throttle.to(at, share);
        throttle.to(metres(phase.reachedM()), share);
      }
      case FIRST -> {
        throttle.to(at, throttle.lastShare(0));
        throttle.to(at, share);
      }
      case STEP, FLAT -> throttle.to(at, share);
    }
  }

  @Override
  public Feet brakingLater(double metres) {
    if (work.presses().isEmpty()) {
      return this;
    }
    Press first = work.presses().get(0);
    Road road = lap.path().road();
    double most = road.offsetBetween(first.onM(), first.offM()) - APART_M;
    double onM = road.wrapStation(first.onM() + Math.min(metres, most));
    List<Press> presses = new ArrayList<>(work.presses());
    presses.set(0, first.from(onM));
    return new KnotPedals(lap, part, outside, of, new PedalWork(presses, work.phases()));
  }

  @Override
  public Feet pressed(double factor) {
    List<Press> presses = work.presses().stream().map(press -> press.times(factor)).toList();
    return new KnotPedals(lap, part, outside, of, new PedalWork(presses, work.phases()));
  }

  @Override
  public double brakeShare(double metres) {
    double begins = of.brakes() ? Math.min(fromM, of.actM()) : fromM;
    double ends = of.brakes() ? Math.max(toM, of.releaseM()) : toM;
    return metres < begins || metres >= ends ? outside.brakeShare(metres) : brake.at(metres, 0);
  }

  @Override
  public double throttleShare(double metres) {
    if (metres < fromM) {
      double before = of.brakes() ? Math.min(metres, of.actM() - OwnPedals.SAME_M) : metres;
      return outside.throttleShare(before);
    }
    boolean ownWork = metres < toM || metres < of.fullM() && !work.phases().isEmpty();
    return ownWork ? throttle.at(metres, 1) : outside.throttleShare(metres);
  }
}
