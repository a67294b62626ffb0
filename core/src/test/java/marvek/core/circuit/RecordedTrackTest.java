package marvek.core.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import marvek.core.InvalidValueException;
import marvek.core.TestRoads;
import org.junit.jupiter.api.Test;

/** Recordings of a road whose shape and length are known. */
class RecordedTrackTest {
  private static final Survey ROAD = TestRoads.varied(4);
  private static final double LENGTH_M = Road.through(ROAD).lengthM();
  private static final RecordedTrack.Settings SAID =
      new RecordedTrack.Settings(false, 0, 1, 4, 5, false);

  /** Drives round and round for a number of points of the survey, with position noise. */
  private static List<TrackPoint> driven(int points, double noise) {
    Random random = new Random(3);
    List<TrackPoint> track = new ArrayList<>();
    for (int k = 0; k < points; k++) {
      int i = k % ROAD.size();
      track.add(
          new TrackPoint(
              ROAD.xAt(i) + noise * random.nextGaussian(),
              ROAD.yAt(i) + noise * random.nextGaussian(),
              100 + 5 * Math.sin(2 * Math.PI * i / ROAD.size())));
    }
    return track;
  }

  private static double length(RecordedTrack.Result result) {
    return Road.through(result.survey()).lengthM();
  }

  @Test
  void aLapThatEndsNearItsStartIsClosedAndItsGapSaid() {
    RecordedTrack.Result result = RecordedTrack.trace(driven(ROAD.size() - 3, 0), SAID);
    assertThat(result.survey().closed()).isTrue();
    assertThat(result.closureGapM()).isCloseTo(16, within(1.5));
    assertThat(length(result)).isCloseTo(LENGTH_M, within(1.0));
    assertThat(result.heights().riseM()).isCloseTo(10, within(0.1));
    assertThat(result.survey().widthRightAt(7)).isEqualTo(5);
  }

  /** A barometer wanders: the end of the lap is no step down to its begin. */
  @Test
  void heightsThatWanderAreBroughtTogetherWhetherOrNotTheLapComesRound() {
    for (int points : new int[] {ROAD.size() - 3, ROAD.size() + 20}) {
      List<TrackPoint> track = driven(points, 0);
      for (int i = 0; i < points; i++) {
        TrackPoint p = track.get(i);
        track.set(i, new TrackPoint(p.xM(), p.yM(), p.zM() + 12.0 * i / ROAD.size()));
      }
      RecordedHeights heights = RecordedTrack.trace(track, SAID).heights();
      assertThat(heights.gapM()).isCloseTo(12, within(0.3));
      assertThat(heights.doubtful()).isTrue();
      // 5 m up and down once round, see driven(), and 12 m round the lap where they were not
      // spread.
      double steepest = 5 * 2 * Math.PI / LENGTH_M;
      assertThat(Math.max(heights.steepestUp(), heights.steepestDown()))
          .as("%d points", points)
          .isLessThan(1.5 * steepest);
    }
  }

  @Test
  void ofALapAndAHalfOneLapIsUsed() {
    RecordedTrack.Result result = RecordedTrack.trace(driven(ROAD.size() * 3 / 2, 0.5), SAID);
    assertThat(result.survey().closed()).isTrue();
    assertThat(result.laps()).isCloseTo(1.5, within(0.05));
    assertThat(length(result)).isCloseTo(LENGTH_M, within(0.006 * LENGTH_M));
    assertThat(result.crossings()).isEmpty();
  }

  @Test
  void ofTwoLapsEitherCanBeTaken() {
    List<TrackPoint> track = driven(2 * ROAD.size() + 20, 0.5);
    RecordedTrack.Result first = RecordedTrack.trace(track, SAID);
    RecordedTrack.Settings second = new RecordedTrack.Settings(false, 0, 2, 4, 5, false);
    assertThat(first.laps()).isCloseTo(2.0, within(0.06));
    assertThat(length(RecordedTrack.trace(track, second)))
        .isCloseTo(LENGTH_M, within(0.006 * LENGTH_M));
    RecordedTrack.Settings third = new RecordedTrack.Settings(false, 0, 3, 4, 5, false);
    assertThatThrownBy(() -> RecordedTrack.trace(track, third))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("lap (3) is not in the recording; it has 2");
  }

