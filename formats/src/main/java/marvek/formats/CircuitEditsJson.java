package marvek.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.util.Arrays;
import marvek.core.InvalidValueException;
import marvek.core.circuit.CircuitEdits;

/**
 * What is kept of a circuit by hand, as the interface sends it: the core's records by the names of
 * their components. Not one of the open formats; those are written from the circuit itself.
 */
public final class CircuitEditsJson {
  private static final ObjectMapper MAPPER =
      JsonMapper.builder()
          .addModule(new JavaTimeModule())
          .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .enable(DeserializationFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
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
    } catch (JsonMappingException e) {
      throw BadFileException.atPointer(pointer(e), words(e));
    } catch (JsonProcessingException e) {
      throw BadFileException.whole("This is not a circuit's edits: " + e.getOriginalMessage());
    }
  }

  private static String pointer(JsonMappingException e) {
    StringBuilder pointer = new StringBuilder();
    for (JsonMappingException.Reference step : e.getPath()) {
      pointer
          .append('/')
          .append(
              step.getFieldName() == null ? String.valueOf(step.getIndex()) : step.getFieldName());
    }
    return pointer.toString();
  }

  private static String words(JsonMappingException e) {
    if (e.getCause() instanceof InvalidValueException invalid) {
      return invalid.getMessage() + ".";
    }
    if (e instanceof InvalidFormatException format && format.getTargetType().isEnum()) {
      String names =
          String.join(
              ", ",
              Arrays.stream(format.getTargetType().getEnumConstants())
                  .map(c -> JsonPlace.spelled((Enum<?>) c))
                  .toList());
      return "\"" + format.getValue() + "\" is not known; expected one of " + names + ".";
    }
    return "a value of another kind is expected here.";
  }
}
