package marvek.server.laps;

import java.util.ArrayList;
import java.util.List;
import marvek.core.circuit.Road;
import marvek.core.laps.Channel;
import marvek.core.laps.RecordedLap;
import marvek.core.laps.Recording;
import marvek.core.say.Sentence;
import marvek.formats.LapsOnRoad;
import marvek.formats.Spelled;
import marvek.server.books.Books;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;

/**
 * What a file would become that is not kept yet.
 *
 * @param put_right how far its positions were moved, in time and in place
 * @param corrections what was put right, in words
 * @param missing what it has no channel for, in words
 * @param road the road's middle in its plane [m]: x and y of a point after each other
 * @param path of its first flying lap likewise; empty without a position
 */
record PreviewedLaps(
    int samples,
    double rate_hz,
    LapViews.PutRight put_right,
    List<Sentence> corrections,
    List<Sentence> missing,
    List<Lap> laps,
    double[] road,
    double[] path) {
  private static final int ROAD_POINTS = 400;
  private static final int PATH_POINTS = 500;

  /**
   * A lap of it.
   *
   * @param time_s null where it was not recorded from line to line
   */
  record Lap(int number, @OneOf(RecordedLap.Kind.class) String kind, @Nullable Double time_s) {}

  static PreviewedLaps of(LapsOnRoad laps, Books.Computed computed) {
    List<RecordedLap> kinds = SessionLaps.kindsOf(laps, computed);
    Recording recording = laps.recording();
    return new PreviewedLaps(
        recording.size(),
        LapViews.rounded(1 / recording.intervalS(), 1),
        LapViews.PutRight.of(laps),
        laps.corrections(),
        laps.missing(),
        kinds.stream()
            .map(
                lap ->
                    new Lap(
                        lap.number(),
                        Spelled.of(lap.kind()),
                        lap.isWhole() ? LapViews.rounded(lap.timeS(), 3) : null))
            .toList(),
        middle(SessionLaps.road(computed)),
        path(recording, kinds));
  }

  private static double[] middle(Road road) {
    List<Double> points = new ArrayList<>();
    int every = Math.max(1, road.size() / ROAD_POINTS);
    for (int i = 0; i < road.size(); i += every) {
      points.add(LapViews.rounded(road.xAt(i), 1));
      points.add(LapViews.rounded(road.yAt(i), 1));
    }
    return array(points);
  }

  private static double[] path(Recording recording, List<RecordedLap> laps) {
    List<Double> points = new ArrayList<>();
    laps.stream()
        .filter(lap -> lap.kind() == RecordedLap.Kind.FLYING)
        .findFirst()
        .ifPresent(
            lap -> {
              int every = Math.max(1, (lap.to() - lap.from()) / PATH_POINTS);
              double due = lap.from();
              for (int i = lap.from(); i < lap.to(); i++) {
                if (i >= due && !Double.isNaN(recording.at(Channel.X, i))) {
                  points.add(LapViews.rounded(recording.at(Channel.X, i), 1));
                  points.add(LapViews.rounded(recording.at(Channel.Y, i), 1));
                  due = i + every;
                }
              }
            });
    return array(points);
  }

  private static double[] array(List<Double> points) {
    return points.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
