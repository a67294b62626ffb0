package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;

class MedianLapTest {
  private static final double RADIUS_M = 300;

  /** A lap of a ring, counter-clockwise, so many metres outside of it. */
  private static List<TrackPoint> ring(int points, double zM, IntToDoubleFunction outsideM) {
    List<TrackPoint> lap = new ArrayList<>();
    for (int i = 0; i < points; i++) {
      double angle = 2 * Math.PI * i / points;
      double r = RADIUS_M + outsideM.applyAsDouble(i);
      lap.add(new TrackPoint(r * Math.cos(angle), r * Math.sin(angle), zM));
    }
    return lap;
  }

  private static double bump(int i, int from, int to, double most) {
    double share = (i - from) / (double) (to - from);
    return share > 0 && share < 1 ? most * Math.pow(Math.sin(Math.PI * share), 2) : 0;
  }

  private static double outside(TrackPoint p) {
    return Math.hypot(p.xM(), p.yM()) - RADIUS_M;
  }

  @Test
  void aLapThatGoesWideOnceAndOneThroughTheParkingAreaDoNotMoveIt() {
    List<TrackPoint> wide = ring(410, 5, i -> bump(i, 100, 140, 8));
    List<TrackPoint> elsewhere = ring(390, 90, i -> bump(i, 200, 300, 60));
    List<TrackPoint> line =
        MedianLap.of(List.of(ring(400, 1, i -> 0), wide, elsewhere, ring(405, 3, i -> 0)));
    assertThat(line)
        .allSatisfy(
            p -> {
              // Chords of 5 m lie 0.01 m inside of the ring.
              assertThat(outside(p)).isCloseTo(0, within(0.02));
              assertThat(p.zM()).isBetween(3.0, 4.0);
            });
  }

  /** Through the parking area it passes 60 m away: that is another road and no wide line. */
  @Test
  void aLapThatIsSomewhereElseDoesNotCountThere() {
    List<TrackPoint> elsewhere = ring(400, 0, i -> bump(i, 200, 300, 60));
    List<TrackPoint> line = MedianLap.of(List.of(ring(400, 0, i -> 0), elsewhere));
    assertThat(outside(line.get(250))).isCloseTo(0, within(0.02));
    // Where the two part, they count as one road up to 14 m, of which half is taken.
    assertThat(line).allSatisfy(p -> assertThat(outside(p)).isLessThan(7.1));
  }

  /** Of an even number of laps it is the mean of the two in the middle. */
  @Test
  void twoLapsAreMetHalfWay() {
    List<TrackPoint> line = MedianLap.of(List.of(ring(400, 0, i -> 0), ring(400, 2, i -> 1)));
    assertThat(line)
        .allSatisfy(
            p -> {
              assertThat(outside(p)).isCloseTo(0.5, within(0.02));
              assertThat(p.zM()).isCloseTo(1, within(1e-9));
            });
  }

  /**
   * Standard deviation of the median of nine normal values: 0.408 of one of them, from the tables
   * of order statistics (Teichroew 1956); from memory. The base lap's points are one of the nine.
   */
  @Test
  void noiseFallsAsThatOfTheMedianOfAsManyValues() {
    Random random = new Random(11);
    List<List<TrackPoint>> laps = new ArrayList<>();
    for (int lap = 0; lap < 9; lap++) {
      laps.add(ring(188, 0, i -> 2 * random.nextGaussian()));
    }
    List<TrackPoint> line = MedianLap.of(laps);
    double rms =
        Math.sqrt(line.stream().mapToDouble(p -> outside(p) * outside(p)).average().orElseThrow());
    // Other laps are met between two of their points, whose mean is quieter than one: 0.408 is the
    // most, and 0.408 times the root of two thirds, the mean over a chord, the least.
    assertThat(rms / 2).isBetween(0.408 * Math.sqrt(2 / 3.0) * 0.9, 0.408 * 1.1);
  }
}
