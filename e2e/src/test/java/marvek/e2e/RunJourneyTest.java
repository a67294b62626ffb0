package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** The road comes towards the driver, and keys are pressed at known times. */
@ServerTest
class RunJourneyTest {
  /** Keeps each number of the count in `counted`: one is shown for a second only. */
  private static final String KEEP_THE_COUNT =
      """
      window.counted = '';
      new MutationObserver(() => {
        const shown = document.querySelector('[role=status]')?.textContent.trim() ?? '';
        if (/^[0-9]$/.test(shown) && !window.counted.endsWith(shown)) window.counted += shown;
      }).observe(document.body, { subtree: true, childList: true, characterData: true });
      """;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo();
    book = "/books/" + id;
  }

  @AfterEach
  void end() {
    browser.close();
  }

  /**
   * Begins by the space bar and presses at given times after the start; each press is stamped by
   * the browser itself, and twice repeated as a key that is held down does.
   */
  @SuppressWarnings("unchecked")
  private List<Double> pressed(List<Map<String, Object>> keys) {
    browser.driver().manage().timeouts().scriptTimeout(Duration.ofSeconds(60));
    return (List<Double>)
        browser
            .driver()
            .executeAsyncScript(
                """
                const [keys, done] = arguments;
                const send = (key, repeat) => {
                  const event = new KeyboardEvent('keydown', { key, repeat, bubbles: true });
                  document.body.dispatchEvent(event);
                  return event.timeStamp;
                };
                const start = send(' ', false) + 3000;
                const stamps = [];
                const next = () => {
                  if (stamps.length === keys.length) return done(stamps);
                  const { key, at } = keys[stamps.length];
                  setTimeout(() => {
                    stamps.push((send(key, false) - start) / 1000);
                    send(key, true);
                    next();
                  }, start + 1000 * at - performance.now());
                };
                next();
                """,
                keys);
  }

  private static String keyOf(String kind) {
    return switch (kind) {
      case "brake" -> "b";
      case "lift" -> "l";
      case "turn" -> "t";
      case "release" -> "r";
      case "throttle" -> "d";
      case "gear-up" -> "ArrowUp";
      default -> "ArrowDown";
    };
  }

  @Test
  void keysAtKnownTimesAreScoredToTheMillisecond() {
    JsonNode lap = scripts.get("/api" + book + "/runs").body();
    List<Map<String, Object>> keys = new java.util.ArrayList<>();
    for (JsonNode act : lap.path("acts")) {
      if (act.path("at_s").asDouble(0) < 22) {
        String key = keyOf(act.path("kind").asString());
        keys.add(Map.of("key", key, "at", act.path("at_s").asDouble(0) + 0.15));
      }
    }
    browser.open(book + "/rehearse/run");
    browser.see("[data-begin]");
    browser.chooseWords("[data-help]", "road only");
    browser.leaveField();
    List<Double> stamps = pressed(keys);
    browser.press("End here, and score what was driven");
    browser.seeText("[data-score]", "off in the mean");
    browser.seeText("[data-score] [data-corner='1']", "B ");
    JsonNode run = scripts.get("/api" + book + "/runs").body().at("/runs/0");
    assertThat(run.path("help").asString()).isEqualTo("road");
    assertThat(run.path("extra").asInt(0)).as("a held key is one press").isZero();
    double last = stamps.get(stamps.size() - 1);
    assertThat(run.path("until_s").asDouble(0)).isBetween(last, last + 15);
    for (int k = 0; k < stamps.size(); k++) {
      JsonNode hit = run.path("hits").get(k);
      double at = hit.path("at_s").asDouble(0);
      assertThat(hit.path("off_s").asDouble(0))
          .as("press %d of %s", k, hit)
          .isCloseTo(stamps.get(k) - at, within(0.0015));
      // At most the fastest of the lap, and not backwards.
      assertThat(hit.path("off_m").asDouble(0)).isBetween(0.0, 70 * hit.path("off_s").asDouble(0));
    }
    assertThat(stamps).hasSizeGreaterThan(8);
  }

  @Test
  void aWindowThatLosesTheFocusPausesAndNothingIsLost() {
    browser.open(book + "/rehearse/run");
    browser.see("[data-begin]");
    browser.chooseWords("[data-speed]", "50 %");
    browser.press("Begin the lap");
    browser.see("[data-act='brake']");
    browser.driver().executeScript("dispatchEvent(new Event('blur'))");
    browser.seeText("[data-paused]", "lost the focus");
    browser.driver().executeScript(KEEP_THE_COUNT);
    browser.press("Go on");
    browser.seeNoMore("[data-paused]");
    new org.openqa.selenium.support.ui.WebDriverWait(browser.driver(), Duration.ofSeconds(10))
        .until(
            d -> {
              browser.click("[data-act='gear-up']");
              return !browser.text("[data-told]").isBlank();
            });
    // A machine that stands still for a second shows one number less; never another order.
    assertThat((String) browser.driver().executeScript("return window.counted"))
        .as("what was counted before it went on")
        .matches("32?1|32");
    browser.press("End here, and score what was driven");
    browser.see("[data-score]");
    JsonNode run = scripts.get("/api" + book + "/runs").body().at("/runs/0");
    assertThat(run.path("speedShare").asDouble(0)).isEqualTo(0.5);
    assertThat(run.path("extra").asInt(0) + run.path("hits").size()).isPositive();
    browser.press("Forget");
    browser.seeNoMore("[data-score]");
  }

  @Test
  void inTheDarkOnlyTheCallOutsAreThere() {
    browser.open(book + "/rehearse/run");
    browser.see("[data-begin]");
    browser.chooseWords("[data-help]", "dark, call-outs only");
    browser.press("Begin the lap");
    browser.see("[data-act='brake']");
    new org.openqa.selenium.support.ui.WebDriverWait(browser.driver(), Duration.ofSeconds(30))
        .until(d -> browser.text("[data-call]").length() > 4);
    assertThat(browser.count("[aria-label='The road as it comes']")).isZero();
    browser.press("End here, and score what was driven");
    browser.see("[data-begin]");
    assertThat(scripts.get("/api" + book + "/runs").body().path("runs"))
        .as("nothing was pressed, so there is nothing to keep")
        .isEmpty();
  }
}
