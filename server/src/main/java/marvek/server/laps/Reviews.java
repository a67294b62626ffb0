package marvek.server.laps;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.car.SetupSheet;
import marvek.core.cause.Finding;
import marvek.core.circuit.Road;
import marvek.core.conditions.Conditions;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
import marvek.core.reference.Reference;
import marvek.core.review.Calibration;
import marvek.core.review.LapOfSession;
import marvek.core.review.Proposal;
import marvek.core.review.Proposals;
import marvek.core.review.StepJudgement;
import marvek.core.review.StepPlan;
import marvek.core.review.StepState;
import marvek.core.say.Sentence;
import marvek.server.books.Books;
import marvek.server.books.Draft;
import marvek.server.problems.ConflictException;
import marvek.server.sessions.Sessions;
import marvek.server.sessions.StepBoard;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What the laps of a session say should be written otherwise, and the revision that comes of it.
 */
@Service
class Reviews {
  private final Debriefs debriefs;
  private final Laps laps;
  private final Sessions sessions;
  private final Books books;
  private final StepBoard steps;
  private final TransactionTemplate transaction;

  Reviews(
      Debriefs debriefs,
      Laps laps,
      Sessions sessions,
      Books books,
      StepBoard steps,
      TransactionTemplate transaction) {
    this.debriefs = debriefs;
    this.laps = laps;
    this.sessions = sessions;
    this.books = books;
    this.steps = steps;
    this.transaction = transaction;
  }

  /**
   * A calibration with what it does to the book.
   *
   * @param lapS of the book as it is, in the session's conditions
   * @param calibratedS of the book computed with the calibration
   */
  record Calibrated(
      Calibration calibration,
      double gripUsedBefore,
      double cdABefore,
      double massKg,
      double lapS,
      double calibratedS) {}

  /** A step plan that laps move. */
  record Moved(
      int corner, StepJudgement.Outcome outcome, StepPlan plan, int stepBefore, int stepAfter) {}

  /**
   * What a session's laps propose.
   *
   * @param revision that the laps were read against
   * @param newest that the next one is made from; later revisions than the session's may be there
   * @param bookOnLayout version of the layout that the book is on now, where the laps were driven
   *     on another one; null where it is theirs
   * @param seems surface that the laps go with, where that is another than the page's: then they
   *     propose nothing; null otherwise
   * @param drive what costs time on pages that are right and have to be driven
   * @param stepsNoted whether the step plans know of all the laps
   */
  record Review(
      int revision,
      int newest,
      Integer bookOnLayout,
      Conditions.@Nullable Surface seems,
      List<Proposal> proposals,
      List<Finding> drive,
      Calibrated calibration,
      List<Moved> steps,
      boolean stepsNoted) {}

  /** Everything that a review is made from. */
  private record Work(
      Sessions.Kept session,
      SessionLaps read,
      Conditions.@Nullable Surface seems,
      List<OwnValues> own,
      List<LapOfSession> laps,
      Map<Integer, StepPlan> plans) {}

  private Work work(UUID sessionId) {
    Sessions.Kept session = sessions.get(sessionId);
    SessionLaps driven = debriefs.read(session).own();
    Conditions.Surface seems = SurfaceDriven.of(driven).orElse(null);
    // Laps of another surface say nothing about this one's pages.
    SessionLaps read = seems == null ? driven : driven.of(Set.of());
    List<OwnValues> own = Books.draftOf(read.computed().document()).own();
    Map<Integer, StepPlan> plans =
        steps.plans(session.bookId(), read.computed()).stream()
            .collect(Collectors.toMap(StepPlan::corner, plan -> plan));
    return new Work(session, read, seems, own, read.named(session.name()), plans);
  }

  Review review(UUID sessionId) {
    Work work = work(sessionId);
    List<Proposal> proposals = proposals(work);
    return new Review(
        work.read().revision(),
        books.newestNumber(work.session().bookId()),
        bookOnOtherLayout(work),
        work.seems(),
        proposals,
        work.laps().isEmpty()
            ? List.of()
            : Proposals.driveAsWritten(work.read().findings(), proposals),
        calibrated(work),
        moved(work),
        work.read().files().stream().allMatch(file -> file.stored().stepsNoted()));
  }

  private static List<Proposal> proposals(Work work) {
    Books.Computed computed = work.read().computed();
    if (work.laps().isEmpty()) {
      return List.of();
    }
    return Proposals.of(
        new Proposals.Case(
            computed.basis(),
            computed.conditions(),
            computed.reference(),
            work.own(),
            work.read().page().corners(),
            work.read().ledger().stakes(),
            work.laps(),
            work.read().findings(),
            work.plans()));
  }

  private Calibrated calibrated(Work work) {
    Books.Computed computed = work.read().computed();
    return Calibration.of(
            computed.reference().lap(),
            work.read().page().along(),
            work.read().counted().stream().map(lap -> lap.read().along()).toList())
        .map(
            calibration -> {
              Draft draft = calibrated(Books.draftOf(computed.document()), calibration);
              Reference then =
                  Reference.on(
                      books.basis(work.session().bookId(), draft), draft.conditions(), draft.own());
              return new Calibrated(
                  calibration,
                  computed.conditions().gripUsed(),
                  computed.basis().vehicle().aero().cdAM2(),
                  computed.reference().lap().forces().massKg(),
                  computed.reference().lap().timeS(),
                  then.lap().timeS());
            })
        .orElse(null);
  }

