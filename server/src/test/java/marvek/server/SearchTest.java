package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** Corners, notes and marks of everything that is kept can be looked for. */
@ServerTest
class SearchTest {
  @Autowired private TestRestTemplate http;

  private static List<JsonNode> of(Scripts scripts, String path, String owner, String id) {
    return StreamSupport.stream(scripts.get(path).body().spliterator(), false)
        .filter(one -> one.path(owner).asString().equals(id))
        .toList();
  }

  @Test
  void theCornersOfABookAreThoseOfItsNewestRevision() {
    Scripts scripts = new Scripts(http);
    String id = scripts.copyOfTheDemo();
    String book = "/api/books/" + id;
    List<JsonNode> before = of(scripts, "/api/search/corners", "bookId", id);
    assertThat(before).hasSize(13);
    assertThat(before.get(3).path("name").asString()).isEqualTo("Long Hythe");
    JsonNode kept =
        scripts
            .post(
                book + "/revisions",
                Map.of(
                    "parent",
                    2,
                    "reason",
                    "noted",
                    "ownValues",
                    List.of(Map.of("corner", 4, "notes", "the wall leans in"))))
            .body();
    assertThat(kept.path("number").asInt(0)).isEqualTo(3);
    List<JsonNode> after = of(scripts, "/api/search/corners", "bookId", id);
    assertThat(after).hasSize(13);
    assertThat(after.get(3).path("notes").asString()).isEqualTo("the wall leans in");
    assertThat(after.get(3).path("corner").asInt(0)).isEqualTo(4);

    scripts.put("/api/put-away/book/" + id, null);
    assertThat(of(scripts, "/api/search/corners", "bookId", id)).isEmpty();
  }

  @Test
  void theMarksOfACircuitAreThoseOfItsNewestVersion() {
    Scripts scripts = new Scripts(http);
    for (JsonNode circuit : scripts.get("/api/circuits").body()) {
      String id = circuit.path("id").asString();
      JsonNode marks = scripts.get("/api/circuits/" + id).body().at("/edits/marks");
      List<String> found =
          of(scripts, "/api/search/marks", "circuitId", id).stream()
              .map(mark -> mark.path("label").asString() + mark.path("note").asString())
              .toList();
      assertThat(found)
          .containsExactlyInAnyOrderElementsOf(
              StreamSupport.stream(marks.spliterator(), false)
                  .map(mark -> mark.path("label").asString() + mark.path("note").asString())
                  .toList());
    }
    assertThat(scripts.get("/api/search/marks").body().toString()).contains("sluice house");
  }
}
