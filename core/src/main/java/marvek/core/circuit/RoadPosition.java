package marvek.core.circuit;

/**
 * A place given along and across a road.
 *
 * @param stationM station [m]
 * @param offsetM offset from the centreline, positive to the left [m]
 */
public record RoadPosition(double stationM, double offsetM) {

  /** Share of the road's own length that is left at the centre of a bend, at least. */
  private static final double LEAST_SPREAD = 0.1;

  /** The place of the road's centreline that is nearest to a point of the local plane. */
  public static RoadPosition nearest(Road road, double x, double y) {
    return nearest(road, x, y, 0, road.size() - 1);
  }

  /**
   * As {@link #nearest(Road, double, double)}, but only near a station: for what stands beside one
   * part of the road and nearer to another.
   *
   * @param reachM how far from the station is searched, to both sides
   */
  public static RoadPosition near(Road road, double x, double y, double stationM, double reachM) {
    int middle = road.indexOf(stationM);
    int reach = (int) Math.min(road.size() / 2 - 1, Math.ceil(reachM / road.stepM()));
    return nearest(road, x, y, middle - reach, middle + reach);
  }

  private static RoadPosition nearest(Road road, double x, double y, int from, int to) {
    int best = road.wrap(from);
    double least = Double.POSITIVE_INFINITY;
    for (int k = from; k <= to; k++) {
      int i = road.wrap(k);
      double dx = x - road.xAt(i);
      double dy = y - road.yAt(i);
      double square = dx * dx + dy * dy;
      if (square < least) {
        least = square;
        best = i;
      }
    }
    double dx = x - road.xAt(best);
    double dy = y - road.yAt(best);
    double tangentX = road.normalYAt(best);
    double tangentY = -road.normalXAt(best);
    double across = dx * road.normalXAt(best) + dy * road.normalYAt(best);
    // On the inside of a bend a metre across is reached by less road than a metre along it.
    double spread = Math.max(LEAST_SPREAD, 1 - road.curvatureAt(best) * across);
    double along = (dx * tangentX + dy * tangentY) / spread;
    double half = road.stepM() / 2;
    double station = road.stationAt(best) + Math.max(-half, Math.min(half, along));
    return new RoadPosition(road.wrapStation(station), across);
  }

  /** Local coordinates {x, y} of the place [m]. */
  public double[] toPlane(Road road) {
    int i = road.indexOf(stationM);
    // The normal turns with the road, so that a metre of road is shorter on the inside of a bend.
    double along =
        road.offsetBetween(road.stationAt(i), stationM)
            * Math.max(LEAST_SPREAD, 1 - road.curvatureAt(i) * offsetM);
    double x = road.xAt(i) + along * road.normalYAt(i) + offsetM * road.normalXAt(i);
    double y = road.yAt(i) - along * road.normalXAt(i) + offsetM * road.normalYAt(i);
    return new double[] {x, y};
  }
}
