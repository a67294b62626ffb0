package marvek.core.page;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import marvek.core.circuit.Mark;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;

/**
 * Puts a point on the road into words through the marks that stand near it: by permanence, distance
 * and side. What has an end is spoken of by its end. The weights are own assumptions that follow
 * common practice: a mark that stays beats one that is near, and the outside of the coming corner
 * is where the eyes are.
 */
public final class MarkChooser {
  /** A mark farther from its point than this is of no use. */
  static final double TARGET_REACH_M = 60;

  /** The safe mark lies at least this far before the target. */
  static final double SAFE_LEAST_M = 8;

  /** ... and at most so far: one does not brake a board and a half early. */
  static final double SAFE_REACH_M = 110;

  /** Marks up to this permanence are solid enough to be safe. */
  private static final int SOLID = 1;

  /** Nearer than this counts as at the mark. */
  private static final double AT_THE_MARK_M = 2.5;

  private static final double METRES_PER_PERMANENCE_STEP = 9;
  private static final double METRES_FOR_WRONG_SIDE = 6;

  private final List<Mark> marks;
  private final Road road;

  public MarkChooser(List<Mark> marks, Road road) {
    this.marks = marks;
    this.road = road;
  }

  /**
   * The mark to aim at.
   *
   * @param pointM station of the point
   * @param outside side on the outside of the coming corner
   * @return empty where nothing fit stands within {@value #TARGET_REACH_M} m
   */
  public Optional<MarkReference> target(double pointM, Side outside) {
    Mark best = null;
    double bestScore = TARGET_REACH_M + METRES_PER_PERMANENCE_STEP;
    for (Mark mark : marks) {
      double offset = offsetFrom(mark, pointM);
      if (Math.abs(offset) > TARGET_REACH_M || !usable(mark)) {
        continue;
      }
      double score = score(mark, offset, outside);
      if (score < bestScore) {
        best = mark;
        bestScore = score;
      }
    }
    return best == null ? Optional.empty() : Optional.of(reference(best, pointM));
  }

  /** The next solid mark earlier than the target, taken as it stands. */
  public Optional<MarkReference> safe(double pointM, Side outside) {
    Mark best = null;
    double bestScore = Double.POSITIVE_INFINITY;
    for (Mark mark : marks) {
      double before = offsetFrom(mark, pointM);
      if (before < SAFE_LEAST_M || before > SAFE_REACH_M || mark.type().permanence() > SOLID) {
        continue;
      }
      double score = score(mark, before, outside);
      if (score < bestScore) {
        best = mark;
        bestScore = score;
      }
    }
    return best == null ? Optional.empty() : Optional.of(reference(best, station(best, pointM)));
  }

  /**
   * Of two stations the one that is driven over first.
   *
   * @param otherM may be null: then there is only the one
   */
  double earlier(double oneM, Double otherM) {
    return otherM != null && road.offsetBetween(otherM, oneM) > 0 ? otherM : oneM;
  }

  private static boolean usable(Mark mark) {
    return mark.type().permanence() < 4;
  }

  private double score(Mark mark, double offset, Side outside) {
    boolean wrongSide =
        (mark.side() == Side.LEFT || mark.side() == Side.RIGHT) && mark.side() != outside;
    return Math.abs(offset)
        + METRES_PER_PERMANENCE_STEP * mark.type().permanence()
        + (wrongSide ? METRES_FOR_WRONG_SIDE : 0)
        + (offset < 0 ? 0.25 * -offset : 0);
  }

  /** Metres by which the point lies past the mark. */
  private double offsetFrom(Mark mark, double pointM) {
    return road.offsetBetween(station(mark, pointM), pointM);
  }

  /** Of a thing with a length, the end that is nearer to the point. */
  private double station(Mark mark, double pointM) {
    double start = Math.abs(road.offsetBetween(mark.fromM(), pointM));
    double end = Math.abs(road.offsetBetween(mark.toM(), pointM));
    return end < start ? mark.toM() : mark.fromM();
  }

  private MarkReference reference(Mark mark, double pointM) {
    double offset = offsetFrom(mark, pointM);
    String thing = thing(mark, pointM);
    return new MarkReference(
        mark.label(), mark.type(), mark.side(), offset, thing, words(thing, mark.side(), offset));
  }

  private String thing(Mark mark, double pointM) {
    String named = article(mark.label());
    if (mark.hasLength()) {
      boolean end = station(mark, pointM) == mark.toM();
      named = (end ? "the end of the " : "the start of the ") + mark.label();
    }
    return switch (mark.side()) {
      case LEFT -> named + ", left";
      case RIGHT -> named + ", right";
      default -> named;
    };
  }

  private static String words(String thing, Side side, double offset) {
    if (Math.abs(offset) < AT_THE_MARK_M) {
      return (side == Side.OVER ? "under " : "at ") + thing;
    }
    return String.format(
        Locale.ROOT, "%.0f m %s %s", Math.abs(offset), offset > 0 ? "past" : "before", thing);
  }

  private static String article(String thing) {
    boolean named = thing.toLowerCase(Locale.ROOT).startsWith("the ") || thing.matches(".*\\d");
    return named ? thing : "the " + thing;
  }
}
