package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.Remark;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;

/**
 * Slips and wishes as limits of the model: read off the lap that comes of them, and their cost
 * against the whole lap solved again. One gear, so that no other choice comes in.
 */
class OwnLimitsTest {
  private static final Vehicle ONE_GEAR =
      TestVehicles.bare(
          Vehicle.Drive.REAR,
          0.4,
          0.48,
          1.2,
          new Brakes(15_000, 0.6),
          TestVehicles.engine(),
          new Gearbox(new double[] {1.3}, 3.9, 0.92, 0, 0),
          0.8);
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private final Reference.Basis basis =
      Reference.basis(VARIED, ONE_GEAR, Conditions.DEFAULT, ChosenLine.SMOOTH);
  private final Reference model = Reference.on(basis, Conditions.DEFAULT, List.of());
  private final Lap lap = model.modelLap();
  private final List<CornerPage> pages = model.modelPages();
  private final Road road = lap.path().road();

  private Lap with(OwnValues own) {
    return SpeedProfile.solve(lap.path(), ONE_GEAR, Conditions.DEFAULT, limits(own).options());
  }

  private OwnValuesOnLap.Limits limits(OwnValues own) {
    return OwnValuesOnLap.of(lap, pages, List.of(own));
  }

  private CornerPage braked() {
    return pages.stream()
        .filter(p -> p.brake().atM() != null)
        .filter(p -> road.offsetBetween(p.brake().atM(), p.lowestSpeedAtM()) > 30)
        .findFirst()
        .orElseThrow();
  }

  /** Seven metres earlier: the speed of seven metres later, until the lowest is reached. */
  @Test
  void earlierOnTheBrakesIsTheCurveMoved() {
    CornerPage page = braked();
    double atM = page.brake().atM();
    Lap early = with(OwnValues.in(page.corner()).brakeAtM(road.wrapStation(atM - 7)).build());
    int acting = road.indexOf(atM);
    int way = road.ahead(acting, road.indexOf(page.lowestSpeedAtM()));
    int seven = road.samples(7);
    for (int k = -seven; k + seven <= way; k++) {
      int there = road.wrap(acting + k);
      double moved = lap.speedAt(road.wrap(there + seven));
      assertThat(early.speedAt(there)).as("%d", k).isLessThanOrEqualTo(moved + 0.02);
      assertThat(early.speedAt(there)).isCloseTo(moved, within(0.35));
    }
    int lowest = road.indexOf(page.lowestSpeedAtM());
    assertThat(early.speedAt(road.wrap(lowest - 3))).isCloseTo(lap.speedAt(lowest), within(0.05));
    assertThat(early.timeS()).isGreaterThan(lap.timeS() + 0.02);
    // Less than half a metre is the same place; later is not the model's to follow.
    for (double by : new double[] {-0.4, 12}) {
      OwnValues same = OwnValues.in(page.corner()).brakeAtM(road.wrapStation(atM + by)).build();
      assertThat(with(same).timeS()).isCloseTo(lap.timeS(), within(1e-9));
    }
  }

  /** Slower at the apex: that speed there, the corner's limits in proportion, none other. */
  @Test
  void aLowerApexSpeedIsTheLowest() {
    CornerPage page = braked();
    double wanted = page.lowestSpeedMps() - 2;
    Lap slow = with(OwnValues.in(page.corner()).apexSpeedMps(wanted).build());
    int from = road.indexOf(page.turnIn().atM());
    int span = road.ahead(from, road.indexOf(page.exit().trackOutM()));
    double lowest = 999;
    double share = wanted / page.lowestSpeedMps();
    for (int k = 0; k <= span; k++) {
      int i = road.wrap(from + k);
      lowest = Math.min(lowest, slow.speedAt(i));
      assertThat(slow.speedAt(i))
          .isLessThanOrEqualTo(Math.max(wanted, share * lap.limitSpeedAt(i)) + 1e-6);
    }
    assertThat(lowest).isCloseTo(wanted, within(1e-6));
    assertThat(slow.speedAt(road.indexOf(page.lowestSpeedAtM()))).isCloseTo(wanted, within(1e-6));
    for (double same : new double[] {page.lowestSpeedMps() - 0.04, page.lowestSpeedMps() + 3}) {
      OwnValues own = OwnValues.in(page.corner()).apexSpeedMps(same).build();
      assertThat(with(own).timeS()).isCloseTo(lap.timeS(), within(1e-9));
    }
  }

