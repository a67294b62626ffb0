package marvek.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.MadeRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.Driven;
import marvek.core.page.GivesWay;
import marvek.core.page.Knot;
import marvek.core.page.OwnValues;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;
import marvek.core.profile.UsedGrip;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Presses and phases as a driver writes them down. */
class WrittenWorkTest {
  /** A hard press, which no bend eases. */
  private static final double HARD_PCT = 50;

  /** The foot's way and a step of the road leave so much of the first pressure at least. */
  private static final double NEARLY = 0.88;

  private static final Conditions DAY = Conditions.OF_NEW_BOOKS.withGripUsed(0.92);
  private static final ModelReference CAR =
      model(TestVehicles.car(Vehicle.Drive.REAR, 0.46, 0.85, 1.1, 0.66));
  private static final ModelReference MOTORCYCLE = model(TestVehicles.motorcycle());
  private static final Road ROAD = CAR.basis().path().road();

  private static ModelReference model(Vehicle vehicle) {
    return ModelReference.on(
            Reference.basis(MadeRoads.of(2, 1), vehicle, DAY, ChosenLine.FASTEST), DAY)
        .withPedals();
  }

  private static Reference with(ModelReference model, OwnValues own) {
    return Reference.of(model, List.of(own));
  }

  private static OwnValues.Builder written(CornerPage page) {
    return OwnValues.in(page.corner())
        .presses(new PedalWork.Presses(page.pedals().presses()))
        .phases(new PedalWork.Phases(page.pedals().phases()));
  }

  /** A hard stop of the car, with a corner after it that the tyres and not the next one end. */
  private static CornerPage hardStop() {
    return CAR.pages().stream()
        .filter(page -> page.brake().style() == CornerPage.BrakeStyle.HARD)
        .filter(page -> page.trailBrake() != null && page.throttle().fullM() != null)
        .max((a, b) -> Double.compare(a.approach().speedMps(), b.approach().speedMps()))
        .orElseThrow();
  }

  private static double lost(ModelReference model, Reference reference) {
    return reference.lap().timeS() - model.lap().timeS();
  }

  private static Driven driven(Reference reference, CornerPage page) {
    return reference.driven().stream()
        .filter(d -> d.corner() == page.corner())
        .findFirst()
        .orElseThrow();
  }

  /** What is written down as the page has it costs nothing, whatever gives way. */
  @ParameterizedTest
  @EnumSource(GivesWay.class)
  void thePagesOwnWorkCostsNothing(GivesWay givesWay) {
    for (ModelReference model : List.of(CAR, MOTORCYCLE)) {
      for (CornerPage page : model.pages()) {
        Reference same = with(model, written(page).givesWay(givesWay).build());
        assertThat(lost(model, same)).as("corner %d", page.corner()).isCloseTo(0, within(0.005));
      }
    }
  }

  /**
   * Hard at once, then bled off (common practice): a hard press begins with nearly its greatest
   * pressure. Where the brakes begin in a bend they are lighter first.
   */
  @Test
  void theModelPressesHardAtOnceAndBleedsOff() {
    int hard = 0;
    for (ModelReference model : List.of(CAR, MOTORCYCLE)) {
      for (CornerPage page : model.pages()) {
        for (Press press : page.pedals().presses()) {
          double most = press.knots().stream().mapToDouble(Knot::pct).max().orElse(0);
          if (press.peakPct() > HARD_PCT) {
            hard++;
            assertThat(most).as("corner %d", page.corner()).isLessThan(press.peakPct() / NEARLY);
          }
        }
      }
    }
    assertThat(hard).isGreaterThan(6);
  }

  /** In driving order, each knot behind the one before it, as what is typed has to be. */
  @Test
  void theModelsKnotsAreInOrder() {
    for (ModelReference model : List.of(CAR, MOTORCYCLE)) {
      for (CornerPage page : model.pages()) {
        WorkOrder.check(model.basis().path().road(), page, written(page).build());
        boolean brakes = page.brake().atM() != null;
        assertThat(page.pedals().presses().isEmpty()).isEqualTo(!brakes);
      }
    }
  }

