package marvek.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.Lean;

/**
 * Two references of the same circuit laid side by side, corner by corner: what is a straight for
 * one vehicle and a corner for the other.
 */
public final class TwoBooks {
  private TwoBooks() {}

  /** What a corner is to a vehicle. */
  public enum Kind {
    /** The throttle stays open. */
    STRAIGHT,
    /** A lift is enough. */
    LIFT,
    /** It takes the brakes. */
    BRAKES
  }

  /**
   * One vehicle in one corner.
   *
   * @param brakeAtM where the driver acts; null without brakes
   * @param approachMps speed where the corner's work begins
   * @param timeS between the first vehicle's point of this corner and of the next
   * @param leanDeg lean at the slowest place, of two wheels; null of four
   */
  public record Side(
      Kind kind,
      Double brakeAtM,
      double approachMps,
      double lowestMps,
      double exitMps,
      int gear,
      double timeS,
      Double leanDeg) {}

  /**
   * One corner.
   *
   * @param brakesLaterM how much later the second brakes than the first; null unless both do
   */
  public record Row(int corner, String name, Side first, Side second, Double brakesLaterM) {}

  /** Corners that both references have, in driving order. */
  public static List<Row> of(Reference first, Reference second) {
    List<Row> rows = new ArrayList<>();
    for (int p = 0; p < first.pages().size(); p++) {
      int number = p;
      other(second, first.pages().get(p))
          .ifPresent(found -> rows.add(row(first, number, second, found)));
    }
    return rows;
  }

  private static Optional<CornerPage> other(Reference reference, CornerPage page) {
    return reference.pages().stream().filter(p -> p.corner() == page.corner()).findFirst();
  }

  private static Row row(Reference a, int number, Reference b, CornerPage pageB) {
    CornerPage pageA = a.pages().get(number);
    Double atA = pageA.brake().atM();
    Double atB = pageB.brake().atM();
    Double later = atA == null || atB == null ? null : a.path().road().offsetBetween(atA, atB);
    return new Row(
        pageA.corner(), pageA.name(), side(a, pageA, a, number), side(b, pageB, a, number), later);
  }

  /** One of the two, timed between the first one's places. */
  private static Side side(Reference reference, CornerPage page, Reference first, int number) {
    return new Side(
        kind(page),
        page.brake().atM(),
        page.approach().speedMps(),
        page.lowestSpeedMps(),
        page.exit().speedMps(),
        page.gears().corner(),
        CornerTime.between(first.pages(), number, reference.lap()),
        Lean.deg(reference.lap(), page).orElse(null));
  }

  static Kind kind(CornerPage page) {
    if (page.brake().atM() != null) {
      return Kind.BRAKES;
    }
    return page.brake().style() == CornerPage.BrakeStyle.NONE ? Kind.STRAIGHT : Kind.LIFT;
  }
}
