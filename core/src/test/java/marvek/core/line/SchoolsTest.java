package marvek.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Zone;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.SurfacePart;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class SchoolsTest {
  /** Corners of 110°, −80°, 150°, −60° and 60°, twice; the third is long and slow. */
  private static final Circuit CIRCUIT = Circuit.bare("varied", TestRoads.varied(5));

  private static final int LONG_ONE = 2;

  private static Road road;
  private static Corridor corridor;
  private static List<Corner> corners;
  private static Lap present;
  private static List<Schools.Tried> tried;

  @BeforeAll
  static void draw() {
    road = CIRCUIT.road();
    corridor = Corridor.of(CIRCUIT, road, TestVehicles.clubCar(), Conditions.DEFAULT, 0.15);
    corners = CornerFinder.find(CIRCUIT, road);
    present = solved(SmoothLine.find(road, corridor, List.of()).path());
    tried = Schools.of(present, corridor, corners, LONG_ONE);
  }

  private static Lap solved(Path path) {
    return SpeedProfile.solve(path, TestVehicles.clubCar(), Conditions.OF_NEW_BOOKS);
  }

  private static Schools.Tried one(School school) {
    return tried.stream().filter(t -> t.school() == school).findFirst().orElseThrow();
  }

  @Test
  void noSchoolIsQuickerThanTheFastest() {
    for (int c = 0; c < corners.size(); c += 3) {
      List<Schools.Tried> all = Schools.of(present, corridor, corners, c);
      assertThat(all.get(0).school()).isEqualTo(School.FASTEST);
      assertThat(all.get(0).lostS()).isLessThanOrEqualTo(1e-9);
      assertThat(all).isSortedAccordingTo((a, b) -> Double.compare(a.lostS(), b.lostS()));
    }
  }

  /**
   * So it does where parts of the lap are wet, be it the corner or the way across the start line.
   */
  @Test
  void theSectionKnowsWhatIsWet() {
    Corner corner = corners.get(LONG_ONE);
    for (SurfacePart part :
        List.of(
            new SurfacePart(corner.fromM() - 80, corner.toM() + 20, Conditions.Surface.WET),
            new SurfacePart(corner.toM() - 30, 40, Conditions.Surface.DAMP))) {
      Conditions day = Conditions.DEFAULT.but().parts(List.of(part)).build();
      Lap wet = SpeedProfile.solve(present.path(), TestVehicles.clubCar(), day);
      for (Schools.Tried t : Schools.of(wet, corridor, corners, LONG_ONE)) {
        Path path = Path.at(road, t.offsetsM(), List.of());
        double whole = SpeedProfile.solve(path, TestVehicles.clubCar(), day).timeS() - wet.timeS();
        assertThat(t.lostS()).as("%s on %s", t.school(), part).isCloseTo(whole, within(0.012));
      }
    }
  }

  /** On the part of the lap that a line touches it costs what it costs on the whole lap. */
  @Test
  void theSectionSaysWhatTheWholeLapSays() {
    for (Schools.Tried t : tried) {
      double whole = solved(Path.at(road, t.offsetsM(), List.of())).timeS() - present.timeS();
      assertThat(t.lostS()).as("%s", t.school()).isCloseTo(whole, within(0.012));
    }
  }

  @Test
  void everyLineStaysOnTheRoadAndJoinsThePresentOne() {
    Corner corner = corners.get(LONG_ONE);
    for (Schools.Tried t : tried) {
      double[] offsets = t.offsetsM();
      for (int i = 0; i < offsets.length; i++) {
        assertThat(offsets[i]).isBetween(corridor.rightAt(i) - 0.003, corridor.leftAt(i) + 0.003);
        double away = Math.abs(road.offsetBetween(corner.tightestM(), road.stationAt(i)));
        if (away > 600) {
          assertThat(offsets[i]).isEqualTo(present.path().offsetAt(i));
        }
      }
    }
  }

  /** What each school is: where it meets the inside, how far round it goes, how slow it gets. */
  @Test
  void theLinesAreWhatTheyAreCalled() {
    Map<School, Double> apex = new EnumMap<>(School.class);
    Map<School, Double> lowest = new EnumMap<>(School.class);
    Map<School, Double> length = new EnumMap<>(School.class);
    for (Schools.Tried t : tried) {
      apex.put(t.school(), apexAfter(t.offsetsM()));
      lowest.put(t.school(), lowest(t.lap()));
      length.put(t.school(), t.lap().path().distanceAt(t.lap().size() - 1));
    }
    assertThat(apex.get(School.LATE_APEX)).isGreaterThan(apex.get(School.ROUNDED) + 2);
    assertThat(length.get(School.TIGHT)).isLessThan(length.get(School.ROUNDED) - 2);
    assertThat(lowest.get(School.V)).isLessThan(lowest.get(School.ROUNDED) - 0.5);
    assertThat(entryOutside(School.DEFEND)).isGreaterThan(entryOutside(School.ROUNDED) + 1.5);
  }

  /** Way from the corner's first metre to where the line is nearest to the inside. */
  private static double apexAfter(double[] offsets) {
    Corner corner = corners.get(LONG_ONE);
    int from = road.indexOf(corner.fromM());
    int count = (int) corner.lengthM();
    double least = Double.POSITIVE_INFINITY;
    double sum = 0;
    int members = 0;
    for (int k = 0; k <= count; k++) {
      least = Math.min(least, gap(offsets, corner, road.wrap(from + k)));
    }
    for (int k = 0; k <= count; k++) {
      if (gap(offsets, corner, road.wrap(from + k)) < least + 0.1) {
        sum += k;
        members++;
      }
    }
    return sum / members;
  }

  private static double gap(double[] offsets, Corner corner, int i) {
    return corner.sign() > 0 ? corridor.leftAt(i) - offsets[i] : offsets[i] - corridor.rightAt(i);
  }

  private static double lowest(Lap lap) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < lap.size(); i++) {
      least = Math.min(least, lap.speedAt(i));
    }
    return least;
  }

  /** How far from the outside the car is where the corner begins. */
  private static double entryOutside(School school) {
    Corner corner = corners.get(LONG_ONE);
    int i = road.indexOf(corner.fromM());
    double[] offsets = one(school).offsetsM();
    return corner.sign() > 0 ? offsets[i] - corridor.rightAt(i) : corridor.leftAt(i) - offsets[i];
  }

  /** Common practice: between a late and a double apex of a long corner lies about a tenth. */
  @Test
  void lateAndDoubleApexLieNearEachOther() {
    double between = one(School.LATE_APEX).lostS() - one(School.DOUBLE_APEX).lostS();
    assertThat(Math.abs(between)).isBetween(0.0, 0.35);
  }

  @Test
  void aLineAloneIsTheSameAsAmongTheOthers() {
    double[] alone = Schools.line(present, corridor, corners, LONG_ONE, School.LATE_APEX);
    assertThat(alone).containsExactly(one(School.LATE_APEX).offsetsM());
  }

  @Test
  void twoApexesNeedALongCorner() {
    int kink = 3;
    assertThat(Schools.of(present, corridor, corners, kink))
        .extracting(Schools.Tried::school)
        .doesNotContain(School.DOUBLE_APEX);
    assertThatThrownBy(() -> Schools.line(present, corridor, corners, kink, School.DOUBLE_APEX))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("double-apex");
  }

  /** A link swept: every place across the road, the present one costs nothing, and both ends do. */
  @Test
  void aLinkIsSweptFromEdgeToEdge() {
    LinkSweep.Result sweep = LinkSweep.of(present, corridor, corners, 1, 21, false);
    assertThat(sweep.ways()).hasSize(21);
    assertThat(sweep.ways())
        .isSortedAccordingTo((a, b) -> Double.compare(a.offsetM(), b.offsetM()));
    LinkSweep.Way nearest = sweep.ways().get(0);
    for (LinkSweep.Way way : sweep.ways()) {
      double away = Math.abs(way.offsetM() - sweep.presentOffsetM());
      nearest = away < Math.abs(nearest.offsetM() - sweep.presentOffsetM()) ? way : nearest;
    }
    assertThat(nearest.lostS()).isCloseTo(0, within(0.05));
    double best = sweep.best().lostS();
    assertThat(best).isLessThanOrEqualTo(nearest.lostS());
    assertThat(sweep.ways().get(0).lostS()).isGreaterThan(best);
    assertThat(sweep.ways().get(20).lostS()).isGreaterThan(best);
    // What the link takes from one corner it gives to the other: both lowest speeds follow it.
    assertThat(spread(sweep, true)).isGreaterThan(0.3);
    assertThat(spread(sweep, false)).isGreaterThan(0.3);
  }

  /** From right to left, wherever across the road the search begins. */
  @Test
  void theWaysOfEveryLinkStandInOrder() {
    for (int c = 0; c < corners.size(); c++) {
      assertThat(LinkSweep.of(present, corridor, corners, c, 7, false).ways())
          .as("after corner %d", c)
          .isSortedAccordingTo((a, b) -> Double.compare(a.offsetM(), b.offsetM()));
    }
  }

  private static double spread(LinkSweep.Result sweep, boolean first) {
    var speeds =
        sweep.ways().stream()
            .mapToDouble(w -> first ? w.firstLowestMps() : w.secondLowestMps())
            .summaryStatistics();
    return speeds.getMax() - speeds.getMin();
  }

  @Test
  void aSweepOfTwoPlacesIsNone() {
    assertThatThrownBy(() -> LinkSweep.of(present, corridor, corners, 1, 2, false))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("positions");
  }

  /** A slippery stretch counts on the section as it counts on the whole lap, wherever it begins. */
  @Test
  void zonesOfTheRoadGoIntoTheSection() {
    Corner corner = corners.get(LONG_ONE);
    double start = road.wrapStation(corner.fromM() - 900);
    List<Zone> zones =
        List.of(
            new Zone(Zone.Type.DUST, Side.ROAD, start, corner.tightestM(), 0.8, ""),
            new Zone(Zone.Type.PATCH, Side.ROAD, corner.tightestM() + 20, corner.toM(), 0.9, ""));
    Path path = Path.at(road, present.path().offsets(), zones);
    Lap slippery = solved(path);
    assertThat(slippery.timeS()).isGreaterThan(present.timeS() + 0.1);
    for (Schools.Tried t : Schools.of(slippery, corridor, corners, LONG_ONE)) {
      double whole = solved(Path.at(road, t.offsetsM(), zones)).timeS() - slippery.timeS();
      assertThat(t.lostS()).as("%s", t.school()).isCloseTo(whole, within(0.015));
    }
  }

  /** A wish for another place at the apex is met there, and the line is itself again elsewhere. */
  @Test
  void aWishLeadsTheLineThroughAPlace() {
    Corner corner = corners.get(LONG_ONE);
    int apex = road.indexOf(corner.tightestM());
    double wanted = present.path().offsetAt(apex) - corner.sign() * 1.5;
    LineWish wish = new LineWish(corner.tightestM(), wanted);
    double[] offsets = wish.on(present, corridor, corners, LONG_ONE, false);
    assertThat(offsets[apex]).isCloseTo(wanted, within(0.01));
    int elsewhere = road.indexOf(road.wrapStation(corner.tightestM() + 1200));
    assertThat(offsets[elsewhere]).isEqualTo(present.path().offsetAt(elsewhere));
    double[] sooner = wish.on(present, corridor, corners, LONG_ONE, true);
    assertThat(solved(Path.at(road, sooner, List.of())).timeS())
        .isLessThanOrEqualTo(solved(Path.at(road, offsets, List.of())).timeS() + 0.01);
  }

  /** Who carries speed bends less than the quickest does, and is slowest at a higher speed. */
  @Test
  void roundedBendsLessThanTheFastest() {
    Corner corner = corners.get(LONG_ONE);
    assertThat(peak(one(School.ROUNDED), corner))
        .isLessThan(0.9 * peak(one(School.FASTEST), corner));
    assertThat(lowest(one(School.ROUNDED), corner))
        .isGreaterThan(lowest(one(School.FASTEST), corner));
  }

  private static double peak(Schools.Tried tried, Corner corner) {
    Path path = Path.at(road, tried.offsetsM(), List.of());
    double most = 0;
    for (int i = road.indexOf(corner.fromM()); i <= road.indexOf(corner.toM()); i++) {
      most = Math.max(most, Math.abs(path.curvatureAt(i)));
    }
    return most;
  }

  private static double lowest(Schools.Tried tried, Corner corner) {
    Lap lap = solved(Path.at(road, tried.offsetsM(), List.of()));
    double least = Double.POSITIVE_INFINITY;
    for (int i = road.indexOf(corner.fromM()); i <= road.indexOf(corner.toM()); i++) {
      least = Math.min(least, lap.speedAt(i));
    }
    return least;
  }

  /**
   * From the fastest line nothing is faster, whatever school or way through a link, by more than a
   * hundredth; and through the place at which it passes the link next to nothing is lost.
   */
  @Test
  void nothingIsFasterThanTheFastestLine() {
    Lap fastest = FastestLine.find(present, corridor, share -> {}).lap();
    for (int c = 0; c < corners.size(); c += 5) {
      for (Schools.Tried t : Schools.of(fastest, corridor, corners, c)) {
        assertThat(t.lostS()).as("%s in corner %d", t.school(), c).isGreaterThan(-0.01);
      }
    }
    LinkSweep.Result sweep = LinkSweep.of(fastest, corridor, corners, 1, 15, true);
    assertThat(sweep.best().lostS()).isGreaterThan(-0.01);
    double step = sweep.ways().get(1).offsetM() - sweep.ways().get(0).offsetM();
    for (LinkSweep.Way way : sweep.ways()) {
      // A third of a metre beside where the line passes.
      if (Math.abs(way.offsetM() - sweep.presentOffsetM()) <= step / 2) {
        assertThat(way.lostS()).isLessThan(0.02);
      }
    }
  }
}
