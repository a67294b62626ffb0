package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.http.MediaType;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Files in over HTTP: good ones are stored, bad ones leave everything as it was. */
@ServerTest
class ImportTest {
  private static final String CIRCUITS = "/api/circuits/import";
  private static final String CARS = "/api/cars/import";

  @Autowired private TestRestTemplate http;
  private Scripts scripts;

  @BeforeEach
  void connect() {
    scripts = new Scripts(http);
  }

  private static String ring(int points) {
    return ring(points, 120);
  }

  private static String ring(int points, double radius) {
    StringBuilder rows = new StringBuilder("x_m,y_m,width_left_m,width_right_m\n");
    for (int i = 0; i < points; i++) {
      double angle = 2 * Math.PI * i / points;
      rows.append(
          String.format(
              Locale.ROOT, "%.6f,%.6f,5,5%n", radius * Math.cos(angle), radius * Math.sin(angle)));
    }
    return rows.toString();
  }

  private String stored() {
    return scripts.get("/api/circuits").body().toString()
        + scripts.get("/api/cars").body()
        + scripts.get("/api/books").body();
  }

  @Test
  void aCentrelineCsvBecomesACircuit() {
    Scripts.Answer answer = scripts.upload(CIRCUITS, "ring.centreline.csv", ring(140));
    assertThat(answer.status().value()).isEqualTo(201);
    assertThat(answer.body().path("name").asString()).isEqualTo("ring");
    assertThat(answer.body().path("length_m").asDouble(0)).isBetween(752.0, 756.0);
    assertThat(answer.body().path("corners").asInt(0)).isEqualTo(1);
    assertThat(answer.body().path("warnings").toString()).contains("z_m").contains("banking_deg");
    assertThat(stored()).contains(answer.body().path("id").asString());
  }

  @Test
  void aNameMayBeGiven() {
    Scripts.Answer answer =
        scripts.upload(
            CIRCUITS,
            "x.csv",
            ring(140).getBytes(StandardCharsets.UTF_8),
            Map.of("name", "Mill Ring"));
    assertThat(answer.body().path("name").asString()).isEqualTo("Mill Ring");
  }

  @Test
  void aCircuitGeoJsonAndACarAreTakenIn() {
    Scripts.Answer circuit =
        scripts.upload(CIRCUITS, "c.geojson", Scripts.demo("harrowfen-park.circuit.geojson"));
    Scripts.Answer car = scripts.upload(CARS, "c.json", Scripts.demo("teal-coupe.car.json"));
    assertThat(circuit.status().value()).isEqualTo(201);
    assertThat(circuit.body().path("corners").asInt(0)).isEqualTo(13);
    assertThat(car.status().value()).isEqualTo(201);
    assertThat(car.body().path("warnings")).hasSize(1);
    assertThat(car.body().at("/warnings/0").asString()).contains("trackWidth_m");
  }

