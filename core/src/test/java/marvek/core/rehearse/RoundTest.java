package marvek.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import marvek.core.TestBooks;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.brief.DayShift;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.core.rehearse.Round.Learned;
import marvek.core.rehearse.Round.Order;
import org.junit.jupiter.api.Test;

class RoundTest {
  private static final LocalDate DAY = LocalDate.parse("2026-05-01");
  private static final Question FIRST = new Question(1, Question.Kind.GEAR, "3");
  private static final Question SECOND = new Question(2, Question.Kind.GEAR, "4");
  private static final Question THIRD = new Question(3, Question.Kind.GEAR, "2");
  private static final List<Question> ALL = List.of(FIRST, SECOND, THIRD);

  private static List<Question> round(Map<String, Learned> learned, Order order, boolean ahead) {
    return Round.of(ALL, learned, DAY, order, ahead).stream().map(Round.Asked::question).toList();
  }

  private static Learned learned(String answer, int... qualities) {
    Repetition state = Repetition.fresh(DAY);
    for (int quality : qualities) {
      state = state.after(quality, DAY);
    }
    return new Learned(answer, state);
  }

  @Test
  void whatWasNeverAskedIsAskedInTheOrderOfTheLap() {
    assertThat(round(Map.of(), Order.LAP, false)).containsExactly(FIRST, SECOND, THIRD);
  }

  @Test
  void whatIsKnownWaitsForItsDay() {
    assertThat(round(Map.of("2.gear", learned("4", 5)), Order.LAP, false))
        .containsExactly(FIRST, THIRD);
    assertThat(round(Map.of("2.gear", learned("4", 5)), Order.LAP, true))
        .containsExactly(FIRST, THIRD, SECOND);
  }

  /** Old against new: a value that changed since comes first, due or not. */
  @Test
  void aChangedAnswerComesFirst() {
    Map<String, Learned> learned = Map.of("3.gear", learned("3", 5, 5));
    List<Round.Asked> round = Round.of(ALL, learned, DAY, Order.LAP, false);
    assertThat(round.get(0).question()).isEqualTo(THIRD);
    assertThat(round.get(0).before()).isEqualTo("3");
    assertThat(round.get(1).changed()).isFalse();
  }

  @Test
  void theWeakestComeFirstWhereThatIsWanted() {
    Map<String, Learned> states =
        Map.of("1.gear", learned("3", 4, 4), "3.gear", learned("2", 4, 1));
    assertThat(round(states, Order.WEAKEST, true)).containsExactly(SECOND, THIRD, FIRST);
    Repetition yesterday = Repetition.fresh(DAY.minusDays(1)).after(1, DAY.minusDays(1));
    Map<String, Learned> wrong = Map.of("3.gear", new Learned("2", yesterday));
    assertThat(round(wrong, Order.WEAKEST, false)).containsExactly(THIRD, FIRST, SECOND);
  }

  @Test
  void aBookAsksWhatItsPagesSayAndAMovedValueIsAnotherAnswer() {
    Circuit circuit = Circuit.bare("varied", TestRoads.varied(5));
    Reference.Basis basis =
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference book = Reference.on(basis, Conditions.DEFAULT, List.of());
    List<Question> questions = Question.of(book.pages(), List.of());
    assertThat(questions).extracting(Question::key).doesNotHaveDuplicates();
    for (var page : book.pages()) {
      assertThat(questions).anyMatch(q -> q.key().equals(page.corner() + ".gear"));
      boolean brakes = questions.stream().anyMatch(q -> q.key().equals(page.corner() + ".release"));
      assertThat(brakes).isEqualTo(page.trailBrake() != null);
    }
    var page = book.pages().get(0);
    Reference other =
        Reference.on(
            basis,
            Conditions.DEFAULT,
            List.of(OwnValues.in(page.corner()).cornerGear(page.gears().corner() + 1).build()));
    assertThat(Question.of(other.pages(), List.of()))
        .filteredOn(q -> !questions.contains(q))
        .extracting(Question::key)
        .contains(page.corner() + ".gear");
  }

  /** What a wet road changes is asked where it changes anything, and only there. */
  @Test
  void theWetIsAskedWhereItIsOtherwise() {
    Reference.Basis basis = TestBooks.VARIED_BASIS;
    Reference dry = Reference.on(basis, Conditions.DEFAULT, List.of());
    Reference wet =
        Reference.on(basis, Conditions.DEFAULT.withSurface(Conditions.Surface.WET), List.of());
    List<DayShift> shifts = DayShift.between(dry, wet);
    List<Question> asked =
        Question.of(dry.pages(), shifts).stream()
            .filter(q -> q.kind() == Question.Kind.IN_THE_WET)
            .toList();
    assertThat(asked).isNotEmpty();
    for (DayShift shift : shifts) {
      boolean other =
          shift.begins()
              || shift.gearsLower() != 0
              || shift.brakeEarlierM() != null && Math.abs(shift.brakeEarlierM()) > 2.01;
      assertThat(asked.stream().anyMatch(q -> q.corner() == shift.corner()) || !other)
          .as("%s", shift)
          .isTrue();
    }
    assertThat(Question.of(dry.pages(), DayShift.between(dry, dry)))
        .noneMatch(q -> q.kind() == Question.Kind.IN_THE_WET);
  }
}
