package marvek.core.page;

/**
 * A note that hangs on a point of a page.
 *
 * @param severity 1 to know, 2 to mind, 3 to fear
 */
public record PointNote(PagePoint point, Kind kind, int severity, String text) {
  /** What it is about. */
  public enum Kind {
    DANGER,
    WAY_OUT,
    RULE,
    SURFACE,
    SIGHT,
    FEEL
  }

  /** Whether it is to be at hand in the minute when it is needed: whatever can hurt. */
  public boolean travels() {
    return kind == Kind.DANGER || severity > 1;
  }
}
