package marvek.core.brief;

import marvek.core.conditions.Conditions;

/**
 * What a session is for, and what that does to how the car is driven. The figures are own
 * assumptions that follow common practice: qualifying with every centimetre against a race margin,
 * half a tenth to a tenth given up in a corner to save tyres.
 */
public enum Purpose {
  /** As the book is. */
  PRACTICE,
  /** All the road, no margin, a little more of the grip. */
  QUALIFYING,
  /** Room to the white lines and a little grip in hand, lap after lap. */
  RACE,
  /** Less of the grip, where it costs least. */
  SAVE_TYRES,
  /** Cold tyres, others beside, more room. */
  FIRST_LAP,
  /** Inside on the way in. */
  DEFEND,
  /** Inside on the way in with everything that the tyres have. */
  ATTACK,
  /** Close behind another car: less air over the wing. */
  FOLLOW;

  /** Shares of the grip between a lap that counts alone and one among others (own assumptions). */
  private static final double QUALIFYING_MORE_GRIP = 0.02;

  private static final double RACE_LESS_GRIP = 0.02;
  private static final double FIRST_LAP_LESS_GRIP = 0.03;

  /** Grip left unused to save tyres; the middle of 2 to 8 %. */
  public static final double SAVING_LESS_GRIP = 0.04;

  /** Room left to the edges so that a mistake stays on the road (own assumptions). */
  private static final double RACE_MARGIN_M = 0.35;

  private static final double FIRST_LAP_MARGIN_M = 0.6;

  /**
   * Downforce left close behind another car. Own assumption; it is said that a quarter to a half is
   * lost within a few car lengths.
   */
  private static final double AIR_BEHIND = 0.75;

  /** Least share that {@link Conditions} take. */
  private static final double LEAST_GRIP = 0.3;

  /** The conditions of a session with this purpose. */
  public Conditions of(Conditions base) {
    double used = base.gripUsed();
    return switch (this) {
      case PRACTICE, DEFEND -> base;
      case QUALIFYING ->
          base.but().marginM(0).gripUsed(Math.min(1, used + QUALIFYING_MORE_GRIP)).build();
      case RACE -> base.but().marginM(RACE_MARGIN_M).gripUsed(less(used, RACE_LESS_GRIP)).build();
      case SAVE_TYRES -> base.withGripUsed(less(used, SAVING_LESS_GRIP));
      case FIRST_LAP ->
          base.but()
              .tyres(Conditions.TyreState.COLD)
              .coldLap(1)
              .marginM(FIRST_LAP_MARGIN_M)
              .gripUsed(less(used, FIRST_LAP_LESS_GRIP))
              .build();
      case ATTACK -> base.withGripUsed(1);
      case FOLLOW -> base.but().airShare(AIR_BEHIND).build();
    };
  }

  /** Whether it is another line through single corners and not another lap. */
  public boolean isInside() {
    return this == DEFEND || this == ATTACK;
  }

  private static double less(double used, double by) {
    return Math.max(LEAST_GRIP, used - by);
  }
}
