package marvek.core.profile;

import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.vehicle.Vehicle;

/** Where changes of gear leave the wheels without drive, as shares of each element. */
final class DriveCuts {
  private final Path path;
  private final Road road;
  private final double[] v;
  private final boolean[] braking;
  private final double upshiftS;
  private final double downshiftS;
  private final double fastestMps;

  /**
   * @param v speed at each sample [m/s]
   * @param braking where the car brakes: a change there costs no drive
   */
  DriveCuts(Path path, Vehicle vehicle, Driveline driveline, double[] v, boolean[] braking) {
    this.path = path;
    this.road = path.road();
    this.v = v;
    this.braking = braking;
    this.upshiftS = vehicle.gearbox().upshiftS();
    this.downshiftS = vehicle.gearbox().downshiftS();
    this.fastestMps = driveline.limiterSpeedMps(driveline.gears());
  }

  /** For how long there is no drive for the change that comes after a sample [s]. */
  double secondsAfter(int[] plan, int i) {
    int to = road.wrap(i + 1);
    boolean up = plan[to] > plan[i];
    boolean free = plan[to] == plan[i] || braking[i] || !up && braking[to];
    return free ? 0 : up ? upshiftS : downshiftS;
  }

  /**
   * Cuts the drive for the changes of other gears, as far as those between two samples reach.
   *
   * @param share of the drive, right before and after
   * @return sample after the last that was looked at
   */
  int along(int[] plan, double[] share, int from, int to) {
    double longest = Math.max(upshiftS, downshiftS) * fastestMps;
    int reached = to;
    for (double way = longest;
        way > 0 && road.wrap(reached + 1) != reached;
        reached = road.wrap(reached + 1)) {
      way -= path.elementAt(reached);
    }
    for (int i = from; i != reached; i = road.wrap(i + 1)) {
      share[i] = 1;
    }
    int first = from;
    for (double way = longest; way > 0 && road.wrap(first - 1) != first; ) {
      first = road.wrap(first - 1);
      way -= path.elementAt(first);
    }
    for (int i = first; i != reached; i = road.wrap(i + 1)) {
      cut(share, road.wrap(i + 1), secondsAfter(plan, i));
    }
    return reached;
  }

  /** Cuts the drive for some seconds from a sample on. */
  void cut(double[] share, int at, double seconds) {
    double way = v[at] * seconds;
    for (int i = at; way > 0; i = road.wrap(i + 1)) {
      double ds = path.elementAt(Math.min(i, path.elements() - 1));
      share[i] = Math.max(0, 1 - way / ds);
      way -= ds;
      if (road.wrap(i + 1) == i) {
        return;
      }
    }
  }
}
