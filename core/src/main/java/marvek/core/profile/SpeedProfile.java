package marvek.core.profile;

import java.util.function.DoubleUnaryOperator;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/**
 * Quasi-steady-state speed profile on a fixed path: lateral limit, braking backward from it,
 * driving forward under both; then gears by dynamic programming and the forward pass again in those
 * gears.
 *
 * <p>Second order in the step. Closed laps are run round until the speed at the start agrees to a
 * millionth; where that does not happen in {@value #MAX_LAPS} laps the result says so.
 */
public final class SpeedProfile {
  private static final int MAX_LAPS = 60;
  private static final double CLOSURE = 1e-6;

  /**
   * Share of the braking curve, in squares of the speed, below which no other gear's engine braking
   * brings the curve down to the car.
   */
  private static final double NEARLY_BRAKED = 0.8;

  private final Path path;
  private final ForceModel forces;
  private final Driveline driveline;
  private final Vehicle vehicle;
  private final Conditions conditions;
  private final ProfileOptions options;

  /** Square of the speed at the limiter in the highest gear. */
  private final double topW;

  /** Squares of the speeds that the vehicle as a whole, its axles, and all else allow. */
  private final double[] whole;

  private final double[] gripLimit;
  private final double[] limit;
  private final double[] braking;
  private final double[] w;
  private int start;
  private boolean converged = true;

  private SpeedProfile(Path path, Vehicle vehicle, Conditions conditions, ProfileOptions options) {
    this.path = path;
    this.vehicle = vehicle;
    this.conditions = conditions;
    this.options = options;
    this.forces = new ForceModel(path, vehicle, conditions);
    this.driveline = Driveline.of(vehicle, conditions.model());
    this.topW = Math.pow(driveline.limiterSpeedMps(driveline.gears()), 2);
    this.whole = new double[path.size()];
    this.limit = new double[path.size()];
    this.gripLimit = new double[path.size()];
    this.braking = new double[path.size()];
    this.w = new double[path.size()];
  }

  /** Solves with the model left alone. */
  public static Lap solve(Path path, Vehicle vehicle, Conditions conditions) {
    return solve(path, vehicle, conditions, ProfileOptions.NONE);
  }

  /**
   * Solves a lap, or a run along an open road that starts from rest or at the speed its begin
   * allows, and ends at the speed its end does.
   *
   * @throws InvalidValueException if the options were made for another path
   */
  public static Lap solve(
      Path path, Vehicle vehicle, Conditions conditions, ProfileOptions options) {
    if (!options.fits(path.size())) {
      throw new InvalidValueException("options", Sentence.of("refused.one-value-each"));
    }
    return new SpeedProfile(path, vehicle, conditions, options).solve();
  }

  private Lap solve() {
    ClosedThrottle closed = ClosedThrottle.bestGear(driveline);
    lateralLimit(closed);
    start = slowestSample();
    brakeBackward(closed);
    Launch launch = Launch.of(path, forces, vehicle, conditions);
    Acceleration best = Acceleration.bestGear(forces, driveline, options, launch);
    driveForward(new CappedSweep(new Sweep(path, gripLimit, best, true), braking));
    GearSearch search =
        new GearSearch(path, forces, driveline, vehicle, options, w, braking, start);
    GearPlan first = search.plan();
    ClosedThrottle inFirst = ClosedThrottle.inGears(driveline, first);
    brakeAgain(closed, inFirst);
    driveForward(inGears(first, launch));
    GearPlan plan =
        new SecondLook(path, driveline, options, search, first, braking, p -> in(p, launch), w)
            .plan();
    if (plan != first) {
      driveAgain(plan, inFirst, launch);
    }
    Footwork feet = Footwork.of(conditions);
    return new Lap(
        path, forces, driveline, vehicle, conditions, plan, launch, w, limit, converged, feet);
  }

  private void lateralLimit(ClosedThrottle closed) {
    double share = 1;
    for (int i = 0; i < limit.length; i++) {
      whole[i] = forces.limitW(i);
      // What the axles hold of what the car would as a whole changes little from place to place.
      lateralLimitAt(i, closed, share * whole[i]);
      share = gripLimit[i] < topW ? gripLimit[i] / whole[i] : 1;
    }
  }

