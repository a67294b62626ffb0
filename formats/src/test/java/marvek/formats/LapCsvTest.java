package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class LapCsvTest {
  private static final int ROWS = 60;

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  /** 36 km/h on a straight, ten samples a second: 1 m a sample. */
  private static String file(String header, String row) {
    StringBuilder text = new StringBuilder(header).append('\n');
    for (int i = 0; i < ROWS; i++) {
      text.append(String.format(Locale.ROOT, row, i / 10.0, (double) i)).append('\n');
    }
    return text.toString();
  }

  private static Recording read(String text) {
    return LapCsv.read(bytes(text)).recording();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "time_s,distance_m,speed_kmh,brake_pct | %.1f,%.1f,36,0",
        "time_s;distance_m;speed_mps;brake_pct | %.1f;%.1f;10;0",
        "Time (s),Lap Distance (m),GPS Speed (km/h),Brake (%%) | %.1f,%.1f,36.0,0",
        "Time [ms],Distance [km],Speed [mph] | %1$.1f00,0,22.3694",
        "time_s,x_m,y_m,speed_mph | %.1f,%.1f,0,22.3694",
        "~\"TIME\",\"Distance\",\"Speed\"~ | %.1f,%.1f,36"
      })
  void headersOfManyKindsAreKnown(String header, String row) {
    Recording recording = read(file(header.replace("%%", "%"), row));
    assertThat(recording.size()).isEqualTo(ROWS);
    assertThat(recording.at(Channel.SPEED, 7)).isCloseTo(10, within(0.001));
  }

  /** A cell of brackets once took time with the square of its length, and with it the server. */
  @ParameterizedTest
  @ValueSource(strings = {"[", "(", "[(", "a[ ", "[]", " "})
  void noHeaderTakesLongToBeUnderstood(String piece) {
    String header = piece.repeat(500_000);
    assertTimeoutPreemptively(Duration.ofSeconds(5), () -> LapColumn.of(header + "x", header));
    assertThatThrownBy(() -> read(file("time_s," + "[".repeat(1_500), "%.1f,%.1f")))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("header of 1500 characters");
  }

  @Test
  void aCellThatIsAnEssayIsRefused() {
    assertThatThrownBy(() -> read("time_s,speed_kmh,x_m,y_m\n" + "1".repeat(3_000_000)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("not a CSV file of columns");
  }

  @Test
  void aByteOrderMarkAUnitsRowAndDecimalCommasAreRead() {
    StringBuilder text = new StringBuilder("\uFEFFTime;Distance;Speed;Throttle\ns;m;km/h;%\n");
    for (int i = 0; i < ROWS; i++) {
      text.append(String.format(Locale.GERMANY, "%.1f;%.1f;36,0;98,5%n", i / 10.0, (double) i));
    }
    LapFile file = LapCsv.read(bytes(text.toString()));
    assertThat(file.recording().at(Channel.THROTTLE, 3)).isEqualTo(98.5);
    assertThat(file.recording().at(Channel.SPEED, 3)).isCloseTo(10, within(1e-9));
    assertThat(file.used()).containsExactly("Time", "Distance", "Speed", "Throttle");
  }

  @Test
  void everyColumnOfTheFormatIsTheChannelThatItNames() {
    for (Channel channel : Channel.values()) {
      LapColumn column = LapColumn.of(channel.column(), "").orElseThrow();
      assertThat(column.channel()).as(channel.column()).isEqualTo(channel);
      assertThat(column.factor()).as(channel.column()).isEqualTo(1);
    }
    for (String name : LapColumn.CANONICAL) {
      assertThat(LapColumn.canonical(name)).as(name).isPresent();
    }
    assertThat(LapColumn.of("brake_bar", "").orElseThrow().pressure()).isTrue();
    assertThat(LapColumn.of("speed_mph", "").orElseThrow().factor())
        .isCloseTo(0.44704, within(1e-9));
  }

  @Test
  void tabsAreSeparatorsToo() {
    assertThat(read(file("time_s\tdistance_m\tspeed_kmh", "%.1f\t%.1f\t36")).size())
        .isEqualTo(ROWS);
  }

  /** A speed in another unit than the header says is put right by the way that was covered. */
  @ParameterizedTest
  @CsvSource({
    "speed_kmh, 10, m/s and not km/h",
    "speed_mps, 36, km/h and not m/s",
    "speed_kmh, 22.3694, mph and not km/h",
    "speed_kmh, 3.6, a tenth of what it should be"
  })
  void aSpeedInTheWrongUnitIsPutRightAndSaid(String column, double value, String said) {
    LapFile file = LapCsv.read(bytes(file("time_s,distance_m," + column, "%.1f,%.1f," + value)));
    assertThat(file.recording().at(Channel.SPEED, 5)).isCloseTo(10, within(0.01));
    assertThat(file.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains(said);
  }

  @Test
  void aRowWhoseTimeDoesNotGoOnIsLeftOutAndSaid() {
    String text = file("time_s,distance_m,speed_kmh", "%.1f,%.1f,36").replace("\n2.1,", "\n2.0,");
    LapFile file = LapCsv.read(bytes(text));
    assertThat(file.recording().size()).isEqualTo(ROWS - 1);
    assertThat(file.corrections().get(0).words()).startsWith("1 rows").contains("line 23");
  }

  @Test
  void columnsThatMeanNothingAreNamed() {
    LapFile file =
        LapCsv.read(bytes(file("time_s,distance_m,speed_kmh,oil_temp", "%.1f,%.1f,36,90")));
    assertThat(file.unknown()).containsExactly("oil_temp");
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    double[] time = new double[ROWS];
    double[] distance = new double[ROWS];
    double[] speed = new double[ROWS];
    for (int i = 0; i < ROWS; i++) {
      time[i] = i / 10.0;
      distance[i] = i;
      speed[i] = 10;
    }
    Recording recording =
        new Recording(time, Map.of(Channel.DISTANCE, distance, Channel.SPEED, speed));
    Recording again = LapCsv.read(LapCsvWriter.write(recording)).recording();
    assertThat(again.size()).isEqualTo(ROWS);
    assertThat(again.at(Channel.DISTANCE, 31)).isEqualTo(31);
  }

  static Stream<Arguments> brokenFiles() {
    String good = file("time_s,distance_m,speed_kmh", "%.1f,%.1f,36");
    String wide = "time_s,distance_m,speed_kmh" + ",c".repeat(10_000);
    return Stream.of(
        Arguments.of("", "The file is empty"),
        Arguments.of("\n\n\n", "0 samples"),
        Arguments.of("PK\u0003\u0004\u0000\u0000binary", "binary file"),
        Arguments.of("time_s,distance_m,speed_kmh\n", "0 samples"),
        Arguments.of("time_s,distance_m,speed_kmh\n0,0,36\n", "1 samples"),
        Arguments.of("distance_m,speed_kmh\n0,36\n", "no column of times is known"),
        Arguments.of("time_s,distance_m\n0,0\n", "no column of speeds is known"),
        Arguments.of("time_s,speed_kmh\n0,36\n", "neither a position"),
        Arguments.of("time_s,speed_kmh,lat_deg\n0,36,51\n", "neither a position"),
        Arguments.of(good.replace("\n2.1,21.0,36", "\n2.1,x21,36"), "Line 23, distance_m: \"x21\""),
        Arguments.of(good.replace("\n2.1,", "\nabc,"), "Line 23, time_s: \"abc\" is not a number"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "%.1f,%.1f,0"), "0 all through"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "%.1f,%.1f,"), "the column is empty"),
        Arguments.of(
            file("time_s,distance_m,speed_kmh", "%.1f,%.1f,fast"), "\"fast\" is not a number"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "1.0,%2$.1f,36"), "does not go on"),
        Arguments.of(file("time_s,x_m,y_m,speed_kmh", "%.1f,5,5,9000"), "cannot be"),
        Arguments.of(wide + "\n0,0,36\n", "at most 400"),
        Arguments.of("time_s,distance_m,speed_kmh\n" + "1".repeat(20_000_000), "CSV"),
        Arguments.of("just some words\nand others\n", "no column of times"),
        Arguments.of("{\"laps\":\n [1, 2]}", "no column of times"),
        Arguments.of("<gpx>\n<trk/></gpx>", "no column of times"),
        Arguments.of(good.replace(",36\n", ",1e400\n"), "cannot be"),
        Arguments.of("time_s;distance_m;speed_kmh\n0,0;0;36\n", "samples"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "nan,%2$.1f,36"), "does not go on"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "%.1f,%.1f,-36"), "this is no driven lap"),
        Arguments.of(file("time_s,distance_m,speed_kmh", "-%.1f,%.1f,36"), "does not go on"));
  }

  @ParameterizedTest
  @MethodSource("brokenFiles")
  void whatIsBrokenIsRefusedWithWords(String text, String says) {
    assertThatThrownBy(() -> LapCsv.read(bytes(text)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining(says);
  }

  @Test
  void aFileOfNoiseIsRefused() {
    byte[] noise = new byte[4096];
    new java.util.Random(1).nextBytes(noise);
    assertThatThrownBy(() -> LapCsv.read(noise)).isInstanceOf(BadFileException.class);
  }

  private static final String FOREIGN = file("Zeit,Weg,Geschw,Druck", "%.1f,%.1f,36,12");

  private static final Map<String, String> MAPPING =
      Map.of("Zeit", "time_s", "Weg", "distance_m", "Geschw", "speed_kmh", "Druck", "");

  @Test
  void headersOfAnotherKindAreMappedOnce() {
    assertThatThrownBy(() -> LapCsv.read(bytes(FOREIGN)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("Zeit, Weg, Geschw, Druck")
        .hasMessageContaining("Say which column it is");
    LapFile file = LapCsv.read(bytes(FOREIGN), MAPPING);
    assertThat(file.recording().at(Channel.SPEED, 4)).isCloseTo(10, within(1e-9));
    assertThat(file.unknown()).containsExactly("Druck");
  }

  @Test
  void aMappingToNothingKnownIsRefused() {
    assertThatThrownBy(() -> LapCsv.read(bytes(FOREIGN), Map.of("Zeit", "hours")))
        .hasMessageContaining("Zeit: is mapped to hours");
  }

  @Test
  void aPreviewShowsEachChannelAndWhatIsMissing() {
    LapPreview preview = LapPreview.of(bytes(FOREIGN), Map.of("Zeit", "time_s"));
    assertThat(preview.columns())
        .extracting(LapPreview.Column::header)
        .containsExactly("Zeit", "Weg", "Geschw", "Druck");
    assertThat(preview.columns().get(0).is()).isEqualTo("time_s");
    assertThat(preview.columns().get(1).is()).isNull();
    assertThat(preview.columns().get(1).first()).startsWith("0.0", "1.0", "2.0");
    assertThat(preview.columns().get(1).most()).isEqualTo(ROWS - 1);
    assertThat(preview.missing()).hasSize(2);
    assertThat(LapPreview.of(bytes(FOREIGN), MAPPING).missing()).isEmpty();
  }

  /** What is offered is what would be read: kept as it stands it must not change a value. */
  @ParameterizedTest
  @CsvSource({
    "Speed,speed_kmh",
    "Speed (mph),speed_mph",
    "Ground Speed [kn],speed_kn",
    "speed_mps,speed_mps",
    "Brake Pressure (psi),brake_psi",
    "brake (kPa),brake_kpa",
    "Brake,brake_pct",
    "Time (ms),time_ms",
    "Distance (km),distance_km",
    "Altitude (ft),alt_ft",
    "Lateral Acc (m/s²),lateral_acc_mps2",
    "Long_G,long_g"
  })
  void aPreviewNamesTheUnitThatTheFileHas(String header, String is) {
    byte[] text = bytes(header + "\n1\n2\n");
    assertThat(LapPreview.of(text, Map.of()).columns().get(0).is()).isEqualTo(is);
    assertThat(LapPreview.of(text, Map.of(header, is)).columns().get(0).is()).isEqualTo(is);
    assertThat(LapColumn.canonical(is).orElseThrow().isLike(LapColumn.of(header, "").orElseThrow()))
        .isTrue();
  }

  @Test
  void aBrakePressureIsTakenFromTheHardestOfTheFile() {
    String text =
        file("time_s,distance_m,speed_kmh,brake_bar", "%.1f,%.1f,36,20")
            .replace("\n2.1,21.0,36,20", "\n2.1,21.0,36,80");
    LapFile file = LapCsv.read(bytes(text));
    assertThat(file.recording().at(Channel.BRAKE, 3)).isCloseTo(100, within(1e-9));
    assertThat(file.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("hardest in this file");
  }

  @Test
  void pedalsFromZeroToOneArePutRight() {
    LapFile file =
        LapCsv.read(bytes(file("time_s,distance_m,speed_kmh,throttle_pct", "%.1f,%.1f,36,0.8")));
    assertThat(file.recording().at(Channel.THROTTLE, 3)).isCloseTo(80, within(1e-9));
    assertThat(file.corrections())
        .extracting(Sentence::words)
        .singleElement()
        .asString()
        .contains("0 to 1");
  }
}
