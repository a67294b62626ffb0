package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.Rectangle;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a driver does in an evening, in a real browser. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class JourneyTest {
  private static final String BRAKE = "input[aria-label^='Brake point']";
  private static final String UNDO = "aside[aria-label=Draft] button";

  @LocalServerPort private int port;
  @TempDir private Path folder;
  private Browser browser;

  @BeforeEach
  void start() {
    browser = new Browser(port);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @Test
  @Order(1)
  void fromTheFirstScreenToThePrintedCard() throws Exception {
    browser.openBook();
    assertThat(browser.text("h1")).isEqualTo("Harrowfen Park, Teal Coupé");
    assertThat(browser.text("[data-lap]")).contains("1:5").contains("km/h").contains("g braking");
    assertThat(browser.driver().findElements(By.cssSelector("table tbody tr"))).hasSize(13);

    browser.click("nav[aria-label='Corners'] a[aria-label^='4 ']");
    browser.seeText("h1", "Long Hythe");
    assertThat(browser.text("article")).contains("150 board").contains("still on");
    browser.key(Keys.ARROW_RIGHT);
    browser.seeText("h1", "Cooper");
    browser.key(Keys.ARROW_LEFT);
    browser.seeText("h1", "Long Hythe");

    browser.click("[data-cards]");
    String card = browser.see("[data-item=a5]").getDomProperty("href");
    byte[] pdf;
    try (var in = URI.create(card).toURL().openStream()) {
      pdf = in.readAllBytes();
    }
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text).contains("Long Hythe").contains("Revision 2").contains("km/h");
    }
  }

  @Test
  @Order(2)
  void anEditIsAnsweredUndoneRedoneAndKept() {
    browser.openBook();
    browser.click("nav[aria-label='Corners'] a[aria-label^='9 ']");
    browser.seeText("h1", "Quarry");
    int before = Integer.parseInt(browser.value(BRAKE));
    browser.type(BRAKE, String.valueOf(before - 10));
    browser.seeText("[data-answer]", "slower");
    browser.seeText("ol", "yours");
    // What is reached for stays where it is, whatever the words beside it say.
    Rectangle undo = browser.see(UNDO).getRect();

    browser.press("Undo");
    browser.seeText("aside", "no changes");
    assertThat(browser.see(UNDO).getRect()).isEqualTo(undo);
    browser.press("Redo");
    browser.seeText("aside", "1 change");

    browser.reload();
    browser.seeText("aside", "1 change");

    browser.press("Keep as revision 3");
    browser.see("[role=dialog] input").sendKeys("Ten metres in hand until the kerb is checked");
    browser.click("[role=dialog] button.btn-primary");
    browser.seeNoMore("aside");
    browser.seeText("header", "revision 3");

    browser.open(browser.path().replaceAll("/corner/.*", "/compare"));
    browser.seeText("table", "Quarry");
    assertThat(browser.text("main")).contains("brake at").contains("slower").contains("yours");
  }

  /** A place that only the driver knows: with a mark or his own words, on page and strip. */
  @Test
  @Order(3)
  void whereToLookIsAddedWordedAndTakenBack() {
    browser.openBook();
    browser.click("nav[aria-label='Corners'] a[aria-label^='9 ']");
    browser.seeText("h1", "Quarry");
    browser.press("+ Where to look");
    browser.see("input[aria-label^='Where to look']");
    browser.seePresent("[data-plate=L]");
    browser.click("li:has(input[aria-label^='Where to look']) summary");
    browser.type(
        "li:has(input[aria-label^='Where to look']) input[maxlength]", "the gap in the hedge");
    browser.seeText("li:has(input[aria-label^='Where to look']) strong", "the gap in the hedge");
    browser.press("Undo");
    browser.press("Undo");
    browser.seeText("aside", "no changes");
    browser.seeNoMore("input[aria-label^='Where to look']");
  }

  @Test
  @Order(4)
  void aValueThatCannotBeIsRefusedAndTheDraftStaysWhole() {
    browser.openBook();
    browser.click("nav[aria-label='Corners'] a[aria-label^='1 ']");
    browser.seeText("h1", "Sluice");
    browser.type(BRAKE, "-2200");
    browser.seeText("[role=alert]", "cannot be");
    browser.seeNoMore("aside");
    browser.key("b");
    browser.see("[data-lap]");
    browser.type("input[aria-label^='Wind,']", "300");
    browser.seeText("[role=alert]", "cannot be");
    browser.seeNoMore("aside");
  }

  @Test
  @Order(5)
  void unitsChangeEverywhereAtOnce() {
    browser.openBook();
    browser.prefer("garage", "mph", "ft");
    browser.see("[data-lap]");
    assertThat(browser.text("main")).contains("mph").contains(" ft ").doesNotContain("km/h");
    browser.click("[data-cards]");
    assertThat(browser.see("[data-item=a5]").getDomProperty("href")).contains("mph").contains("ft");
  }

  @Test
  @Order(6)
  void wetConditionsAreAnswered() {
    browser.openBook();
    String dry = browser.text("[data-lap] strong");
    browser.see("select[aria-label='Surface']").sendKeys("wet");
    browser.seeText("aside", "slower");
    assertThat(browser.text("[data-lap] strong")).isNotEqualTo(dry).startsWith("2:");
    browser.press("Discard");
    browser.seeText("[data-lap]", dry);
  }

  @Test
  @Order(7)
  void theKeysAreShown() {
    browser.openBook();
    browser.key("?");
    browser.seeText("[role=dialog]", "Ctrl S");
    browser.key(Keys.ESCAPE);
    browser.seeNoMore("[role=dialog]");
    browser.key("1");
    browser.seeText("h1", "Sluice");
    browser.key("b");
    browser.see("[data-lap]");
  }

  @Test
  @Order(8)
  void threeBadFilesAreRefusedWithAdvice() throws Exception {
    byte[] circuit = Scripts.demo("harrowfen-park.circuit.geojson");
    Path cut = folder.resolve("cut.circuit.geojson");
    Files.write(cut, Arrays.copyOf(circuit, circuit.length / 2));
    Path two = folder.resolve("two.centreline.csv");
    Files.writeString(two, "x_m,y_m,width_left_m,width_right_m\n0,0,5,5\n10,0,5,5\n");
    Path gearless = folder.resolve("gearless.car.json");
    String car = new String(Scripts.demo("teal-coupe.car.json"), StandardCharsets.UTF_8);
    Files.writeString(gearless, car.replace("\"ratios\"", "\"cogs\""));

    browser.open("/new");
    browser.see("#circuit option");
    int circuits = options("#circuit");
    int cars = options("#car");
    browser.click("a[href='/circuits/new']");
    browser.chooseFile("[data-take=circuit]", cut);
    browser.seeText("[role=alert]", "cut off");
    assertThat(browser.text("[role=alert]")).contains("Line ").contains("Nothing was stored");
    browser.press("Close");
    browser.chooseFile("[data-take=circuit]", two);
    browser.seeText("[role=alert]", "too few points (2)");
    browser.open("/new");
    browser.see("#circuit option");
    browser.chooseFile("[data-take=car]", gearless);
    browser.seeText("[role=alert]", "/gearbox/ratios");
    assertThat(browser.text("[role=alert]")).contains("missing");
    assertThat(options("#circuit")).isEqualTo(circuits);
    assertThat(options("#car")).isEqualTo(cars);
  }

  private int options(String list) {
    return browser.driver().findElements(By.cssSelector(list + " option")).size();
  }

  @Test
  @Order(9)
  void aPlateIsMovedAlongTheRoadByHandAndByKeyAndAnswered() {
    browser.openBook();
    browser.click("nav[aria-label='Corners'] a[aria-label^='4 ']");
    browser.seeText("h1", "Long Hythe");
    int kept = station("B");

    browser.drag("[data-plate=B]", 0, 60);
    browser.seeText("[data-answer]", "slower");
    int dragged = station("B");
    assertThat(dragged).isBetween(kept - 60, kept - 10);
    browser.seeText("aside", "1 change");
    browser.press("Undo");
    browser.seeText("aside", "no changes");
    assertThat(station("B")).isEqualTo(kept);

    browser.see("[data-plate=B]").sendKeys(Keys.ARROW_DOWN, Keys.ARROW_DOWN);
    browser.seeText("aside", "1 change");
    assertThat(station("B")).isEqualTo(kept - 2);
    browser.drag("[data-plate=B]", 0, -80);
    browser.seeText("ol", "Not made");
    assertThat(browser.text("[data-driven=not-made]")).contains("leaves the road");
  }

  private int station(String plate) {
    String css = "[data-plate=" + plate + "]";
    return Integer.parseInt(browser.see(css).getDomAttribute("aria-valuenow"));
  }

  @Test
  @Order(10)
  void aNewBookFromOnesOwnFiles() throws Exception {
    StringBuilder rows = new StringBuilder("x_m,y_m,width_left_m,width_right_m\n");
    for (int i = 0; i < 200; i++) {
      double angle = 2 * Math.PI * i / 200;
      rows.append(
          String.format(
              Locale.ROOT, "%.2f,%.2f,5,5%n", 300 * Math.cos(angle), 120 * Math.sin(angle)));
    }
    Path oval = folder.resolve("Mill Oval.centreline.csv");
    Files.writeString(oval, rows);

    browser.open("/new");
    browser.click("a[href='/circuits/new']");
    browser.chooseFile("[data-take=circuit]", oval);
    browser.seeText("[data-preview] h2", "Mill Oval");
    assertThat(browser.text("main")).contains("No column z_m");
    browser.click("[data-take-in]");
    browser.see("[data-strip]");
    browser.open("/new");
    browser.see("#circuit option");
    browser.chooseWords("#circuit", "Mill Oval");
    browser.press("Compute the reference");
    browser.see("[data-lap]");
    assertThat(browser.text("h1")).contains("Mill Oval");
    browser.open("/shelf");
    browser.seeText("main", "Mill Oval");
  }
}
