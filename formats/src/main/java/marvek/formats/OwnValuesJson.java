package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Kerb;
import marvek.core.conditions.Footwork;
import marvek.core.line.School;
import marvek.core.page.CornerPage;
import marvek.core.page.Gates;
import marvek.core.page.GearChanges;
import marvek.core.page.GivesWay;
import marvek.core.page.OwnValues;
import marvek.core.page.PageField;
import marvek.core.page.PedalWork;
import marvek.core.page.PointNotes;
import marvek.core.page.ToldPoints;
import marvek.core.page.Variants;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A driver's own values, a list of objects with the field names of the pages, flattened by dots.
 */
public final class OwnValuesJson {
  /** Members of an entry; another one would be left out without a word. */
  private static final Set<String> KNOWN = PublishedSchema.BOOK.membersOf("ownValues");

  private OwnValuesJson() {}

  /**
   * Reads the list; null or a missing node gives an empty one.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static List<OwnValues> read(JsonNode node, String pointer) {
    List<OwnValues> list = new ArrayList<>();
    if (node == null || node.isMissingNode() || node.isNull()) {
      return list;
    }
    JsonPlace place = new JsonPlace(node, pointer);
    if (!node.isArray()) {
      throw place.error(Sentence.of("file.list"));
    }
    for (JsonPlace entry : place.elements()) {
      list.add(readOne(entry));
    }
    return list;
  }

  private static OwnValues readOne(JsonPlace p) {
    p.onlyKnown(KNOWN);
    try {
      OwnValues.Builder own =
          OwnValues.in(p.integer("corner"))
              .source(p.oneOf("source", CornerPage.Source.class, CornerPage.Source.DRIVER));
      for (PageField field : PageField.values()) {
        own.put(field, value(p, field));
      }
      measured(p).forEach(own::measured);
      return own.build();
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(p.pointer() + "/" + e.field(), e);
    }
  }

  /** The value of a field under its name; null where there is none. */
  static Object value(JsonPlace p, PageField field) {
    String name = field.path();
    return switch (field.quantity()) {
      case SCHOOL -> p.oneOf(name, School.class, null);
      case KERB_USE -> p.oneOf(name, Kerb.Use.class, null);
      case PRESSES -> PedalWorkJson.presses(p, name);
      case GEAR_CHANGES -> GearsJson.changes(p, name);
      case PHASES -> PedalWorkJson.phases(p, name);
      case FEET -> p.oneOf(name, Footwork.class, null);
      case GIVES_WAY -> p.oneOf(name, GivesWay.class, null);
      case TOLD -> AnnotationsJson.told(p, name);
      case GATES -> AnnotationsJson.gates(p, name);
      case POINT_NOTES -> AnnotationsJson.notes(p, name);
      case VARIANTS -> AnnotationsJson.variants(p, name);
      case GEAR, OF_FIVE -> p.has(name) ? p.integer(name) : null;
      case WORDS, NOTE -> p.text(name, null);
      case STATION, PERCENT, PRESS, SPEED, OFFSET -> p.optionalNumber(name);
    };
  }

  /** Names of the laps that values were measured in, by field. */
  private static Map<String, List<String>> measured(JsonPlace p) {
    Map<String, List<String>> measured = new TreeMap<>();
    JsonNode node = p.node().path("measured");
    if (!node.isMissingNode() && !node.isObject()) {
      throw BadFileException.atPointer(p.pointer() + "/measured", Sentence.of("file.object"));
    }
    node.properties()
        .forEach(
            field -> {
              if (!field.getValue().isArray()) {
                throw BadFileException.atPointer(
                    p.pointer() + "/measured/" + field.getKey(), Sentence.of("file.laps-expected"));
              }
              List<String> laps = new ArrayList<>();
              field.getValue().forEach(lap -> laps.add(lap.asString()));
              measured.put(field.getKey(), laps);
            });
    return measured;
  }

  /** Writes the list; what is null is left out. */
  public static ArrayNode write(List<OwnValues> own) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (OwnValues o : own) {
      ObjectNode node = list.addObject().put("corner", o.corner());
      for (PageField field : PageField.values()) {
        put(node, field.path(), o.get(field));
      }
      node.put("source", Spelled.of(o.source()));
      if (!o.measured().isEmpty()) {
        ObjectNode measured = node.putObject("measured");
        o.measured().forEach((field, laps) -> laps.forEach(measured.putArray(field)::add));
      }
    }
    return list;
  }

  /** Puts a value under its name; nothing for null. */
  static void put(ObjectNode node, String name, Object value) {
    if (value instanceof PedalWork.Presses presses) {
      node.set(name, PedalWorkJson.write(presses));
    } else if (value instanceof GearChanges changes) {
      node.set(name, GearsJson.write(changes));
    } else if (value instanceof PedalWork.Phases phases) {
      node.set(name, PedalWorkJson.write(phases));
    } else if (value instanceof ToldPoints told) {
      node.set(name, AnnotationsJson.write(told));
    } else if (value instanceof Gates gates) {
      node.set(name, AnnotationsJson.write(gates));
    } else if (value instanceof PointNotes notes) {
      node.set(name, AnnotationsJson.write(notes));
    } else if (value instanceof Variants variants) {
      node.set(name, AnnotationsJson.write(variants));
    } else if (value != null) {
      Object written = value instanceof Enum<?> constant ? Spelled.of(constant) : value;
      node.set(name, JsonFiles.MAPPER.valueToTree(written));
    }
  }
}
