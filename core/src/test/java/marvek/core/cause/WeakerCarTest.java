package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.laps.AlongLap;
import marvek.core.laps.ReadLap;
import marvek.core.review.Calibration;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A driver of another hand in a weaker car: the engine is found weaker, and not the air thicker.
 */
class WeakerCarTest {
  private static final DrivenBook BOOK =
      DrivenBook.smooth(Circuit.bare("varied", TestRoads.varied(5)), TestVehicles.clubCar());

  private static Calibration found(double power) {
    SlipDriver driver =
        new SlipDriver(
            BOOK.book(), TestVehicles.clubCar().withEngine(TestVehicles.engine().scaled(power)));
    SlipDriver.Drive laps = driver.drive(List.of(List.of(), List.of(), List.of(), List.of()), 5);
    List<AlongLap> along =
        BOOK.read(laps.recorded(50, 1, true, 2)).stream().map(ReadLap::along).toList();
    return Calibration.of(BOOK.book().lap(), BOOK.page(true).along(), along).orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.92, 0.86, 1.06})
  void aWeakerEngineIsFoundWeaker(double power) {
    Calibration found = found(power);
    assertThat(found.car().power().value()).isCloseTo(power, within(0.02));
    assertThat(found.car().power().error()).isLessThan(0.01);
    assertThat(found.cdAM2()).as("no other drag").isNull();
  }
}
