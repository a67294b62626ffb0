package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;

/**
 * What a driver wants to do otherwise in one corner, and the drive that comes of it. Where a wish
 * leaves something open it is solved for: pressures of one's own give the brake point way, a higher
 * speed at the apex the pressure.
 */
final class OwnFeet {
  /** A brake point is looked for so far before the lap's and after it. */
  private static final double EARLIER_M = 150;

  /** Later than so much no car is slowed in time. */
  private static final double LATER_M = 40;

  /** Pressure is scaled between this and full in so many halvings: to a thousandth. */
  private static final double LEAST_FACTOR = 0.3;

  /** Coarse steps find the side on which a solution lies, halvings the place to a millimetre. */
  private static final double STEP_M = 5;

  private static final int HALVINGS = 12;

  /** A speed that is reached is within this share of what was wanted. */
  private static final double NEAR_SHARE = 0.95;

  /** Farther beside its line than this a car came in too fast. */
  private static final double WIDE_M = 0.3;

  private final Lap lap;
  private final UsedGrip used;
  private final Drive.Part part;
  private final int slowest;
  private final PedalTrace trace;
  private final CornerPoints of;
  private final CornerPoints wanted;
  private final OwnPedals.Shape shape;
  private final boolean findsBrakePoint;
  private final Double apexMps;

  private OwnFeet(
      OwnFeet base,
      CornerPoints wanted,
      OwnPedals.Shape shape,
      boolean findsBrakePoint,
      Double apexMps) {
    this.lap = base.lap;
    this.used = base.used;
    this.part = base.part;
    this.slowest = base.slowest;
    this.trace = base.trace;
    this.of = base.of;
    this.wanted = wanted;
    this.shape = shape;
    this.findsBrakePoint = findsBrakePoint;
    this.apexMps = apexMps;
  }

  private OwnFeet(
      Lap lap, UsedGrip used, Drive.Part part, PedalTrace trace, CornerPoints of, int slowest) {
    this.lap = lap;
    this.used = used;
    this.part = part;
    this.slowest = slowest;
    this.trace = trace;
    this.of = of;
    this.wanted = of;
    this.shape = OwnPedals.Shape.SAME;
    this.findsBrakePoint = false;
    this.apexMps = null;
  }

  /**
   * The lap's own feet.
   *
   * @param slowest position of the slowest place in the part
   */
  static OwnFeet of(
      Lap lap, UsedGrip used, Drive.Part part, PedalTrace trace, CornerPoints of, int slowest) {
    return new OwnFeet(lap, used, part, trace, of, slowest);
  }

  /**
   * A drive and what was found for it.
   *
   * @param brakeAtM where the foot leaves the throttle, where that was solved for; else null
   */
  record Driving(Drive.Result result, Double brakeAtM) {}

  /**
   * What a driver wants instead.
   *
   * @param page the model's, for the pressures that the driver's own stand against
   * @param own the driver's own values of the corner
   */
  OwnFeet with(CornerPage page, OwnValues own) {
    Double turnInPct = page.trailBrake() == null ? null : page.trailBrake().atTurnInPct();
    double initial = share(own.initialPct(), page.brake().initialPct());
    double turnIn = share(own.turnInPct(), turnInPct);
    OwnPedals.Shape pressures =
        own.initialPct() == null && own.turnInPct() == null
            ? shape
            : new OwnPedals.Shape(initial, turnIn);
    boolean finds = !pressures.equals(OwnPedals.Shape.SAME) && changesPressures(own);
    boolean faster =
        of.brakes()
            && own.apexSpeedMps() != null
            && own.apexSpeedMps() > page.lowestSpeedMps() + 0.05;
    return new OwnFeet(
        this,
        points(page, own),
        pressures,
        finds && of.brakes(),
        faster ? own.apexSpeedMps() : apexMps);
  }

  /** What is earlier on the brake or later on the throttle than the page is in the lap already. */
  private CornerPoints points(CornerPage page, OwnValues own) {
    double later = Math.max(0, moved(page.brake().atM(), own.brakeAtM()));
    double act = of.actM() + later;
    double brake = of.brakeM() + later;
    double first = of.firstM() + Math.min(0, moved(page.throttle().firstM(), own.throttleFirstM()));
    double release = of.releaseM();
    if (own.releaseM() == null) {
      // One foot: who is on the throttle earlier is off the brake earlier.
      release = Math.min(release, Math.max(first, brake + 1));
    } else {
      release = Math.max(metres(own.releaseM()), brake + 2);
      first = Math.max(first, release);
    }
    double full = first > of.firstM() ? of.fullM() + first - of.firstM() : of.fullM();
    if (own.throttleFullM() != null) {
      full = metres(own.throttleFullM());
    }
    double turnIn = own.turnInM() == null ? of.turnInM() : metres(own.turnInM());
    return new CornerPoints(
        act, brake, turnIn, release, first, first < full ? full : first + 1, of.approachMps());
  }

