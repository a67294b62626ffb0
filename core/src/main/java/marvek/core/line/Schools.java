package marvek.core.line;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.corner.Corner;
import marvek.core.profile.Lap;
import marvek.core.say.Sentence;
import org.jspecify.annotations.Nullable;

/**
 * The schools of one corner as lines of their own: each is the line of least time through what is
 * left of the road when what the school does not want is closed, and bends no more where the school
 * does not want it; driven by the model so far that the straight after the corner counts. Before
 * and after the corner the lines join the present one.
 */
public final class Schools {
  /** A late apex lies at 60 to 75 % of the turn (common practice): closed until here. */
  private static final double LATE_SHARE = 0.68;

  /** So much of the road is closed at the inside before a late apex (own assumption). */
  private static final double KEPT_OFF = 0.4;

  /** Where in the turn a V is turned, and what a bend counts there. */
  private static final double V_FROM = 0.35;

  /** To here the V is straightened out again. */
  private static final double V_TO = 0.80;

  /** Half as dear as elsewhere: the turn is concentrated there. */
  private static final double V_WEIGHT = 0.5;

  /** Share of the road that the shortest way and the defender leave outside. */
  private static final double LEFT_OUTSIDE = 0.6;

  /** Long enough for two apexes: turned by so much over so many metres. */
  private static final double DOUBLE_ANGLE_DEG = 100;

  /** Shorter than this two apexes are one. */
  private static final double DOUBLE_LENGTH_M = 80;

  /** Between two apexes the inside is left by this share of the road. */
  private static final double BETWEEN_APEXES = 0.3;

  /** A bend that a school allows is allowed by so much more: the last digit is not meant. */
  private static final double BEND_ROOM = 1.02;

  /** Larger than any bend of a road [1/m]. */
  private static final double ANY_BEND = 10;

  private final Section section;
  private final Turn turn;
  private final Bounds road;
  private final double[] start;

  private Schools(Section section, Turn turn) {
    this.section = section;
    this.turn = turn;
    this.start = turn.stretch().taken(section.present().path().offsets());
    this.road = Bounds.of(turn.stretch(), section.corridor(), section.present().path().offsets());
  }

  private static Schools around(Lap present, Corridor corridor, List<Corner> corners, int index) {
    Turn turn = Turn.of(corners, index, present);
    Section section = Section.around(present, corridor, turn.stretch());
    return new Schools(section, turn.on(section));
  }

  /**
   * A school's line, driven.
   *
   * @param lap on the part of the circuit that the line touches, with stations of its own
   * @param first sample of the whole lap that is the part's first
   * @param lostS against the present line, over the corner and what follows
   * @param offsetsM the whole lap's offsets with this line in its place
   */
  public record Tried(School school, Lap lap, int first, double lostS, double[] offsetsM) {
    public Tried {
      offsetsM = offsetsM.clone();
    }

    @Override
    public double[] offsetsM() {
      return offsetsM.clone();
    }
  }

  /**
   * All schools that apply to a corner, quickest first.
   *
   * @param present lap of the model on the present line
   * @param index of the corner among the circuit's
   */
  public static List<Tried> of(Lap present, Corridor corridor, List<Corner> corners, int index) {
    Schools worker = around(present, corridor, corners, index);
    List<Tried> schools =
        Arrays.stream(School.values())
            .filter(worker::applies)
            .parallel()
            .map(school -> worker.tried(school, worker.shaped(school)))
            .toList();
    return worker.fastestFirst(schools);
  }

  /**
   * One school of a corner, empty where it does not apply; not for {@link School#FASTEST}.
   *
   * @param leastTime whether it is the line of least time, as the present one is; else the smooth
   *     one, so that it is told against its like
   */
  public static Optional<Tried> one(
      Lap present,
      Corridor corridor,
      List<Corner> corners,
      int index,
      School school,
      boolean leastTime) {
    Schools worker = around(present, corridor, corners, index);
    if (!worker.applies(school)) {
      return Optional.empty();
    }
    Lap lap = leastTime ? worker.shaped(school) : worker.drawn(school);
    return Optional.of(worker.tried(school, lap));
  }

  /** The same line on another day, against that day's lap on the same present line. */
  public static Tried again(
      Tried found, Lap present, Corridor corridor, List<Corner> corners, int index) {
    Schools worker = around(present, corridor, corners, index);
    return worker.tried(found.school, worker.section.driven(worker.section.part(found.offsetsM)));
  }

  /** Offsets of the whole lap with the line of one school in its place, as {@link #of} finds it. */
  public static double[] line(
      Lap present, Corridor corridor, List<Corner> corners, int index, School school) {
    if (school == School.FASTEST) {
      return of(present, corridor, corners, index).stream()
          .filter(t -> t.school() == school)
          .findFirst()
          .orElseThrow()
          .offsetsM();
    }
    Schools worker = around(present, corridor, corners, index);
    if (!worker.applies(school)) {
      throw new InvalidValueException(
          "line",
          Sentence.of(
              "refused.double-apex", "angle", DOUBLE_ANGLE_DEG, "length_m", DOUBLE_LENGTH_M));
    }
    return worker.section.put(worker.shaped(school));
  }

  private Tried tried(School school, Lap lap) {
    double lost = lap.timeS() - section.present().timeS();
    return new Tried(school, lap, section.first(), lost, section.put(lap));
  }

