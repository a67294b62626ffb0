package marvek.formats;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import marvek.core.InvalidValueException;
import marvek.core.circuit.Kerb;
import marvek.core.line.School;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;
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
      throw place.error("a list is expected here.");
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
              .line(p.oneOf("line", School.class, null))
              .brakeAtM(p.optionalNumber("brake.at_m"))
              .initialPct(p.optionalNumber("brake.initial_pct"))
              .cornerGear(p.has("gears.corner") ? p.integer("gears.corner") : null)
              .turnInM(p.optionalNumber("turnIn.at_m"))
              .turnInPct(p.optionalNumber("trailBrake.atTurnIn_pct"))
              .releaseM(p.optionalNumber("trailBrake.release_m"))
              .apexSpeedMps(p.optionalNumber("apexes.speed_mps"))
              .apexOffsetM(p.optionalNumber("apexes.offset_m"))
              .kerbApex(p.oneOf("kerbs.apex", Kerb.Use.class, null))
              .kerbExit(p.oneOf("kerbs.exit", Kerb.Use.class, null))
              .throttleFirstM(p.optionalNumber("throttle.first_m"))
              .throttleFullM(p.optionalNumber("throttle.full_m"))
              .confidence(p.has("confidence") ? p.integer("confidence") : null)
              .notes(p.text("notes", null))
              .wayOut(p.text("wayOut", null))
              .source(p.oneOf("source", CornerPage.Source.class, CornerPage.Source.DRIVER))
              .brakeMark(p.text("brake.mark", null), p.text("brake.words", null))
              .turnInMark(p.text("turnIn.mark", null), p.text("turnIn.words", null));
      measured(p).forEach(own::measured);
      return own.build();
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(p.pointer() + "/" + e.field(), e.getMessage() + ".");
    }
  }

  /** Names of the laps that values were measured in, by field. */
  private static Map<String, List<String>> measured(JsonPlace p) {
    Map<String, List<String>> measured = new TreeMap<>();
    JsonNode node = p.node().path("measured");
    if (!node.isMissingNode() && !node.isObject()) {
      throw BadFileException.atPointer(p.pointer() + "/measured", "an object is expected here.");
    }
    node.properties()
        .forEach(
            field -> {
              if (!field.getValue().isArray()) {
                throw BadFileException.atPointer(
                    p.pointer() + "/measured/" + field.getKey(), "a list of laps is expected.");
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
      put(node, "line", Spelled.of(o.line()));
      put(node, "brake.at_m", o.brakeAtM());
      put(node, "brake.initial_pct", o.initialPct());
      put(node, "gears.corner", o.cornerGear());
      put(node, "turnIn.at_m", o.turnInM());
      put(node, "trailBrake.atTurnIn_pct", o.turnInPct());
      put(node, "trailBrake.release_m", o.releaseM());
      put(node, "apexes.speed_mps", o.apexSpeedMps());
      put(node, "apexes.offset_m", o.apexOffsetM());
      put(node, "kerbs.apex", Spelled.of(o.kerbApex()));
      put(node, "kerbs.exit", Spelled.of(o.kerbExit()));
      put(node, "throttle.first_m", o.throttleFirstM());
      put(node, "throttle.full_m", o.throttleFullM());
      put(node, "brake.mark", o.brakeMark());
      put(node, "brake.words", o.brakeWords());
      put(node, "turnIn.mark", o.turnInMark());
      put(node, "turnIn.words", o.turnInWords());
      put(node, "confidence", o.confidence());
      put(node, "notes", o.notes());
      put(node, "wayOut", o.wayOut());
      node.put("source", Spelled.of(o.source()));
      if (!o.measured().isEmpty()) {
        ObjectNode measured = node.putObject("measured");
        o.measured().forEach((field, laps) -> laps.forEach(measured.putArray(field)::add));
      }
    }
    return list;
  }

  private static void put(ObjectNode node, String name, Object value) {
    if (value != null) {
      node.set(name, JsonFiles.MAPPER.valueToTree(value));
    }
  }
}
