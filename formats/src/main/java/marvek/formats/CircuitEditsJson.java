package marvek.formats;

import java.util.Arrays;
import marvek.core.InvalidValueException;
import marvek.core.circuit.CircuitEdits;
import marvek.core.say.Sentence;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is kept of a circuit by hand, as the interface sends it: the core's records by the names of
 * their components. Not one of the open formats; those are written from the circuit itself.
 */
public final class CircuitEditsJson {
  private static final ObjectMapper MAPPER =
      JsonMapper.builder()
          .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
          .disable(DateTimeFeature.WRITE_DATES_AS_TIMESTAMPS)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .build();

  private CircuitEditsJson() {}

  public static JsonNode write(CircuitEdits edits) {
    return MAPPER.valueToTree(edits);
  }

  /**
   * Reads and checks.
   *
   * @throws BadFileException with the pointer of the value that cannot be
   */
  public static CircuitEdits read(JsonNode node) {
    try {
      return MAPPER.treeToValue(node, CircuitEdits.class);
    } catch (DatabindException e) {
      throw unusable(e);
    } catch (JacksonException e) {
      throw BadFileException.whole(Sentence.of("file.no-edits", "why", e.getOriginalMessage()));
    }
  }

  private static String pointer(DatabindException e) {
    StringBuilder pointer = new StringBuilder();
    for (JacksonException.Reference step : e.getPath()) {
      pointer
          .append('/')
          .append(
              step.getPropertyName() == null
                  ? String.valueOf(step.getIndex())
                  : step.getPropertyName());
    }
    return pointer.toString();
  }

  private static BadFileException unusable(DatabindException e) {
    if (e.getCause() instanceof InvalidValueException invalid) {
      return BadFileException.atPointer(pointer(e), invalid);
    }
    if (e instanceof InvalidFormatException format && format.getTargetType().isEnum()) {
      String names =
          String.join(
              ", ",
              Arrays.stream(format.getTargetType().getEnumConstants())
                  .map(c -> Spelled.of((Enum<?>) c))
                  .toList());
      return BadFileException.atPointer(
          pointer(e), Sentence.of("file.unknown-name", "given", format.getValue(), "known", names));
    }
    return BadFileException.atPointer(pointer(e), Sentence.of("file.another-kind"));
  }
}
