package marvek.core.circuit;

import marvek.core.Require;

/** A place on the WGS 84 ellipsoid, in degrees. */
public record GeoPoint(double latDeg, double lonDeg) {
  public GeoPoint {
    Require.within("latitude", latDeg, -90, 90);
    Require.within("longitude", lonDeg, -180, 180);
  }
}
