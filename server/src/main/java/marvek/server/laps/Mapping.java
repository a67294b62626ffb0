package marvek.server.laps;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A mapping of headers to columns of the lap format as JSON. */
final class Mapping {
  private Mapping() {}

  /**
   * Reads a mapping; null or an empty text gives an empty one.
   *
   * @throws InvalidValueException if it is no object of texts
   */
  static Map<String, String> parse(String text) {
    if (text == null || text.isBlank()) {
      return Map.of();
    }
    return read(JsonFiles.parse(text.getBytes(StandardCharsets.UTF_8)));
  }

  static Map<String, String> read(JsonNode node) {
    if (!node.isObject()) {
      throw new InvalidValueException("mapping", Sentence.of("refused.mapping"));
    }
    Map<String, String> mapping = new TreeMap<>();
    node.properties().forEach(f -> mapping.put(f.getKey(), f.getValue().asString("")));
    return mapping;
  }

  static ObjectNode write(Map<String, String> mapping) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    mapping.forEach(node::put);
    return node;
  }
}
