package marvek.core.drive;

import marvek.core.circuit.Road;
import marvek.core.event.BrakingZone;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;
import marvek.core.profile.UsedGrip;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * What the feet of somebody do who drives a lap's own corner: the lap's brakes and throttle, but
 * for the way that a foot takes from one pedal to the other and the time in which pressure builds
 * up. While the foot moves the car slows already, so that a little less pressure does at first.
 */
final class PedalTrace implements Pedals {
  /** The lap's speed is met again after so long on the brake, or this share of the braking. */
  static final double FITTED_S = 0.7;

  /** A short touch of the brake is met again before its end. */
  static final double FITTED_SHARE = 0.6;

  /** From the brake point on the lap's pressure is read so far into its zone. */
  private static final double INSIDE_M = 2;

  /** Where less than no brake is needed the foot stays on a part of the throttle. */
  private static final double LEAST_FACTOR = -1;

  /** Parts of the throttle that are tried, the least first: more of it may only spin a wheel. */
  private static final double[] THROTTLES = {0.25, 0.5, -LEAST_FACTOR};

  /** No more than all of the brake. */
  private static final double MOST_FACTOR = 1;

  /** Of the inverse polynomial that is tried; the library's own default. */
  private static final int BRENT_ORDER = 5;

  /** Full pressure but for rounding; the factor is found to a hundredth of a per cent. */
  private static final double ALL_BUT = 0.999;

  /** Half a dozen drives are enough; a bracket of 2 is halved to the accuracy in 15. */
  private static final int MOST_DRIVES = 40;

  /** The factor to a hundredth of a per cent, so that a pressure is right to its whole per cent. */
  private static final double FACTOR_ACCURACY = 1e-4;

  private final double stepM;
  private final double[] brake;
  private final double[] throttle;
  private final Grips grips;

  private PedalTrace(double stepM, double[] brake, double[] throttle, Grips grips) {
    this.stepM = stepM;
    this.brake = brake;
    this.throttle = throttle;
    this.grips = grips;
  }

  /**
   * The feet over a part of a lap.
   *
   * @param points of the corner in that part, as the lap has them
   */
  static PedalTrace of(Lap lap, UsedGrip used, Drive.Part part, CornerPoints points) {
    Road road = lap.path().road();
    double[] brake = new double[part.count()];
    double[] throttle = new double[part.count()];
    for (int k = 0; k < part.count(); k++) {
      int i = road.wrap(part.start() + k);
      brake[k] = lap.elementBrakeShareAt(i);
      throttle[k] = lap.elementThrottleShareAt(i);
    }
    for (BrakingZone brief : BrakingZone.lifts(lap)) {
      lift(lap, part, brief, brake, throttle);
    }
    PedalTrace own = new PedalTrace(road.stepM(), brake, throttle, Grips.of(lap, part));
    return points.brakes() ? own.footMoving(lap, used, part, points) : own;
  }

  /** In the place of a press too brief for a foot the throttle is shut a little sooner. */
  private static void lift(
      Lap lap, Drive.Part part, BrakingZone brief, double[] brake, double[] throttle) {
    Road road = lap.path().road();
    int shut = road.wrap(brief.begin() - road.samples(brief.liftingWayM(lap)));
    int count = road.ahead(shut, brief.end());
    for (int n = 0; n < count; n++) {
      int k = road.ahead(part.start(), road.wrap(shut + n));
      if (k < part.count()) {
        brake[k] = 0;
        throttle[k] = 0;
      }
    }
  }

  /** The same but for the way of the foot, with as much pressure as meets the lap's speed again. */
  private PedalTrace footMoving(Lap lap, UsedGrip used, Drive.Part part, CornerPoints points) {
    double wayM = FITTED_SHARE * (points.releaseM() - points.brakeM());
    double soonM = Math.min(FITTED_S * points.approachMps(), wayM);
    double factor = factor(lap, used, part, points, points.brakeM() + soonM);
    // What would take more than the tyres have so soon is made good over a longer way.
    boolean late = factor > ALL_BUT;
    double fittedM = points.brakeM() + (late ? wayM : soonM);
    double pressed = late ? factor(lap, used, part, points, fittedM) : factor;
    return pressed(lap, points, fittedM, pressed);
  }

