package marvek.server.books;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions;
import marvek.core.page.LineChoice;
import marvek.core.page.OwnValues;
import marvek.formats.ConditionsJson;
import marvek.formats.OwnValuesJson;

/** What a revision is computed from, as it comes from the interface or a script. */
record Draft(Conditions conditions, LineChoice line, List<OwnValues> own) {

  /** Reads the members {@code conditions}, {@code line} and {@code ownValues} of a body. */
  static Draft read(JsonNode conditions, String line, JsonNode ownValues) {
    return new Draft(
        ConditionsJson.read(conditions, "/conditions"),
        line(line),
        OwnValuesJson.read(ownValues, "/ownValues"));
  }

  private static LineChoice line(String line) {
    if (line == null) {
      return LineChoice.SMOOTH;
    }
    return switch (line) {
      case "smooth" -> LineChoice.SMOOTH;
      case "centreline" -> LineChoice.CENTRELINE;
      default ->
          throw new InvalidValueException(
              "line", "(" + line + ") cannot be computed: choose smooth or centreline");
    };
  }
}
