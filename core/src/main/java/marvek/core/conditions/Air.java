package marvek.core.conditions;

/** Properties of the air. */
public final class Air {
  /** Gas constant of dry air, ISO 2533 [J/(kg·K)]. */
  private static final double R_DRY = 287.05287;

  /** Ratio of the molar masses of water and dry air. */
  private static final double WATER_TO_AIR = 0.62198;

  /** Ice point [K]. */
  private static final double KELVIN = 273.15;

  private Air() {}

  /**
   * Density of moist air [kg/m³] from the ideal gas law, ρ = (p − (1 − ε)·e)/(R·T). Vapour pressure
   * after the Magnus formula in the form of WMO-No. 8 (from memory), good to 0.6 % between −45 and
   * 60 °C, which is 0.02 % of the density at 30 °C.
   *
   * @param pressureHpa pressure at the place, not reduced to sea level
   */
  public static double densityKgM3(double temperatureC, double pressureHpa, double humidityPct) {
    double saturationHpa = 6.112 * Math.exp(17.62 * temperatureC / (243.12 + temperatureC));
    double vapourHpa = humidityPct / 100 * saturationHpa;
    double effectivePa = 100 * (pressureHpa - (1 - WATER_TO_AIR) * vapourHpa);
    return effectivePa / (R_DRY * (temperatureC + KELVIN));
  }
}
