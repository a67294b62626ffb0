package marvek.server.cars;

import com.fasterxml.jackson.annotation.JsonInclude;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import marvek.core.car.CarFacts;
import marvek.core.car.CarSketch;
import marvek.core.car.SketchedCar;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;
import marvek.formats.CarJson;
import marvek.formats.CarJsonWriter;
import marvek.formats.Spelled;
import marvek.server.contract.InFormat;
import marvek.server.contract.OneOf;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Makes cars from what a driver knows; nothing is stored. */
@Service
class CarSketches {
  /**
   * The facts, and what is changed of the values that were assumed.
   *
   * @param zeroTo100_s null where it is not known
   * @param changes values by their pointers into the car's file
   */
  record FactsBody(
      @NotNull String name,
      @OneOf(Vehicle.Kind.class) String kind,
      double mass_kg,
      double power_kw,
      double power_rpm,
      double limiter_rpm,
      @OneOf(Vehicle.Drive.class) String drive,
      int gears,
      double topSpeed_kmh,
      @Nullable Double zeroTo100_s,
      @OneOf(CarFacts.Tyres.class) String tyres,
      boolean wings,
      @Nullable Map<String, Double> changes) {
    CarFacts facts() {
      return new CarFacts(
          name.strip(),
          Spelled.read(Vehicle.Kind.class, "kind", kind),
          mass_kg,
          1000 * power_kw,
          power_rpm,
          limiter_rpm,
          Spelled.read(Vehicle.Drive.class, "drive", drive),
          gears,
          topSpeed_kmh / 3.6,
          zeroTo100_s,
          Spelled.read(CarFacts.Tyres.class, "tyres", tyres),
          wings);
    }
  }

  /** A value that nobody gave, by its pointer into the file, and where it comes from. */
  record AssumedView(String pointer, Sentence why) {}

  /** A fact that cannot be met, and the nearest that comes of it in its own unit; null for none. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record UnmetView(String fact, @Nullable Double nearest) {}

  /**
   * A car that is not stored yet.
   *
   * @param zeroTo100_s absent where it is slower than that
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record SketchView(
      @InFormat("car") JsonNode car,
      List<AssumedView> assumed,
      double topSpeed_mps,
      @Nullable Double zeroTo100_s,
      List<UnmetView> unmet) {}

  SketchView sketch(FactsBody body) {
    SketchedCar made = CarSketch.of(body.facts());
    if (body.changes() == null || body.changes().isEmpty()) {
      return view(CarJsonWriter.write(made.vehicle()), made);
    }
    ObjectNode changed = CarChanges.on(made.vehicle(), body.changes());
    return view(changed, CarSketch.measured(CarJson.read(changed).value(), made.assumed()));
  }

  private static SketchView view(ObjectNode document, SketchedCar made) {
    return new SketchView(
        document,
        made.assumed().stream().map(a -> new AssumedView(a.pointer(), a.why())).toList(),
        made.topSpeedMps(),
        made.zeroTo100S(),
        made.unmet().stream()
            .map(u -> new UnmetView(u.fact(), Double.isNaN(u.nearest()) ? null : u.nearest()))
            .toList());
  }
}
