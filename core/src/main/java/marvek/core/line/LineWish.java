package marvek.core.line;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.circuit.Zone;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/**
 * What a driver wants of the line in one corner; the line that follows is the smooth one through
 * it, or the one of least time where the present line is that.
 *
 * @param apexAtM station at which the apex offset holds
 * @param apexOffsetM where the line passes there, positive to the left; null to leave it
 * @param exitFromM station from which the edge at the track-out is another one
 * @param exitToM station up to which
 * @param exitEdgeM how far to the outside the middle of the car may go there, as an offset; null to
 *     leave it
 */
public record LineWish(
    double apexAtM, Double apexOffsetM, double exitFromM, double exitToM, Double exitEdgeM) {
  private static final int ROUNDS = 12;
  private static final double BUMP_M = 50;

  /**
   * Offsets of the whole lap with the wish come true.
   *
   * @param index of the corner among the circuit's
   * @param leastTime whether the line is to be brought to its least time
   */
  public double[] on(
      Lap present,
      Corridor corridor,
      List<Zone> zones,
      List<Corner> corners,
      int index,
      boolean leastTime) {
    Turn turn = Turn.of(corners, index, present);
    Section section = Section.around(present, corridor, zones, turn.stretch());
    Stretch stretch = turn.on(section).stretch();
    double[] offsets = section.present().path().offsets();
    Bounds bounds = Bounds.of(stretch, section.corridor(), offsets);
    double[] start = stretch.taken(offsets);
    Road road = present.path().road();
    double beginM = road.stationAt(turn.stretch().at(0));
    if (exitEdgeM != null) {
      double from = road.distance(beginM, exitFromM) / road.stepM();
      double to = from + road.distance(exitFromM, exitToM) / road.stepM();
      bounds =
          bounds.edge(
              -turn.inside(),
              k -> k >= from && k <= to && !stretch.held(k) ? exitEdgeM : Double.NaN);
    }
    if (apexOffsetM != null) {
      int at = (int) Math.round(road.distance(beginM, apexAtM) / road.stepM());
      at = Math.max(3, Math.min(stretch.size() - 4, at));
      bounds = bounds.through(at, apexOffsetM);
      bump(start, stretch, at, apexOffsetM - start[at]);
    }
    double[] smooth = SmoothLine.along(stretch, bounds, null, start);
    Lap lap = section.driven(stretch.put(offsets, smooth));
    if (leastTime) {
      lap = FastestLine.refine(lap, stretch, bounds, section.zones(), ROUNDS, share -> {}).lap();
    }
    return section.put(lap);
  }

  /**
   * Leads the line that the search begins from through the place: from a kink it does not find on.
   */
  private static void bump(double[] offsets, Stretch stretch, int at, double height) {
    int reach =
        Math.min(
            Math.min(at, offsets.length - 1 - at) - 2, (int) (BUMP_M / stretch.road().stepM()));
    for (int k = -reach; k <= reach; k++) {
      offsets[at + k] += height * 0.5 * (1 + Math.cos(Math.PI * k / reach));
    }
  }
}
