package marvek.core.laps;

import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Road;

/**
 * Which way round a file counts forces and steering: against the road's own bends, and the speed's
 * own changes. Left and power are positive here, and forces are in g.
 */
final class SensorSigns {
  /** A sensor that goes with the road less than this tells something else. */
  private static final double LEAST_ALIKE = 0.5;

  /** A force that is so many times what the road asks for is in m/s². */
  private static final double IN_MPS2 = 5;

  private static final double G0 = 9.80665;
  private static final double SLOPE_S = 0.3;

  private SensorSigns() {}

  /** The recording with forces, turning and steering the way round that they are counted here. */
  static Recording checked(
      Recording recording, Stations stations, Road road, Corrections corrections) {
    IntToDoubleFunction bend =
        i -> {
          double station = stations.stationAt(i);
          double v = recording.at(Channel.SPEED, i);
          return Double.isNaN(station)
              ? Double.NaN
              : road.curvatureAt(road.indexOf(road.wrapStation(station))) * v * v / G0;
        };
    Recording now = recording;
    for (Channel channel : new Channel[] {Channel.LATERAL_G, Channel.YAW_RATE, Channel.STEER}) {
      now = checked(now, channel, bend, corrections);
    }
    return checked(now, Channel.LONGITUDINAL_G, gain(recording), corrections);
  }

  private static IntToDoubleFunction gain(Recording r) {
    return i -> {
      int a = i;
      int b = i;
      while (a > 0 && r.timeAt(i) - r.timeAt(a) < SLOPE_S / 2) {
        a--;
      }
      while (b < r.size() - 1 && r.timeAt(b) - r.timeAt(i) < SLOPE_S / 2) {
        b++;
      }
      return (r.at(Channel.SPEED, b) - r.at(Channel.SPEED, a)) / (r.timeAt(b) - r.timeAt(a)) / G0;
    };
  }

  private static Recording checked(
      Recording recording, Channel channel, IntToDoubleFunction expected, Corrections corrections) {
    if (!recording.has(channel)) {
      return recording;
    }
    double cross = 0;
    double shown = 0;
    double wanted = 0;
    for (int i = 0; i < recording.size(); i += 5) {
      double a = recording.at(channel, i);
      double b = expected.applyAsDouble(i);
      if (!Double.isNaN(a) && !Double.isNaN(b)) {
        cross += a * b;
        shown += a * a;
        wanted += b * b;
      }
    }
    double alike = shown > 0 && wanted > 0 ? cross / Math.sqrt(shown * wanted) : 0;
    boolean force = channel == Channel.LATERAL_G || channel == Channel.LONGITUDINAL_G;
    double factor = alike < -LEAST_ALIKE ? -1 : 1;
    boolean large = force && Math.abs(cross) / Math.max(1e-9, wanted) > IN_MPS2;
    if (large && Math.abs(alike) > LEAST_ALIKE) {
      factor /= G0;
      corrections.add("laps.force-in-mps2", "channel", channel);
    }
    if (factor < 0) {
      corrections.add("laps.turned-round", "channel", channel);
    }
    return factor == 1 ? recording : recording.with(channel, scaled(recording, channel, factor));
  }

  private static double[] scaled(Recording recording, Channel channel, double factor) {
    double[] v = recording.channel(channel);
    for (int i = 0; i < v.length; i++) {
      v[i] *= factor;
    }
    return v;
  }
}
