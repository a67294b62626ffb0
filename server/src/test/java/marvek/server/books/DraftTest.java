package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a revision is computed from. */
class DraftTest {
  /** A session's day comes from elsewhere and knows nothing of the book's model. */
  @ParameterizedTest
  @EnumSource(Conditions.Model.class)
  void anotherDayKeepsTheBooksModel(Conditions.Model model) {
    Conditions own = Conditions.DEFAULT.but().model(model).start(Conditions.Start.STANDING).build();
    for (Conditions.Model ofDay : Conditions.Model.values()) {
      Conditions wet =
          Conditions.DEFAULT.withSurface(Conditions.Surface.WET).but().model(ofDay).build();
      Conditions then =
          new Draft(own, ChosenLine.SMOOTH, List.of()).modelIn(wet, null).conditions();
      assertThat(then.model()).isEqualTo(model);
      assertThat(then.start()).isEqualTo(Conditions.Start.STANDING);
      assertThat(then.surface()).isEqualTo(Conditions.Surface.WET);
    }
  }

  @Test
  void aNewBookWithoutConditionsTellsAxlesApart() {
    assertThat(Draft.ofNewBook(null, null, null, null).conditions())
        .isEqualTo(Conditions.OF_NEW_BOOKS);
  }
}
