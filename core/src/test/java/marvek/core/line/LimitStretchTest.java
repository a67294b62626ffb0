package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.LimitStretch;
import marvek.core.circuit.LimitStretch.Consequence;
import marvek.core.circuit.LimitStretch.In;
import marvek.core.circuit.LimitStretch.Line;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Track limits as an organiser writes them: wheels, lines and places. */
class LimitStretchTest {
  private static final Vehicle CAR = TestVehicles.clubCar();
  private static final Kerb KERB =
      new Kerb(Side.LEFT, 300, 340, Kerb.Profile.FLAT, 40, 1.2, Kerb.Use.FULL, Kerb.Use.FULL, "");
  private static final Circuit BARE =
      Circuit.bare("Varied", TestRoads.varied(5)).withKerbs(List.of(KERB));
  private static final Road ROAD = BARE.road();

  private static LimitStretch stretch(
      double fromM, double toM, int wheels, Line line, Double beyondM, Double backBeforeM) {
    return new LimitStretch(
        Side.LEFT,
        fromM,
        toM,
        wheels,
        line,
        beyondM,
        backBeforeM,
        Consequence.LAP_DELETED,
        null,
        List.of(In.RACE),
        "");
  }

  private static double beyondAt(double stationM, LimitStretch... stretches) {
    Corridor corridor =
        Corridor.of(BARE.withStretches(List.of(stretches)), ROAD, CAR, Conditions.DEFAULT, 0);
    int i = ROAD.indexOf(stationM);
    return corridor.leftAt(i) + CAR.bodyWidthM() / 2 - ROAD.widthLeftAt(i);
  }

  /**
   * By plane geometry: all wheels within the line keep the body's edge on it, two of four half the
   * body, one all of it but a tyre.
   */
  @ParameterizedTest
  @CsvSource({
    "4, WHITE_LINE, , 0",
    "4, KERB_OUTER_EDGE, , 1.2",
    "2, WHITE_LINE, , 0.9",
    "4, BEYOND, 0.5, 0.5",
    "4, BEYOND, -1.0, -1.0"
  })
  void theBodysEdgeGoesAsFarAsTheWheelsMay(int wheels, Line line, Double beyondM, double edgeM) {
    double body = CAR.bodyWidthM();
    double expected = wheels == 2 ? body / 2 : edgeM;
    assertThat(beyondAt(320, stretch(310, 330, wheels, line, beyondM, null)))
        .isCloseTo(Math.min(1.2, expected), within(1e-6));
    // Beside it the rule of the layout holds: all of the kerb.
    assertThat(beyondAt(305, stretch(310, 330, wheels, line, beyondM, null)))
        .isCloseTo(1.2, within(1e-6));
  }

  /** Run-off that may be used up to a place: from there on the line holds again. */
  @Test
  void whoIsBackInTimeMayHaveBeenAnywhere() {
    LimitStretch back = stretch(305, 335, 4, Line.WHITE_LINE, null, 320.0);
    assertThat(beyondAt(312, back)).isCloseTo(1.2, within(1e-6));
    assertThat(beyondAt(326, back)).isCloseTo(0, within(1e-6));
  }

  /** Of two notices for one place, as for two kinds of sessions, the stricter one holds. */
  @Test
  void ofTwoNoticesTheStricterHolds() {
    LimitStretch loose = stretch(305, 335, 4, Line.BEYOND, 0.8, null);
    LimitStretch strict = stretch(305, 335, 4, Line.BEYOND, 0.3, null);
    for (List<LimitStretch> both : List.of(List.of(loose, strict), List.of(strict, loose))) {
      Circuit circuit = BARE.withStretches(both);
      assertThat(Corridor.allowedM(circuit, ROAD, 320, Side.LEFT, CAR, KERB))
          .isCloseTo(0.3, within(1e-9));
    }
  }

  /** Where run-off may be used no rule of the layout holds the car back either. */
  @Test
  void whereTheCarMayBeAnywhereTheRuleOfTheLayoutIsSilent() {
    Circuit circuit =
        BARE.withStretches(List.of(stretch(305, 335, 4, Line.WHITE_LINE, null, 320.0)));
    assertThat(Corridor.allowedM(circuit, ROAD, 312, Side.LEFT, CAR, KERB)).isInfinite();
    assertThat(Corridor.allowedM(circuit, ROAD, 326, Side.LEFT, CAR, KERB)).isZero();
    assertThat(Corridor.allowedM(circuit, ROAD, 345, Side.LEFT, CAR, KERB))
        .isCloseTo(CAR.bodyWidthM() - Corridor.TYRE_M, within(1e-9));
  }

