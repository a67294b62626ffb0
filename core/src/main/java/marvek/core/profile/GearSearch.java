package marvek.core.profile;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import marvek.core.circuit.Path;
import marvek.core.vehicle.Vehicle;

/**
 * Chooses gears by dynamic programming over (sample, gear), each choice priced in seconds.
 * Single-use worker; position k counts samples from the start, gear index 0 is not used.
 *
 * <p>The price of drive not used at a sample is what its speed is worth ({@link SpeedWorth}). An
 * upshift costs the drive lost for its time; holding a gear on the limiter costs the time of going
 * no faster; short-shifting costs the drive of the taller gear, nothing where grip is the limit.
 * Downshifts under brakes are free and may skip gears; upshifts go one at a time.
 */
final class GearSearch {
  /** A change that gains less than this is not worth a hand off the wheel (own assumption). */
  static final double LEAST_GAIN_S = 0.002;

  /** Under brakes a lower gear is taken when it turns below this share of the limiter. */
  private static final double DOWNSHIFT_SHARE = 0.92;

  /** Nobody changes up below this share of the limiter (own assumption). */
  private static final double SHORT_SHIFT_SHARE = 0.55;

  /** Below this share of the limiter a gear labours and is not driven in (own assumption). */
  private static final double LABOURING_SHARE = 0.3;

  /** Prices nearer than this are a tie. */
  private static final double TIE_S = 1e-6;

  /** What is dearer than the cheapest by more than any chain of changes never comes back. */
  private static final double HOPELESS_S = 1;

  /**
   * Engine force below this share of the traction: a little more speed does not change which
   * limits.
   */
  private static final double CLEARLY_BELOW = 0.98;

  /** Price of a node that was not reached. */
  private static final double NEVER = 1e9;

  private final Path path;
  private final ForceModel forces;
  private final Driveline driveline;
  private final ProfileOptions options;
  private final double upshiftS;
  private final double downshiftS;
  private final double[] w;
  private final double[] v;
  private final DriveCuts cuts;
  private final int start;
  private final int n;
  private final int gears;
  private final boolean[] capped;
  private final boolean[] braking;
  private double[] worth;
  private final double[] bestDrive;
  private final double[] resistance;
  private final boolean[] engineLimited;
  private final double[] time;
  private final double[] noDrive;
  private final double[] held;
  private final double[] cost;
  private final byte[] fromGear;
  private final int[] fromK;

  /** For a best-gear profile {@code w} under the braking curve {@code cap}. */
  GearSearch(
      Path path,
      ForceModel forces,
      Driveline driveline,
      Vehicle vehicle,
      ProfileOptions options,
      double[] w,
      double[] cap,
      int start) {
    this.path = path;
    this.forces = forces;
    this.driveline = driveline;
    this.options = options;
    this.upshiftS = vehicle.gearbox().upshiftS();
    this.downshiftS = vehicle.gearbox().downshiftS();
    this.w = w;
    this.start = start;
    this.n = path.size();
    this.gears = driveline.gears();
    this.v = new double[n];
    this.capped = new boolean[n];
    this.braking = new boolean[n];
    this.bestDrive = new double[n];
    this.resistance = new double[n];
    this.engineLimited = new boolean[n];
    this.time = new double[n];
    this.noDrive = new double[n];
    int nodes = n * (gears + 1);
    this.held = new double[nodes];
    this.cost = new double[nodes];
    this.fromGear = new byte[nodes];
    this.fromK = new int[nodes];
    for (int i = 0; i < n; i++) {
      // Of a start from rest too the first place has some speed.
      v[i] = Math.sqrt(Math.max(Sweep.LEAST_W, w[i]));
      capped[i] = w[i] >= cap[i] * (1 - 1e-9);
      if (!capped[i]) {
        double engine = driveline.bestForceN(v[i]);
        engineLimited[i] = forces.holdsDrive(i, w[i], engine / CLEARLY_BELOW);
        bestDrive[i] = engineLimited[i] ? engine : Math.min(engine, forces.tractionN(i, w[i]));
      }
      resistance[i] = forces.resistanceN(i, w[i]);
    }
    markBraking();
    this.cuts = new DriveCuts(path, vehicle, driveline, v, braking);
  }

  /** The gears of least time. */
  GearPlan plan() {
    worth = new SpeedWorth(path, forces, driveline, v, capped, engineLimited).along(start);
    sumUp();
    int[] plan = search(0);
    int first = plan[start];
    int last = plan[sample(n - 1)];
    if (path.road().closed() && last != first) {
      // The lap has to end in the gear that it begins with, or one from which that is free.
      plan = atNoCost(first) ? trace(first) : search(last);
    }
    underBrakes(plan);
    asHeld(plan);
    return planOf(plan);
  }

  /** Sample that the search begins at. */
  int first() {
    return start;
  }

