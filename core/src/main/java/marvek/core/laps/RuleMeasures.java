package marvek.core.laps;

import marvek.core.circuit.Road;
import marvek.core.laps.Finding.Rule;
import marvek.core.page.Stakes;

/** How much of each rule's slip a lap shows in a corner, and what a unit of it costs. */
final class RuleMeasures {
  private static final double MPS_PER_KMH = 1 / 3.6;

  /** Out of road: nearer to the outside edge than the page by so much [m]. */
  private static final double OUT_OF_ROAD_M = 0.4;

  private RuleMeasures() {}

  /** Amount in the unit of the rule; NaN where the recording does not tell. */
  static double amount(Rule rule, Road road, CornerReading page, CornerReading lap) {
    return switch (rule) {
      case BRAKED_EARLY -> -way(road, page.braking().onM(), lap.braking().onM());
      case BRAKED_LATE -> way(road, page.braking().onM(), lap.braking().onM());
      case OVER_SLOWED -> minus(page.slowest().speedMps(), lap.slowest().speedMps());
      case TURNED_IN_EARLY -> -way(road, page.way().turnInM(), lap.way().turnInM());
      case RELEASED_EARLY -> -way(road, page.braking().releaseM(), lap.braking().releaseM());
      case HELD_TOO_LONG -> way(road, page.braking().releaseM(), lap.braking().releaseM());
      case COASTING -> minus(lap.throttle().coastingS(), page.throttle().coastingS());
      case MISSED_APEX -> minus(lap.way().insideM(), page.way().insideM());
      case EARLY_APEX -> earlyApex(road, page, lap);
      case LATE_THROTTLE -> way(road, page.throttle().firstM(), lap.throttle().firstM());
      case EARLY_THROTTLE_LIFTED -> earlyThenLifted(road, page, lap);
      case THROTTLE_TWICE -> twice(road, page, lap);
      case OTHER_GEAR ->
          Math.abs(minus(number(page.slowest().gear()), number(lap.slowest().gear())));
      case SHORT_SHIFT -> shortShift(page, lap);
      case INCONSISTENT -> Double.NaN;
    };
  }

  /** By a run of the model [s for each unit of the amount]; null where it has none. */
  static Double costPerUnit(Rule rule, Stakes stakes) {
    return switch (rule) {
      case BRAKED_EARLY -> per(stakes.brake5mEarlyS(), 5);
      case OVER_SLOWED -> per(stakes.apex2kmhSlowerS(), 2 * MPS_PER_KMH);
      case LATE_THROTTLE -> per(stakes.throttle10mLateS(), 10);
      case MISSED_APEX -> per(stakes.apexHalfMetreOffS(), 0.5);
      default -> null;
    };
  }

  private static Double per(Double seconds, double amount) {
    return seconds == null ? null : Math.max(0, seconds) / amount;
  }

  /** Early at the inside alone is another line; with the road too narrow behind it is a slip. */
  private static double earlyApex(Road road, CornerReading page, CornerReading lap) {
    double early = -way(road, page.way().insideAtM(), lap.way().insideAtM());
    double closer = minus(page.way().outsideM(), lap.way().outsideM());
    return Double.isNaN(closer) ? Double.NaN : closer >= OUT_OF_ROAD_M ? early : 0;
  }

  private static double earlyThenLifted(Road road, CornerReading page, CornerReading lap) {
    double early = -way(road, page.throttle().firstM(), lap.throttle().firstM());
    return lifted(page, lap) ? early : Double.isNaN(early) ? Double.NaN : 0;
  }

  private static boolean lifted(CornerReading page, CornerReading lap) {
    Double driven = lap.throttle().liftPct();
    Double wanted = page.throttle().liftPct();
    return driven != null
        && driven >= Thresholds.DEFAULT.liftPct()
        && (wanted == null || driven > wanted + Thresholds.DEFAULT.liftPct() / 2);
  }

  /** What is early and lifted is told by that rule. */
  private static double twice(Road road, CornerReading page, CornerReading lap) {
    if (earlyThenLifted(road, page, lap) >= Rule.EARLY_THROTTLE_LIFTED.least()) {
      return 0;
    }
    return minus(number(lap.throttle().pickUps()), number(page.throttle().pickUps()));
  }

  /** Changes up that the page does not make, if it reaches the next corner in the same gear. */
  private static double shortShift(CornerReading page, CornerReading lap) {
    double more = minus(number(lap.throttle().upshifts()), number(page.throttle().upshifts()));
    boolean otherGear = minus(number(page.slowest().gear()), number(lap.slowest().gear())) > 0;
    return otherGear ? 0 : more;
  }

  private static Double number(Integer value) {
    return value == null ? null : (double) value;
  }

  private static double way(Road road, Double fromM, Double toM) {
    return fromM == null || toM == null
        ? Double.NaN
        : road.offsetBetween(road.wrapStation(fromM), road.wrapStation(toM));
  }

  private static double minus(Double a, Double b) {
    return a == null || b == null ? Double.NaN : a - b;
  }
}
