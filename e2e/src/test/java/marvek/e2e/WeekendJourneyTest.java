package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** A weekend of three sessions, from a dry practice over a wet qualifying to the race. */
@ServerTest
class WeekendJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private String book;
  private JsonNode sessions;

  /** A copy of the demo's book with its weekend, so that nobody else's changes matter. */
  @BeforeEach
  void start() {
    browser = new Browser(port);
    Scripts scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo();
    book = "/books/" + id;
    sessions = scripts.get("/api" + book + "/sessions").body();
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private String session(int index) {
    return book + "/sessions/" + sessions.get(index).path("id").asString();
  }

  @Test
  void aWetQualifyingIsPreparedFromADryPracticeBriefedAndPrinted() throws IOException {
    browser.open(book + "/sessions");
    browser.seeText("[data-sessions]", "to be prepared");
    browser.seeCount("[data-sessions] li", 3);
    browser.click("[data-sessions] li:nth-child(2) a");
    browser.seeText("h1", "Qualifying");
    browser.click("a[href$='/prepare']");
    browser.seeText("[data-conditions]", "surface dry → wet");
    String parent = browser.text("[data-conditions]");
    assertThat(parent).contains("fuel");

    // The first page by hand: one value altered, one left, the rest accepted.
    browser.seeText("h2", "1 Sluice");
    press("Brake point", "Alter");
    browser.type("input[aria-label^='Brake point, altered']", "-65");
    browser.seeText("[data-change='brake.at_m']", "65 m earlier");
    press("Kerb at the exit", "Leave");
    browser.see("[data-change='kerbs.exit'] button[aria-pressed='true']");
    browser.key("a");
    browser.seeText("h2", "2 Orchard");
    browser.press("Accept all that is left");
    browser.seeText("form", "all is decided");
    browser.press("Issue revision");
    browser.seeText("[data-issued]", "is issued for this session");

    browser.click("[data-issued] a");
    browser.seeText("[data-brief]", "brake 65 m earlier");
    assertThat(browser.count("[data-not-prepared]")).isZero();
    browser.seeCount("[data-focus] li", 3);
    browser.seeCount("[data-warm-up] li", 4);
    assertThat(browser.text("[data-targets]")).contains("expert").contains("beginner");

    browser.click("nav [data-cards]");
    String card = browser.see("[data-item=a5]").getDomProperty("href");
    try (var in = URI.create(card).toURL().openStream();
        PDDocument document = Loader.loadPDF(in.readAllBytes())) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text).contains("Qualifying, ").contains("Revision 3").contains("wet road");
      assertThat(text).contains("Targets: ");
    }
    browser.open(book + "/calls");
    browser.seeText("[data-calls]", "Sluice. Careful. Brake");
    browser.click("[data-radio]");
    browser.press("Play the lap");
    browser.see("[data-car]");
    browser.seeText("[data-heard]", "kerb");
    browser.press("Stop");
  }

  private void press(String value, String button) {
    browser.click(
        "[role=group][aria-label='"
            + value
            + ": what to do'] button:nth-child("
            + at(button)
            + ")");
  }

  private static int at(String button) {
    return switch (button) {
      case "Accept" -> 1;
      case "Leave" -> 2;
      default -> 3;
    };
  }

  @Test
  void whatWasDrivenIsWhereTheNextBegins() {
    browser.open(session(1));
    browser.type("[data-field='Laps'] input", "9");
    browser.type("[data-field='Best'] input", "2:13.2");
    browser.type("input[aria-label='What to look at']", "Second gear there");
    browser.choose("select[aria-label='Corner of the point']", "4");
    browser.press("Add");
    browser.seeText("[data-keeping]", "Kept");
    browser.press("Plan the next from this one");
    // Title and reminder stand on the screen left behind, too: only the address tells them apart.
    String driven = sessions.get(1).path("id").asString();
    browser.until("the next session's address", () -> !browser.path().contains(driven));
    browser.seeText("h1", "Qualifying");
    browser.seeText("main", "Second gear there");
    assertThat(browser.value("[data-field='Laps on it'] input")).isEqualTo("13");
    browser.reload();
    browser.seeText("main", "Second gear there");
  }

  @Test
  void whatCannotBeIsToldAtItsField() {
    browser.open(session(1));
    browser.type("[data-field='Wind from'] input", "400");
    browser.seeText("[data-field='Wind from'] [role=alert]", "between 0 ° and 360 °");
    browser.type("[data-field='Laps on it'] input", "1900");
    browser.set(
        "[data-field='In use since'] input",
        browser.value("[data-field='Hour'] input").substring(0, 10));
    browser.seeText("[data-field='Laps on it'] [role=alert]", "more than could be driven");
    browser.seeText("[data-keeping]", "not kept yet");
    browser.press("put it back");
    browser.seeText("[data-keeping]", "Kept");

    browser.set("[data-field='Hour'] input", "2027-03-28T01:30");
    browser.seeText("[data-field='Hour'] [role=alert]", "clocks go forward");
    browser.set("[data-field='Hour'] input", "2020-05-01T10:00");
    browser.seeText("[data-field='Hour'] [role=alert]", "before the layout was as the book has it");
    browser.set("[data-field='Hour'] input", "2027-10-31T01:30");
    browser.see("[data-field='That hour comes twice']");
    browser.seeText("[data-keeping]", "Kept");

    browser.press("+ another part");
    browser.type("input[aria-label^='Part 1 to']", "99000");
    browser.seeText("[data-part='0'] [role=alert]", "cannot be");
    browser.click("button[aria-label='Remove part 1']");
    browser.seeText("[data-keeping]", "Kept");

    browser.open(book + "/sessions");
    browser.set("[data-field='Hour at the circuit'] input", "2020-05-01T10:00");
    browser.press("Plan it");
    browser.seeText(
        "[data-field='Hour at the circuit'] [role=alert]", "before the layout was as the book");
  }

  @Test
  void theWeatherStationIsAskedAndAnHourOfItExpected() {
    browser.open(session(2));
    browser.press("Ask the weather station");
    browser.see("[data-forecast]");
    browser.seeCount("[data-forecast] tbody tr", 4);
    String air = browser.text("[data-forecast] tbody tr:nth-child(2) td:nth-child(3)");
    browser.click("[data-forecast] tbody tr:nth-child(2) button");
    browser.seeText("[data-keeping]", "Kept");
    assertThat(Double.parseDouble(browser.value("[data-field='Air'] input")))
        .isCloseTo(
            Double.parseDouble(air.replace(" °C", "").replace('−', '-')),
            org.assertj.core.api.Assertions.within(0.51));
  }

  @Test
  void aBrakePointIsWorkedUpToStepByStep() {
    browser.open(book + "/steps");
    browser.seeText("[data-step='9'] [data-state]", "not begun");
    browser.press("Begin", "[data-step='9']");
    browser.seeText("[data-step='9'] [data-state]", "step 1 of");
    for (int lap = 1; lap <= 2; lap++) {
      browser.press("Made it", "[data-step='9']");
      browser.seeText("[data-step='9'] [data-state]", lap + " good");
    }
    browser.press("Made it", "[data-step='9']");
    browser.seeText("[data-step='9'] [data-state]", "step 2 of");
    browser.press("Missed", "[data-step='9']");
    browser.seeText("[data-step='9'] [data-state]", "1 missed");
    browser.reload();
    browser.seeText("[data-step='9'] [data-state]", "step 1 of");
    browser.press("Forget", "[data-step='9']");
    browser.seeText("[data-step='9'] [data-state]", "not begun");
  }

  @Test
  void purposesOfACornerShowTheirCost() {
    browser.open(book + "/corner/4");
    browser.press("Purposes");
    browser.seeText("[data-purposes]", "Qualifying");
    assertThat(browser.driver().findElements(By.cssSelector("[data-purpose]")))
        .hasSizeGreaterThanOrEqualTo(7);
    assertThat(browser.text("[data-saving]")).contains("A tenth buys most at corner");
  }
}
