package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import marvek.core.TestRoads;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;

/** Values of a lap between its samples, on a straight that is driven with a wheel's metres. */
class LapTraceTest {
  private static final double EXACT = 1e-9;
  private static final Road ROAD =
      Circuit.bare("straight", TestRoads.every(5).straight(200).survey(false, 6, 0, 0)).road();

  /** A sample every half second: its metres, and what it shows. */
  private static LapTrace trace(double[] metres, double speedMps, double[] throttle) {
    double[] time = new double[metres.length];
    double[] speed = new double[metres.length];
    Arrays.setAll(time, i -> i / 2.0);
    Arrays.fill(speed, speedMps);
    Recording recording =
        new Recording(
            time,
            Map.of(Channel.DISTANCE, metres, Channel.SPEED, speed, Channel.THROTTLE, throttle));
    return new LapTrace(
        recording,
        Stations.of(recording, ROAD),
        new RecordedLap(1, RecordedLap.Kind.FLYING, 0, metres.length, 0, 0, 0),
        ROAD,
        BrakeZero.of(recording, Thresholds.DEFAULT));
  }

  private static LapTrace steady(double... metres) {
    return trace(metres, 20, new double[metres.length]);
  }

  @Test
  void aValueBetweenTwoSamplesIsTheirShare() {
    LapTrace trace = trace(new double[] {100, 110, 130, 140}, 20, new double[] {0, 40, 80, 80});
    assertThat(trace.timeAtStation(115)).isCloseTo(0.625, within(EXACT));
    assertThat(trace.valueAtStation(Channel.THROTTLE, 115)).isCloseTo(50, within(EXACT));
    assertThat(trace.nearestAtStation(Channel.THROTTLE, 115)).isEqualTo(80);
    assertThat(trace.nearestAtStation(Channel.THROTTLE, 141)).isNaN();
    assertThat(trace.indexAt(110)).isEqualTo(1);
    assertThat(trace.indexAt(110.1)).isEqualTo(2);
  }

  /** The first sample is as good as the place where it does not lie a metre behind it. */
  @Test
  void aheadOfTheFirstSampleNothingIsKnown() {
    LapTrace trace = steady(100, 110);
    assertThat(trace.timeAtStation(99.1)).isZero();
    assertThat(trace.timeAtStation(98.9)).isNaN();
  }

  /** A car that stands: its first sample there is taken, and none is divided by nothing. */
  @Test
  void samplesAtTheSamePlaceAreTakenAsTheFirstOfThem() {
    LapTrace trace = steady(100, 110, 110, 120);
    assertThat(trace.timeAtStation(110)).isCloseTo(0.5, within(EXACT));
    assertThat(trace.timeAtStation(115)).isCloseTo(1.25, within(EXACT));
  }

  @Test
  void theEndIsReachedAFewMetresBehindTheLastPlaceAtTheSpeedThere() {
    LapTrace trace = steady(150, 160, 170);
    assertThat(trace.timeAtStation(171)).isNaN();
    assertThat(trace.timeAtOrBehind(165)).isCloseTo(0.75, within(EXACT));
    assertThat(trace.timeAtOrBehind(170)).isCloseTo(1, within(EXACT));
    assertThat(trace.timeAtOrBehind(190)).isCloseTo(2, within(EXACT));
    assertThat(trace.timeAtOrBehind(199.9)).isCloseTo(2.495, within(EXACT));
    assertThat(trace.timeAtOrBehind(200.1)).isNaN();
    assertThat(trace.timeAtOrBehind(140)).isNaN();
    assertThat(trace(new double[] {150, 160, 170}, 0, new double[3]).timeAtOrBehind(190)).isNaN();
  }

  /** A position that is lost before the end: what is left is driven from the last known one. */
  @Test
  void theLastPlaceThatIsKnownCounts() {
    double[] metres = {150, 160, 170, Double.NaN, Double.NaN};
    assertThat(trace(metres, 20, new double[5]).timeAtOrBehind(185)).isCloseTo(1.75, within(EXACT));
  }

  @Test
  void aChannelGoesThroughAValueBetweenTwoSamples() {
    LapTrace trace = trace(new double[] {100, 110, 130, 140}, 20, new double[] {0, 40, 80, 80});
    assertThat(trace.crossing(Channel.THROTTLE, 2, 50)).isCloseTo(115, within(EXACT));
    assertThat(trace.crossing(Channel.THROTTLE, 3, 80)).isCloseTo(140, within(EXACT));
    assertThat(trace.crossing(0, 40, 90, 1)).isCloseTo(110, within(EXACT));
    assertThat(trace.crossing(40, 0, 90, 1)).isCloseTo(100, within(EXACT));
  }

  /** Three fifths of a lap to both sides of it: 14.4 of its 24 samples. */
  @Test
  void aLapReachesIntoThoseBesideIt() {
    double step = ROAD.lengthM() / 24;
    double[] metres = new double[72];
    Arrays.setAll(metres, i -> i % 24 * step);
    double[] time = new double[72];
    Arrays.setAll(time, i -> i / 2.0);
    Recording recording = new Recording(time, Map.of(Channel.DISTANCE, metres));
    LapTrace second =
        new LapTrace(
            recording,
            Stations.of(recording, ROAD),
            new RecordedLap(2, RecordedLap.Kind.FLYING, 24, 48, 12, 24, ROAD.lengthM()),
            ROAD,
            BrakeZero.of(recording, Thresholds.DEFAULT));
    assertThat(second.stationAt(24)).isCloseTo(0, within(EXACT));
    assertThat(second.from).isEqualTo(24 - 14);
    assertThat(second.to).isEqualTo(48 + 14 + 1);
  }
}
