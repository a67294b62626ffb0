package marvek.core.circuit;

/**
 * What can serve as a mark, with how well it stays where it is. Permanence: 0 stays for years
 * (board, paint, bridge, post, kerb end), 1 for seasons (building, fence, wall), 2 may be changed
 * over a winter (tree, banner), 3 over a night (cone, patch), 4 within the hour (shadow, rubber,
 * parked vehicle). Common practice.
 */
public enum MarkType {
  DISTANCE_BOARD(0),
  PAINT_LINE(0),
  KERB_START(0),
  KERB_END(0),
  MARSHAL_POST(0),
  BRIDGE(0),
  LAMP(0),
  SIGN(0),
  BANNER(2),
  FENCE_END(1),
  WALL_END(1),
  TYRE_WALL_END(1),
  ACCESS_ROAD(1),
  BUILDING(1),
  TREE(2),
  BUSH(2),
  GRASS_EDGE(2),
  SURFACE_CHANGE(1),
  PATCH(3),
  CREST(1),
  DRAIN(1),
  SIGNAL_LIGHT(0),
  CONE(3),
  SHADOW(4),
  RUBBER(4),
  PARKED_VEHICLE(4),
  OTHER(2);

  private final int permanence;

  MarkType(int permanence) {
    this.permanence = permanence;
  }

  /** 0 (best) to 4. */
  public int permanence() {
    return permanence;
  }
}
