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

/** A driver tells points by what he sees, warns himself, and writes what he does on cold tyres. */
@ServerTest
class AnnotationsJourneyTest {
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

  private JsonNode page(int revision, int corner) {
    return scripts
        .get("/api" + book + "/revisions/" + revision)
        .body()
        .path("pages")
        .get(corner - 1);
  }

  private void keep(String why) {
    browser.press("Keep as revision 3");
    browser.see("[role=dialog] input").sendKeys(why);
    browser.click("[role=dialog] button.btn-primary");
    browser.seeText("header", "revision 3");
  }

  /** A throttle point by what leaves sight, an exit by an aim; said, and kept. */
  @Test
  void pointsAreToldByWhatIsSeenFromTheSeat() {
    browser.open(book + "/corner/5");
    browser.click("[data-tell-points] summary");
    browser.see("[aria-label='Mark for throttle']");
    browser.choose("[aria-label='Mark for throttle']", "leaves-sight|marshal post 5");
    browser.seeText("[data-told-point=throttle]", "where marshal post 5 leaves sight, right");
    browser.type("[aria-label='Said of throttle']", "wait for the post");
    browser.seeText("[data-told-point=throttle]", "said “wait for the post”");
    keep("Throttle by the post");
    JsonNode told = page(3, 5).path("at").get(0);
    assertThat(told.path("by").asString()).isEqualTo("leaves-sight");
    assertThat(told.at("/target/by").asString()).isEqualTo("leaves-sight");
    browser.open(book + "/calls");
    browser.seeText("[data-calls]", "Wait for the post.");
    browser.seeText("[data-ten-seconds]", "In ten seconds:");
    browser.seeText("[data-quiet]", "s after");

    browser.open(book + "/corner/3");
    browser.seeText("[data-told-point=exit]", "towards the hythe wall");
  }

  /** A gate is told in car widths and checked against the lap; one off the road is refused. */
  @Test
  void aGateIsCheckedAgainstTheLap() {
    browser.open(book + "/corner/8");
    browser.click("[data-add-gate] summary");
    browser.press("Set it");
    browser.seeText("[data-gates]", "off the left line");
    browser.seeText("[data-gates]", "the lap");
    browser.see("[data-gate='here']");
    browser.press("Undo");
    browser.seeText("[data-gates]", "None");
    browser.choose("[aria-label='What counts']", "straight");
    browser.press("Set it");
    browser.seeText("[data-gates]", "the car still turns");
  }

  /** A danger goes along; what is written for cold tyres is said on the first laps only. */
  @Test
  void warningsAndColdValuesTravel() {
    browser.open(book + "/corner/9");
    browser.click("[data-add-note] summary");
    browser.type("[aria-label='Text of the note']", "wall right");
    browser.press("Note it");
    browser.seeText("[data-point-notes]", "Danger at the point exit, to fear: wall right");
    browser.click("[data-write-days] summary");
    browser.type("[data-write-days] [data-field='Brake earlier'] input", "9");
    browser.seeText("[data-own-day=cold]", "brake 9 m earlier");
    browser.type("[data-write-days] [data-field='Gear in the corner'] input", "2");
    browser.seeText("[data-own-day=cold]", "gear 2");
    keep("What the quarry does");

    browser.open(book + "/calls");
    browser.seeText("[data-calls]", "Careful. Brake");
    browser.choose("[data-pace]", "0.7");
    browser.seeText("[data-calls]", "Careful. Wall right. Brake");
    browser.choose("[data-lap]", "1");
    browser.seeText("[data-calls]", "Second gear.");
    JsonNode day = page(3, 9).at("/variants/cold");
    assertThat(day.path("gears.corner").asInt()).isEqualTo(2);
    double moved = page(3, 9).at("/brake/at_m").asDouble() - day.path("brake.at_m").asDouble();
    assertThat(moved).isBetween(8.9, 9.1);
  }

  /** The demo's own: danger, notice of the officials and cold laps stand in the next brief. */
  @Test
  void theBriefSaysDangerNoticesAndTheFirstLaps() {
    String demo = scripts.get("/api/books").body().at("/0/id").asString();
    String next = "";
    for (JsonNode session : scripts.get("/api/books/" + demo + "/sessions").body()) {
      next = session.path("driven").asBoolean() ? next : session.path("id").asString();
    }
    browser.open("/books/" + demo + "/sessions/" + next + "/brief");
    browser.seeText("[data-brief]", "danger, exit: wall close beyond the exit kerb");
    browser.seeText("[data-brief]", "limits left: one wheel stays inside the white line");
    browser.seeText("[data-brief]", "laps 1 to 3: brake 9 m earlier, no exit kerb");
    browser.seeText("[data-ten-seconds]", "brake hard into Quarry");
    browser.seeText("[data-quiet]", "time for a gauge or a board");
    browser.open("/books/" + demo + "/corner/1");
    browser.seeText("[data-limit-notices]", "else 5 s are added (race)");
  }
}