  @Test
  void standingStillAddsNothing() {
    List<TrackPoint> track = driven(ROAD.size() + 30, 0);
    List<TrackPoint> waiting = new ArrayList<>(Collections.nCopies(500, track.get(0)));
    waiting.addAll(track);
    RecordedTrack.Result result = RecordedTrack.trace(waiting, SAID);
    assertThat(length(result)).isCloseTo(LENGTH_M, within(2.0));
    assertThat(result.points()).isEqualTo(track.size() + 500);
  }

  @Test
  void theStartLineIsWhereTheDriverPutsIt() {
    RecordedTrack.Settings moved = new RecordedTrack.Settings(false, 400, 1, 4, 5, false);
    Survey survey = RecordedTrack.trace(driven(ROAD.size() + 20, 0), moved).survey();
    RoadPosition start = RoadPosition.nearest(Road.through(ROAD), survey.xAt(0), survey.yAt(0));
    assertThat(start.stationM()).isCloseTo(400, within(4.0));
    assertThatThrownBy(
            () ->
                RecordedTrack.trace(
                    driven(ROAD.size() + 20, 0),
                    new RecordedTrack.Settings(false, 9000, 1, 4, 5, false)))
        .hasMessageContaining("startAt_m (9000 m) lies beyond the lap");
  }

  @Test
  void aRecordingTheWrongWayRoundIsTurnedAndKeepsItsStart() {
    RecordedTrack.Settings turned = new RecordedTrack.Settings(true, 0, 1, 4, 5, false);
    Survey survey = RecordedTrack.trace(driven(ROAD.size() + 20, 0), turned).survey();
    assertThat(survey.xAt(0)).isCloseTo(ROAD.xAt(0), within(4.0));
    // The first bend of the road turns left; the other way round the last one turns right.
    Road road = Road.through(survey);
    RoadPosition bend = RoadPosition.nearest(road, ROAD.xAt(115), ROAD.yAt(115));
    assertThat(road.curvatureAt(road.indexOf(bend.stationM()))).isLessThan(-0.02);
  }

  @Test
  void aJumpIsRefusedWithItsPoint() {
    List<TrackPoint> track = driven(ROAD.size(), 0);
    track.subList(200, 260).clear();
    assertThatThrownBy(() -> RecordedTrack.trace(track, SAID))
        .isInstanceOfSatisfying(
            InvalidValueException.class, e -> assertThat(e.index()).isEqualTo(200))
        .hasMessageContaining("jumps by");
  }

  @Test
  void aLineThatCrossesItselfSaysWhere() {
    // A figure of eight that crosses itself in the origin, begun on one of its loops.
    List<TrackPoint> eight = new ArrayList<>();
    for (int k = 0; k < 400; k++) {
      double t = 0.4 + 2 * Math.PI * k / 400;
      eight.add(new TrackPoint(160 * Math.sin(t), 80 * Math.sin(2 * t), Double.NaN));
    }
    RecordedTrack.Result result = RecordedTrack.trace(eight, SAID);
    assertThat(result.crossings()).hasSize(1);
    double between = result.crossings().get(0).secondM() - result.crossings().get(0).firstM();
    assertThat(between).isCloseTo(length(result) / 2, within(12.0));
    assertThat(result.heights()).isNull();
  }

  @Test
  void whatDoesNotComeBackIsAnOpenRoad() {
    List<TrackPoint> track = driven(ROAD.size() / 2, 0);
    RecordedTrack.Result result = RecordedTrack.trace(track, SAID);
    assertThat(result.survey().closed()).isFalse();
    assertThat(result.laps()).isLessThan(1);
  }

  @Test
  void aHandfulOfPointsIsNoRoad() {
    assertThatThrownBy(() -> RecordedTrack.trace(driven(8, 0), SAID))
        .hasMessageContaining("has 8 points that differ");
  }
}
