package marvek.core.line;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleConsumer;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.numeric.InteriorPoint;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import org.jspecify.annotations.Nullable;

/**
 * The line of least time: offsets and speeds along the road found together, as one programme, and
 * driven by the ordinary profile then. Never slower than the line that the search begins from,
 * unless that one asks for turning, or for leaning, faster than the driver does.
 *
 * <p>Method: offsets and speeds found together, by an interior point method (Perantoni &amp;
 * Limebeer, <i>Vehicle System Dynamics</i> 52(5), 2014; Lovato &amp; Massaro, <i>VSD</i> 60(7),
 * 2022; from memory), see {@link LineProgramme} and {@link InteriorPoint}.
 */
public final class FastestLine {
  /** Of an element's time, within which the conditions of a least time hold. */
  private static final double TOLERANCE = 1e-5;

  /** Twice what roads and vehicles of the tests take; then the best of what was found is given. */
  private static final int MOST_STEPS = 120;

  /** As much more than a driver asks for is rounding: the profile's speeds are a little others. */
  private static final double MORE_THAN_ASKED = 1.2;

  /** Speed that a start from rest is searched from. */
  private static final double FROM_REST_MPS = 2;

  /**
   * Where the search begins; tried one after the other until it finds on.
   *
   * @param ofRoad on the smooth line through this share of the road, in its middle
   * @param ofSpeed share of the squares of the present speeds: well within all limits
   */
  private record Beginning(double ofRoad, double ofSpeed) {}

  private static final List<Beginning> BEGINNINGS =
      List.of(new Beginning(0.6, 0.6), new Beginning(0.3, 0.3));

  private FastestLine() {}

  /**
   * How a search ended.
   *
   * @param lap the lap on the line found
   * @param gainedS time that it gains on the line that the search began from; negative only where
   *     that one cannot be driven
   * @param converged whether it is the least time as far as the model can tell
   */
  public record Result(Lap lap, double gainedS, int steps, boolean converged) {
    public Path path() {
      return lap.path();
    }
  }

  /**
   * Finds the line on a whole road; cancelled by interrupting the thread.
   *
   * @param start lap of the model on a line within the corridor
   * @param progress told the share done after each step, 0 to 1
   */
  public static Result find(Lap start, Corridor corridor, DoubleConsumer progress) {
    Stretch whole = Stretch.whole(start.path().road());
    return along(start, whole, Bounds.of(whole, corridor, start.path().offsets()), null, progress);
  }

  /**
   * Finds the line along a stretch within bounds; the rest of the line stays.
   *
   * @param bend largest curvature at each sample of the road [1/m]; null for any
   */
  static Result along(
      Lap start,
      Stretch stretch,
      Bounds bounds,
      double @Nullable [] bend,
      DoubleConsumer progress) {
    InteriorPoint.Result found = null;
    Search search = null;
    for (Beginning beginning : BEGINNINGS) {
      search = new Search(start, stretch, bounds, bend, beginning);
      found = search.run(progress);
      if (found.converged()) {
        break;
      }
    }
    Lap lap = search.driven(found.x());
    // What the programme rounds off or leaves out (changes of gear) may weigh more than it gains.
    boolean taken = lap.timeS() < start.timeS() || search.opens() || search.calms(lap);
    Lap best = taken ? lap : start;
    return new Result(best, start.timeS() - best.timeS(), found.steps(), found.converged());
  }

  /** Unknowns of a programme, from a lap and to one. */
  private static final class Search {
    private final Lap start;
    private final Road road;
    private final boolean whole;
    private final LineForces forces;
    private final LineProgramme programme;
    private final double[] x;
    private final double[] low;
    private final double[] high;

    Search(
        Lap start, Stretch stretch, Bounds bounds, double @Nullable [] bend, Beginning beginning) {
      this.start = start;
      this.road = start.path().road();
      int n = road.size();
      x = new double[2 * n];
      low = new double[2 * n];
      high = new double[2 * n];
      boolean[] held = new boolean[n];
      Arrays.fill(held, true);
      for (int k = 0; k < stretch.size(); k++) {
        held[stretch.at(k)] = stretch.held(k);
      }
      double[] begun = begun(start, stretch, bounds, beginning);
      Path near = Path.at(road, stretch.put(start.path().offsets(), begun), start.path().surface());
      whole = stretch.whole();
      forces = new LineForces(start, near, held, bend);
      programme = new LineProgramme(road, forces, start.timeS() / start.path().elements());
      double top = forces.topSpeedMps();
      for (int i = 0; i < n; i++) {
        double present = start.path().offsetAt(i);
        offset(i, present, present, present);
        double w = start.speedAt(i) * start.speedAt(i);
        x[2 * i + 1] = beginning.ofSpeed() * w / LineProgramme.SPEED_SQUARED_UNIT;
        high[2 * i + 1] = top * top / LineProgramme.SPEED_SQUARED_UNIT;
      }
      if (!road.closed() && start.conditions().start() == Conditions.Start.STANDING) {
        startAt(FROM_REST_MPS * FROM_REST_MPS / LineProgramme.SPEED_SQUARED_UNIT);
      }
      for (int k = 0; k < stretch.size(); k++) {
        if (!stretch.held(k)) {
          offset(stretch.at(k), bounds.lowAt(k), begun[k], bounds.highAt(k));
        }
      }
    }

    /**
     * A whole road is begun well inside of it; on a part of one the line that is given joins what
     * is held, and leads through the places that it is to lead through.
     */
    private static double[] begun(Lap start, Stretch stretch, Bounds bounds, Beginning beginning) {
      double[] present = stretch.taken(start.path().offsets());
      return stretch.whole()
          ? SmoothLine.along(stretch, bounds.narrowed(beginning.ofRoad()), null, present)
          : present;
    }

    private void offset(int i, double lowM, double beginM, double highM) {
      low[2 * i] = lowM;
      x[2 * i] = beginM;
      high[2 * i] = highM;
    }

    /** From rest the line's first metres do not matter: a walking pace will do. */
    private void startAt(double square) {
      low[1] = square;
      x[1] = square;
      high[1] = square;
    }

    InteriorPoint.Result run(DoubleConsumer progress) {
      return InteriorPoint.minimise(programme, x, low, high, TOLERANCE, MOST_STEPS, progress);
    }

    /**
     * Whether the present line of a whole road turns in faster than a driver does, and this less.
     */
    boolean calms(Lap found) {
      double present = forces.mostTurned(start);
      return whole && present > MORE_THAN_ASKED && forces.mostTurned(found) < present;
    }

    /** Whether the present line is not one of those that may be driven. */
    boolean opens() {
      for (int i = 0; i < road.size(); i++) {
        double present = start.path().offsetAt(i);
        if (present < low[2 * i] - Bounds.LEAST_ROOM_M
            || present > high[2 * i] + Bounds.LEAST_ROOM_M) {
          return true;
        }
      }
      return false;
    }

    Lap driven(double[] found) {
      double[] offsets = new double[road.size()];
      for (int i = 0; i < offsets.length; i++) {
        offsets[i] = found[2 * i];
      }
      Path path = Path.at(road, offsets, start.path().surface());
      return SpeedProfile.solve(path, start.vehicle(), start.conditions());
    }
  }
}
