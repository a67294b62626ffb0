package marvek.core.reference;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.event.BrakingZone;
import marvek.core.line.School;
import marvek.core.line.Schools;
import marvek.core.profile.Lap;

/**
 * A way through a corner as a driver compares it.
 *
 * @param lostS against the line of the book, over the corner and the straight after it
 * @param tie whether it is as quick as the quickest but for a driver's choice
 * @param brakeAtM station at which the driver acts; null without braking
 * @param entryMps speed at the corner's first metre
 * @param exitMps speed a little after its last metre
 * @param fromM station of the first offset
 * @param offsetsM one every step of the road, positive to the left
 * @param speedsMps at the same places
 */
public record SchoolLine(
    School school,
    double lostS,
    boolean tie,
    Double brakeAtM,
    double entryMps,
    double lowestMps,
    double exitMps,
    double fromM,
    double stepM,
    double[] offsetsM,
    double[] speedsMps) {
  /** Differences up to this are a driver's choice. */
  public static final double TIE_S = 0.03;

  /** So far behind the corner the lines may still differ (own assumption). */
  private static final double AFTER_EXIT_M = 20;

  /** Braking may end a little after the slowest place, and some way before it. */
  private static final double END_TOLERANCE_M = 15;

  /** Braking that ends earlier before the slowest place is another corner's. */
  private static final double LONGEST_TRAIL_M = 120;

  /** Cut of the picture: braking and exit of a usual corner. */
  private static final double SHOWN_BEFORE_M = 160;

  private static final double SHOWN_AFTER_M = 170;

  public SchoolLine {
    offsetsM = offsetsM.clone();
    speedsMps = speedsMps.clone();
  }

  @Override
  public double[] offsetsM() {
    return offsetsM.clone();
  }

  @Override
  public double[] speedsMps() {
    return speedsMps.clone();
  }

  /** All ways through a corner, in the order that they come. */
  static List<SchoolLine> of(List<Schools.Tried> tried, Road road, Corner corner) {
    double best = tried.stream().mapToDouble(Schools.Tried::lostS).min().orElse(0);
    List<SchoolLine> lines = new ArrayList<>();
    for (Schools.Tried t : tried) {
      lines.add(line(t, road, corner, t.lostS() - best <= TIE_S));
    }
    return lines;
  }

  private static SchoolLine line(Schools.Tried t, Road road, Corner corner, boolean tie) {
    Lap lap = t.lap();
    double step = road.stepM();
    int from = (int) Math.round(road.distance(road.stationAt(t.first()), corner.fromM()) / step);
    int to = from + (int) Math.round(road.distance(corner.fromM(), corner.toM()) / step);
    int slowest = from;
    for (int k = from; k <= Math.min(to, lap.size() - 1); k++) {
      slowest = lap.speedAt(k) < lap.speedAt(slowest) ? k : slowest;
    }
    int first = Math.max(0, from - (int) (SHOWN_BEFORE_M / step));
    int last = Math.min(lap.size() - 1, to + (int) (SHOWN_AFTER_M / step));
    double[] offsets = new double[last - first + 1];
    double[] speeds = new double[offsets.length];
    for (int k = first; k <= last; k++) {
      offsets[k - first] = lap.path().offsetAt(k);
      speeds[k - first] = lap.speedAt(k);
    }
    int exit = Math.min(lap.size() - 1, to + (int) (AFTER_EXIT_M / step));
    BrakingZone brakes = brakesFor(lap, slowest);
    return new SchoolLine(
        t.school(),
        t.lostS(),
        tie,
        brakes == null ? null : acting(brakes, lap, road, t.first()),
        lap.speedAt(from),
        lap.speedAt(slowest),
        lap.speedAt(exit),
        road.stationAt(road.wrap(t.first() + first)),
        step,
        offsets,
        speeds);
  }

  /** The hardest braking that ends near the slowest place; null without one. */
  private static BrakingZone brakesFor(Lap lap, int slowest) {
    Road road = lap.path().road();
    int latest = slowest + road.samples(END_TOLERANCE_M);
    int earliest = slowest - road.samples(LONGEST_TRAIL_M);
    return BrakingZone.of(lap).stream()
        .filter(zone -> zone.end() >= earliest && zone.end() <= latest)
        .filter(zone -> zone.begin() < zone.end() && zone.speedLossMps() > 0)
        .max(Comparator.comparingDouble(BrakingZone::speedLossMps))
        .orElse(null);
  }

  private static double acting(BrakingZone zone, Lap lap, Road road, int first) {
    double begin = road.stationAt(road.wrap(first + zone.begin()));
    return road.wrapStation(begin - zone.actingWayM(lap));
  }
}
