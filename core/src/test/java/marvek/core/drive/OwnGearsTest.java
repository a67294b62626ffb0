package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.GearChange;
import marvek.core.page.GearChanges;
import marvek.core.page.OwnValues;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Gears as a driver writes them: in, at the apex, out, and each change. */
class OwnGearsTest {
  private static final Reference MODEL = TestBooks.VARIED;
  private static final Lap LAP = MODEL.lap();
  private static final Road ROAD = LAP.path().road();

  /** Two searches over gears that tie differ by rounding only. */
  private static final double TIE_S = 0.003;

  /** Slowing more than this the next corner is braked for. */
  private static final double BRAKES_MPS2 = 1;

  /** A tenth of a second on no throttle at 200 km/h costs less. */
  private static final double MOST_FOOT_S = 0.03;

  private static Reference with(int page, UnaryOperator<OwnValues.Builder> own) {
    int corner = MODEL.pages().get(page).corner();
    return Reference.on(
        TestBooks.VARIED_BASIS,
        Conditions.DEFAULT,
        List.of(own.apply(OwnValues.in(corner)).build()));
  }

  private static Reference changed(int page, List<GearChange> changes) {
    return with(page, own -> own.gearChanges(new GearChanges(changes)));
  }

  private static double lostS(Reference own) {
    return own.lap().timeS() - LAP.timeS();
  }

  static Stream<Integer> pages() {
    return IntStream.range(0, MODEL.pages().size()).boxed();
  }

  /** Pages on which something is changed up on the way to the next corner. */
  static Stream<Integer> changingUp() {
    return pages().filter(p -> lastUp(p) >= 0);
  }

  /** Index of the last change up of a page; -1 without one. */
  private static int lastUp(int page) {
    List<GearChange> changes = MODEL.pages().get(page).gears().changes();
    int last = changes.size() - 1;
    while (last >= 0 && changes.get(last).kind() == GearChange.Kind.DOWN) {
      last--;
    }
    return last;
  }

  @Test
  void theModelsChangesAreThoseOfItsLap() {
    int all = MODEL.pages().stream().mapToInt(page -> page.gears().changes().size()).sum();
    assertThat(all).isEqualTo(LAP.gearChanges().size());
    for (CornerPage page : MODEL.pages()) {
      for (GearChange change : page.gears().changes()) {
        assertThat(LAP.gearAt(ROAD.indexOf(change.atM()))).isEqualTo(change.to());
        assertThat(LAP.gearAt(ROAD.wrap(ROAD.indexOf(change.atM()) - 1))).isNotEqualTo(change.to());
      }
    }
  }

  @ParameterizedTest
  @MethodSource("pages")
  void theModelsOwnChangesWrittenDownCostNothing(int page) {
    Reference own = changed(page, MODEL.pages().get(page).gears().changes());
    assertThat(lostS(own)).isCloseTo(0, within(TIE_S));
    assertThat(own.pages().get(page).gears()).isEqualTo(MODEL.pages().get(page).gears());
  }

  @ParameterizedTest
  @MethodSource("pages")
  void anotherGearInOrOutIsDrivenThereAndTheApexKeepsItsOwn(int page) {
    CornerPage.Gears model = MODEL.pages().get(page).gears();
    for (int by : new int[] {-1, 1}) {
      int out = model.out() + by;
      if (out >= 1 && out <= LAP.driveline().gears()) {
        Reference own = with(page, o -> o.gearOut(out));
        assertThat(own.pages().get(page).gears().out()).isEqualTo(out);
        assertThat(own.pages().get(page).gears().corner()).isEqualTo(model.corner());
        assertThat(lostS(own)).as("out in %d", out).isGreaterThan(-TIE_S);
      }
    }
    if (model.in() > 1) {
      Reference own = with(page, o -> o.gearIn(model.in() - 1));
      assertThat(own.pages().get(page).gears().in()).isEqualTo(model.in() - 1);
      assertThat(own.pages().get(page).gears().corner()).isEqualTo(model.corner());
      assertThat(lostS(own)).isGreaterThan(-TIE_S);
    }
  }

  /** One lower to turn the car: down when the engine turns slowly enough, up again at the apex. */
  @Test
  void oneLowerOnTheWayInIsTakenInTime() {
    int rotations = 0;
    for (int p = 0; p < MODEL.pages().size(); p++) {
      CornerPage model = MODEL.pages().get(p);
      int lower = model.gears().corner() - 1;
      boolean brakes = model.trailBrake() != null && lower >= 1;
      if (brakes && model.lowestSpeedMps() < LAP.driveline().limiterSpeedMps(lower)) {
        Reference own = with(p, o -> o.gearIn(lower));
        neverOverRevs(own.lap());
        // Who comes in the lower gear already changes up at the apex alone.
        for (GearChange change : own.pages().get(p).gears().changes()) {
          if (change.to() == lower) {
            rotations++;
            assertThat(change.kind()).isEqualTo(GearChange.Kind.ROTATION);
          }
        }
      }
    }
    assertThat(rotations).isPositive();
  }

