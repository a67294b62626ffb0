package marvek.core.beside;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import marvek.core.circuit.Kerb;
import marvek.core.circuit.Road;
import marvek.core.circuit.Side;
import marvek.core.laps.CornerReading;
import marvek.core.laps.LapKinds;
import marvek.core.page.CornerPage;
import marvek.core.page.PageField;
import marvek.core.review.StepPlan;
import marvek.core.review.TriedValue;
import org.jspecify.annotations.Nullable;

/**
 * What somebody's lap would change on the pages of a book: his points through the same reading as
 * the page's own lap, so that only differences count, scaled to one's own grip. Braking takes as
 * much longer as there is less grip, a speed through a bend goes with its root (textbook: {@code v²
 * = a·r}, {@code v₀² − v₁² = 2·a·s}); places across the road stay. What must not be copied is
 * marked. Least amounts are those that a driver can tell apart (own assumptions).
 */
public final class ValuesOfLap {
  private static final double LEAST_POINT_M = 5;
  private static final double LEAST_SPEED_MPS = 0.7;
  private static final double LEAST_PRESSURE_PCT = 12;
  private static final double LEAST_OFFSET_M = 0.3;

  /** Grip that differs by less is the same. */
  private static final double SAME_GRIP = 0.01;

  private final Case of;
  private final Road road;
  private final double grip;

  private ValuesOfLap(Case of) {
    this.of = of;
    this.road = of.tried().basis().path().road();
    this.grip = grip(of);
  }

  /**
   * What is compared.
   *
   * @param tried the book that it is for
   * @param page the page's own lap, read as the other is
   * @param lap the other one, corner by corner
   * @param otherVehicle whether it was driven in another one than the book's
   * @param otherSurface whether on another surface than the book's newest pages are for
   * @param plans of the brake points, by corner
   */
  public record Case(
      TriedValue tried,
      List<CornerReading> page,
      List<CornerReading> lap,
      boolean otherVehicle,
      boolean otherSurface,
      Map<Integer, StepPlan> plans) {}

  /** What is to be known before a value is taken. */
  public enum Caution {
    /** Brought to one's own grip: he had more of it, or less. */
    SCALED,
    /** Kept before the latest point less its margin. */
    KEPT_BACK,
    /** Kept inside what the track limits and one's own kerb use allow. */
    KEPT_IN,
    /** Of another vehicle: not to be copied. */
    OTHER_VEHICLE,
    /** Of another surface: not to be copied. */
    OTHER_SURFACE
  }

  /**
   * A value.
   *
   * @param before what stands on the page
   * @param theirs what the lap did, on the page's scale
   * @param after what it comes to for oneself; what stands there where nothing may be taken
   * @param slowerS by which the page's lap becomes slower; null where the model cannot drive it, or
   *     it is not to be copied
   */
  public record Value(
      int corner,
      PageField field,
      double before,
      double theirs,
      double after,
      @Nullable Double slowerS,
      Set<Caution> cautions) {
    /** Whether it may be taken over. */
    public boolean isToCopy() {
      return after != before
          && !cautions.contains(Caution.OTHER_VEHICLE)
          && !cautions.contains(Caution.OTHER_SURFACE);
    }
  }

  /** Grip of a lap against the page's, by the middle of its corners; 1 where it tells none. */
  public static double grip(Case of) {
    double grip =
        LapKinds.gripAgainst(of.tried().book().pages(), List.of(of.lap()))
            / LapKinds.gripAgainst(of.tried().book().pages(), List.of(of.page()));
    return grip > 0 ? grip : 1;
  }

  /** All that differs enough, in the order of the lap. */
  public static List<Value> of(Case of) {
    ValuesOfLap values = new ValuesOfLap(of);
    return IntStream.range(0, of.page().size())
        .parallel()
        .mapToObj(values::corner)
        .flatMap(List::stream)
        .toList();
  }

