package marvek.core.brief;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.Quantity;
import marvek.core.page.Variants;
import marvek.core.reference.Reference;
import marvek.core.say.Sentence;

/**
 * A book made ready for a session: what the conditions of the session change on each page, for the
 * driver to accept, alter or leave. A value of the driver's own moves as far as the model's does; a
 * brake point that is worked up to is taken at its present step.
 */
public final class Preparation {
  /** Why a value changes. */
  public enum Why {
    /** The model's value in the session's conditions. */
    CONDITIONS,
    /** The driver's own value, moved as far as the model's. */
    OWN_MOVED,
    /** The present step on the way to the target. */
    STEP,
    /** Stays where it is: with less grip nobody brakes later, though one arrives slower. */
    HELD
  }

  /**
   * One changed value; kerbs are told by their index in {@link Kerb.Use}.
   *
   * @param before null where the page had none
   * @param after null where the session's page has none
   */
  public record Change(int corner, PageField field, Double before, Double after, Why why) {}

  /** What the driver says of a change. */
  public enum Choice {
    ACCEPT,
    ALTER,
    LEAVE
  }

  /**
   * A decision on one value.
   *
   * @param value of an altered one, else null
   */
  public record Decision(int corner, PageField field, Choice choice, Double value) {
    public Decision {
      if ((choice == Choice.ALTER) != (value != null)) {
        throw new InvalidValueException(
            "value",
            Sentence.of(choice == Choice.ALTER ? "refused.alter-without" : "refused.only-alter"));
      }
    }
  }

  private final Reference base;
  private final Reference session;
  private final Road road;
  private final Map<Integer, OwnValues> own;
  private final Map<Integer, Double> steps;

  private Preparation(
      Reference base, Reference session, Map<Integer, OwnValues> own, Map<Integer, Double> steps) {
    this.base = base;
    this.session = session;
    this.road = base.path().road();
    this.own = own;
    this.steps = steps;
  }

  /**
   * Prepares a session.
   *
   * @param base the newest revision, with the driver's own values
   * @param session the model alone in the session's conditions
   * @param own the driver's own values of the base
   * @param steps station of the present step by corner, for brake points not proven on the
   *     session's surface
   */
  public static Preparation of(
      Reference base, Reference session, List<OwnValues> own, Map<Integer, Double> steps) {
    Map<Integer, OwnValues> byCorner = new java.util.TreeMap<>();
    own.forEach(values -> byCorner.put(values.corner(), values));
    return new Preparation(base, session, byCorner, Map.copyOf(steps));
  }

  /** Everything that changes, in the order of the lap. */
  public List<Change> changes() {
    List<Change> changes = new ArrayList<>();
    for (int p = 0; p < base.pages().size(); p++) {
      for (PageField field : PageField.ofSessions()) {
        Change change = change(p, field);
        if (matters(change)) {
          changes.add(change);
        }
      }
    }
    return changes;
  }

  private Change change(int p, PageField field) {
    CornerPage page = base.pages().get(p);
    Double before = field.amountOf(page);
    Double model = field.amountOf(base.modelPages().get(p));
    Double then = field.amountOf(session.modelPages().get(p));
    boolean driversOwn = field.amountOf(own.get(page.corner())) != null;
    Double after = driversOwn ? moved(field, before, model, then) : then;
    Why why = driversOwn ? Why.OWN_MOVED : Why.CONDITIONS;
    Double step = field == PageField.BRAKE ? steps.get(page.corner()) : null;
    if (step != null && after != null) {
      return new Change(page.corner(), field, before, step, Why.STEP);
    }
    if (field == PageField.BRAKE && HeldBrake.holds(base, session, before, after)) {
      return new Change(page.corner(), field, before, before, Why.HELD);
    }
    return new Change(page.corner(), field, before, after, why);
  }

  /** An own value goes with the model: as many metres, gears, as much speed. */
  private Double moved(PageField field, Double before, Double model, Double then) {
    if (before == null || model == null || then == null) {
      return then == null ? null : before;
    }
    return switch (field.quantity()) {
      case KERB_USE -> Math.min(before, then);
      case GEAR -> Math.max(1, before + then - model);
      case SPEED -> before * then / model;
      case STATION -> road.wrapStation(before + road.offsetBetween(model, then));
      default -> field.quantity().within(before + then - model);
    };
  }

