package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What laps do to a book over sessions, layouts and surfaces. */
@ServerTest
class ReviewsTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;
  private JsonNode sessions;

  /** A copy of the demo's book with its practice, qualifying and race. */
  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
    sessions = scripts.get(book + "/sessions").body();
  }

  private String session(int k) {
    return "/api/sessions/" + sessions.get(k).path("id").asString();
  }

  private byte[] simulated(int k, int laps, int seed) {
    return scripts.download(session(k) + "/simulated.laps.csv?laps=" + laps + "&seed=" + seed);
  }

  private static double bestOf(JsonNode debrief) {
    return StreamSupport.stream(debrief.path("laps").spliterator(), false)
        .filter(lap -> lap.path("kind").asString().equals("flying"))
        .mapToDouble(lap -> lap.path("time_s").asDouble(0))
        .min()
        .orElseThrow();
  }

  @Test
  void theSameFileInAnotherSessionOfTheBookIsNoticed() {
    byte[] file = simulated(0, 1, 2);
    assertThat(scripts.upload(session(0) + "/laps", "a.csv", file).status().value()).isEqualTo(201);
    Scripts.Answer again = scripts.upload(session(1) + "/laps", "b.csv", file);
    assertThat(again.status().value()).isEqualTo(409);
    assertThat(again.body().path("detail").asString()).contains("Practice of").contains("a.csv");
    assertThat(scripts.get(session(1) + "/debrief").body().path("files")).isEmpty();
  }

  /**
   * The aim is the brief's: a third of what is missing from the best lap until then to the book.
   */
  @Test
  void theHistoryOfACornerGoesAgainstTheAimsOfTheBriefs() {
    scripts.upload(session(0) + "/laps", "a.csv", simulated(0, 3, 2));
    JsonNode history = scripts.get(book + "/corners/4/history").body();
    assertThat(history).hasSize(2);
    JsonNode driven = history.get(0);
    JsonNode next = history.get(1);
    JsonNode debrief = scripts.get(session(0) + "/debrief").body();
    double bookS = debrief.path("lap_s").asDouble(0);
    assertThat(driven.path("target_s").asDouble(0))
        .as("nothing was driven before: the book")
        .isCloseTo(bookS, within(0.001));
    assertThat(driven.path("targetCorner_s").asDouble(0))
        .isCloseTo(driven.path("page_s").asDouble(0), within(0.001));
    assertThat(driven.path("time_s").asDouble(0) - driven.path("page_s").asDouble(0))
        .isCloseTo(driven.path("lost_s").asDouble(0), within(0.002));
    JsonNode causes = scripts.get(session(0) + "/causes").body();
    assertThat(causes.path("findings").findValuesAsString("rule"))
        .contains(driven.path("rule").asString());
    assertThat(driven.path("charged_s").isNumber()).isTrue();
    double noted = sessions.get(0).at("/session/result/bestLap_s").asDouble(0);
    double best = Math.min(noted, bestOf(debrief));
    JsonNode then = scripts.get(session(1) + "/debrief").body();
    double bookThen = then.path("lap_s").asDouble(0);
    assertThat(next.path("lap_s").isNull()).isTrue();
    assertThat(next.path("target_s").asDouble(0))
        .isCloseTo(best - (best - bookThen) / 3, within(0.01));
    double share = next.path("targetCorner_s").asDouble(0) / next.path("page_s").asDouble(0);
    assertThat(share).isCloseTo(next.path("target_s").asDouble(0) / bookThen, within(0.001));
  }

  @Test
  void pointsOfOneLayoutAreNotWrittenIntoAnother() {
    String circuit =
        scripts
            .upload(
                "/api/circuits/import", "x.geojson", Scripts.demo("harrowfen-park.circuit.geojson"))
            .body()
            .path("id")
            .asString();
    String car = scripts.get(book).body().path("carId").asString();
    String other = "/api/books/" + scripts.newBook(circuit, car, "Moves on");
    Scripts.Answer taken = scripts.upload(other + "/laps/import", "a.csv", simulated(0, 4, 2));
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    String driven =
        "/api/sessions/"
            + scripts.get(other + "/sessions").body().at("/0/id").asString()
            + "/review";
    JsonNode before = scripts.get(driven).body();
    assertThat(before.path("bookOnLayout").isNull()).isTrue();
    assertThat(before.path("proposals")).isNotEmpty();

    ObjectNode edits = (ObjectNode) scripts.get("/api/circuits/" + circuit).body().get("edits");
    ((ArrayNode) edits.get("kerbs")).remove(0);
    scripts.put("/api/circuits/" + circuit + "/draft", edits);
    JsonNode version =
        scripts
            .post("/api/circuits/" + circuit + "/versions", Map.of("reason", "kerb taken out"), "*")
            .body();
    Scripts.Answer moved =
        scripts.post(other + "/layout", Map.of("circuitId", version.path("id").asString()));
    assertThat(moved.status().value()).as("%s", moved.body()).isEqualTo(201);

    JsonNode after = scripts.get(driven).body();
    assertThat(after.path("bookOnLayout").asInt(0)).isEqualTo(version.path("version").asInt(0));
    JsonNode proposal = after.at("/proposals/0");
    Map<String, Object> accepted =
        Map.of(
            "corner", proposal.path("corner").asInt(0), "kind", proposal.path("kind").asString());
    int newest = after.path("newest").asInt(0);
    Scripts.Answer kept =
        scripts.post(driven, Map.of("parent", newest, "accepted", java.util.List.of(accepted)));
    assertThat(kept.status().value()).isEqualTo(409);
    assertThat(kept.body().path("detail").asString()).contains("version 4").contains("layout");
    assertThat(scripts.get(driven).body().path("newest").asInt(0)).isEqualTo(newest);
  }
}
