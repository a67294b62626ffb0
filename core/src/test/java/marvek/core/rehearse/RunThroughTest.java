package marvek.core.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.TestBooks;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;
import marvek.core.rehearse.Act.Kind;
import marvek.core.rehearse.RunThrough.Hit;
import marvek.core.rehearse.RunThrough.Press;
import org.junit.jupiter.api.Test;

/** Key times made by hand. */
class RunThroughTest {
  private static final Road RING = Road.through(TestRoads.circle(100, 5));

  /** Round a ring the car goes as fast everywhere: metres are seconds times speed. */
  private static final Lap EVEN =
      SpeedProfile.solve(
          Path.centreline(RING, List.of()), TestVehicles.pointMass(0.9), TestVehicles.FULL_GRIP);

  private static final double SPEED = RING.lengthM() / EVEN.timeS();

  private static final List<Act> ACTS =
      List.of(act(1, Kind.BRAKE, 4), act(1, Kind.TURN, 6), act(2, Kind.BRAKE, 10));

  private static Act act(int corner, Kind kind, double atS) {
    return new Act(corner, kind, SPEED * atS, atS);
  }

  private static RunThrough run(Press... presses) {
    return RunThrough.of(EVEN, ACTS, List.of(presses), EVEN.timeS());
  }

  @Test
  void aPressIsLaidBesideItsActInSecondsAndMetres() {
    RunThrough run =
        run(new Press(Kind.BRAKE, 3.8), new Press(Kind.TURN, 6.3), new Press(Kind.BRAKE, 10));
    assertThat(run.hits()).extracting(h -> h.act().atS()).containsExactly(4.0, 6.0, 10.0);
    assertThat(run.hits().get(0).offS()).isCloseTo(-0.2, within(1e-9));
    // s = v t.
    assertThat(run.hits().get(0).offM()).isCloseTo(-0.2 * SPEED, within(0.01));
    assertThat(run.hits().get(1).offM()).isCloseTo(0.3 * SPEED, within(0.01));
    assertThat(run.hits().get(2).offM()).isCloseTo(0, within(0.01));
    assertThat(run.extra()).isZero();
    assertThat(run.corners().get(0).meanM()).isCloseTo(0.25 * SPEED, within(0.01));
    assertThat(run.corners().get(1).acts()).isEqualTo(1);
  }

  @Test
  void whatWasMissedAndWhatWasTooMuchIsCounted() {
    RunThrough run =
        run(
            new Press(Kind.BRAKE, 4.1),
            new Press(Kind.BRAKE, 4.3),
            new Press(Kind.TURN, 6 + RunThrough.FARTHEST_S + 0.1));
    assertThat(run.hits()).filteredOn(Hit::missed).hasSize(2);
    assertThat(run.hits().get(0).offS()).as("the nearer one").isCloseTo(0.1, within(1e-9));
    assertThat(run.extra()).isEqualTo(2);
    assertThat(run.corners().get(1).meanM()).isNull();
  }

  @Test
  void whatIsNeverPressedIsNotAskedAndWhatLiesBehindTheEndNeither() {
    assertThat(run(new Press(Kind.BRAKE, 4)).hits())
        .extracting(h -> h.act().kind())
        .containsOnly(Kind.BRAKE);
    RunThrough half = RunThrough.of(EVEN, ACTS, List.of(new Press(Kind.BRAKE, 4)), 8);
    assertThat(half.hits()).hasSize(1);
    assertThat(run().hits()).isEmpty();
  }

  /**
   * Property: the order in which presses are told changes nothing, and who presses with the page is
   * exact.
   */
  @Test
  void theLapOfABookPressedByItsOwnPagesIsExact() {
    Reference book = TestBooks.VARIED;
    List<Act> acts = Act.of(book.lap(), book.pages());
    List<Press> presses = new ArrayList<>();
    acts.forEach(act -> presses.add(new Press(act.kind(), act.atS())));
    Collections.shuffle(presses, new Random(3));
    RunThrough run = RunThrough.of(book.lap(), acts, presses, book.lap().timeS());
    assertThat(run.extra()).isZero();
    assertThat(run.hits()).hasSize(acts.size());
    assertThat(run.hits())
        .allSatisfy(
            hit -> {
              assertThat(hit.offS()).isCloseTo(0, within(1e-9));
              assertThat(hit.offM()).isCloseTo(0, within(1e-6));
            });
    for (CornerPage page : book.pages()) {
      assertThat(acts)
          .filteredOn(a -> a.corner() == page.corner() && a.kind() == Kind.BRAKE)
          .hasSize(page.brake().atM() == null ? 0 : 1);
      assertThat(acts)
          .filteredOn(a -> a.corner() == page.corner() && a.kind() == Kind.GEAR_DOWN)
          .hasSameSizeAs(page.gears().downshiftsM());
    }
    long up = acts.stream().filter(a -> a.kind() == Kind.GEAR_UP).count();
    long down = acts.stream().filter(a -> a.kind() == Kind.GEAR_DOWN).count();
    assertThat(up).as("round a lap as many up as down").isEqualTo(down).isPositive();
    // Where an act is, is where the lap is at its time.
    assertThat(acts)
        .allSatisfy(
            a ->
                assertThat(Act.stationAt(book.lap(), a.atS()))
                    .isCloseTo(book.path().road().wrapStation(a.atM()), within(1e-3)));
  }

  @Test
  void whatIsNoRunIsRefused() {
    assertThat(Act.of(EVEN, List.of())).as("a book without corners").isEmpty();
    assertThatThrownBy(() -> RunThrough.of(EVEN, List.of(), List.of(), 5))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("no corner");
    assertThatThrownBy(() -> RunThrough.of(EVEN, ACTS, List.of(), Double.NaN))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> run(new Press(Kind.TURN, -1)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> run(new Press(Kind.TURN, 1e6)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> run(new Press(Kind.TURN, Double.NaN)))
        .isInstanceOf(InvalidValueException.class);
  }
}
