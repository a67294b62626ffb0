package marvek.server.sessions;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.reference.ModelReference;
import marvek.core.review.StepPlan;
import marvek.core.review.StepState;
import marvek.core.say.Sentence;
import marvek.server.books.Books;
import marvek.server.contract.InFormat;
import marvek.server.editions.Edition;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The step plans of a revision with how far each has come. */
@Service
public class StepBoard {
  /** A driver who says this of a page does not need a plan for it. */
  private static final int SURE = 5;

  private final Steps steps;
  private final StepPlans plans;
  private final Books books;

  StepBoard(Steps steps, StepPlans plans, Books books) {
    this.steps = steps;
    this.plans = plans;
    this.books = books;
  }

  /**
   * A plan as a client sees it.
   *
   * @param begun whether it is being worked on
   * @param sure whether the driver calls the page known
   * @param step index of the present step
   * @param now_m station of it
   * @param now the same through a mark
   * @param edition of what is kept of it
   */
  record StepView(
      long edition,
      int corner,
      String name,
      double safe_m,
      double target_m,
      double limit_m,
      double margin_m,
      boolean heldBack,
      List<Double> steps_m,
      Double runOff_m,
      boolean begun,
      boolean proven,
      boolean sure,
      int step,
      int inARow,
      int misses,
      double now_m,
      @InFormat("mark") @Nullable MarkReference now,
      @InFormat("mark") @Nullable MarkReference target) {}

  /** What a driver says of a lap. */
  enum Word {
    /** Begins at the safe mark. */
    BEGIN,
    /** The lap made the step. */
    MADE,
    /** The lap did not. */
    MISSED,
    /** The plan is given up. */
    FORGET
  }

  List<StepView> of(UUID bookId, int revision) {
    return of(bookId, books.recompute(bookId, revision));
  }

  List<StepView> of(UUID bookId, Books.Computed computed) {
    Surface surface = computed.conditions().surface();
    Map<Integer, Steps.Kept> kept = steps.keptOn(bookId, surface);
    MarkChooser marks =
        ModelReference.marks(
            computed.basis(), computed.conditions(), computed.reference().modelLap());
    return plansOf(computed, statesOf(kept)).stream()
        .map(plan -> view(computed, plan, keptOf(kept, plan.corner()), marks))
        .toList();
  }

  private static Map<Integer, StepState> statesOf(Map<Integer, Steps.Kept> kept) {
    return kept.entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().state()));
  }

  private static Steps.Kept keptOf(Map<Integer, Steps.Kept> kept, int corner) {
    return kept.getOrDefault(corner, Steps.Kept.NONE);
  }

  /**
   * Notes a lap of a corner and answers with the whole board.
   *
   * @param seen the edition of that corner's state: the same lap told twice counts once
   */
  List<StepView> note(UUID bookId, int revision, int corner, Word word, Edition seen) {
    Books.Computed computed = books.recompute(bookId, revision);
    Surface surface = computed.conditions().surface();
    Map<Integer, StepState> states = steps.on(bookId, surface);
    StepPlan plan =
        plansOf(computed, states).stream()
            .filter(p -> p.corner() == corner)
            .findFirst()
            .orElseThrow(
                () ->
                    new InvalidValueException(
                        "corner", Sentence.of("refused.no-brake-point", "given", corner)));
    Road road = computed.basis().path().road();
    StepState before =
        states.containsKey(corner) ? states.get(corner) : StepState.begin(plan, surface);
    switch (word) {
      case BEGIN -> steps.keep(bookId, StepState.begin(plan, surface), seen);
      case MADE -> steps.keep(bookId, before.made(plan, road), seen);
      case MISSED -> steps.keep(bookId, before.missed(plan, road), seen);
      case FORGET -> steps.forget(bookId, corner, surface, seen);
    }
    return of(bookId, computed);
  }

  /** The plans of a revision's brake points, in the order of the lap. */
  public List<StepPlan> plans(UUID bookId, Books.Computed computed) {
    return plansOf(computed, states(bookId, computed));
  }

  /** How far those are that are begun on the revision's surface, by corner. */
  public Map<Integer, StepState> states(UUID bookId, Books.Computed computed) {
    return steps.on(bookId, computed.conditions().surface());
  }

  /** Keeps how far a plan has come. */
  public void keep(UUID bookId, StepState state) {
    steps.keep(bookId, state);
  }

  private List<StepPlan> plansOf(Books.Computed computed, Map<Integer, StepState> states) {
    return plans.of(computed.basis(), computed.conditions(), computed.reference().pages(), states);
  }

  private static StepView view(
      Books.Computed computed, StepPlan plan, Steps.Kept kept, MarkChooser marks) {
    StepState state = kept.state();
    Road road = computed.basis().path().road();
    CornerPage page =
        computed.reference().pages().stream()
            .filter(p -> p.corner() == plan.corner())
            .findFirst()
            .orElseThrow();
    int step = state == null ? 0 : state.stepIn(plan, road);
    boolean proven = state != null && state.provenIn(plan, road);
    double now = plan.stepsM().get(step);
    Side outside = page.direction() == Side.LEFT ? Side.RIGHT : Side.LEFT;
    return new StepView(
        kept.edition(),
        plan.corner(),
        page.name(),
        plan.safeM(),
        plan.targetM(),
        plan.limitM(),
        plan.marginM(),
        plan.heldBack(),
        plan.stepsM(),
        plan.runOffM(),
        state != null,
        proven,
        page.confidence() != null && page.confidence() >= SURE,
        step,
        state == null ? 0 : state.inARow(),
        state == null ? 0 : state.misses(),
        now,
        marks.target(now, outside).orElse(null),
        marks.target(plan.targetM(), outside).orElse(null));
  }
}
