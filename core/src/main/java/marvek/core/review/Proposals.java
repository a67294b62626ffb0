package marvek.core.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import marvek.core.cause.Cause;
import marvek.core.cause.Finding;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading;
import marvek.core.numeric.Median;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Stakes;
import marvek.core.reference.Reference;
import marvek.core.review.Proposal.Kind;

/**
 * What laps say should be written otherwise. A value moves only for laps in a row that made the
 * corner; a brake point by the step plan's rule, never past its limit less the margin. The least
 * amounts are own assumptions of the method.
 */
public final class Proposals {
  /** What a driver can tell apart: a car length, and 2.5 km/h. */
  private static final double LEAST_MARKER_M = 5;

  private static final double LEAST_PEDAL_M = 6;
  private static final double LEAST_SPEED_MPS = 0.7;

  /** Pressures scatter more than a driver can tell apart. */
  private static final double LEAST_SHAPE_PCT = 12;

  private static final double TOGETHER_PCT = 8;

  /** A corner that loses no more than this is driven as well as the page. */
  private static final double AS_GOOD_S = 0.05;

  /** What the model says is lost by a point that laps lost nothing by, and still believes. */
  private static final double CONTRADICTED_S = 0.2;

  /** A page that is driven within this is proven. */
  private static final double PROVEN_S = 0.12;

  /** Confidence from 1 to 5: proven, and neither way. */
  private static final int SURE = 5;

  private static final int UNDECIDED = 3;

  /** A gear may cost so much by the model and still be the driver's. */
  private static final double GEAR_COST_S = 0.03;

  private final Case of;
  private final Road road;
  private final TriedValue tried;

  private Proposals(Case of) {
    this.of = of;
    this.tried = new TriedValue(of.basis(), of.conditions(), of.book(), of.own());
    this.road = of.basis().path().road();
  }

  /**
   * What proposals are made from.
   *
   * @param own values that the book has
   * @param page the page's own lap, read as the laps are
   * @param plans of its brake points, by corner
   */
  public record Case(
      Reference.Basis basis,
      Conditions conditions,
      Reference book,
      List<OwnValues> own,
      List<CornerReading> page,
      List<Stakes> stakes,
      List<LapOfSession> laps,
      List<Finding> findings,
      Map<Integer, StepPlan> plans) {}

  /** All proposals, in the order of the lap. */
  public static List<Proposal> of(Case of) {
    return new Proposals(of).all();
  }

  private List<Proposal> all() {
    List<Proposal> all = new ArrayList<>();
    for (int p = 0; p < of.page().size(); p++) {
      marker(p).ifPresent(all::add);
      gear(p).ifPresent(all::add);
      release(p).ifPresent(all::add);
      shape(p).ifPresent(all::add);
      apexSpeed(p).ifPresent(all::add);
      throttle(p).ifPresent(all::add);
      boolean moves = !all.isEmpty() && all.get(all.size() - 1).corner() == page(p).corner();
      confidence(p, moves).ifPresent(all::add);
    }
    return all;
  }

  /**
   * Where the page is right and has to be driven: what is done lap after lap and is dear, in
   * corners that no proposal moves a point of; the dearest of each, in the order of the lap.
   */
  public static List<Finding> driveAsWritten(List<Finding> findings, List<Proposal> proposals) {
    Map<Integer, Finding> dearest = new TreeMap<>();
    for (Finding finding : findings) {
      boolean moves =
          proposals.stream().anyMatch(p -> p.field() != null && p.corner() == finding.corner());
      if (!moves && finding.costS() != null && isHabit(finding)) {
        dearest.merge(finding.corner(), finding, (a, b) -> a.perLapS() >= b.perLapS() ? a : b);
      }
    }
    return List.copyOf(dearest.values());
  }

  private CornerPage page(int p) {
    return of.book().pages().get(p);
  }

  private CornerReading written(int p) {
    return of.page().get(p);
  }

  /** How far a place of the laps is behind that of the page, lap by lap; NaN where unknown. */
  private double[] later(int p, Function<CornerReading, Double> place) {
    return of.laps().stream()
        .mapToDouble(
            lap -> {
              Double a = place.apply(written(p));
              Double b = place.apply(lap.corners().get(p));
              return a == null || b == null
                  ? Double.NaN
                  : road.offsetBetween(road.wrapStation(a), road.wrapStation(b));
            })
        .toArray();
  }

  /** The last laps in a row that made the corner and lie together; empty without enough. */
  private List<Integer> inARow(int p, double[] values, double withinEach) {
    List<Integer> row = new ArrayList<>();
    List<Integer> best = List.of();
    for (int k = 0; k < values.length; k++) {
      boolean good = !Double.isNaN(values[k]) && of.laps().get(k).made(p, written(p));
      if (!good) {
        row.clear();
        continue;
      }
      row.add(k);
      while (!together(values, row, withinEach)) {
        row.remove(0);
      }
      if (row.size() >= StepPlan.LAPS_IN_A_ROW) {
        best = List.copyOf(row);
      }
    }
    return best;
  }

