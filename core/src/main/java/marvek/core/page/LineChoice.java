package marvek.core.page;

/** Line that a reference is computed on. */
public enum LineChoice {
  SMOOTH,
  FASTEST,
  CENTRELINE
}
