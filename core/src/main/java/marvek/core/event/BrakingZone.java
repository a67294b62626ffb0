package marvek.core.event;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;

/**
 * A stretch of a lap on the brakes, long enough for a foot: what a closed throttle slows while the
 * foot moves is a lift. Positions are samples; {@code end} may lie before {@code begin} where the
 * zone crosses the start line.
 *
 * @param begin first sample from which tyre braking exceeds {@value #LEAST_G} g for 3 m
 * @param end first sample off the brake
 */
public record BrakingZone(int begin, int end, double speedLossMps) {
  /** Tyre braking below this is not called braking. */
  public static final double LEAST_G = 0.05;

  private static final double LEAST_LENGTH_M = 3;

  /** A lift shorter than this within a zone does not end it. */
  private static final double BRIDGED_M = 8;

  /** What the lap gains is that on the way which comes out: nearly, after so many rounds. */
  private static final int ROUNDS = 2;

  /** How hard a zone begins is read off its first part of so long. */
  private static final double SOON_S = 0.5;

  /** What is left of the zone from a sample within it on. */
  public BrakingZone from(int sample, Lap lap) {
    return new BrakingZone(sample, end, lap.speedAt(sample) - lap.speedAt(end));
  }

  /** What there is of the zone up to a sample within it. */
  public BrakingZone upTo(int sample, Lap lap) {
    return new BrakingZone(begin, sample, lap.speedAt(begin) - lap.speedAt(sample));
  }

  /** All zones of a lap in the order of their begins. */
  public static List<BrakingZone> of(Lap lap) {
    return allOf(lap).stream().filter(zone -> zone.speedLossMps > zone.liftedMps(lap)).toList();
  }

  /** What the lap brakes so shortly that a driver lifts instead. */
  public static List<BrakingZone> lifts(Lap lap) {
    return allOf(lap).stream().filter(zone -> zone.speedLossMps <= zone.liftedMps(lap)).toList();
  }

  private static List<BrakingZone> allOf(Lap lap) {
    Road road = lap.path().road();
    int origin = offBrakes(lap);
    IntPredicate onBrakes = k -> lap.brakeGAt(road.wrap(origin + k)) > LEAST_G;
    List<BrakingZone> zones = new ArrayList<>();
    for (int[] run : runs(onBrakes, lap.size(), road.stepM())) {
      int from = road.wrap(origin + run[0]);
      int to = road.wrap(origin + run[1]);
      zones.add(new BrakingZone(from, to, lap.speedAt(from) - lap.speedAt(to)));
    }
    return zones;
  }

  /**
   * How much a lift does without the brakes: the throttle is shut for as long as they are on and
   * before that for as long as a foot moves over (see {@link #actingWayM}), where the lap gains.
   */
  private double liftedMps(Lap lap) {
    double coasts = coastingMps2(lap);
    double gains = gainedMps2(lap, lap.speedAt(begin) * actingS(lap), coasts);
    return coasts * lap.timeBetween(begin, end) + (coasts + gains) * actingS(lap);
  }

  /**
   * Way from where the throttle shuts to where the lap brakes, so that a lift to the zone's end
   * brings the driver to the lap's speed there.
   */
  public double liftingWayM(Lap lap) {
    double v = lap.speedAt(begin);
    double coasts = coastingMps2(lap);
    double gains = gainedMps2(lap, v * actingS(lap), coasts);
    double lackMps = speedLossMps - coasts * lap.timeBetween(begin, end);
    return lackMps > 0 ? v * lackMps / (coasts + gains) : 0;
  }

  /** Begins and ends of the runs of samples on the brakes, with short lifts bridged. */
  static List<int[]> runs(IntPredicate onBrakes, int size, double stepM) {
    List<int[]> runs = new ArrayList<>();
    int begin = -1;
    for (int k = 0; k <= size; k++) {
      boolean on = k < size && onBrakes.test(k);
      if (on && begin < 0) {
        begin = k;
      } else if (!on && begin >= 0) {
        addRun(runs, begin, k, stepM);
        begin = -1;
      }
    }
    return runs;
  }

  private static void addRun(List<int[]> runs, int begin, int end, double step) {
    int[] last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
    if (last != null && (begin - last[1]) * step < BRIDGED_M) {
      last[1] = end;
    } else if ((end - begin) * step >= LEAST_LENGTH_M) {
      runs.add(new int[] {begin, end});
    }
  }

  /** Station at which the driver acts for it. */
  public double actingM(Lap lap) {
    Road road = lap.path().road();
    return road.wrapStation(road.stationAt(begin) - actingWayM(lap));
  }

  /**
   * Way from where the driver acts to where the lap brakes, so that the pressure of the lap brings
   * him back to its speed. While the foot moves and half the pressure builds up, for a time {@code
   * T}, he slows by {@code a_c} where the lap still gains {@code a_l}; what he is slower then he
   * need not brake. In constant accelerations, {@code a_b} under brakes: {@code v T (a_b - a_c) /
   * (a_b + a_l)}; none where a closed throttle slows as much as the lap brakes.
   */
  public double actingWayM(Lap lap) {
    Road road = lap.path().road();
    double v = lap.speedAt(begin);
    double seconds = actingS(lap);
    int soon = road.wrap(begin + Math.max(1, road.samples(SOON_S * v)));
    int in = road.ahead(begin, soon) < road.ahead(begin, end) ? soon : end;
    double brakes = -accelerationMps2(lap, begin, in);
    double coasts = coastingMps2(lap);
    double wayM = v * seconds;
    for (int round = 0; round < ROUNDS && brakes > coasts; round++) {
      double gains = gainedMps2(lap, wayM, coasts);
      wayM = v * seconds * (brakes - coasts) / (brakes + gains);
    }
    // Where the zone begins is known to a step of the road: a step early costs less than one late.
    return (brakes > coasts ? wayM : 0) + road.stepM();
  }

  /** While the foot moves over and half the pressure builds up. */
  private static double actingS(Lap lap) {
    return lap.conditions().pedalChangeS() + lap.conditions().brakeBuildUpS() / 2;
  }

  /** What the car slows where the zone begins with the throttle shut and no brakes. */
  private double coastingMps2(Lap lap) {
    double v = lap.speedAt(begin);
    double resistanceN = lap.forces().resistanceN(begin, v * v);
    return (resistanceN + lap.closedThrottleNAt(begin)) / lap.forces().massKg();
  }

  /** What the lap gains before the zone; where the throttle is shut there nothing is lost. */
  private double gainedMps2(Lap lap, double wayM, double coastingMps2) {
    Road road = lap.path().road();
    int before = road.wrap(begin - Math.max(1, road.samples(wayM)));
    return Math.max(-coastingMps2, accelerationMps2(lap, before, begin));
  }

  private static double accelerationMps2(Lap lap, int from, int to) {
    double seconds = lap.timeBetween(from, to);
    return seconds > 0 ? (lap.speedAt(to) - lap.speedAt(from)) / seconds : 0;
  }

  private static int offBrakes(Lap lap) {
    if (!lap.path().road().closed()) {
      return 0;
    }
    for (int i = 0; i < lap.size(); i++) {
      if (lap.brakeGAt(i) <= LEAST_G) {
        return i;
      }
    }
    return 0;
  }
}