  @Test
  void truncatedJsonIsRefusedWithItsLine() {
    String before = stored();
    byte[] whole = Scripts.demo("harrowfen-park.circuit.geojson");
    Scripts.Answer answer =
        scripts.upload(CIRCUITS, "cut.geojson", Arrays.copyOf(whole, whole.length / 3));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("line").asInt(0)).isPositive();
    assertThat(answer.body().path("detail").asString())
        .contains("cut off")
        .contains("Nothing was stored");
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void aCentrelineOfTwoPointsIsRefused() {
    String before = stored();
    Scripts.Answer answer = scripts.upload(CIRCUITS, "two.csv", ring(2));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("detail").asString()).contains("point");
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void aCarWithoutGearsIsRefusedWithItsPointer() {
    String before = stored();
    ObjectNode car = (ObjectNode) JsonFiles.parse(Scripts.demo("teal-coupe.car.json"));
    ((ObjectNode) car.get("gearbox")).remove("ratios");
    Scripts.Answer answer = scripts.upload(CARS, "car.json", JsonFiles.write(car));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("pointer").asString()).isEqualTo("/gearbox/ratios");
    assertThat(answer.body().path("type").asString()).isEqualTo("urn:marvek:problem:bad-file");
    assertThat(stored()).isEqualTo(before);
  }

  /** Each was stored once, and the book could not be opened afterwards. */
  @Test
  void aBookThatContradictsItselfIsRefusedWithItsPointer() {
    refusedAt(
        "/steps/1",
        book ->
            twice(
                book.withArray("steps"),
                "{'corner': 1, 'surface': 'dry',"
                    + " 'safe_m': 100, 'target_m': 120, 'inARow': 0, 'misses': 0, 'proven': false}"));
    refusedAt(
        "/learned/1", book -> twice(book.withArray("learned"), book.at("/learned/0").toString()));
    refusedAt(
        "/sessions/0/revision", book -> ((ObjectNode) book.at("/sessions/0")).put("revision", 9));
    refusedAt(
        "/revisions/1/parent", book -> ((ObjectNode) book.at("/revisions/1")).put("parent", 7));
    refusedAt(
        "/sessions/0/startsAt",
        book -> ((ObjectNode) book.at("/sessions/0")).put("startsAt", "9999-12-31T10:00"));
    refusedAt("/name", book -> book.put("name", "a\u0000b"));
  }

  private static void twice(ArrayNode list, String entry) {
    list.removeAll();
    JsonNode node = JsonFiles.parse(entry.replace('\'', '"').getBytes(StandardCharsets.UTF_8));
    list.add(node).add(node);
  }

  private void refusedAt(String pointer, Consumer<ObjectNode> change) {
    String id = scripts.get("/api/books").body().get(0).path("id").asString();
    ObjectNode book =
        (ObjectNode) JsonFiles.parse(scripts.download("/api/books/" + id + "/export"));
    change.accept(book);
    String before = stored();
    Scripts.Answer answer =
        scripts.upload("/api/books/import", "b.book.json", JsonFiles.write(book));
    assertThat(answer.status().value()).as(pointer).isEqualTo(422);
    assertThat(answer.body().path("pointer").asString()).isEqualTo(pointer);
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void valuesForACornerThatIsNotThereAreRefused() {
    String book = "/api/books/" + scripts.copyOfTheDemo();
    String body =
        "{'parent': 2, 'reason': 'x', 'ownValues': [{'corner': 99, 'brake.at_m': 300}]}"
            .replace('\'', '"');
    assertThat(scripts.post(book + "/try", body).status().value()).isEqualTo(422);
    Scripts.Answer kept = scripts.post(book + "/revisions", body);
    assertThat(kept.status().value()).isEqualTo(422);
    assertThat(kept.body().path("detail").asString()).contains("corner 99");
    assertThat(scripts.get(book).body().path("revisions")).hasSize(2);
  }

  @Test
  void aBookWithOneBadPartStoresNothing() {
    String id = scripts.get("/api/books").body().get(0).path("id").asString();
    ObjectNode book =
        (ObjectNode) JsonFiles.parse(scripts.download("/api/books/" + id + "/export"));
    ((ObjectNode) book.at("/revisions/1")).put("createdAt", "soon");
    String before = stored();
    Scripts.Answer answer =
        scripts.upload("/api/books/import", "b.book.json", JsonFiles.write(book));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("pointer").asString()).isEqualTo("/revisions/1/createdAt");
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void aCircuitInKilometresIsRefusedWithAGuessAtTheReason() {
    Scripts.Answer answer = scripts.upload(CIRCUITS, "km.csv", ring(140, 0.12));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("line").asInt(0)).isPositive();
    assertThat(answer.body().path("detail").asString()).contains("apart");
  }

  @Test
  void filesBeyondTheLimitAreRefused() {
    String before = stored();
    Scripts.Answer answer =
        scripts.upload("/api/cars/import", "big.car.json", new byte[1100 * 1024]);
    assertThat(answer.status().value()).isEqualTo(413);
    assertThat(answer.body().path("detail").asString()).contains("1 MB");
    assertThat(stored()).isEqualTo(before);
  }

  @Test
  void aFormWithoutAFileIsAProblem() {
    Scripts.Answer answer = scripts.post(CARS, Map.of());
    assertThat(answer.status().is4xxClientError()).isTrue();
    assertThat(http.getForEntity("/api/books/none", String.class).getHeaders().getContentType())
        .isEqualTo(MediaType.APPLICATION_PROBLEM_JSON);
  }
}
