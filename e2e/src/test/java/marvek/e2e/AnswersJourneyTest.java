package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a driver asks a page, the car and another book. */
@ServerTest
class AnswersJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private void openCorner(int number) {
    browser.openBook();
    browser.click("nav[aria-label='Corners'] a[aria-label^='" + number + " ']");
    browser.see("[role=tablist]");
  }

  @Test
  void theSchoolsAreDrawnComparedAndOneOfThemDriven() {
    openCorner(4);
    browser.press("Ways through");
    browser.see("[data-school=fastest]");
    assertThat(browser.text("[data-school=fastest]")).contains("the same");
    browser.seeCount("[data-line]", 3);
    browser.click("[data-school=v] input");
    browser.seeCount("[data-line]", 4);
    browser.click("[data-school=v] button");
    browser.seeText("aside", "1 change");
    browser.seeText("[data-answer]", "slower");
    browser.seeText("[data-school=v]", "driven");
    browser.press("In words");
    browser.see("ol");
    browser.press("Undo");
    browser.seeText("aside", "no changes");
  }

  @Test
  void theLinkOfTwoCornersIsSlidAlong() {
    openCorner(6);
    browser.press("The link");
    browser.seeText("[data-way]", "Weir Out");
    String quickest = browser.text("[data-way]");
    // The book is on the fastest line, and says so.
    browser.seeText("[data-own]", "No place is quicker");
    browser.see("[data-link]").sendKeys(Keys.HOME);
    browser.seeText("[data-way]", "left of the middle");
    assertThat(browser.text("[data-way]")).isNotEqualTo(quickest);
    browser.press("To the quickest");
    browser.seeText("[data-way]", quickest.lines().findFirst().orElseThrow());
  }

  @Test
  void theGearsOfACornerAreExplained() {
    openCorner(5);
    browser.press("Gears");
    browser.seeText("[data-gears]", "the model's choice");
    assertThat(browser.text("[data-gears]")).contains("slower").contains("rpm");
    assertThat(browser.text("[role=tabpanel]")).contains("Before the brakes");
  }

  @Test
  void otherDaysAreToldCornerByCorner() {
    openCorner(4);
    browser.press("Other days");
    browser.seeText("[data-day=wet]", "earlier");
    assertThat(browser.text("[data-day=wet]")).contains("slower at the lowest");
    assertThat(browser.text("[data-day=cold-first-lap]")).contains("slower");
    browser.seeCount("[data-line]", 1);
    browser.key("c");
    browser.seeText("h1", "What changed");
  }

  @Test
  void theLapIsSpokenAndPlayedAtAPace() {
    browser.openBook();
    browser.key("o");
    browser.seeText("[data-calls]", "before the 150 board");
    assertThat(browser.text("main")).contains("1:53");
    browser.choose("[data-pace]", "0.8");
    browser.seeText("main", "2:21");
    browser.press("Play the lap");
    browser.press("Stop");
    browser.see("[data-calls]");
  }

  @Test
  void theCarShowsItsBalanceAndASheetIsUsedAndComparedAndWritten() {
    browser.openBook();
    browser.click("header a[href$='/car']");
    browser.seeText("[data-effects]", "5 % less grip");
    assertThat(browser.text("[data-zones]")).contains("1 Sluice").contains("rear");
    assertThat(browser.text("[data-final-drives]")).contains("as it is");
    browser.press("Compare", "[data-sheets]");
    browser.seeText("[data-sheet-comparison]", "Wing setting");
    assertThat(browser.text("[data-sheet-comparison]")).contains("not computed").contains("69 %");
    browser.press("New sheet");
    browser.see("[role=dialog] input[required]").clear();
    String name = "Sheet " + UUID.randomUUID();
    browser.see("[role=dialog] input[required]").sendKeys(name);
    browser.press("Keep the sheet");
    browser.seeText("[data-sheets]", name);
    browser.press("Use", "[data-sheets]");
    browser.seeText("aside", "1 change");
    browser.seeText("[data-sheets]", "in this draft");
  }

  @Test
  void anotherVehicleIsLaidBeside() {
    browser.openBook();
    browser.click("header a[href$='/compare']");
    browser.chooseWords("[data-beside]", "Harrowfen Park, Sandpiper Single-Seater");
    browser.seeText("[data-beside-table]", "a straight");
    assertThat(browser.text("[data-beside-table]")).contains("stays flat").contains("later");
  }

  @Test
  void anotherLineIsTriedForTheWholeLap() {
    browser.openBook();
    browser.choose("[data-line-choice]", "smooth");
    browser.seeText("aside", "slower");
    assertThat(browser.text("aside")).contains("1 change");
    browser.seeText("[data-other-line]", "The fastest line is mostly");
    browser.choose("[data-line-choice]", "fastest");
    browser.seeNoMore("[aria-label=Draft]");
  }

  @Test
  void theSecondSaverSeesBothAndChooses() {
    String page = "/books/" + bookOf("Kestrel") + "/corner/3";
    browser.open(page);
    browser.see("textarea");
    try (Browser other = new Browser(port)) {
      other.open(page);
      other.see("textarea");
      type(browser, "what the first one saw");
      type(other, "what the second one saw");
      keep(browser, "first");
      browser.seeNoMore("aside");
      other.seeText("aside", "1 change");
      keep(other, "second");
      other.seeText("[data-settle]", "what the first one saw");
      assertThat(other.text("[data-settle]")).contains("what the second one saw");
      other.click("[data-settle] tbody tr:last-child td:last-child input");
      other.press("Go on from revision");
      other.seeText("aside", "1 change");
      keep(other, "second, on top of the first");
      other.seeNoMore("aside");
      assertThat(other.see("textarea").getDomProperty("value"))
          .isEqualTo("what the second one saw");
    }
  }

  /** Not the book that other journeys keep revisions of. */
  private String bookOf(String vehicle) {
    for (var book : new Scripts(http).get("/api/books").body()) {
      boolean there = book.path("circuit").asString().startsWith("Harrowfen");
      if (there && book.path("name").asString().contains(vehicle)) {
        return book.path("id").asString();
      }
    }
    throw new AssertionError("no demo book of the " + vehicle);
  }

  private static void type(Browser browser, String words) {
    browser.see("textarea").clear();
    browser.see("textarea").sendKeys(words, Keys.TAB);
    browser.seeText("aside", "change");
  }

  private static void keep(Browser browser, String reason) {
    browser.press("Keep as revision");
    browser.see("[role=dialog] input").sendKeys(reason);
    browser.click("[role=dialog] button.btn-primary");
  }

  /** A value of the car is changed, seen in the lap, put back, and kept as another car's. */
  @Test
  void everyValueOfTheCarCanBeTriedAndKeptAsAnotherCar() {
    browser.openBook();
    browser.key("v");
    String mass = "input[aria-label^='Mass without driver']";
    String was = browser.value(mass);
    browser.type(mass, "900");
    browser.seeText("[data-tried]", "One value changed");
    browser.seeText("[data-tried]", "faster");
    browser.click("[aria-label='Mass without driver and fuel: as it was']");
    browser.seeText("[data-tried]", "As it is");
    browser.seeValue(mass, was);
    browser.type(mass, "-4");
    browser.seeText("[data-field^='Mass'] [role=alert]", "0");
    browser.type(mass, "900");
    browser.type("input[aria-label='Final drive']", "4.1");
    browser.seeText("[data-tried]", "2 values changed");
    browser.press("Keep as another car");
    browser.see("[data-name]").clear();
    browser.see("[data-name]").sendKeys("Coupé, stripped", Keys.ENTER);
    browser.seeText("h1", "Coupé, stripped");
    browser.seeValue(mass, "900");
    assertThat(browser.path()).endsWith("/car");
  }
}