  /** How much later than the page's point the driver's own is; 0 where it is the same. */
  private double moved(Double pageM, Double ownM) {
    if (pageM == null || ownM == null) {
      return 0;
    }
    double later = lap.path().road().offsetBetween(pageM, ownM);
    return Math.abs(later) < OwnPedals.SAME_M ? 0 : later;
  }

  private double metres(double stationM) {
    Road road = lap.path().road();
    return road.offsetBetween(road.stationAt(part.start()), stationM);
  }

  /** Whether the driver has pressures of his own and leaves the brake point open. */
  static boolean changesPressures(OwnValues own) {
    return own.brakeAtM() == null && (own.initialPct() != null || own.turnInPct() != null);
  }

  private static double share(Double own, Double model) {
    return own == null || model == null || model < 1 ? 1 : own / model;
  }

  /** Whether nothing is done otherwise than in the lap. */
  boolean asTheLap() {
    return of.equals(wanted) && shape.equals(OwnPedals.Shape.SAME) && apexMps == null;
  }

  /** Drives, solving for what the wishes leave open. */
  Driving drive() {
    OwnPedals pedals = new OwnPedals(trace, of, wanted, shape);
    double target =
        apexMps != null ? apexMps : lap.speedAt(lap.path().road().wrap(part.start() + slowest));
    if (findsBrakePoint) {
      double later = laterThatReaches(target, pedals);
      Road road = lap.path().road();
      double atM = road.wrapStation(road.stationAt(part.start()) + wanted.actM() + later);
      return new Driving(driven(pedals.brakingLater(later), part.count()), atM);
    }
    if (apexMps != null) {
      double factor = bisected(1, LEAST_FACTOR, target, f -> pedals.shaped(shape.times(f)));
      return new Driving(driven(pedals.shaped(shape.times(factor)), part.count()), null);
    }
    return new Driving(driven(pedals, part.count()), null);
  }

  /**
   * The latest braking that still brings the car to a speed, looked for from the lap's own brake
   * point on: far earlier or later the car stands, or is off the road.
   */
  private double laterThatReaches(double targetMps, OwnPedals pedals) {
    double found = bracketed(targetMps, pedals);
    double there = driven(pedals.brakingLater(found), slowest).speedsMps()[slowest];
    // Pressures that slide wherever they begin have no such point: then the lap's own stays.
    return there >= NEAR_SHARE * targetMps ? found : 0;
  }

  private double bracketed(double targetMps, OwnPedals pedals) {
    boolean fastFirst = tooFast(driven(pedals, slowest), targetMps);
    double step = fastFirst ? -STEP_M : STEP_M;
    double most = fastFirst ? -Math.min(EARLIER_M, of.actM()) : LATER_M;
    double last = 0;
    double next = 0;
    do {
      last = next;
      next = last + step;
      if (Math.abs(next) > Math.abs(most)) {
        return last;
      }
    } while (tooFast(driven(pedals.brakingLater(next), slowest), targetMps) == fastFirst);
    return bisected(Math.min(last, next), Math.max(last, next), targetMps, pedals::brakingLater);
  }

  /** Value between one that leaves the car slower than wanted and one that leaves it faster. */
  private double bisected(
      double slow,
      double fast,
      double targetMps,
      java.util.function.DoubleFunction<OwnPedals> feet) {
    double low = slow;
    double high = fast;
    for (int h = 0; h < HALVINGS; h++) {
      double middle = (low + high) / 2;
      if (tooFast(driven(feet.apply(middle), slowest), targetMps)) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return low;
  }

  /** Who slides in scrubs speed off: running wide tells that it was too much. */
  private boolean tooFast(Drive.Result drive, double targetMps) {
    return Math.abs(drive.besideM()[slowest]) > WIDE_M || drive.speedsMps()[slowest] > targetMps;
  }

  private Drive.Result driven(OwnPedals pedals, int count) {
    return Drive.of(
        lap, used, pedals, new Drive.Part(part.start(), count, part.fromM(), part.toM()));
  }

  /** Names of own values that ask for more than the model does. */
  static List<String> beyondTheModel(CornerPage page, OwnValues own) {
    List<String> fields = new ArrayList<>();
    later(fields, "brake.at_m", page.brake().atM(), own.brakeAtM());
    later(fields, "throttle.first_m", own.throttleFirstM(), page.throttle().firstM());
    later(fields, "throttle.full_m", own.throttleFullM(), page.throttle().fullM());
    later(fields, "apexes.speed_mps", page.lowestSpeedMps(), own.apexSpeedMps());
    if (own.initialPct() != null) {
      fields.add("brake.initial_pct");
    }
    if (own.turnInM() != null) {
      fields.add("turnIn.at_m");
    }
    if (own.turnInPct() != null) {
      fields.add("trailBrake.atTurnIn_pct");
    }
    if (own.releaseM() != null) {
      fields.add("trailBrake.release_m");
    }
    return fields;
  }

  private static void later(List<String> fields, String field, Double first, Double second) {
    if (first != null && second != null && second > first) {
      fields.add(field);
    }
  }
}
