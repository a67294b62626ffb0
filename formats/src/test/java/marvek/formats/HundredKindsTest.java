package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.CornerReading;
import marvek.core.laps.LapReader;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Thresholds;
import marvek.core.line.ChosenLine;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Files of every kind that comes in, of a drive of which everything is known: each is read as well
 * as its rates allow, or refused with a sentence that says what to do; none is read wrong.
 */
class HundredKindsTest {
  private static final Circuit CIRCUIT = CircuitGeoJson.read(DemoFiles.circuit()).value();
  private static final Vehicle CAR = CarJson.read(DemoFiles.car()).value();
  private static final Reference BOOK =
      Reference.on(
          Reference.basis(CIRCUIT, CAR, Conditions.DEFAULT, ChosenLine.SMOOTH),
          Conditions.DEFAULT,
          List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final DrivenTruth TRUTH =
      new DrivenTruth(ROAD, BOOK.path()::offsetAt, new double[] {1, 1, 1, 1}, 6);
  private static final List<KindsOfFiles.Kind> KINDS =
      KindsOfFiles.of(new KindsOfFiles.Drive(TRUTH, CIRCUIT.origin(), ROAD.lengthM()));

  /** Braking of less is a dab that may be told or not [%]. */
  private static final double REAL_PCT = 30;

  /** The drive brakes otherwise than the book, but not elsewhere [m]. */
  private static final double AWAY_M = 80;

  private static final double NOT_READ_M = 999;

  static Stream<KindsOfFiles.Kind> kinds() {
    return KINDS.stream();
  }

  private static LapsOnRoad read(KindsOfFiles.Kind kind) {
    LapFile file = LapFiles.read(FileText.of(kind.bytes()), Map.of(), 0);
    return LapsOnRoad.of(file, CIRCUIT, ROAD, BOOK.lap());
  }

  private static List<List<CornerReading>> readings(LapsOnRoad laps, List<RecordedLap> whole) {
    LapReader reader = new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0.02);
    return reader.read(laps.recording(), laps.placed().stations(), whole);
  }

  /** Distance of each real braking of the drive to the nearest that was read on its lap. */
  private static List<Double> misses(List<List<CornerReading>> readings, List<Integer> laps) {
    List<Double> misses = new ArrayList<>();
    for (int k = 0; k < laps.size(); k++) {
      int lap = laps.get(k);
      List<CornerReading> corners = readings.get(k);
      TRUTH.brakes.stream()
          .filter(brake -> brake.lap() == lap && brake.peakPct() > REAL_PCT)
          .filter(brake -> isOfACorner(brake.stationM()))
          .forEach(
              brake ->
                  misses.add(
                      corners.stream()
                          .map(corner -> corner.braking().onM())
                          .filter(on -> on != null && !on.isNaN())
                          .mapToDouble(on -> Math.abs(ROAD.offsetBetween(on, brake.stationM())))
                          .min()
                          .orElse(NOT_READ_M)));
    }
    return misses;
  }

  /** Whether a braking leads to a place where the book has a corner and brakes for it. */
  private static boolean isOfACorner(double stationM) {
    return BOOK.pages().stream()
        .filter(page -> page.brake().atM() != null)
        .anyMatch(page -> Math.abs(ROAD.offsetBetween(page.brake().atM(), stationM)) < AWAY_M);
  }

  @Test
  void thereAreAHundredKindsAndMostAreToBeRead() {
    assertThat(KINDS).hasSizeGreaterThanOrEqualTo(100);
    assertThat(KINDS.stream().filter(kind -> !Double.isNaN(kind.lapS())).count())
        .isGreaterThanOrEqualTo(85);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("kinds")
  void eachIsReadRightOrRefusedInWords(KindsOfFiles.Kind kind) {
    if (Double.isNaN(kind.lapS())) {
      assertThatThrownBy(() -> read(kind))
          .isInstanceOfAny(BadFileException.class, InvalidValueException.class)
          .hasMessageContaining(kind.says());
      return;
    }
    LapsOnRoad laps = read(kind);
    assertThat(laps.corrections().stream().map(Sentence::words).toList().toString())
        .contains(kind.says());
    List<RecordedLap> flying =
        laps.laps().stream().filter(lap -> lap.kind() == RecordedLap.Kind.FLYING).toList();
    double[] truth = TRUTH.lapTimes();
    boolean jumps = kind.says().equals("does not count");
    assertThat(flying).as(laps.corrections().toString()).hasSize(truth.length - (jumps ? 1 : 0));
    List<Integer> of = new ArrayList<>();
    for (RecordedLap lap : flying) {
      int number = flying.indexOf(lap) + (flying.indexOf(lap) >= brokenLap() && jumps ? 1 : 0);
      assertThat(lap.timeS())
          .as("%s, lap %d: %s", kind, number, laps.corrections())
          .isCloseTo(truth[number], within(kind.lapS()));
      of.add(number);
    }
    if (!Double.isNaN(kind.brakeM())) {
      List<Double> misses = misses(readings(laps, flying), of);
      long near = misses.stream().filter(m -> m <= kind.brakeM()).count();
      assertThat(near / (double) misses.size())
          .as("brake points missed by %s: %s", misses, laps.corrections())
          .isGreaterThanOrEqualTo(0.9);
    }
  }

  /** The lap in which clocks jump, 260 s after the beginning. */
  private static int brokenLap() {
    int lap = -1;
    for (double crossing : TRUTH.crossingsS) {
      lap += crossing < 260 ? 1 : 0;
    }
    return lap;
  }
}
