package marvek.core.line;

import java.util.Arrays;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;
import java.util.function.IntToDoubleFunction;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadSurface;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.LapGradient;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Vehicle;

/**
 * The line of least time, refined from another one and never slower than it. Each round takes from
 * the solved lap what bend and length cost at every sample ({@link LapGradient}), moves the offsets
 * to where these costs balance, bends weighed by what they cost, within the corridor, and keeps the
 * move only if the lap solved again is quicker.
 *
 * <p>At the least time the line is also one of least ∫ωκ² for the weights ω that the lap itself
 * gives, so that each round is a quadratic programme like those of {@link SmoothLine}.
 */
public final class FastestLine {
  /** Bound of the search, between its time and what it gains (own choice). */
  private static final int MAX_ROUNDS = 56;

  /** Less than this gained in twice all modes is the end of the search. */
  private static final double LEAST_GAIN_S = 2e-4;

  /** Each part of the lap begins with this share of the move that the programme wants. */
  private static final double FIRST_SHARE = 0.1;

  /** A part that was quicker moves by so much more the next time, a slower one by so much less. */
  private static final double BOLDER = 1.6;

  /** By trial, as the modes below. */
  private static final double SHYER = 0.4;

  /** A part whose moves became so small is left alone (own choice). */
  private static final double LEAST_SHARE = 0.02;

  /** Shares of neighbouring parts pass into each other over so much road to each side. */
  private static final double BLEND_M = 25;

  /**
   * A way to look for a move.
   *
   * @param reachM a cost at one sample belongs to its surroundings, for the slowest place moves
   *     with the line: so far to each side
   * @param leastShare bends count at least this share of their mean, so that a move made for one
   *     place bends no other one
   */
  private record Mode(double reachM, double leastShare) {}

  /** Tried in turn; chosen by trial on roads and vehicles of the tests. */
  private static final Mode[] MODES = {
    new Mode(2, 10), new Mode(8, 2), new Mode(4, 5), new Mode(12, 0.2)
  };

  /** Curvature below this counts as this when costs are told per bend [1/m]. */
  private static final double LEAST_BEND = 2e-4;

  private final Stretch stretch;
  private final Bounds bounds;
  private final Vehicle vehicle;
  private final Conditions conditions;
  private final LapParts parts;
  private final double[][] sharesOf;
  private double[] offsets;
  private Lap lap;

  private final RoadSurface surface;

  private FastestLine(Stretch stretch, Bounds bounds, Lap start) {
    this.surface = start.path().surface();
    this.stretch = stretch;
    this.bounds = bounds;
    this.vehicle = start.vehicle();
    this.conditions = start.conditions();
    this.offsets = start.path().offsets();
    this.lap = start;
    this.parts = LapParts.of(start);
    this.sharesOf = new double[MODES.length][parts.count()];
    for (double[] shares : sharesOf) {
      Arrays.fill(shares, FIRST_SHARE);
    }
  }

  /**
   * How a search ended.
   *
   * @param lap the lap on the line found
   * @param gainedS time that it gains on the line that the search began from; never negative
   */
  public record Result(Lap lap, double gainedS, int rounds) {
    public Path path() {
      return lap.path();
    }
  }

  /**
   * Refines a whole line; cancelled by interrupting the thread.
   *
   * @param start lap of the model on the line to begin from, within the corridor
   * @param progress told the share done after each round, 0 to 1
   */
  public static Result find(Lap start, Corridor corridor, DoubleConsumer progress) {
    Road road = start.path().road();
    Stretch whole = Stretch.whole(road);
    Bounds bounds = Bounds.of(whole, corridor, start.path().offsets());
    return refine(start, whole, bounds, MAX_ROUNDS, progress);
  }

  /** Refines the line along a stretch within bounds; the rest of the line stays. */
  static Result refine(
      Lap start, Stretch stretch, Bounds bounds, int mostRounds, DoubleConsumer progress) {
    FastestLine search = new FastestLine(stretch, bounds, start);
    int rounds = search.run(mostRounds, progress);
    return new Result(search.lap, start.timeS() - search.lap.timeS(), rounds);
  }

  private int run(int mostRounds, DoubleConsumer progress) {
    double[] recent = new double[2 * MODES.length];
    Arrays.fill(recent, Double.POSITIVE_INFINITY);
    int round = 0;
    while (round < mostRounds && sum(recent) >= LEAST_GAIN_S) {
      if (Thread.currentThread().isInterrupted()) {
        throw new CancellationException("line search cancelled");
      }
      double before = lap.timeS();
      round(round % MODES.length);
      recent[round % recent.length] = before - lap.timeS();
      round++;
      progress.accept(round / (double) mostRounds);
    }
    progress.accept(1);
    return round;
  }

  private static double sum(double[] values) {
    return Arrays.stream(values).sum();
  }