  /** Factor on the lap's pressure that meets its speed again at a place. */
  private double factor(
      Lap lap, UsedGrip used, Drive.Part part, CornerPoints points, double fittedM) {
    int fitted = Math.min(part.count(), (int) Math.round(fittedM / stepM));
    double wanted = lap.speedAt(lap.path().road().wrap(part.start() + fitted));
    Drive.Part upTo = new Drive.Part(part.start(), fitted, part.fromM(), part.toM());
    UnivariateFunction tooFast =
        factor ->
            Drive.of(lap, used, pressed(lap, points, fittedM, factor), upTo).speedsMps()[fitted]
                - wanted;
    // The speed falls as the pressure rises and, up to where a wheel spins, as the throttle closes.
    if (tooFast.value(0) > 0) {
      return tooFast.value(MOST_FACTOR) >= 0 ? MOST_FACTOR : root(tooFast, 0, MOST_FACTOR);
    }
    for (double throttle : THROTTLES) {
      if (tooFast.value(-throttle) > 0) {
        return root(tooFast, -throttle, 0);
      }
    }
    return LEAST_FACTOR;
  }

  /** Brent's method of Hipparchus. */
  private static double root(UnivariateFunction f, double low, double high) {
    return new BracketingNthOrderBrentSolver(FACTOR_ACCURACY, BRENT_ORDER)
        .solve(MOST_DRIVES, f, low, high);
  }

  private PedalTrace pressed(Lap lap, CornerPoints points, double fittedM, double factor) {
    double[] pressure = brake.clone();
    double[] foot = throttle.clone();
    double changeS = lap.conditions().pedalChangeS();
    double buildUpS = lap.conditions().brakeBuildUpS();
    for (int k = 0; k < pressure.length; k++) {
      double at = (k + 0.5) * stepM;
      if (at >= points.shutM(lap) && at < points.releaseM()) {
        foot[k] = 0;
      }
      if (at >= points.actM() && at < fittedM) {
        double since = (at - points.actM()) / points.approachMps() - changeS;
        double built =
            buildUpS > 0 ? Math.max(0, Math.min(1, since / buildUpS)) : since >= 0 ? 1 : 0;
        double there = Math.max(at, points.brakeM() + INSIDE_M);
        pressure[k] = built * Math.max(0, factor) * brakeShare(brake, there);
        foot[k] = Math.max(0, -factor) * throttleShare(Math.min(at, points.actM()));
      }
    }
    PedalTrace pressed = new PedalTrace(stepM, pressure, foot, grips);
    pressed.easeOff(points.actM(), fittedM);
    return pressed;
  }

  /**
   * A foot that feels the tyres presses no more on either pedal, nor lifts more, than they hold.
   */
  private void easeOff(double fromM, double toM) {
    for (int k = 0; k < brake.length; k++) {
      double at = (k + 0.5) * stepM;
      if (at >= fromM && at < toM) {
        brake[k] = Math.min(brake[k], grips.mostBrake[k]);
        double open = Math.min(throttle[k], grips.mostThrottle[k]);
        throttle[k] = Math.max(open, grips.leastThrottle[k]);
      }
    }
  }

  /**
   * What the tyres of a lap hold at its speeds.
   *
   * @param mostBrake share of full pressure with the throttle shut
   * @param leastThrottle throttle, above nought where a shut one would slow the tyres too much
   * @param mostThrottle throttle, below one where an open one would spin them
   */
  private record Grips(double[] mostBrake, double[] leastThrottle, double[] mostThrottle) {
    static Grips of(Lap lap, Drive.Part part) {
      int n = part.count();
      Grips grips = new Grips(new double[n], new double[n], new double[n]);
      for (int k = 0; k < n; k++) {
        int i = lap.path().road().wrap(part.start() + k);
        double closed = lap.closedThrottleNAt(i);
        double engine = lap.openThrottleNAt(i) + closed;
        double least = lap.leastTyreForceAt(i) + closed;
        double most = lap.mostTyreForceAt(i) + closed;
        grips.mostBrake[k] = Math.max(0, -least) / lap.vehicle().brakes().maxForceN();
        grips.leastThrottle[k] = engine > 0 ? share(least / engine) : 0;
        grips.mostThrottle[k] = engine > 0 ? share(most / engine) : 1;
      }
      return grips;
    }

    private static double share(double a) {
      return Math.max(0, Math.min(1, a));
    }
  }

  private double brakeShare(double[] values, double metres) {
    double position = Math.max(0, Math.min(values.length - 1.0, metres / stepM - 0.5));
    int k = Math.min(values.length - 2, (int) position);
    return values[k] + (position - k) * (values[k + 1] - values[k]);
  }

  @Override
  public double brakeShare(double metres) {
    return brakeShare(brake, metres);
  }

  @Override
  public double throttleShare(double metres) {
    return brakeShare(throttle, metres);
  }
}
