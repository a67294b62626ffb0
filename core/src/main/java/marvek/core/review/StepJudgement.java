package marvek.core.review;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading;
import marvek.core.page.CornerPage;

/**
 * Moves a step plan on or back by the laps that were driven: a lap that braked at the step and made
 * the corner counts for it, a lap that braked there and did not is a miss, any other says nothing.
 */
public final class StepJudgement {
  private StepJudgement() {}

  /**
   * What laps make of a plan.
   *
   * @param after the state behind the last lap
   * @param made laps that made the step of their time
   * @param missed laps that did not
   */
  public record Outcome(StepState before, StepState after, int made, int missed) {}

  /**
   * Judges laps in the order they were driven.
   *
   * @param p index of the corner among the pages
   * @param page its page
   * @param written the page's own lap there, read as the laps are
   */
  public static Outcome of(
      Road road,
      StepPlan plan,
      StepState before,
      int p,
      CornerPage page,
      CornerReading written,
      List<LapOfSession> laps) {
    StepState now = before;
    int made = 0;
    int missed = 0;
    for (LapOfSession lap : laps) {
      Double acted = actedM(road, page, written, lap.corners().get(p));
      if (acted == null) {
        continue;
      }
      double step = plan.stepsM().get(now.stepIn(plan, road));
      if (Math.abs(road.offsetBetween(step, acted)) > StepPlan.WITHIN_M) {
        continue;
      }
      if (lap.made(p, written)) {
        now = now.made(plan, road);
        made++;
      } else {
        now = now.missed(plan, road);
        missed++;
      }
    }
    return new Outcome(before, now, made, missed);
  }

  /** Where the driver acted: as far from the page's point as the pressure was from its own. */
  private static Double actedM(
      Road road, CornerPage page, CornerReading written, CornerReading lap) {
    if (page.brake().atM() == null
        || written.braking().onM() == null
        || lap.braking().onM() == null) {
      return null;
    }
    double later =
        road.offsetBetween(
            road.wrapStation(written.braking().onM()), road.wrapStation(lap.braking().onM()));
    return road.wrapStation(page.brake().atM() + later);
  }
}
