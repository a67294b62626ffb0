package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.laps.AlongLap;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.Thresholds;

/** What costs time before the brake is off: on neither pedal, and on the brake too early. */
final class ApproachCauses {
  /** So long on neither pedal beyond the page is a foot's way, and no coasting. */
  private static final double FOOTS_WAY_S = 0.15;

  /** A slope of the speed is taken over so far. */
  private static final double SLOPE_M = 12;

  private final CornerCase corner;

  private ApproachCauses(CornerCase corner) {
    this.corner = corner;
  }

  static List<Part> of(CornerCase corner) {
    List<Part> parts = new ArrayList<>();
    ApproachCauses causes = new ApproachCauses(corner);
    causes.coasted(parts);
    causes.brakedEarly(parts);
    return parts;
  }

  private void coasted(List<Part> parts) {
    double until = brakedAt(corner.lap().braking().onM());
    double beyond =
        coastedS(corner.lapAlong(), until)
            - coastedS(corner.pageAlong(), brakedAt(corner.page().braking().onM()))
            - FOOTS_WAY_S;
    if (beyond >= Cause.COASTED.least()) {
      parts.add(new Part(Cause.COASTED, coastingCostS(until), beyond, corner.fromM()));
    }
  }

  /** Where the brake came on; where it did not, the end of the approach. */
  private double brakedAt(Double onM) {
    return onM == null ? corner.offM() : Math.max(0, Math.min(onM, corner.offM()));
  }

  /** Seconds on neither pedal from the account's begin to where the brake comes on. */
  private double coastedS(AlongLap along, double untilM) {
    double seconds = 0;
    int until = along.indexOf(untilM);
    for (int k = along.indexOf(corner.fromM()); k < until; k++) {
      boolean neither =
          along.throttleAt(k) < Thresholds.DEFAULT.throttleOnPct()
              && along.brakeAt(k) < Thresholds.DEFAULT.brakeOnPct();
      seconds += neither ? along.timeAt(k + 1) - along.timeAt(k) : 0;
    }
    return seconds;
  }

  /**
   * Slower than the page up to the brake, and from there on as the missing speed is made good by
   * braking less: its square falls evenly to the end of the page's braking.
   */
  private double coastingCostS(double onM) {
    AlongLap page = corner.pageAlong();
    AlongLap lap = corner.lapAlong();
    double seconds = 0;
    int on = page.indexOf(onM);
    for (int k = page.indexOf(corner.fromM()); k < on; k++) {
      seconds += page.stepM() * Math.max(0, 1 / lap.speedAt(k) - 1 / page.speedAt(k));
    }
    double missing = page.speedAt(on) * page.speedAt(on) - lap.speedAt(on) * lap.speedAt(on);
    int off = page.indexOf(corner.offM());
    for (int k = on; k < off; k++) {
      double v = page.speedAt(k);
      double rest = v * v - missing * (off - k) / (off - on);
      seconds += rest > 1 && missing > 0 ? page.stepM() * (1 / Math.sqrt(rest) - 1 / v) : 0;
    }
    return seconds;
  }

  /**
   * Metres before the page's point that a lower speed at the end does not ask for. As much as they
   * cost when the braking is drawn out to the same end; where it is also over so much sooner, what
   * is rolled there at the speed of the end.
   */
  private void brakedEarly(List<Part> parts) {
    double early = -corner.later(corner.page().braking().onM(), corner.lap().braking().onM());
    if (Double.isNaN(early)) {
      return;
    }
    double fast = corner.pageSpeedAt(Math.max(0, corner.page().braking().onM()));
    double slow = corner.pageSpeedAt(corner.offM());
    double braking =
        corner.later(corner.page().braking().onM(), corner.page().braking().releaseM());
    double slowing = (fast * fast - slow * slow) / (2 * braking);
    double metres = early - Math.max(0, corner.slowerSquared()) / (2 * slowing);
    if (!(metres >= Cause.BRAKED_EARLY.least()) || !(fast > slow)) {
      return;
    }
    double drawnOut = metres * (fast - slow) / (fast * (fast + slow));
    double off =
        -corner.later(corner.page().braking().releaseM(), corner.lap().braking().releaseM());
    double sooner = Math.max(0, Math.min(1, off / metres));
    double cost = drawnOut * (1 + sooner * fast / slow);
    double at = corner.page().braking().onM() - early;
    parts.add(new Part(Cause.BRAKED_EARLY, beside(sooner), cost, metres, at));
  }

  /** How an early brake was used: over as much sooner, or pressed less; null for neither. */
  private Cause beside(double sooner) {
    if (100 * sooner >= Cause.RELEASED_SOON.least()) {
      return Cause.RELEASED_SOON;
    }
    double page = hardest(corner.pageAlong(), corner.page().braking());
    double lap = hardest(corner.lapAlong(), corner.lap().braking());
    return 100 * (1 - lap / page) >= Cause.PRESSED_LITTLE.least() ? Cause.PRESSED_LITTLE : null;
  }

  /** The hardest slowing of a braking, over a few metres each [m/s²]; NaN without one. */
  private double hardest(AlongLap along, Braking braking) {
    if (braking.onM() == null || braking.releaseM() == null) {
      return Double.NaN;
    }
    int reach = (int) Math.max(1, Math.round(SLOPE_M / along.stepM()));
    double hardest = 0;
    int until = Math.min(along.size() - 1 - reach, along.indexOf(braking.releaseM()));
    for (int k = along.indexOf(braking.onM()); k < until; k++) {
      double v0 = along.speedAt(k);
      double v1 = along.speedAt(k + reach);
      double slowing = (v0 * v0 - v1 * v1) / (2 * reach * along.stepM());
      hardest = slowing > hardest ? slowing : hardest;
    }
    return hardest;
  }
}
