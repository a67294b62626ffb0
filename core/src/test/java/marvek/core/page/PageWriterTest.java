package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import marvek.core.MadeRoads;
import marvek.core.TestBooks;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Hazard;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackLimits;
import marvek.core.conditions.Conditions;
import marvek.core.corner.Corner;
import marvek.core.corner.CornerFinder;
import marvek.core.event.CornerEvents;
import marvek.core.event.LapEvents;
import marvek.core.line.ChosenLine;
import marvek.core.mark.MarkChooser;
import marvek.core.page.CornerPage.ApexKind;
import marvek.core.page.CornerPage.BrakeStyle;
import marvek.core.profile.GearPlan;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What stands on a page, against the lap's own samples; kerbs and limits on a drawn line. */
class PageWriterTest {
  /** Pages with the lap and the events that they tell. */
  record Written(String name, Lap lap, List<CornerEvents> events, List<CornerPage> pages) {
    Road road() {
      return lap.path().road();
    }

    IntStream samples(int from, int count) {
      return IntStream.range(0, count).map(k -> road().wrap(from + k));
    }

    @Override
    public String toString() {
      return name;
    }
  }

  private static Written written(String name, Circuit circuit, Vehicle vehicle) {
    Reference.Basis basis =
        Reference.basis(circuit, vehicle, Conditions.DEFAULT, ChosenLine.SMOOTH);
    Lap lap = SpeedProfile.solve(basis.path(), vehicle, Conditions.DEFAULT);
    List<Corner> corners = CornerFinder.find(circuit, lap.path().road());
    MarkChooser marks = new MarkChooser(List.of(), lap.path().road());
    return new Written(
        name,
        lap,
        LapEvents.of(lap, corners),
        PageWriter.write(circuit, vehicle, Conditions.DEFAULT, lap, corners, marks));
  }

  static Stream<Written> books() {
    Circuit varied = Circuit.bare("varied", TestRoads.varied(5));
    return Stream.of(
        written("car", varied, TestVehicles.clubCar()),
        written("motorcycle", varied, TestVehicles.motorcycle()),
        written("made 1", MadeRoads.of(1, 1), TestVehicles.clubCar()),
        written("made 2", MadeRoads.of(2, 1), TestVehicles.motorcycle()),
        written("kart", MadeRoads.kart(), TestVehicles.clubCar()),
        written("open", MadeRoads.open(), TestVehicles.clubCar()));
  }

  @ParameterizedTest
  @MethodSource("books")
  void placesAndSpeedsAreThoseOfTheLap(Written book) {
    Lap lap = book.lap;
    Road road = book.road();
    assertThat(book.pages).hasSameSizeAs(book.events);
    for (int c = 0; c < book.pages.size(); c++) {
      CornerPage page = book.pages.get(c);
      CornerEvents at = book.events.get(c);
      int begin = at.begin();
      assertThat(page.corner()).isEqualTo(at.corner().number());
      assertThat(page.approach().offsetM()).isEqualTo(lap.path().offsetAt(begin));
      assertThat(page.approach().speedMps()).isEqualTo(lap.speedAt(begin));
      assertThat(page.turnIn().atM()).isEqualTo(road.stationAt(at.turnIn()));
      assertThat(page.turnIn().speedMps()).isEqualTo(lap.speedAt(at.turnIn()));
      assertThat(page.exit().trackOutM()).isEqualTo(road.stationAt(at.trackOut()));
      assertThat(page.exit().offsetM()).isEqualTo(lap.path().offsetAt(at.trackOut()));
      assertThat(page.exit().speedMps()).isEqualTo(lap.speedAt(at.trackOut()));
      assertThat(page.lowestSpeedMps()).isEqualTo(lap.speedAt(at.slowest()));
      assertThat(page.lowestSpeedAtM()).isEqualTo(road.stationAt(at.slowest()));
      boolean last = !road.closed() && c + 1 == book.pages.size();
      int next = last ? lap.size() - 1 : book.events.get((c + 1) % book.events.size()).begin();
      assertThat(page.timeS()).isCloseTo(lap.timeBetween(begin, next), within(1e-9));
    }
    if (road.closed()) {
      assertThat(book.pages.stream().mapToDouble(CornerPage::timeS).sum())
          .isCloseTo(lap.timeS(), within(1e-6));
    }
  }

