package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A driver learns the book before the session. */
@ServerTest
class RehearseJourneyTest {
  private static final String STRIP = "svg[aria-labelledby='strip-title']";

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo("learned");
    book = "/books/" + id;
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @Test
  void aRoundIsAskedOnTheRoadWithTheAnswerHidden() {
    browser.open(book);
    browser.click("a[href$='/rehearse']");
    browser.see("[data-question='1 brake-mark']");
    assertThat(browser.text(STRIP)).as("nothing tells the answer").doesNotContain("gear");
    browser.press("Show the answer");
    browser.seeText("[data-answer]", "150 board");
    assertThat(browser.text(STRIP)).contains("gear");
    browser.press("At once");
    browser.see("[data-question='1 gear']");
    // By keys: the answer with the space bar, the grade with its figure; no page is turned.
    browser.leaveField();
    browser.key(" ");
    browser.see("[data-answer]");
    browser.key("1");
    browser.see("[data-question='1 turn-in-mark']");
    browser.seeText("[data-known]", "1 right in this round");
    browser.reload();
    browser.seeText("[data-known]", "1 of ");
    browser.see("[data-question='1 turn-in-mark']");
  }

  /** A changed corner comes first: what was learned beside what holds now. */
  @Test
  void aChangedCornerIsLearnedAnew() {
    scripts.post("/api" + book + "/recall", "{\"corner\": 8, \"kind\": \"gear\", \"quality\": 5}");
    int number = scripts.get("/api" + book).body().path("revisions").size();
    JsonNode revision = scripts.get("/api" + book + "/revisions/" + number).body();
    int gear = revision.at("/pages/7/gears/corner").asInt(0);
    ObjectNode draft = (ObjectNode) revision.deepCopy();
    draft.retain("conditions", "line", "ownValues");
    draft.put("parent", number).put("reason", "A gear lower at Bellmouth");
    draft.withArray("ownValues").addObject().put("corner", 8).put("gears.corner", gear - 1);
    scripts.post("/api" + book + "/revisions", draft);
    browser.open(book + "/rehearse");
    browser.see("[data-question='8 gear']");
    browser.press("Show the answer");
    browser.seeText("[data-answer]", "gear " + (gear - 1));
    browser.seeText("[data-before]", "You learned: gear " + gear);
  }

  /** A lap in the head by the space bar: at the line, at each brake point, at the line. */
  @Test
  void aLapInTheHeadIsTappedAndLaidBesideThePages() throws InterruptedException {
    int beats = scripts.get("/api" + book + "/stopwatch").body().path("beats").size();
    browser.open(book + "/rehearse/stopwatch");
    browser.seeText("main", (beats + 1) + " taps make a lap");
    browser.leaveField();
    browser.key(" ");
    browser.seeText("[data-pad]", "0 of " + beats);
    browser.press("Break the lap off");
    browser.seeText("[role=status]", "The lap was not kept");
    browser.leaveField();
    for (int tap = 0; tap <= beats; tap++) {
      browser.key(" ");
      Thread.sleep(220);
    }
    browser.seeText("[data-lap-in-the-head]", "in the head");
    browser.seeCount("[data-lap-in-the-head] tbody tr", beats);
    assertThat(browser.text("[data-lap-in-the-head]")).contains("fast: something is left out");
    JsonNode kept = scripts.get("/api" + book + "/stopwatch").body().path("laps");
    assertThat(kept).hasSize(1);
    assertThat(kept.at("/0/imagined_s").asDouble(0)).isGreaterThan(0.2 * beats);
    browser.press("Forget");
    browser.seeText("main", "taps make a lap");
  }

  /** Three corners to work on, what is new, what stands in the way. */
  @Test
  void theLastTenMinutesAreForFocusChangesAndHazards() {
    browser.open(book + "/rehearse/before");
    browser.seeText("[data-left]", ":");
    for (int k = 0; k < 3; k++) {
      browser.see("[data-before^='focus']");
      assertThat(browser.count("[data-answer]")).as("said aloud first").isZero();
      browser.press("Show it");
      browser.see("[data-answer]");
      browser.press("Next");
    }
    while (browser.count("[data-before^='changed']") > 0) {
      browser.leaveField();
      browser.key(" ");
      browser.see("[data-answer]");
      browser.key(" ");
      browser.seeNoMore("[data-answer]");
    }
    browser.seeText("[data-last-look]", "Flags, marshals");
    browser.press("Once more");
    browser.see("[data-before^='focus']");
  }

  /** In the demo itself: what was learned before the second revision comes first. */
  @Test
  void theDemoAsksWhatItsSecondRevisionChangedFirst() {
    browser.openBook();
    browser.click("a[href$='/rehearse']");
    browser.see("[data-question]");
    browser.press("Show the answer");
    browser.seeText("[data-before]", "You learned");
  }

  /** What is being edited is neither asked nor lost. */
  @Test
  void anEditThatIsNotKeptOutlivesRehearsing() {
    browser.open(book + "/corner/1");
    String brake = "input[aria-label^='Brake point']";
    browser.see(brake);
    int before = Integer.parseInt(browser.value(brake));
    browser.type(brake, String.valueOf(before + 10));
    browser.seeText("aside", "1 change");
    browser.click("a[href$='/rehearse']");
    browser.see("[data-question='1 brake-mark']");
    browser.click("a[href$='/rehearse/run']");
    browser.see("[data-begin]");
    browser.click("a[href$='/rehearse/before']");
    browser.see("[data-before]");
    browser.seeText("aside", "1 change");
    browser.open(book + "/corner/1");
    browser.seeText("aside", "1 change");
  }
}
