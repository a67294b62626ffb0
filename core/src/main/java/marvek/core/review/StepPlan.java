package marvek.core.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.corner.RunOff;
import marvek.core.page.CornerPage;

/**
 * How a brake point is approached from the safe side: from the safe mark towards the target in
 * steps of at most {@value #LONGEST_STEP_M} m or half of what remains, smaller where there is
 * little room to run off. A step only after {@value #LAPS_IN_A_ROW} laps in a row within ± {@value
 * #WITHIN_M} m that made the apex without a locked wheel; back one step after a miss; never past
 * the model's limit less a margin that grows with the hazard outside.
 *
 * @param safeM station of the safe mark
 * @param targetM station that is worked towards
 * @param limitM latest station at which the model still makes the corner, with the whole grip
 * @param marginM what the target keeps from there
 * @param heldBack whether the page's own point is later than the margin allows
 * @param stepsM stations of the steps, the safe mark first and the target last
 * @param runOffM metres to what waits outside; null where nothing is known
 */
public record StepPlan(
    int corner,
    double safeM,
    double targetM,
    double limitM,
    double marginM,
    boolean heldBack,
    List<Double> stepsM,
    Double runOffM) {
  public StepPlan {
    stepsM = List.copyOf(stepsM);
  }

  /** No step is longer. */
  public static final double LONGEST_STEP_M = 5;

  /** Laps that a step has to be made in a row. */
  public static final int LAPS_IN_A_ROW = 3;

  /** A lap counts that brakes so near to its step. */
  public static final double WITHIN_M = 4;

  /** What is left is gone in one step when it is no more than this (own assumption). */
  private static final double LAST_STEP_M = 2;

  /** Where no safe mark is known, one begins so far before the target (own assumption). */
  private static final double WITHOUT_SAFE_MARK_M = 25;

  /** Kept from the limit even with all the room in the world (own assumption). */
  private static final double LEAST_MARGIN_M = 3;

  /** A wall at the line asks for so much more; it fades with the room (own assumption). */
  private static final double WALL_MARGIN_M = 12;

  /** Room from which a hazard does not count any more (own assumption). */
  private static final double ROOM_M = 40;

  /** What slows a car gently counts half of what stops it at once (own assumption). */
  private static final double SOFT = 0.5;

  /** Share of a full step that is left where a wall stands at the line (own assumption). */
  private static final double SMALLEST_STEP_SHARE = 0.4;

  /**
   * The plan for a page, empty where nobody brakes.
   *
   * @param state how far it has come: it keeps its own safe mark and target; null where nothing is
   *     begun, and the page's hold
   * @param limitM the model's own brake point in the same conditions with the whole grip; null
   *     where it needs none then
   */
  public static Optional<StepPlan> of(
      Circuit circuit, Road road, Corner corner, CornerPage page, StepState state, Double limitM) {
    if (page.brake().atM() == null) {
      return Optional.empty();
    }
    double wanted = state == null ? page.brake().atM() : state.targetM();
    Optional<Hazard> hazard = RunOff.outside(circuit, road, corner);
    double danger = hazard.map(StepPlan::danger).orElse(0.0);
    double margin = LEAST_MARGIN_M + WALL_MARGIN_M * danger;
    double limit = limitM == null ? wanted + margin : limitM;
    boolean heldBack = road.offsetBetween(wanted, limit) < margin;
    double target = heldBack ? road.wrapStation(limit - margin) : wanted;
    double safe = safeM(road, page, state, target);
    return Optional.of(
        new StepPlan(
            page.corner(),
            safe,
            target,
            road.wrapStation(limit),
            margin,
            heldBack,
            steps(road, safe, target, danger),
            hazard.map(Hazard::distanceM).orElse(null)));
  }

  private static double safeM(Road road, CornerPage page, StepState state, double target) {
    Double marked = page.brake().safe() == null ? null : page.brake().safe().pointM();
    Double safe = state == null ? marked : Double.valueOf(state.safeM());
    boolean before = safe != null && road.offsetBetween(safe, target) > 0;
    return before ? safe : road.wrapStation(target - WITHOUT_SAFE_MARK_M);
  }

  /** How much a hazard counts: 1 for a wall at the line, 0 with all the room. */
  private static double danger(Hazard hazard) {
    double near = Math.max(0, 1 - hazard.distanceM() / ROOM_M);
    return near
        * switch (hazard.type()) {
          case WALL, TYRE_WALL, NO_RUN_OFF, POLE -> 1;
          case GRAVEL, GRASS -> SOFT;
        };
  }

  private static List<Double> steps(Road road, double safe, double target, double danger) {
    double longest = LONGEST_STEP_M * (1 - (1 - SMALLEST_STEP_SHARE) * danger);
    List<Double> steps = new ArrayList<>();
    double remaining = road.offsetBetween(safe, target);
    while (remaining > 0) {
      steps.add(road.wrapStation(target - remaining));
      double step = Math.min(longest, remaining / 2);
      remaining = remaining <= LAST_STEP_M ? 0 : remaining - step;
    }
    steps.add(target);
    return steps;
  }

  /** How far a point moves towards another in one step: no longer, and no more than half. */
  public static double stepTowards(double metresToGo) {
    return Math.signum(metresToGo) * Math.min(LONGEST_STEP_M, Math.abs(metresToGo) / 2);
  }

  /** Index of the step that a station stands for: the latest one that is not past it. */
  public int stepAt(Road road, double stationM) {
    int step = 0;
    for (int s = 0; s < stepsM.size(); s++) {
      if (road.offsetBetween(stepsM.get(s), stationM) > -0.01) {
        step = s;
      }
    }
    return step;
  }
}
