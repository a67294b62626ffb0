package marvek.core.brief;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.circuit.Kerb;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;

/**
 * A corner in a breath, for saying the lap aloud before it is driven: where, which gear, and the
 * one thing to think of.
 */
public record ShortForm(int corner, String words) {
  /**
   * The lap in its order.
   *
   * @param metresPerUnit of the unit that lengths are said in, which is not said itself
   * @param said how a place that only a driver gives is said
   */
  public static List<ShortForm> of(
      List<CornerPage> pages, double metresPerUnit, Function<PageField, String> said) {
    return pages.stream()
        .map(page -> new ShortForm(page.corner(), words(page, metresPerUnit, said)))
        .toList();
  }

  private static String words(
      CornerPage page, double metresPerUnit, Function<PageField, String> said) {
    String name = CornerLabel.spoken(page);
    String gear =
        Stream.of(
                SpokenGears.wayIn(page),
                Optional.of(SpokenGears.gear(page.gears().corner())),
                SpokenGears.wayOut(page))
            .flatMap(Optional::stream)
            .collect(Collectors.joining(", "));
    String think = think(page);
    return name
        + ": "
        + where(page, metresPerUnit)
        + ", "
        + gear
        + SpokenFeet.held(page).map(words -> ", " + words).orElse("")
        + (think.isEmpty() ? "" : ", " + think)
        + Stream.concat(
                SpokenMark.ownPoints(page, metresPerUnit, said).stream(),
                SpokenPoints.of(page, metresPerUnit).stream())
            .map(words -> ", " + words)
            .collect(Collectors.joining())
        + ".";
  }

  private static String where(CornerPage page, double metresPerUnit) {
    if (page.brake().atM() == null) {
      return page.lift() == null
          ? page.brake().style() == CornerPage.BrakeStyle.NONE ? "flat" : "lift"
          : SpokenMark.lift(page.lift(), metresPerUnit);
    }
    String mark = SpokenMark.of(page.brake().target(), metresPerUnit);
    String where = mark.isEmpty() ? "brake" : mark;
    return where + SpokenFeet.brake(page).map(words -> ", " + words).orElse("");
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