  private List<Value> corner(int p) {
    List<Value> values = new ArrayList<>();
    brake(p, values);
    turnIn(p, values);
    release(p, values);
    pressure(p, values);
    gear(p, values);
    speed(p, values);
    apex(p, values);
    throttle(p, PageField.THROTTLE_FIRST, r -> r.throttle().firstM(), values);
    throttle(p, PageField.THROTTLE_FULL, r -> r.throttle().fullM(), values);
    return values;
  }

  private CornerPage page(int p) {
    return of.tried().book().pages().get(p);
  }

  /** How far a place of the lap is behind the page's; NaN where one of them has none. */
  private double later(int p, Function<CornerReading, Double> place) {
    return along(place.apply(of.page().get(p)), place.apply(of.lap().get(p)));
  }

  private double along(@Nullable Double fromM, @Nullable Double toM) {
    return fromM == null || toM == null
        ? Double.NaN
        : road.offsetBetween(road.wrapStation(fromM), road.wrapStation(toM));
  }

  private double more(int p, Function<CornerReading, Double> value) {
    Double page = value.apply(of.page().get(p));
    Double lap = value.apply(of.lap().get(p));
    return page == null || lap == null ? Double.NaN : lap - page;
  }

  private Set<Caution> cautions() {
    Set<Caution> cautions = EnumSet.noneOf(Caution.class);
    if (of.otherSurface()) {
      cautions.add(Caution.OTHER_SURFACE);
    }
    return cautions;
  }

  private Set<Caution> scaled() {
    Set<Caution> cautions = cautions();
    if (Math.abs(grip - 1) >= SAME_GRIP) {
      cautions.add(Caution.SCALED);
    }
    return cautions;
  }

  private void add(
      List<Value> values,
      int p,
      PageField field,
      double theirs,
      double after,
      double least,
      Set<Caution> cautions) {
    Double before = field.amountOf(page(p));
    if (before == null || Double.isNaN(theirs) || Double.isNaN(after)) {
      return;
    }
    int corner = page(p).corner();
    boolean kept = cautions.contains(Caution.KEPT_BACK) || cautions.contains(Caution.KEPT_IN);
    double his = field.isStation() ? road.wrapStation(theirs) : theirs;
    double to = field.isStation() ? road.wrapStation(after) : after;
    if (apart(field, before, to) >= least) {
      Value bare = new Value(corner, field, before, his, to, null, Set.copyOf(cautions));
      Double slower = bare.isToCopy() ? of.tried().slowerS(corner, field, to) : null;
      values.add(new Value(corner, field, before, his, to, slower, bare.cautions()));
    } else if (kept && apart(field, before, his) >= least) {
      // There is no room for what he does: it is shown, and nothing of it is to be taken.
      values.add(new Value(corner, field, before, his, before, null, Set.copyOf(cautions)));
    }
  }

  private double apart(PageField field, double a, double b) {
    return Math.abs(field.isStation() ? road.offsetBetween(a, b) : b - a);
  }

  /** With less grip than his one brakes as much longer to the same end. */
  private void brake(int p, List<Value> values) {
    Double at = PageField.BRAKE.amountOf(page(p));
    CornerReading.Braking his = of.lap().get(p).braking();
    double later = later(p, r -> r.braking().onM());
    double length = along(his.onM(), his.releaseM());
    if (at == null || Double.isNaN(later + length)) {
      return;
    }
    double after = at + later - length * (grip - 1);
    Set<Caution> cautions = scaled();
    StepPlan plan = of.plans().get(page(p).corner());
    double room = plan == null ? 0 : road.offsetBetween(at, plan.limitM()) - plan.marginM();
    if (after - at > Math.max(0, room)) {
      after = at + Math.max(0, room);
      cautions.add(Caution.KEPT_BACK);
    }
    add(values, p, PageField.BRAKE, at + later, after, LEAST_POINT_M, cautions);
  }

