package marvek.core.lead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import marvek.core.InvalidValueException;
import marvek.core.lead.Rotation.Turn;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class RotationTest {
  private static Member member(String key, int from, Integer gone) {
    return new Member(key, key, "", from, gone);
  }

  private static List<String> fronts(List<Turn> turns) {
    return turns.stream().map(t -> t.order().isEmpty() ? "-" : t.order().get(0)).toList();
  }

  /** Worked by hand: four drivers, two laps each, ten laps. */
  @Test
  void theFrontGoesToTheBackWhenHisLapsAreDone() {
    List<Member> four =
        List.of(
            member("A", 1, null), member("B", 1, null), member("C", 1, null), member("D", 1, null));
    assertThat(Rotation.of(four, 2, 10))
        .containsExactly(
            new Turn(1, 2, List.of("A", "B", "C", "D")),
            new Turn(3, 4, List.of("B", "C", "D", "A")),
            new Turn(5, 6, List.of("C", "D", "A", "B")),
            new Turn(7, 8, List.of("D", "A", "B", "C")),
            new Turn(9, 10, List.of("A", "B", "C", "D")));
  }

  /** Worked by hand: B leaves in his first lap behind the leader, D comes on lap 4. */
  @Test
  void whoLeavesIsPassedOverAndWhoComesHasHisTurnBeforeThoseWhoHadTheirs() {
    List<Member> group =
        List.of(
            member("A", 1, null), member("B", 1, 4), member("C", 1, null), member("D", 4, null));
    assertThat(Rotation.of(group, 2, 9))
        .containsExactly(
            new Turn(1, 2, List.of("A", "B", "C")),
            new Turn(3, 3, List.of("B", "C", "A")),
            new Turn(4, 5, List.of("C", "D", "A")),
            new Turn(6, 7, List.of("D", "A", "C")),
            new Turn(8, 9, List.of("A", "C", "D")));
  }

  @Test
  void somebodyAloneHasEveryTurnAndNobodyIsNobody() {
    assertThat(fronts(Rotation.of(List.of(member("A", 1, 5)), 2, 6)))
        .containsExactly("A", "A", "-");
    assertThat(Rotation.of(List.of(), 2, 3)).containsExactly(new Turn(1, 3, List.of()));
  }

  /** Whatever leaves or comes: everybody who is there led once before anybody leads twice. */
  @Property
  void everybodyIsBehindTheLeaderOnceBeforeAnybodyIsTwice(
      @ForAll @Size(min = 1, max = 7) List<@IntRange(min = 1, max = 12) Integer> from,
      @ForAll @Size(7) List<@IntRange(min = 0, max = 20) Integer> stays,
      @ForAll @IntRange(min = 1, max = 4) int lapsEach) {
    List<Member> group = new ArrayList<>();
    for (int k = 0; k < from.size(); k++) {
      Integer gone = stays.get(k) > 15 ? null : from.get(k) + stays.get(k);
      group.add(member("m" + k, from.get(k), gone));
    }
    List<Turn> turns = Rotation.of(group, lapsEach, 40);
    int lap = 1;
    Map<String, Integer> had = new HashMap<>();
    String before = "";
    int since = 0;
    for (Turn turn : turns) {
      assertThat(turn.fromLap()).isEqualTo(lap);
      for (; lap <= turn.toLap(); lap++) {
        int now = lap;
        assertThat(turn.order())
            .as("lap %d", lap)
            .containsExactlyInAnyOrderElementsOf(
                group.stream().filter(m -> m.isThere(now)).map(Member::key).toList());
        String front = turn.order().isEmpty() ? "" : turn.order().get(0);
        since = front.equals(before) && since < lapsEach ? since + 1 : 1;
        before = front;
        if (since == 1 && !front.isEmpty()) {
          int his = had.merge(front, 1, Integer::sum);
          if (his == 2) {
            assertThat(turn.order()).allMatch(key -> had.getOrDefault(key, 0) >= 1);
          }
        }
      }
    }
    assertThat(lap).isEqualTo(41);
  }

  /** Of those who are there all day, nobody is more than one turn ahead of another. */
  @Property
  void turnsAreSharedEvenly(
      @ForAll @IntRange(min = 1, max = 8) int drivers,
      @ForAll @IntRange(min = 1, max = 4) int lapsEach,
      @ForAll @IntRange(min = 1, max = 60) int laps) {
    List<Member> group =
        IntStream.range(0, drivers).mapToObj(k -> member("m" + k, 1, null)).toList();
    Map<String, Integer> behind = new HashMap<>();
    group.forEach(m -> behind.put(m.key(), 0));
    for (Turn turn : Rotation.of(group, lapsEach, laps)) {
      behind.merge(turn.order().get(0), turn.toLap() - turn.fromLap() + 1, Integer::sum);
    }
    int most = behind.values().stream().max(Integer::compare).orElseThrow();
    int least = behind.values().stream().min(Integer::compare).orElseThrow();
    assertThat(most - least).isLessThanOrEqualTo(lapsEach);
    assertThat(behind.values().stream().mapToInt(Integer::intValue).sum()).isEqualTo(laps);
  }

  @Test
  void whatIsNoGroupIsRefused() {
    assertThatThrownBy(() -> Rotation.of(List.of(), 0, 5))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> Rotation.of(List.of(), 1, 0))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> Rotation.of(List.of(member("A", 1, null), member("A", 1, null)), 1, 5))
        .hasMessageContaining("twice");
    assertThatThrownBy(() -> member("A", 4, 3)).hasMessageContaining("before the lap");
    assertThatThrownBy(() -> member(" ", 1, null)).isInstanceOf(InvalidValueException.class);
  }
}
