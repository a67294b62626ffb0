package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.formats.JsonFiles;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** Books over HTTP with a real database. */
@ServerTest
class BookTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private JsonNode demo;

  @BeforeEach
  void connect() {
    scripts = new Scripts(http);
    demo = scripts.get("/api/books").body().get(0);
  }

  private String newBook() {
    return scripts.newBook(
        demo.path("circuitId").asString(), demo.path("carId").asString(), "Trial");
  }

  private static Map<String, Object> draft(Object ownValues) {
    return Map.of("parent", 2, "ownValues", ownValues);
  }

  private static Map<String, Object> kept(int parent, Object ownValues) {
    return Map.of("parent", parent, "ownValues", ownValues, "reason", "tried on track");
  }

  private static Map<String, Object> brakeAt(double station) {
    return Map.of("corner", 1, "brake.at_m", station);
  }

  @Test
  void aFreshInstallHasTheDemoBookWithTwoRevisions() {
    assertThat(demo.path("name").asString()).isEqualTo("Harrowfen Park, Teal Coupé");
    assertThat(demo.path("revisions")).hasSize(2);
    JsonNode second = scripts.get("/api/books/" + id(demo) + "/revisions/2").body();
    assertThat(second.path("pages")).hasSize(13);
    assertThat(second.at("/lap/time_s").asDouble(0)).isBetween(105.0, 125.0);
    assertThat(second.at("/pages/0/sources/brake.at_m").asString()).isEqualTo("driver");
  }

  private static String id(JsonNode book) {
    return book.path("id").asString();
  }

  @Test
  void aNewBookIsComputed() {
    String id = newBook();
    JsonNode book = scripts.get("/api/books/" + id).body();
    assertThat(book.path("name").asString()).isEqualTo("Trial");
    assertThat(book.path("revisions")).hasSize(1);
    JsonNode view = scripts.get("/api/books/" + id + "/revisions/1/view").body();
    assertThat(view.at("/trace/speed_mps").size()).isGreaterThan(2000);
    assertThat(view.at("/trace/length_m").asDouble(0)).isCloseTo(4546, within(3.0));
  }

  @Test
  void tryingOutStoresNothing() {
    String path = "/api/books/" + id(demo);
    double before = scripts.get(path + "/revisions/2").body().at("/lap/time_s").asDouble(0);
    Scripts.Answer tried = scripts.post(path + "/try", draft(List.of(brakeAt(290))));
    assertThat(tried.status().value()).isEqualTo(200);
    assertThat(tried.body().at("/revision/lap/time_s").asDouble(0)).isNotEqualTo(before);
    assertThat(tried.body().at("/revision/pages/0/brake/at_m").asDouble(0)).isEqualTo(290);
    assertThat(scripts.get(path).body().path("revisions")).hasSize(2);
  }

  @Test
  void aKeptDraftIsTheNextRevisionAndNeverChanges() {
    String path = "/api/books/" + newBook();
    String first = scripts.get(path + "/revisions/1").body().toString();
    Scripts.Answer kept = scripts.post(path + "/revisions", kept(1, List.of(brakeAt(300))));
    assertThat(kept.status().value()).isEqualTo(201);
    assertThat(kept.body().path("number").asInt(0)).isEqualTo(2);
    JsonNode second = scripts.get(path + "/revisions/2").body();
    assertThat(second.path("parent").asInt(0)).isEqualTo(1);
    assertThat(second.path("reason").asString()).isEqualTo("tried on track");
    assertThat(scripts.get(path + "/revisions/1").body().toString()).isEqualTo(first);
  }

  @Test
  void theSecondSaverFromTheSameParentIsToldSo() {
    String path = "/api/books/" + newBook();
    scripts.post(path + "/revisions", kept(1, List.of(brakeAt(300))));
    Scripts.Answer late = scripts.post(path + "/revisions", kept(1, List.of(brakeAt(310))));
    assertThat(late.status().value()).isEqualTo(409);
    assertThat(late.body().path("detail").asString()).contains("Revision 2").contains("draft");
    assertThat(scripts.get(path).body().path("revisions")).hasSize(2);
  }

  @Test
  void aRevisionNeedsAReason() {
    String path = "/api/books/" + newBook();
    Scripts.Answer answer = scripts.post(path + "/revisions", Map.of("parent", 1, "reason", "  "));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("detail").asString()).contains("reason");
  }

  @Test
  void valuesThatCannotBeAreNamed() {
    String path = "/api/books/" + id(demo) + "/try";
    Scripts.Answer far = scripts.post(path, draft(List.of(brakeAt(99_999))));
    assertThat(far.status().value()).isEqualTo(422);
    assertThat(far.body().path("detail").asString()).contains("beyond the lap");
    Scripts.Answer none = scripts.post(path, draft(List.of(Map.of("corner", 77))));
    assertThat(none.status().value()).isEqualTo(422);
    Scripts.Answer line = scripts.post(path, Map.of("parent", 2, "line", "shortest"));
    assertThat(line.status().value()).isEqualTo(422);
    Scripts.Answer typed = scripts.post(path, Map.of("conditions", Map.of("gripUsed", "a lot")));
    assertThat(typed.status().value()).isEqualTo(422);
    assertThat(typed.body().toString()).contains("gripUsed");
  }

  @Test
  void whatDoesNotExistIsNotFound() {
    assertThat(scripts.get("/api/books/" + UUID.randomUUID()).status().value()).isEqualTo(404);
    assertThat(scripts.get("/api/books/" + id(demo) + "/revisions/9").status().value())
        .isEqualTo(404);
    assertThat(scripts.get("/api/jobs/" + UUID.randomUUID()).status().value()).isEqualTo(404);
    Scripts.Answer answer =
        scripts.post(
            "/api/books",
            Map.of("circuitId", UUID.randomUUID(), "carId", demo.path("carId").asString()));
    assertThat(answer.status().value()).isEqualTo(404);
  }

  /** A new book tells axles apart unless it is told not to; a day of it is computed as it is. */
  @Test
  void aNewBookTellsAxlesApart() {
    assertThat(madeWith(Map.of("gripUsed", 0.9)).at("/conditions/model").asString())
        .isEqualTo("axles");
    JsonNode plain = madeWith(Map.of("gripUsed", 0.9, "model", "plain"));
    assertThat(plain.path("conditions").has("model")).isFalse();
    assertThat(plain.at("/pages/0").has("limiting")).isFalse();
  }

  private JsonNode madeWith(Map<String, Object> conditions) {
    String made =
        scripts.newBook(
            Map.of(
                "circuitId",
                demo.path("circuitId").asString(),
                "carId",
                demo.path("carId").asString(),
                "conditions",
                conditions));
    return scripts.get("/api/books/" + made + "/revisions/1").body();
  }

  @Test
  void exportImportExportIsByteForByteTheSame() {
    byte[] first = scripts.download("/api/books/" + id(demo) + "/export");
    Scripts.Answer imported = scripts.upload("/api/books/import", "demo.book.json", first);
    assertThat(imported.status().value()).isEqualTo(201);
    String id = imported.body().path("id").asString();
    assertThat(id).isNotEqualTo(id(demo));
    assertThat(scripts.download("/api/books/" + id + "/export")).isEqualTo(first);
    JsonNode file = JsonFiles.parse(first);
    assertThat(file.path("format").asString()).isEqualTo("marvek-book");
    assertThat(file.path("revisions")).hasSize(2);
  }

  /** ISO 216: A5 is 148 mm × 210 mm, that is 419.5 × 595.3 points. */
  @Test
  void theCardIsOneA5PageWithALineForEachCorner() throws Exception {
    byte[] pdf = scripts.download("/api/books/" + id(demo) + "/revisions/2/card.pdf");
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(419.5f, within(1f));
      assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(595.3f, within(1f));
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Revision 2")
          .contains("grip used 92 %")
          .contains("Chapel Drop")
          .contains("the 150 board, left")
          .contains("km/h")
          .contains("Estimates of a model")
          .contains("Not to be read while driving");
    }
  }

  @Test
  void theCardSpeaksTheDriversUnits() throws Exception {
    String path = "/api/books/" + id(demo) + "/revisions/2/card.pdf";
    byte[] pdf = scripts.download(path + "?speed=mph&length=yd");
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text).contains("mph").contains("yd").doesNotContain("km/h");
    }
    assertThat(scripts.get(path + "?speed=knots").status().value()).isEqualTo(422);
  }

  @Test
  void theApiIsDescribedWithThePromisedPaths() {
    JsonNode paths = scripts.get("/api/openapi.json").body().path("paths");
    assertThat(paths.propertyNames().iterator())
        .toIterable()
        .contains(
            "/api/circuits/import",
            "/api/cars/import",
            "/api/books",
            "/api/books/{id}/export",
            "/api/books/import");
    assertThat(scripts.get("/api/schemas/car.schema.json").body().has("$schema")).isTrue();
    assertThat(scripts.get("/api/schemas/book.schema.json").body().has("$schema")).isTrue();
  }

  @Test
  void everyScreenIsServed() {
    for (String path : List.of("/", "/shelf", "/new", "/books/" + id(demo) + "/corner/3")) {
      assertThat(http.getForObject(path, String.class)).contains("<div id=\"app\">");
    }
    assertThat(http.getForObject("/ready", String.class)).isEqualTo("ready");
  }
}
