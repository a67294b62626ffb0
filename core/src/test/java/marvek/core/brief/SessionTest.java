package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;
import org.junit.jupiter.api.Test;

class SessionTest {
  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final TyreSet SET = new TyreSet("A", 11, 60, LocalDate.parse("2026-04-18"));

  private static Session at(String hour, boolean later, TyreSet tyres) {
    return new Session(
        "Spring meeting",
        Session.Kind.PRACTICE,
        25,
        later,
        Purpose.PRACTICE,
        tyres,
        Conditions.DEFAULT.at(LocalDateTime.parse(hour)),
        List.of(),
        null,
        List.of(new Session.OpenPoint(4, "second gear?")),
        new Session.Result(14, 115.2, "Long Hythe is a second-gear corner"));
  }

  /**
   * Clocks of the European Union and the United Kingdom change on the last Sundays of March and
   * October at 01:00 UTC (Directive 2000/84/EC): 29 March and 25 October 2026.
   */
  @Test
  void anHourThatDoesNotExistIsRefusedAndOneThatComesTwiceIsAskedFor() {
    assertThatThrownBy(() -> at("2026-03-29T01:30", false, SET).begins(LONDON))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("clocks go forward")
        .extracting("field")
        .isEqualTo("startsAt");
    Session night = at("2026-10-25T01:30", false, SET);
    assertThat(night.comesTwice(LONDON)).isTrue();
    assertThat(night.begins(LONDON).toInstant()).hasToString("2026-10-25T00:30:00Z");
    assertThat(at("2026-10-25T01:30", true, SET).begins(LONDON).toInstant())
        .hasToString("2026-10-25T01:30:00Z");
    assertThatThrownBy(() -> at("2026-10-25T03:30", true, SET).begins(LONDON))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("comes twice");
  }

  @Test
  void aSessionBeforeTheLayoutWasSoIsRefused() {
    Session early = at("2026-03-01T10:00", false, new TyreSet("A", 0, 60, null));
    assertThatThrownBy(() -> early.checkedAt(LONDON, LocalDate.parse("2026-03-14"), 4600, 114))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("before the layout was as the book has it, 2026-03-14");
    assertThat(early.checkedAt(LONDON, LocalDate.parse("2026-03-01"), 4600, 114)).isSameAs(early);
  }

  @Test
  void tyresCannotBeOlderThanTheirDays() {
    TyreSet tooMany = new TyreSet("A", 900, 60, LocalDate.parse("2026-04-18"));
    Session session = at("2026-04-18T10:00", false, tooMany);
    assertThatThrownBy(() -> session.checkedAt(LONDON, null, 4600, 114))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("tyres.laps (900) are more than could be driven since 2026-04-18");
    TyreSet fromTomorrow = new TyreSet("A", 0, 60, LocalDate.parse("2026-04-19"));
    assertThatThrownBy(
            () -> at("2026-04-18T10:00", false, fromTomorrow).checkedAt(LONDON, null, 4600, 114))
        .hasMessageContaining("after the session's own day");
  }

  @Test
  void theNextSessionBeginsWithWhatThisOneLeft() {
    Session next = at("2026-04-18T10:00", false, SET).next();
    assertThat(next.tyres().laps()).isEqualTo(25);
    assertThat(next.startsAt()).isEqualTo(LocalDateTime.parse("2026-04-19T10:00"));
    assertThat(next.openPoints()).extracting(Session.OpenPoint::corner).containsExactly(4);
    assertThat(next.result()).isNull();
    assertThat(next.event()).isEqualTo("Spring meeting");
  }

  @Test
  void aSessionWithoutAnHourIsRefused() {
    assertThatThrownBy(
            () ->
                new Session(
                    "Spring meeting",
                    Session.Kind.RACE,
                    20,
                    false,
                    Purpose.RACE,
                    SET,
                    Conditions.DEFAULT,
                    List.of(),
                    null,
                    List.of(),
                    null))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("startsAt is missing");
  }
}
