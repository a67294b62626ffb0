package marvek.core.cause;

import java.util.List;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.circuit.Kerb;

/** What another way through the corner costs, where positions are good enough to tell it. */
final class LineCauses {
  /** A distance is sure from so many of its errors on. */
  private static final double ERRORS = 2;

  /** Nearer to the outside edge than the page by so much the car ran out of road [m]. */
  private static final double WIDE_M = 0.5;

  /** A brake that comes off later than this behind an early apex went with it [m]. */
  private static final double RELEASED_LATE_M = 20;

  private LineCauses() {}

  /**
   * @param availableS lost by the speed and on the way out
   */
  static List<Part> of(CornerCase corner, double availableS) {
    Double insideM = corner.lap().way().insideM();
    if (insideM == null || availableS <= 0) {
      return List.of();
    }
    if (isEarlyApex(corner)) {
      double early = -corner.later(corner.page().way().insideAtM(), corner.lap().way().insideAtM());
      double turned = -corner.later(corner.page().way().turnInM(), corner.lap().way().turnInM());
      Cause with = turned >= Cause.TURNED_IN_EARLY.least() ? Cause.TURNED_IN_EARLY : null;
      return List.of(
          new Part(Cause.EARLY_APEX, with, availableS, early, corner.lap().way().insideAtM()));
    }
    double off = CornerCase.minus(insideM, corner.page().way().insideM());
    Double half = corner.stakes().apexHalfMetreOffS();
    boolean onKerb = corner.written().kerbs().apex().compareTo(Kerb.Use.TYRE) >= 0;
    Cause least = onKerb ? Cause.MISSED_KERB : Cause.MISSED_APEX;
    boolean sure = off >= ERRORS * corner.lineErrorM();
    if (!(off >= least.least()) || !sure || half == null || half <= 0) {
      return List.of();
    }
    Cause cause = off >= Cause.MISSED_APEX.least() ? Cause.MISSED_APEX : Cause.MISSED_KERB;
    Cause with = onKerb && cause == Cause.MISSED_APEX ? Cause.MISSED_KERB : null;
    double stake = Math.min(availableS, half * off / 0.5);
    return List.of(new Part(cause, with, stake, off, corner.lap().way().insideAtM()));
  }

  /** Early at the inside, and behind it no room, or off the throttle again. */
  private static boolean isEarlyApex(CornerCase corner) {
    double early = -corner.later(corner.page().way().insideAtM(), corner.lap().way().insideAtM());
    double wide = CornerCase.minus(corner.page().way().outsideM(), corner.lap().way().outsideM());
    double late =
        corner.later(corner.page().braking().releaseM(), corner.lap().braking().releaseM());
    boolean again = ExitCauses.lifts(corner) || late > RELEASED_LATE_M;
    return early >= Cause.EARLY_APEX.least() && wide >= WIDE_M && again;
  }
}
