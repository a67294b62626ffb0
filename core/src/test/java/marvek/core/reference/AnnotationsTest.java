package marvek.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.brief.CallOut;
import marvek.core.brief.CallOuts;
import marvek.core.brief.ShortForm;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.conditions.Conditions.TyreState;
import marvek.core.mark.By;
import marvek.core.page.Annotations;
import marvek.core.page.CornerPage;
import marvek.core.page.DayKind;
import marvek.core.page.Driven;
import marvek.core.page.Gate;
import marvek.core.page.GateOnLap;
import marvek.core.page.Gates;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.core.page.PointNote;
import marvek.core.page.PointNotes;
import marvek.core.page.ToldPoint;
import marvek.core.page.ToldPoints;
import marvek.core.page.Variants;
import marvek.core.profile.Lap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a driver adds to the points of a page: told, spoken, checked, and never driven. */
class AnnotationsTest {
  private static final CornerPage MODEL = TestBooks.VARIED.pages().get(1);
  private static final Lap LAP = TestBooks.VARIED.lap();
  private static final Road ROAD = LAP.path().road();

  private static Reference with(UnaryOperator<OwnValues.Builder> own) {
    return Reference.on(
        TestBooks.VARIED_BASIS,
        Conditions.DEFAULT,
        List.of(own.apply(OwnValues.in(MODEL.corner())).build()));
  }

  private static CornerPage page(Reference reference) {
    return reference.pages().get(1);
  }

  private static ToldPoints told(PagePoint point, String words, String phrase) {
    return new ToldPoints(List.of(new ToldPoint(point, By.AIM, null, words, phrase)));
  }

  private static List<CallOut> calls(Reference reference, List<CornerPage> pages) {
    return CallOuts.of(reference.lap(), pages, 0.7, 1, field -> "").stream()
        .filter(call -> call.corner() == MODEL.corner())
        .toList();
  }

  private static String said(Reference reference) {
    return String.join(
        " ", calls(reference, reference.pages()).stream().map(CallOut::words).toList());
  }

  @Test
  void aPhraseOfOnesOwnIsSaidInTimeBeforeItsPoint() {
    Reference reference = with(own -> own.told(told(PagePoint.EXIT, null, "eyes to the gate")));
    CallOut call =
        calls(reference, reference.pages()).stream()
            .filter(each -> each.words().equals("Eyes to the gate."))
            .findFirst()
            .orElseThrow();
    assertThat(call.pointM()).isEqualTo(MODEL.exit().trackOutM());
    assertThat(call.pointS() - call.toS()).isGreaterThanOrEqualTo(CallOuts.BEFORE_S - 1e-9);
    assertThat(reference.lap().timeS()).isEqualTo(LAP.timeS());
  }

  @Test
  void aPhraseForTheBrakeStandsInThePlaceOfTheComputedWords() {
    Reference reference = with(own -> own.told(told(PagePoint.BRAKE, null, "squeeze, now")));
    assertThat(said(reference)).contains("Squeeze, now.").doesNotContain("Brake");
    assertThat(said(TestBooks.VARIED)).contains("Brake");
  }

  @Test
  void wordsForAPointAreOnThePageInTheBriefAndInTheCalls() {
    Reference reference = with(own -> own.told(told(PagePoint.THROTTLE, "by the hut", null)));
    Annotations.Told point = page(reference).annotations().of(PagePoint.THROTTLE).orElseThrow();
    assertThat(point.atM()).isEqualTo(MODEL.throttle().firstM());
    assertThat(point.target().own()).isEqualTo("by the hut");
    assertThat(ShortForm.of(reference.pages(), 1, field -> "").get(1).words())
        .endsWith(", throttle by the hut.");
    assertThat(said(reference)).contains("Throttle by the hut.");
  }

  @Test
  void aBrakePointToldSoIsToldSoEverywhere() {
    Reference reference = with(own -> own.told(told(PagePoint.BRAKE, "as the hut goes", null)));
    assertThat(page(reference).brake().target().own()).isEqualTo("as the hut goes");
    assertThat(page(reference).sources()).containsEntry("brake.target", CornerPage.Source.DRIVER);
    assertThat(said(reference)).contains("Brake as the hut goes.");
  }

  /** A mark that is not there, or a point that the page has not: kept, and said so. */
  @Test
  void whatCannotBeToldSoStaysWithoutATarget() {
    ToldPoints none =
        new ToldPoints(
            List.of(
                new ToldPoint(PagePoint.EXIT, By.AIM, "no such thing", null, null),
                new ToldPoint(PagePoint.LIFT, By.AIM, "no such thing", null, null)));
    List<Annotations.Told> told = page(with(own -> own.told(none))).annotations().told();
    assertThat(told).extracting(Annotations.Told::isMissed).containsOnly(true);
    assertThat(told.get(0).as().point()).isEqualTo(PagePoint.LIFT);
    assertThat(told.get(0).atM()).isNull();
    assertThat(told.get(1).atM()).isEqualTo(MODEL.exit().trackOutM());
  }

