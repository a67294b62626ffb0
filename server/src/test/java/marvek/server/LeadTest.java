package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** An instructor's day over HTTP. */
@ServerTest
class LeadTest {
  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;
  private String lead;

  /** A copy of the demo's book; its practice is led. */
  @BeforeEach
  void ownSession() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
    lead =
        "/api/sessions/" + scripts.get(book + "/sessions").body().at("/0/id").asString() + "/lead";
  }

  /**
   * @param from the answer that this was made from
   */
  private Scripts.Answer change(ObjectNode day, JsonNode from) {
    ObjectNode body = day.objectNode();
    body.set("day", day);
    return scripts.put(lead, body, Scripts.seen(from));
  }

  /** Four drivers, each two laps behind the leader. */
  private JsonNode begun() {
    JsonNode fresh = scripts.get(lead).body();
    ObjectNode day = (ObjectNode) fresh.path("day").deepCopy();
    for (String name : new String[] {"Ada", "Ben", "Cleo", "Dov"}) {
      day.withArray("drivers")
          .addObject()
          .put("key", name.toLowerCase(java.util.Locale.ROOT))
          .put("name", name)
          .put("vehicle", "");
    }
    Scripts.Answer answer = change(day, fresh);
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(200);
    return answer.body();
  }

  private JsonNode onLap(JsonNode now, int lap) {
    ObjectNode day = (ObjectNode) now.path("day").deepCopy();
    return change(day.put("lap", lap), now).body();
  }

  private JsonNode say(String driver, int corner, String words) {
    Scripts.Answer answer =
        scripts.post(
            lead + "/remarks",
            Map.of("driver", driver, "corner", corner, "words", words, "good", false));
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(201);
    return answer.body();
  }

  @Test
  void theLineIsRecomputedWhenOneLeavesAndHisRemarksStay() {
    JsonNode day = begun();
    assertThat(day.at("/turns/0/order").toString()).isEqualTo("[\"ada\",\"ben\",\"cleo\",\"dov\"]");
    assertThat(day.at("/turns/1/order/0").asString()).isEqualTo("ben");
    say("ben", 4, "Wait for throttle");
    JsonNode third = onLap(day, 3);
    ObjectNode without = (ObjectNode) third.path("day").deepCopy();
    ((tools.jackson.databind.node.ArrayNode) without.get("drivers")).remove(1);
    Scripts.Answer lost = change(without, third);
    assertThat(lost.status().value()).isEqualTo(409);
    assertThat(lost.body().path("detail").asString()).contains("remarks would be lost");
    ObjectNode gone = (ObjectNode) third.path("day").deepCopy();
    ((ObjectNode) gone.at("/drivers/1")).put("goneFromLap", 4);
    JsonNode then = change(gone, third).body();
    assertThat(then.at("/turns/1/order/0").asString()).isEqualTo("ben");
    assertThat(then.at("/turns/2/fromLap").asInt(0)).isEqualTo(4);
    assertThat(then.at("/turns/2/order").toString()).isEqualTo("[\"cleo\",\"dov\",\"ada\"]");
    assertThat(then.path("remarks")).hasSize(1);
  }

  @Test
  void aRemarkIsOpenUntilTheNextLapShowsWhetherItWasTaken() {
    JsonNode day = begun();
    JsonNode remark = say("ada", 4, "Early");
    assertThat(remark.path("state").asString()).isEqualTo("open");
    assertThat(remark.path("own").asBoolean(false)).isFalse();
    JsonNode own =
        scripts
            .post(
                lead + "/remarks",
                Map.of("driver", "ada", "corner", 4, "words", "Unsure", "good", false, "own", true))
            .body();
    assertThat(own.path("own").asBoolean(false)).isTrue();
    scripts.delete("/api/lead-remarks/" + own.path("id").asString());
    onLap(day, 2);
    String path = "/api/lead-remarks/" + remark.path("id").asString();
    JsonNode taken = scripts.put(path, Map.of("state", "taken")).body();
    assertThat(taken.path("closedOnLap").asInt(0)).isEqualTo(2);
    assertThat(scripts.put(path, Map.of("state", "open")).body().path("closedOnLap").isNull())
        .isTrue();
    assertThat(scripts.put(path, Map.of("state", "maybe")).status().value()).isEqualTo(422);
    scripts.delete(path);
    assertThat(scripts.get(lead).body().path("remarks")).isEmpty();
    assertThat(scripts.put(path, Map.of("state", "open")).status().value()).isEqualTo(404);
  }

  @Test
  void whatSomebodyElseChangedIsNotOverwritten() {
    JsonNode day = begun();
    onLap(day, 2);
    Scripts.Answer late = change((ObjectNode) day.path("day").deepCopy(), day);
    assertThat(late.status().value()).isEqualTo(412);
    assertThat(late.body().at("/theirs/lap").asInt(0)).isEqualTo(2);
    assertThat(scripts.get(lead).body().at("/day/lap").asInt(0)).isEqualTo(2);
  }

  @Test
  void whatCannotBeIsRefusedAndNothingIsKept() {
    JsonNode now = begun();
    ObjectNode slow = (ObjectNode) now.path("day").deepCopy();
    Scripts.Answer pace = change(slow.put("paceShare", 0.1), now);
    assertThat(pace.status().is4xxClientError()).isTrue();
    assertThat(pace.body().path("detail").asString()).contains("paceShare");
    ObjectNode twice = (ObjectNode) now.path("day").deepCopy();
    twice.withArray("drivers").addObject().put("key", "ada").put("name", "Ada again");
    assertThat(change(twice, now).status().is4xxClientError()).isTrue();
    Scripts.Answer nobody =
        scripts.post(
            lead + "/remarks",
            Map.of("driver", "zoe", "corner", 1, "words", "Early", "good", false));
    assertThat(nobody.status().value()).isEqualTo(422);
    assertThat(nobody.body().path("detail").asString()).contains("zoe");
    JsonNode then = scripts.get(lead).body();
    assertThat(then.path("day")).isEqualTo(now.path("day"));
    assertThat(then.path("remarks")).isEmpty();
  }

  @Test
  void theDayGoesAlongInTheBooksFile() {
    begun();
    say("ada", 4, "Early");
    say("dov", 9, "Look further");
    byte[] export = scripts.download(book + "/export");
    String copy =
        scripts.upload("/api/books/import", "c.book.json", export).body().path("id").asString();
    assertThat(scripts.download("/api/books/" + copy + "/export")).isEqualTo(export);
  }

  @Test
  void aFindingStandsBesideItsRemarkAndTheSheetHasAll() throws IOException {
    JsonNode now = begun();
    String session = lead.substring(0, lead.length() - "/lead".length());
    byte[] laps = scripts.download(session + "/simulated.laps.csv?laps=5&seed=2");
    String file = scripts.upload(session + "/laps", "ada.csv", laps).body().path("id").asString();
    ObjectNode day = (ObjectNode) now.path("day").deepCopy();
    day.withArray("files").addObject().put("driver", "ada").put("file", file);
    JsonNode read = change(day, now).body();
    assertThat(read.path("findings").findValuesAsString("rule")).contains("braked-early");
    assertThat(read.path("findings").findValuesAsString("driver")).containsOnly("ada");
    assertThat(scripts.get(session + "/debrief").body().path("driver").asString())
        .as("the laps are hers in the debrief too")
        .isEqualTo("Ada");
    int corner = read.at("/findings/0/corner").asInt(0);
    say("ada", corner, "Braked too soon");
    byte[] pdf = scripts.download(lead + "/ada/sheet.pdf");
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(document))
          .contains("Ada", "Braked too soon", "0 of 1 taken", "Three things to work on");
    }
    assertThat(scripts.get(lead + "/zoe/sheet.pdf").status().value()).isEqualTo(404);
  }

  /** The demo's track day: four riders, remarks taken and open, and laps of one of them. */
  @Test
  void theDemoHasADayWithFourRiders() {
    JsonNode day = null;
    for (JsonNode session : scripts.get("/api/sessions").body()) {
      if (session.at("/session/event").asString().equals("Fenland open day")) {
        day = scripts.get("/api/sessions/" + session.path("id").asString() + "/lead").body();
      }
    }
    assertThat(day).isNotNull();
    assertThat(day.at("/day/drivers")).hasSize(4);
    assertThat(day.path("remarks").findValuesAsString("state"))
        .contains("open", "taken", "not-taken");
    assertThat(day.path("findings").findValuesAsString("rule"))
        .contains("braked-early", "missed-apex");
  }
}
