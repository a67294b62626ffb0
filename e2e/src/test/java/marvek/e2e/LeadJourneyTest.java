package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** An instructor's day with four drivers. */
@ServerTest
class LeadJourneyTest {
  private static final String[] DRIVERS = {"Ada Brook", "Ben Lund", "Cleo Marsh", "Dov Stein"};

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private Scripts scripts;
  private String session;
  private String screen;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo();
    String first = scripts.get("/api/books/" + id + "/sessions").body().at("/0/id").asString();
    session = "/api/sessions/" + first;
    screen = "/books/" + id + "/sessions/" + first + "/lead";
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private void putTheGroupTogether() {
    browser.open(screen.replace("/lead", "/brief"));
    browser.click("a[href$='/lead']");
    browser.see("[data-group]");
    for (int k = 0; k < DRIVERS.length; k++) {
      browser.type("form input[maxlength='80']", DRIVERS[k]);
      browser.press("Add", "main");
      browser.see("[data-group] li:nth-child(" + (k + 1) + ")");
    }
  }

  @Test
  void twoLapsWithRemarksTakenAndOpenAndOneWhoLeaves() {
    putTheGroupTogether();
    browser.click("#lead-road");
    browser.seeText("[data-lap]", "lap 1 of 12");
    browser.seeText("[data-line] li:first-child", "Ada Brook");
    // One touch: the corner stays chosen, the word is said.
    browser.click("[data-corner='4']");
    browser.press("Wait for throttle", "[data-words]");
    browser.seeText("[data-open]", "4 Long Hythe: Wait for throttle");
    browser.click("[data-driver='cleo-marsh']");
    browser.click("[data-corner='1']");
    browser.press("Early", "[data-words]");
    browser.seeText("[data-open]", "1 Sluice: Early");
    browser.type("[aria-label='Other words']", "Look through the gap in the trees");
    browser.click("section[aria-label='A remark'] input[type='checkbox']");
    browser.press("Say it");
    browser.seeText("[data-open]", "gap in the trees");
    browser.seeText("[data-open]", "own words");
    browser.press("✓ Good", "[data-words]");
    browser.seeText("[data-closed]", "1 Sluice: Good");

    // The next lap: what is open stands there for its driver.
    browser.click("[aria-label='Next lap']");
    browser.seeText("[data-lap]", "lap 2 of 12");
    browser.press("✓ Taken", "[data-open] li:first-child");
    browser.seeText("[data-closed]", "taken on lap 2");
    browser.press("✕ Not yet", "[data-open]");
    browser.seeText("[data-for='cleo-marsh']", "0 open");
    browser.click("[data-driver='ada-brook']");
    browser.seeText("[data-for='ada-brook'] h2", "1 open");

    // Cleo goes home; what she was told stays, and the line closes up.
    browser.click("#lead-group");
    browser.press("Cleo leaves");
    browser.seeText("[data-member='cleo-marsh']", "gone from lap 2");
    browser.click("#lead-road");
    browser.seeNoMore("[data-line] [data-driver='cleo-marsh']");
    browser.seeText("[data-next]", "From lap 3: Ben Lund");
    browser.click("[data-driver='cleo-marsh']");
    browser.seeText("[data-closed]", "1 Sluice: Early");
    browser.reload();
    browser.seeText("[data-lap]", "lap 2 of 12");
    browser.click("#lead-sheets");
    browser.seeText("[data-sheets]", "1 of 2 taken");
    String sheet = browser.see("[data-sheet='cleo-marsh']").getAttribute("href");
    byte[] pdf = scripts.download(sheet.substring(sheet.indexOf("/api/")));
    assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    JsonNode remarks = scripts.get(session + "/lead").body().path("remarks");
    assertThat(remarks.findValuesAsString("state"))
        .containsExactly("open", "taken", "not-taken", "taken");
  }

  @Test
  void conesBriefAndCallsBelongToTheDay() {
    putTheGroupTogether();
    browser.click("#lead-cones");
    browser.click("[aria-label='apex of corner 1']");
    browser.seeText("[data-cones]", "past the page’s point");
    browser.click("[aria-label='brake of corner 1']");
    browser.seeText("h2", "Standing today: 2");
    browser.press("Undo");
    browser.seeText("h2", "Standing today: 1");
    browser.click("#lead-brief");
    int items = browser.count("[data-brief] li");
    browser.click("[data-brief] li:first-child input");
    browser.seeText("#lead-brief", (items - 1) + " to say");
    browser.click("#lead-calls");
    browser.seeText("[data-calls]", "s before");
    browser.seeText("[data-standing]", "cone at the apex point");
    JsonNode day = scripts.get(session + "/lead").body().path("day");
    assertThat(day.at("/cones/0/point").asString()).isEqualTo("apex");
    assertThat(day.at("/safetyBrief/0/done").asBoolean(false)).isTrue();
  }
}
