package marvek.server.books;

import java.util.List;
import marvek.core.car.SetupSheet;
import marvek.core.conditions.Conditions;
import marvek.core.line.ChosenLine;
import marvek.core.page.OwnValues;
import marvek.formats.ConditionsJson;
import marvek.formats.LineJson;
import marvek.formats.OwnValuesJson;
import marvek.formats.SetupSheetJson;
import tools.jackson.databind.JsonNode;

/**
 * What a revision is computed from, as it comes from the interface or a script.
 *
 * @param setup the sheet that the car is set up by, or null for the car as it is
 */
public record Draft(Conditions conditions, ChosenLine line, List<OwnValues> own, SetupSheet setup) {

  public Draft {
    own = List.copyOf(own);
    if (setup != null && setup.fuelKg() != null) {
      conditions = conditions.withFuelKg(setup.fuelKg());
    }
  }

  /** A draft for the car as it is. */
  public Draft(Conditions conditions, ChosenLine line, List<OwnValues> own) {
    this(conditions, line, own, null);
  }

  /** Reads the members of those names, the offsets from {@code lineOffsets_m}. */
  static Draft read(
      JsonNode conditions, String line, JsonNode lineOffsets, JsonNode ownValues, JsonNode setup) {
    return new Draft(
        ConditionsJson.readDraft(conditions, "/conditions"),
        LineJson.read(line, lineOffsets),
        OwnValuesJson.read(ownValues, "/ownValues"),
        SetupSheetJson.read(setup, "/setup"));
  }

  /** Of a book that is made: where nothing is said of it, a car's axles are told apart. */
  static Draft ofNewBook(JsonNode conditions, String line, JsonNode lineOffsets, JsonNode setup) {
    Draft draft = read(conditions, line, lineOffsets, null, setup);
    boolean chosen = conditions != null && conditions.has("model");
    return chosen ? draft : draft.with(Conditions.Model.AXLES);
  }

  private Draft with(Conditions.Model model) {
    return new Draft(conditions.but().model(model).build(), line, own, setup);
  }

  /**
   * The same for another day; the ways through corners stay, and the model and the start do; other
   * own values do not.
   */
  public Draft modelIn(Conditions other, SetupSheet sheet) {
    Conditions ofBook = other.but().model(conditions.model()).start(conditions.start()).build();
    return new Draft(ofBook, line, schools(), sheet);
  }

  /** The ways through corners alone: they are part of the line. */
  public List<OwnValues> schools() {
    return own.stream()
        .filter(o -> o.line() != null)
        .map(o -> OwnValues.in(o.corner()).line(o.line()).build())
        .toList();
  }
}
