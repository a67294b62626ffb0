package marvek.core.laps;

import java.util.List;

/**
 * Something that several laps did in a corner against its page.
 *
 * @param rule which rule it comes from
 * @param amount by how much, in the middle of the laps: see the rule
 * @param laps indices of the laps that did it, among those that count
 * @param of so many laps that could be read for it
 * @param costS what it costs a lap; null where neither the model nor the laps tell
 * @param sizedBy who says so; null without a cost
 * @param inNextS part of the corner's loss that is lost in the next one
 */
public record Finding(
    int corner,
    Rule rule,
    double amount,
    List<Integer> laps,
    int of,
    Double costS,
    SizedBy sizedBy,
    double inNextS) {
  public Finding {
    laps = List.copyOf(laps);
  }

  /** Where the size of a finding comes from. */
  public enum SizedBy {
    /** A run of the model with that slip. */
    MODEL,
    /** What the corner's lost time leaves when the model's sizes are taken off. */
    LAPS
  }

  /**
   * Rules with the least amount that is worth a word; the guide lists them. All are own assumptions
   * of the method.
   */
  public enum Rule {
    /** Metres before the page's brake point. */
    BRAKED_EARLY(5),
    /** Metres behind it. */
    BRAKED_LATE(5),
    /** Slower than the page at the slowest place [m/s]. */
    OVER_SLOWED(1.0),
    /** Metres before the page's turn-in. */
    TURNED_IN_EARLY(6),
    /** Metres before the page's release. */
    RELEASED_EARLY(6),
    /** Metres behind it. */
    HELD_TOO_LONG(8),
    /** Neither pedal for so long beyond what the page asks for [s]. */
    COASTING(0.3),
    /** Farther from the inside edge than the page, or from its kerb [m]. */
    MISSED_APEX(0.6),
    /** Metres before the page's place at the inside, and out of road behind it. */
    EARLY_APEX(6),
    /** Metres behind the page's first throttle. */
    LATE_THROTTLE(6),
    /** Metres before it, and then lifted. */
    EARLY_THROTTLE_LIFTED(5),
    /** So many presses more than one. */
    THROTTLE_TWICE(1),
    /** Gears away from the page's at the slowest place. */
    OTHER_GEAR(1),
    /** Changes up more than the page makes before the next corner. */
    SHORT_SHIFT(1),
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
