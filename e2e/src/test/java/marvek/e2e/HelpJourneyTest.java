package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The guide beside a screen, and looking for something by its name. */
@ServerTest
class HelpJourneyTest {
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

  private void lookFor(String words) {
    browser.see("input[role=combobox]").sendKeys(Keys.chord(Keys.CONTROL, "a"), words);
  }

  @Test
  void theGuideOpensAtWhatIsShownAndIsLookedThrough() {
    browser.open(demo.path("BOOK/corner/4"));
    browser.press("Guide");
    browser.seeText("[data-guide] h2", "Page");
    browser.seeText("[data-legend]", "distance board");
    browser.type("input[aria-label='Look through the guide']", "trail braking easing");
    browser.seeText("[data-guide] [role=status]", "In one section");
    browser.press("Words", "[data-guide] li");
    browser.seeText("[data-guide] h2", "Words");
    assertThat(browser.text("[data-guide]"))
        .contains("easing the brake off while the car turns in");
    browser.key(Keys.ESCAPE);
    browser.seeNoMore("[data-guide]");
    browser.open(demo.path("CIRCUIT/walk"));
    browser.press("Guide");
    browser.seeText("[data-guide] h2", "Walk");
    // The screen goes on beside it.
    browser.click("header a[href='/shelf']");
    browser.seeText("h1", "Reference books");
    browser.see("[data-guide]");
  }

  @Test
  void aCornerAMarkAndABookAreFoundByAKeyAndGoneTo() {
    browser.open(demo.path("BOOK"));
    browser.see("table");
    browser.key("/");
    lookFor("quar");
    browser.seeText("#hits", "9 Quarry");
    browser.key(Keys.ENTER);
    browser.seeText("h1", "9 Quarry");
    browser.key("/");
    lookFor("hythe wall");
    browser.seeText("#hits", "before 4 Long Hythe");
    browser.key(Keys.ENTER);
    browser.seeText("h1", "4 Long Hythe");
    browser.open("/shelf");
    browser.see("ul");
    browser.key("/");
    lookFor("teal");
    browser.seeText("#hits", "Harrowfen Park, Teal Coup");
    lookFor("nothing of that name");
    browser.seeText("[role=dialog]", "Nothing has these words");
    browser.key(Keys.ESCAPE);
    browser.seeNoMore("[role=dialog]");
  }
}
