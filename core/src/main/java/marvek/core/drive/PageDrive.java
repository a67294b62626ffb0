package marvek.core.drive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.event.BrakingZone;
import marvek.core.line.Corridor;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.Driven;
import marvek.core.page.OwnValues;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Press;
import marvek.core.page.Remark;
import marvek.core.page.Stakes;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;
import marvek.core.say.Sentence;

/**
 * Drives the pages of a lap as they are written: whether each corner is made, what it asks of the
 * tyres, and what the driver's own points do to the speeds.
 */
public final class PageDrive {
  /** Slips of a lift that are told with their cost. */
  private static final double LIFT_EARLY_M = 5;

  private static final double LIFT_DEEPER_PCT = 10;

  /** The drive begins so far before the corner's first point. */
  private static final double RUN_UP_M = 40;

  /** The same where the brake point is looked for. */
  private static final double LONG_RUN_UP_M = 150;

  /** Braking that ends up to here after the slowest place still belongs to the corner. */
  private static final double END_TOLERANCE_M = 15;

  /** A zone of the lap farther away than this is another corner's. */
  private static final double FARTHEST_ZONE_M = 120;

  /** The first throttle is looked for so far behind the brakes. */
  private static final double LONGEST_COAST_M = 600;

  /** Beyond the road by less than this is a matter of the survey, not of the driver. */
  private static final double LEAST_BEYOND_M = 0.25;

  /** Wide by less than this is rounding of the forward drive. */
  private static final double LEAST_WIDE_M = 0.05;

  /** More than this of the grip that the page uses is a slide. */
  private static final double SLIDING = 1.02;

  /** Slower than its page by less than about 1 km/h a driver does not notice. */
  private static final double NOT_REACHED_MPS = 0.3;

  private final Lap lap;
  private final Path path;
  private final Road road;
  private final Corridor room;
  private final List<CornerPage> pages;
  private final UsedGrip used;
  private final List<BrakingZone> zones;
  private final double[] speeds;
  private final List<Driven> driven = new ArrayList<>();
  private final List<Remark> remarks = new ArrayList<>();

  private PageDrive(Lap lap, Circuit circuit, List<CornerPage> pages) {
    this.lap = lap;
    this.path = lap.path();
    this.road = path.road();
    this.pages = pages;
    this.room = Corridor.of(circuit, road, lap.vehicle(), lap.conditions(), 0);
    this.used = UsedGrip.of(lap);
    this.zones = BrakingZone.of(lap);
    this.speeds = new double[lap.size()];
    for (int i = 0; i < speeds.length; i++) {
      speeds[i] = lap.speedAt(i);
    }
  }

  /**
   * All pages driven.
   *
   * @param lap with what the driver's own points do to it
   * @param driven one for each page
   * @param remarks what is not made, at the driver's own values that ask for it
   */
  public record Result(Lap lap, List<Driven> driven, List<Remark> remarks) {}

  /**
   * Drives the pages of a lap.
   *
   * @param lap the model with those own values that it can follow
   * @param pages the model's pages, whose points the driver's own stand against
   */
  public static Result of(Lap lap, Circuit circuit, List<CornerPage> pages, List<OwnValues> own) {
    PageDrive worker = new PageDrive(lap, OwnKerbs.on(circuit, pages, own), pages);
    boolean changed = false;
    for (int p = 0; p < pages.size(); p++) {
      changed |= worker.drive(p, own);
    }
    Lap result = changed ? lap.withSpeeds(worker.speeds) : lap;
    return new Result(result, worker.driven, worker.remarks);
  }

  /** A page's own part of the lap and its points there. */
  private record Task(
      CornerPage page, Drive.Part part, CornerPoints points, int slowest, int reach) {
    /** The part up to the corner's own end: what is told of it lies there. */
    Drive.Part corner() {
      return new Drive.Part(
          part.start(), Math.max(0, Math.min(part.count(), reach + 1)), part.fromM(), part.toM());
    }
  }

  private Task task(int number, double runUpM) {
    CornerPage page = pages.get(number);
    int slowest = road.indexOf(page.lowestSpeedAtM());
    BrakingZone zone = brakingZone(page);
    int begin = zone == null ? road.indexOf(page.turnIn().atM()) : zone.begin();
    boolean slowBefore = road.offsetBetween(road.stationAt(begin), page.lowestSpeedAtM()) < 0;
    double actingWayM = zone == null ? 0 : zone.actingWayM(lap);
    int start = begin(slowBefore ? slowest : begin, actingWayM + runUpM);
    double nextM = nextBeginM(number, start);
    CornerPoints points = points(page, zone, start, nextM);
    int count = countTo(number, start);
    Drive.Part part = new Drive.Part(start, count, points.brakeM(), points.fullM());
    return new Task(
        page, part, points, road.ahead(start, slowest), reach(page, start, count, nextM));
  }

