package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.page.CornerPage;

/**
 * Reads what a lap did in each corner of a book: events with hysteresis and a least duration,
 * interpolated between samples.
 */
public final class LapReader {
  private static final double G0 = 9.80665;

  /** The lowest speed is looked for from a little before the turn-in on. */
  private static final double BEFORE_TURN_IN_M = 10;

  /** Deceleration is taken over so long, or the noise of a speed would brake. */
  private static final double SLOPE_S = 0.25;

  /** So long before the brake is off the throttle may open already. */
  private static final double OVERLAP_S = 0.3;

  private final Road road;
  private final List<CornerPage> pages;
  private final Thresholds thresholds;
  private final DragG drag;

  /** Deceleration by air and rolling at a speed [g]; what is beyond it is braking. */
  public interface DragG {
    double at(double speedMps);
  }

  /**
   * @param pages of the book that laps are read against
   * @param drag of the vehicle; counts where there is no brake sensor
   */
  public LapReader(Road road, List<CornerPage> pages, Thresholds thresholds, DragG drag) {
    this.road = road;
    this.pages = List.copyOf(pages);
    this.thresholds = thresholds;
    this.drag = drag;
  }

  /** The corners of one lap, in the order of the pages. */
  public List<CornerReading> read(Recording recording, Stations stations, RecordedLap lap) {
    return read(recording, stations, List.of(lap)).get(0);
  }

  /** The corners of several laps of a recording, lap by lap. */
  public List<List<CornerReading>> read(
      Recording recording, Stations stations, List<RecordedLap> laps) {
    double zero = BrakeZero.of(recording, thresholds);
    return laps.stream()
        .map(lap -> corners(new LapTrace(recording, stations, lap, road, zero)))
        .toList();
  }

