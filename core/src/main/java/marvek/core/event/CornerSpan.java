package marvek.core.event;

import marvek.core.circuit.Road;
import marvek.core.corner.Corner;

/**
 * A corner's own part of the lap, in samples.
 *
 * @param previousEnd last apex of the corner before, −1 without one: nothing of this corner lies
 *     before it
 * @param from first sample of the corner
 * @param to last sample of the corner
 * @param nextApex first apex of the next corner, −1 without one
 * @param nextBegin where the next corner's own work begins, behind this one's last apex; −1 without
 *     one or as long as it is not known
 */
public record CornerSpan(int previousEnd, int from, int to, int nextApex, int nextBegin) {
  /** A corner alone on its road. */
  static CornerSpan of(Corner corner, Road road) {
    return new CornerSpan(-1, road.indexOf(corner.fromM()), road.indexOf(corner.toM()), -1, -1);
  }

  CornerSpan between(int lastApexBefore, int firstApexBehind) {
    return new CornerSpan(lastApexBefore, from, to, firstApexBehind, nextBegin);
  }

  CornerSpan endingAt(int begin) {
    return new CornerSpan(previousEnd, from, to, nextApex, begin);
  }

  /** Whether the corner's own part of the lap begins on the way from one sample to another. */
  boolean beginsOnWay(int from, int to, Road road) {
    return previousEnd >= 0 && road.isOnWay(previousEnd, from, to);
  }

  /** Whether a place of the next corner is reached before one of this corner's, or with it. */
  boolean isReached(int place, int here, Road road) {
    return road.closed() && previousEnd >= 0
        ? road.isOnWay(place, road.wrap(previousEnd + 1), here)
        : road.offsetBetween(road.stationAt(here), road.stationAt(place)) <= 0;
  }

  /**
   * Station not before the corner's own part of the lap.
   *
   * @param wayM from the station to a place in that part
   */
  public double notBeforeM(double stationM, double wayM, Road road) {
    double passed = previousEnd < 0 ? -1 : road.distance(stationM, road.stationAt(previousEnd));
    return passed >= 0 && passed <= wayM ? road.stationAt(road.wrap(previousEnd + 1)) : stationM;
  }

  /**
   * Samples from one of the corner's places to the end of its own part of the lap, at most;
   * negative where it lies beyond.
   */
  int left(int from, int most, Road road) {
    if (nextBegin >= 0) {
      return isReached(nextBegin, from, road)
          ? -1
          : Math.min(most, road.ahead(from, nextBegin) - 1);
    }
    return road.closed() ? most : Math.min(most, road.size() - 1 - from);
  }
}