  /** "Not over this line before that place": a line on the road bends the way of the car. */
  @Test
  void aLineOnTheRoadBendsTheCarsLine() {
    Reference.Basis free = Reference.basis(BARE, CAR, Conditions.DEFAULT, ChosenLine.SMOOTH);
    Circuit notice = BARE.withStretches(List.of(stretch(250, 420, 4, Line.BEYOND, -5.0, null)));
    Path bent = Reference.basis(notice, CAR, Conditions.DEFAULT, ChosenLine.SMOOTH).path();
    double most = Double.NEGATIVE_INFINITY;
    double mostFree = Double.NEGATIVE_INFINITY;
    for (int i = ROAD.indexOf(250); i <= ROAD.indexOf(420); i++) {
      double allowed = ROAD.widthLeftAt(i) - 5 - CAR.bodyWidthM() / 2;
      most = Math.max(most, bent.offsetAt(i) - allowed);
      mostFree = Math.max(mostFree, free.path().offsetAt(i) - allowed);
    }
    assertThat(mostFree).isGreaterThan(0.5);
    assertThat(most).isLessThanOrEqualTo(0.01);
    Lap lap = SpeedProfile.solve(free.path(), CAR, Conditions.DEFAULT);
    Lap kept = SpeedProfile.solve(bent, CAR, Conditions.DEFAULT);
    assertThat(kept.timeS()).isGreaterThan(lap.timeS());
  }

  /** The page of the corner that it lies in has it, and no other. */
  @Test
  void thePageSaysTheNoticesOnItsPartOfTheRoad() {
    Reference reference =
        Reference.on(
            Reference.basis(BARE, CAR, Conditions.DEFAULT, ChosenLine.SMOOTH),
            Conditions.DEFAULT,
            List.of());
    CornerPage page = reference.pages().get(1);
    double exitM = page.exit().trackOutM();
    LimitStretch atExit = stretch(exitM - 10, exitM + 10, 2, Line.WHITE_LINE, null, null);
    Circuit noticed = BARE.withStretches(List.of(atExit));
    List<CornerPage> pages =
        Reference.on(
                Reference.basis(noticed, CAR, Conditions.DEFAULT, ChosenLine.SMOOTH),
                Conditions.DEFAULT,
                List.of())
            .pages();
    assertThat(pages.get(1).limits().notices()).containsExactly(atExit);
    assertThat(pages.get(0).limits().notices()).isEmpty();
  }

  @Test
  void aNoticeIsOfItsSessions() {
    assertThat(stretch(1, 2, 1, Line.WHITE_LINE, null, null).countsIn(In.RACE)).isTrue();
    assertThat(stretch(1, 2, 1, Line.WHITE_LINE, null, null).countsIn(In.TEST)).isFalse();
  }

  private static void refused(String field, Runnable made) {
    assertThatThrownBy(made::run)
        .isInstanceOf(InvalidValueException.class)
        .extracting(thrown -> ((InvalidValueException) thrown).field())
        .isEqualTo(field);
  }

  @Test
  void whatCannotBeIsSaidAtItsField() {
    refused("wheels", () -> stretch(10, 20, 3, Line.WHITE_LINE, null, null));
    refused("beyondM", () -> stretch(10, 20, 1, Line.BEYOND, null, null));
    refused("fromM", () -> stretch(-1, 20, 1, Line.WHITE_LINE, null, null));
    refused("toM", () -> stretch(40, 20, 1, Line.WHITE_LINE, null, null).checkOn(ROAD));
    refused("backBeforeM", () -> stretch(10, 20, 1, Line.WHITE_LINE, null, 30.0).checkOn(ROAD));
    CircuitEdits edits =
        CircuitEdits.of(
            BARE.withStretches(List.of(stretch(40, 20, 1, Line.WHITE_LINE, null, null))));
    refused("stretches", () -> edits.on(BARE));
  }
}
