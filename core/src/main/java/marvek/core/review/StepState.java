package marvek.core.review;

import marvek.core.Require;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions.Surface;

/**
 * How far a driver has come with a brake point on a surface. Stations, not numbers of steps, so
 * that it outlives a change of the plan.
 *
 * @param atM station of the present step; null while the safe mark is the one
 * @param safeM station of the safe mark that it was begun from
 * @param targetM station that is worked towards
 * @param inARow laps in a row that made the present step
 * @param misses so far
 * @param proven whether the target was made as often as a step has to be
 */
public record StepState(
    int corner,
    Surface surface,
    Double atM,
    double safeM,
    double targetM,
    int inARow,
    int misses,
    boolean proven) {
  public StepState {
    Require.within("steps.corner", corner, 1, 1000);
    Require.present("steps.surface", surface);
    if (atM != null) {
      Require.notNegative("steps.at_m", atM);
    }
    Require.notNegative("steps.safe_m", safeM);
    Require.notNegative("steps.target_m", targetM);
    Require.within("steps.inARow", inARow, 0, StepPlan.LAPS_IN_A_ROW);
    Require.within("steps.misses", misses, 0, 10_000);
  }

  /** Nothing driven yet. */
  public static StepState begin(StepPlan plan, Surface surface) {
    return new StepState(plan.corner(), surface, null, plan.safeM(), plan.targetM(), 0, 0, false);
  }

  /** Index of the present step in a plan. */
  public int stepIn(StepPlan plan, Road road) {
    return atM == null ? 0 : plan.stepAt(road, atM);
  }

  /** Whether the target of a plan is proven; a later target than then is not. */
  public boolean provenIn(StepPlan plan, Road road) {
    return proven && atM != null && road.offsetBetween(atM, plan.targetM()) < 1;
  }

  /** After a lap within the step's metres that made the apex without a locked wheel. */
  public StepState made(StepPlan plan, Road road) {
    int step = stepIn(plan, road);
    boolean last = step == plan.stepsM().size() - 1;
    if (inARow + 1 < StepPlan.LAPS_IN_A_ROW) {
      return at(plan.stepsM().get(step), inARow + 1, misses, false);
    }
    return last
        ? at(plan.targetM(), StepPlan.LAPS_IN_A_ROW, misses, true)
        : at(plan.stepsM().get(step + 1), 0, misses, false);
  }

  /** After a lap that missed: one step back, and three laps again. */
  public StepState missed(StepPlan plan, Road road) {
    int step = Math.max(0, stepIn(plan, road) - 1);
    return at(plan.stepsM().get(step), 0, misses + 1, false);
  }

  private StepState at(double stationM, int row, int missed, boolean done) {
    return new StepState(corner, surface, stationM, safeM, targetM, row, missed, done);
  }
}
