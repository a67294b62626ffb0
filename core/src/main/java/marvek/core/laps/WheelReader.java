package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.laps.CornerReading.Correction;
import marvek.core.laps.CornerReading.Wheel;
import marvek.core.page.CornerPage;
import org.jspecify.annotations.Nullable;

/**
 * What the hands did in a corner: a wheel that is taken back and turned in again within a second
 * has caught a slide; more of it than the turn needs at its strongest means that the front slides.
 * Without a side force the wheel is only read until it is turned the farthest, since behind that it
 * is opened anyway, and how much of it was needed is not told. Amounts are own assumptions.
 */
final class WheelReader {
  /** Whoever takes longer has driven two bends. */
  private static final double CORRECTED_WITHIN_S = 1;

  /** Of what was taken back so much comes back. */
  private static final double BACK_IN = 0.6;

  /** A wheel has not been taken back while this share of it is left. */
  private static final double STILL = 0.15;

  /** The car is in the bend where the side force is within this share of its strongest. */
  private static final double IN_THE_BEND = 0.7;

  /** Beyond what is needed by this share, and by so many degrees. */
  private static final double BEYOND_SHARE = 0.25;

  private static final double BEYOND_DEG = 5;
  private static final double BEYOND_S = 0.3;

  /** A wheel is on the kerb where the car's middle is nearer to the edge [m]. */
  private static final double HALF_CAR_M = 0.95;

  private final LapTrace trace;
  private final Road road;
  private final Thresholds thresholds;
  private final @Nullable SteerNeeded needed;

  WheelReader(LapTrace trace, Road road, Thresholds thresholds, @Nullable SteerNeeded needed) {
    this.trace = trace;
    this.road = road;
    this.thresholds = thresholds;
    this.needed = needed;
  }

  /**
   * Reads a corner.
   *
   * @param begin first sample at its turn-in
   * @param lowest sample of its slowest place
   * @param end sample at the end of its track-out
   */
  Wheel read(CornerPage page, int begin, int lowest, int end) {
    if (!trace.has(Channel.STEER)) {
      return Wheel.UNKNOWN;
    }
    int turn = page.direction() == Side.LEFT ? 1 : -1;
    int until = needed == null ? farthest(begin, end, turn) + 1 : end;
    double[] wheel = new double[until - begin];
    Arrays.setAll(wheel, k -> beyond(begin + k, turn));
    List<Correction> corrections = corrections(page, turn, wheel, begin, lowest);
    return needed == null
        ? new Wheel(corrections, null, null, null)
        : pushed(corrections, wheel, begin, turn);
  }

  /** Wheel towards the inside beyond what is needed, or all of it where that is not known [°]. */
  private double beyond(int i, int turn) {
    double steer = trace.at(Channel.STEER, i);
    return turn * (needed == null ? steer : steer - neededAt(i));
  }

  private double neededAt(int i) {
    return needed.at(trace.at(Channel.SPEED, i), trace.at(Channel.LATERAL_G, i));
  }

  private List<Correction> corrections(
      CornerPage page, int turn, double[] wheel, int begin, int lowest) {
    List<Correction> found = new ArrayList<>();
    int since = 0;
    for (int k = 1; k < wheel.length; k++) {
      int high = highest(wheel, begin, since, k);
      if (!(wheel[high] - wheel[k] >= thresholds.correctionDeg())) {
        continue;
      }
      int back = backIn(wheel, begin, high, k);
      if (back < 0) {
        continue;
      }
      double least = Arrays.stream(wheel, high, back + 1).min().orElseThrow();
      int fell = fell(wheel, high, k, wheel[high] - least);
      double atM = trace.stationAt(begin + fell);
      found.add(
          new Correction(
              atM,
              wheel[high] - least,
              trace.stationAt(begin + back) - atM,
              when(page, turn, begin + fell, lowest)));
      since = back;
      k = back;
    }
    return found;
  }

