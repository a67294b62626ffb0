package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import marvek.core.circuit.Circuit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CentrelineCsvTest {
  private static final String HEADER = "x_m,y_m,z_m,width_left_m,width_right_m,banking_deg\n";

  private static Imported<Circuit> read(String text) {
    return CentrelineCsv.read(text.getBytes(StandardCharsets.UTF_8), "Ring");
  }

  private static BadFileException refused(String text) {
    return catchThrowableOfType(BadFileException.class, () -> read(text));
  }

  private static String ring(int points) {
    StringBuilder rows = new StringBuilder(HEADER);
    for (int i = 0; i < points; i++) {
      double angle = 2 * Math.PI * i / points;
      rows.append(
          String.format(
              Locale.ROOT,
              "%.3f,%.3f,1.5,5.5,6.5,2%n",
              100 * Math.cos(angle),
              100 * Math.sin(angle)));
    }
    return rows.toString();
  }

  @Test
  void readsAllColumns() {
    Imported<Circuit> imported = read(ring(120));
    Circuit circuit = imported.value();
    assertThat(imported.words()).isEmpty();
    assertThat(circuit.survey().size()).isEqualTo(120);
    assertThat(circuit.survey().closed()).isTrue();
    assertThat(circuit.survey().widthLeftAt(3)).isEqualTo(5.5);
    assertThat(circuit.survey().widthRightAt(3)).isEqualTo(6.5);
    assertThat(Math.toDegrees(circuit.survey().bankingAt(3))).isCloseTo(2, within(1e-9));
    assertThat(circuit.road().lengthM()).isCloseTo(2 * Math.PI * 100, within(0.2));
  }

  @ParameterizedTest
  @ValueSource(strings = {"# closed: false\n", "# a hill climb\n#CLOSED = no\n\n"})
  void aCommentMakesItAnOpenRoad(String comment) {
    Imported<Circuit> imported = read(comment + ring(120).replaceAll("(\\R.*){30}$", ""));
    assertThat(imported.words()).isEmpty();
    assertThat(imported.value().survey().closed()).isFalse();
    assertThat(imported.value().road().lengthM()).isBetween(400.0, 520.0);
    byte[] again = CentrelineCsvWriter.write(imported.value().survey());
    assertThat(CentrelineCsv.read(again, "Hill").value().survey().closed()).isFalse();
  }

  @Test
  void whatIsNeitherClosedNorOpenIsRefusedWithItsLine() {
    assertThat(refused("# closed: perhaps\n" + ring(60)))
        .hasMessageContaining("1")
        .hasMessageContaining("true or false");
    // Behind the header it is a comment like any other.
    assertThat(read(ring(60) + "# closed: perhaps\n").value().survey().closed()).isTrue();
  }

  @Test
  void columnsMayComeInAnyOrderWithCommentsBefore() {
    String text = ring(60).replace(HEADER, "");
    StringBuilder turned =
        new StringBuilder("# surveyed by hand\nwidth_right_m,y_m,x_m,width_left_m\n");
    for (String row : text.strip().split("\\R")) {
      String[] v = row.split(",");
      turned.append(String.join(",", v[4], v[1], v[0], v[3])).append('\n');
    }
    Imported<Circuit> imported = read(turned.toString());
    assertThat(imported.value().survey().widthRightAt(0)).isEqualTo(6.5);
    assertThat(imported.words())
        .anyMatch(w -> w.contains("z_m"))
        .anyMatch(w -> w.contains("banking_deg"));
  }

  @Test
  void saysWhatItLeftOut() {
    String again = ring(60) + "100.000,0.000,1.5,5.5,6.5,2\n";
    assertThat(read(again).words()).anyMatch(w -> w.contains("repeats the first"));
    String extra =
        ring(60).replace("banking_deg\n", "banking_deg,colour\n").replaceAll(",2\\R", ",2,red\n");
    assertThat(read(extra).words()).anyMatch(w -> w.contains("colour"));
  }

  @Test
  void namesTheLineAndColumnOfWhatIsNotANumber() {
    String[] lines = ring(60).split("\\R");
    lines[7] = lines[7].replaceFirst("1\\.5", "high");
    BadFileException e = refused(String.join("\n", lines));
    assertThat(e.line()).hasValue(8);
    assertThat(e.column()).isEqualTo("z_m");
    assertThat(e).hasMessageContaining("\"high\" is not a number");
  }

  @Test
  void adviceForADecimalComma() {
    BadFileException e =
        refused("x_m,y_m,width_left_m,width_right_m\n0,0,\"5,5\",6\n10,0,5,6\n10,10,5,6\n");
    assertThat(e).hasMessageContaining("point for decimals");
  }

  @Test
  void aMissingColumnIsNamed() {
    BadFileException e = refused("x_m,y_m,width_left_m\n0,0,5\n");
    assertThat(e.column()).isEqualTo("width_right_m");
    assertThat(e).hasMessageContaining("missing");
  }

  @Test
  void aRowThatIsTooShortIsNamed() {
    BadFileException e = refused(HEADER + "0,0,0,5,5,0\n10,0,0,5\n");
    assertThat(e.line()).hasValue(3);
    assertThat(e).hasMessageContaining("4 values");
  }

  @Test
  void twoPointsAreNoCircuit() {
    assertThat(refused(HEADER + "0,0,0,5,5,0\n10,0,0,5,5,0\n")).hasMessageContaining("point");
  }

  @ParameterizedTest
  @ValueSource(strings = {"NaN", "Infinity", "-1", "0"})
  void aWidthThatIsNoneIsRefused(String width) {
    String[] lines = ring(60).split("\\R");
    lines[12] = lines[12].replace(",5.5,", "," + width + ",");
    BadFileException e = refused(String.join("\n", lines));
    assertThat(e.line()).hasValue(13);
  }

  @Test
  void twicTheSamePointIsRefusedWithItsLine() {
    String[] lines = ring(60).split("\\R");
    lines[20] = lines[19];
    assertThat(refused(String.join("\n", lines)).line()).isPresent();
  }

  @Test
  void emptyAndBinaryFilesAreRefused() {
    assertThat(refused("")).hasMessageContaining("empty");
    assertThatThrownBy(() -> CentrelineCsv.read(new byte[] {(byte) 0xff, (byte) 0xfe, 3}, "x"))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("UTF-8");
  }

  @Test
  void aByteOrderMarkDoesNoHarm() {
    assertThat(read("\uFEFF" + ring(60)).value().survey().size()).isEqualTo(60);
  }

  /** RFC 4180: fields may be quoted, lines may end in CR LF. */
  @Test
  void quotedFieldsAndWindowsLines() {
    String text = ring(60).replace(",1.5,", ",\"1.5\",").replaceAll("\\R", "\r\n");
    assertThat(read(text).value().survey().zAt(5)).isEqualTo(1.5);
  }

  @Test
  void aCircuitWrittenAsGeoJsonIsReadBack() {
    Circuit circuit = read(ring(120)).value();
    Circuit back = CircuitGeoJson.read(CircuitGeoJsonWriter.write(circuit)).value();
    assertThat(back.road().lengthM()).isCloseTo(circuit.road().lengthM(), within(0.01));
    assertThat(back.survey().widthRightAt(9)).isEqualTo(6.5);
    assertThat(back.survey().zAt(9)).isCloseTo(1.5, within(1e-6));
  }

  @Test
  void writtenAndReadAgainItIsTheSameRoad() {
    Circuit circuit = CircuitGeoJson.read(DemoFiles.circuit()).value();
    byte[] bytes = CentrelineCsvWriter.write(circuit.survey());
    Imported<Circuit> again = CentrelineCsv.read(bytes, "again");
    assertThat(again.words()).isEmpty();
    for (int i = 0; i < circuit.survey().size(); i++) {
      assertThat(again.value().survey().xAt(i)).isCloseTo(circuit.survey().xAt(i), within(1e-4));
      assertThat(again.value().survey().zAt(i)).isCloseTo(circuit.survey().zAt(i), within(1e-4));
      assertThat(again.value().survey().bankingAt(i))
          .isCloseTo(circuit.survey().bankingAt(i), within(1e-5));
    }
  }
}
