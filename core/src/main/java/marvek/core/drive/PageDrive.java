package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Path;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.line.Corridor;
import marvek.core.page.CornerPage;
import marvek.core.page.Driven;
import marvek.core.page.OwnValues;
import marvek.core.page.Remark;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;
import marvek.core.say.Sentence;

/**
 * Drives the pages of a lap as they are written: whether each corner is made, what it asks of the
 * tyres, and what the driver's own points do to the speeds.
 */
public final class PageDrive {
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
  private final CornerTasks tasks;
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
    this.tasks = new CornerTasks(lap, pages);
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

  /** A page driven as the lap itself does, from a sample on. */
  public record AsTheLap(int start, Drive.Result result) {}

  /** Drives a page as the lap itself does; for checks. */
  public static AsTheLap asTheLap(Lap lap, Circuit circuit, List<CornerPage> pages, int number) {
    PageDrive worker = new PageDrive(lap, circuit, pages);
    CornerTask task = worker.tasks.task(number, CornerTasks.RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, worker.used, task.part(), task.points());
    return new AsTheLap(task.part().start(), Drive.of(lap, worker.used, trace, task.part()));
  }

  /** Drives one page; answers whether that changed the lap. */
  private boolean drive(int number, List<OwnValues> own) {
    CornerPage page = pages.get(number);
    boolean pressures =
        own.stream().anyMatch(o -> o.corner() == page.corner() && OwnFeet.changesPressures(o));
    Lap footed = footed(page, own);
    CornerTasks of = footed == lap ? tasks : new CornerTasks(footed, pages);
    CornerTask task = of.task(number, pressures ? CornerTasks.LONG_RUN_UP_M : CornerTasks.RUN_UP_M);
    PedalTrace trace = PedalTrace.of(footed, used, task.part(), task.points());
    if (own.stream().noneMatch(o -> o.corner() == page.corner())) {
      driven.add(told(task, Drive.of(lap, used, trace, task.corner()), List.of(), null, null));
      return false;
    }
    OwnFeet feet = OwnFeet.of(footed, used, task.part(), trace, task.points(), task.slowest());
    for (OwnValues values : own) {
      feet = values.corner() == page.corner() ? feet.with(page, values) : feet;
    }
    Drive.Result asLap = feet.pageDrive();
    if (feet.asTheLap()) {
      driven.add(told(task, asLap, own, null, null));
      return false;
    }
    OwnFeet.Driving driving = feet.drive();
    Driven told = told(task, driving.result(), own, driving.brakeAtM(), driving.pressFactor());
    driven.add(told);
    if (!told.made()) {
      // The time of a car that is off the road says nothing: the lap stays the model's here.
      say(page, own, notMade(told));
      return false;
    }
    if (told.gripNeeded() > SLIDING * lap.conditions().gripUsed()) {
      say(page, own, sliding(told));
    }
    sayNotReached(page, own, driving.result().speedsMps()[task.slowest()]);
    for (int k = 0; k <= task.part().count(); k++) {
      int i = road.wrap(task.part().start() + k);
      double drivenMps = driving.result().speedsMps()[k];
      speeds[i] *=
          feet.isWritten()
              ? shareOfWritten(lap.speedAt(i), asLap.speedsMps()[k], drivenMps)
              : shareOf(lap.speedAt(i), asLap.speedsMps()[k], drivenMps);
    }
    return true;
  }

  /** The lap of somebody who brakes for a corner with a foot of his own. */
  private Lap footed(CornerPage page, List<OwnValues> own) {
    return own.stream()
        .filter(o -> o.corner() == page.corner() && o.feet() != null)
        .findFirst()
        .map(o -> lap.footed(o.feet()))
        .orElse(lap);
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

  /**
   * @param own values, for their gates
   * @param brakeAtM brake point that was found for pressures of the driver's own, or null
   * @param pressFactor factor on them that was found for his own point, or null
   */
  private Driven told(
      CornerTask task,
      Drive.Result drive,
      List<OwnValues> own,
      Double brakeAtM,
      Double pressFactor) {
    int start = task.part().start();
    double wide = 0;
    int wideAt = 0;
    double beyond = 0;
    int beyondAt = 0;
    int hardest = 0;
    int outward = task.page().direction() == Side.LEFT ? -1 : 1;
    for (int k = 0; k <= task.reach(); k++) {
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
        task.page().corner(),
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
        pressFactor,
        besideGates(task, drive, own));
  }

  /** At gates before the part that is driven the car is on its line. */
  private List<Double> besideGates(CornerTask task, Drive.Result drive, List<OwnValues> own) {
    double startM = road.stationAt(task.part().start());
    return own.stream()
        .filter(values -> values.corner() == task.page().corner() && values.gates() != null)
        .flatMap(values -> values.gates().list().stream())
        .map(gate -> road.samples(road.offsetBetween(startM, gate.atM())))
        .map(k -> k < 0 || k >= drive.besideM().length ? 0 : drive.besideM()[k])
        .toList();
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
