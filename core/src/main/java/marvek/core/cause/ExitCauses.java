package marvek.core.cause;

import java.util.ArrayList;
import java.util.List;
import marvek.core.cause.CornerAccount.Part;
import marvek.core.laps.AlongLap;
import marvek.core.laps.Thresholds;

/**
 * What costs time behind the release: each cause is driven on its own from the lap's speed, with
 * the page's throttle but for what it changes.
 */
final class ExitCauses {
  /** A foot that gives by less holds its throttle. */
  private static final double STEADY_PCT = 5;

  /** A fall that takes away less than this of full throttle is a twitch [m]. */
  private static final double LEAST_LIFT_M = 3;

  private final CornerCase corner;
  private final double speed;
  private final double asThePage;

  private ExitCauses(CornerCase corner) {
    this.corner = corner;
    this.speed = corner.lapSpeedAt(corner.offM());
    this.asThePage = seconds(ExitDrive.AS_THE_PAGE);
  }

  static List<Part> of(CornerCase corner) {
    List<Part> parts = new ArrayList<>();
    ExitCauses causes = new ExitCauses(corner);
    causes.heldTooLong(parts);
    causes.heldBack(parts);
    causes.lifted(parts);
    causes.gears(parts);
    return parts;
  }

  private double seconds(ExitDrive.Controls controls) {
    return corner.exit().seconds(corner.offM(), corner.toM(), speed, controls);
  }

  private void add(
      List<Part> parts, Cause cause, ExitDrive.Controls controls, double amount, double atM) {
    double cost = seconds(controls) - asThePage;
    if (cost > 0) {
      parts.add(new Part(cause, cost, amount, atM));
    }
  }

  /** On the brake behind where the account is parted: what that stretch cost. */
  private void heldTooLong(List<Part> parts) {
    Double off = corner.lap().braking().releaseM();
    if (off == null || corner.page().braking().releaseM() == null) {
      return;
    }
    double longer = off - corner.offM();
    double lost = corner.stretchS(corner.offM(), off);
    if (longer >= Cause.HELD_TOO_LONG.least() && lost > 0) {
      parts.add(new Part(Cause.HELD_TOO_LONG, lost, longer, corner.offM()));
    }
  }

  private double later() {
    return corner.later(corner.pageFirstM(), corner.lapFirstM());
  }

  /**
   * The lap's throttle where it is opened later than the page's, or kept from being flat: what it
   * is held back by, but for what is taken back again. A foot that is through with it is as the
   * page's.
   */
  private void heldBack(List<Part> parts) {
    double[] held = highestSoFar();
    ExitDrive.Controls controls =
        (station, page) -> Math.min(page, held[corner.lapAlong().indexOf(station)]);
    Double first = corner.lapFirstM();
    double atM = first == null ? corner.offM() : first;
    double later = later();
    double missing = missingM(held);
    if (later >= Cause.LATE_THROTTLE.least()) {
      add(parts, Cause.LATE_THROTTLE, controls, later, atM);
    } else if (missing >= Cause.SLOW_TO_FULL.least()) {
      add(parts, Cause.SLOW_TO_FULL, controls, missing, atM);
    }
  }

  /** Metres of full throttle that are missing. */
  private double missingM(double[] held) {
    AlongLap page = corner.pageAlong();
    double metres = 0;
    for (int k = page.indexOf(corner.offM()); k < page.indexOf(corner.toM()); k++) {
      metres += page.stepM() * Math.max(0, page.throttleAt(k) / 100 - held[k]);
    }
    return metres;
  }

  /** The lap's throttle without what was taken back, 0 to 1; 1 once it has been flat. */
  private double[] highestSoFar() {
    AlongLap lap = corner.lapAlong();
    double[] highest = new double[lap.size()];
    double so = 0;
    int from = lap.indexOf(corner.offM());
    for (int k = from; k < highest.length; k++) {
      double foot = lap.throttleAt(k);
      so = foot > so ? foot : so;
      highest[k] = so >= Thresholds.DEFAULT.fullThrottlePct() ? 1 : so / 100;
    }
    return highest;
  }

