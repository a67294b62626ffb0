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
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
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

  BadFileException error(Sentence said) {
    return BadFileException.atPointer(pointer, said);
  }

  BadFileException error(InvalidValueException e) {
    return BadFileException.atPointer(pointer, e);
  }

  /** What can be expected at a place. */
  private enum Kind {
    OBJECT("file.object-expected", "file.object-missing"),
    LIST("file.list-expected", "file.list-missing"),
    NUMBER("file.number-expected", "file.number-missing"),
    WHOLE_NUMBER("file.whole-number-expected", "file.whole-number-missing"),
    TEXT_VALUE("file.text-value-expected", "file.text-value-missing"),
    TRUE_OR_FALSE("file.true-or-false-expected", "file.true-or-false-missing");

    private final String ofAnother;
    private final String ofNone;

    Kind(String ofAnother, String ofNone) {
      this.ofAnother = ofAnother;
      this.ofNone = ofNone;
    }
  }

  /** Something of another kind stands here, or nothing. */
  private BadFileException unexpected(Kind kind) {
    return error(
        node.isMissingNode()
            ? Sentence.of(kind.ofNone)
            : Sentence.of(kind.ofAnother, "found", found(node)));
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
      throw place.unexpected(Kind.OBJECT);
    }
    return place;
  }

  List<JsonPlace> array(String name) {
    JsonPlace place = at(name);
    if (!place.node.isArray()) {
      throw place.unexpected(Kind.LIST);
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
      throw unexpected(Kind.NUMBER);
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
      throw place.unexpected(Kind.WHOLE_NUMBER);
    }
    return place.node.intValue();
  }

  String text(String name) {
    JsonPlace place = at(name);
    if (!place.node.isString()) {
      throw place.unexpected(Kind.TEXT_VALUE);
    }
    return place.node.stringValue();
  }

  String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  /** A day such as 2026-05-01; null where there is none. */
  LocalDate day(String name) {
    return temporal(name, LocalDate::parse, "file.day-expected");
  }

  /** A day and an hour at the circuit; null where there is none. */
  LocalDateTime dayAndHour(String name) {
    return temporal(name, LocalDateTime::parse, "file.hour-expected");
  }

  /** A moment with its offset from UTC; null where there is none. */
  OffsetDateTime moment(String name) {
    return temporal(name, OffsetDateTime::parse, "file.moment-expected");
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
        throw at(name).error(Sentence.of("file.year", "year", year));
      }
      return value;
    } catch (DateTimeException e) {
      throw at(name).error(Sentence.of(expected, "found", shortened(text(name))));
    }
  }

  boolean bool(String name, boolean otherwise) {
    if (!has(name)) {
      return otherwise;
    }
    JsonPlace place = at(name);
    if (!place.node.isBoolean()) {
      throw place.unexpected(Kind.TRUE_OR_FALSE);
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
        .error(Sentence.of("file.unknown-name", "given", text, "known", String.join(", ", names)));
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
                    Sentence.of(
                        "file.unknown-member", "known", String.join(", ", new TreeSet<>(names))));
              }
            });
  }

  /** As JSON writes it, without what is in it. */
  private static String found(JsonNode node) {
    return switch (node.getNodeType()) {
      case STRING -> "\"" + shortened(node.stringValue()) + "\"";
      case ARRAY -> "[…]";
      case OBJECT -> "{…}";
      default -> node.asString();
    };
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }
}
