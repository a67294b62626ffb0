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

  List<Change> changes() {
    return changes;
  }
}
