package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.laps.ReadLap;
import marvek.core.laps.Thresholds;
import marvek.core.page.CornerPage;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;

/**
 * Accounts of laps against a page's lap, in driving order. A corner's account is the change of the
 * running loss from its lift to the next corner's; within it the approach ends where the brake
 * comes off. Source: the method's own ({@code R(s)} with the cost to go), checked against drives of
 * known slips.
 */
public final class Accounts {
  private final Road road;
  private final List<CornerPage> pages;
  private final List<Stakes> stakes;
  private final ReadLap page;
  private final PedalsFromSpeed pedals;
  private final CostToGo toGo;
  private final ExitDrive exit;
  private final CornerCuts cuts;

  /**
   * @param stakes in the order of the pages
   * @param lap the page's, as it was solved
   * @param page the same, read as the driven ones are
   */
  public Accounts(
      List<CornerPage> pages, List<Stakes> stakes, Lap lap, ReadLap page, Thresholds thresholds) {
    this.road = lap.path().road();
    this.pages = List.copyOf(pages);
    this.stakes = List.copyOf(stakes);
    this.pedals = new PedalsFromSpeed(lap);
    this.page = pedals.known(page);
    this.toGo = CostToGo.of(lap);
    this.exit = new ExitDrive(lap, toGo);
    this.cuts = new CornerCuts(road, pages, thresholds);
  }

  /** The accounts of a lap that was recorded from line to line. */
  public LapAccounts of(ReadLap recorded) {
    ReadLap lap = pedals.known(recorded);
    RunningLoss loss = new RunningLoss(lap.along(), page.along(), road, toGo);
    List<CornerCuts.Cut> parted = cuts.of(lap, page);
    List<CornerAccount> corners = new ArrayList<>();
    for (int p = 0; p < pages.size(); p++) {
      double to = p + 1 < pages.size() ? parted.get(p + 1).fromM() : road.lengthM();
      CornerCase corner =
          new CornerCase(
              road,
              pages.get(p),
              stakes.get(p),
              page.corners().get(p),
              lap.corners().get(p),
              page.along(),
              lap.along(),
              parted.get(p).fromM(),
              parted.get(p).offM(),
              to,
              Math.max(page.lineErrorM(), lap.lineErrorM()),
              loss,
              exit);
      double begun = p == beginsWith() ? loss.at(parted.get(0).fromM()) - loss.broughtS() : 0;
      corners.add(account(corner, loss, begun));
    }
    return new LapAccounts(loss.lapS(), loss.broughtS(), loss.handedOnS(), corners);
  }

  /** Whose straight the start line lies on: the last corner's, but on an open road nobody's. */
  private int beginsWith() {
    return road.closed() ? pages.size() - 1 : 0;
  }

  /**
   * @param overTheLineS lost from the start line to the first lift
   */
  private CornerAccount account(CornerCase corner, RunningLoss loss, double overTheLineS) {
    double before = loss.at(corner.offM()) - loss.at(corner.fromM());
    double behind = loss.at(corner.toM()) - loss.at(corner.offM()) + overTheLineS;
    double lap = corner.lapSpeedAt(corner.offM());
    double own = corner.pageSpeedAt(corner.offM());
    double carried = toGo.behindS(corner.offM(), lap) - toGo.behindS(corner.offM(), own);
    double drivenOn = drivenOn(corner, lap) - drivenOn(corner, own);
    double lowered = drivenOn > 0 ? loweredS(corner) : 0;
    double approach = before - carried - lowered;
    // Who brakes later than down to the lower speed along the page's curve has not lost all of it.
    double later = Math.max(0, Math.min(lowered, -approach));
    approach += later;
    double speed = drivenOn + lowered - later;
    double out = before + behind - approach - speed;
    return new CornerAccount(
        corner.page().corner(),
        corner.fromM(),
        corner.offM(),
        corner.toM(),
        approach,
        speed,
        out,
        loss.speedCostAt(corner.toM()),
        Claims.of(corner, approach, speed, out));
  }

  private double drivenOn(CornerCase corner, double speed) {
    return exit.seconds(corner.offM(), corner.toM(), speed, ExitDrive.AS_THE_PAGE);
  }

  /** What the page's braking takes longer for, drawn down to a lower speed at its end. */
  private double loweredS(CornerCase corner) {
    Double on = corner.page().braking().onM();
    if (on == null) {
      return 0;
    }
    double lower = corner.slowerSquared();
    double step = page.along().stepM();
    double seconds = 0;
    for (int k = page.along().indexOf(Math.max(0, on)); k * step < corner.offM(); k++) {
      double v = page.along().speedAt(k);
      double rest = v * v - lower;
      seconds += rest > 1 ? step * (1 / Math.sqrt(rest) - 1 / v) : 0;
    }
    return seconds;
  }
}
