package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import marvek.core.brief.CallOut;
import org.junit.jupiter.api.Test;

class CallOutFilesTest {
  private static final List<CallOut> CALLS =
      List.of(
          new CallOut(1, -2.0, -0.4, 60, 1.5, "Brake at the 150 board."),
          new CallOut(2, 10.25, 12.65, 400, 14.2, "Orchard. Brake <late> & hard\n please."));

  /**
   * W3C WebVTT, section 4 (from memory): the header line, an empty line, then blocks of a timing
   * line with an arrow and text without arrows, markup or empty lines; begins do not go back.
   */
  @Test
  void theFileIsValidWebVtt() {
    String file = CallOutFiles.webVtt(CALLS, 110);
    String[] blocks = file.split("\n\n");
    assertThat(blocks[0]).isEqualTo("WEBVTT");
    Pattern block =
        Pattern.compile(
            "(\\d{2}):([0-5]\\d):([0-5]\\d)\\.\\d{3} --> \\d{2}:[0-5]\\d:[0-5]\\d\\.\\d{3}\n[^\n<>]+\n?");
    for (int k = 1; k < blocks.length; k++) {
      assertThat(blocks[k]).matches(block);
    }
    assertThat(blocks).hasSize(3);
    assertThat(blocks[1]).startsWith("00:00:10.250 --> 00:00:12.650");
    assertThat(blocks[1]).contains("Brake &lt;late&gt; &amp; hard please.");
  }

  @Test
  void whatIsSaidBeforeTheLineComesAtTheEndOfTheLap() {
    assertThat(CallOutFiles.webVtt(CALLS, 110)).contains("00:01:48.000 --> 00:01:49.600");
    assertThat(CallOutFiles.text(CALLS, 110).lines().toList().get(1))
        .isEqualTo(" 108.0 s  corner 1: Brake at the 150 board.");
  }

  @Test
  void longLapsHaveHours() {
    assertThat(CallOutFiles.timestamp(3725.0416)).isEqualTo("01:02:05.042");
    assertThat(CallOutFiles.timestamp(-1)).isEqualTo("00:00:00.000");
  }
}
