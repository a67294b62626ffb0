package marvek.core.circuit;

/** Where a thing stands, seen in the direction of travel. */
public enum Side {
  LEFT,
  RIGHT,
  /** Across the road, as a bridge is. */
  OVER,
  /** On the road itself, as a painted line or a patch is. */
  ROAD;

  public Side mirrored() {
    return this == LEFT ? RIGHT : this == RIGHT ? LEFT : this;
  }
}
