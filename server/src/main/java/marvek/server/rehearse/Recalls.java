package marvek.server.rehearse;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.rehearse.Question;
import marvek.core.rehearse.Repetition;
import marvek.core.rehearse.Round;
import marvek.server.books.Books;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Asks what a book's newest pages answer, and keeps how far it is learned. */
@Service
class Recalls {
  /** From here on an answer counts as right, as the method has it. */
  private static final int RIGHT = 3;

  private final RecallRepository repository;
  private final Books books;

  Recalls(RecallRepository repository, Books books) {
    this.repository = repository;
    this.books = books;
  }

  /**
   * A round.
   *
   * @param known of all the questions so many were right the last time
   * @param all questions of the book
   * @param next day on which something is asked again; null while nothing is learned
   */
  record RoundOf(int revision, List<Round.Asked> asked, int known, int all, LocalDate next) {}

  @Transactional(readOnly = true)
  RoundOf round(UUID bookId, Round.Order order, boolean ahead) {
    int revision = books.newestNumber(books.get(bookId).id());
    List<Question> questions = Question.of(books.recompute(bookId, revision).reference().pages());
    Map<String, Round.Learned> learned =
        repository.findByBookId(bookId).stream()
            .collect(Collectors.toMap(StoredRecall::question, StoredRecall::learned));
    Map<String, Question> byKey =
        questions.stream().collect(Collectors.toMap(Question::key, Function.identity()));
    List<Question> shortened =
        questions.stream()
            .map(q -> new Question(q.corner(), q.kind(), StoredRecall.kept(q.answer())))
            .toList();
    long known =
        learned.entrySet().stream()
            .filter(e -> byKey.containsKey(e.getKey()))
            .filter(e -> e.getValue().repetition().inARow() > 0)
            .count();
    LocalDate next =
        learned.values().stream()
            .map(l -> l.repetition().due())
            .min(LocalDate::compareTo)
            .orElse(null);
    return new RoundOf(
        revision,
        Round.of(shortened, learned, today(), order, ahead),
        (int) known,
        questions.size(),
        next);
  }

  /**
   * Keeps an answer.
   *
   * @param quality 0 (nothing came) to 5 (at once and right)
   * @throws InvalidValueException if the newest pages do not ask that
   */
  @Transactional
  Repetition answer(UUID bookId, int corner, Question.Kind kind, int quality) {
    int revision = books.newestNumber(books.get(bookId).id());
    Question question =
        Question.of(books.recompute(bookId, revision).reference().pages()).stream()
            .filter(q -> q.corner() == corner && q.kind() == kind)
            .findFirst()
            .orElseThrow(
                () ->
                    new InvalidValueException(
                        "question", "(" + kind + " of corner " + corner + ") has no answer"));
    StoredRecall stored =
        repository
            .findByBookIdAndQuestion(bookId, question.key())
            .orElseGet(() -> new StoredRecall(bookId, question.key()));
    Repetition before =
        stored.answers() == 0 ? Repetition.fresh(today()) : stored.learned().repetition();
    Repetition after = before.after(quality, today());
    stored.becomes(question.answer(), after, quality >= RIGHT);
    repository.save(stored);
    return after;
  }

  private static LocalDate today() {
    return LocalDate.now(Clock.systemDefaultZone());
  }
}
