package marvek.core.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.profile.Lap;
import marvek.core.profile.SpeedProfile;
import marvek.core.reference.Reference;

/**
 * What to drive: the lap and its sectors, by tier and by what oneself has driven.
 *
 * @param sectorEndsM stations at which the sectors end; the last one is the lap's end
 */
public record Targets(List<Double> sectorEndsM, List<Target> targets) {
  public Targets {
    sectorEndsM = List.copyOf(sectorEndsM);
    targets = List.copyOf(targets);
  }

  /** Whom a target is for. */
  public enum Tier {
    EXPERT,
    GOOD_CLUB,
    BEGINNER,
    /** The lap of the book with the driver's own values. */
    BOOK,
    /** The best that oneself has driven on such a road. */
    OWN_BEST,
    /** A step from there towards the book. */
    OWN_NEXT
  }

  /** A lap with its sectors. */
  public record Target(Tier tier, double lapS, List<Double> sectorsS) {
    public Target {
      sectorsS = List.copyOf(sectorsS);
    }
  }

  /** Grip that an expert uses (common practice). */
  private static final double EXPERT_GRIP = 0.97;

  /** Good club drivers are 3 to 4 % slower than an expert's lap (common practice). */
  private static final double GOOD_CLUB = 1.035;

  /** Beginners are 9 to 10 % slower (common practice). */
  private static final double BEGINNER = 1.095;

  /** Of what is missing to the book a session may bring a third (own assumption). */
  private static final double STEP_TOWARDS_BOOK = 1.0 / 3;

  private static final int SECTORS = 3;

  /**
   * Targets for a reference in its conditions.
   *
   * @param ownBestS best lap so far on such a road, if any
   */
  public static Targets of(
      Reference.Basis basis, Conditions conditions, Reference reference, OptionalDouble ownBestS) {
    Lap expert =
        SpeedProfile.solve(basis.path(), basis.vehicle(), conditions.withGripUsed(EXPERT_GRIP));
    List<Double> ends = sectorEnds(expert.path().road());
    List<Target> targets = new ArrayList<>();
    targets.add(target(Tier.EXPERT, expert, expert.timeS(), ends));
    targets.add(target(Tier.GOOD_CLUB, expert, GOOD_CLUB * expert.timeS(), ends));
    targets.add(target(Tier.BEGINNER, expert, BEGINNER * expert.timeS(), ends));
    Lap book = reference.lap();
    targets.add(target(Tier.BOOK, book, book.timeS(), ends));
    if (ownBestS.isPresent()) {
      double best = ownBestS.getAsDouble();
      targets.add(target(Tier.OWN_BEST, book, best, ends));
      targets.add(target(Tier.OWN_NEXT, book, nextS(book.timeS(), best), ends));
    }
    return new Targets(ends, targets);
  }

  /**
   * Lap time to aim at next: a part of the way from what oneself has driven to the book; the best
   * so far where that is faster than the book.
   */
  public static double nextS(double bookS, double ownBestS) {
    return ownBestS - STEP_TOWARDS_BOOK * Math.max(0, ownBestS - bookS);
  }

  /** Thirds of the lap, each moved on to the next straight so that no corner is cut in two. */
  private static List<Double> sectorEnds(Road road) {
    List<Double> ends = new ArrayList<>();
    for (int s = 1; s < SECTORS; s++) {
      int i = s * road.size() / SECTORS;
      int latest = (s * road.size() + road.size() / 2) / SECTORS;
      int k = i;
      while (k < latest && !Straights.at(road, k)) {
        k++;
      }
      ends.add(road.stationAt(k < latest ? k : i));
    }
    ends.add(road.lengthM());
    return ends;
  }

  /** A lap's sectors stretched to another time. */
  private static Target target(Tier tier, Lap lap, double seconds, List<Double> ends) {
    List<Double> sectors = new ArrayList<>();
    double begun = 0;
    for (int s = 0; s < ends.size(); s++) {
      boolean last = s == ends.size() - 1;
      double until = last ? lap.timeS() : lap.timeAt(lap.path().road().indexOf(ends.get(s)));
      sectors.add((until - begun) * seconds / lap.timeS());
      begun = until;
    }
    return new Target(tier, seconds, sectors);
  }
}
