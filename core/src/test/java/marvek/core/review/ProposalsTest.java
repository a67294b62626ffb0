package marvek.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.cause.Cause;
import marvek.core.cause.CornerAccount;
import marvek.core.cause.Finding;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Slowest;
import marvek.core.laps.CornerReading.Throttle;
import marvek.core.laps.CornerReading.Way;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Stakes;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.review.Proposal.Kind;
import org.junit.jupiter.api.Test;

/** What laps propose, on readings that are the page's but for what a test changes. */
class ProposalsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final List<Stakes> STAKES = ModelReference.on(BASIS, Conditions.DEFAULT).stakes();
  private static final int P = firstBraked();
  private static final CornerPage PAGE = BOOK.pages().get(P);
  private static final double AT = PAGE.brake().atM();

  private static int firstBraked() {
    int p = 0;
    while (BOOK.pages().get(p).brake().atM() == null
        || BOOK.pages().get(p).throttle().firstM() == null) {
      p++;
    }
    return p;
  }

  /** The page as a reader would have it. */
  private static CornerReading written(CornerPage page) {
    Double at = page.brake().atM();
    return new CornerReading(
        page.corner(),
        new Braking(at == null ? null : at + 12, 80.0, 30.0, at == null ? null : at + 90, false),
        new Slowest(page.lowestSpeedMps(), page.lowestSpeedAtM(), page.gears().corner()),
        new Throttle(page.throttle().firstM(), page.throttle().fullM(), 1, 0.0, 0.0, 1),
        new Way(page.turnIn().atM(), 1.2, page.apexes().get(0).atM(), 1.5),
        CornerReading.Wheel.UNKNOWN,
        CornerReading.Feet.UNKNOWN,
        40.0,
        page.exit().speedMps(),
        page.timeS());
  }

  private static final List<CornerReading> WRITTEN =
      BOOK.pages().stream().map(ProposalsTest::written).toList();

  private static CornerReading braked(CornerReading r, double laterM, boolean locked) {
    Braking b = r.braking();
    return with(
        r,
        new Braking(b.onM() + laterM, b.peakPct(), b.atTurnInPct(), b.releaseM(), locked),
        r.slowest(),
        r.throttle(),
        r.way());
  }

  private static CornerReading with(
      CornerReading r, Braking braking, Slowest slowest, Throttle throttle, Way way) {
    return new CornerReading(
        r.corner(),
        braking,
        slowest,
        throttle,
        way,
        r.wheel(),
        r.feet(),
        r.entryMps(),
        r.exitMps(),
        r.timeS());
  }

  private static LapOfSession lap(int number, double lostS, UnaryOperator<CornerReading> change) {
    List<CornerReading> corners = new ArrayList<>(WRITTEN);
    corners.set(P, change.apply(WRITTEN.get(P)));
    List<CornerAccount> accounts = new ArrayList<>();
    for (int p = 0; p < WRITTEN.size(); p++) {
      double lost = p == P ? lostS : 0;
      accounts.add(new CornerAccount(WRITTEN.get(p).corner(), 0, 0, 0, 0, 0, lost, 0, List.of()));
    }
    return new LapOfSession("Practice", number, corners, accounts);
  }

  private static List<LapOfSession> braking(double... laterM) {
    List<LapOfSession> laps = new ArrayList<>();
    for (double later : laterM) {
      laps.add(lap(laps.size() + 2, 0, r -> braked(r, later, false)));
    }
    return laps;
  }

  private static List<Proposal> proposals(List<LapOfSession> laps, List<Finding> findings) {
    Map<Integer, StepPlan> plans = new TreeMap<>();
    for (int p = 0; p < BOOK.pages().size(); p++) {
      Double at = BOOK.pages().get(p).brake().atM();
      Double limit = at == null ? null : Double.valueOf(at + 10);
      StepPlan.of(VARIED, ROAD, BOOK.corners().get(p), BOOK.pages().get(p), null, limit)
          .ifPresent(plan -> plans.put(plan.corner(), plan));
    }
    return Proposals.of(
        new Proposals.Case(
            BASIS, Conditions.DEFAULT, BOOK, List.of(), WRITTEN, STAKES, laps, findings, plans));
  }

  private static Optional<Proposal> here(List<LapOfSession> laps, Kind kind) {
    return proposals(laps, List.of()).stream()
        .filter(p -> p.corner() == PAGE.corner() && p.kind() == kind)
        .findFirst();
  }

  /** The rule of the step plan: at most 5 m, or half of what remains. */
  @Test
  void aMarkGoesOneStepBeyondWhereTheLapsBraked() {
    Proposal far = here(braking(-20, -21, -19), Kind.MARKER_EARLIER).orElseThrow();
    assertThat(far.before()).isEqualTo(AT);
    assertThat(far.after()).isCloseTo(AT - 20 + 5, within(1e-6));
    assertThat(far.gainS()).isCloseTo(STAKES.get(P).brake5mEarlyS(), within(1e-9));
    assertThat(far.pageS()).isPositive();
    Proposal near = here(braking(-6, -6, -6), Kind.MARKER_EARLIER).orElseThrow();
    assertThat(near.after()).isCloseTo(AT - 3, within(1e-6));
  }

  @Test
  void aMarkGoesOneStepTowardsLaterLapsButNeverPastItsLimitLessTheMargin() {
    Proposal later = here(braking(8, 8, 8), Kind.MARKER_LATER).orElseThrow();
    assertThat(later.after()).isCloseTo(AT + 4, within(1e-6));
    // The limit is 10 m behind the mark here and keeps 3 m at least: no more than 7 m on.
    Proposal far = here(braking(30, 30, 30), Kind.MARKER_LATER).orElseThrow();
    assertThat(far.after()).isLessThanOrEqualTo(AT + 7);
  }

  @Test
  void onlyLapsInARowThatLieTogetherAndMadeTheCornerCount() {
    assertThat(here(braking(-20, -10, -20, -11), Kind.MARKER_EARLIER)).isEmpty();
    assertThat(here(braking(-20, -20), Kind.MARKER_EARLIER)).isEmpty();
    List<LapOfSession> locked = new ArrayList<>(braking(-20, -20));
    locked.add(lap(4, 0, r -> braked(r, -20, true)));
    assertThat(here(locked, Kind.MARKER_EARLIER)).isEmpty();
    Proposal last = here(braking(0, -20, -20, -20), Kind.MARKER_EARLIER).orElseThrow();
    assertThat(last.laps()).containsExactly("Practice, laps 3 to 5");
    assertThat(last.count()).isEqualTo(3);
  }

  @Test
  void anEarlierThrottleThatCostsNothingIsWrittenDown() {
    UnaryOperator<CornerReading> early =
        r ->
            with(
                r,
                r.braking(),
                r.slowest(),
                new Throttle(r.throttle().firstM() - 9, r.throttle().fullM(), 1, 0.0, 0.0, 1),
                r.way());
    List<LapOfSession> laps = List.of(lap(2, 0, early), lap(3, 0, early), lap(4, 0, early));
    Proposal throttle = here(laps, Kind.THROTTLE).orElseThrow();
    assertThat(throttle.field()).isEqualTo(PageField.THROTTLE_FIRST);
    assertThat(throttle.after()).isCloseTo(PAGE.throttle().firstM() - 9, within(1e-6));
    List<LapOfSession> slow = List.of(lap(2, 0.2, early), lap(3, 0.2, early), lap(4, 0.2, early));
    assertThat(here(slow, Kind.THROTTLE)).isEmpty();
  }

  /** What laps say they lost nothing by and the model that it is dear is something else. */
  @Test
  void whatTheModelContradictsIsNotProposed() {
    Braking written = WRITTEN.get(P).braking();
    UnaryOperator<CornerReading> far =
        r -> with(r, pressedAtTurnIn(written, -28), r.slowest(), r.throttle(), r.way());
    assertThat(here(List.of(lap(2, 0, far), lap(3, 0, far), lap(4, 0, far)), Kind.SHAPE)).isEmpty();
  }

  @Test
  void anotherPressureAtTheTurnInThatCostsNothingIsWrittenDown() {
    assertThat(PAGE.trailBrake()).isNotNull();
    double page = PAGE.trailBrake().atTurnInPct();
    Braking written = WRITTEN.get(P).braking();
    UnaryOperator<CornerReading> lighter =
        r -> with(r, pressedAtTurnIn(written, -12.5), r.slowest(), r.throttle(), r.way());
    Proposal shape =
        here(List.of(lap(2, 0, lighter), lap(3, 0, lighter), lap(4, 0, lighter)), Kind.SHAPE)
            .orElseThrow();
    assertThat(shape.field()).isEqualTo(PageField.TURN_IN_PRESSURE);
    assertThat(shape.after()).isEqualTo(Math.round(page - 12.5));
    UnaryOperator<CornerReading> alike =
        r -> with(r, pressedAtTurnIn(written, -9), r.slowest(), r.throttle(), r.way());
    assertThat(here(List.of(lap(2, 0, alike), lap(3, 0, alike), lap(4, 0, alike)), Kind.SHAPE))
        .isEmpty();
    assertThat(
            here(
                List.of(lap(2, 0.2, lighter), lap(3, 0.2, lighter), lap(4, 0.2, lighter)),
                Kind.SHAPE))
        .isEmpty();
  }

  private static Braking pressedAtTurnIn(Braking b, double morePct) {
    return new Braking(b.onM(), b.peakPct(), b.atTurnInPct() + morePct, b.releaseM(), b.locked());
  }

  /**
   * A lap that slid in or went wide after an early apex has not made its step, whatever its line.
   */
  @Test
  void whatAnAccountSaysOfTooMuchIsNotMade() {
    for (Cause cause : List.of(Cause.SLID_IN, Cause.EARLY_APEX, Cause.HELD_TOO_LONG)) {
      assertThat(lapWith(cause, 0.2).made(P, WRITTEN.get(P))).as("%s", cause).isFalse();
      assertThat(lapWith(cause, 0.03).made(P, WRITTEN.get(P))).as("little %s", cause).isTrue();
    }
    assertThat(lapWith(Cause.LATE_THROTTLE, 0.4).made(P, WRITTEN.get(P))).isTrue();
  }

  private static LapOfSession lapWith(Cause cause, double seconds) {
    List<CornerAccount> accounts = new ArrayList<>(lap(2, 0, r -> r).accounts());
    List<CornerAccount.Part> parts = List.of(new CornerAccount.Part(cause, seconds, 20, 100));
    accounts.set(P, new CornerAccount(1, 0, 0, 0, 0, 0, seconds, 0, parts));
    return new LapOfSession("Practice", 2, WRITTEN, accounts);
  }

  private static Finding habit(int corner, Cause cause, double costS) {
    return new Finding(corner, cause, null, 100, 10, List.of(0, 1, 2), 3, costS, 0.01, 0.1, 0.2, 0);
  }

  /** The dearest of each corner, but of none where a point moves; nothing that is not worth it. */
  @Test
  void whereNoPointMovesThePageIsToBeDriven() {
    List<Finding> findings =
        List.of(
            habit(4, Cause.OVER_SLOWED, 0.2),
            habit(4, Cause.LATE_THROTTLE, 0.4),
            habit(2, Cause.BRAKED_EARLY, 0.3),
            habit(1, Cause.COASTED, 0.02));
    Proposal moves =
        new Proposal(2, Kind.MARKER_EARLIER, PageField.BRAKE, 1.0, 2.0, 3, List.of(), null, null);
    Proposal sure = new Proposal(4, Kind.PROVEN, null, 1.0, 5.0, 3, List.of(), null, null);
    assertThat(Proposals.driveAsWritten(findings, List.of(moves, sure)))
        .extracting(Finding::corner, Finding::cause)
        .containsExactly(org.assertj.core.groups.Tuple.tuple(4, Cause.LATE_THROTTLE));
  }

  @Test
  void moreSpeedThanThePageIsWrittenDownIfItWasNotLostElsewhere() {
    UnaryOperator<CornerReading> fast =
        r ->
            with(
                r,
                r.braking(),
                new Slowest(r.slowest().speedMps() + 1, r.slowest().atM(), r.slowest().gear()),
                r.throttle(),
                r.way());
    List<LapOfSession> laps = List.of(lap(2, -0.1, fast), lap(3, -0.1, fast), lap(4, -0.1, fast));
    assertThat(here(laps, Kind.APEX_SPEED).orElseThrow().after())
        .isCloseTo(PAGE.lowestSpeedMps() + 1, within(1e-6));
  }

  @Test
  void aPageThatIsDrivenAsWrittenIsProvenAndAMissedOneLessSure() {
    assertThat(here(braking(0, 1, -1), Kind.PROVEN).orElseThrow().after()).isEqualTo(5);
    UnaryOperator<CornerReading> wide =
        r ->
            with(
                r,
                r.braking(),
                r.slowest(),
                r.throttle(),
                new Way(r.way().turnInM(), 1.2, r.way().insideAtM(), 0.2));
    List<LapOfSession> laps = List.of(lap(2, 0, wide), lap(3, 0, wide), lap(4, 0, r -> r));
    Proposal less = here(laps, Kind.CONFIDENCE_DOWN).orElseThrow();
    assertThat(less.after()).isEqualTo(2);
    assertThat(less.laps()).containsExactly("Practice, laps 2, 3");
  }

  @Test
  void whatIsAcceptedWasMeasuredAndWhatIsAlteredIsTheDrivers() {
    Proposal proposal = here(braking(-20, -20, -20), Kind.MARKER_EARLIER).orElseThrow();
    OwnValues taken =
        Proposals.decided(List.of(), List.of(new Proposals.Accepted(proposal, null))).get(0);
    assertThat(taken.brakeAtM()).isCloseTo(AT - 15, within(1e-6));
    assertThat(taken.sourceOf("brake.at_m")).isEqualTo(CornerPage.Source.MEASURED);
    assertThat(taken.measured().get("brake.at_m")).containsExactly("Practice, laps 2 to 4");
    assertThat(taken.sourceOf("throttle.first_m")).isEqualTo(CornerPage.Source.DRIVER);
    OwnValues altered =
        Proposals.decided(List.of(taken), List.of(new Proposals.Accepted(proposal, AT - 11)))
            .get(0);
    assertThat(altered.brakeAtM()).isEqualTo(AT - 11);
    assertThat(altered.sourceOf("brake.at_m")).isEqualTo(CornerPage.Source.DRIVER);
  }

  private static StepPlan plan(StepState state) {
    return StepPlan.of(VARIED, ROAD, BOOK.corners().get(P), PAGE, state, AT + 20).orElseThrow();
  }

  private static StepJudgement.Outcome judged(StepState before, List<LapOfSession> laps) {
    return StepJudgement.of(ROAD, plan(before), before, P, PAGE, WRITTEN.get(P), laps);
  }

  /** Three laps in a row within 4 m move a plan on, a lap that was not made moves it back. */
  @Test
  void lapsMoveAStepPlanByItsRule() {
    StepState begun = StepState.begin(plan(null), Conditions.Surface.DRY);
    double step = plan(begun).stepsM().get(0);
    double at = ROAD.offsetBetween(AT, step);
    StepJudgement.Outcome on = judged(begun, braking(at, at + 3, at - 3));
    assertThat(on.made()).isEqualTo(3);
    assertThat(on.after().stepIn(plan(begun), ROAD)).isEqualTo(1);
    StepJudgement.Outcome elsewhere = judged(begun, braking(at + 9, at - 9));
    assertThat(elsewhere.after()).isEqualTo(begun);
    double second = ROAD.offsetBetween(AT, plan(begun).stepsM().get(1));
    List<LapOfSession> locked = List.of(lap(2, 0, r -> braked(r, second, true)));
    StepJudgement.Outcome back = judged(on.after(), locked);
    assertThat(back.missed()).isEqualTo(1);
    assertThat(back.after().stepIn(plan(begun), ROAD)).isZero();
  }
}
