package marvek.core.brief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import marvek.core.Require;
import marvek.core.brief.CallOut.Piece;
import marvek.core.brief.CallOut.Wish;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.circuit.Zone;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.page.PagePoint;
import marvek.core.profile.Lap;

/**
 * The lap as spoken words: what a voice at the driver's ear says, in time to be of use. Each call
 * ends at least {@value #BEFORE_S} s before its point, at {@value #WORDS_PER_S} words a second; no
 * two are said at once; where there is no room, first the least important words go, then the least
 * important calls.
 */
public final class CallOuts {
  /** A call ends at least so long before its point. */
  public static final double BEFORE_S = 1.5;

  /** Pace of clear speech. */
  public static final double WORDS_PER_S = 2.5;

  /** A group is led at 70 to 80 % of the pace (common practice). */
  public static final double LED_PACE = 0.8;

  /** Between two calls the voice takes breath. */
  private static final double BREATH_S = 0.2;

  /** A call may come so much earlier than it has to, where another one stands in its way. */
  private static final double EARLIEST_S = 3.5;

  /** Finer than this nobody hears when a call begins. */
  private static final double STEP_S = 0.1;

  private static final List<PagePoint> BEHIND =
      List.of(
          PagePoint.APEX, PagePoint.THROTTLE, PagePoint.GEAR_UP, PagePoint.FLAT, PagePoint.EXIT);

  private final Lap lap;
  private final Road road;
  private final double pace;
  private final double metresPerUnit;
  private final Function<PageField, String> said;
  private final double lapS;
  private final List<CallOut> placed = new ArrayList<>();

  private CallOuts(Lap lap, double pace, double metresPerUnit, Function<PageField, String> said) {
    this.lap = lap;
    this.road = lap.path().road();
    this.pace = pace;
    this.metresPerUnit = metresPerUnit;
    this.said = said;
    this.lapS = lap.timeS() / pace;
  }

  /**
   * The calls of a lap in the order they are said.
   *
   * @param pace share of the lap's speed that is driven, 0.3 to 1; 0.7 to 0.8 when an instructor
   *     leads (common practice)
   * @param metresPerUnit of the unit that lengths are said in, which is not said itself
   * @param said how a place that only a driver gives is said
   */
  public static List<CallOut> of(
      Lap lap,
      List<CornerPage> pages,
      double pace,
      double metresPerUnit,
      Function<PageField, String> said) {
    return of(lap, pages, List.of(), pace, metresPerUnit, said);
  }

  /**
   * The same with what is said to a group that is led.
   *
   * @param zones of the circuit: where to regroup and to let by is said at a pace of at most
   *     {@value #LED_PACE}
   */
  public static List<CallOut> of(
      Lap lap,
      List<CornerPage> pages,
      List<Zone> zones,
      double pace,
      double metresPerUnit,
      Function<PageField, String> said) {
    Require.within("pace", pace, 0.3, 1);
    CallOuts worker = new CallOuts(lap, pace, metresPerUnit, said);
    List<Wish> wishes = new ArrayList<>();
    if (pace <= LED_PACE && !pages.isEmpty()) {
      zones.stream()
          .filter(zone -> zone.type().isForGroups())
          .forEach(zone -> wishes.add(worker.forGroup(zone, pages)));
    }
    for (CornerPage page : pages) {
      wishes.add(worker.approach(page));
      worker.exit(page).ifPresent(wishes::add);
      wishes.addAll(worker.behindTheApex(page));
    }
    wishes.sort(Comparator.comparingInt(Wish::importance));
    wishes.forEach(worker::place);
    worker.placed.sort(Comparator.comparingDouble(CallOut::fromS));
    return List.copyOf(worker.placed);
  }

  /** What a leader says to those behind him, spoken of by the corner before it. */
  private Wish forGroup(Zone zone, List<CornerPage> pages) {
    int corner =
        pages.stream()
            .min(Comparator.comparingDouble(page -> behindM(page, zone.fromM())))
            .orElseThrow()
            .corner();
    String words = zone.type() == Zone.Type.REGROUP ? "Regroup here." : "Let them by here.";
    double atM = zone.fromM();
    return new Wish(corner, 1, atM, secondsAt(atM), List.of(new Piece(words, 0)));
  }

  private double behindM(CornerPage page, double stationM) {
    double way = road.distance(page.apexes().get(0).atM(), stationM);
    return way < 0 ? Double.MAX_VALUE : way;
  }

  private double secondsAt(double stationM) {
    return lap.timeAt(road.indexOf(stationM)) / pace;
  }