  @ParameterizedTest
  @MethodSource("books")
  void theBrakeIsThatOfItsZone(Written book) {
    Road road = book.road();
    for (int c = 0; c < book.pages.size(); c++) {
      CornerPage page = book.pages.get(c);
      CornerEvents at = book.events.get(c);
      if (at.braking() == null) {
        assertThat(page.brake().atM()).isNull();
        assertThat(page.brake().initialPct()).isNull();
        assertThat(page.brake().style())
            .isEqualTo(at.throttle().flat() ? BrakeStyle.NONE : BrakeStyle.LIFT);
        assertThat(page.trailBrake()).isNull();
        continue;
      }
      int way = road.ahead(at.braking().begin(), at.braking().end());
      double most =
          book.samples(at.braking().begin(), Math.min(way, road.samples(30)) + 1)
              .mapToDouble(book.lap::brakeShareAt)
              .max()
              .orElseThrow();
      assertThat(page.brake().initialPct()).isCloseTo(100 * most, within(1e-9));
      double seconds = book.lap.timeBetween(at.braking().begin(), at.braking().end());
      assertThat(page.brake().style()).isEqualTo(styleOf(100 * most, seconds));
      boolean trails =
          !at.brakesOn()
              && road.offsetBetween(page.turnIn().atM(), road.stationAt(at.braking().end())) > 0;
      assertThat(page.trailBrake() != null).isEqualTo(trails);
      if (trails) {
        int turning = road.ahead(at.turnIn(), at.firstApex());
        assertThat(page.trailBrake().atTurnInPct()).isCloseTo(pct(book, at, 0), within(1e-9));
        assertThat(page.trailBrake().halfPct()).isCloseTo(pct(book, at, turning / 2), within(1e-9));
        assertThat(page.trailBrake().nearApexPct())
            .isCloseTo(pct(book, at, (int) (0.85 * turning)), within(1e-9));
        assertThat(page.trailBrake().releaseM()).isEqualTo(road.stationAt(at.braking().end()));
      }
    }
  }

  private static double pct(Written book, CornerEvents at, int samples) {
    return 100 * book.lap.brakeShareAt(book.road().wrap(at.turnIn() + samples));
  }

  /** Common practice: a dab is light or short, a stop is hard from 60 % on. */
  private static BrakeStyle styleOf(double pct, double seconds) {
    if (pct < 25) {
      return BrakeStyle.DAB;
    }
    if (pct >= 60) {
      return BrakeStyle.HARD;
    }
    return seconds < 0.5 ? BrakeStyle.DAB : BrakeStyle.SQUEEZE;
  }

  @ParameterizedTest
  @MethodSource("books")
  void gearsFallBetweenTheFirstPointAndTheSlowest(Written book) {
    Road road = book.road();
    int downs = 0;
    for (int c = 0; c < book.pages.size(); c++) {
      CornerPage.Gears gears = book.pages.get(c).gears();
      CornerEvents at = book.events.get(c);
      assertThat(gears.approach()).isEqualTo(book.lap.gearAt(road.wrap(at.begin() - 1)));
      assertThat(gears.corner()).isEqualTo(book.lap.gearAt(at.slowest()));
      int span = road.ahead(at.begin(), at.slowest()) + road.samples(5);
      List<Double> down = new ArrayList<>();
      for (int k = 0; k <= span; k++) {
        int i = road.wrap(at.begin() + k);
        for (GearPlan.Change change : book.lap.gearChanges()) {
          if (change.sample() == i && change.to() < change.from()) {
            down.add(road.stationAt(i));
          }
        }
      }
      assertThat(gears.downshiftsM()).isEqualTo(down);
      downs += down.size();
    }
    // The kart road is driven in one gear.
    assertThat(downs).isGreaterThan(book.name.equals("kart") ? -1 : 3);
  }

