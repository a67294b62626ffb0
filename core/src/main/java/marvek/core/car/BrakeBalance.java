package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.event.BrakingZone;
import marvek.core.profile.Constants;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * How the brakes should be shared between the axles, over deceleration and in each braking zone of
 * a lap. The ideal front share is the front axle's share of the load: both axles then use the same
 * friction. Less at the front and the rear locks first, more and the front does. Ways are those
 * straight on: what cornering takes at a zone's end is the same for every share.
 *
 * <p>Source: Gillespie, <i>Fundamentals of Vehicle Dynamics</i>, ch. 3: {@code β* = (b + z·h)/l}
 * without downforce; UN Regulation No. 13-H, annex 5, adhesion used by an axle {@code f = T/N}
 * (both from memory). A motorcycle's rider works both brakes freely: there is no share to choose.
 */
public final class BrakeBalance {
  /** Shorter zones are too short to choose a share for. */
  private static final double LEAST_LENGTH_M = 15;

  /** A step of the balance bar as drivers count it: one point. */
  private static final double ONE_PER_CENT = 0.01;

  /** Shares nearer than this are the same: both lock together. */
  private static final double TOGETHER = 0.004;

  private final Lap lap;
  private final ForceModel forces;
  private final Road road;
  private final double share;

  private BrakeBalance(Lap lap) {
    this.lap = lap;
    this.forces = lap.forces();
    this.road = lap.path().road();
    this.share = lap.vehicle().brakes().frontShare();
  }

  /** The axle that locks first when the pressure is raised. */
  public enum Locks {
    FRONT,
    REAR,
    TOGETHER,
    /** The brake system gives all it has before a wheel locks. */
    NONE
  }

  /**
   * A braking zone.
   *
   * @param fromM station of its first metre
   * @param gradePct mean grade, uphill positive
   * @param idealAtBegin ideal front share at its first speed and largest deceleration
   * @param idealAtEnd the same at its last speed
   * @param locksFirst at the chosen share
   * @param costM metres that the chosen share takes longer than the ideal one throughout
   * @param forwardM metres longer (negative: shorter) with one per cent more at the front
   * @param rearwardM the same with one per cent less
   */
  public record Zone(
      double fromM,
      double toM,
      double fromMps,
      double toMps,
      double gradePct,
      double largestG,
      double idealAtBegin,
      double idealAtEnd,
      Locks locksFirst,
      double costM,
      double forwardM,
      double rearwardM) {}

  /** Ideal front share for a deceleration by the tyres. */
  public record Ideal(double decelerationG, double frontShare) {}

  /**
   * The balance on a lap.
   *
   * @param chosen the car's own front share
   * @param standing ideal share over deceleration at walking pace, level road
   * @param fast the same at the lap's top speed, where downforce counts
   */
  public record Result(double chosen, List<Ideal> standing, List<Ideal> fast, List<Zone> zones) {}

  /** Works it out for a lap in its conditions. */
  public static Result of(Lap lap) {
    BrakeBalance worker = new BrakeBalance(lap);
    double top = lap.topSpeedMps();
    return new Result(worker.share, worker.curve(4), worker.curve(top * top), worker.zones());
  }

  /** At the flattest sample, so that hill and bank do not come in. */
  private List<Ideal> curve(double w) {
    int level = FlatPlace.of(lap);
    double weight = forces.massKg() * Constants.G0;
    double most = forces.straightBrakeN(level, w, idealShare(level, w));
    List<Ideal> curve = new ArrayList<>();
    for (double f = 0; f < most; f += 0.05 * weight) {
      curve.add(new Ideal(f / weight, forces.frontLoadShare(level, w, f)));
    }
    curve.add(new Ideal(most / weight, forces.frontLoadShare(level, w, most)));
    return curve;
  }

  /** The share at which front and rear lock together: its own load share at the limit. */
  private double idealShare(int i, double w) {
    double ideal = share;
    for (int k = 0; k < 60; k++) {
      ideal += 0.5 * (forces.frontLoadShare(i, w, forces.straightBrakeN(i, w, ideal)) - ideal);
    }
    return ideal;
  }

  private List<Zone> zones() {
    return BrakingZone.of(lap).stream()
        .filter(z -> road.ahead(z.begin(), z.end()) * road.stepM() >= LEAST_LENGTH_M)
        .map(z -> zone(z.begin(), road.ahead(z.begin(), z.end())))
        .toList();
  }

  private Zone zone(int begin, int count) {
    int end = road.wrap(begin + count);
    double w = lap.speedAt(begin) * lap.speedAt(begin);
    double wEnd = lap.speedAt(end) * lap.speedAt(end);
    double grade = 0;
    double largest = 0;
    for (int k = 0; k < count; k++) {
      int i = road.wrap(begin + k);
      grade += 100 * lap.path().gradeFractionAt(i) / count;
      largest = Math.max(largest, lap.brakeGAt(i));
    }
    double own = metres(begin, w, wEnd, count, share, false);
    return new Zone(
        road.stationAt(begin),
        road.stationAt(end),
        lap.speedAt(begin),
        lap.speedAt(end),
        grade,
        largest,
        idealShare(begin, w),
        idealShare(begin, wEnd),
        locksFirst(begin, w),
        own - metres(begin, w, wEnd, count, share, true),
        metres(begin, w, wEnd, count, share + ONE_PER_CENT, false) - own,
        metres(begin, w, wEnd, count, share - ONE_PER_CENT, false) - own);
  }

  private Locks locksFirst(int i, double w) {
    double ideal = idealShare(i, w);
    double there = forces.straightBrakeN(i, w, share);
    boolean system = there >= 0.999 * lap.vehicle().brakes().maxForceN();
    if (system) {
      return Locks.NONE;
    }
    if (Math.abs(share - ideal) < TOGETHER) {
      return Locks.TOGETHER;
    }
    return share > ideal ? Locks.FRONT : Locks.REAR;
  }

  /**
   * Way that braking at the limit takes from one speed to another, at a share or at the ideal one
   * of every moment; at most three times as long as the zone.
   */
  private double metres(
      int begin, double w, double wEnd, int count, double atShare, boolean ideal) {
    double speed = w;
    double way = 0;
    for (int k = 0; k < 3 * count; k++) {
      // Behind the zone the hill goes on as at its end.
      int i = road.wrap(begin + Math.min(k, count - 1));
      double now = ideal ? idealShare(i, speed) : atShare;
      double force = forces.straightBrakeN(i, speed, now) + forces.resistanceN(i, speed);
      double ds = lap.path().elementAt(Math.min(i, lap.path().elements() - 1));
      double next = speed - 2 * ds * force / forces.massKg();
      if (next <= wEnd) {
        return way + ds * (speed - wEnd) / Math.max(1e-9, speed - next);
      }
      speed = next;
      way += ds;
    }
    return way;
  }
}
