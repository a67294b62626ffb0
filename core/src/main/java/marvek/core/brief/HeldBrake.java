package marvek.core.brief;

import marvek.core.circuit.Road;
import marvek.core.reference.Reference;

/**
 * With less grip nobody is told to brake later. Where the corner before is left slower the model
 * arrives slower and would, a motorcycle above all; but a mark that moves towards the corner on a
 * worse road is no advice, so the mark of the better day stays (common practice; own rule).
 */
final class HeldBrake {
  private HeldBrake() {}

  /**
   * Whether a brake point stays where it is on another day.
   *
   * @param atM where it is, or null without braking
   * @param thenM where the model has it then, or null
   */
  static boolean holds(Reference base, Reference other, Double atM, Double thenM) {
    if (atM == null || thenM == null) {
      return false;
    }
    Road road = base.path().road();
    return other.modelLap().conditions().lessGripThan(base.modelLap().conditions(), atM)
        && road.offsetBetween(atM, thenM) > 0;
  }
}
