package marvek.core.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import marvek.core.circuit.LayoutChange;
import marvek.core.circuit.Road;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;

/** Which pages a change of the layout touches, and why each has to be checked on track. */
public final class TouchedPages {
  /**
   * What lies this far before the first action point still matters: the safe mark, the approach.
   */
  private static final double BEFORE_M = MarkChooser.SAFE_REACH_M;

  /** What lies behind the track-out by less than this still meets the car beside the road. */
  private static final double AFTER_M = 20;

  private TouchedPages() {}

  /** One check for each page and change that concerns it, in the order of the pages. */
  public static List<PageCheck> of(Road road, List<CornerPage> pages, List<LayoutChange> changes) {
    List<PageCheck> checks = new ArrayList<>();
    for (CornerPage page : pages) {
      for (LayoutChange change : changes) {
        if (concerns(road, page, change)) {
          checks.add(new PageCheck(page.corner(), change.said()));
        }
      }
    }
    return checks;
  }

  private static boolean concerns(Road road, CornerPage page, LayoutChange change) {
    return switch (change.kind()) {
      case MARK_GONE, MARK_MOVED, MARK_CHANGED -> speaksOf(road, page, change);
      // Neither a new mark nor another name makes what is written wrong.
      case MARK_NEW, CORNER, DETAILS -> false;
      default -> overlaps(road, page, change);
    };
  }

  private static boolean speaksOf(Road road, CornerPage page, LayoutChange change) {
    return isIt(road, page.brake().target(), page.brake().atM(), change)
        || isIt(road, page.brake().safe(), page.brake().atM(), change)
        || isIt(road, page.turnIn().target(), page.turnIn().atM(), change);
  }

  private static boolean isIt(Road road, MarkReference mark, Double pointM, LayoutChange change) {
    return mark != null
        && pointM != null
        && Objects.equals(mark.mark(), change.label())
        && Math.abs(road.offsetBetween(pointM, change.fromM())) < 2 * MarkChooser.SAFE_REACH_M;
  }

  private static boolean overlaps(Road road, CornerPage page, LayoutChange change) {
    double from = road.wrapStation(CornerTime.beginsAtM(page, road) - BEFORE_M);
    double length = road.distance(from, page.exit().trackOutM()) + AFTER_M;
    double changed = road.distance(change.fromM(), change.toM());
    double begins = road.distance(from, change.fromM());
    double since = road.distance(change.fromM(), from);
    return begins >= 0 && begins <= length || since >= 0 && since <= changed;
  }
}
