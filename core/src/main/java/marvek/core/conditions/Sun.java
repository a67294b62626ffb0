package marvek.core.conditions;

import java.time.ZonedDateTime;
import marvek.core.Require;
import net.e175.klaus.solarpositioning.DeltaT;
import net.e175.klaus.solarpositioning.SPA;
import net.e175.klaus.solarpositioning.SolarPosition;

/**
 * Where the sun stands, seen from a place.
 *
 * @param azimuthDeg clockwise from north, 0 to 360
 * @param elevationDeg above the horizon, refraction included; negative below it
 */
public record Sun(double azimuthDeg, double elevationDeg) {
  /** A sun lower than this blinds a driver who heads for it (design value). */
  public static final double LOW_DEG = 15;

  /** Below this a shadow has no edge that one could drive by. */
  public static final double LEAST_FOR_SHADOW_DEG = 2;

  public Sun {
    Require.within("azimuth", azimuthDeg, 0, 360);
    Require.within("elevation", elevationDeg, -90, 90);
  }

  /**
   * Position after the NREL solar position algorithm (Reda &amp; Andreas, NREL/TP-560-34302), by
   * library; good to 0.0003° between the years −2000 and 6000.
   *
   * @param heightM height above the sea
   */
  public static Sun at(
      ZonedDateTime time,
      double latDeg,
      double lonDeg,
      double heightM,
      double pressureHpa,
      double temperatureC) {
    double deltaT = DeltaT.estimate(time.toLocalDate());
    SolarPosition position =
        SPA.calculateSolarPosition(
            time, latDeg, lonDeg, heightM, deltaT, pressureHpa, temperatureC);
    return new Sun(position.azimuth(), 90 - position.zenithAngle());
  }

  /** Length of the shadow of something one metre high; infinite below the horizon. */
  public double shadowPerMetre() {
    return elevationDeg > 0 ? 1 / Math.tan(Math.toRadians(elevationDeg)) : Double.POSITIVE_INFINITY;
  }

  /** East part of the unit vector along which shadows fall. */
  public double shadowX() {
    return -Math.sin(Math.toRadians(azimuthDeg));
  }

  /** North part of the unit vector along which shadows fall. */
  public double shadowY() {
    return -Math.cos(Math.toRadians(azimuthDeg));
  }

  public boolean isLow() {
    return elevationDeg > 0 && elevationDeg < LOW_DEG;
  }
}
