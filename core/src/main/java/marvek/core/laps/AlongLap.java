package marvek.core.laps;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Road;

/**
 * A lap at even stations from the start line to the line, so that laps can be laid beside each
 * other. Immutable; NaN where a channel is missing.
 */
public final class AlongLap {
  private final double stepM;
  private final double[] timeS;
  private final double[] speedMps;
  private final double[] brakePct;
  private final double[] throttlePct;
  private final double[] gear;
  private final double[] offsetM;
  private final double[] steerDeg;
  private final double[] rpm;

  private AlongLap(LapTrace trace, double stepM, int n) {
    this.stepM = stepM;
    this.timeS = new double[n];
    this.speedMps = new double[n];
    this.brakePct = new double[n];
    this.throttlePct = new double[n];
    this.gear = new double[n];
    this.offsetM = new double[n];
    this.steerDeg = new double[n];
    this.rpm = new double[n];
    for (int k = 0; k < n; k++) {
      double station = k * stepM;
      timeS[k] = trace.timeAtStation(station);
      speedMps[k] = trace.valueAtStation(Channel.SPEED, station);
      brakePct[k] = trace.valueAtStation(Channel.BRAKE, station);
      throttlePct[k] = trace.valueAtStation(Channel.THROTTLE, station);
      gear[k] = trace.nearestAtStation(Channel.GEAR, station);
      offsetM[k] = trace.offsetAtStation(station);
      steerDeg[k] = trace.valueAtStation(Channel.STEER, station);
      rpm[k] = trace.valueAtStation(Channel.RPM, station);
    }
    double begun = Arrays.stream(timeS).filter(t -> !Double.isNaN(t)).findFirst().orElse(0);
    Arrays.setAll(timeS, k -> timeS[k] - begun);
  }

  private AlongLap(AlongLap from, double[] brakePct, double[] throttlePct) {
    this.stepM = from.stepM;
    this.timeS = from.timeS;
    this.speedMps = from.speedMps;
    this.gear = from.gear;
    this.offsetM = from.offsetM;
    this.steerDeg = from.steerDeg;
    this.rpm = from.rpm;
    this.brakePct = brakePct.clone();
    this.throttlePct = throttlePct.clone();
  }

  /** The same lap with other pedals, one value a station [%]. */
  public AlongLap withPedals(double[] brake, double[] throttle) {
    return new AlongLap(this, brake, throttle);
  }

  /** Whether the right foot is known anywhere. */
  public boolean hasThrottle() {
    return Arrays.stream(throttlePct).anyMatch(value -> !Double.isNaN(value));
  }

  /**
   * A lap of a recording.
   *
   * @param stepM between two stations [m]
   */
  public static AlongLap of(
      Recording recording,
      Stations stations,
      RecordedLap lap,
      Road road,
      Thresholds thresholds,
      double stepM) {
    BrakeZero zero = BrakeZero.of(recording, thresholds);
    LapTrace trace = new LapTrace(recording, stations, lap, road, zero);
    return new AlongLap(trace, stepM, (int) Math.floor(road.lengthM() / stepM) + 1);
  }

  public int size() {
    return timeS.length;
  }

  public double stepM() {
    return stepM;
  }

  public double stationAt(int k) {
    return k * stepM;
  }

  /** Index at or before a station of the lap, 0 to size − 1. */
  public int indexOf(double stationM) {
    return Math.max(0, Math.min(size() - 1, (int) (stationM / stepM)));
  }

  /** Since the line, or since the first station that a part of a lap has [s]. */
  public double timeAt(int k) {
    return timeS[k];
  }

  public double speedAt(int k) {
    return speedMps[k];
  }

  public double brakeAt(int k) {
    return brakePct[k];
  }

  public double throttleAt(int k) {
    return throttlePct[k];
  }

  public double gearAt(int k) {
    return gear[k];
  }

  /** Left positive [m]. */
  public double offsetAt(int k) {
    return offsetM[k];
  }

  /** Wheel, left positive [°]. */
  public double steerAt(int k) {
    return steerDeg[k];
  }

  /** Of the engine [1/min]. */
  public double rpmAt(int k) {
    return rpm[k];
  }

  /** One value a station, picked by {@code at}. */
  public double[] column(IntToDoubleFunction at) {
    double[] column = new double[size()];
    for (int k = 0; k < column.length; k++) {
      column[k] = at.applyAsDouble(k);
    }
    return column;
  }
}
