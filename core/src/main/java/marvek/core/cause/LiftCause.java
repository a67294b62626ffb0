package marvek.core.cause;

import java.util.List;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Thresholds;

/** A throttle that came off where the page goes through flat: nothing else is to blame for it. */
final class LiftCause {
  private LiftCause() {}

  /**
   * @param availableS lost up to the slowest place of the page
   */
  static List<Part> of(CornerCase corner, double availableS) {
    if (!corner.isFlat() || availableS <= 0) {
      return List.of();
    }
    AlongLap lap = corner.lapAlong();
    // Who was not flat before still comes out of the corner before.
    if (!(lap.throttleAt(lap.indexOf(corner.fromM())) > Thresholds.DEFAULT.fullThrottlePct())) {
      return List.of();
    }
    double missing = missingM(lap, corner.fromM(), corner.offM());
    return missing >= Cause.LIFTED.least()
        ? List.of(new Part(Cause.LIFTED, availableS, missing, corner.fromM()))
        : List.of();
  }

  /** Metres of full throttle that are missing. */
  private static double missingM(AlongLap along, double fromM, double toM) {
    double metres = 0;
    for (int k = along.indexOf(fromM); k < along.indexOf(toM); k++) {
      double foot = along.throttleAt(k);
      metres += Double.isNaN(foot) ? 0 : along.stepM() * Math.max(0, 1 - foot / 100);
    }
    return metres;
  }
}
