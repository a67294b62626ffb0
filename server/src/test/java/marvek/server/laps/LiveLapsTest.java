package marvek.server.laps;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.SocketTimeoutException;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import org.junit.jupiter.api.Test;

class LiveLapsTest {
  @Test
  void whyALineEndedIsToldWithoutItsInsides() {
    assertThat(LiveLaps.whyEnded(new SocketTimeoutException("Read timed out")).words())
        .matches("nothing came for \\d+ s\\.");
    assertThat(LiveLaps.whyEnded(new IOException("Broken pipe")).words())
        .isEqualTo("the connection broke.");
    Sentence said = Sentence.of("file.no-whole-lap");
    assertThat(LiveLaps.whyEnded(BadFileException.whole(said))).isEqualTo(said);
    assertThat(LiveLaps.whyEnded(new InvalidValueException("x_m", said))).isEqualTo(said);
  }
}
