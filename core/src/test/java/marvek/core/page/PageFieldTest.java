package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.Footwork;
import marvek.core.line.School;
import marvek.core.mark.By;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The list of what a driver can own of a page. */
class PageFieldTest {
  private static final CornerPage MODEL = TestBooks.VARIED.pages().get(1);

  /** A value that is not the model's, of each kind. */
  private static Object another(PageField field) {
    Double amount = field.amountOf(MODEL);
    return switch (field.quantity()) {
      case STATION -> amount == null ? MODEL.apexes().get(0).atM() : amount - 3;
      case PERCENT, PRESS -> 37.0;
      case SPEED -> amount - 1;
      case OFFSET -> amount * 0.9;
      case GEAR -> amount == 4 ? 3 : 4;
      case OF_FIVE -> 2;
      case KERB_USE -> amount == 2 ? Kerb.Use.NONE : Kerb.Use.TYRE;
      case SCHOOL -> School.LATE_APEX;
      case PRESSES ->
          new PedalWork.Presses(
              MODEL.pedals().presses().stream().map(press -> press.times(0.9)).toList());
      case PHASES ->
          new PedalWork.Phases(
              List.of(new Phase(Phase.Kind.FLAT, MODEL.exit().trackOutM(), 100, null)));
      case GIVES_WAY -> GivesWay.NOTHING;
      case FEET -> Footwork.LEFT;
      case GEAR_CHANGES -> new GearChanges(MODEL.gears().changes());
      case TOLD ->
          new ToldPoints(List.of(new ToldPoint(PagePoint.EXIT, By.AIM, null, "the barn", null)));
      case GATES -> new Gates(List.of(new Gate(410, Gate.Kind.HERE, 1.0, null)));
      case POINT_NOTES ->
          new PointNotes(List.of(new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, 3, "wall")));
      case VARIANTS -> new Variants(Map.of(DayKind.COLD, Map.of(PageField.GEAR, 2)));
      case WORDS, NOTE -> "by the gate";
    };
  }

  static Stream<PageField> shown() {
    return Arrays.stream(PageField.values())
        .filter(field -> !field.quantity().isText() || field.isSaid())
        .filter(field -> field != PageField.LINE && field != PageField.APEX_OFFSET)
        // What is pressed finds the brake point anew.
        .filter(field -> field != PageField.PRESSES && field != PageField.GIVES_WAY);
  }

  /** What is typed is what stands on the page, with its driver's name where it has one. */
  @ParameterizedTest
  @MethodSource("shown")
  void whatIsTypedStandsOnThePage(PageField field) {
    Object value = another(field);
    OwnValues own = OwnValues.in(MODEL.corner()).put(field, value).build();
    CornerPage page =
        Reference.on(TestBooks.VARIED_BASIS, Conditions.DEFAULT, List.of(own)).pages().get(1);
    assertThat(field.of(page)).isEqualTo(value);
    if (field.hasSource()) {
      assertThat(page.sources()).containsEntry(field.path(), CornerPage.Source.DRIVER);
    }
    PageField other = field == PageField.NOTES ? PageField.WAY_OUT : PageField.NOTES;
    assertThat(other.of(page)).isEqualTo(other.of(MODEL));
  }

  @ParameterizedTest
  @EnumSource(PageField.class)
  void aFieldIsOneOfTheListByItsNameAlone(PageField field) {
    assertThat(Arrays.stream(PageField.values()).filter(f -> f.path().equals(field.path())))
        .hasSize(1);
    assertThat(field.path()).startsWith(field.group());
  }

  /** Bounds as the guide and the format tell them. */
  @ParameterizedTest
  @CsvSource({
    "BRAKE,-0.1,0", "BRAKE_INITIAL,0.5,1", "BRAKE_INITIAL,100.5,100", "TURN_IN_PRESSURE,-1,0",
    "TURN_IN_PRESSURE,101,100", "GEAR,0,1", "GEAR,13,12", "APEX_SPEED,0.9,1",
    "APEX_SPEED,150.1,150", "APEX_OFFSET,-60.1,-60", "APEX_OFFSET,60.1,60", "CONFIDENCE,-1,0",
    "CONFIDENCE,6,5", "THROTTLE_FULL,-1,0"
  })
  void whatIsOutOfBoundsIsRefusedAndTheBoundIsNot(PageField field, double beyond, double at) {
    assertThatThrownBy(() -> own(field, beyond))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining(field.path());
    assertThat(field.amountOf(own(field, at))).isEqualTo(at);
  }

  private static OwnValues own(PageField field, double value) {
    boolean whole = field.quantity().type() == Integer.class;
    return OwnValues.in(1).put(field, whole ? (Object) (int) value : (Object) value).build();
  }

  @Test
  void aTextIsKeptToItsLengthAndAValueOfAnotherKindIsRefused() {
    assertThatThrownBy(() -> OwnValues.in(1).brakeMark("x".repeat(121), null).build())
        .hasMessageContaining("121 characters; at most 120");
    assertThatThrownBy(() -> OwnValues.in(1).notes("x".repeat(2001)).build())
        .hasMessageContaining("at most 2000");
    assertThatThrownBy(() -> OwnValues.in(1).put(PageField.GEAR, 2.5).build())
        .hasMessageContaining("gears.corner (2.5)");
    assertThatThrownBy(() -> OwnValues.in(1).put(PageField.BRAKE, Double.NaN).build())
        .isInstanceOf(InvalidValueException.class);
  }

  /** Every value goes in by its field or by its name, and comes out as it went in. */
  @ParameterizedTest
  @EnumSource(PageField.class)
  void whatIsPutInComesOut(PageField field) {
    Object value = field == PageField.LINE ? School.V : sample(field);
    OwnValues own = OwnValues.in(7).put(field, value).build();
    assertThat(own.corner()).isEqualTo(7);
    assertThat(own.get(field)).isEqualTo(value);
    for (PageField other : PageField.values()) {
      if (other != field) {
        assertThat(own.get(other)).as(other.path()).isNull();
      }
    }
    OwnValues copied = own.but().put(field, null).build();
    assertThat(copied.get(field)).isNull();
    assertThat(own.get(field)).isEqualTo(value);
    if (value instanceof Number || value instanceof Kerb.Use) {
      OwnValues.Builder again = OwnValues.in(7);
      field.put(again, field.amountOf(own));
      assertThat(again.build().get(field)).isEqualTo(value);
    }
  }

  private static Object sample(PageField field) {
    return switch (field.quantity()) {
      case STATION, PERCENT, PRESS, SPEED, OFFSET -> 42.5;
      case GEAR, OF_FIVE -> 4;
      case KERB_USE -> Kerb.Use.HALF_CAR;
      case SCHOOL -> School.LATE_APEX;
      case PRESSES ->
          new PedalWork.Presses(List.of(new Press(410, 80, List.of(new Knot(415, 30)), 420)));
      case PHASES -> new PedalWork.Phases(List.of(new Phase(Phase.Kind.LIFT, 410, 50, 430.0)));
      case GIVES_WAY -> GivesWay.PRESSURE;
      case FEET -> Footwork.HEEL_AND_TOE;
      case GEAR_CHANGES -> new GearChanges(List.of(new GearChange(410, 3, null)));
      case TOLD ->
          new ToldPoints(List.of(new ToldPoint(PagePoint.EXIT, By.AIM, null, "the barn", null)));
      case GATES -> new Gates(List.of(new Gate(410, Gate.Kind.HERE, 1.0, null)));
      case POINT_NOTES ->
          new PointNotes(List.of(new PointNote(PagePoint.EXIT, PointNote.Kind.DANGER, 3, "wall")));
      case VARIANTS -> new Variants(Map.of(DayKind.COLD, Map.of(PageField.GEAR, 2)));
      case WORDS, NOTE -> "by the gate";
    };
  }

  /** The accessors in the words of the trade are those fields. */
  @Test
  void theAccessorsAreTheFields() {
    OwnValues own =
        OwnValues.in(3)
            .line(School.V)
            .brakeAtM(11.0)
            .initialPct(12.0)
            .cornerGear(3)
            .feet(Footwork.COVER)
            .gearIn(2)
            .gearOut(5)
            .turnInM(14.0)
            .turnInPct(15.0)
            .releaseM(16.0)
            .apexOffsetM(1.5)
            .kerbApex(Kerb.Use.TYRE)
            .kerbExit(Kerb.Use.FULL)
            .apexSpeedMps(19.0)
            .throttleFirstM(18.0)
            .throttleFullM(20.0)
            .confidence(4)
            .notes("a note")
            .wayOut("straight on")
            .brakeMark("post", "at the post")
            .turnInMark("gate", "at the gate")
            .build();
    assertThat(own.line()).isEqualTo(School.V);
    assertThat(own.brakeAtM()).isEqualTo(11.0);
    assertThat(own.initialPct()).isEqualTo(12.0);
    assertThat(own.cornerGear()).isEqualTo(3);
    assertThat(own.feet()).isEqualTo(Footwork.COVER);
    assertThat(own.gearIn()).isEqualTo(2);
    assertThat(own.gearOut()).isEqualTo(5);
    assertThat(own.turnInM()).isEqualTo(14.0);
    assertThat(own.turnInPct()).isEqualTo(15.0);
    assertThat(own.releaseM()).isEqualTo(16.0);
    assertThat(own.apexOffsetM()).isEqualTo(1.5);
    assertThat(own.kerbApex()).isEqualTo(Kerb.Use.TYRE);
    assertThat(own.kerbExit()).isEqualTo(Kerb.Use.FULL);
    assertThat(own.apexSpeedMps()).isEqualTo(19.0);
    assertThat(own.throttleFirstM()).isEqualTo(18.0);
    assertThat(own.throttleFullM()).isEqualTo(20.0);
    assertThat(own.confidence()).isEqualTo(4);
    assertThat(own.notes()).isEqualTo("a note");
    assertThat(own.wayOut()).isEqualTo("straight on");
    assertThat(own.brakeMark()).isEqualTo("post");
    assertThat(own.brakeWords()).isEqualTo("at the post");
    assertThat(own.turnInMark()).isEqualTo("gate");
    assertThat(own.turnInWords()).isEqualTo("at the gate");
    assertThat(PageField.BRAKE.markOf(own)).isEqualTo("post");
    assertThat(PageField.TURN_IN.wordsOf(own)).isEqualTo("at the gate");
  }

  @Test
  void aSessionChangesTheFieldsOfItsList() {
    assertThat(PageField.ofSessions()).contains(PageField.BRAKE, PageField.GEAR);
    for (PageField field : PageField.ofSessions()) {
      assertThat(PageField.ofSession(field.path())).isEqualTo(field);
      assertThat(field.leastChange()).isPositive();
    }
    assertThatThrownBy(() -> PageField.ofSession("notes"))
        .hasMessageContaining("(notes) is not one that a session changes");
  }

  @Test
  void aFieldShowsWhereTheFormatSaysAndOnlyWhereThePageHasIt() {
    assertThat(PageField.APEX_SPEED.shownAt()).isEqualTo("lowest.speed_mps");
    assertThat(PageField.BRAKE.shownAt()).isEqualTo("brake.at_m");
    CornerPage flat =
        TestBooks.VARIED.pages().stream()
            .filter(page -> page.brake().atM() == null)
            .findFirst()
            .orElse(MODEL);
    for (PageField field : PageField.values()) {
      if (field != PageField.LINE) {
        assertThat(field.isOn(flat)).as(field.path()).isEqualTo(field.of(flat) != null);
        assertThat(field.showsOn(flat)).as(field.path()).isEqualTo(field.of(flat) != null);
      }
      boolean number = field.quantity() != Quantity.WORDS && field.quantity() != Quantity.NOTE;
      boolean value =
          !Set.of(
                  PageField.CONFIDENCE,
                  PageField.GIVES_WAY,
                  PageField.POINT_NOTES,
                  PageField.VARIANTS)
              .contains(field);
      assertThat(field.hasSource()).isEqualTo(number && value);
    }
    assertThat(PageField.LINE.isOn(MODEL)).isFalse();
    assertThat(PageField.LINE.showsOn(MODEL)).isTrue();
    assertThat(Quantity.PERCENT.low()).isZero();
    assertThat(Quantity.PERCENT.high()).isEqualTo(100);
    assertThat(Quantity.GEAR.isText()).isFalse();
    assertThat(Quantity.NOTE.isText()).isTrue();
    assertThat(Quantity.SPEED.value(null)).isNull();
  }

  @Test
  void anAmountThatCannotBeBecomesTheNearestThatCan() {
    assertThat(Quantity.PRESS.within(120)).isEqualTo(100);
    assertThat(Quantity.PRESS.within(-5)).isEqualTo(1);
    assertThat(Quantity.PRESS.within(60)).isEqualTo(60);
  }
}
