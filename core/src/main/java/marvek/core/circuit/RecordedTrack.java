package marvek.core.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;

/**
 * A line recorded by driving or walking it, made into a survey: standing points dropped, one lap
 * cut out or the median of several taken, its ends brought together, turned round and begun where
 * the driver wants it. What had to be assumed is part of the result. Single-use worker behind
 * {@link #trace}.
 */
public final class RecordedTrack {
  /** Points nearer than this say nothing about the shape of a road. */
  static final double LEAST_SPACING_M = 3;

  /** More points than this are thinned. */
  private static final int MOST_POINTS = 12_000;

  /** A gap of more than this times the usual spacing is a jump ... */
  private static final double JUMP_FACTOR = 8;

  /** ... if it is also longer than this. */
  private static final double JUMP_LEAST_M = 40;

  /** Two passages of the same place lie nearer than this: position noise and the road's width. */
  private static final double SAME_PLACE_M = 14;

  /** Two passages head the same way within this angle. */
  private static final double SAME_HEADING_RAD = Math.toRadians(50);

  /** Nothing shorter is a lap. */
  private static final double SHORTEST_LAP_M = 200;

  private final List<TrackPoint> points;
  private final List<Integer> origin;
  private final Settings settings;
  private double[] station;

  /**
   * What the driver says of a recording.
   *
   * @param reversed whether it was recorded against the direction of travel
   * @param startAtM where the start line is, in metres from the first point of the lap as recorded
   * @param lap which lap of several, from 1; 0 for the median of all whole ones
   * @param widthLeftM distance to the left white line all round, to be measured better later
   * @param level whether the road is taken as level, whatever heights were recorded
   */
  public record Settings(
      boolean reversed,
      double startAtM,
      int lap,
      double widthLeftM,
      double widthRightM,
      boolean level) {
    public Settings {
      Require.notNegative("startAt_m", startAtM);
      Require.within("lap", lap, 0, 1000);
      Require.within("widthLeft_m", widthLeftM, 0.5, 60);
      Require.within("widthRight_m", widthRightM, 0.5, 60);
    }
  }

  /** A place where the line crosses itself: two stations of the lap as recorded. */
  public record Crossing(double firstM, double secondM) {}

  /**
   * What came of a recording.
   *
   * @param points number of points read
   * @param used number of points of the lap that is used
   * @param spacingM median distance of its points
   * @param laps how often the recording goes round; 1 for a single lap, below 1 for an open line
   * @param closureGapM distance between the two ends that were brought together; 0 on an open road
   * @param crossings where the lap crosses itself
   * @param heights what was recorded of heights; null where some point has none
   */
  public record Result(
      Survey survey,
      int points,
      int used,
      double spacingM,
      double laps,
      double closureGapM,
      List<Crossing> crossings,
      RecordedHeights heights) {}

  private RecordedTrack(List<TrackPoint> points, List<Integer> origin, Settings settings) {
    this.points = points;
    this.origin = origin;
    this.settings = settings;
  }

  /**
   * Makes a survey of a recording.
   *
   * @throws InvalidValueException of field "track" with the index of the point where it jumps, or
   *     without one where there is too little of it
   */
  public static Result trace(List<TrackPoint> raw, Settings settings) {
    double length = length(raw);
    double spacing = Math.max(LEAST_SPACING_M, length / MOST_POINTS);
    List<TrackPoint> kept = new ArrayList<>();
    List<Integer> origin = new ArrayList<>();
    for (int i = 0; i < raw.size(); i++) {
      if (kept.isEmpty() || distance(kept.get(kept.size() - 1), raw.get(i)) >= spacing) {
        kept.add(raw.get(i));
        origin.add(i);
      }
    }
    return new RecordedTrack(kept, origin, settings).trace(raw.size());
  }

  static double length(List<TrackPoint> points) {
    double sum = 0;
    for (int i = 1; i < points.size(); i++) {
      sum += distance(points.get(i - 1), points.get(i));
    }
    return sum;
  }

