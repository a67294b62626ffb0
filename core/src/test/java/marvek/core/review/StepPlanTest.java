package marvek.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.corner.Corner;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;

/** The rule of the step plan is common practice: from the safe side, in small steps, over laps. */
class StepPlanTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Conditions CLUB = Conditions.DEFAULT.withGripUsed(0.85);
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), CLUB, ChosenLine.SMOOTH);
  private static final Road ROAD = BASIS.path().road();
  private static final List<CornerPage> PAGES = Reference.on(BASIS, CLUB, List.of()).pages();
  private static final List<CornerPage> LIMIT =
      Reference.on(BASIS, CLUB.withGripUsed(1), List.of()).pages();

  private static int firstWithBrakes() {
    for (int p = 0; p < PAGES.size(); p++) {
      if (PAGES.get(p).brake().atM() != null && LIMIT.get(p).brake().atM() != null) {
        return p;
      }
    }
    throw new AssertionError("no corner with brakes");
  }

  private static StepPlan plan(Circuit circuit, int p) {
    Corner corner = BASIS.corners().get(p);
    Double limit = LIMIT.get(p).brake().atM();
    return StepPlan.of(circuit, ROAD, corner, PAGES.get(p), null, limit).orElseThrow();
  }

  private static Circuit withHazard(Hazard.Type type, double distanceM, int p) {
    Corner corner = BASIS.corners().get(p);
    Side outside = corner.direction() == Side.LEFT ? Side.RIGHT : Side.LEFT;
    Hazard hazard = new Hazard(type, outside, corner.fromM(), corner.toM(), distanceM, "");
    return new Circuit(
        VARIED.name(),
        "",
        1,
        null,
        "UTC",
        VARIED.trackLimits(),
        null,
        VARIED.survey(),
        VARIED.smoothing(),
        List.of(),
        List.of(),
        List.of(),
        List.of(hazard),
        List.of());
  }

  @Test
  void noStepIsLongerThanFiveMetresOrHalfOfWhatRemains() {
    StepPlan plan = plan(VARIED, firstWithBrakes());
    List<Double> steps = plan.stepsM();
    assertThat(steps).hasSizeGreaterThan(3);
    assertThat(steps.get(0)).isCloseTo(plan.safeM(), within(1e-6));
    assertThat(steps.get(steps.size() - 1)).isEqualTo(plan.targetM());
    for (int s = 1; s < steps.size(); s++) {
      double step = ROAD.offsetBetween(steps.get(s - 1), steps.get(s));
      double remained = ROAD.offsetBetween(steps.get(s - 1), plan.targetM());
      assertThat(step).isPositive().isLessThanOrEqualTo(5 + 1e-9);
      assertThat(step).isLessThanOrEqualTo(Math.max(2, remained / 2) + 1e-9);
    }
  }

  @Test
  void theTargetKeepsItsMarginAndItGrowsWithTheHazard() {
    int p = firstWithBrakes();
    StepPlan open = plan(VARIED, p);
    StepPlan gravel = plan(withHazard(Hazard.Type.GRAVEL, 8, p), p);
    StepPlan wall = plan(withHazard(Hazard.Type.WALL, 3, p), p);
    assertThat(open.marginM()).isLessThan(gravel.marginM());
    assertThat(gravel.marginM()).isLessThan(wall.marginM());
    for (StepPlan plan : List.of(open, gravel, wall)) {
      assertThat(ROAD.offsetBetween(plan.targetM(), plan.limitM()))
          .isGreaterThanOrEqualTo(plan.marginM() - 1e-6);
    }
    assertThat(wall.stepsM()).hasSizeGreaterThan(open.stepsM().size());
  }

  @Test
  void threeLapsInARowMakeAStepAndAMissTakesOneBack() {
    StepPlan plan = plan(VARIED, firstWithBrakes());
    StepState state = StepState.begin(plan, Surface.DRY);
    state = state.made(plan, ROAD).made(plan, ROAD);
    assertThat(state.stepIn(plan, ROAD)).isZero();
    assertThat(state.inARow()).isEqualTo(2);
    state = state.made(plan, ROAD);
    assertThat(state.stepIn(plan, ROAD)).isEqualTo(1);
    assertThat(state.inARow()).isZero();
    state = state.made(plan, ROAD).missed(plan, ROAD);
    assertThat(state.stepIn(plan, ROAD)).isZero();
    assertThat(state.misses()).isEqualTo(1);
    assertThat(state.inARow()).isZero();
  }

  @Test
  void theTargetIsProvenAfterItsOwnThreeLapsAndALaterOneIsNot() {
    int p = firstWithBrakes();
    StepPlan plan = plan(VARIED, p);
    StepState state = StepState.begin(plan, Surface.DRY);
    for (int lap = 0; lap < 3 * plan.stepsM().size(); lap++) {
      assertThat(state.provenIn(plan, ROAD)).isFalse();
      state = state.made(plan, ROAD);
    }
    assertThat(state.provenIn(plan, ROAD)).isTrue();
    StepPlan later =
        new StepPlan(
            plan.corner(),
            plan.safeM(),
            plan.targetM() + 6,
            plan.limitM() + 6,
            plan.marginM(),
            false,
            List.of(plan.safeM(), plan.targetM() + 6),
            null);
    assertThat(state.provenIn(later, ROAD)).isFalse();
  }
}
