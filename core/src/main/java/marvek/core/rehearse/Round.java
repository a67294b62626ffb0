package marvek.core.rehearse;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** What is asked now: what has changed since it was learned first, then what is due. */
public final class Round {
  /** In which order the due ones are asked. */
  public enum Order {
    /** As they are driven. */
    LAP,
    /** Those that were known worst, first. */
    WEAKEST
  }

  private Round() {}

  /**
   * How far a question is learned.
   *
   * @param answer that it was learned with
   */
  public record Learned(String answer, Repetition repetition) {}

  /**
   * A question of a round.
   *
   * @param before the answer that it was learned with, where the page says another now
   * @param repetition null for one that was never asked
   */
  public record Asked(Question question, String before, Repetition repetition) {
    public boolean changed() {
      return before != null;
    }
  }

  /**
   * The round of a day.
   *
   * @param learned by the question's key
   * @param ahead whether what is not due is asked too, behind the others
   */
  public static List<Asked> of(
      List<Question> questions,
      Map<String, Learned> learned,
      LocalDate today,
      Order order,
      boolean ahead) {
    List<Asked> round = new ArrayList<>();
    for (Question question : questions) {
      Learned state = learned.get(question.key());
      boolean other = state != null && !state.answer().equals(question.answer());
      Repetition repetition = state == null ? null : state.repetition();
      if (ahead || other || repetition == null || repetition.isDue(today)) {
        round.add(new Asked(question, other ? state.answer() : null, repetition));
      }
    }
    Comparator<Asked> first =
        Comparator.comparing((Asked a) -> !a.changed()).thenComparing(a -> !isDue(a, today));
    // Sorting is stable: within these the order of the lap stays.
    round.sort(order == Order.WEAKEST ? first.thenComparingDouble(Round::strength) : first);
    return List.copyOf(round);
  }

  private static boolean isDue(Asked asked, LocalDate today) {
    return asked.repetition() == null || asked.repetition().isDue(today);
  }

  /** What was answered wrong is weaker than what was never asked, and that than what is known. */
  private static double strength(Asked asked) {
    Repetition r = asked.repetition();
    if (r == null) {
      return 0;
    }
    return r.inARow() == 0 ? r.easiness() - 10 : r.inARow() + r.easiness();
  }
}
