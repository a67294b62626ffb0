package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a window fetches of the interface itself, and what it says where it cannot. */
@ServerTest
class LoadingJourneyTest {
  /** Wanted of the first view, compressed as it is sent [bytes]. */
  private static final double MOST_SCRIPT_BYTES = 120_000;

  @LocalServerPort private int port;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @Test
  void theFirstBookNeedsFewScripts() {
    browser.openBook();
    double bytes =
        ((Number)
                browser
                    .driver()
                    .executeScript(
                        "return performance.getEntriesByType('resource')"
                            + ".filter((r) => r.name.endsWith('.js'))"
                            + ".reduce((sum, r) => sum + r.encodedBodySize, 0)"))
            .doubleValue();
    assertThat(bytes).isBetween(20_000.0, MOST_SCRIPT_BYTES);
  }

  @Test
  void aScreenThatCannotBeFetchedIsToldWithAWayOn() {
    browser.openBook();
    browser.driver().executeCdpCommand("Network.enable", Map.of());
    block("*/CarScreen*");
    browser.key("v");
    browser.seeText("[role=alert]", "This screen could not be loaded");
    browser.see("[data-lap]");
    block();
    browser.press("Load again");
    browser.seeNoMore("[role=alert]");
    browser.see("[data-lap]");
    browser.key("v");
    browser.see("[data-zones]");
  }

  private void block(String... urls) {
    browser.driver().executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of(urls)));
  }
}
