package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.UnaryOperator;
import marvek.core.TestBooks;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.GearChange;
import marvek.core.page.GearChanges;
import marvek.core.page.Knot;
import marvek.core.page.Lift;
import marvek.core.page.OwnValues;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.reference.Reference;
import marvek.core.rehearse.Act;
import marvek.core.rehearse.Question;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Pedals and gears of one's own in the short form, the calls, the run-through and the questions.
 */
class OwnShapesSaidTest {
  private static final CornerPage MODEL = TestBooks.VARIED.pages().get(1);
  private static final double ON_M = MODEL.brake().atM();
  private static final double OFF_M = MODEL.trailBrake().releaseM();

  private static final PedalWork.Presses DAB_AND_BRAKE =
      new PedalWork.Presses(
          List.of(
              new Press(ON_M - 40, 15, List.of(), ON_M - 20),
              new Press(ON_M, 60, List.of(new Knot((ON_M + OFF_M) / 2, 30)), OFF_M)));

  private static final PedalWork.Phases HELD =
      new PedalWork.Phases(
          List.of(
              new Phase(Phase.Kind.HOLD, OFF_M + 2, 15, OFF_M + 20),
              new Phase(Phase.Kind.FIRST, OFF_M + 21, 30, null),
              new Phase(Phase.Kind.FLAT, OFF_M + 60, 100, null)));

  private static Reference with(UnaryOperator<OwnValues.Builder> own) {
    return Reference.on(
        TestBooks.VARIED_BASIS,
        Conditions.DEFAULT,
        List.of(own.apply(OwnValues.in(MODEL.corner())).build()));
  }

  /** Common practice: 40 to 60 per cent left is half a lift, next to nothing left is a lift. */
  @ParameterizedTest
  @CsvSource({"50, half a lift", "40, half a lift", "5, lift", "70, lift to 70"})
  void aLiftIsSaidByHowMuchItIsAndPressedInTheRunThrough(double pct, String words) {
    Lift lift = new Lift(ON_M, pct, OFF_M, null, List.of());
    CornerPage lifted =
        MODEL
            .but()
            .brake(
                new CornerPage.Brake(null, null, CornerPage.BrakeStyle.LIFT, null, null, List.of()))
            .lift(lift)
            .build();
    assertThat(SpokenMark.lift(lift, 1)).isEqualTo(words);
    assertThat(Act.of(TestBooks.VARIED.lap(), List.of(lifted)))
        .filteredOn(act -> act.kind() == Act.Kind.LIFT)
        .singleElement()
        .satisfies(act -> assertThat(act.atM()).isEqualTo(ON_M));
  }

  private static String shortForm(Reference reference) {
    return ShortForm.of(reference.pages(), 1, field -> "").get(1).words();
  }

  private static List<String> calls(Reference reference) {
    return CallOuts.of(reference.lap(), reference.pages(), 0.7, 1, field -> "").stream()
        .filter(call -> call.corner() == MODEL.corner())
        .map(CallOut::words)
        .toList();
  }

  @Test
  void theModelsPedalsAreNotSpoken() {
    Reference model = TestBooks.VARIED;
    assertThat(SpokenFeet.brake(model.pages().get(1))).isEmpty();
    assertThat(SpokenFeet.held(model.pages().get(1))).isEmpty();
    assertThat(SpokenGears.wayIn(model.pages().get(1))).isEmpty();
    assertThat(SpokenGears.wayOut(model.pages().get(1))).isEmpty();
    assertThat(Question.of(model.pages(), List.of()))
        .noneMatch(question -> question.kind() == Question.Kind.FEET);
  }

  @Test
  void aDabAndAHeldThrottleAreSaidPressedAndAsked() {
    Reference own = with(o -> o.presses(DAB_AND_BRAKE).phases(HELD).brakeAtM(null));
    CornerPage page = own.pages().get(1);
    String pressed = SpokenFeet.brake(page).orElseThrow();
    assertThat(pressed).isEqualTo("dab 15, then 60, 30");
    assertThat(SpokenFeet.held(page)).hasValue("hold 15");
    assertThat(shortForm(own)).contains(pressed).contains("hold 15");
    assertThat(calls(own)).anyMatch(words -> words.contains("Dab 15, then 60, 30."));

    List<Act> acts =
        Act.of(own.lap(), own.pages()).stream()
            .filter(act -> act.corner() == MODEL.corner())
            .toList();
    assertThat(acts).filteredOn(act -> act.kind() == Act.Kind.BRAKE).hasSize(2);
    assertThat(acts).filteredOn(act -> act.kind() == Act.Kind.RELEASE).hasSize(2);
    assertThat(acts)
        .filteredOn(act -> act.kind() == Act.Kind.THROTTLE)
        .extracting(Act::atM)
        .containsExactly(OFF_M + 2, OFF_M + 21, OFF_M + 60);
    assertThat(Question.of(own.pages(), List.of()))
        .filteredOn(question -> question.kind() == Question.Kind.FEET)
        .extracting(Question::answer)
        .containsExactly("15 60 30 15 30 100");
  }

  @Test
  void aGearForTheWayInAndAShortShiftAreSaid() {
    int out = MODEL.gears().corner();
    Reference in = with(o -> o.gearIn(out - 1));
    assertThat(shortForm(in)).contains(SpokenGears.gear(out - 1) + " on the way in");
    double sooner = MODEL.apexes().get(0).atM() + 25;
    Reference shorter =
        with(o -> o.gearChanges(new GearChanges(List.of(new GearChange(sooner, out + 1, null)))));
    assertThat(SpokenGears.wayOut(shorter.pages().get(1)))
        .hasValue("short to " + SpokenGears.gear(out + 1));
    assertThat(shortForm(shorter)).contains("short to");
  }
}
