package marvek.core.conditions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import marvek.core.InvalidValueException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AirTest {
  /**
   * ISO 2533:1975, Standard Atmosphere, table 1 (geometric height): temperature, pressure and
   * density at 0, 1000 and 2000 m (values from memory).
   */
  @ParameterizedTest
  @CsvSource({"15.0, 1013.25, 1.2250", "8.501, 898.76, 1.1117", "2.004, 795.01, 1.0066"})
  void dryAirHasTheDensityOfTheStandardAtmosphere(double celsius, double hPa, double density) {
    assertThat(Air.densityKgM3(celsius, hPa, 0)).isCloseTo(density, within(1.5e-4));
  }

  /**
   * Saturated air at 30 °C and 1013.25 hPa: 1.1455 kg/m³ from the ideal mixture with a saturation
   * pressure of 42.47 hPa (steam tables; from memory), dry air 287.05 and vapour 461.5 J/(kg·K).
   */
  @Test
  void moistAirIsLighter() {
    double kelvin = 303.15;
    double expected = (101325 - 4247) / (287.05 * kelvin) + 4247 / (461.5 * kelvin);
    assertThat(Air.densityKgM3(30, 1013.25, 100)).isCloseTo(expected, within(1e-3));
    assertThat(expected).isCloseTo(1.146, within(1e-3));
  }

  @Test
  void wetAndColdTyresTakeTheirShareOfTheGrip() {
    Conditions c = Conditions.DEFAULT;
    Conditions wet =
        new Conditions(
            Conditions.Surface.WET,
            Conditions.TyreState.COLD,
            1,
            0,
            0.15,
            0.25,
            18,
            1013.25,
            0,
            0,
            0);
    assertThat(c.gripFactor()).isEqualTo(0.97);
    assertThat(wet.gripFactor()).isCloseTo(0.7 * 0.9, within(1e-12));
    assertThat(wet.isWet()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"NaN", "0.2", "1.01", "Infinity"})
  void refusesAShareOfGripOutOfRange(double share) {
    assertThatThrownBy(() -> Conditions.DEFAULT.withGripUsed(share))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("gripUsed");
  }
}
