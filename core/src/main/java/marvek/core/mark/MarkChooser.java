package marvek.core.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Mark;
import marvek.core.circuit.MarkType;
import marvek.core.circuit.Road;
import marvek.core.circuit.RoadPosition;
import marvek.core.circuit.Side;
import marvek.core.circuit.Sight;
import marvek.core.corner.Corner;
import marvek.core.light.Light;
import marvek.core.light.MovedShadow;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;

/**
 * Puts a point on the road into words through the marks that stand near it: by permanence,
 * distance, side, and whether they are seen in time. What has a length is spoken of by its start,
 * middle or end. The weights are own assumptions that follow common practice: a mark that stays
 * beats one that is near, and the outside of the coming corner is where the eyes are. Immutable.
 */
public final class MarkChooser {
  /** A mark farther from its point than this is of no use. */
  static final double TARGET_REACH_M = 60;

  /** The safe mark lies at least this far before the target. */
  static final double SAFE_LEAST_M = 8;

  /** ... and at most so far: one does not brake a board and a half early. */
  public static final double SAFE_REACH_M = 110;

  /** A mark has to be seen for this long before it counts (design value). */
  static final double SEEN_FOR_S = 1.5;

  /** Marks up to this permanence are solid enough to be safe. */
  private static final int SOLID = 1;

  /** Nearer than this counts as at the mark. */
  private static final double AT_THE_MARK_M = 2.5;

  /**
   * How much nearer a mark that moves, or on the inside, has to be to be chosen all the same (own).
   */
  private static final double METRES_PER_PERMANENCE_STEP = 9;

  private static final double METRES_FOR_WRONG_SIDE = 6;

  /** Of a thing longer than this the middle can be told by eye (assumed). */
  private static final double LONG_M = 16;

  private static final int LOOKS = 6;

  /** Boards within this of what they say are true (assumed). */
  private static final double TRUE_BOARD_M = 10;

  private final List<Mark> marks;
  private final Road road;
  private final Sight sight;
  private final Lap lap;
  private final Light light;
  private final List<Corner> corners;
  private final SeatMarks seat;

  private MarkChooser(
      List<Mark> marks, Road road, Sight sight, Lap lap, Light light, List<Corner> corners) {
    this.marks = marks;
    this.road = road;
    this.sight = sight;
    this.lap = lap;
    this.light = light;
    this.corners = corners;
    this.seat = lap == null ? null : new SeatMarks(marks, sight, lap);
  }

  /** Chooses among marks as if each could be seen from everywhere. */
  public MarkChooser(List<Mark> marks, Road road) {
    this(marks, road, null, null, null, List.of());
  }

  /** Chooses among those of a circuit's marks that are seen in time at the speeds of a lap. */
  public static MarkChooser seenOn(Circuit circuit, Lap lap, Light light, List<Corner> corners) {
    Road road = lap.path().road();
    return new MarkChooser(
        circuit.marks(),
        road,
        new Sight(circuit, road, lap.vehicle().eye().heightM()),
        lap,
        light,
        List.copyOf(corners));
  }

  /** A mark with the station it is spoken of by. */
  private record Spoken(Mark mark, Part part, double stationM) {}

  private enum Part {
    WHOLE,
    START,
    MIDDLE,
    END
  }

  /**
   * The mark to aim at.
   *
   * @param pointM station of the point
   * @param outside side on the outside of the coming corner
   * @return empty where nothing fit is seen within {@value #TARGET_REACH_M} m
   */
  public Optional<MarkReference> target(double pointM, Side outside) {
    return choices(pointM, outside, 1).stream().findFirst();
  }

  /** The best marks for a point, best first, at most {@code most} of them. */
  public List<MarkReference> choices(double pointM, Side outside, int most) {
    List<Spoken> reachable = new ArrayList<>();
    for (Mark mark : marks) {
      Spoken spoken = spoken(mark, pointM);
      if (spoken != null && Math.abs(offsetFrom(spoken, pointM)) <= TARGET_REACH_M) {
        reachable.add(spoken);
      }
    }
    reachable.sort(Comparator.comparingDouble(s -> score(s, pointM, outside)));
    List<MarkReference> found = new ArrayList<>();
    for (Spoken spoken : reachable) {
      boolean fits = score(spoken, pointM, outside) < TARGET_REACH_M + METRES_PER_PERMANENCE_STEP;
      if (found.size() < most && fits && seenInTime(spoken, pointM)) {
        found.add(reference(spoken, pointM));
      }
    }
    return found;
  }

