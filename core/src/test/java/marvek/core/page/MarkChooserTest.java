package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import org.junit.jupiter.api.Test;

class MarkChooserTest {
  private static final Road ROAD = Road.through(TestRoads.circle(200, 5));

  private static Mark mark(String label, MarkType type, Side side, double at) {
    return new Mark(label, type, side, at, at, side == Side.LEFT ? 8 : -8, null, null, "");
  }

  private static MarkReference target(double point, Mark... marks) {
    return new MarkChooser(List.of(marks), ROAD).target(point, Side.LEFT).orElse(null);
  }

  @Test
  void aPointIsToldFromTheMarkWithItsSide() {
    MarkReference reference =
        target(312, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300));
    assertThat(reference.text()).isEqualTo("12 m past the 100 board, left");
    assertThat(reference.thing()).isEqualTo("the 100 board, left");
    assertThat(reference.offsetM()).isCloseTo(12, within(1e-9));
  }

  @Test
  void closeByIsAtTheMarkAndBelowABridgeIsUnderIt() {
    assertThat(target(301, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300)).text())
        .isEqualTo("at the 100 board, left");
    assertThat(target(299, mark("footbridge", MarkType.BRIDGE, Side.OVER, 300)).text())
        .isEqualTo("under the footbridge");
  }

  @Test
  void beforeTheMarkIsSaidSo() {
    assertThat(target(280, mark("marshal post 4", MarkType.MARSHAL_POST, Side.RIGHT, 300)).text())
        .isEqualTo("20 m before marshal post 4, right");
  }

  /** Common practice: what stays where it is beats what is near. */
  @Test
  void aBoardBeatsANearerTreeAndAConeLosesToBoth() {
    Mark board = mark("150 board", MarkType.DISTANCE_BOARD, Side.LEFT, 290);
    Mark tree = mark("lone tree", MarkType.TREE, Side.LEFT, 305);
    Mark cone = mark("cone", MarkType.CONE, Side.LEFT, 301);
    assertThat(target(302, board, tree, cone).mark()).isEqualTo("150 board");
    assertThat(target(302, tree, cone).mark()).isEqualTo("lone tree");
  }

  /** Common practice: the outside of the coming corner is where the eyes are. */
  @Test
  void theOutsideComesFirst() {
    Mark inside = mark("inner post", MarkType.LAMP, Side.RIGHT, 302);
    Mark outside = mark("outer post", MarkType.LAMP, Side.LEFT, 298);
    assertThat(target(300, inside, outside).mark()).isEqualTo("outer post");
  }

  @Test
  void whatMovesWithinTheHourIsNoMark() {
    assertThat(target(300, mark("shadow", MarkType.SHADOW, Side.LEFT, 300))).isNull();
    assertThat(target(300, mark("parked van", MarkType.PARKED_VEHICLE, Side.LEFT, 300))).isNull();
  }

  @Test
  void outOfReachIsNoMark() {
    assertThat(target(300, mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 400))).isNull();
  }

  @Test
  void ofALongThingTheNearerEndCounts() {
    Mark banner = new Mark("mill banner", MarkType.BANNER, Side.LEFT, 250, 295, 8, null, null, "");
    assertThat(target(300, banner).text()).isEqualTo("5 m past the end of the mill banner, left");
    assertThat(target(255, banner).text()).isEqualTo("5 m past the start of the mill banner, left");
  }

  @Test
  void theSafeMarkIsTheNextSolidOneEarlier() {
    MarkChooser marks =
        new MarkChooser(
            List.of(
                mark("200 board", MarkType.DISTANCE_BOARD, Side.LEFT, 200),
                mark("150 board", MarkType.DISTANCE_BOARD, Side.LEFT, 250),
                mark("oak", MarkType.TREE, Side.LEFT, 280),
                mark("100 board", MarkType.DISTANCE_BOARD, Side.LEFT, 300)),
            ROAD);
    MarkReference safe = marks.safe(304, Side.LEFT).orElseThrow();
    assertThat(safe.mark()).isEqualTo("150 board");
    assertThat(safe.text()).isEqualTo("at the 150 board, left");
  }

  @Test
  void marksAreFoundAcrossTheStartLine() {
    Mark board = mark("50 board", MarkType.DISTANCE_BOARD, Side.LEFT, ROAD.lengthM() - 10);
    assertThat(target(5, board).text()).isEqualTo("15 m past the 50 board, left");
  }
}
