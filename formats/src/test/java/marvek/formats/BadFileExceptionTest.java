package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalLong;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

class BadFileExceptionTest {
  private static final Sentence SAID = Sentence.of("file.no-number", "given", "x");
  private static final InvalidValueException VALUE =
      new InvalidValueException("width", 3, Sentence.of("refused.negative", "value", -1.5));

  @Test
  void theWholeFileHasNoPlace() {
    BadFileException whole = BadFileException.whole(SAID);
    assertThat(whole).hasMessage("\"x\" is not a number.");
    assertThat(whole.line()).isEmpty();
    assertThat(whole.pointer()).isNull();
    assertThat(whole.field()).isNull();
    assertThat(whole.said()).isEqualTo(SAID);
    assertThat(BadFileException.whole(VALUE)).hasMessage("width[3] (-1.5) must be 0 or more.");
  }

  @Test
  void aLineIsToldWithItsColumnWhereThereIsOne() {
    assertThat(BadFileException.atLine(4, null, SAID)).hasMessage("Line 4: \"x\" is not a number.");
    BadFileException column = BadFileException.atLine(4, "x_m", VALUE);
    assertThat(column).hasMessage("Line 4, x_m: width (-1.5) must be 0 or more.");
    assertThat(column.line()).isEqualTo(OptionalLong.of(4));
    assertThat(column.column()).isEqualTo("x_m");
    assertThat(column.field()).isEqualTo("width");
    assertThat(column.index()).isEqualTo(-1);
  }

  @Test
  void aPointerGrowsByTheFileThatItIsIn() {
    assertThat(BadFileException.atPointer("", SAID))
        .hasMessage("At the top: \"x\" is not a number.");
    BadFileException inner = BadFileException.atPointer("/a", VALUE).within("/car");
    assertThat(inner).hasMessage("At /car/a: width[3] (-1.5) must be 0 or more.");
    assertThat(inner.pointer()).isEqualTo("/car/a");
    assertThat(BadFileException.whole(SAID).within("/car").pointer()).isEqualTo("/car");
  }
}
