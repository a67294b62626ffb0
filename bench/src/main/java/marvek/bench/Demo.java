package marvek.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import marvek.core.circuit.Circuit;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CarJson;
import marvek.formats.CircuitGeoJson;
import marvek.formats.JsonFiles;

/** The demo circuit (4546 m at 1 m) and car, as files and read. */
final class Demo {
  private Demo() {}

  /** The road course, 36.6 km at 2 m with 149 corners. */
  static byte[] roadCourseFile() {
    return file("skarrow-round.circuit.geojson");
  }

  static byte[] circuitFile() {
    return file("harrowfen-park.circuit.geojson");
  }

  static Circuit circuit() {
    return CircuitGeoJson.read(JsonFiles.parse(circuitFile())).value();
  }

  static Vehicle car() {
    return CarJson.read(JsonFiles.parse(file("teal-coupe.car.json"))).value();
  }

  private static byte[] file(String name) {
    try (InputStream in = Demo.class.getResourceAsStream("/marvek/demo/" + name)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
