package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Stored things called otherwise, copied, put away, taken back and removed for good. */
@ServerTest
class PutAwayTest {
  @Autowired private TestRestTemplate http;
  @Autowired private JdbcTemplate database;
  private Scripts scripts;
  private String id;
  private String book;

  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    id = scripts.copyOfTheDemo();
    book = "/api/books/" + id;
  }

  private List<JsonNode> away(String kind) {
    return StreamSupport.stream(scripts.get("/api/put-away").body().spliterator(), false)
        .filter(thing -> thing.path("kind").asString().equals(kind))
        .toList();
  }

  private JsonNode awayOf(String kind, String thing) {
    return away(kind).stream()
        .filter(a -> a.path("id").asString().equals(thing))
        .findFirst()
        .orElse(null);
  }

  private boolean listed(String path, String thing) {
    return StreamSupport.stream(scripts.get(path).body().spliterator(), false)
        .anyMatch(one -> one.path("id").asString().equals(thing));
  }

  private int putAway(String kind, String thing) {
    return scripts.put("/api/put-away/" + kind + "/" + thing, null).status().value();
  }

  private int takeBack(String kind, String thing) {
    String path = "/api/put-away/" + kind + "/" + thing + "/take-back";
    return scripts.post(path, null).status().value();
  }

  private Scripts.Answer remove(String kind, String thing) {
    return scripts.delete("/api/put-away/" + kind + "/" + thing);
  }

  @Test
  void aBookThatIsPutAwayIsNotThereUntilItIsTakenBack() {
    final int sessions = scripts.get(book + "/sessions").body().size();
    assertThat(putAway("book", id)).isEqualTo(204);
    assertThat(listed("/api/books", id)).isFalse();
    assertThat(scripts.get(book).status().value()).isEqualTo(404);
    assertThat(scripts.get("/api/sessions").body().toString()).doesNotContain(id);
    assertThat(putAway("book", id)).isEqualTo(404);

    JsonNode goes = awayOf("book", id).path("goes");
    assertThat(goes.toString())
        .contains("{\"what\":\"revision\",\"count\":2}")
        .contains("{\"what\":\"session\",\"count\":" + sessions + "}");

    assertThat(takeBack("book", id)).isEqualTo(204);
    assertThat(listed("/api/books", id)).isTrue();
    assertThat(scripts.get(book + "/sessions").body().size()).isEqualTo(sessions);
    assertThat(takeBack("book", id)).isEqualTo(404);
    assertThat(awayOf("book", id)).isNull();
  }

  @Test
  void onlyWhatIsPutAwayIsRemovedAndThenWithAllThatBelongsToIt() {
    assertThat(remove("book", id).status().value()).isEqualTo(404);
    putAway("book", id);
    assertThat(remove("book", id).status().value()).isEqualTo(204);
    assertThat(takeBack("book", id)).isEqualTo(404);
    for (String table : List.of("revision", "session", "page_check", "step_state", "recall")) {
      assertThat(
              database.queryForObject(
                  "select count(*) from " + table + " where book_id = ?::uuid", Integer.class, id))
          .as(table)
          .isZero();
    }
  }

  @Test
  void aCarAndACircuitThatBooksNeedAreHiddenButNotRemoved() {
    JsonNode own = scripts.get(book).body();
    for (String kind : List.of("car", "circuit")) {
      String thing = own.path(kind + "Id").asString();
      assertThat(putAway(kind, thing)).as(kind).isEqualTo(204);
      assertThat(listed("/api/" + kind + "s", thing)).isFalse();
      assertThat(scripts.get(book + "/revisions/1/view").status().value()).isEqualTo(200);
      JsonNode there = awayOf(kind, thing);
      assertThat(there.path("keptBy").toString()).contains(own.path("name").asString());
      Scripts.Answer refused = remove(kind, thing);
      assertThat(refused.status().value()).isEqualTo(409);
      assertThat(refused.body().path("detail").asString()).contains(own.path("name").asString());
      assertThat(takeBack(kind, thing)).isEqualTo(204);
      assertThat(listed("/api/" + kind + "s", thing)).isTrue();
    }
  }

  @Test
  void aSessionAndAFileOfLapsGoAndComeBack() {
    String session = scripts.get(book + "/sessions").body().at("/0/id").asString();
    String path = "/api/sessions/" + session;
    byte[] laps = scripts.download(path + "/simulated.laps.csv?laps=3&seed=9");
    String file = scripts.upload(path + "/laps", "mine.csv", laps).body().path("id").asString();

    assertThat(putAway("file", file)).isEqualTo(204);
    assertThat(scripts.get(path + "/debrief").body().path("files").toString()).doesNotContain(file);
    assertThat(scripts.get("/api/laps/" + file + "/file").status().value()).isEqualTo(404);
    assertThat(awayOf("file", file).path("name").asString()).isEqualTo("mine.csv");
    assertThat(takeBack("file", file)).isEqualTo(204);
    assertThat(scripts.download("/api/laps/" + file + "/file")).isEqualTo(laps);

    assertThat(putAway("session", session)).isEqualTo(204);
    assertThat(scripts.get(path).status().value()).isEqualTo(404);
    assertThat(listed(book + "/sessions", session)).isFalse();
    assertThat(awayOf("session", session).path("name").asString())
        .matches(".+ of \\d{4}-\\d\\d-\\d\\d");
    assertThat(takeBack("session", session)).isEqualTo(204);
    assertThat(scripts.get(path + "/debrief").body().path("files").toString()).contains(file);
  }

  /** The demo is taken back whatever comes: other tests stand on it. */
  @Test
  void theDemoGoesAndComesBackInOneGo() {
    List<String> demo = ids(scripts.get("/api/put-away/demo").body().path("things"));
    List<String> circuits = circuitsOfTheDemo();
    assertThat(demo).as("a place by its newest version").containsAll(circuits);
    try {
      assertThat(scripts.put("/api/put-away/demo", null).status().value()).isEqualTo(204);
      assertThat(scripts.get("/api/put-away/demo").body().path("things")).isEmpty();
      for (String list : List.of("books", "circuits", "cars")) {
        for (String thing : demo) {
          assertThat(listed("/api/" + list, thing)).as(list).isFalse();
        }
      }
      assertThat(listed("/api/books", id)).as("one's own").isTrue();
    } finally {
      for (String kind : List.of("book", "circuit", "car")) {
        away(kind).forEach(thing -> takeBack(kind, thing.path("id").asString()));
      }
    }
    assertThat(ids(scripts.get("/api/put-away/demo").body().path("things")))
        .containsExactlyInAnyOrderElementsOf(demo);
  }

  private static List<String> ids(JsonNode list) {
    return StreamSupport.stream(list.spliterator(), false).map(JsonNode::asString).toList();
  }

  /** Newest versions of the places of the demo's books, as the shelf lists them. */
  private List<String> circuitsOfTheDemo() {
    return StreamSupport.stream(scripts.get("/api/books").body().spliterator(), false)
        .filter(
            made -> made.path("name").asString().matches("(Harrowfen|Skarrow) .*, Kestrel Litre"))
        .map(made -> made.path("newestCircuitId").asString())
        .toList();
  }

  @Test
  void afterThirtyDaysItGoesForGood() {
    putAway("book", id);
    String younger = scripts.copyOfTheDemo();
    putAway("book", younger);
    age(id, 31);
    age(younger, 29);
    assertThat(awayOf("book", id)).isNull();
    assertThat(takeBack("book", id)).isEqualTo(404);
    assertThat(awayOf("book", younger)).isNotNull();
  }

  private void age(String thing, int days) {
    database.update(
        "update book set put_away_at = now() - make_interval(days => ?) where id = ?::uuid",
        days,
        thing);
  }

  @Test
  void aBookIsCalledOtherwiseByWhoSawItLast() {
    String seen = Scripts.seen(scripts.get(book).body());
    Scripts.Answer renamed = scripts.put(book + "/name", Map.of("name", " Wet book "), seen);
    assertThat(renamed.body().path("name").asString()).isEqualTo("Wet book");
    assertThat(scripts.put(book + "/name", Map.of("name", "Late"), seen).status().value())
        .isEqualTo(412);
    for (String bad : List.of("", "   ", "x".repeat(121))) {
      assertThat(scripts.put(book + "/name", Map.of("name", bad)).status().value()).isEqualTo(422);
    }
    assertThat(scripts.get(book).body().path("name").asString()).isEqualTo("Wet book");
  }

  @Test
  void aCopyOfABookHasItsRevisionsAndALifeOfItsOwn() {
    String copy = scripts.post(book + "/copy", Map.of("name", "Mine")).body().path("id").asString();
    String there = "/api/books/" + copy;
    assertThat(scripts.get(there).body().path("revisions"))
        .isEqualTo(scripts.get(book).body().path("revisions"));
    assertThat(scripts.get(there + "/revisions/2").body())
        .isEqualTo(scripts.get(book + "/revisions/2").body());
    putAway("book", id);
    assertThat(scripts.get(there).body().path("name").asString()).isEqualTo("Mine");
  }

  @Test
  void aCarAndACircuitAreCopiedUnderAnotherName() {
    JsonNode own = scripts.get(book).body();
    String car = "/api/cars/" + own.path("carId").asString();
    JsonNode copy = scripts.post(car + "/copy", Map.of("name", "Teal, less wing")).body();
    JsonNode document = scripts.get("/api/cars/" + copy.path("id").asString()).body();
    assertThat(document.path("name").asString()).isEqualTo("Teal, less wing");
    assertThat(document.path("mass_kg")).isEqualTo(scripts.get(car).body().path("mass_kg"));

    String carCopy = "/api/cars/" + copy.path("id").asString();
    scripts.put(carCopy + "/name", Map.of("name", "Teal 2"));
    assertThat(scripts.get(carCopy).body().path("name").asString()).isEqualTo("Teal 2");
    assertThat(scripts.get("/api/cars").body().toString()).contains("Teal 2");

    String circuit = "/api/circuits/" + own.path("circuitId").asString();
    JsonNode place = scripts.post(circuit + "/copy", Map.of("name", "Harrowfen, reversed")).body();
    assertThat(place.path("name").asString()).isEqualTo("Harrowfen, reversed");
    JsonNode view = scripts.get("/api/circuits/" + place.path("id").asString()).body();
    assertThat(view.path("version").asInt(0)).isEqualTo(1);
    assertThat(view.path("newestId")).isEqualTo(place.path("id"));
  }

  @Test
  void whatIsNoKindAndWhatIsNobodysIsSaid() {
    assertThat(scripts.put("/api/put-away/tyre/" + id, null).body().path("detail").asString())
        .contains("book, car, circuit, file, session");
    assertThat(putAway("car", id)).isEqualTo(404);
  }

  @Test
  void anAddressThatIsNotThereIsAnsweredByTheInterfaceForPeopleAndByAProblemForScripts() {
    HttpHeaders html = new HttpHeaders();
    html.setAccept(List.of(MediaType.TEXT_HTML));
    var shown =
        http.exchange("/bookz/17/what", HttpMethod.GET, new HttpEntity<>(html), byte[].class);
    assertThat(shown.getStatusCode().value()).isEqualTo(404);
    assertThat(new String(shown.getBody(), StandardCharsets.UTF_8)).contains("<div id=\"app\"");
    assertThat(scripts.get("/api/bookz").status().value()).isEqualTo(404);
    assertThat(scripts.get("/api/bookz").body().path("title").asString()).isNotEmpty();
    assertThat(http.getForEntity("/assets/none.js", String.class).getStatusCode().value())
        .isEqualTo(404);
  }
}
