package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Circuits that change: drafts, layout versions, and the books that move to them. */
@ServerTest
class LayoutTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;

  @BeforeEach
  void connect() {
    scripts = new Scripts(http);
  }

  /** A circuit of its own for each test, with a book on it. */
  private record Place(String circuit, String book) {}

  private String newCircuit() {
    Scripts.Answer answer =
        scripts.upload(
            "/api/circuits/import", "x.geojson", Scripts.demo("harrowfen-park.circuit.geojson"));
    assertThat(answer.status().value()).isEqualTo(201);
    return answer.body().path("id").asString();
  }

  private Place newPlace() {
    String circuit = newCircuit();
    String car = scripts.get("/api/cars").body().at("/0/id").asString();
    return new Place(circuit, scripts.newBook(circuit, car, "Trial"));
  }

  private ObjectNode edits(String circuit) {
    return (ObjectNode) scripts.get("/api/circuits/" + circuit).body().get("edits");
  }

  private static ObjectNode mark(ObjectNode edits, String label, double near) {
    for (JsonNode mark : edits.get("marks")) {
      boolean here = Math.abs(mark.path("fromM").asDouble(0) - near) < 80;
      if (here && mark.path("label").asString().equals(label)) {
        return (ObjectNode) mark;
      }
    }
    throw new AssertionError("no " + label);
  }

  private JsonNode keepDraft(String circuit, ObjectNode edits) {
    Scripts.Answer answer = scripts.put("/api/circuits/" + circuit + "/draft", edits);
    assertThat(answer.status().value()).as(answer.body().toString()).isEqualTo(200);
    return answer.body().get("changes");
  }

  private JsonNode keep(String circuit, String reason) {
    Scripts.Answer answer =
        scripts.post("/api/circuits/" + circuit + "/versions", Map.of("reason", reason), "*");
    assertThat(answer.status().value()).as(answer.body().toString()).isEqualTo(201);
    return answer.body();
  }

  @Test
  void aDraftIsKeptUntilItIsThrownAway() {
    String circuit = newCircuit();
    ObjectNode edits = edits(circuit);
    ObjectNode board = mark(edits, "150 board", 312);
    board.put("fromM", 300).put("toM", 300);
    JsonNode changes = keepDraft(circuit, edits);
    assertThat(changes).hasSize(1);
    assertThat(changes.at("/0/kind").asString()).isEqualTo("MARK_MOVED");
    JsonNode view = scripts.get("/api/circuits/" + circuit).body();
    assertThat(view.path("draft").isObject()).isTrue();
    assertThat(view.path("draftChanges")).hasSize(1);
    assertThat(view.path("inUse").asBoolean(false)).isFalse();
    scripts.delete("/api/circuits/" + circuit + "/draft");
    assertThat(scripts.get("/api/circuits/" + circuit).body().path("draft").isNull()).isTrue();
  }

  @Test
  void aVersionThatNothingUsesIsChangedInPlace() {
    String circuit = newCircuit();
    ObjectNode edits = edits(circuit);
    edits.put("name", "Other Park");
    ((ArrayNode) edits.get("kerbs")).remove(0);
    keepDraft(circuit, edits);
    JsonNode kept = keep(circuit, "tidied");
    assertThat(kept.path("id").asString()).isEqualTo(circuit);
    JsonNode view = scripts.get("/api/circuits/" + circuit).body();
    assertThat(view.path("name").asString()).isEqualTo("Other Park");
    assertThat(view.at("/edits/kerbs")).hasSize(13);
    assertThat(view.path("versions")).hasSize(1);
  }

  @Test
  void aVersionThatABookUsesStaysAndTheEditsBecomeTheNext() {
    Place place = newPlace();
    byte[] before = scripts.download("/api/circuits/" + place.circuit() + "/circuit.geojson");
    ObjectNode edits = edits(place.circuit());
    mark(edits, "150 board", 312).put("fromM", 290).put("toM", 290);
    keepDraft(place.circuit(), edits);
    JsonNode kept = keep(place.circuit(), "boards moved in spring");
    assertThat(kept.path("id").asString()).isNotEqualTo(place.circuit());
    assertThat(kept.path("version").asInt(0)).isEqualTo(4);
    assertThat(scripts.download("/api/circuits/" + place.circuit() + "/circuit.geojson"))
        .isEqualTo(before);
    JsonNode newer = scripts.get("/api/circuits/" + kept.path("id").asString()).body();
    assertThat(newer.path("versions")).hasSize(2);
    assertThat(newer.at("/versions/1/reason").asString()).isEqualTo("boards moved in spring");
    // The old one can be looked at, but not edited any more.
    Scripts.Answer late = scripts.put("/api/circuits/" + place.circuit() + "/draft", edits);
    assertThat(late.status().value()).isEqualTo(409);
    assertThat(late.body().path("detail").asString()).contains("version 4 is newer than version 3");
  }

  /**
   * A mark moved, a kerb rebuilt: the pages that hang on them say so until the driver clears them.
   */
  @Test
  void aBookThatMovesHasItsTouchedPagesMarked() {
    Place place = newPlace();
    JsonNode kept = scripts.get("/api/books/" + place.book() + "/revisions/1").body();
    JsonNode first = kept.at("/pages/0");
    assertThat(first.at("/brake/target/mark").asString()).isEqualTo("150 board");
    scripts.post(
        "/api/books/" + place.book() + "/revisions",
        Map.of(
            "parent",
            1,
            "reason",
            "tried",
            "conditions",
            kept.path("conditions"),
            "ownValues",
            List.of(Map.of("corner", 9, "notes", "mind the wall"))));
    ObjectNode edits = edits(place.circuit());
    mark(edits, "150 board", 312).put("fromM", 299).put("toM", 299);
    ((ObjectNode) edits.at("/kerbs/9")).put("profile", "SAUSAGE").put("use", "NONE");
    double kerbAt = edits.at("/kerbs/9/fromM").asDouble(0);
    keepDraft(place.circuit(), edits);
    String next = keep(place.circuit(), "spring").path("id").asString();

    JsonNode book = scripts.get("/api/books/" + place.book()).body();
    assertThat(book.path("layoutVersion").asInt(0)).isEqualTo(3);
    assertThat(book.path("newestLayoutVersion").asInt(0)).isEqualTo(4);
    Scripts.Answer moved =
        scripts.post("/api/books/" + place.book() + "/layout", Map.of("circuitId", next));
    assertThat(moved.status().value()).as(moved.body().toString()).isEqualTo(201);
    assertThat(moved.body().path("revision").asInt(0)).isEqualTo(3);
    List<Integer> corners = corners(scripts.get("/api/books/" + place.book() + "/checks").body());
    int kerbCorner = cornerNear(place.book(), kerbAt);
    assertThat(corners).contains(1, kerbCorner).doesNotContain(11, 13);
    JsonNode revision = scripts.get("/api/books/" + place.book() + "/revisions/3").body();
    assertThat(revision.path("layoutVersion").asInt(0)).isEqualTo(4);
    assertThat(revision.at("/pages/8/notes").asString()).isEqualTo("mind the wall");
    assertThat(revision.at("/pages/0/brake/target/offset_m").asDouble(0))
        .isCloseTo(first.at("/brake/target/offset_m").asDouble(0) + 13, within(2.0));

    Scripts.Answer cleared =
        scripts.post("/api/books/" + place.book() + "/checks/1/cleared", Map.of());
    assertThat(corners(cleared.body())).doesNotContain(1).contains(kerbCorner);
    assertThat(
            scripts
                .post("/api/books/" + place.book() + "/checks/1/cleared", Map.of())
                .status()
                .value())
        .isEqualTo(404);
    // Earlier revisions are still computed on the layout that they were made for.
    JsonNode old = scripts.get("/api/books/" + place.book() + "/revisions/1/view").body();
    assertThat(old.at("/revision/layoutVersion").asInt(0)).isEqualTo(3);
    assertThat(mark(old, 312)).isNotNull();
  }

  private static List<Integer> corners(JsonNode checks) {
    List<Integer> corners = new ArrayList<>();
    checks.forEach(check -> corners.add(check.path("corner").asInt(0)));
    return corners;
  }

  private int cornerNear(String book, double station) {
    JsonNode pages = scripts.get("/api/books/" + book + "/revisions/1").body().get("pages");
    return IntStream.range(0, pages.size())
        .mapToObj(pages::get)
        .min(
            java.util.Comparator.comparingDouble(
                p -> Math.abs(p.at("/apexes/0/at_m").asDouble(0) - station)))
        .orElseThrow()
        .path("corner")
        .asInt(0);
  }

  private static JsonNode mark(JsonNode view, double at) {
    for (JsonNode mark : view.at("/trace/marks")) {
      if (Math.abs(mark.path("fromM").asDouble(0) - at) < 1) {
        return mark;
      }
    }
    return null;
  }

  @Test
  void aSplitCornerKeepsWhatWasWrittenOfIt() {
    Place place = newPlace();
    double throttle =
        scripts
            .get("/api/books/" + place.book() + "/revisions/1")
            .body()
            .at("/pages/7/throttle/first_m")
            .asDouble(0);
    scripts.post(
        "/api/books/" + place.book() + "/revisions",
        Map.of(
            "parent",
            1,
            "reason",
            "tried",
            "ownValues",
            List.of(Map.of("corner", 8, "brake.at_m", 2310.0, "throttle.first_m", throttle + 8))));
    ObjectNode edits = edits(place.circuit());
    ObjectNode long8 = (ObjectNode) edits.at("/corners/7");
    double from = long8.path("fromM").asDouble(0);
    double to = long8.path("toM").asDouble(0);
    ObjectNode second = long8.deepCopy();
    long8.put("toM", (from + to) / 2);
    second.put("fromM", (from + to) / 2).put("number", 14).put("name", "Bellmouth 2");
    ((ArrayNode) edits.get("corners")).add(second);
    keepDraft(place.circuit(), edits);
    String next = keep(place.circuit(), "two corners, really").path("id").asString();
    scripts.post("/api/books/" + place.book() + "/layout", Map.of("circuitId", next));
    JsonNode own =
        scripts.get("/api/books/" + place.book() + "/revisions/3").body().get("ownValues");
    assertThat(own.at("/0/corner").asInt(0)).isEqualTo(8);
    assertThat(own.at("/0/brake.at_m").asDouble(0)).isEqualTo(2310.0);
    assertThat(own.at("/1/corner").asInt(0)).isEqualTo(14);
    assertThat(own.at("/1/throttle.first_m").asDouble(0)).isCloseTo(throttle + 8, within(1e-6));
  }

  @Test
  void aMovedBookIsExportedAndTakenInByteForByte() {
    Place place = newPlace();
    ObjectNode edits = edits(place.circuit());
    mark(edits, "150 board", 312).put("fromM", 299).put("toM", 299);
    keepDraft(place.circuit(), edits);
    String next = keep(place.circuit(), "spring").path("id").asString();
    scripts.post("/api/books/" + place.book() + "/layout", Map.of("circuitId", next));
    byte[] first = scripts.download("/api/books/" + place.book() + "/export");
    assertThat(JsonFiles.parse(first).path("earlierLayouts")).hasSize(1);
    String copy = scripts.upload("/api/books/import", "b.json", first).body().path("id").asString();
    assertThat(scripts.download("/api/books/" + copy + "/export")).isEqualTo(first);
    JsonNode old = scripts.get("/api/books/" + copy + "/revisions/1/view").body();
    assertThat(mark(old, 312)).isNotNull();
  }

  @Test
  void whatCannotBeIsRefusedWithItsPlaceAndTheDraftStays() {
    String circuit = newCircuit();
    ObjectNode good = edits(circuit);
    mark(good, "150 board", 312).put("label", "<b>150</b> board");
    assertThat(keepDraft(circuit, good).at("/0/said/facts/label").asString()).contains("150 board");
    ObjectNode bad = good.deepCopy();
    ((ObjectNode) bad.at("/marks/2")).put("fromM", 99_999).put("toM", 99_999);
    Scripts.Answer beyond = scripts.put("/api/circuits/" + circuit + "/draft", bad);
    assertThat(beyond.status().value()).isEqualTo(422);
    assertThat(beyond.body().path("field").asString()).isEqualTo("marks");
    assertThat(beyond.body().path("index").asInt(0)).isEqualTo(2);
    ((ObjectNode) bad.at("/marks/2")).put("type", "LIGHTHOUSE");
    Scripts.Answer unknown = scripts.put("/api/circuits/" + circuit + "/draft", bad);
    assertThat(unknown.body().path("pointer").asString()).isEqualTo("/marks/2/type");
    assertThat(unknown.body().path("detail").asString()).contains("distance-board");
    ((ObjectNode) bad.at("/marks/2")).put("type", "LAMP").put("label", "");
    assertThat(
            scripts
                .put("/api/circuits/" + circuit + "/draft", bad)
                .body()
                .path("detail")
                .asString())
        .contains("At /marks/2: label is missing: give it a text");
    assertThat(scripts.get("/api/circuits/" + circuit).body().at("/draft/marks/1/label").asString())
        .isEqualTo("<b>150</b> board");
  }

  @Test
  void previewsStoreNothing() {
    int before = scripts.get("/api/circuits").body().size();
    Scripts.Answer answer =
        scripts.upload(
            "/api/circuits/preview", "x.geojson", Scripts.demo("harrowfen-park.circuit.geojson"));
    assertThat(answer.status().value()).isEqualTo(200);
    assertThat(answer.body().path("length_m").asDouble(0)).isBetween(4500.0, 4600.0);
    assertThat(answer.body().path("marks").asInt(0)).isEqualTo(43);
    assertThat(answer.body().at("/road/x_m").size()).isGreaterThan(2000);
    assertThat(scripts.get("/api/circuits").body()).hasSize(before);
    Scripts.Answer bad =
        scripts.upload(
            "/api/circuits/preview",
            "file",
            "x.gpx",
            "<gpx/>".getBytes(StandardCharsets.UTF_8),
            Map.of("settings", "{\"lap\":-1}"));
    assertThat(bad.status().value()).isEqualTo(422);
    assertThat(bad.body().path("pointer").asString()).isEqualTo("/lap");
  }

  @Test
  void theLightOfAnHourIsTold() {
    String circuit = newCircuit();
    JsonNode evening =
        scripts.get("/api/circuits/" + circuit + "/light?at=2026-04-18T19:10").body();
    assertThat(evening.path("elevation_deg").asDouble(0)).isBetween(8.0, 12.0);
    assertThat(evening.path("intoTheSun").size()).isGreaterThan(2);
    assertThat(evening.at("/shadows/0/usable").asBoolean(false)).isTrue();
    JsonNode night = scripts.get("/api/circuits/" + circuit + "/light?at=2026-04-18T23:10").body();
    assertThat(night.at("/shadows/0/usable").asBoolean(false)).isFalse();
    // A circuit in metres has no sun.
    StringBuilder ring = new StringBuilder("x_m,y_m,width_left_m,width_right_m\n");
    for (int i = 0; i < 150; i++) {
      double a = 2 * Math.PI * i / 150;
      ring.append("%.3f,%.3f,5,5%n".formatted(120 * Math.cos(a), 120 * Math.sin(a)));
    }
    String nowhere =
        scripts
            .upload("/api/circuits/import", "ring.csv", ring.toString())
            .body()
            .path("id")
            .asString();
    Scripts.Answer none = scripts.get("/api/circuits/" + nowhere + "/light?at=2026-04-18T12:00");
    assertThat(none.status().value()).isEqualTo(422);
    assertThat(none.body().path("detail").asString()).contains("no place on the earth");
    assertThat(scripts.get("/api/circuits/" + nowhere + "/light?at=noon").status().value())
        .isEqualTo(422);
  }

  @Test
  void filesAreGivenOutInEveryFormat() {
    Place place = newPlace();
    String csv =
        new String(
            scripts.download("/api/circuits/" + place.circuit() + "/centreline.csv"),
            StandardCharsets.UTF_8);
    assertThat(csv).startsWith("x_m,y_m,z_m,width_left_m,width_right_m,banking_deg\n");
    Scripts.Answer again = scripts.upload("/api/circuits/import", "again.csv", csv);
    assertThat(again.body().path("length_m").asDouble(0)).isCloseTo(4545.73, within(0.05));
    String marks =
        new String(
            scripts.download("/api/circuits/" + place.circuit() + "/marks.gpx"),
            StandardCharsets.UTF_8);
    assertThat(marks).contains("<wpt").contains("footbridge");
    String points =
        new String(
            scripts.download("/api/books/" + place.book() + "/revisions/1/points.gpx"),
            StandardCharsets.UTF_8);
    assertThat(points).contains("1 brake").contains("13 turn in");
  }

  /**
   * A survey that is half a metre off over a stretch: everything along the road stays at its place,
   * and a line of the driver's own stays on its ground.
   */
  @Test
  void aNewSurveyIsTheNextVersionAndKeepsWhatStandsAlongTheRoad() {
    Place place = newPlace();
    byte[] centreline = scripts.download("/api/circuits/" + place.circuit() + "/centreline.csv");
    String[] rows = new String(centreline, StandardCharsets.UTF_8).split("\n");
    keepOwnLine(place.book(), centreline);
    // The CSV has no place on the earth: a line of GeoJSON with the same points has.
    JsonNode tree =
        JsonFiles.parse(scripts.download("/api/circuits/" + place.circuit() + "/circuit.geojson"));
    ObjectNode line = JsonFiles.MAPPER.createObjectNode();
    line.put("type", "Feature").putObject("properties");
    line.set("geometry", tree.at("/features/0/geometry").deepCopy());
    for (int i = 300; i < 330; i++) {
      ArrayNode position = (ArrayNode) line.at("/geometry/coordinates/" + i);
      double bulge = 0.8 * Math.sin(Math.PI * (i - 300) / 30);
      position.set(1, JsonFiles.MAPPER.valueToTree(position.get(1).asDouble(0) + bulge / 111_200));
    }
    Scripts.Answer answer =
        scripts.upload(
            "/api/circuits/" + place.circuit() + "/versions/import",
            "line.geojson",
            JsonFiles.writeFile(line),
            Map.of("reason", "surveyed anew"));
    assertThat(answer.status().value()).as(answer.body().toString()).isEqualTo(201);
    assertThat(rows).hasSize(939);
    String next = answer.body().path("id").asString();
    JsonNode view = scripts.get("/api/circuits/" + next).body();
    assertThat(view.path("version").asInt(0)).isEqualTo(4);
    assertThat(view.at("/edits/marks")).hasSize(43);
    assertThat(answer.body().get("changes").toString())
        .contains("GEOMETRY")
        .doesNotContain("MARK_GONE");
    assertThat(
            scripts
                .post("/api/books/" + place.book() + "/layout", Map.of("circuitId", next))
                .body()
                .get("checks")
                .toString())
        .contains("layout.line");
    JsonNode moved = scripts.get("/api/books/" + place.book() + "/revisions/3").body();
    assertThat(moved.path("line").asString()).isEqualTo("own");
    double[] offsets = offsets(moved);
    double least = Arrays.stream(offsets).min().orElseThrow();
    double most = Arrays.stream(offsets).max().orElseThrow();
    assertThat(Math.max(most, -least)).isBetween(0.2, 0.85);
    assertThat(Arrays.stream(offsets).filter(o -> Math.abs(o) > 0.05).count()).isLessThan(60);
  }

  /** Drives the book on the circuit's centreline as if it were a lap of one's own. */
  private void keepOwnLine(String book, byte[] centreline) {
    JsonNode traced =
        scripts.upload("/api/books/" + book + "/traced-line", "lap.csv", centreline).body();
    Map<String, Object> draft =
        Map.of(
            "parent",
            1,
            "reason",
            "mine",
            "line",
            "own",
            "lineOffsets_m",
            traced.get("lineOffsets_m"));
    scripts.post("/api/books/" + book + "/revisions", draft);
    double[] offsets = offsets(scripts.get("/api/books/" + book + "/revisions/2").body());
    assertThat(Arrays.stream(offsets).map(Math::abs).max().orElseThrow()).isLessThan(0.05);
  }

  private static double[] offsets(JsonNode revision) {
    return IntStream.range(0, revision.path("lineOffsets_m").size())
        .mapToDouble(k -> revision.at("/lineOffsets_m/" + k).asDouble(0))
        .toArray();
  }
}
