package marvek.core.line;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/**
 * What a driver wants of the line in one corner; the line that follows is the smooth one through
 * it, or the one of least time where the present line is that. Kerbs are wished for with the
 * corridor, over their whole length.
 *
 * @param apexAtM station of the apex
 * @param apexOffsetM where the line passes there, positive to the left; null to leave it
 */
public record LineWish(double apexAtM, Double apexOffsetM) {
  /** A place beyond the corridor opens it over so much to both sides: nobody turns at one spot. */
  private static final double OPENED_M = 30;

  /** Half of the length over which the line moves across to the wish and back. */
  private static final double BUMP_M = 50;

  /**
   * Offsets of the whole lap with the wish come true.
   *
   * @param index of the corner among the circuit's
   * @param leastTime whether the line is to be brought to its least time
   */
  public double[] on(
      Lap present, Corridor corridor, List<Corner> corners, int index, boolean leastTime) {
    Turn turn = Turn.of(corners, index, present);
    Section section = Section.around(present, corridor, turn.stretch());
    Stretch stretch = turn.on(section).stretch();
    double[] offsets = section.present().path().offsets();
    Bounds bounds = Bounds.of(stretch, section.corridor(), offsets);
    double[] start = stretch.taken(offsets);
    Road road = present.path().road();
    double beginM = road.stationAt(turn.stretch().at(0));
    if (apexOffsetM != null) {
      int at = road.samples(road.distance(beginM, apexAtM));
      at = Math.max(3, Math.min(stretch.size() - 4, at));
      bounds = opened(bounds, stretch, at).through(at, apexOffsetM);
      bump(start, stretch, at, apexOffsetM - start[at]);
    }
    Lap lap = section.driven(stretch.put(offsets, SmoothLine.along(stretch, bounds, null, start)));
    if (leastTime) {
      lap = FastestLine.along(lap, stretch, bounds, null, share -> {}).lap();
      if (bounds.hold(start)) {
        // More road never costs: the present line is one of those that may be driven.
        Lap kept = section.driven(stretch.put(offsets, start));
        lap = kept.timeS() < lap.timeS() ? kept : lap;
      }
    }
    return section.put(lap);
  }

  /** The bounds opened beside the place by as much as it lies beyond them. */
  private Bounds opened(Bounds bounds, Stretch stretch, int at) {
    double reach = OPENED_M / stretch.road().stepM();
    double left = Math.max(0, apexOffsetM - bounds.highAt(at));
    double right = Math.max(0, bounds.lowAt(at) - apexOffsetM);
    return bounds
        .edge(1, k -> within(stretch, at, k, reach) ? bounds.highAt(k) + left : Double.NaN)
        .edge(-1, k -> within(stretch, at, k, reach) ? bounds.lowAt(k) - right : Double.NaN);
  }

  private static boolean within(Stretch stretch, int at, int k, double reach) {
    return Math.abs(k - at) <= reach && !stretch.held(k);
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
