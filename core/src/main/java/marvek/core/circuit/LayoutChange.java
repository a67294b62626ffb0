package marvek.core.circuit;

import marvek.core.say.Sentence;

/**
 * One difference between two layout versions.
 *
 * @param kind what sort of thing changed
 * @param fromM first station touched, in the later version's terms
 * @param toM last station touched; before {@code fromM} across the start line
 * @param label of a mark as it was called before (a new one: as it is called now), else empty
 * @param said it, for the driver
 */
public record LayoutChange(Kind kind, double fromM, double toM, String label, Sentence said) {
  /** What sort of thing. */
  public enum Kind {
    GEOMETRY,
    WIDTH,
    KERB,
    SURFACE,
    HAZARD,
    MARK_GONE,
    MARK_MOVED,
    MARK_CHANGED,
    MARK_NEW,
    LIMITS,
    CORNER,
    DETAILS
  }
}
