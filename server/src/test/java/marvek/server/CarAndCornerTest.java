package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Corners, cars, sheets and two books over HTTP with a real database. */
@ServerTest
class CarAndCornerTest {
  private static final Map<String, Object> MODEL = Map.of("parent", 1);

  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private JsonNode demo;

  @BeforeEach
  void connect() {
    scripts = new Scripts(http);
    demo = scripts.get("/api/books").body().get(0);
  }

  private String path() {
    return "/api/books/" + demo.path("id").asString();
  }

  private JsonNode of(String what) {
    Scripts.Answer answer = scripts.post(path() + what, MODEL);
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void theDemoHasThreeVehiclesAndTheMotorcycleOnBothCircuits() {
    List<String> names = scripts.get("/api/books").body().findValuesAsString("name");
    assertThat(names)
        .contains(
            "Harrowfen Park, Kestrel Litre",
            "Harrowfen Park, Sandpiper Single-Seater",
            "Skarrow Round, Kestrel Litre");
  }

  @Test
  void theSchoolsOfACornerComeQuickestFirstWithTheirLines() {
    JsonNode schools = of("/corners/4/schools");
    assertThat(schools.get(0).path("school").asString()).isEqualTo("fastest");
    assertThat(schools.findValuesAsString("school")).contains("late-apex", "v", "double-apex");
    double last = Double.NEGATIVE_INFINITY;
    for (JsonNode school : schools) {
      assertThat(school.path("lost_s").asDouble(0)).isGreaterThanOrEqualTo(last);
      assertThat(school.path("offset_m").size()).isGreaterThan(150);
      assertThat(school.path("speed_mps").size()).isEqualTo(school.path("offset_m").size());
      last = school.path("lost_s").asDouble(0);
    }
  }

  @Test
  void aSchoolInTheDraftIsDrivenAndKeptInTheRevision() {
    Map<String, Object> late =
        Map.of("parent", 1, "ownValues", List.of(Map.of("corner", 4, "line", "late-apex")));
    JsonNode tried = scripts.post(path() + "/try", late).body();
    JsonNode page = tried.at("/revision/pages/3");
    assertThat(page.at("/sources/line").asString()).isEqualTo("driver");
    assertThat(page.path("line").asString()).isEqualTo("late-apex");
    assertThat(tried.at("/revision/ownValues/0/line").asString()).isEqualTo("late-apex");
    double plain =
        scripts.post(path() + "/try", MODEL).body().at("/revision/lap/time_s").asDouble(0);
    assertThat(tried.at("/revision/lap/time_s").asDouble(0)).isNotCloseTo(plain, within(1e-4));
  }

  @Test
  void aPageSaysWhetherItIsMade() {
    JsonNode page = scripts.post(path() + "/try", MODEL).body().at("/revision/pages/3");
    assertThat(page.at("/driven/made").asBoolean(false)).isTrue();
    assertThat(page.at("/driven/gripNeeded").asDouble(0)).isBetween(0.85, 1.02);
    double later = page.at("/brake/at_m").asDouble(0) + 60;
    Map<String, Object> tooLate =
        Map.of("parent", 1, "ownValues", List.of(Map.of("corner", 4, "brake.at_m", later)));
    JsonNode tried = scripts.post(path() + "/try", tooLate).body();
    assertThat(tried.at("/revision/pages/3/driven/made").asBoolean(false)).isFalse();
    assertThat(tried.at("/revision/pages/3/driven/beyond_m").asDouble(0)).isPositive();
    assertThat(tried.at("/trace/remarks").toString()).contains("own.not-made");
  }

  @Test
  void theLinkIsSweptAndACornerWithoutOneSaysSo() {
    JsonNode sweep = of("/corners/6/link");
    assertThat(sweep.path("ways")).hasSize(41);
    Scripts.Answer none = scripts.post(path() + "/corners/4/link", MODEL);
    assertThat(none.status().value()).isEqualTo(422);
    assertThat(none.body().path("detail").asString()).contains("not linked");
    assertThat(scripts.post(path() + "/corners/99/gears", MODEL).status().value()).isEqualTo(422);
  }

  @Test
  void theGearsAndTheCarAnswer() {
    assertThat(of("/corners/5/gears").path("inCorner").size()).isBetween(2, 3);
    JsonNode car = of("/car");
    assertThat(car.at("/gears/gears")).hasSize(6);
    assertThat(car.path("grip")).hasSize(3);
    assertThat(car.at("/dry/zones").size()).isGreaterThan(5);
    assertThat(car.at("/wet/chosen").asDouble(0)).isEqualTo(car.at("/dry/chosen").asDouble(0));
    assertThat(car.path("effects").toString()).contains("GRIP_5_PCT_LESS");
  }

  @Test
  void otherDaysShiftEachCornerAndTheDraftsOwnDayIsLeftOut() {
    JsonNode days = of("/days");
    assertThat(days.findValuesAsString("day"))
        .startsWith("damp", "wet", "drying", "cold-first-lap", "cold-second-lap", "cold-third-lap")
        .contains("worn-tyres", "head-wind", "cross-wind", "high-place")
        .doesNotContain("dry");
    JsonNode wet = days.get(1);
    assertThat(wet.path("lost_s").asDouble(0))
        .isGreaterThan(days.get(0).path("lost_s").asDouble(0));
    assertThat(wet.path("shifts")).hasSize(13);
    assertThat(wet.at("/shifts/3/brakeEarlier_m").asDouble(0)).isGreaterThan(5);
    assertThat(wet.path("offset_m").size()).isGreaterThan(2000);
    Map<String, Object> inTheWet =
        Map.of("parent", 1, "conditions", Map.of("surface", "wet", "gripUsed", 0.92));
    assertThat(scripts.post(path() + "/days", inTheWet).body().findValuesAsString("day"))
        .contains("dry")
        .doesNotContain("wet");
  }

  @Test
  void theLapIsSpokenOnTheScreenAndAsFiles() {
    JsonNode said = scripts.post(path() + "/calls", Map.of("pace", 0.75)).body();
    assertThat(said.path("calls").size()).isGreaterThan(10);
    assertThat(said.path("lap_s").asDouble(0)).isGreaterThan(130);
    assertThat(said.toString()).contains("150 board");
    String vtt =
        new String(
            scripts.download(path() + "/revisions/1/calls.vtt?pace=0.75"), StandardCharsets.UTF_8);
    assertThat(vtt).startsWith("WEBVTT\n\n00:").contains(" --> ").contains("Brake");
    String text =
        new String(scripts.download(path() + "/revisions/1/calls.txt"), StandardCharsets.UTF_8);
    assertThat(text).contains(" s  corner 1: ");
    assertThat(scripts.post(path() + "/calls", Map.of("pace", 4)).status().value()).isEqualTo(422);
  }

  @Test
  void theFastestLineIsSearchedAsAJobAndThenTriedAtOnce() {
    Map<String, Object> fastest = Map.of("parent", 1, "line", "fastest");
    JsonNode started = scripts.post(path() + "/line", fastest).body();
    if (started.has("job")) {
      scripts.resultOf(started.path("job").asString());
    }
    JsonNode tried = scripts.post(path() + "/try", fastest).body();
    JsonNode smooth = scripts.post(path() + "/try", MODEL).body();
    assertThat(tried.at("/revision/line").asString()).isEqualTo("fastest");
    assertThat(tried.at("/revision/lap/time_s").asDouble(0))
        .isLessThan(smooth.at("/revision/lap/time_s").asDouble(0));
  }

  @Test
  void twoBooksOfOneCircuitLieSideBySideAndOfTwoDoNot() {
    JsonNode books = scripts.get("/api/books").body();
    String single = idOf(books, "Sandpiper");
    JsonNode beside = scripts.get(path() + "/beside/" + single).body();
    assertThat(beside.path("rows")).hasSize(13);
    assertThat(beside.path("secondLap_s").asDouble(0))
        .isLessThan(beside.path("firstLap_s").asDouble(0));
    assertThat(beside.at("/rows/1/second/kind").asString()).isEqualTo("STRAIGHT");
    Scripts.Answer elsewhere = scripts.get(path() + "/beside/" + idOf(books, "Skarrow"));
    assertThat(elsewhere.status().value()).isEqualTo(422);
    assertThat(elsewhere.body().path("detail").asString()).contains("Harrowfen");
  }

  private static String idOf(JsonNode books, String part) {
    for (JsonNode book : books) {
      if (book.path("name").asString().contains(part)) {
        return book.path("id").asString();
      }
    }
    throw new AssertionError("no book of " + part);
  }

  @Test
  void aSheetIsKeptChangedUsedAndTakenAwayAndTheRevisionKeepsItsCopy() {
    String car =
        scripts
            .upload("/api/cars/import", "car.json", Scripts.demo("teal-coupe.car.json"))
            .body()
            .path("id")
            .asString();
    String sheets = "/api/cars/" + car + "/sheets";
    assertThat(scripts.get(sheets).body()).isEmpty();
    JsonNode kept =
        scripts.post(sheets, Map.of("name", "Wet", "brakeFrontShare", 0.6, "wing", 7)).body();
    String one = sheets + "/" + kept.path("id").asString();
    JsonNode changed = scripts.put(one, Map.of("name", "Wet", "brakeFrontShare", 0.62)).body();
    assertThat(changed.at("/sheet/brakeFrontShare").asDouble(0)).isEqualTo(0.62);
    assertThat(changed.path("sheet").has("wing")).isFalse();

    String book = scripts.newBook(demo.path("circuitId").asString(), car, "With a sheet");
    Map<String, Object> draft =
        Map.of("parent", 1, "reason", "wet setup", "setup", changed.get("sheet"));
    assertThat(scripts.post("/api/books/" + book + "/revisions", draft).status().value())
        .isEqualTo(201);
    byte[] export = scripts.download("/api/books/" + book + "/export");
    JsonNode file = JsonFiles.parse(export);
    assertThat(file.at("/setupSheets/0/name").asString()).isEqualTo("Wet");
    assertThat(file.at("/revisions/1/setup/brakeFrontShare").asDouble(0)).isEqualTo(0.62);
    String again =
        scripts.upload("/api/books/import", "b.book.json", export).body().path("id").asString();
    assertThat(scripts.download("/api/books/" + again + "/export")).isEqualTo(export);

    assertThat(scripts.delete(one).status().value()).isEqualTo(204);
    assertThat(scripts.delete(one).status().value()).isEqualTo(404);
    JsonNode revision = scripts.get("/api/books/" + book + "/revisions/2").body();
    assertThat(revision.at("/setup/name").asString()).isEqualTo("Wet");
  }

  @Test
  void twoSheetsAreComparedOnTheCircuit() {
    Map<String, Object> body =
        Map.of(
            "first", Map.of("name", "A", "fuel_kg", 10),
            "second", Map.of("name", "B", "fuel_kg", 50, "barRear", 3));
    JsonNode compared = scripts.post(path() + "/sheets/compare", body).body();
    assertThat(compared.path("lostS").asDouble(0)).isPositive();
    assertThat(compared.path("differences").findValuesAsString("field"))
        .containsExactly("fuel_kg", "barRear");
    Scripts.Answer half =
        scripts.post(path() + "/sheets/compare", Map.of("first", Map.of("name", "A")));
    assertThat(half.status().value()).isEqualTo(422);
  }

  @Test
  void aCarGoesOutAsTheFileThatItCameFrom() {
    byte[] file = scripts.download("/api/cars/" + demo.path("carId").asString() + "/file");
    assertThat(JsonFiles.parse(file))
        .isEqualTo(JsonFiles.parse(Scripts.demo("teal-coupe.car.json")));
    assertThat(scripts.get("/api/cars/" + UUID.randomUUID()).status().value()).isEqualTo(404);
  }

  /** Cars that cannot be: each is refused with the field, and nothing is stored. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/engine/torqueCurve | [[1500, 0], [6000, 0]] | torque",
        "/engine/limiter_rpm | 600 | limiter",
        "/gearbox/ratios | [1.2, 2.0, 3.0] | smaller",
        "/gearbox/ratios | [] | ratio",
        "/tyre/muLateral | -1 | muLateral",
        "/brakes/maxForce_n | 0 | maxForce_n",
        "/bodyWidth_m | 9 | bodyWidth_m"
      })
  void aCarThatCannotMoveIsRefusedAtItsField(String pointer, String value, String words) {
    ObjectNode car = (ObjectNode) JsonFiles.parse(Scripts.demo("teal-coupe.car.json"));
    int slash = pointer.lastIndexOf('/');
    ObjectNode parent = slash == 0 ? car : (ObjectNode) car.at(pointer.substring(0, slash));
    parent.set(
        pointer.substring(slash + 1), JsonFiles.parse(value.getBytes(StandardCharsets.UTF_8)));
    int before = scripts.get("/api/cars").body().size();
    Scripts.Answer answer =
        scripts.upload("/api/cars/import", "bad.car.json", JsonFiles.write(car));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("pointer").asString()).startsWith(pointer);
    assertThat(answer.body().path("detail").asString()).contains(words).doesNotContain("NaN");
    assertThat(scripts.get("/api/cars").body()).hasSize(before);
  }

  @Test
  void aCarThatComesToAStandIsSaidInWords() {
    ObjectNode car = (ObjectNode) JsonFiles.parse(Scripts.demo("teal-coupe.car.json"));
    ((ObjectNode) car.path("engine"))
        .set("torqueCurve", JsonFiles.parse("[[1500, 1]]".getBytes(StandardCharsets.UTF_8)));
    String id =
        scripts
            .upload("/api/cars/import", "weak.car.json", JsonFiles.write(car))
            .body()
            .path("id")
            .asString();
    Scripts.Answer answer =
        scripts.post(
            "/api/books", Map.of("circuitId", demo.path("circuitId").asString(), "carId", id));
    assertThat(answer.status().value()).isEqualTo(422);
    assertThat(answer.body().path("detail").asString()).contains("too weak");
  }

  @Test
  void everyValueOfACarIsTriedAndKeptAsAnotherCar() {
    JsonNode as = scripts.post(path() + "/car/changed", Map.of("changes", Map.of())).body();
    assertThat(as.path("lap_s").asDouble()).isEqualTo(as.path("was_s").asDouble());
    double mass = as.at("/car/mass_kg").asDouble();
    double first = as.at("/car/engine/torqueCurve/0/1").asDouble();
    Map<String, Double> lighter = Map.of("/mass_kg", mass - 100);
    JsonNode tried = scripts.post(path() + "/car/changed", Map.of("changes", lighter)).body();
    assertThat(tried.path("lap_s").asDouble()).isLessThan(tried.path("was_s").asDouble() - 0.5);
    assertThat(tried.path("was_s").asDouble()).isEqualTo(as.path("was_s").asDouble());
    assertThat(tried.at("/car/mass_kg").asDouble()).isEqualTo(mass - 100);

    String car = scripts.get(path()).body().path("carId").asString();
    Map<String, Double> both = Map.of("/mass_kg", mass - 100, "/engine/torqueCurve/0/1", first + 5);
    Scripts.Answer kept =
        scripts.post("/api/cars/" + car + "/changed", Map.of("name", "Lighter", "changes", both));
    assertThat(kept.status().value()).isEqualTo(201);
    JsonNode file = scripts.get("/api/cars/" + kept.body().path("id").asString()).body();
    assertThat(file.path("name").asString()).isEqualTo("Lighter");
    assertThat(file.path("mass_kg").asDouble()).isEqualTo(mass - 100);
    assertThat(file.at("/engine/torqueCurve/0/1").asDouble()).isEqualTo(first + 5);
    JsonNode before = scripts.get("/api/cars/" + car).body();
    assertThat(before.path("mass_kg").asDouble()).isEqualTo(mass);
    assertThat(file.path("aero")).isEqualTo(before.path("aero"));
  }

  @Test
  void aChangeThatIsNoneOfACarOrCannotBeIsRefusedAndNothingIsStored() {
    String car = scripts.get(path()).body().path("carId").asString();
    int cars = scripts.get("/api/cars").body().size();
    for (Map<String, Double> changes :
        List.of(
            Map.of("/wings", 1.0), Map.of("/mass_kg", -5.0), Map.of("/gearbox/ratios/0", 0.1))) {
      assertThat(scripts.post(path() + "/car/changed", Map.of("changes", changes)).status().value())
          .as("%s", changes)
          .isEqualTo(422);
      Map<String, Object> body = Map.of("name", "No car", "changes", changes);
      assertThat(scripts.post("/api/cars/" + car + "/changed", body).status().value())
          .as("%s kept", changes)
          .isEqualTo(422);
    }
    assertThat(scripts.get("/api/cars").body()).hasSize(cars);
  }
}
