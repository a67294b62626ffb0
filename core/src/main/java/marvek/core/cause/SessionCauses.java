package marvek.core.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.circuit.Road;
import marvek.core.laps.CornerReading;
import marvek.core.numeric.Median;

/**
 * What the laps of a session have in common: each corner's causes over its laps. A cause that most
 * laps show is a habit; one lap is enough to be told. Two parts of one slip are one finding.
 */
public final class SessionCauses {
  /** A missed apex is one from so many standard errors of its middle on. */
  private static final double STANDARD_ERRORS = 2;

  /** Standard deviation over the median of absolute deviations, of normal errors. */
  private static final double SIGMA_OF_MAD = 1.4826;

  /**
   * Two parts of one slip.
   *
   * @param leads whether the first is told first whatever it takes, since the second follows of it
   */
  private record Pair(Cause first, Cause second, boolean leads) {}

  /** Slips that are told together. */
  private static final List<Pair> PAIRS =
      List.of(
          new Pair(Cause.MISSED_APEX, Cause.OVER_SLOWED, true),
          new Pair(Cause.COASTED, Cause.BRAKED_EARLY, false),
          new Pair(Cause.SLID_OUT, Cause.THROTTLE_TWICE, true),
          new Pair(Cause.SLID_OUT, Cause.EARLY_THROTTLE_LIFTED, true),
          new Pair(Cause.SLID_OUT, Cause.SLOW_TO_FULL, true),
          new Pair(Cause.SLID_OUT, Cause.LATE_THROTTLE, true),
          new Pair(Cause.MISSED_APEX, Cause.SLOW_TO_FULL, true),
          new Pair(Cause.HELD_TOO_LONG, Cause.MORE_STEERING, true),
          new Pair(Cause.HELD_TOO_LONG, Cause.OVER_SLOWED, true),
          new Pair(Cause.HELD_TOO_LONG, Cause.LATE_THROTTLE, true),
          new Pair(Cause.MORE_STEERING, Cause.SLOW_TO_FULL, true),
          new Pair(Cause.MORE_STEERING, Cause.LATE_THROTTLE, true),
          new Pair(Cause.MORE_STEERING, Cause.OVER_SLOWED, true),
          new Pair(Cause.COASTED, Cause.OVER_SLOWED, false));

  private final Road road;
  private final List<CornerReading> page;
  private final List<List<CornerReading>> readings;
  private final List<LapAccounts> laps;
  private final double lossS;

  private SessionCauses(
      Road road,
      List<CornerReading> page,
      List<List<CornerReading>> readings,
      List<LapAccounts> laps) {
    this.road = road;
    this.page = page;
    this.readings = readings;
    this.laps = laps;
    this.lossS = laps.stream().mapToDouble(LapAccounts::lostS).average().orElse(0);
  }

  /**
   * Findings, the dearest first.
   *
   * @param page the page's own lap as the reader sees it, in the order of the pages
   * @param readings of the laps that count, each in the same order
   * @param laps their accounts
   */
  public static List<Finding> of(
      Road road,
      List<CornerReading> page,
      List<List<CornerReading>> readings,
      List<LapAccounts> laps) {
    return new SessionCauses(road, page, readings, laps).all();
  }

  private List<Finding> all() {
    List<Finding> findings = new ArrayList<>();
    for (int p = 0; p < page.size(); p++) {
      findings.addAll(corner(p));
      scattered(p).ifPresent(findings::add);
    }
    findings.sort(
        Comparator.comparingDouble((Finding f) -> -f.perLapS()).thenComparingInt(Finding::corner));
    return List.copyOf(findings);
  }

  /** What one cause took of a corner, lap by lap; null in laps that do not show it. */
  private List<Part> parts(int p, Cause cause) {
    List<Part> parts = new ArrayList<>();
    laps.forEach(lap -> parts.add(lap.corners().get(p).part(cause).orElse(null)));
    return parts;
  }

  private List<Finding> corner(int p) {
    Map<Cause, List<Part>> byCause = new EnumMap<>(Cause.class);
    for (Cause cause : Cause.values()) {
      List<Part> parts = parts(p, cause);
      if (parts.stream().anyMatch(part -> part != null)) {
        byCause.put(cause, parts);
      }
    }
    for (Cause cause : List.of(Cause.MISSED_APEX, Cause.MISSED_KERB)) {
      if (byCause.containsKey(cause) && !isMissed(p, cause)) {
        handOver(byCause, cause, Cause.OVER_SLOWED);
      }
    }
    Map<Cause, Cause> with = new EnumMap<>(Cause.class);
    byCause.forEach((cause, parts) -> besideMostly(parts).ifPresent(b -> with.put(cause, b)));
    Map<Cause, Cause> joined = new EnumMap<>(Cause.class);
    PAIRS.forEach(pair -> join(byCause, pair, joined));
    with.putAll(joined);
    List<Finding> found = new ArrayList<>();
    byCause.forEach((cause, parts) -> found.add(finding(p, cause, with.get(cause), parts)));
    return found;
  }

