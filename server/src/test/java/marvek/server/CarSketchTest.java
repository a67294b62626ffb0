package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;

/** A car from what a driver knows, over HTTP: made, changed, and taken in as a file. */
@ServerTest
class CarSketchTest {
  @Autowired private TestRestTemplate http;

  private static Map<String, Object> facts() {
    Map<String, Object> facts = new HashMap<>();
    facts.put("name", "Mine");
    facts.put("kind", "car");
    facts.put("mass_kg", 1230);
    facts.put("power_kw", 170);
    facts.put("power_rpm", 7000);
    facts.put("limiter_rpm", 7500);
    facts.put("drive", "rear");
    facts.put("gears", 6);
    facts.put("topSpeed_kmh", 240);
    facts.put("zeroTo100_s", 6.2);
    facts.put("tyres", "track-day");
    facts.put("wings", false);
    return facts;
  }

  private Scripts.Answer sketch(Map<String, Object> facts) {
    return new Scripts(http).post("/api/cars/sketch", facts);
  }

  @Test
  void whatIsMadeIsAFileThatIsTakenIn() {
    JsonNode made = sketch(facts()).body();
    assertThat(3.6 * made.path("topSpeed_mps").asDouble(0)).isBetween(239.5, 240.5);
    assertThat(made.path("unmet")).isEmpty();
    assertThat(made.path("assumed").toString()).contains("/aero/cdA_m2", "sketch.drag-solved");
    byte[] file = JsonFiles.writeFile(made.path("car"));
    Scripts.Answer taken = new Scripts(http).upload("/api/cars/import", "mine.car.json", file);
    assertThat(taken.status().value()).isEqualTo(201);
    assertThat(new Scripts(http).get("/api/cars/" + taken.body().path("id").asString()).body())
        .isEqualTo(made.path("car"));
  }

  @Test
  void aChangedValueStandsInTheFileAndMovesTheFigures() {
    JsonNode before = sketch(facts()).body();
    Map<String, Object> changed = facts();
    changed.put("changes", Map.of("/aero/cdA_m2", 1.1, "/gearbox/ratios/5", 0.9));
    JsonNode after = sketch(changed).body();
    assertThat(after.at("/car/aero/cdA_m2").asDouble(0)).isEqualTo(1.1);
    assertThat(after.at("/car/gearbox/ratios/5").asDouble(0)).isEqualTo(0.9);
    assertThat(after.path("topSpeed_mps").asDouble(0))
        .isLessThan(before.path("topSpeed_mps").asDouble(0) - 3);
  }

  @Test
  void whatCannotBeIsRefusedWithItsField() {
    Map<String, Object> fast = facts();
    fast.put("topSpeed_kmh", 440);
    assertThat(sketch(fast).status().value()).isEqualTo(422);
    assertThat(sketch(fast).body().path("field").asString()).isEqualTo("topSpeed_kmh");
    Map<String, Object> odd = facts();
    odd.put("changes", Map.of("/name", 3.0));
    assertThat(sketch(odd).body().path("detail").asString()).contains("/name");
    Map<String, Object> kind = facts();
    kind.put("kind", "boat");
    assertThat(sketch(kind).body().path("detail").asString()).contains("car or motorcycle");
    Map<String, Object> broken = facts();
    broken.put("changes", Map.of("/tyre/muLateral", -1.0));
    assertThat(sketch(broken).status().value()).isEqualTo(422);
  }
}
