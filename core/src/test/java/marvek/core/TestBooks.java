package marvek.core;

import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;

/** Books that several tests read. */
public final class TestBooks {
  /** The club car on the varied road, by the model alone. */
  public static final Reference.Basis VARIED_BASIS =
      Reference.basis(
          Circuit.bare("varied", TestRoads.varied(5)),
          TestVehicles.clubCar(),
          Conditions.DEFAULT,
          ChosenLine.SMOOTH);

  public static final Reference VARIED = Reference.on(VARIED_BASIS, Conditions.DEFAULT, List.of());

  private TestBooks() {}
}
