package marvek.core.drive;

import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.GearChange;
import marvek.core.page.GearReader;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/** Whether changes of gear can be made where they are written. */
public final class GearOrder {
  /** A change lies at most so far before its corner's first point: who brakes earlier. */
  private static final double BEFORE_M = 150;

  /** The engine turns no faster than this share of the limiter after a change down. */
  private static final double OVER_REVS = 1.05;

  private GearOrder() {}

  /**
   * Checks a driver's own changes of gear.
   *
   * @param pages of the lap
   * @param number index of the corner's page
   * @throws InvalidValueException naming the change that cannot be made
   */
  public static void check(Lap lap, List<CornerPage> pages, int number, OwnValues own) {
    if (own.gearChanges() == null) {
      return;
    }
    Road road = lap.path().road();
    List<GearChange> changes = own.gearChanges().list();
    double beginM = CornerTime.beginsAtM(pages.get(number), road);
    double endM = road.stationAt(GearReader.nextBegin(road, pages, number));
    double wayM = beginM == endM ? road.lengthM() : road.distance(beginM, endM);
    double before = -BEFORE_M;
    int gear = pages.get(number).gears().approach();
    for (int c = 0; c < changes.size(); c++) {
      GearChange change = changes.get(c);
      String at = PageField.GEAR_CHANGES.path() + "/" + c;
      double into = into(road, beginM, change.atM());
      if (into <= before) {
        double beforeM = road.wrapStation(beginM + before);
        throw new InvalidValueException(
            at + "/at_m",
            Sentence.of("refused.knot-order", "at_m", change.atM(), "before_m", beforeM));
      }
      if (into >= wayM) {
        throw new InvalidValueException(
            at + "/at_m",
            Sentence.of(
                "refused.change-outside", "at_m", change.atM(), "first_m", beginM, "next_m", endM));
      }
      turns(lap, change, gear, at);
      before = into;
      gear = change.to();
    }
  }

  /** Way from the corner's first point, negative shortly before it. */
  private static double into(Road road, double beginM, double atM) {
    double behind = road.offsetBetween(beginM, atM);
    return behind < 0 && behind > -BEFORE_M ? behind : road.distance(beginM, atM);
  }

  private static void turns(Lap lap, GearChange change, int from, String at) {
    if (change.to() > lap.driveline().gears()) {
      throw new InvalidValueException(
          at + "/to", Sentence.of("own.no-such-gear", "gear", change.to()));
    }
    double speed = lap.speedAt(lap.path().road().indexOf(change.atM()));
    double rpm = lap.driveline().rpm(change.to(), speed);
    double limiterRpm = lap.vehicle().engine().limiterRpm();
    if (change.to() < from && rpm > OVER_REVS * limiterRpm) {
      throw new InvalidValueException(
          at + "/at_m",
          Sentence.of("refused.over-revs", "gear", change.to(), "rpm", rpm, "limiter", limiterRpm));
    }
  }
}
