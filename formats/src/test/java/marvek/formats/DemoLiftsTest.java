package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lifts without brakes on the demo's circuits: points with a place, an amount and a price. */
class DemoLiftsTest {
  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe, 1",
    "skarrow-round, teal-coupe, 5",
    "skarrow-round, kestrel-litre, 5"
  })
  void aLiftHasItsPlaceAndItsStakes(String name, String vehicle, int least) {
    Circuit circuit =
        CircuitGeoJson.read(JsonFiles.parse(DemoFiles.bytes(name + ".circuit.geojson"))).value();
    Vehicle car = CarJson.read(JsonFiles.parse(DemoFiles.bytes(vehicle + ".car.json"))).value();
    Conditions day = Conditions.OF_NEW_BOOKS.withGripUsed(0.92);
    ModelReference model =
        ModelReference.on(Reference.basis(circuit, car, day, ChosenLine.SMOOTH), day).withPedals();
    List<Stakes> stakes = model.stakes();
    List<CornerPage> lifts = new ArrayList<>();
    List<Double> costs = new ArrayList<>();
    for (int p = 0; p < stakes.size(); p++) {
      CornerPage page = model.pages().get(p);
      if (page.lift() == null) {
        if (page.brake().style() == CornerPage.BrakeStyle.LIFT) {
          theThrottleIsHeld(model.lap(), page);
        }
        assertThat(stakes.get(p).lift5mEarlyS()).isNull();
        continue;
      }
      lifts.add(page);
      costs.add(stakes.get(p).lift5mEarlyS());
      assertThat(page.brake().atM()).isNull();
      assertThat(page.lift().toPct()).isBetween(0.0, 97.0);
      // A car's length of coasting, at a tenth of its weight and its speed, is worth hundredths.
      assertThat(stakes.get(p).lift5mEarlyS()).as("corner %d", page.corner()).isBetween(0.0, 0.25);
    }
    assertThat(lifts).hasSizeGreaterThanOrEqualTo(least);
    assertThat(costs.stream().filter(cost -> cost > 0.004)).hasSizeGreaterThanOrEqualTo(least - 1);
  }

  /** Part of the throttle up to where the foot leaves it for the next brakes is no lift. */
  private static void theThrottleIsHeld(Lap lap, CornerPage page) {
    Road road = lap.path().road();
    int turnIn = road.indexOf(page.turnIn().atM());
    int count = road.ahead(turnIn, road.indexOf(page.throttle().firstM())) - road.samples(4);
    double most = 0;
    for (int k = 0; k < count; k++) {
      double open = lap.throttleShareAt(road.wrap(turnIn + k));
      most = Math.max(most, open);
      assertThat(most - open).as("corner %d", page.corner()).isLessThan(0.15);
    }
  }
}