  /** What to do for a corner, before its first point. */
  private Wish approach(CornerPage page) {
    List<Piece> pieces = new ArrayList<>();
    if (!page.name().isBlank()) {
      pieces.add(new Piece(CornerLabel.spoken(page) + ".", 4));
    }
    boolean brakes = page.brake().atM() != null;
    double pointM =
        brakes ? page.brake().atM() : page.lift() == null ? page.turnIn().atM() : page.lift().atM();
    SpokenPoints.danger(page).ifPresent(words -> warn(words, pieces));
    if (brakes) {
      brake(page, pieces);
      SpokenFeet.brake(page).ifPresent(words -> pieces.add(new Piece(sentence(words), 2)));
    } else {
      boolean flat = page.brake().style() == CornerPage.BrakeStyle.NONE;
      if (page.lift() == null) {
        pieces.add(new Piece(flat ? "Flat." : "Lift.", 0));
      } else {
        String words =
            page.annotations()
                .phraseOf(PagePoint.LIFT)
                .orElseGet(() -> SpokenMark.lift(page.lift(), metresPerUnit));
        pieces.add(new Piece(sentence(words), 0));
      }
    }
    if (page.gears().corner() != page.gears().approach()) {
      pieces.add(new Piece(sentence(SpokenGears.gear(page.gears().corner()) + " gear"), 2));
    }
    SpokenGears.wayIn(page).ifPresent(words -> pieces.add(new Piece(sentence(words), 2)));
    pieces.add(new Piece(page.direction() == Side.LEFT ? "Left." : "Right.", 3));
    for (String words : SpokenMark.ownPoints(page, metresPerUnit, said)) {
      pieces.add(new Piece(sentence(words), 2));
    }
    for (PagePoint point : List.of(PagePoint.TURN_IN, PagePoint.GEAR_DOWN, PagePoint.RELEASE)) {
      SpokenPoints.of(page, point, metresPerUnit)
          .ifPresent(words -> pieces.add(new Piece(sentence(words), 1)));
    }
    return new Wish(page.corner(), brakes ? 0 : 1, pointM, secondsAt(pointM), pieces);
  }

  /** A word before all others, and what of, where there is room. */
  private static void warn(String danger, List<Piece> pieces) {
    pieces.add(new Piece("Careful.", 0));
    if (SpokenPoints.isBrief(danger)) {
      pieces.add(new Piece(sentence(danger), 1));
    }
  }

  /** The brake and its mark, or how its driver says it. */
  private void brake(CornerPage page, List<Piece> pieces) {
    Optional<String> phrase = page.annotations().phraseOf(PagePoint.BRAKE);
    if (phrase.isPresent()) {
      pieces.add(new Piece(sentence(phrase.get()), 0));
      return;
    }
    String mark = SpokenMark.of(page.brake().target(), metresPerUnit);
    pieces.add(new Piece(mark.isEmpty() ? "Brake." : "Brake", 0));
    if (!mark.isEmpty()) {
      pieces.add(new Piece(mark + ".", 1));
    }
  }

  /** What the driver tells himself of points from the apex on, each before its own point. */
  private List<Wish> behindTheApex(CornerPage page) {
    List<Wish> wishes = new ArrayList<>();
    for (PagePoint point : BEHIND) {
      Optional<String> words = SpokenPoints.of(page, point, metresPerUnit);
      Double atM = point.atM(page);
      if (words.isPresent() && atM != null) {
        List<Piece> pieces = List.of(new Piece(sentence(words.get()), 0));
        int importance = page.annotations().phraseOf(point).isPresent() ? 0 : 1;
        wishes.add(new Wish(page.corner(), importance, atM, secondsAt(atM), pieces));
      }
    }
    return wishes;
  }

  /** A sentence of its own. */
  private static String sentence(String words) {
    String said = words.strip();
    boolean ended = said.endsWith(".") || said.endsWith("!") || said.endsWith("?");
    return Character.toUpperCase(said.charAt(0)) + said.substring(1) + (ended ? "" : ".");
  }

  /** What matters in the corner itself, before its apex; empty where nothing does. */
  private Optional<Wish> exit(CornerPage page) {
    List<Piece> pieces = new ArrayList<>();
    if (page.apexes().size() > 1) {
      pieces.add(new Piece("Two apexes.", 1));
    } else if (page.apexes().get(0).kind() == CornerPage.ApexKind.LATE) {
      pieces.add(new Piece("Late apex.", 1));
    }
    if (page.limits() != null && page.limits().exit().kerb() != null) {
      boolean used = page.kerbs().exit() != Kerb.Use.NONE;
      pieces.add(new Piece(used ? "Use the exit kerb." : "Leave the exit kerb.", 2));
    }
    SpokenFeet.held(page).ifPresent(words -> pieces.add(new Piece(sentence(words), 2)));
    SpokenGears.wayOut(page).ifPresent(words -> pieces.add(new Piece(sentence(words), 2)));
    if (pieces.isEmpty()) {
      return Optional.empty();
    }
    double pointM = page.apexes().get(0).atM();
    return Optional.of(new Wish(page.corner(), 2, pointM, secondsAt(pointM), pieces));
  }

  /** Seconds that words take. */
  static double secondsOf(String words) {
    return words.strip().split("\\s+").length / WORDS_PER_S;
  }

  /** As late as it may, with as many words as there is room for; not at all where there is none. */
  private void place(Wish wish) {
    for (int least : wish.steps()) {
      String words = wish.words(least);
      double length = secondsOf(words);
      for (double early = 0; early <= EARLIEST_S; early += STEP_S) {
        double to = wish.pointS() - BEFORE_S - early;
        double from = to - length;
        if (road.closed() || from >= 0) {
          CallOut call = new CallOut(wish.corner(), from, to, wish.pointM(), wish.pointS(), words);
          if (placed.stream().noneMatch(other -> collide(call, other))) {
            placed.add(call);
            return;
          }
        }
      }
    }
  }

  /** Whether two calls are said at once, also across the start line of a closed lap. */
  private boolean collide(CallOut a, CallOut b) {
    for (double shift : road.closed() ? new double[] {-lapS, 0, lapS} : new double[] {0}) {
      if (a.fromS() + shift < b.toS() + BREATH_S && b.fromS() < a.toS() + shift + BREATH_S) {
        return true;
      }
    }
    return false;
  }
}
