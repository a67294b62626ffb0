package marvek.core.laps;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import marvek.core.circuit.Road;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The speed by positions against the closed formula of the drive. */
class SpeedFromPositionTest {
  private static double[] speeds(Recording recording, double noiseM) {
    return SpeedFromPosition.of(recording, RoadMatch.of(recording, FormulaDrive.ROAD), noiseM);
  }

  /** Parabolas over ±0.4 s leave a tenth of what the third derivative makes of that. */
  @ParameterizedTest
  @CsvSource({"50, 0.4", "10, 0.4", "5, 0.4", "2, 0.8"})
  void aParabolaFollowsTheSpeed(double hz, double halfS) {
    Recording recording = FormulaDrive.exact(hz).recorded(60);
    double[] speeds = speeds(recording, 0);
    double third = 8.0 / 9 * 3 * halfS * halfS / 30;
    for (int i = (int) Math.ceil(halfS * hz) + 1; i < speeds.length - halfS * hz - 1; i++) {
      assertThat(speeds[i])
          .as("sample %d", i)
          .isCloseTo(FormulaDrive.speedMps(recording.timeAt(i)), within(1.2 * third + 0.02));
    }
  }

  /** Four metres outside of the middle of a bend of 50 m the way is longer by 8 %. */
  @Test
  void theWayBesideTheRoadCounts() {
    Recording recording = new FormulaDrive(20, 0, 1, -4, 0).recorded(60);
    double[] speeds = speeds(recording, 0);
    int inBend = 0;
    for (int i = 20; i < speeds.length - 20; i++) {
      double t = recording.timeAt(i);
      if (Math.min(bendAt(t - 0.5), bendAt(t + 0.5)) > 0.0199) {
        inBend++;
        assertThat(speeds[i] / FormulaDrive.speedMps(t)).isCloseTo(1.08, within(0.01));
      }
    }
    assertThat(inBend).isGreaterThan(100);
  }

  private static double bendAt(double t) {
    Road road = FormulaDrive.ROAD;
    return road.curvatureAt(road.indexOf(road.wrapStation(FormulaDrive.stationM(t))));
  }

  /** The more positions scatter the longer is looked at: the speed scatters by what is wanted. */
  @ParameterizedTest
  @CsvSource({"20, 0.5, 0.35, 0.65", "10, 1, 0.35, 0.65", "20, 0.05, 0, 0.1", "10, 6, 0.6, 2.5"})
  void noiseIsLookedAtForLonger(double hz, double noiseM, double least, double most) {
    Recording recording = new FormulaDrive(hz, 0, 1, 0, noiseM).recorded(200);
    double[] speeds = speeds(recording, noiseM);
    double squares =
        IntStream.range(40, speeds.length - 40)
            .mapToDouble(i -> speeds[i] - FormulaDrive.speedMps(recording.timeAt(i)))
            .map(off -> off * off)
            .average()
            .orElseThrow();
    assertThat(Math.sqrt(squares)).isBetween(least, most);
  }

  /** Where the receiver had lost its place for a while there is none, up to its last ones. */
  @Test
  void withoutPositionsThereIsNone() {
    Recording whole = FormulaDrive.exact(20).recorded(60);
    double[] x = whole.channel(Channel.X);
    for (int i = 500; i < 600; i++) {
      x[i] = Double.NaN;
    }
    double[] speeds = speeds(whole.with(Channel.X, x), 0);
    // Of three positions within 0.4 s there is a parabola: 0.25 s behind the last one.
    assertThat(speeds[499 + 5]).isNotNaN();
    assertThat(speeds[499 + 8]).isNaN();
    assertThat(speeds[550]).isNaN();
    assertThat(speeds[600 - 8]).isNaN();
    assertThat(speeds[600 - 5]).isNotNaN();
  }
}
