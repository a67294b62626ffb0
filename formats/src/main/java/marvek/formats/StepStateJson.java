package marvek.formats;

import marvek.core.InvalidValueException;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.review.StepState;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How far a brake point is worked up to, as a JSON object. */
public final class StepStateJson {
  private StepStateJson() {}

  /**
   * Reads one state.
   *
   * @throws BadFileException with the pointer below {@code pointer}
   */
  public static StepState read(JsonNode node, String pointer) {
    JsonPlace p = new JsonPlace(node, pointer);
    try {
      return new StepState(
          p.integer("corner"),
          p.oneOf("surface", Surface.class, null),
          p.optionalNumber("at_m"),
          p.number("safe_m"),
          p.number("target_m"),
          p.integer("inARow"),
          p.integer("misses"),
          p.bool("proven", false));
    } catch (InvalidValueException e) {
      throw BadFileException.atPointer(pointer + "/" + e.field(), e);
    }
  }

  /** Writes one state in a fixed order. */
  public static ObjectNode write(StepState s) {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode();
    node.put("corner", s.corner()).put("surface", Spelled.of(s.surface()));
    if (s.atM() != null) {
      node.put("at_m", s.atM());
    }
    node.put("safe_m", s.safeM()).put("target_m", s.targetM());
    return node.put("inARow", s.inARow()).put("misses", s.misses()).put("proven", s.proven());
  }
}
