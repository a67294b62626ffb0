package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.Finding.Rule;
import marvek.core.laps.SimulatedDriver.Habit;
import marvek.core.page.LineChoice;
import marvek.core.page.Reference;
import marvek.core.page.Stakes;
import marvek.core.profile.Lap;
import org.hipparchus.stat.descriptive.rank.Median;
import org.junit.jupiter.api.Test;

class FindingsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, LineChoice.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final Stakes STAKES = new Stakes(0.05, 0.06, 0.04, null, null);

  private static CornerReading reading(
      double brakeOnM, double lowestMps, double throttleM, int gear) {
    return new CornerReading(
        1, brakeOnM, 80.0, 40.0, 150.0, lowestMps, 180.0, gear, throttleM, 220.0, 0.0, 40.0, 1.0,
        9.0);
  }

  private static List<Finding> findings(CornerReading... laps) {
    List<List<CornerReading>> each = new ArrayList<>();
    for (CornerReading lap : laps) {
      each.add(List.of(lap));
    }
    return Findings.of(ROAD, List.of(reading(100, 30, 200, 3)), List.of(STAKES), each);
  }

  @Test
  void aHabitIsFoundWithItsSizeAndItsLaps() {
    List<Finding> found =
        findings(
            reading(89, 30, 200, 3),
            reading(90, 30, 200, 3),
            reading(88, 30, 200, 3),
            reading(99, 30, 200, 3));
    Finding early = found.get(0);
    assertThat(early.rule()).isEqualTo(Rule.BRAKED_EARLY);
    assertThat(early.amount()).isCloseTo(10.5, within(1e-9));
    assertThat(early.laps()).isEqualTo(3);
    assertThat(early.of()).isEqualTo(4);
    // 5 m early cost 0.05 s: 10.5 m cost 0.105 s.
    assertThat(early.costS()).isCloseTo(0.105, within(1e-9));
    assertThat(found).hasSize(1);
  }

  @Test
  void whatIsTooSmallOrTooRareIsNoFinding() {
    assertThat(
            findings(reading(97, 29.5, 203, 3), reading(98, 29.6, 202, 3), reading(84, 30, 200, 3)))
        .isEmpty();
    assertThat(findings(reading(80, 25, 240, 2), reading(80, 25, 240, 2))).isEmpty();
  }

  @Test
  void theCostliestComesFirst() {
    List<Finding> found =
        findings(reading(94, 27, 212, 2), reading(94, 27, 212, 2), reading(94, 27, 212, 2));
    assertThat(found)
        .extracting(Finding::rule)
        .containsExactly(Rule.OVER_SLOWED, Rule.BRAKED_EARLY, Rule.LATE_THROTTLE, Rule.OTHER_GEAR);
  }

  /** Median and MAD against Hipparchus. */
  @Test
  void theMiddleIsThatOfTheLibrary() {
    Random random = new Random(5);
    for (int n = 1; n < 40; n++) {
      double[] values = random.doubles(n, -30, 30).toArray();
      double middle = new Median().evaluate(values);
      assertThat(Middle.of(values)).isCloseTo(middle, within(1e-12));
      double[] away = new double[n];
      for (int k = 0; k < n; k++) {
        away[k] = Math.abs(values[k] - middle);
      }
      assertThat(Middle.of(Middle.distances(values)))
          .isCloseTo(new Median().evaluate(away), within(1e-12));
    }
  }

  /** Planted habits of a simulated driver are found in their corners. */
  @Test
  void plantedHabitsAreFoundWhereTheyAre() {
    Map<Integer, Habit> habits =
        Map.of(1, new Habit(11, 0, 0), 5, new Habit(0, 2, 0), 8, new Habit(0, 0, 16));
    List<Lap> laps = new SimulatedDriver(BASIS, Conditions.DEFAULT, BOOK).drive(6, habits, 3);
    LapReader reader = new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);
    List<CornerReading> page = readings(reader, List.of(BOOK.lap(), BOOK.lap())).get(0);
    List<Stakes> stakes = BOOK.pages().stream().map(p -> STAKES).toList();
    List<Finding> found = Findings.of(ROAD, page, stakes, readings(reader, laps));
    assertThat(found)
        .anyMatch(f -> f.corner() == 1 && f.rule() == Rule.BRAKED_EARLY && f.amount() > 8)
        .anyMatch(f -> f.corner() == 5 && f.rule() == Rule.OVER_SLOWED)
        .anyMatch(f -> f.corner() == 8 && f.rule() == Rule.LATE_THROTTLE);
    assertThat(found)
        .noneMatch(f -> f.rule() == Rule.BRAKED_EARLY && f.corner() != 1 && f.amount() > 8);
  }

  private static List<List<CornerReading>> readings(LapReader reader, List<Lap> laps) {
    Recording recording = new ModelRecording(100, 0.3, true, 2).of(laps);
    Stations stations = Stations.of(recording, ROAD);
    return LapCutter.cut(recording, stations, ROAD).stream()
        .filter(RecordedLap::isWhole)
        .map(lap -> reader.read(recording, stations, lap))
        .toList();
  }
}
