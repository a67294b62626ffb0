package marvek.core.profile;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.vehicle.Tyre;

/**
 * Drives a part of a lap forward with a driver's controls. The tyres are those of the day, whole:
 * the share that a driver means to use is in the controls. Pressure beyond what cornering leaves
 * locks a wheel and slows no more, throttle beyond it spins one.
 *
 * <p>Where the speed asks for more side force than there is, the car slides: the tyres' whole force
 * turns backward until its part across the path is the same share of it as the whole is of what was
 * asked for. The rest of it scrubs speed; what is missing across leads the car to the outside.
 */
public final class Drive {
  private static final double AT_LIMIT = 0.995;

  /**
   * A car still holds its line this far beyond its tyres' nominal limit, sliding a little: a driver
   * who means to use all of it has to be followed without a margin (own assumption).
   */
  private static final double HOLDS = 1.03;

  /** A wheel is called locked or spinning where more than this share of the grip is asked for. */
  private static final double SLIPPING_SHARE = HOLDS;

  /** Less pressure or throttle than this locks or spins nothing worth a word, in weights. */
  private static final double WORTH_A_WORD = 0.05;

  /** A car beside its line is brought back to it in about this time (own assumption). */
  private static final double BACK_S = 1.5;

  private final Lap lap;
  private final Path path;
  private final Road road;
  private final ForceModel forces;
  private final Controls controls;
  private final int start;
  private final int count;
  private final double maxBrakeN;
  private final double changeS;
  private final double buildUpS;
  private final double[] w;
  private final double[] wide;
  private final double[] gripNeeded;
  private double metres;
  private double seconds;
  private double actedAtS = Double.NaN;
  private double brakeN;

  /** What the pedal is pressed with, before the foot eases off: it is what locks a wheel. */
  private double pressedN;

  private double driveN;
  private double outwardMps;
  private double outwardM;
  private double lockedM;
  private double lockedAtM = Double.NaN;
  private double spunM;
  private double spunAtM = Double.NaN;

  private Drive(Lap lap, ForceModel forces, Controls controls, int start, int count) {
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.forces = forces;
    this.controls = controls;
    this.start = start;
    this.count = count;
    this.maxBrakeN = lap.vehicle().brakes().maxForceN();
    this.changeS = lap.conditions().pedalChangeS();
    this.buildUpS = lap.conditions().brakeBuildUpS();
    this.w = new double[count + 1];
    this.wide = new double[count + 1];
    this.gripNeeded = new double[count + 1];
  }

  /**
   * What came of a drive. Positions count samples from its beginning.
   *
   * @param speedsMps at each position
   * @param wideM metres beside the line, to the outside, at each position
   * @param gripNeeded share of the tyres' grip that is asked for at each position but the last
   * @param lockedM metres with a locked wheel; the first at {@code lockedAtM}, NaN without one
   * @param spunM metres with a spinning wheel; the first at {@code spunAtM}, NaN without one
   */
  public record Result(
      double[] speedsMps,
      double[] wideM,
      double[] gripNeeded,
      double lockedM,
      double lockedAtM,
      double spunM,
      double spunAtM) {}

  /** The forces of a lap with all the grip that its tyres have, and what they hold beyond it. */
  public static ForceModel wholeGrip(Lap lap) {
    Tyre tyre = lap.vehicle().tyre();
    Tyre holds =
        new Tyre(
            HOLDS * tyre.muLateral(),
            HOLDS * tyre.muLongitudinal(),
            tyre.radiusM(),
            tyre.referenceLoadN(),
            tyre.loadSensitivity());
    Conditions day = lap.conditions().withGripUsed(1);
    return new ForceModel(lap.path(), lap.vehicle().withTyre(holds), day);
  }

  /**
   * Drives.
   *
   * @param lap that gives line, gears and the speed at the beginning
   * @param forces see {@link #wholeGrip(Lap)}
   * @param start sample to begin from
   * @param count number of elements to drive
   */
  public static Result of(Lap lap, ForceModel forces, Controls controls, int start, int count) {
    return new Drive(lap, forces, controls, start, count).run();
  }

  private Result run() {
    w[0] = lap.speedAt(start) * lap.speedAt(start);
    for (int k = 0; k < count; k++) {
      step(k);
    }
    double[] speeds = new double[w.length];
    for (int k = 0; k < w.length; k++) {
      speeds[k] = Math.sqrt(w[k]);
    }
    return new Result(speeds, wide, gripNeeded, lockedM, lockedAtM, spunM, spunAtM);
  }

  /** Heun's method; where the next corner's braking begins the lap's own curve goes on. */
  private void step(int k) {
    int i = road.wrap(start + k);
    int to = road.wrap(start + k + 1);
    double ds = path.elementAt(i);
    double v = Math.sqrt(w[k]);
    double a0 = acceleration(i, w[k], metres, seconds);
    note(k, i, w[k], ds);
    double dt = ds / v;
    leaveTheLine(k, i, dt);
    double guess = Math.max(Sweep.LEAST_W, w[k] + 2 * ds * a0);
    double a1 = acceleration(to, guess, metres + road.stepM(), seconds + dt);
    double next = Math.max(Sweep.LEAST_W, w[k] + ds * (a0 + a1));
    metres += road.stepM();
    seconds += 2 * ds / (v + Math.sqrt(next));
    w[k + 1] = heldForAnother(k + 1, to) ? Math.min(next, square(lap.speedAt(to))) : next;
  }

