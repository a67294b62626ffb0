package marvek.core.beside;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.beside.ValuesOfLap.Case;
import marvek.core.beside.ValuesOfLap.Caution;
import marvek.core.beside.ValuesOfLap.Value;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Slowest;
import marvek.core.laps.CornerReading.Way;
import marvek.core.laps.LapCutter;
import marvek.core.laps.LapReader;
import marvek.core.laps.ModelRecording;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.laps.Stations;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.reference.Reference;
import marvek.core.review.StepPlan;
import marvek.core.review.TriedValue;
import org.junit.jupiter.api.Test;

/** A lap that differs from the page in what is known, and what of it is offered for the page. */
class ValuesOfLapTest {
  private static final Reference.Basis BASIS =
      Reference.basis(
          Circuit.bare("varied", TestRoads.varied(5)),
          TestVehicles.clubCar(),
          Conditions.DEFAULT,
          ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final List<CornerReading> PAGE = read();

  /** A corner that is braked for. */
  private static final int P = 2;

  private static List<CornerReading> read() {
    Recording recording = new ModelRecording(100, 0, true, 1).of(List.of(BOOK.lap(), BOOK.lap()));
    Stations stations = Stations.of(recording, ROAD);
    RecordedLap lap =
        LapCutter.cut(recording, stations, ROAD).stream()
            .filter(RecordedLap::isWhole)
            .findFirst()
            .orElseThrow();
    return new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0)
        .read(recording, stations, lap);
  }

  private static List<Value> values(
      UnaryOperator<CornerReading> his, boolean otherVehicle, boolean otherSurface) {
    return values(his, UnaryOperator.identity(), otherVehicle, otherSurface, roomy());
  }

  /**
   * @param there what he does otherwise in the corner
   * @param everywhere what he does otherwise in all of them
   */
  private static List<Value> values(
      UnaryOperator<CornerReading> there,
      UnaryOperator<CornerReading> everywhere,
      boolean otherVehicle,
      boolean otherSurface,
      Map<Integer, StepPlan> plans) {
    List<CornerReading> lap = new ArrayList<>(PAGE);
    lap.replaceAll(everywhere);
    lap.set(P, there.apply(lap.get(P)));
    TriedValue tried = new TriedValue(BASIS, Conditions.DEFAULT, BOOK, List.of());
    return ValuesOfLap.of(new Case(tried, PAGE, lap, otherVehicle, otherSurface, plans));
  }

  private static CornerPage page() {
    return BOOK.pages().get(P);
  }

  /** A brake point that may be so much later. */
  private static Map<Integer, StepPlan> plan(double room) {
    double at = page().brake().atM();
    return Map.of(
        page().corner(),
        new StepPlan(page().corner(), at - 25, at, at + room + 3, 3, false, List.of(at), null));
  }

  private static Map<Integer, StepPlan> roomy() {
    return plan(30);
  }

  private static UnaryOperator<CornerReading> braking(double laterM) {
    return r -> {
      Braking b = r.braking();
      return with(
          r,
          new Braking(b.onM() + laterM, b.peakPct(), b.atTurnInPct(), b.releaseM(), b.locked()),
          r.slowest(),
          r.way());
    };
  }

  private static UnaryOperator<CornerReading> faster(double times) {
    return r ->
        with(
            r,
            r.braking(),
            new Slowest(times * r.slowest().speedMps(), r.slowest().atM(), r.slowest().gear()),
            r.way());
  }

  private static UnaryOperator<CornerReading> inwards(double metres) {
    return r -> {
      Way w = r.way();
      return with(
          r,
          r.braking(),
          r.slowest(),
          new Way(w.turnInM(), w.insideM() - metres, w.insideAtM(), w.outsideM()));
    };
  }

  private static CornerReading with(CornerReading r, Braking braking, Slowest slowest, Way way) {
    return new CornerReading(
        r.corner(),
        braking,
        slowest,
        r.throttle(),
        way,
        r.wheel(),
        r.feet(),
        r.entryMps(),
        r.exitMps(),
        r.timeS());
  }

  private static Optional<Value> of(List<Value> values, PageField field) {
    return values.stream()
        .filter(v -> v.field() == field && v.corner() == page().corner())
        .findFirst();
  }

  @Test
  void aLapAsThePageChangesNothing() {
    assertThat(values(r -> r, false, false)).isEmpty();
  }

  @Test
  void aLaterBrakePointIsOfferedWithWhatItGains() {
    Value brake = of(values(braking(8), false, false), PageField.BRAKE).orElseThrow();
    assertThat(brake.before()).isEqualTo(page().brake().atM());
    assertThat(ROAD.offsetBetween(brake.before(), brake.after())).isCloseTo(8, within(1e-6));
    assertThat(brake.cautions()).isEmpty();
    assertThat(brake.slowerS()).as("it is the model's own limit that is passed").isNotNull();
    Value earlier = of(values(braking(-10), false, false), PageField.BRAKE).orElseThrow();
    assertThat(earlier.slowerS()).isPositive();
    assertThat(of(values(braking(4), false, false), PageField.BRAKE)).as("too little").isEmpty();
  }

