package marvek.core.drive;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.say.Sentence;

/**
 * Turns a driver's own values into limits on the model: what is slower or earlier than the model
 * can be run. What is beyond the model is left to {@link PageDrive}.
 */
public final class OwnValuesOnLap {
  /** Differences below this are the same place. */
  private static final double SAME_PLACE_M = 0.5;

  /** Shown to 1 km/h, typed to 0.1: a fifth of a km/h is no change. */
  private static final double SAME_SPEED_MPS = 0.05;

  /**
   * @param options limits for the next run of the model; {@link ProfileOptions#NONE} where it would
   *     be the same lap
   * @param remarks what could not be put into it
   */
  public record Limits(ProfileOptions options, List<Remark> remarks) {}

  private final Lap base;
  private final Road road;
  private final double[] cap;
  private final boolean[] noDrive;
  private final OwnGears gears;
  private final List<Remark> remarks = new ArrayList<>();

  private OwnValuesOnLap(Lap base, List<CornerPage> pages) {
    this.base = base;
    this.road = base.path().road();
    this.cap = new double[base.size()];
    Arrays.fill(cap, Double.POSITIVE_INFINITY);
    this.noDrive = new boolean[base.size()];
    this.gears = new OwnGears(base, pages);
  }

  public static Limits of(Lap base, List<CornerPage> pages, List<OwnValues> own) {
    OwnValuesOnLap worker = new OwnValuesOnLap(base, pages);
    for (OwnValues values : own) {
      for (CornerPage page : pages) {
        if (page.corner() == values.corner()) {
          worker.apply(page, values);
        }
      }
    }
    ProfileOptions options = worker.options(worker.gears.held(own));
    worker.remarks.addAll(worker.gears.remarks());
    return new Limits(options, worker.remarks);
  }

  /** What limits anything. */
  private ProfileOptions options(int[] held) {
    ProfileOptions options = ProfileOptions.NONE;
    if (Arrays.stream(cap).anyMatch(Double::isFinite)) {
      options = options.withSpeedCap(cap);
    }
    if (IntStream.range(0, noDrive.length).anyMatch(i -> noDrive[i])) {
      options = options.withNoDrive(noDrive);
    }
    return Arrays.stream(held).allMatch(gear -> gear == 0) ? options : options.withHeldGear(held);
  }

  private void apply(CornerPage page, OwnValues own) {
    if (own.brakeAtM() != null) {
      brake(page, own.brakeAtM());
    }
    if (own.apexSpeedMps() != null) {
      apexSpeed(page, own.apexSpeedMps());
    }
    if (own.throttleFirstM() != null) {
      throttle(page, own.throttleFirstM());
    }
  }

  /**
   * The braking curve moved earlier; the speed where it ends held until the model's curve is met
   * again.
   */
  private void brake(CornerPage page, double atM) {
    if (page.brake().atM() == null) {
      remark(page, "brake.at_m", Sentence.of("own.no-braking"));
      return;
    }
    double earlier = road.offsetBetween(atM, page.brake().atM());
    if (earlier < SAME_PLACE_M) {
      // Later than the model: that is driven, and shows whether the corner is still made.
      return;
    }
    double shift = earlier / road.stepM();
    int reach = (int) Math.ceil(shift);
    int acting = road.indexOf(page.brake().atM());
    int span = road.ahead(acting, road.indexOf(slowestAfterM(page)));
    for (int k = -reach; k <= span; k++) {
      int at = road.wrap(acting + k);
      double there = Math.min(span, k + shift);
      cap[at] = Math.min(cap[at], speedAt(acting, there));
    }
  }

  /** Where the braking leads to; a corner may be slowest before it is braked for another bend. */
  private double slowestAfterM(CornerPage page) {
    double brakeAtM = page.brake().atM();
    if (road.offsetBetween(brakeAtM, page.lowestSpeedAtM()) > 0) {
      return page.lowestSpeedAtM();
    }
    double releaseM =
        page.trailBrake() == null ? page.exit().trackOutM() : page.trailBrake().releaseM();
    return road.offsetBetween(brakeAtM, releaseM) > 0 ? releaseM : brakeAtM;
  }

  /** Speed of the lap between two samples. */
  private double speedAt(int from, double position) {
    int k = (int) Math.floor(position);
    double before = base.speedAt(road.wrap(from + k));
    double after = base.speedAt(road.wrap(from + k + 1));
    return before + (position - k) * (after - before);
  }

  private void apexSpeed(CornerPage page, double speedMps) {
    if (speedMps > page.lowestSpeedMps() - SAME_SPEED_MPS) {
      return;
    }
    double share = speedMps / page.lowestSpeedMps();
    int from = road.indexOf(page.turnIn().atM());
    int span = road.ahead(from, road.indexOf(page.exit().trackOutM()));
    for (int k = 0; k <= span; k++) {
      int i = road.wrap(from + k);
      cap[i] = Math.min(cap[i], Math.max(speedMps, share * base.limitSpeedAt(i)));
    }
    int slowest = road.indexOf(page.lowestSpeedAtM());
    cap[slowest] = Math.min(cap[slowest], speedMps);
  }

  private void throttle(CornerPage page, double firstM) {
    if (page.throttle().firstM() == null) {
      remark(page, "throttle.first_m", Sentence.of("own.flat"));
      return;
    }
    double later = road.offsetBetween(page.throttle().firstM(), firstM);
    if (later < SAME_PLACE_M) {
      return;
    }
    int from = road.indexOf(page.throttle().firstM());
    int span = road.samples(later);
    for (int k = 0; k < span; k++) {
      noDrive[road.wrap(from + k)] = true;
    }
  }

  private void remark(CornerPage page, String field, Sentence said) {
    remarks.add(new Remark(page.corner(), field, said));
  }
}
