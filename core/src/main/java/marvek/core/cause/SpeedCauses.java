package marvek.core.cause;

import java.util.List;
import marvek.core.cause.CornerAccount.Part;

/** What a speed below the page's costs where the brake comes off. */
final class SpeedCauses {
  private SpeedCauses() {}

  static List<Part> of(CornerCase corner, double speedS) {
    boolean braked = corner.lap().braking().onM() != null;
    double slower = corner.slowerMps() - (braked ? 0 : corner.slowerBeforeMps());
    return slower >= Cause.OVER_SLOWED.least()
        ? List.of(new Part(Cause.OVER_SLOWED, speedS, slower, corner.offM()))
        : List.of();
  }
}
