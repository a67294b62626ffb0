package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import marvek.core.TestRoads;
import marvek.core.TestVehicles;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.laps.RecordedLap.Kind;
import marvek.core.line.ChosenLine;
import marvek.core.profile.Lap;
import marvek.core.reference.Reference;
import org.junit.jupiter.api.Test;

/** Laps behind a flag, laps of another surface, and a clock that jumps, among raced ones. */
class LapKindsTest {
  private static final Circuit VARIED = Circuit.bare("varied", TestRoads.varied(5));
  private static final Reference.Basis BASIS =
      Reference.basis(VARIED, TestVehicles.clubCar(), Conditions.DEFAULT, ChosenLine.SMOOTH);
  private static final Reference BOOK = Reference.on(BASIS, Conditions.DEFAULT, List.of());
  private static final Road ROAD = BOOK.path().road();
  private static final Lap RACED = BOOK.lap();
  private static final LapReader READER =
      new LapReader(ROAD, BOOK.pages(), Thresholds.DEFAULT, v -> 0);

  private static Lap on(Conditions.Surface surface) {
    Conditions then = Conditions.DEFAULT.withSurface(surface);
    return Reference.on(BASIS, then, List.of()).lap();
  }

  private static List<LapKinds.Read> read(Recording recording) {
    Stations stations = Stations.of(recording, ROAD);
    return LapCutter.cut(recording, stations, ROAD).stream()
        .map(
            lap ->
                new LapKinds.Read(
                    lap, lap.isWhole() ? READER.read(recording, stations, lap) : List.of()))
        .toList();
  }

  private static List<LapKinds.Read> driven(Lap... laps) {
    return read(new ModelRecording(50, 0.2, true, 3).of(List.of(laps)));
  }

  private static List<Kind> kinds(List<LapKinds.Read> laps) {
    return LapKinds.of(laps).stream().map(RecordedLap::kind).toList();
  }

  @Test
  void aLapBehindAFlagIsSlow() {
    Lap held = SimulatedDriver.heldUp(RACED, 0.62);
    assertThat(kinds(driven(RACED, RACED, held, RACED, RACED)))
        .containsExactly(
            Kind.OUT, Kind.FLYING, Kind.FLYING, Kind.SLOW, Kind.FLYING, Kind.FLYING, Kind.IN);
  }

  @Test
  void aSlowCornerMakesNoSlowLap() {
    List<Lap> laps =
        new SimulatedDriver(BASIS, Conditions.DEFAULT, BOOK).drive(6, java.util.Map.of(), 4);
    assertThat(kinds(driven(laps.toArray(Lap[]::new)))).filteredOn(Kind.SLOW::equals).isEmpty();
  }

  /** In rain the throttle is as flat on the straights, and the corners are not as fast. */
  @Test
  void aRunOfAnotherSurfaceIsToldFromAFlag() {
    Lap damp = on(Conditions.Surface.WET);
    assertThat(kinds(driven(RACED, RACED, RACED, RACED, damp, damp, RACED)))
        .containsExactly(
            Kind.OUT,
            Kind.FLYING,
            Kind.FLYING,
            Kind.FLYING,
            Kind.FLYING,
            Kind.OTHER_SURFACE,
            Kind.OTHER_SURFACE,
            Kind.FLYING,
            Kind.IN);
  }

  /** Two laps behind a flag were in no haste on the straights either. */
  @Test
  void twoLapsBehindAFlagAreNoOtherSurface() {
    Lap held = SimulatedDriver.heldUp(RACED, 0.62);
    assertThat(kinds(driven(RACED, RACED, RACED, RACED, held, held)))
        .containsExactly(
            Kind.OUT,
            Kind.FLYING,
            Kind.FLYING,
            Kind.FLYING,
            Kind.FLYING,
            Kind.SLOW,
            Kind.SLOW,
            Kind.IN);
  }

  private static LapKinds.Read timed(int number, double... seconds) {
    List<CornerReading> corners = new ArrayList<>();
    for (int c = 0; c < seconds.length; c++) {
      CornerReading none = CornerReading.nothing(c + 1);
      corners.add(
          new CornerReading(
              c + 1,
              none.braking(),
              none.slowest(),
              none.throttle(),
              none.way(),
              none.wheel(),
              none.feet(),
              null,
              null,
              seconds[c]));
    }
    return new LapKinds.Read(new RecordedLap(number, Kind.FLYING, 0, 1, 0, 1, 0), corners);
  }

  /**
   * By hand: 10.0, 10.2, 10.4, 10.6 and the lap in question. With it above them the median is 10.4
   * and the deviations 0.4, 0.2, 0, 0.2 and its own: MAD 0.2, the bound 10.4 + 3 · 0.2 = 11.0.
   */
  @Test
  void theBoundIsThreeDeviationsBeyondTheMedianInMoreThanAThirdOfTheCorners() {
    double[][] lastLap = {
      {11.05, 11.05, 10.4, 10.4, 10.4},
      {10.95, 10.95, 10.95, 10.95, 10.95},
      {11.05, 10.4, 10.4, 10.4, 10.4}
    };
    Kind[] kinds = {Kind.SLOW, Kind.FLYING, Kind.FLYING};
    for (int k = 0; k < lastLap.length; k++) {
      List<LapKinds.Read> laps = new ArrayList<>();
      for (int lap = 0; lap < 4; lap++) {
        double seconds = 10 + 0.2 * lap;
        laps.add(timed(lap + 1, seconds, seconds, seconds, seconds, seconds));
      }
      laps.add(timed(5, lastLap[k]));
      assertThat(kinds(laps).get(4)).isEqualTo(kinds[k]);
    }
  }

  @Test
  void ofTwoLapsNeitherIsTheOddOne() {
    Lap held = SimulatedDriver.heldUp(RACED, 0.62);
    assertThat(kinds(driven(RACED, held)))
        .containsExactly(Kind.OUT, Kind.FLYING, Kind.FLYING, Kind.IN);
  }

  @Test
  void aClockThatJumpsBreaksItsLapAlone() {
    Recording whole = new ModelRecording(50, 0, true, 3).of(List.of(RACED, RACED, RACED));
    BitSet breaks = new BitSet();
    breaks.set((int) (whole.size() * 0.5));
    assertThat(kinds(read(whole.brokenAt(breaks))))
        .containsExactly(Kind.OUT, Kind.FLYING, Kind.BROKEN, Kind.FLYING, Kind.IN);
  }

  /**
   * Grip of a wet lap against the dry page is that of the model's own factor, but for downforce.
   */
  @Test
  void gripAgainstThePageIsTheSurfaces() {
    List<List<CornerReading>> wet = new ArrayList<>();
    for (LapKinds.Read lap : driven(on(Conditions.Surface.WET), on(Conditions.Surface.WET))) {
      if (lap.lap().isWhole()) {
        wet.add(lap.corners());
      }
    }
    assertThat(LapKinds.gripAgainst(BOOK.pages(), wet))
        .isCloseTo(Conditions.Surface.WET.gripFactor(), within(0.04));
    assertThat(LapKinds.gripAgainst(BOOK.pages(), List.of())).isNaN();
  }
}
