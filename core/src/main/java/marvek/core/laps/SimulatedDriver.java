package marvek.core.laps;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.Reference;
import marvek.core.profile.Lap;

/**
 * Drives a book the way a person does: each corner a little early on the brakes, a little slow, a
 * little late on the throttle, another amount every lap; and the habits that are planted, lap after
 * lap. Stands in for somebody with a logger.
 */
public final class SimulatedDriver {
  private static final int MOST_LAPS = 60;
  private static final double EARLY_M = 2;
  private static final double EARLY_SCATTER_M = 1.5;
  private static final double SLOW_SHARE = 0.006;
  private static final double SLOW_SCATTER = 0.004;
  private static final double LATE_M = 2;
  private static final double LATE_SCATTER_M = 1.5;

  private final Reference.Basis basis;
  private final Conditions conditions;
  private final Reference book;

  /**
   * @param book that is driven, made on the basis in the conditions
   */
  public SimulatedDriver(Reference.Basis basis, Conditions conditions, Reference book) {
    this.basis = basis;
    this.conditions = conditions;
    this.book = book;
  }

  /**
   * A habit in one corner, beside what everybody does.
   *
   * @param earlyM earlier on the brakes
   * @param slowMps slower at the lowest place
   * @param lateM later on the throttle
   */
  public record Habit(double earlyM, double slowMps, double lateM) {
    public Habit {
      Require.notNegative("early_m", earlyM);
      Require.notNegative("slow_mps", slowMps);
      Require.notNegative("late_m", lateM);
    }

    static final Habit NONE = new Habit(0, 0, 0);
  }

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
        own.add(corner(page, habits.getOrDefault(page.corner(), Habit.NONE), random));
      }
      driven.add(driven(own));
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
    double early = habit.earlyM() + positive(random, EARLY_M, EARLY_SCATTER_M);
    double slow =
        habit.slowMps() + page.lowestSpeedMps() * positive(random, SLOW_SHARE, SLOW_SCATTER);
    double late = habit.lateM() + positive(random, LATE_M, LATE_SCATTER_M);
    if (page.brake().atM() != null) {
      own.brakeAtM(basis.path().road().wrapStation(page.brake().atM() - early));
    }
    own.apexSpeedMps(Math.max(3, page.apexes().get(0).speedMps() - slow));
    if (page.throttle().firstM() != null) {
      own.throttleFirstM(basis.path().road().wrapStation(page.throttle().firstM() + late));
    }
    return own.build();
  }

  private static double positive(Random random, double mean, double scatter) {
    return Math.max(0, mean + scatter * random.nextGaussian());
  }
}
