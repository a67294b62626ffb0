package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Side;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.PageField;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CallOutsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));

  private static Reference reference(Vehicle vehicle) {
    Reference.Basis basis = Reference.basis(VARIED, vehicle, Conditions.DEFAULT, ChosenLine.SMOOTH);
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }

  private static List<CallOut> calls(Vehicle vehicle, double pace) {
    Reference reference = reference(vehicle);
    return CallOuts.of(reference.lap(), reference.pages(), pace, 1, PageField::group);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.5, 0.7, 0.8, 1})
  void noTwoAreSaidAtOnceAndEachEndsInTime(double pace) {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Reference reference = reference(vehicle);
      List<CallOut> calls =
          CallOuts.of(reference.lap(), reference.pages(), pace, 1, PageField::group);
      double lapS = reference.lap().timeS() / pace;
      assertThat(calls).hasSizeGreaterThan(5);
      for (int k = 0; k < calls.size(); k++) {
        CallOut call = calls.get(k);
        CallOut next = calls.get((k + 1) % calls.size());
        double gap = next.fromS() - call.toS() + (k + 1 == calls.size() ? lapS : 0);
        assertThat(gap).as("%s then %s", call, next).isGreaterThanOrEqualTo(0.19);
        assertThat(call.pointS() - call.toS()).isGreaterThanOrEqualTo(1.5 - 1e-9);
        double words = call.words().split(" ").length / 2.5;
        assertThat(call.toS() - call.fromS()).isCloseTo(words, within(1e-9));
      }
    }
  }

  @Test
  void slowerThereIsRoomForMore() {
    int fast = words(calls(TestVehicles.clubCar(), 1));
    int led = words(calls(TestVehicles.clubCar(), 0.7));
    assertThat(led).isGreaterThanOrEqualTo(fast);
  }

  private static int words(List<CallOut> calls) {
    return calls.stream().mapToInt(c -> c.words().split(" ").length).sum();
  }

  /** The points that matter most come before the others: every braking corner is called. */
  @Test
  void everyBrakingCornerIsCalledWhereThereIsTime() {
    Reference reference = reference(TestVehicles.clubCar());
    List<CallOut> calls = CallOuts.of(reference.lap(), reference.pages(), 0.7, 1, PageField::group);
    long braking = reference.pages().stream().filter(p -> p.brake().atM() != null).count();
    assertThat(calls.stream().filter(c -> c.words().contains("Brake")).count()).isEqualTo(braking);
  }

  @Test
  void aPaceThatIsNoneIsRefused() {
    assertThatThrownBy(() -> calls(TestVehicles.clubCar(), 0))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("pace");
  }

  /** To a group that is led, and to nobody else: where it closes up and where it lets others by. */
  @Test
  void aLedGroupIsToldWhereToRegroupAndToLetBy() {
    Reference reference = reference(TestVehicles.clubCar());
    double quiet = QuietPlace.of(reference.lap(), reference.pages()).get(0).fromM();
    Zone regroup = new Zone(Zone.Type.REGROUP, Side.ROAD, quiet + 60, quiet + 160, 0.5, "");
    assertThat(regroup.gripFactor()).isEqualTo(1);
    List<CallOut> led =
        CallOuts.of(reference.lap(), reference.pages(), List.of(regroup), 0.7, 1, PageField::group);
    CallOut call =
        led.stream().filter(c -> c.words().equals("Regroup here.")).findFirst().orElseThrow();
    assertThat(call.pointM()).isEqualTo(quiet + 60);
    List<CallOut> alone =
        CallOuts.of(reference.lap(), reference.pages(), List.of(regroup), 1, 1, PageField::group);
    assertThat(alone).noneMatch(c -> c.words().contains("Regroup"));
  }

  @Test
  void aNumberWithALetterStandsForTheNumber() {
    assertThat(CornerLabel.isLabel("5A")).isTrue();
    assertThat(CornerLabel.isLabel("Mill 5A")).isFalse();
    assertThat(CornerLabel.isLabel("")).isFalse();
  }
}
