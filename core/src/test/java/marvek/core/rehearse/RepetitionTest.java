package marvek.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import marvek.core.InvalidValueException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Check: SM-2, P. A. Wozniak, Optimization of learning (1990); values from memory. */
class RepetitionTest {
  private static final LocalDate DAY = LocalDate.parse("2026-05-01");

  /** The change of the easiness factor by the quality of the answer, as the method tabulates it. */
  @ParameterizedTest
  @CsvSource({"5, 0.10", "4, 0.00", "3, -0.14", "2, -0.32", "1, -0.54", "0, -0.80"})
  void theEasinessChangesAsPublished(int quality, double change) {
    Repetition then = Repetition.fresh(DAY).after(quality, DAY);
    assertThat(then.easiness()).isCloseTo(2.5 + change, within(1e-9));
  }

  /** With the first factor of 2.5 and answers of 4 throughout: 1, 6, 15, 38, 95 days. */
  @Test
  void intervalsGrowAsPublished() {
    Repetition state = Repetition.fresh(DAY);
    LocalDate today = DAY;
    for (int days : new int[] {1, 6, 15, 38, 95}) {
      state = state.after(4, today);
      assertThat(state.intervalDays()).isEqualTo(days);
      assertThat(state.due()).isEqualTo(today.plusDays(days));
      today = state.due();
    }
  }

  @Test
  void aWrongAnswerBeginsAnewAndTheFactorHasALeast() {
    Repetition state = Repetition.fresh(DAY).after(4, DAY).after(4, DAY).after(1, DAY);
    assertThat(state.inARow()).isZero();
    assertThat(state.intervalDays()).isEqualTo(1);
    for (int k = 0; k < 9; k++) {
      state = state.after(0, DAY);
    }
    assertThat(state.easiness()).isEqualTo(1.3);
    assertThatThrownBy(() -> Repetition.fresh(DAY).after(6, DAY))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("quality");
  }
}
