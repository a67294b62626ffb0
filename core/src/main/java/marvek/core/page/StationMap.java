package marvek.core.page;

import java.util.function.DoubleUnaryOperator;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;

/** Stations of one layout version in the terms of another one. */
public final class StationMap {
  private StationMap() {}

  /**
   * The same place on another version's road: the same figure where the line is the same, else the
   * place of the later road that is nearest.
   *
   * @param eastM how far the earlier plane's origin lies east of the later one's
   * @param northM how far it lies north of it
   */
  public static DoubleUnaryOperator between(Road oldRoad, Road road, double eastM, double northM) {
    if (sameLine(oldRoad, road, eastM, northM)) {
      return s -> s;
    }
    return s -> {
      double[] place = new RoadPosition(s, 0).toPlane(oldRoad);
      return RoadPosition.nearest(road, place[0] + eastM, place[1] + northM).stationM();
    };
  }

  private static boolean sameLine(Road a, Road b, double eastM, double northM) {
    if (a.size() != b.size()) {
      return false;
    }
    for (int i = 0; i < a.size(); i += Math.max(1, a.size() / 200)) {
      double off = Math.hypot(a.xAt(i) + eastM - b.xAt(i), a.yAt(i) + northM - b.yAt(i));
      if (off > 0.05) {
        return false;
      }
    }
    return true;
  }
}
