package marvek.core.brief;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import marvek.core.mark.MarkReference;
import marvek.core.page.Annotations;
import marvek.core.page.CornerPage;
import marvek.core.page.PagePoint;
import marvek.core.page.PointNote;

/** Points that a driver tells himself, and his warnings, as they are said aloud. */
public final class SpokenPoints {
  private static final Map<PagePoint, String> WORDS = new EnumMap<>(PagePoint.class);

  static {
    WORDS.put(PagePoint.BRAKE, "brake");
    WORDS.put(PagePoint.LIFT, "lift");
    WORDS.put(PagePoint.LOOK, "look");
    WORDS.put(PagePoint.TURN_IN, "turn in");
    WORDS.put(PagePoint.GEAR_DOWN, "down");
    WORDS.put(PagePoint.RELEASE, "off the brake");
    WORDS.put(PagePoint.APEX, "apex");
    WORDS.put(PagePoint.THROTTLE, "throttle");
    WORDS.put(PagePoint.GEAR_UP, "up");
    WORDS.put(PagePoint.FLAT, "flat");
    WORDS.put(PagePoint.EXIT, "let it run");
  }

  /** Points whose mark stands in the page's own words for them. */
  private static final Set<PagePoint> TOLD_BY_PAGE = EnumSet.of(PagePoint.BRAKE, PagePoint.LIFT);

  /** More words than this are no warning in a call but a story. */
  private static final int MOST_WORDS = 5;

  private SpokenPoints() {}

  /** What a point is called: "off the brake". */
  public static String name(PagePoint point) {
    return WORDS.get(point);
  }

  /**
   * What is said of a point that the driver tells himself: his phrase, or else the point and its
   * mark. Empty where the page says it anyway, or has no such point.
   */
  static Optional<String> of(CornerPage page, PagePoint point, double metresPerUnit) {
    Optional<String> phrase = page.annotations().phraseOf(point);
    if (phrase.isPresent() || TOLD_BY_PAGE.contains(point)) {
      return phrase;
    }
    return page.annotations()
        .of(point)
        .filter(told -> told.target() != null)
        .map(told -> name(point) + " " + words(told.target(), metresPerUnit));
  }

  private static String words(MarkReference target, double metresPerUnit) {
    return SpokenMark.of(target, metresPerUnit);
  }

  /** All such of a page, in driving order. */
  static List<String> of(CornerPage page, double metresPerUnit) {
    return page.annotations().told().stream()
        .map(Annotations.Told::as)
        .map(as -> of(page, as.point(), metresPerUnit))
        .flatMap(Optional::stream)
        .toList();
  }

  /** The heaviest danger; empty without one. */
  static Optional<String> danger(CornerPage page) {
    return page.annotations().notes().byWeight().stream()
        .filter(note -> note.kind() == PointNote.Kind.DANGER)
        .findFirst()
        .map(note -> note.text().strip());
  }

  /** Whether it can be said in a breath. */
  static boolean isBrief(String words) {
    return words.split("\\s+").length <= MOST_WORDS;
  }
}