  /** Where the wheel was turned in the farthest within the last moments. */
  private int highest(double[] wheel, int begin, int since, int k) {
    int high = k;
    for (int j = k; j >= since && seconds(begin + j, begin + k) <= CORRECTED_WITHIN_S; j--) {
      high = wheel[j] > wheel[high] ? j : high;
    }
    return high;
  }

  /**
   * The last sample before it fell for good: a hand that holds still has the noise of its sensor.
   */
  private static int fell(double[] wheel, int high, int until, double byDeg) {
    int last = high;
    for (int k = high; k < until; k++) {
      last = wheel[k] >= wheel[high] - STILL * byDeg ? k : last;
    }
    return last;
  }

  /** Where most of what was taken back is in again; −1 where that takes too long. */
  private int backIn(double[] wheel, int begin, int high, int from) {
    double least = wheel[from];
    for (int k = from;
        k < wheel.length && seconds(begin + high, begin + k) <= CORRECTED_WITHIN_S;
        k++) {
      least = Math.min(least, wheel[k]);
      if (wheel[k] - least >= BACK_IN * (wheel[high] - least)) {
        return k;
      }
    }
    return -1;
  }

  private double seconds(int a, int b) {
    return trace.timeAt(b) - trace.timeAt(a);
  }

  private Correction.When when(CornerPage page, int turn, int i, int lowest) {
    if (isOnKerb(page, turn, i)) {
      return Correction.When.KERB;
    }
    boolean power =
        trace.has(Channel.THROTTLE) && trace.has(Channel.BRAKE)
            ? trace.at(Channel.THROTTLE, i) >= thresholds.throttleOnPct()
                && trace.at(Channel.BRAKE, i) < thresholds.brakeOnPct()
            : i > lowest;
    return power ? Correction.When.POWER : Correction.When.ENTRY;
  }

  private boolean isOnKerb(CornerPage page, int turn, int i) {
    double offset = trace.tellsLine() ? trace.offsetAt(i) : Double.NaN;
    int at = road.indexOf(road.wrapStation(trace.stationAt(i)));
    double left = road.widthLeftAt(at) - offset;
    double right = road.widthRightAt(at) + offset;
    Kerb inside = page.limits().apex().kerb();
    Kerb outside = page.limits().exit().kerb();
    boolean in = inside != null && (turn > 0 ? left : right) < HALF_CAR_M;
    boolean out = outside != null && (turn > 0 ? right : left) < HALF_CAR_M;
    return in || out;
  }

  private int farthest(int begin, int end, int turn) {
    int farthest = begin;
    for (int i = begin; i < end; i++) {
      if (turn * trace.at(Channel.STEER, i) > turn * trace.at(Channel.STEER, farthest)) {
        farthest = i;
      }
    }
    return farthest;
  }

  /** The longest stretch in the bend with more wheel than it needs. */
  private Wheel pushed(List<Correction> corrections, double[] wheel, int begin, int turn) {
    double strongest = 0;
    for (int k = 0; k < wheel.length; k++) {
      strongest = Math.max(strongest, turn * trace.at(Channel.LATERAL_G, begin + k));
    }
    int best = 0;
    int longest = 0;
    int run = 0;
    for (int k = 0; k < wheel.length; k++) {
      boolean inBend = turn * trace.at(Channel.LATERAL_G, begin + k) >= IN_THE_BEND * strongest;
      double least = Math.max(BEYOND_DEG, BEYOND_SHARE * turn * neededAt(begin + k));
      run = inBend && wheel[k] >= least ? run + 1 : 0;
      if (run > longest) {
        longest = run;
        best = k - run + 1;
      }
    }
    int last = best + Math.max(0, longest - 1);
    if (longest == 0 || seconds(begin + best, begin + last) < BEYOND_S) {
      return new Wheel(corrections, 0.0, null, null);
    }
    double[] stretch = Arrays.copyOfRange(wheel, best, last + 1);
    Arrays.sort(stretch);
    double atM = trace.stationAt(begin + best);
    return new Wheel(
        corrections, stretch[stretch.length / 2], atM, trace.stationAt(begin + last) - atM);
  }
}