  /**
   * How far the lap's throttle falls from what it had reached, beyond what the page's falls there.
   *
   * @param mostPct the most of it
   * @param missingM metres of full throttle that are missing by it
   * @param atM where it begins
   */
  private record Fall(double mostPct, double missingM, double atM) {
    static Fall of(CornerCase corner) {
      AlongLap lap = corner.lapAlong();
      AlongLap page = corner.pageAlong();
      double reachedLap = 0;
      double reachedPage = 0;
      Fall fall = new Fall(0, 0, corner.offM());
      int until = lap.indexOf(corner.toM());
      for (int k = lap.indexOf(corner.offM()); k < until; k++) {
        reachedLap = Math.max(reachedLap, known(lap.throttleAt(k)));
        reachedPage = Math.max(reachedPage, known(page.throttleAt(k)));
        double fallen = reachedLap - known(lap.throttleAt(k));
        double asked = reachedPage - known(page.throttleAt(k));
        fall = fall.with(Math.max(0, fallen - asked), lap.stepM(), lap.stationAt(k));
      }
      return fall;
    }

    private static double known(double throttle) {
      return Double.isNaN(throttle) ? 0 : throttle;
    }

    private Fall with(double pct, double stepM, double stationM) {
      boolean begins = mostPct < STEADY_PCT && pct >= STEADY_PCT;
      return new Fall(
          Math.max(mostPct, pct), missingM + stepM * pct / 100, begins ? stationM : atM);
    }

    boolean isLift() {
      return mostPct >= Cause.THROTTLE_TWICE.least() && missingM >= LEAST_LIFT_M;
    }
  }

  static boolean lifts(CornerCase corner) {
    return Fall.of(corner).isLift();
  }

  /** The page's throttle, but where the lap's has fallen from what it had reached. */
  private void lifted(List<Part> parts) {
    Fall fall = Fall.of(corner);
    if (!fall.isLift()) {
      return;
    }
    AlongLap lap = corner.lapAlong();
    double[] reached = highestSoFar();
    ExitDrive.Controls controls =
        (station, page) -> {
          int k = lap.indexOf(station);
          double foot = lap.throttleAt(k) / 100;
          return foot < reached[k] - STEADY_PCT / 100 ? Math.min(page, foot) : page;
        };
    boolean flat = reached[lap.indexOf(fall.atM())] >= 1;
    boolean stays = corner.isFlat() || fall.atM() > outM();
    if (flat && stays && fall.missingM() >= Cause.LIFTED.least()) {
      add(parts, Cause.LIFTED, controls, fall.missingM(), fall.atM());
      return;
    }
    boolean early = -later() >= Cause.LATE_THROTTLE.least();
    Cause cause = early ? Cause.EARLY_THROTTLE_LIFTED : Cause.THROTTLE_TWICE;
    add(parts, cause, controls, fall.mostPct(), fall.atM());
  }

  /** Where the page is out of the corner. */
  private double outM() {
    double behind =
        corner
            .road()
            .offsetBetween(
                corner.road().wrapStation(corner.offM()), corner.written().exit().trackOutM());
    return corner.offM() + Math.max(0, behind);
  }

  /** The lap's gears with the page's throttle. */
  private void gears(List<Part> parts) {
    Integer driven = corner.lap().slowest().gear();
    Integer wanted = corner.page().slowest().gear();
    if (driven == null || wanted == null) {
      return;
    }
    AlongLap lap = corner.lapAlong();
    ExitDrive.Controls controls =
        new ExitDrive.Controls() {
          @Override
          public double throttle(double stationM, double page) {
            return changesDown(lap, stationM) ? 0 : page;
          }

          @Override
          public int gear(double stationM, int page) {
            double gear = lap.gearAt(lap.indexOf(stationM));
            return gear >= 1 ? (int) Math.round(gear) : page;
          }
        };
    int away = Math.abs(driven - wanted);
    Double more =
        CornerCase.minus(
            CornerCase.number(corner.lap().throttle().upshifts()),
            CornerCase.number(corner.page().throttle().upshifts()));
    if (away >= Cause.OTHER_GEAR.least()) {
      add(parts, Cause.OTHER_GEAR, controls, away, corner.offM());
    } else if (more >= Cause.SHORT_SHIFT.least()) {
      add(parts, Cause.SHORT_SHIFT, controls, more, corner.offM());
    }
  }

  /** Whether a lower gear is being taken here on the way out: without drive. */
  private boolean changesDown(AlongLap lap, double stationM) {
    int k = lap.indexOf(stationM);
    double begun = stationM - corner.downshiftS() * lap.speedAt(k);
    for (int j = Math.max(lap.indexOf(corner.offM()), lap.indexOf(begun)) + 1; j <= k; j++) {
      if (lap.gearAt(j) < lap.gearAt(j - 1) && lap.gearAt(j) > 0) {
        return true;
      }
    }
    return false;
  }
}
