package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sentences of NMEA 0183 against worked examples and against what is written. */
class NmeaLogTest {
  /** Worked examples of RMC, GGA and GLL as they go round with the standard (from memory). */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W | 6A",
        "GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,, | 47",
        "GPGLL,5300.97914,N,00259.98174,E,125926,A | 28"
      })
  void checksumsAreThoseOfTheStandard(String between, String sum) {
    assertThat(NmeaLog.checksum(between)).isEqualTo(Integer.parseInt(sum, 16));
  }

  private static Recording read(String text) {
    return NmeaLog.read(FileText.of(text.getBytes(StandardCharsets.US_ASCII))).recording();
  }

  private static String rmc(int second, String status) {
    String body =
        "GNRMC,1235%02d.00,%s,4807.038,N,01131.000,W,022.4,084.4,230394,,"
            .formatted(second, status);
    return "$%s*%02X\r\n".formatted(body, NmeaLog.checksum(body));
  }

  /** 48°07.038' is 48.1173°, 22.4 knots are 11.524 m/s: by hand. */
  @Test
  void positionAndSpeedAreReadInDegreesAndMetres() {
    StringBuilder text = new StringBuilder("some words of the telephone\n");
    for (int s = 0; s < 12; s++) {
      text.append(rmc(s, "A"));
    }
    Recording recording = read(text.toString());
    assertThat(recording.size()).isEqualTo(12);
    assertThat(recording.at(Channel.LATITUDE, 3)).isCloseTo(48.1173, within(1e-9));
    assertThat(recording.at(Channel.LONGITUDE, 3)).isCloseTo(-11.516667, within(1e-6));
    assertThat(recording.at(Channel.SPEED, 3)).isCloseTo(22.4 * 1852 / 3600, within(1e-9));
    assertThat(recording.timeAt(5) - recording.timeAt(4)).isCloseTo(1, within(1e-6));
  }

  @Test
  void sentencesWithoutAPositionArePassedOver() {
    StringBuilder text = new StringBuilder();
    for (int s = 0; s < 30; s++) {
      text.append(rmc(s, s % 3 == 0 ? "V" : "A"));
    }
    assertThat(read(text.toString()).size()).isEqualTo(20);
  }

  @Test
  void aDamagedLogIsRefusedAtItsLine() {
    StringBuilder text = new StringBuilder();
    for (int s = 0; s < 30; s++) {
      text.append(s % 4 == 2 ? rmc(s, "A").replace("4807", "4817") : rmc(s, "A"));
    }
    assertThatThrownBy(() -> read(text.toString()))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("Line 3: 7 of 30 sentences");
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    double[] time = new double[40];
    double[] lat = new double[40];
    double[] lon = new double[40];
    double[] speed = new double[40];
    for (int i = 0; i < 40; i++) {
      time[i] = i / 10.0;
      lat[i] = -33.2 + i * 1e-5;
      lon[i] = 151.9 - i * 2e-5;
      speed[i] = 20 + i;
    }
    Recording recording =
        new Recording(
            time, Map.of(Channel.LATITUDE, lat, Channel.LONGITUDE, lon, Channel.SPEED, speed));
    byte[] written = NmeaWriter.write(recording, Instant.parse("2031-05-09T23:59:58Z"));
    Recording again = NmeaLog.read(FileText.of(written)).recording();
    assertThat(again.size()).isEqualTo(40);
    assertThat(again.timeAt(39) - again.timeAt(0)).isCloseTo(3.9, within(1e-6));
    assertThat(again.at(Channel.LATITUDE, 17)).isCloseTo(lat[17], within(1e-7));
    assertThat(again.at(Channel.LONGITUDE, 17)).isCloseTo(lon[17], within(1e-7));
    assertThat(again.at(Channel.SPEED, 17)).isCloseTo(37, within(0.003));
  }
}
