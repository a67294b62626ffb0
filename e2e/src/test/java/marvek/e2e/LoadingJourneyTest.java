package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** What a window fetches of the interface itself, and what it says where it cannot. */
@ServerTest
class LoadingJourneyTest {
  /** Adds up how far things move that nobody moved. */
  private static final String KEEP_THE_SHIFTS =
      """
      window.shifted = 0;
      new PerformanceObserver((list) => {
        for (const e of list.getEntries()) if (!e.hadRecentInput) window.shifted += e.value;
      }).observe({ type: 'layout-shift', buffered: true });
      """;

  /** Wanted of the first view, compressed as it is sent [bytes]. */
  private static final double MOST_SCRIPT_BYTES = 120_000;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    browser.forgetFiles();
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

  /** What the page names is fetched while the browser still reads what all screens need. */
  @Test
  void thePageNamesAllScriptsOfTheFirstBook() {
    browser.openBook();
    for (String path : List.of("/", browser.path(), browser.path() + "/corner/4")) {
      browser.open(path);
      browser.see(path.endsWith("/corner/4") ? "[data-plate=B]" : "[data-lap]");
      ResponseEntity<String> page = http.getForEntity(path, String.class);
      String named = page.getHeaders().getFirst(HttpHeaders.LINK) + page.getBody();
      assertThat(scripts()).hasSizeGreaterThan(4).allMatch(named::contains);
    }
  }

  /** Paths of the scripts that the open page fetched. */
  @SuppressWarnings("unchecked")
  private List<String> scripts() {
    return (List<String>)
        browser
            .driver()
            .executeScript(
                "return performance.getEntriesByType('resource').map((r) => new URL(r.name).pathname)"
                    + ".filter((path) => path.endsWith('.js'))");
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

  /**
   * Cumulative layout shift of a first view, as the Layout Instability API tells it; below 0.1
   * counts as good (web.dev, "Cumulative Layout Shift"), half of that is allowed here.
   */
  @ParameterizedTest
  @CsvSource({
    "/shelf, ul, 390",
    "/shelf, ul, 1280",
    "BOOK, table, 390",
    "BOOK, table, 1280",
    "BOOK/corner/4, article, 390",
    "PLANNED/brief, [data-brief], 390",
    "/circuits/new, ul, 390"
  })
  void nothingMovesAwayFromWhoeverPresses(String screen, String there, int width) {
    DemoAddresses demo = DemoAddresses.of(http);
    browser.size(width, 844);
    browser
        .driver()
        .executeCdpCommand(
            "Page.addScriptToEvaluateOnNewDocument", Map.of("source", KEEP_THE_SHIFTS));
    browser.driver().executeCdpCommand("Emulation.setCPUThrottlingRate", Map.of("rate", 4));
    browser.open(demo.path(screen));
    browser.see(there);
    double shifted =
        ((Number)
                browser
                    .driver()
                    .executeAsyncScript(
                        "const done = arguments[0];"
                            + " document.fonts.ready.then("
                            + "() => setTimeout(() => done(window.shifted), 500))"))
            .doubleValue();
    assertThat(shifted).isBetween(0.0, 0.05);
  }
}
