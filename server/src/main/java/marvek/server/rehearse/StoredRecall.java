package marvek.server.rehearse;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import marvek.core.rehearse.Repetition;
import marvek.core.rehearse.Round;

/** How far the answer to a question is learned. */
@Entity
@Table(name = "recall")
class StoredRecall {
  private static final int LONGEST = 300;

  @Id private UUID id;
  private UUID bookId;
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

  StoredRecall(UUID bookId, String question) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
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
    answeredAt = Instant.now();
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
}
