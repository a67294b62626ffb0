package marvek.core.conditions;

/** Which foot brakes, and how. */
public enum Footwork {
  /** The left foot rests on the brake: it may press while the right one is on the throttle. */
  LEFT(0.05, 0),
  /** The right foot goes from the throttle over to the brake. */
  RIGHT(0.25, 0),
  /** The right foot has left the throttle and waits over the brake. */
  COVER(0, 0.25),
  /** The right foot presses the brake and blips the throttle for each change down. */
  HEEL_AND_TOE(0.25, 0);

  /** Quicker than this no right foot goes from one pedal to the other. */
  private static final double LEFT_FOOT_S = 0.1;

  private final double changeS;
  private final double offBeforeS;

  Footwork(double changeS, double offBeforeS) {
    this.changeS = changeS;
    this.offBeforeS = offBeforeS;
  }

  /** The foot that a day's pedal change is of. */
  public static Footwork of(Conditions conditions) {
    return conditions.pedalChangeS() <= LEFT_FOOT_S ? LEFT : RIGHT;
  }

  /** Time from throttle to brake [s]: 0.05 left foot, 0.25 right foot (common practice). */
  public double changeS() {
    return changeS;
  }

  /** The throttle is shut so long before the brake point [s]. */
  public double offBeforeS() {
    return offBeforeS;
  }

  /** Whether both pedals can be pressed at once. */
  public boolean hasBothPedals() {
    return this == LEFT;
  }
}
