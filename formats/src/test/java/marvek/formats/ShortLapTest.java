package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Laps so short that every corner lies near every other, with every car of the demo. */
class ShortLapTest {
  private static Survey oval(double halfLengthM, double halfWidthM) {
    int n = 200;
    double[][] column = new double[6][n];
    for (int i = 0; i < n; i++) {
      double angle = 2 * Math.PI * i / n;
      column[0][i] = halfLengthM * Math.cos(angle);
      column[1][i] = halfWidthM * Math.sin(angle);
      column[3][i] = 5;
      column[4][i] = 5;
    }
    return new Survey(column[0], column[1], column[2], column[3], column[4], column[5], true);
  }

  static Stream<Arguments> laps() {
    return Stream.of("teal-coupe", "sandpiper-single", "kestrel-litre")
        .flatMap(
            car ->
                Stream.of(new double[] {300, 120}, new double[] {200, 60}, new double[] {120, 50})
                    .map(half -> Arguments.of(car, half[0], half[1])));
  }

  @ParameterizedTest
  @MethodSource("laps")
  void everyCornerHasItsPage(String car, double halfLengthM, double halfWidthM) {
    Vehicle vehicle = CarJson.read(JsonFiles.parse(DemoFiles.bytes(car + ".car.json"))).value();
    Circuit circuit = Circuit.bare("oval", oval(halfLengthM, halfWidthM));
    Reference.Basis basis =
        Reference.basis(circuit, vehicle, Conditions.DEFAULT, ChosenLine.SMOOTH);
    List<CornerPage> pages = Reference.on(basis, Conditions.DEFAULT, List.of()).pages();
    assertThat(pages).hasSameSizeAs(basis.corners()).isNotEmpty();
    assertThat(pages).allSatisfy(page -> assertThat(page.lowestSpeedMps()).isPositive());
  }
}
