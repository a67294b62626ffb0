package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;

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
    String demo = scripts.get("/api/books").body().at("/0/id").asText();
    byte[] file = scripts.download("/api/books/" + demo + "/export");
    String book =
        scripts.upload("/api/books/import", "l.book.json", file).body().path("id").asText();
    JsonNode first = scripts.get("/api/books/" + book + "/sessions").body().get(0);
    session = "/api/sessions/" + first.path("id").asText();
  }

  private byte[] simulated(int laps, int seed) {
    return scripts.download(session + "/simulated.laps.csv?laps=" + laps + "&seed=" + seed);
  }

  private static List<Double> differences(JsonNode debrief, int corner, String value) {
    List<Double> found = new ArrayList<>();
    double page = debrief.at("/page/" + (corner - 1) + "/" + value).asDouble();
    for (JsonNode lap : debrief.path("laps")) {
      if (lap.path("kind").asText().equals("flying")) {
        found.add(lap.at("/corners/" + (corner - 1) + "/" + value).asDouble() - page);
      }
    }
    found.sort(null);
    return found;
  }

  private static double middle(List<Double> sorted) {
    return sorted.get(sorted.size() / 2);
  }

  @Test
  void whatWasDrivenIsReadAgainstThePage() {
    byte[] file = simulated(6, 2);
    Scripts.Answer taken = scripts.upload(session + "/laps", "practice.laps.csv", file);
    assertThat(taken.status().value()).as("%s", taken.body()).isEqualTo(201);
    assertThat(taken.body().path("samples").asInt()).isGreaterThan(60_000);
    assertThat(taken.body().path("corrections")).isEmpty();
    JsonNode debrief = scripts.get(session + "/debrief").body();
    assertThat(debrief.path("laps").findValuesAsText("kind"))
        .containsExactly("out", "flying", "flying", "flying", "flying", "flying", "flying", "in");
    double sum = 0;
    for (JsonNode corner : debrief.at("/laps/2/corners")) {
      sum += corner.path("time_s").asDouble();
    }
    assertThat(sum).isCloseTo(debrief.at("/laps/2/time_s").asDouble(), within(0.5));
    // Everybody brakes a little early and is a little slower: so does the simulated driver.
    int early = 0;
    for (int corner = 1; corner <= 13; corner++) {
      assertThat(middle(differences(debrief, corner, "lowest_mps"))).isBetween(-4.0, 0.3);
      if (!debrief.at("/page/" + (corner - 1) + "/brakeOn_m").isNull()) {
        early += middle(differences(debrief, corner, "brakeOn_m")) < -8 ? 1 : 0;
      }
    }
    assertThat(early).as("one corner braked 11 m early by habit").isEqualTo(1);
    JsonNode findings = debrief.path("findings");
    assertThat(findings.findValuesAsText("rule"))
        .contains("braked-early", "over-slowed", "late-throttle");
    double before = Double.POSITIVE_INFINITY;
    for (JsonNode finding : findings) {
      assertThat(finding.path("laps").asInt()).isBetween(3, 6);
      assertThat(finding.path("cost_s").asDouble()).isLessThanOrEqualTo(before);
      before = finding.path("cost_s").asDouble();
    }
    String first = taken.body().path("id").asText();
    String allButTwo = "?left=" + first + ".2&left=" + first + ".3&left=" + first + ".4&left=";
    assertThat(scripts.get(session + "/debrief" + allButTwo + first + ".5").body().path("findings"))
        .as("two laps are no habit")
        .isEmpty();
    byte[] again = scripts.download("/api/laps/" + taken.body().path("id").asText() + "/file.csv");
    assertThat(again).isEqualTo(file);
  }

  @Test
  void theSameFileTwiceIsNoticedAndAFileCanBeTakenOut() {
    byte[] file = simulated(1, 2);
    Scripts.Answer taken = scripts.upload(session + "/laps", "one.laps.csv", file);
    Scripts.Answer twice = scripts.upload(session + "/laps", "two.laps.csv", file);
    assertThat(twice.status().value()).isEqualTo(409);
    assertThat(twice.body().path("detail").asText()).contains("in already");
    scripts.delete("/api/laps/" + taken.body().path("id").asText());
    assertThat(scripts.get(session + "/debrief").body().path("files")).isEmpty();
  }

  @Test
  void whatIsNoLapIsRefusedAndNothingIsKept() {
    Scripts.Answer words =
        scripts.upload(session + "/laps", "x.csv", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8));
    assertThat(words.status().value()).isEqualTo(422);
    assertThat(words.body().path("detail").asText()).contains("no column of times");
    String straight = "time_s,x_m,y_m,speed_mps\n";
    StringBuilder elsewhere = new StringBuilder(straight);
    for (int i = 0; i < 50; i++) {
      elsewhere.append(i).append(',').append(90_000 + 30 * i).append(",0,30\n");
    }
    Scripts.Answer far =
        scripts.upload(
            session + "/laps", "y.csv", elsewhere.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(far.status().value()).isEqualTo(422);
    assertThat(far.body().path("detail").asText()).contains("another circuit");
    byte[] lap = simulated(1, 2);
    String text = new String(lap, StandardCharsets.UTF_8);
    String half = text.substring(0, text.indexOf('\n', text.length() / 4) + 1);
    Scripts.Answer part =
        scripts.upload(session + "/laps", "z.csv", half.getBytes(StandardCharsets.UTF_8));
    assertThat(part.status().value()).isEqualTo(422);
    assertThat(part.body().path("detail").asText()).contains("no whole lap");
    assertThat(scripts.get(session + "/debrief").body().path("files")).isEmpty();
  }
}
