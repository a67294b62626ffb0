package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** Every screen in both themes against axe-core's rules (WCAG 2.x A and AA among them). */
@ServerTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessibilityTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;

  /** One window for all: what it remembers of one screen changes nothing of another. */
  @BeforeAll
  void start() {
    browser = new Browser(port);
    browser.withoutMotion();
  }

  @AfterAll
  void end() {
    browser.close();
  }

  @ParameterizedTest
  @CsvSource({
    "'', table",
    "/corner/4, article",
    "/compare, table",
    "/car, [data-zones]",
    "/calls, [data-calls]",
    "/sessions, [data-sessions]",
    "/sessions/NEXT, [data-keeping]",
    "/sessions/NEXT/prepare, [data-changes]",
    "/sessions/NEXT/brief, [data-brief]",
    "/sessions/NEXT/debrief, [data-laps-in]",
    "/sessions/DRIVEN/debrief, [data-findings]",
    "/sessions/DRIVEN/review, [data-proposals]",
    "/rehearse, [data-question]",
    "/rehearse/stopwatch, [data-pad]",
    "/rehearse/run, [data-begin]",
    "/rehearse/before, [data-before]",
    "/steps, [data-steps]"
  })
  void noSeriousViolationOfTheBook(String screen, String there) {
    String book = "/books/" + demo().path("id").asString();
    browser.open(
        book + screen.replace("NEXT", session(book, 1)).replace("DRIVEN", session(book, 0)));
    browser.see(there);
    assertNoSeriousViolation();
  }

  @ParameterizedTest
  @CsvSource({
    "/shelf, ul",
    "/new, form",
    "/circuits/new, ul",
    "/circuits/ID, [data-strip]",
    "/circuits/ID/walk, ul"
  })
  void noSeriousViolationBesideTheBook(String screen, String there) {
    browser.open(screen.replace("ID", demo().path("circuitId").asString()));
    browser.see(there);
    assertNoSeriousViolation();
  }

  private JsonNode demo() {
    for (JsonNode book : new Scripts(http).get("/api/books").body()) {
      if (book.path("name").asString().equals("Harrowfen Park, Teal Coupé")) {
        return book;
      }
    }
    throw new AssertionError("the demo's book is not there");
  }

  /** A session of the demo's weekend: the one that was driven, or the one that is before him. */
  private String session(String book, int place) {
    return new Scripts(http)
        .get("/api" + book + "/sessions")
        .body()
        .at("/" + place + "/id")
        .asString();
  }

  @ParameterizedTest
  @CsvSource({
    "Ways through, [data-ways]",
    "The link, [data-way]",
    "Gears, [data-gears]",
    "Other days, [data-days]",
    "Purposes, [data-purposes]"
  })
  void noSeriousViolationOnAPanelOfAPage(String panel, String there) {
    browser.open("/books/" + demo().path("id").asString() + "/corner/6");
    browser.press(panel);
    browser.see(there);
    assertNoSeriousViolation();
  }

  /** The demo's track day, with its group and remarks. */
  @Test
  void noSeriousViolationOnALedDay() {
    browser.open(ledDay());
    for (String tab : List.of("road", "group", "cones", "calls", "brief", "sheets")) {
      browser.click("#lead-" + tab);
      browser.see(tab.equals("road") ? "[data-open]" : "[data-" + tab + "]");
      assertNoSeriousViolation();
    }
  }

  private String ledDay() {
    for (JsonNode session : new Scripts(http).get("/api/sessions").body()) {
      if (session.at("/session/kind").asString().equals("track-day")) {
        return "/books/"
            + session.path("bookId").asString()
            + "/sessions/"
            + session.path("id").asString()
            + "/lead";
      }
    }
    throw new AssertionError("the demo has no led day");
  }

  /** Only colours differ between the themes: the second one is looked at for contrast alone. */
  private void assertNoSeriousViolation() {
    browser.wear("paper");
    assertThat(seriousViolations(axe())).as("paper").isEmpty();
    browser.wear("garage");
    assertThat(seriousViolations(axe().withRules(List.of("color-contrast"))))
        .as("garage")
        .isEmpty();
  }

  /**
   * Marvek has no frames, so that it need not be asked within each from an empty window; and only
   * what is wrong is told, since half of the time goes into where each thing stands that is right.
   */
  private static AxeBuilder axe() {
    AxeRunOptions options = new AxeRunOptions();
    options.setResultTypes(List.of("violations"));
    return new AxeBuilder().setLegacyMode(true).withOptions(options);
  }

  private List<String> seriousViolations(AxeBuilder axe) {
    return axe.analyze(browser.driver()).getViolations().stream()
        .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
        .map(AccessibilityTest::told)
        .toList();
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().map(n -> n.getHtml()).toList();
  }
}
