package marvek.server.printing;

import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;

/**
 * Scales of a printed strip: true to scale along, widened across. The road runs from the bottom to
 * the top, left is left; millimetres of paper from the upper left corner.
 *
 * @param fromM station where the strip begins
 * @param lengthM of road that is shown
 * @param mmPerMAcross of paper to a metre across the road
 */
record StripScale(Road road, double fromM, double lengthM, double mmPerMAcross) {
  static final double WIDTH_MM = 39;
  static final double HEIGHT_MM = 66;

  /** Room for the names of marks at both sides. */
  private static final double SIDE_MM = 10;

  private static final double BEFORE_M = 30;
  private static final double AFTER_M = 15;
  private static final double VERGE_M = 2;

  /** A corner from a little before its first point to a little after its last. */
  static StripScale of(Road road, CornerPage page) {
    double turnIn = page.turnIn().atM();
    Double brake = page.brake().atM();
    double first = brake != null && road.offsetBetween(brake, turnIn) > 0 ? brake : turnIn;
    double last = page.exit().trackOutM();
    Double full = page.throttle().fullM();
    if (full != null && road.offsetBetween(last, full) > 0) {
      last = full;
    }
    double begin =
        road.closed() ? road.wrapStation(first - BEFORE_M) : Math.max(0, first - BEFORE_M);
    double length = Math.max(60, road.distance(begin, last) + AFTER_M);
    if (!road.closed()) {
      length = Math.min(length, road.lengthM() - begin);
    }
    return new StripScale(road, begin, length, across(road, begin, length));
  }

  private static double across(Road road, double fromM, double lengthM) {
    double widest = 1;
    for (double d = 0; d < lengthM; d += road.stepM()) {
      int i = road.indexOf(wrapped(road, fromM + d));
      widest = Math.max(widest, Math.max(road.widthLeftAt(i), road.widthRightAt(i)));
    }
    return (WIDTH_MM / 2 - SIDE_MM) / (widest + VERGE_M);
  }

  private static double wrapped(Road road, double stationM) {
    return road.closed() ? road.wrapStation(stationM) : Math.min(road.lengthM(), stationM);
  }

  /** Index of the road so many metres from the begin. */
  int indexAt(double d) {
    return road.indexOf(wrapped(road, fromM + d));
  }

  /** Metres of a station from the begin; NaN beyond the strip. */
  double place(double stationM) {
    double d = road.closed() ? road.distance(fromM, road.wrapStation(stationM)) : stationM - fromM;
    return d >= 0 && d <= lengthM ? d : Double.NaN;
  }

  double x(double offsetM) {
    return WIDTH_MM / 2 - offsetM * mmPerMAcross;
  }

  double y(double d) {
    return HEIGHT_MM - 1 - d / lengthM * (HEIGHT_MM - 2);
  }
}