  private boolean matters(Change change) {
    if (change.why() == Why.HELD) {
      return true;
    }
    if (change.before() == null || change.after() == null) {
      // Braking that begins or ends on another day is the page's own news, not a value of it.
      return change.before() != change.after() && change.field() == PageField.BRAKE;
    }
    double by =
        change.field().isStation()
            ? road.offsetBetween(change.before(), change.after())
            : change.after() - change.before();
    return Math.abs(by) >= change.field().leastChange();
  }

  /**
   * The own values of the revision that comes of the decisions; what is not decided counts as
   * accepted.
   *
   * @throws InvalidValueException if a decision is on a value that does not change
   */
  public List<OwnValues> decided(List<Decision> decisions) {
    List<Change> changes = changes();
    for (Decision decision : decisions) {
      if (changes.stream().noneMatch(c -> isOn(decision, c))) {
        throw new InvalidValueException(
            "decisions",
            Sentence.of(
                "refused.decision-on-unchanged",
                "field",
                decision.field().path(),
                "corner",
                decision.corner()));
      }
    }
    Map<Integer, Map<PageField, Double>> wanted = new java.util.TreeMap<>();
    own.forEach((corner, values) -> wanted.put(corner, ownOf(values)));
    for (Change change : changes) {
      Map<PageField, Double> there =
          wanted.computeIfAbsent(change.corner(), c -> new EnumMap<>(PageField.class));
      put(there, change, decisionOn(change, decisions));
    }
    List<OwnValues> result = new ArrayList<>();
    wanted.forEach((corner, values) -> result.add(withValues(corner, values)));
    return result.stream().filter(o -> !o.equals(OwnValues.in(o.corner()).build())).toList();
  }

  private static boolean isOn(Decision decision, Change change) {
    return change.corner() == decision.corner() && change.field() == decision.field();
  }

  private static Decision decisionOn(Change change, List<Decision> decisions) {
    return decisions.stream()
        .filter(d -> isOn(d, change))
        .reduce((first, second) -> second)
        .orElse(new Decision(change.corner(), change.field(), Choice.ACCEPT, null));
  }

  private void put(Map<PageField, Double> there, Change change, Decision decision) {
    Double value =
        switch (decision.choice()) {
          case ACCEPT -> change.why() == Why.CONDITIONS ? null : change.after();
          case ALTER -> decision.value();
          case LEAVE -> change.before();
        };
    if (value == null) {
      there.remove(change.field());
    } else {
      there.put(change.field(), value);
    }
  }

  private static Map<PageField, Double> ownOf(OwnValues values) {
    Map<PageField, Double> of = new EnumMap<>(PageField.class);
    for (PageField field : PageField.ofSessions()) {
      Double value = field.amountOf(values);
      if (value != null) {
        of.put(field, value);
      }
    }
    return of;
  }

  private OwnValues withValues(int corner, Map<PageField, Double> values) {
    OwnValues before = own.get(corner);
    OwnValues.Builder builder = before == null ? OwnValues.in(corner) : before.but();
    for (PageField field : PageField.ofSessions()) {
      // A value that is moved was not measured like that.
      if (before != null && !Objects.equals(field.amountOf(before), values.get(field))) {
        builder.notMeasured(field.path());
      }
      field.put(builder, values.get(field));
    }
    if (before != null && before.variants() != null) {
      builder.variants(moved(before.variants(), builder.build()));
    }
    return builder.build();
  }

  /**
   * What is written for other days goes with its page, as much earlier, slower or less; what is
   * written for such a day as the session is stays as it is written.
   *
   * @param own values of the session's page
   */
  private Variants moved(Variants variants, OwnValues own) {
    Conditions day = session.modelLap().conditions();
    Conditions book = base.modelLap().conditions();
    return variants.changed(
        (kind, field, value) -> kind.holdsIn(day, book) ? value : moved(field, value, own));
  }

  private Object moved(PageField field, Object value, OwnValues own) {
    Double before = amountOn(base.pages(), own.corner(), field);
    Double now = field.amountOf(own);
    now = now == null ? amountOn(session.modelPages(), own.corner(), field) : now;
    if (before == null || now == null) {
      return value;
    }
    Quantity quantity = field.quantity();
    return quantity.value(moved(field, quantity.amount(value), before, now));
  }

  private static Double amountOn(List<CornerPage> pages, int corner, PageField field) {
    return pages.stream()
        .filter(page -> page.corner() == corner)
        .findFirst()
        .map(field::amountOf)
        .orElse(null);
  }
}
