package marvek.core.profile;

import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.vehicle.Vehicle;

/** A solved lap: speed, forces, gears and time at each sample of its path. Immutable. */
public final class Lap {
  /** Above this share of the limit (of its square) the limit is what holds the speed. */
  private static final double AT_LIMIT = 0.995;

  /** An engine at its limiter swings by about so much (own assumption). */
  private static final double ON_LIMITER = 0.995;

  /** With less of the engine's drive than this nothing tells how far the throttle is open. */
  private static final double CUT_SHARE = 0.25;

  /** So near to its speed, as a share of it, the limiter holds. */
  private static final double HELD_BY_LIMITER = 5e-4;

  /** No change of gear takes more samples than this. */
  private static final int LONGEST_CHANGE = 60;

  private final Path path;
  private final Driveline driveline;
  private final double mass;
  private final double maxBrake;
  private final double[] v;
  private final double[] limit;
  private final double[] time;
  private final double[] tyreForce;
  private final double[] engineForce;
  private final double[] closedForce;
  private final double[] longitudinal;
  private final boolean[] shifting;
  private final boolean[] heldByCrest;
  private final int[] gear;
  private final GearPlan plan;
  private final Launch launch;
  private final ForceModel forces;
  private final Vehicle vehicle;
  private final Conditions conditions;
  private final boolean converged;
  private final Footwork footwork;

  Lap(
      Path path,
      ForceModel forces,
      Driveline driveline,
      Vehicle vehicle,
      Conditions conditions,
      GearPlan plan,
      Launch launch,
      double[] w,
      double[] limitW,
      boolean converged,
      Footwork footwork) {
    int n = path.size();
    this.path = path;
    this.driveline = driveline;
    this.mass = forces.massKg();
    this.maxBrake = vehicle.brakes().maxForceN();
    this.converged = converged;
    this.plan = plan;
    this.launch = launch;
    this.forces = forces;
    this.vehicle = vehicle;
    this.conditions = conditions;
    this.footwork = footwork;
    v = new double[n];
    limit = new double[n];
    time = new double[n + 1];
    tyreForce = new double[n];
    engineForce = new double[n];
    closedForce = new double[n];
    ClosedThrottle closed = ClosedThrottle.inGears(driveline, plan);
    longitudinal = new double[n];
    gear = new int[n];
    shifting = new boolean[n];
    heldByCrest = new boolean[n];
    for (int i = 0; i < n; i++) {
      v[i] = Math.sqrt(w[i]);
      limit[i] = Math.sqrt(limitW[i]);
      gear[i] = plan.gearAt(i);
      engineForce[i] = launch.engineN(i, driveline.forceN(gear[i], v[i]) * plan.driveShareAt(i));
      shifting[i] = plan.driveShareAt(i) < 1;
      closedForce[i] = closed.at(i, w[i]);
      heldByCrest[i] = w[i] >= AT_LIMIT * limitW[i] && forces.crestLimited(i);
    }
    for (int i = 0; i < path.elements(); i++) {
      time[i + 1] = time[i] + 2 * path.elementAt(i) / (v[i] + v[path.road().wrap(i + 1)]);
    }
    for (int i = 0; i < n; i++) {
      longitudinal[i] = acceleration(i, w);
      tyreForce[i] = mass * longitudinal[i] + forces.resistanceN(i, w[i]);
    }
  }

  /** Mean over the elements before and after the sample. */
  private double acceleration(int i, double[] w) {
    int before = path.road().wrap(i - 1);
    int after = path.road().wrap(i + 1);
    double ds = 0;
    if (before != i) {
      ds += path.elementAt(before);
    }
    if (after != i) {
      ds += path.elementAt(i);
    }
    return (w[after] - w[before]) / (2 * ds);
  }

  public Path path() {
    return path;
  }

  public Driveline driveline() {
    return driveline;
  }

  public int size() {
    return v.length;
  }

  /** Time of the lap, or of the run on an open road [s]. */
  public double timeS() {
    return time[path.elements()];
  }

  /** Time from the first sample to sample i [s]. */
  public double timeAt(int i) {
    return time[i];
  }

  /** Time from one sample to another in the direction of travel [s]. */
  public double timeBetween(int from, int to) {
    double t = time[to] - time[from];
    return t < 0 && path.road().closed() ? t + timeS() : t;
  }