  /** How much of the turn lies before the apex, by the change of the path's heading. */
  @ParameterizedTest
  @MethodSource("books")
  void anApexIsEarlyOrLateByTheTurnBeforeIt(Written book) {
    for (int c = 0; c < book.pages.size(); c++) {
      CornerEvents at = book.events.get(c);
      double whole = turned(book, at, at.turnIn(), at.trackOut());
      List<CornerPage.Apex> apexes = book.pages.get(c).apexes();
      assertThat(apexes).hasSameSizeAs(at.apexes());
      for (int a = 0; a < apexes.size(); a++) {
        int apex = at.apexes().get(a);
        assertThat(apexes.get(a).atM()).isEqualTo(book.road().stationAt(apex));
        assertThat(apexes.get(a).offsetM()).isEqualTo(book.lap.path().offsetAt(apex));
        assertThat(apexes.get(a).speedMps()).isEqualTo(book.lap.speedAt(apex));
        double share = turned(book, at, at.turnIn(), apex) / whole;
        ApexKind kind = share < 0.42 ? ApexKind.EARLY : share > 0.60 ? ApexKind.LATE : ApexKind.MID;
        boolean close = Math.abs(share - 0.42) < 0.01 || Math.abs(share - 0.6) < 0.01;
        assertThat(close || apexes.get(a).kind() == kind).as("%.3f %s", share, apexes).isTrue();
      }
    }
  }

  private static double turned(Written book, CornerEvents at, int from, int to) {
    Path path = book.lap.path();
    return book.samples(from, book.road().ahead(from, to))
        .mapToDouble(i -> Math.max(0, at.corner().sign() * path.curvatureAt(i)) * path.elementAt(i))
        .sum();
  }

  @ParameterizedTest
  @MethodSource("books")
  void theFirstThrottleIsTheMeanOfItsFirstMetres(Written book) {
    for (int c = 0; c < book.pages.size(); c++) {
      CornerPage.Throttle throttle = book.pages.get(c).throttle();
      int first = book.events.get(c).throttle().first();
      int full = book.events.get(c).throttle().full();
      if (first < 0) {
        assertThat(throttle).isEqualTo(new CornerPage.Throttle(null, null, null));
        continue;
      }
      int count = book.road().samples(15);
      count = full < 0 ? count : Math.max(1, Math.min(count, book.road().ahead(first, full)));
      double mean =
          book.samples(first, count).mapToDouble(book.lap::throttleShareAt).average().orElseThrow();
      assertThat(throttle.firstM()).isEqualTo(book.road().stationAt(first));
      assertThat(throttle.firstPct()).isCloseTo(100 * mean, within(1e-9));
      assertThat(throttle.fullM())
          .isEqualTo(full < 0 ? null : (Double) book.road().stationAt(full));
    }
  }

  /** A left-hander between straights with kerbs of known places, and a line drawn onto them. */
  private static final Survey LEFT =
      TestRoads.every(5).straight(300).corner(60, 90, 20).straight(300).survey(false, 5, 0, 0);

  private static final double BODY_M = 1.95;

  private static Kerb kerb(Side side, double from, double to, double width) {
    return new Kerb(side, from, to, Kerb.Profile.FLAT, 20.0, width, Kerb.Use.FULL, null, "");
  }

  /** The car runs to the right before, to the left in, to the right behind the corner. */
  private static CornerPage cornerOf(Circuit circuit, double outM, double inM, double exitM) {
    Road road = circuit.road();
    double[] offsets = new double[road.size()];
    for (int i = 0; i < offsets.length; i++) {
      double s = road.stationAt(i);
      offsets[i] = -outM * bump(s, 290, 90) + inM * bump(s, 357, 40) - exitM * bump(s, 430, 90);
    }
    Path path = Path.at(road, offsets, List.of());
    Vehicle car = TestVehicles.clubCar();
    Lap lap = SpeedProfile.solve(path, car, Conditions.DEFAULT);
    List<Corner> corners = CornerFinder.find(circuit, road);
    return PageWriter.write(
            circuit, car, Conditions.DEFAULT, lap, corners, new MarkChooser(List.of(), road))
        .get(0);
  }

