package marvek.core.cause;

import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.ReadLap;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * What the feet must have done in a lap that tells its speed alone: the force that its acceleration
 * asks for in the page's car, as throttle where the engine gives it and as brake where it does not.
 */
final class PedalsFromSpeed {
  /** An acceleration is taken over so long: less is the noise of a speed. */
  private static final double SLOPE_S = 0.5;

  private final Lap page;
  private final Road road;
  private final ForceModel forces;

  PedalsFromSpeed(Lap page) {
    this.page = page;
    this.road = page.path().road();
    this.forces = page.forces();
  }

  /** The lap itself where it has its pedals. */
  ReadLap known(ReadLap lap) {
    return lap.along().hasThrottle() ? lap : lap.along(told(lap.along()));
  }

  private AlongLap told(AlongLap along) {
    int n = along.size();
    double[] brake = new double[n];
    double[] throttle = new double[n];
    for (int k = 0; k < n; k++) {
      double v = along.speedAt(k);
      int reach = (int) Math.max(1, Math.round(v * SLOPE_S / 2 / along.stepM()));
      int a = Math.max(0, k - reach);
      int b = Math.min(n - 1, k + reach);
      double w0 = along.speedAt(a) * along.speedAt(a);
      double w1 = along.speedAt(b) * along.speedAt(b);
      int i = Math.min(road.size() - 1, (int) (along.stationAt(k) / road.stepM()));
      double force =
          forces.massKg() * (w1 - w0) / (2 * (b - a) * along.stepM())
              + forces.resistanceN(i, v * v);
      double shut = -page.engineN(i, v, 0);
      double open = page.driveline().bestForceN(v);
      throttle[k] = 100 * Math.max(0, Math.min(1, (force + shut) / (open + shut)));
      brake[k] = 100 * Math.max(0, -force - shut) / page.vehicle().brakes().maxForceN();
    }
    return along.withPedals(brake, throttle);
  }
}
