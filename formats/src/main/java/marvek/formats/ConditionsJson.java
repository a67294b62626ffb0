package marvek.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;

/** Conditions of a revision; what is left out takes its default. */
public final class ConditionsJson {
  private ConditionsJson() {}

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
      throw place.error("an object is expected here.");
    }
    Conditions d = Conditions.DEFAULT;
    try {
      return new Conditions(
          place.oneOf("surface", Conditions.Surface.class, d.surface()),
          place.oneOf("tyres", Conditions.TyreState.class, d.tyres()),
          place.number("gripUsed", d.gripUsed()),
          place.number("fuel_kg", d.fuelKg()),
          place.number("pedalChange_s", d.pedalChangeS()),
          place.number("brakeBuildUp_s", d.brakeBuildUpS()),
          place.number("airTemperature_c", d.airTemperatureC()),
          place.number("pressure_hpa", d.pressureHpa()),
          place.number("windSpeed_mps", d.windSpeedMps()),
          place.number("windFrom_deg", d.windFromDeg()),
          place.number("humidity_pct", d.humidityPct()),
          at(place));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(pointer + "/" + e.field(), e.getMessage() + ".");
    }
  }

  private static LocalDateTime at(JsonPlace place) {
    if (!place.has("at")) {
      return null;
    }
    try {
      return LocalDateTime.parse(place.text("at"));
    } catch (DateTimeException e) {
      throw place.at("at").error("date and hour at the circuit such as 2026-05-01T16:30 expected.");
    }
  }

  /** Writes all members in the order of the format. */
  public static ObjectNode write(Conditions c) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("surface", JsonPlace.spelled(c.surface()));
    node.put("tyres", JsonPlace.spelled(c.tyres()));
    node.put("gripUsed", c.gripUsed());
    node.put("fuel_kg", c.fuelKg());
    node.put("pedalChange_s", c.pedalChangeS());
    node.put("brakeBuildUp_s", c.brakeBuildUpS());
    node.put("airTemperature_c", c.airTemperatureC());
    node.put("pressure_hpa", c.pressureHpa());
    node.put("windSpeed_mps", c.windSpeedMps());
    node.put("windFrom_deg", c.windFromDeg());
    node.put("humidity_pct", c.humidityPct());
    if (c.at() != null) {
      node.put("at", c.at().toString());
    }
    return node;
  }
}