  private static double bump(double s, double at, double reach) {
    double x = (s - at) / reach;
    return Math.abs(x) >= 1 ? 0 : 0.5 * (1 + Math.cos(Math.PI * x));
  }

  /** Beyond the line: 10 cm touch it, a tyre's width is a tyre, half of the body half the car. */
  @ParameterizedTest
  @CsvSource({"-0.2, NONE", "0.12, TOUCH", "0.32, TYRE", "1.0, HALF_CAR", "1.22, FULL"})
  void aKerbIsUsedByAsMuchAsTheBodyIsBeyondTheLine(double beyondM, Kerb.Use use) {
    Circuit kerbed =
        Circuit.bare("left", LEFT)
            .withKerbs(
                List.of(
                    kerb(Side.RIGHT, 270, 320, 1.2),
                    kerb(Side.LEFT, 350, 364, 1.2),
                    kerb(Side.RIGHT, 400, 450, 1.2)));
    double reach = 5 - BODY_M / 2 + beyondM;
    CornerPage inside = cornerOf(kerbed, 0, reach, 0);
    assertThat(inside.kerbs().apex()).isEqualTo(use);
    assertThat(inside.kerbs().entry()).isEqualTo(Kerb.Use.NONE);
    assertThat(inside.kerbs().exit()).isEqualTo(Kerb.Use.NONE);
    CornerPage exit = cornerOf(kerbed, 0, 2, reach);
    assertThat(exit.kerbs().exit()).isEqualTo(use);
    assertThat(exit.kerbs().apex()).isEqualTo(Kerb.Use.NONE);
    CornerPage entry = cornerOf(kerbed, reach, 2, 0);
    assertThat(entry.kerbs().entry()).isEqualTo(use);
    assertThat(entry.kerbs().exit()).isEqualTo(Kerb.Use.NONE);
  }

  /** The nearest kerb on the side counts, by its own width, and only within reach. */
  @Test
  void theNearestKerbWithinReachIsTheOne() {
    Circuit none = Circuit.bare("left", LEFT);
    CornerPage bare = cornerOf(none, 2, 2, 2);
    assertThat(bare.limits().apex().kerb()).isNull();
    double apexM = bare.apexes().get(0).atM();
    Kerb far = kerb(Side.LEFT, apexM - 60, apexM - 17, 0.7);
    Kerb near = kerb(Side.LEFT, apexM + 13, apexM + 30, 0.9);
    Kerb nearer = kerb(Side.LEFT, apexM - 40, apexM - 12, 0.8);
    Kerb other = kerb(Side.RIGHT, apexM - 5, apexM + 5, 1.0);
    assertThat(apexKerb(none, far, other)).isNull();
    assertThat(apexKerb(none, far, near, other)).isEqualTo(near);
    assertThat(apexKerb(none, far, near, nearer, other)).isEqualTo(nearer);
    Kerb along = kerb(Side.LEFT, apexM - 100, apexM + 100, 0.6);
    assertThat(apexKerb(none, near, nearer, along)).isEqualTo(along);
    Circuit free =
        new Circuit(
            "free",
            "",
            1,
            null,
            "UTC",
            TrackLimits.KERB_COUNTS_AS_TRACK,
            null,
            LEFT,
            1,
            List.of(),
            List.of(along, other),
            List.of(),
            List.of(new Hazard(Hazard.Type.TYRE_WALL, Side.RIGHT, 350, 450, 12.4, "")),
            List.of());
    CornerPage page = cornerOf(free, 2, 2, 2);
    assertThat(page.limits().rule()).isEqualTo(TrackLimits.KERB_COUNTS_AS_TRACK);
    assertThat(page.limits().apex().allowedM()).isGreaterThan(bare.limits().apex().allowedM());
    assertThat(page.wayOut()).isEqualTo("Outside, right: tyre wall 12 m beyond the line.");
    assertThat(bare.wayOut()).isEmpty();
  }