  /** Two stages: the brake point is found that keeps the speed at the apex. */
  @Test
  void anotherShapeOfTheBrakeFindsItsPoint() {
    CornerPage page = hardStop();
    Press press = page.pedals().presses().get(0);
    double lowest = page.lowestSpeedMps();
    double before = Double.POSITIVE_INFINITY;
    for (double factor : new double[] {1, 0.9, 0.8, 0.7}) {
      Reference softer =
          with(
              CAR,
              written(page).presses(new PedalWork.Presses(List.of(press.times(factor)))).build());
      Double found = driven(softer, page).brakeFoundM();
      double earlier = ROAD.offsetBetween(press.onM(), found);
      assertThat(earlier).as("with %.1f of the pressure", factor).isLessThan(before);
      before = earlier - 1;
      CornerPage told = softer.pages().get(CAR.pages().indexOf(page));
      assertThat(told.lowestSpeedMps()).isCloseTo(lowest, within(0.3));
      assertThat(told.brake().atM()).isEqualTo(found);
      assertThat(told.pedals().presses().get(0).onM()).isEqualTo(found);
      assertThat(told.brake().initialPct()).isCloseTo(factor * press.peakPct(), within(0.1));
      assertThat(driven(softer, page).made()).isTrue();
    }
    assertThat(before).isLessThan(-3);
  }

  /** From a point that stays the pressure is found, and the other way round the point. */
  @Test
  void whatGivesWayIsFoundBothWays() {
    CornerPage page = hardStop();
    Press press = page.pedals().presses().get(0);
    Press softer = press.times(0.85);
    Reference point =
        with(CAR, written(page).presses(new PedalWork.Presses(List.of(softer))).build());
    double found = driven(point, page).brakeFoundM();
    Reference pressure =
        with(
            CAR,
            written(page)
                .presses(new PedalWork.Presses(List.of(press.from(found))))
                .givesWay(GivesWay.PRESSURE)
                .build());
    assertThat(driven(pressure, page).pressFactor()).isCloseTo(0.85, within(0.04));
    Reference both =
        with(
            CAR,
            written(page)
                .presses(new PedalWork.Presses(List.of(softer)))
                .givesWay(GivesWay.NOTHING)
                .build());
    assertThat(driven(both, page).brakeFoundM()).isNull();
    assertThat(driven(both, page).wideM()).isGreaterThan(driven(point, page).wideM());
  }

  /**
   * Straight on, a pressure as written takes its integral over the metres and what air, rolling and
   * the engine take: v² = v0² − 2/m ∫ F ds.
   */
  @Test
  void aStraightStopTakesTheIntegralOfItsTrace() {
    Lap lap = CAR.lap();
    double onM = ROAD.stationAt(straightest(45));
    Press press =
        new Press(
            onM, 40, List.of(new Knot(ROAD.wrapStation(onM + 35), 20)), ROAD.wrapStation(onM + 45));
    Drive.Part part = new Drive.Part(ROAD.indexOf(onM), 45, 0, 45);
    CornerPoints none = new CornerPoints(0, 0, 0, 0, 0, 0, lap.speedAt(part.start()));
    Pedals feet = new KnotPedals(lap, part, none(), none, new PedalWork(List.of(press), List.of()));
    Drive.Result drive = Drive.of(lap, UsedGrip.of(lap), feet, part);
    double speed = lap.speedAt(part.start());
    double beginM = speed * DAY.pedalChangeS();
    double peakM = beginM + speed * DAY.brakeBuildUpS();
    double maxBrakeN = lap.vehicle().brakes().maxForceN();
    double w = speed * speed;
    for (int k = 0; k < part.count(); k++) {
      int i = ROAD.wrap(part.start() + k);
      double pct = along(k + 0.5, beginM, 0, peakM, 40, 35, 20, 45, 0);
      double brakeN = pct / 100 * maxBrakeN;
      double takenN = brakeN + lap.forces().resistanceN(i, w) + lap.closedThrottleNAt(i);
      w -= 2 * lap.path().elementAt(i) * takenN / lap.forces().massKg();
    }
    assertThat(drive.speedsMps()[part.count()]).isCloseTo(Math.sqrt(w), within(0.02));
    assertThat(speed - Math.sqrt(w)).isGreaterThan(3);
  }

