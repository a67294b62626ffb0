package marvek.core.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Survey;
import marvek.core.circuit.TrackPoint;
import marvek.core.numeric.Median;
import marvek.core.say.Sentence;

/**
 * Positions of one round of a known road, or of several, as one path: in each short piece of the
 * road the median of where it was passed. What lies off the road, as the way out of the pits, does
 * not count. Single-use worker behind {@link #of}.
 */
final class MedianPath {
  /** A path that passes a place farther off than this was driven elsewhere. */
  private static final double FARTHEST_M = 20;

  /** Length of a piece: several of them show a bend, and one holds several positions. */
  private static final double PIECE_M = 4;

  /** From one position to the next the path is looked for so far back ... */
  private static final double BACK_M = 30;

  /** ... and farther ahead than the positions lie apart by this. */
  private static final double AHEAD_M = 30;

  private final Road road;
  private final double[] stations;
  private final double[] offsets;
  private int known;

  private MedianPath(Road road, int points) {
    this.road = road;
    this.stations = new double[points];
    this.offsets = new double[points];
  }

  /**
   * The path as points in order along the road, with widths that mean nothing.
   *
   * @param rounds how often the road is covered
   */
  record Result(Survey survey, double rounds) {}

  /**
   * @param points in the road's plane, in the order of travel
   * @throws InvalidValueException of field "track" if they do not cover the road, lie elsewhere or
   *     run against the direction of travel
   */
  static Result of(Road road, List<TrackPoint> points) {
    MedianPath path = new MedianPath(road, points.size());
    path.match(points);
    double way = path.way();
    if (way < -road.lengthM() / 4) {
      throw refused(Sentence.of("refused.line-against"));
    }
    return new Result(path.survey(), Math.abs(way) / road.lengthM());
  }

  static InvalidValueException refused(Sentence why) {
    return new InvalidValueException("track", why);
  }

  /** Where on the road each position is: near the one before, or wherever it is found again. */
  private void match(List<TrackPoint> points) {
    TrackPoint last = null;
    for (TrackPoint point : points) {
      RoadPosition place = null;
      if (last != null) {
        double apart = Math.hypot(point.xM() - last.xM(), point.yM() - last.yM());
        double reach = BACK_M + AHEAD_M + apart;
        double around = stations[known - 1] + (AHEAD_M + apart - BACK_M) / 2;
        place = RoadPosition.near(road, point.xM(), point.yM(), around, reach / 2);
      }
      if (place == null || Math.abs(place.offsetM()) > FARTHEST_M) {
        place = RoadPosition.nearest(road, point.xM(), point.yM());
      }
      if (Math.abs(place.offsetM()) <= FARTHEST_M && isBeside(point, place)) {
        stations[known] = place.stationM();
        offsets[known] = place.offsetM();
        known++;
        last = point;
      }
    }
  }

  /** Beyond the end of an open road its last sample is the nearest, with any offset. */
  private boolean isBeside(TrackPoint point, RoadPosition place) {
    double[] xy = place.toPlane(road);
    return Math.hypot(point.xM() - xy[0], point.yM() - xy[1]) < PIECE_M;
  }

  /** Metres of road from the first position to the last, rounds and all [m]. */
  private double way() {
    double way = 0;
    for (int i = 1; i < known; i++) {
      way += road.offsetBetween(stations[i - 1], stations[i]);
    }
    return way;
  }

  private Survey survey() {
    int pieces = (int) Math.ceil(road.lengthM() / PIECE_M);
    List<List<Integer>> in = new ArrayList<>();
    for (int p = 0; p < pieces; p++) {
      in.add(new ArrayList<>());
    }
    for (int i = 0; i < known; i++) {
      in.get(Math.min(pieces - 1, (int) (stations[i] / PIECE_M))).add(i);
    }
    List<double[]> path = new ArrayList<>();
    double firstM = Double.NaN;
    double lastM = road.closed() ? Double.NaN : 0;
    for (List<Integer> piece : in) {
      if (!piece.isEmpty()) {
        double station = piece.stream().mapToDouble(i -> stations[i]).average().orElseThrow();
        double offset = Median.of(piece.stream().mapToDouble(i -> offsets[i]).toArray());
        checkGap(lastM, station);
        firstM = path.isEmpty() ? station : firstM;
        lastM = station;
        path.add(new RoadPosition(station, offset).toPlane(road));
      }
    }
    if (path.size() < 12) {
      throw refused(Sentence.of("refused.line-elsewhere"));
    }
    checkGap(lastM, road.closed() ? road.lengthM() + firstM : road.lengthM());
    return survey(path);
  }

  /** Between two positions the path is guessed: no farther than a survey's points may lie apart. */
  private static void checkGap(double fromM, double toM) {
    if (toM - fromM > Survey.MAX_SPACING_M) {
      throw refused(Sentence.of("refused.line-gap", "from_m", fromM, "to_m", toM));
    }
  }

  private Survey survey(List<double[]> path) {
    double[] width = new double[path.size()];
    Arrays.fill(width, 1);
    double[] level = new double[path.size()];
    return new Survey(
        path.stream().mapToDouble(xy -> xy[0]).toArray(),
        path.stream().mapToDouble(xy -> xy[1]).toArray(),
        level,
        width,
        width,
        level,
        road.closed());
  }
}