  private static Kerb apexKerb(Circuit bare, Kerb... kerbs) {
    return cornerOf(bare.withKerbs(Arrays.asList(kerbs)), 2, 2, 2).limits().apex().kerb();
  }

  /** Slips together, of those that can be made and cost something. */
  @Test
  void aCornerWeighsAsMuchAsItsSlips() {
    assertThat(new Stakes(0.1, 0.2, 0.4, 0.8, 1.6, 3.2, 6.4).weightS())
        .isCloseTo(12.7, within(1e-12));
    assertThat(new Stakes(null, 0.2, -0.4, null, 1.6, null, null).weightS())
        .isCloseTo(1.8, within(1e-12));
  }

  /** tan of the lean is v²/(r·g): 45° at one g (Cossalter, see {@link Lean}). */
  @Test
  void aMotorcycleLeansAsItTurns() {
    Circuit circle = Circuit.bare("circle", TestRoads.circle(60, 5));
    Lap lap =
        SpeedProfile.solve(
            Path.centreline(circle.road(), List.of()),
            TestVehicles.motorcycle(),
            TestVehicles.FULL_GRIP);
    double[] speeds = new double[lap.size()];
    Arrays.fill(speeds, Math.sqrt(60 * 9.80665));
    CornerPage page = TestBooks.VARIED.pages().get(0);
    assertThat(Lean.deg(lap.withSpeeds(speeds), page).orElseThrow()).isCloseTo(45, within(0.3));
    assertThat(Lean.deg(TestBooks.VARIED.lap(), page)).isEmpty();
    CornerPage open = cornerOf(Circuit.bare("left", LEFT), 2, 2, 2);
    Lap onOpen =
        SpeedProfile.solve(
            Path.centreline(Circuit.bare("left", LEFT).road(), List.of()),
            TestVehicles.motorcycle(),
            TestVehicles.FULL_GRIP);
    double most = 0;
    for (int i = 0; i < onOpen.size(); i++) {
      most = Math.max(most, Math.abs(onOpen.lateralAccelerationAt(i)));
    }
    assertThat(Lean.deg(onOpen, open).orElseThrow())
        .isCloseTo(Math.toDegrees(Math.atan(most / 9.80665)), within(1e-6));
  }

  /** The same two places on both laps, the last corner to the end of an open road. */
  @ParameterizedTest
  @MethodSource("books")
  void aCornersTimeGoesToTheNextOnesFirstPoint(Written book) {
    Road road = book.road();
    double[] half = new double[book.lap.size()];
    Arrays.setAll(half, i -> book.lap.speedAt(i) / 2);
    Lap slow = book.lap.withSpeeds(half);
    for (int c = 0; c < book.pages.size(); c++) {
      CornerPage page = book.pages.get(c);
      Double brake = page.brake().atM();
      double turnIn = page.turnIn().atM();
      double begins = brake != null && road.offsetBetween(brake, turnIn) >= 0 ? brake : turnIn;
      assertThat(CornerTime.beginsAtM(page, road)).isEqualTo(begins);
      boolean last = !road.closed() && c + 1 == book.pages.size();
      CornerPage next = book.pages.get((c + 1) % book.pages.size());
      int from = road.indexOf(begins);
      int to = last ? road.size() - 1 : road.indexOf(CornerTime.beginsAtM(next, road));
      double expected = 0;
      for (int i = from; i != to; i = road.wrap(i + 1)) {
        double mean = (book.lap.speedAt(i) + book.lap.speedAt(road.wrap(i + 1))) / 2;
        expected += book.lap.path().elementAt(i) / mean;
      }
      assertThat(CornerTime.between(book.pages, c, book.lap)).isCloseTo(expected, within(1e-6));
      assertThat(CornerTime.between(book.pages, c, slow)).isCloseTo(2 * expected, within(1e-6));
    }
  }

  @Test
  void aCornerAloneOnItsLapTakesAllOfIt() {
    CornerPage only = TestBooks.VARIED.pages().get(2);
    assertThat(CornerTime.between(List.of(only), 0, TestBooks.VARIED.lap()))
        .isEqualTo(TestBooks.VARIED.lap().timeS());
  }
}
