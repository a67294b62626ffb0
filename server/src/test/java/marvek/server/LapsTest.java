package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** Laps over HTTP: made by the simulated logger, brought in, read against the page. */
@ServerTest
class LapsTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String session;

  /** A copy of the demo's book with its weekend. */
  @BeforeEach
  void ownSession() {
    scripts = new Scripts(http);
    String book = scripts.copyOfTheDemo();
    JsonNode first = scripts.get("/api/books/" + book + "/sessions").body().get(0);
    session = "/api/sessions/" + first.path("id").asString();
  }

  private byte[] simulated(int laps, int seed) {
    return scripts.download(session + "/simulated.laps.csv?laps=" + laps + "&seed=" + seed);
  }

  private static List<Double> differences(JsonNode debrief, int corner, String value) {
    List<Double> found = new ArrayList<>();
    double page = debrief.at("/page/" + (corner - 1) + "/" + value).asDouble(0);
    for (JsonNode lap : debrief.path("laps")) {
      if (lap.path("kind").asString().equals("flying")) {
        found.add(lap.at("/corners/" + (corner - 1) + "/" + value).asDouble(0) - page);
      }
    }
    found.sort(null);
    return found;
  }

  private static double middle(List<Double> sorted) {
    return sorted.get(sorted.size() / 2);
  }

  @Test
  void aFileIsCalledOtherwiseAndTheDebriefSaysSo() {
    Scripts.Answer taken = scripts.upload(session + "/laps", "practice.laps.csv", simulated(2, 5));
    String file = taken.body().path("id").asString();
    assertThat(scripts.get(session + "/debrief").body().at("/files/0/name").asString())
        .isEqualTo("practice.laps.csv");
    Scripts.Answer renamed =
        scripts.put("/api/laps/" + file + "/name", Map.of("name", " Morning, new pads "));
    assertThat(renamed.status().value()).isEqualTo(204);
    assertThat(scripts.get(session + "/debrief").body().at("/files/0/name").asString())
        .isEqualTo("Morning, new pads");
    assertThat(scripts.put("/api/laps/" + file + "/name", Map.of("name", " ")).status().value())
        .isEqualTo(422);
    assertThat(scripts.put("/api/laps/" + file + "/name", Map.of()).status().value())
        .isEqualTo(400);
  }

  @Test
  void whatWasDrivenIsReadAgainstThePage() {
    byte[] file = simulated(6, 2);
    Scripts.Answer taken = scripts.upload(session + "/laps", "practice.laps.csv", file);
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    assertThat(taken.body().path("samples").asInt(0)).isGreaterThan(60_000);
    assertThat(taken.body().path("corrections")).isEmpty();
    JsonNode debrief = scripts.get(session + "/debrief").body();
    assertThat(debrief.path("laps").findValuesAsString("kind"))
        .containsExactly("out", "flying", "flying", "flying", "flying", "flying", "flying", "in");
    double sum = 0;
    for (JsonNode corner : debrief.at("/laps/2/corners")) {
      sum += corner.path("time_s").asDouble(0);
    }
    assertThat(sum).isCloseTo(debrief.at("/laps/2/time_s").asDouble(0), within(0.5));
    // Everybody brakes a little early and is a little slower: so does the simulated driver.
    int early = 0;
    for (int corner = 1; corner <= 13; corner++) {
      assertThat(middle(differences(debrief, corner, "lowestSpeed_mps"))).isBetween(-4.0, 0.3);
      if (!debrief.at("/page/" + (corner - 1) + "/brakeOn_m").isNull()) {
        early += middle(differences(debrief, corner, "brakeOn_m")) < -8 ? 1 : 0;
      }
    }
    assertThat(early).as("one corner braked 11 m early by habit").isEqualTo(1);
    JsonNode findings = scripts.get(session + "/causes").body().path("findings");
    assertThat(findings.findValuesAsString("rule"))
        .contains("braked-early", "over-slowed", "late-throttle");
    double before = Double.POSITIVE_INFINITY;
    for (JsonNode finding : findings) {
      int laps = finding.path("laps").size();
      assertThat(laps).isBetween(1, 6);
      double perLap = finding.path("cost_s").asDouble(0) * laps / finding.path("of").asInt(0);
      assertThat(perLap).isLessThanOrEqualTo(before + 0.001);
      before = perLap;
    }
    String first = taken.body().path("id").asString();
    for (int lap = 2; lap <= 5; lap++) {
      say(first, lap, "{\"kind\": \"off\"}");
    }
    JsonNode two = scripts.get(session + "/causes").body().path("findings");
    assertThat(two.findValuesAsString("often")).as("two laps are no habit").doesNotContain("habit");
    assertThat(two).as("but they are told").isNotEmpty();
    say(first, 2, "{\"kind\": null}");
    assertThat(scripts.get(session + "/debrief").body().at("/laps/1/kind").asString())
        .isEqualTo("flying");
    byte[] again = scripts.download("/api/laps/" + taken.body().path("id").asString() + "/file");
    assertThat(again).isEqualTo(file);
  }

  private void say(String file, int lap, String body) {
    Scripts.Answer answer = scripts.put("/api/laps/" + file + "/laps/" + lap + "/kind", body);
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(204);
  }

  @Test
  void theSameFileTwiceIsNoticedAndAFileCanBeTakenOut() {
    byte[] file = simulated(1, 2);
    assertThat(isDriven()).isFalse();
    Scripts.Answer taken = scripts.upload(session + "/laps", "one.laps.csv", file);
    assertThat(isDriven()).isTrue();
    Scripts.Answer twice = scripts.upload(session + "/laps", "two.laps.csv", file);
    assertThat(twice.status().value()).isEqualTo(409);
    assertThat(twice.body().path("detail").asString()).contains("in already");
    scripts.delete("/api/laps/" + taken.body().path("id").asString());
    assertThat(scripts.get(session + "/debrief").body().path("files")).isEmpty();
    assertThat(isDriven()).isFalse();
  }

  private boolean isDriven() {
    return scripts.get(session).body().get("driven").asBoolean(false);
  }

  @Test
  void whatIsNoLapIsRefusedAndNothingIsKept() {
    Scripts.Answer words =
        scripts.upload(session + "/laps", "x.csv", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8));
    assertThat(words.status().value()).isEqualTo(422);
    assertThat(words.body().path("detail").asString()).contains("no column of times");
    String straight = "time_s,x_m,y_m,speed_mps\n";
    StringBuilder elsewhere = new StringBuilder(straight);
    for (int i = 0; i < 50; i++) {
      elsewhere.append(i).append(',').append(90_000 + 30 * i).append(",0,30\n");
    }
    Scripts.Answer far =
        scripts.upload(
            session + "/laps", "y.csv", elsewhere.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(far.status().value()).isEqualTo(422);
    assertThat(far.body().path("detail").asString()).contains("another circuit");
    byte[] lap = simulated(1, 2);
    String text = new String(lap, StandardCharsets.UTF_8);
    String half = text.substring(0, text.indexOf('\n', text.length() / 4) + 1);
    Scripts.Answer part =
        scripts.upload(session + "/laps", "z.csv", half.getBytes(StandardCharsets.UTF_8));
    assertThat(part.status().value()).isEqualTo(422);
    assertThat(part.body().path("detail").asString()).contains("no whole lap");
    assertThat(scripts.get(session + "/debrief").body().path("files")).isEmpty();
  }

  private String book() {
    return "/api/books/" + scripts.get(session).body().path("bookId").asString();
  }

  /**
   * The calls that are promised to scripts, on a book without a session; of the model that the
   * demo's laps were driven with.
   */
  @Test
  void scriptsBringLapsInAndReadThem() {
    String circuit = scripts.get(book()).body().path("circuitId").asString();
    String car = scripts.get(book()).body().path("carId").asString();
    String fresh =
        scripts.newBook(
            Map.of(
                "circuitId",
                circuit,
                "carId",
                car,
                "name",
                "S",
                "conditions",
                Map.of("model", "plain")));
    String path = "/api/books/" + fresh;
    Scripts.Answer refused =
        scripts.upload(
            path + "/laps/import", "x.csv", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8));
    assertThat(refused.status().value()).isEqualTo(422);
    assertThat(scripts.get(path + "/sessions").body()).isEmpty();
    Scripts.Answer taken = scripts.upload(path + "/laps/import", "x.csv", simulated(4, 2));
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    JsonNode laps = taken.body().path("laps");
    assertThat(laps.findValuesAsString("kind"))
        .containsExactly("out", "flying", "flying", "flying", "flying", "in");
    assertThat(laps.at("/0/time_s").isNull()).isTrue();
    assertThat(laps.at("/1/time_s").asDouble(0)).isBetween(100.0, 140.0);
    JsonNode readings =
        scripts.get(path + "/laps/" + laps.at("/1/id").asString() + "/readings").body();
    assertThat(readings).hasSize(13);
    for (String name :
        List.of(
            "brakeOn_m",
            "brakePeak_pct",
            "release_m",
            "turnIn_m",
            "lowestSpeed_mps",
            "lowestSpeed_m",
            "gear",
            "firstThrottle_m",
            "fullThrottle_m",
            "coasting_s",
            "throttlePickUps",
            "time_s",
            "delta_s")) {
      assertThat(readings.get(0).path(name).isNumber()).as(name).isTrue();
    }
    assertThat(scripts.get(path + "/findings").body().findValuesAsString("rule"))
        .contains("braked-early");
    assertThat(scripts.get(book() + "/laps/" + laps.at("/1/id").asString() + "/readings").status())
        .as("another book has no such lap")
        .hasToString("404 NOT_FOUND");
  }

  @Test
  void columnsAreMappedOnceAndRemembered() {
    String foreign =
        new String(simulated(1, 2), StandardCharsets.UTF_8)
            .replaceFirst("time_s,x_m,y_m,speed_mps", "Zeit,Ost,Nord,Fahrt");
    byte[] bytes = foreign.getBytes(StandardCharsets.UTF_8);
    JsonNode seen = scripts.upload(session + "/laps/preview", "f.csv", bytes).body();
    assertThat(seen.path("missing")).hasSize(3);
    assertThat(seen.at("/columns/0/first/1").asString()).isEqualTo("0.0100");
    String mapping =
        "{\"Zeit\": \"time_s\", \"Ost\": \"x_m\", \"Nord\": \"y_m\", \"Fahrt\": \"speed_mps\"}";
    Scripts.Answer taken =
        scripts.upload(session + "/laps", "f.csv", bytes, java.util.Map.of("mapping", mapping));
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    JsonNode again = scripts.upload(session + "/laps/preview", "g.csv", bytes).body();
    assertThat(again.path("remembered").asBoolean(false)).isTrue();
    assertThat(again.path("missing")).isEmpty();
    byte[] next = (foreign + "\n").getBytes(StandardCharsets.UTF_8);
    assertThat(scripts.upload(session + "/laps", "h.csv", next).status().value()).isEqualTo(201);
  }

  private byte[] logged(String kind) {
    return scripts.download(session + "/simulated.laps.csv?seed=3&laps=5&kind=" + kind);
  }

  /** Every kind of the simulated logger is read by what it is, and nothing of a preview is kept. */
  @Test
  void everyLoggerIsReadAndToldInThePreview() {
    java.util.Map<String, String> told =
        java.util.Map.of(
            "full", "",
            "mixed", "laps.header-line\",\"facts\":{\"line\":5",
            "late", "laps.positions-late",
            "rough", "laps.positions-scatter",
            "stint", "",
            "position", "",
            "telephone", "");
    told.forEach(
        (kind, words) -> {
          JsonNode seen = scripts.upload(session + "/laps/preview", "a", logged(kind)).body();
          assertThat(seen.path("kind").asString())
              .as(kind)
              .isEqualTo(kind.equals("telephone") ? "nmea" : "csv");
          JsonNode read = seen.path("read");
          assertThat(read.path("corrections").toString()).as(kind).contains(words);
          assertThat(read.path("laps")).as(kind).hasSize(7);
          assertThat(read.path("path").size()).as(kind).isGreaterThan(100);
          double lag = read.at("/put_right/lag_s").asDouble(9);
          assertThat(lag).as(kind).isCloseTo(kind.equals("late") ? 0.3 : 0, within(0.02));
        });
    assertThat(scripts.get(session + "/debrief").body().path("files")).isEmpty();
  }

  @Test
  void aStintHasASlowLapAndAStop() {
    scripts.upload(session + "/laps", "a.csv", logged("stint"));
    assertThat(scripts.get(session + "/debrief").body().path("laps").findValuesAsString("kind"))
        .containsExactly("out", "flying", "flying", "slow", "flying", "off", "in");
  }

  @Test
  void headersCanBePointedAt() {
    byte[] mixed = logged("mixed");
    JsonNode seen =
        scripts
            .upload(session + "/laps/preview", "a", mixed, java.util.Map.of("headerLine", "1"))
            .body();
    assertThat(seen.path("headerLine").asInt(0)).isEqualTo(1);
    assertThat(seen.path("read").isNull()).isTrue();
    assertThat(seen.path("missing")).isNotEmpty();
    JsonNode none =
        scripts
            .upload(session + "/laps/preview", "a", mixed, java.util.Map.of("headerLine", "4"))
            .body();
    assertThat(none.path("detail").asString()).contains("Line 4: no row of headers can stand here");
  }

  /** A telephone's places are sure to some metres: they tell what cost time, and move no mark. */
  @Test
  void nothingIsProposedFromPlacesThatAreNotSure() {
    byte[] file = scripts.download(session + "/simulated.laps.csv?kind=telephone&laps=6&seed=2");
    Scripts.Answer taken = scripts.upload(session + "/laps", "walk.nmea", file);
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    assertThat(scripts.get(session + "/review").body().path("proposals")).isEmpty();
    assertThat(scripts.get(session + "/causes").body().path("laps")).hasSize(6);
  }

  /** The page of an open road is driven once, from its begin to its end, and read like that. */
  @Test
  void lapsOfAnOpenRoadAreReadToo() {
    JsonNode own = scripts.get(book()).body();
    String circuit = "/api/circuits/" + own.path("circuitId").asString();
    String closed =
        new String(scripts.download(circuit + "/centreline.csv"), StandardCharsets.UTF_8);
    String open = "# closed: false\n" + closed.replace("# closed: true\n", "");
    String hill =
        scripts
            .upload("/api/circuits/import", "hill.csv", open.getBytes(StandardCharsets.UTF_8))
            .body()
            .path("id")
            .asString();
    String book = "/api/books/" + scripts.newBook(hill, own.path("carId").asString(), "Hill");
    Scripts.Answer planned =
        scripts.post(book + "/sessions", SessionTest.session("2026-12-05T09:00", "dry"));
    assertThat(planned.status().value()).as("%s", planned.body()).isEqualTo(201);
    String id = planned.body().path("id").asString();
    String run = "/api/sessions/" + id + "/simulated.laps.csv?laps=1&seed=2";
    Scripts.Answer taken =
        scripts.upload("/api/sessions/" + id + "/laps", "x.csv", scripts.download(run));
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    JsonNode debrief = scripts.get("/api/sessions/" + id + "/debrief").body();
    assertThat(debrief.at("/page/3/time_s").isNumber()).as("%s", debrief).isTrue();
    JsonNode causes = scripts.get("/api/sessions/" + id + "/causes").body();
    assertThat(causes.path("laps").size()).as("%s", causes).isPositive();
  }

  /** What a driver says before he looks is kept with the session, once each. */
  @Test
  void whatADriverThinksCostTimeIsKept() {
    scripts.upload(session + "/laps", "a.csv", simulated(3, 2));
    Map<String, Object> said = Map.of("corner", 4, "rule", "late-throttle");
    Scripts.Answer guess = scripts.post(session + "/guesses", said);
    assertThat(guess.status().value()).isEqualTo(201);
    JsonNode causes = scripts.get(session + "/causes").body();
    assertThat(causes.at("/guesses/0/corner").asInt(0)).isEqualTo(4);
    assertThat(causes.at("/guesses/0/rule").asString()).isEqualTo("late-throttle");
    assertThat(scripts.post(session + "/guesses", said).status().value()).isEqualTo(409);
    Map<String, Object> nonsense = Map.of("corner", 4, "rule", "bad-luck");
    assertThat(scripts.post(session + "/guesses", nonsense).status().value()).isEqualTo(422);
    assertThat(
            scripts
                .delete("/api/debrief-notes/" + guess.body().path("id").asString())
                .status()
                .value())
        .isEqualTo(204);
    assertThat(scripts.get(session + "/causes").body().path("guesses")).isEmpty();
  }

  /** Findings, proposals and history are one driver's; the other's are asked for. */
  @Test
  void lapsOfTwoDriversAreNeverPooled() {
    scripts.upload(session + "/laps", "mine.csv", simulated(4, 2));
    Scripts.Answer theirs =
        scripts.upload(
            session + "/laps", "theirs.csv", simulated(3, 9), java.util.Map.of("driver", "Ines"));
    assertThat(theirs.status().value()).isEqualTo(201);
    JsonNode mine = scripts.get(session + "/debrief").body();
    assertThat(mine.path("drivers")).hasSize(2);
    assertThat(mine.path("files").findValuesAsString("name")).containsExactly("mine.csv");
    assertThat(mine.path("laps")).hasSize(6);
    JsonNode other = scripts.get(session + "/debrief?driver=Ines").body();
    assertThat(other.path("files").findValuesAsString("name")).containsExactly("theirs.csv");
    for (JsonNode finding : scripts.get(session + "/causes").body().path("findings")) {
      assertThat(finding.path("of").asInt(0)).isLessThanOrEqualTo(4);
    }
    String file = theirs.body().path("id").asString();
    scripts.put("/api/laps/" + file + "/whose", Map.of("driver", "", "vehicle", "spare car"));
    JsonNode vehicles = scripts.get(session + "/debrief").body();
    assertThat(vehicles.path("drivers").findValuesAsString("vehicle"))
        .containsExactly("", "spare car");
    assertThat(vehicles.path("laps")).hasSize(6);
    String mineToo = mine.at("/files/0/id").asString();
    scripts.put("/api/laps/" + mineToo + "/whose", Map.of("driver", "Ines", "vehicle", ""));
    assertThat(scripts.get(session + "/review").body().path("proposals"))
        .as("others' laps change no page of this driver's")
        .isEmpty();
    scripts.put("/api/laps/" + mineToo + "/whose", Map.of("driver", "", "vehicle", ""));
    scripts.put("/api/laps/" + file + "/whose", Map.of("driver", "", "vehicle", ""));
    assertThat(scripts.get(session + "/debrief").body().path("laps")).hasSize(11);
  }

  /** Without a dry revision one is made of the session's own, with nothing else changed. */
  @Test
  void aSessionThatWasWetAfterAllIsReadOnWetPages() {
    scripts.upload(session + "/laps", "a.csv", simulated(4, 2));
    int before = scripts.get(session + "/debrief").body().path("revision").asInt(0);
    assertThat(scripts.get(session + "/debrief").body().path("seems").isNull()).isTrue();
    Scripts.Answer said = scripts.put(session + "/surface", Map.of("surface", "wet"));
    assertThat(said.status().value()).as("%s", said.body()).isEqualTo(204);
    JsonNode wet = scripts.get(session + "/debrief").body();
    assertThat(wet.path("surface").asString()).isEqualTo("wet");
    assertThat(wet.path("seems").asString()).isEqualTo("dry");
    assertThat(wet.path("revision").asInt(0)).isGreaterThan(before);
    JsonNode review = scripts.get(session + "/review").body();
    assertThat(review.path("seems").asString()).isEqualTo("dry");
    assertThat(review.path("proposals")).isEmpty();
    assertThat(review.path("calibration").isNull()).isTrue();
    scripts.put(session + "/surface", Map.of("surface", "dry"));
    JsonNode dry = scripts.get(session + "/debrief").body();
    assertThat(dry.path("seems").isNull()).isTrue();
    assertThat(dry.path("revision").asInt(0)).isEqualTo(before);
    assertThat(scripts.put(session + "/surface", Map.of("surface", "icy")).status().value())
        .isEqualTo(422);
  }

  @Test
  void aFindingIsDismissedForItsLapsAndRemarksStandBesideIt() {
    scripts.upload(session + "/laps", "a.csv", simulated(5, 2));
    JsonNode finding = scripts.get(session + "/causes").body().at("/findings/0");
    String body =
        "{\"corner\": "
            + finding.path("corner").asInt(0)
            + ", \"rule\": \""
            + finding.path("rule").asString()
            + "\", \"reason\": \"Traffic\", \"laps\": "
            + finding.path("laps")
            + "}";
    JsonNode dismissed = scripts.post(session + "/dismissed", body).body();
    JsonNode then = scripts.get(session + "/causes").body().at("/findings/0");
    assertThat(then.at("/dismissed/reason").asString()).isEqualTo("Traffic");
    scripts.post(session + "/remarks", "{\"corner\": 3, \"lap\": \"lap 4\", \"words\": \"Late\"}");
    byte[] export = scripts.download(book() + "/export");
    String copy =
        scripts.upload("/api/books/import", "c.book.json", export).body().path("id").asString();
    assertThat(scripts.download("/api/books/" + copy + "/export")).isEqualTo(export);
    JsonNode other = scripts.get("/api/books/" + copy + "/sessions").body().get(0);
    JsonNode remarks =
        scripts.get("/api/sessions/" + other.path("id").asString() + "/debrief").body();
    assertThat(remarks.at("/remarks/0/words").asString()).isEqualTo("Late");
    scripts.delete("/api/debrief-notes/" + dismissed.path("id").asString());
    assertThat(scripts.get(session + "/causes").body().at("/findings/0/dismissed").isNull())
        .isTrue();
    assertThat(scripts.post(session + "/remarks", "{\"words\": \" \"}").status().value())
        .isEqualTo(422);
  }

  @Test
  void proposalsBecomeARevisionWithTheLapsBehindIt() {
    scripts.upload(session + "/laps", "a.csv", simulated(6, 2));
    JsonNode review = scripts.get(session + "/review").body();
    JsonNode earlier = null;
    for (JsonNode proposal : review.path("proposals")) {
      if (proposal.path("kind").asString().equals("marker-earlier")) {
        earlier = proposal;
      }
    }
    assertThat(earlier).as("%s", review).isNotNull();
    assertThat(earlier.path("count").asInt(0)).isGreaterThanOrEqualTo(3);
    assertThat(earlier.path("after").asDouble(0)).isLessThan(earlier.path("before").asDouble(0));
    assertThat(earlier.path("gain_s").asDouble(0)).isPositive();
    int parent = review.path("newest").asInt(0);
    Scripts.Answer nothing =
        scripts.post(session + "/review", "{\"parent\": " + parent + ", \"accepted\": []}");
    assertThat(nothing.status().value()).isEqualTo(422);
    int corner = earlier.path("corner").asInt(0);
    JsonNode kept =
        scripts
            .post(
                session + "/review",
                "{\"parent\": "
                    + parent
                    + ", \"accepted\": [{\"corner\": "
                    + corner
                    + ", \"kind\": \"marker-earlier\"}]}")
            .body();
    assertThat(kept.path("reason").asString()).contains("corner " + corner);
    JsonNode revision = scripts.get(book() + "/revisions/" + kept.path("number").asInt(0)).body();
    JsonNode page = revision.path("pages").get(corner - 1);
    assertThat(page.path("sources").path("brake.at_m").asString()).isEqualTo("measured");
    JsonNode own = null;
    for (JsonNode o : revision.path("ownValues")) {
      own = o.path("corner").asInt(0) == corner ? o : own;
    }
    assertThat(own.path("measured").path("brake.at_m").get(0).asString()).startsWith("Practice of");
    JsonNode history = scripts.get(book() + "/corners/" + corner + "/history").body();
    assertThat(history).as("the practice, and the qualifying to come").hasSize(2);
    assertThat(history.at("/0/laps").asInt(0)).isEqualTo(6);
    assertThat(history.at("/0/brake_m").asDouble(0))
        .isLessThan(history.at("/0/page_m").asDouble(0));
  }

  @Test
  void theStepBoardMovesByTheLapsOnce() {
    scripts.upload(session + "/laps", "a.csv", simulated(6, 2));
    Scripts.Answer noted = scripts.post(session + "/review/steps", null);
    assertThat(noted.status().value()).as("%s", noted.body()).isEqualTo(200);
    assertThat(noted.body()).hasSize(2);
    assertThat(scripts.post(session + "/review/steps", null).status().value()).isEqualTo(409);
  }

  @Test
  void twoLapsAreLaidBesideEachOther() {
    String file =
        scripts.upload(session + "/laps", "a.csv", simulated(2, 2)).body().path("id").asString();
    String at = session + "/along?from_m=500&to_m=700&lap=";
    JsonNode lap = scripts.get(at + file + ".2").body();
    JsonNode page = scripts.get(at + "page").body();
    assertThat(lap.path("speed_mps")).hasSize(101);
    assertThat(page.path("speed_mps")).hasSize(101);
    assertThat(lap.path("from_m").asDouble(0)).isEqualTo(500);
    assertThat(scripts.get(at + file + ".99").status().value()).isEqualTo(404);
  }

  @Test
  void lapsAppearWhileTheyAreDriven() throws InterruptedException {
    Scripts.Answer begun =
        scripts.post(session + "/live", "{\"laps\": 2, \"seed\": 3, \"timesFaster\": 200}");
    assertThat(begun.status().value()).as("%s", begun.body()).isEqualTo(200);
    JsonNode state = begun.body();
    for (int k = 0; k < 300 && state.path("running").asBoolean(false); k++) {
      Thread.sleep(100);
      state = scripts.get(session + "/live").body();
    }
    assertThat(state.path("problem").isNull()).as("%s", state).isTrue();
    assertThat(state.path("laps").asInt(0)).isEqualTo(2);
    assertThat(scripts.get(session + "/debrief").body().path("laps").findValuesAsString("kind"))
        .containsExactly("out", "flying", "flying", "in");
  }
}