  /** Number of elements from a sample to where the search ends. */
  int elementsFrom(int i) {
    return n - 1 - (i < start ? i + n - start : i - start);
  }

  /** Whether a lap that ends in a gear is as quick as the quickest. */
  private boolean atNoCost(int gear) {
    return cost[at(n - 1, gear)] <= cost[at(n - 1, cheapestLastGear())] + TIE_S;
  }

  private int sample(int k) {
    int i = start + k;
    return i >= n ? i - n : i;
  }

  private void markBraking() {
    double mass = forces.massKg();
    for (int i = 0; i < path.elements(); i++) {
      double a = (w[path.road().wrap(i + 1)] - w[i]) / (2 * path.elementAt(i));
      double tyre = mass * a + resistance[i];
      braking[i] = tyre < -GearPlan.BRAKING_SHARE * mass * Constants.G0;
    }
  }

  /** Shortest way through the (sample, gear) net. Gear 0 as first gear leaves it free. */
  private int[] search(int firstGear) {
    Arrays.fill(cost, NEVER);
    for (int g = 1; g <= gears; g++) {
      cost[at(0, g)] = firstGear == 0 || firstGear == g ? 0 : NEVER;
    }
    int settled = 1;
    DriveLost upward = lost(upshiftS);
    DriveLost downward = lost(downshiftS);
    for (int k = 0; k + 1 < n; k++) {
      int i = sample(k);
      settled = settledAfter(k, settled);
      boolean mayChange = mayChange(i);
      boolean priced = mayChange && !braking[i];
      double up = priced ? LEAST_GAIN_S + upward.from(k + 1) : 0;
      double down = priced ? LEAST_GAIN_S + downward.from(k + 1) : 0;
      double hopeless = cheapestAt(k) + HOPELESS_S;
      int tallest = tallestDriven(i);
      for (int g = 1; g <= gears; g++) {
        double base = cost[at(k, g)];
        if (base >= hopeless || g > tallest && !isOwn(i, g)) {
          continue;
        }
        relax(k, k + 1, g, g, base + held[at(k + 1, g)] - held[at(k, g)]);
        if (mayChange) {
          change(k, settled, g, base, up, down);
        }
      }
    }
    return trace(cheapestLastGear());
  }

  /**
   * Tallest gear that anybody drives in at a sample: it labours under brakes or by choice alone.
   */
  private int tallestDriven(int i) {
    int gear = gears;
    while (gear > 1 && !braking[i] && labours(gear, v[i])) {
      gear--;
    }
    return gear;
  }

  /** Whether a gear is the driver's own choice at a sample. */
  private boolean isOwn(int i, int gear) {
    return options.heldGearAt(i) == gear;
  }

  private double cheapestAt(int k) {
    double cheapest = NEVER;
    for (int node = at(k, 1); node <= at(k, gears); node++) {
      cheapest = cost[node] < cheapest ? cost[node] : cheapest;
    }
    return cheapest;
  }

  /** Whether a gear is too tall to be driven in at a speed [m/s]. */
  boolean labours(int gear, double speed) {
    return speed < LABOURING_SHARE * driveline.limiterSpeedMps(gear);
  }

  private int at(int k, int gear) {
    return k * (gears + 1) + gear;
  }

  /** Time from the start, and the price of no drive and of each gear from there, summed up. */
  private void sumUp() {
    double[] stay = new double[gears + 1];
    for (int k = 0; k + 1 < n; k++) {
      int i = sample(k);
      time[k + 1] = time[k] + 2 * path.elementAt(i) / (v[i] + v[path.road().wrap(i + 1)]);
      noDrive[k + 1] = noDrive[k] + pricePerN(i) * bestDrive[i];
      stayCosts(i, stay);
      for (int g = 1; g <= gears; g++) {
        held[at(k + 1, g)] = held[at(k, g)] + stay[g];
      }
    }
  }

  private void stayCosts(int i, double[] stay) {
    double ds = path.elementAt(Math.min(i, path.elements() - 1));
    double perN = pricePerN(i);
    int own = options.heldGearAt(i);
    for (int g = 1; g <= gears; g++) {
      double limiter = driveline.limiterSpeedMps(g);
      if (own != 0 && g != own) {
        stay[g] = 1;
      } else if (v[i] > limiter) {
        // Under brakes any gear may be held, clutch or neutral: the lower one is taken in time.
        stay[g] = braking[i] ? 0 : ds * (1 / limiter - 1 / v[i]);
      } else {
        // The last term only breaks ties where grip decides: it prefers the livelier gear.
        stay[g] = missing(i, g, perN) + 1e-9 * ds * g;
      }
    }
  }

  /** Price of the drive that is missing in a gear over an element [s]. */
  private double missing(int i, int gear, double perN) {
    // Where brakes or a limit decide speed is worth nothing.
    return perN == 0 ? 0 : perN * Math.max(0, bestDrive[i] - driveline.forceN(gear, v[i]));
  }