  /** A throttle is held to where it says, and goes straight to what comes next from there. */
  @Test
  void aHeldThrottleStaysUpToItsEnd() {
    double fromM = ROAD.stationAt(straightest(45));
    double never = Double.POSITIVE_INFINITY;
    Drive.Part part = new Drive.Part(ROAD.indexOf(fromM), 45, 0, 45);
    CornerPoints none = new CornerPoints(never, never, 0, never, never, never, 40);
    PedalWork work =
        new PedalWork(
            List.of(),
            List.of(
                new Phase(
                    Phase.Kind.HOLD,
                    ROAD.wrapStation(fromM + 10),
                    20,
                    ROAD.wrapStation(fromM + 25)),
                new Phase(Phase.Kind.FLAT, ROAD.wrapStation(fromM + 35), 100, null)));
    KnotPedals pedals = new KnotPedals(CAR.lap(), part, throttle(1), none, work);
    assertThat(pedals.throttleShare(24)).isCloseTo(0.2, within(1e-9));
    assertThat(pedals.throttleShare(30)).isCloseTo(0.6, within(1e-9));
  }

  /**
   * Where axles are told apart a foot that gives a tenth of the throttle too much in a bend is an
   * everyday thing: it neither throws the car off the road nor stops it.
   */
  @Test
  void aLittleTooMuchThrottleInABendIsNoAccident() {
    Lap lap = CAR.lap();
    CornerPage page = hardStop();
    Part exit = exitOf(page);
    Drive.Result same = Drive.of(lap, UsedGrip.of(lap), exit.feet(lap, 0), exit.part());
    Drive.Result more = Drive.of(lap, UsedGrip.of(lap), exit.feet(lap, 0.1), exit.part());
    int end = exit.part().count();
    assertThat(more.speedsMps()[end]).isCloseTo(same.speedsMps()[end], within(0.5));
    assertThat(more.widestM()).isLessThan(0.5);
    double slowest = Arrays.stream(more.speedsMps()).min().orElse(0);
    assertThat(slowest).isGreaterThan(Arrays.stream(same.speedsMps()).min().orElse(0) - 0.3);
  }

  /** From the slowest place to where the throttle is flat. */
  private record Part(Drive.Part part) {
    Pedals feet(Lap lap, double more) {
      return new Pedals() {
        @Override
        public double brakeShare(double metres) {
          return 0;
        }

        @Override
        public double throttleShare(double metres) {
          int i = ROAD.wrap(part.start() + (int) (metres / ROAD.stepM()));
          return Math.min(1, lap.elementThrottleShareAt(i) + more);
        }
      };
    }
  }

  private static Part exitOf(CornerPage page) {
    int first = ROAD.indexOf(page.throttle().firstM());
    int count = ROAD.ahead(first, ROAD.indexOf(page.throttle().fullM()));
    return new Part(new Drive.Part(first, Math.max(30, count), 0, 1e9));
  }

  /** Who covers the brake has the throttle shut before he presses, of written shapes too. */
  @Test
  void aCoveringFootShutsTheThrottleBeforeThePress() {
    double onM = ROAD.stationAt(straightest(45));
    Press press = new Press(onM, 40, List.of(), ROAD.wrapStation(onM + 45));
    PedalWork work = new PedalWork(List.of(press), List.of());
    double never = Double.POSITIVE_INFINITY;
    for (Footwork feet : List.of(Footwork.RIGHT, Footwork.COVER)) {
      Lap lap = CAR.lap().footed(feet);
      Drive.Part part = new Drive.Part(ROAD.indexOf(ROAD.wrapStation(onM - 40)), 90, 0, 90);
      CornerPoints points =
          new CornerPoints(never, never, 0, never, never, never, lap.speedAt(part.start()));
      KnotPedals pedals = new KnotPedals(lap, part, throttle(1), points, work);
      double shutM = 40 - feet.offBeforeS() * lap.speedAt(ROAD.indexOf(onM));
      assertThat(pedals.throttleShare(shutM - 1)).as("%s", feet).isEqualTo(1);
      assertThat(pedals.throttleShare(shutM + 1)).as("%s", feet).isZero();
    }
  }

