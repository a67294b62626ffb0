package marvek.core.car;

import java.util.List;
import marvek.core.say.Sentence;
import marvek.core.vehicle.Vehicle;

/**
 * A car made from facts, with all that had to be assumed for it.
 *
 * @param topSpeedMps what the car reaches
 * @param zeroTo100S what it takes to 100 km/h; null where that is faster than it goes
 * @param unmet facts that the car cannot meet whatever is assumed, with the nearest that it does
 */
public record SketchedCar(
    Vehicle vehicle,
    List<Assumed> assumed,
    double topSpeedMps,
    Double zeroTo100S,
    List<Unmet> unmet) {
  public SketchedCar {
    assumed = List.copyOf(assumed);
    unmet = List.copyOf(unmet);
  }

  /**
   * A value that nobody gave.
   *
   * @param pointer of the value in the car's file (RFC 6901)
   * @param why where it comes from
   */
  public record Assumed(String pointer, Sentence why) {}

  /**
   * A fact that is not met.
   *
   * @param fact as the form calls it
   * @param nearest what comes of it, in the unit of the fact's name
   */
  public record Unmet(String fact, double nearest) {}
}
