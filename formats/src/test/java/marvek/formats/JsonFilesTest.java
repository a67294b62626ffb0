package marvek.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** JSON from outside stays within what a machine can hold and a database can keep. */
class JsonFilesTest {
  private static JsonNode parse(String text) {
    return JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void manyMillionsOfEmptyListsAreRefusedBeforeTheyFillTheMemory() {
    assertThatThrownBy(() -> parse("{\"a\":[" + "[],".repeat(20_000_000) + "0]}"))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("fuller than any")
        .hasMessageNotContaining("StreamReadConstraints");
  }

  @Test
  void aTowerOfListsIsRefused() {
    assertThatThrownBy(() -> parse("[".repeat(100_000)))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining("deeper");
  }

  @Test
  void whatIsNoTextOrNoNumberIsRefusedWithItsPlace() {
    assertRefused("{'a': [1, {'na/me': 'x\\u0000y'}]}", "/a/1/na~1me", "U+0000");
    assertRefused("{'a': '\\ud800'}", "/a", "U+D800");
    assertRefused("{'a': '\\uffff'}", "/a", "U+FFFF");
    assertRefused("{'a': [1e999]}", "/a/0", "larger than any");
  }

  @Test
  void everyOtherTextIsTaken() {
    assertThat(parse("{\"name\": \"Zürich\\n\\t🏁\"}").toString()).contains("🏁");
  }

  @ParameterizedTest
  @CsvSource({
    "{'a': 1} and more, not JSON",
    "{'a': 1, in the middle",
    "'{''a'': 1, ''a'': 2}', not JSON"
  })
  void brokenJsonSaysSo(String text, String why) {
    assertThatThrownBy(() -> parse(text.replace('\'', '"')))
        .isInstanceOf(BadFileException.class)
        .hasMessageContaining(why);
  }

  @Test
  void anotherEncodingIsRefused() {
    byte[] latin = "{\"name\": \"Zürich\"}".getBytes(StandardCharsets.ISO_8859_1);
    byte[] wide = "{\"name\": 1}".getBytes(StandardCharsets.UTF_16);
    assertThatThrownBy(() -> JsonFiles.parse(latin)).hasMessageContaining("UTF-8");
    assertThatThrownBy(() -> JsonFiles.parse(wide)).hasMessageContaining("UTF-8");
  }

  @Test
  void aByteOrderMarkIsNoText() {
    assertThat(parse("\uFEFF{'a': 1}".replace('\'', '"')).path("a").asInt(0)).isEqualTo(1);
  }

  private static void assertRefused(String text, String pointer, String why) {
    assertThatThrownBy(() -> parse(text.replace('\'', '"')))
        .isInstanceOfSatisfying(
            BadFileException.class, e -> assertThat(e.pointer()).isEqualTo(pointer))
        .hasMessageContaining(why);
  }
}
