package marvek.core.brief;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.page.CornerPage;
import marvek.core.profile.Lap;

/**
 * A corner of the first lap whose tyres are colder than the others: they warm up by the turns
 * driven so far, and a left-hander works on those on the right.
 *
 * @param cold side of the vehicle that the corner loads
 * @param share of the busier side's work on a lap that this side has had before the turn-in
 */
public record SideWarmth(int corner, Side cold, double share) {
  /** With less of such a lap's work than this a side is cold yet (own assumption). */
  private static final double COLD_SHARE = 0.15;

  /** Where both sides are as cold the whole lap is: nothing of a side is told (own assumption). */
  private static final double LESS_THAN_OTHER = 0.1;

  /** The corners of a lap from the line that load a side which the ones before did not. */
  public static List<SideWarmth> of(Lap lap, List<CornerPage> pages) {
    Road road = lap.path().road();
    double[] left = new double[lap.size() + 1];
    double[] right = new double[lap.size() + 1];
    for (int i = 0; i < lap.size(); i++) {
      // Work by the side force: what turns left rolls over the tyres on the right.
      double work = lap.lateralAccelerationAt(i) * lap.path().elementAt(i);
      right[i + 1] = right[i] + Math.max(0, work);
      left[i + 1] = left[i] + Math.max(0, -work);
    }
    double whole = Math.max(left[lap.size()], right[lap.size()]);
    List<SideWarmth> cold = new ArrayList<>();
    for (CornerPage page : pages) {
      Side outside = page.direction().mirrored();
      int turnIn = road.indexOf(page.turnIn().atM());
      double own = (outside == Side.LEFT ? left : right)[turnIn] / whole;
      double other = (outside == Side.LEFT ? right : left)[turnIn] / whole;
      if (own < COLD_SHARE && other - own > LESS_THAN_OTHER) {
        cold.add(new SideWarmth(page.corner(), outside, own));
      }
    }
    return cold;
  }
}
