package marvek.core.laps;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.profile.Lap;
import marvek.core.profile.ProfileOptions;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;

/**
 * Drives a book the way a person does: each corner a little early on the brakes, a little slow, a
 * little late on the throttle, another amount every lap; and the habits that are planted, lap after
 * lap. Stands in for somebody with a logger.
 */
public final class SimulatedDriver {
  /** A session has no more. */
  private static final int MOST_LAPS = 60;

  /** What a steady club driver is off by: 2 ± 1.5 m, 0.6 ± 0.4 % (own assumptions). */
  private static final double EARLY_M = 2;

  private static final double EARLY_SCATTER_M = 1.5;
  private static final double SLOW_SHARE = 0.006;
  private static final double SLOW_SCATTER = 0.004;
  private static final double LATE_M = 2;
  private static final double LATE_SCATTER_M = 1.5;

  /** A lift comes so long after the throttle. */
  private static final double BEFORE_LIFT_M = 14;

  private static final double HELD_UP_AFTER_M = 400;

  private final Reference.Basis basis;
  private final Conditions conditions;
  private final Reference book;
  private final Road road;

  /**
   * @param book that is driven, made on the basis in the conditions
   */
  public SimulatedDriver(Reference.Basis basis, Conditions conditions, Reference book) {
    this.basis = basis;
    this.conditions = conditions;
    this.book = book;
    this.road = basis.path().road();
  }

  /** What somebody does lap after lap. */
  public enum Kind {
    /** Metres earlier on the brakes. */
    BRAKES_EARLY,
    /** Slower at the slowest place [m/s]. */
    OVER_SLOWS,
    /** Metres later on the throttle. */
    THROTTLE_LATE,
    /** Metres away from the page's apex. */
    WIDE_AT_APEX,
    /** Gears higher than the page's. */
    GEAR_HIGHER,
    /** Metres off the throttle again, soon after it was picked up. */
    LIFTS,
    /** Metres over which brake points scatter, all before the page's. */
    UNSTEADY
  }

  /**
   * A habit in one corner, beside what everybody does.
   *
   * @param amount in the unit of the kind
   */
  public record Habit(Kind kind, double amount) {
    public Habit {
      Require.present("kind", kind);
      Require.notNegative("amount", amount);
    }

    private double of(Kind wanted) {
      return kind == wanted ? amount : 0;
    }
  }

  private static final Habit NONE = new Habit(Kind.OVER_SLOWS, 0);

  /**
   * Laps that follow each other.
   *
   * @param habits by corner
   * @param seed of what is another amount every lap
   */
  public List<Lap> drive(int laps, Map<Integer, Habit> habits, long seed) {
    Require.within("laps", laps, 1, MOST_LAPS);
    Random random = new Random(seed);
    List<Lap> driven = new ArrayList<>();
    for (int k = 0; k < laps; k++) {
      List<OwnValues> own = new ArrayList<>();
      for (CornerPage page : book.pages()) {
        own.add(corner(page, habits.getOrDefault(page.corner(), NONE), random));
      }
      driven.add(withLifts(driven(own), habits));
    }
    return driven;
  }

  private Lap driven(List<OwnValues> own) {
    try {
      return Reference.on(basis, conditions, own).lap();
    } catch (InvalidValueException e) {
      // Two corners so near to each other that an error of one reaches into the other.
      return book.lap();
    }
  }

  private OwnValues corner(CornerPage page, Habit habit, Random random) {
    OwnValues.Builder own = OwnValues.in(page.corner());
    double early =
        habit.of(Kind.BRAKES_EARLY)
            + habit.of(Kind.UNSTEADY) * random.nextDouble()
            + positive(random, EARLY_M, EARLY_SCATTER_M);
    double slow =
        habit.of(Kind.OVER_SLOWS)
            + page.lowestSpeedMps() * positive(random, SLOW_SHARE, SLOW_SCATTER);
    double late = habit.of(Kind.THROTTLE_LATE) + positive(random, LATE_M, LATE_SCATTER_M);
    CornerPage.Apex apex = page.apexes().get(0);
    // Off the page's line its speeds are not to be had: there the line itself decides.
    boolean onTheLine = habit.of(Kind.WIDE_AT_APEX) == 0;
    if (onTheLine && page.brake().atM() != null) {
      own.brakeAtM(road.wrapStation(page.brake().atM() - early));
    }
    if (onTheLine) {
      own.apexSpeedMps(Math.max(3, page.lowestSpeedMps() - slow));
    }
    if (page.throttle().firstM() != null) {
      own.throttleFirstM(road.wrapStation(page.throttle().firstM() + late));
    }
    if (habit.of(Kind.WIDE_AT_APEX) > 0) {
      int outwards = page.direction() == Side.LEFT ? -1 : 1;
      own.apexOffsetM(apex.offsetM() + outwards * habit.amount());
    }
    own.cornerGear(page.gears().corner() + (int) Math.round(habit.of(Kind.GEAR_HIGHER)));
    return own.build();
  }

  /** The lap driven again with no drive where somebody lifts, and no faster elsewhere. */
  private Lap withLifts(Lap lap, Map<Integer, Habit> habits) {
    boolean[] off = new boolean[lap.size()];
    boolean any = false;
    for (CornerPage page : book.pages()) {
      double metres = habits.getOrDefault(page.corner(), NONE).of(Kind.LIFTS);
      if (metres > 0 && page.throttle().firstM() != null) {
        int from = road.indexOf(road.wrapStation(page.throttle().firstM() + BEFORE_LIFT_M));
        for (int k = 0; k * road.stepM() < metres; k++) {
          off[road.wrap(from + k)] = true;
          any = true;
        }
      }
    }
    if (!any) {
      return lap;
    }
    double[] driven = new double[lap.size()];
    int[] gears = new int[lap.size()];
    Arrays.setAll(driven, lap::speedAt);
    Arrays.setAll(gears, lap::gearAt);
    ProfileOptions options =
        ProfileOptions.NONE.withSpeedCap(driven).withNoDrive(off).withHeldGear(gears);
    return SpeedProfile.solve(lap.path(), lap.vehicle(), lap.conditions(), options);
  }

  /**
   * A lap behind a flag: the same way round at a share of its speed, but for its two ends, which
   * the laps about it share.
   *
   * @param share of the speed, 0.1 to 1
   */
  public static Lap heldUp(Lap lap, double share) {
    double[] cap = new double[lap.size()];
    for (int i = 0; i < cap.length; i++) {
      double fromEnd = Math.min(i, lap.size() - i) * lap.path().road().stepM();
      double held = Math.min(1, fromEnd / HELD_UP_AFTER_M);
      cap[i] = lap.speedAt(i) * (1 - held * (1 - share));
    }
    ProfileOptions options = ProfileOptions.NONE.withSpeedCap(cap);
    return SpeedProfile.solve(lap.path(), lap.vehicle(), lap.conditions(), options);
  }

  private static double positive(Random random, double mean, double scatter) {
    return Math.max(0, mean + scatter * random.nextGaussian());
  }
}
