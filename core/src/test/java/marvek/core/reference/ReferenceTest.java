package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerPage.BrakeStyle;
import marvek.core.page.CornerPage.Source;
import marvek.core.page.OwnValues;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Pages of a whole reference on a drawn road, and what a driver's own values make of them. */
class ReferenceTest {
  private static Reference.Basis basis;
  private static Reference model;

  @BeforeAll
  static void compute() {
    basis =
        Reference.basis(circuit(), TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    model = Reference.on(basis, Conditions.DEFAULT, List.of());
  }

  private static Circuit circuit() {
    List<Mark> marks = new ArrayList<>();
    for (int at = 50; at < 3000; at += 100) {
      marks.add(
          new Mark(at + " board", MarkType.DISTANCE_BOARD, Side.LEFT, at, at, 8, null, null, ""));
    }
    Hazard wall = new Hazard(Hazard.Type.TYRE_WALL, Side.RIGHT, 400, 460, 12, "");
    return new Circuit(
        "Drawn",
        "",
        1,
        null,
        "UTC",
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        null,
        TestRoads.varied(5),
        1,
        marks,
        List.of(),
        List.of(),
        List.of(wall),
        List.of());
  }

  private static CornerPage page(Reference reference, int corner) {
    return reference.pages().stream().filter(p -> p.corner() == corner).findFirst().orElseThrow();
  }

  private static OwnValues brakeAt(int corner, double station) {
    return own(corner, station, null, null, null, Source.DRIVER);
  }

  private static OwnValues own(
      int corner, Double brake, Integer gear, Double speed, Double throttle, Source source) {
    return OwnValues.in(corner)
        .brakeAtM(brake)
        .cornerGear(gear)
        .apexSpeedMps(speed)
        .throttleFirstM(throttle)
        .source(source)
        .build();
  }

  @Test
  void everyCornerHasAPageInTheOrderItIsDriven() {
    assertThat(model.pages())
        .extracting(CornerPage::corner)
        .containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9, 10);
  }

  @Test
  void thePointsOfAPageFollowEachOther() {
    Road road = basis.path().road();
    CornerPage p = page(model, 3);
    double brake = p.brake().atM();
    assertThat(road.distance(brake, p.turnIn().atM())).isBetween(0.0, 250.0);
    assertThat(road.distance(p.turnIn().atM(), p.apexes().get(0).atM())).isBetween(0.0, 100.0);
    assertThat(road.distance(p.turnIn().atM(), p.trailBrake().releaseM())).isBetween(0.0, 100.0);
    assertThat(road.distance(p.trailBrake().releaseM(), p.throttle().firstM()))
        .isBetween(0.0, 60.0);
    assertThat(road.offsetBetween(p.throttle().firstM(), p.throttle().fullM())).isPositive();
    assertThat(road.offsetBetween(p.apexes().get(0).atM(), p.exit().trackOutM())).isPositive();
    assertThat(p.lowestSpeedMps()).isLessThan(p.turnIn().speedMps());
    assertThat(p.gears().corner()).isLessThan(p.gears().approach());
  }

  /** Who is later on the throttle than the model is flat cannot be flat before. */
  @Test
  void flatIsNeverBeforeTheFirstThrottle() {
    Road road = basis.path().road();
    double late = road.wrapStation(page(model, 3).throttle().fullM() + 12);
    OwnValues own = own(3, null, null, null, late, Source.DRIVER);
    Reference changed = Reference.on(basis, Conditions.DEFAULT, List.of(own));
    CornerPage.Throttle throttle = page(changed, 3).throttle();
    assertThat(throttle.firstM()).isEqualTo(late);
    assertThat(road.offsetBetween(late, throttle.fullM())).isBetween(0.0, 60.0);
    int flat = road.indexOf(throttle.fullM());
    assertThat(changed.lap().throttleShareAt(flat)).isGreaterThan(0.98);
    assertThat(changed.lap().throttleShareAt(road.wrap(flat - 2))).isLessThan(0.985);
  }

  /** Common practice: first pressure in a hard stop 80–90 % of full, here of a strong system. */
  @Test
  void aHardStopIsHardAtOnceAndBledOff() {
    CornerPage p = page(model, 3);
    assertThat(p.brake().style()).isEqualTo(BrakeStyle.HARD);
    assertThat(p.brake().initialPct()).isBetween(60.0, 95.0);
    assertThat(p.trailBrake().atTurnInPct()).isLessThan(p.brake().initialPct());
    assertThat(p.trailBrake().halfPct()).isLessThan(p.trailBrake().atTurnInPct());
    assertThat(p.trailBrake().nearApexPct()).isLessThanOrEqualTo(p.trailBrake().halfPct());
  }

