package marvek.server.printing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.InvalidValueException;
import marvek.core.page.DayKind;
import marvek.formats.JsonFiles;
import marvek.server.sessions.OnCard;
import marvek.server.units.DriverUnits;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class SessionCardTest {
  private static final DriverUnits METRIC = DriverUnits.of("km/h", "m");
  private static final String PAGE =
      """
      {"corner": 7, "name": "Mill", "brake": {"at_m": 990, "initial_pct": 84.4,
       "target": {"mark": "100 board", "side": "left", "offset_m": 12.2,
                  "thing": "the 100 board, left", "text": "12 m past the 100 board, left"}},
       "gears": {"approach": 5, "corner": 2}, "lowest": {"speed_mps": 25},
       "apexes": [{"at_m": 1040}], "throttle": {"first_m": 1044, "full_m": 60}}
      """;

  private static ObjectNode page() {
    return (ObjectNode) JsonFiles.parse(PAGE.getBytes(StandardCharsets.UTF_8));
  }

  private static ObjectNode revision(int corners) {
    ObjectNode revision =
        (ObjectNode)
            JsonFiles.parse(
                """
                {"number": 3, "createdAt": "2026-05-01T09:00:00Z", "reason": "kerb <checked> & dry",
                 "lap": {"time_s": 114.2662},
                 "conditions": {"surface": "dry", "tyres": "warm", "gripUsed": 0.92, "fuel_kg": 20,
                   "airTemperature_c": 18, "pressure_hpa": 1013.25, "windSpeed_mps": 5,
                   "windFrom_deg": 270}, "pages": []}
                """
                    .getBytes(StandardCharsets.UTF_8));
    for (int c = 1; c <= corners; c++) {
      revision.withArray("pages").add(page().put("corner", c));
    }
    return revision;
  }

  private static CardContent card(String title, ObjectNode revision) {
    return card(title, revision, OnCard.NOTHING);
  }

  private static CardContent card(String title, ObjectNode revision, OnCard added) {
    return new CardContent(title, "Place", revision, 1100, METRIC, Set.of(), added);
  }

  @Test
  void aCornerIsOneLineOfWords() {
    CardLine line = CardLine.of(page(), 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(line.number()).isEqualTo("7");
    assertThat(plain(line.brake())).isEqualTo("12 m past the 100 board, left");
    assertThat(plain(line.pressure())).isEqualTo("84 %");
    assertThat(line.gears()).isEqualTo("5 – 2");
    assertThat(line.apex()).isEqualTo("90");
    // Full throttle lies beyond the start line: 120 m past the apex on a lap of 1100 m.
    assertThat(plain(line.drive())).isEqualTo("+4 m, flat +120 m");
  }

  private static String plain(String text) {
    return text.replace('\u00a0', ' ');
  }

  /** NIST SP 811, appendix B.8: 25 m/s = 55.9 mph, 12.2 m = 13.3 yd = 40.0 ft. */
  @Test
  void linesTakeTheDriversUnits() {
    CardLine yards =
        CardLine.of(page(), 1100, DriverUnits.of("mph", "yd"), Set.of(), Set.of(DayKind.COLD));
    assertThat(yards.apex()).isEqualTo("56");
    assertThat(plain(yards.brake())).startsWith("13 yd past");
    CardLine feet =
        CardLine.of(page(), 1100, DriverUnits.of("mph", "ft"), Set.of(), Set.of(DayKind.COLD));
    assertThat(plain(feet.brake())).startsWith("40 ft past");
  }

  @Test
  void whatDoesNotApplyIsSaidInWords() {
    ObjectNode flat = page();
    flat.putObject("brake").put("style", "none");
    flat.putObject("throttle");
    CardLine line = CardLine.of(flat, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(line.brake()).isEqualTo("flat, no brake");
    assertThat(line.pressure()).isEmpty();
    assertThat(line.drive()).isEqualTo("stays on");
    flat.putObject("brake").put("style", "lift");
    assertThat(CardLine.of(flat, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake())
        .isEqualTo("lift, no brake");
  }

  @Test
  void withoutAMarkTheStationIsGiven() {
    ObjectNode bare = page();
    ((ObjectNode) bare.get("brake")).remove("target");
    assertThat(plain(CardLine.of(bare, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake()))
        .isEqualTo("990 m after the start line");
  }

  /** A lift without a mark is told from the apex, as the throttle is. */
  @Test
  void aLiftIsToldByItsMarkOrFromTheApex() {
    ObjectNode lifted = page();
    lifted.putObject("brake").put("style", "lift");
    lifted.putObject("lift").put("at_m", 990).put("to_pct", 48.6);
    assertThat(plain(CardLine.of(lifted, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake()))
        .isEqualTo("lift to 49 %, −50 m from the apex");
    lifted.withObject("/lift").putObject("target").put("own", "by the old oak");
    assertThat(plain(CardLine.of(lifted, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake()))
        .isEqualTo("lift to 49 %, by the old oak");
  }

  /** What is the driver's own of pedals, gears and feet, and nothing of the model's. */
  @Test
  void ownShapesAndGearsStandInTheirColumns() {
    ObjectNode own = page();
    own.withObject("/gears").put("in", 1).put("out", 3);
    own.put("feet", "heel-and-toe");
    var press = own.withArray("presses").addObject().put("peak_pct", 90);
    press.withArray("knots").addObject().put("pct", 35.4);
    own.withArray("phases").addObject().put("kind", "hold").put("to_pct", 15);
    CardLine model = CardLine.of(own, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(plain(model.pressure())).isEqualTo("84 %");
    assertThat(model.gears()).isEqualTo("5 – 2");

    ObjectNode sources = own.putObject("sources");
    for (String field : List.of("presses", "phases", "gears.in", "gears.out", "feet")) {
      sources.put(field, "driver");
    }
    CardLine line = CardLine.of(own, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(plain(line.pressure())).isEqualTo("90–35 %");
    assertThat(plain(line.drive())).startsWith("hold 15 %, +4 m");
    assertThat(line.gears()).isEqualTo("5 – 2, in 1, out 3, heel and toe");
  }

  @Test
  void atAMarkAndUnderABridge() {
    ObjectNode close = page();
    JsonNode target = close.at("/brake/target");
    ((ObjectNode) target).put("offset_m", -1.2);
    assertThat(CardLine.of(close, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake())
        .isEqualTo("at the 100 board, left");
    ((ObjectNode) target).put("side", "over").put("thing", "the footbridge");
    assertThat(CardLine.of(close, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).brake())
        .isEqualTo("under the footbridge");
  }

  @Test
  void textFromDriversIsNeverMarkup() {
    String html = SessionCard.html(card("A & B <i>", revision(1)));
    assertThat(html)
        .contains("kerb &lt;checked&gt; &amp; dry")
        .contains("A &amp; B &lt;i&gt;")
        .contains("wind 18 km/h from 270°")
        .contains("1:54.266")
        .doesNotContain("<i>");
  }

  @Test
  void sixteenCornersStillFitOnOnePage() throws IOException {
    String html = SessionCard.html(card("Long place", revision(16)));
    try (PDDocument document = Loader.loadPDF(new Pdf().render(html))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      String text = new PDFTextStripper().getText(document);
      assertThat(text.split("Mill", -1)).hasSize(17);
    }
  }

  /** What hangs on the points is at hand where it is needed; a short way over the line. */
  @Test
  void warningsOwnPointsGatesAndDaysStandBelowTheCorner() {
    ObjectNode page = page();
    ((ObjectNode) page.get("brake")).put("at_m", 4.0);
    page.putArray("pointNotes")
        .add(note("danger", 3, "wall close"))
        .add(note("feel", 1, "light here"))
        .add(note("surface", 2, "bump"));
    page.putArray("gates").addObject().put("place", "one car width off the left line");
    page.putArray("at")
        .addObject()
        .put("point", "flat")
        .putObject("target")
        .put("mark", "lamp 4")
        .put("side", "right")
        .put("offset_m", 0)
        .put("thing", "where lamp 4 leaves sight")
        .put("near", "as lamp 4 leaves sight");
    ObjectNode variants = page.putObject("variants");
    variants.putObject("cold").put("brake.at_m", 1096.0).put("gears.corner", 1);
    variants.putObject("wet").put("kerbs.exit", "none");
    CardLine line = CardLine.of(page, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(line.warning()).isEqualTo("DANGER, exit: wall close; exit: bump");
    page.put("wayOut", "straight on");
    assertThat(CardLine.of(page, 1100, METRIC, Set.of(), Set.of()).warning())
        .endsWith("; way out: straight on");
    assertThat(line.own())
        .isEqualTo("flat as lamp 4 leaves sight; one car width off the left line");
    assertThat(plain(line.otherDays())).isEqualTo("laps 1 to 3: brake 8 m earlier, gear 1");
    CardLine wet = CardLine.of(page, 1100, METRIC, Set.of(), Set.of(DayKind.WET));
    assertThat(wet.otherDays()).isEqualTo("wet: no exit kerb");
    page.putObject("variantsBolder").putObject("cold").put("brake.at_m", 1096.0);
    CardLine tamer = CardLine.of(page, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(tamer.otherDays()).isEqualTo("laps 1 to 3: gear 1");
    page.withObject("/variantsBolder/cold").put("gears.corner", 1);
    assertThat(CardLine.of(page, 1100, METRIC, Set.of(), Set.of(DayKind.COLD)).otherDays())
        .isEmpty();
  }

  private static ObjectNode note(String kind, int severity, String text) {
    return JsonFiles.MAPPER
        .createObjectNode()
        .put("point", "exit")
        .put("kind", kind)
        .put("severity", severity)
        .put("text", text);
  }

  /** A number with a letter stands in the place of the number. */
  @Test
  void aCornerThatTheCircuitCounts5AGoesByThat() {
    ObjectNode page = page().put("name", "5A");
    CardLine line = CardLine.of(page, 1100, METRIC, Set.of(), Set.of());
    assertThat(line.number()).isEqualTo("5A");
    assertThat(line.name()).isEmpty();
    assertThat(line.corner()).isEqualTo(7);
  }

  @Test
  void aSessionAddsItsTargetsStepsAndFocus() throws IOException {
    OnCard added =
        new OnCard(
            "Qualifying, Thursday",
            List.of(new OnCard.Target("expert", 112.3456)),
            Map.of(2, new OnCard.Step(2, 6, 980.2, null)),
            Set.of(3),
            Set.of());
    String html = SessionCard.html(card("Book", revision(13), added));
    assertThat(html).contains("<tr class=\"focus\"><td class=\"n\">3");
    try (PDDocument document = Loader.loadPDF(new Pdf().render(html))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      String text = plain(new PDFTextStripper().getText(document));
      assertThat(text).contains("Qualifying, Thursday", "Targets: expert 1:52.346");
      assertThat(text).containsPattern("now, step 2 of 6: 980 m\\s+after");
    }
  }

  @Test
  void partsOfTheLapWithAnotherSurfaceAreNamed() {
    ObjectNode revision = revision(1);
    ObjectNode part = ((ObjectNode) revision.path("conditions")).putArray("parts").addObject();
    part.put("from_m", 700).put("to_m", 1350).put("surface", "damp");
    assertThat(plain(SessionCard.html(card("Book", revision))))
        .contains("dry road, damp from 700 m to 1350 m");
  }

  @Test
  void namesBeyondLatinOneArePrinted() throws IOException {
    ObjectNode revision = revision(1);
    ((ObjectNode) revision.at("/pages/0")).put("name", "Łąka – Žleb");
    String html = SessionCard.html(card("Książ", revision));
    try (PDDocument document = Loader.loadPDF(new Pdf().render(html))) {
      assertThat(new PDFTextStripper().getText(document)).contains("Łąka").contains("Książ");
    }
  }

  @Test
  void unknownUnitsAreRefused() {
    assertThatThrownBy(() -> DriverUnits.of("knots", "m"))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("km/h or mph");
    assertThatThrownBy(() -> DriverUnits.of("mph", "chains"))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("m, yd or ft");
  }

  @Test
  void theSideStandsBesideTheNameAndTurnInAndKerbsWhereThereIsRoom() throws IOException {
    ObjectNode full = page().put("direction", "left");
    full.putObject("turnIn").put("at_m", 1010);
    full.putObject("kerbs").put("entry", "none").put("apex", "tyre").put("exit", "half-car");
    CardLine line = CardLine.of(full, 1100, METRIC, Set.of(), Set.of(DayKind.COLD));
    assertThat(line.side()).isEqualTo("L");
    assertThat(plain(line.rest()))
        .isEqualTo(
            "turn in 1010 m after the start line · apex kerb one tyre, exit kerb half the car");
    for (int corners : new int[] {9, 10}) {
      ObjectNode revision = revision(0);
      for (int c = 1; c <= corners; c++) {
        revision.withArray("pages").add(full.deepCopy().put("corner", c));
      }
      try (PDDocument printed =
          Loader.loadPDF(new Pdf().render(SessionCard.html(card("Mill", revision))))) {
        assertThat(printed.getNumberOfPages()).as("%d corners", corners).isEqualTo(1);
        String text = plain(new PDFTextStripper().getText(printed));
        assertThat(text).contains("Mill L");
        assertThat(text.contains("exit kerb half"))
            .as("%d corners", corners)
            .isEqualTo(corners == 9);
      }
    }
  }
}