  /**
   * In the gears chosen the engine brakes otherwise than in the best ones: limit and braking are
   * found again where that is so and the car is near them.
   */
  private void brakeAgain(ClosedThrottle before, ClosedThrottle now) {
    if (!driveline.brakes()) {
      return;
    }
    boolean[] changed = new boolean[limit.length];
    for (int i = 0; i < limit.length; i++) {
      if (w[i] > NEARLY_BRAKED * braking[i]) {
        double held = Math.min(gripLimit[i], topW);
        boolean limited = before.at(i, held) != now.at(i, held);
        if (limited) {
          lateralLimitAt(i, now, gripLimit[i]);
        }
        changed[i] = limited || before.at(i, braking[i]) != now.at(i, braking[i]);
      }
    }
    Sweep sweep = new Sweep(path, gripLimit, Acceleration.braking(forces, now), false);
    int from = lastToBrake();
    runRound(startW -> sweep.runChanged(from, startW, limit, changed, braking), limit[from]);
  }

  private void lateralLimitAt(int i, ClosedThrottle closed, double near) {
    double cap = options.capAt(i);
    gripLimit[i] = forces.limitW(i, whole[i], topW, closed, near);
    limit[i] = Math.max(Sweep.LEAST_W, Math.min(gripLimit[i], Math.min(topW, cap * cap)));
  }

  private int slowestSample() {
    if (!path.road().closed()) {
      return 0;
    }
    int slowest = 0;
    for (int i = 1; i < limit.length; i++) {
      if (limit[i] < limit[slowest]) {
        slowest = i;
      }
    }
    return slowest;
  }

  private void brakeBackward(ClosedThrottle closed) {
    Sweep sweep = new Sweep(path, gripLimit, Acceleration.braking(forces, closed), false);
    int from = lastToBrake();
    runRound(startW -> sweep.run(from, startW, limit, braking), limit[from]);
  }

  /** Where a sweep backward begins. */
  private int lastToBrake() {
    return path.road().closed() ? start : path.size() - 1;
  }

  private CappedSweep inGears(GearPlan plan, Launch launch) {
    return new CappedSweep(in(plan, launch), limitedByGears(plan));
  }

  private Sweep in(GearPlan plan, Launch launch) {
    Acceleration drive = Acceleration.inGears(forces, driveline, options, plan, launch);
    return new Sweep(path, gripLimit, drive, true);
  }

  private void driveForward(CappedSweep drive) {
    boolean fromRest = !path.road().closed() && conditions.start() == Conditions.Start.STANDING;
    runRound(startW -> drive.run(start, startW, w), fromRest ? 0 : drive.cap()[start]);
  }

  /**
   * Drives in gears changed since once more where their engine braking changes limit or braking.
   *
   * @param before engine braking with which those were found
   */
  private void driveAgain(GearPlan plan, ClosedThrottle before, Launch launch) {
    double[] grip = gripLimit.clone();
    double[] braked = braking.clone();
    brakeAgain(before, ClosedThrottle.inGears(driveline, plan));
    boolean[] changed = new boolean[w.length];
    for (int i = 0; i < changed.length; i++) {
      changed[i] = gripLimit[i] != grip[i] || braking[i] != braked[i];
    }
    CappedSweep drive = inGears(plan, launch);
    runRound(startW -> drive.runChanged(start, startW, changed, w), w[start]);
  }

  /**
   * @param sweep once round from a square of the speed to the one on coming round
   */
  private void runRound(DoubleUnaryOperator sweep, double fromW) {
    double startW = fromW;
    for (int lap = 0; lap < MAX_LAPS; lap++) {
      double end = sweep.applyAsDouble(startW);
      if (!path.road().closed() || Math.abs(end - startW) <= CLOSURE * startW) {
        return;
      }
      startW = end;
    }
    converged = false;
  }

  private double[] limitedByGears(GearPlan plan) {
    double[] cap = new double[braking.length];
    for (int i = 0; i < cap.length; i++) {
      cap[i] = plan.capW(i, braking[i], driveline);
    }
    return cap;
  }
}