  static double distance(TrackPoint a, TrackPoint b) {
    return Math.hypot(b.xM() - a.xM(), b.yM() - a.yM());
  }

  private Result trace(int raw) {
    if (points.size() < 12) {
      throw new InvalidValueException(
          "track", Sentence.of("refused.few-points", "given", points.size()));
    }
    checkJumps();
    measure();
    List<Integer> passages = passages();
    return passages.size() < 2 ? withoutReturn(raw) : lapOf(raw, passages);
  }

  private void checkJumps() {
    double[] gaps = new double[points.size() - 1];
    for (int i = 0; i < gaps.length; i++) {
      gaps[i] = distance(points.get(i), points.get(i + 1));
    }
    double[] sorted = gaps.clone();
    Arrays.sort(sorted);
    double bound = Math.max(JUMP_LEAST_M, JUMP_FACTOR * sorted[sorted.length / 2]);
    for (int i = 0; i < gaps.length; i++) {
      if (gaps[i] > bound) {
        throw new InvalidValueException(
            "track",
            origin.get(i + 1),
            Sentence.of(
                "refused.track-jumps", "gap_m", gaps[i], "usual_m", sorted[sorted.length / 2]));
      }
    }
  }

  private void measure() {
    station = new double[points.size()];
    for (int i = 1; i < station.length; i++) {
      station[i] = station[i - 1] + distance(points.get(i - 1), points.get(i));
    }
  }

  private double heading(int i) {
    TrackPoint a = points.get(Math.max(0, i - 1));
    TrackPoint b = points.get(Math.min(points.size() - 1, i + 1));
    return Math.atan2(b.yM() - a.yM(), b.xM() - a.xM());
  }

  /**
   * Points at which the recording passes the same place in the same direction, the first one
   * included; fewer than two where it never comes round.
   */
  private List<Integer> passages() {
    Map<Long, List<Integer>> cells = new HashMap<>();
    for (int j = 0; j < points.size(); j++) {
      int i = earlierPassage(cells, j);
      if (i >= 0) {
        return allPassages(i, j);
      }
      cells.computeIfAbsent(cell(points.get(j), 0, 0), key -> new ArrayList<>()).add(j);
    }
    return List.of();
  }

  private static long cell(TrackPoint p, int dx, int dy) {
    long cx = (long) Math.floor(p.xM() / SAME_PLACE_M) + dx;
    long cy = (long) Math.floor(p.yM() / SAME_PLACE_M) + dy;
    return cx * 4_000_037L + cy;
  }

