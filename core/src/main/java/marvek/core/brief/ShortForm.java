package marvek.core.brief;

import java.util.List;
import java.util.Locale;
import marvek.core.circuit.Kerb;
import marvek.core.page.CornerPage;
import marvek.core.page.MarkReference;

/**
 * A corner in a breath, for saying the lap aloud before it is driven: where, which gear, and the
 * one thing to think of.
 */
public record ShortForm(int corner, String words) {
  private static final double AT_THE_MARK_M = 2.5;

  private static final List<String> GEARS =
      List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth");

  /** The lap in its order. */
  public static List<ShortForm> of(List<CornerPage> pages) {
    return pages.stream().map(page -> new ShortForm(page.corner(), words(page))).toList();
  }

  private static String words(CornerPage page) {
    String name = page.name().isBlank() ? "Corner " + page.corner() : page.name();
    String gear = gear(page.gears().corner());
    String think = think(page);
    return name + ": " + where(page) + ", " + gear + (think.isEmpty() ? "" : ", " + think) + ".";
  }

  private static String where(CornerPage page) {
    if (page.brake().atM() == null) {
      return page.brake().style() == CornerPage.BrakeStyle.NONE ? "flat" : "lift";
    }
    MarkReference mark = page.brake().target();
    if (mark == null) {
      return "brake";
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
    return String.format(
        Locale.ROOT, "%.0f %s the %s", Math.abs(mark.offsetM()), side, mark.mark());
  }

  private static String gear(int number) {
    return number <= GEARS.size() ? GEARS.get(number - 1) : "gear " + number;
  }

  /** The one thing: what is forbidden before what is late before what is there to be used. */
  private static String think(CornerPage page) {
    if (hasKerb(page.limits() == null ? null : page.limits().apex())
        && page.kerbs().apex() == Kerb.Use.NONE) {
      return "leave the inside kerb";
    }
    if (page.apexes().size() > 1) {
      return "two apexes";
    }
    if (page.apexes().get(0).kind() == CornerPage.ApexKind.LATE) {
      return "late apex";
    }
    return page.kerbs().exit() == Kerb.Use.NONE ? "" : "use the exit kerb";
  }

  private static boolean hasKerb(CornerPage.Edge edge) {
    return edge != null && edge.kerb() != null;
  }
}
