package marvek.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import marvek.core.page.PageField;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Words, letters and shapes of the values of a page: one file for what is drawn, printed and said,
 * and the table that the front end is generated from.
 */
public final class PointCatalogue {
  private static final JsonNode WORDS = read();

  private PointCatalogue() {}

  private static JsonNode read() {
    try (InputStream in = PointCatalogue.class.getResourceAsStream("/marvek/points.json")) {
      return JsonFiles.parse(in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What a value is called, as a heading. */
  public static String name(PageField field) {
    return WORDS.path(field.path()).path("name").asString();
  }

  /** How it is said: "look" of "look at the oak". */
  public static String said(PageField field) {
    return WORDS.path(field.path()).path("said").asString("");
  }

  /** Word on its plate: "drive" of the first throttle. */
  public static String plate(PageField field) {
    return WORDS.path(field.path()).path("plate").asString("");
  }

  /** Letter on its plate; empty without one. */
  public static String letter(PageField field) {
    return WORDS.path(field.path()).path("letter").asString("");
  }

  /**
   * Each field with what it is and how it is told, in the order of the list.
   *
   * @return objects with {@code path}, {@code kind}, {@code low} and {@code high} where there are
   *     bounds, {@code leastChange} where a session changes it, and the catalogue's own members
   */
  public static ArrayNode table() {
    ArrayNode table = JsonFiles.MAPPER.createArrayNode();
    for (PageField field : PageField.values()) {
      ObjectNode row = table.addObject().put("path", field.path());
      row.put("shown", field.shownAt()).put("kind", Spelled.of(field.quantity()));
      if (field.isTyped()) {
        row.put("typed", true);
      }
      bound(row, "low", field.quantity().low());
      bound(row, "high", field.quantity().high());
      if (!Double.isNaN(field.leastChange())) {
        row.put("leastChange", field.leastChange());
      }
      row.setAll((ObjectNode) WORDS.path(field.path()));
    }
    return table;
  }

  private static void listOf(ObjectNode described, String definition) {
    described.put("type", "array").putObject("items").put("$ref", "#/$defs/" + definition);
  }

  private static void bound(ObjectNode row, String name, double value) {
    if (Double.isFinite(value)) {
      row.put(name, value);
    }
  }

  /** JSON Schema of the own values of a corner, by field. */
  static void describe(ObjectNode properties) {
    for (PageField field : PageField.values()) {
      ObjectNode described = properties.putObject(field.path());
      switch (field.quantity()) {
        case SCHOOL -> described.put("$ref", "#/$defs/school");
        case PRESSES -> listOf(described, "press");
        case GEAR_CHANGES -> listOf(described, "gearChange");
        case PHASES -> listOf(described, "phase");
        case TOLD -> listOf(described, "told");
        case GATES -> listOf(described, "gate");
        case POINT_NOTES -> listOf(described, "pointNote");
        case VARIANTS -> described.put("$ref", "#/$defs/variants");
        case FEET -> described.put("$ref", "#/$defs/feet");
        case GIVES_WAY -> described.put("$ref", "#/$defs/givesWay");
        case KERB_USE -> described.put("$ref", "#/$defs/kerbUse");
        case WORDS, NOTE ->
            described.put("type", "string").put("maxLength", (int) field.quantity().high());
        case GEAR, OF_FIVE ->
            described
                .put("type", "integer")
                .put("minimum", (int) field.quantity().low())
                .put("maximum", (int) field.quantity().high());
        default -> described.put("type", "number");
      }
      described.put("description", name(field));
    }
  }
}
