package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
import marvek.core.brief.DayShift;
import marvek.core.brief.Preparation;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Other days and the spoken lap of every book of the demo. */
class DemoDaysTest {
  private static Circuit circuit(String name) {
    return CircuitGeoJson.read(JsonFiles.parse(DemoFiles.bytes(name + ".circuit.geojson"))).value();
  }

  private static Vehicle car(String name) {
    return CarJson.read(JsonFiles.parse(DemoFiles.bytes(name + ".car.json"))).value();
  }

  private static Reference on(Reference.Basis basis, Conditions conditions) {
    return Reference.on(basis, conditions, List.of());
  }

  private static List<DayShift> withLessGrip(Reference.Basis basis, Conditions less) {
    return DayShift.between(on(basis, Conditions.DEFAULT), on(basis, less));
  }

  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe",
    "harrowfen-park, kestrel-litre",
    "harrowfen-park, sandpiper-single",
    "skarrow-round, kestrel-litre"
  })
  void lessGripOnTheSameLineNeverBrakesLater(String circuitName, String carName) {
    Reference.Basis basis =
        Reference.basis(circuit(circuitName), car(carName), Conditions.DEFAULT, ChosenLine.SMOOTH);
    for (Conditions less :
        List.of(
            Conditions.DEFAULT.withGripUsed(0.85),
            Conditions.DEFAULT.withSurface(Surface.DAMP),
            Conditions.DEFAULT.withSurface(Surface.WET))) {
      for (DayShift shift : withLessGrip(basis, less)) {
        assertThat(shift.lowestSlowerMps()).as("%s in %s", shift, less).isGreaterThan(-0.05);
        assertThat(shift.lostS()).as("%s in %s", shift, less).isGreaterThan(-0.005);
        if (shift.brakeEarlierM() != null) {
          assertThat(shift.brakeEarlierM()).as("%s in %s", shift, less).isGreaterThanOrEqualTo(0);
        }
      }
    }
  }

  /** What is issued for a wet session is what the driver reads: nor does it brake later. */
  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe",
    "harrowfen-park, kestrel-litre",
    "harrowfen-park, sandpiper-single"
  })
  void aBookPreparedForTheWetNeverBrakesLater(String circuitName, String carName) {
    Circuit circuit = circuit(circuitName);
    Conditions wet = Conditions.DEFAULT.withSurface(Surface.WET);
    Reference.Basis dryBasis =
        Reference.basis(circuit, car(carName), Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference.Basis wetBasis = Reference.basis(circuit, car(carName), wet, ChosenLine.SMOOTH);
    Reference dry = on(dryBasis, Conditions.DEFAULT);
    Preparation preparation = Preparation.of(dry, on(wetBasis, wet), List.of(), Map.of());
    Reference issued = Reference.on(wetBasis, wet, preparation.decided(List.of()));
    for (int p = 0; p < dry.pages().size(); p++) {
      Double before = dry.pages().get(p).brake().atM();
      Double after = issued.pages().get(p).brake().atM();
      if (before != null && after != null) {
        assertThat(dry.path().road().offsetBetween(before, after))
            .as("corner %s", p + 1)
            .isLessThanOrEqualTo(0.05);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "harrowfen-park, teal-coupe",
    "harrowfen-park, kestrel-litre",
    "harrowfen-park, sandpiper-single",
    "skarrow-round, kestrel-litre"
  })
  void callsNeverOverlapAtAnyPace(String circuitName, String carName) {
    Reference reference =
        on(
            Reference.basis(
                circuit(circuitName), car(carName), Conditions.DEFAULT, ChosenLine.SMOOTH),
            Conditions.DEFAULT);
    for (double pace = 0.3; pace <= 1; pace += 0.05) {
      double lapS = reference.lap().timeS() / pace;
      List<CallOut> calls =
          CallOuts.of(reference.lap(), reference.pages(), pace, 1, PointCatalogue::said);
      assertThat(calls.size()).isGreaterThan(reference.pages().size() / 2);
      for (int k = 0; k < calls.size(); k++) {
        CallOut call = calls.get(k);
        CallOut next = calls.get((k + 1) % calls.size());
        double gap = next.fromS() - call.toS() + (k + 1 == calls.size() ? lapS : 0);
        assertThat(gap).as("%s, then %s, at %s", call, next, pace).isPositive();
        assertThat(call.pointS() - call.toS()).isGreaterThanOrEqualTo(CallOuts.BEFORE_S - 1e-9);
      }
    }
  }
}