  /**
   * One round: every part of the lap tries its own share of the move; those that are not quicker
   * stay. What is left is kept if the lap as a whole is quicker.
   */
  private void round(int mode) {
    double[] shares = sharesOf[mode];
    double[] present = stretch.taken(offsets);
    double[] wanted = balance(present, MODES[mode]);
    Lap tried = solved(mixed(present, wanted, shares));
    double[] kept = new double[shares.length];
    for (int r = 0; r < shares.length; r++) {
      boolean quicker = parts.timeOf(tried, r) < parts.timeOf(lap, r);
      kept[r] = quicker ? shares[r] : 0;
      shares[r] =
          quicker ? Math.min(1, BOLDER * shares[r]) : Math.max(LEAST_SHARE, SHYER * shares[r]);
    }
    take(tried);
    take(solved(mixed(present, wanted, kept)));
  }

  private void take(Lap tried) {
    if (tried.timeS() < lap.timeS()) {
      lap = tried;
      offsets = tried.path().offsets();
    }
  }

  private double[] mixed(double[] present, double[] wanted, double[] share) {
    double[] sharp = new double[present.length];
    for (int k = 0; k < sharp.length; k++) {
      sharp[k] = share[parts.partAt(stretch.at(k))];
    }
    double[] smooth = spread(BLEND_M, k -> sharp[k]);
    for (int k = 0; k < sharp.length; k++) {
      smooth[k] = present[k] + Math.min(1, smooth[k]) * (wanted[k] - present[k]);
    }
    return smooth;
  }

  private Lap solved(double[] along) {
    Path path = Path.at(stretch.road(), stretch.put(offsets, along), surface);
    return SpeedProfile.solve(path, vehicle, conditions);
  }

  /** Where the costs of the present lap balance, bends weighed by what they cost. */
  private double[] balance(double[] d, Mode mode) {
    LapGradient gradient = LapGradient.of(lap);
    int n = stretch.size();
    double[] cost = spread(mode.reachM(), k -> gradient.secondsPerCurvatureAt(stretch.at(k)));
    double[] bends = spread(mode.reachM(), k -> Math.abs(lap.path().curvatureAt(stretch.at(k))));
    double[] weight = weights(cost, bends, mode.leastShare());
    double[] h0 = new double[n];
    double[] h1 = new double[n];
    double[] h2 = new double[n];
    double[] g = new double[n];
    double[] j = new double[3];
    for (int k = stretch.edge(); k < n - stretch.edge(); k++) {
      Bend bend = SmoothLine.bend(stretch, d, k);
      bend.curvatureDerivatives(j);
      int a = stretch.position(k - 1);
      int b = stretch.position(k + 1);
      double stiff = weight[k];
      double slope = Math.signum(bend.curvature()) * cost[k];
      double present = j[0] * d[a] + j[1] * d[k] + j[2] * d[b];
      h0[a] += stiff * j[0] * j[0];
      h0[k] += stiff * j[1] * j[1];
      h0[b] += stiff * j[2] * j[2];
      h1[a] += stiff * j[0] * j[1];
      h1[k] += stiff * j[1] * j[2];
      h2[a] += stiff * j[0] * j[2];
      double linear = slope - stiff * present;
      g[a] += linear * j[0];
      g[k] += linear * j[1] + gradient.secondsPerMetreAt(stretch.at(k)) * bend.nextLengthByOwn();
      g[b] += linear * j[2] + gradient.secondsPerMetreAt(stretch.at(k)) * bend.nextLengthByNext();
    }
    double least = 1e-9 * Arrays.stream(h0).max().orElse(1);
    for (int k = 0; k < n; k++) {
      h0[k] += least;
      g[k] -= least * d[k];
    }
    stretch.hold(h0, g, d);
    return new BoxedQuadraticProgramme(h0, h1, h2, stretch.closed())
        .minimise(g, bounds.low(), bounds.high(), d, 1e-9 / n);
  }

  private double[] weights(double[] cost, double[] bends, double leastShare) {
    double[] weight = new double[cost.length];
    for (int k = 0; k < weight.length; k++) {
      weight[k] = Math.max(0, cost[k]) / Math.max(LEAST_BEND, bends[k]);
    }
    double least = Math.max(1e-9, leastShare * Arrays.stream(weight).average().orElse(0));
    for (int k = 0; k < weight.length; k++) {
      weight[k] = Math.max(least, weight[k]);
    }
    return weight;
  }

  /** Running mean over the surroundings, so that the sum stays. */
  private double[] spread(double reachM, IntToDoubleFunction value) {
    int reach = Math.max(1, stretch.road().samples(reachM));
    int n = stretch.size();
    double[] sums = new double[n + 2 * reach + 2];
    for (int k = -reach; k <= n + reach; k++) {
      boolean there = stretch.closed() || k >= 0 && k < n;
      double own = there ? value.applyAsDouble(stretch.position(k)) : 0;
      sums[k + reach + 1] = sums[k + reach] + own;
    }
    double[] mean = new double[n];
    for (int k = 0; k < n; k++) {
      mean[k] = (sums[k + 2 * reach + 1] - sums[k]) / (2 * reach + 1);
    }
    return mean;
  }
}