  private int earlierPassage(Map<Long, List<Integer>> cells, int j) {
    int best = -1;
    double least = SAME_PLACE_M;
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        for (int i : cells.getOrDefault(cell(points.get(j), dx, dy), List.of())) {
          double d = distance(points.get(i), points.get(j));
          if (d < least && station[j] - station[i] > SHORTEST_LAP_M && sameHeading(i, j)) {
            least = d;
            best = i;
          }
        }
      }
    }
    return best;
  }

  private boolean sameHeading(int i, int j) {
    return Math.abs(Math.IEEEremainder(heading(j) - heading(i), 2 * Math.PI)) < SAME_HEADING_RAD;
  }

  private List<Integer> allPassages(int first, int second) {
    List<Integer> found = new ArrayList<>(List.of(first, nearestTo(first, second)));
    double lap = station[found.get(1)] - station[first];
    for (; ; ) {
      int from = indexAfter(station[found.get(found.size() - 1)] + 0.8 * lap);
      int to = indexAfter(station[found.get(found.size() - 1)] + 1.2 * lap);
      int next = -1;
      double least = 2 * SAME_PLACE_M;
      for (int k = from; k < to; k++) {
        double d = distance(points.get(first), points.get(k));
        if (d < least) {
          least = d;
          next = k;
        }
      }
      if (next < 0) {
        return found;
      }
      found.add(next);
    }
  }

  /** The point near j that is nearest to point i. */
  private int nearestTo(int i, int j) {
    int best = j;
    for (int k = j; k < points.size() && station[k] - station[j] < 3 * SAME_PLACE_M; k++) {
      if (distance(points.get(i), points.get(k)) < distance(points.get(i), points.get(best))) {
        best = k;
      }
    }
    return best;
  }

  private int indexAfter(double s) {
    int found = Arrays.binarySearch(station, s);
    return found >= 0 ? found : -found - 1;
  }

  /**
   * A recording that ends before it comes round: closed if its ends are near, else an open road.
   */
  private Result withoutReturn(int raw) {
    int last = points.size() - 1;
    double gap = distance(points.get(0), points.get(last));
    boolean closed = gap <= Survey.MAX_SPACING_M && station[last] > SHORTEST_LAP_M;
    if (!closed) {
      return finish(raw, points, false, new Gap(0, 0), 0.5);
    }
    double up = points.get(last).zM() - points.get(0).zM();
    return finish(raw, levelled(up, station[last] + gap), true, new Gap(gap, up), 1);
  }

  /** The points of a lap whose heights wander by so much, which is spread over it. */
  private List<TrackPoint> levelled(double upM, double lapM) {
    List<TrackPoint> lap = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      TrackPoint p = points.get(i);
      lap.add(new TrackPoint(p.xM(), p.yM(), p.zM() - upM * station[i] / lapM));
    }
    return lap;
  }

  private Result lapOf(int raw, List<Integer> passages) {
    int whole = passages.size() - 1;
    if (settings.lap() > whole) {
      throw new InvalidValueException(
          "lap", Sentence.of("refused.lap-not-recorded", "given", settings.lap(), "whole", whole));
    }
    double lap = station[passages.get(1)] - station[passages.get(0)];
    double laps = station[points.size() - 1] / lap;
    if (settings.lap() > 0 || whole == 1) {
      int from = passages.get(Math.max(1, settings.lap()) - 1);
      int to = passages.get(Math.max(1, settings.lap()));
      return finish(raw, broughtTogether(from, to), true, gap(from, to), laps);
    }
    List<List<TrackPoint>> all = new ArrayList<>();
    List<Gap> gaps = new ArrayList<>();
    for (int k = 0; k < whole; k++) {
      all.add(broughtTogether(passages.get(k), passages.get(k + 1)));
      gaps.add(gap(passages.get(k), passages.get(k + 1)));
    }
    gaps.sort(java.util.Comparator.comparingDouble(gap -> Math.abs(gap.upM())));
    return finish(raw, MedianLap.of(all), true, gaps.get(whole / 2), laps);
  }

  private Gap gap(int from, int to) {
    return new Gap(closureGap(from, to), points.get(to).zM() - points.get(from).zM());
  }

  /** Distance across the road between the two passages; what lies along it is only sampling. */
  private double closureGap(int from, int to) {
    double h = heading(from);
    double dx = points.get(to).xM() - points.get(from).xM();
    double dy = points.get(to).yM() - points.get(from).yM();
    return Math.abs(-Math.sin(h) * dx + Math.cos(h) * dy);
  }

  /** The lap's points, the offset across of its end from its begin spread over the whole lap. */
  private List<TrackPoint> broughtTogether(int from, int to) {
    double h = heading(from);
    TrackPoint a = points.get(from);
    TrackPoint b = points.get(to);
    double across = -Math.sin(h) * (b.xM() - a.xM()) + Math.cos(h) * (b.yM() - a.yM());
    double up = b.zM() - a.zM();
    List<TrackPoint> cut = new ArrayList<>();
    for (int i = from; i < to; i++) {
      TrackPoint p = points.get(i);
      double share = (station[i] - station[from]) / (station[to] - station[from]);
      if (!cut.isEmpty() && ahead(p, a, h) && station[to] - station[i] < 2 * SAME_PLACE_M) {
        // Already past the begin of the lap again.
        break;
      }
      cut.add(
          new TrackPoint(
              p.xM() + share * across * Math.sin(h),
              p.yM() - share * across * Math.cos(h),
              p.zM() - share * up));
    }
    while (cut.size() > 4 && distance(cut.get(cut.size() - 1), cut.get(0)) < 1) {
      cut.remove(cut.size() - 1);
    }
    return cut;
  }

  private static boolean ahead(TrackPoint p, TrackPoint of, double heading) {
    return (p.xM() - of.xM()) * Math.cos(heading) + (p.yM() - of.yM()) * Math.sin(heading) > 0;
  }

  private Result finish(int raw, List<TrackPoint> lap, boolean closed, Gap gap, double laps) {
    List<TrackPoint> line = new ArrayList<>(lap);
    List<Crossing> crossings = SelfCrossings.of(line, closed);
    if (closed) {
      line = begunAt(line, settings.startAtM());
    }
    if (settings.reversed()) {
      java.util.Collections.reverse(line);
      if (closed) {
        // The start line stays the first point.
        java.util.Collections.rotate(line, 1);
      }
    }
    HeightSmoothing heights = heights(line, closed, gap.upM());
    Survey survey = survey(line, closed, heights);
    double spacing = medianSpacing(line);
    return new Result(
        survey,
        raw,
        line.size(),
        spacing,
        laps,
        gap.acrossM(),
        crossings,
        heights == null ? null : heights.facts());
  }

  /** How far the two ends of a lap lie apart, across the road and in height [m]. */
  private record Gap(double acrossM, double upM) {}

  private static HeightSmoothing heights(List<TrackPoint> line, boolean closed, double upM) {
    if (!line.stream().allMatch(p -> Double.isFinite(p.zM()))) {
      return null;
    }
    int n = line.size();
    double[] station = new double[closed ? n + 1 : n];
    for (int i = 1; i < station.length; i++) {
      station[i] = station[i - 1] + distance(line.get(i - 1), line.get(i % n));
    }
    double[] z = line.stream().mapToDouble(TrackPoint::zM).toArray();
    return HeightSmoothing.of(station, closed, z, upM);
  }

  private Survey survey(List<TrackPoint> line, boolean closed, HeightSmoothing heights) {
    int n = line.size();
    double[] left = new double[n];
    double[] right = new double[n];
    Arrays.fill(left, settings.widthLeftM());
    Arrays.fill(right, settings.widthRightM());
    boolean level = settings.level() || heights == null;
    return new Survey(
        line.stream().mapToDouble(TrackPoint::xM).toArray(),
        line.stream().mapToDouble(TrackPoint::yM).toArray(),
        level ? new double[n] : heights.heightsM(),
        left,
        right,
        new double[n],
        closed);
  }

  private static double medianSpacing(List<TrackPoint> line) {
    double[] gaps = new double[line.size() - 1];
    for (int i = 0; i < gaps.length; i++) {
      gaps[i] = distance(line.get(i), line.get(i + 1));
    }
    Arrays.sort(gaps);
    return gaps[gaps.length / 2];
  }

  private static List<TrackPoint> begunAt(List<TrackPoint> lap, double startAtM) {
    double walked = 0;
    for (int i = 0; i + 1 < lap.size(); i++) {
      double next = walked + distance(lap.get(i), lap.get(i + 1));
      if (next > startAtM) {
        List<TrackPoint> turned = new ArrayList<>(lap);
        boolean nearerToNext = next - startAtM < startAtM - walked;
        java.util.Collections.rotate(turned, -(nearerToNext ? i + 1 : i));
        return turned;
      }
      walked = next;
    }
    throw new InvalidValueException(
        "startAt_m", Sentence.of("refused.beyond-lap", "at_m", startAtM, "lap_m", walked));
  }
}
