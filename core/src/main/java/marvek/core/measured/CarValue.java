package marvek.core.measured;

import marvek.core.vehicle.Aero;
import marvek.core.vehicle.Tyre;
import marvek.core.vehicle.Vehicle;

/**
 * One value of a car as its laps have it.
 *
 * @param gear of a ratio; 0 for what has none
 * @param before the book's car's, in the unit of the kind
 * @param after the laps'
 * @param error standard error of that
 * @param from so many measurements
 */
public record CarValue(Kind kind, int gear, double before, double after, double error, int from) {
  /** A difference within so many errors is none. */
  private static final double ERRORS = 2;

  /**
   * What is measured, with the share of the book's from which on a difference is worth another car
   * (own assumptions), and whether laps tell it only over the mass.
   */
  public enum Kind {
    /** Engine's pull, as a factor on the book's. */
    POWER(0.015, true),
    /** Drag area [m²]. */
    DRAG_AREA(0.025, true),
    /** Engine braking at the crank [N·m]. */
    ENGINE_BRAKING(0.1, true),
    /** Ratio of a gear without the final drive. */
    GEAR_RATIO(0.005, false),
    /** Time without drive in a change up [s]. */
    UPSHIFT(0.15, false),
    /** Side friction of the tyres, if the driver uses the share of it that the book says. */
    GRIP_ACROSS(0.015, false),
    /** The same along the road, braking. */
    GRIP_ALONG(0.03, false),
    /** Downforce area [m²]. */
    DOWNFORCE_AREA(0.06, true);

    private final double least;
    private final boolean overMass;

    Kind(double least, boolean overMass) {
      this.least = least;
      this.overMass = overMass;
    }

    /** Whether a heavier car would have more of it by the same laps. */
    public boolean isOverMass() {
      return overMass;
    }
  }

  /** A car with this value in the place of its own. */
  public Vehicle onto(Vehicle car) {
    Aero air = car.aero();
    Tyre tyre = car.tyre();
    return switch (kind) {
      case POWER -> car.withEngine(car.engine().scaled(after));
      case ENGINE_BRAKING -> car.withEngine(car.engine().withEngineBrakingNm(after));
      case DRAG_AREA -> car.withAero(new Aero(after, air.clAM2(), air.frontShare()));
      case DOWNFORCE_AREA -> car.withAero(new Aero(air.cdAM2(), after, air.frontShare()));
      case GEAR_RATIO -> car.withGearbox(car.gearbox().withRatio(gear, after));
      case UPSHIFT -> car.withGearbox(car.gearbox().withUpshiftS(after));
      case GRIP_ACROSS -> car.withTyre(friction(tyre, after, tyre.muLongitudinal()));
      case GRIP_ALONG -> car.withTyre(friction(tyre, tyre.muLateral(), after));
    };
  }

  private static Tyre friction(Tyre tyre, double across, double along) {
    return new Tyre(across, along, tyre.radiusM(), tyre.referenceLoadN(), tyre.loadSensitivity());
  }

  /** Whether it is another value than the book's beyond doubt, and by enough to matter. */
  public boolean differs() {
    return Math.abs(after - before) >= Math.max(kind.least * Math.abs(before), ERRORS * error);
  }

  /** The same of a car so many times as heavy. */
  CarValue atMass(double times) {
    return kind.overMass
        ? new CarValue(kind, gear, before, after * times, error * times, from)
        : this;
  }

  /** The same where the driver uses another share of the grip: so many times as much of it. */
  CarValue gripTimes(double times) {
    boolean grip = kind == Kind.GRIP_ACROSS || kind == Kind.GRIP_ALONG;
    return grip ? new CarValue(kind, gear, before, after * times, error * times, from) : this;
  }
}
