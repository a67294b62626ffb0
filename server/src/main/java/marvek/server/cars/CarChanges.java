package marvek.server.cars;

import java.util.LinkedHashMap;
import java.util.Map;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CarJson;
import marvek.formats.CarJsonWriter;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Numbers of a car's file that are changed, by their pointers (RFC 6901). */
public final class CarChanges {
  private CarChanges() {}

  /**
   * Every value of a car as its file has it, with some of them changed.
   *
   * @throws InvalidValueException of field "changes" if a pointer is not one of a number of a car
   * @throws marvek.formats.BadFileException if the car cannot be with them
   */
  public static ObjectNode on(Vehicle vehicle, Map<String, Double> changes) {
    ObjectNode document = CarJsonWriter.write(vehicle);
    check(document, changes);
    changes.forEach((pointer, value) -> put(document, pointer, value));
    CarJson.read(document);
    return document;
  }

  /**
   * The same in the words of a file that came from elsewhere: what is not changed stays as it is.
   */
  static ObjectNode in(ObjectNode file, Map<String, Double> changes) {
    check(CarJsonWriter.write(CarJson.read(file).value()), changes);
    ObjectNode document = file.deepCopy();
    changes.forEach((pointer, value) -> put(document, pointer, value));
    return document;
  }

  /** Numbers of a car's file in which two cars differ, as the second has them. */
  public static Map<String, Double> between(Vehicle before, Vehicle after) {
    Map<String, Double> changes = new LinkedHashMap<>();
    differing("", CarJsonWriter.write(before), CarJsonWriter.write(after), changes);
    return changes;
  }

  private static void differing(
      String pointer, JsonNode before, JsonNode after, Map<String, Double> changes) {
    if (after.isNumber()) {
      if (before.asDouble(Double.NaN) != after.asDouble(Double.NaN)) {
        changes.put(pointer, after.asDouble(Double.NaN));
      }
    } else if (after.isObject()) {
      after
          .properties()
          .forEach(
              e ->
                  differing(
                      pointer + "/" + e.getKey(), before.path(e.getKey()), e.getValue(), changes));
    } else if (after.isArray()) {
      for (int k = 0; k < after.size(); k++) {
        differing(pointer + "/" + k, before.path(k), after.get(k), changes);
      }
    }
  }

  private static void check(ObjectNode document, Map<String, Double> changes) {
    changes.forEach(
        (pointer, value) -> {
          boolean known =
              pointer.startsWith("/") && value != null && document.at(pointer).isNumber();
          if (!known) {
            throw new InvalidValueException(
                "changes", Sentence.of("refused.no-number-of-car", "pointer", pointer));
          }
        });
  }

  private static void put(ObjectNode document, String pointer, double value) {
    JsonPointer at = JsonPointer.compile(pointer);
    JsonNode parent = document.at(at.head());
    if (parent instanceof ArrayNode list) {
      list.set(at.last().getMatchingIndex(), list.numberNode(value));
    } else {
      ((ObjectNode) parent).put(at.last().getMatchingProperty(), value);
    }
  }
}
