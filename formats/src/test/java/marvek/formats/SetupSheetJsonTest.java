package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.charset.StandardCharsets;
import marvek.core.car.SetupSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SetupSheetJsonTest {
  private static final String FULL =
      "{\"name\":\"Dry\",\"date\":\"2026-04-18\",\"brakeFrontShare\":0.63,\"finalDrive\":4.1,"
          + "\"cdA_m2\":0.7,\"clA_m2\":0.4,\"aeroFrontShare\":0.42,\"fuel_kg\":20.0,"
          + "\"pressureFront_kpa\":185.0,\"pressureRear_kpa\":178.0,\"barFront\":3.0,"
          + "\"barRear\":-2.0,\"rideHeightFront_mm\":74.0,\"rideHeightRear_mm\":81.0,"
          + "\"wing\":5.0,\"tyres\":\"medium\",\"notes\":\"new springs\"}";

  private static SetupSheet read(String json) {
    return SetupSheetJson.read(JsonFiles.parse(json.getBytes(StandardCharsets.UTF_8)), "/setup");
  }

  @Test
  void writtenAgainItIsTheSame() {
    assertThat(JsonFiles.write(SetupSheetJson.write(read(FULL))))
        .isEqualTo(JsonFiles.write(JsonFiles.parse(FULL.getBytes(StandardCharsets.UTF_8))));
    assertThat(JsonFiles.write(SetupSheetJson.write(read("{\"name\":\"Bare\"}"))))
        .isEqualTo("{\"name\":\"Bare\"}");
  }

  @Test
  void noSheetIsNone() {
    assertThat(SetupSheetJson.read(null, "/setup")).isNull();
    assertThat(read("null")).isNull();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"wing\": 3} | /setup/name",
        "{\"name\": \"A\", \"brakeFrontShare\": 63} | /setup/brakeFrontShare",
        "{\"name\": \"A\", \"fuel_kg\": \"full\"} | /setup/fuel_kg",
        "{\"name\": \"A\", \"date\": \"last week\"} | /setup/date",
        "{\"name\": \"A\", \"pressureRear_kpa\": 2} | /setup/pressureRear_kpa",
        "{\"name\": \"A\", \"rearWing\": 2} | /setup/rearWing"
      })
  void aBadValueIsNamedWithItsPlace(String json, String pointer) {
    BadFileException e = catchThrowableOfType(BadFileException.class, () -> read(json));
    assertThat(e.pointer()).isEqualTo(pointer);
  }
}
