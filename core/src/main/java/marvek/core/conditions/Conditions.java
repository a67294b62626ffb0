package marvek.core.conditions;

import java.time.LocalDateTime;
import marvek.core.Require;

/**
 * Conditions of a reference.
 *
 * @param gripUsed share of the limit that the driver uses, 0.3 to 1; 0.85 learning, 0.92 club, 0.97
 *     expert (common practice)
 * @param pedalChangeS time from throttle to brake; 0.05 s left foot, 0.25 s right foot (common
 *     practice)
 * @param brakeBuildUpS time from first touch to full pressure, 0.15 to 0.4 s (common practice)
 * @param windFromDeg direction the wind comes from, clockwise from north
 * @param humidityPct relative humidity of the air
 * @param at date and hour on the circuit's own clocks, or null where the light does not matter
 */
public record Conditions(
    Surface surface,
    TyreState tyres,
    double gripUsed,
    double fuelKg,
    double pedalChangeS,
    double brakeBuildUpS,
    double airTemperatureC,
    double pressureHpa,
    double windSpeedMps,
    double windFromDeg,
    double humidityPct,
    LocalDateTime at) {
  /**
   * State of the road's surface. Wet 0.7 and damp 0.85 of dry from the ranges 0.8–0.9 dry and
   * 0.5–0.7 wet of J. Y. Wong, <i>Theory of Ground Vehicles</i>, table of road adhesion (from
   * memory).
   */
  public enum Surface {
    DRY(1.0),
    DAMP(0.85),
    WET(0.70);

    private final double gripFactor;

    Surface(double gripFactor) {
      this.gripFactor = gripFactor;
    }

    public double gripFactor() {
      return gripFactor;
    }
  }

  /** State of the tyres: 0.90 on a first cold lap (common practice), 0.96 worn (own assumption). */
  public enum TyreState {
    COLD(0.90),
    WARM(1.0),
    WORN(0.96);

    private final double gripFactor;

    TyreState(double gripFactor) {
      this.gripFactor = gripFactor;
    }

    public double gripFactor() {
      return gripFactor;
    }
  }

  /** A dry day at sea level, warm tyres, an expert on the right foot. */
  public static final Conditions DEFAULT =
      new Conditions(Surface.DRY, TyreState.WARM, 0.97, 0, 0.15, 0.25, 18, 1013.25, 0, 0, 0);

  public Conditions {
    Require.within("gripUsed", gripUsed, 0.3, 1);
    Require.within("fuel_kg", fuelKg, 0, 500);
    Require.within("pedalChange_s", pedalChangeS, 0, 2);
    Require.within("brakeBuildUp_s", brakeBuildUpS, 0, 2);
    Require.within("airTemperature_c", airTemperatureC, -40, 60);
    Require.within("pressure_hpa", pressureHpa, 500, 1100);
    Require.within("windSpeed_mps", windSpeedMps, 0, 40);
    Require.within("windFrom_deg", windFromDeg, 0, 360);
    Require.within("humidity_pct", humidityPct, 0, 100);
  }

  /** Conditions of no hour in particular. */
  public Conditions(
      Surface surface,
      TyreState tyres,
      double gripUsed,
      double fuelKg,
      double pedalChangeS,
      double brakeBuildUpS,
      double airTemperatureC,
      double pressureHpa,
      double windSpeedMps,
      double windFromDeg,
      double humidityPct) {
    this(
        surface,
        tyres,
        gripUsed,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        null);
  }

  /** Factor on the tyres' friction from road, tyres and the share of the limit that is used. */
  public double gripFactor() {
    return surface.gripFactor() * tyres.gripFactor() * gripUsed;
  }

  /** Density of the air [kg/m³]. */
  public double airDensityKgM3() {
    return Air.densityKgM3(airTemperatureC, pressureHpa, humidityPct);
  }

  public boolean isWet() {
    return surface == Surface.WET;
  }

  /** The same at a date and hour of the circuit's own clocks. */
  public Conditions at(LocalDateTime hour) {
    return new Conditions(
        surface,
        tyres,
        gripUsed,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        hour);
  }

  public Conditions withGripUsed(double share) {
    return new Conditions(
        surface,
        tyres,
        share,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        at);
  }

  public Conditions withFuelKg(double kg) {
    return new Conditions(
        surface,
        tyres,
        gripUsed,
        kg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        at);
  }

  public Conditions withSurface(Surface other) {
    return new Conditions(
        other,
        tyres,
        gripUsed,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        at);
  }

  public Conditions withTyres(TyreState other) {
    return new Conditions(
        surface,
        other,
        gripUsed,
        fuelKg,
        pedalChangeS,
        brakeBuildUpS,
        airTemperatureC,
        pressureHpa,
        windSpeedMps,
        windFromDeg,
        humidityPct,
        at);
  }
}
