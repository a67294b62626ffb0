package marvek.formats;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A JSON value together with its pointer, so that what is wrong with it can be said with its place.
 */
record JsonPlace(JsonNode node, String pointer) {

  static JsonPlace top(JsonNode node) {
    return new JsonPlace(node, "");
  }

  BadFileException error(String detail) {
    return BadFileException.atPointer(pointer, detail);
  }

  boolean has(String name) {
    return node.hasNonNull(name);
  }

  JsonPlace at(String name) {
    return new JsonPlace(node.path(name), pointer + "/" + name);
  }

  JsonPlace at(int index) {
    return new JsonPlace(node.path(index), pointer + "/" + index);
  }

  JsonPlace object(String name) {
    JsonPlace place = at(name);
    if (!place.node.isObject()) {
      throw place.error("an object {…} is expected here, found " + found(place.node) + ".");
    }
    return place;
  }

  List<JsonPlace> array(String name) {
    JsonPlace place = at(name);
    if (!place.node.isArray()) {
      throw place.error("a list […] is expected here, found " + found(place.node) + ".");
    }
    return place.elements();
  }

  List<JsonPlace> elements() {
    List<JsonPlace> list = new ArrayList<>(node.size());
    for (int i = 0; i < node.size(); i++) {
      list.add(at(i));
    }
    return list;
  }

  double number() {
    if (!node.isNumber()) {
      throw error("a number is expected here, found " + found(node) + ".");
    }
    return node.doubleValue();
  }

  double number(String name) {
    return at(name).number();
  }

  double number(String name, double otherwise) {
    return has(name) ? number(name) : otherwise;
  }

  Double optionalNumber(String name) {
    return has(name) ? number(name) : null;
  }

  int integer(String name) {
    JsonPlace place = at(name);
    if (!place.node.isIntegralNumber() || !place.node.canConvertToInt()) {
      throw place.error("a whole number is expected here, found " + found(place.node) + ".");
    }
    return place.node.intValue();
  }

  String text(String name) {
    JsonPlace place = at(name);
    if (!place.node.isTextual()) {
      throw place.error("a text is expected here, found " + found(place.node) + ".");
    }
    return place.node.textValue();
  }

  String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  boolean bool(String name, boolean otherwise) {
    if (!has(name)) {
      return otherwise;
    }
    JsonPlace place = at(name);
    if (!place.node.isBoolean()) {
      throw place.error("true or false is expected here, found " + found(place.node) + ".");
    }
    return place.node.booleanValue();
  }

  /** One of an enumeration's names, written in lower case with hyphens. */
  <E extends Enum<E>> E oneOf(String name, Class<E> type) {
    String text = text(name);
    for (E constant : type.getEnumConstants()) {
      if (spelled(constant).equals(text)) {
        return constant;
      }
    }
    List<String> names = new ArrayList<>();
    for (E constant : type.getEnumConstants()) {
      names.add(spelled(constant));
    }
    throw at(name)
        .error("\"" + text + "\" is not known; expected one of " + String.join(", ", names));
  }

  <E extends Enum<E>> E oneOf(String name, Class<E> type, E otherwise) {
    return has(name) ? oneOf(name, type) : otherwise;
  }

  /** Name of a constant as the formats spell it. */
  static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static String found(JsonNode node) {
    return switch (node.getNodeType()) {
      case MISSING -> "nothing";
      case NULL -> "null";
      case STRING -> "the text \"" + shortened(node.textValue()) + "\"";
      case ARRAY -> "a list";
      case OBJECT -> "an object";
      default -> node.asText();
    };
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }
}
