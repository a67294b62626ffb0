package marvek.core.page;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Zone;
import marvek.core.profile.Lap;
import marvek.core.profile.LocalRun;
import marvek.core.profile.ProfileOptions;

/** Works out the stakes of each corner by running the model again with one slip at a time. */
public final class StakesRun {
  private static final double BRAKE_EARLY_M = 5;
  private static final double APEX_SLOWER_MPS = 2 / 3.6;
  private static final double THROTTLE_LATE_M = 10;
  private static final double OFF_APEX_M = 0.5;
  private static final double EXIT_SLOWER_MPS = 1 / 3.6;

  /** A run begins so far before its slip, where the speed is still the lap's own. */
  private static final double RUN_UP_M = 30;

  private final Lap lap;
  private final List<CornerPage> pages;
  private final List<Zone> zones;
  private final Road road;

  private StakesRun(Lap lap, List<CornerPage> pages, List<Zone> zones) {
    this.lap = lap;
    this.pages = pages;
    this.zones = zones;
    this.road = lap.path().road();
  }

  /**
   * Stakes of each of the model's pages, in their order; cancelled by interrupting the thread.
   *
   * @param lap the model's own lap
   * @param pages the pages written of it
   * @param zones what lies on the road, for the line that misses the apex
   */
  public static List<Stakes> of(Lap lap, List<CornerPage> pages, List<Zone> zones) {
    StakesRun worker = new StakesRun(lap, pages, zones);
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
        brakeEarly(page), apexSlower(page), throttleLate(page), offTheApex(page), exitSlower(page));
  }

  private Double brakeEarly(CornerPage page) {
    Double atM = page.brake().atM();
    if (atM == null) {
      return null;
    }
    OwnValues early = slip(page, road.wrapStation(atM - BRAKE_EARLY_M), null, null);
    return lost(early, atM - BRAKE_EARLY_M, page.lowestSpeedAtM());
  }

  private Double apexSlower(CornerPage page) {
    double slower = page.lowestSpeedMps() - APEX_SLOWER_MPS;
    if (slower <= 1) {
      return null;
    }
    return lost(slip(page, null, slower, null), begin(page), page.exit().trackOutM());
  }

  private Double throttleLate(CornerPage page) {
    Double firstM = page.throttle().firstM();
    if (firstM == null) {
      return null;
    }
    double late = road.wrapStation(firstM + THROTTLE_LATE_M);
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

  /** Where the corner's work begins: its brake point, without one its turn-in. */
  private double begin(CornerPage page) {
    Double brake = page.brake().atM();
    boolean brakesFirst = brake != null && road.offsetBetween(brake, page.turnIn().atM()) > 0;
    return brakesFirst ? brake : page.turnIn().atM();
  }

  private double lost(OwnValues slip, double fromM, double toM) {
    ProfileOptions options = OwnValuesOnLap.of(lap, pages, List.of(slip)).options();
    return lost(lap.path(), options, fromM - RUN_UP_M, toM);
  }

  private double lost(Path path, ProfileOptions options, double fromM, double toM) {
    int from = road.indexOf(road.wrapStation(fromM));
    int reach = samples(road.distance(road.stationAt(from), toM)) + samples(RUN_UP_M);
    return LocalRun.of(lap, path, options, from, reach).lostS();
  }

  private int samples(double metres) {
    return (int) Math.ceil(Math.max(0, metres) / road.stepM());
  }

  /** A smooth bump of the line away from the inside, its ends at turn-in and track-out. */
  private Double offTheApex(CornerPage page) {
    double apexM = page.apexes().get(0).atM();
    double[] offsets = lap.path().offsets();
    int sign = page.direction() == Side.LEFT ? -1 : 1;
    double before = Math.max(road.stepM(), road.distance(page.turnIn().atM(), apexM));
    double after = Math.max(road.stepM(), road.distance(apexM, page.exit().trackOutM()));
    if (before + after > road.lengthM() / 2) {
      return null;
    }
    int apex = road.indexOf(apexM);
    for (int k = -samples(before); k <= samples(after); k++) {
      double share = k < 0 ? -k * road.stepM() / before : k * road.stepM() / after;
      double bump = 0.5 * (1 + Math.cos(Math.PI * Math.min(1, share)));
      offsets[road.wrap(apex + k)] += sign * OFF_APEX_M * bump;
    }
    Path path = Path.at(road, offsets, zones);
    // Grip along the changed line decides earlier than it: braking moves with it.
    return lost(path, ProfileOptions.NONE, begin(page) - 2 * RUN_UP_M, page.exit().trackOutM());
  }

  /** A little less at the track-out; what is lost is what the way from there on loses. */
  private Double exitSlower(CornerPage page) {
    int exit = road.indexOf(page.exit().trackOutM());
    double slower = lap.speedAt(exit) - EXIT_SLOWER_MPS;
    if (slower <= 1) {
      return null;
    }
    double[] cap = new double[lap.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    cap[exit] = slower;
    ProfileOptions options = ProfileOptions.NONE.withSpeedCap(cap);
    return LocalRun.of(lap, lap.path(), options, exit, samples(RUN_UP_M)).lostS();
  }
}
