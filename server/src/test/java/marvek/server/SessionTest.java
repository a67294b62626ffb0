package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Sessions over HTTP: planned, prepared, issued, briefed, driven, followed by the next. */
@ServerTest
class SessionTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;

  /** A book of one's own without a session, so that those of others do not matter. */
  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    JsonNode demo = scripts.get("/api/books").body().get(0);
    byte[] file = scripts.download("/api/books/" + demo.path("id").asString() + "/export");
    ObjectNode document = (ObjectNode) JsonFiles.parse(file);
    document.remove(List.of("sessions", "steps"));
    byte[] bare = JsonFiles.write(document).getBytes(StandardCharsets.UTF_8);
    book = scripts.upload("/api/books/import", "b.book.json", bare).body().path("id").asString();
  }

  static Map<String, Object> session(String startsAt, String surface) {
    Map<String, Object> session = new HashMap<>();
    session.put("event", "June meeting");
    session.put("kind", "practice");
    session.put("startsAt", startsAt);
    session.put("length_min", 25);
    session.put("purpose", "practice");
    session.put(
        "tyres", Map.of("name", "A", "laps", 11, "goodLaps", 60, "inUseSince", "2026-04-18"));
    session.put("conditions", Map.of("surface", surface, "gripUsed", 0.92, "fuel_kg", 0));
    return session;
  }

  private JsonNode planned(String startsAt, String surface) {
    Scripts.Answer answer =
        scripts.post("/api/books/" + book + "/sessions", session(startsAt, surface));
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(201);
    return answer.body();
  }

  private JsonNode newest() {
    JsonNode view = scripts.get("/api/books/" + book).body();
    int number = view.path("revisions").size();
    return scripts.get("/api/books/" + book + "/revisions/" + number).body();
  }

  @Test
  void aWetSessionIsPreparedDecidedIssuedAndBriefed() {
    JsonNode session = planned("2026-06-13T10:20", "wet");
    String path = "/api/sessions/" + session.path("id").asString();
    assertThat(session.path("begins").asString()).isEqualTo("2026-06-13T09:20:00Z");
    JsonNode prepared = scripts.get(path + "/preparation").body();
    assertThat(prepared.path("lap_s").asDouble(0))
        .isGreaterThan(prepared.path("parentLap_s").asDouble(0) + 5);
    // The driver's own brake point at Sluice moves with the model's.
    JsonNode sluice = change(prepared, 1, "brake.at_m");
    assertThat(sluice.path("why").asString()).isEqualTo("own-moved");
    assertThat(sluice.path("before").asDouble(0)).isEqualTo(304.0);
    assertThat(sluice.path("after").asDouble(0)).isLessThan(300);
    List<Map<String, Object>> decisions =
        List.of(
            Map.of("corner", 1, "field", "brake.at_m", "choice", "alter", "value", 290.0),
            Map.of("corner", 11, "field", "brake.at_m", "choice", "leave"));
    Scripts.Answer decided = scripts.put(path + "/decisions", decisions);
    assertThat(decided.status().value()).as("%s", decided.body()).isEqualTo(200);
    assertThat(decided.body().path("decisions").size()).isEqualTo(2);

    JsonNode issued = scripts.post(path + "/issue", Map.of("reason", ""), "*").body();
    assertThat(issued.at("/session/revision").asInt(0)).isEqualTo(3);
    JsonNode revision = newest();
    assertThat(revision.path("reason").asString()).isEqualTo("June meeting, practice: wet road");
    assertThat(revision.at("/conditions/surface").asString()).isEqualTo("wet");
    assertThat(revision.at("/conditions/at").asString()).isEqualTo("2026-06-13T10:20");
    assertThat(revision.at("/pages/0/brake/at_m").asDouble(0)).isEqualTo(290.0);
    assertThat(revision.at("/pages/10/brake/at_m").asDouble(0)).isEqualTo(3176.0);

    JsonNode brief = scripts.get(path + "/brief").body();
    assertThat(brief.path("revision").asInt(0)).isEqualTo(3);
    assertThat(brief.path("issued").asBoolean(false)).isTrue();
    assertThat(brief.path("warmUp").size()).isEqualTo(4);
    assertThat(brief.path("focus").size()).isEqualTo(3);
    assertThat(brief.path("targets").findValuesAsString("tier"))
        .contains("expert", "good-club", "beginner", "book");
    assertThat(brief.path("shortForm").size()).isEqualTo(13);
    assertThat(brief.path("hazards").size()).isGreaterThan(4);
    // In the rain no sun is told.
    assertThat(brief.path("sunElevation_deg").isNumber()).isFalse();
  }

  @Test
  void aDrySessionIsToldHowHighTheSunStands() {
    String path = "/api/sessions/" + planned("2026-06-13T10:20", "dry").path("id").asString();
    assertThat(scripts.get(path + "/brief").body().path("sunElevation_deg").asDouble(0))
        .isBetween(30.0, 65.0);
  }

  private static JsonNode change(JsonNode prepared, int corner, String field) {
    for (JsonNode change : prepared.path("changes")) {
      if (change.path("corner").asInt(0) == corner
          && change.path("field").asString().equals(field)) {
        return change;
      }
    }
    throw new AssertionError("no change of " + field + " in " + corner + ": " + prepared);
  }

  /** What was moved for a wet session comes back where it was for a dry one. */
  @Test
  void aWeekendGoesFromDryToWetAndBack() {
    JsonNode wet = planned("2026-06-13T10:20", "wet");
    scripts.post(
        "/api/sessions/" + wet.path("id").asString() + "/issue", Map.of("reason", "rain"), "*");
    ObjectNode driven = (ObjectNode) scripts.get("/api/sessions/" + id(wet)).body().get("session");
    driven.putObject("result").put("laps", 9).put("bestLap_s", 133.2).put("learned", "no kerbs");
    driven.putArray("openPoints").addObject().put("corner", 4).put("words", "try second gear");
    Scripts.Answer kept = scripts.put("/api/sessions/" + id(wet), driven);
    assertThat(kept.status().value()).as("%s", kept.body()).isEqualTo(200);
    assertThat(kept.body().at("/session/revision").asInt(0)).isEqualTo(3);

    JsonNode next = scripts.post("/api/sessions/" + id(wet) + "/next", Map.of()).body();
    assertThat(next.at("/session/tyres/laps").asInt(0)).isEqualTo(20);
    assertThat(next.at("/session/startsAt").asString()).isEqualTo("2026-06-14T10:20");
    assertThat(next.at("/session/openPoints/0/words").asString()).isEqualTo("try second gear");
    ObjectNode dry = (ObjectNode) next.get("session");
    ((ObjectNode) dry.get("conditions")).put("surface", "dry");
    scripts.put("/api/sessions/" + id(next), dry);
    JsonNode prepared = scripts.get("/api/sessions/" + id(next) + "/preparation").body();
    assertThat(change(prepared, 1, "brake.at_m").path("after").asDouble(0))
        .isCloseTo(304.0, within(1.0));
    JsonNode listed = scripts.get("/api/books/" + book + "/sessions").body();
    assertThat(listed.findValuesAsString("id")).containsExactly(id(wet), id(next));
  }

  private static String id(JsonNode kept) {
    return kept.path("id").asString();
  }

  @Test
  void brakePointsAreWorkedUpToOverLapsAndSessions() {
    String steps = "/api/books/" + book + "/revisions/2/steps";
    JsonNode board = scripts.get(steps).body();
    JsonNode sluice = board.get(0);
    assertThat(sluice.path("corner").asInt(0)).isEqualTo(1);
    assertThat(sluice.path("begun").asBoolean(false)).isFalse();
    assertThat(sluice.path("steps_m").size()).isGreaterThan(3);
    double target = sluice.path("target_m").asDouble(0);
    scripts.post(steps + "/1", Map.of("word", "begin"), "*");
    for (int lap = 0; lap < 3; lap++) {
      scripts.post(steps + "/1", Map.of("word", "made"), "*");
    }
    JsonNode after = scripts.get(steps).body().get(0);
    assertThat(after.path("begun").asBoolean(false)).isTrue();
    assertThat(after.path("step").asInt(0)).isEqualTo(1);
    double now = after.path("now_m").asDouble(0);
    assertThat(now).isLessThan(target);

    // A session in the dry takes the point at its step; the plan keeps its target.
    JsonNode session = planned("2026-06-13T10:20", "dry");
    JsonNode prepared = scripts.get("/api/sessions/" + id(session) + "/preparation").body();
    JsonNode change = change(prepared, 1, "brake.at_m");
    assertThat(change.path("why").asString()).isEqualTo("step");
    assertThat(change.path("after").asDouble(0)).isCloseTo(now, within(1e-6));
    scripts.post("/api/sessions/" + id(session) + "/issue", Map.of(), "*");
    JsonNode later = scripts.get("/api/books/" + book + "/revisions/3/steps").body().get(0);
    assertThat(later.path("target_m").asDouble(0)).isCloseTo(target, within(1e-6));
    assertThat(later.path("step").asInt(0)).isEqualTo(1);
    JsonNode missed = scripts.post(steps + "/1", Map.of("word", "missed"), "*").body().get(0);
    assertThat(missed.path("step").asInt(0)).isZero();
    assertThat(missed.path("misses").asInt(0)).isEqualTo(1);
    Scripts.Answer wrong = scripts.post(steps + "/1", Map.of("word", "perhaps"), "*");
    assertThat(wrong.status().value()).isEqualTo(422);
    assertThat(wrong.body().path("detail").asString()).contains("begin, made, missed or forget");
  }

  @Test
  void sessionsAndStepsGoAlongInTheBooksFile() {
    planned("2026-06-13T10:20", "wet");
    scripts.post("/api/books/" + book + "/revisions/2/steps/1", Map.of("word", "begin"), "*");
    byte[] file = scripts.download("/api/books/" + book + "/export");
    JsonNode tree = JsonFiles.parse(file);
    assertThat(tree.path("sessions").size()).isPositive();
    assertThat(tree.path("steps").size()).isEqualTo(1);
    String copy =
        scripts.upload("/api/books/import", "b.book.json", file).body().path("id").asString();
    byte[] again = scripts.download("/api/books/" + copy + "/export");
    assertThat(new String(again, StandardCharsets.UTF_8))
        .isEqualTo(new String(file, StandardCharsets.UTF_8));
    String broken = new String(file, StandardCharsets.UTF_8).replace("\"June meeting\"", "\"\"");
    Scripts.Answer refused = scripts.upload("/api/books/import", "b.book.json", broken);
    assertThat(refused.status().value()).isEqualTo(422);
    assertThat(refused.body().path("pointer").asString()).startsWith("/sessions/");
  }

  @Test
  void badInputIsToldAtItsField() {
    refused(session("2025-02-01T10:00", "dry"), "startsAt", "before the layout was as the book");
    refused(session("2026-03-29T01:30", "dry"), "startsAt", "clocks go forward");
    Map<String, Object> old = session("2026-04-18T12:00", "dry");
    old.put("tyres", Map.of("name", "A", "laps", 900, "goodLaps", 60, "inUseSince", "2026-04-18"));
    refused(old, "tyres.laps", "more than could be driven");
    Map<String, Object> wind = session("2026-06-13T10:20", "dry");
    wind.put("conditions", Map.of("windSpeed_mps", 3, "windFrom_deg", 400));
    refused(wind, "windFrom_deg", "between 0 and 360");
    Map<String, Object> beyond = session("2026-06-13T10:20", "dry");
    Map<String, Object> part = Map.of("from_m", 100, "to_m", 99_000, "surface", "wet");
    beyond.put("conditions", Map.of("parts", List.of(part)));
    refused(beyond, "parts", "lies beyond the lap");
    Map<String, Object> nameless = session("2026-06-13T10:20", "dry");
    nameless.remove("event");
    refused(nameless, "event", "text");
  }

  private void refused(Map<String, Object> session, String where, String says) {
    Scripts.Answer answer = scripts.post("/api/books/" + book + "/sessions", session);
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(422);
    assertThat(answer.body().path("field").asString()).isEqualTo(where);
    assertThat(answer.body().path("detail").asString()).contains(says);
  }

  @Test
  void whoSavesAgainAndAgainIsNotTakenForSomebodyElse() {
    JsonNode session = planned("2026-06-13T10:20", "dry");
    for (int k = 0; k < 12; k++) {
      Scripts.Answer kept =
          scripts.put(
              "/api/sessions/" + id(session),
              session("2026-06-13T11:0" + k % 10, "dry"),
              Scripts.seen(session));
      assertThat(kept.status().value()).as("%s", kept.body()).isEqualTo(200);
      session = kept.body();
    }
  }

  @Test
  void weatherRadioAndCalendarStandIn() {
    JsonNode weather =
        scripts.get("/api/books/" + book + "/weather?at=2026-06-13T10:20&hours=6").body();
    assertThat(weather.path("simulated").asBoolean(false)).isTrue();
    assertThat(weather.path("hours").size()).isEqualTo(6);
    assertThat(weather)
        .isEqualTo(
            scripts.get("/api/books/" + book + "/weather?at=2026-06-13T10:20&hours=6").body());
    assertThat(
            scripts
                .get("/api/books/" + book + "/weather?at=2026-06-13T10:20&hours=900")
                .status()
                .value())
        .isEqualTo(422);

    long before = scripts.get("/api/radio").body().path("last").asLong(0);
    scripts.post("/api/radio", Map.of("words", "Brake at the 100 board."));
    JsonNode heard = scripts.get("/api/radio?after=" + before).body();
    assertThat(heard.at("/messages/0/words").asString()).isEqualTo("Brake at the 100 board.");
    assertThat(scripts.post("/api/radio", Map.of("words", " ")).status().value()).isEqualTo(422);

    planned("2026-06-13T10:20", "dry");
    String calendar =
        new String(
            scripts.download("/api/books/" + book + "/sessions.ics"), StandardCharsets.UTF_8);
    assertThat(calendar).startsWith("BEGIN:VCALENDAR").contains("June meeting").contains("TZID=");
  }

  @Test
  void purposesComeWithTheirCost() {
    JsonNode purposes =
        scripts.post("/api/books/" + book + "/purposes", Map.of("parent", 1)).body();
    assertThat(purposes.path("laps").findValuesAsString("day"))
        .containsExactly("qualifying", "race", "save-tyres", "first-lap", "follow");
    assertThat(purposes.at("/laps/0/lost_s").asDouble(0)).isNegative();
    assertThat(purposes.path("defend").size()).isGreaterThan(3);
    assertThat(purposes.path("saving").size()).isEqualTo(13);
  }
}