  private static Draft calibrated(Draft draft, Calibration calibration) {
    Conditions conditions = draft.conditions().withGripUsed(calibration.gripUsed());
    boolean car =
        calibration.gripFactor() != 1
            || calibration.cdAM2() != null
            || calibration.powerFactor() != null;
    if (!car) {
      return new Draft(conditions, draft.line(), draft.own(), draft.setup());
    }
    SetupSheet sheet = draft.setup() == null ? SetupSheet.named("Measured") : draft.setup();
    double before = sheet.gripFactor() == null ? 1 : sheet.gripFactor();
    double grip = before * calibration.gripFactor();
    double engine = sheet.powerFactor() == null ? 1 : sheet.powerFactor();
    Double power = calibration.powerFactor();
    SetupSheet measured =
        sheet.calibrated(
            grip == 1 ? null : grip,
            power == null ? sheet.powerFactor() : Double.valueOf(engine * power),
            calibration.cdAM2() == null ? sheet.cdAM2() : calibration.cdAM2());
    return new Draft(conditions, draft.line(), draft.own(), measured);
  }

  /** What the laps make of the step plans that are begun. */
  private List<Moved> moved(Work work) {
    Books.Computed computed = work.read().computed();
    Map<Integer, StepState> states = steps.states(work.session().bookId(), computed);
    List<Moved> moved = new ArrayList<>();
    List<CornerPage> pages = computed.reference().pages();
    for (int p = 0; p < pages.size(); p++) {
      int corner = pages.get(p).corner();
      StepPlan plan = work.plans().get(corner);
      StepState state = states.get(corner);
      if (plan != null && state != null) {
        StepJudgement.Outcome outcome =
            StepJudgement.of(
                SessionLaps.road(computed),
                plan,
                state,
                p,
                pages.get(p),
                work.read().page().corners().get(p),
                work.laps());
        Road road = SessionLaps.road(computed);
        int from = state.stepIn(plan, road);
        moved.add(new Moved(corner, outcome, plan, from, outcome.after().stepIn(plan, road)));
      }
    }
    return moved;
  }

  /** Moves the step plans by the laps, once for each file. */
  public List<Moved> noteSteps(UUID sessionId) {
    Work work = work(sessionId);
    List<StoredLapFile> files = work.read().files().stream().map(Laps.KeptFile::stored).toList();
    if (files.stream().anyMatch(StoredLapFile::stepsNoted)) {
      throw new ConflictException(Sentence.of("conflict.board-knows"));
    }
    List<Moved> moved = moved(work);
    transaction.executeWithoutResult(
        status -> {
          moved.forEach(m -> steps.keep(work.session().bookId(), m.outcome().after()));
          laps.stepsNoted(files);
        });
    return moved;
  }

  /**
   * A decision on a proposal.
   *
   * @param kind of the proposal, by the name of its constant
   * @param value of an altered one; null to accept it as it is
   */
  record Decision(int corner, Proposal.Kind kind, Double value) {}

  /**
   * Keeps the next revision.
   *
   * @param parent the newest one that was looked at
   * @param accepted proposals that are taken, altered or not
   * @param calibrate whether the model is calibrated as it is offered
   * @throws InvalidValueException if a decision is on what is not proposed, or on nothing
   */
  Books.RevisionLine keep(
      UUID sessionId, int parent, List<Decision> accepted, boolean calibrate, String reason) {
    Work work = work(sessionId);
    checkLayout(work);
    List<Proposal> offered = proposals(work);
    List<Proposals.Accepted> taken =
        accepted.stream()
            .map(d -> new Proposals.Accepted(offeredFor(offered, d), d.value()))
            .toList();
    Calibrated calibrated = calibrate ? calibrated(work) : null;
    if (taken.isEmpty() && calibrated == null) {
      throw new InvalidValueException("accepted", Sentence.of("refused.nothing-accepted"));
    }
    UUID book = work.session().bookId();
    Draft before = basedOn(work, Books.draftOf(books.revision(book, parent)));
    Draft draft =
        new Draft(
            before.conditions(),
            before.line(),
            Proposals.decided(before.own(), taken),
            before.setup());
    if (calibrated != null) {
      draft = calibrated(draft, calibrated.calibration());
    }
    String why = reason == null || reason.isBlank() ? reason(work, taken, calibrated) : reason;
    return books.keep(book, parent, why, draft, Instant.now());
  }

  private Integer bookOnOtherLayout(Work work) {
    int now = books.get(work.session().bookId()).layoutVersion();
    return now == layoutOf(work) ? null : now;
  }

  private static int layoutOf(Work work) {
    return work.read().computed().basis().circuit().layoutVersion();
  }

  /** A station of one layout is another place on the next: what was driven there stays there. */
  private void checkLayout(Work work) {
    Integer now = bookOnOtherLayout(work);
    if (now != null) {
      throw new ConflictException(
          Sentence.of("conflict.laps-of-older-layout", "driven", layoutOf(work), "now", now));
    }
  }

  /** What was measured on one surface is not written into a book for another. */
  private static Draft basedOn(Work work, Draft newest) {
    Draft driven = Books.draftOf(work.read().computed().document());
    boolean same = newest.conditions().surface() == driven.conditions().surface();
    return same ? newest : driven;
  }

  private static Proposal offeredFor(List<Proposal> offered, Decision decision) {
    return offered.stream()
        .filter(p -> p.corner() == decision.corner() && p.kind() == decision.kind())
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidValueException(
                    "accepted", Sentence.of("refused.not-proposed", "corner", decision.corner())));
  }

  private static String reason(Work work, List<Proposals.Accepted> taken, Calibrated calibrated) {
    String corners =
        taken.stream()
            .map(a -> a.proposal().corner())
            .distinct()
            .sorted()
            .map(String::valueOf)
            .collect(Collectors.joining(", "));
    return "After "
        + work.session().name()
        + (corners.isEmpty() ? "" : ": corner " + corners)
        + (calibrated == null ? "" : (corners.isEmpty() ? ": " : "; ") + "model calibrated");
  }
}
