package marvek.core.car;

import marvek.core.InvalidValueException;
import marvek.core.Require;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/**
 * What a driver knows of his car without a file. Field names in errors are those of the form.
 *
 * @param massKg without driver and fuel
 * @param powerW at the crank
 * @param powerRpm at which it is reached
 * @param topSpeedMps on a level road in still air
 * @param zeroTo100S from standing to 100 km/h; null where it is not known
 * @param wings whether it has wings that work
 */
public record CarFacts(
    String name,
    Vehicle.Kind kind,
    double massKg,
    double powerW,
    double powerRpm,
    double limiterRpm,
    Vehicle.Drive drive,
    int gears,
    double topSpeedMps,
    Double zeroTo100S,
    Tyres tyres,
    boolean wings) {
  /** What is on the wheels. */
  public enum Tyres {
    ROAD,
    TRACK_DAY,
    SLICK,
    WET
  }

  public CarFacts {
    Require.text("name", name, 120);
    Require.within("mass_kg", massKg, 60, 5000);
    Require.within("power_kw", powerW / 1000, 1, 1500);
    Require.within("power_rpm", powerRpm, 1000, 25_000);
    Require.within("limiter_rpm", limiterRpm, 1000, 28_000);
    Require.within("gears", gears, 1, 12);
    Require.within("topSpeed_kmh", topSpeedMps * 3.6, 30, 450);
    if (limiterRpm < powerRpm) {
      throw new InvalidValueException(
          "limiter_rpm",
          Sentence.of("refused.limiter-below-power", "given", limiterRpm, "power", powerRpm));
    }
    if (zeroTo100S != null) {
      Require.within("zeroTo100_s", zeroTo100S, 1, 60);
    }
    if (kind == Vehicle.Kind.MOTORCYCLE && drive != Vehicle.Drive.REAR) {
      throw new InvalidValueException(
          "drive", Sentence.of("refused.motorcycle-drive", "drive", drive));
    }
  }
}
