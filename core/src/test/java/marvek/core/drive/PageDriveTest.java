package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.line.Corridor;
import marvek.core.page.CornerPage;
import marvek.core.page.Driven;
import marvek.core.page.OwnValues;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

class PageDriveTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));

  private static Reference.Basis basis(Vehicle car) {
    return Reference.basis(VARIED, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
  }

  private static final Reference.Basis BASIS = basis(TestVehicles.clubCar());
  private static final Reference MODEL = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BASIS.path().road();

  private static Reference with(OwnValues own) {
    return Reference.on(BASIS, Conditions.DEFAULT, List.of(own));
  }

  private static CornerPage page(int corner) {
    return MODEL.modelPages().get(corner - 1);
  }

  private static Driven driven(Reference reference, int corner) {
    return reference.driven().get(corner - 1);
  }

  /**
   * Page 6 of the design: the model's own page is made, and asks for what the driver means to use.
   */
  @Test
  void theModelsOwnPagesAreMadeWithTheGripThatIsMeantToBeUsed() {
    for (Vehicle vehicle : List.of(TestVehicles.clubCar(), TestVehicles.motorcycle())) {
      Reference model = Reference.on(basis(vehicle), Conditions.DEFAULT, List.of());
      assertThat(model.driven()).hasSameSizeAs(model.pages());
      for (Driven driven : model.driven()) {
        assertThat(driven.made()).as("%s", driven).isTrue();
        double used = Conditions.DEFAULT.gripUsed();
        assertThat(driven.gripNeeded()).as("%s", driven).isBetween(0.9 * used, 1.02 * used);
        assertThat(driven.lockedM() + driven.spunM()).as("%s", driven).isZero();
      }
    }
  }

  /** The same property, on the times: within 0.05 s of the model's. */
  @Test
  void drivingTheModelsOwnPagesTakesTheModelsTimes() {
    Lap lap = MODEL.modelLap();
    for (int p = 0; p < MODEL.modelPages().size(); p++) {
      PageDrive.AsTheLap drive = PageDrive.asTheLap(lap, VARIED, MODEL.modelPages(), p);
      double seconds = 0;
      double model = 0;
      for (int k = 0; k + 1 < drive.result().speedsMps().length; k++) {
        int i = ROAD.wrap(drive.start() + k);
        double ds = lap.path().elementAt(i);
        seconds += 2 * ds / (drive.result().speedsMps()[k] + drive.result().speedsMps()[k + 1]);
        model += 2 * ds / (lap.speedAt(i) + lap.speedAt(ROAD.wrap(i + 1)));
      }
      assertThat(seconds).as("page %d", p).isCloseTo(model, within(0.05));
    }
  }

  @Test
  void noChangeCostsNothing() {
    CornerPage p = page(3);
    OwnValues same =
        OwnValues.in(3)
            .brakeAtM(p.brake().atM())
            .initialPct(p.brake().initialPct())
            .turnInM(p.turnIn().atM())
            .turnInPct(p.trailBrake().atTurnInPct())
            .releaseM(p.trailBrake().releaseM())
            .apexOffsetM(p.apexes().get(0).offsetM())
            .throttleFirstM(p.throttle().firstM())
            .throttleFullM(p.throttle().fullM())
            .build();
    Reference driven = with(same);
    assertThat(driven.lap().timeS()).isCloseTo(MODEL.lap().timeS(), within(0.01));
    assertThat(driven(driven, 3).made()).isTrue();
  }

  @Test
  void brakingLaterAsksForMoreGripUntilTheCornerIsNotMade() {
    double needed = driven(MODEL, 3).gripNeeded();
    double beyond = 0;
    boolean made = true;
    for (double later : new double[] {4, 10, 20, 40}) {
      Driven driven =
          driven(with(OwnValues.in(3).brakeAtM(page(3).brake().atM() + later).build()), 3);
      assertThat(driven.gripNeeded()).isGreaterThan(needed);
      assertThat(driven.beyondM()).isGreaterThanOrEqualTo(beyond);
      assertThat(made || !driven.made()).as("what is not made is not made later").isTrue();
      needed = driven.gripNeeded();
      beyond = driven.beyondM();
      made = driven.made();
    }
    assertThat(made).isFalse();
    assertThat(beyond).isGreaterThan(1);
  }

  /**
   * Physics by hand: a car that needs twice the grip runs wide by half the missing g, squared time.
   */
  @Test
  void whatIsMissingIsIntegratedTwice() {
    Reference far = with(OwnValues.in(3).brakeAtM(page(3).brake().atM() + 40).build());
    Driven driven = driven(far, 3);
    assertThat(driven.wideM()).isGreaterThan(driven.beyondM());
    assertThat(driven.wideAtM()).isNotNull();
    assertThat(ROAD.offsetBetween(page(3).turnIn().atM(), driven.wideAtM())).isPositive();
  }

  @Test
  void morePressureThanTheTyresTakeLocksAWheel() {
    Reference hard =
        Reference.on(
            BASIS,
            Conditions.DEFAULT.withGripUsed(0.6),
            List.of(OwnValues.in(3).initialPct(100.0).build()));
    Driven driven = driven(hard, 3);
    assertThat(driven.lockedM()).isPositive();
    assertThat(driven.lockedAtM()).isNotNull();
  }

  @Test
  void aLateReleaseCosts() {
    double release = page(3).trailBrake().releaseM();
    double last = MODEL.lap().timeS();
    for (double later : new double[] {5, 10, 20}) {
      double time = with(OwnValues.in(3).releaseM(release + later).build()).lap().timeS();
      assertThat(time).isGreaterThanOrEqualTo(last - 1e-3);
      last = time;
    }
  }

  /** Pressures of one's own keep the apex speed: the brake point gives way, and is told. */
  @Test
  void withLessPressureTheBrakesBeginEarlier() {
    CornerPage p = page(3);
    double earlier = 0;
    for (double share : new double[] {0.8, 0.6, 0.45}) {
      Reference soft = with(OwnValues.in(3).initialPct(share * p.brake().initialPct()).build());
      Driven driven = driven(soft, 3);
      double moved = ROAD.offsetBetween(driven.brakeFoundM(), p.brake().atM());
      assertThat(moved).as("%s of the pressure", share).isGreaterThan(earlier + 1);
      earlier = moved;
      assertThat(driven.made()).isTrue();
      assertThat(soft.pages().get(2).brake().atM()).isEqualTo(driven.brakeFoundM());
      assertThat(soft.pages().get(2).sources().get("brake.at_m"))
          .isEqualTo(CornerPage.Source.MODEL);
      assertThat(soft.lap().timeS()).isGreaterThan(MODEL.lap().timeS());
    }
  }

  /** Who writes the brake point too has both as written: less pressure is too fast. */
  @Test
  void lessPressureFromTheSamePointIsNotMade() {
    CornerPage p = page(3);
    Reference soft =
        with(
            OwnValues.in(3)
                .initialPct(0.7 * p.brake().initialPct())
                .brakeAtM(p.brake().atM() + 0.01)
                .build());
    assertThat(driven(soft, 3).made()).isFalse();
    assertThat(driven(soft, 3).brakeFoundM()).isNull();
    assertThat(soft.remarks())
        .anySatisfy(r -> assertThat(r.field()).isEqualTo("brake.initial_pct"));
    assertThat(soft.lap().timeS()).isCloseTo(MODEL.lap().timeS(), within(1e-6));
  }

  @Test
  void throttleTooEarlyAsksForMoreGrip() {
    Driven driven =
        driven(with(OwnValues.in(3).throttleFirstM(page(3).throttle().firstM() - 15).build()), 3);
    assertThat(driven.gripNeeded()).isGreaterThan(driven(MODEL, 3).gripNeeded() + 0.01);
  }

  /**
   * Common practice: half a metre off the apex of a slow corner costs hundredths to a tenth or two.
   */
  @Test
  void offTheApexCostsAndMoreCostsMore() {
    CornerPage p = page(3);
    double offset = p.apexes().get(0).offsetM();
    double outward = -Math.signum(offset);
    double last = 0;
    for (double off : new double[] {0.5, 1.0, 2.0}) {
      double cost =
          with(OwnValues.in(3).apexOffsetM(offset + outward * off).build()).lap().timeS()
              - MODEL.lap().timeS();
      assertThat(cost).isGreaterThan(last);
      last = cost;
    }
    assertThat(last).isLessThan(1);
  }

  @Test
  void aTurnInMovedTooFarIsSaidAndLimited() {
    Reference moved = with(OwnValues.in(3).turnInM(page(3).turnIn().atM() + 60).build());
    assertThat(moved.remarks()).anySatisfy(r -> assertThat(r.field()).isEqualTo("turnIn.at_m"));
    assertThat(moved.lap().timeS()).isFinite();
  }

  @Test
  void aKerbThatIsNotThereIsSaid() {
    Reference kerb = with(OwnValues.in(3).kerbExit(Kerb.Use.FULL).build());
    assertThat(kerb.remarks()).anySatisfy(r -> assertThat(r.field()).isEqualTo("kerbs.exit"));
    assertThat(kerb.lap().timeS()).isCloseTo(MODEL.lap().timeS(), within(1e-3));
  }

  /** Common practice: the kerb at the exit of a corner is worth half a tenth to a tenth. */
  @Test
  void theExitKerbIsWorthAboutATenth() {
    Reference.Basis basis =
        Reference.basis(
            withExitKerb(), TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference without = Reference.on(basis, Conditions.DEFAULT, List.of());
    Reference with =
        Reference.on(
            basis, Conditions.DEFAULT, List.of(OwnValues.in(3).kerbExit(Kerb.Use.FULL).build()));
    assertThat(with.remarks()).isEmpty();
    double gained = without.lap().timeS() - with.lap().timeS();
    assertThat(gained).isBetween(0.02, 0.2);
    assertThat(with.driven().get(2).made()).isTrue();
  }

  /** A kerb of 1.2 m is less than the car is wide: all of it is all of it. */
  @Test
  void aKerbUsedInFullIsToldSo() {
    Reference.Basis basis =
        Reference.basis(
            withExitKerb(Kerb.Use.FULL),
            TestVehicles.clubCar(),
            Conditions.DEFAULT,
            ChosenLine.SMOOTH);
    Reference used = Reference.on(basis, Conditions.DEFAULT, List.of());
    assertThat(used.pages().get(2).kerbs().exit()).isEqualTo(Kerb.Use.FULL);
    Reference.Basis half =
        Reference.basis(
            withExitKerb(Kerb.Use.HALF_CAR),
            TestVehicles.clubCar(),
            Conditions.DEFAULT,
            ChosenLine.SMOOTH);
    Reference halfUsed = Reference.on(half, Conditions.DEFAULT, List.of());
    assertThat(halfUsed.pages().get(2).kerbs().exit()).isEqualTo(Kerb.Use.HALF_CAR);
  }

  /** Who goes half a metre less far in means no kerb, wherever there is one. */
  @Test
  void anApexFartherOutTakesNoKerbBesideIt() {
    CornerPage p = page(3);
    double apex = p.apexes().get(0).atM();
    Kerb inside =
        new Kerb(
            p.direction(),
            apex - 40,
            apex + 40,
            Kerb.Profile.FLAT,
            30,
            1.5,
            Kerb.Use.NONE,
            Kerb.Use.NONE,
            "");
    Reference.Basis basis =
        Reference.basis(
            withKerb(inside), TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    double offset = p.apexes().get(0).offsetM();
    List<OwnValues> own =
        List.of(OwnValues.in(3).apexOffsetM(offset - 0.5 * Math.signum(offset)).build());
    Reference moved = Reference.on(basis, Conditions.DEFAULT, own);
    assertThat(OwnKerbs.wished(basis.circuit(), moved.modelPages(), own).kerbs())
        .containsExactly(inside);
    Corridor road = Corridor.of(withKerb(inside), ROAD, TestVehicles.clubCar(), Conditions.DEFAULT);
    for (int i = ROAD.indexOf(apex - 60); i <= ROAD.indexOf(apex + 60); i++) {
      assertThat(moved.path().offsetAt(i))
          .as("%d m", i)
          .isBetween(road.rightAt(i) - 0.01, road.leftAt(i) + 0.01);
    }
  }

  /** What did not come to rest is said, and only then. */
  @Test
  void aLineThatDidNotComeToRestIsSaid() {
    Reference.Basis restless =
        new Reference.Basis(
            BASIS.circuit(),
            BASIS.vehicle(),
            BASIS.path(),
            BASIS.corners(),
            BASIS.line(),
            BASIS.schools(),
            false);
    assertThat(Reference.on(restless, Conditions.DEFAULT, List.of()).remarks())
        .anySatisfy(r -> assertThat(r.said().words()).contains("did not come to rest"));
    assertThat(MODEL.remarks()).noneMatch(r -> r.said().words().contains("come to rest"));
  }

  private static Circuit withExitKerb() {
    return withExitKerb(Kerb.Use.NONE);
  }

  /** The circuit with a flat kerb of 1.2 m outside of corner 3's track-out. */
  private static Circuit withExitKerb(Kerb.Use use) {
    double out = page(3).exit().trackOutM();
    Kerb kerb =
        new Kerb(
            page(3).direction().mirrored(),
            out - 50,
            out + 60,
            Kerb.Profile.FLAT,
            30,
            1.2,
            use,
            use,
            "");
    return withKerb(kerb);
  }

  private static Circuit withKerb(Kerb kerb) {
    return new Circuit(
        "varied",
        "",
        1,
        null,
        "UTC",
        TrackLimits.ONE_WHEEL_INSIDE_LINE,
        null,
        VARIED.survey(),
        1,
        List.of(),
        List.of(kerb),
        List.of(),
        List.of(),
        List.of());
  }
}
