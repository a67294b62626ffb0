package marvek.core.laps;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import marvek.core.circuit.Road;
import marvek.core.laps.Finding.Rule;
import marvek.core.page.Stakes;

/**
 * What laps did otherwise than the page, corner by corner: the page's own lap is read the same way,
 * so that like is laid beside like. A rule speaks where the middle of the laps is beyond its
 * threshold and at least half of them are.
 */
public final class Findings {
  /** Of fewer laps nothing is said to be a habit. */
  private static final int LEAST_LAPS = 3;

  private static final double KMH = 3.6;

  private final Road road;
  private final List<CornerReading> page;
  private final List<Stakes> stakes;
  private final List<List<CornerReading>> laps;

  private Findings(
      Road road, List<CornerReading> page, List<Stakes> stakes, List<List<CornerReading>> laps) {
    this.road = road;
    this.page = page;
    this.stakes = stakes;
    this.laps = laps;
  }

  /**
   * Findings, the costliest first.
   *
   * @param page the page's own lap as the reader sees it, in the order of the pages
   * @param stakes what slips cost there, in the same order
   * @param laps readings of laps that count, each in the same order
   */
  public static List<Finding> of(
      Road road, List<CornerReading> page, List<Stakes> stakes, List<List<CornerReading>> laps) {
    if (laps.size() < LEAST_LAPS) {
      return List.of();
    }
    return new Findings(road, page, stakes, laps).all();
  }

  private List<Finding> all() {
    List<Finding> findings = new ArrayList<>();
    for (int p = 0; p < page.size(); p++) {
      Stakes s = stakes.get(p);
      double early = cost(s.brake5mEarlyS(), 5);
      double slow = cost(s.apex2kmhSlowerS(), 2 / KMH);
      double late = cost(s.throttle10mLateS(), 10);
      int corner = p;
      ToDoubleFunction<CornerReading> brake = r -> way(page.get(corner).brakeOnM(), r.brakeOnM());
      add(findings, p, Rule.BRAKED_EARLY, r -> -brake.applyAsDouble(r), early);
      add(findings, p, Rule.BRAKED_LATE, brake, Double.NaN);
      add(
          findings,
          p,
          Rule.OVER_SLOWED,
          r -> difference(page.get(corner).lowestMps(), r.lowestMps()),
          slow);
      add(
          findings,
          p,
          Rule.LATE_THROTTLE,
          r -> way(page.get(corner).throttleFirstM(), r.throttleFirstM()),
          late);
      add(
          findings,
          p,
          Rule.RELEASED_EARLY,
          r -> -way(page.get(corner).releaseM(), r.releaseM()),
          Double.NaN);
      add(
          findings,
          p,
          Rule.COASTING,
          r -> -difference(page.get(corner).coastingS(), r.coastingS()),
          Double.NaN);
      add(
          findings,
          p,
          Rule.OTHER_GEAR,
          r -> Math.abs(difference(real(page.get(corner).gear()), real(r.gear()))),
          Double.NaN);
      scatter(findings, p, brake);
    }
    findings.sort(
        Comparator.comparingDouble((Finding f) -> f.costS() == null ? 0 : -f.costS())
            .thenComparingInt(Finding::corner));
    return List.copyOf(findings);
  }

  private static double cost(Double seconds, double per) {
    return seconds == null ? Double.NaN : seconds / per;
  }

  private static Double real(Integer gear) {
    return gear == null ? null : (double) gear;
  }

  private double way(Double fromM, Double toM) {
    return fromM == null || toM == null
        ? Double.NaN
        : road.offsetBetween(road.wrapStation(fromM), road.wrapStation(toM));
  }

  private static double difference(Double page, Double lap) {
    return page == null || lap == null ? Double.NaN : page - lap;
  }

  private double[] values(int p, ToDoubleFunction<CornerReading> value) {
    return laps.stream()
        .map(lap -> lap.get(p))
        .mapToDouble(value)
        .filter(v -> !Double.isNaN(v))
        .toArray();
  }

  private void add(
      List<Finding> findings,
      int p,
      Rule rule,
      ToDoubleFunction<CornerReading> value,
      double costPerUnit) {
    double[] values = values(p, value);
    if (values.length < LEAST_LAPS) {
      return;
    }
    double middle = Middle.of(values);
    int beyond = 0;
    for (double v : values) {
      beyond += v >= rule.least() ? 1 : 0;
    }
    if (middle >= rule.least() && 2 * beyond >= values.length) {
      Double cost = Double.isNaN(costPerUnit) ? null : Math.max(0, costPerUnit * middle);
      findings.add(new Finding(page.get(p).corner(), rule, middle, beyond, values.length, cost));
    }
  }

  private void scatter(List<Finding> findings, int p, ToDoubleFunction<CornerReading> brake) {
    double[] values = values(p, brake);
    if (values.length < LEAST_LAPS) {
      return;
    }
    double[] away = Middle.distances(values);
    double spread = Middle.of(away);
    int beyond = 0;
    for (double metres : away) {
      beyond += metres >= Rule.INCONSISTENT.least() ? 1 : 0;
    }
    if (spread >= Rule.INCONSISTENT.least()) {
      findings.add(
          new Finding(
              page.get(p).corner(), Rule.INCONSISTENT, spread, beyond, values.length, null));
    }
  }
}
