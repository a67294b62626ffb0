package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a draft changes, laid over the revision that it was made from, is what trying it out gives.
 */
@ExtendWith(StartedServer.class)
class DraftChangeTest {
  @Autowired private TestRestTemplate client;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void aBook() {
    scripts = new Scripts(client);
    book = "/api/books/" + scripts.copyOfTheDemo();
  }

  private Map<String, Object> draft(Object... own) {
    JsonNode kept = scripts.get(book + "/revisions/2").body();
    return Map.of(
        "parent",
        2,
        "conditions",
        kept.get("conditions"),
        "line",
        kept.path("line").asString(),
        "ownValues",
        own.length == 0 ? kept.get("ownValues") : List.of(own));
  }

  private static void same(ObjectNode laidOver, JsonNode tried) {
    for (Map.Entry<String, JsonNode> column : tried.path("trace").properties()) {
      JsonNode got = laidOver.path("trace").path(column.getKey());
      if (column.getKey().equals("time_s")) {
        for (int i = 0; i < got.size(); i++) {
          assertThat(got.get(i).asDouble())
              .isCloseTo(column.getValue().get(i).asDouble(), within(0.0011));
        }
      } else {
        assertThat(got).as(column.getKey()).isEqualTo(column.getValue());
      }
    }
    ((ObjectNode) tried.path("revision")).remove("createdAt");
    ((ObjectNode) laidOver.path("revision")).remove("createdAt");
    assertThat(laidOver.path("revision")).isEqualTo(tried.path("revision"));
  }

  /** As the interface does it. */
  private ObjectNode laidOver(JsonNode change) {
    ObjectNode view = (ObjectNode) scripts.get(book + "/revisions/2/view").body();
    ObjectNode trace = (ObjectNode) view.path("trace");
    JsonNode of = change.path("trace");
    if (of.hasNonNull("whole")) {
      view.set("trace", of.get("whole"));
    } else {
      for (JsonNode run : of.path("runs")) {
        ArrayNode column = (ArrayNode) trace.path(run.path("column").asString());
        for (int k = 0; k < run.path("count").asInt(); k++) {
          int i = run.path("from").asInt() + k;
          double value =
              run.hasNonNull("plus")
                  ? column.get(i).asDouble() + run.path("plus").asDouble()
                  : run.path("values").get(k).asDouble();
          column.set(i, column.numberNode(value));
        }
      }
      of.path("figures").properties().forEach(e -> trace.set(e.getKey(), e.getValue()));
      for (String list : List.of("corners", "marks", "kerbs", "zones", "hazards", "remarks")) {
        if (of.hasNonNull(list)) {
          trace.set(list, of.get(list));
        }
      }
    }
    ArrayNode pages = (ArrayNode) view.path("revision").path("pages");
    ObjectNode revision = (ObjectNode) change.path("revision");
    if (!of.hasNonNull("whole")) {
      for (int p = 0; p < pages.size(); p++) {
        for (JsonNode changed : revision.path("pages")) {
          if (changed.path("corner").equals(pages.get(p).path("corner"))) {
            pages.set(p, changed);
          }
        }
      }
      revision.set("pages", pages);
    }
    view.set("revision", revision);
    return view;
  }

  @Test
  void whatIsLaidOverIsWhatWasTried() {
    JsonNode page = null;
    for (JsonNode p : scripts.get(book + "/revisions/2").body().path("pages")) {
      page = page == null && p.at("/brake/at_m").isNumber() ? p : page;
    }
    double brake = page.at("/brake/at_m").asDouble();
    int corner = page.path("corner").asInt();
    List<Object> own = new ArrayList<>();
    for (JsonNode values : scripts.get(book + "/revisions/2").body().get("ownValues")) {
      if (values.path("corner").asInt() != corner) {
        own.add(values);
      }
    }
    own.add(Map.of("corner", corner, "brake.at_m", brake - 8));
    Map<String, Object> draft = draft(own.toArray());
    JsonNode change = scripts.post(book + "/change", draft).body();
    assertThat(change.path("revision").path("pages").size()).isBetween(1, 6);
    same(laidOver(change), scripts.post(book + "/try", draft).body());
    int whole = scripts.post(book + "/try", draft).body().toString().length();
    assertThat(change.toString().length()).isLessThan(whole / 4);
  }

  @Test
  void anotherDayIsLaidOverToo() {
    Map<String, Object> draft =
        Map.of("parent", 2, "line", "smooth", "conditions", Map.of("surface", "wet"));
    JsonNode change = scripts.post(book + "/change", draft).body();
    same(laidOver(change), scripts.post(book + "/try", draft).body());
  }

  @Test
  void aParentThatThereIsNotIsSaid() {
    Scripts.Answer none = scripts.post(book + "/change", Map.of("parent", 9));
    assertThat(none.status().value()).isEqualTo(404);
    assertThat(none.body().path("detail").asString()).contains("no revision 9");
    assertThat(scripts.post(book + "/change", Map.of()).status().value()).isEqualTo(400);
  }
}
