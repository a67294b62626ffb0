package marvek.core.page;

import java.util.List;

/**
 * One press of the brake.
 *
 * @param onM where the driver acts: the foot leaves the throttle, and pressure builds up after it
 * @param peakPct pressure that is built up first, in per cent of full
 * @param knots pressures between that and the release, in driving order
 * @param offM first metre off the brake
 */
public record Press(double onM, double peakPct, List<Knot> knots, double offM) {
  public Press {
    knots = List.copyOf(knots);
  }

  /** The same begun elsewhere. */
  public Press from(double onM) {
    return new Press(onM, peakPct, knots, offM);
  }

  /** The same with all of its pressure changed by a factor, up to full. */
  public Press times(double factor) {
    return new Press(
        onM,
        Math.min(FULL_PCT, factor * peakPct),
        knots.stream()
            .map(knot -> new Knot(knot.atM(), Math.min(FULL_PCT, factor * knot.pct())))
            .toList(),
        offM);
  }

  private static final double FULL_PCT = 100;
}
