package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * One's own lap beside a team-mate's: laid together, replayed, and of her values some taken over.
 */
@ServerTest
class SideBySideJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private DemoAddresses demo;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    demo = DemoAddresses.of(http);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private void lay() {
    browser.open(demo.path("BOOK/laps/beside?PAIR"));
    browser.see("[data-lap-traces]");
  }

  /** The files that lie in this book's sessions: other journeys have brought theirs. */
  private String ofTheDemo() {
    return "[data-library-file]:has(a[href^='" + demo.book() + "/'])";
  }

  /** Offers a lap, drawn out or dashed beside it, if it is not offered already. */
  private void pick(String lap, String how) {
    String button = "[data-library-lap='" + lap + "'] [aria-label$='" + how + "']";
    if (browser.attribute(button, "aria-pressed").equals("false")) {
      browser.click(button);
    }
  }

  private int station() {
    return Integer.parseInt(browser.attribute("[data-lap-traces] svg", "aria-valuenow"));
  }

  @Test
  void theLibraryOffersOnesOwnBestBesideATeamMates() {
    browser.open(demo.path("BOOK/laps"));
    browser.seeCount(ofTheDemo(), 3);
    browser.set("input[type=search]", "mira dry");
    browser.seeCount(ofTheDemo(), 1);
    browser.set("input[type=search]", "nobody at all");
    browser.seeText("[role=status]", "No lap has all of");
    browser.set("input[type=search]", "");
    for (String lap : demo.pair().split("&")) {
      pick(lap.substring(lap.indexOf('=') + 1), lap.startsWith("lap=") ? "out" : "it");
    }
    browser.click("[data-lay-beside]");
    browser.seeText("[data-pair]", "Mira Soldal");
    browser.seeText("[data-at-line]", "behind");
    browser.seeCount("[data-difference]", 13);
    browser.seeText("[data-difference='4']", "late on the throttle");
  }

  /** Played from the begin, as a driver would at both widths; a place is looked at by the keys. */
  @ParameterizedTest
  @CsvSource({"1280, 800", "390, 844"})
  void theLapsAreReplayed(int width, int height) {
    browser.size(width, height);
    lay();
    browser.click("[data-replay] button");
    browser.until("the car goes", () -> station() > 60);
    browser.see("[data-other-car]");
    browser.click("[data-replay] button");
    int stood = station();
    browser.until("it stands", () -> station() == stood);
    browser.click("[data-lap-traces] svg");
    int looked = station();
    browser.key(Keys.ARROW_RIGHT);
    browser.until("two metres on", () -> station() == looked + 2);
    browser.drag("[data-strip-drag]", 0, 80);
    browser.until("the road was drawn on", () -> station() > looked + 30);
    browser.chooseWords("[data-replay] select", "4 Long Hythe");
    browser.until("its begin", () -> station() > 1200 && station() < 1300);
    browser.size(1280, 800);
  }

  @Test
  void herValuesAreTakenOverWithTheirCosts() {
    lay();
    browser.press("What it would change");
    browser.see("[data-lap-values] li");
    assertThat(browser.text("[data-lap-values] li")).contains("faster (model)");
    for (int k = 1; k <= 2; k++) {
      browser.press("Take over", "[data-lap-values]");
      browser.seeCount("[data-lap-values] [role=status]", k);
    }
    String first = browser.attribute("[data-lap-values] li", "data-lap-value");
    browser.goTo(demo.path("BOOK/corner/" + first.replaceFirst(" .*", "")));
    browser.see("article");
    browser.seeText("article", "Mira Soldal");
  }

  @Test
  void aNoteIsKeptAtItsMetre() {
    lay();
    browser.press("Notes");
    browser.type("[placeholder='What is seen here']", "Later on the brake than I dare");
    browser.press("Pin it here");
    browser.seeText("[data-pins]", "Later on the brake");
    lay();
    browser.seeText("[data-note]", "Later on the brake than I dare");
    browser.press("Notes");
    browser.press("Remove");
    browser.seeNoMore("[data-note]");
  }
}