  /** Nothing drives between the model's first throttle and the driver's own. */
  @Test
  void aLaterThrottleCoastsUntilThere() {
    CornerPage page = braked();
    double firstM = page.throttle().firstM();
    OwnValues own =
        OwnValues.in(page.corner()).throttleFirstM(road.wrapStation(firstM + 12)).build();
    Lap late = with(own);
    int first = road.indexOf(firstM);
    for (int k = 1; k < road.samples(12) - 2; k++) {
      int i = road.wrap(first + k);
      assertThat(late.tyreForceAt(i)).as("%d m", k).isCloseTo(0, within(20.0));
    }
    assertThat(late.tyreForceAt(road.wrap(first + road.samples(12) + 2))).isGreaterThan(1000);
    OwnValues same =
        OwnValues.in(page.corner()).throttleFirstM(road.wrapStation(firstM + 0.4)).build();
    assertThat(with(same).timeS()).isCloseTo(lap.timeS(), within(1e-9));
  }

  /** What the model cannot be run at is driven on its lap, which need not be solved again. */
  @Test
  void whatIsBeyondTheModelLimitsNothing() {
    CornerPage page = braked();
    OwnValues.Builder own = OwnValues.in(page.corner());
    double later = road.wrapStation(page.brake().atM() + 7);
    double quicker = page.lowestSpeedMps() + 2;
    double sooner = road.wrapStation(page.throttle().firstM() - 7);
    assertThat(
            limits(own.brakeAtM(later).apexSpeedMps(quicker).throttleFirstM(sooner).build())
                .options())
        .isSameAs(ProfileOptions.NONE);
    assertThat(limits(own.throttleFirstM(road.wrapStation(sooner + 20)).build()).options())
        .isNotSameAs(ProfileOptions.NONE);
  }

  /** A gear of one's own is held from before the slowest place until well behind it. */
  @Test
  void aGearOfOnesOwnIsHeldThroughTheCorner() {
    Vehicle car = TestVehicles.clubCar();
    Reference.Basis basis = Reference.basis(VARIED, car, Conditions.DEFAULT, ChosenLine.SMOOTH);
    Reference model = Reference.on(basis, Conditions.DEFAULT, List.of());
    CornerPage page = model.modelPages().get(1);
    int wanted = page.gears().corner() + 1;
    OwnValues own = OwnValues.in(page.corner()).cornerGear(wanted).build();
    OwnValuesOnLap.Limits limits =
        OwnValuesOnLap.of(model.modelLap(), model.modelPages(), List.of(own));
    Lap held =
        SpeedProfile.solve(model.modelLap().path(), car, Conditions.DEFAULT, limits.options());
    int slowest = road.indexOf(page.lowestSpeedAtM());
    for (int k = -7; k <= 15; k++) {
      assertThat(held.gearAt(road.wrap(slowest + k))).as("%d m", k).isEqualTo(wanted);
    }
    assertThat(limits.remarks()).isEmpty();
    assertThat(remarks(model, OwnValues.in(page.corner()).cornerGear(7).build()))
        .containsExactly(
            new Remark(page.corner(), "gears.corner", Sentence.of("own.no-such-gear", "gear", 7)));
    CornerPage fast =
        model.modelPages().stream()
            .max(java.util.Comparator.comparingDouble(CornerPage::lowestSpeedMps))
            .orElseThrow();
    assertThat(remarks(model, OwnValues.in(fast.corner()).cornerGear(1).build()))
        .containsExactly(
            new Remark(
                fast.corner(), "gears.corner", Sentence.of("own.beyond-limiter", "gear", 1)));
  }

  private List<Remark> remarks(Reference model, OwnValues own) {
    return OwnValuesOnLap.of(model.modelLap(), model.modelPages(), List.of(own)).remarks();
  }

  /** Where the model has no such point the driver's own is kept and that is said. */
  @Test
  void whatTheModelDoesNotDoIsSaid() {
    Circuit gentle =
        Circuit.bare(
            "gentle",
            TestRoads.every(5)
                .straight(200)
                .corner(300, 40, 60)
                .straight(300)
                .survey(false, 6, 0, 0));
    Vehicle weak = ONE_GEAR;
    Reference model =
        Reference.on(
            Reference.basis(gentle, weak, Conditions.DEFAULT, ChosenLine.SMOOTH),
            Conditions.DEFAULT,
            List.of());
    CornerPage flat = model.modelPages().get(0);
    assertThat(flat.brake().atM()).isNull();
    assertThat(flat.throttle().firstM()).isNull();
    OwnValues own = OwnValues.in(flat.corner()).brakeAtM(150.0).throttleFirstM(260.0).build();
    assertThat(remarks(model, own))
        .extracting(Remark::field)
        .containsExactly("brake.at_m", "throttle.first_m");
  }

  private double whole(ProfileOptions options) {
    return SpeedProfile.solve(lap.path(), ONE_GEAR, Conditions.DEFAULT, options).timeS()
        - lap.timeS();
  }

