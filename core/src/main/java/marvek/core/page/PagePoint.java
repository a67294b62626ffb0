package marvek.core.page;

import java.util.Comparator;
import java.util.List;

/** The points of a corner that can be told, seen, spoken and noted, in driving order. */
public enum PagePoint {
  BRAKE,
  LIFT,
  LOOK,
  TURN_IN,
  GEAR_DOWN,
  RELEASE,
  APEX,
  THROTTLE,
  GEAR_UP,
  FLAT,
  EXIT;

  /** Station of the point on a page; null where the page has none. */
  public Double atM(CornerPage page) {
    return switch (this) {
      case BRAKE -> page.brake().atM();
      case LIFT -> page.lift() == null ? null : page.lift().atM();
      case LOOK -> looked(page);
      case TURN_IN -> page.turnIn().atM();
      case GEAR_DOWN -> change(page, page.gears().changes(), true);
      case RELEASE -> page.trailBrake() == null ? null : page.trailBrake().releaseM();
      case APEX -> page.apexes().get(0).atM();
      case THROTTLE -> page.throttle().firstM();
      case GEAR_UP -> change(page, page.gears().changes(), false);
      case FLAT -> page.throttle().fullM();
      case EXIT -> page.exit().trackOutM();
    };
  }

  private static Double looked(CornerPage page) {
    CornerPage.OwnPoint look = page.points().get(PageField.LOOK);
    return look == null ? null : look.atM();
  }

  /** The first change of a direction. */
  private static Double change(CornerPage page, List<GearChange> changes, boolean down) {
    int gear = page.gears().approach();
    for (GearChange change : changes) {
      if (change.to() < gear == down) {
        return change.atM();
      }
      gear = change.to();
    }
    return null;
  }

  /** Those of a page in the order of the list. */
  public static List<PagePoint> of(CornerPage page) {
    return List.of(values()).stream()
        .filter(point -> point.atM(page) != null)
        .sorted(Comparator.naturalOrder())
        .toList();
  }
}
