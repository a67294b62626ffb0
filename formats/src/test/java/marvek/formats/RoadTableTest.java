package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.function.IntFunction;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;

/** Circuits from tables whose columns have any names. */
class RoadTableTest {
  private static final double RADIUS_M = 300;
  private static final double LENGTH_M = 2 * Math.PI * RADIUS_M;

  /** Metres of a degree of latitude at 50° on the WGS 84 ellipsoid, from handbook tables. */
  private static final double LAT_M = 111_229;

  /** Metres of a degree of longitude there. */
  private static final double LON_M = 71_696;

  private static double angle(int i, int points) {
    return 2 * Math.PI * i / points;
  }

  private static byte[] table(String header, int rows, IntFunction<String> row) {
    StringBuilder text = new StringBuilder(header).append('\n');
    for (int i = 0; i < rows; i++) {
      text.append(row.apply(i)).append('\n');
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static CircuitImport.Understood read(byte[] bytes, Map<String, String> columns) {
    ImportSettings d = ImportSettings.NONE;
    return CircuitImport.read(
        bytes, "Mill Ring.csv", new ImportSettings(null, null, 1, d.track(), false, columns));
  }

  private static String of(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  /**
   * Three laps and a half of a logger with its own names, a row of units and rows without a fix.
   */
  private static byte[] loggersLaps(double noiseM) {
    Random random = new Random(5);
    return table(
        "Time;Speed;GPS Latitude;GPS Longitude;Altitude\ns;km/h;deg;deg;m",
        1060,
        i -> {
          if (i < 5) {
            return i + ",0;0;0;0;0";
          }
          double a = angle(i, 300);
          double r = RADIUS_M + noiseM * random.nextGaussian();
          return of(
                  "%.1f;90;%.8f;%.8f;120.0",
                  0.1 * i, 50 + r * Math.sin(a) / LAT_M, 8 + r * Math.cos(a) / LON_M)
              .replace('.', ',');
        });
  }

  @Test
  void aLoggersLapsGiveTheMedianLineWithWidthsToBeSaid() {
    CircuitImport.Understood read = read(loggersLaps(0), Map.of());
    assertThat(read.kind()).isEqualTo("recorded points");
    assertThat(read.circuit().name()).isEqualTo("Mill Ring");
    assertThat(read.road().lengthM()).isCloseTo(LENGTH_M, within(0.002 * LENGTH_M));
    assertThat(read.road().closed()).isTrue();
    assertThat(read.circuit().timeZone()).startsWith("Europe/");
    assertThat(read.track().laps()).isCloseTo(3.5, within(0.1));
    assertThat(read.words())
        .anyMatch(w -> w.contains("the median of its 3 whole laps"))
        .anyMatch(w -> w.contains("5 m to each side are assumed"));
    double quiet = roughness(read(loggersLaps(1), Map.of()).road());
    ImportSettings d = ImportSettings.NONE;
    ImportSettings first =
        new ImportSettings(
            null,
            null,
            1,
            new marvek.core.circuit.RecordedTrack.Settings(false, 0, 1, 5, 5, false),
            d.widthSaid(),
            Map.of());
    double alone = roughness(CircuitImport.read(loggersLaps(1), "a.csv", first).road());
    // The median of three normal values has 0.67 of the deviation of one (Teichroew 1956, from
    // memory); smoothing takes from both.
    assertThat(quiet / alone).as("of the median of three").isBetween(0.5, 0.85);
  }

  /** Root of the mean square of the distance from the ring that fits it best [m]. */
  private static double roughness(Road road) {
    double x = 0;
    double y = 0;
    for (int i = 0; i < road.size(); i++) {
      x += road.xAt(i) / road.size();
      y += road.yAt(i) / road.size();
    }
    double radius = road.lengthM() / (2 * Math.PI);
    double sum = 0;
    for (int i = 0; i < road.size(); i++) {
      double off = Math.hypot(road.xAt(i) - x, road.yAt(i) - y) - radius;
      sum += off * off;
    }
    return Math.sqrt(sum / road.size());
  }

  @Test
  void columnsOfAnyNameAreNamed() {
    byte[] bytes =
        table(
            "a,b,c,left out",
            300,
            i ->
                of(
                    "%.2f,%.2f,9.5,x",
                    300 * Math.cos(angle(i, 300)), 300 * Math.sin(angle(i, 300))));
    assertThatThrownBy(() -> read(bytes, Map.of()))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("neither x_m and y_m nor lat_deg and lon_deg are known")
        .hasMessageContaining("found a, b, c, left out");
    RoadTable.Preview asked = CircuitImport.columns(bytes, Map.of("a", "x_m"));
    assertThat(asked.missing()).contains("y_m");
    assertThat(asked.columns())
        .extracting(RoadTable.Column::is)
        .containsExactly("x_m", null, null, null);
    assertThat(asked.columns().get(0).first()).hasSize(3).startsWith("300.00");
    CircuitImport.Understood read = read(bytes, Map.of("a", "x_m", "b", "y_m", "c", "width_m"));
    assertThat(read.kind()).isEqualTo("surveyed points");
    assertThat(read.road().widthLeftAt(10)).isCloseTo(4.75, within(1e-9));
    assertThat(read.road().lengthM()).isCloseTo(LENGTH_M, within(0.002 * LENGTH_M));
    assertThat(read.words()).anyMatch(w -> w.contains("taken as level"));
  }

  @Test
  void feetAreFeetAndAnOpenRoadStaysOpen() {
    byte[] bytes =
        table(
            "X (ft),Y (ft),Left width (ft),Right width (ft),Z (ft)",
            200,
            i -> of("%.1f,%.1f,15,18,%.1f", 20.0 * i, 100 * Math.sin(i / 30.0), 0.5 * i));
    CircuitImport.Understood read = read(bytes, Map.of());
    assertThat(read.road().closed()).isFalse();
    assertThat(read.road().widthRightAt(3)).isCloseTo(18 * 0.3048, within(1e-9));
    assertThat(read.road().zAt(read.road().size() - 1)).isCloseTo(0.5 * 199 * 0.3048, within(0.05));
    assertThat(read.road().lengthM()).isGreaterThan(20.0 * 199 * 0.3048);
  }

  @Test
  void whatCannotBeReadIsSaidWithItsPlace() {
    byte[] bytes = table("lat,lon", 40, i -> i == 20 ? "50.1,east" : of("50.%03d,8.1", i));
    assertThatThrownBy(() -> read(bytes, Map.of()))
        .hasMessage("Line 22, lon: \"east\" is not a number.");
    assertThatThrownBy(() -> read(bytes, Map.of("lat", "altitude of the sun")))
        .hasMessageContaining("is mapped to altitude of the sun, which is no column of a road");
    assertThatThrownBy(() -> read(bytes, Map.of("lat", "x_m", "lon", "x_ft")))
        .hasMessageContaining("is a second column for");
    assertThatThrownBy(() -> read(table("x,y", 0, i -> ""), Map.of()))
        .hasMessageContaining("has no points");
    byte[] gap = table("x,y,width", 60, i -> i == 30 ? "300,0," : of("%d,0,9", 10 * i));
    assertThatThrownBy(() -> read(gap, Map.of()))
        .hasMessageContaining("Line 32, width: is empty: give the width at each point");
    byte[] narrow = table("x,y,width", 60, i -> of("%d,0,%d", 10 * i, i == 30 ? -2 : 9));
    assertThatThrownBy(() -> read(narrow, Map.of())).hasMessageContaining("Line 32, width_left_m");
  }
}
