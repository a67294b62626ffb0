package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Stream;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The demo's laps: found in the library, laid beside each other, and what one would change. */
@ServerTest
class LapPairsTest {
  private static final String MATE = "Mira Soldal";
  private static final String OWN = "practice.laps.csv";
  private static final String MATES = "team-mate.laps.csv";
  private static final String RIDERS = "iska-vane.laps.csv";
  private static final String BEFORE = "last-year.laps.csv";

  @Autowired private TestRestTemplate http;
  private Scripts scripts;
  private String book;
  private JsonNode library;

  @BeforeEach
  void demo() {
    scripts = new Scripts(http);
    book = "/api/books/" + scripts.get("/api/books").body().at("/0/id").asString();
    library = scripts.get(book + "/library").body();
  }

  private List<JsonNode> laps(Predicate<JsonNode> wanted) {
    List<JsonNode> found = new ArrayList<>();
    for (JsonNode lap : library) {
      if (wanted.test(lap)) {
        found.add(lap);
      }
    }
    return found;
  }

  private List<JsonNode> flying(String file) {
    return laps(
        lap ->
            lap.path("file").asString().equals(file)
                && lap.path("kind").asString().equals("flying"));
  }

  /** Whether two laps are of one driver and vehicle, on one surface of one layout. */
  private static boolean isBeside(JsonNode best, JsonNode lap) {
    return lap.path("kind").asString().equals("flying")
        && Stream.of("driver", "vehicle", "surface", "layout", "layoutVersion")
            .allMatch(of -> lap.path(of).equals(best.path(of)));
  }

  /** The fastest of a file. */
  private String best(String file) {
    return flying(file).stream()
        .min(Comparator.comparingDouble(lap -> lap.path("time_s").asDouble(0)))
        .orElseThrow()
        .path("id")
        .asString();
  }

