package marvek.server.problems;

import java.util.Map;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.PlainText;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;

/**
 * Problem details (RFC 9457): the type names the title, and what is said comes both as words, for
 * scripts, and as the sentence itself, which the interface words in the units of its driver.
 */
public final class Problems {
  /** Long enough for every sentence of ours; what was sent may be quoted in it. */
  private static final int LONGEST_TEXT = 600;

  private Problems() {}

  /**
   * A problem.
   *
   * @param said why, and what to do
   */
  public static ProblemDetail of(HttpStatus status, ProblemType type, Sentence said) {
    return of(status, type, said.sentence(), said);
  }

  /** A file that cannot be read; with its place, and the field of a value in it. */
  public static ProblemDetail of(BadFileException e) {
    ProblemDetail problem =
        of(
            HttpStatus.UNPROCESSABLE_ENTITY,
            ProblemType.BAD_FILE,
            e.getMessage() + " " + Sentence.of("problem.nothing-stored").words(),
            e.said());
    e.line().ifPresent(line -> problem.setProperty("line", line));
    if (e.column() != null) {
      problem.setProperty("column", plain(e.column()));
    }
    if (e.pointer() != null) {
      problem.setProperty("pointer", plain(e.pointer()));
    }
    if (e.field() != null) {
      setField(problem, e.field(), e.index());
    }
    return problem;
  }

  /** A value that cannot be used; with its field. */
  public static ProblemDetail of(InvalidValueException e) {
    ProblemDetail problem =
        of(
            HttpStatus.UNPROCESSABLE_ENTITY,
            ProblemType.INVALID_VALUE,
            InvalidValueException.place(e.field(), e.index()) + " " + e.said().sentence(),
            e.said());
    setField(problem, e.field(), e.index());
    return problem;
  }

  private static void setField(ProblemDetail problem, String field, int index) {
    problem.setProperty("field", plain(field));
    if (index >= 0) {
      problem.setProperty("index", index);
    }
  }

  /** One whose words say more than the sentence, such as the place in a file. */
  private static ProblemDetail of(
      HttpStatus status, ProblemType type, String detail, Sentence said) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, plain(detail));
    problem.setType(type.uri());
    problem.setTitle(type.title());
    problem.setProperty("said", plain(said));
    return problem;
  }

  /** The same as an answer. */
  public static ResponseEntity<ProblemDetail> answer(
      HttpStatus status, ProblemType type, Sentence said) {
    return ResponseEntity.status(status).body(of(status, type, said));
  }

  /** Text that was sent, as it can be sent back. */
  private static String plain(String text) {
    String shown = PlainText.of(text);
    return shown.length() <= LONGEST_TEXT ? shown : shown.substring(0, LONGEST_TEXT) + " …";
  }

  private static Sentence plain(Sentence said) {
    return new Sentence(
        said.code(),
        said.facts().entrySet().stream()
            .collect(Collectors.toMap(Map.Entry::getKey, fact -> plainFact(fact.getValue()))));
  }

  private static Object plainFact(Object value) {
    return value instanceof Number number && Double.isFinite(number.doubleValue())
        ? number
        : plain(String.valueOf(value));
  }
}