  /** Share of the engine's drive that there is at a sample: 0 while a gear is changed. */
  public double driveShareAt(int i) {
    return plan.driveShareAt(i);
  }

  public double speedAt(int i) {
    return v[i];
  }

  /**
   * Speed at which the side grip is used up, or the car leaves the ground, or the gearing ends
   * [m/s].
   */
  public double limitSpeedAt(int i) {
    return limit[i];
  }

  public double topSpeedMps() {
    double top = 0;
    for (double speed : v) {
      top = Math.max(top, speed);
    }
    return top;
  }

  /** Force of the tyres along the path [N], braking negative. */
  public double tyreForceAt(int i) {
    return tyreForce[i];
  }

  /**
   * Force of the brakes [N], not negative: what the engine does at a shut throttle is not in it.
   */
  public double brakeForceAt(int i) {
    return Math.max(0, -tyreForce[i] - closedForce[i]);
  }

  /** Force with which the engine would brake here at a shut throttle [N], not negative. */
  public double closedThrottleNAt(int i) {
    return closedForce[i];
  }

  /**
   * Force of the engine at a sample, a speed and a throttle, 0 to 1 [N]; negative where it brakes.
   * In the lap's gear, or the next that is not beyond its limiter; where the lap itself is at the
   * limiter, no more than holds the speed there.
   */
  public double engineN(int i, double speedMps, double throttle) {
    int own = gear[i];
    double limiter = driveline.limiterSpeedMps(own);
    boolean held = onLimiterAt(i) && Math.abs(speedMps - limiter) < HELD_BY_LIMITER * limiter;
    while (!held && own < driveline.gears() && speedMps > driveline.limiterSpeedMps(own)) {
      own++;
    }
    double open =
        held
            ? Math.max(0, forces.resistanceN(i, speedMps * speedMps))
            : launch.engineN(i, driveline.forceN(own, speedMps));
    double shut = driveline.closedThrottleN(own);
    return (throttle * open - (1 - throttle) * shut) * plan.driveShareAt(i);
  }

  /** Least force along that the tyres hold at a sample and its speed [N], braking negative. */
  public double leastTyreForceAt(int i) {
    double w = v[i] * v[i];
    return forces.resistanceN(i, w) - forces.netBrakeN(i, w, closedForce[i]);
  }

  /** Greatest force along that the tyres hold at a sample and its speed [N], drive positive. */
  public double mostTyreForceAt(int i) {
    double w = v[i] * v[i];
    return forces.resistanceN(i, w) + forces.netDriveN(i, w, Double.MAX_VALUE);
  }

  /** Force of the engine at a sample with the throttle open [N]. */
  public double openThrottleNAt(int i) {
    return engineForce[i];
  }

  /** Braking by the brakes, in standard gravities; 0 where the tyres drive or the engine slows. */
  public double brakeGAt(int i) {
    return brakeForceAt(i) / (mass * Constants.G0);
  }

  /** Force of the brakes as a share of what their system can do, 0 to 1. */
  public double brakeShareAt(int i) {
    return brakeForceAt(i) / maxBrake;
  }

  /**
   * Force that drives the tyres as a share of what the engine gives, 0 to 1; none where the
   * throttle is open and the engine still brakes.
   */
  public double pullShareAt(int i) {
    return throttle(tyreForce[i], 0, engineForce[i]);
  }

  /** Opening of the throttle in the gear used, from shut, where the engine brakes, 0 to 1. */
  public double throttleShareAt(int i) {
    return throttle(tyreForce[i], closedForce[i], engineForce[i]);
  }

  /** Between shut, where the engine brakes, and open. */
  private static double throttle(double force, double closed, double open) {
    if (!(force + closed > 0)) {
      return 0;
    }
    return open + closed > 0 ? Math.min(1, (force + closed) / (open + closed)) : 1;
  }

  /**
   * Force of the tyres over the element after a sample [N], braking negative: what leads from its
   * speed at one end to that at the other.
   */
  public double elementForceAt(int i) {
    int to = path.road().wrap(i + 1);
    double gained = (v[to] * v[to] - v[i] * v[i]) / (2 * path.elementAt(i));
    double resistance = forces.resistanceN(i, v[i] * v[i]) + forces.resistanceN(to, v[to] * v[to]);
    return mass * gained + resistance / 2;
  }

