package marvek.core.laps;

import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;

/** The book of an oval of two hairpins and two straights of seven hundred metres. */
final class OvalBook {
  static final Reference LEFT = of(1);
  static final Road ROAD = LEFT.path().road();

  private OvalBook() {}

  /**
   * Of the oval driven one way round.
   *
   * @param turn 1 for bends to the left, −1 for its mirror image
   */
  static Reference of(int turn) {
    Circuit circuit =
        Circuit.bare(
            "oval",
            TestRoads.every(5)
                .straight(700)
                .corner(50, turn * 180, 20)
                .straight(700)
                .corner(50, turn * 180, 20)
                .survey(true, 6, 0, 0));
    Reference.Basis basis =
        Reference.basis(circuit, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
    return Reference.on(basis, Conditions.DEFAULT, List.of());
  }
}