  private void turnIn(int p, List<Value> values) {
    double after = page(p).turnIn().atM() + later(p, r -> r.way().turnInM());
    add(values, p, PageField.TURN_IN, after, after, LEAST_POINT_M, cautions());
  }

  private void release(int p, List<Value> values) {
    Double at = PageField.RELEASE.amountOf(page(p));
    double after = at == null ? Double.NaN : at + later(p, r -> r.braking().releaseM());
    add(values, p, PageField.RELEASE, after, after, LEAST_POINT_M, cautions());
  }

  /** Per cent of another car's pedal are another pressure. */
  private void pressure(int p, List<Value> values) {
    Double at = PageField.TURN_IN_PRESSURE.amountOf(page(p));
    double more = more(p, r -> r.braking().atTurnInPct());
    double after = at == null ? Double.NaN : Math.round(Math.max(0, Math.min(100, at + more)));
    double known = Double.isNaN(more) ? Double.NaN : after;
    add(values, p, PageField.TURN_IN_PRESSURE, known, known, LEAST_PRESSURE_PCT, ofHisVehicle());
  }

  private Set<Caution> ofHisVehicle() {
    Set<Caution> cautions = cautions();
    if (of.otherVehicle()) {
      cautions.add(Caution.OTHER_VEHICLE);
    }
    return cautions;
  }

  private void gear(int p, List<Value> values) {
    Integer gear = of.lap().get(p).slowest().gear();
    Integer pages = of.page().get(p).slowest().gear();
    if (gear != null && pages != null) {
      double after = page(p).gears().corner() + gear - pages;
      add(values, p, PageField.GEAR, after, after, 1, ofHisVehicle());
    }
  }

  private void speed(int p, List<Value> values) {
    Double lap = of.lap().get(p).slowest().speedMps();
    double more = more(p, r -> r.slowest().speedMps());
    if (lap == null || Double.isNaN(more)) {
      return;
    }
    double theirs = page(p).lowestSpeedMps() + more;
    double after = theirs - lap * (1 - 1 / Math.sqrt(grip));
    add(values, p, PageField.APEX_SPEED, theirs, after, LEAST_SPEED_MPS, scaled());
  }

  /** As near to the inside as he was, but no nearer than one's own page may go. */
  private void apex(int p, List<Value> values) {
    Double at = PageField.APEX_OFFSET.amountOf(page(p));
    double farther = more(p, r -> r.way().insideM());
    if (at == null || Double.isNaN(farther)) {
      return;
    }
    double inwards = page(p).direction() == Side.LEFT ? -farther : farther;
    double theirs = at + inwards;
    Set<Caution> cautions = cautions();
    double after = theirs;
    double left = Math.max(0, room(p));
    if (-farther > left) {
      after = at + Math.signum(inwards) * left;
      cautions.add(Caution.KEPT_IN);
    }
    add(values, p, PageField.APEX_OFFSET, theirs, after, LEAST_OFFSET_M, cautions);
  }

  /** From the page's body to the farthest in that its limits and its use of the kerb allow [m]. */
  private double room(int p) {
    Double allowed = page(p).limits().apex().allowedM();
    if (allowed == null) {
      return Double.POSITIVE_INFINITY;
    }
    boolean offKerb = page(p).kerbs().apex() == Kerb.Use.NONE;
    double body = of.tried().basis().vehicle().bodyWidthM();
    return of.page().get(p).way().insideM() - body / 2 + (offKerb ? Math.min(0, allowed) : allowed);
  }

  private void throttle(
      int p, PageField field, Function<CornerReading, Double> place, List<Value> values) {
    Double at = field.amountOf(page(p));
    double after = at == null ? Double.NaN : at + later(p, place);
    // How soon it takes full throttle is a matter of power over grip.
    Set<Caution> cautions = field == PageField.THROTTLE_FULL ? ofHisVehicle() : cautions();
    add(values, p, field, after, after, LEAST_POINT_M, cautions);
  }
}
