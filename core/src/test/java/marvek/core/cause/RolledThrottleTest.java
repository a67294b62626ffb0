package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.cause.SlipDriver.Kind;
import marvek.core.cause.SlipDriver.Slip;
import marvek.core.circuit.Circuit;
import marvek.core.laps.AlongLap;
import marvek.core.laps.ReadLap;
import marvek.core.measured.CarFromLaps;
import marvek.core.measured.CarValue;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A driver of another hand who rolls to his brakes shows how much his engine slows. */
class RolledThrottleTest {
  private static final DrivenBook BOOK =
      DrivenBook.smooth(Circuit.bare("varied", TestRoads.varied(5)), TestVehicles.clubCar());

  @ParameterizedTest
  @ValueSource(doubles = {0.6, 1, 1.5})
  void engineBrakingIsFoundWhereNeitherPedalIsUsed(double times) {
    Vehicle car = TestVehicles.clubCar();
    double nm = times * car.engine().engineBrakingNm();
    SlipDriver driver =
        new SlipDriver(BOOK.book(), car.withEngine(car.engine().withEngineBrakingNm(nm)));
    List<Slip> rolls =
        IntStream.range(0, BOOK.book().pages().size())
            .mapToObj(p -> new Slip(p, Kind.COASTS, 1.2))
            .toList();
    SlipDriver.Drive laps = driver.drive(List.of(rolls, rolls, rolls), 5);
    List<AlongLap> along =
        BOOK.read(laps.recorded(50, 0.5, true, 2)).stream().map(ReadLap::along).toList();
    CarValue found =
        CarFromLaps.of(BOOK.book().lap(), BOOK.page(true).along(), along, List.of())
            .values()
            .stream()
            .filter(v -> v.kind() == CarValue.Kind.ENGINE_BRAKING)
            .findFirst()
            .orElseThrow();
    double book = car.engine().engineBrakingNm();
    assertThat(found.after()).isCloseTo(nm, within(0.1 * book));
    assertThat(found.error()).isLessThan(0.05 * book);
  }
}
