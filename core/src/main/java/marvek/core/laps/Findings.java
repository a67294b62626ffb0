package marvek.core.laps;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import marvek.core.circuit.Road;
import marvek.core.laps.Finding.Rule;
import marvek.core.laps.Finding.SizedBy;
import marvek.core.numeric.Median;
import marvek.core.page.Stakes;

/**
 * What laps did otherwise than the page, corner by corner: the page's own lap is read the same way,
 * so that like is laid beside like. A rule speaks where the median of the laps is beyond its
 * threshold and at least half of them are.
 */
public final class Findings {
  /** Of fewer laps nothing is said to be a habit. */
  private static final int LEAST_LAPS = 3;

  /** Less than this is left of a corner's loss: nothing to size by [s]. */
  private static final double LEAST_LEFT_S = 0.02;

  /**
   * What follows from a slip and is none of its own: who brakes early is off the brake early and
   * waits; who is too slow is on the throttle too early, and off it again; who misses the apex is
   * on a tighter line.
   */
  private static final Map<Rule, Set<Rule>> FOLLOWERS =
      Map.of(
          Rule.BRAKED_EARLY,
          Set.of(Rule.RELEASED_EARLY, Rule.COASTING),
          Rule.LATE_THROTTLE,
          Set.of(Rule.COASTING),
          Rule.OVER_SLOWED,
          Set.of(Rule.RELEASED_EARLY, Rule.THROTTLE_TWICE, Rule.EARLY_THROTTLE_LIFTED),
          Rule.MISSED_APEX,
          Set.of(Rule.OVER_SLOWED));

  private final Road road;
  private final List<CornerReading> page;
  private final List<Stakes> stakes;
  private final List<List<CornerReading>> laps;
  private final List<List<Charges.Loss>> losses;

  private Findings(
      Road road,
      List<CornerReading> page,
      List<Stakes> stakes,
      List<List<CornerReading>> laps,
      List<List<Charges.Loss>> losses) {
    this.road = road;
    this.page = page;
    this.stakes = stakes;
    this.laps = laps;
    this.losses = losses;
  }

  /**
   * Findings, the costliest first.
   *
   * @param page the page's own lap as the reader sees it, in the order of the pages
   * @param stakes what slips cost there, in the same order
   * @param laps readings of laps that count, each in the same order
   * @param losses what each of these laps lost by corner
   */
  public static List<Finding> of(
      Road road,
      List<CornerReading> page,
      List<Stakes> stakes,
      List<List<CornerReading>> laps,
      List<List<Charges.Loss>> losses) {
    if (laps.size() < LEAST_LAPS) {
      return List.of();
    }
    return new Findings(road, page, stakes, laps, losses).all();
  }

  private List<Finding> all() {
    List<Finding> findings = new ArrayList<>();
    for (int p = 0; p < page.size(); p++) {
      List<Finding> here = new ArrayList<>();
      for (Rule rule : Rule.values()) {
        if (rule == Rule.INCONSISTENT) {
          scatter(here, p);
        } else {
          habit(here, p, rule);
        }
      }
      findings.addAll(sized(causes(here, p), p));
    }
    findings.sort(
        Comparator.comparingDouble((Finding f) -> f.costS() == null ? 0 : -f.costS())
            .thenComparingInt(Finding::corner));
    return List.copyOf(findings);
  }

  /** Values of a rule, lap by lap; NaN where a lap does not tell. */
  private double[] values(int p, Rule rule) {
    return laps.stream()
        .mapToDouble(lap -> RuleMeasures.amount(rule, road, page.get(p), lap.get(p)))
        .toArray();
  }

  private static double[] known(double[] values) {
    return java.util.Arrays.stream(values).filter(v -> !Double.isNaN(v)).toArray();
  }

