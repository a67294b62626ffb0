package marvek.core.laps;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Laps written by hand from closed formulas: stretches of one acceleration each, so that every
 * event is known exactly. s = s0 + v0 t + a t²/2.
 */
final class HandWrittenLap {
  private record Stretch(double beginS, double beginM, double v0, double a, double[] pedals) {}

  private final List<Stretch> stretches = new ArrayList<>();
  private double t;
  private double s;
  private double v;

  private HandWrittenLap(double speedMps) {
    v = speedMps;
  }

  static HandWrittenLap at(double speedMps) {
    return new HandWrittenLap(speedMps);
  }

  /** On for some metres at the present speed, with pedals [%] and a gear. */
  HandWrittenLap steady(double metres, double brake, double throttle, int gear) {
    add(0, metres / v, brake, throttle, gear);
    return this;
  }

  /** Until another speed with an acceleration [m/s²]. */
  HandWrittenLap to(double speedMps, double a, double brake, double throttle, int gear) {
    add(a, (speedMps - v) / a, brake, throttle, gear);
    return this;
  }

  private void add(double a, double seconds, double brake, double throttle, int gear) {
    stretches.add(new Stretch(t, s, v, a, new double[] {brake, throttle, gear}));
    s += v * seconds + a * seconds * seconds / 2;
    v += a * seconds;
    t += seconds;
  }

  double metres() {
    return s;
  }

  double seconds() {
    return t;
  }

  /**
   * Samples over some laps alike, from before the first line to behind the last.
   *
   * @param hz samples a second
   * @param laps laps from line to line
   * @param shown channels that are written beside the distance and the speed
   */
  Recording recorded(double hz, int laps, Channel... shown) {
    List<double[]> rows = new ArrayList<>();
    double begin = -0.1 * t;
    double end = (laps + 0.1) * t;
    for (int k = 0; begin + k / hz < end; k++) {
      rows.add(row(begin + k / hz, begin));
    }
    double[] time = new double[rows.size()];
    Channel[] order = {
      Channel.DISTANCE, Channel.SPEED, Channel.BRAKE, Channel.THROTTLE, Channel.GEAR
    };
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (int c = 0; c < order.length; c++) {
      boolean wanted = c < 2 || List.of(shown).contains(order[c]);
      if (wanted) {
        int column = c + 1;
        channels.put(order[c], rows.stream().mapToDouble(r -> r[column]).toArray());
      }
    }
    for (int i = 0; i < time.length; i++) {
      time[i] = rows.get(i)[0];
    }
    return new Recording(time, channels);
  }

  private double[] row(double time, double begin) {
    double ofLap = time - t * Math.floor(time / t);
    Stretch now = stretches.get(0);
    for (Stretch stretch : stretches) {
      if (stretch.beginS() <= ofLap) {
        now = stretch;
      }
    }
    double dt = ofLap - now.beginS();
    return new double[] {
      time - begin,
      now.beginM() + now.v0() * dt + now.a() * dt * dt / 2,
      now.v0() + now.a() * dt,
      now.pedals()[0],
      now.pedals()[1],
      now.pedals()[2]
    };
  }
}
