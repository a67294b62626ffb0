package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Two windows, two people, or the same press twice: nobody's change is lost without being told. */
@ServerTest
class EditionsTest {
  private static final int AT_ONCE = 6;

  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;
  private String session;

  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
    session = "/api/sessions/" + scripts.get(book + "/sessions").body().at("/0/id").asString();
  }

  /** The same call from several windows at the same moment. */
  private static List<Integer> atOnce(Callable<Scripts.Answer> call) throws Exception {
    ExecutorService windows = Executors.newFixedThreadPool(AT_ONCE);
    try {
      CyclicBarrier together = new CyclicBarrier(AT_ONCE);
      List<Future<Integer>> answers = new ArrayList<>();
      for (int k = 0; k < AT_ONCE; k++) {
        answers.add(
            windows.submit(
                () -> {
                  together.await();
                  return call.call().status().value();
                }));
      }
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> answer : answers) {
        statuses.add(answer.get());
      }
      return statuses;
    } finally {
      windows.shutdown();
    }
  }

  private static void assertOneWon(List<Integer> statuses, int won, int... lost) {
    assertThat(statuses).filteredOn(status -> status == won).hasSize(1);
    assertThat(statuses)
        .filteredOn(status -> status != won)
        .allSatisfy(status -> assertThat(lost).contains(status));
  }

  private ObjectNode values(JsonNode kept, String event) {
    ObjectNode values = (ObjectNode) kept.path("session").deepCopy();
    return values.put("event", event);
  }

  @Test
  void ofSixThatSaveASessionAtOnceOneIsKeptAndTheOthersAreTold() throws Exception {
    for (int round = 0; round < 4; round++) {
      JsonNode seen = scripts.get(session).body();
      ObjectNode values = values(seen, "Round " + round);
      assertOneWon(atOnce(() -> scripts.put(session, values, Scripts.seen(seen))), 200, 412);
    }
  }

  @Test
  void aStaleChangeIsAnsweredWithBothStates() {
    JsonNode seen = scripts.get(session).body();
    scripts.put(session, values(seen, "Theirs"), Scripts.seen(seen));
    Scripts.Answer late = scripts.put(session, values(seen, "Mine"), Scripts.seen(seen));
    assertThat(late.status().value()).isEqualTo(412);
    assertThat(late.body().at("/theirs/session/event").asString()).isEqualTo("Theirs");
    assertThat(scripts.get(session).body().at("/session/event").asString()).isEqualTo("Theirs");
    assertThat(scripts.put(session, values(seen, "Mine"), null).status().value()).isEqualTo(428);
    assertThat(scripts.put(session, values(seen, "x"), "three").status().value()).isEqualTo(422);
    String after = Scripts.seen(late.body().path("theirs"));
    assertThat(scripts.put(session, values(seen, "Mine"), after).status().value()).isEqualTo(200);
  }

  @Test
  void whatIsTypedWhileABookIsPreparedOutlivesTheDecision() {
    JsonNode prepared = scripts.get(session + "/preparation").body();
    JsonNode kept = scripts.get(session).body();
    scripts.put(session, values(kept, "Typed meanwhile"), Scripts.seen(kept));
    Scripts.Answer decided =
        scripts.put(
            session + "/decisions", JsonFiles.MAPPER.createArrayNode(), Scripts.seen(prepared));
    assertThat(decided.status().value()).isEqualTo(412);
    assertThat(scripts.post(session + "/issue", Map.of(), Scripts.seen(prepared)).status().value())
        .isEqualTo(412);
    assertThat(scripts.get(session).body().at("/session/event").asString())
        .isEqualTo("Typed meanwhile");
    assertThat(scripts.get(book).body().path("revisions")).as("no half of an issue").hasSize(2);
  }

  @Test
  void nullIsNoListOfDecisions() {
    JsonNode prepared = scripts.get(session + "/preparation").body();
    assertThat(
            scripts
                .put(session + "/decisions", JsonFiles.MAPPER.nullNode(), Scripts.seen(prepared))
                .status()
                .value())
        .isBetween(400, 422);
  }

  @Test
  void aLapToldTwiceCountsOnce() throws Exception {
    String board = book + "/revisions/2/steps";
    scripts.post(board + "/1", Map.of("word", "begin"), "*");
    JsonNode step = step(board);
    assertOneWon(
        atOnce(() -> scripts.post(board + "/1", Map.of("word", "made"), Scripts.seen(step))),
        200,
        412);
    assertThat(step(board).path("inARow").asInt(0)).isEqualTo(step.path("inARow").asInt(0) + 1);
  }

  private JsonNode step(String board) {
    for (JsonNode step : scripts.get(board).body()) {
      if (step.path("corner").asInt(0) == 1) {
        return step;
      }
    }
    throw new AssertionError("corner 1 has no steps");
  }

  @Test
  void aWalkBegunByFourAtOnceIsOneWalk() throws Exception {
    String circuit =
        "/api/circuits/"
            + scripts
                .upload(
                    "/api/circuits/import",
                    "a.circuit.geojson",
                    Scripts.demo("harrowfen-park.circuit.geojson"))
                .body()
                .path("id")
                .asString();
    List<Integer> begun = atOnce(() -> scripts.post(circuit + "/walk", null));
    assertThat(begun).containsOnly(200);
    JsonNode walk = scripts.get(circuit + "/walk").body();
    String path = "/api/walks/" + walk.path("id").asString();
    assertOneWon(
        atOnce(() -> scripts.post(path + "/finish", Map.of("reason", "x"), Scripts.seen(walk))),
        200,
        409,
        412);
    assertThat(scripts.get(circuit + "/walk").body().path("id").isNull())
        .as("none is left open")
        .isTrue();
  }

  @Test
  void aDraftOfACircuitAndASheetAndALedDayAreGuardedToo() throws Exception {
    String circuit = "/api/circuits/" + scripts.get(book).body().path("newestCircuitId").asString();
    JsonNode seen = scripts.get(circuit).body();
    ObjectNode edits = (ObjectNode) seen.path("edits").deepCopy();
    ((ObjectNode) edits.at("/kerbs/0")).put("heightMm", 71);
    assertOneWon(
        atOnce(() -> scripts.put(circuit + "/draft", edits, Scripts.seen(seen))), 200, 412);
    assertThat(scripts.put(circuit + "/draft", edits, null).status().value()).isEqualTo(428);

    String sheets = "/api/cars/" + scripts.get(book).body().path("carId").asString() + "/sheets";
    JsonNode sheet = scripts.get(sheets).body().get(0);
    String path = sheets + "/" + sheet.path("id").asString();
    ObjectNode values = (ObjectNode) sheet.path("sheet").deepCopy();
    values.put("notes", "changed in one of six windows");
    assertOneWon(atOnce(() -> scripts.put(path, values, Scripts.seen(sheet))), 200, 412);
    assertThat(scripts.put(path, values, null).status().value()).isEqualTo(428);

    JsonNode day = scripts.get(session + "/lead").body();
    ObjectNode body = JsonFiles.MAPPER.createObjectNode();
    body.set("day", day.path("day"));
    assertOneWon(atOnce(() -> scripts.put(session + "/lead", body, Scripts.seen(day))), 200, 412);
    assertThat(scripts.put(session + "/lead", body, null).status().value()).isEqualTo(428);
  }

  @Test
  void ofEqualThingsAtOnceTheSecondIsTold() throws Exception {
    byte[] laps = scripts.download(session + "/simulated.laps.csv?kind=position&laps=2");
    assertOneWon(atOnce(() -> scripts.upload(session + "/laps", "same.laps.csv", laps)), 201, 409);
    Map<String, Object> answer = Map.of("corner", 5, "kind", "gear", "quality", 4);
    assertThat(atOnce(() -> scripts.post(book + "/recall", answer)))
        .contains(200)
        .allSatisfy(status -> assertThat(status).isIn(200, 409));
    Map<String, String> remark = Map.of("author", "driver", "words", "Late");
    String note =
        "/api/debrief-notes/"
            + scripts.post(session + "/remarks", remark).body().path("id").asString();
    assertThat(atOnce(() -> scripts.delete(note)))
        .contains(204)
        .allSatisfy(status -> assertThat(status).isIn(204, 404, 412));
    assertThat(scripts.delete(note).status().value()).isEqualTo(404);
  }
}
