package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.SchemaFactory;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.Knot;
import marvek.core.page.OwnValues;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GpxTest {
  private static final String HEAD =
      "<?xml version=\"1.0\"?>\n<gpx version=\"1.1\" creator=\"t\""
          + " xmlns=\"http://www.topografix.com/GPX/1/1\">\n";

  static byte[] file(String body) {
    return (HEAD + body + "</gpx>").getBytes(StandardCharsets.UTF_8);
  }

  private static BadFileException refused(byte[] bytes) {
    return catchThrowableOfType(BadFileException.class, () -> GpxReader.read(bytes));
  }

  /** The demo circuit driven once and a bit, a point every five metres. */
  static String demoLap() {
    StringBuilder text = new StringBuilder("<trk><name>Harrowfen</name><trkseg>\n");
    var coordinates =
        DemoFiles.feature(DemoFiles.circuit(), "centreline").path("geometry").path("coordinates");
    for (int k = 0; k < coordinates.size() + 12; k++) {
      var p = coordinates.get(k % coordinates.size());
      text.append(
          "<trkpt lat=\"%s\" lon=\"%s\"><ele>%s</ele></trkpt>%n"
              .formatted(p.get(1), p.get(0), p.get(2)));
    }
    return text.append("</trkseg></trk>").toString();
  }

  /** The same file read by the library and by the reader of this project. */
  @Test
  void agreesWithTheLibrary() throws IOException {
    byte[] bytes =
        file(
            "<wpt lat=\"53.9\" lon=\"-4.9\"><ele>12.5</ele><name>oak &amp; ash</name></wpt>"
                + demoLap());
    GPX library = GPX.Reader.DEFAULT.read(new ByteArrayInputStream(bytes));
    List<WayPoint> points =
        library.tracks().flatMap(t -> t.segments()).flatMap(s -> s.points()).toList();
    GpxFile own = GpxReader.read(bytes);
    assertThat(own.size()).isEqualTo(points.size());
    for (int i = 0; i < own.size(); i++) {
      assertThat(own.latDegAt(i)).isEqualTo(points.get(i).getLatitude().doubleValue());
      assertThat(own.lonDegAt(i)).isEqualTo(points.get(i).getLongitude().doubleValue());
      assertThat(own.eleMAt(i)).isEqualTo(points.get(i).getElevation().orElseThrow().doubleValue());
    }
    assertThat(own.waypoints().get(0).name()).isEqualTo("oak & ash");
    assertThat(own.waypoints().get(0).eleM()).isEqualTo(12.5);
    assertThat(own.name()).isEqualTo("Harrowfen");
  }

  /** Entities that reach outside of the file, or grow without end, are refused and not resolved. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"
            + "<gpx><wpt lat=\"1\" lon=\"2\"><name>&x;</name></wpt></gpx>",
        "<!DOCTYPE gpx [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;\">"
            + "<!ENTITY c \"&b;&b;&b;&b;&b;&b;&b;&b;\">]>"
            + "<gpx><wpt lat=\"1\" lon=\"2\"><name>&c;</name></wpt></gpx>",
        "<!DOCTYPE gpx SYSTEM \"http://127.0.0.1:1/gpx.dtd\"><gpx></gpx>",
        "<gpx><wpt lat=\"1\" lon=\"2\"><name>&other;</name></wpt></gpx>"
      })
  void documentTypesAndEntitiesAreRefused(String text) {
    BadFileException e = refused(text.getBytes(StandardCharsets.UTF_8));
    assertThat(e).isNotNull();
    assertThat(e.line()).hasValue(1);
    assertThat(e.getMessage()).doesNotContain("root:").hasSizeLessThan(300);
  }

  @Test
  void whatIsWrongIsSaidWithItsLine() {
    assertThat(refused(file("<trk><trkseg>\n<trkpt lat=\"53\" lon=\"east\"/>\n</trkseg></trk>")))
        .hasMessage("Line 4, lon: \"east\" is not a number.");
    assertThat(refused(file("<trk><trkseg><trkpt lon=\"1\"/></trkseg></trk>")))
        .hasMessageContaining("Line 3, lat: this attribute is missing");
    assertThat(refused(file("<trk><trkseg><trkpt lat=\"104.9\" lon=\"53.9\"/></trkseg></trk>")))
        .hasMessageContaining("Are latitude and longitude swapped?");
    assertThat(refused(file("<wpt lat=\"1\" lon=\"1\"><ele>NaN</ele></wpt>")))
        .hasMessageContaining("ele: \"NaN\" is not a number");
    byte[] cut = java.util.Arrays.copyOf(file(demoLap()), 4000);
    assertThat(refused(cut)).hasMessageContaining("cut off");
    assertThat(refused("<kml/>".getBytes(StandardCharsets.UTF_8)))
        .hasMessageContaining("<gpx> is expected here, found <kml>");
  }

  @Test
  void aRouteServesWhereThereIsNoTrack() {
    GpxFile file = GpxReader.read(file("<rte><rtept lat=\"1\" lon=\"2\"/></rte>"));
    assertThat(file.size()).isEqualTo(1);
    assertThat(file.eleMAt(0)).isNaN();
  }

  @Test
  void aDrivenLapBecomesTheCircuit() {
    byte[] bytes =
        file(
            "<wpt lat=\"53.90012\" lon=\"-4.8962\"><name>150 board</name></wpt>"
                + "<wpt lat=\"53.90\" lon=\"-4.70\"><name>far away</name></wpt>"
                + demoLap());
    CircuitImport.Understood read = CircuitImport.read(bytes, "lap.gpx", ImportSettings.NONE);
    Circuit demo = CircuitGeoJson.read(DemoFiles.circuit()).value();
    assertThat(read.kind()).isEqualTo("GPX");
    assertThat(read.circuit().name()).isEqualTo("Harrowfen");
    assertThat(read.road().closed()).isTrue();
    assertThat(read.road().lengthM()).isCloseTo(demo.road().lengthM(), within(1.5));
    assertThat(read.track().heights().doubtful()).isFalse();
    Mark board = read.circuit().marks().get(0);
    assertThat(board.type()).isEqualTo(MarkType.DISTANCE_BOARD);
    assertThat(board.valueM()).isEqualTo(150);
    assertThat(read.circuit().marks()).hasSize(1);
    assertThat(read.words())
        .anyMatch(w -> w.contains("far away"))
        .anyMatch(w -> w.contains("5 m to each side are assumed"));
  }

  /**
   * Heights of a telephone: metres from point to point, and a lap that ends higher than it began.
   */
  @Test
  void roughHeightsAreSmoothedToldAndMayBeLeftAway() {
    Random random = new Random(5);
    int[] n = {0};
    String rough =
        Pattern.compile("<ele>(.*?)</ele>")
            .matcher(demoLap())
            .replaceAll(
                m ->
                    "<ele>"
                        + (Double.parseDouble(m.group(1))
                            + 2 * random.nextGaussian()
                            + 0.005 * n[0]++)
                        + "</ele>");
    CircuitImport.Understood taken =
        CircuitImport.read(file(rough), "lap.gpx", ImportSettings.NONE);
    RecordedLine.Heights heights = taken.track().heights();
    assertThat(heights.doubtful()).isTrue();
    assertThat(heights.noiseM()).isCloseTo(2, within(0.4));
    double steepest = Math.max(heights.steepestUp(), heights.steepestDown());
    Road demo = CircuitGeoJson.read(DemoFiles.circuit()).value().road();
    assertThat(steepest).isCloseTo(steepest(demo), within(0.015));
    assertThat(steepest(taken.road())).isCloseTo(steepest, within(0.005));
    assertThat(taken.words()).anyMatch(w -> w.contains("heights jump by"));
    ImportSettings level =
        ImportSettings.read(JsonFiles.MAPPER.createObjectNode().put("level", true));
    CircuitImport.Understood flat = CircuitImport.read(file(rough), "lap.gpx", level);
    assertThat(steepest(flat.road())).isZero();
    assertThat(flat.track().heights()).isEqualTo(heights);
    assertThat(flat.words()).anyMatch(w -> w.contains("taken as level"));
  }

  private static double steepest(Road road) {
    double most = 0;
    for (int i = 0; i < road.size(); i++) {
      most = Math.max(most, Math.abs(road.gradeAt(i)));
    }
    return most;
  }

  @Test
  void aPlainGeoJsonLineIsReadLikeARecording() {
    var line = JsonFiles.MAPPER.createObjectNode();
    line.put("type", "Feature").putObject("properties");
    line.set("geometry", DemoFiles.feature(DemoFiles.circuit(), "centreline").get("geometry"));
    CircuitImport.Understood read =
        CircuitImport.read(JsonFiles.writeFile(line), "ring.geojson", ImportSettings.NONE);
    assertThat(read.kind()).isEqualTo("GeoJSON line");
    assertThat(read.circuit().name()).isEqualTo("ring");
    assertThat(read.road().lengthM()).isBetween(4500.0, 4600.0);
  }

  @Test
  void aJumpIsSaidWithTheLineOfTheFile() {
    String[] lines = demoLap().split("\n");
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < lines.length; i++) {
      if (i < 300 || i > 360) {
        text.append(lines[i]).append('\n');
      }
    }
    BadFileException e =
        catchThrowableOfType(
            BadFileException.class,
            () -> CircuitImport.read(file(text.toString()), "x.gpx", ImportSettings.NONE));
    // Two lines of head, and the first line of the lap is its name.
    assertThat(e.line()).hasValue(303);
    assertThat(e).hasMessageContaining("the track jumps by");
  }

  @Test
  void lengthAndWidthThatWereSaidAreUsed() {
    ImportSettings said =
        ImportSettings.read(
            JsonFiles.parse(
                ("{\"name\":\"Other\",\"expectedLength_m\":4000,"
                        + "\"widthLeft_m\":3.5,\"widthRight_m\":4}")
                    .getBytes(StandardCharsets.UTF_8)));
    CircuitImport.Understood read = CircuitImport.read(file(demoLap()), "x.gpx", said);
    assertThat(read.circuit().name()).isEqualTo("Other");
    assertThat(read.circuit().survey().widthLeftAt(10)).isEqualTo(3.5);
    assertThat(read.words())
        .anyMatch(w -> w.contains("13.6 % longer than the 4000 m expected"))
        .noneMatch(w -> w.contains("assumed"));
    assertThat(
            catchThrowableOfType(
                    BadFileException.class,
                    () ->
                        ImportSettings.read(
                            JsonFiles.parse("{\"smoothing\":-1}".getBytes(StandardCharsets.UTF_8))))
                .pointer())
        .isEqualTo("/smoothing");
  }

  /** A million points are thinned on the way in. */
  @Test
  void aMillionPointsAreRead() {
    StringBuilder text = new StringBuilder(60_000_000).append("<trk><trkseg>");
    int n = 1_000_000;
    for (int i = 0; i < n; i++) {
      double t = 2 * Math.PI * i / (n - 2000);
      text.append("<trkpt lat=\"")
          .append((float) (50 + 0.006 * Math.sin(t)))
          .append("\" lon=\"")
          .append((float) (0.009 * Math.cos(t)))
          .append("\"/>");
    }
    byte[] bytes = file(text.append("</trkseg></trk>").toString());
    assertThat(bytes.length).isLessThan(64 * 1024 * 1024);
    CircuitImport.Understood read = CircuitImport.read(bytes, "x.gpx", ImportSettings.NONE);
    assertThat(read.track().points()).isEqualTo(n);
    assertThat(read.circuit().survey().size()).isLessThan(13_000);
    // An ellipse of 667 m and 645 m half axes: 4122 m round.
    assertThat(read.road().lengthM()).isCloseTo(4122, within(15.0));
  }

  /** What is written is valid by the published schema of GPX 1.1 (from memory, see the file). */
  @Test
  void whatIsWrittenIsValidGpx() throws Exception {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    byte[] marks = GpxWriter.marks(circuit, circuit.road());
    Reference.Basis basis =
        Reference.basis(
            circuit,
            CarJson.read(DemoFiles.car()).value(),
            Conditions.DEFAULT,
            ChosenLine.CENTRELINE);
    Reference reference = Reference.on(basis, Conditions.DEFAULT, List.of());
    byte[] points =
        GpxWriter.actionPoints("demo <1>", circuit, reference.path(), reference.pages());
    var schema =
        SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI)
            .newSchema(GpxTest.class.getResource("/marvek/gpx-1.1.xsd"));
    for (byte[] bytes : List.of(marks, points)) {
      assertThatCode(
              () ->
                  schema.newValidator().validate(new StreamSource(new ByteArrayInputStream(bytes))))
          .doesNotThrowAnyException();
    }
    GpxFile back = GpxReader.read(marks);
    assertThat(back.waypoints()).hasSize(circuit.marks().size());
    LocalPlane plane = new LocalPlane(circuit.origin());
    for (int i = 0; i < back.waypoints().size(); i++) {
      Mark mark = circuit.marks().get(i);
      if (!mark.hasLength() && mark.side() != Side.OVER) {
        var place = back.waypoints().get(i).place();
        double[] xy = plane.toPlane(place.latDeg(), place.lonDeg());
        double[] stands = new RoadPosition(mark.fromM(), mark.offsetM()).toPlane(circuit.road());
        assertThat(Math.hypot(xy[0] - stands[0], xy[1] - stands[1])).isLessThan(0.02);
      }
    }
    assertThat(GpxReader.read(points).waypoints()).hasSizeGreaterThan(60);
  }

  /** Pressures and throttle steps of one's own are points; those of the model are not. */
  @Test
  void ownShapesArePointsOfTheirOwn() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    Reference.Basis basis =
        Reference.basis(
            circuit,
            CarJson.read(DemoFiles.car()).value(),
            Conditions.DEFAULT,
            ChosenLine.CENTRELINE);
    CornerPage page = Reference.on(basis, Conditions.DEFAULT, List.of()).pages().get(3);
    double onM = page.brake().atM();
    double offM = page.apexes().get(0).atM();
    OwnValues own =
        OwnValues.in(page.corner())
            .presses(
                new PedalWork.Presses(
                    List.of(new Press(onM, 60, List.of(new Knot(offM - 20, 35)), offM))))
            .phases(
                new PedalWork.Phases(
                    List.of(
                        new Phase(Phase.Kind.HOLD, offM + 2, 15, offM + 20),
                        new Phase(Phase.Kind.FLAT, offM + 60, 100, null))))
            .build();
    Reference driven = Reference.on(basis, Conditions.DEFAULT, List.of(own));
    byte[] points = GpxWriter.actionPoints("own", circuit, driven.path(), driven.pages());
    assertThat(GpxReader.read(points).waypoints())
        .extracting(GpxFile.Waypoint::name)
        .filteredOn(name -> name.startsWith(page.corner() + " "))
        .contains("4 brake 35 %", "4 release", "4 hold 15 %", "4 flat")
        .doesNotContain("4 throttle");
    assertThat(GpxReader.read(points).waypoints())
        .extracting(GpxFile.Waypoint::name)
        .filteredOn(name -> name.startsWith("1 brake"))
        .containsExactly("1 brake");
  }

  @Test
  void whatIsSaidOfAFileAndIsNotKnownIsRefusedWithWhatIs() {
    assertThatThrownBy(
            () -> ImportSettings.read(JsonFiles.MAPPER.createObjectNode().put("levels", true)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("/levels")
        .hasMessageContaining("expectedLength_m, lap, level, name");
  }
}
