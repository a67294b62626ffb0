package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Conditions;
import marvek.core.line.School;
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
      case WORDS, NOTE -> "by the gate";
    };
  }

  static Stream<PageField> shown() {
    return Arrays.stream(PageField.values())
        .filter(field -> !field.quantity().isText() || field.isSaid())
        .filter(field -> field != PageField.LINE && field != PageField.APEX_OFFSET);
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
}