  @Test
  void dangerIsSaidFirstAndInOneBreath() {
    PointNote wall = new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, 3, "wall at the exit");
    PointNote bump = new PointNote(PagePoint.BRAKE, PointNote.Kind.SURFACE, 3, "bump");
    Reference reference = with(own -> own.pointNotes(new PointNotes(List.of(bump, wall))));
    assertThat(page(reference).annotations().notes().byWeight()).containsExactly(wall, bump);
    assertThat(said(reference)).contains("Careful. Wall at the exit.").doesNotContain("bump");
    PointNote story =
        new PointNote(
            PagePoint.EXIT, PointNote.Kind.DANGER, 3, "the wall comes closer than it looks here");
    assertThat(said(with(own -> own.pointNotes(new PointNotes(List.of(story))))))
        .contains("Careful.")
        .doesNotContain("closer");
  }

  /** What is written for the first laps is said on them and on no other. */
  @Test
  void coldValuesAreSaidOnTheFirstLapsOnly() {
    int lower = MODEL.gears().corner() - 1;
    double earlier = MODEL.brake().atM() - 8;
    Variants cold =
        new Variants(
            Map.of(
                DayKind.COLD,
                Map.of(
                    PageField.GEAR,
                    lower,
                    PageField.BRAKE,
                    earlier,
                    PageField.EXIT_KERB,
                    Kerb.Use.NONE)));
    Reference reference = with(own -> own.variants(cold));
    ModelReference model = ModelReference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT);
    List<CornerPage> first = reference.pagesOn(DayKind.COLD, model.marks());
    assertThat(first.get(1).gears().corner()).isEqualTo(lower);
    assertThat(first.get(1).brake().atM()).isEqualTo(earlier);
    assertThat(first.get(1).kerbs().exit()).isEqualTo(Kerb.Use.NONE);
    assertThat(first.get(0)).isEqualTo(reference.pages().get(0));
    assertThat(page(reference).gears().corner()).isEqualTo(MODEL.gears().corner());
    assertThat(page(reference).brake().atM()).isEqualTo(MODEL.brake().atM());
    assertThat(reference.pagesOn(DayKind.WET, model.marks())).isEqualTo(reference.pages());
    assertThat(reference.lap().timeS()).isEqualTo(LAP.timeS());
    CallOut warm = calls(reference, reference.pages()).get(0);
    CallOut onCold = calls(reference, first).get(0);
    assertThat(onCold.pointM()).isCloseTo(warm.pointM() - 8, within(1e-9));
    assertThat(onCold.words()).isNotEqualTo(warm.words());
  }

  /** What asks more than the page is kept as it was written, and told to nobody. */
  @ParameterizedTest
  @MethodSource
  void whatIsBolderThanThePageIsNotTold(PageField field, Object bolder, Object tamer) {
    Annotations of = page(with(own -> own.variants(cold(field, bolder)))).annotations();
    assertThat(of.variants()).isEqualTo(cold(field, bolder));
    assertThat(of.bolder()).isEqualTo(cold(field, bolder));
    assertThat(of.toldVariants()).isEqualTo(Variants.NONE);
    Reference reference = with(own -> own.variants(cold(field, bolder)));
    ModelReference model = ModelReference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT);
    assertThat(reference.pagesOn(DayKind.COLD, model.marks())).isEqualTo(reference.pages());
    of = page(with(own -> own.variants(cold(field, tamer)))).annotations();
    assertThat(of.bolder()).isEqualTo(Variants.NONE);
    assertThat(of.toldVariants()).isEqualTo(cold(field, tamer));
  }

  /**
   * Either side of the least change that is worth a word; a gear or another turn-in dares nothing.
   */
  static Stream<Arguments> whatIsBolderThanThePageIsNotTold() {
    double brakeM = MODEL.brake().atM();
    double firstM = MODEL.throttle().firstM();
    double fullM = MODEL.throttle().fullM();
    double slowest = MODEL.lowestSpeedMps();
    return Stream.of(
        Arguments.of(PageField.BRAKE, brakeM + 1.1, brakeM + 0.9),
        Arguments.of(PageField.THROTTLE_FIRST, firstM - 1.6, firstM - 1.4),
        Arguments.of(PageField.THROTTLE_FULL, fullM - 3.1, fullM - 2.9),
        Arguments.of(PageField.APEX_SPEED, slowest + 0.26, slowest + 0.24),
        Arguments.of(PageField.EXIT_KERB, Kerb.Use.FULL, MODEL.kerbs().exit()));
  }

  @Test
  void anotherGearOrTurnInIsNoMatterOfBoldness() {
    for (double by : new double[] {-20, 20}) {
      Variants turn = cold(PageField.TURN_IN, MODEL.turnIn().atM() + by);
      assertThat(page(with(own -> own.variants(turn))).annotations().toldVariants())
          .isEqualTo(turn);
    }
    Variants up = cold(PageField.GEAR, MODEL.gears().corner() + 1);
    assertThat(page(with(own -> own.variants(up))).annotations().toldVariants()).isEqualTo(up);
  }

  @Test
  void ADayHoldsInItsOwnConditions() {
    Conditions book = Conditions.DEFAULT;
    assertThat(DayKind.COLD.holdsIn(book.withTyres(TyreState.COLD), book)).isTrue();
    assertThat(DayKind.WET.holdsIn(book.withSurface(Surface.WET), book)).isTrue();
    assertThat(DayKind.WET.holdsIn(book.withSurface(Surface.DAMP), book)).isFalse();
    assertThat(DayKind.DAMP.holdsIn(book.withSurface(Surface.DAMP), book)).isTrue();
    assertThat(DayKind.WORN.holdsIn(book.withTyres(TyreState.WORN), book)).isTrue();
    assertThat(DayKind.HEAVY.holdsIn(book.withFuelKg(book.fuelKg() + 20), book)).isTrue();
    assertThat(DayKind.HEAVY.holdsIn(book.withFuelKg(book.fuelKg() + 5), book)).isFalse();
    Conditions wetBook = book.withSurface(Surface.WET);
    assertThat(DayKind.WET.holdsIn(wetBook, wetBook)).isFalse();
  }

  private static GateOnLap gate(Gate gate) {
    return page(with(own -> own.gates(new Gates(List.of(gate))))).annotations().gates().get(0);
  }

  /** Where the lap is: at half a metre off it is through, at a metre it is not. */
  @Test
  void aGateIsKeptWhereTheLapGoesThroughIt() {
    double atM = MODEL.apexes().get(0).atM();
    double line = LAP.path().offsetAt(ROAD.indexOf(atM));
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, line + 0.4, null)).kept()).isTrue();
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, line + 1, null)).kept()).isFalse();
    assertThat(gate(new Gate(atM, Gate.Kind.NO_FARTHER_LEFT, line + 1, null)).kept()).isTrue();
    assertThat(gate(new Gate(atM, Gate.Kind.NO_FARTHER_LEFT, line - 1, null)).kept()).isFalse();
    assertThat(gate(new Gate(atM, Gate.Kind.NO_FARTHER_RIGHT, line - 1, null)).kept()).isTrue();
    assertThat(gate(new Gate(atM, Gate.Kind.NO_FARTHER_RIGHT, line + 1, null)).kept()).isFalse();
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, line, null)).lapOffsetM())
        .isCloseTo(line, within(0.1));
    // v² κ / g at the apex.
    double v = LAP.speedAt(ROAD.indexOf(atM));
    double across = v * v * Math.abs(LAP.path().curvatureAt(ROAD.indexOf(atM))) / 9.80665;
    GateOnLap straight = gate(new Gate(atM, Gate.Kind.STRAIGHT, null, null));
    assertThat(straight.acrossG()).isCloseTo(across, within(1e-6));
    assertThat(straight.kept()).isFalse();
  }

  /**
   * In car widths from the nearer line, farther out as a share of the road; on 12 m, 1.9 m wide.
   */
  @ParameterizedTest
  @CsvSource({
    "0.0, on the left line",
    "0.9, half a car width off the left line",
    "1.9, one car width off the left line",
    "2.9, 1½ car widths off the left line",
    "5.0, in the middle of the road",
    "8.2, one car width off the right line",
    "-1.0, beyond the left line"
  })
  void aGateIsToldInCarWidths(double clearM, String words) {
    double atM = MODEL.apexes().get(0).atM();
    int i = ROAD.indexOf(atM);
    double bodyM = LAP.vehicle().bodyWidthM();
    double width = ROAD.widthLeftAt(i) + ROAD.widthRightAt(i);
    // The figures are for a body of 1.9 m on a road of 11.9 m.
    double clear = clearM <= 5 ? clearM * bodyM / 1.9 : width - bodyM - (10 - clearM) * bodyM / 1.9;
    double offset =
        clearM == 5
            ? (ROAD.widthLeftAt(i) - ROAD.widthRightAt(i)) / 2
            : ROAD.widthLeftAt(i) - bodyM / 2 - clear;
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, offset, null)).words()).isEqualTo(words);
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, offset, "my place")).words())
        .isEqualTo("my place");
  }

  /** Who brakes late runs wide: a gate there is checked against him, not against the line. */
  @Test
  void aGateIsCheckedAgainstTheDriveAndNotTheLine() {
    UnaryOperator<OwnValues.Builder> late = own -> own.brakeAtM(MODEL.brake().atM() + 3);
    Driven wide = with(late).driven().get(1);
    assertThat(wide.made()).isTrue();
    assertThat(wide.wideM()).isGreaterThan(0.2);
    double line = LAP.path().offsetAt(ROAD.indexOf(wide.wideAtM()));
    Gate there = new Gate(wide.wideAtM(), Gate.Kind.HERE, line, null);
    Reference driven = with(own -> late.apply(own).gates(new Gates(List.of(there))));
    GateOnLap gate = page(driven).annotations().gates().get(0);
    double outward = MODEL.direction() == Side.LEFT ? -1 : 1;
    assertThat(outward * (gate.lapOffsetM() - line)).isCloseTo(wide.wideM(), within(0.05));
  }

  @Test
  void aGateSaysWhatOfItCounts() {
    double atM = MODEL.apexes().get(0).atM();
    assertThat(gate(new Gate(atM, Gate.Kind.STRAIGHT, null, null)).words())
        .isEqualTo("car straight");
    assertThat(gate(new Gate(atM, Gate.Kind.NO_FARTHER_LEFT, 0.0, null)).words())
        .startsWith("no farther left than ");
  }

  /** A gate has to lie on the road that its corner is on. */
  @Test
  void aGateOffTheRoadIsRefusedAtItsField() {
    double atM = MODEL.apexes().get(0).atM();
    double edge = ROAD.widthLeftAt(ROAD.indexOf(atM));
    assertThatThrownBy(() -> gate(new Gate(atM, Gate.Kind.HERE, edge + 7, null)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageStartingWith("gates/0/offset_m")
        .hasMessageContaining("lies off the road");
    assertThat(gate(new Gate(atM, Gate.Kind.HERE, edge + 5, null)).words())
        .isEqualTo("beyond the left line");
    assertThatThrownBy(() -> gate(new Gate(ROAD.lengthM() + 50, Gate.Kind.HERE, 0.0, null)))
        .hasMessageStartingWith("gates/0/at_m");
  }

  private static void refused(String field, UnaryOperator<OwnValues.Builder> own) {
    assertThatThrownBy(() -> own.apply(OwnValues.in(1)).build())
        .isInstanceOf(InvalidValueException.class)
        .extracting(thrown -> ((InvalidValueException) thrown).field())
        .isEqualTo(field);
  }

  /** Said at its field, whatever of it cannot be. */
  @Test
  void whatCannotBeIsSaidAtItsField() {
    ToldPoint exit = new ToldPoint(PagePoint.EXIT, By.AIM, "pine", null, null);
    refused("at/1/point", own -> own.told(new ToldPoints(List.of(exit, exit))));
    refused(
        "at/0/mark",
        own ->
            own.told(
                new ToldPoints(List.of(new ToldPoint(PagePoint.EXIT, By.AIM, " ", null, null)))));
    refused("at/0/phrase", own -> own.told(told(PagePoint.EXIT, null, "a".repeat(61))));
    refused(
        "at/0/mark",
        own ->
            own.brakeMark("100 board", null)
                .told(
                    new ToldPoints(
                        List.of(new ToldPoint(PagePoint.BRAKE, By.AIM, "pine", null, null)))));
    refused("gates/0/offset_m", own -> own.gates(gates(new Gate(10, Gate.Kind.HERE, null, null))));
    refused("gates/0/offset_m", own -> own.gates(gates(new Gate(10, Gate.Kind.HERE, 99.0, null))));
    refused("gates/0/at_m", own -> own.gates(gates(new Gate(-1, Gate.Kind.HERE, 1.0, null))));
    refused("pointNotes/0/text", own -> own.pointNotes(notes(3, "a".repeat(10_000))));
    refused("pointNotes/0/text", own -> own.pointNotes(notes(3, "  ")));
    refused("pointNotes/0/severity", own -> own.pointNotes(notes(4, "wall")));
    refused("variants/cold/line", own -> own.variants(cold(PageField.LINE, "tight")));
    refused("variants/cold/gears.corner", own -> own.variants(cold(PageField.GEAR, 40)));
  }

  private static Gates gates(Gate gate) {
    return new Gates(List.of(gate));
  }

  private static PointNotes notes(int severity, String text) {
    return new PointNotes(
        List.of(new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, severity, text)));
  }

  private static Variants cold(PageField field, Object value) {
    return new Variants(Map.of(DayKind.COLD, Map.of(field, value)));
  }
}
