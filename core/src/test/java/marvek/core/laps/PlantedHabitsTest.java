package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.Finding.Rule;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.laps.SimulatedDriver.Kind;
import marvek.core.line.ChosenLine;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import marvek.core.reference.ModelReference;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a simulated driver does wrong is found in its corner, and sized as the model has it. */
class PlantedHabitsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final List<Stakes> STAKES = ModelReference.on(BASIS, Conditions.DEFAULT).stakes();

  private static final LapReader READER =
      new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);

  private static List<Charges.ReadLap> readLaps(List<Lap> laps, double noiseM) {
    Recording recording = new ModelRecording(100, noiseM, true, 2).of(laps);
    Stations stations = Stations.of(recording, ROAD);
    return LapCutter.cut(recording, stations, ROAD).stream()
        .filter(RecordedLap::isWhole)
        .map(
            lap ->
                new Charges.ReadLap(
                    AlongLap.of(recording, stations, lap, ROAD, Thresholds.DEFAULT, 2),
                    READER.read(recording, stations, lap)))
        .toList();
  }

  private static final Charges.ReadLap PAGE = readLaps(List.of(BOOK.lap(), BOOK.lap()), 0).get(0);

  private static final Charges CHARGES =
      new Charges(ROAD, BOOK.pages(), BOOK.corners(), STAKES, PAGE);

  private static List<Lap> drive(Map<Integer, Habit> habits) {
    return new SimulatedDriver(BASIS, Conditions.DEFAULT, BOOK).drive(6, habits, 3);
  }

  private static List<Finding> findings(Map<Integer, Habit> habits) {
    List<Charges.ReadLap> laps = readLaps(drive(habits), 0.3);
    return Findings.of(
        ROAD,
        PAGE.corners(),
        STAKES,
        laps.stream().map(Charges.ReadLap::corners).toList(),
        laps.stream().map(CHARGES::of).toList());
  }

  private static Finding only(List<Finding> found, int corner, Rule rule) {
    return found.stream()
        .filter(f -> f.corner() == corner && f.rule() == rule)
        .findFirst()
        .orElseThrow(() -> new AssertionError(rule + " in " + corner + " not among " + found));
  }

  @Test
  void habitsAreFoundWhereTheyAreAndNowhereElse() {
    List<Finding> found =
        findings(
            Map.of(
                1,
                new Habit(Kind.BRAKES_EARLY, 11),
                5,
                new Habit(Kind.OVER_SLOWS, 2),
                8,
                new Habit(Kind.THROTTLE_LATE, 16)));
    assertThat(only(found, 1, Rule.BRAKED_EARLY).amount()).isBetween(9.0, 16.0);
    assertThat(only(found, 5, Rule.OVER_SLOWED).amount()).isBetween(1.5, 3.0);
    assertThat(only(found, 8, Rule.LATE_THROTTLE).amount()).isBetween(6.0, 22.0);
    assertThat(found)
        .noneMatch(f -> f.rule() == Rule.BRAKED_EARLY && f.corner() != 1 && f.amount() > 8);
  }

  @Test
  void aLiftIsAThrottleTwice() {
    List<Finding> found = findings(Map.of(3, new Habit(Kind.LIFTS, 18)));
    only(found, 3, Rule.THROTTLE_TWICE);
    assertThat(found).noneMatch(f -> f.rule() == Rule.THROTTLE_TWICE && f.corner() != 3);
  }

  @Test
  void anotherGearAndAMissedApexAreSeen() {
    List<Finding> found =
        findings(Map.of(2, new Habit(Kind.GEAR_HIGHER, 1), 6, new Habit(Kind.WIDE_AT_APEX, 1.4)));
    only(found, 2, Rule.OTHER_GEAR);
    assertThat(only(found, 6, Rule.MISSED_APEX).amount()).isBetween(1.0, 1.9);
  }

  private static double seconds(Map<Integer, Habit> habits) {
    return drive(habits).stream().mapToDouble(Lap::timeS).average().orElseThrow();
  }

  /** The same laps with and without a habit: what they differ by is what it costs. */
  @ParameterizedTest
  @CsvSource({
    "1, BRAKES_EARLY, 11, BRAKED_EARLY",
    "5, OVER_SLOWS, 2, OVER_SLOWED",
    "8, THROTTLE_LATE, 16, LATE_THROTTLE",
    "6, WIDE_AT_APEX, 1.4, MISSED_APEX",
    "3, LIFTS, 18, THROTTLE_TWICE",
    "2, GEAR_HIGHER, 1, OTHER_GEAR"
  })
  void aSlipIsSizedAsTheLapsHaveIt(int corner, Kind kind, double amount, Rule rule) {
    Map<Integer, Habit> habit = Map.of(corner, new Habit(kind, amount));
    double cost = seconds(habit) - seconds(Map.of());
    double found = only(findings(habit), corner, rule).costS();
    // What everybody loses there by being a person is found with the habit; the reader's noise and
    // what the next corner pays make two hundredths.
    assertThat(found)
        .as("planted %.3f s", cost)
        .isBetween(0.95 * cost, cost + lostByAnybody(corner) + 0.02);
  }

  /** What the corner is charged with in laps without a habit. */
  private static double lostByAnybody(int corner) {
    return readLaps(drive(Map.of()), 0.3).stream()
        .mapToDouble(lap -> CHARGES.of(lap).get(corner - 1).chargedS())
        .average()
        .orElseThrow();
  }

  /** Whatever is charged to whom: over the lap it is what was lost. */
  @Test
  void chargesOfALapAddUpToWhatItLost() {
    for (Charges.ReadLap lap : readLaps(drive(Map.of()), 0)) {
      List<Charges.Loss> losses = CHARGES.of(lap);
      double lost = losses.stream().mapToDouble(Charges.Loss::lostS).sum();
      double charged = losses.stream().mapToDouble(Charges.Loss::chargedS).sum();
      assertThat(charged).isCloseTo(lost, within(1e-9));
    }
  }

  @Test
  void thePageItselfLosesNothing() {
    assertThat(CHARGES.of(PAGE))
        .allSatisfy(
            loss -> {
              assertThat(loss.lostS()).isCloseTo(0, within(1e-6));
              assertThat(loss.chargedS()).isCloseTo(0, within(1e-6));
            });
  }
}
