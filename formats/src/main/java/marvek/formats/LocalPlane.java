package marvek.formats;

import marvek.core.circuit.GeoPoint;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;

/**
 * Plane that touches the WGS 84 ellipsoid at an origin: azimuthal equidistant, x east, y north [m].
 * Distances from the origin are exact; 5 km away the scale across is off by 1e-7.
 */
public final class LocalPlane {
  private final GeoPoint origin;

  public LocalPlane(GeoPoint origin) {
    this.origin = origin;
  }

  /** Local coordinates {x, y} of a place [m]. */
  public double[] toPlane(double latDeg, double lonDeg) {
    GeodesicData line = Geodesic.WGS84.Inverse(origin.latDeg(), origin.lonDeg(), latDeg, lonDeg);
    double azimuth = Math.toRadians(line.azi1);
    return new double[] {line.s12 * Math.sin(azimuth), line.s12 * Math.cos(azimuth)};
  }

  /** The place at local coordinates. */
  public GeoPoint toEarth(double x, double y) {
    double azimuth = Math.toDegrees(Math.atan2(x, y));
    GeodesicData end =
        Geodesic.WGS84.Direct(origin.latDeg(), origin.lonDeg(), azimuth, Math.hypot(x, y));
    return new GeoPoint(end.lat2, end.lon2);
  }
}
