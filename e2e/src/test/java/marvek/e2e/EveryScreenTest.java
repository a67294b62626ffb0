package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
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

/**
 * Every screen in both themes: that it fits what is held in the hand, and axe-core's rules (WCAG
 * 2.x A and AA among them).
 */
@ServerTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class EveryScreenTest {
  private static final String CONTRAST =
      """
      const done = arguments[0];
      axe.run({ runOnly: ['color-contrast'], resultTypes: ['violations'] })
        .then((found) => done(found.violations.flatMap((rule) => rule.nodes.map((node) => node.html))));
      """;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private DemoAddresses demo;

  /** One window for all: what it remembers of one screen changes nothing of another. */
  @BeforeAll
  void start() {
    browser = new Browser(port);
    browser.withoutMotion();
    demo = DemoAddresses.of(http);
  }

  @AfterAll
  void end() {
    browser.close();
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK, table",
    "BOOK/corner/4, article",
    "BOOK/compare, table",
    "BOOK/car, [data-zones]",
    "BOOK/calls, [data-calls]",
    "BOOK/sessions, [data-sessions]",
    "PLANNED, [data-keeping]",
    "PLANNED/prepare, [data-changes]",
    "PLANNED/brief, [data-brief]",
    "PLANNED/debrief, [data-laps-in]",
    "DRIVEN/debrief, [data-findings]",
    "DRIVEN/review, [data-proposals]",
    "BOOK/rehearse, [data-question]",
    "BOOK/rehearse/stopwatch, [data-pad]",
    "BOOK/rehearse/run, [data-begin]",
    "BOOK/rehearse/before, [data-before]",
    "BOOK/laps, [data-library-lap]",
    "BOOK/laps/beside?PAIR, [data-differences]",
    "BOOK/steps, [data-steps]"
  })
  void noSeriousViolationOfTheBook(String screen, String there) {
    browser.open(demo.path(screen));
    browser.see(there);
    assertNoSeriousViolation();
  }

  @ParameterizedTest
  @CsvSource({
    "/shelf, ul",
    "/new, form",
    "/circuits/new, ul",
    "/cars/new, [data-facts]",
    "/people, [data-alone]",
    "/pair, [data-code]",
    "CIRCUIT, [data-strip]",
    "CIRCUIT/walk, ul",
    "/nowhere/at/all, [data-unknown]",
    "BOOK/corner/99, [data-no-corner]"
  })
  void noSeriousViolationBesideTheBook(String screen, String there) {
    browser.open(demo.path(screen));
    browser.see(there);
    assertNoSeriousViolation();
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
    browser.open(demo.path("BOOK/corner/6"));
    browser.press(panel);
    browser.see(there);
    assertNoSeriousViolation();
  }

  /** What is opened beside or over a page. */
  @ParameterizedTest
  @CsvSource({
    "[data-open-guide], [data-legend]",
    "[data-open-search], [role=combobox]",
    "[data-note], [data-kind]"
  })
  void noSeriousViolationBesideAPage(String button, String there) {
    browser.open(demo.path("BOOK/corner/6"));
    browser.see("article");
    browser.click(button);
    browser.see(there);
    assertNoSeriousViolation();
  }

  /** The demo's track day, with its group and remarks. */
  @Test
  void noSeriousViolationOnALedDay() {
    browser.open(demo.path("LED/lead"));
    for (String tab : List.of("road", "group", "cones", "calls", "brief", "sheets")) {
      browser.click("#lead-" + tab);
      browser.see(tab.equals("road") ? "[data-open]" : "[data-" + tab + "]");
      assertNoSeriousViolation();
    }
  }

  /**
   * Only colours differ between the themes, as a test of the style sheet holds: the second one is
   * looked at for contrast alone.
   */
  private void assertNoSeriousViolation() {
    browser.wear("paper");
    Fit.check(browser);
    assertThat(seriousViolations()).as("paper").isEmpty();
    browser.wear("garage");
    assertThat(poorContrast()).as("garage").isEmpty();
  }

  /**
   * Marvek has no frames, so that it need not be asked within each from an empty window; and only
   * what is wrong is told, since half of the time goes into where each thing stands that is right.
   */
  private List<String> seriousViolations() {
    AxeRunOptions options = new AxeRunOptions();
    options.setResultTypes(List.of("violations"));
    AxeBuilder axe = new AxeBuilder().setLegacyMode(true).withOptions(options);
    return axe.analyze(browser.driver()).getViolations().stream()
        .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
        .map(EveryScreenTest::told)
        .toList();
  }

  /** By the rules that the look at the first theme has brought into the window. */
  @SuppressWarnings("unchecked")
  private List<String> poorContrast() {
    return (List<String>) browser.driver().executeAsyncScript(CONTRAST);
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().map(n -> n.getHtml()).toList();
  }
}
