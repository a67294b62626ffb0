package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.School;
import marvek.core.page.CornerPage;
import marvek.core.page.Lean;
import marvek.core.page.OwnValues;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a page answers beside its own words: schools, gears, the other vehicle. */
class AnswersTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS = basis(TestVehicles.clubCar());
  private static final Reference MODEL = Reference.on(BASIS, Conditions.DEFAULT, List.of());

  private static Reference.Basis basis(Vehicle car) {
    return Reference.basis(VARIED, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
  }

  @Test
  void aSchoolThatIsPickedIsWhatThePageSays() {
    List<SchoolLine> schools = CornerQuestions.schools(BASIS, Conditions.DEFAULT, 3);
    SchoolLine late =
        schools.stream().filter(s -> s.school() == School.LATE_APEX).findFirst().orElseThrow();
    Reference driven =
        Reference.on(
            BASIS, Conditions.DEFAULT, List.of(OwnValues.in(3).line(School.LATE_APEX).build()));
    assertThat(driven.lap().timeS() - MODEL.lap().timeS()).isCloseTo(late.lostS(), within(0.02));
    CornerPage page = driven.pages().get(2);
    assertThat(page.brake().atM()).isCloseTo(late.brakeAtM(), within(1.5));
    assertThat(page.lowestSpeedMps()).isCloseTo(late.lowestMps(), within(0.1));
    assertThat(page.sources()).containsKey("line");
  }

  @Test
  void tiesAreThoseWithinThreeHundredths() {
    List<SchoolLine> schools = CornerQuestions.schools(BASIS, Conditions.DEFAULT, 3);
    double best = schools.get(0).lostS();
    for (SchoolLine line : schools) {
      assertThat(line.tie()).isEqualTo(line.lostS() - best <= 0.03);
    }
  }

  @Test
  void theFastestLineOfTheLapIsAChoiceAndNeverSlower() {
    Reference.Basis fastest =
        Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.FASTEST);
    Reference reference = Reference.on(fastest, Conditions.DEFAULT, List.of());
    assertThat(reference.lap().timeS()).isLessThan(MODEL.lap().timeS());
    assertThat(reference.driven()).allSatisfy(d -> assertThat(d.made()).isTrue());
  }

  @Test
  void anotherGearInTheCornerCosts() {
    CornerGears gears = CornerQuestions.gears(ModelReference.on(BASIS, Conditions.DEFAULT), 3);
    assertThat(gears.inCorner()).hasSizeBetween(2, 3);
    for (CornerGears.InCorner held : gears.inCorner()) {
      if (held.chosen()) {
        assertThat(held.lostS()).isZero();
      } else {
        assertThat(held.lostS()).isGreaterThan(-0.01);
      }
    }
    assertThat(gears.inCorner())
        .extracting(CornerGears.InCorner::rpm)
        .isSortedAccordingTo((a, b) -> Double.compare(b, a));
    assertThat(gears.changes())
        .isNotEmpty()
        .allSatisfy(c -> assertThat(c.to()).isEqualTo(c.from() + 1));
  }

  /**
   * A gear lower the engine brakes more, at the driven axle. Where that is the axle that has no
   * more to give, the brakes are needed earlier, and a gear higher later.
   */
  @ParameterizedTest
  @CsvSource({"REAR, 0.55, 1", "FRONT, 0.9, 0.1"})
  void theEnginesBrakingMovesTheBrakePoint(
      Vehicle.Drive drive, double frontShare, double byMoreThanM) {
    Conditions day = Conditions.OF_NEW_BOOKS;
    Vehicle car =
        TestVehicles.car(drive, 0.46, 0.85, 1.1, frontShare)
            .withEngine(TestVehicles.engine().withEngineBrakingNm(90));
    Reference.Basis basis = Reference.basis(VARIED, car, day, ChosenLine.SMOOTH);
    ModelReference model = ModelReference.on(basis, day);
    double most = 0;
    for (CornerPage page : Reference.on(basis, day, List.of()).pages()) {
      List<CornerGears.InCorner> gears = CornerQuestions.gears(model, page.corner()).inCorner();
      int own =
          gears.stream().filter(CornerGears.InCorner::chosen).findFirst().orElseThrow().gear();
      for (CornerGears.InCorner held : gears) {
        if (!held.chosen() && held.brakeMovedM() != null) {
          double later = held.brakeMovedM() * (held.gear() - own);
          assertThat(later).as("corner %d", page.corner()).isBetween(-0.05, 12.0);
          most = Math.max(most, later);
        }
      }
    }
    assertThat(most).isGreaterThan(byMoreThanM);
  }

  @Test
  void withoutEngineBrakingNoGearMovesTheBrakePoint() {
    assertThat(CornerQuestions.gears(ModelReference.on(BASIS, Conditions.DEFAULT), 3).inCorner())
        .allSatisfy(held -> assertThat(held.brakeMovedM()).isNull());
  }

  /**
   * What full throttle asks for, half-way to it, in the model's own gear: the throttle that the
   * tyres take there is no less than that of the first metres, and never a thousandth of the pedal.
   */
  @Test
  void fullThrottleIsAskedWhereItIsFedIn() {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Reference.Basis basis = basis(vehicle);
      for (CornerPage page : Reference.on(basis, Conditions.DEFAULT, List.of()).pages()) {
        for (CornerGears.InCorner held :
            CornerQuestions.gears(ModelReference.on(basis, Conditions.DEFAULT), page.corner())
                .inCorner()) {
          assertThat(held.rearAsked()).as("corner %d", page.corner()).isBetween(0.0, 8.0);
          if (held.chosen() && page.throttle().firstPct() != null) {
            assertThat(100 / held.rearAsked())
                .as("corner %d", page.corner())
                .isGreaterThan(page.throttle().firstPct() - 5);
          }
        }
      }
    }
  }

  /** Whether to hold or to change: what the model does costs nothing, the other way not less. */
  @Test
  void holdingOrChangingUpIsAnsweredWhereItIsAsked() {
    int asked = 0;
    for (CornerPage page : MODEL.pages()) {
      CornerGears gears =
          CornerQuestions.gears(ModelReference.on(BASIS, Conditions.DEFAULT), page.corner());
      if (gears.before() != null) {
        asked++;
        CornerGears.HoldOrChange b = gears.before();
        assertThat(Math.min(Math.abs(b.holdLostS()), Math.abs(b.changeLostS()))).isZero();
        assertThat(b.holdLostS() + b.changeLostS()).isGreaterThan(-0.03);
        assertThat(b.secondsToBrakes()).isBetween(0.0, 4.0);
      }
    }
    assertThat(asked).isPositive();
  }

  @Test
  void whatIsAStraightForOneIsACornerForTheOther() {
    Reference bike = Reference.on(basis(TestVehicles.motorcycle()), Conditions.DEFAULT, List.of());
    List<TwoBooks.Row> rows = TwoBooks.of(MODEL, bike);
    assertThat(rows).hasSameSizeAs(MODEL.pages());
    assertThat(rows.stream().mapToDouble(r -> r.first().timeS()).sum())
        .isCloseTo(MODEL.lap().timeS(), within(0.01));
    for (TwoBooks.Row row : rows) {
      assertThat(row.first().leanDeg()).isNull();
      assertThat(row.second().leanDeg()).isBetween(5.0, 60.0);
      boolean both = row.first().brakeAtM() != null && row.second().brakeAtM() != null;
      assertThat(row.brakesLaterM() != null).isEqualTo(both);
    }
  }

  /** atan(μ) is the most that a rider without width can lean: 51.6° at μ = 1.26. */
  @Test
  void theLeanAtTheLimitIsThatOfTheFriction() {
    Circuit circle = Circuit.bare("circle", TestRoads.circle(60, 4));
    Vehicle bike = TestVehicles.motorcycle();
    Reference.Basis basis =
        Reference.basis(circle, bike, Conditions.DEFAULT, ChosenLine.CENTRELINE);
    Reference reference = Reference.on(basis, Conditions.DEFAULT, List.of());
    double lean = Lean.deg(reference.lap(), reference.pages().get(0)).orElseThrow();
    double byHand = Math.toDegrees(Math.atan(1.3 * Conditions.DEFAULT.gripFactor()));
    assertThat(lean).isCloseTo(byHand, within(0.3));
  }

  @Test
  void aCarWiderThanTheRoadIsSaidWithThePlace() {
    Survey s = TestRoads.varied(5);
    double[][] c = new double[6][s.size()];
    for (int i = 0; i < s.size(); i++) {
      c[0][i] = s.xAt(i);
      c[1][i] = s.yAt(i);
      c[3][i] = i == 40 ? 0.8 : 6;
      c[4][i] = i == 40 ? 0.8 : 6;
    }
    Survey narrow = new Survey(c[0], c[1], c[2], c[3], c[4], c[5], true);
    assertThatThrownBy(
            () ->
                Reference.basis(
                    Circuit.bare("narrow", narrow),
                    TestVehicles.clubCar(),
                    Conditions.DEFAULT,
                    ChosenLine.SMOOTH))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("200 m from the start line");
  }

  @Test
  void aCarThatComesToAStandOnAHillIsSaidWithThePlace() {
    Survey hill =
        TestRoads.changed(
            TestRoads.varied(5), (p, i) -> new double[] {p[0], p[1], 90 * Math.sin(p[0] / 150.0)});
    Circuit circuit = Circuit.bare("hill", hill);
    Vehicle weak =
        TestVehicles.clubCar()
            .withEngine(new Engine(new double[] {1000}, new double[] {6}, 500, 7000, 0));
    Reference.Basis basis =
        Reference.basis(circuit, weak, Conditions.DEFAULT, ChosenLine.CENTRELINE);
    assertThatThrownBy(() -> Reference.on(basis, Conditions.DEFAULT, List.of()))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("too weak")
        .hasMessageContaining("from the start line");
  }
}
