package marvek.core.event;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;

/** Finds what happens in the corners of a lap. */
public final class LapEvents {
  /** Braking may end a little after the slowest place before it counts for the next corner. */
  private static final double END_TOLERANCE_M = 15;

  private final Lap lap;
  private final Road road;
  private final List<BrakingZone> zones;
  private final List<CornerSearch> corners = new ArrayList<>();

  private LapEvents(Lap lap) {
    this.lap = lap;
    this.road = lap.path().road();
    this.zones = BrakingZone.of(lap);
  }

  /**
   * The events of each corner.
   *
   * @param corners of the lap's road, in driving order
   */
  public static List<CornerEvents> of(Lap lap, List<Corner> corners) {
    LapEvents worker = new LapEvents(lap);
    corners.forEach(corner -> worker.corners.add(new CornerSearch(corner, lap, worker.zones)));
    worker.setBetweenNeighbours();
    worker.giveZones();
    worker.end();
    return worker.corners.stream().map(CornerSearch::events).toList();
  }

  private void setBetweenNeighbours() {
    for (int c = 0; c < corners.size(); c++) {
      corners
          .get(c)
          .within(
              isFirst(c) ? -1 : neighbour(c, -1).lastApex(), isLast(c) ? null : neighbour(c, 1));
    }
  }

  private void end() {
    for (int c = 0; c < corners.size(); c++) {
      corners.get(c).endBefore(isLast(c) ? -1 : neighbour(c, 1).begin());
    }
  }

  private boolean isFirst(int c) {
    return corners.size() == 1 || !road.closed() && c == 0;
  }

  private boolean isLast(int c) {
    return corners.size() == 1 || !road.closed() && c + 1 == corners.size();
  }

  private CornerSearch neighbour(int c, int by) {
    return corners.get(Math.floorMod(c + by, corners.size()));
  }

  /**
   * Each braking zone belongs to the corner whose slowest place lies nearest to its end, at it or
   * beyond it, or passed by a little.
   */
  private void giveZones() {
    for (BrakingZone zone : zones) {
      int owner = -1;
      double nearest = Double.POSITIVE_INFINITY;
      for (int c = 0; c < corners.size(); c++) {
        double way = beyondEndM(zone, corners.get(c));
        if (way >= -END_TOLERANCE_M && Math.abs(way) < nearest) {
          nearest = Math.abs(way);
          owner = c;
        }
      }
      if (owner >= 0) {
        give(ownerOf(zone, owner), zone);
      }
    }
  }

  /**
   * Metres from a zone's end to a corner's slowest place; all the way round where that is passed.
   */
  private double beyondEndM(BrakingZone zone, CornerSearch corner) {
    double end = road.stationAt(zone.end());
    double slowest = road.stationAt(corner.slowest);
    double way = road.offsetBetween(end, slowest);
    return way >= -END_TOLERANCE_M ? way : road.distance(end, slowest);
  }

  /**
   * The corner before for a second press before a further apex of it: on the way from the zone's
   * end to the slowest place that apex comes first.
   */
  private int ownerOf(BrakingZone zone, int nearest) {
    int owner = nearest;
    int upTo = corners.get(nearest).slowestOrApex(road.samples(END_TOLERANCE_M));
    for (int back = 1; back < corners.size(); back++) {
      if (!corners.get(owner).span.beginsOnWay(zone.end(), upTo, road)) {
        return owner;
      }
      owner = Math.floorMod(nearest - back, corners.size());
    }
    return owner;
  }

  /** A zone that begins before the corner before has its apex is that one's up to there. */
  private void give(int owner, BrakingZone zone) {
    CornerSearch corner = corners.get(owner);
    if (corner.braking != null && zone.speedLossMps() <= corner.braking.speedLossMps()) {
      return;
    }
    corner.brakeIn(zone);
    CornerSearch before = neighbour(owner, -1);
    if (corner.startsBefore(zone) && before.braking == null) {
      before.brakeIn(zone.upTo(before.lastApex(), lap));
      before.brakesOn = true;
    }
  }
}
