package marvek.formats;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;
import marvek.core.conditions.SurfacePart;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Conditions of a revision; what is left out takes its default. */
public final class ConditionsJson {
  private static final Set<String> KNOWN = PublishedSchema.BOOK.membersOf("conditions");

  private ConditionsJson() {}

  /**
   * Reads the conditions of a draft: what is not known is refused, since it would be left out
   * without a word.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static Conditions readDraft(JsonNode node, String pointer) {
    if (node != null && node.isObject()) {
      new JsonPlace(node, pointer).onlyKnown(KNOWN);
    }
    return read(node, pointer);
  }

  /**
   * Reads conditions; null or a missing node gives the defaults.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static Conditions read(JsonNode node, String pointer) {
    if (node == null || node.isMissingNode() || node.isNull()) {
      return Conditions.DEFAULT;
    }
    JsonPlace place = new JsonPlace(node, pointer);
    if (!node.isObject()) {
      throw place.error(Sentence.of("file.object"));
    }
    Conditions d = Conditions.DEFAULT;
    try {
      return new Conditions(
          place.oneOf("surface", Conditions.Surface.class, d.surface()),
          parts(place),
          place.oneOf("tyres", Conditions.TyreState.class, d.tyres()),
          place.has("coldLap") ? place.integer("coldLap") : d.coldLap(),
          place.number("wear", d.wear()),
          place.number("gripUsed", d.gripUsed()),
          place.number("fuel_kg", d.fuelKg()),
          place.number("pedalChange_s", d.pedalChangeS()),
          place.number("brakeBuildUp_s", d.brakeBuildUpS()),
          place.number("airTemperature_c", d.airTemperatureC()),
          place.optionalNumber("trackTemperature_c"),
          place.number("pressure_hpa", d.pressureHpa()),
          place.number("windSpeed_mps", d.windSpeedMps()),
          place.number("windFrom_deg", d.windFromDeg()),
          place.number("humidity_pct", d.humidityPct()),
          at(place),
          place.number("margin_m", d.marginM()),
          place.number("airShare", d.airShare()),
          place.oneOf("model", Conditions.Model.class, Conditions.Model.PLAIN),
          place.oneOf("start", Conditions.Start.class, Conditions.Start.FLYING));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(pointer + "/" + e.field(), e);
    }
  }

  private static List<SurfacePart> parts(JsonPlace place) {
    List<SurfacePart> parts = new ArrayList<>();
    if (place.has("parts")) {
      for (JsonPlace part : place.array("parts")) {
        parts.add(
            new SurfacePart(
                part.number("from_m"),
                part.number("to_m"),
                part.oneOf("surface", Conditions.Surface.class, null)));
      }
    }
    return parts;
  }

  private static LocalDateTime at(JsonPlace place) {
    return place.dayAndHour("at");
  }

  /**
   * Writes the members in the order of the format; those of special cases only where they apply.
   */
  public static ObjectNode write(Conditions c) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("surface", Spelled.of(c.surface()));
    if (!c.parts().isEmpty()) {
      ArrayNode parts = node.putArray("parts");
      for (SurfacePart part : c.parts()) {
        parts
            .addObject()
            .put("from_m", part.fromM())
            .put("to_m", part.toM())
            .put("surface", Spelled.of(part.surface()));
      }
    }
    node.put("tyres", Spelled.of(c.tyres()));
    if (c.tyres() == Conditions.TyreState.COLD) {
      node.put("coldLap", c.coldLap());
    }
    if (c.tyres() == Conditions.TyreState.WORN) {
      node.put("wear", c.wear());
    }
    node.put("gripUsed", c.gripUsed());
    node.put("fuel_kg", c.fuelKg());
    node.put("pedalChange_s", c.pedalChangeS());
    node.put("brakeBuildUp_s", c.brakeBuildUpS());
    node.put("airTemperature_c", c.airTemperatureC());
    if (c.trackTemperatureC() != null) {
      node.put("trackTemperature_c", c.trackTemperatureC());
    }
    node.put("pressure_hpa", c.pressureHpa());
    node.put("windSpeed_mps", c.windSpeedMps());
    node.put("windFrom_deg", c.windFromDeg());
    node.put("humidity_pct", c.humidityPct());
    if (c.at() != null) {
      node.put("at", c.at().toString());
    }
    if (c.marginM() != Conditions.DEFAULT_MARGIN_M) {
      node.put("margin_m", c.marginM());
    }
    if (c.airShare() != 1) {
      node.put("airShare", c.airShare());
    }
    if (c.model() != Conditions.Model.PLAIN) {
      node.put("model", Spelled.of(c.model()));
    }
    if (c.start() != Conditions.Start.FLYING) {
      node.put("start", Spelled.of(c.start()));
    }
    return node;
  }
}
