package marvek.core.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import marvek.core.MadeRoads;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.cause.SlipDriver.Drive;
import marvek.core.cause.SlipDriver.Kind;
import marvek.core.cause.SlipDriver.Slip;
import marvek.core.circuit.Circuit;
import marvek.core.laps.ReadLap;
import marvek.core.page.CornerPage;
import marvek.core.page.CornerTime;
import org.junit.jupiter.api.Test;

/**
 * Slips that a driver of another hand makes in four laps of five: they are found in their corner,
 * first, with their cause and their size. What one is worth is the whole lap's difference to the
 * same lap without it. The bars are those that the method sets itself; what is reached stands
 * beside each.
 */
class PlantedSlipsTest {
  private static final double LEAST_WORTH_S = 0.1;
  private static final int LAPS = 5;
  private static final int CLEAN_LAP = 2;

  private static final List<DrivenBook> BOOKS =
      List.of(
          DrivenBook.smooth(Circuit.bare("varied", TestRoads.varied(5)), TestVehicles.clubCar()),
          DrivenBook.fastest(MadeRoads.of(3, 1), TestVehicles.clubCar()),
          DrivenBook.fastest(MadeRoads.of(8, 1), TestVehicles.clubCar()));

  /** Two of them say the same of another logger and other slips, and take half the time. */
  private static final List<DrivenBook> FEWER = List.of(BOOKS.get(0), BOOKS.get(2));

  private static final Map<Kind, Double> AMOUNTS =
      Map.of(
          Kind.BRAKES_EARLY, 16.0,
          Kind.BRAKES_EARLY_AND_ROLLS, 12.0,
          Kind.COASTS, 1.0,
          Kind.OVER_SLOWS, 1.8,
          Kind.THROTTLE_LATE, 16.0,
          Kind.LIFTS, 60.0,
          Kind.GEAR_HIGHER, 1.0,
          Kind.WIDE_AT_APEX, 1.4);

  /** What hands and a held brake do, and what needs a corner that is flat. */
  private static final Map<Kind, Double> OTHERS =
      Map.of(Kind.SLIDES, 40.0, Kind.PUSHES, 45.0, Kind.HOLDS_LONG, 22.0, Kind.LIFTS_FLAT, 90.0);

  private static double amount(Kind kind) {
    return AMOUNTS.getOrDefault(kind, OTHERS.getOrDefault(kind, 0.0));
  }

  private static Set<Cause> right(Kind kind) {
    return switch (kind) {
      case BRAKES_EARLY, BRAKES_EARLY_AND_ROLLS -> EnumSet.of(Cause.BRAKED_EARLY);
      case COASTS -> EnumSet.of(Cause.COASTED);
      case OVER_SLOWS -> EnumSet.of(Cause.OVER_SLOWED);
      case THROTTLE_LATE -> EnumSet.of(Cause.LATE_THROTTLE);
      case LIFTS -> EnumSet.of(Cause.THROTTLE_TWICE, Cause.EARLY_THROTTLE_LIFTED, Cause.LIFTED);
      case LIFTS_FLAT -> EnumSet.of(Cause.LIFTED);
      case SLIDES -> EnumSet.of(Cause.SLID_OUT);
      case PUSHES -> EnumSet.of(Cause.MORE_STEERING);
      case HOLDS_LONG -> EnumSet.of(Cause.HELD_TOO_LONG);
      case GEAR_HIGHER -> EnumSet.of(Cause.OTHER_GEAR);
      case WIDE_AT_APEX -> EnumSet.of(Cause.MISSED_APEX);
    };
  }

  /** What became of the slips of a suite. */
  private record Score(int trials, int place, int first, int firstTwo, int size, List<String> off) {
    static Score of(List<Trial> trials) {
      List<String> off = new ArrayList<>();
      trials.stream().filter(t -> t.rank != 1 || !t.sized).forEach(t -> off.add(t.toString()));
      return new Score(
          trials.size(),
          (int) trials.stream().filter(t -> t.placed).count(),
          (int) trials.stream().filter(t -> t.rank == 1).count(),
          (int) trials.stream().filter(t -> t.rank == 1 || t.rank == 2).count(),
          (int) trials.stream().filter(t -> t.sized).count(),
          off);
    }

