package marvek.core.drive;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import marvek.core.page.GearChange;
import marvek.core.page.GearPlaces;
import marvek.core.page.GearReader;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Remark;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/**
 * The gears that a driver holds of his own along a lap: from change to change where he has written
 * them, else on the way in, at the apex and on the way out of a corner.
 */
final class OwnGears {
  /** From where a driver acts to where he brakes he covers less than this. */
  private static final double ACTING_M = 60;

  private final Lap base;
  private final Road road;
  private final List<CornerPage> pages;
  private final int[] held;
  private final List<Remark> remarks = new ArrayList<>();

  OwnGears(Lap base, List<CornerPage> pages) {
    this.base = base;
    this.road = base.path().road();
    this.pages = pages;
    this.held = new int[base.size()];
  }

  /** The gear at each sample that is the driver's own; 0 leaves it to the model. */
  int[] held(List<OwnValues> own) {
    // On a closed road the first corner is begun in the gear that the last one leaves: twice round.
    int rounds = road.closed() ? 2 : 1;
    for (int p = 0; p < rounds * pages.size(); p++) {
      int number = p % pages.size();
      for (OwnValues values : own) {
        if (values.corner() == pages.get(number).corner() && values.hasGears()) {
          hold(number, values);
        }
      }
    }
    return held;
  }

  /** What cannot be driven, said at its field. */
  List<Remark> remarks() {
    return remarks.stream().distinct().toList();
  }

  private void hold(int number, OwnValues own) {
    CornerPage page = pages.get(number);
    if (own.gearChanges() != null) {
      changes(number, own.gearChanges().list());
    }
    GearPlaces places = GearPlaces.of(road, pages, number);
    // Who is in another gear before or behind has the apex's own there.
    boolean beside = own.gearIn() != null || own.gearOut() != null;
    Integer apex =
        own.cornerGear() == null && beside && own.gearChanges() == null
            ? Integer.valueOf(page.gears().corner())
            : own.cornerGear();
    int slowest = road.indexOf(page.lowestSpeedAtM());
    if (exists(page, PageField.GEAR, apex)) {
      holdInTime(places.apexFrom(), places.apexTo(), apex);
      beyondLimiter(page, PageField.GEAR, slowest, apex);
    }
    if (exists(page, PageField.GEAR_IN, own.gearIn())) {
      holdInTime(places.inFrom(), road.wrap(places.apexFrom() - 1), own.gearIn());
      beyondLimiter(page, PageField.GEAR_IN, places.apexFrom(), own.gearIn());
    }
    if (exists(page, PageField.GEAR_OUT, own.gearOut())) {
      hold(places.outFrom(), until(number, places.outTo(), own.gearOut()), own.gearOut());
      beyondLimiter(page, PageField.GEAR_OUT, places.outFrom(), own.gearOut());
    }
  }

  /** Who changes up early stays in that gear until the model is in it too, or the next corner. */
  private int until(int number, int outTo, int gear) {
    int most = road.ahead(outTo, GearReader.nextBegin(road, pages, number)) - 1;
    int k = 0;
    while (k < most && base.gearAt(road.wrap(outTo + k)) < gear) {
      k++;
    }
    return road.wrap(outTo + k);
  }

  /** From the corner's first point in the gear before it, then from change to change. */
  private void changes(int number, List<GearChange> changes) {
    CornerPage page = pages.get(number);
    int from = road.indexOf(CornerTime.beginsAtM(page, road));
    int before = road.wrap(from - 1);
    int gear = held[before] == 0 ? base.gearAt(before) : held[before];
    for (GearChange change : changes) {
      if (!exists(page, PageField.GEAR_CHANGES, change.to())) {
        return;
      }
      int at = road.indexOf(change.atM());
      hold(from, road.wrap(at - 1), gear);
      from = at;
      gear = change.to();
    }
    hold(from, brakes(GearReader.nextBegin(road, pages, number)), gear);
  }

  /** Where the foot is on the brake that acts for it at a corner's first point. */
  private int brakes(int begin) {
    for (int k = 0; k < road.samples(ACTING_M); k++) {
      int i = road.wrap(begin + k);
      if (base.brakeShareAt(i) > 0) {
        return i;
      }
    }
    return road.wrap(begin - 1);
  }

  private void hold(int from, int to, int gear) {
    int span = road.ahead(from, to);
    if (road.closed() && span > road.size() / 2 && pages.size() > 1) {
      return;
    }
    for (int k = 0; k <= span; k++) {
      held[road.wrap(from + k)] = gear;
    }
  }

  /** The same, but under brakes not before the engine turns slowly enough for it. */
  private void holdInTime(int from, int to, int gear) {
    double limiter = base.driveline().limiterSpeedMps(gear);
    int first = from;
    while (first != to && base.brakeShareAt(first) > 0 && base.speedAt(first) > limiter) {
      first = road.wrap(first + 1);
    }
    hold(first, to, gear);
  }

  private boolean exists(CornerPage page, PageField field, Integer gear) {
    if (gear == null) {
      return false;
    }
    if (gear > base.driveline().gears()) {
      say(page, field, Sentence.of("own.no-such-gear", "gear", gear));
      return false;
    }
    return true;
  }

  private void beyondLimiter(CornerPage page, PageField field, int at, int gear) {
    if (base.speedAt(at) > base.driveline().limiterSpeedMps(gear)) {
      say(page, field, Sentence.of("own.beyond-limiter", "gear", gear));
    }
  }

  private void say(CornerPage page, PageField field, Sentence said) {
    remarks.add(new Remark(page.corner(), field.path(), said));
  }
}
