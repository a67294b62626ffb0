package marvek.formats;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoField;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * A JSON value together with its pointer, so that what is wrong with it can be said with its place.
 */
record JsonPlace(JsonNode node, String pointer) {
  /** Calendars, clocks and the sun are reckoned with within these. */
  private static final int FIRST_YEAR = 1900;

  private static final int LAST_YEAR = 2200;

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
    if (!place.node.isString()) {
      throw place.error("a text is expected here, found " + found(place.node) + ".");
    }
    return place.node.stringValue();
  }

  String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  /** A day such as 2026-05-01; null where there is none. */
  LocalDate day(String name) {
    return temporal(name, LocalDate::parse, "a day such as 2026-05-01 is expected.");
  }

  /** A day and an hour at the circuit; null where there is none. */
  LocalDateTime dayAndHour(String name) {
    return temporal(
        name,
        LocalDateTime::parse,
        "a day and an hour at the circuit such as 2026-05-01T16:30 are expected.");
  }

  /** A moment with its offset from UTC; null where there is none. */
  OffsetDateTime moment(String name) {
    return temporal(
        name, OffsetDateTime::parse, "a time such as 2026-05-01T16:30:00Z is expected.");
  }

  private <T extends Temporal> T temporal(
      String name, Function<CharSequence, T> parser, String expected) {
    if (!has(name)) {
      return null;
    }
    try {
      T value = parser.apply(text(name));
      int year = value.get(ChronoField.YEAR);
      if (year < FIRST_YEAR || year > LAST_YEAR) {
        throw at(name).error("the year " + year + " is not one of these centuries.");
      }
      return value;
    } catch (DateTimeException e) {
      throw at(name).error(expected + " Found \"" + shortened(text(name)) + "\".");
    }
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
      if (Spelled.of(constant).equals(text)) {
        return constant;
      }
    }
    List<String> names = new ArrayList<>();
    for (E constant : type.getEnumConstants()) {
      names.add(Spelled.of(constant));
    }
    throw at(name)
        .error("\"" + text + "\" is not known; expected one of " + String.join(", ", names));
  }

  <E extends Enum<E>> E oneOf(String name, Class<E> type, E otherwise) {
    return has(name) ? oneOf(name, type) : otherwise;
  }

  /** Refuses members of other names than these. */
  void onlyKnown(Set<String> names) {
    node.propertyNames()
        .forEach(
            name -> {
              if (!names.contains(name)) {
                throw BadFileException.atPointer(
                    pointer + "/" + shortened(name.replace("~", "~0").replace("/", "~1")),
                    "is not known here. Known are "
                        + String.join(", ", new TreeSet<>(names))
                        + ".");
              }
            });
  }

  private static String found(JsonNode node) {
    return switch (node.getNodeType()) {
      case MISSING -> "nothing";
      case NULL -> "null";
      case STRING -> "the text \"" + shortened(node.stringValue()) + "\"";
      case ARRAY -> "a list";
      case OBJECT -> "an object";
      default -> node.asString();
    };
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }
}
