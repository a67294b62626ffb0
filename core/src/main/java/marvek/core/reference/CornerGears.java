package marvek.core.reference;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import marvek.core.circuit.Road;
import marvek.core.conditions.Footwork;
import marvek.core.drive.FeetCost;
import marvek.core.drive.OwnValuesOnLap;
import marvek.core.event.BrakingZone;
import marvek.core.page.CornerPage;
import marvek.core.page.GearPlaces;
import marvek.core.page.GearReader;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.profile.GearPlan;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import org.jspecify.annotations.Nullable;

/**
 * The gears of one corner explained: what another gear in it costs, whether the last change before
 * it is worth its time, and every change up to the next corner.
 *
 * @param inCorner the gear that the model takes and its neighbours
 * @param wayIn the same between turn-in and apex; empty where the one goes over into the other
 * @param wayOut the same up to where the throttle is flat or the car out at the edge
 * @param feet ways of braking for it; empty where it is not braked for
 * @param before the last change up before the braking; null where there is none on a short straight
 * @param changes from this corner's slowest place to the next one's
 */
public record CornerGears(
    int corner,
    List<InCorner> inCorner,
    List<Beside> wayIn,
    List<Beside> wayOut,
    List<Feet> feet,
    HoldOrChange before,
    List<Change> changes) {
  /** A straight on which the change up takes longer than this to the brakes asks no question. */
  private static final double SHORT_S = 4;

  /** A change up is tried at this share of the engine speed at which the model makes it. */
  private static final double SHORTER = 0.9;

  /** Braking that begins farther away is another one. */
  private static final double SAME_ZONE_M = 60;

  /** Above this share of the engine's force at the tyres' limit, a little less of it is free. */
  private static final double TRACTION_LIMITED = 0.995;

  /**
   * A gear held through the corner.
   *
   * @param lostS against the model's choice
   * @param rpm engine speed at the slowest place
   * @param rearAsked force of the engine at full throttle as a share of what the driven wheels can
   *     take half-way from the first throttle to the full one: above 1 it has to be fed in
   * @param brakeMovedM by how much later the brakes are needed if the whole braking is done in so
   *     much lower or higher gears; null where there is none, or no engine braking
   * @param chosen whether the model takes it
   */
  public record InCorner(
      int gear,
      double lostS,
      double rpm,
      double rearAsked,
      boolean beyondLimiter,
      @Nullable Double brakeMovedM,
      boolean chosen) {}

  /**
   * A gear beside the apex, with the apex's own there.
   *
   * @param lostS against the model's choice
   * @param chosen whether the model takes it
   */
  public record Beside(int gear, double lostS, boolean beyondLimiter, boolean chosen) {}

  /**
   * A way of braking for the corner.
   *
   * @param lostS against the day's foot
   * @param brakeLaterM how much later the foot may act
   */
  public record Feet(Footwork feet, double lostS, double brakeLaterM) {}

  /**
   * Whether to change up once more before the brakes.
   *
   * @param atM where the change is made, or the limiter met
   * @param holdLostS what holding the lower gear costs; 0 if that is what the model does
   * @param changeLostS what changing up costs; 0 if that is what the model does
   */
  public record HoldOrChange(
      double atM, int gear, double secondsToBrakes, double holdLostS, double changeLostS) {}

  /**
   * A change of gear.
   *
   * @param rpm engine speed before it
   * @param costS drive lost while it is made
   * @param shortLostS what it costs to change a tenth of the engine speed earlier; null where that
   *     would be before the corner's slowest place
   * @param early whether it comes well before the limiter
   * @param free whether grip, not the engine, is the limit there
   */
  public record Change(
      double atM,
      int from,
      int to,
      double rpm,
      double costS,
      @Nullable Double shortLostS,
      boolean early,
      boolean free) {}

  public CornerGears {
    inCorner = List.copyOf(inCorner);
    wayIn = List.copyOf(wayIn);
    wayOut = List.copyOf(wayOut);
    feet = List.copyOf(feet);
    changes = List.copyOf(changes);
  }

  /**
   * Explains the gears of one of a lap's pages.
   *
   * @param number index of the page
   */
  public static CornerGears of(Lap lap, List<CornerPage> pages, int number) {
    return new Worker(lap, pages, number).explained();
  }

  private static final class Worker {
    private final Lap lap;
    private final Road road;
    private final List<CornerPage> pages;
    private final int number;
    private final CornerPage page;
    private final int slowest;
    private final int nextSlowest;

    Worker(Lap lap, List<CornerPage> pages, int number) {
      this.lap = lap;
      this.road = lap.path().road();
      this.pages = pages;
      this.number = number;
      this.page = pages.get(number);
      this.slowest = road.indexOf(page.lowestSpeedAtM());
      CornerPage next = pages.get((number + 1) % pages.size());
      boolean last = !road.closed() && number + 1 == pages.size();
      this.nextSlowest = last ? road.size() - 1 : road.indexOf(next.lowestSpeedAtM());
    }

    CornerGears explained() {
      GearPlaces places = GearPlaces.of(road, pages, number);
      boolean goesIn = places.inFrom() != places.apexFrom();
      return new CornerGears(
          page.corner(),
          inCorner(),
          goesIn ? beside(PageField.GEAR_IN, page.gears().in(), places.apexFrom()) : List.of(),
          beside(PageField.GEAR_OUT, page.gears().out(), places.outFrom()),
          feet(),
          before().orElse(null),
          changes());
    }

    /** The model's gear beside the apex and its neighbours. */
    private List<Beside> beside(PageField field, int chosen, int at) {
      List<Beside> all = new ArrayList<>();
      for (int gear = chosen - 1; gear <= chosen + 1; gear++) {
        if (gear >= 1 && gear <= lap.driveline().gears()) {
          OwnValues own = OwnValues.in(page.corner()).put(field, gear).build();
          double lost = gear == chosen ? 0 : lost(own);
          all.add(new Beside(gear, lost, lap.speedAt(at) > limiter(gear), gear == chosen));
        }
      }
      return all;
    }

    private List<Feet> feet() {
      if (page.brake().atM() == null) {
        return List.of();
      }
      return Stream.of(Footwork.values())
          .map(
              feet ->
                  new Feet(
                      feet,
                      FeetCost.lostS(lap, pages, number, feet),
                      FeetCost.laterM(lap, pages, number, feet)))
          .toList();
    }

    private double lost(OwnValues own) {
      return lost(OwnValuesOnLap.of(lap, pages, List.of(own)).options());
    }

    private List<InCorner> inCorner() {
      int chosen = lap.gearAt(slowest);
      List<InCorner> all = new ArrayList<>();
      for (int gear = chosen - 1; gear <= chosen + 1; gear++) {
        if (gear >= 1 && gear <= lap.driveline().gears()) {
          all.add(held(gear, gear == chosen));
        }
      }
      return all;
    }

    private InCorner held(int gear, boolean chosen) {
      double v = lap.speedAt(slowest);
      OwnValues own = OwnValues.in(page.corner()).cornerGear(gear).build();
      double lost = chosen ? 0 : lost(own);
      int at = feeding();
      double speed = lap.speedAt(at);
      double traction = lap.forces().tractionN(at, speed * speed);
      double engine = lap.driveline().forceN(gear, Math.min(speed, limiter(gear)));
      return new InCorner(
          gear,
          lost,
          lap.driveline().rpm(gear, v),
          traction > 0 ? engine / traction : 0,
          v > limiter(gear),
          chosen ? null : brakeMovedM(gear - lap.gearAt(slowest)),
          chosen);
    }

    /**
     * Down so much later or earlier through the whole braking: what the engine adds to the tyres'
     * braking, or takes from it at an axle that has no more, over the way.
     */
    private @Nullable Double brakeMovedM(int gears) {
      if (page.brake().atM() == null || !lap.driveline().brakes()) {
        return null;
      }
      return zone().map(zone -> brakeMovedM(zone, gears)).orElse(null);
    }

    private double brakeMovedM(BrakingZone zone, int gears) {
      double moved = 0;
      for (int k = 0; k < road.ahead(zone.begin(), zone.end()); k++) {
        int i = road.wrap(zone.begin() + k);
        double w = lap.speedAt(i) * lap.speedAt(i);
        double own = lap.forces().netBrakeN(i, w, lap.closedThrottleNAt(i));
        double other = lap.forces().netBrakeN(i, w, closedThrottleN(i, lap.gearAt(i) + gears));
        moved += lap.path().elementAt(i) * (other - own) / own;
      }
      return moved;
    }

    /** In a gear, or the lap's own where there is none such or it would turn too fast. */
    private double closedThrottleN(int i, int gear) {
      boolean can = gear >= 1 && gear <= lap.driveline().gears() && lap.speedAt(i) < limiter(gear);
      return can ? lap.driveline().closedThrottleN(gear) : lap.closedThrottleNAt(i);
    }

    /** The braking that ends in the corner. */
    private Optional<BrakingZone> zone() {
      double brakeM = page.brake().atM();
      return BrakingZone.of(lap).stream()
          .filter(
              z -> Math.abs(road.offsetBetween(brakeM, road.stationAt(z.begin()))) < SAME_ZONE_M)
          .min(
              Comparator.comparingDouble(
                  z -> Math.abs(road.offsetBetween(brakeM, road.stationAt(z.begin())))));
    }

    /** Half-way from the first throttle to the full one: where the drive has to be fed in. */
    private int feeding() {
      Double first = page.throttle().firstM();
      if (first == null) {
        return slowest;
      }
      Double full = page.throttle().fullM();
      double half = full == null ? 10 : Math.max(0, road.distance(first, full)) / 2;
      return road.indexOf(road.wrapStation(first + half));
    }

    private double limiter(int gear) {
      return lap.driveline().limiterSpeedMps(gear);
    }

    private double lost(ProfileOptions options) {
      return SpeedProfile.solve(lap.path(), lap.vehicle(), lap.conditions(), options).timeS()
          - lap.timeS();
    }

    /** The last change up before the brakes, or the limiter that is held on to. */
    private Optional<HoldOrChange> before() {
      if (page.brake().atM() == null) {
        return Optional.empty();
      }
      int brakes = road.indexOf(page.brake().atM());
      int most = mostBefore(brakes);
      for (int k = 1; k < most; k++) {
        int i = road.wrap(brakes - k);
        if (lap.timeBetween(i, brakes) > SHORT_S || lap.gearAt(i) > lap.gearAt(brakes)) {
          break;
        }
        if (lap.gearAt(i) < lap.gearAt(brakes)) {
          return Optional.of(question(road.wrap(i + 1), brakes, lap.gearAt(i), true));
        }
      }
      int gear = lap.gearAt(brakes);
      if (!lap.onLimiterAt(brakes) || gear == lap.driveline().gears()) {
        return Optional.empty();
      }
      int k = 1;
      while (k < most && lap.onLimiterAt(road.wrap(brakes - k))) {
        k++;
      }
      return Optional.of(question(road.wrap(brakes - k + 1), brakes, gear, false));
    }

    private int mostBefore(int brakes) {
      return road.closed() ? road.size() / 2 : brakes;
    }

    private HoldOrChange question(int at, int brakes, int gear, boolean changes) {
      int[] wanted = new int[lap.size()];
      for (int k = 0; k <= road.ahead(at, brakes); k++) {
        wanted[road.wrap(at + k)] = changes ? gear : gear + 1;
      }
      double other = lost(ProfileOptions.NONE.withHeldGear(wanted));
      return new HoldOrChange(
          road.stationAt(at),
          gear,
          lap.timeBetween(at, brakes),
          changes ? other : 0,
          changes ? 0 : other);
    }

    private List<Change> changes() {
      List<Change> all = new ArrayList<>();
      int reach = road.ahead(slowest, nextSlowest);
      for (GearPlan.Change change : lap.gearChanges()) {
        boolean here =
            road.ahead(slowest, change.sample()) <= reach
                && (road.closed() || change.sample() >= slowest);
        if (here && change.to() > change.from()) {
          all.add(told(change));
        }
      }
      all.sort(Comparator.comparingInt(c -> road.ahead(slowest, road.indexOf(c.atM()))));
      return all;
    }

    private Change told(GearPlan.Change change) {
      int before = road.wrap(change.sample() - 1);
      double v = lap.speedAt(before);
      double rpm = lap.driveline().rpm(change.from(), v);
      double traction = lap.forces().tractionN(before, v * v);
      double engine = lap.driveline().forceN(change.to(), v);
      return new Change(
          road.stationAt(change.sample()),
          change.from(),
          change.to(),
          rpm,
          change.costS(),
          shortLostS(change, rpm),
          rpm < GearReader.SHORT_SHIFT * lap.vehicle().engine().limiterRpm(),
          engine >= TRACTION_LIMITED * traction);
    }

    /** Held in the gear after it from where the engine turns a tenth slower. */
    private @Nullable Double shortLostS(GearPlan.Change change, double rpm) {
      int most = road.ahead(slowest, change.sample());
      int k = 1;
      while (k < most && rpmAt(change, k) > SHORTER * rpm) {
        k++;
      }
      if (k >= most) {
        return null;
      }
      int[] wanted = new int[lap.size()];
      for (int back = 0; back < k; back++) {
        wanted[road.wrap(change.sample() - 1 - back)] = change.to();
      }
      return lost(ProfileOptions.NONE.withHeldGear(wanted));
    }

    private double rpmAt(GearPlan.Change change, int before) {
      return lap.driveline().rpm(change.from(), lap.speedAt(road.wrap(change.sample() - before)));
    }
  }
}
