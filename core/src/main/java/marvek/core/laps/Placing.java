package marvek.core.laps;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * Lays a recording on a road. What its positions have of their own is found first and taken out: a
 * shift of all of them, a lag behind the car's other channels, a speed that does not go with them;
 * their noise is told, and how far they are taken together for it.
 */
public final class Placing {
  /** A lag of less moves no point by two metres. */
  private static final double LEAST_LAG_S = 0.025;

  /** A speed that is off by less is as good as the positions. */
  private static final double LEAST_OFF = 0.012;

  /** Off by more it is not the calibration of the sensor but another thing. */
  private static final double MOST_OFF = 0.12;

  /** Noise of less is what a good receiver has. */
  private static final double LEAST_NOISE_M = 1.2;

  private final Road road;
  private final IntToDoubleFunction line;
  private final @Nullable Lap page;
  private final Corrections corrections = new Corrections();
  private Recording now;

  private Placing(Recording recording, Road road, @Nullable Lap page) {
    this.now = recording;
    this.road = road;
    this.page = page;
    this.line = page == null ? i -> 0 : page.path()::offsetAt;
  }

  /**
   * A recording on a road.
   *
   * @param lagS by which positions came late and were brought forward
   * @param shift by which they lay off and were brought back
   * @param noiseM by which each scatters
   * @param speedFactor that the speed was multiplied with
   * @param corrections empty where nothing was put right
   */
  public record Placed(
      Recording recording,
      Stations stations,
      double lagS,
      double shiftEastM,
      double shiftNorthM,
      double noiseM,
      double speedFactor,
      List<Sentence> corrections) {
    public Placed {
      corrections = List.copyOf(corrections);
    }
  }

  /**
   * Lays a recording on a road.
   *
   * @param recording cleaned
   * @param page the lap that the driver set out to drive; null without one
   * @throws InvalidValueException if it has no place, lies elsewhere or runs the other way round
   */
  public static Placed of(Recording recording, Road road, @Nullable Lap page) {
    Placing placing = new Placing(recording, road, page);
    return recording.hasPosition() ? placing.byPosition() : placing.byDistance();
  }

  private Placed byDistance() {
    Stations stations = Stations.of(now, road);
    double beacon = page == null ? 0 : BeaconPlace.of(now, stations, page);
    if (beacon != 0) {
      corrections.add(
          beacon > 0 ? "laps.begin-behind" : "laps.begin-before", "away_m", Math.abs(beacon));
    }
    Stations placed = beacon == 0 ? stations : stations.shifted(beacon);
    now = SensorSigns.checked(now, placed, road, corrections);
    return new Placed(now, placed, 0, 0, 0, 0, 1, corrections.said());
  }

  private Placed byPosition() {
    double noise = PositionNoise.of(now);
    RoadMatch match = RoadMatch.of(now, road);
    PositionShift.Found shift = PositionShift.of(match, road, line);
    if (shift.metres() > 0) {
      match = moved(shift);
    }
    double speedFactor = 1;
    double lag = 0;
    if (now.has(Channel.SPEED)) {
      PositionLag.Found found = PositionLag.of(now, match);
      if (Math.abs(found.seconds()) >= LEAST_LAG_S) {
        lag = found.seconds();
        match = broughtForward(lag);
      }
      speedFactor = calibrated(found.factor());
    } else {
      now = now.with(Channel.SPEED, SpeedFromPosition.of(now, match, noise));
      corrections.add("laps.no-speed");
    }
    if (noise > LEAST_NOISE_M) {
      corrections.add("laps.positions-scatter", "noise_m", noise);
    }
    Stations stations = Stations.of(now, match, noise);
    now = SensorSigns.checked(now, stations, road, corrections);
    return new Placed(
        now, stations, lag, shift.eastM(), shift.northM(), noise, speedFactor, corrections.said());
  }

  private RoadMatch moved(PositionShift.Found shift) {
    double[] x = now.channel(Channel.X);
    double[] y = now.channel(Channel.Y);
    for (int i = 0; i < x.length; i++) {
      x[i] -= shift.eastM();
      y[i] -= shift.northM();
    }
    now = now.with(Channel.X, x).with(Channel.Y, y);
    corrections.add(
        "laps.positions-off",
        "away_m",
        shift.metres(),
        "compass",
        compass(shift.eastM(), shift.northM()));
    return RoadMatch.of(now, road);
  }

  private static String compass(double east, double north) {
    String[] names = {
      "north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"
    };
    double turn = Math.toDegrees(Math.atan2(east, north)) / 45;
    return names[Math.floorMod(Math.round(turn), 8)];
  }

  /** Positions as they would be if they came when they were measured. */
  private RoadMatch broughtForward(double lagS) {
    now = now.with(Channel.X, at(Channel.X, lagS)).with(Channel.Y, at(Channel.Y, lagS));
    corrections.add(
        lagS > 0 ? "laps.positions-late" : "laps.positions-early", "seconds", Math.abs(lagS));
    return RoadMatch.of(now, road);
  }

  /** A channel of positions some time later, laid between those that are known. */
  private double[] at(Channel channel, double laterS) {
    int n = now.size();
    double[] moved = new double[n];
    Arrays.fill(moved, Double.NaN);
    int a = -1;
    int b = nextKnown(channel, 0);
    for (int i = 0; i < n; i++) {
      double wanted = now.timeAt(i) + laterS;
      while (b < n && now.timeAt(b) < wanted) {
        a = b;
        b = nextKnown(channel, b + 1);
      }
      if (a >= 0 && b < n && now.timeAt(b) - now.timeAt(a) < 1.2) {
        double share = (wanted - now.timeAt(a)) / (now.timeAt(b) - now.timeAt(a));
        moved[i] = now.at(channel, a) + share * (now.at(channel, b) - now.at(channel, a));
      }
    }
    return moved;
  }

  private int nextKnown(Channel channel, int from) {
    int i = from;
    while (i < now.size() && Double.isNaN(now.at(channel, i))) {
      i++;
    }
    return i;
  }

  private double calibrated(double factor) {
    double off = factor - 1;
    if (Math.abs(off) < LEAST_OFF || Math.abs(off) > MOST_OFF) {
      return 1;
    }
    double[] v = now.channel(Channel.SPEED);
    for (int i = 0; i < v.length; i++) {
      v[i] *= factor;
    }
    now = now.with(Channel.SPEED, v);
    corrections.add(
        off < 0 ? "laps.speed-more" : "laps.speed-less", "pct", 100 * Math.abs(1 / factor - 1));
    return factor;
  }
}
