package marvek.core.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.circuit.Sight;
import marvek.core.profile.Lap;

/**
 * Points told by what the driver sees from his seat: a thing that passes out of his sight, or one
 * that he drives towards.
 */
public final class SeatMarks {
  /** A driver acts as a thing leaves his sight, or a moment after: no farther from it (own) [m]. */
  private static final double LEAVING_REACH_M = 12;

  /** Chosen by hand, it may be so much farther off. */
  private static final double CHOSEN_REACH_M = 60;

  /** What is driven towards lies within this of the path's direction. */
  private static final double AIM_RAD = Math.toRadians(2);

  /** Nearer than this a thing is passed and not driven towards, farther it is not made out [m]. */
  private static final double NEAREST_AIM_M = 20;

  private static final double FARTHEST_AIM_M = 400;

  /**
   * A degree beside the direction counts as much as so many metres of way, a step of permanence.
   */
  private static final double METRES_PER_DEGREE = 10;

  private static final double METRES_PER_PERMANENCE_STEP = 9;
  private static final double SHARE_OF_WAY = 0.05;

  /** Nearer than this is at the moment itself. */
  private static final double AT_THE_MARK_M = 2.5;

  /** What moves with the sun, the traffic or the rubber is no such mark. */
  private static final int LASTING = 2;

  private final List<Mark> marks;
  private final Road road;
  private final Sight sight;
  private final Lap lap;
  private final SeatView view;

  SeatMarks(List<Mark> marks, Sight sight, Lap lap) {
    this.marks = marks.stream().filter(SeatMarks::stands).toList();
    this.road = lap.path().road();
    this.sight = sight;
    this.lap = lap;
    this.view = new SeatView(lap.path(), lap.vehicle());
  }

  private static boolean stands(Mark mark) {
    boolean flat =
        switch (mark.type()) {
          case PAINT_LINE, SURFACE_CHANGE, PATCH, CREST, DRAIN, GRASS_EDGE -> true;
          default -> false;
        };
    return !flat && mark.type().permanence() <= LASTING;
  }

  /** Marks beside the road that leave the driver's sight near a point, best first. */
  public List<MarkReference> leaving(double pointM, int most) {
    return best(most, mark -> leaving(mark, pointM, LEAVING_REACH_M));
  }

  /** Things that the path leads towards at a point, best first. */
  public List<MarkReference> aims(double pointM, int most) {
    return best(most, mark -> aim(mark, pointM));
  }

  /**
   * A point told by a mark that was chosen by hand; the nearest of several of its name.
   *
   * @return empty where it does not leave sight near the point, or the path does not lead towards
   *     it
   */
  public Optional<MarkReference> named(By by, String label, double pointM) {
    return marks.stream()
        .filter(mark -> mark.label().equals(label))
        .map(mark -> by == By.AIM ? aim(mark, pointM) : leaving(mark, pointM, CHOSEN_REACH_M))
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(Found::badness))
        .map(Found::reference);
  }

  /**
   * A reference and how little it is to be chosen.
   *
   * @param badness in metres
   */
  private record Found(MarkReference reference, double badness) {}

  private List<MarkReference> best(int most, Function<Mark, Optional<Found>> tell) {
    List<Found> found = new ArrayList<>();
    marks.forEach(mark -> tell.apply(mark).ifPresent(found::add));
    return found.stream()
        .sorted(Comparator.comparingDouble(Found::badness))
        .limit(most)
        .map(Found::reference)
        .toList();
  }

  private Optional<Found> leaving(Mark mark, double pointM, double reachM) {
    boolean beside = mark.side() == Side.LEFT || mark.side() == Side.RIGHT;
    if (!beside || Math.abs(road.offsetBetween(mark.toM(), pointM)) > reachM + CHOSEN_REACH_M) {
      return Optional.empty();
    }
    RoadPosition thing = new RoadPosition(mark.toM(), mark.offsetM());
    OptionalDouble leaves = view.leavesSightM(thing);
    if (leaves.isEmpty() || !seenBefore(mark, thing, leaves.getAsDouble())) {
      return Optional.empty();
    }
    double offset = road.offsetBetween(leaves.getAsDouble(), pointM);
    if (Math.abs(offset) > reachM) {
      return Optional.empty();
    }
    double badness = Math.abs(offset) + METRES_PER_PERMANENCE_STEP * mark.type().permanence();
    return Optional.of(new Found(leavingWords(mark, offset, pointM), badness));
  }

  /** Seen for a while before it leaves: else there is nothing to wait for. */
  private boolean seenBefore(Mark mark, RoadPosition thing, double leavesM) {
    double way = MarkChooser.SEEN_FOR_S * lap.speedAt(road.indexOf(leavesM));
    double from = leavesM - way;
    if (!road.closed() && from < 0) {
      return true;
    }
    return sight.sees(onPath(road.wrapStation(from)), thing, Sight.topM(mark));
  }

  private RoadPosition onPath(double stationM) {
    return new RoadPosition(stationM, lap.path().offsetAt(road.indexOf(stationM)));
  }

  private Optional<Found> aim(Mark mark, double pointM) {
    Optional<Found> best = Optional.empty();
    double[] ends = mark.hasLength() ? new double[] {mark.fromM(), mark.toM()} : ends(mark);
    for (double end : ends) {
      double way = road.offsetBetween(pointM, end);
      RoadPosition thing = new RoadPosition(end, mark.offsetM());
      if (way < NEAREST_AIM_M || way > FARTHEST_AIM_M) {
        continue;
      }
      double bearing = Math.abs(view.bearingRad(pointM, thing));
      if (bearing > AIM_RAD || !sight.sees(onPath(pointM), thing, Sight.topM(mark))) {
        continue;
      }
      double badness =
          METRES_PER_DEGREE * Math.toDegrees(bearing)
              + METRES_PER_PERMANENCE_STEP * mark.type().permanence()
              + SHARE_OF_WAY * way;
      if (best.isEmpty() || badness < best.get().badness()) {
        best = Optional.of(new Found(aimWords(mark, pointM), badness));
      }
    }
    return best;
  }

  private static double[] ends(Mark mark) {
    return new double[] {mark.fromM()};
  }

  private static MarkReference leavingWords(Mark mark, double offsetM, double pointM) {
    String thing = MarkChooser.article(mark.label());
    String gone = mark.hasLength() ? "the end of " + thing : thing;
    String leaves = MarkChooser.withSide(mark, gone + " leaves sight");
    String text =
        Math.abs(offsetM) < AT_THE_MARK_M
            ? "as " + leaves
            : String.format(
                Locale.ROOT,
                "%.0f m %s where %s",
                Math.abs(offsetM),
                offsetM > 0 ? "past" : "before",
                leaves);
    return new MarkReference(
        mark.label(),
        mark.type(),
        mark.side(),
        offsetM,
        "where " + leaves,
        "as " + leaves,
        pointM,
        text,
        By.LEAVES_SIGHT,
        false,
        null,
        List.of());
  }

  private static MarkReference aimWords(Mark mark, double pointM) {
    String thing = MarkChooser.article(mark.label());
    String text = (mark.type() == MarkType.BRIDGE ? "under " : "towards ") + thing;
    return new MarkReference(
        mark.label(),
        mark.type(),
        mark.side(),
        0,
        thing,
        text,
        pointM,
        text,
        By.AIM,
        false,
        null,
        List.of());
  }
}
