package marvek.core.profile;

import java.util.List;

/**
 * Gears along a lap, the changes between them and what each costs. Chosen by {@link GearSearch}.
 */
public final class GearPlan {
  /** Tyres that slow the car by more than this share of its weight brake; less is a lift. */
  static final double BRAKING_SHARE = 0.02;

  private final int[] gear;
  private final double[] driveShare;
  private final boolean[] braking;
  private final List<Change> changes;

  /**
   * One change of gear.
   *
   * @param sample where it begins
   * @param costS time that the change itself costs in lost drive; 0 under brakes
   */
  public record Change(int sample, int from, int to, double costS) {}

  GearPlan(int[] gear, double[] driveShare, boolean[] braking, List<Change> changes) {
    this.gear = gear;
    this.driveShare = driveShare;
    this.braking = braking;
    this.changes = List.copyOf(changes);
  }

  int gearAt(int i) {
    return gear[i];
  }

  double driveShareAt(int i) {
    return driveShare[i];
  }

  boolean brakingAt(int i) {
    return braking[i];
  }

  /**
   * Highest square of the speed at a sample.
   *
   * @param brakedW what the braking from there allows
   */
  double capW(int i, double brakedW, Driveline driveline) {
    double limiter = driveline.limiterSpeedMps(gear[i]);
    return isLimited(i) ? Math.min(brakedW, limiter * limiter) : brakedW;
  }

  /**
   * Whether the limiter holds: in each gear that is driven in, and under brakes as long as it stays
   * in; a lower one may be taken there at any speed, with the clutch.
   */
  private boolean isLimited(int i) {
    int k = i;
    for (int left = braking.length; left > 0 && braking[k]; left--) {
      k = k == 0 ? braking.length - 1 : k - 1;
      if (gear[k] != gear[i]) {
        return false;
      }
    }
    return !braking[k];
  }

  /** The gear at each sample, a copy. */
  int[] gears() {
    return gear.clone();
  }

  /** The share of the drive at each sample, a copy. */
  double[] driveShares() {
    return driveShare.clone();
  }

  /** The same braking in gears that somebody tries, who may change the arrays as he goes. */
  GearPlan tried(int[] gears, double[] driveShares) {
    return new GearPlan(gears, driveShares, braking, List.of());
  }

  List<Change> changes() {
    return changes;
  }
}
