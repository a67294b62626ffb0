package marvek.core.cause;

import marvek.core.circuit.Road;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * A corner's way out driven with a throttle and gears of one's choice from a speed of one's choice,
 * in the page's car, and the cost to go from where it ends: what a way out is worth. What the model
 * leaves out of the page's own way is left out of every other likewise.
 */
final class ExitDrive {
  private static final double SLOWEST_MPS = 3;

  /** Flat: the foot asks for all that the gear gives. */
  private static final double FLAT = 0.95;

  private final Lap page;
  private final Road road;
  private final ForceModel forces;
  private final CostToGo toGo;

  ExitDrive(Lap page, CostToGo toGo) {
    this.page = page;
    this.road = page.path().road();
    this.forces = page.forces();
    this.toGo = toGo;
  }

  /** What the right foot and the gear lever do along the road. */
  interface Controls {
    /** Throttle at a station, 0 to 1; {@code page} is the page's there. */
    double throttle(double stationM, double page);

    /** Gear at a station; {@code page} is the page's there. */
    default int gear(double stationM, int page) {
      return page;
    }
  }

  /** The page's own. */
  static final Controls AS_THE_PAGE = (station, page) -> page;

  /**
   * Seconds from one station to another and, beyond the page's, from there to the end.
   *
   * @param fromM station on the lap, 0 to the road's length
   * @param toM behind it
   */
  double seconds(double fromM, double toM, double speedMps, Controls controls) {
    double v = speedMps;
    double seconds = 0;
    int last = page.path().elements();
    int begin = Math.min(last - 1, (int) (fromM / road.stepM()));
    for (int i = begin; i < last && i * road.stepM() < toM; i++) {
      double from = Math.max(fromM, i * road.stepM());
      double to = Math.min(toM, (i + 1) * road.stepM());
      double metres = page.path().elementAt(i) * (to - from) / road.stepM();
      double w = v * v + 2 * metres * acceleration(i, v, controls);
      double end = Math.sqrt(Math.max(SLOWEST_MPS * SLOWEST_MPS, w));
      seconds += 2 * metres / (v + end);
      v = end;
    }
    return seconds + toGo.behindS(Math.min(toM, road.lengthM()), v);
  }

  double downshiftS() {
    return page.vehicle().gearbox().downshiftS();
  }

  private double acceleration(int i, double v, Controls controls) {
    double own = page.speedAt(i);
    int after = road.wrap(i + 1);
    double w1 = page.speedAt(after) * page.speedAt(after);
    double gained = (w1 - own * own) / (2 * page.path().elementAt(i));
    double throttle = page.elementThrottleShareAt(i);
    double rest = gained - model(i, own, throttle, page.gearAt(i), throttle);
    double station = i * road.stepM();
    double foot = controls.throttle(station, throttle);
    return model(i, v, foot, controls.gear(station, page.gearAt(i)), throttle) + rest;
  }

  /**
   * Acceleration by the model; in another gear a foot asks for the force that it has in its own.
   */
  private double model(int i, double v, double throttle, int gear, double pageThrottle) {
    double force = page.engineN(i, v, throttle);
    if (gear != page.gearAt(i) && gear >= 1 && gear <= page.driveline().gears()) {
      double open = page.driveline().forceN(gear, v) * page.driveShareAt(i);
      boolean flat = throttle >= FLAT && pageThrottle >= FLAT;
      force = flat ? open : Math.min(force, open);
    }
    double w = v * v;
    double net = forces.netDriveN(i, w, Math.max(0, force)) + Math.min(0, force);
    return net / forces.massKg();
  }
}
