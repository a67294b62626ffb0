package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.brief.Preparation.Change;
import marvek.core.brief.Preparation.Choice;
import marvek.core.brief.Preparation.Decision;
import marvek.core.brief.Preparation.Why;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.DayKind;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Variants;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;

class PreparationTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Conditions DAMP = Conditions.DEFAULT.withSurface(Conditions.Surface.DAMP);
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
  private static final Reference MODEL = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Reference IN_THE_DAMP = Reference.on(BASIS, DAMP, List.of());
  private static final CornerPage PAGE =
      MODEL.pages().stream().filter(p -> p.brake().atM() != null).findFirst().orElseThrow();
  private static final int CORNER = PAGE.corner();
  private static final double MODEL_BRAKE = PAGE.brake().atM();
  private static final OwnValues OWN =
      OwnValues.in(CORNER).brakeAtM(MODEL_BRAKE - 8).notes("bumpy").confidence(3).build();
  private static final Reference WITH_OWN = Reference.on(BASIS, Conditions.DEFAULT, List.of(OWN));

  private static Preparation preparation(Map<Integer, Double> steps) {
    return Preparation.of(WITH_OWN, IN_THE_DAMP, List.of(OWN), steps);
  }

  private static Change brake(Preparation preparation) {
    return preparation.changes().stream()
        .filter(c -> c.corner() == CORNER && c.field() == PageField.BRAKE)
        .findFirst()
        .orElseThrow();
  }

  private static OwnValues decided(Decision... decisions) {
    return preparation(Map.of()).decided(List.of(decisions)).stream()
        .filter(o -> o.corner() == CORNER)
        .findFirst()
        .orElseThrow();
  }

  private static double shift() {
    return IN_THE_DAMP.pages().get(MODEL.pages().indexOf(PAGE)).brake().atM() - MODEL_BRAKE;
  }

  @Test
  void anOwnValueMovesAsFarAsTheModels() {
    Change change = brake(preparation(Map.of()));
    assertThat(shift()).isLessThan(-2);
    assertThat(change.why()).isEqualTo(Why.OWN_MOVED);
    assertThat(change.before()).isCloseTo(MODEL_BRAKE - 8, within(1e-9));
    assertThat(change.after()).isCloseTo(MODEL_BRAKE - 8 + shift(), within(1e-9));
  }

  @Test
  void whatTheModelHasMovedIsTheModelsAgainWhenAccepted() {
    Preparation model = Preparation.of(MODEL, IN_THE_DAMP, List.of(), Map.of());
    assertThat(model.changes()).isNotEmpty().allMatch(c -> c.why() == Why.CONDITIONS);
    assertThat(model.decided(List.of())).isEmpty();
  }

  @Test
  void acceptedAlteredAndLeftValuesBecomeTheDriversOwn() {
    OwnValues accepted = decided(new Decision(CORNER, PageField.BRAKE, Choice.ACCEPT, null));
    assertThat(accepted.brakeAtM()).isCloseTo(MODEL_BRAKE - 8 + shift(), within(1e-9));
    assertThat(accepted.notes()).isEqualTo("bumpy");
    assertThat(decided()).isEqualTo(accepted);
    OwnValues left = decided(new Decision(CORNER, PageField.BRAKE, Choice.LEAVE, null));
    assertThat(left.brakeAtM()).isCloseTo(MODEL_BRAKE - 8, within(1e-9));
    double typed = MODEL_BRAKE - 30;
    OwnValues altered = decided(new Decision(CORNER, PageField.BRAKE, Choice.ALTER, typed));
    assertThat(altered.brakeAtM()).isEqualTo(typed);
  }

  @Test
  void aPointThatIsWorkedUpToIsTakenAtItsStep() {
    double step = MODEL_BRAKE - 60;
    Change change = brake(preparation(Map.of(CORNER, step)));
    assertThat(change.why()).isEqualTo(Why.STEP);
    assertThat(change.after()).isEqualTo(step);
  }

  private static Object prepared(Reference session, DayKind day, PageField field, Object value) {
    OwnValues own = OWN.but().variants(new Variants(Map.of(day, Map.of(field, value)))).build();
    Reference base = Reference.on(BASIS, Conditions.DEFAULT, List.of(own));
    return Preparation.of(base, session, List.of(own), Map.of()).decided(List.of()).stream()
        .filter(o -> o.corner() == CORNER)
        .map(o -> o.variants().on(day).get(field))
        .findFirst()
        .orElseThrow();
  }

  /** Nine metres earlier on cold tyres stay nine metres earlier where the page goes back itself. */
  @Test
  void whatIsWrittenForTheFirstLapsGoesWithThePage() {
    double earlier =
        (Double) prepared(IN_THE_DAMP, DayKind.COLD, PageField.BRAKE, MODEL_BRAKE - 17);
    assertThat(earlier).isCloseTo(decided().brakeAtM() - 9, within(1e-9));
    double slower = PAGE.lowestSpeedMps() * 0.9;
    CornerPage then = IN_THE_DAMP.modelPages().get(MODEL.pages().indexOf(PAGE));
    double before = WITH_OWN.pages().get(MODEL.pages().indexOf(PAGE)).lowestSpeedMps();
    assertThat((Double) prepared(IN_THE_DAMP, DayKind.WORN, PageField.APEX_SPEED, slower))
        .isCloseTo(slower * then.lowestSpeedMps() / before, within(1e-9));
    assertThat(prepared(IN_THE_DAMP, DayKind.HEAVY, PageField.EXIT_KERB, Kerb.Use.NONE))
        .isEqualTo(Kerb.Use.NONE);
    int gear = PAGE.gears().corner();
    assertThat(prepared(IN_THE_DAMP, DayKind.COLD, PageField.GEAR, gear))
        .isEqualTo(then.gears().corner());
  }

  @Test
  void whatIsWrittenForSuchADayStaysAsItIsWritten() {
    assertThat(prepared(IN_THE_DAMP, DayKind.DAMP, PageField.BRAKE, MODEL_BRAKE - 50))
        .isEqualTo(MODEL_BRAKE - 50);
    assertThat(prepared(MODEL, DayKind.COLD, PageField.BRAKE, MODEL_BRAKE - 17))
        .isEqualTo(MODEL_BRAKE - 17);
  }

  /**
   * A place of the driver's own that a session leaves alone takes its other days with it: nowhere.
   */
  @Test
  void anOtherTurnInStaysBesideAnOwnTurnIn() {
    double ownM = PAGE.turnIn().atM() - 3;
    OwnValues own =
        OwnValues.in(CORNER)
            .turnInM(ownM)
            .variants(new Variants(Map.of(DayKind.COLD, Map.of(PageField.TURN_IN, ownM - 5))))
            .build();
    Reference base = Reference.on(BASIS, Conditions.DEFAULT, List.of(own));
    List<OwnValues> decided =
        Preparation.of(base, IN_THE_DAMP, List.of(own), Map.of()).decided(List.of());
    assertThat(decided.get(0).variants().on(DayKind.COLD).get(PageField.TURN_IN))
        .isEqualTo(ownM - 5);
  }

  @Test
  void theSameDayChangesNothing() {
    assertThat(Preparation.of(WITH_OWN, MODEL, List.of(OWN), Map.of()).changes()).isEmpty();
  }

  @Test
  void aDecisionOnWhatDoesNotChangeIsRefused() {
    Decision wrong = new Decision(999, PageField.GEAR, Choice.LEAVE, null);
    assertThatThrownBy(() -> preparation(Map.of()).decided(List.of(wrong)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("corner 999");
    assertThatThrownBy(() -> new Decision(1, PageField.GEAR, Choice.ALTER, null))
        .isInstanceOf(InvalidValueException.class);
  }
}
