package marvek.formats;

import java.time.LocalDate;
import java.util.Set;
import marvek.core.InvalidValueException;
import marvek.core.car.SetupSheet;
import marvek.core.say.Sentence;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A setup sheet as a JSON object; what is not written down is absent. */
public final class SetupSheetJson {
  private static final Set<String> KNOWN = PublishedSchema.BOOK.membersOf("setup");

  private SetupSheetJson() {}

  /**
   * Reads a sheet; null for none.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static SetupSheet read(JsonNode node, String pointer) {
    if (node == null || node.isMissingNode() || node.isNull()) {
      return null;
    }
    JsonPlace p = new JsonPlace(node, pointer);
    if (!node.isObject()) {
      throw p.error(Sentence.of("file.object"));
    }
    p.onlyKnown(KNOWN);
    try {
      return new SetupSheet(
          p.text("name"),
          date(p),
          p.optionalNumber("brakeFrontShare"),
          p.optionalNumber("finalDrive"),
          p.optionalNumber("cdA_m2"),
          p.optionalNumber("clA_m2"),
          p.optionalNumber("aeroFrontShare"),
          p.optionalNumber("gripFactor"),
          p.optionalNumber("powerFactor"),
          p.optionalNumber("fuel_kg"),
          p.optionalNumber("pressureFront_kpa"),
          p.optionalNumber("pressureRear_kpa"),
          p.optionalNumber("barFront"),
          p.optionalNumber("barRear"),
          p.optionalNumber("rideHeightFront_mm"),
          p.optionalNumber("rideHeightRear_mm"),
          p.optionalNumber("wing"),
          p.text("tyres", null),
          p.text("notes", null));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(p.pointer() + "/" + e.field(), e);
    }
  }

  private static LocalDate date(JsonPlace p) {
    return p.day("date");
  }

  /** Writes a sheet in a fixed order. */
  public static ObjectNode write(SetupSheet s) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode().put("name", s.name());
    if (s.date() != null) {
      node.put("date", s.date().toString());
    }
    number(node, "brakeFrontShare", s.brakeFrontShare());
    number(node, "finalDrive", s.finalDrive());
    number(node, "cdA_m2", s.cdAM2());
    number(node, "clA_m2", s.clAM2());
    number(node, "aeroFrontShare", s.aeroFrontShare());
    number(node, "gripFactor", s.gripFactor());
    number(node, "powerFactor", s.powerFactor());
    number(node, "fuel_kg", s.fuelKg());
    number(node, "pressureFront_kpa", s.pressureFrontKpa());
    number(node, "pressureRear_kpa", s.pressureRearKpa());
    number(node, "barFront", s.barFront());
    number(node, "barRear", s.barRear());
    number(node, "rideHeightFront_mm", s.rideHeightFrontMm());
    number(node, "rideHeightRear_mm", s.rideHeightRearMm());
    number(node, "wing", s.wing());
    text(node, "tyres", s.tyres());
    text(node, "notes", s.notes());
    return node;
  }

  private static void number(ObjectNode node, String name, Double value) {
    if (value != null) {
      node.put(name, value);
    }
  }

  private static void text(ObjectNode node, String name, String value) {
    if (!value.isEmpty()) {
      node.put(name, value);
    }
  }
}
