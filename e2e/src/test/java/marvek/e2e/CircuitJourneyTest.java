package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;

/** A circuit brought in, marked, walked and changed, in a real browser. */
@ServerTest
class CircuitJourneyTest {
  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  @TempDir private Path folder;
  private Browser browser;
  private Scripts scripts;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    scripts = new Scripts(http);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  private String newCircuit() {
    return scripts
        .upload("/api/circuits/import", "x.geojson", Scripts.demo("harrowfen-park.circuit.geojson"))
        .body()
        .path("id")
        .asString();
  }

  private String newBook(String circuit) {
    String car = scripts.get("/api/cars").body().at("/0/id").asString();
    return scripts.newBook(circuit, car, "Trial");
  }

  /** A newcomer drives a lap, brings it in, marks it, and gets pages that speak in these marks. */
  @Test
  void fromADrivenLapToPagesThatSpeakInItsMarks() throws IOException {
    Path lap = folder.resolve("lap.gpx");
    Files.writeString(lap, Laps.gpx(1.5));
    browser.open("/shelf");
    browser.click("a[href='/circuits/new']");
    browser.see("main ul");
    browser.chooseFile("input[data-take='circuit']", lap);
    browser.seeText("[data-preview]", "laps in it");
    assertThat(browser.text("main"))
        .contains("1.5")
        .contains("lap 1 of 1 is used")
        .contains("5 m to each side are assumed");
    browser.type("input[aria-label='Name']", "Evening Park");
    browser.seeText("[data-preview] h2", "Evening Park");
    browser.type("input[aria-label^='Width left']", "6");
    browser.seeText("[data-preview]", "Evening Park");
    browser.click("[data-take-in]");
    browser.see("[data-strip]");
    String circuit = browser.path().replaceFirst("/circuits/", "");

    // Five marks where the demo has its boards, by keyboard: pick the metre, add, name it.
    double[] places = {312, 1264, 1920, 2328, 3198};
    for (int i = 0; i < places.length; i++) {
      goTo(places[i]);
      browser.key("m");
      browser.type("input[aria-label='Called']", "board " + (i + 1));
    }
    goTo(470);
    browser.key("k");
    browser.choose("select[aria-label='Use in the dry']", "TYRE");
    goTo(3330);
    browser.key("k");
    browser.seeText("[data-draft]", "7 changes");
    browser.seeText("[data-draft]", "saved");
    browser.press("Keep");
    browser.click("[role=dialog] button.btn-primary");
    browser.seeNoMore("[data-draft]");
    JsonNode kept = scripts.get("/api/circuits/" + circuit).body().get("edits");
    assertThat(kept.get("marks")).hasSize(5);
    assertThat(kept.get("kerbs")).hasSize(2);

    String book = newBook(circuit);
    browser.open("/books/" + book);
    browser.see("table");
    assertThat(browser.text("table")).contains("board 1").contains("board 5");
  }

  /** Columns that nobody can guess are named, and the laps of the table become one line. */
  @Test
  void aTableWhoseColumnsSayNothingIsNamedAndTaken() throws IOException {
    StringBuilder rows = new StringBuilder("a;b;c\n");
    for (int i = 0; i < 700; i++) {
      double angle = 2 * Math.PI * i / 200;
      rows.append(
          String.format(
              Locale.ROOT, "%.2f;%.2f;80%n", 300 * Math.cos(angle), 120 * Math.sin(angle)));
    }
    Path file = folder.resolve("Mill Ring.csv");
    Files.writeString(file, rows);
    browser.open("/circuits/new");
    browser.chooseFile("input[data-take='circuit']", file);
    browser.seeText("[data-naming]", "No place was found by the names");
    assertThat(browser.count("[data-preview]")).isZero();
    browser.choose("select[aria-label='a is']", "x_m");
    browser.choose("select[aria-label='b is']", "y_m");
    browser.seeText("[data-preview]", "laps in it");
    assertThat(browser.text("main")).contains("the median of its 3 whole laps is used");
    browser.chooseWords("select[aria-label='Laps of the recording']", "lap 2 alone");
    browser.seeText("main", "lap 2 of 3 is used");
    browser.type("input[aria-label^='Width left']", "6");
    browser.seeTextNoMore("main", "to each side are assumed");
    browser.click("[data-take-in]");
    browser.see("[data-strip]");
    String id = browser.path().replaceFirst("/circuits/", "");
    JsonNode kept = scripts.get("/api/circuits/" + id).body();
    assertThat(kept.path("name").asString()).isEqualTo("Mill Ring");
    assertThat(kept.at("/road/left_m/0").asDouble()).isEqualTo(6);
  }

