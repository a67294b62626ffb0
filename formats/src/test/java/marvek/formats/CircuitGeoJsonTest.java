package marvek.formats;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.DrawnCorner;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class CircuitGeoJsonTest {
  private static BadFileException refused(JsonNode tree) {
    return catchThrowableOfType(BadFileException.class, () -> CircuitGeoJson.read(tree));
  }

  /** The demo circuit has what the demo is meant to show. */
  @Test
  void theDemoLooksLikeARealPlace() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    Road road = circuit.road();
    assertThat(road.lengthM()).isBetween(4000.0, 5000.0);
    double low = 1e9;
    double high = -1e9;
    double narrow = 1e9;
    double wide = 0;
    for (int i = 0; i < road.size(); i++) {
      low = Math.min(low, road.zAt(i));
      high = Math.max(high, road.zAt(i));
      double width = road.widthLeftAt(i) + road.widthRightAt(i);
      narrow = Math.min(narrow, width);
      wide = Math.max(wide, width);
    }
    assertThat(high - low).isGreaterThan(30);
    assertThat(narrow).isBetween(9.0, 10.0);
    assertThat(wide).isBetween(13.0, 14.0);
    assertThat(circuit.marks().size()).isBetween(33, 50);
    assertThat(circuit.kerbs()).hasSize(14);
    assertThat(circuit.zones()).hasSize(5);
    assertThat(circuit.hazards()).isNotEmpty();
    assertThat(circuit.marks().stream().map(Mark::type).distinct().count()).isGreaterThan(10);
    assertThat(circuit.kerbs().stream().map(Kerb::profile).collect(Collectors.toSet()))
        .isEqualTo(EnumSet.allOf(Kerb.Profile.class));
    Set<Corner.Kind> kinds =
        CornerFinder.find(circuit, road).stream().map(Corner::kind).collect(Collectors.toSet());
    assertThat(kinds)
        .contains(
            Corner.Kind.HAIRPIN, Corner.Kind.CHICANE_PART, Corner.Kind.LONG, Corner.Kind.KINK);
  }

  @Test
  void whatStandsBesideTheRoadIsFoundAtItsStation() {
    ObjectNode tree = DemoFiles.circuit();
    Circuit circuit = CircuitGeoJson.read(tree).value();
    Road road = circuit.road();
    LocalPlane plane = new LocalPlane(circuit.origin());
    int checked = 0;
    for (JsonNode feature : tree.path("features")) {
      JsonNode own = feature.path("properties");
      boolean post =
          own.path("kind").asString().equals("mark")
              && feature.path("geometry").path("type").asString().equals("Point");
      if (!post) {
        continue;
      }
      JsonNode at = feature.path("geometry").path("coordinates");
      double[] xy = plane.toPlane(at.get(1).asDouble(0), at.get(0).asDouble(0));
      Mark mark =
          circuit.marks().stream()
              .filter(m -> m.label().equals(own.path("label").asString()))
              .min((a, b) -> Double.compare(distance(road, a, xy), distance(road, b, xy)))
              .orElseThrow();
      assertThat(distance(road, mark, xy)).isLessThan(1.0);
      checked++;
    }
    assertThat(checked).isGreaterThan(20);
  }

  private static double distance(Road road, Mark mark, double[] xy) {
    int i = road.indexOf(mark.fromM());
    return Math.hypot(
        road.xAt(i) + mark.offsetM() * road.normalXAt(i) - xy[0],
        road.yAt(i) + mark.offsetM() * road.normalYAt(i) - xy[1]);
  }

  @Test
  void aFileWithoutACentrelineIsRefused() {
    ObjectNode tree = DemoFiles.circuit();
    ArrayNode features = (ArrayNode) tree.get("features");
    for (int i = features.size() - 1; i >= 0; i--) {
      if (features.get(i).path("properties").path("kind").asString().equals("centreline")) {
        features.remove(i);
      }
    }
    assertThat(refused(tree)).hasMessageContaining("centreline");
  }

  @Test
  void widthsThatDoNotMatchTheVerticesAreNamed() {
    ObjectNode tree = DemoFiles.circuit();
    ObjectNode line = DemoFiles.feature(tree, "centreline");
    ((ArrayNode) line.path("properties").path("widthLeft_m")).remove(0);
    BadFileException e = refused(tree);
    assertThat(e.pointer()).contains("widthLeft_m");
  }

  @Test
  void anUnknownMarkTypeIsNamedWithWhatIsExpected() {
    ObjectNode tree = DemoFiles.circuit();
    ((ObjectNode) DemoFiles.feature(tree, "mark").get("properties")).put("type", "lighthouse");
    BadFileException e = refused(tree);
    assertThat(e.pointer()).endsWith("/properties/type");
    assertThat(e).hasMessageContaining("lighthouse").hasMessageContaining("distance-board");
  }

  @Test
  void coordinatesThatAreNoPlaceOnEarthAreRefused() {
    ObjectNode tree = DemoFiles.circuit();
    ArrayNode points =
        (ArrayNode) DemoFiles.feature(tree, "centreline").path("geometry").path("coordinates");
    ((ArrayNode) points.get(3)).set(1, JsonFiles.MAPPER.getNodeFactory().numberNode(98.0));
    assertThat(refused(tree).pointer()).contains("/coordinates/3");
  }

  @Test
  void aNewerVersionIsRefused() {
    ObjectNode tree = DemoFiles.circuit();
    ((ObjectNode) tree.get("marvek")).put("version", 2);
    assertThat(refused(tree).pointer()).isEqualTo("/marvek/version");
  }

  @Test
  void whatHadToBeAssumedIsReported() {
    ObjectNode tree = DemoFiles.circuit();
    ((ObjectNode) tree.get("marvek")).remove("timeZone");
    ((ObjectNode) tree.get("marvek")).remove("trackLimits");
    ((ObjectNode) DemoFiles.feature(tree, "centreline").get("properties")).remove("banking_deg");
    assertThat(CircuitGeoJson.read(tree).words())
        .anyMatch(
            w -> w.equals("No time zone is given: taken as Europe/Isle_of_Man, by the place."))
        .anyMatch(w -> w.contains("track-limits"))
        .anyMatch(w -> w.contains("banking_deg"));
  }

  @Test
  void somethingElseThanAFeatureCollectionIsRefused() {
    assertThat(refused(JsonFiles.parse("{\"type\":\"Feature\"}".getBytes())))
        .hasMessageContaining("FeatureCollection");
    assertThat(refused(JsonFiles.parse("[1,2]".getBytes()))).isNotNull();
  }

  @Test
  void everyMarkTypeOfTheFormatIsKnown() {
    ObjectNode tree = DemoFiles.circuit();
    ObjectNode own = (ObjectNode) DemoFiles.feature(tree, "mark").get("properties");
    for (MarkType type : MarkType.values()) {
      own.put("type", Spelled.of(type));
      assertThat(CircuitGeoJson.read(tree).value().marks().get(0).type()).isEqualTo(type);
    }
  }

  @Test
  void theStartOfTheRoadIsTheFirstVertex() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    assertThat(circuit.road().xAt(0)).isCloseTo(circuit.survey().xAt(0), within(0.1));
    assertThat(circuit.road().yAt(0)).isCloseTo(circuit.survey().yAt(0), within(0.1));
  }

  /** Written and read again, everything stands where it stood: within 2 cm on 4.5 and 36 km. */
  @ParameterizedTest
  @ValueSource(strings = {"harrowfen-park", "skarrow-round"})
  void aRoundTripMovesNothing(String name) {
    Circuit circuit =
        CircuitGeoJson.read(JsonFiles.parse(DemoFiles.bytes(name + ".circuit.geojson"))).value();
    Imported<Circuit> again = CircuitGeoJson.read(CircuitGeoJsonWriter.write(circuit));
    Circuit back = again.value();
    assertThat(again.words()).isEmpty();
    assertThat(back.survey().size()).isEqualTo(circuit.survey().size());
    for (int i = 0; i < back.survey().size(); i++) {
      assertThat(back.survey().xAt(i)).isCloseTo(circuit.survey().xAt(i), within(0.02));
      assertThat(back.survey().yAt(i)).isCloseTo(circuit.survey().yAt(i), within(0.02));
    }
    assertThat(back.marks()).hasSameSizeAs(circuit.marks());
    for (int i = 0; i < back.marks().size(); i++) {
      Mark a = circuit.marks().get(i);
      Mark b = back.marks().get(i);
      assertThat(b.fromM()).isCloseTo(a.fromM(), within(0.02));
      assertThat(b.toM()).isCloseTo(a.toM(), within(0.02));
      assertThat(b.offsetM()).isCloseTo(a.offsetM(), within(0.02));
      assertThat(b.notedAt()).isEqualTo(a.notedAt());
    }
    for (int i = 0; i < back.kerbs().size(); i++) {
      assertThat(back.kerbs().get(i).fromM())
          .isCloseTo(circuit.kerbs().get(i).fromM(), within(0.05));
      assertThat(back.kerbs().get(i).useWet()).isEqualTo(circuit.kerbs().get(i).useWet());
    }
    assertThat(back.corners())
        .extracting(DrawnCorner::name)
        .isEqualTo(circuit.corners().stream().map(DrawnCorner::name).toList());
  }

  /** RFC 7946: positions are [longitude, latitude], lines have two or more of them. */
  @Test
  void whatIsWrittenIsGeoJson() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    JsonNode tree = CircuitGeoJsonWriter.write(circuit);
    assertThat(tree.get("type").asString()).isEqualTo("FeatureCollection");
    for (JsonNode feature : tree.get("features")) {
      assertThat(feature.get("type").asString()).isEqualTo("Feature");
      assertThat(feature.has("properties")).isTrue();
      JsonNode geometry = feature.get("geometry");
      JsonNode coordinates = geometry.get("coordinates");
      if (geometry.get("type").asString().equals("Point")) {
        coordinates = JsonFiles.MAPPER.createArrayNode().add(coordinates);
      } else {
        assertThat(geometry.get("type").asString()).isEqualTo("LineString");
        assertThat(coordinates.size()).isGreaterThanOrEqualTo(2);
      }
      for (JsonNode position : coordinates) {
        assertThat(position.get(0).asDouble(0)).isCloseTo(-4.9, within(0.03));
        assertThat(position.get(1).asDouble(0)).isCloseTo(53.9, within(0.03));
      }
    }
  }

  /** A road between two parts of which a mark stands nearer to the wrong one. */
  @Test
  void theStationSaysByWhichPartOfTheRoadAMarkStands() {
    ObjectNode tree = CircuitGeoJsonWriter.write(CircuitGeoJson.read(DemoFiles.circuit()).value());
    Circuit circuit = CircuitGeoJson.read(tree).value();
    // Fifty metres out on the inside of the hairpin is nearer to its other leg.
    Mark out =
        new Mark(
            "lamp 9",
            MarkType.LAMP,
            marvek.core.circuit.Side.RIGHT,
            1380,
            1380,
            -42,
            null,
            9.0,
            "");
    marvek.core.circuit.CircuitEdits e = marvek.core.circuit.CircuitEdits.of(circuit);
    Circuit with =
        new marvek.core.circuit.CircuitEdits(
                e.name(),
                e.layout(),
                null,
                "UTC",
                e.trackLimits(),
                java.util.List.of(out),
                e.kerbs(),
                e.zones(),
                e.hazards(),
                e.corners(),
                java.util.List.of(),
                java.util.List.of())
            .on(circuit);
    ObjectNode written = CircuitGeoJsonWriter.write(with);
    assertThat(CircuitGeoJson.read(written).value().marks().get(0).fromM())
        .isCloseTo(1380, within(0.05));
    // Without the station the geometry alone decides.
    ((ObjectNode) DemoFiles.feature(written, "mark").get("properties")).remove("station_m");
    assertThat(CircuitGeoJson.read(written).value().marks().get(0).fromM())
        .isNotCloseTo(1380, within(20.0));
  }

  private static ObjectNode noticed(String stretch) {
    ObjectNode tree = DemoFiles.circuit();
    ObjectNode limits = (ObjectNode) tree.at("/marvek/trackLimits");
    limits.set("stretches", JsonFiles.parse(("[" + stretch + "]").getBytes(UTF_8)));
    return tree;
  }

  /** As an organiser writes it: formats.md's members, kept to the letter. */
  @Test
  void noticesOfTrackLimitsAreReadAndWrittenAgain() {
    String first =
        """
        {"from_m": 480.0, "to_m": 540.0, "side": "left", "wheels": 2, "line": "kerb-outer-edge",
         "backBefore_m": 520.0, "consequence": {"time_s": 5.0}, "sessions": ["qualifying", "race"]}
        """;
    String second =
        """
        {"from_m": 4350.0, "to_m": 30.0, "side": "right", "wheels": 4, "line": {"beyond_m": -1.2},
         "consequence": "lap-deleted"}
        """;
    ObjectNode tree = noticed(first + "," + second);
    Circuit circuit = CircuitGeoJson.read(tree).value();
    assertThat(circuit.stretches()).hasSize(2);
    assertThat(circuit.stretches().get(0).wheels()).isEqualTo(2);
    assertThat(circuit.stretches().get(1).beyondM()).isEqualTo(-1.2);
    assertThat(CircuitGeoJsonWriter.write(circuit).at("/marvek/trackLimits/stretches"))
        .isEqualTo(tree.at("/marvek/trackLimits/stretches"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'wheels': 3, 'to_m': 540 | wheels | must be 1, 2 or 4",
        "'wheels': 2, 'to_m': 470 | to_m | ends it before it begins",
        "'wheels': 2, 'to_m': 540, 'backBefore_m': 600 | backBefore_m | does not lie on its stretch",
        "'wheels': 2, 'to_m': 540, 'sessions': ['tea'] | sessions/0 | (tea) must be",
        "'wheels': 2, 'to_m': 540, 'depth_m': 3 | depth_m | is not known"
      })
  void aNoticeThatCannotBeIsSaidAtItsMember(String members, String pointer, String words) {
    String stretch = "{'from_m': 480, 'side': 'left', 'line': 'white-line', " + members + "}";
    BadFileException e = refused(noticed(stretch.replace('\'', '"')));
    assertThat(e.pointer()).endsWith("/marvek/trackLimits/stretches/0/" + pointer);
    assertThat(e).hasMessageContaining(words);
  }

  @Test
  void theRoadCourseIsALongOne() {
    Circuit circuit =
        CircuitGeoJson.read(JsonFiles.parse(DemoFiles.bytes("skarrow-round.circuit.geojson")))
            .value();
    assertThat(circuit.road().lengthM()).isBetween(35_000.0, 40_000.0);
    assertThat(circuit.corners().size()).isBetween(140, 160);
    int i = circuit.road().indexOf(12_345);
    assertThat(circuit.road().widthLeftAt(i) + circuit.road().widthRightAt(i))
        .isCloseTo(7, within(0.9));
  }

  /** [latitude, longitude] is within range here, but five hours off the clocks of the circuit. */
  @Test
  void swappedCoordinatesAreSuspected() {
    ObjectNode tree = DemoFiles.circuit();
    tree.get("features")
        .forEach(
            feature -> {
              JsonNode coordinates = feature.at("/geometry/coordinates");
              if (coordinates.get(0).isArray()) {
                coordinates.forEach(CircuitGeoJsonTest::swap);
              } else {
                swap(coordinates);
              }
            });
    assertThat(CircuitGeoJson.read(tree).words())
        .anyMatch(w -> w.contains("are latitude and longitude swapped?"));
    assertThat(CircuitGeoJson.read(DemoFiles.circuit()).words()).isEmpty();
  }

  private static void swap(JsonNode position) {
    ArrayNode array = (ArrayNode) position;
    JsonNode first = array.get(0);
    array.set(0, array.get(1));
    array.set(1, first);
  }
}
