package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** Cards of the demo book over HTTP. */
@ServerTest
class CardsTest {
  private static final double POINTS_PER_MM = 72 / 25.4;

  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String card;
  private JsonNode qualifying;

  @BeforeEach
  void demo() {
    scripts = new Scripts(http);
    JsonNode book = scripts.get("/api/books").body().get(0);
    card = "/api/books/" + book.path("id").asString() + "/revisions/2/card.pdf";
    qualifying =
        scripts.get("/api/books/" + book.path("id").asString() + "/sessions").body().get(2);
  }

  private PDDocument printed(String query) throws IOException {
    return Loader.loadPDF(scripts.download(card + query));
  }

  /** ISO 216: A4 is 210 by 297 mm. */
  @Test
  void theWholeLapIsOneSheetOfA4WithAStripForEachCorner() throws IOException {
    try (PDDocument sheet = printed("?format=a4")) {
      assertThat(sheet.getNumberOfPages()).isEqualTo(1);
      assertThat((double) sheet.getPage(0).getMediaBox().getWidth())
          .isCloseTo(297 * POINTS_PER_MM, within(0.5));
      String text = new PDFTextStripper().getText(sheet);
      assertThat(text).contains("1 Sluice", "13 Harrow", "150 board", "Revision 2");
      assertThat(sheet.getPage(0).getContents().readAllBytes().length).isGreaterThan(20_000);
    }
  }

  @Test
  void stepsThatAreBegunStandBelowTheirTarget() throws IOException {
    try (PDDocument sheet = printed("")) {
      assertThat(sheet.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(sheet)).containsPattern("now, step \\d+ of \\d+");
    }
  }

  @Test
  void aCardForASessionCarriesItsNameAndTargets() throws IOException {
    try (PDDocument sheet = printed("?session=" + qualifying.path("id").asString())) {
      assertThat(sheet.getNumberOfPages()).isEqualTo(1);
      String text = new PDFTextStripper().getText(sheet);
      assertThat(text).contains("Qualifying, ").contains("Targets: ").contains("expert");
    }
  }

  @Test
  void whatIsNoFormatAndASessionOfAnotherRevisionAreRefused() {
    Scripts.Answer odd = scripts.get(card + "?format=a3");
    assertThat(odd.status().value()).isEqualTo(422);
    assertThat(odd.body().path("detail").asString()).contains("a5, a4, dash or tank");
    String session = "?session=" + qualifying.path("id").asString();
    Scripts.Answer earlier = scripts.get(card.replace("/revisions/2/", "/revisions/1/") + session);
    assertThat(earlier.status().value()).isEqualTo(422);
    assertThat(earlier.body().path("detail").asString()).contains("revision 2");
    String other = scripts.get("/api/books").body().get(1).path("id").asString();
    Scripts.Answer elsewhere =
        scripts.get("/api/books/" + other + "/revisions/1/card.pdf" + session);
    assertThat(elsewhere.status().value()).isEqualTo(422);
    assertThat(elsewhere.body().path("detail").asString()).contains("another book");
  }

  /** What the model knows nothing of is on paper, among the calls and the waypoints, and asked. */
  @Test
  void whereToLookGoesWhereverThePageGoes() throws IOException {
    String book = "/api/books/" + scripts.copyOfTheDemo();
    double at = scripts.get(book + "/revisions/2").body().at("/pages/3/apexes/0/at_m").asDouble();
    Map<String, Object> look =
        Map.of("corner", 4, "look.at_m", at, "look.words", "at the barn's far gable");
    JsonNode kept =
        scripts
            .post(
                book + "/revisions",
                Map.of("parent", 2, "reason", "seen on the walk", "ownValues", List.of(look)))
            .body();
    String revision = book + "/revisions/" + kept.path("number").asInt();
    assertThat(scripts.get(revision).body().at("/pages/3/look/target/own").asString())
        .isEqualTo("at the barn's far gable");
    for (String format : List.of("a4", "a5")) {
      String text = printedText(revision + "/card.pdf?format=" + format);
      assertThat(text).as(format).contains("look at the barn's far gable");
    }
    assertThat(printedText(revision + "/card.pdf?format=a4"))
        .contains("B brake, L look, T turn in, R release, A apex, D drive, F");
    assertThat(printedText(card + "?format=a4")).contains("B brake, T turn in");
    assertThat(new String(scripts.download(revision + "/points.gpx")))
        .contains("look")
        .contains("at the barn's far gable");
    assertThat(scripts.get(book + "/recall").body().path("questions"))
        .anyMatch(
            question ->
                question.path("corner").asInt() == 4
                    && question.path("kind").asString().equals("own-points"));
  }

  private String printedText(String path) {
    return printedText(path, 1);
  }

  /** Without its breaks of lines; on at most so many pages. */
  private String printedText(String path, int pages) {
    try (PDDocument sheet = Loader.loadPDF(scripts.download(path))) {
      assertThat(sheet.getNumberOfPages()).as(path).isLessThanOrEqualTo(pages);
      return new PDFTextStripper().getText(sheet).replaceAll("\\s+", " ");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The sheet holds words at each of the demo's corners; the small card may turn over, with all of
   * them.
   */
  @Test
  void wordsForEveryCornerArePrinted() throws IOException {
    String book = "/api/books/" + scripts.copyOfTheDemo();
    String words = "over the hedge at the barn's far gable";
    List<Map<String, Object>> looks = new ArrayList<>();
    for (JsonNode page : scripts.get(book + "/revisions/2").body().path("pages")) {
      looks.add(
          Map.of(
              "corner", page.path("corner").asInt(),
              "look.at_m", page.at("/apexes/0/at_m").asDouble(),
              "look.words", words));
    }
    JsonNode kept =
        scripts
            .post(
                book + "/revisions",
                Map.of("parent", 2, "reason", "seen on the walk", "ownValues", looks))
            .body();
    String revision = book + "/revisions/" + kept.path("number").asInt();
    Map.of("a4", 1, "a5", 2)
        .forEach(
            (format, pages) ->
                assertThat(
                        printedText(revision + "/card.pdf?format=" + format, pages)
                            .split(Pattern.quote("look " + words), -1))
                    .as(format)
                    .hasSize(looks.size() + 1));
  }
}
