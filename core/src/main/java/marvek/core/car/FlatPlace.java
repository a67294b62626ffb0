package marvek.core.car;

import marvek.core.circuit.Path;
import marvek.core.profile.Lap;

/**
 * The sample of a lap at which hill, bank and bend come in least: where a car's own forces show.
 */
final class FlatPlace {
  private FlatPlace() {}

  static int of(Lap lap) {
    int flattest = 0;
    for (int i = 1; i < lap.size(); i++) {
      if (unevenness(lap.path(), i) < unevenness(lap.path(), flattest)) {
        flattest = i;
      }
    }
    return flattest;
  }

  /** Weighed so that each is worth about the same force. */
  private static double unevenness(Path path, int i) {
    return Math.abs(path.gradeFractionAt(i))
        + Math.abs(path.road().bankingAt(i))
        + 20 * Math.abs(path.curvatureAt(i))
        + 100 * Math.abs(path.verticalCurvatureAt(i))
        + Math.abs(1 - path.gripFactorAt(i) * path.dampFactorAt(i));
  }
}
