package marvek.core.line;

/** Line that a reference is computed on. */
public enum LineChoice {
  SMOOTH,
  FASTEST,
  CENTRELINE,
  /** The driver's own, from a lap or a recorded track. */
  OWN
}
