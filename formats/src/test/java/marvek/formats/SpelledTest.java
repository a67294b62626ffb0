package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import marvek.core.InvalidValueException;
import marvek.core.line.School;
import org.junit.jupiter.api.Test;

class SpelledTest {
  @Test
  void aConstantIsReadAsItIsWrittenAndInLargeLetters() {
    assertThat(Spelled.of(School.LATE_APEX)).isEqualTo("late-apex");
    assertThat(Spelled.read(School.class, "line", "late-apex")).isEqualTo(School.LATE_APEX);
    assertThat(Spelled.read(School.class, "line", "Late-Apex")).isEqualTo(School.LATE_APEX);
  }

  @Test
  void whatThereIsNotIsRefusedWithWhatThereIs() {
    for (String unknown : new String[] {"LATE_APEX", "", null}) {
      assertThatThrownBy(() -> Spelled.read(School.class, "line", unknown))
          .isInstanceOf(InvalidValueException.class)
          .hasMessageContaining("line (" + unknown + ") must be rounded, late-apex,")
          .hasMessageContaining(" or fastest");
    }
  }
}
