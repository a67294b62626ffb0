package marvek.core.review;

import java.util.List;
import marvek.core.page.PageField;

/**
 * A change of a page that laps speak for.
 *
 * @param field value that changes; null for the confidence
 * @param before what stands on the page; null where nothing does
 * @param count of laps that speak for it
 * @param laps the same by their names
 * @param gainS a lap, against how it is driven now, by the model; null where it does not tell
 * @param pageS by how much the page's own lap becomes slower, negative faster, by the model
 */
public record Proposal(
    int corner,
    Kind kind,
    PageField field,
    Double before,
    double after,
    int count,
    List<String> laps,
    Double gainS,
    Double pageS) {
  public Proposal {
    laps = List.copyOf(laps);
  }

  /** What sort of change it is. */
  public enum Kind {
    /** One step on from where the laps braked, which is before the page's mark. */
    MARKER_EARLIER,
    /** One step towards where the laps braked, which is behind it. */
    MARKER_LATER,
    GEAR,
    RELEASE,
    /** Another pressure where the car turns in: the shape of the braking. */
    SHAPE,
    /** More speed at the slowest place than the page has. */
    APEX_SPEED,
    THROTTLE,
    /** Driven as it is written, lap after lap. */
    PROVEN,
    CONFIDENCE_UP,
    CONFIDENCE_DOWN
  }
}
