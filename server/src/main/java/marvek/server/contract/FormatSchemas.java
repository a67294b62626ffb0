package marvek.server.contract;

import io.swagger.v3.core.util.Json31;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import marvek.formats.JsonFiles;
import marvek.formats.PublishedSchema;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Definitions of the published schemas as schemas of the interface, {@code conditions} as
 * BookConditions. What Marvek writes always ({@code x-written}) is required here, though a file may
 * leave it out.
 */
final class FormatSchemas {
  private static final String WRITTEN = "x-written";

  private FormatSchemas() {}

  static Map<String, Schema<?>> all() {
    Map<String, Schema<?>> schemas = new LinkedHashMap<>();
    for (PublishedSchema published : PublishedSchema.values()) {
      published
          .definitions()
          .forEach((name, definition) -> schemas.put(nameOf(name), schema(definition)));
    }
    return schemas;
  }

  static Schema<?> of(InFormat described) {
    Schema<?> one = inBook(described.value());
    return described.list() ? new ArraySchema().items(one) : one;
  }

  /** A definition of the book format by its name there. */
  static Schema<?> inBook(String definition) {
    return new Schema<>().$ref(nameOf(definition));
  }

  private static String nameOf(String definition) {
    return "Book" + Character.toUpperCase(definition.charAt(0)) + definition.substring(1);
  }

  private static Schema<?> schema(JsonNode definition) {
    try {
      return Json31.mapper().readValue(inContract(definition).toString(), JsonSchema.class);
    } catch (com.fasterxml.jackson.core.JsonProcessingException e) {
      throw new IllegalStateException("the book's schema cannot be read: " + e.getMessage(), e);
    }
  }

  private static JsonNode inContract(JsonNode node) {
    if (node instanceof ArrayNode list) {
      ArrayNode made = JsonFiles.MAPPER.createArrayNode();
      list.forEach(entry -> made.add(inContract(entry)));
      return made;
    }
    if (!(node instanceof ObjectNode object)) {
      return node;
    }
    ObjectNode made = JsonFiles.MAPPER.createObjectNode();
    object.properties().forEach(m -> made.set(m.getKey(), inContract(m.getValue())));
    if (object.path("$ref").isString()) {
      String definition = object.get("$ref").asString().replaceFirst("^#/\\$defs/", "");
      made.put("$ref", "#/components/schemas/" + nameOf(definition));
    }
    if (object.path(WRITTEN).isArray()) {
      Set<String> required = new LinkedHashSet<>();
      object.path("required").forEach(name -> required.add(name.asString()));
      made.remove(WRITTEN).forEach(name -> required.add(name.asString()));
      required.forEach(made.putArray("required")::add);
    }
    return made;
  }
}
