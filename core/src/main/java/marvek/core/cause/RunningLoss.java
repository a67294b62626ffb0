package marvek.core.cause;

import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;

/**
 * What a lap has lost up to each place, the time included that its speed there will still cost:
 * {@code R(s) = [t + V(s, v)]} of the lap less that of the page.
 */
final class RunningLoss {
  private final AlongLap lap;
  private final AlongLap page;
  private final Road road;
  private final CostToGo toGo;
  private final double[] running;

  RunningLoss(AlongLap lap, AlongLap page, Road road, CostToGo toGo) {
    this.lap = lap;
    this.page = page;
    this.road = road;
    this.toGo = toGo;
    this.running = new double[lap.size()];
    for (int k = 0; k < running.length; k++) {
      running[k] = lap.timeAt(k) - page.timeAt(k) + speedCost(k);
    }
    fillGaps();
  }

  /** What the speed of the lap at a station will cost against the page's. */
  double speedCost(int k) {
    return toGoBehind(k, lap.speedAt(k)) - toGoBehind(k, page.speedAt(k));
  }

  /** The same at any station; 0 where it is not known. */
  double speedCostAt(double stationM) {
    return known(speedCost(lap.indexOf(stationM)));
  }

  private double toGoBehind(int k, double speed) {
    return Double.isNaN(speed) ? Double.NaN : toGo.behindS(lap.stationAt(k), speed);
  }

  /** Where nothing was recorded nothing more was lost. */
  private void fillGaps() {
    double last = 0;
    for (int k = 0; k < running.length; k++) {
      last = Double.isNaN(running[k]) ? last : running[k];
      running[k] = last;
    }
  }

  /** At the finish line it is the lap's loss, and what is handed on over it. */
  double at(double stationM) {
    if (stationM >= road.lengthM()) {
      return lapS() + handedOnS();
    }
    double position = Math.max(0, Math.min(running.length - 1, stationM / lap.stepM()));
    int k = Math.min(running.length - 2, (int) position);
    double share = position - k;
    return (1 - share) * running[k] + share * running[k + 1];
  }

  /** Slower than the page from line to line [s]. */
  double lapS() {
    return toLine(lap) - toLine(page);
  }

  /** What the speed over the finish line will still cost. */
  double handedOnS() {
    return known(speedCost(lastKnown()));
  }

  /** What the speed over the start line costs. */
  double broughtS() {
    return running[0];
  }

  private static double known(double value) {
    return Double.isNaN(value) ? 0 : value;
  }

  private int lastKnown() {
    int k = lap.size() - 1;
    while (k > 0 && (Double.isNaN(lap.timeAt(k)) || Double.isNaN(lap.speedAt(k)))) {
      k--;
    }
    return k;
  }

  private double toLine(AlongLap of) {
    int k = lastKnown();
    return of.timeAt(k) + (road.lengthM() - of.stationAt(k)) / of.speedAt(k);
  }
}