    void atLeast(double placePct, double firstPct, double firstTwoPct, double sizePct) {
      String told =
          "%d trials: place %d, first %d, two %d, size %d%n%s"
              .formatted(trials, place, first, firstTwo, size, String.join("\n", off));
      assertThat(trials).isGreaterThan(20);
      assertThat(100.0 * place / trials).as("place of " + told).isGreaterThanOrEqualTo(placePct);
      assertThat(100.0 * first / trials).as("first of " + told).isGreaterThanOrEqualTo(firstPct);
      assertThat(100.0 * firstTwo / trials)
          .as("first two of " + told)
          .isGreaterThanOrEqualTo(firstTwoPct);
      assertThat(100.0 * size / trials).as("size of " + told).isGreaterThanOrEqualTo(sizePct);
    }
  }

  /** One slip in one corner, and where its cause came to stand. */
  private record Trial(
      Kind kind,
      int corner,
      double worthS,
      boolean placed,
      int rank,
      boolean sized,
      String found) {}

  private interface Driving {
    SlipDriver of(DrivenBook book);
  }

  private static List<Trial> trials(
      List<DrivenBook> books, Driving driving, double hz, boolean pedals, Set<Kind> kinds) {
    List<Trial> trials = new ArrayList<>();
    for (DrivenBook book : books) {
      SlipDriver driver = driving.of(book);
      IntStream.range(0, book.book().pages().size())
          .parallel()
          .mapToObj(p -> inCorner(book, driver, p, hz, pedals, kinds))
          .forEachOrdered(trials::addAll);
    }
    return trials;
  }

  private static List<Trial> inCorner(
      DrivenBook book, SlipDriver driver, int p, double hz, boolean pedals, Set<Kind> kinds) {
    List<Trial> trials = new ArrayList<>();
    Drive clean = driver.drive(without(), seed(p));
    for (Kind kind : kinds) {
      if (canBeMadeAt(book, p, kind)) {
        trial(book, driver, clean, new Slip(p, kind, amount(kind)), hz, pedals)
            .ifPresent(trials::add);
      }
    }
    return trials;
  }

  private static int seed(int p) {
    return 3 + p;
  }

  private static List<List<Slip>> without() {
    return IntStream.range(0, LAPS).mapToObj(k -> List.<Slip>of()).toList();
  }

  /** A slip on the way out needs one: where the next corner begins at once it is another's. */
  private static boolean canBeMadeAt(DrivenBook book, int p, Kind kind) {
    if (kind == Kind.LIFTS_FLAT) {
      return book.page(true).corners().get(p).braking().onM() == null;
    }
    if (!OTHERS.containsKey(kind) && kind != Kind.THROTTLE_LATE && kind != Kind.LIFTS) {
      return true;
    }
    List<CornerPage> pages = book.book().pages();
    Double first = pages.get(p).throttle().firstM();
    double next = CornerTime.beginsAtM(pages.get((p + 1) % pages.size()), book.road());
    return first != null && book.road().offsetBetween(first, next) >= 40;
  }

  private static Optional<Trial> trial(
      DrivenBook book, SlipDriver driver, Drive clean, Slip slip, double hz, boolean pedals) {
    List<List<Slip>> with =
        IntStream.range(0, LAPS)
            .mapToObj(k -> k == CLEAN_LAP ? List.<Slip>of() : List.of(slip))
            .toList();
    Drive driven = driver.drive(with, seed(slip.corner()));
    double worth =
        IntStream.range(0, LAPS)
            .filter(k -> k != CLEAN_LAP)
            .mapToDouble(k -> driven.lapS().get(k) - clean.lapS().get(k))
            .average()
            .orElseThrow();
    if (worth < LEAST_WORTH_S) {
      return Optional.empty();
    }
    List<ReadLap> read = book.read(driven.recorded(hz, 1, pedals, 5 + slip.corner()));
    List<Finding> habits =
        book.findings(read, pedals).stream()
            .filter(f -> f.often() == Finding.Often.HABIT && f.costS() != null)
            .toList();
    return Optional.of(judged(book, slip, worth, habits));
  }