  private void habit(List<Finding> findings, int p, Rule rule) {
    double[] values = values(p, rule);
    double[] known = known(values);
    if (known.length < LEAST_LAPS) {
      return;
    }
    double median = Median.of(known);
    List<Integer> beyond = indicesFrom(values, rule.least());
    if (median >= rule.least() && 2 * beyond.size() >= known.length) {
      Double per = RuleMeasures.costPerUnit(rule, stakes.get(p));
      Double cost = per == null ? null : per * median;
      findings.add(finding(p, rule, median, beyond, known.length, cost));
    }
  }

  private void scatter(List<Finding> findings, int p) {
    double[] values = values(p, Rule.BRAKED_LATE);
    double[] known = known(values);
    if (known.length < LEAST_LAPS) {
      return;
    }
    double median = Median.of(known);
    double spread = Median.of(Median.deviations(known));
    if (spread >= Rule.INCONSISTENT.least()) {
      double[] away = new double[values.length];
      for (int k = 0; k < away.length; k++) {
        away[k] = Math.abs(values[k] - median);
      }
      List<Integer> beyond = indicesFrom(away, Rule.INCONSISTENT.least());
      findings.add(finding(p, Rule.INCONSISTENT, spread, beyond, known.length, null));
    }
  }

  private static List<Integer> indicesFrom(double[] values, double least) {
    List<Integer> indices = new ArrayList<>();
    for (int k = 0; k < values.length; k++) {
      if (values[k] >= least) {
        indices.add(k);
      }
    }
    return indices;
  }

  private Finding finding(
      int p, Rule rule, double amount, List<Integer> beyond, int of, Double cost) {
    double[] next =
        losses.stream()
            .map(lap -> lap.get(p))
            .mapToDouble(loss -> loss.chargedS() - (loss.lostS() - loss.broughtS()))
            .toArray();
    double inNext = known(next).length == 0 ? 0 : Median.of(known(next));
    SizedBy by = cost == null ? null : SizedBy.MODEL;
    return new Finding(page.get(p).corner(), rule, amount, beyond, of, cost, by, inNext);
  }

  /** What only follows from another slip in the corner, or from the corner before, is none. */
  private List<Finding> causes(List<Finding> here, int p) {
    Set<Rule> follow = EnumSet.noneOf(Rule.class);
    here.forEach(f -> follow.addAll(FOLLOWERS.getOrDefault(f.rule(), Set.of())));
    if (isBrought(p)) {
      follow.add(Rule.OVER_SLOWED);
    }
    return here.stream().filter(f -> !follow.contains(f.rule())).toList();
  }

  /** Whether most of a corner's loss is the fault of the one before. */
  private boolean isBrought(int p) {
    double lost = Median.of(known(losses(p, Charges.Loss::lostS)));
    double brought = Median.of(known(losses(p, Charges.Loss::broughtS)));
    return brought >= LEAST_LEFT_S && brought >= lost / 2;
  }

  private double[] losses(int p, ToDoubleFunction<Charges.Loss> part) {
    return losses.stream().map(lap -> lap.get(p)).mapToDouble(part).toArray();
  }

  /**
   * Sizes by the model, and what it cannot size shares what is left of the corner's loss. Where the
   * model has more than was lost, or less than half of it, the laps are believed.
   */
  private List<Finding> sized(List<Finding> here, int p) {
    double charged = Median.of(known(losses(p, Charges.Loss::chargedS)));
    double byModel = here.stream().filter(f -> f.costS() != null).mapToDouble(Finding::costS).sum();
    long open = here.stream().filter(f -> f.costS() == null).count();
    double left = charged - byModel;
    if (byModel > 0 && (left < 0 || open == 0 && byModel < charged / 2)) {
      double share = Math.max(0, charged) / byModel;
      return here.stream()
          .map(f -> f.costS() == null ? f : withCost(f, f.costS() * share))
          .toList();
    }
    if (open == 0 || !(left >= LEAST_LEFT_S)) {
      return here;
    }
    return here.stream().map(f -> f.costS() != null ? f : withCost(f, left / open)).toList();
  }

  private static Finding withCost(Finding f, double costS) {
    return new Finding(
        f.corner(), f.rule(), f.amount(), f.laps(), f.of(), costS, SizedBy.LAPS, f.inNextS());
  }
}
