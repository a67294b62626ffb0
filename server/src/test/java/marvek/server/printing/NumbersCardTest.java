package marvek.server.printing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import marvek.formats.JsonFiles;
import marvek.server.sessions.OnCard;
import marvek.server.units.DriverUnits;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class NumbersCardTest {
  private static final DriverUnits METRIC = DriverUnits.of("km/h", "m");
  private static final double POINTS_PER_MM = 72 / 25.4;

  private static JsonNode json(String text) {
    return JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String brake(String target) {
    return NumbersCard.brake(json("{\"at_m\": 990, \"target\": " + target + "}"), METRIC);
  }

  @Test
  void aBrakePointIsItsMarkAndTheMetresPastIt() {
    assertThat(brake("{\"mark\": \"150 board\", \"offset_m\": 16.2}")).isEqualTo("150 +16");
    assertThat(brake("{\"mark\": \"150 board\", \"offset_m\": 1.1}")).isEqualTo("150");
    assertThat(brake("{\"mark\": \"weir sign\", \"offset_m\": -13}")).isEqualTo("weir sign −13");
    assertThat(brake("{\"mark\": \"marshal post 5\", \"offset_m\": 12}")).isEqualTo("post 5 +12");
    assertThat(brake("{\"mark\": \"Donaudampfschiff\", \"offset_m\": 0}")).isEqualTo("Donaudam.");
  }

  @Test
  void aCountOfTimeIsItsSecondsAndABareStationIsTold() {
    String count = "{\"mark\": \"\", \"weak\": true, \"text\": \"1.4 s after the apex\"}";
    assertThat(brake(count)).isEqualTo("1.4 s");
    assertThat(NumbersCard.brake(json("{\"at_m\": 990}"), METRIC)).isEqualTo("@990");
    assertThat(NumbersCard.brake(json("{\"style\": \"none\"}"), METRIC)).isEqualTo("flat");
    assertThat(NumbersCard.brake(json("{\"style\": \"lift\"}"), METRIC)).isEqualTo("lift");
  }

  /** 1 yd = 0.9144 m (NIST SP 811, appendix B.8). */
  @Test
  void metresBecomeYards() {
    JsonNode node = json("{\"at_m\": 9, \"target\": {\"mark\": \"50 board\", \"offset_m\": 32}}");
    assertThat(NumbersCard.brake(node, DriverUnits.of("mph", "yd"))).isEqualTo("50 +35");
  }

  private static CardContent card(int corners) {
    ObjectNode revision = (ObjectNode) json("{\"number\": 3, \"pages\": []}");
    for (int c = 1; c <= corners; c++) {
      revision
          .withArray("pages")
          .add(
              json(
                  "{\"corner\": "
                      + c
                      + ", \"brake\": {\"at_m\": 9, \"target\": {\"mark\": \"weir sign\","
                      + " \"offset_m\": -13}}, \"gears\": {\"corner\": 3},"
                      + " \"lowest\": {\"speed_mps\": 25}}"));
    }
    return new CardContent("Mill", "Place", revision, 1100, METRIC, Set.of(), OnCard.NOTHING);
  }

  private static PDDocument printed(int corners, NumbersCard.Size size) throws IOException {
    return Loader.loadPDF(new Pdf().render(NumbersCard.html(card(corners), size)));
  }

  /** ISO 216: A7 is 74 by 105 mm, A6 105 by 148 mm. */
  @Test
  void fourteenCornersFitOnOnePageOfEachSize() throws IOException {
    try (PDDocument dash = printed(14, NumbersCard.Size.DASH);
        PDDocument tank = printed(14, NumbersCard.Size.TANK)) {
      assertThat(dash.getNumberOfPages()).isEqualTo(1);
      assertThat((double) dash.getPage(0).getMediaBox().getWidth())
          .isCloseTo(105 * POINTS_PER_MM, within(0.5));
      assertThat(tank.getNumberOfPages()).isEqualTo(1);
      assertThat((double) tank.getPage(0).getMediaBox().getHeight())
          .isCloseTo(148 * POINTS_PER_MM, within(0.5));
      assertThat(new PDFTextStripper().getText(tank).split("weir sign", -1)).hasSize(15);
    }
  }

  @Test
  void aLongerLapGoesOnOnTheNextPage() throws IOException {
    try (PDDocument dash = printed(20, NumbersCard.Size.DASH)) {
      assertThat(dash.getNumberOfPages()).isEqualTo(2);
      assertThat(new PDFTextStripper().getText(dash).split("weir sign", -1)).hasSize(21);
    }
  }
}