  /** Whether a driver may change gear at a sample. */
  boolean mayChange(int i) {
    double lateralG = Math.abs(w[i] * path.curvatureAt(i)) / Constants.G0;
    return lateralG <= options.noChangeAboveG();
  }

  /**
   * @param up price of a change up
   */
  private void change(int k, int settled, int g, double base, double up, double down) {
    int i = sample(k);
    if (braking[i]) {
      if (g > 1) {
        relax(k, k + 1, g, g - 1, base);
      }
      return;
    }
    double limiter = driveline.limiterSpeedMps(g);
    if (g < gears && (v[i] > SHORT_SHIFT_SHARE * limiter || isOwn(i, g + 1))) {
      double over = Math.max(0, w[i] - limiter * limiter);
      double price = up + worth[i] * over;
      relax(k, settled, g, g + 1, base + price + holding(k, settled, g + 1));
    }
    if (g > 1 && v[i] < driveline.limiterSpeedMps(g - 1)) {
      relax(k, settled, g, g - 1, base + down + holding(k, settled, g - 1));
    }
  }

  private double holding(int k, int settled, int gear) {
    return held[at(settled, gear)] - held[at(k, gear)];
  }

  /** First position at which the next change may come; never goes back as k goes on. */
  private int settledAfter(int k, int earliest) {
    double until = time[k] + options.minGearTimeS();
    int j = Math.max(k + 1, earliest);
    while (j + 1 < n && time[j] < until) {
      j++;
    }
    return j;
  }

  /** Price of each newton that is missing over the element after a sample [s/N]. */
  private double pricePerN(int i) {
    double ds = path.elementAt(Math.min(i, path.elements() - 1));
    return 2 * ds / forces.massKg() * worth[i];
  }

  private DriveLost lost(double seconds) {
    return new DriveLost(time, noDrive, seconds);
  }

  private void relax(int k, int to, int gear, int toGear, double value) {
    int target = at(to, toGear);
    if (value < cost[target]) {
      cost[target] = value;
      fromGear[target] = (byte) gear;
      fromK[target] = k;
    }
  }

  /** On a tie, as under brakes, the higher gear: down from it is free. */
  private int cheapestLastGear() {
    int g = gears;
    for (int lower = gears - 1; lower >= 1; lower--) {
      if (cost[at(n - 1, lower)] < cost[at(n - 1, g)] - TIE_S) {
        g = lower;
      }
    }
    return g;
  }

  private int[] trace(int lastGear) {
    int g = lastGear;
    int[] plan = new int[n];
    int k = n - 1;
    plan[sample(k)] = g;
    while (k > 0) {
      int node = at(k, g);
      for (int j = fromK[node] + 1; j <= k; j++) {
        plan[sample(j)] = g;
      }
      k = fromK[node];
      g = fromGear[node];
      plan[sample(k)] = g;
    }
    return plan;
  }

  /** In a braking zone: down through the gears as the speed falls, to the one used at its end. */
  private void underBrakes(int[] plan) {
    for (int k = n - 1; k >= 0; k--) {
      int i = sample(k);
      int to = path.road().wrap(i + 1);
      if (!braking[i]) {
        continue;
      }
      int g = plan[to];
      while (g < gears && v[i] > DOWNSHIFT_SHARE * driveline.limiterSpeedMps(g)) {
        g++;
      }
      plan[i] = g;
    }
    for (int k = 0; k < n; k++) {
      int i = sample(k);
      int before = path.road().wrap(i - 1);
      // Nobody changes up to brake.
      if (braking[i] && before != i) {
        plan[i] = Math.min(plan[i], plan[before]);
      }
    }
  }

  /** The driver's own gears, to the sample and also under brakes. */
  private void asHeld(int[] plan) {
    for (int i = 0; i < n; i++) {
      int own = options.heldGearAt(i);
      plan[i] = own == 0 ? plan[i] : Math.min(own, gears);
    }
  }

  /** Where the changes of this lap leave no drive. */
  DriveCuts cuts() {
    return cuts;
  }

  /** The plan of other gears, once this search has chosen. */
  GearPlan planOf(int[] plan) {
    double[] share = new double[n];
    Arrays.fill(share, 1);
    List<GearPlan.Change> changes = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      int i = sample(k);
      int to = path.road().wrap(i + 1);
      if (plan[to] == plan[i]) {
        continue;
      }
      double seconds = cuts.secondsAfter(plan, i);
      double cost = seconds > 0 ? lost(seconds).from(Math.min(k + 1, n - 1)) : 0;
      changes.add(new GearPlan.Change(to, plan[i], plan[to], cost));
      cuts.cut(share, to, seconds);
    }
    return new GearPlan(plan, share, braking, changes);
  }
}