  /** A page driven as the lap itself does, from a sample on. */
  public record AsTheLap(int start, Drive.Result result) {}

  /** Drives a page as the lap itself does; for checks. */
  public static AsTheLap asTheLap(Lap lap, Circuit circuit, List<CornerPage> pages, int number) {
    PageDrive worker = new PageDrive(lap, circuit, pages);
    Task task = worker.task(number, RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, worker.used, task.part, task.points);
    return new AsTheLap(task.part.start(), Drive.of(lap, worker.used, trace, task.part));
  }

  /** The pages with what the lap's own feet do, as a driver would write it down. */
  public static List<CornerPage> withPedals(Lap lap, Circuit circuit, List<CornerPage> pages) {
    PageDrive worker = new PageDrive(lap, circuit, pages);
    List<CornerPage> written = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      written.add(pages.get(p).but().pedals(worker.work(p)).build());
    }
    return written;
  }

  private PedalWork work(int number) {
    Task task = task(number, RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, used, task.part, task.points);
    return new ModelWork(lap, used, task.part, trace, task.points, task.page, task.slowest).found();
  }

  /** Stakes of the pages with what slips of their lifts cost, as they are driven. */
  public static List<Stakes> withLifts(
      Lap lap, Circuit circuit, List<CornerPage> pages, List<Stakes> stakes) {
    PageDrive worker = new PageDrive(lap, circuit, pages);
    List<Stakes> with = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      boolean lifts = pages.get(p).lift() != null;
      with.add(
          lifts
              ? stakes.get(p).withLift(worker.liftEarly(p), worker.liftDeeper(p))
              : stakes.get(p));
    }
    return with;
  }

  private Double liftEarly(int number) {
    return lost(
        number,
        lift ->
            new Phase(
                Phase.Kind.LIFT,
                road.wrapStation(lift.atM() - LIFT_EARLY_M),
                lift.toPct(),
                lift.untilM() == null ? null : road.wrapStation(lift.untilM() - LIFT_EARLY_M)));
  }

  private Double liftDeeper(int number) {
    boolean leaves = pages.get(number).lift().toPct() >= LIFT_DEEPER_PCT;
    return leaves
        ? lost(
            number,
            lift ->
                new Phase(
                    Phase.Kind.LIFT, lift.atM(), lift.toPct() - LIFT_DEEPER_PCT, lift.untilM()))
        : null;
  }

  /** Time that another first lift costs over the corner and what follows [s]. */
  private double lost(int number, UnaryOperator<Phase> slip) {
    Task task = task(number, RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, used, task.part, task.points);
    List<Phase> phases = new ArrayList<>(task.page.pedals().phases());
    for (int k = 0; k < phases.size(); k++) {
      if (phases.get(k).kind() == Phase.Kind.LIFT) {
        phases.set(k, slip.apply(phases.get(k)));
        break;
      }
    }
    List<Press> presses = task.page.pedals().presses();
    double[] seconds = new double[2];
    List<PedalWork> works = List.of(task.page.pedals(), new PedalWork(presses, phases));
    for (int k = 0; k < 2; k++) {
      KnotPedals pedals = new KnotPedals(lap, task.part, trace, task.points, works.get(k));
      Drive.Result drive = Drive.of(lap, used, pedals, task.part);
      seconds[k] = ModelWork.timeS(lap, task.part.start(), drive);
    }
    // To gain by a slip is rounding of the knots.
    return Math.max(0, seconds[1] - seconds[0]);
  }

  /** Drives one page; answers whether that changed the lap. */
  private boolean drive(int number, List<OwnValues> own) {
    CornerPage page = pages.get(number);
    boolean pressures =
        own.stream().anyMatch(o -> o.corner() == page.corner() && OwnFeet.changesPressures(o));
    Task task = task(number, pressures ? LONG_RUN_UP_M : RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, used, task.part, task.points);
    if (own.stream().noneMatch(o -> o.corner() == page.corner())) {
      driven.add(told(task, Drive.of(lap, used, trace, task.corner()), null, null));
      return false;
    }
    OwnFeet feet = OwnFeet.of(lap, used, task.part, trace, task.points, task.slowest);
    for (OwnValues values : own) {
      feet = values.corner() == page.corner() ? feet.with(page, values) : feet;
    }
    Drive.Result asLap = feet.pageDrive();
    if (feet.asTheLap()) {
      driven.add(told(task, asLap, null, null));
      return false;
    }
    OwnFeet.Driving driving = feet.drive();
    Driven told = told(task, driving.result(), driving.brakeAtM(), driving.pressFactor());
    driven.add(told);
    if (!told.made()) {
      // The time of a car that is off the road says nothing: the lap stays the model's here.
      say(page, own, notMade(told));
      return false;
    }
    if (told.gripNeeded() > SLIDING * lap.conditions().gripUsed()) {
      say(page, own, sliding(told));
    }
    sayNotReached(page, own, driving.result().speedsMps()[task.slowest]);
    for (int k = 0; k <= task.part.count(); k++) {
      int i = road.wrap(task.part.start() + k);
      double drivenMps = driving.result().speedsMps()[k];
      speeds[i] *=
          feet.isWritten()
              ? shareOfWritten(lap.speedAt(i), asLap.speedsMps()[k], drivenMps)
              : shareOf(lap.speedAt(i), asLap.speedsMps()[k], drivenMps);
    }
    return true;
  }

  /**
   * What a drive makes of the lap's speed: the share between the two drives, so that what the
   * foot's time costs in both does not count; but no more than the lap's, unless the drive itself
   * is faster.
   */
  private static double shareOf(double lapMps, double asLapMps, double drivenMps) {
    double share = drivenMps / asLapMps;
    return Math.max(drivenMps / lapMps, Math.min(1, share));
  }

  /**
   * The same of what is written down: the page's own work, as near as it is, makes no difference.
   */
  private static double shareOfWritten(double lapMps, double asWrittenMps, double drivenMps) {
    return Math.min(drivenMps / asWrittenMps, Math.max(1, drivenMps / lapMps));
  }

  private static Sentence notMade(Driven told) {
    return Sentence.of("own.not-made", "at_m", told.beyondAtM());
  }

  private Sentence sliding(Driven told) {
    return Sentence.of(
        "own.slides",
        "asked_pct",
        100 * told.gripNeeded(),
        "at_m",
        told.gripAtM(),
        "used_pct",
        100 * lap.conditions().gripUsed());
  }

  private void sayNotReached(CornerPage page, List<OwnValues> own, double reachedMps) {
    for (OwnValues values : own) {
      boolean here = values.corner() == page.corner() && values.apexSpeedMps() != null;
      if (here && values.apexSpeedMps() > reachedMps + NOT_REACHED_MPS) {
        Sentence said = Sentence.of("own.runs-wide", "reached_mps", reachedMps);
        remarks.add(new Remark(page.corner(), "apexes.speed_mps", said));
      }
    }
  }

  /** Says it at each of the driver's own values that ask for more than the model. */
  private void say(CornerPage page, List<OwnValues> own, Sentence said) {
    for (OwnValues values : own) {
      if (values.corner() == page.corner()) {
        for (String field : OwnFeet.beyondTheModel(page, values)) {
          remarks.add(new Remark(page.corner(), field, said));
        }
      }
    }
  }

  private int begin(int sample, double metresBefore) {
    int back = road.samples(metresBefore);
    return road.closed() ? road.wrap(sample - back) : Math.max(0, sample - back);
  }

  /**
   * First sample on the brakes for a corner and first one off them, of the zone whose release or
   * else brake point is the page's; null without braking.
   */
  private BrakingZone brakingZone(CornerPage page) {
    if (page.brake().atM() == null) {
      // What brakes there are before it belong to the corner before.
      return null;
    }
    Double release = page.trailBrake() == null ? null : page.trailBrake().releaseM();
    return zones.stream()
        .filter(zone -> awayM(zone, page, release) < FARTHEST_ZONE_M)
        .min(Comparator.comparingDouble(zone -> awayM(zone, page, release)))
        .orElse(null);
  }

  private double awayM(BrakingZone zone, CornerPage page, Double releaseM) {
    return releaseM == null
        ? Math.abs(road.offsetBetween(page.brake().atM(), road.stationAt(zone.begin())))
        : Math.abs(road.offsetBetween(releaseM, road.stationAt(zone.end())));
  }

  private CornerPoints points(CornerPage page, BrakingZone zone, int start, double nextM) {
    double step = road.stepM();
    double brake = zone == null ? Double.POSITIVE_INFINITY : step * road.ahead(start, zone.begin());
    double release = zone == null ? Double.POSITIVE_INFINITY : step * road.ahead(start, zone.end());
    double firstM = firstThrottleM(page, zone, start);
    double fullM =
        page.throttle().fullM() == null ? firstM + 1 : metres(start, page.throttle().fullM());
    return new CornerPoints(
        brake - (zone == null ? 0 : zone.actingWayM(lap)),
        brake,
        metres(start, page.turnIn().atM()),
        release,
        firstM,
        Math.max(firstM + 1, Math.min(fullM, nextM)),
        zone == null ? 0 : lap.speedAt(zone.begin()));
  }

  private double firstThrottleM(CornerPage page, BrakingZone zone, int start) {
    if (zone != null) {
      return road.stepM() * road.ahead(start, firstThrottle(zone.end()));
    }
    Double firstM = page.throttle().firstM();
    return firstM == null ? Double.POSITIVE_INFINITY : metres(start, firstM);
  }

  private double metres(int start, double stationM) {
    return road.offsetBetween(road.stationAt(start), stationM);
  }

  private int firstThrottle(int released) {
    int most = road.samples(LONGEST_COAST_M);
    for (int k = 0; k < most; k++) {
      int i = road.wrap(released + k);
      if (lap.throttleShareAt(i) > 0.02) {
        return i;
      }
    }
    return released;
  }

  /** Metres from a drive's beginning to the first point of the next corner; its work is its own. */
  private double nextBeginM(int number, int start) {
    boolean last = number + 1 == pages.size();
    if (pages.size() == 1 || last && !road.closed()) {
      return Double.POSITIVE_INFINITY;
    }
    double beginM = CornerTime.beginsAtM(pages.get((number + 1) % pages.size()), road);
    return road.distance(road.stationAt(start), beginM);
  }

  /** To the slowest place of the next corner: what is lost at the exit is lost down to there. */
  private int countTo(int number, int start) {
    boolean last = number + 1 == pages.size();
    if (last && !road.closed()) {
      return road.size() - 1 - start;
    }
    CornerPage next = pages.get((number + 1) % pages.size());
    int count = road.ahead(start, road.indexOf(next.lowestSpeedAtM()));
    return pages.size() == 1 ? road.size() - 1 : count;
  }

  /** The corner itself ends where the throttle is full and the car is out at the edge. */
  private int reach(CornerPage page, int start, int count, double nextM) {
    double out = metres(start, page.exit().trackOutM());
    double full = page.throttle().fullM() == null ? out : metres(start, page.throttle().fullM());
    double end = Math.min(Math.max(out, full) + END_TOLERANCE_M, Math.max(nextM, 0));
    return Math.min(count, road.samples(end));
  }

  /**
   * @param brakeAtM brake point that was found for pressures of the driver's own, or null
   * @param pressFactor factor on them that was found for his own point, or null
   */
  private Driven told(Task task, Drive.Result drive, Double brakeAtM, Double pressFactor) {
    int start = task.part.start();
    double wide = 0;
    int wideAt = 0;
    double beyond = 0;
    int beyondAt = 0;
    int hardest = 0;
    int outward = task.page.direction() == Side.LEFT ? -1 : 1;
    for (int k = 0; k <= task.reach; k++) {
      if (outward * drive.besideM()[k] > wide) {
        wide = outward * drive.besideM()[k];
        wideAt = k;
      }
      hardest = drive.gripNeeded()[k] > drive.gripNeeded()[hardest] ? k : hardest;
      double past = beyondAt(road.wrap(start + k), drive.besideM()[k]);
      beyondAt = beyond <= LEAST_BEYOND_M && past > LEAST_BEYOND_M ? k : beyondAt;
      beyond = Math.max(beyond, past);
    }
    return new Driven(
        task.page.corner(),
        beyond <= LEAST_BEYOND_M,
        lap.conditions().gripUsed() * drive.gripNeeded()[hardest],
        station(start, hardest),
        wide,
        wide > LEAST_WIDE_M ? station(start, wideAt) : null,
        beyond > LEAST_BEYOND_M ? beyond : 0,
        beyond > LEAST_BEYOND_M ? station(start, beyondAt) : null,
        drive.lockedM(),
        place(start, drive.lockedAtM()).orElse(null),
        drive.spunM(),
        place(start, drive.spunAtM()).orElse(null),
        brakeAtM,
        pressFactor);
  }

  private Double station(int start, int position) {
    return road.stationAt(road.wrap(start + position));
  }

  private Optional<Double> place(int start, double metres) {
    return Double.isNaN(metres)
        ? Optional.empty()
        : Optional.of(road.wrapStation(road.stationAt(start) + metres));
  }

  /**
   * How far the car is beyond what may be used.
   *
   * @param besideM how far it is beside its line, positive to the left
   */
  private double beyondAt(int i, double besideM) {
    double offset = path.offsetAt(i) + besideM;
    return Math.max(offset - room.leftAt(i), room.rightAt(i) - offset);
  }
}