  /** On a page beside the road, then what it is: two touches, and the pages are told by it. */
  @Test
  void aMarkIsNotedFromThePageInTwoTouches() {
    byte[] gpx = Laps.gpx(1.5).getBytes(StandardCharsets.UTF_8);
    String circuit =
        scripts.upload("/api/circuits/import", "Evening.gpx", gpx).body().path("id").asString();
    String book = newBook(circuit);
    browser.open("/books/" + book);
    browser.seeText("[data-marks-wanted]", "want a mark");
    browser.click("[data-marks-wanted] a");
    browser.seeText("main", "No mark is seen in time");
    String corner = browser.path();
    // Above the middle stands the corner, below it the way towards it.
    int half = browser.see("[data-margin=LEFT]").getRect().height / 2;
    browser.clickAt("[data-margin=LEFT]", 0, half - 60);
    browser.click("[data-kind=MARSHAL_POST]");
    browser.seeText("[data-noted]", "One mark noted, not in the pages yet: post");
    browser.press("note a mark");
    browser.press("right");
    browser.click("[data-kind=TREE]");
    browser.seeText("[data-noted]", "2 marks noted, not in the pages yet: post, tree");
    browser.press("Take the last back");
    browser.seeText("[data-noted]", "One mark noted");

    browser.open(corner);
    browser.seeText("[data-noted]", "One mark noted");
    browser.press("Tell the pages by them");
    browser.seeNoMore("[data-noted]");
    browser.seeText("article", "past the post, left");
    JsonNode view = scripts.get("/api/books/" + book).body();
    assertThat(view.path("layoutVersion").asInt()).isEqualTo(2);
    assertThat(view.path("revisions")).hasSize(2);
    JsonNode marks =
        scripts.get("/api/circuits/" + view.path("circuitId").asString()).body().at("/edits/marks");
    assertThat(marks).hasSize(1);
    assertThat(marks.get(0).path("type").asString()).isEqualTo("MARSHAL_POST");
  }

  /** Types a station for the mark that is looked at: by the list, then by the keyboard. */
  private void goTo(double station) {
    browser.click("[data-strip]");
    browser.key(Keys.HOME);
    int hundreds = (int) (station / 100);
    for (int k = 0; k < hundreds; k++) {
      browser.key(Keys.PAGE_UP);
    }
    int tens = (int) ((station - 100 * hundreds) / 10);
    for (int k = 0; k < tens; k++) {
      browser.key(Keys.chord(Keys.SHIFT, Keys.ARROW_UP));
    }
    for (int k = 0; k < station - 100 * hundreds - 10 * tens; k++) {
      browser.key(Keys.ARROW_UP);
    }
    browser.seeText("[data-readout] h2", Math.round(station) + " m");
  }

  @Test
  void aMarkIsDraggedUndoneAndMovedByTheKeyboard() {
    String circuit = newCircuit();
    browser.open("/circuits/" + circuit);
    browser.see("[data-strip]");
    goTo(330);
    browser.see("rect[data-hold='marks-1']");
    // The second mark of the file, dragged up the road by a hundred pixels.
    browser.drag("rect[data-hold='marks-1']", 0, -100);
    browser.seeText("[data-draft]", "1 change");
    browser.seeText("[data-draft]", "saved");
    double dragged = station(circuit, 1);
    assertThat(dragged).isBetween(350.0, 370.0);
    browser.press("Undo");
    browser.seeText("[data-draft]", "0 changes");
    // Picked, it is moved by the keys; without anything picked the place looked at moves.
    browser.clickAt("rect[data-hold='marks-1']", 0, 0);
    browser.key(Keys.ARROW_UP, Keys.ARROW_UP, Keys.ARROW_UP);
    browser.seeText("[data-draft]", "1 change");
    browser.seeText("[data-draft]", "saved");
    assertThat(station(circuit, 1)).isBetween(314.0, 317.0);
    browser.key(Keys.DELETE);
    browser.seeText("[data-draft]", "saved");
    assertThat(scripts.get("/api/circuits/" + circuit).body().at("/draft/marks")).hasSize(42);
    browser.press("Discard");
    browser.seeNoMore("[data-draft]");
  }

  /** A notice of the officials is set down as they write it, and one that cannot be is told. */
  @Test
  void aNoticeOfTrackLimitsIsSetDown() {
    String circuit = newCircuit();
    browser.open("/circuits/" + circuit);
    browser.see("[data-strip]");
    goTo(500);
    browser.press("Limits");
    browser.see("path[stroke-dasharray='7 4']");
    browser.choose("[aria-label='Wheels that stay within']", "4");
    browser.choose("[aria-label=Line]", "BEYOND");
    browser.type("[data-field='Beyond the white line'] input", "-1.5");
    browser.choose("[aria-label='What follows']", "TIME");
    browser.type("[data-field='Back before'] input", "900");
    browser.seeText("body", "does not lie on its stretch");
    browser.type("[data-field='Back before'] input", "515");
    browser.until("kept", () -> backBefore(circuit) == 515);
    JsonNode stretch = scripts.get("/api/circuits/" + circuit).body().at("/draft/stretches/2");
    assertThat(stretch.path("wheels").asInt()).isEqualTo(4);
    assertThat(stretch.path("beyondM").asDouble()).isEqualTo(-1.5);
    assertThat(stretch.path("penaltyS").asDouble()).isEqualTo(5);
  }

