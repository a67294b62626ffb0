package marvek.core.laps;

import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import marvek.core.circuit.Road;

/**
 * A drive along the middle of an oval whose way is a closed formula, {@code s = 30 t + 24 (1 −
 * cos(t / 3))} at {@code v = 30 + 8 sin(t / 3)}, with what positions have of their own.
 *
 * @param hz samples a second
 * @param lagS by which positions come late
 * @param factor metres by the positions for a metre by the speed
 * @param offsetM to the left of the middle
 * @param noiseM by which each position scatters along and across the road
 */
record FormulaDrive(double hz, double lagS, double factor, double offsetM, double noiseM) {
  static final Road ROAD = OvalBook.ROAD;

  /** Where it begins. */
  static final double FROM_M = 400;

  static FormulaDrive exact(double hz) {
    return new FormulaDrive(hz, 0, 1, 0, 0);
  }

  static double speedMps(double t) {
    return 30 + 8 * Math.sin(t / 3);
  }

  static double stationM(double t) {
    return FROM_M + 30 * t + 24 * (1 - Math.cos(t / 3));
  }

  Recording recorded(double seconds) {
    int n = (int) Math.round(seconds * hz);
    Random random = new Random(3);
    double[] time = new double[n];
    double[] speed = new double[n];
    double[] x = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      time[i] = i / hz;
      speed[i] = speedMps(time[i]);
      double way = factor * (stationM(time[i] - lagS) - FROM_M);
      double[] at = place(FROM_M + way + noiseM * random.nextGaussian());
      double beside = offsetM + noiseM * random.nextGaussian();
      x[i] = at[0] + beside * at[2];
      y[i] = at[1] + beside * at[3];
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    channels.put(Channel.SPEED, speed);
    channels.put(Channel.X, x);
    channels.put(Channel.Y, y);
    return new Recording(time, channels);
  }

  /** East, north, and both of the normal to the left. */
  private static double[] place(double stationM) {
    double at = ROAD.wrapStation(stationM) / ROAD.stepM();
    int i = (int) at;
    int next = ROAD.wrap(i + 1);
    double part = at - i;
    return new double[] {
      ROAD.xAt(i) + part * (ROAD.xAt(next) - ROAD.xAt(i)),
      ROAD.yAt(i) + part * (ROAD.yAt(next) - ROAD.yAt(i)),
      ROAD.normalXAt(i),
      ROAD.normalYAt(i)
    };
  }
}