  /** Whether a school makes sense: two apexes only where the corner is long. */
  private boolean applies(School school) {
    Corner corner = turn.corner();
    return school != School.DOUBLE_APEX
        || Math.abs(corner.angleDeg()) >= DOUBLE_ANGLE_DEG && corner.lengthM() >= DOUBLE_LENGTH_M;
  }

  /** The smooth line through what the school leaves open. */
  private Lap drawn(School school) {
    double[] smooth = SmoothLine.along(turn.stretch(), bounds(school), weights(school), start);
    return section.driven(turn.stretch().put(section.present().path().offsets(), smooth));
  }

  /** The line of least time through what the school leaves open, bent as it wants it. */
  private Lap shaped(School school) {
    if (school == School.FASTEST) {
      return fastest(section.present());
    }
    Lap drawn = drawn(school);
    double[] bend = largestBend(school, drawn);
    return FastestLine.along(drawn, turn.stretch(), bounds(school), bend, share -> {}).lap();
  }

  /**
   * Rounded is the line that bends nowhere in the corner more than the smooth one does; a V bends
   * in the corner, outside its turn, no more than the line that is drawn for it.
   */
  private double @Nullable [] largestBend(School school, Lap drawn) {
    if (school != School.ROUNDED && school != School.V) {
      return null;
    }
    Stretch stretch = turn.stretch();
    double most = 0;
    for (int k = 0; k < stretch.size(); k++) {
      most = isBent(school, k) ? Math.max(most, bendAt(drawn, stretch.at(k))) : most;
    }
    double[] largest = new double[drawn.size()];
    Arrays.fill(largest, ANY_BEND);
    for (int k = 0; k < stretch.size(); k++) {
      if (isBent(school, k)) {
        largest[stretch.at(k)] = BEND_ROOM * most;
      }
    }
    return largest;
  }

  private static double bendAt(Lap lap, int i) {
    return Math.abs(lap.path().curvatureAt(i));
  }

  /** Whether a school says how much the line may bend at a position. */
  private boolean isBent(School school, int k) {
    double turned = turn.turnedAt(k);
    boolean turnOfV = school == School.V && turned > V_FROM && turned < V_TO;
    return turn.withinCorner(k) && !turn.stretch().held(k) && !turnOfV;
  }

  private Bounds bounds(School school) {
    int inside = turn.inside();
    return switch (school) {
      case ROUNDED, V, FASTEST -> road;
      case LATE_APEX -> road.closed(inside, this::closedUntilLate);
      case TIGHT -> road.closed(-inside, this::closedOutside);
      case DOUBLE_APEX -> road.closed(inside, this::closedBetween);
      case DEFEND -> road.closed(-inside, this::closedOnEntry);
    };
  }

  /** A wall along the inside that ends at the late apex. */
  private double closedUntilLate(int k) {
    if (turn.before(k)) {
      return KEPT_OFF * Math.max(0, 2 * turn.approachShare(k) - 1);
    }
    return Math.max(0, KEPT_OFF * (1 - turn.turnedAt(k) / LATE_SHARE));
  }

  /** The whole turn long, given free little by little before and after it. */
  private double closedOutside(int k) {
    double near = turn.before(k) ? turn.approachShare(k) : turn.runOutShare(k);
    return LEFT_OUTSIDE * Math.max(0, 1 - 2 * (1 - near));
  }

  private double closedBetween(int k) {
    double fromMiddle = Math.abs(turn.turnedAt(k) - 0.5);
    return turn.withinCorner(k) ? Math.max(0, BETWEEN_APEXES * (1 - fromMiddle / 0.25)) : 0;
  }

  private double closedOnEntry(int k) {
    if (turn.before(k)) {
      // Gently at first: the line begins where it is, which may be the edge that closes.
      double t = Math.min(1, 1.3 * turn.approachShare(k));
      return LEFT_OUTSIDE * t * t * (3 - 2 * t);
    }
    return Math.max(0, LEFT_OUTSIDE * (1 - turn.turnedAt(k) / 0.3));
  }

  private double[] weights(School school) {
    if (school != School.V) {
      return null;
    }
    double[] weight = new double[turn.stretch().size()];
    for (int k = 0; k < weight.length; k++) {
      double within = (turn.turnedAt(k) - V_FROM) / (V_TO - V_FROM);
      boolean turning = turn.withinCorner(k) && within > 0 && within < 1;
      double cheap = turning ? Math.sin(Math.PI * within) : 0;
      weight[k] = 1 - (1 - V_WEIGHT) * cheap * cheap;
    }
    return weight;
  }

  /**
   * Quickest first; where a school came out quicker than the fastest line, that is sought again
   * from there. A school that gives up nothing is the fastest line itself: it comes after it.
   */
  private List<Tried> fastestFirst(List<Tried> schools) {
    Comparator<Tried> quickest = Comparator.comparingDouble(Tried::lostS);
    Tried best =
        schools.stream()
            .min(quickest.thenComparing(Tried::school, Comparator.reverseOrder()))
            .orElseThrow();
    Tried fastest =
        best.school() == School.FASTEST ? best : tried(School.FASTEST, fastest(best.lap()));
    return Stream.concat(
            Stream.of(fastest), schools.stream().filter(t -> t.school() != School.FASTEST))
        .sorted(quickest)
        .toList();
  }

  private Lap fastest(Lap from) {
    return FastestLine.along(from, turn.stretch(), road, null, share -> {}).lap();
  }
}
