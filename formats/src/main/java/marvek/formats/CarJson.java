package marvek.formats;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Brakes;
import marvek.core.vehicle.Engine;
import marvek.core.vehicle.Eye;
import marvek.core.vehicle.Gearbox;
import marvek.core.vehicle.Turning;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;
import tools.jackson.databind.JsonNode;

/** Reads a car JSON against its published schema, then against what the model can work with. */
public final class CarJson {
  private static final Schema SCHEMA = PublishedSchema.CAR.compiled();

  private final List<Sentence> assumed = new ArrayList<>();

  /** Members that are read and that the model does not compute with yet. */
  private static final List<String> WITHOUT_EFFECT = List.of("/driveFrontShare", "/trackWidth_m");

  private CarJson() {}

  /**
   * Reads a parsed file.
   *
   * @throws BadFileException with the JSON pointer
   */
  public static Imported<Vehicle> read(JsonNode tree) {
    return new CarJson().readTree(JsonPlace.top(tree));
  }

  private Imported<Vehicle> readTree(JsonPlace top) {
    checkSchema(top);
    try {
      Vehicle vehicle = vehicle(top);
      sayWithoutEffect(top.node());
      return new Imported<>(vehicle, assumed);
    } catch (InvalidValueException e) {
      String pointer = "/" + e.field().replace('.', '/');
      throw BadFileException.atPointer(e.index() >= 0 ? pointer + "/" + e.index() : pointer, e);
    }
  }

  /** A number that somebody has measured and that changes nothing is no number of the model's. */
  private void sayWithoutEffect(JsonNode car) {
    List<String> named = new ArrayList<>();
    for (String pointer : WITHOUT_EFFECT) {
      if (car.at(pointer).asDouble(0) != 0) {
        named.add(pointer.substring(pointer.lastIndexOf('/') + 1));
      }
    }
    if (!named.isEmpty()) {
      assumed.add(
          Sentence.of(
              named.size() == 1 ? "car.without-effect" : "car.several-without-effect",
              "members",
              String.join(", ", named)));
    }
  }

  private static void checkSchema(JsonPlace top) {
    SCHEMA.validate(top.node()).stream()
        .min(Comparator.comparing((Error m) -> m.getInstanceLocation().toString()))
        .ifPresent(
            message -> {
              throw BadFileException.atPointer(pointer(message), words(message));
            });
  }

  private static String pointer(Error message) {
    StringBuilder pointer = new StringBuilder();
    var path = message.getInstanceLocation();
    for (int i = 0; i < path.getNameCount(); i++) {
      pointer.append('/').append(path.getElement(i));
    }
    if ("required".equals(message.getKeyword()) && message.getProperty() != null) {
      pointer.append('/').append(message.getProperty());
    }
    return pointer.toString();
  }

  private static Sentence words(Error message) {
    if ("required".equals(message.getKeyword())) {
      return Sentence.of("file.car-without", "member", message.getProperty());
    }
    String text = message.getMessage();
    int colon = text.indexOf(": ");
    return Sentence.of("file.car-schema", "why", colon >= 0 ? text.substring(colon + 2) : text);
  }

  private Vehicle vehicle(JsonPlace top) {
    Vehicle.Kind kind = top.oneOf("kind", Vehicle.Kind.class);
    boolean car = kind == Vehicle.Kind.CAR;
    JsonPlace tyre = top.object("tyre");
    JsonPlace brakes = top.object("brakes");
    JsonPlace aero = top.object("aero");
    return new Vehicle(
        top.text("name"),
        kind,
        top.number("mass_kg"),
        number(top, "driver_kg", 75),
        top.number("wheelbase_m"),
        top.number("cgHeight_m"),
        top.number("frontWeightShare"),
        car ? number(top, "trackWidth_m", 1.5) : top.number("trackWidth_m", 0),
        top.number("bodyWidth_m"),
        top.number("length_m"),
        top.oneOf("drive", Vehicle.Drive.class),
        top.number("driveFrontShare", 0),
        engine(top.object("engine")),
        gearbox(top.object("gearbox")),
        new Tyre(
            tyre.number("muLateral"),
            tyre.number("muLongitudinal"),
            tyre.number("radius_m"),
            number(tyre, "referenceLoad_n", 3000),
            number(tyre, "loadSensitivity", 0)),
        new Brakes(
            brakes.number("maxForce_n"),
            car ? brakes.number("frontShare") : brakes.number("frontShare", 0.5)),
        new Aero(aero.number("cdA_m2"), number(aero, "clA_m2", 0), number(aero, "frontShare", 0.5)),
        number(top, "rollingResistance", 0.014),
        turning(top),
        eye(top, Eye.usual(kind)));
  }

  private static Eye eye(JsonPlace top, Eye usual) {
    if (!top.has("eye")) {
      return usual;
    }
    JsonPlace eye = top.object("eye");
    return new Eye(
        eye.number("height_m", usual.heightM()),
        eye.number("behindFrontAxle_m", usual.behindFrontAxleM()),
        eye.number("side_m", usual.sideM()));
  }

  /** What is usual is not worth a word. */
  private static Turning turning(JsonPlace top) {
    return new Turning(
        top.number("dynamicIndex", Turning.USUAL.dynamicIndex()),
        top.number("yawAcceleration_dps2", Turning.USUAL.yawAccelerationDps2()),
        top.number("leanRate_dps", Turning.USUAL.leanRateDps()));
  }

  private static Engine engine(JsonPlace engine) {
    List<JsonPlace> points = engine.array("torqueCurve");
    double[] rpm = new double[points.size()];
    double[] torque = new double[points.size()];
    for (int i = 0; i < rpm.length; i++) {
      rpm[i] = points.get(i).at(0).number();
      torque[i] = points.get(i).at(1).number();
    }
    return new Engine(
        rpm,
        torque,
        engine.number("idle_rpm", 0),
        engine.number("limiter_rpm"),
        engine.number("engineBraking_nm", 0));
  }

  private Gearbox gearbox(JsonPlace gearbox) {
    double[] ratios = gearbox.array("ratios").stream().mapToDouble(JsonPlace::number).toArray();
    return new Gearbox(
        ratios,
        gearbox.number("finalDrive"),
        number(gearbox, "efficiency", 0.92),
        number(gearbox, "upshift_s", 0.15),
        number(gearbox, "downshift_s", 0.15));
  }

  /** A number that may be left out, in which case what is assumed is reported. */
  private double number(JsonPlace place, String name, double otherwise) {
    if (!place.has(name)) {
      assumed.add(
          Sentence.of(
              "car.assumed",
              "member",
              (place.pointer() + "/" + name).substring(1),
              "taken",
              otherwise));
    }
    return place.number(name, otherwise);
  }
}