  private static Trial judged(DrivenBook book, Slip slip, double worth, List<Finding> habits) {
    int corner = book.book().pages().get(slip.corner()).corner();
    Set<Cause> right = right(slip.kind());
    int rank = 0;
    for (int r = 0; r < habits.size() && rank == 0; r++) {
      Finding f = habits.get(r);
      boolean cause = right.contains(f.cause()) || f.with() != null && right.contains(f.with());
      rank = f.corner() == corner && cause ? r + 1 : 0;
    }
    boolean sized =
        rank > 0 && Math.abs(habits.get(rank - 1).costS() - worth) <= Math.max(0.03, 0.25 * worth);
    String found =
        habits.stream().limit(3).map(f -> f.corner() + " " + f.cause() + " " + f.costS()).toList()
            + "";
    boolean placed = !habits.isEmpty() && habits.get(0).corner() == corner;
    return new Trial(slip.kind(), corner, worth, placed, rank, sized, found);
  }

  /** Reached: 98, 95, 96 and 84 % of 162. */
  @Test
  void slipsAreFoundFirstAndSizedWithPedalsAtFiftyHertz() {
    Score.of(trials(BOOKS, DrivenBook::driver, 50, true, AMOUNTS.keySet())).atLeast(97, 93, 94, 81);
  }

  /** Reached: 96, 94, 94 and 76 % of 160. */
  @Test
  void aCarThatIsHeavierAndWeakerThanTheBooksChangesNoCause() {
    Score.of(trials(BOOKS, book -> book.inWorseCar(0.03), 50, true, AMOUNTS.keySet()))
        .atLeast(95, 91, 91, 75);
  }

  /** Without pedals no gear is named. Reached: 96, 87, 90 and 75 % of 102. */
  @Test
  void slipsAreFoundFromPositionsAndSpeedsAtTenHertz() {
    Set<Kind> kinds = EnumSet.copyOf(AMOUNTS.keySet());
    kinds.remove(Kind.GEAR_HIGHER);
    Score.of(trials(FEWER, DrivenBook::driver, 10, false, kinds)).atLeast(95, 84, 87, 72);
  }

  /** Reached: 98, 96, 96 and 89 % of 47. */
  @Test
  void slidesLiftsAndABrakeThatIsHeldAreFound() {
    Score.of(trials(FEWER, DrivenBook::driver, 50, true, OTHERS.keySet())).atLeast(95, 93, 93, 85);
  }

  @Test
  void aLiftInACornerThatIsFlatIsCalledOne() {
    List<Trial> trials = trials(BOOKS, DrivenBook::driver, 50, true, EnumSet.of(Kind.LIFTS_FLAT));
    assertThat(trials).isNotEmpty().allSatisfy(t -> assertThat(t.rank()).isEqualTo(1));
  }

  /** In sessions without slips at most 1.5 of five hundredths or more stand out. Reached: none. */
  @Test
  void aCleanSessionHasNextToNoHabits() {
    int sessions = 0;
    int found = 0;
    for (DrivenBook book : BOOKS) {
      for (int seed = 0; seed < 4; seed++) {
        Drive clean = book.driver().drive(without(), 100 + seed);
        sessions++;
        found +=
            (int)
                book.findings(book.read(clean.recorded(50, 1, true, 5 + seed)), true).stream()
                    .filter(f -> f.often() == Finding.Often.HABIT)
                    .filter(f -> f.costS() != null && f.costS() >= 0.05)
                    .count();
      }
    }
    assertThat((double) found / sessions).isLessThanOrEqualTo(0.25);
  }
}
