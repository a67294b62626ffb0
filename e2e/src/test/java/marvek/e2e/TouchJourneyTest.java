package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The book on a telephone, by finger. */
@ServerTest
class TouchJourneyTest {
  private static final String TABS = "nav[aria-label='Corners']";

  @LocalServerPort private int port;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    browser.size(390, 844);
    browser.openBook();
    browser.click(TABS + " a[aria-label^='4 ']");
    browser.seeText("h1", "Long Hythe");
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @Test
  void aFlickAlongTheTabsTurnsThePagesAndASlowOneDoesNot() {
    browser.flick(TABS, -90, 900);
    browser.seeText("h1", "Cooper");
    browser.flick(TABS, 90, 900);
    browser.seeText("h1", "Long Hythe");
    browser.flick(TABS, -90, 120);
    browser.flick(TABS, 90, 900);
    browser.seeText("h1", "Tanner");
  }

  @Test
  void aPlateIsDraggedByAFingerAndItsPlaceStandsBesideIt() {
    String plate = "[data-plate=B]";
    int kept = station(plate);
    browser.holdAndMove(plate, 40);
    browser.seeText("[data-told]", "earlier");
    browser.liftFinger();
    browser.seeNoMore("[data-told]");
    browser.seeText("aside", "1 change");
    assertThat(station(plate)).isBetween(kept - 60, kept - 5);
  }

  private int station(String plate) {
    return Integer.parseInt(browser.see(plate).getDomAttribute("aria-valuenow"));
  }
}
