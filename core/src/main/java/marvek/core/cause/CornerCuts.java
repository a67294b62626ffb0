package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.CornerReading;
import marvek.core.laps.ReadLap;
import marvek.core.laps.Thresholds;
import marvek.core.page.CornerPage;

/** Where corners' accounts begin and are parted: at the lifts, and where the brake comes off. */
final class CornerCuts {
  /** A lap's release counts up to so far behind the page's. */
  private static final double BEHIND_RELEASE_M = 12;

  /** Flat for so far is a straight, and no touch of the throttle between two corners. */
  private static final double FLAT_M = 6;

  private final Road road;
  private final List<CornerPage> pages;
  private final Thresholds thresholds;

  CornerCuts(Road road, List<CornerPage> pages, Thresholds thresholds) {
    this.road = road;
    this.pages = pages;
    this.thresholds = thresholds;
  }

  /**
   * Where one corner begins and is parted.
   *
   * @param offM the release of the brake; without one the page's slowest place
   */
  record Cut(double fromM, double offM) {}

  /** Of a lap beside the page's, one a corner; stations from 0 to the road's length, growing. */
  List<Cut> of(ReadLap lap, ReadLap page) {
    List<Cut> cuts = new ArrayList<>();
    double behind = 0;
    for (int p = 0; p < pages.size(); p++) {
      double from = Math.min(liftM(lap, p), liftM(page, p));
      double begin = Math.max(behind, Math.min(road.lengthM(), from));
      double off = Math.max(begin, Math.min(road.lengthM(), offM(lap, page, p)));
      cuts.add(new Cut(begin, off));
      behind = off;
    }
    return cuts;
  }

  private double offM(ReadLap lap, ReadLap page, int p) {
    Double written = page.corners().get(p).braking().releaseM();
    Double driven = lap.corners().get(p).braking().releaseM();
    if (written == null) {
      Double slowest = page.corners().get(p).slowest().atM();
      return slowest == null ? pages.get(p).turnIn().atM() : slowest;
    }
    return driven == null
        ? written
        : Math.max(written, Math.min(written + BEHIND_RELEASE_M, driven));
  }

  /** Where the throttle closes for a corner; without that channel where the speed is highest. */
  double liftM(ReadLap lap, int p) {
    AlongLap along = lap.along();
    int start = along.indexOf(workM(lap, p));
    int floor = p == 0 ? 0 : Math.min(start, along.indexOf(slowestM(lap, p - 1)));
    if (!Double.isNaN(along.throttleAt(start))) {
      int flat = lastFlat(along, start, floor);
      if (flat == start && lap.corners().get(p).braking().onM() == null) {
        return pages.get(p).turnIn().atM();
      }
      if (flat > floor) {
        return along.stationAt(flat);
      }
    }
    return along.stationAt(fastest(along, floor, start));
  }

  /** Where a corner is at work for sure: on its brakes, or at its slowest place. */
  private double workM(ReadLap lap, int p) {
    Double on = lap.corners().get(p).braking().onM();
    return on == null ? slowestM(lap, p) : on;
  }

  private double slowestM(ReadLap lap, int p) {
    CornerReading reading = lap.corners().get(p);
    return reading.slowest().atM() == null ? pages.get(p).turnIn().atM() : reading.slowest().atM();
  }

  private int lastFlat(AlongLap along, int start, int floor) {
    int least = (int) Math.ceil(FLAT_M / along.stepM());
    int run = 0;
    for (int k = start; k >= floor; k--) {
      run = along.throttleAt(k) > thresholds.fullThrottlePct() ? run + 1 : 0;
      if (run == least) {
        return k + least - 1;
      }
    }
    return floor;
  }

  private static int fastest(AlongLap along, int from, int to) {
    int fastest = to;
    for (int k = from; k <= to; k++) {
      fastest = along.speedAt(k) > along.speedAt(fastest) ? k : fastest;
    }
    return fastest;
  }
}
