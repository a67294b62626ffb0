package marvek.core.brief;

import java.util.List;
import java.util.Optional;
import marvek.core.page.CornerPage;
import marvek.core.page.GearChange;
import marvek.core.page.PageField;

/** Gears as they are said. */
final class SpokenGears {
  private static final List<String> ORDINALS =
      List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth");

  private SpokenGears() {}

  static String gear(int number) {
    return number <= ORDINALS.size() ? ORDINALS.get(number - 1) : "gear " + number;
  }

  /** The gear that the driver wants on the way in, where it is another than at the apex. */
  static Optional<String> wayIn(CornerPage page) {
    CornerPage.Gears gears = page.gears();
    return isOwn(page, PageField.GEAR_IN, PageField.GEAR_CHANGES) && gears.in() != gears.corner()
        ? Optional.of(gear(gears.in()) + " on the way in")
        : Optional.empty();
  }

  /** What the driver wants to do otherwise with the gears on the way out. */
  static Optional<String> wayOut(CornerPage page) {
    if (!isOwn(page, PageField.GEAR_OUT, PageField.GEAR_CHANGES)) {
      return Optional.empty();
    }
    Optional<String> sooner =
        page.gears().changes().stream()
            .filter(change -> change.kind() == GearChange.Kind.SHORT)
            .findFirst()
            .map(change -> "short to " + gear(change.to()));
    boolean held =
        page.gears().changes().stream()
            .anyMatch(change -> change.kind() == GearChange.Kind.LIMITER);
    return held ? sooner.or(() -> Optional.of("hold it on the limiter")) : sooner;
  }

  private static boolean isOwn(CornerPage page, PageField a, PageField b) {
    return page.sources().containsKey(a.path()) || page.sources().containsKey(b.path());
  }
}