  /** Pressure of the brakes over the element after a sample, as a share of full. */
  public double elementBrakeShareAt(int i) {
    int to = path.road().wrap(i + 1);
    double closed = (closedForce[i] + closedForce[to]) / 2;
    return Math.max(0, -elementForceAt(i) - closed) / maxBrake;
  }

  /**
   * Throttle over the element after a sample, 0 to 1. While a gear is changed the foot stays as it
   * was before, or as it will be after if that is less: the cut of the drive is the gearbox's.
   */
  public double elementThrottleShareAt(int i) {
    return Math.min(throttleBeside(i, -1), throttleBeside(i, 1));
  }

  /** Whether there is next to no drive over an element because a gear is being changed. */
  private boolean cutOver(int i) {
    return plan.driveShareAt(i) + plan.driveShareAt(path.road().wrap(i + 1)) < 2 * CUT_SHARE;
  }

  private double throttleBeside(int i, int sense) {
    int from = i;
    for (int k = 0; k < LONGEST_CHANGE && cutOver(from); k++) {
      from = path.road().wrap(from + sense);
    }
    double force = elementForceAt(from);
    int to = path.road().wrap(from + 1);
    double closed = (closedForce[from] + closedForce[to]) / 2;
    return throttle(force, closed, (engineForce[from] + engineForce[to]) / 2);
  }

  /** Whether the engine turns at its limiter here. */
  public boolean onLimiterAt(int i) {
    return v[i] >= ON_LIMITER * driveline.limiterSpeedMps(gearAt(i));
  }

  /** Whether the drive is cut at a sample or next to it because a gear is being changed. */
  public boolean shiftingAt(int i) {
    return shifting[i] || shifting[path.road().wrap(i - 1)] || shifting[path.road().wrap(i + 1)];
  }

  /** Whether the speed is held down here because the car would leave the ground. */
  public boolean heldByCrestAt(int i) {
    return heldByCrest[i];
  }

  /** Whether the limit of the place holds the speed, and not brakes or engine. */
  boolean atLimit(int i) {
    return v[i] * v[i] >= AT_LIMIT * limit[i] * limit[i];
  }

  /** What holds the lap back at a sample. */
  public Limiting limitingAt(int i) {
    return Limiting.of(this, i);
  }

  /** Share of the side grip used by cornering. */
  public double lateralUseAt(int i) {
    double braked = brakeForceAt(i);
    return forces.use(i, v[i] * v[i], braked, tyreForce[i] + braked).across();
  }

  /** Kinematic lateral acceleration [m/s²], positive in a left-hander. */
  public double lateralAccelerationAt(int i) {
    return v[i] * v[i] * path.curvatureAt(i);
  }

  /** Kinematic longitudinal acceleration [m/s²]. */
  public double longitudinalAccelerationAt(int i) {
    return longitudinal[i];
  }

  public int gearAt(int i) {
    return gear[i];
  }

  /** Engine speed [rpm]. */
  public double rpmAt(int i) {
    return driveline.rpm(gear[i], v[i]);
  }

  public List<GearPlan.Change> gearChanges() {
    return plan.changes();
  }

  /**
   * The same lap at other speeds, as driven by hand instead of by the model.
   *
   * @param speedsMps one for each sample
   */
  public Lap withSpeeds(double[] speedsMps) {
    return copied(speedsMps, conditions, footwork);
  }

  /** The same lap of a driver whose feet change pedals otherwise than on the rest of it. */
  public Lap footed(Footwork other) {
    return copied(v, conditions.but().pedalChangeS(other.changeS()).build(), other);
  }

  /** Which foot brakes. */
  public Footwork footwork() {
    return footwork;
  }

  private Lap copied(double[] speedsMps, Conditions day, Footwork feet) {
    double[] w = new double[v.length];
    double[] limitW = new double[v.length];
    for (int i = 0; i < w.length; i++) {
      w[i] = speedsMps[i] * speedsMps[i];
      limitW[i] = limit[i] * limit[i];
    }
    return new Lap(path, forces, driveline, vehicle, day, plan, launch, w, limitW, converged, feet);
  }

  GearPlan plan() {
    return plan;
  }

  /** The forces that the lap was solved with. */
  public ForceModel forces() {
    return forces;
  }

  public Vehicle vehicle() {
    return vehicle;
  }

  public Conditions conditions() {
    return conditions;
  }

  /** Whether the closed lap's speed at its start agreed with that at its end. */
  public boolean converged() {
    return converged;
  }
}
