package marvek.core.mark;

/** How a point is told by a thing that stands somewhere. */
public enum By {
  /** By the way from beside it, before or past. */
  BESIDE,
  /** By the moment in which it passes out of the driver's sight at his side. */
  LEAVES_SIGHT,
  /** By driving towards it. */
  AIM
}
