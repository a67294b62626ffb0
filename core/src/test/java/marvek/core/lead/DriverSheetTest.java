package marvek.core.lead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.lead.DriverSheet.CornerDay;
import marvek.core.lead.DriverSheet.Work;
import marvek.core.lead.GroupRemark.State;
import org.junit.jupiter.api.Test;

/** A day of two drivers, put together by hand. */
class DriverSheetTest {
  private static GroupRemark said(int corner, int lap, String words) {
    return GroupRemark.said("ada", corner, lap, words, false);
  }

  private static final List<GroupRemark> DAY =
      List.of(
          said(4, 1, "Wait for throttle").seen(State.NOT_TAKEN, 2),
          said(4, 2, "wait for throttle").seen(State.NOT_TAKEN, 3),
          said(4, 3, "Wait for throttle").seen(State.TAKEN, 4),
          said(1, 3, "Early").seen(State.TAKEN, 4),
          said(9, 4, "Look further"),
          said(7, 5, "Tighter"),
          said(2, 2, "Late").seen(State.NOT_TAKEN, 3),
          GroupRemark.said("ada", 6, 4, "Good", true),
          GroupRemark.said("ben", 1, 1, "Early", false));

  @Test
  void theSheetSaysWhatWasGoodAndThreeThingsToWorkOn() {
    DriverSheet sheet = DriverSheet.of("ada", DAY, Map.of());
    assertThat(sheet.good()).extracting(GroupRemark::corner).containsExactly(4, 1, 6);
    assertThat(sheet.workOn())
        .containsExactly(
            new Work(4, "Wait for throttle", 2, 2),
            new Work(7, "Tighter", 1, 5),
            new Work(9, "Look further", 1, 4));
    assertThat(sheet.corners())
        .contains(new CornerDay(4, 3, 1, null, null), new CornerDay(2, 1, 0, null, null))
        .noneMatch(c -> c.corner() == 6);
  }

  @Test
  void progressIsTheLastLapsAgainstTheFirst() {
    DriverSheet sheet =
        DriverSheet.of(
            "ada",
            List.of(),
            Map.of(3, List.of(0.5, 0.3, 0.9, 0.2, 0.1), 5, List.of(0.1, 0.2, 0.3)));
    assertThat(sheet.corners()).hasSize(2);
    assertThat(sheet.corners().get(0).firstLostS()).isCloseTo(0.4, within(1e-12));
    assertThat(sheet.corners().get(0).lastLostS()).isCloseTo(0.15, within(1e-12));
    assertThat(sheet.corners().get(1).firstLostS()).as("three laps say nothing").isNull();
    assertThat(DriverSheet.of("nobody", DAY, Map.of()).good()).isEmpty();
  }

  @Test
  void aRemarkIsOpenUntilItIsSeenAndPraiseAsksForNothing() {
    GroupRemark open = said(4, 1, " Early ");
    assertThat(open.words()).isEqualTo("Early");
    assertThat(open.isOpen()).isTrue();
    GroupRemark closed = open.seen(State.TAKEN, 2);
    assertThat(closed.isOpen()).isFalse();
    assertThat(closed.closedOnLap()).isEqualTo(2);
    assertThat(closed.seen(State.OPEN, 3)).isEqualTo(open);
    GroupRemark own = open.own();
    assertThat(own.by()).isEqualTo(GroupRemark.By.DRIVER);
    assertThat(own.seen(State.TAKEN, 2).by()).as("stays whose it is").isEqualTo(own.by());
    GroupRemark praise = GroupRemark.said("ada", 1, 1, "Good", true);
    assertThat(praise.isOpen()).isFalse();
    assertThatThrownBy(() -> praise.seen(State.NOT_TAKEN, 2))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> said(-1, 1, "x")).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> said(1, 0, "x")).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> said(1, 1, " ")).isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(
            () ->
                new GroupRemark("ada", 1, 1, "x", false, State.TAKEN, null, GroupRemark.By.DRIVER))
        .isInstanceOf(InvalidValueException.class);
  }
}
