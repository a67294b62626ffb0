package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Whether a screen fits a telephone, an upright and a lying tablet and a small computer: nothing
 * wider than the screen, nothing over anything else, nothing smaller than a finger (44 px: WCAG
 * 2.2, 2.5.5). Measured on the boxes of texts and controls by {@code fit.js}.
 */
final class Fit {
  private static final int[][] SIZES = {{390, 844}, {820, 1180}, {1180, 820}, {1280, 800}};
  private static final String MEASURE = script();

  private Fit() {}

  private static String script() {
    try (InputStream script = Fit.class.getResourceAsStream("fit.js")) {
      return new String(script.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What is left of a screen of 1280 px at 400 %: WCAG 2.2, 1.4.10, reflow. */
  private static final int REFLOW_PX = 320;

  /** Lays what is open anew for each of the sizes, and then for the computer again. */
  static void check(Browser browser) {
    browser.size(REFLOW_PX, 640);
    assertThat(measured(browser))
        .as("at 400 %%")
        .noneMatch(words -> words.startsWith("beyond the edge") || words.startsWith("the screen"));
    for (int[] size : SIZES) {
      browser.size(size[0], size[1]);
      assertThat(measured(browser)).as("at %d x %d", size[0], size[1]).isEmpty();
    }
  }

  @SuppressWarnings("unchecked")
  private static List<String> measured(Browser browser) {
    browser.awaitLayout();
    return (List<String>) browser.driver().executeScript(MEASURE);
  }
}
