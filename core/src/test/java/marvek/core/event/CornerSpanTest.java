package marvek.core.event;

import static org.assertj.core.api.Assertions.assertThat;

import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;

/** What belongs to a corner, by places that are counted by hand. */
class CornerSpanTest {
  private final Road lap = Circuit.bare("ring", TestRoads.circle(60, 4)).road();
  private final Road open = MadeRoads.open().road();

  /** After an apex at 10, from 20 to 30; the next one's work begins at 50, its apex is at 60. */
  private final CornerSpan span = new CornerSpan(10, 20, 30, 60, 50);

  private final CornerSpan alone = new CornerSpan(-1, 20, 30, -1, -1);

  @Test
  void nothingUpToTheApexBeforeBelongsToIt() {
    assertThat(span.beginsOnWay(9, 25, lap)).isTrue();
    assertThat(span.beginsOnWay(10, 25, lap)).isTrue();
    assertThat(span.beginsOnWay(11, 25, lap)).isFalse();
    assertThat(span.beginsOnWay(lap.size() - 3, 25, lap)).as("before the line").isTrue();
    assertThat(span.beginsOnWay(9, 25, open)).isTrue();
    assertThat(span.beginsOnWay(11, 25, open)).isFalse();
    assertThat(span.beginsOnWay(5, 9, open)).isFalse();
    assertThat(alone.beginsOnWay(0, 25, lap)).isFalse();
  }

  /** An apex before at the very first sample is one, too. */
  @Test
  void theFirstSampleCountsAsAnyOther() {
    CornerSpan first = new CornerSpan(0, 20, 30, 60, 0);
    assertThat(first.beginsOnWay(0, 25, lap)).isTrue();
    assertThat(first.beginsOnWay(1, 25, lap)).isFalse();
    assertThat(first.notBeforeM(lap.stationAt(0), 20, lap)).isEqualTo(lap.stationAt(1));
    assertThat(first.left(lap.size() - 9, 100, lap)).isEqualTo(8);
  }

  @Test
  void aStationBeforeItsPartIsBroughtToWhereThatBegins() {
    double begins = lap.stationAt(11);
    assertThat(span.notBeforeM(lap.stationAt(8), 20, lap)).isEqualTo(begins);
    assertThat(span.notBeforeM(lap.stationAt(10), 20, lap)).isEqualTo(begins);
    assertThat(span.notBeforeM(begins + 0.3, 20, lap)).isEqualTo(begins + 0.3);
    assertThat(span.notBeforeM(lap.stationAt(8), 20, open)).isEqualTo(open.stationAt(11));
    assertThat(span.notBeforeM(open.stationAt(12), 20, open)).isEqualTo(open.stationAt(12));
    assertThat(alone.notBeforeM(3, 20, lap)).isEqualTo(3);
  }

  @Test
  void whatIsLeftOfItEndsBeforeTheNextCornersWork() {
    assertThat(span.left(30, 100, lap)).isEqualTo(19);
    assertThat(span.left(30, 5, lap)).isEqualTo(5);
    assertThat(span.left(49, 100, lap)).isZero();
    assertThat(span.left(50, 100, lap)).isEqualTo(-1);
    assertThat(span.left(53, 100, lap)).isEqualTo(-1);
    assertThat(span.endingAt(5).left(lap.size() - 10, 100, lap)).as("over the line").isEqualTo(14);
  }

  @Test
  void withoutANextCornerItGoesOnAsFarAsThereIsRoad() {
    assertThat(alone.left(30, 100, lap)).isEqualTo(100);
    int last = open.size() - 1;
    assertThat(alone.left(30, 100, open)).isEqualTo(100);
    assertThat(alone.left(last - 7, 100, open)).isEqualTo(7);
  }

  @Test
  void neighboursAndEndAreSetAsTheyBecomeKnown() {
    CornerSpan between = alone.between(4, 77);
    assertThat(between).isEqualTo(new CornerSpan(4, 20, 30, 77, -1));
    assertThat(between.endingAt(66)).isEqualTo(new CornerSpan(4, 20, 30, 77, 66));
  }
}