  /** The line uses the road: from the outside in, to the inside, and out again. */
  @Test
  void theLineGoesFromTheOutsideToTheInsideAndOut() {
    CornerPage left = page(model, 3);
    assertThat(left.direction()).isEqualTo(Side.LEFT);
    assertThat(left.apexes().get(0).offsetM()).isGreaterThan(3.5);
    assertThat(left.exit().offsetM()).isLessThan(-3);
  }

  @Test
  void theTimesOfTheCornersAddUpToTheLap() {
    double sum = model.pages().stream().mapToDouble(CornerPage::timeS).sum();
    assertThat(sum).isCloseTo(model.lap().timeS(), within(1e-6));
  }

  /** reported brake point = model brake point − v·(change + half the build-up). */
  @Test
  void handsAndFeetNeedTheirTime() {
    Conditions c = Conditions.DEFAULT;
    Conditions instant =
        new Conditions(
            c.surface(),
            c.tyres(),
            c.gripUsed(),
            0,
            0,
            0,
            c.airTemperatureC(),
            c.pressureHpa(),
            0,
            0,
            0);
    Reference prompt = Reference.on(basis, instant, List.of());
    double modelPoint = page(prompt, 3).brake().atM();
    double acting = page(model, 3).brake().atM();
    double speed = model.lap().speedAt(basis.path().road().indexOf(modelPoint));
    // 0.15 s and half of 0.25 s, less what a closed throttle slows him meanwhile: about a quarter.
    assertThat((modelPoint - acting) / (speed * (0.15 + 0.125))).isBetween(0.65, 0.85);
  }

  @Test
  void pointsAreToldFromMarksThatStandThere() {
    CornerPage p = page(model, 3);
    MarkReference target = p.brake().target();
    double station = Double.parseDouble(target.mark().replace(" board", ""));
    assertThat(station + target.offsetM()).isCloseTo(p.brake().atM(), within(0.01));
    assertThat(p.brake().safe().offsetM()).isZero();
    double safe = Double.parseDouble(p.brake().safe().mark().replace(" board", ""));
    assertThat(safe).isLessThan(p.brake().atM());
  }

  @Test
  void whatWaitsOutsideIsSaid() {
    assertThat(page(model, 1).wayOut()).contains("tyre wall").contains("12 m");
  }

  @Test
  void brakingEarlierCostsTimeAndIsTheDrivers() {
    double at = page(model, 3).brake().atM() - 10;
    Reference changed = Reference.on(basis, Conditions.DEFAULT, List.of(brakeAt(3, at)));
    CornerPage p = page(changed, 3);
    assertThat(changed.lap().timeS() - model.lap().timeS()).isBetween(0.05, 0.6);
    assertThat(p.brake().atM()).isEqualTo(at);
    assertThat(p.sources()).containsEntry("brake.at_m", Source.DRIVER);
    assertThat(p.turnIn().speedMps()).isLessThan(page(model, 3).turnIn().speedMps() - 0.5);
    assertThat(p.approach().speedMps())
        .isCloseTo(changed.lap().speedAt(basis.path().road().indexOf(at)), within(1e-9));
    assertThat(p.timeS()).isGreaterThan(page(model, 3).timeS() + 0.05);
    assertThat(page(changed, 7).timeS()).isCloseTo(page(model, 7).timeS(), within(0.005));
    assertThat(changed.remarks()).isEmpty();
  }

  @Test
  void brakingTooLateIsSaidNotMadeAndTimesStayTheModels() {
    double at = page(model, 3).brake().atM() + 25;
    Reference changed = Reference.on(basis, Conditions.DEFAULT, List.of(brakeAt(3, at)));
    assertThat(changed.lap().timeS()).isCloseTo(model.lap().timeS(), within(1e-6));
    assertThat(changed.remarks())
        .singleElement()
        .satisfies(r -> assertThat(r.said().words()).startsWith("Not made"));
    assertThat(page(changed, 3).brake().atM()).isEqualTo(at);
    // The safe mark stays one that the model could still brake from.
    assertThat(page(changed, 3).brake().safe()).isEqualTo(page(model, 3).brake().safe());
  }