  /** Sample from which on the line is straightest over a way. */
  private static int straightest(int metres) {
    int best = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < ROAD.size(); i++) {
      double most = 0;
      for (int k = 0; k <= metres; k++) {
        most = Math.max(most, Math.abs(CAR.lap().path().curvatureAt(ROAD.wrap(i + k))));
      }
      boolean fast =
          CAR.lap().speedAt(i) > 30 && CAR.lap().speedAt(i) < CAR.lap().topSpeedMps() - 1;
      best = fast && most < least ? i : best;
      least = fast && most < least ? most : least;
    }
    return best;
  }

  private static Pedals none() {
    return throttle(0);
  }

  /** Feet that leave the brake alone. */
  private static Pedals throttle(double share) {
    return new Pedals() {
      @Override
      public double brakeShare(double metres) {
        return 0;
      }

      @Override
      public double throttleShare(double metres) {
        return share;
      }
    };
  }

  /** Value at a place of places and values in turn, straight between them, nought outside. */
  private static double along(double x, double... knots) {
    for (int k = 0; k + 3 < knots.length; k += 2) {
      if (x >= knots[k] && x <= knots[k + 2]) {
        double share = (x - knots[k]) / (knots[k + 2] - knots[k]);
        return knots[k + 1] + share * (knots[k + 3] - knots[k + 1]);
      }
    }
    return 0;
  }

  /** A held throttle between the brake and the first opening is worth what it drives. */
  @Test
  void aHeldThrottleKeepsSpeed() {
    CornerPage page = hardStop();
    List<Phase> shut = new ArrayList<>(page.pedals().phases());
    shut.removeIf(phase -> phase.kind() == Phase.Kind.HOLD);
    Reference coasting =
        with(CAR, OwnValues.in(page.corner()).phases(new PedalWork.Phases(shut)).build());
    assertThat(page.pedals().phases()).anyMatch(phase -> phase.kind() == Phase.Kind.HOLD);
    assertThat(lost(CAR, coasting)).isBetween(0.01, 0.5);
  }

  /** A lift where the model stays flat costs, and a deeper one costs more. */
  @Test
  void aLiftCostsAndADeeperOneMore() {
    CornerPage page = hardStop();
    double from = ROAD.wrapStation(page.pedals().presses().get(0).onM() - 30);
    double before = 0;
    for (double to : new double[] {60, 30, 0}) {
      List<Phase> phases = new ArrayList<>();
      phases.add(new Phase(Phase.Kind.LIFT, from, to, ROAD.wrapStation(from + 10)));
      phases.addAll(page.pedals().phases());
      Reference lifted =
          with(CAR, OwnValues.in(page.corner()).phases(new PedalWork.Phases(phases)).build());
      assertThat(lost(CAR, lifted)).as("to %.0f %%", to).isGreaterThan(before + 0.002);
      before = lost(CAR, lifted);
    }
  }

  @Test
  void whatCannotBeIsSaidAtItsKnot() {
    CornerPage page = hardStop();
    Press press = page.pedals().presses().get(0);
    double off = press.offM();
    refused(
        page, "presses/0/off_m", o -> o.presses(one(new Press(off, 50, List.of(), press.onM()))));
    refused(
        page,
        "presses/0/knots/1/at_m",
        o ->
            o.presses(
                one(
                    new Press(
                        press.onM(),
                        50,
                        List.of(new Knot(off - 5, 40), new Knot(off - 9, 30)),
                        off))));
    refused(
        page,
        "presses/0/peak_pct",
        o -> o.presses(one(new Press(press.onM(), 101, List.of(), off))));
    refused(
        page,
        "phases/0/at_m",
        o ->
            o.phases(
                new PedalWork.Phases(List.of(new Phase(Phase.Kind.FIRST, off - 5, 20, null)))));
    refused(
        page,
        "phases/1/to_pct",
        o ->
            o.phases(
                new PedalWork.Phases(
                    List.of(
                        new Phase(Phase.Kind.FLAT, off + 20, 100, null),
                        new Phase(Phase.Kind.LIFT, off + 60, 50, off + 80)))));
  }

  private static PedalWork.Presses one(Press press) {
    return new PedalWork.Presses(List.of(press));
  }

  private static void refused(
      CornerPage page, String field, java.util.function.UnaryOperator<OwnValues.Builder> wish) {
    assertThatThrownBy(() -> with(CAR, wish.apply(OwnValues.in(page.corner())).build()))
        .isInstanceOf(InvalidValueException.class)
        .extracting(e -> ((InvalidValueException) e).field())
        .isEqualTo(field);
  }
}