  /** What most of the laps that show a cause have beside it. */
  private static Optional<Cause> besideMostly(List<Part> parts) {
    List<Part> shown = parts.stream().filter(part -> part != null).toList();
    Map<Cause, Long> counts =
        shown.stream()
            .filter(part -> part.with() != null)
            .collect(Collectors.groupingBy(Part::with, Collectors.counting()));
    return counts.entrySet().stream()
        .filter(e -> 2 * e.getValue() > shown.size())
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Whether the laps' offset at the inside is beyond its least, and sure. */
  private boolean isMissed(int p, Cause cause) {
    double[] off =
        readings.stream()
            .mapToDouble(
                lap -> CornerCase.minus(lap.get(p).way().insideM(), page.get(p).way().insideM()))
            .filter(v -> !Double.isNaN(v))
            .toArray();
    double median = Median.of(off);
    double sigma = SIGMA_OF_MAD * Median.of(Median.deviations(off));
    return median >= cause.least() && median >= STANDARD_ERRORS * sigma / Math.sqrt(off.length);
  }

  /** What one cause took is another's. */
  private static void handOver(Map<Cause, List<Part>> byCause, Cause from, Cause to) {
    List<Part> given = byCause.remove(from);
    List<Part> taking = byCause.get(to);
    if (taking == null) {
      return;
    }
    byCause.put(to, sums(to, taking, given));
  }

  /** Sums lap by lap under the first one's name; a lap with the second alone tells no amount. */
  private static List<Part> sums(Cause name, List<Part> first, List<Part> second) {
    List<Part> sums = new ArrayList<>();
    for (int k = 0; k < first.size(); k++) {
      Part a = first.get(k);
      Part b = second.get(k);
      if (a == null) {
        sums.add(b == null ? null : new Part(name, b.seconds(), Double.NaN, b.atM()));
      } else {
        double more = b == null ? 0 : b.seconds();
        sums.add(new Part(name, a.seconds() + more, a.amount(), a.atM()));
      }
    }
    return sums;
  }

  /** Two parts of one slip become one, led by the one that the other follows of, or the dearer. */
  private static void join(Map<Cause, List<Part>> byCause, Pair pair, Map<Cause, Cause> joined) {
    List<Part> a = byCause.get(pair.first());
    List<Part> b = byCause.get(pair.second());
    if (a == null || b == null) {
      return;
    }
    boolean leads = pair.leads() || total(a) >= total(b);
    Cause lead = leads ? pair.first() : pair.second();
    Cause other = leads ? pair.second() : pair.first();
    byCause.put(lead, sums(lead, byCause.get(lead), byCause.get(other)));
    byCause.remove(other);
    joined.putIfAbsent(lead, other);
  }

  private static double total(List<Part> parts) {
    return parts.stream().mapToDouble(part -> part == null ? 0 : part.seconds()).sum();
  }

  private Finding finding(int p, Cause cause, Cause with, List<Part> parts) {
    List<Integer> shown = new ArrayList<>();
    for (int k = 0; k < parts.size(); k++) {
      if (parts.get(k) != null) {
        shown.add(k);
      }
    }
    double[] seconds = of(parts, shown, Part::seconds);
    double cost = Median.of(seconds);
    double perLap = cost * shown.size() / laps.size();
    double[] later =
        shown.stream().mapToDouble(k -> laps.get(k).corners().get(p).laterS()).toArray();
    return new Finding(
        page.get(p).corner(),
        cause,
        with,
        road.wrapStation(Median.of(of(parts, shown, Part::atM))),
        Median.of(of(parts, shown, Part::amount)),
        shown,
        laps.size(),
        cost,
        Median.of(Median.deviations(seconds)),
        own(p),
        lossS > 0 ? Math.min(1, perLap / lossS) : 0,
        Math.max(0, Math.min(cost, Median.of(later))));
  }

  private static double[] of(List<Part> parts, List<Integer> shown, ToDoubleFunction<Part> value) {
    return shown.stream()
        .map(parts::get)
        .mapToDouble(value)
        .filter(v -> !Double.isNaN(v))
        .toArray();
  }

  /** Beyond one's own best through the corner, in the middle of the laps. */
  private Double own(int p) {
    double[] lost = laps.stream().mapToDouble(lap -> lap.corners().get(p).lostS()).toArray();
    if (lost.length < 2) {
      return null;
    }
    double best = java.util.Arrays.stream(lost).min().orElseThrow();
    return Median.of(lost) - best;
  }

  /** Brake points that lie apart, of whatever cost. */
  private Optional<Finding> scattered(int p) {
    double[] later =
        readings.stream()
            .mapToDouble(lap -> later(page.get(p).braking().onM(), lap.get(p).braking().onM()))
            .toArray();
    double[] known = java.util.Arrays.stream(later).filter(v -> !Double.isNaN(v)).toArray();
    if (known.length < Finding.LEAST_LAPS) {
      return Optional.empty();
    }
    double median = Median.of(known);
    double spread = Median.of(Median.deviations(known));
    if (spread < Cause.INCONSISTENT.least()) {
      return Optional.empty();
    }
    List<Integer> away = new ArrayList<>();
    for (int k = 0; k < later.length; k++) {
      if (Math.abs(later[k] - median) >= Cause.INCONSISTENT.least()) {
        away.add(k);
      }
    }
    double at = road.wrapStation(page.get(p).braking().onM() + median);
    return Optional.of(
        new Finding(
            page.get(p).corner(),
            Cause.INCONSISTENT,
            null,
            at,
            spread,
            away,
            laps.size(),
            null,
            0,
            own(p),
            0,
            0));
  }

  private double later(Double a, Double b) {
    return a == null || b == null
        ? Double.NaN
        : road.offsetBetween(road.wrapStation(a), road.wrapStation(b));
  }
}
