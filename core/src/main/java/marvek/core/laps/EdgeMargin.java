package marvek.core.laps;

import marvek.core.page.CornerPage;
import org.jspecify.annotations.Nullable;

/**
 * How far a lap's car stayed from the track limit in a corner, as its positions have it: whether it
 * was beyond is for officials to say, and a receiver that is surer than a tyre is wide is rare.
 *
 * @param leftM from the body's outer edge to what the rule lets it use; negative beyond it
 * @param errorM standard error of that, by how the offsets scatter
 */
public record EdgeMargin(double leftM, double errorM) {
  /** A distance is sure from so many of its errors on. */
  private static final double ERRORS = 2;

  /** What the positions say. */
  public enum Standing {
    CLEAR,
    /** Within what the positions scatter. */
    TOO_CLOSE_TO_TELL,
    BEYOND
  }

  /** Towards the inside, about the apex; null where positions or rule tell none. */
  public static @Nullable EdgeMargin inside(
      CornerReading.Way way, CornerPage page, double bodyWidthM, double errorM) {
    return of(way.insideM(), page.limits().apex(), bodyWidthM, errorM);
  }

  /** Towards the outside, behind the apex; null where positions or rule tell none. */
  public static @Nullable EdgeMargin outside(
      CornerReading.Way way, CornerPage page, double bodyWidthM, double errorM) {
    return of(way.outsideM(), page.limits().exit(), bodyWidthM, errorM);
  }

  private static @Nullable EdgeMargin of(
      @Nullable Double roomM, CornerPage.Edge edge, double bodyWidthM, double errorM) {
    return roomM == null || edge.allowedM() == null
        ? null
        : new EdgeMargin(roomM - bodyWidthM / 2 + edge.allowedM(), errorM);
  }

  /** Whether the limit was kept, as far as it can be told. */
  public Standing standing() {
    if (Math.abs(leftM) <= ERRORS * errorM) {
      return Standing.TOO_CLOSE_TO_TELL;
    }
    return leftM > 0 ? Standing.CLEAR : Standing.BEYOND;
  }
}
