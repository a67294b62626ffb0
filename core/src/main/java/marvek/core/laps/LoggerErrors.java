package marvek.core.laps;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/** Writes a recording down as a logger with traits of its own does; for demonstration only. */
public final class LoggerErrors {
  /** Turn of the steering wheel for a bend: wheelbase times ratio (own assumption) [m]. */
  private static final double STEERING_M = 2.5 * 14;

  private static final double G0 = 9.80665;
  private static final double CLUTCH_S = 0.08;

  private final Recording exact;
  private final LoggerTraits traits;
  private final Random random;

  private LoggerErrors(Recording exact, LoggerTraits traits, long seed) {
    this.exact = exact;
    this.traits = traits;
    this.random = new Random(seed);
  }

  /**
   * What the logger writes.
   *
   * @param exact with a position; its rows are the file's
   * @param seed of the noise
   */
  public static Recording of(Recording exact, LoggerTraits traits, long seed) {
    return new LoggerErrors(withWheelAndClutch(exact), traits, seed).written();
  }

  /**
   * The same with the car standing still for a while.
   *
   * @param at sample at which it stops
   */
  public static Recording standing(Recording recording, int at, double seconds) {
    double step = recording.intervalS();
    int rows = (int) (seconds / step);
    double[] time = new double[recording.size() + rows];
    for (int i = 0; i < time.length; i++) {
      int of = source(i, at, rows);
      time[i] =
          i <= at
              ? recording.timeAt(i)
              : i <= at + rows
                  ? recording.timeAt(at) + step * (i - at)
                  : recording.timeAt(of) + step * rows;
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (Channel channel : Channel.values()) {
      if (recording.has(channel)) {
        double[] values = new double[time.length];
        for (int i = 0; i < time.length; i++) {
          boolean stands = i > at && i <= at + rows;
          boolean moves = channel == Channel.SPEED || channel == Channel.THROTTLE;
          values[i] = stands && moves ? 0 : recording.at(channel, source(i, at, rows));
        }
        channels.put(channel, values);
      }
    }
    return new Recording(time, channels);
  }

  private static int source(int i, int at, int rows) {
    return i <= at ? i : Math.max(at, i - rows);
  }

  private static Recording withWheelAndClutch(Recording exact) {
    if (!exact.has(Channel.LATERAL_G)) {
      return exact;
    }
    int reach = Math.max(1, (int) (CLUTCH_S / exact.intervalS()));
    double[] wheel = new double[exact.size()];
    double[] clutch = new double[exact.size()];
    for (int i = 0; i < wheel.length; i++) {
      double v = Math.max(5, exact.at(Channel.SPEED, i));
      double bend = exact.at(Channel.LATERAL_G, i) * G0 / (v * v);
      wheel[i] = Math.toDegrees(bend * STEERING_M);
      int ahead = Math.min(wheel.length - 1, i + reach);
      clutch[i] = exact.at(Channel.GEAR, ahead) == exact.at(Channel.GEAR, i) ? 0 : 100;
    }
    return exact.with(Channel.STEER, wheel).with(Channel.CLUTCH, clutch);
  }

  private Recording written() {
    Recording written = exact;
    for (Channel channel : Channel.values()) {
      if (exact.has(channel) && channel != Channel.X && channel != Channel.Y) {
        written = written.with(channel, sampled(channel));
      }
    }
    return withPositions(written);
  }

  private double[] sampled(Channel channel) {
    double[] values = exact.channel(channel);
    double hz =
        switch (channel) {
          case SPEED -> 1 / exact.intervalS();
          case GEAR -> traits.gearHz();
          default -> traits.pedalHz();
        };
    for (int i = 0; i < values.length; i++) {
      values[i] = isDue(i, hz) ? shown(channel, values[i]) : Double.NaN;
    }
    return values;
  }

  private double shown(Channel channel, double value) {
    return switch (channel) {
      case BRAKE -> traits.brakeZeroPct() + value * (100 - traits.brakeZeroPct()) / 100;
      case THROTTLE -> traits.idlePct() + value * (100 - traits.idlePct()) / 100;
      default -> value;
    };
  }

  /** Whether a channel of a rate has a sample in a row. */
  private boolean isDue(int i, double hz) {
    double t = exact.timeAt(i) - exact.timeAt(0);
    double before = i == 0 ? -1 / hz : exact.timeAt(i - 1) - exact.timeAt(0);
    return Math.floor(t * hz + 1e-6) > Math.floor(before * hz + 1e-6);
  }

  private Recording withPositions(Recording written) {
    double[] x = new double[exact.size()];
    double[] y = new double[exact.size()];
    Arrays.fill(x, Double.NaN);
    Arrays.fill(y, Double.NaN);
    int late = (int) Math.round(traits.lagS() / exact.intervalS());
    for (int i = 0; i < x.length; i++) {
      if (isDue(i, traits.positionHz())) {
        int of = Math.max(0, i - late);
        x[i] = exact.at(Channel.X, of) + traits.eastM() + traits.noiseM() * random.nextGaussian();
        y[i] = exact.at(Channel.Y, of) + traits.northM() + traits.noiseM() * random.nextGaussian();
      }
    }
    return written.with(Channel.X, x).with(Channel.Y, y);
  }
}
