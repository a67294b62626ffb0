package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Learning a book over HTTP. */
@ServerTest
class RecallTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo("learned");
  }

  private JsonNode answer(int corner, String kind, int quality) {
    return scripts
        .post(
            book + "/recall",
            "{\"corner\": "
                + corner
                + ", \"kind\": \""
                + kind
                + "\", \"quality\": "
                + quality
                + "}")
        .body();
  }

  @Test
  void whatIsKnownIsAskedAgainLaterAndWhatIsNotTomorrow() {
    JsonNode round = scripts.get(book + "/recall").body();
    int all = round.path("all").asInt(0);
    assertThat(round.path("questions")).hasSize(all);
    assertThat(round.at("/questions/0/corner").asInt(0)).isEqualTo(1);
    assertThat(answer(1, "gear", 5).path("interval_days").asInt(0)).isEqualTo(1);
    assertThat(answer(1, "gear", 5).path("interval_days").asInt(0)).isEqualTo(6);
    assertThat(answer(2, "gear", 1).path("due").asString())
        .isEqualTo(LocalDate.now().plusDays(1).toString());
    JsonNode then = scripts.get(book + "/recall").body();
    assertThat(then.path("questions")).hasSize(all - 2);
    assertThat(then.path("known").asInt(0)).isEqualTo(1);
    assertThat(scripts.get(book + "/recall?ahead=true").body().path("questions")).hasSize(all);
  }

  /** A value that a new revision changes is asked first, with what was learned. */
  @Test
  void aChangedValueComesFirstOldAgainstNew() {
    JsonNode before = scripts.get(book).body();
    int number = before.path("revisions").size();
    answer(8, "gear", 5);
    JsonNode revision = scripts.get(book + "/revisions/" + number).body();
    int gear = revision.at("/pages/7/gears/corner").asInt(0);
    ObjectNode draft = (ObjectNode) revision.deepCopy();
    draft.retain("conditions", "line", "ownValues");
    draft.put("parent", number).put("reason", "Another gear");
    draft.withArray("ownValues").addObject().put("corner", 8).put("gears.corner", gear - 1);
    assertThat(scripts.post(book + "/revisions", draft).status().is2xxSuccessful()).isTrue();
    JsonNode first = scripts.get(book + "/recall").body().at("/questions/0");
    assertThat(first.path("corner").asInt(0)).isEqualTo(8);
    assertThat(first.path("kind").asString()).isEqualTo("gear");
    assertThat(first.path("changed").asBoolean(false)).isTrue();
    assertThat(first.path("before").asString()).isEqualTo(Integer.toString(gear));
  }

  @Test
  void whatIsNotAskedIsRefused() {
    assertThat(scripts.get(book + "/recall?order=random").status().value()).isEqualTo(422);
    assertThat(answer(99, "gear", 5).path("detail").asString()).contains("corner 99");
    assertThat(answer(1, "colour", 5).path("detail").asString())
        .contains("must be brake-mark, gear,");
    assertThat(answer(1, "gear", 9).path("detail").asString()).contains("quality");
  }

  private Scripts.Answer tapped(double pace, int taps) {
    StringBuilder list = new StringBuilder();
    JsonNode beats = scripts.get(book + "/stopwatch").body().path("beats");
    for (int k = 0; k < Math.min(taps, beats.size()); k++) {
      list.append(k == 0 ? "" : ",").append(pace * beats.get(k).path("at_s").asDouble(0));
    }
    return scripts.post(book + "/stopwatch", "{\"taps_s\": [" + list + "]}");
  }

  /** A lap in the head that runs a tenth slow all over. */
  @Test
  void aLapInTheHeadIsLaidBesideTheReference() {
    int beats = scripts.get(book + "/stopwatch").body().path("beats").size();
    JsonNode lap = tapped(1.1, beats).body();
    assertThat(lap.path("imagined_s").asDouble(0) / lap.path("reference_s").asDouble(0))
        .isBetween(1.099, 1.101);
    assertThat(lap.path("parts")).hasSize(beats);
    assertThat(lap.at("/parts/" + (beats - 1) + "/corner").asInt(0)).isZero();
    assertThat(scripts.get(book + "/stopwatch").body().path("scatter_s").isNull()).isTrue();
    tapped(1.0, beats);
    JsonNode both = scripts.get(book + "/stopwatch").body();
    assertThat(both.path("laps")).hasSize(2);
    // Two laps a tenth of a lap apart: the deviation is that over the root of two.
    double reference = lap.path("reference_s").asDouble(0);
    assertThat(both.path("scatter_s").asDouble(0))
        .isBetween(0.0706 * reference, 0.0708 * reference);
    scripts.delete("/api/imagined-laps/" + lap.path("id").asString());
    assertThat(scripts.get(book + "/stopwatch").body().path("laps")).hasSize(1);
  }

  @Test
  void aLapWithATapMissingIsRefusedAndNothingIsKept() {
    Scripts.Answer few = tapped(1, 3);
    assertThat(few.status().value()).isEqualTo(422);
    assertThat(few.body().path("detail").asString()).contains("has 3 taps");
    assertThat(scripts.post(book + "/stopwatch", "{}").status().value()).isEqualTo(422);
    assertThat(scripts.get(book + "/stopwatch").body().path("laps")).isEmpty();
  }

  /** What is learned goes along in the book's file, and a file with nonsense is refused whole. */
  @Test
  void whatIsLearnedGoesAlong() {
    answer(1, "gear", 5);
    answer(4, "in-the-wet", 4);
    byte[] export = scripts.download(book + "/export");
    String copy =
        "/api/books/"
            + scripts
                .upload("/api/books/import", "c.book.json", export)
                .body()
                .path("id")
                .asString();
    assertThat(scripts.download(copy + "/export")).isEqualTo(export);
    assertThat(scripts.get(copy + "/recall").body().path("known").asInt(0)).isEqualTo(2);
    int before = scripts.get("/api/books").body().size();
    String wrong =
        new String(export, java.nio.charset.StandardCharsets.UTF_8)
            .replaceFirst("\"due\" *: *\"[^\"]*\"", "\"due\": \"someday\"");
    Scripts.Answer refused =
        scripts.upload(
            "/api/books/import",
            "w.book.json",
            wrong.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    assertThat(refused.status().is4xxClientError()).as("%s", refused.body()).isTrue();
    assertThat(scripts.get("/api/books").body()).hasSize(before);
  }

  private Scripts.Answer driven(double share, double late, double until) {
    JsonNode lap = scripts.get(book + "/runs").body();
    StringBuilder presses = new StringBuilder();
    for (JsonNode act : lap.path("acts")) {
      if (act.path("at_s").asDouble(0) + late <= until) {
        presses.append(presses.isEmpty() ? "" : ",");
        presses
            .append("{\"kind\": \"")
            .append(act.path("kind").asString())
            .append("\", \"at_s\": ");
        presses.append(act.path("at_s").asDouble(0) + late).append('}');
      }
    }
    return scripts.post(
        book + "/runs",
        "{\"revision\": "
            + lap.path("revision").asInt(0)
            + ", \"speedShare\": "
            + share
            + ", \"help\": \"road\", \"until_s\": "
            + until
            + ", \"presses\": ["
            + presses
            + "]}");
  }

  @Test
  void aRunIsScoredCornerByCornerAndKept() {
    double lap = scripts.get(book + "/runs").body().path("lap_s").asDouble(0);
    JsonNode run = driven(0.8, 0.1, lap).body();
    assertThat(run.path("extra").asInt(0)).isZero();
    assertThat(run.path("corners")).hasSize(13);
    for (JsonNode hit : run.path("hits")) {
      assertThat(hit.path("off_s").asDouble(0)).isBetween(0.099, 0.101);
      assertThat(hit.path("off_m").asDouble(0)).isBetween(1.5, 6.5);
    }
    JsonNode half = driven(1, 0, lap / 2).body();
    assertThat(half.path("hits").size()).isLessThan(run.path("hits").size());
    assertThat(half.at("/corners/0/mean_m").asDouble(0)).isLessThan(0.1);
    JsonNode kept = scripts.get(book + "/runs").body().path("runs");
    assertThat(kept).hasSize(2);
    assertThat(kept.get(0)).isEqualTo(run);
    scripts.delete("/api/runs/" + run.path("id").asString());
    assertThat(scripts.get(book + "/runs").body().path("runs")).hasSize(1);
  }

  @Test
  void aRunThatCannotBeIsRefusedAndNothingIsKept() {
    assertThat(driven(0.2, 0, 20).body().path("detail").asString()).contains("speedShare");
    assertThat(driven(1, 0, -1).status().value()).isEqualTo(422);
    assertThat(driven(1, 0, 1e6).status().value()).isEqualTo(422);
    Scripts.Answer key =
        scripts.post(
            book + "/runs",
            "{\"revision\": 1, \"speedShare\": 1, \"help\": \"road\", \"until_s\": 9,"
                + " \"presses\": [{\"kind\": \"horn\", \"at_s\": 3}]}");
    assertThat(key.body().path("detail").asString()).contains("horn");
    assertThat(scripts.get(book + "/runs").body().path("runs")).isEmpty();
  }
}
