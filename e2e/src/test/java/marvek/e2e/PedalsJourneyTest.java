package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** A driver writes down what his feet do. */
@ServerTest
class PedalsJourneyTest {
  private static final String WRITE = "[data-own-work='%s'] summary";

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    book = "/books/" + scripts.copyOfTheDemo();
  }

  @AfterEach
  void end() {
    browser.close();
  }

  /**
   * Two stages for the hairpin, typed and with the keys of the strip; the point is found for it.
   */
  @Test
  void aBrakeOfAnotherShapeFindsItsPoint() {
    browser.open(book + "/corner/8");
    browser.see("[data-knot='presses-0-0']");
    browser.click(WRITE.formatted("presses"));
    browser.type("input[aria-label^='pressure 1 of the press, how much']", "10");
    browser.seeText("[data-work=presses]", "10 %");
    browser.seeText("aside", "slower");
    browser.see("[data-knot='presses-0-0']").sendKeys(Keys.ARROW_RIGHT);
    browser.seeText("[data-work=presses]", "9 %");
    browser.chooseWords("[data-gives-way]", "the pressure: the brake point stays");
    browser.seeValue("[data-gives-way]", "pressure");

    browser.press("Undo");
    browser.seeValue("[data-gives-way]", "brake-point");
    browser.type("input[aria-label^='pressure 1 of the press, past the apex']", "-300");
    browser.seeText("[data-own-work=presses] [role=alert]", "does not lie behind the knot before");
    browser.seeText("[data-work=presses]", "9 %");
  }

  /** A short shift out of the drop, and the left foot: their cost, the card's page and the laps. */
  @Test
  void gearsAreChangedAndFeetChosenAsTheDriverDoes() {
    browser.open(book + "/corner/11");
    browser.seeText("[data-gear-work]", "3 throughout");
    browser.click("[data-own-gears] summary");
    browser.type("input[aria-label='Gear on the way out']", "4");
    browser.seeText("[data-gear-work]", "3 at the apex, 4 out");
    browser.seeText("[data-gear-work]", "short");
    browser.seeText("aside", "slower");
    browser.choose("[data-own-gears] [data-feet]", "left");
    browser.seeText("[data-gear-work]", "left foot");

    browser.type("input[aria-label^='Change 1, to which gear']", "1");
    browser.seeText("[data-own-gears] [role=alert]", "would turn the engine");
    browser.type("input[aria-label^='Change 1, past the apex']", "-400");
    browser.seeText("[data-own-gears] [role=alert]", "lies outside of this corner");
    browser.seeText("[data-gear-work]", "4 out");

    browser.press("Gears");
    browser.seeText("[data-beside='gears.out']", "as the page has it");
    browser.seeText("[data-feet]", "as on the rest of the lap");
  }

  /** A half lift where the model stays flat goes on the page, the card and the lap as spoken. */
  @Test
  void aHalfLiftIsAPointAsGoodAsABrakePoint() {
    browser.open(book + "/corner/10");
    browser.seeText("[data-work=phases]", "stays flat");
    browser.click(WRITE.formatted("phases"));
    browser.press("+ lift");
    browser.seeText("[data-work=phases]", "lift to 50 %");
    browser.see("[data-knot='phases-0-until']");
    browser.press("Keep as revision 3");
    browser.see("[role=dialog] input").sendKeys("Lifted there in the wet");
    browser.click("[role=dialog] button.btn-primary");
    browser.seeText("header", "revision 3");
    JsonNode page = scripts.get("/api" + book + "/revisions/3").body().path("pages").get(9);
    assertThat(page.at("/lift/to_pct").asDouble()).isEqualTo(50);
    assertThat(page.at("/lift/target/thing").asString()).contains("pine");
    assertThat(page.at("/phases/0/kind").asString()).isEqualTo("lift");
    assertThat(page.at("/sources/phases").asString()).isEqualTo("driver");
    browser.open(book + "/calls");
    browser.seeText("[data-calls]", "Half a lift");
  }
}