  private JsonNode pair(String lap, String with) {
    Scripts.Answer answer = scripts.get(book + "/pair?lap=" + lap + "&with=" + with);
    assertThat(answer.status().value()).as("%s", answer.body()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void theLibraryHasEverybodysLapsOfTheCircuitWithTheBestOfEach() {
    assertThat(flying(OWN)).hasSize(12);
    assertThat(flying(MATES)).hasSize(5);
    assertThat(flying(BEFORE)).hasSize(5);
    assertThat(flying(MATES)).allMatch(lap -> lap.path("driver").asString().equals(MATE));
    assertThat(flying(OWN)).allMatch(lap -> lap.path("driver").asString().isEmpty());
    assertThat(laps(lap -> lap.path("best").asBoolean()))
        .as("one of each driver, vehicle, surface and layout: the quickest")
        .isNotEmpty()
        .allSatisfy(
            best ->
                assertThat(laps(lap -> isBeside(best, lap)))
                    .allMatch(
                        lap -> lap.path("time_s").asDouble(0) >= best.path("time_s").asDouble(0))
                    .filteredOn(lap -> lap.path("best").asBoolean())
                    .hasSize(1));
    assertThat(flying(MATES)).filteredOn(lap -> lap.path("best").asBoolean()).hasSize(1);
    assertThat(flying(RIDERS))
        .as("of another book of the same circuit")
        .isNotEmpty()
        .allMatch(lap -> lap.path("driver").asString().equals("Iska Vane"));
    assertThat(laps(lap -> lap.path("bookName").asString().startsWith("Skarrow")))
        .as("of another circuit")
        .isEmpty();
    // Asked again nothing is read, and nothing is another.
    assertThat(scripts.get(book + "/library").body()).isEqualTo(library);
  }

  @Test
  void twoLapsDifferAtTheLineByTheirTimesAndCornersAddUp() {
    JsonNode pair = pair(best(OWN), best(MATES));
    double own = pair.at("/first/time_s").asDouble(0);
    double mates = pair.at("/second/time_s").asDouble(0);
    assertThat(mates).as("she is quicker").isLessThan(own - 0.5);
    assertThat(pair.path("atLine_s").asDouble(0)).isCloseTo(own - mates, within(0.0015));
    double corners = 0;
    for (JsonNode corner : pair.path("corners")) {
      corners += corner.path("behind_s").asDouble(0);
    }
    assertThat(corners).isCloseTo(own - mates, within(0.01));
    assertThat(pair.path("apart")).isEmpty();
    assertThat(pair.path("behind_s")).hasSize(pair.at("/first/along/speed_mps").size());
    assertThat(pair.at("/first/along/rpm/100").asDouble(0)).isGreaterThan(1000);
    JsonNode fourth = pair.at("/corners/3");
    assertThat(fourth.at("/first/0/rule").asString()).isEqualTo("late-throttle");
    assertThat(fourth.path("second").findValuesAsString("rule")).doesNotContain("late-throttle");
  }

  @Test
  void aLapStandsBesideThePageAndOneBesideLastYears() {
    JsonNode page = pair(best(OWN), "page");
    assertThat(page.at("/second/session").isNull()).isTrue();
    assertThat(page.path("atLine_s").asDouble(0))
        .isCloseTo(
            page.at("/first/time_s").asDouble(0) - page.at("/second/time_s").asDouble(0),
            within(0.002));
    JsonNode before = pair(best(OWN), best(BEFORE));
    assertThat(before.path("corners").findValuesAsString("corner")).hasSize(13);
  }

  /** An in-lap is laid as far as it goes, and the rest is said. */
  @Test
  void aLapThatEndsEarlyIsLaidAsFarAsItGoes() {
    String in = laps(l -> l.path("kind").asString().equals("in")).get(0).path("id").asString();
    JsonNode pair = pair(in, best(MATES));
    assertThat(pair.at("/first/time_s").isNull()).isTrue();
    assertThat(pair.path("apart")).isNotEmpty();
    double to = pair.at("/apart/0/to_m").asDouble(0);
    assertThat(to).isCloseTo(pair.path("length_m").asDouble(0), within(1.0));
    assertThat(scripts.get(book + "/lap-values?lap=" + in).status().value()).isEqualTo(404);
  }

  /** A shorter layout of the same circuit leaves out its farthest bend. */
  @Test
  void aLapOfAnotherLayoutIsLaidWhereBothGo() {
    Scripts.Answer circuit =
        scripts.upload("/api/circuits/import", "club.circuit.geojson", clubLayout());
    assertThat(circuit.status().value()).as("%s", circuit.body()).isEqualTo(201);
    String car = scripts.get(book).body().path("carId").asString();
    String club =
        "/api/books/" + scripts.newBook(circuit.body().path("id").asString(), car, "Club");
    Scripts.Answer planned =
        scripts.post(club + "/sessions", SessionTest.session("2026-12-05T09:00", "dry"));
    String session = "/api/sessions/" + planned.body().path("id").asString();
    byte[] driven = scripts.download(session + "/simulated.laps.csv?laps=3&seed=2");
    scripts.upload(session + "/laps", "club.laps.csv", driven);
    library = scripts.get(book + "/library").body();
    assertThat(flying("club.laps.csv")).hasSizeGreaterThanOrEqualTo(2);
    assertThat(flying("club.laps.csv").get(0).path("layout").asString()).isEqualTo("club");

    JsonNode pair = pair(best("club.laps.csv"), best(MATES));
    double left = 0;
    for (JsonNode apart : pair.path("apart")) {
      double from = apart.path("from_m").asDouble(0);
      double to = apart.path("to_m").asDouble(0);
      assertThat(from).isGreaterThan(950);
      assertThat(to).isLessThan(1850);
      left += to - from;
    }
    assertThat(left).as("most of what was left out").isGreaterThan(350);
    int joined = 950;
    int line = pair.path("behind_s").size() - 1;
    assertThat(at(pair, "/behind_s", line) - at(pair, "/behind_s", joined))
        .as("what both drove behind the bow")
        .isCloseTo(
            seconds(pair, "/first", joined, line) - seconds(pair, "/second", joined, line),
            within(0.003));
    assertThat(at(pair, "/behind_s", 450))
        .as("and before it")
        .isCloseTo(
            seconds(pair, "/first", 0, 450) - seconds(pair, "/second", 0, 450), within(0.003));
    scripts.put("/api/put-away/book" + club.substring("/api/books".length()), null);
    scripts.delete("/api/circuits/" + circuit.body().path("id").asString());
    library = scripts.get(book + "/library").body();
    assertThat(flying("club.laps.csv")).as("put away with its book").isEmpty();
  }

  private static double at(JsonNode pair, String column, int k) {
    return pair.at(column + "/" + k).asDouble(Double.NaN);
  }

  private static double seconds(JsonNode pair, String side, int from, int to) {
    return at(pair, side + "/along/time_s", to) - at(pair, side + "/along/time_s", from);
  }

  /** The demo's road with a bow in the place of its vertices from one to another. */
  private static byte[] clubLayout() {
    int leaves = 199;
    int joins = 341;
    ObjectNode file = (ObjectNode) JsonFiles.parse(Scripts.demo("harrowfen-park.circuit.geojson"));
    ((ObjectNode) file.path("marvek")).put("layout", "club").put("layoutVersion", 1);
    ((ObjectNode) file.path("marvek")).remove("trackLimits");
    ObjectNode road = null;
    for (JsonNode feature : file.path("features")) {
      road =
          feature.at("/properties/kind").asString().equals("centreline")
              ? (ObjectNode) feature
              : road;
    }
    ArrayNode at = (ArrayNode) road.at("/geometry/coordinates");
    ArrayNode bowed = at.arrayNode();
    for (int i = 0; i <= leaves; i++) {
      bowed.add(at.get(i));
    }
    int steps = 44;
    for (int k = 1; k < steps; k++) {
      ArrayNode point = bowed.addArray();
      for (int axis = 0; axis < 3; axis++) {
        double a = at.get(leaves).get(axis).asDouble(0);
        double d = at.get(joins).get(axis).asDouble(0);
        // Out in the direction that the road had, in by the one it goes on with.
        double b = a + 0.9 * (a - at.get(leaves - 20).get(axis).asDouble(0));
        double c = d - 0.9 * (at.get(joins + 20).get(axis).asDouble(0) - d);
        double t = (double) k / steps;
        double u = 1 - t;
        point.add(u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d);
      }
    }
    for (int i = joins; i < at.size(); i++) {
      bowed.add(at.get(i));
    }
    ((ObjectNode) road.path("geometry")).set("coordinates", bowed);
    ObjectNode properties = (ObjectNode) road.path("properties");
    for (String list : List.of("widthLeft_m", "widthRight_m", "banking_deg")) {
      ArrayNode before = (ArrayNode) properties.path(list);
      ArrayNode values = before.arrayNode();
      for (int i = 0; i < bowed.size(); i++) {
        values.add(before.get(Math.min(i, before.size() - 1)));
      }
      properties.set(list, values);
    }
    file.putArray("features").add(road);
    return JsonFiles.writeFile(file);
  }

  @Test
  void whatWasNotDrivenHereIsNotFound() {
    JsonNode skarrow =
        scripts.get("/api/books").body().findParents("name").stream()
            .filter(b -> b.path("name").asString().startsWith("Skarrow"))
            .findFirst()
            .orElseThrow();
    JsonNode there = scripts.get("/api/books/" + skarrow.path("id").asString() + "/library").body();
    for (JsonNode lap : there) {
      String path = book + "/pair?with=page&lap=" + lap.path("id").asString();
      assertThat(scripts.get(path).status().value()).isEqualTo(404);
    }
    String own = best(OWN);
    String none = own.substring(0, own.indexOf('.')) + ".99";
    assertThat(scripts.get(book + "/pair?with=page&lap=" + none).status().value()).isEqualTo(404);
    assertThat(scripts.get(book + "/pair?with=page&lap=nonsense").status().value()).isEqualTo(404);
  }

  /** Her brake points gain on pages that hold the driver's own careful ones. */
  @Test
  void valuesOfTheTeamMatesLapAreOfferedWithTheirCosts() {
    JsonNode values = scripts.get(book + "/lap-values?lap=" + best(MATES)).body();
    assertThat(values.path("name").asString()).startsWith(MATE + ", Practice of ");
    assertThat(values.path("otherVehicle").asBoolean()).isFalse();
    assertThat(values.path("grip").asDouble(0)).isBetween(0.98, 1.06);
    List<String> gaining = new ArrayList<>();
    for (JsonNode v : values.path("values")) {
      if (v.path("copy").asBoolean() && v.path("page_s").asDouble(0) < -0.02) {
        gaining.add(v.path("corner").asInt(0) + " " + v.path("field").asString());
      }
    }
    assertThat(gaining).as("%s", values).containsExactly("1 brake.at_m", "11 brake.at_m");
  }

  @Test
  void gearsOfAnotherVehicleAreMarked() {
    JsonNode values = scripts.get(book + "/lap-values?lap=" + best(RIDERS)).body();
    assertThat(values.path("otherVehicle").asBoolean()).isTrue();
    List<JsonNode> gears = new ArrayList<>();
    values
        .path("values")
        .forEach(
            v -> {
              if (v.path("field").asString().equals("gears.corner")) {
                gears.add(v);
              }
            });
    assertThat(gears)
        .isNotEmpty()
        .allSatisfy(
            v -> {
              assertThat(v.path("copy").asBoolean()).isFalse();
              assertThat(v.path("cautions").toString()).contains("other-vehicle");
            });
  }

  @Test
  void aNoteIsPinnedToAMetreAndComesWithThePair() {
    String own = best(OWN);
    String session =
        laps(l -> l.path("id").asString().equals(own)).get(0).path("session").asString();
    Scripts.Answer kept =
        scripts.post(
            "/api/sessions/" + session + "/remarks",
            Map.of("lap", own, "at_m", 1462, "words", "Late here"));
    assertThat(kept.status().value()).as("%s", kept.body()).isEqualTo(201);
    JsonNode pair = pair(own, "page");
    assertThat(pair.path("pins")).hasSize(1);
    assertThat(pair.at("/pins/0/at_m").asDouble(0)).isEqualTo(1462);
    assertThat(pair(best(MATES), "page").path("pins")).as("of the other lap").isEmpty();
    assertThat(
            scripts
                .post(
                    "/api/sessions/" + session + "/remarks",
                    Map.of("lap", own, "at_m", -3, "words", "Before"))
                .status()
                .value())
        .isEqualTo(422);
    scripts.delete("/api/debrief-notes/" + kept.body().path("id").asString());
    assertThat(pair(own, "page").path("pins")).isEmpty();
  }

  @Test
  void bothLapsAndTheirDifferenceAreGivenOut() {
    String query = "/pair.csv?lap=" + best(OWN) + "&with=" + best(MATES);
    String[] rows = text(book + query).split("\r\n");
    assertThat(rows[0]).startsWith("distance_m,behind_s,time_s,other_time_s,speed_mps");
    JsonNode pair = pair(best(OWN), best(MATES));
    assertThat(rows).hasSize(pair.path("behind_s").size() + 1);
    int k = 1000;
    assertThat(Double.parseDouble(rows[k + 1].split(",")[1]))
        .isCloseTo(pair.at("/behind_s/" + k).asDouble(0), within(0.0006));
  }

  /** What is given out as a file of laps is taken in again, as the same lap. */
  @Test
  void aLapByStationsComesInAgain() {
    String own = best(OWN);
    byte[] file = scripts.download(book + "/stations.laps.csv?lap=" + own);
    String copy = "/api/books/" + scripts.copyOfTheDemo();
    String session =
        "/api/sessions/" + scripts.get(copy + "/sessions").body().at("/0/id").asString();
    Scripts.Answer in = scripts.upload(session + "/laps", "stations.laps.csv", file);
    assertThat(in.status().value()).as("%s", in.body()).isEqualTo(201);
    JsonNode laps = scripts.get(session + "/debrief").body().path("laps");
    double time = laps(l -> l.path("id").asString().equals(own)).get(0).path("time_s").asDouble(0);
    assertThat(laps.findValuesAsString("kind")).contains("flying");
    for (JsonNode lap : laps) {
      if (lap.path("kind").asString().equals("flying")) {
        assertThat(lap.path("time_s").asDouble(0)).isCloseTo(time, within(0.03));
      }
    }
  }

  private String text(String path) {
    return new String(scripts.download(path), StandardCharsets.UTF_8);
  }
}
