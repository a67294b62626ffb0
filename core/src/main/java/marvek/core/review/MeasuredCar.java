package marvek.core.review;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import marvek.core.circuit.Path;
import marvek.core.laps.AlongLap;
import marvek.core.numeric.Median;
import marvek.core.numeric.TwoFactors;
import marvek.core.profile.ForceModel;
import marvek.core.profile.Lap;

/**
 * The car as its laps have it, against the car that the book is computed with. Flat on the throttle
 * the engine pulls and the air holds: the one falls with speed and the other grows with its square,
 * so that laps tell them apart. Both come out over the mass, which no lap tells: a weighing does.
 *
 * <p>Least squares of {@code a + rolling + grade = p·F(v, gear)/m − c·drag(v)/m} over stretches of
 * full throttle (Draper &amp; Smith, <i>Applied Regression Analysis</i>, ch. 1 and 5, from memory),
 * those far off by a change of gear or a slide left out. Standard errors are those of stretches
 * that do not overlap.
 *
 * @param power engine's pull over the mass, as a factor on the book's car
 * @param drag drag area over the mass, likewise
 * @param stretches that it was found from
 */
public record MeasuredCar(Factor power, Factor drag, int stretches) {
  /** A slope of the speed is taken over so far. */
  private static final double STRETCH_M = 24;

  /** Flat, as the sensor tells it [%]. */
  private static final double FLAT_PCT = 97;

  private static final double SLOWEST_MPS = 12;

  /** Where the engine pulls more than this share of what the tyres hold they may spin. */
  private static final double MOST_OF_GRIP = 0.85;

  /** Of fewer stretches nothing is said. */
  private static final int LEAST_STRETCHES = 30;

  /** Farther off than this many standard deviations a stretch is another thing. */
  private static final double FAR_OFF = 3;

  private static final int ROUNDS = 3;
  private static final double SIGMA_OF_MAD = 1.4826;

  /**
   * A factor on the book's car.
   *
   * @param error its standard error
   */
  public record Factor(double value, double error) {
    /** Whether it is another than the book's beyond doubt, and by enough to matter. */
    public boolean differs(double least) {
      return Math.abs(value - 1) >= Math.max(least, 2 * error);
    }
  }

  /** One stretch: what it gained, and what engine and air would do on the book's car [m/s²]. */
  private record Stretch(double gained, double pull, double held) {}

  /**
   * What laps say of the car.
   *
   * @param page the page's lap, in whose car and on whose line they were driven
   * @param laps with their throttle; others say nothing
   * @return empty of too few stretches, or where they are all at one speed
   */
  public static Optional<MeasuredCar> of(Lap page, List<AlongLap> laps) {
    List<Stretch> stretches = new ArrayList<>();
    for (AlongLap lap : laps) {
      stretches.addAll(flatOut(page, lap));
    }
    for (int round = 0; round < ROUNDS; round++) {
      Optional<MeasuredCar> fit = fitted(stretches);
      if (fit.isEmpty() || round + 1 == ROUNDS) {
        return fit;
      }
      stretches = withoutFarOff(stretches, fit.get());
    }
    return Optional.empty();
  }

  private static List<Stretch> flatOut(Lap page, AlongLap lap) {
    int cells = (int) Math.max(2, Math.round(STRETCH_M / lap.stepM()));
    List<Stretch> found = new ArrayList<>();
    int k = 1;
    while (k + cells < lap.size()) {
      if (isFlat(lap, k, k + cells)) {
        stretch(page, lap, k, k + cells).ifPresent(found::add);
        k += cells;
      } else {
        k++;
      }
    }
    return found;
  }

  /** Flat, off the brake and in one gear from before its begin to its end. */
  private static boolean isFlat(AlongLap lap, int from, int to) {
    for (int k = from - 1; k <= to; k++) {
      boolean flat = lap.throttleAt(k) >= FLAT_PCT && !(lap.brakeAt(k) > 0.5);
      boolean shifts = lap.gearAt(k) != lap.gearAt(from) && !Double.isNaN(lap.gearAt(k));
      if (!flat || shifts || !(lap.speedAt(k) > SLOWEST_MPS)) {
        return false;
      }
    }
    return true;
  }

  private static Optional<Stretch> stretch(Lap page, AlongLap lap, int from, int to) {
    ForceModel forces = page.forces();
    Path path = page.path();
    double pull = 0;
    double held = 0;
    double against = 0;
    double metres = 0;
    for (int k = from; k < to; k++) {
      double v = (lap.speedAt(k) + lap.speedAt(k + 1)) / 2;
      double w = v * v;
      int i = sample(path, (lap.stationAt(k) + lap.stationAt(k + 1)) / 2);
      double engine = engineN(page, lap.gearAt(k), v);
      double most = forces.netDriveN(i, w, Double.MAX_VALUE) + forces.resistanceN(i, w);
      if (!(engine > 0) || engine > MOST_OF_GRIP * most) {
        return Optional.empty();
      }
      double element = path.elementAt(i) / path.road().stepM() * lap.stepM();
      pull += element * engine;
      held += element * forces.dragN(i, w);
      against += element * (forces.rollingN(i, w) + forces.gradeN(i));
      metres += element;
    }
    double mass = forces.massKg();
    double w0 = lap.speedAt(from) * lap.speedAt(from);
    double w1 = lap.speedAt(to) * lap.speedAt(to);
    double gained = (w1 - w0) / (2 * metres) + against / metres / mass;
    return Optional.of(new Stretch(gained, pull / metres / mass, held / metres / mass));
  }

  private static int sample(Path path, double stationM) {
    return Math.min(path.elements() - 1, (int) (stationM / path.road().stepM()));
  }

  private static double engineN(Lap page, double gear, double v) {
    return gear >= 1 && gear <= page.driveline().gears()
        ? page.driveline().forceN((int) Math.round(gear), v)
        : page.driveline().bestForceN(v);
  }

  private static Optional<MeasuredCar> fitted(List<Stretch> all) {
    return all.size() < LEAST_STRETCHES
        ? Optional.empty()
        : fitted(
            all.stream().mapToDouble(Stretch::gained).toArray(),
            all.stream().mapToDouble(Stretch::pull).toArray(),
            all.stream().mapToDouble(Stretch::held).toArray());
  }

  /** Least squares of two unknowns; empty where pull and hold go together. */
  static Optional<MeasuredCar> fitted(double[] gained, double[] pull, double[] held) {
    double[] against = Arrays.stream(held).map(h -> -h).toArray();
    return TwoFactors.of(gained, pull, against)
        .map(
            fit ->
                new MeasuredCar(
                    new Factor(fit.first(), fit.firstError()),
                    new Factor(fit.second(), fit.secondError()),
                    gained.length));
  }

  private static double rest(Stretch s, double power, double drag) {
    return s.gained() - power * s.pull() + drag * s.held();
  }

  private static List<Stretch> withoutFarOff(List<Stretch> all, MeasuredCar fit) {
    double[] rests =
        all.stream().mapToDouble(s -> rest(s, fit.power.value(), fit.drag.value())).toArray();
    double middle = Median.of(rests);
    double far = FAR_OFF * SIGMA_OF_MAD * Median.of(Median.deviations(rests));
    List<Stretch> near = new ArrayList<>();
    for (int k = 0; k < rests.length; k++) {
      if (Math.abs(rests[k] - middle) <= far) {
        near.add(all.get(k));
      }
    }
    return near;
  }
}
