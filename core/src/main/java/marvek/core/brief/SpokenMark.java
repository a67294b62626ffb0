package marvek.core.brief;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import marvek.core.mark.By;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.Lift;
import marvek.core.page.PageField;

/** A point as it is said aloud: "40 past the 200 board". */
final class SpokenMark {
  /** Points nearer to a mark than this are at it. */
  private static final double AT_THE_MARK_M = 2.5;

  /** Less throttle than this is none. */
  private static final double SHUT_PCT = 10;

  /** Called a half lift (common practice: 40 to 60 %). */
  private static final double HALF_FROM_PCT = 40;

  private static final double HALF_TO_PCT = 60;

  private SpokenMark() {}

  /**
   * Places that only a driver gave, each with what it is called and its mark: "look at the oak".
   *
   * @param said how such a place is said
   */
  static List<String> ownPoints(
      CornerPage page, double metresPerUnit, Function<PageField, String> said) {
    return PageField.typed().stream()
        .filter(page.points()::containsKey)
        .map(
            field -> said.apply(field) + " " + of(page.points().get(field).target(), metresPerUnit))
        .map(String::strip)
        .toList();
  }

  /** How much is lifted, and where: "half a lift at the 50 board". */
  static String lift(Lift lift, double metresPerUnit) {
    String much =
        lift.toPct() < SHUT_PCT
            ? "lift"
            : lift.toPct() >= HALF_FROM_PCT && lift.toPct() <= HALF_TO_PCT
                ? "half a lift"
                : String.format(Locale.ROOT, "lift to %.0f", lift.toPct());
    return (much + " " + of(lift.target(), metresPerUnit)).strip();
  }

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
    if (mark.by() != By.BESIDE) {
      return bySight(mark, metresPerUnit);
    }
    if (Math.abs(mark.offsetM()) < AT_THE_MARK_M) {
      return "at " + MarkChooser.article(mark.mark());
    }
    String side = mark.offsetM() > 0 ? "past" : "before";
    double count = Math.abs(mark.offsetM()) / metresPerUnit;
    return String.format(Locale.ROOT, "%.0f %s %s", count, side, MarkChooser.article(mark.mark()));
  }

  private static String bySight(MarkReference mark, double metresPerUnit) {
    if (mark.by() == By.AIM) {
      return "towards " + MarkChooser.article(mark.mark());
    }
    if (Math.abs(mark.offsetM()) < AT_THE_MARK_M) {
      return "as " + MarkChooser.article(mark.mark()) + " leaves sight";
    }
    return String.format(
        Locale.ROOT,
        "%.0f %s where %s leaves sight",
        Math.abs(mark.offsetM()) / metresPerUnit,
        mark.offsetM() > 0 ? "past" : "before",
        MarkChooser.article(mark.mark()));
  }
}