  private double backBefore(String circuit) {
    return scripts
        .get("/api/circuits/" + circuit)
        .body()
        .at("/draft/stretches/2/backBeforeM")
        .asDouble(0);
  }

  private double station(String circuit, int index) {
    for (int k = 0; k < 40; k++) {
      JsonNode draft = scripts.get("/api/circuits/" + circuit).body().get("draft");
      if (!draft.isNull()) {
        return draft.at("/marks/" + index + "/fromM").asDouble(0);
      }
      java.util.concurrent.locks.LockSupport.parkNanos(50_000_000);
    }
    throw new AssertionError("no draft was kept");
  }

  @Test
  void aWalkBecomesALayoutVersionAndAPageIsToBeChecked() throws IOException {
    String circuit = newCircuit();
    String book = newBook(circuit);
    browser.open("/circuits/" + circuit + "/walk");
    browser.press("Begin the walk");
    browser.see("main li .checkbox");
    int items = browser.count("main li .checkbox");
    assertThat(items).isGreaterThan(3);
    browser.click("main li .checkbox");
    browser.seeText("main", (items - 1) + " of " + items);

    browser.see("textarea").sendKeys("yellow post: new beside the old board");
    browser.type("input[aria-label^='Station']", "300");
    Path photo = folder.resolve("post.png");
    ImageIO.write(new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB), "png", photo.toFile());
    browser.chooseFile("input[data-photo]", photo);
    browser.press("Note it down");
    browser.see("section[aria-label='Notes of this walk'] img");
    browser.press("Make it a mark");
    browser.seeText("[data-changes]", "yellow post at 300 m is new");

    // On the circuit's own screen the board that the book speaks of is moved, too.
    browser.open("/circuits/" + circuit);
    browser.see("[data-strip]");
    goTo(312);
    browser.clickAt("rect[data-hold='marks-1']", 0, 0);
    browser.key(Keys.chord(Keys.SHIFT, Keys.ARROW_UP));
    browser.seeText("[data-draft]", "2 changes");
    browser.seeText("[data-draft]", "saved");

    browser.open("/circuits/" + circuit + "/walk");
    browser.press("Finish the walk");
    browser.seeText("[role=dialog]", "150 board moved by 10 m");
    browser.click("[role=dialog] button.btn-primary");
    browser.seeText("header", "layout version 4");

    browser.open("/books/" + book);
    browser.seeText("[data-layout-news]", "Layout version 4");
    browser.press("Move the book to it");
    browser.seeText("main", "To be checked on track");
    browser.open("/books/" + book + "/corner/1");
    browser.seeText("[data-check]", "150 board moved by 10 m");
    browser.press("I have looked");
    browser.seeNoMore("[data-check]");
  }

  /** The driver's own mark and words for a point stand on the page and in the next revision. */
  @Test
  void anotherMarkAndOwnWordsAreKept() {
    String book = newBook(newCircuit());
    browser.open("/books/" + book + "/corner/1");
    browser.see("article details");
    browser.click("article details summary");
    browser.type("article details input", "as the pit wall ends");
    browser.seeText("article ol", "as the pit wall ends");
    browser.seeText("aside", "1 change");
    browser.press("Keep as revision 2");
    browser.see("[role=dialog] input").sendKeys("my own words");
    browser.click("[role=dialog] button.btn-primary");
    browser.seeNoMore("aside");
    assertThat(
            scripts
                .get("/api/books/" + book + "/revisions/2")
                .body()
                .at("/pages/0/brake/target/text")
                .asString())
        .isEqualTo("as the pit wall ends");
  }

  @Test
  void filesThatCannotBeSayWhatToDo() throws IOException {
    List<String[]> bad = new ArrayList<>();
    bad.add(
        new String[] {
          "<!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><gpx>&x;</gpx>",
          "document type or an entity"
        });
    bad.add(new String[] {Laps.gpx(1).substring(0, 9000), "cut off"});
    bad.add(new String[] {Laps.gpx(0.004), "a road needs at least 12"});
    bad.add(new String[] {"<gpx version=\"1.1\"></gpx>", "no track and no route"});
    browser.open("/circuits/new");
    browser.see("h1");
    for (int i = 0; i < bad.size(); i++) {
      Path file = folder.resolve("bad" + i + ".gpx");
      Files.writeString(file, bad.get(i)[0]);
      browser.chooseFile("input[data-take='circuit']", file);
      browser.seeText("[role='alert']", bad.get(i)[1]);
      assertThat(browser.text("[role='alert']")).contains("Nothing was stored");
    }
  }
}
