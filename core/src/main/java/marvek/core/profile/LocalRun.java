package marvek.core.profile;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;

/**
 * Runs the model again on a part of a lap, something in it changed: from a place before the change,
 * at the speed of the lap, until the lap's own speed is met again. Gears stay those of the lap. For
 * what a small change costs this is the whole lap's answer at a fraction of its price.
 */
public final class LocalRun {
  /** Speeds whose squares agree to this share are the same again. */
  private static final double SAME = 1e-7;

  /** The speed has to be the lap's own for so long before nothing more can come of the change. */
  private static final double SETTLED_M = 30;

  private final Lap lap;
  private final Path path;
  private final Road road;
  private final ForceModel forces;
  private final ProfileOptions options;
  private final int start;
  private final int most;
  private final int n;
  private final int least;
  private final double[] grip;
  private final double[] cap;
  private final double[] braking;
  private final double[] w;

  /**
   * What came of a run.
   *
   * @param lostS time lost against the lap; negative where it gains
   * @param settled whether the lap's speed was met again, so that no more is to come
   */
  public record Result(double lostS, boolean settled) {}

  private LocalRun(Lap lap, Path path, ProfileOptions options, int from, int atLeast) {
    this.lap = lap;
    this.path = path;
    this.road = path.road();
    this.options = options;
    this.forces =
        path == lap.path() ? lap.forces() : new ForceModel(path, lap.vehicle(), lap.conditions());
    this.start = from;
    this.n = path.size();
    this.most = road.closed() ? n - 1 : n - 1 - from;
    this.grip = new double[n];
    this.cap = new double[n];
    this.braking = new double[n];
    this.w = new double[n];
    this.least = Math.min(most, atLeast);
  }

  /**
   * Runs a part again.
   *
   * @param path the lap's own path, or another one on the same road that differs only in the part
   * @param options limits in the part, see {@link ProfileOptions}
   * @param from sample before the change, at which the speed is the lap's own
   * @param atLeast number of samples that the change reaches over
   */
  public static Result of(Lap lap, Path path, ProfileOptions options, int from, int atLeast) {
    return new LocalRun(lap, path, options, from, atLeast).run();
  }

  private Result run() {
    int reach = least;
    for (; ; ) {
      int count = Math.min(most, reach);
      brakeBackward(count);
      driveForward(count);
      boolean settled = settledBy(count);
      if (settled || count == most) {
        return new Result(lost(count), settled);
      }
      // Speed that is missing at the end goes on: follow it twice as far.
      reach = 2 * reach + road.covering(SETTLED_M);
    }
  }

  private int at(int k) {
    return road.wrap(start + k);
  }

  private double square(int i) {
    return lap.speedAt(i) * lap.speedAt(i);
  }

  private double limit(int i) {
    double top = lap.driveline().limiterSpeedMps(lap.driveline().gears());
    double own = Math.min(top, options.capAt(i));
    return Math.max(Sweep.LEAST_W, Math.min(grip[i], own * own));
  }

  /** From the part's end, where the lap's own braking curve goes on, backward to its start. */
  private void brakeBackward(int count) {
    ClosedThrottle closed = ClosedThrottle.inGears(lap.driveline(), lap.plan());
    double top = lap.driveline().limiterSpeedMps(lap.driveline().gears());
    for (int k = 0; k <= count; k++) {
      int i = at(k);
      grip[i] = forces.limitW(i, top * top, closed);
      cap[i] = limit(i);
    }
    int end = at(count);
    braking[end] = Math.min(cap[end], square(end));
    sweep(Acceleration.braking(forces, closed), false).runPart(end, count, cap, braking);
  }

  private void driveForward(int count) {
    for (int k = 0; k <= count; k++) {
      int i = at(k);
      cap[i] = lap.plan().capW(i, braking[i], lap.driveline());
    }
    w[start] = Math.min(square(start), cap[start]);
    Launch launch = Launch.of(path, forces, lap.vehicle(), lap.conditions());
    Acceleration drive = Acceleration.inGears(forces, lap.driveline(), options, lap.plan(), launch);
    sweep(drive, true).runPart(start, count, cap, w);
  }

  private Sweep sweep(Acceleration acceleration, boolean forward) {
    return new Sweep(path, grip, acceleration, forward);
  }

  private boolean settledBy(int count) {
    int settled = Math.min(count, road.covering(SETTLED_M));
    for (int k = count - settled; k <= count; k++) {
      int i = at(k);
      if (Math.abs(w[i] - square(i)) > SAME * square(i)) {
        return false;
      }
    }
    return true;
  }

  private double lost(int count) {
    double seconds = 0;
    for (int k = 0; k < count; k++) {
      int i = at(k);
      int to = at(k + 1);
      seconds += 2 * path.elementAt(i) / (Math.sqrt(w[i]) + Math.sqrt(w[to]));
      seconds -= 2 * lap.path().elementAt(i) / (lap.speedAt(i) + lap.speedAt(to));
    }
    return seconds;
  }
}