  /** The next solid mark earlier than the target, taken as it stands. */
  public Optional<MarkReference> safe(double pointM, Side outside) {
    List<Spoken> before = new ArrayList<>();
    for (Mark mark : marks) {
      Spoken spoken = mark.type().permanence() > SOLID ? null : spoken(mark, pointM);
      if (spoken != null) {
        double way = offsetFrom(spoken, pointM);
        if (way >= SAFE_LEAST_M && way <= SAFE_REACH_M) {
          before.add(spoken);
        }
      }
    }
    return before.stream()
        .sorted(Comparator.comparingDouble(s -> score(s, pointM, outside)))
        .filter(s -> seenInTime(s, s.stationM()))
        .findFirst()
        .map(s -> reference(s, s.stationM()));
  }

  /** A mark by its label, told from a point; the nearest of several. Empty without one in reach. */
  public Optional<MarkReference> named(String label, double pointM) {
    return marks.stream()
        .filter(mark -> mark.label().equals(label))
        .map(mark -> spoken(mark, pointM))
        .filter(
            spoken -> spoken != null && Math.abs(offsetFrom(spoken, pointM)) < 3 * TARGET_REACH_M)
        .min(Comparator.comparingDouble(spoken -> Math.abs(offsetFrom(spoken, pointM))))
        .map(spoken -> reference(spoken, pointM));
  }

  /** What leaves the driver's sight at a point, best first, or what it leads towards. */
  public List<MarkReference> seen(By by, double pointM, int most) {
    if (seat == null || by == By.BESIDE) {
      return List.of();
    }
    return by == By.AIM ? seat.aims(pointM, most) : seat.leaving(pointM, most);
  }

  /** A mark by its label and how the point is told by it. Empty where it cannot be. */
  public Optional<MarkReference> named(By by, String label, double pointM) {
    if (by == By.BESIDE || seat == null) {
      return named(label, pointM);
    }
    return seat.named(by, label, pointM);
  }

  /**
   * Of two stations the one that is driven over first.
   *
   * @param otherM may be null: then there is only the one
   */
  public double earlier(double oneM, Double otherM) {
    return otherM != null && road.offsetBetween(otherM, oneM) > 0 ? otherM : oneM;
  }

  /** Distance boards whose figure is not their way to the corner they stand before. */
  public static List<Board> untrueBoards(List<Mark> marks, Road road, List<Corner> corners) {
    MarkChooser chooser = new MarkChooser(marks, road, null, null, null, corners);
    return marks.stream().map(chooser::board).filter(b -> b != null && !b.isTrue()).toList();
  }

  /**
   * A distance board.
   *
   * @param standsM its way to the first metre of the next corner
   */
  public record Board(String label, double stationM, double saysM, double standsM, int corner) {
    boolean isTrue() {
      return Math.abs(saysM - standsM) <= TRUE_BOARD_M;
    }
  }

  private Board board(Mark mark) {
    if (mark.type() != MarkType.DISTANCE_BOARD || mark.valueM() == null || corners.isEmpty()) {
      return null;
    }
    Corner next =
        corners.stream()
            .min(Comparator.comparingDouble(c -> wayTo(mark.fromM(), c.fromM())))
            .orElseThrow();
    double way = wayTo(mark.fromM(), next.fromM());
    return new Board(mark.label(), mark.fromM(), mark.valueM(), way, next.number());
  }

  private double wayTo(double fromM, double toM) {
    double way = road.distance(fromM, toM);
    return way < 0 ? Double.MAX_VALUE : way;
  }

  /** The part of a mark that is nearest to a point; null where its shadow is not to be used. */
  private Spoken spoken(Mark mark, double pointM) {
    if (mark.type().permanence() == 4) {
      if (light == null || mark.type() != MarkType.SHADOW) {
        return null;
      }
      MovedShadow moved = light.moved(mark);
      return moved.usable() ? new Spoken(mark, Part.WHOLE, moved.stationM()) : null;
    }
    if (!mark.hasLength()) {
      return new Spoken(mark, Part.WHOLE, mark.fromM());
    }
    double length = road.distance(mark.fromM(), mark.toM());
    Spoken best = new Spoken(mark, Part.START, mark.fromM());
    Spoken end = new Spoken(mark, Part.END, mark.toM());
    Spoken middle = new Spoken(mark, Part.MIDDLE, road.wrapStation(mark.fromM() + length / 2));
    best = nearer(best, end, pointM);
    return length > LONG_M ? nearer(best, middle, pointM) : best;
  }

  private Spoken nearer(Spoken a, Spoken b, double pointM) {
    return Math.abs(offsetFrom(b, pointM)) < Math.abs(offsetFrom(a, pointM)) ? b : a;
  }