  private static boolean together(double[] values, List<Integer> row, double within) {
    double middle = middle(values, row);
    return row.stream().allMatch(k -> Math.abs(values[k] - middle) <= within);
  }

  private static double middle(double[] values, List<Integer> row) {
    return Median.of(row.stream().mapToDouble(k -> values[k]).toArray());
  }

  private Optional<Proposal> marker(int p) {
    Double at = page(p).brake().atM();
    double[] later = later(p, r -> r.braking().onM());
    List<Integer> row = inARow(p, later, StepPlan.WITHIN_M);
    if (at == null || row.isEmpty()) {
      return Optional.empty();
    }
    double by = middle(later, row);
    if (Math.abs(by) < LEAST_MARKER_M) {
      return Optional.empty();
    }
    double move = by > 0 ? StepPlan.stepTowards(by) : by + StepPlan.stepTowards(-by);
    if (by > 0) {
      move = Math.min(move, room(p, at));
      if (move < 1) {
        return Optional.empty();
      }
    }
    Kind kind = by > 0 ? Kind.MARKER_LATER : Kind.MARKER_EARLIER;
    Double each = of.stakes().get(p).brake5mEarlyS();
    Double gain = each == null ? null : Math.max(0, (by > 0 ? 0 : move - by) * each / 5);
    return Optional.of(
        value(p, kind, PageField.BRAKE, road.wrapStation(at + move), row, by > 0 ? null : gain));
  }

  /** Metres that a brake point may still go on: to the limit less its margin. */
  private double room(int p, double atM) {
    StepPlan plan = of.plans().get(page(p).corner());
    return plan == null ? 0 : road.offsetBetween(atM, plan.limitM()) - plan.marginM();
  }

  private Optional<Proposal> gear(int p) {
    Map<Integer, List<Integer>> byGear = new TreeMap<>();
    for (int k = 0; k < of.laps().size(); k++) {
      Integer gear = of.laps().get(k).corners().get(p).slowest().gear();
      if (gear != null && of.laps().get(k).made(p, written(p))) {
        byGear.computeIfAbsent(gear, g -> new ArrayList<>()).add(k);
      }
    }
    Integer pageGear = written(p).slowest().gear();
    return byGear.entrySet().stream()
        .filter(e -> pageGear != null && !e.getKey().equals(pageGear))
        .filter(e -> e.getValue().size() >= StepPlan.LAPS_IN_A_ROW)
        .map(
            e ->
                value(
                    p,
                    Kind.GEAR,
                    PageField.GEAR,
                    page(p).gears().corner() + e.getKey() - pageGear,
                    e.getValue(),
                    null))
        .filter(proposal -> proposal.pageS() != null && proposal.pageS() <= GEAR_COST_S)
        .findFirst();
  }

  private Optional<Proposal> release(int p) {
    if (page(p).trailBrake() == null) {
      return Optional.empty();
    }
    return pedal(
        p,
        Kind.RELEASE,
        PageField.RELEASE,
        later(p, r -> r.braking().releaseM()),
        page(p).trailBrake().releaseM(),
        false);
  }

  /** Another pressure at the turn-in, lap after lap, that loses nothing. */
  private Optional<Proposal> shape(int p) {
    Double wanted = written(p).braking().atTurnInPct();
    if (page(p).trailBrake() == null || wanted == null) {
      return Optional.empty();
    }
    double[] more =
        of.laps().stream()
            .map(lap -> lap.corners().get(p).braking().atTurnInPct())
            .mapToDouble(pct -> pct == null ? Double.NaN : pct - wanted)
            .toArray();
    List<Integer> row = inARow(p, more, TOGETHER_PCT);
    if (row.isEmpty()
        || Math.abs(middle(more, row)) < LEAST_SHAPE_PCT
        || charged(p, row) > AS_GOOD_S) {
      return Optional.empty();
    }
    double after = page(p).trailBrake().atTurnInPct() + middle(more, row);
    double pct = Math.round(Math.max(0, Math.min(100, after)));
    return worthIt(value(p, Kind.SHAPE, PageField.TURN_IN_PRESSURE, pct, row, null));
  }

  private Optional<Proposal> throttle(int p) {
    Double at = page(p).throttle().firstM();
    if (at == null) {
      return Optional.empty();
    }
    double[] later = later(p, r -> r.throttle().firstM());
    return pedal(p, Kind.THROTTLE, PageField.THROTTLE_FIRST, later, at, true);
  }

  /** A point that is driven elsewhere, as well as on the page. */
  private Optional<Proposal> pedal(
      int p, Kind kind, PageField field, double[] later, double atM, boolean onlyEarlier) {
    List<Integer> row = inARow(p, later, StepPlan.WITHIN_M);
    if (row.isEmpty() || charged(p, row) > AS_GOOD_S) {
      return Optional.empty();
    }
    double by = middle(later, row);
    boolean wanted = onlyEarlier ? by <= -LEAST_PEDAL_M : Math.abs(by) >= LEAST_PEDAL_M;
    return wanted
        ? worthIt(value(p, kind, field, road.wrapStation(atM + by), row, null))
        : Optional.empty();
  }

