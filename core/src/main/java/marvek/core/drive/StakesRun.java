package marvek.core.drive;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.OwnValues;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.profile.LocalRun;
import marvek.core.profile.ProfileOptions;

/** Works out the stakes of each corner by running the model again with one slip at a time. */
public final class StakesRun {
  /** What stakes are told for, see {@link Stakes}: what a driver is off by on a usual lap. */
  private static final double BRAKE_EARLY_M = 5;

  private static final double APEX_SLOWER_MPS = 2 / 3.6;
  private static final double THROTTLE_LATE_M = 10;
  private static final double OFF_APEX_M = 0.5;
  private static final double EXIT_SLOWER_MPS = 1 / 3.6;

  /** A run begins so far before its slip, where the speed is still the lap's own. */
  private static final double RUN_UP_M = 30;

  /** Nobody leaves a line and comes back to it within less than this to each side of an apex. */
  private static final double LEAST_BUMP_M = 25;

  private final Lap lap;
  private final List<CornerPage> pages;
  private final Road road;
  private final double share;

  private StakesRun(Lap lap, List<CornerPage> pages, double share) {
    this.share = share;
    this.lap = lap;
    this.pages = pages;
    this.road = lap.path().road();
  }

  /**
   * Stakes of each of the model's pages, in their order; cancelled by interrupting the thread.
   *
   * @param lap the model's own lap
   * @param pages the pages written of it
   */
  public static List<Stakes> of(Lap lap, List<CornerPage> pages) {
    return of(lap, pages, 1);
  }

  /** The same for a share of each slip; for checks. */
  public static List<Stakes> of(Lap lap, List<CornerPage> pages, double share) {
    StakesRun worker = new StakesRun(lap, pages, share);
    List<Stakes> stakes = new ArrayList<>();
    for (CornerPage page : pages) {
      if (Thread.currentThread().isInterrupted()) {
        throw new CancellationException("stakes cancelled");
      }
      stakes.add(worker.stakes(page));
    }
    return stakes;
  }

  private Stakes stakes(CornerPage page) {
    return new Stakes(
        brakeEarly(page),
        apexSlower(page),
        throttleLate(page),
        offTheApex(page),
        exitSlower(page),
        null,
        null);
  }

  private Double brakeEarly(CornerPage page) {
    Double atM = page.brake().atM();
    if (atM == null) {
      return null;
    }
    OwnValues early = slip(page, road.wrapStation(atM - share * BRAKE_EARLY_M), null, null);
    return lost(early, atM - BRAKE_EARLY_M, page.lowestSpeedAtM());
  }

  private Double apexSlower(CornerPage page) {
    double slower = page.lowestSpeedMps() - share * APEX_SLOWER_MPS;
    if (slower <= 1) {
      return null;
    }
    return lost(
        slip(page, null, slower, null), CornerTime.beginsAtM(page, road), page.exit().trackOutM());
  }

  private Double throttleLate(CornerPage page) {
    Double firstM = page.throttle().firstM();
    if (firstM == null) {
      return null;
    }
    double late = road.wrapStation(firstM + share * THROTTLE_LATE_M);
    return lost(slip(page, null, null, late), firstM, late);
  }

  private static OwnValues slip(
      CornerPage page, Double brakeAtM, Double apexSpeed, Double throttleFirstM) {
    return OwnValues.in(page.corner())
        .brakeAtM(brakeAtM)
        .apexSpeedMps(apexSpeed)
        .throttleFirstM(throttleFirstM)
        .build();
  }

  private double lost(OwnValues slip, double fromM, double toM) {
    ProfileOptions options = OwnValuesOnLap.of(lap, pages, List.of(slip)).options();
    return lost(lap.path(), options, fromM - RUN_UP_M, toM);
  }

  private double lost(Path path, ProfileOptions options, double fromM, double toM) {
    int from = road.indexOf(road.wrapStation(fromM));
    int reach = road.covering(road.distance(road.stationAt(from), toM)) + road.covering(RUN_UP_M);
    return LocalRun.of(lap, path, options, from, reach).lostS();
  }

  /**
   * A smooth bump of the line away from the inside, its ends at turn-in and track-out. It is
   * measured across the path, which may lead across the road: half a metre along the road's own
   * normals would be a kink where a line cuts through a tight bend.
   */
  private Double offTheApex(CornerPage page) {
    double apexM = page.apexes().get(0).atM();
    double[] offsets = lap.path().offsets();
    int sign = page.direction() == Side.LEFT ? -1 : 1;
    double before = Math.max(LEAST_BUMP_M, road.distance(page.turnIn().atM(), apexM));
    double after = Math.max(LEAST_BUMP_M, road.distance(apexM, page.exit().trackOutM()));
    if (before + after > road.lengthM() / 2) {
      return null;
    }
    int apex = road.indexOf(apexM);
    int first = -road.covering(before) - 1;
    int count = road.covering(after) + 2 - first;
    double[] moved = new double[count];
    for (int n = 0; n < count; n++) {
      int k = first + n;
      double way = k < 0 ? -k * road.stepM() / before : k * road.stepM() / after;
      moved[n] = sign * share * OFF_APEX_M * 0.5 * (1 + Math.cos(Math.PI * Math.min(1, way)));
    }
    acrossThePath(apex + first, moved, offsets);
    Path path = Path.at(road, offsets, lap.path().surface());
    // Grip along the changed line decides earlier than it: braking moves with it.
    double lost =
        lost(
            path,
            ProfileOptions.NONE,
            CornerTime.beginsAtM(page, road) - 2 * RUN_UP_M,
            page.exit().trackOutM());
    // A line that is better half a metre farther out is no slip: the search left that much.
    return Math.max(0, lost);
  }

  /**
   * Moves a line across itself.
   *
   * @param first sample of the first value
   * @param movedM how far to the left, 0 at both ends
   */
  private void acrossThePath(int first, double[] movedM, double[] offsets) {
    double[] place = new double[movedM.length];
    double[] offset = new double[movedM.length];
    for (int n = 0; n < movedM.length; n++) {
      int i = road.wrap(first + n);
      double d = offsets[i];
      double slope = offsets[road.wrap(i + 1)] - offsets[road.wrap(i - 1)];
      double along = 1 - road.curvatureAt(i) * d;
      double heading = Math.atan2(slope / (2 * road.stepM()), along);
      place[n] = n - movedM[n] * Math.sin(heading) / along / road.stepM();
      offset[n] = d + movedM[n] * Math.cos(heading);
    }
    int from = 0;
    for (int n = 1; n + 1 < movedM.length; n++) {
      while (from + 2 < place.length && place[from + 1] < n) {
        from++;
      }
      double part = (n - place[from]) / (place[from + 1] - place[from]);
      offsets[road.wrap(first + n)] = offset[from] + part * (offset[from + 1] - offset[from]);
    }
  }

  /** A little less at the track-out; what is lost is what the way from there on loses. */
  private Double exitSlower(CornerPage page) {
    int exit = road.indexOf(page.exit().trackOutM());
    double slower = lap.speedAt(exit) - share * EXIT_SLOWER_MPS;
    if (slower <= 1) {
      return null;
    }
    double[] cap = new double[lap.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[exit] = slower;
    ProfileOptions options = ProfileOptions.NONE.withSpeedCap(cap);
    return LocalRun.of(lap, lap.path(), options, exit, road.covering(RUN_UP_M)).lostS();
  }
}
