package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.page.Driven;
import marvek.core.page.LineChoice;
import marvek.core.page.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The model's own pages can be driven: of every vehicle of the demo, by every driver. */
class DemoPagesTest {
  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe",
    "harrowfen-park, kestrel-litre",
    "harrowfen-park, sandpiper-single",
    "skarrow-round, kestrel-litre"
  })
  void everyPageIsMadeWithTheGripThatIsMeantToBeUsed(String circuitName, String carName) {
    Circuit circuit =
        CircuitGeoJson.read(JsonFiles.parse(DemoFiles.bytes(circuitName + ".circuit.geojson")))
            .value();
    Vehicle car = CarJson.read(JsonFiles.parse(DemoFiles.bytes(carName + ".car.json"))).value();
    Reference.Basis basis = Reference.basis(circuit, car, Conditions.DEFAULT, LineChoice.SMOOTH);
    for (double grip : new double[] {0.85, 0.92, 0.97, 1}) {
      Conditions driver = Conditions.DEFAULT.withGripUsed(grip);
      for (Driven driven : Reference.on(basis, driver, List.of()).driven()) {
        assertThat(driven.made()).as("%s at %s", driven, grip).isTrue();
        assertThat(driven.gripNeeded()).as("%s at %s", driven, grip).isLessThan(grip + 0.08);
      }
    }
  }
}
