package marvek.core.cause;

import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.laps.AlongLap;
import marvek.core.laps.CornerReading;
import marvek.core.page.CornerPage;
import marvek.core.page.Stakes;
import marvek.core.say.Sentence;

/**
 * One corner of a lap beside the page's, as the causes look at it. Stations of the lap, 0 to the
 * road's length.
 *
 * @param written its page
 * @param fromM where the account begins
 * @param offM where it is parted
 * @param toM where it ends
 * @param lineErrorM by which the lap's offsets still scatter
 */
record CornerCase(
    Road road,
    CornerPage written,
    Stakes stakes,
    CornerReading page,
    CornerReading lap,
    AlongLap pageAlong,
    AlongLap lapAlong,
    double fromM,
    double offM,
    double toM,
    double lineErrorM,
    RunningLoss loss,
    ExitDrive exit) {

  /** A speed tells a throttle by its pull, not from its first touch on. */
  private static final double TOLD_PCT = 25;

  double pageSpeedAt(double stationM) {
    return speedAt(pageAlong, stationM);
  }

  double lapSpeedAt(double stationM) {
    return speedAt(lapAlong, stationM);
  }

  private static double speedAt(AlongLap along, double stationM) {
    int k = Math.min(along.size() - 2, along.indexOf(stationM));
    double share = Math.min(1, (stationM - along.stationAt(k)) / along.stepM());
    double a = along.speedAt(k);
    double b = along.speedAt(k + 1);
    return Double.isNaN(a + b) ? nearestSpeed(along, k) : a + share * (b - a);
  }

  /** Where a recording has a hole, the speed of the nearest place that has one. */
  private static double nearestSpeed(AlongLap along, int k) {
    for (int reach = 0; reach < along.size(); reach++) {
      for (int at : new int[] {k - reach, k + 1 + reach}) {
        if (at >= 0 && at < along.size() && !Double.isNaN(along.speedAt(at))) {
          return along.speedAt(at);
        }
      }
    }
    throw new InvalidValueException("speed_mps", Sentence.of("refused.no-speed"));
  }

  /**
   * What a stretch behind the release cost: as it was driven and then with the page's throttle to
   * the corner's end, against with the page's throttle from its begin on [s].
   */
  double stretchS(double beginM, double endM) {
    double begin = Math.max(offM, Math.min(toM, beginM));
    double end = Math.max(begin, Math.min(toM, endM));
    return lapTimeAt(end)
        - lapTimeAt(begin)
        + exit.seconds(end, toM, lapSpeedAt(end), ExitDrive.AS_THE_PAGE)
        - exit.seconds(begin, toM, lapSpeedAt(begin), ExitDrive.AS_THE_PAGE);
  }

  private double lapTimeAt(double stationM) {
    int k = Math.min(lapAlong.size() - 2, lapAlong.indexOf(stationM));
    double share = Math.min(1, (stationM - lapAlong.stationAt(k)) / lapAlong.stepM());
    return lapAlong.timeAt(k) + share * (lapAlong.timeAt(k + 1) - lapAlong.timeAt(k));
  }

  /** What was lost over a stretch, with what the speed that is missing behind it costs [s]. */
  double lostS(double beginM, double endM) {
    return loss.at(Math.min(toM, endM)) - loss.at(Math.max(fromM, beginM));
  }

  /** Whether the page neither brakes nor closes the throttle here. */
  boolean isFlat() {
    return page.braking().onM() == null && written.throttle().firstM() == null;
  }

  /** How much of the page's speed is missing where the account is parted [m/s]. */
  double slowerMps() {
    return pageSpeedAt(offM) - lapSpeedAt(offM);
  }

  /**
   * The same where the account begins; who arrives slower at a corner that nobody brakes for has
   * not slowed for it [m/s].
   */
  double slowerBeforeMps() {
    return Math.max(0, pageSpeedAt(fromM) - lapSpeedAt(fromM));
  }

  /** First throttle of the page [m]; null where it is not told. */
  Double pageFirstM() {
    return first(page, pageAlong);
  }

  /** First throttle of the lap [m]; null where it is not told. */
  Double lapFirstM() {
    return first(lap, lapAlong);
  }

  /** As it was read, or else behind the slowest place by what the speed tells of the foot. */
  private Double first(CornerReading reading, AlongLap along) {
    if (reading.throttle().firstM() != null || reading.slowest().atM() == null) {
      return reading.throttle().firstM();
    }
    int until = along.indexOf(toM);
    for (int k = along.indexOf(Math.max(fromM, reading.slowest().atM())); k < until; k++) {
      if (along.throttleAt(k) >= TOLD_PCT) {
        return along.stationAt(k);
      }
    }
    return null;
  }

  /** The same as a difference of squares [m²/s²]. */
  double slowerSquared() {
    double p = pageSpeedAt(offM);
    double l = lapSpeedAt(offM);
    return p * p - l * l;
  }

  /** Metres from a place of the page to the lap's; NaN where one of them is missing. */
  double later(Double pageM, Double lapM) {
    return pageM == null || lapM == null
        ? Double.NaN
        : road.offsetBetween(road.wrapStation(pageM), road.wrapStation(lapM));
  }

  /** Seconds without drive while a lower gear is taken. */
  double downshiftS() {
    return exit.downshiftS();
  }

  static double minus(Double a, Double b) {
    return a == null || b == null ? Double.NaN : a - b;
  }

  static Double number(Integer value) {
    return value == null ? null : Double.valueOf(value);
  }
}
