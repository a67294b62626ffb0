package marvek.server.rehearse;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Set;
import java.util.UUID;
import marvek.core.rehearse.Question;
import marvek.core.rehearse.Repetition;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.DemoFilled;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * What the demo's driver had learned of the first revision, four days ago: the second one has
 * changed some of it, which is asked first.
 */
@Component
class DemoLearned {
  private static final int FIRST_REVISION = 1;
  private static final int AT_ONCE = 5;
  private static final int DAYS_AGO = 4;

  /** Sluice, Long Hythe and Chapel Drop are otherwise in the second revision. */
  private static final Set<Integer> CORNERS = Set.of(1, 4, 11);

  private static final Set<Question.Kind> KINDS =
      Set.of(Question.Kind.BRAKE_MARK, Question.Kind.GEAR);

  private final Recalls recalls;
  private final RecallRepository repository;

  private final CurrentDriver driver;

  DemoLearned(Recalls recalls, RecallRepository repository, CurrentDriver driver) {
    this.driver = driver;
    this.recalls = recalls;
    this.repository = repository;
  }

  @EventListener
  @Order(3)
  void fill(DemoFilled demo) {
    LocalDate day = LocalDate.now(Clock.systemDefaultZone()).minusDays(DAYS_AGO);
    recalls.questions(demo.bookId(), FIRST_REVISION).stream()
        .filter(q -> CORNERS.contains(q.corner()) && KINDS.contains(q.kind()))
        .forEach(q -> repository.save(learned(demo.bookId(), q, day)));
  }

  /** Twice right: it comes again six days later. */
  private StoredRecall learned(UUID bookId, Question question, LocalDate day) {
    StoredRecall stored = new StoredRecall(bookId, driver.person(), question.key());
    Repetition once = Repetition.fresh(day).after(AT_ONCE, day);
    stored.becomes(question.answer(), once, true);
    stored.becomes(question.answer(), once.after(AT_ONCE, day), true);
    return stored;
  }
}
