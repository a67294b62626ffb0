package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading.Braking;
import marvek.core.laps.CornerReading.Slowest;
import marvek.core.page.CornerPage;
import org.jspecify.annotations.Nullable;

/**
 * Reads what a lap did in each corner of a book: events with hysteresis and a least duration,
 * interpolated between samples. A wheel is suspected of having stood where the speed rose under
 * pressure.
 */
public final class LapReader {
  /** A speed that falls by less is one that scatters [m/s]. */
  private static final double FALLS_MPS = 0.3;

  /** The lowest speed is looked for from a little before the turn-in on. */
  private static final double BEFORE_TURN_IN_M = 10;

  /** Braking may go on for so long behind the slowest place. */
  private static final double BEHIND_LOWEST_S = 1.5;

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
    BrakeZero zero = BrakeZero.of(recording, thresholds);
    Own own = new Own(SteerNeeded.of(recording).orElse(null), GearRatios.of(recording));
    return laps.stream()
        .map(lap -> corners(new LapTrace(recording, stations, lap, road, zero), own))
        .toList();
  }

  /** What a recording tells of its own car. */
  private record Own(@Nullable SteerNeeded wheel, List<GearRatios.Ratio> gears) {}

  private List<CornerReading> corners(LapTrace trace, Own own) {
    List<CornerReading> readings = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      readings.add(corner(trace, own, p));
    }
    return readings;
  }

  private CornerReading corner(LapTrace trace, Own own, int p) {
    CornerPage page = pages.get(p);
    double turnIn = page.turnIn().atM();
    double out = turnIn + road.distance(turnIn, page.exit().trackOutM());
    double nextM = nextM(p);
    int begin = trace.indexAt(turnIn - BEFORE_TURN_IN_M);
    int end = trace.indexAt(out);
    if (begin >= end) {
      return CornerReading.nothing(page.corner());
    }
    int lowest = lowest(trace, begin, end);
    double first = trace.stationAt(trace.from);
    int since = trace.indexAt(first > lowestBefore(p) ? first : lowestBefore(p));
    BrakingReader brakes = new BrakingReader(trace, thresholds, drag);
    int until = Math.min(trace.to, lowest + samplesOf(trace, lowest, BEHIND_LOWEST_S));
    BrakingReader.Phase phase = brakes.strongest(since, until, lowest);
    int afterBraking = phase == null ? begin : phase.to();
    return new CornerReading(
        page.corner(),
        braking(trace, brakes, phase, turnIn),
        slowest(trace, lowest),
        new ThrottleReader(trace, thresholds).read(afterBraking, lowest, trace.indexAt(nextM)),
        new WayReader(trace, road, thresholds).read(page, since, begin, end),
        new WheelReader(trace, road, thresholds, own.wheel()).read(page, begin, lowest, end),
        new FeetReader(trace, thresholds, own.gears()).read(since, end),
        known(trace.valueAtStation(Channel.SPEED, firstPoint(p))),
        known(trace.valueAtStation(Channel.SPEED, out)),
        known(seconds(trace, p, nextM)));
  }

  /** Where the next corner begins; behind the last one of an open road, its end. */
  private double nextM(int p) {
    if (p + 1 < pages.size()) {
      return firstPoint(p + 1);
    }
    return road.closed() ? firstPoint(0) + road.lengthM() : road.lengthM();
  }

  private static Braking braking(
      LapTrace trace, BrakingReader brakes, BrakingReader.Phase phase, double turnInM) {
    Double left =
        known(trace.has(Channel.BRAKE) ? trace.valueAtStation(Channel.BRAKE, turnInM) : Double.NaN);
    return phase == null
        ? new Braking(null, null, left, null, null)
        : new Braking(phase.onM(), phase.peakPct(), left, phase.offM(), brakes.locked(phase));
  }

  private static Slowest slowest(LapTrace trace, int lowest) {
    Integer gear =
        trace.has(Channel.GEAR) ? (int) Math.round(trace.at(Channel.GEAR, lowest)) : null;
    return new Slowest(
        known(trace.at(Channel.SPEED, lowest)), known(trace.stationAt(lowest)), gear);
  }

  /** Station of a page's first point, before the corner it belongs to. */
  private double firstPoint(int p) {
    CornerPage page = pages.get(p);
    double turnIn = page.turnIn().atM();
    Double brake = page.brake().atM();
    return brake == null ? turnIn : turnIn + road.offsetBetween(turnIn, brake);
  }

  /**
   * From a corner's first point to the next one's. Where the recording ends before the first corner
   * of the next lap, that of this lap stands for it.
   */
  private double seconds(LapTrace trace, int p, double next) {
    double begin = trace.timeAtStation(firstPoint(p));
    double end = road.closed() ? trace.timeAtStation(next) : trace.timeAtOrBehind(next);
    boolean last = p == pages.size() - 1;
    if (!Double.isNaN(end) || !last || !road.closed()) {
      return end - begin;
    }
    double lap = road.lengthM();
    return trace.timeAtStation(lap)
        - begin
        + trace.timeAtStation(firstPoint(0))
        - trace.timeAtStation(0);
  }

  private static Double known(double value) {
    return Double.isNaN(value) ? null : value;
  }

  /**
   * The slowest place of a corner. Where it begins slowest, the car still comes out of the corner
   * before: then it is the slowest behind where the speed has begun to fall, if it does.
   */
  private static int lowest(LapTrace trace, int begin, int end) {
    int lowest = slowestOf(trace, begin, end);
    if (lowest > begin) {
      return lowest;
    }
    double high = trace.at(Channel.SPEED, begin);
    for (int i = begin; i < end; i++) {
      double speed = trace.at(Channel.SPEED, i);
      if (speed < high - FALLS_MPS) {
        return slowestOf(trace, i, end);
      }
      high = Math.max(high, speed);
    }
    return begin;
  }

  private static int slowestOf(LapTrace trace, int begin, int end) {
    int lowest = begin;
    for (int i = begin; i < end; i++) {
      if (trace.at(Channel.SPEED, i) < trace.at(Channel.SPEED, lowest)) {
        lowest = i;
      }
    }
    return lowest;
  }

  private double lowestBefore(int p) {
    return p > 0
        ? pages.get(p - 1).lowestSpeedAtM()
        : pages.get(pages.size() - 1).lowestSpeedAtM() - road.lengthM();
  }

  private static int samplesOf(LapTrace trace, int i, double seconds) {
    int k = i;
    while (k < trace.to - 1 && trace.timeAt(k) - trace.timeAt(i) < seconds) {
      k++;
    }
    return k - i;
  }
}
