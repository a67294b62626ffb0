package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Every set of tabs, menu and dialog by keyboard and by a press beside it, after the ARIA authoring
 * practices for tabs, menu buttons and modal dialogs.
 */
@ServerTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PartsJourneyTest {
  private static final String DIALOG = "[role=dialog][data-dialog-content]";

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private DemoAddresses demo;

  @BeforeAll
  void start() {
    browser = new Browser(port);
    demo = DemoAddresses.of(http).inBook("/books/" + new Scripts(http).copyOfTheDemo());
  }

  @AfterAll
  void end() {
    browser.close();
  }

  private void open(String screen) {
    browser.open(demo.path(screen));
  }

  private WebElement focused() {
    return browser.driver().switchTo().activeElement();
  }

  private boolean focusIsWithin(String css) {
    return (boolean)
        browser
            .driver()
            .executeScript("return !!document.activeElement.closest(arguments[0])", css);
  }

  private void focus(String css) {
    browser.see(css);
    browser.driver().executeScript("document.querySelector(arguments[0]).focus()", css);
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK/corner/6",
    "LED/lead",
    "DRIVEN/debrief",
    "PLANNED/prepare",
    "CIRCUIT",
  })
  void tabsAreChosenByArrowsAndTheirPanelIsNamedByThem(String screen) {
    open(screen);
    focus("[role=tablist] [role=tab][aria-selected=true]");
    browser.key(Keys.HOME);
    List<WebElement> tabs = browser.all("[role=tab]");
    assertThat(tabs).hasSizeGreaterThan(2);
    for (WebElement tab : List.of(tabs.get(0), tabs.get(1), tabs.get(2))) {
      assertThat(focused()).isEqualTo(tab);
      assertThat(tab.getDomAttribute("aria-selected")).isEqualTo("true");
      WebElement panel = browser.see("[role=tabpanel]");
      assertThat(panel.getDomAttribute("aria-labelledby")).isEqualTo(tab.getDomAttribute("id"));
      assertThat(tab.getDomAttribute("aria-controls")).isEqualTo(panel.getDomAttribute("id"));
      browser.key(Keys.ARROW_RIGHT);
    }
    browser.key(Keys.END);
    assertThat(focused()).isEqualTo(tabs.get(tabs.size() - 1));
    browser.key(Keys.ARROW_RIGHT);
    assertThat(focused()).as("round the end").isEqualTo(tabs.get(0));
    browser.key(Keys.TAB);
    assertThat(focusIsWithin("[role=tablist] [role=tab]")).as("one stop of Tab").isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK, Card",
    "BOOK, Export",
    "CIRCUIT, Export",
    "PLANNED, Card",
  })
  void aMenuOpensByKeyMovesByArrowsAndGivesTheFocusBack(String screen, String name) {
    open(screen);
    String button = "[data-dropdown-menu-trigger]";
    browser.see(button);
    WebElement trigger =
        browser.all(button).stream()
            .filter(b -> b.getText().contains(name))
            .findFirst()
            .orElseThrow();
    trigger.sendKeys(Keys.ENTER);
    browser.see("[role=menu]");
    List<WebElement> items = browser.all("[role=menuitem]");
    assertThat(items).hasSizeGreaterThan(1);
    browser.until("the first has the focus", () -> focused().equals(items.get(0)));
    browser.key(Keys.ARROW_DOWN);
    assertThat(focused()).isEqualTo(items.get(1));
    browser.key(Keys.ESCAPE);
    browser.seeNoMore("[role=menu]");
    browser.until("the button has the focus", () -> focused().equals(trigger));

    trigger.click();
    browser.see("[role=menu]");
    browser.clickCorner();
    browser.seeNoMore("[role=menu]");
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK, [aria-label=Keys]",
    "BOOK/car, [data-new-sheet]",
    "PLANNED, [data-remove-session]",
  })
  void aDialogHoldsTheFocusAndGivesItBack(String screen, String button) {
    open(screen);
    for (Runnable close : List.<Runnable>of(() -> browser.key(Keys.ESCAPE), browser::clickCorner)) {
      WebElement opener = browser.see(button);
      opener.sendKeys(Keys.ENTER);
      WebElement dialog = browser.see(DIALOG);
      assertThat(dialog.getAccessibleName()).isNotBlank();
      browser.until("the focus is within", () -> focusIsWithin(DIALOG));
      for (int k = 0; k < 30; k++) {
        browser.key(Keys.TAB);
        assertThat(focusIsWithin(DIALOG)).as("after %d times Tab", k + 1).isTrue();
      }
      close.run();
      browser.seeNoMore(DIALOG);
      browser.until("the focus is back", () -> focused().equals(opener));
    }
  }

  /** A file that is dropped on its button is taken as a chosen one is: here one that is no book. */
  @Test
  void aFileIsDroppedOnItsButton() {
    open("/shelf");
    browser.seePresent("[data-take=book]");
    browser
        .driver()
        .executeScript(
            "const files = new DataTransfer();"
                + "files.items.add(new File(['no book'], 'a.book.json'));"
                + "document.querySelector('[data-take=book]').closest('label').dispatchEvent("
                + "new DragEvent('drop', {dataTransfer: files, bubbles: true, cancelable: true}))");
    browser.seeText("[role=alert]", "The file cannot be taken in");
  }
}
