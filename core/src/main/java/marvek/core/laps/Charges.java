package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.corner.Corner;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.Stakes;

/**
 * Which corner's fault the lost time is. A corner's time runs to the next one's first point, so the
 * straight behind it is its own; here what is lost beyond that is charged back: time that a corner
 * loses because it is reached too slowly, until the driver does something for it himself, and time
 * that a linked corner loses because it is entered from the wrong place.
 */
public final class Charges {
  /** Slower by less than this is as fast. */
  private static final double AS_FAST_MPS = 0.3;

  /** Farther from the page's line than this a linked corner is entered from another place. */
  private static final double OTHER_PLACE_M = 0.8;

  /**
   * A corner's time against the page's.
   *
   * @param lostS slower than the page from this corner's first point to the next one's
   * @param broughtS part of it that the corner before is to blame for
   * @param chargedS what this corner is to blame for: its own part, and what it costs in the next
   */
  public record Loss(double lostS, double broughtS, double chargedS) {}

  /** The page's own lap or a driven one, as it was read. */
  public record ReadLap(AlongLap along, List<CornerReading> corners) {}

  private final Road road;
  private final List<CornerPage> pages;
  private final List<Corner> corners;
  private final List<Stakes> stakes;
  private final ReadLap page;

  /**
   * @param corners of the pages, in their order
   * @param stakes in the same order
   * @param page the page's own lap, read as the driven ones are
   */
  public Charges(
      Road road, List<CornerPage> pages, List<Corner> corners, List<Stakes> stakes, ReadLap page) {
    this.road = road;
    this.pages = List.copyOf(pages);
    this.corners = List.copyOf(corners);
    this.stakes = List.copyOf(stakes);
    this.page = page;
  }

  /** What each corner of a lap lost, in the order of the pages; NaN where it was not timed. */
  public List<Loss> of(ReadLap lap) {
    int n = pages.size();
    double[] lost = new double[n];
    double[] brought = new double[n];
    for (int p = 0; p < n; p++) {
      lost[p] = lost(lap, p);
      double part = Math.max(slowIn(lap, p), fromWrongPlace(lap, p, lost[p]));
      brought[p] = Double.isNaN(lost[p]) ? 0 : Math.max(0, Math.min(part, lost[p]));
    }
    List<Loss> losses = new ArrayList<>();
    for (int p = 0; p < n; p++) {
      // The last corner's fault is paid by the first one of the next lap, which is another lap.
      double next = p + 1 < n ? brought[p + 1] : 0;
      double own = p == 0 ? lost[0] : lost[p] - brought[p];
      losses.add(new Loss(lost[p], p == 0 ? 0 : brought[p], own + next));
    }
    return losses;
  }

  private double lost(ReadLap lap, int p) {
    Double driven = lap.corners().get(p).timeS();
    Double wanted = page.corners().get(p).timeS();
    return driven == null || wanted == null ? Double.NaN : driven - wanted;
  }

  private double firstPoint(int p) {
    return CornerTime.beginsAtM(pages.get(p), road);
  }

  /** Lost from the first point on while the car is slower and its driver has not acted yet. */
  private double slowIn(ReadLap lap, int p) {
    AlongLap driven = lap.along();
    AlongLap wanted = page.along();
    double acted = actedM(lap, p);
    double seconds = 0;
    int begin = driven.indexOf(road.wrapStation(firstPoint(p)));
    for (int k = begin; k + 1 < driven.size() && driven.stationAt(k) < acted; k++) {
      double v = driven.speedAt(k);
      double w = wanted.speedAt(k);
      if (!(v < w - AS_FAST_MPS)) {
        break;
      }
      seconds += driven.stepM() * (1 / v - 1 / w);
    }
    return seconds;
  }

  /** Where the driver first did something for a corner: braked, or came off full throttle. */
  private double actedM(ReadLap lap, int p) {
    CornerReading reading = lap.corners().get(p);
    double until = firstPoint(p) + road.distance(firstPoint(p), pages.get(p).exit().trackOutM());
    Double braked = reading.braking().onM();
    double acted = braked == null ? until : Math.min(braked, until);
    AlongLap driven = lap.along();
    AlongLap wanted = page.along();
    double flat = Thresholds.DEFAULT.fullThrottlePct();
    for (int k = driven.indexOf(firstPoint(p)); k < driven.size(); k++) {
      if (driven.stationAt(k) >= acted) {
        return acted;
      }
      if (driven.throttleAt(k) < flat && wanted.throttleAt(k) >= flat) {
        return driven.stationAt(k);
      }
    }
    return acted;
  }

  /** A linked corner that is entered from elsewhere: what its own pedals do not explain. */
  private double fromWrongPlace(ReadLap lap, int p, double lost) {
    if (p == 0 || !corners.get(p - 1).linkWithNext()) {
      return 0;
    }
    double turnIn = road.wrapStation(pages.get(p).turnIn().atM());
    int k = lap.along().indexOf(turnIn);
    double away = Math.abs(lap.along().offsetAt(k) - page.along().offsetAt(k));
    boolean missedBefore = missed(lap, p - 1) >= Finding.Rule.MISSED_APEX.least();
    return away >= OTHER_PLACE_M && missedBefore ? lost - ownPedals(lap, p) : 0;
  }

  private double missed(ReadLap lap, int p) {
    Double driven = lap.corners().get(p).way().insideM();
    Double wanted = page.corners().get(p).way().insideM();
    return driven == null || wanted == null ? 0 : driven - wanted;
  }

  /** What braking early and throttle late cost by the model, as far as the driver did it. */
  private double ownPedals(ReadLap lap, int p) {
    double seconds = 0;
    for (Finding.Rule rule : List.of(Finding.Rule.BRAKED_EARLY, Finding.Rule.LATE_THROTTLE)) {
      double amount = RuleMeasures.amount(rule, road, page.corners().get(p), lap.corners().get(p));
      Double per = RuleMeasures.costPerUnit(rule, stakes.get(p));
      seconds += per == null || !(amount > 0) ? 0 : amount * per;
    }
    return seconds;
  }
}
