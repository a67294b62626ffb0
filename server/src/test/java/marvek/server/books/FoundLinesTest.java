package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.UUID;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.formats.CarJson;
import marvek.formats.CircuitGeoJson;
import marvek.formats.JsonFiles;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import marvek.server.cars.Cars;
import marvek.server.circuits.Circuits;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.info.BuildProperties;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ServerTest
class FoundLinesTest {
  private static final Conditions DAY = Conditions.OF_NEW_BOOKS.withGripUsed(0.913);

  @Autowired private FoundLineRepository rows;
  @Autowired private TransactionTemplate transaction;
  private Circuits.Loaded circuit;
  private Cars.Loaded car;

  @BeforeEach
  void demo() {
    JsonNode road = JsonFiles.parse(Scripts.demo("harrowfen-park.circuit.geojson"));
    JsonNode vehicle = JsonFiles.parse(Scripts.demo("teal-coupe.car.json"));
    circuit = new Circuits.Loaded(UUID.randomUUID(), CircuitGeoJson.read(road).value(), road);
    car = new Cars.Loaded(UUID.randomUUID(), CarJson.read(vehicle).value(), vehicle);
  }

  /** What a server of a build has; null for one whose build is not known. */
  @SuppressWarnings("unchecked")
  private FoundLines of(String build) {
    ObjectProvider<BuildProperties> known = mock(ObjectProvider.class);
    if (build != null) {
      Properties times = new Properties();
      times.setProperty("time", build);
      when(known.getIfAvailable()).thenReturn(new BuildProperties(times));
    }
    return new FoundLines(rows, transaction, known);
  }

  private BasisCache server(FoundLines found) {
    Circuits circuits = mock(Circuits.class);
    Cars cars = mock(Cars.class);
    when(circuits.load(any())).thenReturn(circuit);
    when(cars.load(any())).thenReturn(car);
    return new BasisCache(circuits, cars, found);
  }

  private static Draft draft(Conditions day) {
    return new Draft(day, ChosenLine.FASTEST, List.of());
  }

  @Test
  void aLineThatOneServerFoundIsTakenByAnother() throws InterruptedException {
    FoundLines first = of("2026-05-01T09:00:00Z");
    Reference.Basis searched = server(first).get(circuit.id(), car.id(), draft(DAY));
    first.end();
    double[] told = {0};
    Reference.Basis taken =
        server(of("2026-05-01T09:00:00Z"))
            .get(circuit.id(), car.id(), draft(DAY), share -> told[0] = share);
    assertThat(told[0]).as("share of a search").isZero();
    assertThat(taken.path().offsets()).isEqualTo(searched.path().offsets());
    assertThat(taken.lineStill()).isEqualTo(searched.lineStill());
    assertThat(taken.corners()).isEqualTo(searched.corners());
    assertThat(SpeedProfile.solve(taken.path(), taken.vehicle(), DAY).timeS())
        .isEqualTo(SpeedProfile.solve(searched.path(), searched.vehicle(), DAY).timeS());
  }

  @Test
  void whatChangesALineChangesItsDigest() {
    FoundLines found = of("2026-05-01T09:00:00Z");
    String plain = found.digest(circuit, car, draft(DAY), DAY).orElseThrow();
    assertThat(found.digest(circuit, car, draft(DAY), DAY)).contains(plain);
    Conditions grip = DAY.withGripUsed(0.9);
    assertThat(found.digest(circuit, car, draft(grip), grip))
        .isPresent()
        .isNotEqualTo(Optional.of(plain));
    assertThat(of("2026-05-02T09:00:00Z").digest(circuit, car, draft(DAY), DAY))
        .isPresent()
        .isNotEqualTo(Optional.of(plain));
    ObjectNode heavier = ((ObjectNode) car.document()).deepCopy().put("mass_kg", 1500);
    assertThat(
            found.digest(
                circuit, new Cars.Loaded(car.id(), car.vehicle(), heavier), draft(DAY), DAY))
        .isPresent()
        .isNotEqualTo(Optional.of(plain));
    ObjectNode named = ((ObjectNode) circuit.document()).deepCopy().put("other", 1);
    assertThat(
            found.digest(
                new Circuits.Loaded(circuit.id(), circuit.circuit(), named), car, draft(DAY), DAY))
        .isPresent()
        .isNotEqualTo(Optional.of(plain));
  }

  /** Smooth lines take a tenth of the time; and what another build would find is not known. */
  @Test
  void onlyFastestLinesOfABuildThatIsKnownAreKept() {
    Draft smooth = new Draft(DAY, ChosenLine.SMOOTH, List.of());
    assertThat(of("2026-05-01T09:00:00Z").digest(circuit, car, smooth, DAY)).isEmpty();
    assertThat(of(null).digest(circuit, car, draft(DAY), DAY)).isEmpty();
  }
}
