package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.PedalWork;
import marvek.core.page.Phase;
import marvek.core.page.Stakes;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;

/** What slips of a lift without brakes cost, the page's own knots driven with and without them. */
public final class LiftStakes {
  private static final double EARLY_M = 5;
  private static final double DEEPER_PCT = 10;

  private final Lap lap;
  private final Road road;
  private final List<CornerPage> pages;
  private final UsedGrip used;
  private final CornerTasks tasks;

  private LiftStakes(Lap lap, List<CornerPage> pages) {
    this.lap = lap;
    this.road = lap.path().road();
    this.pages = pages;
    this.used = UsedGrip.of(lap);
    this.tasks = new CornerTasks(lap, pages);
  }

  /** Stakes of the pages with those of their lifts. */
  public static List<Stakes> on(Lap lap, List<CornerPage> pages, List<Stakes> stakes) {
    LiftStakes worker = new LiftStakes(lap, pages);
    return IntStream.range(0, pages.size()).mapToObj(p -> worker.with(p, stakes.get(p))).toList();
  }

  private Stakes with(int number, Stakes stakes) {
    CornerPage page = pages.get(number);
    if (page.lift() == null) {
      return stakes;
    }
    Double deeper = page.lift().toPct() < DEEPER_PCT ? null : lostS(number, LiftStakes::deeper);
    return stakes.withLift(lostS(number, this::earlier), deeper);
  }

  private Phase earlier(Phase lift) {
    double atM = road.wrapStation(lift.atM() - EARLY_M);
    Double untilM = lift.untilM() == null ? null : road.wrapStation(lift.untilM() - EARLY_M);
    return new Phase(lift.kind(), atM, lift.toPct(), untilM);
  }

  private static Phase deeper(Phase lift) {
    return new Phase(lift.kind(), lift.atM(), lift.toPct() - DEEPER_PCT, lift.untilM());
  }

  /** Time over the corner and what follows [s]; to gain by a slip is rounding of the knots. */
  private double lostS(int number, UnaryOperator<Phase> slip) {
    PedalWork work = pages.get(number).pedals();
    return Math.max(0, timeS(number, slipped(work, slip)) - timeS(number, work));
  }

  /** With the first lift another one. */
  private static PedalWork slipped(PedalWork work, UnaryOperator<Phase> slip) {
    List<Phase> phases = new ArrayList<>(work.phases());
    for (int k = 0; k < phases.size(); k++) {
      if (phases.get(k).kind() == Phase.Kind.LIFT) {
        phases.set(k, slip.apply(phases.get(k)));
        break;
      }
    }
    return new PedalWork(work.presses(), phases);
  }

  private double timeS(int number, PedalWork work) {
    CornerTask task = tasks.task(number, CornerTasks.RUN_UP_M);
    PedalTrace trace = PedalTrace.of(lap, used, task.part(), task.points());
    KnotPedals pedals = new KnotPedals(lap, task.part(), trace, task.points(), work);
    return ModelWork.timeS(lap, task.part().start(), Drive.of(lap, used, pedals, task.part()));
  }
}
