package marvek.core.beside;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Channel;
import marvek.core.laps.Recording;

/** A lap at even stations as a recording again, for a file that other programs read. */
public final class StationedLap {
  private StationedLap() {}

  /** One sample a station that the lap has a time at; channels that it has not are left out. */
  public static Recording of(AlongLap lap, Road road) {
    int[] known =
        IntStream.range(0, lap.size()).filter(k -> !Double.isNaN(lap.timeAt(k))).toArray();
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    put(channels, Channel.DISTANCE, known, lap::stationAt);
    put(channels, Channel.X, known, k -> at(lap, road, k)[0]);
    put(channels, Channel.Y, known, k -> at(lap, road, k)[1]);
    put(channels, Channel.SPEED, known, lap::speedAt);
    put(channels, Channel.BRAKE, known, lap::brakeAt);
    put(channels, Channel.THROTTLE, known, lap::throttleAt);
    put(channels, Channel.STEER, known, lap::steerAt);
    put(channels, Channel.GEAR, known, lap::gearAt);
    put(channels, Channel.RPM, known, lap::rpmAt);
    return new Recording(IntStream.of(known).mapToDouble(lap::timeAt).toArray(), channels);
  }

  private static void put(
      Map<Channel, double[]> channels, Channel channel, int[] known, IntToDoubleFunction value) {
    double[] column = IntStream.of(known).mapToDouble(value::applyAsDouble).toArray();
    if (IntStream.range(0, column.length).anyMatch(k -> !Double.isNaN(column[k]))) {
      channels.put(channel, column);
    }
  }

  /** East and north of a station, as far to the left of the middle as the lap was [m]. */
  private static double[] at(AlongLap lap, Road road, int k) {
    int i = road.indexOf(road.wrapStation(lap.stationAt(k)));
    double ahead = lap.stationAt(k) - road.stationAt(i);
    double left = lap.offsetAt(k);
    // The tangent is the normal, which points left, turned to the right.
    return new double[] {
      road.xAt(i) + left * road.normalXAt(i) + ahead * road.normalYAt(i),
      road.yAt(i) + left * road.normalYAt(i) - ahead * road.normalXAt(i)
    };
  }
}
