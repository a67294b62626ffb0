package marvek.formats;

import java.util.Map;
import marvek.core.PlainText;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;

/** What JSON can hold and no format can use: characters that are no text, numbers without end. */
public final class JsonText {
  private JsonText() {}

  /**
   * Looks through a whole tree.
   *
   * @throws BadFileException with the pointer of the first value that cannot be used
   */
  public static void check(JsonNode tree) {
    check(tree, "");
  }

  private static void check(JsonNode node, String pointer) {
    if (node.isString()) {
      text(node.stringValue(), pointer);
    } else if (node.isFloatingPointNumber() && !Double.isFinite(node.doubleValue())) {
      throw BadFileException.atPointer(pointer, Sentence.of("file.number-large"));
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        check(node.get(i), pointer + "/" + i);
      }
    } else if (node.isObject()) {
      for (Map.Entry<String, JsonNode> member : node.properties()) {
        text(member.getKey(), pointer);
        check(
            member.getValue(),
            pointer + "/" + member.getKey().replace("~", "~0").replace("/", "~1"));
      }
    }
  }

  private static void text(String text, String pointer) {
    int bad = PlainText.firstOther(text);
    if (bad >= 0) {
      throw BadFileException.atPointer(
          pointer,
          Sentence.of(
              "file.no-character", "character", String.format("U+%04X", text.codePointAt(bad))));
    }
  }
}
