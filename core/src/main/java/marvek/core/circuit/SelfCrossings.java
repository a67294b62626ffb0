package marvek.core.circuit;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.valid.IsSimpleOp;

/** Places where a recorded line crosses itself: a bridge, or a wrong turn. */
final class SelfCrossings {
  /** So many points beside the line's two ends may cross where a lap is closed. */
  private static final int ENDS = 6;

  private SelfCrossings() {}

  static List<RecordedTrack.Crossing> of(List<TrackPoint> line, boolean closed) {
    Coordinate[] coordinates = new Coordinate[line.size()];
    for (int i = 0; i < coordinates.length; i++) {
      coordinates[i] = new Coordinate(line.get(i).xM(), line.get(i).yM());
    }
    IsSimpleOp simple = new IsSimpleOp(new GeometryFactory().createLineString(coordinates));
    simple.setFindAllLocations(true);
    List<RecordedTrack.Crossing> found = new ArrayList<>();
    double whole = RecordedTrack.length(line);
    for (Coordinate at : simple.getNonSimpleLocations()) {
      RecordedTrack.Crossing crossing = crossingAt(line, at);
      double way = crossing.secondM() - crossing.firstM();
      boolean atTheEnds = closed && way > whole - ENDS * RecordedTrack.LEAST_SPACING_M;
      if (way > ENDS * RecordedTrack.LEAST_SPACING_M && !atTheEnds) {
        found.add(crossing);
      }
    }
    return found;
  }

  /** The two stations that lie nearest to a place, well apart from each other. */
  private static RecordedTrack.Crossing crossingAt(List<TrackPoint> line, Coordinate at) {
    double walked = 0;
    List<double[]> near = new ArrayList<>();
    for (int i = 0; i + 1 < line.size(); i++) {
      double length = RecordedTrack.distance(line.get(i), line.get(i + 1));
      double off =
          Distance.pointToSegment(
              at,
              new Coordinate(line.get(i).xM(), line.get(i).yM()),
              new Coordinate(line.get(i + 1).xM(), line.get(i + 1).yM()));
      if (off < 0.01) {
        near.add(new double[] {walked, walked + length});
      }
      walked += length;
    }
    double first = near.isEmpty() ? 0 : near.get(0)[0];
    double second = near.isEmpty() ? 0 : near.get(near.size() - 1)[0];
    return new RecordedTrack.Crossing(first, second);
  }
}
