package marvek.core.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Side;
import marvek.core.circuit.Survey;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;

/** Tyres of a side are warmed by the turns to the other. */
class SideWarmthTest {
  private static Reference reference(Survey survey) {
    return Reference.on(
        Reference.basis(
            Circuit.bare("made", survey),
            TestVehicles.clubCar(),
            Conditions.DEFAULT,
            ChosenLine.CENTRELINE),
        Conditions.DEFAULT,
        List.of());
  }

  /** Where all turns go one way no side is loaded late. */
  @Test
  void onAnOvalNothingIsToldOfASide() {
    Reference oval =
        reference(
            TestRoads.pointSymmetric(5, r -> r.straight(500).corner(60, 180, 20).straight(0)));
    assertThat(oval.pages()).hasSize(2);
    assertThat(SideWarmth.of(oval.lap(), oval.pages())).isEmpty();
  }

  /** The first turn to the other way is told with its side; the mirrored road mirrors it. */
  @Test
  void theFirstTurnToTheOtherWayIsTold() {
    Survey survey = TestRoads.varied(5);
    Reference made = reference(survey);
    Reference mirrored = reference(TestRoads.mirrored(survey));
    List<SideWarmth> cold = SideWarmth.of(made.lap(), made.pages());
    List<SideWarmth> other = SideWarmth.of(mirrored.lap(), mirrored.pages());
    assertThat(cold).isNotEmpty();
    assertThat(other)
        .extracting(SideWarmth::corner)
        .isEqualTo(cold.stream().map(SideWarmth::corner).toList());
    for (int k = 0; k < cold.size(); k++) {
      CornerPage page = made.pages().get(cold.get(k).corner() - 1);
      assertThat(cold.get(k).cold())
          .isEqualTo(page.direction() == Side.LEFT ? Side.RIGHT : Side.LEFT);
      assertThat(other.get(k).cold()).isEqualTo(cold.get(k).cold().mirrored());
      assertThat(cold.get(k).share()).isCloseTo(turnedBefore(made.lap(), page), within(0.02));
    }
  }

  /**
   * Share of the busier side's turning in the corner's own sense before its turn-in, by v² κ over
   * the way.
   */
  private static double turnedBefore(Lap lap, CornerPage page) {
    double sign = page.direction() == Side.LEFT ? 1 : -1;
    double before = 0;
    double all = 0;
    double allOther = 0;
    for (int i = 0; i < lap.size(); i++) {
      double v = lap.speedAt(i);
      double across = sign * lap.path().curvatureAt(i) * v * v * lap.path().elementAt(i);
      double work = Math.max(0, across);
      all += work;
      allOther += Math.max(0, -across);
      before += lap.path().road().stationAt(i) < page.turnIn().atM() ? work : 0;
    }
    return before / Math.max(all, allOther);
  }
}
