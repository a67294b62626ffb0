package marvek.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Path;
import marvek.core.laps.AlongLap;
import marvek.core.laps.GearRatios;
import marvek.core.measured.CarValue.Kind;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;
import marvek.core.vehicle.Vehicle;

/** Gears, their changes and the closed throttle, as laps tell them. */
final class DrivelineOfLaps {
  /** The speed about a change is looked at for so long before and behind it. */
  private static final double AWAY_S = 0.25;

  private static final double SLOPE_S = 0.5;
  private static final double FLAT_PCT = 95;
  private static final double SHUT_PCT = 2;
  private static final double BRAKE_PCT = 0.5;

  /** Off both pedals for less is a foot on its way. */
  private static final double ROLLED_M = 8;

  /** An engine that has just been shut still turns over what it had. */
  private static final double SETTLES_M = 4;

  private static final int LEAST = 5;

  private final Lap page;
  private final List<AlongLap> laps;

  DrivelineOfLaps(Lap page, List<AlongLap> laps) {
    this.page = page;
    this.laps = laps;
  }

  /** The gears of the book's car as engine speed over speed has them. */
  static List<CarValue> ratios(Vehicle car, List<GearRatios.Ratio> gears) {
    List<CarValue> values = new ArrayList<>();
    double perTurn = Math.PI / 30 * car.tyre().radiusM() / car.gearbox().finalDrive();
    for (GearRatios.Ratio r : gears) {
      if (r.gear() <= car.gearbox().gears() && r.samples() >= LEAST) {
        values.add(
            new CarValue(
                Kind.GEAR_RATIO,
                r.gear(),
                car.gearbox().ratio(r.gear()),
                r.rpmPerMps() * perTurn,
                r.error() * perTurn,
                r.samples()));
      }
    }
    return values;
  }

  /**
   * Time without drive in a change up: what the speed falls short of by it, over what is gained in
   * a second about it.
   */
  Optional<CarValue> upshift() {
    List<Double> found = new ArrayList<>();
    for (AlongLap lap : laps) {
      for (int k = 1; k < lap.size(); k++) {
        if (lap.gearAt(k) == lap.gearAt(k - 1) + 1) {
          double seconds = withoutDriveS(lap, k);
          if (!Double.isNaN(seconds)) {
            found.add(seconds);
          }
        }
      }
    }
    if (found.size() < LEAST) {
      return Optional.empty();
    }
    Measured all = Measured.of(found);
    double book = page.vehicle().gearbox().upshiftS();
    double seconds = Math.max(0, all.value());
    return Optional.of(new CarValue(Kind.UPSHIFT, 0, book, seconds, all.error(), all.from()));
  }

  private double withoutDriveS(AlongLap lap, int k) {
    int before = away(lap, k, -AWAY_S);
    int first = away(lap, before, -SLOPE_S);
    int behind = away(lap, k, AWAY_S + page.vehicle().gearbox().upshiftS());
    int last = away(lap, behind, SLOPE_S);
    boolean straight = first > 0 && last < lap.size() - 1;
    if (!straight || !isFlat(lap, first, before) || !isFlat(lap, behind, last)) {
      return Double.NaN;
    }
    for (int j = first + 1; j <= last; j++) {
      if (j != k && lap.gearAt(j) != lap.gearAt(j - 1)) {
        return Double.NaN;
      }
    }
    double gainedBefore = slope(lap, first, before);
    double gainedBehind = slope(lap, behind, last);
    double held = page.forces().resistanceN(at(lap, k), lap.speedAt(k) * lap.speedAt(k));
    double slowed = held / page.forces().massKg();
    double seconds = lap.timeAt(behind) - lap.timeAt(before);
    double mean = (gainedBefore + gainedBehind) / 2;
    double missing = mean * seconds - (lap.speedAt(behind) - lap.speedAt(before));
    return mean > 0.3 ? missing / (mean + slowed) : Double.NaN;
  }

  private static int away(AlongLap lap, int k, double seconds) {
    int step = seconds < 0 ? -1 : 1;
    int at = k;
    while (at > 0
        && at < lap.size() - 1
        && Math.abs(lap.timeAt(at) - lap.timeAt(k)) < Math.abs(seconds)) {
      at += step;
    }
    return at;
  }

  private static boolean isFlat(AlongLap lap, int from, int to) {
    for (int k = from; k <= to; k++) {
      if (!(lap.throttleAt(k) >= FLAT_PCT) || lap.brakeAt(k) > BRAKE_PCT) {
        return false;
      }
    }
    return true;
  }

  private static double slope(AlongLap lap, int from, int to) {
    return (lap.speedAt(to) - lap.speedAt(from)) / (lap.timeAt(to) - lap.timeAt(from));
  }

  /** What slows the car off both pedals beyond air, tyres and hills. */
  Optional<CarValue> engineBraking() {
    List<Double> found = new ArrayList<>();
    for (AlongLap lap : laps) {
      int from = -1;
      for (int k = 0; k < lap.size(); k++) {
        boolean rolls =
            lap.throttleAt(k) < SHUT_PCT
                && lap.brakeAt(k) < BRAKE_PCT
                && (from < 0 || lap.gearAt(k) == lap.gearAt(from));
        if (rolls) {
          from = from < 0 ? k : from;
        } else if (from >= 0) {
          int begin = from + (int) Math.ceil(SETTLES_M / lap.stepM());
          if ((k - 1 - begin) * lap.stepM() >= ROLLED_M && lap.gearAt(begin) >= 1) {
            found.add(torqueNm(lap, begin, k - 1));
          }
          from = -1;
        }
      }
    }
    if (found.size() < LEAST) {
      return Optional.empty();
    }
    Measured all = Measured.of(found);
    double book = page.vehicle().engine().engineBrakingNm();
    double torque = Math.max(0, all.value());
    return Optional.of(new CarValue(Kind.ENGINE_BRAKING, 0, book, torque, all.error(), all.from()));
  }

  private double torqueNm(AlongLap lap, int from, int to) {
    ForceModel forces = page.forces();
    double metres = 0;
    double held = 0;
    for (int k = from; k < to; k++) {
      double v = (lap.speedAt(k) + lap.speedAt(k + 1)) / 2;
      int i = at(lap, k);
      double element = page.path().elementAt(i) / page.path().road().stepM() * lap.stepM();
      metres += element;
      held += element * forces.resistanceN(i, v * v);
    }
    double w0 = lap.speedAt(from) * lap.speedAt(from);
    double w1 = lap.speedAt(to) * lap.speedAt(to);
    double slowedN = forces.massKg() * (w0 - w1) / (2 * metres) - held / metres;
    Vehicle car = page.vehicle();
    int gear = Math.min(car.gearbox().gears(), (int) Math.round(lap.gearAt(from)));
    return slowedN * car.tyre().radiusM() / car.gearbox().overallRatio(gear);
  }

  private int at(AlongLap lap, int k) {
    Path path = page.path();
    return Math.min(path.elements() - 1, (int) (lap.stationAt(k) / path.road().stepM()));
  }
}