  private double score(Spoken spoken, double pointM, Side outside) {
    Mark mark = spoken.mark();
    double offset = offsetFrom(spoken, pointM);
    boolean wrongSide =
        (mark.side() == Side.LEFT || mark.side() == Side.RIGHT) && mark.side() != outside;
    return Math.abs(offset)
        + METRES_PER_PERMANENCE_STEP * mark.type().permanence()
        + (wrongSide ? METRES_FOR_WRONG_SIDE : 0)
        + (offset < 0 ? 0.25 * -offset : 0);
  }

  /** Metres by which the point lies past the mark. */
  private double offsetFrom(Spoken spoken, double pointM) {
    return road.offsetBetween(spoken.stationM(), pointM);
  }

  /**
   * Whether the mark is seen all through the last {@value #SEEN_FOR_S} s before it is passed, or
   * before the point where that comes first.
   */
  private boolean seenInTime(Spoken spoken, double pointM) {
    if (sight == null) {
      return true;
    }
    double past = offsetFrom(spoken, pointM);
    double last = road.wrapStation(past >= 0 ? spoken.stationM() - 1 : pointM);
    double way = SEEN_FOR_S * lap.speedAt(road.indexOf(last));
    RoadPosition thing = new RoadPosition(spoken.stationM(), spoken.mark().offsetM());
    for (int look = 0; look < LOOKS; look++) {
      double station = last - way * look / (LOOKS - 1);
      if (station < 0 && !road.closed()) {
        return true;
      }
      double eye = road.wrapStation(station);
      double offset = lap.path().offsetAt(road.indexOf(eye));
      if (!sight.sees(new RoadPosition(eye, offset), thing, Sight.topM(spoken.mark()))) {
        return false;
      }
    }
    return true;
  }

  private MarkReference reference(Spoken spoken, double pointM) {
    Mark mark = spoken.mark();
    double offset = offsetFrom(spoken, pointM);
    String thing = withSide(mark, thing(spoken));
    String near = near(spoken);
    String text =
        Math.abs(offset) < AT_THE_MARK_M
            ? near
            : String.format(
                Locale.ROOT,
                "%.0f m %s %s",
                Math.abs(offset),
                offset > 0 ? "past" : "before",
                thing);
    return new MarkReference(
        mark.label(),
        mark.type(),
        mark.side(),
        offset,
        thing,
        near,
        pointM,
        text,
        By.BESIDE,
        false,
        null,
        cautions(spoken));
  }

  private static String near(Spoken spoken) {
    if (spoken.part() == Part.MIDDLE) {
      return withSide(spoken.mark(), "half-way along " + article(spoken.mark().label()));
    }
    String word = spoken.mark().side() == Side.OVER ? "under " : "at ";
    return word + withSide(spoken.mark(), thing(spoken));
  }

  private static String thing(Spoken spoken) {
    String label = spoken.mark().label();
    return switch (spoken.part()) {
      case START -> "the start of " + article(label);
      case MIDDLE -> "the middle of " + article(label);
      case END -> "the end of " + article(label);
      case WHOLE -> article(label);
    };
  }

  static String withSide(Mark mark, String thing) {
    return switch (mark.side()) {
      case LEFT -> thing + ", left";
      case RIGHT -> thing + ", right";
      default -> thing;
    };
  }

  /** A thing with its article, if it wants one: "the barn", "lamp 4". */
  public static String article(String thing) {
    boolean named = thing.toLowerCase(Locale.ROOT).startsWith("the ") || thing.matches(".*\\d");
    return named ? thing : "the " + thing;
  }

  private List<Sentence> cautions(Spoken spoken) {
    List<Sentence> cautions = new ArrayList<>();
    Mark mark = spoken.mark();
    Board board = board(mark);
    if (board != null && !board.isTrue() && board.standsM() < 3 * board.saysM() + 100) {
      cautions.add(
          Sentence.of("mark.board-untrue", "says", board.saysM(), "stands_m", board.standsM()));
    }
    if (mark.type() == MarkType.SHADOW) {
      MovedShadow moved = light.moved(mark);
      cautions.add(
          Sentence.of(
              moved.movedM() >= 0 ? "mark.shadow-past" : "mark.shadow-before",
              "moved_m",
              Math.abs(moved.movedM())));
    } else if (mark.type().permanence() == 3) {
      cautions.add(Sentence.of("mark.passing"));
    }
    if (light != null && light.inShade(mark)) {
      cautions.add(Sentence.of("mark.shaded"));
    }
    return cautions;
  }
}
