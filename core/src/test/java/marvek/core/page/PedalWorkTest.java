package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.conditions.Conditions;
import marvek.core.mark.MarkChooser;
import marvek.core.reference.ModelReference;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

class PedalWorkTest {
  private static final Press PRESS = new Press(100, 80, List.of(new Knot(120, 60)), 150);
  private static final Phase LIFT = new Phase(Phase.Kind.LIFT, 90, 40, 110.0);
  private static final Phase FLAT = new Phase(Phase.Kind.FLAT, 170, 100, null);

  @Test
  void aPressIsBegunElsewhereOrChangedAsAWhole() {
    assertThat(PRESS.from(95)).isEqualTo(new Press(95, 80, List.of(new Knot(120, 60)), 150));
    assertThat(PRESS.times(0.5)).isEqualTo(new Press(100, 40, List.of(new Knot(120, 30)), 150));
    assertThat(PRESS.times(2)).isEqualTo(new Press(100, 100, List.of(new Knot(120, 100)), 150));
  }

  @Test
  void aLiftAndAHeldOpeningLastAndTheRestIsThereAtOnce() {
    assertThat(LIFT.reachedM()).isEqualTo(110);
    assertThat(new Phase(Phase.Kind.HOLD, 90, 40, 130.0).reachedM()).isEqualTo(130);
    assertThat(new Phase(Phase.Kind.HOLD, 90, 40, null).reachedM()).isEqualTo(90);
    for (Phase.Kind kind : List.of(Phase.Kind.FIRST, Phase.Kind.STEP, Phase.Kind.FLAT)) {
      Phase phase = new Phase(kind, 90, 40, 130.0);
      assertThat(phase.lasts()).isFalse();
      assertThat(phase.reachedM()).isEqualTo(90);
    }
  }

  private static void refused(String field, ThrowingCallable check) {
    assertThatThrownBy(check)
        .isInstanceOfSatisfying(
            InvalidValueException.class, e -> assertThat(e.field()).isEqualTo(field));
  }

  private static void refused(String field, Press... presses) {
    refused(field, () -> new PedalWork.Presses(List.of(presses)).check("presses"));
  }

  private static void refused(String field, Phase... phases) {
    refused(field, () -> new PedalWork.Phases(List.of(phases)).check("phases"));
  }

  @Test
  void pressesThatCannotBeAreRefusedWithTheirPlace() {
    new PedalWork.Presses(Collections.nCopies(4, PRESS)).check("presses");
    refused("presses", PRESS, PRESS, PRESS, PRESS, PRESS);
    refused("presses/1/on_m", PRESS, PRESS.from(-1));
    refused("presses/0/off_m", new Press(100, 80, List.of(), -1));
    refused("presses/0/peak_pct", new Press(100, 0.5, List.of(), 150));
    refused("presses/0/knots", new Press(1, 80, Collections.nCopies(13, new Knot(2, 3)), 150));
    refused("presses/0/knots/0/at_m", new Press(100, 80, List.of(new Knot(-1, 50)), 150));
    refused("presses/0/knots/0/pct", new Press(100, 80, List.of(new Knot(120, 101)), 150));
  }

  @Test
  void phasesThatCannotBeAreRefusedWithTheirPlace() {
    new PedalWork.Phases(Collections.nCopies(16, LIFT)).check("phases");
    refused("phases", Collections.nCopies(17, LIFT).toArray(Phase[]::new));
    refused("phases/1/at_m", LIFT, new Phase(Phase.Kind.FIRST, -1, 40, null));
    refused("phases/0/to_pct", new Phase(Phase.Kind.FIRST, 1, 101, null));
    refused("phases/0/until_m", new Phase(Phase.Kind.LIFT, 1, 40, -1.0));
  }

  /** Own points stand at the ends of the presses; where nothing is pressed they change nothing. */
  @Test
  void ownPointsMoveTheEndsOfThePresses() {
    Press second = new Press(160, 50, List.of(), 180);
    OwnValues own = OwnValues.in(1).brakeAtM(95.0).releaseM(190.0).throttleFullM(200.0).build();
    PedalWork moved = new PedalWork(List.of(PRESS, second), List.of(FLAT)).withPoints(own);
    assertThat(moved.presses()).containsExactly(PRESS.from(95), new Press(160, 50, List.of(), 190));
    assertThat(moved.phases().get(0).atM()).isEqualTo(200);
    PedalWork lifting = new PedalWork(List.of(), List.of(LIFT));
    assertThat(lifting.withPoints(own)).isEqualTo(lifting);
  }

  /** The first lift of a page that does not brake is a point of it; its least opening is told. */
  @Test
  void aLiftIsAPointWhereNobodyBrakes() {
    ModelReference model = ModelReference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT);
    MarkChooser marks = model.marks();
    CornerPage braking = TestBooks.VARIED.pages().get(1);
    Phase deeper = new Phase(Phase.Kind.HOLD, 120, 20, 140.0);
    PedalWork work = new PedalWork(List.of(), List.of(LIFT, deeper, FLAT));
    CornerPage.Brake none =
        new CornerPage.Brake(null, null, CornerPage.BrakeStyle.LIFT, null, null, List.of());
    CornerPage lifted = Lift.on(braking.but().brake(none).pedals(work).build(), marks);
    assertThat(lifted.lift()).isEqualTo(new Lift(90, 20, 170.0, null, List.of()));
    assertThat(Lift.on(braking.but().pedals(work).build(), marks).lift()).isNull();
    PedalWork open = new PedalWork(List.of(), List.of(LIFT));
    CornerPage never = Lift.on(braking.but().brake(none).pedals(open).build(), marks);
    assertThat(never.lift()).isEqualTo(new Lift(90, 40, null, null, List.of()));
    PedalWork nothing = new PedalWork(List.of(), List.of(FLAT));
    assertThat(Lift.on(braking.but().brake(none).pedals(nothing).build(), marks).lift()).isNull();
  }
}
