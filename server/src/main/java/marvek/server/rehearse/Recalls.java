package marvek.server.rehearse;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.brief.Day;
import marvek.core.brief.DayShift;
import marvek.core.conditions.Conditions;
import marvek.core.reference.Reference;
import marvek.core.rehearse.Question;
import marvek.core.rehearse.Repetition;
import marvek.core.rehearse.Round;
import marvek.core.say.Sentence;
import marvek.server.accounts.CurrentDriver;
import marvek.server.books.BookAttachment;
import marvek.server.books.Books;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Asks what a book's newest pages answer, and keeps how far it is learned; that goes along in the
 * book's file.
 */
@Service
class Recalls implements BookAttachment {
  /** From here on an answer counts as right, as the method has it. */
  private static final int RIGHT = 3;

  private static final int KEPT_WET = 8;

  private final RecallRepository repository;
  private final Books books;
  private final TransactionTemplate transaction;

  /** A basis is told apart as the object that it is: it is computed once for each road and car. */
  private record OnRoad(Reference.Basis basis, Conditions conditions) {
    @Override
    public boolean equals(Object other) {
      return other instanceof OnRoad on && on.basis == basis && on.conditions.equals(conditions);
    }

    @Override
    public int hashCode() {
      return 31 * System.identityHashCode(basis) + conditions.hashCode();
    }
  }

  private final Map<OnRoad, List<DayShift>> wet =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<OnRoad, List<DayShift>> eldest) {
          return size() > KEPT_WET;
        }
      };

  private final CurrentDriver driver;

  Recalls(
      RecallRepository repository,
      Books books,
      TransactionTemplate transaction,
      CurrentDriver driver) {
    this.driver = driver;
    this.repository = repository;
    this.books = books;
    this.transaction = transaction;
  }

  /**
   * A round.
   *
   * @param known of all the questions so many were right the last time
   * @param all questions of the book
   * @param next day on which something is asked again; null while nothing is learned
   */
  record RoundOf(int revision, List<Round.Asked> asked, int known, int all, LocalDate next) {}

  RoundOf round(UUID bookId, Round.Order order, boolean ahead) {
    int revision = books.newestNumber(books.get(bookId).id());
    List<Question> questions = questions(bookId, revision);
    Map<String, Round.Learned> learned =
        repository.findByBookIdAndPersonId(bookId, driver.person()).stream()
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
  Repetition answer(UUID bookId, int corner, Question.Kind kind, int quality) {
    int revision = books.newestNumber(books.get(bookId).id());
    Question question =
        questions(bookId, revision).stream()
            .filter(q -> q.corner() == corner && q.kind() == kind)
            .findFirst()
            .orElseThrow(
                () ->
                    new InvalidValueException(
                        "question",
                        Sentence.of("refused.no-answer", "kind", kind, "corner", corner)));
    return transaction.execute(status -> keep(bookId, question, quality));
  }

  private Repetition keep(UUID bookId, Question question, int quality) {
    StoredRecall stored =
        repository
            .findByBookIdAndPersonIdAndQuestion(bookId, driver.person(), question.key())
            .orElseGet(() -> new StoredRecall(bookId, driver.person(), question.key()));
    Repetition before =
        stored.answers() == 0 ? Repetition.fresh(today()) : stored.learned().repetition();
    Repetition after = before.after(quality, today());
    stored.becomes(question.answer(), after, quality >= RIGHT);
    repository.saveAndFlush(stored);
    return after;
  }

  List<Question> questions(UUID bookId, int revision) {
    Books.Computed computed = books.recompute(bookId, revision);
    return Question.of(computed.reference().pages(), wet(computed));
  }

  /** What a wet road does to the model's pages; nothing where the book is for one. */
  private List<DayShift> wet(Books.Computed computed) {
    if (computed.conditions().surface() == Conditions.Surface.WET) {
      return List.of();
    }
    synchronized (wet) {
      return wet.computeIfAbsent(
          new OnRoad(computed.basis(), computed.conditions()), Recalls::wetOf);
    }
  }

  private static List<DayShift> wetOf(OnRoad on) {
    Reference.Basis basis = on.basis();
    Conditions then =
        Day.WET.of(on.conditions(), basis.circuit(), basis.path().road(), basis.vehicle());
    return DayShift.between(
        Reference.on(basis, on.conditions(), List.of()), Reference.on(basis, then, List.of()));
  }

  private static LocalDate today() {
    return LocalDate.now(Clock.systemDefaultZone());
  }

  @Override
  public String member() {
    return "learned";
  }

  @Override
  public List<JsonNode> of(UUID bookId) {
    return repository.findByBookIdAndPersonId(bookId, driver.person()).stream()
        .sorted(Comparator.comparing(StoredRecall::question))
        .map(StoredRecall::document)
        .toList();
  }

  @Override
  public void add(UUID bookId, JsonNode document) {
    repository.save(StoredRecall.read(bookId, driver.person(), document));
  }
}
