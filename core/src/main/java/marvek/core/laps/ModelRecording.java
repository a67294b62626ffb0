package marvek.core.laps;

import static marvek.core.profile.Constants.G0;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.Require;
import marvek.core.circuit.Road;
import marvek.core.event.BrakingZone;
import marvek.core.profile.Lap;

/**
 * What a logger on the model's car would write down: laps one after the other, sampled evenly in
 * time, with the noise that is asked for. Stands in for a logger, and shows the page's own lap the
 * way measured ones are seen.
 */
public final class ModelRecording {
  /** Recorded before the first line and after the last, as a share of the lap. */
  public static final double RUN_IN = 0.12;

  private final double hz;
  private final double positionNoiseM;
  private final boolean full;
  private final Random random;
  private final Map<Channel, List<Double>> columns = new EnumMap<>(Channel.class);
  private final List<Double> times = new ArrayList<>();

  /**
   * @param hz samples a second, 5 to 1000
   * @param positionNoiseM standard deviation of x and y
   * @param full whether pedals, gear and forces are written and not only position and speed
   * @param seed of the noise, so that it can be made again
   */
  public ModelRecording(double hz, double positionNoiseM, boolean full, long seed) {
    this.hz = Require.within("hz", hz, 5, 1000);
    this.positionNoiseM = Require.notNegative("positionNoise_m", positionNoiseM);
    this.full = full;
    this.random = new Random(seed);
  }

  /**
   * Records laps that follow each other, with a run-in before and a run-out after them; on an open
   * road, which has no way before its begin, from there to its end.
   */
  public Recording of(List<Lap> laps) {
    double lapS = laps.get(0).timeS();
    double runIn = laps.get(0).path().road().closed() ? RUN_IN : 0;
    double next = -runIn * lapS;
    double begun = 0;
    for (int k = 0; k < laps.size(); k++) {
      Lap lap = laps.get(k);
      boolean[] lifted = lifted(lap);
      double until = k + 1 < laps.size() ? lap.timeS() : lap.timeS() * (1 + runIn);
      for (; next < begun + until; next += 1 / hz) {
        sample(lap, lifted, next - begun, next + runIn * lapS);
      }
      begun += lap.timeS();
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    columns.forEach(
        (channel, values) ->
            channels.put(channel, values.stream().mapToDouble(Double::doubleValue).toArray()));
    return new Recording(times.stream().mapToDouble(Double::doubleValue).toArray(), channels);
  }

  /** Where the lap brakes so shortly that a driver lifts: no foot is on the brake there. */
  private static boolean[] lifted(Lap lap) {
    Road road = lap.path().road();
    boolean[] lifted = new boolean[lap.size()];
    for (BrakingZone brief : BrakingZone.lifts(lap)) {
      for (int k = 0; k < road.ahead(brief.begin(), brief.end()); k++) {
        lifted[road.wrap(brief.begin() + k)] = true;
      }
    }
    return lifted;
  }

  private static double brake(Lap lap, boolean[] lifted, int i) {
    return lifted[i] ? 0 : lap.brakeShareAt(i);
  }

  private void sample(Lap lap, boolean[] lifted, double timeOfLap, double time) {
    double t = Math.floorMod((long) Math.floor(timeOfLap * 1e6), (long) (lap.timeS() * 1e6)) / 1e6;
    int i = indexAt(lap, t);
    Road road = lap.path().road();
    int j = road.closed() ? road.wrap(i + 1) : Math.min(road.size() - 1, i + 1);
    double t0 = lap.timeAt(i);
    double t1 = j > i ? lap.timeAt(j) : lap.timeS();
    double share = t1 > t0 ? Math.max(0, Math.min(1, (t - t0) / (t1 - t0))) : 0;
    times.add(time);
    add(Channel.X, mix(x(lap, i), x(lap, j), share) + noise());
    add(Channel.Y, mix(y(lap, i), y(lap, j), share) + noise());
    add(Channel.SPEED, mix(lap.speedAt(i), lap.speedAt(j), share));
    if (full) {
      add(Channel.BRAKE, 100 * mix(brake(lap, lifted, i), brake(lap, lifted, j), share));
      add(Channel.THROTTLE, 100 * mix(throttle(lap, i), throttle(lap, j), share));
      add(Channel.GEAR, lap.gearAt(i));
      add(Channel.RPM, lap.rpmAt(i));
      add(
          Channel.LATERAL_G,
          mix(lap.lateralAccelerationAt(i), lap.lateralAccelerationAt(j), share) / G0);
      add(
          Channel.LONGITUDINAL_G,
          mix(lap.longitudinalAccelerationAt(i), lap.longitudinalAccelerationAt(j), share) / G0);
    }
  }

  private static double throttle(Lap lap, int i) {
    return lap.shiftingAt(i) ? 1 : lap.throttleShareAt(i);
  }

  private double noise() {
    return positionNoiseM == 0 ? 0 : positionNoiseM * random.nextGaussian();
  }

  private void add(Channel channel, double value) {
    columns.computeIfAbsent(channel, c -> new ArrayList<>()).add(value);
  }

  private static double mix(double a, double b, double share) {
    return a + share * (b - a);
  }

  private static double x(Lap lap, int i) {
    return lap.path().road().xAt(i) + lap.path().offsetAt(i) * lap.path().road().normalXAt(i);
  }

  private static double y(Lap lap, int i) {
    return lap.path().road().yAt(i) + lap.path().offsetAt(i) * lap.path().road().normalYAt(i);
  }

  /** Last sample of the lap that is not later than a time. */
  private static int indexAt(Lap lap, double t) {
    int low = 0;
    int high = lap.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) >>> 1;
      if (lap.timeAt(middle) <= t) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return low;
  }
}