  /** Under brakes a gear is taken when the engine turns slowly enough for it. */
  private static void neverOverRevs(Lap lap) {
    for (int i = 0; i < lap.size(); i++) {
      if (lap.brakeShareAt(i) > 0) {
        double limiter = lap.driveline().limiterSpeedMps(lap.gearAt(i));
        assertThat(lap.speedAt(i)).as("at %d", i).isLessThan(1.01 * limiter);
      }
    }
  }

  /** The gear that the last corner leaves is the one in which the first is begun. */
  @Test
  void theFirstCornerIsBegunInTheGearOfTheLast() {
    int last = MODEL.pages().size() - 1;
    List<GearChange> held = MODEL.pages().get(last).gears().changes().subList(0, lastUp(last));
    OwnValues first =
        OwnValues.in(MODEL.pages().get(0).corner()).gearChanges(new GearChanges(List.of())).build();
    OwnValues before =
        OwnValues.in(MODEL.pages().get(last).corner()).gearChanges(new GearChanges(held)).build();
    Reference own =
        Reference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT, List.of(first, before));
    int begin = ROAD.indexOf(CornerTime.beginsAtM(MODEL.pages().get(0), ROAD));
    int gear = own.lap().gearAt(ROAD.wrap(begin - 5));
    assertThat(gear).isLessThan(MODEL.pages().get(0).gears().approach());
    int slowest = ROAD.indexOf(MODEL.pages().get(0).lowestSpeedAtM());
    assertThat(own.lap().gearAt(slowest)).isEqualTo(gear);
  }

  /** Held on the limiter before it is changed up at last. */
  @Test
  void aChangeThatWaitsOnTheLimiterIsCalledSo() {
    int page = changingUp().findFirst().orElseThrow();
    int up = lastUp(page);
    List<GearChange> changes =
        new ArrayList<>(MODEL.pages().get(page).gears().changes().subList(0, up));
    GearChange change = MODEL.pages().get(page).gears().changes().get(up);
    changes.add(new GearChange(ROAD.wrapStation(change.atM() + 60), change.to(), null));
    List<GearChange> made = changed(page, changes).pages().get(page).gears().changes();
    assertThat(made.get(up).kind()).isEqualTo(GearChange.Kind.LIMITER);
  }

  /** A short shift is one: nobody changes down again before the next corner. */
  @ParameterizedTest
  @MethodSource("changingUp")
  void whoChangesUpEarlyOnTheWayOutStaysInThatGear(int page) {
    CornerPage.Gears model = MODEL.pages().get(page).gears();
    GearChange up = model.changes().get(lastUp(page));
    if (model.out() < up.to()) {
      Reference own = with(page, o -> o.gearOut(model.out() + 1));
      int from = ROAD.indexOf(MODEL.pages().get(page).exit().trackOutM());
      for (int k = 0; k <= ROAD.ahead(from, ROAD.indexOf(up.atM())); k++) {
        assertThat(own.lap().gearAt(ROAD.wrap(from + k))).isGreaterThan(model.out());
      }
    }
  }

  /** Changing up sooner than the model never pays, and the more the less. */
  @ParameterizedTest
  @MethodSource("changingUp")
  void aShortShiftCostsTheMoreTheShorter(int page) {
    int up = lastUp(page);
    List<GearChange> changes = MODEL.pages().get(page).gears().changes();
    double before = 0;
    for (double early : new double[] {15, 30}) {
      GearChange change = changes.get(up);
      double at = ROAD.wrapStation(change.atM() - early);
      boolean room = up == 0 || ROAD.offsetBetween(changes.get(up - 1).atM(), at) > 15;
      if (room) {
        List<GearChange> sooner = new ArrayList<>(changes);
        sooner.set(up, new GearChange(at, change.to(), null));
        Reference own = changed(page, sooner);
        assertThat(lostS(own)).isGreaterThan(before - TIE_S);
        before = lostS(own);
        assertThat(own.pages().get(page).gears().changes())
            .anySatisfy(made -> assertThat(made.atM()).isEqualTo(at));
      }
    }
  }

  /** Without the last change up the engine is held on its limiter, and no faster. */
  @ParameterizedTest
  @MethodSource("changingUp")
  void aGearThatIsHeldEndsAtItsLimiter(int page) {
    int up = lastUp(page);
    List<GearChange> held =
        new ArrayList<>(MODEL.pages().get(page).gears().changes().subList(0, up));
    Reference own = changed(page, held);
    int at = ROAD.indexOf(MODEL.pages().get(page).gears().changes().get(up).atM());
    CornerPage after = MODEL.pages().get((page + 1) % MODEL.pages().size());
    int next = ROAD.indexOf(CornerTime.beginsAtM(after, ROAD));
    int gear = LAP.gearAt(ROAD.wrap(at - 1));
    for (int k = 0; k < ROAD.ahead(at, next); k++) {
      int i = ROAD.wrap(at + k);
      if (own.lap().longitudinalAccelerationAt(i) < -BRAKES_MPS2) {
        break;
      }
      assertThat(own.lap().gearAt(i)).isEqualTo(gear);
      assertThat(own.lap().speedAt(i)).isLessThan(1.001 * LAP.driveline().limiterSpeedMps(gear));
    }
    assertThat(lostS(own)).isGreaterThan(-TIE_S);
  }

  @Test
  void whatCannotBeChangedIsSaidAtTheChange() {
    CornerPage page = MODEL.pages().get(1);
    double begin = page.brake().atM();
    assertThatThrownBy(
            () ->
                changed(
                    1,
                    List.of(
                        new GearChange(begin + 30, 3, null), new GearChange(begin + 20, 2, null))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("gears.changes/1/at_m");
    assertThatThrownBy(() -> changed(1, List.of(new GearChange(begin + 2, 1, null))))
        .hasMessageContaining("over its limiter");
    assertThatThrownBy(() -> changed(1, List.of(new GearChange(begin + 30, 9, null))))
        .hasMessageContaining("no gear 9");
    double next = MODEL.pages().get(2).turnIn().atM();
    assertThatThrownBy(() -> changed(1, List.of(new GearChange(next + 5, 3, null))))
        .hasMessageContaining("outside of this corner");
  }

  /** The foot's way is the mark's: what is saved of it is covered at the speed of the approach. */
  @ParameterizedTest
  @EnumSource(Footwork.class)
  void aFootThatIsSoonerOnTheBrakeActsLater(Footwork feet) {
    CornerPage model = MODEL.pages().get(1);
    Reference own = with(1, o -> o.feet(feet));
    double later = ROAD.offsetBetween(model.brake().atM(), own.pages().get(1).brake().atM());
    double saved =
        (Conditions.DEFAULT.pedalChangeS() - feet.changeS()) * model.approach().speedMps();
    // Of a foot's way that part is the mark's which is not slowed off on it: most of it.
    assertThat(later / saved).isBetween(0.5, 1.0);
    assertThat(FeetCost.laterM(LAP, MODEL.pages(), 1, feet)).isCloseTo(later, within(0.01));
    assertThat(own.pages().get(1).feet()).isEqualTo(feet);
    assertThat(own.driven().get(1).made()).isTrue();
    assertThat(lostS(own)).isCloseTo(0, within(TIE_S));
  }

  /** The longer the throttle is shut before the brakes, the more it costs: left, right, covered. */
  @Test
  void aFootThatTakesLongerCostsMore() {
    for (int p = 0; p < MODEL.pages().size(); p++) {
      if (MODEL.pages().get(p).brake().atM() != null) {
        double left = FeetCost.lostS(LAP, MODEL.pages(), p, Footwork.LEFT);
        double right = FeetCost.lostS(LAP, MODEL.pages(), p, Footwork.RIGHT);
        double covered = FeetCost.lostS(LAP, MODEL.pages(), p, Footwork.COVER);
        assertThat(covered).isBetween(left + 0.001, 2 * MOST_FOOT_S);
        assertThat(left).isBetween(-MOST_FOOT_S, 0.001);
        assertThat(right).isBetween(left, MOST_FOOT_S);
      }
    }
  }

  @Test
  void onlyALeftFootLeavesTheThrottleToTheRight() {
    CornerPage page = MODEL.pages().get(1);
    double onM = page.brake().atM();
    double offM = page.throttle().firstM();
    PedalWork.Presses presses = new PedalWork.Presses(List.of(new Press(onM, 80, List.of(), offM)));
    PedalWork.Phases phases =
        new PedalWork.Phases(
            List.of(
                new Phase(Phase.Kind.HOLD, offM - 15, 10, offM - 5),
                new Phase(Phase.Kind.FLAT, offM + 40, 100, null)));
    assertThatThrownBy(() -> with(1, o -> o.presses(presses).phases(phases)))
        .hasMessageContaining("one foot cannot do both");
    Reference left = with(1, o -> o.presses(presses).phases(phases).feet(Footwork.LEFT));
    assertThat(left.pages().get(1).pedals().phases()).isEqualTo(phases.list());
  }
}