  /** Each stake is what the whole lap loses by the slip that it is told for. */
  @Test
  void aStakeIsWhatTheWholeLapLoses() {
    List<Stakes> all = StakesRun.of(lap, pages);
    int braked = 0;
    for (int p = 0; p < pages.size(); p++) {
      CornerPage page = pages.get(p);
      Stakes stakes = all.get(p);
      if (page.brake().atM() != null) {
        braked++;
        OwnValues early =
            OwnValues.in(page.corner()).brakeAtM(road.wrapStation(page.brake().atM() - 5)).build();
        assertThat(stakes.brake5mEarlyS()).isCloseTo(whole(limits(early).options()), within(5e-5));
      }
      OwnValues slow =
          OwnValues.in(page.corner()).apexSpeedMps(page.lowestSpeedMps() - 2 / 3.6).build();
      assertThat(stakes.apex2kmhSlowerS()).isCloseTo(whole(limits(slow).options()), within(5e-5));
      if (page.throttle().firstM() == null) {
        assertThat(stakes.throttle10mLateS()).isNull();
      } else {
        OwnValues late =
            OwnValues.in(page.corner())
                .throttleFirstM(road.wrapStation(page.throttle().firstM() + 10))
                .build();
        assertThat(stakes.throttle10mLateS())
            .isCloseTo(whole(limits(late).options()), within(5e-5));
      }
      // Both draw the path between points a metre apart; its curvature tells that by some per cent.
      double off = halfAMetreOff(page);
      assertThat(stakes.apexHalfMetreOffS()).isCloseTo(off, within(2e-3 + 0.1 * off));
    }
    assertThat(braked).isGreaterThan(4);
  }

  /**
   * The path half a metre away from the inside, by a raised cosine from turn-in to track-out: each
   * point of it moved along the path's own normal, brought back to the road's samples.
   */
  private double halfAMetreOff(CornerPage page) {
    double apexM = page.apexes().get(0).atM();
    double before = Math.max(25, road.distance(page.turnIn().atM(), apexM));
    double after = Math.max(25, road.distance(apexM, page.exit().trackOutM()));
    int away = page.direction() == Side.LEFT ? -1 : 1;
    Path path = lap.path();
    double[] offsets = path.offsets();
    int apex = road.indexOf(apexM);
    double[] moved = new double[offsets.length];
    double[][] points = new double[offsets.length][];
    for (int i = 0; i < offsets.length; i++) {
      double way = road.offsetBetween(road.stationAt(apex), road.stationAt(i));
      double share = way < 0 ? -way / before : way / after;
      moved[i] = away * 0.25 * (1 + Math.cos(Math.PI * Math.min(1, share)));
      int last = road.wrap(i - 1);
      int next = road.wrap(i + 1);
      double tx = path.xAt(next) - path.xAt(last);
      double ty = path.yAt(next) - path.yAt(last);
      double length = Math.hypot(tx, ty);
      points[i] =
          new double[] {path.xAt(i) - moved[i] * ty / length, path.yAt(i) + moved[i] * tx / length};
    }
    for (int i = 0; i < offsets.length; i++) {
      if (moved[i] != 0) {
        offsets[i] = offsetOf(points, i);
      }
    }
    double lost =
        SpeedProfile.solve(Path.at(road, offsets, List.of()), ONE_GEAR, Conditions.DEFAULT).timeS()
            - lap.timeS();
    return Math.max(0, lost);
  }

  /** Where the moved points cross a sample's own normal. */
  private double offsetOf(double[][] points, int i) {
    double nx = road.normalXAt(i);
    double ny = road.normalYAt(i);
    for (int k = -4; k < 4; k++) {
      double[] a = points[road.wrap(i + k)];
      double[] b = points[road.wrap(i + k + 1)];
      // Along the road: the tangent is the normal turned to the right.
      double ta = (a[0] - road.xAt(i)) * ny - (a[1] - road.yAt(i)) * nx;
      double tb = (b[0] - road.xAt(i)) * ny - (b[1] - road.yAt(i)) * nx;
      if (ta <= 0 && tb > 0) {
        double f = -ta / (tb - ta);
        double x = a[0] + f * (b[0] - a[0]) - road.xAt(i);
        double y = a[1] + f * (b[1] - a[1]) - road.yAt(i);
        return x * nx + y * ny;
      }
    }
    throw new AssertionError("no crossing at " + i);
  }

  /** Who drives at a walk cannot be slower by what a slip is told for. */
  @Test
  void aSlipThatCannotBeMadeIsNone() {
    Lap walk = lap.withSpeeds(constant(1.1));
    Stakes stakes = StakesRun.of(walk, pages).get(0);
    assertThat(stakes.exit1kmhSlowerS()).isNull();
    assertThat(stakes.apexHalfMetreOffS()).isNotNull();
    assertThat(StakesRun.of(lap, pages).get(0).exit1kmhSlowerS()).isNotNull();
  }

  private double[] constant(double speed) {
    double[] all = new double[lap.size()];
    Arrays.fill(all, speed);
    return all;
  }
}
