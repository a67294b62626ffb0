package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.CircuitEdits;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import org.junit.jupiter.api.Test;

class TouchedPagesTest {
  private static final Circuit BARE = Circuit.bare("varied", TestRoads.varied(5));
  private static final Road ROAD = BARE.road();
  private static final List<CornerPage> PLAIN = pages(BARE);
  private static final double BRAKE_M = PLAIN.get(0).brake().atM();

  private static List<CornerPage> pages(Circuit circuit) {
    Reference.Basis basis =
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.CENTRELINE);
    return Reference.on(basis, Conditions.DEFAULT, List.of()).pages();
  }

  private static LayoutChange change(LayoutChange.Kind kind, double from, double to, String label) {
    return new LayoutChange(kind, from, to, label, Sentence.told("something changed"));
  }

  private static List<Integer> touched(List<CornerPage> pages, LayoutChange change) {
    return TouchedPages.of(ROAD, pages, List.of(change)).stream().map(PageCheck::corner).toList();
  }

  @Test
  void aKerbTouchesThePageOfItsCornerOnly() {
    double apex = PLAIN.get(2).apexes().get(0).atM();
    assertThat(touched(PLAIN, change(LayoutChange.Kind.KERB, apex - 5, apex + 5, "")))
        .contains(PLAIN.get(2).corner())
        .doesNotContain(PLAIN.get(0).corner(), PLAIN.get(5).corner());
  }

  @Test
  void theApproachCountsToo() {
    assertThat(touched(PLAIN, change(LayoutChange.Kind.SURFACE, BRAKE_M - 60, BRAKE_M - 50, "")))
        .contains(PLAIN.get(0).corner());
    assertThat(touched(PLAIN, change(LayoutChange.Kind.SURFACE, BRAKE_M - 260, BRAKE_M - 250, "")))
        .doesNotContain(PLAIN.get(0).corner());
  }

  @Test
  void aMarkTouchesOnlyPagesThatSpeakOfIt() {
    Mark board =
        new Mark(
            "100 board",
            MarkType.DISTANCE_BOARD,
            Side.LEFT,
            BRAKE_M - 10,
            BRAKE_M - 10,
            8,
            null,
            1.6,
            "");
    CircuitEdits bare = CircuitEdits.of(BARE);
    Circuit marked =
        new CircuitEdits(
                bare.name(),
                "",
                null,
                "UTC",
                bare.trackLimits(),
                List.of(board),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of())
            .on(BARE);
    List<CornerPage> speaking = pages(marked);
    assertThat(speaking.get(0).brake().target().mark()).isEqualTo("100 board");
    LayoutChange gone =
        change(LayoutChange.Kind.MARK_GONE, board.fromM(), board.fromM(), "100 board");
    assertThat(touched(speaking, gone)).containsExactly(speaking.get(0).corner());
    assertThat(touched(PLAIN, gone)).isEmpty();
    // A board of the same name at the other end of the lap is another board.
    double elsewhere = ROAD.wrapStation(board.fromM() + ROAD.lengthM() / 2);
    assertThat(
            touched(
                speaking, change(LayoutChange.Kind.MARK_GONE, elsewhere, elsewhere, "100 board")))
        .isEmpty();
  }

  @Test
  void aNewMarkAndAnotherNameMakeNothingWrong() {
    assertThat(touched(PLAIN, change(LayoutChange.Kind.MARK_NEW, BRAKE_M, BRAKE_M, "post")))
        .isEmpty();
    assertThat(touched(PLAIN, change(LayoutChange.Kind.CORNER, BRAKE_M, BRAKE_M + 90, "")))
        .isEmpty();
  }

  @Test
  void aChangeOfTheRuleAllRoundTouchesEveryPage() {
    double end = ROAD.lengthM() - 1;
    assertThat(touched(PLAIN, change(LayoutChange.Kind.LIMITS, 0, end, ""))).hasSize(PLAIN.size());
  }
}
