package marvek.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The shipped demo files, as a starting point for good and bad ones. */
final class DemoFiles {
  private DemoFiles() {}

  static byte[] bytes(String name) {
    try (InputStream in = DemoFiles.class.getResourceAsStream("/marvek/demo/" + name)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static ObjectNode circuit() {
    return (ObjectNode) JsonFiles.parse(bytes("harrowfen-park.circuit.geojson"));
  }

  static ObjectNode car() {
    return (ObjectNode) JsonFiles.parse(bytes("teal-coupe.car.json"));
  }

  /** First feature of a kind in a circuit file. */
  static ObjectNode feature(JsonNode circuit, String kind) {
    for (JsonNode feature : circuit.path("features")) {
      if (feature.path("properties").path("kind").asString().equals(kind)) {
        return (ObjectNode) feature;
      }
    }
    throw new IllegalArgumentException("no " + kind);
  }
}
