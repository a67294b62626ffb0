package marvek.core.brief;

import java.util.Locale;
import marvek.core.page.MarkReference;

/** A point as it is said aloud: "40 past the 200 board". */
final class SpokenMark {
  /** Points nearer to a mark than this are at it. */
  private static final double AT_THE_MARK_M = 2.5;

  private SpokenMark() {}

  /**
   * Words for a mark; empty without one.
   *
   * @param metresPerUnit of the unit that the length is counted in, which is not said itself
   */
  static String of(MarkReference mark, double metresPerUnit) {
    if (mark == null) {
      return "";
    }
    if (mark.own() != null) {
      return mark.own();
    }
    if (mark.weak()) {
      return mark.text();
    }
    if (Math.abs(mark.offsetM()) < AT_THE_MARK_M) {
      return "at the " + mark.mark();
    }
    String side = mark.offsetM() > 0 ? "past" : "before";
    double count = Math.abs(mark.offsetM()) / metresPerUnit;
    return String.format(Locale.ROOT, "%.0f %s the %s", count, side, mark.mark());
  }
}
