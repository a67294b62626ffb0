package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** A whole car from its laps, and another car that is made of it. */
@ServerTest
class CarOfLapsTest {
  private static final double WEAKER = 0.92;

  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private JsonNode own;
  private String book;
  private String session;

  @BeforeEach
  void ownBook() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.copyOfTheDemo();
    own = scripts.get(book).body();
    session = "/api/sessions/" + scripts.get(book + "/sessions").body().at("/0/id").asString();
  }

  private static JsonNode value(JsonNode car, String kind) {
    return StreamSupport.stream(car.path("values").spliterator(), false)
        .filter(v -> v.path("kind").asString().equals(kind))
        .findFirst()
        .orElseThrow();
  }

  /** The book's car with so much of its power, as another car of the shelf. */
  private String withPower(double times) {
    String car = "/api/cars/" + own.path("carId").asString();
    JsonNode curve = scripts.get(car).body().at("/engine/torqueCurve");
    Map<String, Double> changes = new HashMap<>();
    for (int i = 0; i < curve.size(); i++) {
      changes.put("/engine/torqueCurve/" + i + "/1", times * curve.get(i).get(1).asDouble(0));
    }
    Scripts.Answer made =
        scripts.post(car + "/changed", Map.of("name", "Weak", "changes", changes));
    assertThat(made.status().value()).as("%s", made.body()).isEqualTo(201);
    return made.body().path("id").asString();
  }

  /** Four laps of a car on the book's circuit. */
  private byte[] laps(String car) {
    String other = "/api/books/" + scripts.newBook(own.path("circuitId").asString(), car, "Driven");
    Scripts.Answer planned =
        scripts.post(other + "/sessions", SessionTest.session("2026-12-05T09:00", "dry"));
    assertThat(planned.status().value()).as("%s", planned.body()).isEqualTo(201);
    return scripts.download(
        "/api/sessions/"
            + planned.body().path("id").asString()
            + "/simulated.laps.csv?laps=4&seed=2");
  }

  @Test
  void aWeakerCarIsFoundWeakerAndCanBeKept() {
    scripts.upload(session + "/laps", "weak.csv", laps(withPower(WEAKER)));
    JsonNode car = scripts.get(session + "/car").body();
    JsonNode power = value(car, "power");
    assertThat(power.path("after").asDouble(0)).isCloseTo(WEAKER, within(0.01));
    assertThat(power.path("differs").asBoolean()).isTrue();
    assertThat(value(car, "drag-area").path("differs").asBoolean())
        .as("the air is not thicker: %s", value(car, "drag-area"))
        .isFalse();
    assertThat(car.path("laps").asInt(0)).isEqualTo(4);

    double mass = car.path("mass_kg").asDouble(0);
    JsonNode weighed = scripts.get(session + "/car?mass_kg=" + 1.05 * mass).body();
    assertThat(value(weighed, "power").path("after").asDouble(0))
        .isCloseTo(1.05 * power.path("after").asDouble(0), within(0.001));
    assertThat(weighed.path("weighed").path("/mass_kg").isNumber()).isTrue();

    Map<String, Double> changes = new HashMap<>();
    power
        .path("changes")
        .properties()
        .forEach(e -> changes.put(e.getKey(), e.getValue().asDouble(0)));
    assertThat(changes).isNotEmpty();
    Scripts.Answer kept =
        scripts.post(
            "/api/cars/" + own.path("carId").asString() + "/changed",
            Map.of("name", "Measured", "changes", changes));
    assertThat(kept.status().value()).as("%s", kept.body()).isEqualTo(201);
  }

  @Test
  void whatCannotBeIsRefusedAndFewLapsSayNothing() {
    assertThat(scripts.get(session + "/car?mass_kg=20").status().value()).isEqualTo(422);
    assertThat(scripts.get(session + "/car?gripUsed=1.4").status().value()).isEqualTo(422);
    assertThat(scripts.get(session + "/car?mass_kg=heavy").status().value()).isEqualTo(422);
    JsonNode none = scripts.get(session + "/car").body();
    assertThat(none.path("values")).isEmpty();
    assertThat(none.path("best_s").isNull()).isTrue();
  }

  /** Where no point moves, the page is right: what costs time there is to be driven otherwise. */
  @Test
  void dearHabitsOnPagesThatStayAreToBeDriven() {
    scripts.upload(
        session + "/laps",
        "own.csv",
        scripts.download(session + "/simulated.laps.csv?laps=5&seed=2"));
    JsonNode review = scripts.get(session + "/review").body();
    assertThat(review.path("drive")).isNotEmpty();
    for (JsonNode drive : review.path("drive")) {
      int corner = drive.path("corner").asInt(0);
      assertThat(drive.path("cost_s").asDouble(0)).isGreaterThan(0.05);
      assertThat(drive.path("laps").asInt(0)).isGreaterThanOrEqualTo(3);
      for (JsonNode proposal : review.path("proposals")) {
        boolean moves =
            proposal.path("corner").asInt(0) == corner && !proposal.path("field").isNull();
        assertThat(moves).as("%s beside %s", drive, proposal).isFalse();
      }
    }
  }
}