  @Test
  void aBrakePointIsKeptBeforeTheLatestLessItsMargin() {
    Value brake =
        of(values(braking(20), UnaryOperator.identity(), false, false, plan(7)), PageField.BRAKE)
            .orElseThrow();
    assertThat(ROAD.offsetBetween(brake.before(), brake.theirs())).isCloseTo(20, within(1e-6));
    assertThat(ROAD.offsetBetween(brake.before(), brake.after())).isCloseTo(7, within(1e-6));
    assertThat(brake.cautions()).containsExactly(Caution.KEPT_BACK);
    assertThat(
            of(
                values(braking(20), UnaryOperator.identity(), false, false, Map.of()),
                PageField.BRAKE))
        .as("where no limit is known nothing is moved later")
        .hasValueSatisfying(v -> assertThat(v.isToCopy()).isFalse());
  }

  /** He has a tenth more grip: with one's own it takes a tenth longer to slow down. */
  @Test
  void hisBrakingIsStretchedToOnesOwnGrip() {
    double root = Math.sqrt(1.1);
    Value brake =
        of(values(braking(-1), faster(root), false, false, roomy()), PageField.BRAKE).orElseThrow();
    CornerReading own = PAGE.get(P);
    double length = own.braking().releaseM() - own.braking().onM() + 1;
    assertThat(ROAD.offsetBetween(brake.before(), brake.after()))
        .isCloseTo(-1 - 0.1 * length, within(1e-6));
    assertThat(brake.cautions()).containsExactly(Caution.SCALED);
  }

  /** All corners faster by one grip are no reason for a faster one; one beyond that is. */
  @Test
  void speedsThroughBendsAreScaledByTheRootOfGrip() {
    double root = Math.sqrt(1.1);
    assertThat(values(r -> r, faster(root), false, false, roomy()))
        .as("his grip and nothing else")
        .noneMatch(v -> v.field() == PageField.APEX_SPEED);
    Value speed =
        of(values(faster(1.08), faster(root), false, false, roomy()), PageField.APEX_SPEED)
            .orElseThrow();
    double own = page().lowestSpeedMps();
    assertThat(speed.after()).isCloseTo(1.08 * own, within(0.05 * own * 0.1));
    assertThat(speed.theirs()).isGreaterThan(speed.after());
  }

  @Test
  void anApexIsNoNearerThanOnesOwnLimits() {
    Value apex = of(values(inwards(2.5), false, false), PageField.APEX_OFFSET).orElseThrow();
    assertThat(apex.cautions()).contains(Caution.KEPT_IN);
    double theirs = Math.abs(apex.theirs() - apex.before());
    assertThat(theirs).isCloseTo(2.5, within(1e-9));
    double taken = Math.abs(apex.after() - apex.before());
    assertThat(taken).isLessThan(theirs);
    assertThat(apex.isToCopy()).as("where there is room for some of it").isEqualTo(taken > 0);
    Value out = of(values(inwards(-0.6), false, false), PageField.APEX_OFFSET).orElseThrow();
    assertThat(Math.abs(out.after())).isLessThan(Math.abs(out.before()));
    assertThat(out.slowerS()).isPositive();
  }

  private static CornerReading inAnotherGear(CornerReading r) {
    return with(
        r,
        r.braking(),
        new Slowest(r.slowest().speedMps(), r.slowest().atM(), r.slowest().gear() + 1),
        r.way());
  }

  @Test
  void gearsOfAnotherVehicleAreNotToBeCopied() {
    Value own =
        of(values(ValuesOfLapTest::inAnotherGear, false, false), PageField.GEAR).orElseThrow();
    assertThat(own.isToCopy()).isTrue();
    assertThat(own.slowerS()).isNotNull();
    Value other =
        of(values(ValuesOfLapTest::inAnotherGear, true, false), PageField.GEAR).orElseThrow();
    assertThat(other.cautions()).containsExactly(Caution.OTHER_VEHICLE);
    assertThat(other.isToCopy()).isFalse();
    assertThat(other.slowerS()).isNull();
  }

  @Test
  void nothingOfAnotherSurfaceIsToBeCopied() {
    List<Value> values = values(braking(8).andThen(inwards(-0.6))::apply, false, true);
    assertThat(values)
        .hasSizeGreaterThan(1)
        .allSatisfy(
            v -> {
              assertThat(v.cautions()).contains(Caution.OTHER_SURFACE);
              assertThat(v.isToCopy()).isFalse();
            });
  }

  /** A file without pedals and positions offers what it can tell. */
  @Test
  void whatALapDoesNotTellIsNotOffered() {
    UnaryOperator<CornerReading> blind = r -> with(r, Braking.NONE, r.slowest(), Way.UNKNOWN);
    assertThat(values(blind.andThen(faster(1.05))::apply, false, false))
        .extracting(Value::field)
        .containsOnly(PageField.APEX_SPEED);
  }
}