  /** Where the model says that it loses so much, laps that lost nothing tell something else. */
  private static Optional<Proposal> worthIt(Proposal proposal) {
    boolean slower = proposal.pageS() != null && proposal.pageS() > CONTRADICTED_S;
    return slower ? Optional.empty() : Optional.of(proposal);
  }

  private double charged(int p, List<Integer> row) {
    double[] seconds = of.laps().stream().mapToDouble(l -> l.accounts().get(p).lostS()).toArray();
    return middle(seconds, row);
  }

  private Optional<Proposal> apexSpeed(int p) {
    Double wanted = written(p).slowest().speedMps();
    double[] faster =
        of.laps().stream()
            .map(lap -> lap.corners().get(p).slowest().speedMps())
            .mapToDouble(v -> v == null || wanted == null ? Double.NaN : v - wanted)
            .toArray();
    List<Integer> row = inARow(p, faster, LEAST_SPEED_MPS);
    if (row.isEmpty() || middle(faster, row) < LEAST_SPEED_MPS || charged(p, row) > 0) {
      return Optional.empty();
    }
    double after = page(p).lowestSpeedMps() + middle(faster, row);
    return Optional.of(value(p, Kind.APEX_SPEED, PageField.APEX_SPEED, after, row, null));
  }

  private Optional<Proposal> confidence(int p, boolean moves) {
    Integer before = page(p).confidence();
    List<Integer> all = new ArrayList<>();
    List<Integer> missed = new ArrayList<>();
    for (int k = 0; k < of.laps().size(); k++) {
      (of.laps().get(k).made(p, written(p)) ? all : missed).add(k);
    }
    boolean clean =
        of.findings().stream().noneMatch(f -> f.corner() == page(p).corner() && isHabit(f));
    boolean unsteady =
        of.findings().stream()
            .anyMatch(f -> f.corner() == page(p).corner() && f.cause() == Cause.INCONSISTENT);
    if (unsteady || 3 * missed.size() > of.laps().size()) {
      int after = Math.max(0, (before == null ? UNDECIDED : before) - 1);
      return sure(p, Kind.CONFIDENCE_DOWN, before, after, unsteady ? all : missed);
    }
    if (!clean || moves || all.size() < StepPlan.LAPS_IN_A_ROW) {
      return Optional.empty();
    }
    boolean proven = Math.abs(charged(p, all)) <= PROVEN_S && missed.isEmpty();
    int after = proven ? SURE : Math.min(SURE, (before == null ? UNDECIDED : before) + 1);
    return sure(p, proven ? Kind.PROVEN : Kind.CONFIDENCE_UP, before, after, all);
  }

  /**
   * What is done lap after lap, and costs more than a corner that is driven as well as its page.
   */
  private static boolean isHabit(Finding finding) {
    boolean dear = finding.costS() == null || finding.costS() > AS_GOOD_S;
    return finding.often() == Finding.Often.HABIT && dear;
  }

  private Optional<Proposal> sure(int p, Kind kind, Integer before, int after, List<Integer> row) {
    if (Objects.equals(before, after)) {
      return Optional.empty();
    }
    Double was = before == null ? null : Double.valueOf(before);
    return Optional.of(
        new Proposal(page(p).corner(), kind, null, was, after, row.size(), names(row), null, null));
  }

  private List<String> names(List<Integer> row) {
    return LapOfSession.named(row.stream().map(of.laps()::get).toList());
  }

  private Proposal value(
      int p, Kind kind, PageField field, double after, List<Integer> row, Double gain) {
    return new Proposal(
        page(p).corner(),
        kind,
        field,
        field.amountOf(page(p)),
        after,
        row.size(),
        names(row),
        gain,
        tried.slowerS(page(p).corner(), field, after));
  }

  /**
   * What a driver says of a proposal.
   *
   * @param value of an altered one; null to take it as it is
   */
  public record Accepted(Proposal proposal, Double value) {}

  /**
   * The own values with what was accepted: as it is, it was measured in its laps; altered, it is
   * the driver's.
   */
  public static List<OwnValues> decided(List<OwnValues> own, List<Accepted> accepted) {
    List<OwnValues> result = own;
    for (Accepted a : accepted) {
      Proposal proposal = a.proposal();
      OwnValues.Builder then = TriedValue.of(result, proposal.corner()).but();
      double value = a.value() == null ? proposal.after() : a.value();
      if (proposal.field() == null) {
        then.confidence((int) Math.round(value));
      } else {
        String path = proposal.field().path();
        proposal.field().put(then, value);
        if (a.value() == null) {
          then.measured(path, proposal.laps());
        } else {
          then.notMeasured(path);
        }
      }
      result = TriedValue.with(result, then.build());
    }
    return result;
  }
}
