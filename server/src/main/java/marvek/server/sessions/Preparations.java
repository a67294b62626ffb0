package marvek.server.sessions;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import marvek.core.brief.Preparation;
import marvek.core.brief.Preparation.Change;
import marvek.core.brief.Preparation.Decision;
import marvek.core.brief.Session;
import marvek.core.car.SetupSheet;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.core.review.StepPlan;
import marvek.core.review.StepState;
import marvek.server.books.Books;
import marvek.server.books.Draft;
import marvek.server.editions.Edition;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a book ready for a session: what changes on its pages, and the revision that comes of it.
 */
@Service
class Preparations {
  private final Sessions sessions;
  private final Steps steps;
  private final StepPlans plans;
  private final Books books;
  private final TransactionTemplate transaction;

  Preparations(
      Sessions sessions,
      Steps steps,
      StepPlans plans,
      Books books,
      TransactionTemplate transaction) {
    this.sessions = sessions;
    this.steps = steps;
    this.plans = plans;
    this.books = books;
    this.transaction = transaction;
  }

  /**
   * What a session changes.
   *
   * @param parent the newest revision, which the changes are told against
   * @param edition of the session that this was made from
   * @param lapS of the revision that would be issued now
   * @param draft what that revision would be computed from
   */
  record Prepared(
      int parent,
      long edition,
      double parentLapS,
      double lapS,
      Conditions parentConditions,
      Conditions conditions,
      List<Change> changes,
      List<Decision> decisions,
      List<Session.OpenPoint> openPoints,
      Draft draft) {}

  /** Everything that a preparation is made from. */
  private record Work(
      Sessions.Read read, int parent, Books.Computed base, Draft model, Preparation preparation) {}

  Prepared prepare(UUID sessionId) {
    Work work = work(sessions.read(sessionId));
    List<Change> changes = work.preparation().changes();
    List<Decision> decisions = stillOf(changes, work.read().file().decisions());
    Draft draft = withOwn(work.model(), work.preparation().decided(decisions));
    Reference then = Reference.on(basis(work), draft.conditions(), draft.own());
    return new Prepared(
        work.parent(),
        work.read().stored().edition(),
        work.base().reference().lap().timeS(),
        then.lap().timeS(),
        work.base().conditions(),
        work.model().conditions(),
        changes,
        decisions,
        work.read().session().openPoints(),
        draft);
  }

  /** Keeps what the driver says of the changes so far. */
  Prepared decide(UUID sessionId, List<Decision> decisions, Edition seen) {
    Work work = work(sessions.read(sessionId));
    // Refuses what does not change before anything is kept.
    Reference.on(basis(work), work.model().conditions(), work.preparation().decided(decisions));
    sessions.decide(work.read(), decisions, seen);
    return prepare(sessionId);
  }

  /**
   * Keeps the revision for a session; what is not decided counts as accepted. Revision and session
   * are stored both or neither.
   */
  Sessions.Kept issue(UUID sessionId, String reason, Edition seen) {
    Work work = work(sessions.read(sessionId));
    List<Decision> decisions =
        stillOf(work.preparation().changes(), work.read().file().decisions());
    String given = reason == null || reason.isBlank() ? reason(work.read().session()) : reason;
    Books.Next next =
        books.next(
            work.read().book().id(),
            work.parent(),
            given,
            withOwn(work.model(), work.preparation().decided(decisions)),
            Instant.now());
    return transaction.execute(
        status -> sessions.issued(work.read(), books.keep(next).number(), seen));
  }

  private static String reason(Session session) {
    String surface = session.conditions().surface().name().toLowerCase(Locale.ROOT);
    String kind = session.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    return session.event() + ", " + kind + ": " + surface + " road";
  }

  /** The book may have changed since: what was said of values that do not change now is dropped. */
  private static List<Decision> stillOf(List<Change> changes, List<Decision> decisions) {
    return decisions.stream()
        .filter(
            d -> changes.stream().anyMatch(c -> c.corner() == d.corner() && c.field() == d.field()))
        .toList();
  }

  private Work work(Sessions.Read read) {
    UUID bookId = read.book().id();
    int parent = books.newestNumber(bookId);
    Books.Computed base = books.recompute(bookId, parent);
    Draft newest = Books.draftOf(base.document());
    Draft model = newest.modelIn(read.session().drivenIn(), setup(read.session(), newest));
    Reference.Basis basis = books.basis(bookId, model);
    Reference session = Reference.on(basis, model.conditions(), model.own());
    Preparation atTarget = Preparation.of(base.reference(), session, newest.own(), Map.of());
    Map<Integer, Double> begun = begun(read, basis, model, atTarget.decided(List.of()));
    Preparation preparation = Preparation.of(base.reference(), session, newest.own(), begun);
    return new Work(read, parent, base, model, preparation);
  }

  /** The session's own fuel counts, and not that of its sheet. */
  private static SetupSheet setup(Session session, Draft newest) {
    SetupSheet sheet = session.setup() == null ? newest.setup() : session.setup();
    return sheet == null ? null : sheet.withFuelKg(session.conditions().fuelKg());
  }

  /** Stations of the present steps of points that are worked up to; of proven ones the target. */
  private Map<Integer, Double> begun(
      Sessions.Read read, Reference.Basis basis, Draft model, List<OwnValues> own) {
    Map<Integer, StepState> states =
        steps.on(read.book().id(), read.session().conditions().surface());
    if (states.isEmpty()) {
      return Map.of();
    }
    Reference atTarget = Reference.on(basis, model.conditions(), own);
    Map<Integer, Double> stations = new TreeMap<>();
    Road road = basis.path().road();
    for (StepPlan plan : plans.of(basis, model.conditions(), atTarget.pages(), states)) {
      StepState state = states.get(plan.corner());
      if (state != null) {
        stations.put(plan.corner(), plan.stepsM().get(state.stepIn(plan, road)));
      }
    }
    return stations;
  }

  private Reference.Basis basis(Work work) {
    return books.basis(work.read().book().id(), work.model());
  }

  private static Draft withOwn(Draft model, List<OwnValues> own) {
    return new Draft(model.conditions(), model.line(), own, model.setup());
  }
}
