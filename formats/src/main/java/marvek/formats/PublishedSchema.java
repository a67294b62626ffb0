package marvek.formats;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import marvek.core.page.PageField;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The JSON Schemas that are published with the formats. What a driver can own on a page is put in
 * from the list of it.
 */
public enum PublishedSchema {
  /** A book whole, and the parts that the interface sends one by one. */
  BOOK,
  /** A vehicle. */
  CAR,
  /** What is said of a file before it is taken in. */
  IMPORT;

  private final byte[] file;
  private final JsonNode tree;

  PublishedSchema() {
    String name = "/marvek/schema/" + Spelled.of(this) + ".schema.json";
    try (InputStream in = PublishedSchema.class.getResourceAsStream(name)) {
      tree = JsonFiles.parse(in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (tree.at("/$defs/ownValues/properties") instanceof ObjectNode own) {
      PointCatalogue.describe(own);
    }
    if (tree.at("/$defs/page/properties") instanceof ObjectNode page) {
      PageField.typed()
          .forEach(field -> page.putObject(field.group()).put("$ref", "#/$defs/ownPoint"));
    }
    if (tree.at("/$defs/changedField") instanceof ObjectNode changed) {
      ArrayNode paths = changed.putArray("enum");
      PageField.ofSessions().forEach(field -> paths.add(field.path()));
    }
    file = JsonFiles.writeFile(tree);
  }

  /** The file as it is published. */
  public byte[] file() {
    return file.clone();
  }

  /** Its definitions by their names; of a schema without, itself. */
  public Map<String, JsonNode> definitions() {
    Map<String, JsonNode> definitions = new LinkedHashMap<>();
    if (tree.has("$defs")) {
      tree.get("$defs")
          .properties()
          .forEach(named -> definitions.put(named.getKey(), named.getValue().deepCopy()));
    } else {
      ObjectNode whole = (ObjectNode) tree.deepCopy();
      whole.remove(List.of("$schema", "$id"));
      definitions.put(Spelled.of(this), whole);
    }
    return definitions;
  }

  /** Names of the members of a definition. */
  Set<String> membersOf(String definition) {
    return Set.copyOf(tree.get("$defs").get(definition).get("properties").propertyNames());
  }

  /** Ready to check files. */
  Schema compiled() {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(tree);
  }
}
