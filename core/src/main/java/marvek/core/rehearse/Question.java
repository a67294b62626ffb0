package marvek.core.rehearse;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.brief.DayShift;
import marvek.core.circuit.Kerb;
import marvek.core.mark.MarkReference;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.core.page.Press;

/**
 * Something that a page answers.
 *
 * @param answer what the page says, so short that another answer is seen to be one
 */
public record Question(int corner, Kind kind, String answer) {
  /** What is asked. */
  public enum Kind {
    /** By which mark one brakes. */
    BRAKE_MARK,
    GEAR,
    /** By which mark one turns in. */
    TURN_IN_MARK,
    /** Where the brake is off. */
    RELEASE,
    /** How much of which kerb, and which not. */
    KERBS,
    /** Where the throttle comes. */
    THROTTLE,
    /** How the feet go where that is the driver's own. */
    FEET,
    /** What is otherwise on a wet road. */
    IN_THE_WET,
    /** What one does when the brake mark is missed. */
    WAY_OUT,
    /** Where the places are that only the driver gave. */
    OWN_POINTS
  }

  /** Places closer than this are the same for somebody who has to remember them. */
  private static final double SAME_PLACE_M = 2;

  /** A brake point in the wet counts as another one from here on [m]. */
  private static final double SAME_SHIFT_M = 4;

  private static final long SAME_PCT = 5;

  /** A name for its state: corner and kind. */
  public String key() {
    return corner + "." + kind.name().toLowerCase(Locale.ROOT);
  }

  /**
   * The questions of a book, in the order of the lap and of driving.
   *
   * @param wet what a wet road does to each corner; empty where that is not asked
   */
  public static List<Question> of(List<CornerPage> pages, List<DayShift> wet) {
    Map<Integer, DayShift> shifts =
        wet.stream().collect(Collectors.toMap(DayShift::corner, Function.identity()));
    List<Question> questions = new ArrayList<>();
    for (CornerPage page : pages) {
      for (Kind kind : Kind.values()) {
        String answer =
            kind == Kind.IN_THE_WET ? inTheWet(shifts.get(page.corner())) : answer(page, kind);
        if (!answer.isEmpty()) {
          questions.add(new Question(page.corner(), kind, answer));
        }
      }
    }
    return questions;
  }

  private static String answer(CornerPage page, Kind kind) {
    return switch (kind) {
      case BRAKE_MARK -> page.brake().atM() == null ? "" : told(page.brake().target());
      case GEAR -> Integer.toString(page.gears().corner());
      case TURN_IN_MARK -> told(page.turnIn().target());
      case RELEASE -> page.trailBrake() == null ? "" : fromApex(page, page.trailBrake().releaseM());
      case KERBS -> kerbs(page.kerbs());
      case THROTTLE ->
          page.throttle().firstM() == null ? "" : fromApex(page, page.throttle().firstM());
      case FEET -> feet(page);
      case IN_THE_WET -> "";
      case WAY_OUT -> page.wayOut().strip();
      case OWN_POINTS -> ownPoints(page);
    };
  }

  /** A corner that is the same in the wet asks nothing. */
  private static String inTheWet(DayShift shift) {
    if (shift == null) {
      return "";
    }
    double earlier = shift.brakeEarlierM() == null ? 0 : shift.brakeEarlierM();
    long brake = Math.round(earlier / SAME_SHIFT_M);
    boolean same =
        brake == 0
            && shift.gearsLower() == 0
            && !shift.begins()
            && shift.apexKerb() == null
            && shift.exitKerb() == null;
    return same
        ? ""
        : brake
            + (shift.begins() ? " brakes " : " ")
            + shift.gearsLower()
            + " "
            + shift.apexKerb()
            + " "
            + shift.exitKerb();
  }

  private static final Set<PagePoint> BY_THEIR_OWN_QUESTION =
      EnumSet.of(PagePoint.BRAKE, PagePoint.TURN_IN);

  private static String ownPoints(CornerPage page) {
    Stream<String> places =
        PageField.typed().stream()
            .filter(page.points()::containsKey)
            .map(field -> field.group() + " " + told(page.points().get(field).target()));
    Stream<String> points =
        page.annotations().told().stream()
            .filter(told -> told.target() != null)
            .filter(told -> !BY_THEIR_OWN_QUESTION.contains(told.as().point()))
            .map(told -> told.as().point() + " " + told(told.target()));
    return Stream.concat(places, points).collect(Collectors.joining(" "));
  }

  /** Per cents of presses and phases of one's own, to five: nobody feels less. */
  private static String feet(CornerPage page) {
    List<Double> pressed = new ArrayList<>();
    if (page.sources().containsKey(PageField.PRESSES.path())) {
      for (Press press : page.pedals().presses()) {
        pressed.add(press.peakPct());
        press.knots().forEach(knot -> pressed.add(knot.pct()));
      }
    }
    if (page.sources().containsKey(PageField.PHASES.path())) {
      page.pedals().phases().forEach(phase -> pressed.add(phase.toPct()));
    }
    return pressed.stream()
        .map(pct -> Long.toString(SAME_PCT * Math.round(pct / SAME_PCT)))
        .collect(Collectors.joining(" "));
  }

  private static String told(MarkReference mark) {
    return mark == null ? "" : mark.text();
  }

  private static String fromApex(CornerPage page, double stationM) {
    return Long.toString(Math.round((stationM - page.apexes().get(0).atM()) / SAME_PLACE_M));
  }

  /** Where no kerb is used at all nothing is asked. */
  private static String kerbs(CornerPage.Kerbs kerbs) {
    boolean any = kerbs.apex() != Kerb.Use.NONE || kerbs.exit() != Kerb.Use.NONE;
    return any ? kerbs.apex() + " " + kerbs.exit() : "";
  }
}
