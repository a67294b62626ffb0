package marvek.formats;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class JsonPlaceTest {
  private static Arguments of(String what, String other, String found, Consumer<JsonPlace> read) {
    return Arguments.of(what, other, found, read);
  }

  static Stream<Arguments> kinds() {
    return Stream.of(
        of("a number", "\"x\"", "\"x\"", p -> p.number("a")),
        of("a whole number", "1.5", "1.5", p -> p.integer("a")),
        of("a text", "[1]", "[…]", p -> p.text("a")),
        of("a list", "{\"b\": 1}", "{…}", p -> p.array("a")),
        of(
            "an object",
            "\"" + "x".repeat(50) + "\"",
            "\"" + "x".repeat(40) + "…\"",
            p -> p.object("a")));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void whatIsOfAnotherKindIsShownAndWhatIsMissingIsSaid(
      String what, String other, String found, Consumer<JsonPlace> read) {
    assertThatThrownBy(() -> read.accept(place("{\"a\": " + other + "}")))
        .hasMessage("At /a: %s is expected here, found %s.".formatted(what, found));
    assertThatThrownBy(() -> read.accept(place("{}")))
        .hasMessage("At /a: %s is missing here.".formatted(what));
  }

  private static JsonPlace place(String json) {
    return JsonPlace.top(JsonFiles.parse(json.getBytes(StandardCharsets.UTF_8)));
  }
}
