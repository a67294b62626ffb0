package marvek.server.sessions;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.core.review.StepPlan;
import marvek.core.review.StepState;
import org.springframework.stereotype.Component;

/** The step plans of a whole book. */
@Component
class StepPlans {
  /**
   * Plans for all brake points, in the order of the lap.
   *
   * @param pages with the points that are worked towards where nothing is begun
   * @param states of those that are begun: they keep the target that they were begun with
   */
  List<StepPlan> of(
      Reference.Basis basis,
      Conditions conditions,
      List<CornerPage> pages,
      Map<Integer, StepState> states) {
    Road road = basis.path().road();
    Reference limit = Reference.on(basis, conditions.withGripUsed(1), schools(basis));
    List<StepPlan> plans = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      Double limitM = limit.modelPages().get(p).brake().atM();
      StepState state = states.get(pages.get(p).corner());
      StepPlan.of(basis.circuit(), road, basis.corners().get(p), pages.get(p), state, limitM)
          .ifPresent(plans::add);
    }
    return plans;
  }

  private static List<OwnValues> schools(Reference.Basis basis) {
    return basis.schools().entrySet().stream()
        .map(e -> OwnValues.in(e.getKey()).line(e.getValue()).build())
        .toList();
  }
}