  private static double square(double a) {
    return a * a;
  }

  /**
   * Whether the lap's own speed holds here: what it brakes before the corner's own brakes, and what
   * brakes or grip hold after its full throttle, is another page's.
   */
  private boolean heldForAnother(int k, int i) {
    double at = k * road.stepM();
    boolean brakes = lap.plan().brakingAt(i);
    boolean limit = lap.speedAt(i) >= AT_LIMIT * lap.limitSpeedAt(i);
    return at < controls.lapBrakesM() - road.stepM() && brakes
        || at > controls.fullThrottleM() + 1 && (brakes || limit);
  }

  /** Sets the forces that the driver asks for and gives the acceleration that comes of them. */
  private double acceleration(int i, double w2, double at, double now) {
    double v = Math.sqrt(w2);
    askFor(i, v, w2, at, now);
    double scrubN = forces.lateralLimitN(i, w2) * Math.sqrt(1 - square(held(i, w2)));
    double brakes = brakeN > 0 ? Math.min(brakeN, forces.brakeN(i, w2)) : 0;
    double drive = driveN > 0 ? Math.min(driveN, forces.tractionN(i, w2)) : 0;
    return (drive - brakes - scrubN - forces.resistanceN(i, w2)) / forces.massKg();
  }

  /** Share of the tyres' force that acts across the path: 1 while there is enough of it. */
  private double held(int i, double w2) {
    double asked = Math.abs(forces.lateralDemandN(i, w2));
    double there = forces.lateralLimitN(i, w2);
    return asked > there ? there / asked : 1;
  }

  private void askFor(int i, double v, double w2, double at, double now) {
    brakeN = 0;
    pressedN = 0;
    driveN = 0;
    double acts = controls.actAtM();
    if (at < acts || at >= controls.firstThrottleM()) {
      driveN = engineN(i, v, controls.throttleShare(at));
      return;
    }
    if (Double.isNaN(actedAtS)) {
      actedAtS = now - (at - acts) / v;
    }
    double since = now - actedAtS - changeS;
    double built = buildUpS > 0 ? Math.max(0, Math.min(1, since / buildUpS)) : since >= 0 ? 1 : 0;
    double pressed = built * controls.brakeShare(at) * maxBrakeN;
    brakeN = Math.min(pressed, enoughN(i, w2));
    pressedN = brakeN > 0 ? pressed : 0;
    if (brakeN == 0 && v <= controls.lowestMps()) {
      driveN = Math.min(engineN(i, v, 1), Math.max(0, forces.resistanceN(i, w2)));
    }
  }

  /**
   * Braking that brings the car to the lap's own speed at the next sample, or to the speed that is
   * held: where it is already as slow, the foot eases off.
   */
  private double enoughN(int i, double w2) {
    int next = road.wrap(i + 1);
    double target = square(controls.lowestMps());
    if (lap.brakeGAt(i) > 0 || lap.brakeGAt(next) > 0) {
      target = Math.max(target, square(lap.speedAt(next)));
    }
    double wanted = forces.massKg() * (w2 - target) / (2 * path.elementAt(i));
    return Math.max(0, wanted - forces.resistanceN(i, w2));
  }

  /** Engine force in the lap's gear, or the next that is not beyond its limiter. */
  private double engineN(int i, double v, double throttle) {
    Driveline driveline = lap.driveline();
    int gear = lap.gearAt(i);
    while (gear < driveline.gears() && v > driveline.limiterSpeedMps(gear)) {
      gear++;
    }
    return throttle * driveline.forceN(gear, v) * lap.plan().driveShareAt(i);
  }

  private void note(int k, int i, double w2, double ds) {
    double weight = forces.massKg() * Constants.G0;
    gripNeeded[k] = HOLDS * forces.gripNeeded(i, w2, pressedN, driveN);
    boolean slips = gripNeeded[k] > SLIPPING_SHARE;
    if (slips && pressedN > WORTH_A_WORD * weight && pressedN > forces.brakeN(i, w2)) {
      lockedAtM = lockedM == 0 ? metres : lockedAtM;
      lockedM += ds;
    }
    if (slips && driveN > WORTH_A_WORD * weight && driveN > forces.tractionN(i, w2)) {
      spunAtM = spunM == 0 ? metres : spunAtM;
      spunM += ds;
    }
  }

  /**
   * The missing centripetal acceleration, twice over time; what is to spare brings the car back.
   */
  private void leaveTheLine(int k, int i, double dt) {
    double asked = Math.abs(forces.lateralDemandN(i, w[k]));
    double there = forces.lateralLimitN(i, w[k]);
    double missing = asked > there ? asked - there * held(i, w[k]) : asked - there;
    outwardMps = Math.max(0, outwardMps + missing / forces.massKg() * dt);
    outwardM += outwardMps * dt;
    if (outwardMps == 0) {
      outwardM -= outwardM * Math.min(1, dt / BACK_S);
    }
    wide[k + 1] = outwardM;
  }
}
