package marvek.core.page;

import static marvek.core.TestVehicles.FULL_GRIP;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.TestBooks;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.page.GearChange.Kind;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.Test;

/** Gears read off laps of a straight with a slow place from 160 to 200 m, some of them held. */
class GearReaderTest {
  private static final Path STRAIGHT =
      Path.centreline(
          Road.through(TestRoads.every(5).straight(1000).survey(false, 6, 0, 0)), List.of());
  private static final Road ROAD = STRAIGHT.road();
  private static final int BEGIN = ROAD.indexOf(60);
  private static final int SLOWEST = ROAD.indexOf(200);
  private static final int LAST = ROAD.size() - 1;

  /**
   * @param holds threes of where a gear is held from, where to, and which
   */
  private static Lap lap(double... holds) {
    double[] cap = new double[STRAIGHT.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    Arrays.fill(cap, ROAD.indexOf(160), SLOWEST + 1, 22);
    int[] held = new int[STRAIGHT.size()];
    for (int h = 0; h < holds.length; h += 3) {
      Arrays.fill(held, ROAD.indexOf(holds[h]), ROAD.indexOf(holds[h + 1]), (int) holds[h + 2]);
    }
    ProfileOptions options = ProfileOptions.NONE.withSpeedCap(cap).withHeldGear(held);
    return SpeedProfile.solve(STRAIGHT, TestVehicles.clubCar(), FULL_GRIP, options);
  }

  private static CornerPage.Gears read(Lap lap, int begin, int next) {
    GearPlaces places =
        GearPlaces.of(
            ROAD, 150, 200, new CornerPage.Throttle(205.0, 50.0, 300.0), 320, ROAD.indexOf(700));
    return GearReader.of(lap, begin, SLOWEST, next, places);
  }

  private static final Lap PLAIN = lap();

  /** Changes of a lap between two samples, told by the gears themselves. */
  private static List<GearChange> changed(Lap lap, int from, int to) {
    List<GearChange> changes = new ArrayList<>();
    for (int i = from; i < to; i++) {
      if (lap.gearAt(i) != lap.gearAt(i - 1)) {
        changes.add(new GearChange(ROAD.stationAt(i), lap.gearAt(i), null));
      }
    }
    return changes;
  }

  private static List<GearChange> withoutKinds(List<GearChange> changes) {
    return changes.stream().map(c -> new GearChange(c.atM(), c.to(), null)).toList();
  }

  @Test
  void theGearsStandWhereTheyAreAskedFor() {
    CornerPage.Gears gears = read(PLAIN, BEGIN, LAST);
    assertThat(gears.approach()).isEqualTo(PLAIN.gearAt(BEGIN - 1));
    assertThat(gears.in()).isEqualTo(PLAIN.gearAt(ROAD.indexOf(192) - 1));
    assertThat(gears.corner()).isEqualTo(PLAIN.gearAt(SLOWEST));
    assertThat(gears.out()).isEqualTo(PLAIN.gearAt(ROAD.indexOf(300)));
    assertThat(gears.approach()).isGreaterThan(gears.corner());
    assertThat(gears.out()).isGreaterThan(gears.corner());
  }

  /** From the first point to the next corner's, down on the way in and up at the limiter. */
  @Test
  void changesAreThoseFromTheFirstPointToTheNext() {
    int next = ROAD.indexOf(500);
    CornerPage.Gears gears = read(PLAIN, BEGIN, next);
    assertThat(withoutKinds(gears.changes())).isEqualTo(changed(PLAIN, BEGIN, next));
    assertThat(gears.changes()).hasSizeGreaterThan(3);
    for (GearChange change : gears.changes()) {
      assertThat(change.kind()).isEqualTo(change.atM() < 200 ? Kind.DOWN : Kind.UP);
    }
    assertThat(gears.downshiftsM())
        .isEqualTo(changed(PLAIN, BEGIN, SLOWEST).stream().map(GearChange::atM).toList());
  }

  @Test
  void whatLiesBeforeTheFirstPointIsNoneOfTheCorners() {
    int begin = ROAD.indexOf(changed(PLAIN, BEGIN, SLOWEST).get(0).atM()) + 1;
    assertThat(withoutKinds(read(PLAIN, begin, LAST).changes()))
        .isEqualTo(changed(PLAIN, begin, LAST));
  }

  private static GearChange at(Lap lap, double stationM) {
    return read(lap, BEGIN, LAST).changes().stream()
        .filter(change -> Math.abs(change.atM() - stationM) < 1.5 * ROAD.stepM())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aChangeUpWellBeforeTheLimiterIsShort() {
    assertThat(at(lap(215, 400, 3), 215).kind()).isEqualTo(Kind.SHORT);
  }

  @Test
  void aChangeUpAfterTheLimiterWasHeldIsToldSo() {
    assertThat(at(lap(200, 300, 2), 300).kind()).isEqualTo(Kind.LIMITER);
  }

  /** First gear turns the car before the slowest place and is left again at the apex. */
  @Test
  void aGearThatIsLeftAtTheApexTurnsTheCar() {
    GearChange down = at(lap(150, 190, 2, 190, 210, 1), 190);
    assertThat(down.to()).isEqualTo(1);
    assertThat(down.kind()).isEqualTo(Kind.ROTATION);
    assertThat(at(lap(150, 190, 2, 190, 260, 1), 190).kind()).isEqualTo(Kind.DOWN);
  }

  /** A change down up to five metres behind the slowest place belongs to the way in. */
  @Test
  void aLateChangeDownIsOfTheWayInForFiveMetres() {
    assertThat(late(204)).isTrue();
    assertThat(late(207)).isFalse();
  }

  /** Whether a change down made at a station is one of the way in. */
  private static boolean late(double stationM) {
    Lap lap = lap(150, stationM, 2, stationM, 260, 1);
    return read(lap, BEGIN, LAST).downshiftsM().stream()
        .anyMatch(m -> Math.abs(m - stationM) < 0.5);
  }

  @Test
  void theNextCornerBeginsAtItsBrakePointOrTurnInAndTheRoadsEndIsTheLast() {
    List<CornerPage> pages = TestBooks.VARIED.pages();
    Road closed = TestBooks.VARIED.path().road();
    int last = pages.size() - 1;
    assertThat(GearReader.nextBegin(closed, pages, 0)).isEqualTo(begin(closed, pages.get(1)));
    assertThat(GearReader.nextBegin(closed, pages, last)).isEqualTo(begin(closed, pages.get(0)));
    assertThat(GearReader.nextBegin(ROAD, pages, last)).isEqualTo(LAST);
    assertThat(GearReader.nextBegin(ROAD, pages, 0)).isEqualTo(begin(ROAD, pages.get(1)));
  }

  private static int begin(Road road, CornerPage page) {
    Double brakeM = page.brake().atM();
    return road.indexOf(
        brakeM == null ? page.turnIn().atM() : Math.min(brakeM, page.turnIn().atM()));
  }

  /** A change that is written is told where it is written, one of another gear or place is not. */
  @Test
  void aWrittenChangeIsToldWhereItIsWritten() {
    List<CornerPage> pages = TestBooks.VARIED.pages();
    Lap lap = TestBooks.VARIED.lap();
    double step = lap.path().road().stepM();
    int page = 0;
    while (GearReader.on(lap, pages, page, List.of()).changes().isEmpty()) {
      page++;
    }
    GearChange made = GearReader.on(lap, pages, page, List.of()).changes().get(0);
    assertThat(first(lap, page, new GearChange(made.atM() + step, made.to(), null)))
        .isEqualTo(new GearChange(made.atM() + step, made.to(), made.kind()));
    assertThat(first(lap, page, new GearChange(made.atM() + 2 * step, made.to(), null)))
        .isEqualTo(made);
    assertThat(first(lap, page, new GearChange(made.atM() + step, made.to() + 1, null)))
        .isEqualTo(made);
  }

  private static GearChange first(Lap lap, int page, GearChange written) {
    return GearReader.on(lap, TestBooks.VARIED.pages(), page, List.of(written)).changes().get(0);
  }
}
