package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.UUID;
import marvek.core.conditions.Conditions;
import marvek.core.page.LineChoice;
import marvek.core.page.Reference;
import marvek.formats.CarJson;
import marvek.formats.CircuitGeoJson;
import marvek.formats.JsonFiles;
import marvek.server.Scripts;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class BasisCacheTest {
  private final Circuits circuits = mock(Circuits.class);
  private final Cars cars = mock(Cars.class);
  private final BasisCache bases = new BasisCache(circuits, cars);
  private final UUID circuit = UUID.randomUUID();
  private final UUID car = UUID.randomUUID();

  @BeforeEach
  void demo() {
    JsonNode road = JsonFiles.parse(Scripts.demo("harrowfen-park.circuit.geojson"));
    JsonNode vehicle = JsonFiles.parse(Scripts.demo("teal-coupe.car.json"));
    when(circuits.load(any()))
        .thenReturn(new Circuits.Loaded(circuit, CircuitGeoJson.read(road).value(), road));
    when(cars.load(any())).thenReturn(new Cars.Loaded(car, CarJson.read(vehicle).value(), vehicle));
  }

  @Test
  void theLineIsSearchedOnceForConditionsThatDoNotChangeIt() {
    Conditions c = Conditions.DEFAULT;
    Reference.Basis first = bases.get(circuit, car, c, LineChoice.SMOOTH);
    Reference.Basis second = bases.get(circuit, car, c.withGripUsed(0.85), LineChoice.SMOOTH);
    assertThat(second).isSameAs(first);
    verify(circuits, times(1)).load(circuit);
  }

  @Test
  void inTheWetOtherKerbsAreUsedAndTheLineIsSearchedAgain() {
    Conditions c = Conditions.DEFAULT;
    Conditions wet =
        new Conditions(Conditions.Surface.WET, c.tyres(), 0.9, 0, 0.15, 0.25, 18, 1013.25, 0, 0, 0);
    Reference.Basis dry = bases.get(circuit, car, c, LineChoice.SMOOTH);
    assertThat(bases.get(circuit, car, wet, LineChoice.SMOOTH)).isNotSameAs(dry);
    verify(circuits, times(2)).load(circuit);
  }
}
