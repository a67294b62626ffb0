package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestBooks;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
import marvek.core.brief.ShortForm;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerPage.OwnPoint;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.rehearse.Question;
import org.junit.jupiter.api.Test;

/** A place that only a driver gives: it is told wherever the page is, and drives nothing. */
class OwnPointTest {
  private static final int CORNER = TestBooks.VARIED.pages().get(1).corner();
  private static final double AT_M = TestBooks.VARIED.pages().get(1).apexes().get(0).atM();

  private static Reference looking() {
    OwnValues look =
        OwnValues.in(CORNER)
            .put(PageField.LOOK, AT_M)
            .put(PageField.LOOK_WORDS, "at the foot of the oak")
            .build();
    return Reference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT, List.of(look));
  }

  @Test
  void itIsOnItsPageAloneWithTheDriversWordsAndHisNameOnIt() {
    Reference reference = looking();
    OwnPoint point = reference.pages().get(1).points().get(PageField.LOOK);
    assertThat(point.atM()).isEqualTo(AT_M);
    assertThat(point.target().own()).isEqualTo("at the foot of the oak");
    assertThat(reference.pages().get(1).sources())
        .containsEntry("look.at_m", CornerPage.Source.DRIVER)
        .containsEntry("look.target", CornerPage.Source.DRIVER);
    assertThat(reference.pages().get(0).points()).isEmpty();
    assertThat(TestBooks.VARIED.pages().get(1).points()).isEmpty();
  }

  @Test
  void theLapIsDrivenAsWithoutIt() {
    assertThat(looking().lap().timeS()).isEqualTo(TestBooks.VARIED.lap().timeS());
    assertThat(looking().driven()).isEqualTo(TestBooks.VARIED.driven());
  }

  @Test
  void itIsReadInTheBriefCalledOutAndAsked() {
    Reference reference = looking();
    assertThat(ShortForm.of(reference.pages(), 1, field -> "look").get(1).words())
        .endsWith(", look at the foot of the oak.");
    List<CallOut> calls = CallOuts.of(reference.lap(), reference.pages(), 0.7, 1, field -> "look");
    assertThat(calls)
        .filteredOn(call -> call.corner() == CORNER)
        .anyMatch(call -> call.words().contains("Look at the foot of the oak."));
    assertThat(Question.of(reference.pages(), List.of()))
        .contains(new Question(CORNER, Question.Kind.OWN_POINTS, "look at the foot of the oak"));
    assertThat(Question.of(TestBooks.VARIED.pages(), List.of()))
        .noneMatch(question -> question.kind() == Question.Kind.OWN_POINTS);
  }
}
