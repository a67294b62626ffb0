package marvek.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.page.CornerPage;
import marvek.core.page.OwnValues;

/**
 * A driver's own values, a list of objects with the field names of the pages, flattened by dots.
 */
public final class OwnValuesJson {
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
    try {
      return new OwnValues(
          p.integer("corner"),
          p.optionalNumber("brake.at_m"),
          p.optionalNumber("brake.initial_pct"),
          p.has("gears.corner") ? p.integer("gears.corner") : null,
          p.optionalNumber("turnIn.at_m"),
          p.optionalNumber("trailBrake.release_m"),
          p.optionalNumber("apexes.speed_mps"),
          p.optionalNumber("throttle.first_m"),
          p.optionalNumber("throttle.full_m"),
          p.has("confidence") ? p.integer("confidence") : null,
          p.text("notes", null),
          p.text("wayOut", null),
          p.oneOf("source", CornerPage.Source.class, CornerPage.Source.DRIVER),
          p.text("brake.mark", null),
          p.text("brake.words", null),
          p.text("turnIn.mark", null),
          p.text("turnIn.words", null));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(p.pointer() + "/" + e.field(), e.getMessage() + ".");
    }
  }

  /** Writes the list; what is null is left out. */
  public static ArrayNode write(List<OwnValues> own) {
    ArrayNode list = JsonFiles.MAPPER.createArrayNode();
    for (OwnValues o : own) {
      ObjectNode node = list.addObject().put("corner", o.corner());
      put(node, "brake.at_m", o.brakeAtM());
      put(node, "brake.initial_pct", o.initialPct());
      put(node, "gears.corner", o.cornerGear());
      put(node, "turnIn.at_m", o.turnInM());
      put(node, "trailBrake.release_m", o.releaseM());
      put(node, "apexes.speed_mps", o.apexSpeedMps());
      put(node, "throttle.first_m", o.throttleFirstM());
      put(node, "throttle.full_m", o.throttleFullM());
      put(node, "brake.mark", o.brakeMark());
      put(node, "brake.words", o.brakeWords());
      put(node, "turnIn.mark", o.turnInMark());
      put(node, "turnIn.words", o.turnInWords());
      put(node, "confidence", o.confidence());
      put(node, "notes", o.notes());
      put(node, "wayOut", o.wayOut());
      node.put("source", JsonPlace.spelled(o.source()));
    }
    return list;
  }

  private static void put(ObjectNode node, String name, Object value) {
    if (value != null) {
      node.set(name, JsonFiles.MAPPER.valueToTree(value));
    }
  }
}
