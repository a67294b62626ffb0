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
    return along(start, stretch, Reach.of(start, stretch), bounds, bend, progress);
  }

  /** The same, looking at another reach than the stretch asks for. */
  static Result along(
      Lap start,
      Stretch stretch,
      Reach reach,
      Bounds bounds,
      double @Nullable [] bend,
      DoubleConsumer progress) {
    InteriorPoint.Result found = null;
    Search search = null;
    for (Beginning beginning : BEGINNINGS) {
      search = new Search(start, stretch, reach, bounds, bend, beginning);
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
    private final Reach reach;
    private final Grid grid;
    private final boolean whole;
    private final LineForces forces;
    private final LineProgramme programme;
    private final double[] x;
    private final double[] low;
    private final double[] high;

    Search(
        Lap start,
        Stretch stretch,
        Reach reach,
        Bounds bounds,
        double @Nullable [] bend,
        Beginning beginning) {
      this.start = start;
      this.reach = reach;
      this.road = start.path().road();
      whole = stretch.whole();
      boolean[] held = held(stretch);
      grid = Grid.of(reach, start, held);
      x = new double[2 * grid.size()];
      low = new double[2 * grid.size()];
      high = new double[2 * grid.size()];
      double[] begun = begun(start, stretch, bounds, beginning);
      Path near = Path.at(road, stretch.put(start.path().offsets(), begun), start.path().surface());
      forces = new LineForces(start, grid, near, held, bend);
      double timeUnitS = start.timeS() / start.path().elements() * reach.size() / grid.size();
      programme = new LineProgramme(road, grid, forces, timeUnitS);
      double top = forces.topSpeedMps();
      for (int p = 0; p < grid.size(); p++) {
        int k = stretch.positionOf(grid.at(p));
        double present = start.path().offsetAt(grid.at(p));
        if (k < 0 || stretch.held(k)) {
          offset(p, present, present, present);
        } else {
          offset(p, bounds.lowAt(k), begun[k], bounds.highAt(k));
        }
        x[2 * p + 1] = beginning.ofSpeed() * square(start, p);
        high[2 * p + 1] = top * top / LineProgramme.SPEED_SQUARED_UNIT;
      }
      boundAtEnds(start);
    }

    private static boolean[] held(Stretch stretch) {
      boolean[] held = new boolean[stretch.road().size()];
      Arrays.fill(held, true);
      for (int k = 0; k < stretch.size(); k++) {
        held[stretch.at(k)] = stretch.held(k);
      }
      return held;
    }

    /** Where the reach ends within the road, the car is not faster than on the present line. */
    private void boundAtEnds(Lap start) {
      int last = grid.size() - 1;
      if (road.closed() ? !reach.whole() : grid.at(0) > 0) {
        high[1] = square(start, 0);
      } else if (!road.closed() && start.conditions().start() == Conditions.Start.STANDING) {
        startAt(FROM_REST_MPS * FROM_REST_MPS / LineProgramme.SPEED_SQUARED_UNIT);
      }
      if (road.closed() ? !reach.whole() : grid.at(last) < road.size() - 1) {
        high[2 * last + 1] = square(start, last);
      }
    }

    private double square(Lap lap, int position) {
      double speed = lap.speedAt(grid.at(position));
      return speed * speed / LineProgramme.SPEED_SQUARED_UNIT;
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

    private void offset(int position, double lowM, double beginM, double highM) {
      low[2 * position] = lowM;
      x[2 * position] = beginM;
      high[2 * position] = highM;
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
      for (int p = 0; p < grid.size(); p++) {
        double present = start.path().offsetAt(grid.at(p));
        if (present < low[2 * p] - Bounds.LEAST_ROOM_M
            || present > high[2 * p] + Bounds.LEAST_ROOM_M) {
          return true;
        }
      }
      return false;
    }

    Lap driven(double[] found) {
      double[] offsets = start.path().offsets();
      for (int p = 0; p < grid.size(); p++) {
        offsets[grid.at(p)] = found[2 * p];
      }
      Path path = Path.at(road, offsets, start.path().surface());
      return SpeedProfile.solve(path, start.vehicle(), start.conditions());
    }
  }
}
