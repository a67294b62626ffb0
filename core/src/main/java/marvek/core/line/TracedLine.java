package marvek.core.line;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.TrackPoint;
import marvek.core.conditions.Conditions;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/**
 * A path that was driven or recorded as a line of a road: several rounds become one, what the
 * positions' own noise explains is taken out as it is out of a survey, the path is told by its
 * offsets, and where it lies beyond the road it is laid onto its edge as gently as can be.
 * Single-use worker behind {@link #of}.
 */
public final class TracedLine {
  /** The recorded path is sampled so. */
  private static final double PATH_STEP_M = 0.5;

  /**
   * Beside a surveyed road a driven path is smoothed so much more: a car cannot change its bend as
   * fast as a road may (found on made roads: with less, noise of 5 cm to 1 m bends the path so that
   * its lap is 1 to 2 % slower; with ten times more, corners are cut off).
   */
  private static final double STRENGTH = 10;

  /** A path that is moved onto the road bends away from itself over about this length. */
  private static final double GIVING_WAY_M = 15;

  /** Bounds that touch are held apart by this, for the search between them. */
  private static final double LEAST_ROOM_M = 0.02;

  /** The search for that is done when it is that near. */
  private static final double ENOUGH_M = 0.001;

  private final Road road;
  private final int count;
  private final double step;

  private TracedLine(Road road) {
    this.road = road;
    this.count = LineOffsets.countOn(road);
    this.step = LineOffsets.stepOn(road);
  }

  /**
   * A line and what was made of the path for it.
   *
   * @param points how many were given
   * @param rounds how often the path covers the road
   * @param noiseM standard deviation of its positions, as they tell it themselves
   * @param smoothedM farthest that a point was moved by the smoothing
   * @param beyondM farthest that the path lay beyond what the car may use; 0 where it never did
   * @param beyondAtM station of that place
   */
  public record Result(
      LineOffsets offsets,
      int points,
      double rounds,
      double noiseM,
      double smoothedM,
      double beyondM,
      double beyondAtM) {}

  /**
   * Makes a line of positions in the order of travel.
   *
   * @param points in the plane of the circuit; one lap, or several of which the median is taken
   * @throws InvalidValueException of field "track" if they do not go round, lie elsewhere or run
   *     against the direction of travel
   */
  public static Result of(Circuit circuit, Vehicle vehicle, List<TrackPoint> points) {
    Road road = circuit.road();
    MedianPath.Result median = MedianPath.of(road, points);
    Road path = Road.through(median.survey(), STRENGTH, PATH_STEP_M);
    TracedLine traced = new TracedLine(road);
    double[] offsets = traced.offsets(path);
    Corridor room = room(circuit, road, vehicle);
    double[] low = new double[offsets.length];
    double[] high = new double[offsets.length];
    double beyond = 0;
    double beyondAt = 0;
    for (int k = 0; k < offsets.length; k++) {
      int i = road.indexOf(Math.min(k * traced.step, road.lengthM()));
      low[k] = room.rightAt(i);
      high[k] = Math.max(room.leftAt(i), low[k] + LEAST_ROOM_M);
      double out = Math.max(offsets[k] - high[k], low[k] - offsets[k]);
      if (out > beyond) {
        beyond = out;
        beyondAt = k * traced.step;
      }
    }
    double[] within = beyond > 0 ? traced.givenWay(offsets, low, high) : offsets;
    return new Result(
        LineOffsets.of(within),
        points.size(),
        median.rounds(),
        path.surveyNoiseM(),
        path.largestMoveM(),
        beyond,
        beyondAt);
  }

  private double[] offsets(Road path) {
    double[] offsets =
        new NormalCrossings(road).offsets(NormalCrossings.Curve.of(path), count, step, 0);
    if (offsets == null) {
      throw MedianPath.refused(Sentence.of("refused.line-elsewhere"));
    }
    return offsets;
  }

  /** All that the car may use: up to the white lines, over kerbs as far as the rules allow. */
  private static Corridor room(Circuit circuit, Road road, Vehicle vehicle) {
    Circuit open =
        circuit.withKerbs(circuit.kerbs().stream().map(k -> k.used(Kerb.Use.FULL)).toList());
    return Corridor.of(open, road, vehicle, Conditions.DEFAULT, 0);
  }

  /**
   * The offsets brought within bounds: the change and its second difference are least in the sum of
   * squares, so that a piece that lay off the road takes its surroundings with it instead of
   * getting a corner.
   */
  private double[] givenWay(double[] offsets, double[] low, double[] high) {
    double weight = Math.pow(GIVING_WAY_M / step, 4);
    double[] h0 = new double[count];
    double[] h1 = new double[count];
    double[] h2 = new double[count];
    double[] g = new double[count];
    for (int k = 0; k < count; k++) {
      h0[k] += 1;
      g[k] -= offsets[k];
      if (road.closed() || k > 0 && k < count - 1) {
        int before = Math.floorMod(k - 1, count);
        int after = Math.floorMod(k + 1, count);
        h0[before] += weight;
        h0[k] += 4 * weight;
        h0[after] += weight;
        h1[before] -= 2 * weight;
        h1[k] -= 2 * weight;
        h2[before] += weight;
        double bend = weight * (offsets[before] - 2 * offsets[k] + offsets[after]);
        g[before] -= bend;
        g[k] += 2 * bend;
        g[after] -= bend;
      }
    }
    return new BoxedQuadraticProgramme(h0, h1, h2, road.closed())
        .minimise(g, low, high, offsets, ENOUGH_M * ENOUGH_M);
  }
}
