package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.GivesWay;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PedalWork;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.Pedals;
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

  /** Where it is looked for pressures of the driver's own: his may be far too low. */
  private static final double MOST_FACTOR = 3;

  /** Coarse steps towards it: a wheel that locks slows no more. */
  private static final double FACTOR_STEP = 1.1;

  /** Coarse steps find the side on which a solution lies, halvings the place to a millimetre. */
  private static final double STEP_M = 5;

  private static final int HALVINGS = 12;

  /** A speed that is reached is within this share of what was wanted. */
  private static final double NEAR_SHARE = 0.95;

  /** Half a km/h. */
  private static final double FELT_MPS = 0.14;

  /** Farther beside its line than this a car came in too fast. */
  private static final double WIDE_M = 0.3;

  /** The same of what is written down, beyond what the page's own does. */
  private static final double SHAPED_WIDE_M = 0.05;

  /** Nobody brakes later for it to be so far beside the line anywhere. */
  private static final double FAR_WIDE_M = 0.1;

  private final Lap lap;
  private final UsedGrip used;
  private final Drive.Part part;
  private final int slowest;
  private final PedalTrace trace;
  private final CornerPoints of;
  private final CornerPoints wanted;
  private final OwnPedals.Shape shape;

  /** What is to be found anew. */
  private final GivesWay givesWay;

  /** What the feet do as it is written down; null where the lap's is stretched. */
  private final PedalWork work;

  /** What comes of the page's own work, which his stands against; null where that is the lap. */
  private final Drive.Result asWritten;

  private final Double apexMps;

  private OwnFeet(
      OwnFeet base,
      CornerPoints wanted,
      OwnPedals.Shape shape,
      GivesWay givesWay,
      PedalWork work,
      Drive.Result asWritten,
      Double apexMps) {
    this.lap = base.lap;
    this.used = base.used;
    this.part = base.part;
    this.slowest = base.slowest;
    this.trace = base.trace;
    this.of = base.of;
    this.wanted = wanted;
    this.shape = shape;
    this.givesWay = givesWay;
    this.work = work;
    this.asWritten = asWritten;
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
    this.givesWay = GivesWay.NOTHING;
    this.work = null;
    this.asWritten = null;
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
   * @param pressFactor factor on the driver's own pressures, where that was solved for; else null
   */
  record Driving(Drive.Result result, Double brakeAtM, Double pressFactor) {}

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
    boolean shaped = own.presses() != null || own.phases() != null;
    boolean differs = !pressures.equals(OwnPedals.Shape.SAME) || own.presses() != null;
    boolean faster =
        of.brakes()
            && own.apexSpeedMps() != null
            && own.apexSpeedMps() > page.lowestSpeedMps() + 0.05;
    return new OwnFeet(
        this,
        points(page, own),
        pressures,
        differs && (of.brakes() || own.presses() != null) ? givesWay(own) : givesWay,
        shaped ? written(page, own) : work,
        shaped ? driven(pedals(page.pedals()), part.count()) : asWritten,
        faster ? own.apexSpeedMps() : apexMps);
  }

  /** Who says nothing finds the place for pressures of his own, and keeps a place of his own. */
  private static GivesWay givesWay(OwnValues own) {
    boolean keepsPoint = own.brakeAtM() != null;
    if (own.givesWay() == null || keepsPoint && own.givesWay() == GivesWay.BRAKE_POINT) {
      return keepsPoint || !changesPressures(own) ? GivesWay.NOTHING : GivesWay.BRAKE_POINT;
    }
    return own.givesWay();
  }

  /** The page's work with the driver's own in its place, and his points on top of it. */
  private static PedalWork written(CornerPage page, OwnValues own) {
    PedalWork work = page.pedals();
    for (PageField field : List.of(PageField.PRESSES, PageField.PHASES)) {
      Object value = own.get(field);
      work = value == null ? work : field.laidOver(page.but().pedals(work).build(), value).pedals();
    }
    return work.withPoints(own);
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
    return own.brakeAtM() == null
        && (own.initialPct() != null || own.turnInPct() != null || own.presses() != null);
  }

  private static double share(Double own, Double model) {
    return own == null || model == null || model < 1 ? 1 : own / model;
  }

  /** Whether nothing is done otherwise than in the lap. */
  boolean asTheLap() {
    return work == null
        && of.equals(wanted)
        && shape.equals(OwnPedals.Shape.SAME)
        && apexMps == null;
  }

  private KnotPedals pedals(PedalWork written) {
    return new KnotPedals(lap, part, trace, of, written);
  }

  /** Whether what the feet do is written down. */
  boolean isWritten() {
    return work != null;
  }

  /** The drive that his is compared with. */
  Drive.Result pageDrive() {
    return asWritten == null ? driven(trace, part.count()) : asWritten;
  }

  /** Drives, solving for what the wishes leave open. */
  Driving drive() {
    Feet feet = work == null ? new OwnPedals(trace, of, wanted, shape) : pedals(work);
    double target = apexMps != null ? apexMps : pageDrive().speedsMps()[slowest];
    boolean reaches = work != null && reaches(driven(feet, slowest), target);
    if (givesWay == GivesWay.BRAKE_POINT) {
      double later = reaches ? 0 : laterThatReaches(target, feet);
      Road road = lap.path().road();
      double atM = road.wrapStation(road.stationAt(part.start()) + actM() + later);
      return new Driving(driven(feet.brakingLater(later), part.count()), atM, null);
    }
    if (givesWay == GivesWay.PRESSURE) {
      double factor = reaches ? 1 : pressureThatReaches(target, feet);
      return new Driving(driven(feet.pressed(factor), part.count()), null, factor);
    }
    if (apexMps != null) {
      double factor = bisected(1, LEAST_FACTOR, target, feet::pressed);
      return new Driving(driven(feet.pressed(factor), part.count()), null, null);
    }
    return new Driving(driven(feet, part.count()), null, null);
  }

  /** Where the foot leaves the throttle, in metres of the part. */
  private double actM() {
    return work == null || work.presses().isEmpty()
        ? wanted.actM()
        : metres(work.presses().get(0).onM());
  }

  /** The least pressure that brings the car to a speed, up to what a pedal can be pressed. */
  private double pressureThatReaches(double targetMps, Feet feet) {
    double last = 1;
    boolean fastFirst = tooFast(driven(feet, slowest), targetMps);
    double step = fastFirst ? FACTOR_STEP : 1 / FACTOR_STEP;
    double next = 1;
    do {
      last = next;
      next = last * step;
      if (next > MOST_FACTOR || next < LEAST_FACTOR) {
        return last;
      }
    } while (tooFast(driven(feet.pressed(next), slowest), targetMps) == fastFirst);
    return bisected(Math.max(last, next), Math.min(last, next), targetMps, feet::pressed);
  }

  /**
   * The latest braking that still brings the car to a speed, looked for from the lap's own brake
   * point on: far earlier or later the car stands, or is off the road.
   */
  private double laterThatReaches(double targetMps, Feet pedals) {
    double found = bracketed(targetMps, pedals);
    double there = driven(pedals.brakingLater(found), slowest).speedsMps()[slowest];
    // Pressures that slide wherever they begin have no such point: then the lap's own stays, as
    // where the car would come wide behind the slowest place.
    boolean laterIsWide =
        found > 0 && widestM(pedals.brakingLater(found)) > Math.max(FAR_WIDE_M, widestM(pedals));
    return there >= NEAR_SHARE * targetMps && !laterIsWide ? found : 0;
  }

  private double widestM(Feet feet) {
    return driven(feet, part.count()).widestM();
  }

  private double bracketed(double targetMps, Feet pedals) {
    boolean fastFirst = tooFast(driven(pedals, slowest), targetMps);
    double step = fastFirst ? -STEP_M : STEP_M;
    double most = fastFirst ? -Math.min(EARLIER_M, actM()) : LATER_M;
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
      double slow, double fast, double targetMps, java.util.function.DoubleFunction<Feet> feet) {
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

  /** Whether a speed is met as near as a driver feels it. */
  private boolean reaches(Drive.Result drive, double targetMps) {
    return !tooFast(drive, targetMps + FELT_MPS)
        && drive.speedsMps()[slowest] > targetMps - FELT_MPS;
  }

  /** Who slides in scrubs speed off: running wide tells that it was too much. */
  private boolean tooFast(Drive.Result drive, double targetMps) {
    double wideM =
        asWritten == null ? WIDE_M : SHAPED_WIDE_M + Math.abs(asWritten.besideM()[slowest]);
    return Math.abs(drive.besideM()[slowest]) > wideM || drive.speedsMps()[slowest] > targetMps;
  }

  private Drive.Result driven(Pedals pedals, int count) {
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
    for (PageField field : List.of(PageField.PRESSES, PageField.PHASES)) {
      if (own.get(field) != null) {
        fields.add(field.path());
      }
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
