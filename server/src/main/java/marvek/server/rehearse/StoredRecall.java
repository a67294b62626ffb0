package marvek.server.rehearse;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.rehearse.Repetition;
import marvek.core.rehearse.Round;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;

/** How far the answer to a question is learned. */
@Entity
@Table(name = "recall")
class StoredRecall {
  private static final int LONGEST = 300;

  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID bookId;

  /** Who learned by it. */
  private UUID personId;

  private String question;
  private String answer;
  private double easiness;
  private int streak;
  private int intervalDays;
  private LocalDate due;
  private int answers;
  private int rightAnswers;
  private Instant answeredAt;

  protected StoredRecall() {}

  StoredRecall(UUID bookId, UUID personId, String question) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.personId = personId;
    this.question = question;
  }

  /** As much of an answer as is kept; it is only told apart from another one. */
  static String kept(String answer) {
    return answer.substring(0, Math.min(LONGEST, answer.length()));
  }

  void becomes(String answerNow, Repetition state, boolean right) {
    answer = kept(answerNow);
    easiness = state.easiness();
    streak = state.inARow();
    intervalDays = state.intervalDays();
    due = state.due();
    answers++;
    rightAnswers += right ? 1 : 0;
    answeredAt = Instant.now().truncatedTo(ChronoUnit.MICROS);
  }

  String question() {
    return question;
  }

  int answers() {
    return answers;
  }

  int rightAnswers() {
    return rightAnswers;
  }

  Round.Learned learned() {
    return new Round.Learned(answer, new Repetition(easiness, streak, intervalDays, due));
  }

  /** As it stands in a book's file. */
  JsonNode document() {
    return JsonFiles.MAPPER
        .createObjectNode()
        .put("question", question)
        .put("answer", answer)
        .put("easiness", easiness)
        .put("inARow", streak)
        .put("interval_days", intervalDays)
        .put("due", due.toString())
        .put("answers", answers)
        .put("rightAnswers", rightAnswers)
        .put("answeredAt", answeredAt.toString());
  }

  /**
   * From a book's file.
   *
   * @throws InvalidValueException if a value cannot be
   */
  static StoredRecall read(UUID bookId, UUID personId, JsonNode node) {
    StoredRecall stored =
        new StoredRecall(
            bookId,
            personId,
            Require.text("learned.question", node.path("question").asString(), 60));
    stored.answer = Require.text("learned.answer", node.path("answer").asString(), LONGEST);
    try {
      Repetition state =
          new Repetition(
              node.path("easiness").asDouble(0),
              node.path("inARow").asInt(0),
              node.path("interval_days").asInt(0),
              LocalDate.parse(node.path("due").asString()));
      stored.easiness = state.easiness();
      stored.streak = state.inARow();
      stored.intervalDays = state.intervalDays();
      stored.due = state.due();
      stored.answeredAt = Instant.parse(node.path("answeredAt").asString());
    } catch (DateTimeParseException e) {
      throw new InvalidValueException(
          "learned", Sentence.of("refused.no-day", "given", e.getParsedString()));
    }
    stored.answers = (int) Require.within("learned.answers", node.path("answers").asInt(0), 0, 1e6);
    stored.rightAnswers =
        (int)
            Require.within(
                "learned.rightAnswers", node.path("rightAnswers").asInt(0), 0, stored.answers);
    return stored;
  }
}