  private List<CornerReading> corners(LapTrace trace) {
    List<CornerReading> readings = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      readings.add(corner(trace, p));
    }
    return readings;
  }

  /** Station of a page's first point, before the corner it belongs to. */
  private double firstPoint(int p) {
    CornerPage page = pages.get(p);
    double turnIn = page.turnIn().atM();
    Double brake = page.brake().atM();
    return brake == null ? turnIn : turnIn + road.offsetBetween(turnIn, brake);
  }

  private CornerReading corner(LapTrace trace, int p) {
    CornerPage page = pages.get(p);
    double turnIn = page.turnIn().atM();
    double out = turnIn + road.distance(turnIn, page.exit().trackOutM());
    double next = p + 1 < pages.size() ? firstPoint(p + 1) : firstPoint(0) + road.lengthM();
    int begin = trace.indexAt(turnIn - BEFORE_TURN_IN_M);
    int end = trace.indexAt(out);
    if (begin >= end) {
      return nothing(page);
    }
    int lowest = lowest(trace, begin, end);
    Phase braking = braking(trace, p, lowest);
    int afterBraking = braking == null ? begin : braking.to();
    Double first = throttleFirst(trace, afterBraking, lowest, trace.indexAt(next));
    return new CornerReading(
        page.corner(),
        braking == null ? null : braking.onM(),
        braking == null ? null : braking.peakPct(),
        known(trace.has(Channel.BRAKE) ? trace.valueAtStation(Channel.BRAKE, turnIn) : Double.NaN),
        braking == null ? null : braking.offM(),
        known(trace.at(Channel.SPEED, lowest)),
        known(trace.stationAt(lowest)),
        trace.has(Channel.GEAR) ? (int) Math.round(trace.at(Channel.GEAR, lowest)) : null,
        first,
        throttleFull(trace, first, trace.indexAt(next)),
        coasting(trace, afterBraking, first),
        known(trace.valueAtStation(Channel.SPEED, out)),
        inside(trace, begin, end, page.direction()),
        known(seconds(trace, p, next)));
  }

  /**
   * From a corner's first point to the next one's. Where the recording ends before the first corner
   * of the next lap, that of this lap stands for it.
   */
  private double seconds(LapTrace trace, int p, double next) {
    double begin = trace.timeAtStation(firstPoint(p));
    double end = trace.timeAtStation(next);
    boolean last = p == pages.size() - 1;
    if (!Double.isNaN(end) || !last) {
      return end - begin;
    }
    double lap = road.lengthM();
    return trace.timeAtStation(lap)
        - begin
        + trace.timeAtStation(firstPoint(0))
        - trace.timeAtStation(0);
  }

  private static CornerReading nothing(CornerPage page) {
    return new CornerReading(
        page.corner(),
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  private static Double known(double value) {
    return Double.isNaN(value) ? null : value;
  }

  private static int lowest(LapTrace trace, int begin, int end) {
    int lowest = begin;
    for (int i = begin; i < end; i++) {
      if (trace.at(Channel.SPEED, i) < trace.at(Channel.SPEED, lowest)) {
        lowest = i;
      }
    }
    return lowest;
  }

  /** A stretch on the brakes. */
  private record Phase(int from, int to, double onM, double offM, Double peakPct, double work) {}

  /** The braking for a corner: of those since the corner before the one that did most. */
  private Phase braking(LapTrace trace, int p, int lowest) {
    double previous = p > 0 ? pages.get(p - 1).lowestSpeedAtM() : lastLowest() - road.lengthM();
    int since = trace.indexAt(Math.max(trace.stationAt(trace.from), previous));
    int until = Math.min(trace.to, lowest + samplesOf(trace, lowest, 1.5));
    Phase best = null;
    for (Phase phase : phases(trace, since, until)) {
      if (phase.from() <= lowest && (best == null || phase.work() > best.work())) {
        best = phase;
      }
    }
    return best;
  }

  private double lastLowest() {
    return pages.get(pages.size() - 1).lowestSpeedAtM();
  }

  private static int samplesOf(LapTrace trace, int i, double seconds) {
    int k = i;
    while (k < trace.to - 1 && trace.timeAt(k) - trace.timeAt(i) < seconds) {
      k++;
    }
    return k - i;
  }

  private List<Phase> phases(LapTrace trace, int since, int until) {
    boolean sensor = trace.has(Channel.BRAKE);
    double limit = sensor ? thresholds.brakeOnPct() : thresholds.brakingG();
    List<Phase> phases = new ArrayList<>();
    int begun = -1;
    for (int i = Math.max(since, trace.from + 1); i < until; i++) {
      boolean on = braking(trace, i) > limit;
      if (on && begun < 0) {
        begun = i;
      }
      if (begun >= 0 && (!on || i == until - 1)) {
        Phase phase = phase(trace, begun, on ? i + 1 : i, limit);
        if (trace.timeAt(phase.to() - 1) - trace.timeAt(begun) >= thresholds.brakeHeldS()) {
          phases.add(phase);
        }
        begun = -1;
      }
    }
    return phases;
  }

  private Phase phase(LapTrace trace, int from, int to, double limit) {
    double peak = 0;
    double work = 0;
    for (int i = from; i < to; i++) {
      double value = braking(trace, i);
      peak = Math.max(peak, value);
      work += value * (trace.timeAt(i) - trace.timeAt(i - 1));
    }
    double on = trace.crossing(braking(trace, from - 1), braking(trace, from), limit, from);
    int last = Math.min(to, trace.to - 1);
    double off = trace.crossing(braking(trace, last - 1), braking(trace, last), limit, last);
    return new Phase(from, to, on, off, trace.has(Channel.BRAKE) ? peak : null, work);
  }

  /** Brake pressure [%], or deceleration beyond drag [g] where no sensor told it. */
  private double braking(LapTrace trace, int i) {
    if (trace.has(Channel.BRAKE)) {
      return trace.at(Channel.BRAKE, i);
    }
    int a = i;
    int b = i;
    while (a > trace.from && trace.timeAt(i) - trace.timeAt(a) < SLOPE_S / 2) {
      a--;
    }
    while (b < trace.to - 1 && trace.timeAt(b) - trace.timeAt(i) < SLOPE_S / 2) {
      b++;
    }
    double slope =
        (trace.at(Channel.SPEED, b) - trace.at(Channel.SPEED, a))
            / (trace.timeAt(b) - trace.timeAt(a));
    return -slope / G0 - drag.at(trace.at(Channel.SPEED, i));
  }

  /** The pick-up after the braking and not the lift before it. */
  private Double throttleFirst(LapTrace trace, int afterBraking, int lowest, int end) {
    if (!trace.has(Channel.THROTTLE)) {
      return null;
    }
    double limit = thresholds.throttleOnPct();
    boolean closed = false;
    int begin = Math.min(afterBraking, lowest);
    while (begin > trace.from + 1
        && trace.timeAt(Math.min(afterBraking, lowest)) - trace.timeAt(begin) < OVERLAP_S) {
      begin--;
    }
    for (int i = Math.max(trace.from + 1, begin); i < end; i++) {
      double now = trace.at(Channel.THROTTLE, i);
      closed |= trace.at(Channel.THROTTLE, i - 1) < limit;
      if (closed && now >= limit) {
        return trace.crossing(Channel.THROTTLE, i, limit);
      }
    }
    return null;
  }

  private Double throttleFull(LapTrace trace, Double firstM, int end) {
    if (firstM == null) {
      return null;
    }
    double limit = thresholds.fullThrottlePct();
    double since = Double.NaN;
    for (int i = trace.indexAt(firstM); i < end; i++) {
      boolean flat = trace.at(Channel.THROTTLE, i) > limit;
      if (!flat) {
        since = Double.NaN;
      } else if (Double.isNaN(since)) {
        since = i > trace.from ? trace.crossing(Channel.THROTTLE, i, limit) : trace.stationAt(i);
      }
      if (flat && trace.stationAt(i) - since >= thresholds.fullThrottleM()) {
        return since;
      }
    }
    return null;
  }

  private Double coasting(LapTrace trace, int afterBraking, Double firstM) {
    if (!trace.has(Channel.BRAKE) || firstM == null) {
      return null;
    }
    double seconds = 0;
    int end = trace.indexAt(firstM);
    for (int i = Math.max(trace.from + 1, afterBraking); i < end; i++) {
      boolean neither =
          trace.at(Channel.BRAKE, i) < thresholds.brakeOnPct()
              && trace.at(Channel.THROTTLE, i) < thresholds.throttleOnPct();
      if (neither) {
        seconds += trace.timeAt(i) - trace.timeAt(i - 1);
      }
    }
    return seconds;
  }

  private Double inside(LapTrace trace, int begin, int end, Side side) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = begin; i < end; i++) {
      double offset = trace.offsetAt(i);
      if (!Double.isNaN(offset)) {
        int at = road.indexOf(road.wrapStation(trace.stationAt(i)));
        double room =
            side == Side.LEFT ? road.widthLeftAt(at) - offset : road.widthRightAt(at) + offset;
        least = Math.min(least, room);
      }
    }
    return Double.isInfinite(least) ? null : least;
  }
}