  @Test
  void aSlowerApexALaterThrottleAndATallerGearCostTime() {
    double speed = page(model, 3).lowestSpeedMps() - 1;
    double throttle = page(model, 3).throttle().firstM() + 12;
    int gear = page(model, 3).gears().corner() + 2;
    for (OwnValues own :
        List.of(
            own(3, null, null, speed, null, Source.COACH),
            own(3, null, null, null, throttle, Source.COACH),
            own(3, null, gear, null, null, Source.COACH))) {
      Reference changed = Reference.on(basis, Conditions.DEFAULT, List.of(own));
      assertThat(changed.lap().timeS()).isGreaterThan(model.lap().timeS() + 0.01);
      assertThat(page(changed, 3).sources()).containsValue(Source.COACH);
    }
  }

  @Test
  void whatTheModelCannotFollowIsSaid() {
    double speed = page(model, 3).lowestSpeedMps() + 3;
    double throttle = page(model, 3).throttle().firstM() - 12;
    Reference changed =
        Reference.on(
            basis, Conditions.DEFAULT, List.of(own(3, null, 9, speed, throttle, Source.DRIVER)));
    assertThat(changed.remarks())
        .extracting(Remark::field)
        .contains("apexes.speed_mps", "gears.corner");
  }

  @Test
  void refusesValuesForWhatIsNotThere() {
    assertThatThrownBy(() -> Reference.on(basis, Conditions.DEFAULT, List.of(brakeAt(44, 100))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("44");
    assertThatThrownBy(() -> Reference.on(basis, Conditions.DEFAULT, List.of(brakeAt(3, 99_999))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("brake.at_m");
    assertThatThrownBy(() -> brakeAt(3, Double.NaN)).isInstanceOf(InvalidValueException.class);
  }

  /**
   * Wong's table of road adhesion: wet about 0.7 of dry; so braking starts earlier, all is slower.
   */
  @Test
  void inTheWetEverythingIsEarlierAndSlower() {
    Conditions c = Conditions.DEFAULT;
    Conditions wet =
        new Conditions(
            Conditions.Surface.WET, c.tyres(), c.gripUsed(), 0, 0.15, 0.25, 18, 1013.25, 0, 0, 0);
    Reference rain = Reference.on(basis, wet, List.of());
    assertThat(rain.lap().timeS()).isGreaterThan(1.08 * model.lap().timeS());
    for (int corner : new int[] {1, 3, 6, 8}) {
      assertThat(page(rain, corner).brake().atM()).isLessThan(page(model, corner).brake().atM());
      assertThat(page(rain, corner).lowestSpeedMps())
          .isCloseTo(
              page(model, corner).lowestSpeedMps() * Math.sqrt(0.7),
              within(0.06 * page(model, corner).lowestSpeedMps()));
    }
  }

  /** v² = g·R over the top of a crest: what holds the speed there is said, once. */
  @Test
  void aCrestThatHoldsTheSpeedIsSaid() {
    Survey hilly =
        TestRoads.changed(
            TestRoads.varied(5),
            (p, i) -> {
              double x = 5.0 * i - 190;
              return new double[] {p[0], p[1], Math.abs(x) < 120 ? 20 * bell(x / 120) : 0};
            });
    Circuit hill = Circuit.bare("Hill", hilly);
    Reference.Basis over =
        Reference.basis(hill, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    List<Remark> remarks = Reference.on(over, Conditions.DEFAULT, List.of()).remarks();
    assertThat(remarks).extracting(Remark::field).containsOnly("crest");
    assertThat(remarks.get(0).said().words()).contains("would lift the car");
    assertThat(model.remarks()).isEmpty();
  }

  private static double bell(double t) {
    return Math.pow(Math.cos(Math.PI * t / 2), 2);
  }

  /** A hill climb or a stage: nothing wraps round. */
  @Test
  void anOpenRoadHasItsPagesToo() {
    Survey stage =
        TestRoads.every(5)
            .straight(300)
            .corner(30, 90, 15)
            .straight(250)
            .corner(40, -120, 20)
            .straight(200)
            .corner(25, 100, 12)
            .straight(150)
            .survey(false, 5, 0, 0);
    Circuit open = Circuit.bare("Stage", stage);
    Reference.Basis run =
        Reference.basis(open, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference reference = Reference.on(run, Conditions.DEFAULT, List.of());
    assertThat(reference.pages()).hasSize(3);
    double before = 0;
    for (CornerPage p : reference.pages()) {
      assertThat(p.brake().atM()).isBetween(before, p.apexes().get(0).atM());
      assertThat(p.gears().downshiftsM())
          .allSatisfy(s -> assertThat(s).isBetween(p.brake().atM(), p.apexes().get(0).atM() + 10));
      assertThat(p.exit().trackOutM()).isGreaterThan(p.apexes().get(0).atM());
      assertThat(p.timeS()).isBetween(2.0, 30.0);
      before = p.exit().trackOutM() - 60;
    }
  }

  @Test
  void theDriversMarkAndWordsTakeTheModelsPlace() {
    Mark near =
        new Mark("near post", MarkType.LAMP, Side.LEFT, BRAKE_M - 6, BRAKE_M - 6, 9, null, 8.0, "");
    Mark other =
        new Mark(
            "far post", MarkType.LAMP, Side.LEFT, BRAKE_M - 31, BRAKE_M - 31, 9, null, 8.0, "");
    Circuit circuit = withMarks(near, other);
    Reference.Basis basis =
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    CornerPage model = Reference.on(basis, Conditions.DEFAULT, List.of()).pages().get(0);
    assertThat(model.brake().target().mark()).isEqualTo("near post");
    assertThat(model.brake().choices()).extracting(MarkReference::mark).contains("far post");
    CornerPage own =
        Reference.on(basis, Conditions.DEFAULT, List.of(words("far post", "by the lamp")))
            .pages()
            .get(0);
    assertThat(own.brake().target().mark()).isEqualTo("far post");
    assertThat(own.brake().target().offsetM()).isCloseTo(31, within(1.0));
    assertThat(own.brake().target().text()).isEqualTo("by the lamp");
    assertThat(own.brake().choices()).extracting(MarkReference::mark).contains("near post");
    assertThat(own.sources()).containsEntry("brake.target", CornerPage.Source.DRIVER);
    // Words and marks are only words: the lap is the model's.
    assertThat(own.timeS()).isCloseTo(model.timeS(), within(1e-9));
  }

  /** Without any mark the point is told by time, and said to be weak. */
  @Test
  void withoutAMarkTheTimeAtSpeedIsCounted() {
    Reference.Basis basis =
        Reference.basis(
            withMarks(), TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    Reference reference = Reference.on(basis, Conditions.DEFAULT, List.of());
    List<MarkReference> counted =
        reference.pages().stream()
            .map(page -> page.turnIn().target())
            .filter(target -> target != null)
            .toList();
    assertThat(counted).isNotEmpty();
    assertThat(counted)
        .allSatisfy(
            target -> {
              assertThat(target.weak()).isTrue();
              assertThat(target.text()).matches("\\d\\.\\d s (on|after) .*");
            });
    CornerPage braked =
        reference.pages().stream()
            .filter(p -> p.turnIn().target() != null)
            .filter(p -> p.turnIn().target().text().endsWith("after the brake"))
            .findFirst()
            .orElseThrow();
    Lap lap = reference.lap();
    Road road = lap.path().road();
    double seconds =
        lap.timeBetween(road.indexOf(braked.brake().atM()), road.indexOf(braked.turnIn().atM()));
    assertThat(braked.turnIn().target().text())
        .isEqualTo(String.format(java.util.Locale.ROOT, "%.1f s after the brake", seconds));
  }

  /** FIA International Sporting Code, Appendix L (from memory): one wheel stays inside the line. */
  @Test
  void theRuleSaysHowFarTheBodyMayGo() {
    Vehicle car = TestVehicles.clubCar();
    Reference.Basis basis =
        Reference.basis(withMarks(), car, Conditions.DEFAULT, ChosenLine.CENTRELINE);
    CornerPage.Limits limits =
        Reference.on(basis, Conditions.DEFAULT, List.of()).pages().get(0).limits();
    assertThat(limits.rule()).isEqualTo(TrackLimits.ONE_WHEEL_INSIDE_LINE);
    assertThat(limits.exit().allowedM()).isCloseTo(car.bodyWidthM() - 0.25, within(1e-9));
    assertThat(limits.exit().kerb()).isNull();
  }

  private static final double BRAKE_M =
      Reference.on(
              Reference.basis(
                  withMarks(), TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.CENTRELINE),
              Conditions.DEFAULT,
              List.of())
          .pages()
          .get(0)
          .brake()
          .atM();

  private static OwnValues words(String mark, String words) {
    return OwnValues.in(1).brakeMark(mark, words).build();
  }

  private static Circuit withMarks(Mark... marks) {
    Circuit bare = Circuit.bare("varied", TestRoads.varied(5));
    return new Circuit(
        "varied",
        "",
        1,
        null,
        "UTC",
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        null,
        bare.survey(),
        1,
        List.of(marks),
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }
}
