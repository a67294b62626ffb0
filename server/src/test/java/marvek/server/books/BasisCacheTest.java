package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.UUID;
import marvek.core.car.SetupSheet;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.School;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.formats.CarJson;
import marvek.formats.CircuitGeoJson;
import marvek.formats.JsonFiles;
import marvek.server.Scripts;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class BasisCacheTest {
  private final Circuits circuits = mock(Circuits.class);
  private final Cars cars = mock(Cars.class);
  private final BasisCache bases = new BasisCache(circuits, cars, mock(FoundLines.class));
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

  private static Draft draft(Conditions conditions) {
    return new Draft(conditions, ChosenLine.SMOOTH, List.of());
  }

  @Test
  void theLineIsSearchedOnceForConditionsThatDoNotChangeIt() {
    Conditions c = Conditions.DEFAULT;
    Reference.Basis first = bases.get(circuit, car, draft(c));
    Reference.Basis second = bases.get(circuit, car, draft(c.withGripUsed(0.85)));
    assertThat(second).isSameAs(first);
    verify(circuits, times(1)).load(circuit);
  }

  @Test
  void inTheWetOtherKerbsAreUsedAndTheLineIsSearchedAgain() {
    Conditions c = Conditions.DEFAULT;
    Conditions wet =
        new Conditions(Conditions.Surface.WET, c.tyres(), 0.9, 0, 0.15, 0.25, 18, 1013.25, 0, 0, 0);
    Reference.Basis dry = bases.get(circuit, car, draft(c));
    assertThat(bases.get(circuit, car, draft(wet))).isNotSameAs(dry);
    verify(circuits, times(2)).load(circuit);
  }

  @Test
  void aSetupChangesTheCarButNotTheSmoothLine() {
    Conditions c = Conditions.DEFAULT;
    SetupSheet sheet = sheet(0.6);
    Draft set = new Draft(c, ChosenLine.SMOOTH, List.of(), sheet);
    Reference.Basis plain = bases.get(circuit, car, draft(c));
    Reference.Basis setUp = bases.get(circuit, car, set);
    assertThat(setUp.path()).isSameAs(plain.path());
    assertThat(setUp.vehicle().brakes().frontShare()).isEqualTo(0.6);
    assertThat(bases.get(circuit, car, set)).isSameAs(setUp);
    verify(circuits, times(1)).load(circuit);
  }

  @Test
  void aSchoolIsLaidIntoTheLineOnce() {
    Draft late =
        new Draft(
            Conditions.DEFAULT,
            ChosenLine.SMOOTH,
            List.of(OwnValues.in(4).line(School.LATE_APEX).build()));
    Reference.Basis plain = bases.get(circuit, car, draft(Conditions.DEFAULT));
    Reference.Basis schooled = bases.get(circuit, car, late);
    assertThat(schooled.path()).isNotSameAs(plain.path());
    assertThat(schooled.schools()).containsEntry(4, School.LATE_APEX);
    assertThat(bases.get(circuit, car, late)).isSameAs(schooled);
  }

  private static SetupSheet sheet(double frontShare) {
    return new SetupSheet(
        "Dry",
        null,
        frontShare,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        "",
        "");
  }
}
