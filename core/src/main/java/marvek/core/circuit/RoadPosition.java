package marvek.core.circuit;

/**
 * A place given along and across a road.
 *
 * @param stationM station [m]
 * @param offsetM offset from the centreline, positive to the left [m]
 */
public record RoadPosition(double stationM, double offsetM) {

  /** The place of the road's centreline that is nearest to a point of the local plane. */
  public static RoadPosition nearest(Road road, double x, double y) {
    int best = 0;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < road.size(); i++) {
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
    double spread = Math.max(0.1, 1 - road.curvatureAt(best) * across);
    double along = (dx * tangentX + dy * tangentY) / spread;
    double half = road.stepM() / 2;
    double station = road.stationAt(best) + Math.max(-half, Math.min(half, along));
    return new RoadPosition(road.wrapStation(station), across);
  }

  /** Local coordinates {x, y} of the place [m]. */
  public double[] toPlane(Road road) {
    int i = road.indexOf(stationM);
    double along = road.offsetBetween(road.stationAt(i), stationM);
    double x = road.xAt(i) + along * road.normalYAt(i) + offsetM * road.normalXAt(i);
    double y = road.yAt(i) - along * road.normalXAt(i) + offsetM * road.normalYAt(i);
    return new double[] {x, y};
  }
}
