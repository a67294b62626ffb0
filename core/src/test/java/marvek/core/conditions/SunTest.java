package marvek.core.conditions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.ZonedDateTime;
import org.junit.jupiter.api.Test;

class SunTest {
  /**
   * Published example of the algorithm: Reda &amp; Andreas, NREL/TP-560-34302, table A5.1 and
   * appendix A.5: 17 October 2003, 12:30:30 at UTC−7, 39.742476° N, 105.1786° W, 1830.14 m, 820
   * mbar, 11 °C: zenith 50.11162°, azimuth 194.34024°. Its ΔT of 67 s is not the one estimated here
   * (64.6 s), which moves the sun by some 1e-5°.
   */
  @Test
  void thePublishedExample() {
    Sun sun =
        Sun.at(
            ZonedDateTime.parse("2003-10-17T12:30:30-07:00"),
            39.742476,
            -105.1786,
            1830.14,
            820,
            11);
    assertThat(90 - sun.elevationDeg()).isCloseTo(50.11162, within(5e-4));
    assertThat(sun.azimuthDeg()).isCloseTo(194.34024, within(5e-4));
  }

  /** At noon of an equinox on the equator a rod has no shadow; at 45° it is as long as the rod. */
  @Test
  void shadowsAreAsLongAsTheSunIsLow() {
    assertThat(new Sun(180, 45).shadowPerMetre()).isCloseTo(1, within(1e-9));
    assertThat(new Sun(180, 30).shadowPerMetre()).isCloseTo(Math.sqrt(3), within(1e-9));
    assertThat(new Sun(180, -1).shadowPerMetre()).isInfinite();
    // A sun in the south throws shadows north, one in the east throws them west.
    assertThat(new Sun(180, 45).shadowY()).isCloseTo(1, within(1e-9));
    assertThat(new Sun(90, 45).shadowX()).isCloseTo(-1, within(1e-9));
  }

  @Test
  void lowIsBelowFifteenDegreesAndUp() {
    assertThat(new Sun(180, 14).isLow()).isTrue();
    assertThat(new Sun(180, 16).isLow()).isFalse();
    assertThat(new Sun(180, -3).isLow()).isFalse();
  }
}
