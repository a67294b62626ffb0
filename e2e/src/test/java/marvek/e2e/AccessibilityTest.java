package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** Every screen in both themes against axe-core's rules (WCAG 2.x A and AA among them). */
@ServerTest
class AccessibilityTest {
  private static final Set<String> SEEN_WHOLE = new HashSet<>();

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

  @ParameterizedTest
  @CsvSource({
    "paper, '', table",
    "garage, '', table",
    "paper, /corner/4, article",
    "garage, /corner/8, article",
    "paper, /compare, table",
    "garage, /compare, table",
    "paper, /car, [data-zones]",
    "garage, /calls, [data-calls]",
    "garage, /car, [data-zones]",
    "paper, /calls, [data-calls]",
    "paper, /sessions, [data-sessions]",
    "garage, /sessions, [data-sessions]",
    "paper, /sessions/NEXT, [data-keeping]",
    "garage, /sessions/NEXT, [data-keeping]",
    "paper, /sessions/NEXT/prepare, [data-changes]",
    "garage, /sessions/NEXT/prepare, [data-changes]",
    "paper, /sessions/NEXT/brief, [data-brief]",
    "garage, /sessions/NEXT/brief, [data-brief]",
    "paper, /sessions/NEXT/debrief, [data-laps-in]",
    "garage, /sessions/DRIVEN/debrief, [data-findings]",
    "paper, /sessions/DRIVEN/review, [data-proposals]",
    "paper, /rehearse, [data-question]",
    "garage, /rehearse/stopwatch, [data-pad]",
    "garage, /rehearse/run, [data-begin]",
    "paper, /rehearse/before, [data-before]",
    "paper, /steps, [data-steps]",
    "garage, /steps, [data-steps]",
    "paper, /shelf, ul",
    "garage, /new, form",
    "paper, /circuits/new, ul",
    "paper, /circuits/ID, [data-strip]",
    "garage, /circuits/ID, [data-strip]",
    "paper, /circuits/ID/walk, ul"
  })
  void noSeriousViolation(String theme, String screen, String there) {
    boolean ofTheBook =
        screen.isEmpty() || screen.matches("/(corner|compare|car|calls|sessions|steps|rehearse).*");
    JsonNode demo = demo();
    String book = "/books/" + demo.path("id").asString();
    String circuit = "/circuits/" + demo.path("circuitId").asString();
    browser.begin(theme);
    browser.open(
        ofTheBook
            ? book + screen.replace("NEXT", session(book, 1)).replace("DRIVEN", session(book, 0))
            : screen.replace("/circuits/ID", circuit));
    browser.see(there);
    assertThat(seriousViolations(screen)).isEmpty();
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
    "paper, Ways through, [data-ways]",
    "garage, The link, [data-way]",
    "garage, Gears, [data-gears]",
    "paper, Other days, [data-days]",
    "garage, Purposes, [data-purposes]"
  })
  void noSeriousViolationOnAPanelOfAPage(String theme, String panel, String there) {
    browser.begin(theme);
    browser.open("/books/" + demo().path("id").asString() + "/corner/6");
    browser.press(panel);
    browser.see(there);
    assertThat(seriousViolations(panel)).isEmpty();
  }

  /** The demo's track day, with its group and remarks. */
  @ParameterizedTest
  @CsvSource({
    "paper, road, [data-open]",
    "garage, road, [data-open]",
    "paper, group, [data-group]",
    "garage, cones, [data-cones]",
    "paper, calls, [data-calls]",
    "garage, brief, [data-brief]",
    "paper, sheets, [data-sheets]"
  })
  void noSeriousViolationOnALedDay(String theme, String tab, String there) {
    browser.begin(theme);
    browser.open(ledDay());
    browser.click("#lead-" + tab);
    browser.see(there);
    assertThat(seriousViolations("lead " + tab)).isEmpty();
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

  /**
   * Only colours differ between the themes: a screen's second one is looked at for contrast alone.
   */
  private List<String> seriousViolations(String screen) {
    AxeBuilder axe = new AxeBuilder();
    if (!SEEN_WHOLE.add(screen)) {
      axe.withRules(List.of("color-contrast"));
    }
    return axe.analyze(browser.driver()).getViolations().stream()
        .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
        .map(AccessibilityTest::told)
        .toList();
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().map(n -> n.getHtml()).toList();
  }
}
