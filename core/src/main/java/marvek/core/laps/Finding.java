package marvek.core.laps;

/**
 * Something that several laps did in a corner against its page.
 *
 * @param rule which rule it comes from
 * @param amount by how much, in the middle of the laps: metres, m/s, seconds or gears by the rule
 * @param laps in so many laps
 * @param of that were read
 * @param costS what it costs a lap by the model; null where the model does not tell
 */
public record Finding(int corner, Rule rule, double amount, int laps, int of, Double costS) {
  /** Rules with the least amount that is worth a word; the guide lists them. */
  public enum Rule {
    /** Metres before the page's brake point. */
    BRAKED_EARLY(5),
    /** Metres behind it. */
    BRAKED_LATE(5),
    /** Slower than the page at the lowest place [m/s]. */
    OVER_SLOWED(1.0),
    /** Metres behind the page's first throttle. */
    LATE_THROTTLE(6),
    /** Metres before the page's release. */
    RELEASED_EARLY(6),
    /** Neither pedal for so long beyond what the page asks for [s]. */
    COASTING(0.3),
    /** Another gear at the lowest place. */
    OTHER_GEAR(1),
    /** Brake points scatter: half of the laps lie farther from the middle [m]. */
    INCONSISTENT(4);

    private final double least;

    Rule(double least) {
      this.least = least;
    }

    /** Amount from which on it is a finding. */
    public double least() {
      return least;
    }
  }
}
