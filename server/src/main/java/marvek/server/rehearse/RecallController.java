package marvek.server.rehearse;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.rehearse.Question;
import marvek.core.rehearse.Repetition;
import marvek.core.rehearse.Round;
import marvek.core.say.Sentence;
import marvek.formats.Spelled;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Questions on a book's pages, and the answers. */
@RestController
class RecallController {
  private final Recalls recalls;

  RecallController(Recalls recalls) {
    this.recalls = recalls;
  }

  /**
   * A question; its answer stands on the page.
   *
   * @param kind by its name in small letters
   * @param changed whether the page says something else than when it was learned
   * @param before what it said then: a mark in words, a gear, kerbs by their use
   * @param fresh whether it was never asked
   */
  record QuestionView(
      int corner,
      @OneOf(Question.Kind.class) String kind,
      boolean changed,
      @Nullable String before,
      boolean fresh,
      @Nullable LocalDate due) {
    static QuestionView of(Round.Asked asked) {
      Repetition r = asked.repetition();
      return new QuestionView(
          asked.question().corner(),
          Spelled.of(asked.question().kind()),
          asked.changed(),
          asked.before(),
          r == null,
          r == null ? null : r.due());
    }
  }

  record RoundView(
      int revision, List<QuestionView> questions, int known, int all, @Nullable LocalDate next) {}

  /**
   * What is asked today.
   *
   * @param order lap or weakest
   * @param ahead whether what is not due yet is asked too
   */
  @GetMapping("/api/books/{id}/recall")
  RoundView getRecall(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "lap") String order,
      @RequestParam(defaultValue = "false") boolean ahead) {
    Recalls.RoundOf round = recalls.round(id, order(order), ahead);
    return new RoundView(
        round.revision(),
        round.asked().stream().map(QuestionView::of).toList(),
        round.known(),
        round.all(),
        round.next());
  }

  private static Round.Order order(String name) {
    return switch (name) {
      case "lap" -> Round.Order.LAP;
      case "weakest" -> Round.Order.WEAKEST;
      default ->
          throw new InvalidValueException(
              "order", Sentence.of("refused.recall-order", "given", name));
    };
  }

  /** An answer, graded 0 (nothing came) to 5 (at once and right). */
  record AnswerBody(int corner, @OneOf(Question.Kind.class) String kind, int quality) {}

  /** When it is asked again. */
  record AnsweredView(LocalDate due, int interval_days) {}

  /** How well an answer was known, 0 to 5; says when it is asked again. */
  @PostMapping("/api/books/{id}/recall")
  AnsweredView answerQuestion(@PathVariable UUID id, @RequestBody AnswerBody body) {
    Repetition r =
        recalls.answer(
            id,
            body.corner(),
            Spelled.read(Question.Kind.class, "kind", body.kind()),
            body.quality());
    return new AnsweredView(r.due(), r.intervalDays());
  }
}
