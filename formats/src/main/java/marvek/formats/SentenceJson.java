package marvek.formats;

import java.util.LinkedHashMap;
import java.util.Map;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A sentence with its facts, as it is kept in files. */
public final class SentenceJson {
  private SentenceJson() {}

  /** Numbers are kept to a hundredth: none is told more finely. */
  public static ObjectNode write(Sentence sentence) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode().put("code", sentence.code());
    ObjectNode facts = node.putObject("facts");
    sentence
        .facts()
        .forEach(
            (name, value) -> {
              if (value instanceof Number number) {
                facts.put(name, Math.round(100 * number.doubleValue()) / 100.0);
              } else {
                facts.put(name, String.valueOf(value));
              }
            });
    return node;
  }

  /**
   * Reads what {@link #write} wrote.
   *
   * @throws IllegalArgumentException if the catalogue has no such sentence with these facts
   */
  public static Sentence read(JsonNode node) {
    Map<String, Object> facts = new LinkedHashMap<>();
    node.path("facts")
        .properties()
        .forEach(
            fact ->
                facts.put(
                    fact.getKey(),
                    fact.getValue().isNumber()
                        ? (Object) fact.getValue().asDouble()
                        : fact.getValue().asString()));
    return new Sentence(node.path("code").asString(), facts);
  }
}
