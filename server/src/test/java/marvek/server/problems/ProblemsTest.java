package marvek.server.problems;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.InvalidValueException;
import marvek.core.say.Catalogue;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

class ProblemsTest {
  private static final Sentence NO_NUMBER = Sentence.of("file.no-number", "given", "abc");

  /** Both ways: each type is called something, and nothing is called that is no type. */
  @Test
  void everyTypeHasATitle() {
    Set<String> titled =
        Catalogue.all().keySet().stream()
            .filter(code -> code.startsWith("title."))
            .map(code -> "urn:marvek:problem:" + code.substring("title.".length()))
            .collect(Collectors.toCollection(TreeSet::new));
    assertThat(Stream.of(ProblemType.values()).map(type -> type.uri().toString()))
        .containsExactlyInAnyOrderElementsOf(titled);
    assertThat(ProblemType.STALE.title()).isEqualTo("Changed meanwhile");
  }

  @Test
  void aBadFileIsToldWithItsPlaceInWordsAndInParts() {
    ProblemDetail problem = Problems.of(BadFileException.atLine(7, "x_m", NO_NUMBER));
    assertThat(problem.getDetail())
        .isEqualTo("Line 7, x_m: \"abc\" is not a number. Nothing was stored.");
    assertThat(problem.getTitle()).isEqualTo("The file cannot be taken in");
    assertThat(problem.getProperties())
        .containsOnly(entry("said", NO_NUMBER), entry("line", 7L), entry("column", "x_m"));
  }

  @Test
  void aValueOfAFileIsToldWithItsField() {
    InvalidValueException value =
        new InvalidValueException("ratios", 2, Sentence.of("refused.ratio", "given", 0.5));
    ProblemDetail problem = Problems.of(BadFileException.atPointer("/car/ratios/2", value));
    assertThat(problem.getDetail())
        .startsWith("At /car/ratios/2: ratios[2] (0.5) must be positive and smaller")
        .endsWith("the gear before. Nothing was stored.");
    assertThat(problem.getProperties())
        .contains(entry("pointer", "/car/ratios/2"), entry("field", "ratios"), entry("index", 2));
  }

  @Test
  void aValueIsToldInAWholeSentence() {
    ProblemDetail problem =
        Problems.of(new InvalidValueException("day", Sentence.of("refused.missing")));
    assertThat(problem.getDetail()).isEqualTo("day is missing.");
    assertThat(problem.getProperties())
        .containsOnly(entry("said", Sentence.of("refused.missing")), entry("field", "day"));
  }

  /** What was sent is sent back as text, cut short; a number that JSON does not know as one too. */
  @Test
  void factsCanBeSentBack() {
    String sent = "a\u0000b" + "c".repeat(2000);
    ProblemDetail problem =
        Problems.of(
            HttpStatus.BAD_REQUEST,
            ProblemType.INVALID_VALUE,
            Sentence.of("refused.out-of-bounds", "value", Double.NaN, "least", 1, "most", sent));
    Map<String, Object> facts = ((Sentence) problem.getProperties().get("said")).facts();
    assertThat(facts).containsEntry("value", "NaN").containsEntry("least", 1);
    assertThat((String) facts.get("most")).hasSize(602).doesNotContain("\u0000").endsWith(" …");
    assertThat(problem.getDetail()).hasSize(602);
  }
}
