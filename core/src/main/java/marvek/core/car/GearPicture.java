package marvek.core.car;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.profile.Driveline;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.vehicle.Gearbox;

/** A car's gears on a circuit: what each is used for, and what another final drive would give. */
public final class GearPicture {
  /** A tooth or two on the usual pairs is about 5 % a step. */
  private static final double[] FINAL_DRIVES = {0.85, 0.90, 0.95, 1, 1.05, 1.10, 1.15};

  /** Above this share of full drive the car is on the throttle on a straight. */
  private static final double ON_THROTTLE = 0.9;

  private GearPicture() {}

  /**
   * One gear.
   *
   * @param idleMps speed at the engine's idle
   * @param limiterMps speed at its limiter
   * @param usedShare share of the lap's time in it
   */
  public record Gear(int number, double idleMps, double limiterMps, double usedShare) {}

  /**
   * The longest stretch at full throttle.
   *
   * @param topMps highest speed there
   * @param rpm engine speed at it
   * @param limiterS time spent on the limiter of the highest gear there
   */
  public record Straight(
      double fromM, double lengthM, double topMps, int gear, double rpm, double limiterS) {}

  /**
   * Another final drive.
   *
   * @param share of the car's own; above 1 is shorter
   * @param lostS on the lap; negative where it gains
   */
  public record FinalDrive(double share, double ratio, double lostS, double topMps) {}

  public record Result(List<Gear> gears, Straight longest, List<FinalDrive> finalDrives) {}

  /** The gears of a lap. */
  public static Result of(Lap lap) {
    return new Result(gears(lap), longest(lap), finalDrives(lap));
  }

  private static List<Gear> gears(Lap lap) {
    Driveline driveline = lap.driveline();
    double[] used = new double[driveline.gears() + 1];
    Road road = lap.path().road();
    for (int i = 0; i < lap.path().elements(); i++) {
      used[lap.gearAt(i)] += lap.timeBetween(i, road.wrap(i + 1));
    }
    List<Gear> gears = new ArrayList<>();
    for (int g = 1; g <= driveline.gears(); g++) {
      double idle = driveline.speedMps(g, lap.vehicle().engine().idleRpm());
      gears.add(new Gear(g, idle, driveline.limiterSpeedMps(g), used[g] / lap.timeS()));
    }
    return gears;
  }

  private static boolean flat(Lap lap, int i) {
    return lap.throttleShareAt(i) >= ON_THROTTLE || lap.shiftingAt(i) || lap.onLimiterAt(i);
  }

  private static Straight longest(Lap lap) {
    Road road = lap.path().road();
    int origin = 0;
    while (origin < lap.size() - 1 && flat(lap, origin)) {
      origin++;
    }
    int bestFrom = origin;
    int best = 0;
    int run = 0;
    for (int k = 1; k <= lap.path().elements(); k++) {
      run = flat(lap, road.wrap(origin + k)) ? run + 1 : 0;
      if (run > best) {
        best = run;
        bestFrom = road.wrap(origin + k - run + 1);
      }
    }
    return straight(lap, bestFrom, best);
  }

  private static Straight straight(Lap lap, int from, int count) {
    Road road = lap.path().road();
    int top = from;
    double limiter = 0;
    for (int k = 0; k < count; k++) {
      int i = road.wrap(from + k);
      top = lap.speedAt(i) > lap.speedAt(top) ? i : top;
      boolean on = lap.gearAt(i) == lap.driveline().gears() && lap.onLimiterAt(i);
      limiter += on ? road.stepM() / lap.speedAt(i) : 0;
    }
    return new Straight(
        road.stationAt(from),
        count * road.stepM(),
        lap.speedAt(top),
        lap.gearAt(top),
        lap.rpmAt(top),
        limiter);
  }

  private static List<FinalDrive> finalDrives(Lap lap) {
    Gearbox gearbox = lap.vehicle().gearbox();
    List<FinalDrive> all = new ArrayList<>();
    for (double share : FINAL_DRIVES) {
      Gearbox other = gearbox.withFinalDrive(share * gearbox.finalDrive());
      Lap changed =
          share == 1
              ? lap
              : SpeedProfile.solve(lap.path(), lap.vehicle().withGearbox(other), lap.conditions());
      all.add(
          new FinalDrive(
              share, other.finalDrive(), changed.timeS() - lap.timeS(), changed.topSpeedMps()));
    }
    return all;
  }
}
