package marvek.core.drive;

import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.conditions.Footwork;
import marvek.core.page.CornerPage;
import marvek.core.profile.Drive;
import marvek.core.profile.Lap;
import marvek.core.profile.UsedGrip;

/**
 * What the way of a foot from throttle to brake costs in a corner. The lap itself takes no account
 * of it: its page is driven with each way of braking.
 */
public final class FeetCost {
  private FeetCost() {}

  /**
   * Time that a corner takes more than with the lap's own feet [s].
   *
   * @param number index of the page
   */
  public static double lostS(Lap lap, List<CornerPage> pages, int number, Footwork feet) {
    return overTheLapS(lap.footed(feet), pages, number) - overTheLapS(lap, pages, number);
  }

  /** How much later the foot may act than the lap's own feet have to [m]. */
  public static double laterM(Lap lap, List<CornerPage> pages, int number, Footwork feet) {
    double own = actsAtM(lap, pages, number);
    return lap.path().road().offsetBetween(own, actsAtM(lap.footed(feet), pages, number));
  }

  private static double actsAtM(Lap lap, List<CornerPage> pages, int number) {
    CornerTask task = new CornerTasks(lap, pages).task(number, CornerTasks.LONG_RUN_UP_M);
    Road road = lap.path().road();
    return road.wrapStation(road.stationAt(task.part().start()) + task.points().actM());
  }

  private static double overTheLapS(Lap lap, List<CornerPage> pages, int number) {
    CornerTask task = new CornerTasks(lap, pages).task(number, CornerTasks.LONG_RUN_UP_M);
    UsedGrip used = UsedGrip.of(lap);
    Drive.Part part = task.part();
    Drive.Result drive = Drive.of(lap, used, PedalTrace.of(lap, used, part, task.points()), part);
    Road road = lap.path().road();
    double lost = 0;
    for (int k = 0; k < part.count(); k++) {
      int i = road.wrap(part.start() + k);
      double driven = drive.speedsMps()[k] + drive.speedsMps()[k + 1];
      double own = lap.speedAt(i) + lap.speedAt(road.wrap(i + 1));
      lost += 2 * lap.path().elementAt(i) * (1 / driven - 1 / own);
    }
    return lost;
  }
}
